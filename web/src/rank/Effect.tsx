import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useToday } from '../api/mat';
import type { Item, Ladder, RankLook, SyllabusLook } from '../api/types';
import { count } from '../ui/words';
import classes from './RankPage.module.css';

type Touch = RankLook['touches'][number];

const named = ({ names, of }: Touch) =>
  names.join(', ') + (of > names.length ? ` and ${of - names.length} more` : '');

/** So many are read at a glance. */
const FIRST = 6;

type LinesProps = { touches: Touch[]; of: number; called: (item: Item) => string };

/** Whom it gives or takes what, a line each. */
export function TouchLines({ touches, of, called }: LinesProps) {
  const line = (touch: Touch) => (
    <li key={`${touch.gives} ${touch.item.id}`}>
      <strong>
        {touch.of} of {of} {lacks(touch)} {called(touch.item)}
      </strong>
      : {named(touch)}
    </li>
  );
  return (
    <>
      <ul>{touches.slice(0, FIRST).map(line)}</ul>
      {touches.length > FIRST && (
        <details>
          <summary>and {count(touches.length - FIRST, 'more thing', 'more things')}</summary>
          <ul>{touches.slice(FIRST).map(line)}</ul>
        </details>
      )}
    </>
  );
}

const lacks = ({ of, gives }: Touch) =>
  gives ? (of === 1 ? 'now lacks' : 'now lack') : of === 1 ? 'no longer lacks' : 'no longer lack';

type DoneProps = { ladder: Ladder; rank: string; look: SyllabusLook };

/** What a change opens and closes, and what it does to the time, a line each. */
export function OpenedClosed({ ladder, rank, look }: DoneProps) {
  const name = (id: string) => ladder.ranks.find((one) => one.id === id)?.name;
  const where = (at: string) => (at === rank ? '' : `${name(at)}: `);
  const said = ({ rank: at, finding }: SyllabusLook['opened'][number]) =>
    finding.sentence.startsWith(`${name(at)}:`) ? finding.sentence : where(at) + finding.sentence;
  const time = look.ranks.filter((one) => Math.round(one.after) !== Math.round(one.before));
  return (
    <ul>
      {look.closed.map((found) => (
        <li key={`c ${found.rank} ${found.finding.sentence}`}>
          <strong>Closed</strong> {said(found)}
        </li>
      ))}
      {look.opened.map((found) => (
        <li key={`o ${found.rank} ${found.finding.sentence}`}>
          <strong>Opened</strong> {said(found)}
        </li>
      ))}
      {look.closed.length + look.opened.length === 0 && <li>It fits: nothing opened, nothing closed.</li>}
      {time.map((one) => (
        <li key={one.rank}>
          {where(one.rank)}
          {one.after > one.before ? 'Takes' : 'Saves'} about{' '}
          {Math.abs(Math.round(one.after) - Math.round(one.before))} minutes of teaching; now{' '}
          {Math.round(one.after)}
          {one.available > 0 && ` of ${Math.round(one.available)}`}.
        </li>
      ))}
    </ul>
  );
}

type Props = {
  ladder: Ladder;
  /** Id of the rank that is looked at. */
  rank: string;
  /** What is about to be done: "Move Straight arm lock to Green". */
  what: string;
  look: SyllabusLook;
  /** What an item is called. */
  called: (item: Item) => string;
  /** Keeps it, for all or for those who get the rank from a day on. */
  onKeep: (from?: string) => void;
  onLeave: () => void;
};

/** What a change does, and whom it touches, said before it is kept; what was promoted, marked and decided stays. */
export function Effect({ ladder, rank, what, look, called, onKeep, onLeave }: Props) {
  const today = useToday();
  const [day, setDay] = useState(today);
  const touched = look.ranks.filter((one) => one.touches.length > 0);
  const nameOf = (id: string) => ladder.ranks.find((one) => one.id === id)?.name;
  return (
    <section role="alert" className={classes.touched} aria-label="What it would do">
      <h2>{what.replace(/\.$/, '')}</h2>
      {touched.map((one) => (
        <div key={one.rank}>
          <h3>
            {one.touched} of {count(one.wearers, 'student', 'students')} on {nameOf(one.rank)} would notice
          </h3>
          <TouchLines touches={one.touches} of={one.wearers} called={called} />
        </div>
      ))}
      {touched.length === 0 && <p>Nobody lacks more or less than before.</p>}
      <OpenedClosed {...{ ladder, rank, look }} />
      {touched.length > 0 && <p className="quiet">No promotion, mark or decision of the past changes.</p>}
      <div className={classes.acts}>
        <Button autoFocus onClick={() => onKeep()}>
          Keep the change
        </Button>
        <Button variant="default" onClick={onLeave}>
          Leave it as it was
        </Button>
      </div>
      {touched.length > 0 && (
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
      )}
    </section>
  );
}
