import type { Group } from './pairs';

/**
 * Pairs in waves where the mat has not room for all of them to throw at once: as few waves as there can be, as even as there
 * can be. `lanes` 0: there is room for all.
 */
export function wavesOf(groups: Group[], lanes: number): Group[][] {
  if (lanes <= 0 || groups.length <= lanes) return [groups];
  const many = Math.ceil(groups.length / lanes);
  const even = Math.floor(groups.length / many);
  const longer = groups.length % many;
  return Array.from({ length: many }, (_, n) => {
    const from = n * even + Math.min(n, longer);
    return groups.slice(from, from + even + (n < longer ? 1 : 0));
  });
}
