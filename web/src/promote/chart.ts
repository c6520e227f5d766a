/** The days of a month written as "2026-11", counted from one. */
export const daysOf = (month: string): number[] => {
  const [year = 0, n = 0] = month.split('-').map(Number);
  return Array.from({ length: new Date(year, n, 0).getDate() }, (_, day) => day + 1);
};
