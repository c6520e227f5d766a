import { type PointerEvent, useRef, useState } from 'react';
import type { GoalRow, Lesson, PlanView } from '../api/types';
import { nth } from '../ui/lists';
import { date } from '../ui/words';
import classes from './Field.module.css';
import { isNewIn, isOpen, nextPlace } from './plan';

/** How far a pointer goes before it is a drag and no touch, in pixels. */
const STEP = 6;

type Props = {
  view: PlanView;
  row: GoalRow;
  n: number;
  /** Where a class stands on the strip, in percent. */
  x: (n: number) => number;
  isChosen: boolean;
  onChoose: () => void;
  /** Moves it to another class; missing where nothing is moved. */
  onMove?: (to: Lesson) => void;
};

/** One class in which an item is met: chosen by touch, moved by key or dragged along its strip. */
export function Mark({ view, row, n, x, isChosen, onChoose, onMove }: Props) {
  const lesson = nth(view.lessons, n);
  const isSown = isNewIn(row, n);
  const moves = onMove && isOpen(lesson);
  const from = useRef<number | null>(null);
  const wasDragged = useRef(false);
  const [to, setTo] = useState<number | null>(null);
  const end = () => {
    from.current = null;
    setTo(null);
  };
  const drag = (event: PointerEvent<HTMLButtonElement>) => {
    const strip = event.currentTarget.parentElement?.getBoundingClientRect();
    if (from.current === null || !strip || Math.abs(event.clientX - from.current) < STEP) return;
    wasDragged.current = true;
    const at = Math.floor(((event.clientX - strip.x) / strip.width) * view.lessons.length);
    const there = view.lessons[at];
    setTo(there && isOpen(there) && !row.at.includes(at) ? at : null);
  };
  return (
    <button
      type="button"
      className={classes.mark}
      style={{ left: `${x(to ?? n)}%` }}
      data-sown={isSown || undefined}
      data-over={lesson.over || undefined}
      data-kept={row.kept.includes(n) || undefined}
      data-moves={moves || undefined}
      data-to={to === null ? undefined : date(nth(view.lessons, to).date).slice(0, 10)}
      aria-pressed={isChosen}
      aria-label={`${row.name} ${isSown ? 'new' : 'again'} on ${date(lesson.date)}`}
      onClick={() => !wasDragged.current && onChoose()}
      onPointerDown={(event) => {
        wasDragged.current = false;
        if (!moves) return;
        from.current = event.clientX;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={drag}
      onPointerUp={() => {
        if (to !== null) onMove?.(nth(view.lessons, to));
        end();
      }}
      onPointerCancel={end}
      onKeyDown={(event) => {
        if (!moves || (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight')) return;
        event.preventDefault();
        const next = nextPlace(view, row, n, event.key === 'ArrowRight' ? 1 : -1);
        if (next) onMove(next);
      }}
    />
  );
}
