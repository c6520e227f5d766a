import { expect, it } from 'vitest';
import { daysOf } from './chart';

it('has a box for each day of the month', () => {
  expect(daysOf('2026-11')).toHaveLength(30);
  expect(daysOf('2028-02').at(-1)).toBe(29);
  expect(daysOf('2026-12')).toHaveLength(31);
});
