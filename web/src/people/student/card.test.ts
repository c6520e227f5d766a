import { describe, expect, it } from 'vitest';
import type { Been, Ladder, Promotion } from '../../api/types';
import { dotsOf } from './card';

const ladder = (oneClassADay: boolean) =>
  ({ id: 'adult', tracks: ['basics'], policy: { oneClassADay } }) as unknown as Ladder;
const been = (date: string, part: Partial<Been> = {}) =>
  ({
    id: `a-${date}${part.track ?? ''}`,
    date,
    track: 'basics',
    cancelled: false,
    trial: false,
    ...part,
  }) as Been;
const stripe = (date: string, stripes: number, part: Partial<Promotion> = {}) =>
  ({ ladder: 'adult', from: 'white', to: 'white', date, stripes, fromBefore: false, ...part }) as Promotion;

describe('the card', () => {
  it('has a dot for each class that counts since the rank', () => {
    const all = [
      been('2026-01-01'),
      been('2026-02-01'),
      been('2026-02-01', { id: 'second' }),
      been('2026-02-08', { cancelled: true }),
      been('2026-02-09', { trial: true }),
      been('2026-02-10', { track: 'other' }),
      been('2026-02-11'),
    ];
    expect(dotsOf(ladder(true), '2026-02-01', all, []).map((dot) => dot.day)).toEqual([
      '2026-02-01',
      '2026-02-11',
    ]);
    expect(dotsOf(ladder(false), '2026-02-01', all, [])).toHaveLength(3);
  });

  it('colours the class after which a stripe was given', () => {
    const all = [been('2026-02-01'), been('2026-02-08'), been('2026-02-15')];
    const given = [
      stripe('2026-02-10', 1),
      stripe('2026-02-15', 2),
      stripe('2026-02-02', 3, { to: 'yellow' }),
    ];
    expect(dotsOf(ladder(false), '2026-02-01', all, given).map((dot) => dot.stripe)).toEqual([null, 1, 2]);
  });
});
