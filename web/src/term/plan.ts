import type { Goal, GoalRow, Lesson, Placed, PlanView, TermPlan } from '../api/types';
import { nth } from '../ui/lists';

export const subjectOf = (goal: Goal) => goal.technique ?? goal.chain ?? '';

export const classOf = (placed: Placed) => `${placed.slot}-${placed.on}`;

/** Whether something may still be placed in a class by hand. */
export const isOpen = (lesson: Lesson) => !lesson.over && !lesson.cancelled && !lesson.own;

const samePlace = (subject: string, lesson: Lesson) => (one: Placed) =>
  one.goal === subject && classOf(one) === lesson.id;

export const withGoals = (plan: TermPlan, goals: Goal[]): TermPlan => {
  const subjects = new Set(goals.map(subjectOf));
  return { ...plan, goals, placed: plan.placed.filter((one) => subjects.has(one.goal)) };
};

/** The plan with an item met in one more class. */
export const placed = (plan: TermPlan, subject: string, lesson: Lesson): TermPlan =>
  plan.placed.some(samePlace(subject, lesson))
    ? plan
    : {
        ...plan,
        placed: [...plan.placed, { goal: subject, slot: lesson.slot, on: lesson.date, kept: false }],
      };

/** The plan without an item in a class. */
export const takenOut = (plan: TermPlan, subject: string, lesson: Lesson): TermPlan => ({
  ...plan,
  placed: plan.placed.filter((one) => !samePlace(subject, lesson)(one)),
});

/** The plan with an item in another class than before. */
export const moved = (plan: TermPlan, subject: string, from: Lesson, to: Lesson): TermPlan =>
  placed(takenOut(plan, subject, from), subject, to);

/** The plan with two items in each other's classes. */
export const swapped = (plan: TermPlan, one: string, here: Lesson, other: string, there: Lesson): TermPlan =>
  moved(moved(plan, one, here, there), other, there, here);

/** With what an item may change places: what stands in other open classes, where neither is met already. */
export const swapsFor = (view: PlanView, row: GoalRow, at: number) =>
  view.lessons.flatMap((lesson, n) =>
    n === at || !isOpen(lesson) || row.at.includes(n)
      ? []
      : rowsIn(view, n)
          .filter((other) => !other.at.includes(at))
          .map((other) => ({ lesson, other })),
  );

/** The plan with everything in a class kept there, or let go. */
export const keptIn = (plan: TermPlan, lesson: Lesson, kept: boolean): TermPlan => ({
  ...plan,
  placed: plan.placed.map((one) => (classOf(one) === lesson.id ? { ...one, kept } : one)),
});

/** The next class, earlier or later, that is open and in which the item is not met yet. */
export function nextPlace(view: PlanView, row: GoalRow, at: number, step: 1 | -1): Lesson | undefined {
  for (let n = at + step; n >= 0 && n < view.lessons.length; n += step)
    if (isOpen(nth(view.lessons, n)) && !row.at.includes(n)) return view.lessons[n];
  return undefined;
}

/** What is met in a class, the new ones last as on the sheet. */
export const rowsIn = (view: PlanView, at: number) => view.rows.filter((row) => row.at.includes(at));

/** Whether an item is met for the first time in a class. */
export const isNewIn = (row: GoalRow, at: number) => row.fresh && row.at[0] === at;

/** "new", or how long ago it was met and how likely it is still there. */
export function whyIn(view: PlanView, row: GoalRow, at: number): string {
  if (isNewIn(row, at)) return 'new';
  const before = row.at.filter((n) => n < at).at(-1);
  const likely = `${Math.round(100 * nth(row.before, at))} % likely there`;
  if (before === undefined) return `known before the term; ${likely}`;
  const days =
    (Date.parse(nth(view.lessons, at).date) - Date.parse(nth(view.lessons, before).date)) /
    (24 * 3600 * 1000);
  return `met ${Math.round(days)} days before; ${likely}`;
}

/** The weeks of a term by their Mondays. */
export const weeksOf = (view: PlanView) => [...new Set(view.lessons.map((lesson) => lesson.week))];
