import { Button, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useOfAge } from '../../api/club';
import { useCalls } from '../../api/pairs';
import type { ClassSheet, Name } from '../../api/types';
import { useRecord, useWaiting } from '../../record/Recording';
import { useNotices } from '../../ui/Notices';
import { openOf, parentIsHere, parentsHere } from './guests';
import classes from './MatPage.module.css';

type Props = { sheet: ClassSheet; people: Name[] };

/** What guests who are here have not said yet: a touch each. Until then nobody throws them, and they go not live. */
export function GuestsAsked({ sheet, people }: Props) {
  const { id } = sheet.training;
  const calls = useCalls(id);
  const [parents, setParents] = useState(() => parentsHere(id));
  const waiting = useWaiting();
  const said = waiting.flatMap((one) =>
    one.kind === 'answer' && one.body.number
      ? [one.body.student]
      : one.kind === 'guest' && one.body.contacts
        ? [one.body.id]
        : [],
  );
  const here = new Set(sheet.attendance.map((one) => one.student));
  const ofAge = useOfAge();
  const open = openOf(
    people.filter((one) => here.has(one.id)),
    calls.data ?? [],
    new Set([...parents, ...said]),
    ofAge,
  );
  if (open.length === 0 || (calls.isPending && !calls.data)) return null;
  return (
    <ul className={classes.asked} aria-label="To ask guests">
      {open.map(({ person, ...asks }) => (
        <Asked
          key={person.id}
          person={person}
          asks={asks}
          onParent={() => setParents(parentIsHere(id, person.id))}
        />
      ))}
    </ul>
  );
}

type AskedProps = {
  person: Name;
  asks: { age: boolean; falls: boolean; number: boolean };
  onParent: () => void;
};

function Asked({ person, asks, onParent }: AskedProps) {
  const record = useRecord();
  const say = useNotices();
  const ofAge = useOfAge();
  const [isYoung, setYoung] = useState(false);
  const [age, setAge] = useState<number | null>(null);
  const [number, setNumber] = useState('');
  const answer = (said: { age?: number; fallsKnown?: boolean; number?: string }, words: string) =>
    record(
      { kind: 'answer', body: { student: person.id, ...said } },
      `${person.calledBy}: ${words}`,
      person.id,
    )
      .then(() => say.done(`${person.calledBy}: ${words}.`))
      .catch(say.failed);
  return (
    <li>
      <strong>{person.calledBy}</strong>
      {asks.age && !isYoung && (
        <>
          <Button size="md" variant="default" onClick={() => answer({ age: ofAge }, 'grown up')}>
            Grown up
          </Button>
          <Button size="md" variant="default" onClick={() => setYoung(true)}>
            Under {ofAge}
          </Button>
        </>
      )}
      {asks.age && isYoung && (
        <>
          <NumberInput
            aria-label={`How old is ${person.calledBy}?`}
            placeholder="How old?"
            size="md"
            w={110}
            min={3}
            max={ofAge - 1}
            value={age ?? ''}
            onChange={(value) => setAge(value === '' ? null : Number(value))}
          />
          <Button
            size="md"
            disabled={age === null || age < 3 || age >= ofAge}
            onClick={() => age !== null && answer({ age }, `${age} years old`)}
          >
            Keep it
          </Button>
        </>
      )}
      {asks.falls && (
        <Button size="md" variant="default" onClick={() => answer({ fallsKnown: true }, 'can fall')}>
          Can fall: I have seen it
        </Button>
      )}
      {asks.number && (
        <>
          <TextInput
            aria-label={`Number to call about ${person.calledBy}`}
            placeholder={`Under ${ofAge}: a number to call`}
            type="tel"
            size="md"
            maxLength={40}
            value={number}
            onChange={(event) => setNumber(event.currentTarget.value)}
          />
          <Button
            size="md"
            disabled={!number.trim()}
            onClick={() => answer({ number: number.trim() }, 'there is a number to call')}
          >
            Keep it
          </Button>
          <Button size="md" variant="default" onClick={onParent}>
            A parent is in the room
          </Button>
        </>
      )}
    </li>
  );
}
