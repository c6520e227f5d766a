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

/** Whether the hill can be read: no bank carries too many. */
export const fits = (standing: OnBank[]) => {
  const banks = new Map<string, number>();
  for (const { flag } of standing) banks.set(flag.rank, (banks.get(flag.rank) ?? 0) + 1);
  return [...banks.values()].every((n) => n <= CROWDED);
};
