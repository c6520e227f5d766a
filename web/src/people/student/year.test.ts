import { describe, expect, it } from 'vitest';
import type { Memory } from '../../api/types';
import { nth } from '../../ui/lists';
import { points, recall } from './Curve';
import { monthsOf, yearOf } from './year';

describe('a year on the mat', () => {
  it('begins on a Monday, ends today and counts what took place', () => {
    const squares = yearOf('2026-11-24', [
      { date: '2026-11-24', cancelled: false },
      { date: '2026-11-24', cancelled: false },
      { date: '2026-11-23', cancelled: true },
    ]);
    expect(squares[0]).toEqual({ day: '2025-11-24', week: 0, weekday: 0, classes: 0 });
    expect(squares.at(-1)).toEqual({ day: '2026-11-24', week: 52, weekday: 1, classes: 2 });
    expect(squares.at(-2)?.classes).toBe(0);
    expect(squares).toHaveLength(366);
    expect(monthsOf(squares)[0]).toEqual({ week: 1, day: '2025-12-01' });
  });
});

describe('the curve of a memory', () => {
  const done = (day: string) => ({ day }) as Memory['days'][number]['done'];
  const memory = {
    side: 'RIGHT',
    days: [
      { done: done('2026-01-05'), counts: true, recall: 0, halfLife: 7 },
      { done: done('2026-01-08'), counts: false, recall: 0.7, halfLife: 7 },
      { done: done('2026-01-12'), counts: true, recall: 0.5, halfLife: 12.6 },
    ],
  } as Memory;

  it('falls by half in a half-life, and stands at one after a session', () => {
    expect(recall(7, 7)).toBe(0.5);
    const line = points(memory, '2026-01-26');
    expect(nth(line, 0).share).toBe(1);
    expect(nth(line, 7).share).toBeCloseTo(0.5, 9);
    expect(line[8]).toEqual({ day: nth(line, 7).day, share: 1 });
    expect(line.at(-1)?.share).toBeCloseTo(0.4629, 4);
    expect((line.at(-1)?.day ?? 0) - nth(line, 0).day).toBe(21);
  });
});
