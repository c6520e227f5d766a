import { expect, it } from 'vitest';
import { ageOn, footFor, isFoot } from './foot';

const ladder = (id: string, fromAge: number, toAge: number, ...ranks: string[]) => ({
  ladder: { id, fromAge, toAge, ranks: ranks.map((rank) => ({ id: rank })) },
});
const views = [
  ladder('adult', 16, 0, 'white', 'blue'),
  ladder('junior', 5, 15, 'j-white'),
  ladder('bare', 0, 0),
];

it('begins at the foot of the ladder that is for their age', () => {
  expect(footFor(views, 9)).toEqual({ ladder: 'junior', rank: 'j-white' });
  expect(footFor(views, 15)).toEqual({ ladder: 'junior', rank: 'j-white' });
  expect(footFor(views, 16)).toEqual({ ladder: 'adult', rank: 'white' });
  expect(footFor(views, null)).toEqual({ ladder: 'adult', rank: 'white' });
  expect(footFor(views, 3)).toEqual({ ladder: 'adult', rank: 'white' });
  expect(footFor([ladder('bare', 0, 0)], 9)).toBeNull();
});

it('knows a rank that nobody chose', () => {
  expect(isFoot(views, { ladder: 'adult', rank: 'white' })).toBe(true);
  expect(isFoot(views, { ladder: 'adult', rank: 'blue' })).toBe(false);
  expect(isFoot(views, { ladder: 'bare', rank: '' })).toBe(false);
});

it('counts whole years', () => {
  expect([ageOn('2016-11-24', '2026-11-24'), ageOn('2016-11-25', '2026-11-24')]).toEqual([10, 9]);
});
