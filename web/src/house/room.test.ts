import { expect, it } from 'vitest';
import { pairsThatThrow } from './room';

it('counts whole squares', () => {
  expect(pairsThatThrow(12, 10, 4)).toBe(6);
  expect(pairsThatThrow(3.9, 12, 4)).toBe(0);
  expect(pairsThatThrow(7.2, 4.8, 2.4)).toBe(6);
  expect(pairsThatThrow(12, 10, 0)).toBe(0);
});
