import type { Readiness } from '../api/types';
import { count, date } from '../ui/words';

/** What is missing for the next rank, in one line: the first things and how many more. */
export function missing({ conditions }: Readiness, most = 2): string {
  const open = conditions.filter((condition) => !condition.met);
  const said = open.slice(0, most).map((condition) => {
    if (condition.code === 'SYLLABUS') return `${condition.label} ${condition.have} of ${condition.need}`;
    if (condition.code === 'CLASSES' || condition.code === 'TIME_IN_RANK') return condition.missing;
    return condition.missing ? `${condition.label}: ${condition.missing}` : condition.label;
  });
  const more = open.length - said.length;
  return [...said, ...(more > 0 ? [`${more} more`] : [])].join(' · ');
}

/** Whether everything is there, put forward or not. */
export const isMet = ({ verdict }: Readiness) => verdict === 'ELIGIBLE' || verdict === 'CANDIDATE';

/** About when it will all be there; null: it cannot be told. */
export function when(readiness: Readiness): string | null {
  if (isMet(readiness)) return null;
  if (readiness.window) return `about ${date(readiness.window)}`;
  return readiness.silence ? SILENCE[readiness.silence] : null;
}

/** Why no date is told. */
export const SILENCE: Record<NonNullable<Readiness['silence']>, string> = {
  NOT_ATTENDING: 'not seen for eight weeks, so no date',
  TOO_EARLY: 'too early to say when',
  TOO_FAR: 'no date yet: more than two years away',
};

/** "5 weeks ago", "3 days ago", "today". */
export function ago(day: string, today: string): string {
  const days = Math.round((Date.parse(today) - Date.parse(day)) / 86_400_000);
  if (days <= 0) return 'today';
  if (days < 14) return `${count(days, 'day', 'days')} ago`;
  return `${count(Math.floor(days / 7), 'week', 'weeks')} ago`;
}

/** The age on a day, in whole years. */
export function ageOn(born: string, day: string): number {
  return Number(day.slice(0, 4)) - Number(born.slice(0, 4)) - (day.slice(5) < born.slice(5) ? 1 : 0);
}
