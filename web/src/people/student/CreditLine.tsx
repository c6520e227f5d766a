import { Button, NumberInput, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { newId, send } from '../../api/client';
import { useToday } from '../../api/mat';
import type { Credit, Student } from '../../api/types';
import { useChanged } from '../../form/useEdit';
import type { Subject } from '../../record/Judge';
import { useWho } from '../../ui/coaches';
import { useNotices } from '../../ui/Notices';
import { count, date } from '../../ui/words';
import classes from './Detail.module.css';

type Props = { student: Student; subject: Subject; credits: Credit[] };

const SIDES = [
  { value: 'BOTH', label: 'Both sides' },
  { value: 'RIGHT', label: 'Right' },
  { value: 'LEFT', label: 'Left' },
];

/** Practice from before the club: let count once, with a note of how it is known, and taken back. */
export function CreditLine({ student, subject, credits }: Props) {
  const [adding, setAdding] = useState(false);
  const [sending, setSending] = useState(false);
  const who = useWho();
  const say = useNotices();
  const changed = useChanged();
  const tell = async (how: 'POST' | 'DELETE', path: string, body: unknown, done: string) => {
    setSending(true);
    try {
      await send(how, path, body);
      await changed('credit');
      say.done(done);
      setAdding(false);
    } catch (error) {
      say.failed(error);
    } finally {
      setSending(false);
    }
  };
  if (credits.length > 0)
    return credits.map((credit) => (
      <p key={credit.id} className={classes.credit}>
        <span>
          Credited: {count(credit.reps, 'rep', 'reps')} {date(credit.on)}
          <span className="quiet">
            {' '}
            {credit.note}
            {credit.by && ` (${who(credit.by)})`}
          </span>
        </span>
        <Button
          variant="subtle"
          size="compact-sm"
          loading={sending}
          onClick={() => tell('DELETE', `/credits/${credit.id}`, undefined, 'The credit is taken back.')}
        >
          Take back
        </Button>
      </p>
    ));
  if (!adding)
    return (
      <Button variant="subtle" size="compact-sm" onClick={() => setAdding(true)}>
        Credit practice from before
      </Button>
    );
  return (
    <Form
      subject={subject}
      sending={sending}
      onCancel={() => setAdding(false)}
      onDone={(said) =>
        tell(
          'POST',
          '/credits',
          { ...said, id: newId('cr'), student: student.id, subject: subject.id },
          `${student.calledBy}, ${subject.name}: credited.`,
        )
      }
    />
  );
}

type Said = Pick<Credit, 'side' | 'reps' | 'on' | 'note'>;

function Form({
  subject,
  sending,
  onDone,
  onCancel,
}: {
  subject: Subject;
  sending: boolean;
  onDone: (said: Said) => void;
  onCancel: () => void;
}) {
  const today = useToday();
  const [said, setSaid] = useState<Said>({ side: 'BOTH', reps: 100, on: today, note: '' });
  const change = (part: Partial<Said>) => setSaid({ ...said, ...part });
  return (
    <form
      className={classes.creditForm}
      onSubmit={(event) => {
        event.preventDefault();
        onDone({ ...said, note: said.note.trim() });
      }}
    >
      <TextInput
        label="Where, and how you know"
        autoFocus
        maxLength={200}
        value={said.note}
        onChange={(event) => change({ note: event.currentTarget.value })}
      />
      <TextInput
        label="Last done"
        type="date"
        max={today}
        value={said.on}
        onChange={(event) => change({ on: event.currentTarget.value })}
      />
      <NumberInput
        label="Repetitions, about"
        min={1}
        max={1000}
        value={said.reps}
        onChange={(reps) => change({ reps: Number(reps) || 0 })}
      />
      {subject.sided && (
        <Select
          label="Side"
          data={SIDES}
          allowDeselect={false}
          value={said.side}
          onChange={(side) => change({ side: side as Credit['side'] })}
        />
      )}
      <div>
        <Button
          type="submit"
          loading={sending}
          disabled={!said.note.trim() || !said.on || said.on > today || said.reps < 1 || said.reps > 1000}
        >
          Let it count
        </Button>{' '}
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
