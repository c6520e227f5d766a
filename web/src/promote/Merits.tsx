import { Button, NumberInput, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { newId, send } from '../api/client';
import { useToday } from '../api/mat';
import { useMerits } from '../api/promote';
import type { Merit, Student } from '../api/types';
import { useChanged } from '../form/useEdit';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { count, date } from '../ui/words';
import classes from './Board.module.css';

const KINDS: Record<Merit['kind'], string> = {
  SEMINAR: 'Seminar',
  CHART: 'Home chart seen',
  CONDUCT: 'Conduct noted',
};

/** What counts outside of the classes: seminars, charts and conduct that a coach saw. Of a chart only that it was seen. */
export function Merits({ student }: { student: Student }) {
  const merits = useMerits(student.id);
  const today = useToday();
  const say = useNotices();
  const changed = useChanged();
  const [adding, setAdding] = useState<Pick<Merit, 'kind' | 'on' | 'classes' | 'words'> | null>(null);
  const tell = async (how: 'POST' | 'DELETE', path: string, body: unknown, done: string) => {
    try {
      await send(how, path, body);
      await changed('merit');
      say.done(done);
      setAdding(null);
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <section aria-label="Besides classes">
      <h2>Besides classes</h2>
      <Loaded query={merits}>
        {(all) =>
          all.length === 0 ? (
            <p className="quiet">No seminar, chart or conduct is noted.</p>
          ) : (
            <ul className={classes.given}>
              {all.map((one) => (
                <li key={one.id}>
                  <span>
                    {KINDS[one.kind]}
                    {one.kind === 'SEMINAR' && `: ${count(one.classes, 'class', 'classes')}`}
                    <span className="quiet">
                      {' '}
                      {date(one.on)}
                      {one.words && `, ${one.words}`}
                      {one.by && ` (${one.by})`}
                    </span>
                  </span>
                  <Button
                    variant="subtle"
                    size="compact-sm"
                    onClick={() => tell('DELETE', `/merits/${one.id}`, undefined, 'Taken back.')}
                  >
                    Take back
                  </Button>
                </li>
              ))}
            </ul>
          )
        }
      </Loaded>
      {adding ? (
        <form
          className={classes.reason}
          onSubmit={(event) => {
            event.preventDefault();
            const body = { ...adding, id: newId('me'), student: student.id };
            tell(
              'POST',
              '/merits',
              { ...body, classes: adding.kind === 'SEMINAR' ? adding.classes : 0 },
              `${KINDS[adding.kind]}: kept.`,
            );
          }}
        >
          <Select
            label="What"
            data={Object.entries(KINDS).map(([value, label]) => ({ value, label }))}
            allowDeselect={false}
            value={adding.kind}
            onChange={(kind) => setAdding({ ...adding, kind: kind as Merit['kind'] })}
          />
          <TextInput
            label="Day"
            type="date"
            max={today}
            value={adding.on}
            onChange={(event) => setAdding({ ...adding, on: event.currentTarget.value })}
          />
          {adding.kind === 'SEMINAR' && (
            <>
              <TextInput
                label="Which seminar"
                maxLength={120}
                value={adding.words}
                onChange={(event) => setAdding({ ...adding, words: event.currentTarget.value })}
              />
              <NumberInput
                label="Counts as classes"
                min={1}
                max={50}
                value={adding.classes}
                onChange={(n) => setAdding({ ...adding, classes: Number(n) || 1 })}
              />
            </>
          )}
          <div className={classes.actions}>
            <Button type="submit" disabled={!adding.on || adding.on > today}>
              Keep it
            </Button>
            <Button variant="default" onClick={() => setAdding(null)}>
              Cancel
            </Button>
          </div>
        </form>
      ) : (
        <Button
          variant="default"
          size="compact-md"
          onClick={() => setAdding({ kind: 'SEMINAR', on: today, classes: 2, words: '' })}
        >
          Note something
        </Button>
      )}
    </section>
  );
}
