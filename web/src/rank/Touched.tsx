import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useToday } from '../api/queries';
import type { Item, Rank, SyllabusLook } from '../api/types';
import { count } from '../ui/words';
import classes from './RankPage.module.css';

type Props = {
  rank: Rank;
  look: SyllabusLook;
  /** What an item is called. */
  called: (item: Item) => string;
  /** Keeps it, for all or for whoever gets the rank from a day on. */
  onKeep: (from?: string) => void;
  onLeave: () => void;
};

const named = ({ names, of }: SyllabusLook['touches'][number]) =>
  names.join(', ') + (of > names.length ? ` and ${of - names.length} more` : '');

/** So many are read at a glance. */
const FIRST = 6;

type LinesProps = { touches: SyllabusLook['touches']; of: number; called: (item: Item) => string };

/** Whom it gives or takes what, a line each. */
export function TouchLines({ touches, of, called }: LinesProps) {
  return (
    <ul>
      {touches.map((touch) => (
        <li key={`${touch.gives} ${touch.item.id}`}>
          <strong>
            {touch.of} of {of} {lacks(touch)} {called(touch.item)}
          </strong>
          : {named(touch)}
        </li>
      ))}
    </ul>
  );
}

const lacks = ({ of, gives }: SyllabusLook['touches'][number]) =>
  gives ? (of === 1 ? 'now lacks' : 'now lack') : of === 1 ? 'no longer lacks' : 'no longer lack';

/** Whom a change touches, said before it is kept; what was promoted, marked and decided stays. */
export function Touched({ rank, look, called, onKeep, onLeave }: Props) {
  const today = useToday();
  const [day, setDay] = useState(today);
  return (
    <section role="alert" className={classes.touched} aria-label="Whom this touches">
      <h2>
        {look.touched} of {count(look.wearers, 'student', 'students')} on {rank.name} would notice
      </h2>
      <TouchLines touches={look.touches.slice(0, FIRST)} of={look.wearers} called={called} />
      {look.touches.length > FIRST && (
        <details>
          <summary>and {count(look.touches.length - FIRST, 'more thing', 'more things')}</summary>
          <TouchLines touches={look.touches.slice(FIRST)} of={look.wearers} called={called} />
        </details>
      )}
      <p className="quiet">No promotion, mark or decision of the past changes.</p>
      <div className={classes.acts}>
        <Button autoFocus onClick={() => onKeep()}>
          Keep the change
        </Button>
        <Button variant="default" onClick={onLeave}>
          Leave it as it was
        </Button>
      </div>
      <form
        className={classes.acts}
        onSubmit={(event) => {
          event.preventDefault();
          onKeep(day);
        }}
      >
        <TextInput
          label="Or only for belts given from"
          type="date"
          required
          value={day}
          onChange={(event) => setDay(event.currentTarget.value)}
        />
        <Button type="submit" variant="default" disabled={!day} className={classes.later}>
          Begin a new syllabus
        </Button>
      </form>
    </section>
  );
}
