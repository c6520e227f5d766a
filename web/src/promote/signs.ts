import type { OnBank, Sign } from '../api/types';

/** What stands on a flag, and what it says; the most pressing first. */
export const SIGNS: Record<Sign, { mark: string; says: string }> = {
  HELD: { mark: '‖', says: 'held back' },
  PUT_FORWARD: { mark: '✓', says: 'put forward' },
  PASSED_OVER: { mark: '!', says: 'passed over twice' },
  READY: { mark: '✓', says: 'on the lip' },
  BY_WINDOW: { mark: '↗', says: 'there by the window' },
  ON_THE_WAY: { mark: '', says: 'on the way' },
};

/** How many flags carry each sign. */
export const counted = (standing: OnBank[]) => {
  const counts = new Map<Sign, number>();
  for (const { flag } of standing) counts.set(flag.sign, (counts.get(flag.sign) ?? 0) + 1);
  return counts;
};

/** Above so many on one bank the board opens as its table. */
export const CROWDED = 20;

/** Of a crowded bank those whom something presses; how many others stand there is said as a number. */
export const folded = (standing: OnBank[], most = CROWDED / 2) => {
  const byRank = new Map<string, OnBank[]>();
  for (const one of standing) byRank.set(one.flag.rank, [...(byRank.get(one.flag.rank) ?? []), one]);
  const shown: OnBank[] = [];
  const more = new Map<string, number>();
  for (const [rank, all] of byRank) {
    const few =
      all.length <= CROWDED ? all : all.filter(({ flag }) => flag.sign !== 'ON_THE_WAY').slice(0, most);
    shown.push(...few);
    if (few.length < all.length) more.set(rank, all.length - few.length);
  }
  return { shown, more };
};

/** Whether the hill can be read: no bank carries too many. */
export const fits = (standing: OnBank[]) => {
  const banks = new Map<string, number>();
  for (const { flag } of standing) banks.set(flag.rank, (banks.get(flag.rank) ?? 0) + 1);
  return [...banks.values()].every((n) => n <= CROWDED);
};
