import { type KeyboardEvent, useEffect, useRef } from 'react';
import type { CycleView } from '../../api/types';
import { nth } from '../../ui/lists';
import { date, mondayOf, weekday } from '../../ui/words';
import classes from './Cycle.module.css';
import { bears, nextOf } from './themes';

type Props = {
  view: CycleView;
  n: number;
  isChosen: boolean;
  onChoose?: () => void;
  onMove?: (subject: string, name: string, from: number, to: number) => void;
  onShift?: (subject: string, name: string, n: number, step: -1 | 1) => void;
};

/** One theme week: when it is next, what it shows on which day, and whether its classes bear it. */
export function ThemeCard({ view, n, isChosen, onChoose, onMove, onShift }: Props) {
  const theme = nth(view.themes, n);
  const next = nextOf(view, n);
  const isNow = next?.monday === mondayOf(view.today);
  const card = useRef<HTMLLIElement>(null);
  const isLookedAt = isChosen || isNow;
  useEffect(() => {
    if (isLookedAt) card.current?.scrollIntoView({ block: 'nearest' });
  }, [isLookedAt]);
  const room = bears(view);
  const notes = view.notes.filter((note) => note.theme === n);
  const dayOf = (subject: string) =>
    next?.classes.find((one) => one.shown.some((shown) => shown.first && shown.subject === subject))?.date;
  const onKey = (event: KeyboardEvent, subject: string, name: string) => {
    const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -1, ArrowDown: 1 }[event.key] as -1 | 1 | undefined;
    if (!step) return;
    const isAcross = event.key === 'ArrowLeft' || event.key === 'ArrowRight';
    if (isAcross && !onMove) return;
    if (!isAcross && !onShift) return;
    event.preventDefault();
    if (isAcross) onMove?.(subject, name, n, n + step);
    else onShift?.(subject, name, n, step);
  };
  return (
    <li ref={card} className={classes.card} data-now={isNow || undefined} data-chosen={isChosen || undefined}>
      <button
        type="button"
        className={classes.head}
        aria-pressed={isChosen}
        disabled={!onChoose}
        onClick={onChoose}
      >
        <b>{n + 1}</b>
        <span>{theme.name}</span>
        <small>
          {next ? (isNow ? 'this week' : `week of ${date(next.monday).slice(4)}`) : 'no class to come'}
        </small>
      </button>
      <ul>
        {theme.subjects.map((one) => {
          const day = dayOf(one.subject);
          return (
            <li key={one.subject}>
              {onMove ? (
                <button
                  type="button"
                  onKeyDown={(event) => onKey(event, one.subject, one.name)}
                  onClick={onChoose}
                >
                  {one.name}
                </button>
              ) : (
                <span>{one.name}</span>
              )}
              {/* Which day shows it, where the week has more than one class. */}
              {next && next.classes.length > 1 && (
                <small data-none={!day || undefined}>{day ? weekday(day).slice(0, 3) : 'no room'}</small>
              )}
            </li>
          );
        })}
        {theme.subjects.length === 0 && <li className="quiet">nothing yet</li>}
      </ul>
      <p className={classes.minutes} data-over={theme.minutes > room || undefined}>
        <i style={{ width: `${Math.min(100, room === 0 ? 0 : (100 * theme.minutes) / room)}%` }} />
        {theme.minutes} of {room} min
        {notes.length > 0 && (
          <em title={notes.map((note) => note.sentence).join(' ')}>{notes.length} to mind</em>
        )}
      </p>
    </li>
  );
}
