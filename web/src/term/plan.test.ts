import { describe, expect, it } from 'vitest';
import type { GoalRow, Lesson, PlanView, TermPlan } from '../api/types';
import { nth } from '../ui/lists';
import { keptIn, moved, nextPlace, placed, swapped, swapsFor, takenOut, whyIn, withGoals } from './plan';

const lesson = (n: number, more: Partial<Lesson> = {}): Lesson => ({
  id: `tue-2026-03-${String(3 + 7 * n).padStart(2, '0')}`,
  slot: 'tue',
  date: `2026-03-${String(3 + 7 * n).padStart(2, '0')}`,
  start: '18:30',
  coach: null,
  week: '2026-03-02',
  minutes: 45,
  used: 0,
  over: false,
  own: false,
  cancelled: false,
  pinned: false,
  ...more,
});
const lessons = [lesson(0, { over: true }), lesson(1), lesson(2, { cancelled: true }), lesson(3)];
const row: GoalRow = {
  subject: 'sweep',
  name: 'Sweep',
  stage: 'LEGS_BETWEEN',
  must: true,
  fresh: true,
  week: null,
  at: [1, 3],
  kept: [],
  before: [0, 0, 0, 0.5],
  after: [0, 1, 0.5, 1],
  end: 0.9,
  first: 16,
  again: 10,
};
const plan: TermPlan = {
  id: 'p',
  term: 't',
  track: 'all',
  fresh: 2,
  minutes: 0,
  goals: [{ technique: 'sweep', chain: null, must: true, week: null, known: false }],
  placed: [{ goal: 'sweep', slot: 'tue', on: '2026-03-10', kept: false }],
};
const view = { plan, lessons, rows: [row] } as unknown as PlanView;

describe('a plan moved by hand', () => {
  it('goes to the next class that is open and has it not yet', () => {
    expect(nextPlace(view, { ...row, at: [1] }, 1, 1)).toBe(lessons[3]);
    expect(nextPlace(view, row, 1, 1)).toBeUndefined();
    expect(nextPlace(view, row, 1, -1)).toBeUndefined();
  });

  it('moves, adds, takes out and keeps, and nothing stands twice', () => {
    const later = moved(plan, 'sweep', nth(lessons, 1), nth(lessons, 3));
    expect(later.placed).toEqual([{ goal: 'sweep', slot: 'tue', on: '2026-03-24', kept: false }]);
    expect(placed(plan, 'sweep', nth(lessons, 1))).toBe(plan);
    expect(takenOut(plan, 'sweep', nth(lessons, 1)).placed).toEqual([]);
    expect(takenOut(plan, 'throw', nth(lessons, 1)).placed).toEqual(plan.placed);
    expect(nth(keptIn(plan, nth(lessons, 1), true).placed, 0).kept).toBe(true);
    expect(withGoals(plan, []).placed).toEqual([]);
  });

  it('swaps with what is in another open class, where neither is met already', () => {
    const there = { ...row, subject: 'throw', name: 'Throw', at: [3] };
    const here = { ...row, at: [1] };
    const rows = [
      here,
      there,
      { ...row, subject: 'both', at: [1, 3] },
      { ...row, subject: 'over', at: [0, 2] },
    ];
    const swaps = swapsFor({ ...view, rows }, here, 1);
    expect(swaps.map(({ lesson: one, other }) => `${one.date} ${other.subject}`)).toEqual([
      '2026-03-24 throw',
    ]);
    const both = placed(plan, 'throw', nth(lessons, 3));
    expect(swapped(both, 'sweep', nth(lessons, 1), 'throw', nth(lessons, 3)).placed).toEqual([
      { goal: 'sweep', slot: 'tue', on: '2026-03-24', kept: false },
      { goal: 'throw', slot: 'tue', on: '2026-03-10', kept: false },
    ]);
  });

  it('says why something stands in a class', () => {
    expect(whyIn(view, row, 1)).toBe('new');
    expect(whyIn(view, row, 3)).toBe('met 14 days before; 50 % likely there');
    expect(whyIn(view, { ...row, fresh: false, at: [3] }, 3)).toBe(
      'known before the term; 50 % likely there',
    );
  });
});
