import { Button, Checkbox, NumberInput, SegmentedControl, TextInput } from '@mantine/core';
import { useState } from 'react';
import { newId } from '../../api/client';
import { useOfAge } from '../../api/club';
import type { Name, TrainingClass } from '../../api/types';
import { alike } from '../../people/person/alike';
import { useRecord } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import { parentIsHere } from './guests';
import classes from './MatPage.module.css';

type Props = { training: TrainingClass; people: Name[]; onDone: () => void };

/** An id that says nothing about the person who gets it, made here since the server may be far. */
const randomId = () => `s-${crypto.randomUUID().replaceAll('-', '').slice(0, 16)}`;

const NOBODY = {
  phone: null,
  email: null,
  guardian: null,
  guardianPhone: null,
  guardianEmail: null,
  emergency: null,
};

/**
 * Somebody who visits tonight: a name is enough to be here. What is not asked is not known, and then nobody throws them, they
 * go not live and work with no junior. Checked in at once.
 */
export function GuestAdd({ training, people, onDone }: Props) {
  const ofAge = useOfAge();
  const [name, setName] = useState('');
  const [fallsKnown, setFalls] = useState(false);
  const [isGrownUp, setGrownUp] = useState<boolean | null>(null);
  const [age, setAge] = useState<number | null>(null);
  const [number, setNumber] = useState('');
  const [isParentHere, setParentHere] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [numberError, setNumberError] = useState<string | null>(null);
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
    if (isGrownUp === false && !number.trim() && !isParentHere) {
      setNumberError(`A number to call for somebody under ${ofAge}, or a parent who is in the room.`);
      return;
    }
    const id = randomId();
    const guest = { fallsKnown, age: isGrownUp ? ofAge : isGrownUp === false ? age : null };
    const contacts = number.trim() ? { ...NOBODY, emergencyPhone: number.trim() } : undefined;
    const body = { id, name: full, joined: training.date, guest, ...(contacts && { contacts }) };
    await record({ kind: 'guest', body }, `${full} visits`);
    if (isParentHere) parentIsHere(training.id, id);
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
      <SegmentedControl
        aria-label="How old"
        size="md"
        value={isGrownUp === null ? '' : String(isGrownUp)}
        onChange={(value) => setGrownUp(value === 'true')}
        data={[
          { value: 'true', label: 'Grown up' },
          { value: 'false', label: `Under ${ofAge}` },
        ]}
      />
      {isGrownUp === false && (
        <NumberInput
          aria-label="How old in years"
          placeholder="How old?"
          size="md"
          w={110}
          min={3}
          max={ofAge - 1}
          value={age ?? ''}
          onChange={(value) => setAge(value === '' ? null : Number(value))}
        />
      )}
      <Checkbox
        size="md"
        label="Can fall: I have seen it"
        checked={fallsKnown}
        onChange={(event) => setFalls(event.currentTarget.checked)}
      />
      <TextInput
        aria-label="Number to call"
        placeholder="Number to call"
        type="tel"
        size="md"
        maxLength={40}
        error={numberError}
        value={number}
        onChange={(event) => {
          setNumber(event.currentTarget.value);
          setNumberError(null);
        }}
      />
      {isGrownUp === false && !number.trim() && (
        <Checkbox
          size="md"
          label="A parent is in the room"
          checked={isParentHere}
          onChange={(event) => setParentHere(event.currentTarget.checked)}
        />
      )}
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
