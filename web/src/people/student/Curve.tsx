import type { Memory } from '../../api/types';
import { nth } from '../../ui/lists';
import { count, date, percent } from '../../ui/words';
import classes from './Curve.module.css';

const WIDTH = 320;
const HEIGHT = 128;
/** More dots than this are a line of their own. */
const MOST_DOTS = 20;
const LEFT = 44;
const FOOT = 20;
const DAY = 86_400_000;

const dayNumber = (iso: string) => Math.round(new Date(`${iso}T12:00:00`).getTime() / DAY);

const sessionsOf = (memory: Memory) => memory.days.filter((day) => day.counts);

/** What is left after so many days, 0 to 1. */
export const recall = (halfLife: number, days: number) => 2 ** (-Math.max(0, days) / halfLife);

/** From when on it was remembered, and how fast that fades: what was brought, and each session, in the order of their days. */
const anchors = (memory: Memory) => {
  const sessions = sessionsOf(memory).map((day) => ({ on: dayNumber(day.done.day), halfLife: day.halfLife }));
  const { brought } = memory;
  if (!brought) return sessions;
  const from = dayNumber(brought.on);
  return [
    ...sessions.filter((session) => session.on < from),
    { on: from, halfLife: brought.halfLife },
    ...sessions.filter((session) => session.on >= from),
  ];
};

/**
 * The points of a memory from its first session to today: it stands at 1 after a session and falls until the next. Days and
 * shares, not pixels.
 */
export function points(memory: Memory, today: string): { day: number; share: number }[] {
  const known = anchors(memory);
  const until = dayNumber(today);
  return known.flatMap((one, n) => {
    const from = one.on;
    const next = n + 1 < known.length ? nth(known, n + 1).on : until;
    const steps = Math.max(1, Math.min(24, next - from));
    return Array.from({ length: steps + 1 }, (_, step) => {
      const after = ((next - from) * step) / steps;
      return { day: from + after, share: recall(one.halfLife, after) };
    });
  });
}

/** How a thing was learned and forgotten, a line for each side; the two shelves are fresh and fading. */
export function Curve({ memory, today }: { memory: Memory[]; today: string }) {
  const lines = memory.map((side) => ({ side: side.side, at: points(side, today) }));
  const all = lines.flatMap((line) => line.at);
  if (all.length === 0) return null;
  const first = Math.min(...all.map((p) => p.day));
  const last = Math.max(dayNumber(today), first + 1);
  const x = (day: number) => LEFT + ((day - first) / (last - first)) * (WIDTH - LEFT - 4);
  const y = (share: number) => 4 + (1 - share) * (HEIGHT - FOOT - 4);
  const said = lines
    .filter((line) => line.at.length > 0)
    .map((line) => `${line.side.toLowerCase()} ${percent(nth(line.at, line.at.length - 1).share)}`)
    .join(', ');
  const begun = new Date(first * DAY).toISOString().slice(0, 10);
  return (
    <figure className={classes.curve}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={`Likely remembered today: ${said}`}>
        <rect x={LEFT} y={y(1)} width={WIDTH - LEFT - 4} height={y(0.8) - y(1)} className={classes.fresh} />
        <rect
          x={LEFT}
          y={y(0.8)}
          width={WIDTH - LEFT - 4}
          height={y(0.5) - y(0.8)}
          className={classes.fading}
        />
        <text x={0} y={y(0.9) + 4}>
          fresh
        </text>
        <text x={0} y={y(0.65) + 4}>
          fading
        </text>
        <text x={0} y={y(0.25) + 4}>
          rusty
        </text>
        <line x1={LEFT} x2={WIDTH - 4} y1={y(0)} y2={y(0)} className={classes.ground} />
        {lines.map((line) => (
          <polyline
            key={line.side}
            className={classes[line.side.toLowerCase()]}
            points={line.at.map((p) => `${x(p.day).toFixed(1)},${y(p.share).toFixed(1)}`).join(' ')}
          />
        ))}
        {memory.flatMap((side) =>
          sessionsOf(side)
            .filter((_, n, all) => all.length <= MOST_DOTS || n === all.length - 1)
            .map((day) => (
              <circle
                key={`${side.side}${day.done.day}`}
                cx={x(dayNumber(day.done.day))}
                cy={y(1)}
                r={side.side === 'RIGHT' ? 3.5 : 2}
                className={classes[`${side.side.toLowerCase()}Dot`]}
              />
            )),
        )}
        <text x={LEFT} y={HEIGHT - 4}>
          {date(begun)}
        </text>
        <text x={WIDTH - 4} y={HEIGHT - 4} textAnchor="end">
          today
        </text>
      </svg>
      <figcaption className="quiet">
        {memory.map((side) => {
          const sessions = sessionsOf(side);
          const half = anchors(side).at(-1)?.halfLife ?? 0;
          return (
            <span key={side.side} className={classes[`${side.side.toLowerCase()}Word`]}>
              {side.side.toLowerCase()}: {count(sessions.length, 'session', 'sessions')}
              {side.brought && `, from before since ${date(side.brought.on)}`}
              {half > 0 && `, half is gone after ${count(Math.round(half), 'day', 'days')}`}
            </span>
          );
        })}
      </figcaption>
    </figure>
  );
}
