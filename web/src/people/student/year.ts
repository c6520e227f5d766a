import { daysBefore, mondayOf } from '../../ui/words';

/** One square of the calendar: a day, and how many classes of that day they were in. */
export type Square = { day: string; week: number; weekday: number; classes: number };

/** The days of a year up to a day, in columns of weeks from Monday to Sunday. */
export function yearOf(today: string, classes: readonly { date: string; cancelled: boolean }[]): Square[] {
  const first = mondayOf(daysBefore(today, 364));
  const counts = new Map<string, number>();
  for (const one of classes) if (!one.cancelled) counts.set(one.date, (counts.get(one.date) ?? 0) + 1);
  const squares: Square[] = [];
  for (let n = 0; ; n++) {
    const day = daysBefore(first, -n);
    if (day > today) return squares;
    squares.push({ day, week: Math.floor(n / 7), weekday: n % 7, classes: counts.get(day) ?? 0 });
  }
}

/** Where a month begins among the weeks: the week, and the day that names it. */
export function monthsOf(squares: Square[]): { week: number; day: string }[] {
  return squares
    .filter((square) => square.day.endsWith('-01'))
    .map((square) => ({ week: square.week, day: square.day }));
}
