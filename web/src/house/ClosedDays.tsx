import { Button, MultiSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { read } from '../api/client';
import { useClosures, usePatterns, useToday } from '../api/mat';
import type { Closure, Track } from '../api/types';
import { EditForm } from '../form/EditForm';
import { freeId } from '../form/fields';
import { needed } from '../form/limits';
import { useDraft } from '../form/useDraft';
import { useEdit } from '../form/useEdit';
import { under } from '../ui/lists';
import { Loaded } from '../ui/States';
import { count, date, laterOf } from '../ui/words';
import { CalendarFile } from './CalendarFile';
import classes from './TracksRoom.module.css';

/** Days without classes: holidays, a hall that is let to others. */
export function ClosedDays({ tracks }: { tracks: Track[] }) {
  const closures = useClosures();
  const [editing, setEditing] = useState<string | null>(null);
  return (
    <section aria-label="Closed days">
      <h2>Closed days</h2>
      <Loaded query={closures}>
        {({ closures: all, tags }) => (
          <>
            {all.length === 0 && editing === null && (
              <p className="quiet">None. On closed days the weekly times give no class.</p>
            )}
            <ul className={classes.slots}>
              {all.map((closure) =>
                editing === closure.id ? (
                  <li key={closure.id} className={classes.whole}>
                    <ClosureForm
                      closure={closure}
                      tag={tags[closure.id] ?? null}
                      {...{ all, tracks }}
                      onDone={() => setEditing(null)}
                    />
                  </li>
                ) : (
                  <li key={closure.id} className={classes.closure}>
                    <strong>{closure.name}</strong>
                    <span>
                      {date(closure.from)}
                      {closure.until !== closure.from && ` to ${date(closure.until)}`}
                    </span>
                    <span className="quiet">
                      {closure.tracks.length === 0
                        ? 'everybody'
                        : closure.tracks.map((id) => tracks.find((t) => t.id === id)?.name ?? id).join(', ')}
                    </span>
                    <Button
                      variant="default"
                      size="compact-md"
                      aria-label={`Change ${closure.name}`}
                      onClick={() => setEditing(closure.id)}
                    >
                      Change
                    </Button>
                  </li>
                ),
              )}
            </ul>
            {editing === '' ? (
              <ClosureForm closure={null} tag={null} {...{ all, tracks }} onDone={() => setEditing(null)} />
            ) : (
              <Button variant="default" mt={10} onClick={() => setEditing('')}>
                Add closed days
              </Button>
            )}
            <CalendarFile />
          </>
        )}
      </Loaded>
    </section>
  );
}

const wrong = (closure: Closure) => ({
  ...needed(closure, { name: 'What for?', from: 'From which day?', until: 'To which day?' }),
  ...(closure.from && closure.until && closure.until < closure.from
    ? { until: 'It ends before it begins.' }
    : {}),
});

/** What stands there now; it is read as part of the list. */
async function asKept(id: string): Promise<{ value: Closure; tag: string }> {
  const { closures, tags } = await read('/closures');
  const value = closures.find((closure) => closure.id === id);
  if (!value) throw new Error('it is gone');
  return { value, tag: under(tags, id) };
}

type FormProps = {
  closure: Closure | null;
  tag: string | null;
  all: Closure[];
  tracks: Track[];
  onDone: () => void;
};

function ClosureForm({ closure, tag, all, tracks, onDone }: FormProps) {
  const now = useToday();
  const blank: Closure = { id: '', name: '', from: now, until: now, tracks: [] };
  const draft = useDraft({ value: closure ?? blank, tag }, 'Closure', wrong);
  const { value, isNew, change, error } = draft;
  const id = isNew ? freeId(value.name, (taken) => all.some((c) => c.id === taken)) : value.id;
  return (
    <EditForm
      title={isNew ? 'Closed days' : `Change ${closure?.name}`}
      place="closures"
      draft={draft}
      body={{ ...value, id }}
      done={`${value.name} is saved.`}
      current={() => asKept(id)}
      onDone={onDone}
      onCancel={onDone}
      retired={`${value.name} is no closed day any more.`}
      retire="Open again"
    >
      <TextInput
        label="What for"
        placeholder="Winter holidays"
        error={error('name')}
        value={value.name}
        onChange={(event) => change({ name: event.currentTarget.value })}
      />
      <div className={classes.times}>
        <TextInput
          label="First day"
          type="date"
          error={error('from')}
          value={value.from}
          onChange={(event) => {
            const from = event.currentTarget.value;
            change({ from, until: laterOf(from, value.until) });
          }}
        />
        <TextInput
          label="Last day"
          type="date"
          error={error('until')}
          value={value.until}
          onChange={(event) => change({ until: event.currentTarget.value })}
        />
      </div>
      <MultiSelect
        label="Who does not train"
        placeholder={value.tracks.length ? '' : 'Everybody'}
        data={tracks.map((track) => ({ value: track.id, label: track.name }))}
        value={value.tracks}
        onChange={(chosen) => change({ tracks: chosen })}
      />
    </EditForm>
  );
}

/** Classes that are kept as patterns; they are made and used where a class is planned. */
export function Patterns() {
  const patterns = usePatterns();
  const edit = useEdit();
  return (
    <section aria-label="Patterns">
      <h2>Patterns of classes</h2>
      <Loaded query={patterns}>
        {(all) =>
          all.length === 0 ? (
            <p className="quiet">None. A class that went well is kept as a pattern from its plan.</p>
          ) : (
            <ul className={classes.slots}>
              {all.map(({ pattern, tag }) => (
                <li key={pattern.id} className={classes.closure}>
                  <strong>{pattern.name}</strong>
                  <span>{count(pattern.blocks.length, 'block', 'blocks')}</span>
                  <span className="quiet">
                    {pattern.blocks.reduce((sum, block) => sum + block.minutes, 0)} min
                  </span>
                  <Button
                    variant="default"
                    size="compact-md"
                    aria-label={`Let go of ${pattern.name}`}
                    onClick={() => edit.retire('patterns', pattern.id, tag, `${pattern.name} is let go.`)}
                  >
                    Let go
                  </Button>
                </li>
              ))}
            </ul>
          )
        }
      </Loaded>
    </section>
  );
}
