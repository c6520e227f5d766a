import type { Block } from '../../api/types';

/** A block as the clock sees it: how long it is, and how often partners change in it. */
export type Stretch = { id: string; seconds: number; swaps: number };

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
  /** Seconds to the next change of partners; null: none comes any more. */
  swapIn: number | null;
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

/** When partners change, in seconds from the start of the block: at even distances. */
export const swapsOf = ({ swaps }: Stretch, seconds: number) =>
  Array.from({ length: swaps }, (_, n) => Math.round((seconds * (n + 1)) / (swaps + 1)));

export function dialOf(clock: Clock, stretches: Stretch[], now: number): Dial {
  const here = stretches[clock.at] ?? { id: '', seconds: 0, swaps: 0 };
  const seconds = here.seconds + clock.extra;
  const elapsed = Math.floor(spentMs(clock, now) / 1000);
  const next = swapsOf(here, seconds).find((second) => second > elapsed);
  return {
    left: seconds - elapsed,
    elapsed,
    seconds,
    runs: clock.since !== null,
    begun: isBegun(clock),
    swapIn: next === undefined ? null : next - elapsed,
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

export type Bell = 'swap' | 'end';

/** Which bell is to ring between two looks at the clock; the end of a block is louder than a change. */
export function bellBetween(clock: Clock, stretches: Stretch[], from: number, to: number): Bell | null {
  if (clock.since === null) return null;
  const before = dialOf(clock, stretches, from);
  const after = dialOf(clock, stretches, to);
  if (before.left > 0 && after.left <= 0) return 'end';
  const here = stretches[clock.at];
  if (!here) return null;
  const passed = swapsOf(here, after.seconds).some(
    (second) => second > before.elapsed && second <= after.elapsed,
  );
  return passed ? 'swap' : null;
}

/** 3:12, and −0:07 when it is over. */
export function digits(seconds: number): string {
  const s = Math.abs(seconds);
  return `${seconds < 0 ? '+' : ''}${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
}

export const stretchesOf = (blocks: Block[]): Stretch[] =>
  blocks.map(({ id, minutes, dose }) => ({ id, seconds: minutes * 60, swaps: dose?.swaps ?? 0 }));
