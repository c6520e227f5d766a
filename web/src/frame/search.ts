import { nth } from '../ui/lists';
/** Something that can be found: the name it shows, everything it is called, and where it leads. */
export type Hit = {
  key: string;
  name: string;
  also: string;
  /** Where it leads; null: the answer is the line itself. */
  to: string | null;
  /** All its names, folded. */
  names: string[];
};

/** Small letters, no accents, hyphens or blanks, so that "ouchi gari" finds "O-uchi-gari". */
export const fold = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]/gu, '');

/** Shorter words are not forgiven a slip: nearly everything would fit. */
const SHORTEST_FORGIVEN = 4;

/** With fewer good hits than this, slips are forgiven. */
const FEW = 3;

/** How well a hit fits, the best first. */
const IS = 0;
const STARTS = 1;
const ALIAS_STARTS = 2;
const CONTAINS = 3;
const SLIP_IN_WHOLE = 4;
const SLIP_AT_START = 5;
const SLIP = 6;
const NOT = 7;

/** The best hits, at most `most`: what is it, begins so, contains it, and if these are few what is one slip away. */
export function search(all: Hit[], text: string, most = 9): Hit[] {
  const wanted = fold(text);
  if (!wanted) return [];
  const ranked = all.map((hit, order) => ({ hit, order, rank: rank(hit, wanted) }));
  const good = ranked.filter((found) => found.rank < NOT).length;
  if (good < FEW && wanted.length >= SHORTEST_FORGIVEN) {
    for (const found of ranked) if (found.rank === NOT) found.rank = slip(found.hit, wanted);
  }
  return ranked
    .filter((found) => found.rank < NOT)
    .sort(
      (a, b) =>
        a.rank - b.rank ||
        (a.rank === STARTS ? a.hit.name.length - b.hit.name.length : 0) ||
        a.order - b.order,
    )
    .slice(0, most)
    .map((found) => found.hit);
}

function rank(hit: Hit, wanted: string): number {
  if (hit.names.includes(wanted)) return IS;
  if (hit.names[0]?.startsWith(wanted)) return STARTS;
  if (hit.names.some((name) => name.startsWith(wanted))) return ALIAS_STARTS;
  return hit.names.some((name) => name.includes(wanted)) ? CONTAINS : NOT;
}

function slip(hit: Hit, wanted: string): number {
  const near = hit.names.filter((name) => oneSlip(name, wanted, false));
  const starting = near.filter((name) => oneSlip(name, wanted, true));
  if (starting.some((name) => Math.abs(name.length - wanted.length) <= 1)) return SLIP_IN_WHOLE;
  return starting.length > 0 ? SLIP_AT_START : near.length > 0 ? SLIP : NOT;
}

/**
 * Whether some stretch of `name` (its beginning, if `fromStart`) becomes `wanted` by at most one slip: a letter too
 * many, one too few, a wrong one, or two swapped. Sellers' distance with swaps, row by row.
 */
export function oneSlip(name: string, wanted: string, fromStart: boolean): boolean {
  const m = wanted.length;
  if (name.length < m - 1) return false;
  const end = fromStart ? Math.min(name.length, m + 1) : name.length;
  let before: number[] = [];
  let last = Array.from({ length: m + 1 }, (_, j) => j);
  if (nth(last, m) <= 1) return true;
  for (let i = 1; i <= end; i++) {
    const row = [fromStart ? i : 0];
    for (let j = 1; j <= m; j++) {
      const same = name[i - 1] === wanted[j - 1];
      row[j] = Math.min(nth(last, j) + 1, nth(row, j - 1) + 1, nth(last, j - 1) + (same ? 0 : 1));
      const isSwap = i > 1 && j > 1 && name[i - 1] === wanted[j - 2] && name[i - 2] === wanted[j - 1];
      if (isSwap) row[j] = Math.min(nth(row, j), nth(before, j - 2) + 1);
    }
    if (nth(row, m) <= 1) return true;
    before = last;
    last = row;
  }
  return false;
}
