import { Button, NumberInput, TextInput } from '@mantine/core';
import { type KeyboardEvent, useRef, useState } from 'react';
import { send } from '../../api/client';
import { useToday } from '../../api/mat';
import type { RosterWanted } from '../../api/people';
import type { RosterRow } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import { useNotices } from '../../ui/Notices';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { count, date } from '../../ui/words';
import { useListed } from './useListed';
import classes from './Weigh.module.css';

type Props = { wanted: RosterWanted; chosen: RosterRow[]; onDone: () => void };

/** Many on the scales, one after the other: a number, Enter, the next one. */
export function Weigh({ wanted, chosen, onDone }: Props) {
  const listed = useListed(wanted, chosen);
  return <Loaded query={listed}>{(rows) => <Scales rows={rows} onDone={onDone} />}</Loaded>;
}

function Scales({ rows, onDone }: { rows: RosterRow[]; onDone: () => void }) {
  const today = useToday();
  const [day, setDay] = useState(today);
  const [kg, setKg] = useState<Record<string, number>>({});
  const [sending, setSending] = useState(false);
  const list = useRef<HTMLOListElement>(null);
  const say = useNotices();
  const changed = useChanged();
  const weights = Object.entries(kg).map(([student, weight]) => ({ student, kg: weight }));
  const wrong = weights.filter((one) => one.kg < 10 || one.kg > 300);
  const next = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const fields = [...(list.current?.querySelectorAll('input') ?? [])];
    fields[fields.indexOf(event.currentTarget) + 1]?.focus();
  };
  const save = async () => {
    setSending(true);
    try {
      await send('POST', '/people/weights', { day, weights });
      await changed('student');
      say.done(`${count(weights.length, 'weight', 'weights')} kept.`);
      onDone();
    } catch (error) {
      say.failed(error);
      setSending(false);
    }
  };
  return (
    <Scroll label="Weigh" className={classes.body}>
      <div className={classes.head}>
        <h2>Weigh {count(rows.length, 'person', 'people')}</h2>
        <TextInput
          type="date"
          aria-label="Day of the weighing"
          max={today}
          value={day}
          onChange={(event) => setDay(event.currentTarget.value)}
        />
        <Button
          onClick={save}
          loading={sending}
          disabled={weights.length === 0 || wrong.length > 0 || !day || day > today}
        >
          Save {weights.length > 0 ? count(weights.length, 'weight', 'weights') : ''}
        </Button>
        <Button variant="default" onClick={onDone}>
          Cancel
        </Button>
      </div>
      <ol ref={list} className={classes.list}>
        {rows.map(({ student }) => (
          <li key={student.id}>
            <NumberInput
              label={student.name}
              description={
                student.weightKg
                  ? `last ${student.weightKg} kg${student.weighed ? `, ${date(student.weighed)}` : ''}`
                  : 'not weighed yet'
              }
              suffix=" kg"
              decimalScale={1}
              hideControls
              error={wrong.some((one) => one.student === student.id) ? 'From 10 to 300 kg.' : undefined}
              value={kg[student.id] ?? ''}
              onKeyDown={next}
              onChange={(value) =>
                setKg((before) => {
                  const { [student.id]: _, ...others } = before;
                  return value === '' ? others : { ...others, [student.id]: Number(value) };
                })
              }
            />
          </li>
        ))}
      </ol>
    </Scroll>
  );
}
