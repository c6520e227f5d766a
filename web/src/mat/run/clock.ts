import type { Block } from '../../api/types';
import { roundsIn } from '../plan/plan';

/** A block as the clock sees it. Seconds; `work` 0: it is not made of rounds. */
export type Stretch = {
  id: string;
  seconds: number;
  swaps: number;
  explain: number;
  work: number;
  rest: number;
};

/** What is going on within a block. */
export type Phase = 'explain' | 'work' | 'swap' | 'rest';

/** Changing partners takes so long; as the dose has it. */
const SWAP = 12;

/**
 * An evening's clock. Everything is worked out from when it was started, so that it is right after any time in a hidden
 * window and after a reload. Times are milliseconds.
 *
 * `at`: which block; `since`: since when it runs, null while it stands; `spent`: time in this block before that; `extra`:
 * seconds added to this block; `before`: time spent in the blocks before, by their place.
 */
export type Clock = { at: number; since: number | null; spent: number; extra: number; before: number[] };

export const NOT_BEGUN: Clock = { at: 0, since: null, spent: 0, extra: 0, before: [] };

/** What stands on the dial. Seconds; `left` goes below 0 when a block is over its time. */
export type Dial = {
  left: number;
  elapsed: number;
  seconds: number;
  runs: boolean;
  begun: boolean;
  phase: Phase;
  /** What comes next and in how many seconds; null: nothing but the end. */
  next: { phase: Phase; in: number } | null;
  /** Which round it is, and of how many; null where the block is one. */
  round: { is: number; of: number } | null;
  /** How much of the evening's strip is ploughed, block by block, 0 to 1. */
  ploughed: number[];
};

const spentMs = (clock: Clock, now: number) =>
  clock.spent + (clock.since === null ? 0 : Math.max(0, now - clock.since));

export const isBegun = (clock: Clock) => clock.since !== null || clock.spent > 0 || clock.at > 0;

export const started = (clock: Clock, now: number): Clock =>
  clock.since === null ? { ...clock, since: now } : clock;

export const paused = (clock: Clock, now: number): Clock => ({
  ...clock,
  spent: spentMs(clock, now),
  since: null,
});

/** A minute more for this block. */
export const longer = (clock: Clock): Clock => ({ ...clock, extra: clock.extra + 60 });

/** The next block, or the one before; the clock runs on if it ran. */
export function turned(clock: Clock, to: number, blocks: number, now: number): Clock {
  const at = Math.max(0, Math.min(blocks - 1, to));
  if (at === clock.at) return clock;
  const before = [...clock.before];
  before[clock.at] = spentMs(clock, now);
  return { at, since: clock.since === null ? null : now, spent: 0, extra: 0, before };
}

/** When partners change, in seconds from the start of the block: after each round, or at even distances of the drilling. */
export function swapsOf({ swaps, explain, work, rest }: Stretch, seconds: number) {
  if (work > 0)
    return Array.from(
      { length: Math.max(0, roundsIn({ work, rest }, seconds) - 1) },
      (_, n) => (n + 1) * (work + rest) - rest,
    );
  const drilled = Math.max(0, seconds - explain);
  return Array.from({ length: swaps }, (_, n) =>
    Math.round(seconds - drilled + (drilled * (n + 1)) / (swaps + 1)),
  );
}

/** What goes on from which second of a block. */
function turnsOf(stretch: Stretch, seconds: number): { at: number; phase: Phase }[] {
  const { explain, work, rest } = stretch;
  const swaps = swapsOf(stretch, seconds);
  if (work > 0) {
    const over = roundsIn(stretch, seconds) * (work + rest) - rest;
    return [
      { at: 0, phase: 'work' },
      ...swaps.flatMap((at): { at: number; phase: Phase }[] =>
        rest > 0
          ? [
              { at, phase: 'rest' },
              { at: at + rest, phase: 'work' },
            ]
          : [{ at, phase: 'swap' }],
      ),
      ...(over > 0 && over < seconds ? [{ at: over, phase: 'rest' as const }] : []),
    ];
  }
  return [
    ...(explain > 0 ? [{ at: 0, phase: 'explain' as const }] : []),
    { at: Math.min(explain, seconds), phase: 'work' },
    ...swaps.flatMap((at): { at: number; phase: Phase }[] => [
      { at, phase: 'swap' },
      { at: at + SWAP, phase: 'work' },
    ]),
  ];
}

function roundAt({ work, rest }: Stretch, seconds: number, elapsed: number) {
  const of = roundsIn({ work, rest }, seconds);
  return { is: Math.max(1, Math.min(of, Math.floor(elapsed / (work + rest)) + 1)), of };
}

const NO_BLOCK: Stretch = { id: '', seconds: 0, swaps: 0, explain: 0, work: 0, rest: 0 };

export function dialOf(clock: Clock, stretches: Stretch[], now: number): Dial {
  const here = stretches[clock.at] ?? NO_BLOCK;
  const seconds = here.seconds + clock.extra;
  const elapsed = Math.floor(spentMs(clock, now) / 1000);
  const turns = turnsOf(here, seconds);
  const next = turns.find((turn) => turn.at > elapsed && turn.at < seconds);
  return {
    left: seconds - elapsed,
    elapsed,
    seconds,
    runs: clock.since !== null,
    begun: isBegun(clock),
    phase: turns.findLast((turn) => turn.at <= elapsed)?.phase ?? 'work',
    next: next === undefined ? null : { phase: next.phase, in: next.at - elapsed },
    round: here.work > 0 ? roundAt(here, seconds, elapsed) : null,
    ploughed: stretches.map((stretch, n) =>
      n === clock.at
        ? Math.min(1, elapsed / Math.max(1, seconds))
        : n < clock.at
          ? (clock.before[n] ?? 0) > 0
            ? Math.min(1, (clock.before[n] ?? 0) / 1000 / stretch.seconds)
            : 0
          : 0,
    ),
  };
}

/** `go`: a round begins; `stop`: it is over. */
export type Bell = 'swap' | 'end' | 'go' | 'stop';

/** Which bell is to ring between two looks at the clock; the end of a block is louder than all else. */
export function bellBetween(clock: Clock, stretches: Stretch[], from: number, to: number): Bell | null {
  if (clock.since === null) return null;
  const before = dialOf(clock, stretches, from);
  const after = dialOf(clock, stretches, to);
  if (before.left > 0 && after.left <= 0) return 'end';
  const here = stretches[clock.at];
  if (!here) return null;
  const passed = turnsOf(here, after.seconds).filter(
    (turn) => turn.at > before.elapsed && turn.at <= after.elapsed,
  );
  if (passed.some((turn) => turn.phase === 'swap')) return 'swap';
  if (here.work === 0 || passed.length === 0) return null;
  return passed.at(-1)?.phase === 'rest' ? 'stop' : 'go';
}

/** What stands large: in rounds what is left of the round or the rest, else of the block. */
export const faceOf = ({ round, next, left }: Dial) => (round && next && left > 0 ? next.in : left);

/** 3:12, and −0:07 when it is over. */
export function digits(seconds: number): string {
  const s = Math.abs(seconds);
  return `${seconds < 0 ? '+' : ''}${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
}

export const stretchesOf = (blocks: Block[]): Stretch[] =>
  blocks.map(({ id, minutes, dose, work, rest }) => ({
    id,
    seconds: minutes * 60,
    swaps: dose?.swaps ?? 0,
    explain: dose?.explain ?? 0,
    work,
    rest,
  }));
