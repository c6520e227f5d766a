import type { Name } from '../../api/types';
import { fold } from '../../frame/search';

const words = (name: string) => name.split(/\s+/).map(fold).filter(Boolean);

/** Whether two words differ by at most one letter more, less or other. */
function isNear(a: string, b: string): boolean {
  if (a === b) return true;
  if (Math.min(a.length, b.length) < 4 || Math.abs(a.length - b.length) > 1) return false;
  let i = 0;
  while (i < a.length && a[i] === b[i]) i++;
  const rest = (x: string, from: number) => x.slice(from);
  return rest(a, i + 1) === rest(b, i + 1) || rest(a, i) === rest(b, i + 1) || rest(a, i + 1) === rest(b, i);
}

/** People whose name is the one that is typed, whatever the order of its words and with a slip in each; at most five. */
export function alike(typed: string, people: Name[]): Name[] {
  const wanted = words(typed);
  if (wanted.length < 2) return [];
  return people
    .filter(({ name }) => {
      const theirs = words(name);
      return wanted.every((word) => theirs.some((other) => isNear(word, other)));
    })
    .slice(0, 5);
}
