import { Button, Checkbox, TextInput } from '@mantine/core';
import { useState } from 'react';
import { newId } from '../api/client';
import type { Name, TrainingClass } from '../api/types';
import { alike } from '../people/alike';
import { useRecord } from '../record/Recording';
import { useNotices } from '../ui/Notices';
import classes from './MatPage.module.css';

type Props = { training: TrainingClass; people: Name[]; onDone: () => void };

/** An id that says nothing about whoever gets it, made here since the server may be far. */
const randomId = () => `s-${crypto.randomUUID().replaceAll('-', '').slice(0, 16)}`;

/** Somebody who visits tonight: a name, and whether they can fall, are enough. They are checked in at once. */
export function GuestAdd({ training, people, onDone }: Props) {
  const [name, setName] = useState('');
  const [fallsKnown, setFalls] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const record = useRecord();
  const say = useNotices();
  const same = alike(name, people);
  const there = async (student: string, who: string, needs?: string) => {
    const body = { id: newId('a'), student, classId: training.id, how: 'NAME' as const };
    await record({ kind: 'attend', body }, `${who} is here`, needs);
    say.done(`${who} is here.`);
    onDone();
  };
  const add = async () => {
    const full = name.trim();
    if (!full || full.length > 80) {
      setError(full ? 'At most 80 letters.' : 'What is their name?');
      return;
    }
    const id = randomId();
    const body = { id, name: full, joined: training.date, guest: { fallsKnown } };
    await record({ kind: 'guest', body }, `${full} visits`);
    await there(id, full, id);
  };
  return (
    <form
      className={classes.guest}
      aria-label="A guest"
      onSubmit={(event) => {
        event.preventDefault();
        add().catch(say.failed);
      }}
    >
      <TextInput
        aria-label="Name of the guest"
        placeholder="Name of the guest"
        size="md"
        autoFocus
        error={error}
        value={name}
        onChange={(event) => {
          setName(event.currentTarget.value);
          setError(null);
        }}
      />
      <Checkbox
        size="md"
        label="Can fall: I have seen it"
        checked={fallsKnown}
        onChange={(event) => setFalls(event.currentTarget.checked)}
      />
      <Button type="submit" size="md">
        Here tonight
      </Button>
      {same.length > 0 && (
        <p role="status" className={classes.known}>
          Known already?
          {same.map((person) => (
            <Button
              key={person.id}
              variant="default"
              onClick={() => there(person.id, person.calledBy).catch(say.failed)}
            >
              {person.name}
            </Button>
          ))}
        </p>
      )}
    </form>
  );
}
