import type { MapIndex } from '../api/map';
import type { DecisionTable } from '../api/types';
import { nth } from '../ui/lists';
import type { Standing } from './paths';

export type Way = { to: string; technique: string; theirs: boolean; chance: number };

const MOST_WAYS = 8;

/** Ways out of the selected plot, one a target, best first, at most eight. */
export const waysOf = (table: DecisionTable): Way[] => allWaysOf(table).slice(0, MOST_WAYS);

/** How many ways the hill leaves out because it shows only the best. */
export const waysLeftOut = (table: DecisionTable) => Math.max(0, allWaysOf(table).length - MOST_WAYS);

function allWaysOf(table: DecisionTable): Way[] {
  const ways = new Map<string, Way>();
  const add = (to: string | null, technique: string, chance: number, theirs: boolean) => {
    if (to && to !== table.position && !ways.has(to)) ways.set(to, { to, technique, theirs, chance });
  };
  for (const row of [...table.own, ...table.answers.flatMap((a) => a.rows)].sort(
    (a, b) => b.chance.estimate - a.chance.estimate,
  )) {
    add(row.lands, row.technique, row.chance.estimate, false);
  }
  for (const row of table.theirs) add(row.lands, row.technique, row.chance.estimate, true);
  return [...ways.values()];
}

/** How many links lead into and out of each position, at most eight of each: the ticks on its edges. */
export function countLinks(map: MapIndex) {
  const from = new Map<string, number>();
  const into = new Map<string, number>();
  const add = (to: Map<string, number>, id: string) => to.set(id, Math.min(8, (to.get(id) ?? 0) + 1));
  for (const link of map.data.links) {
    if (link.retired) continue;
    add(from, link.from);
    if (link.to !== 'TAP') add(into, link.to);
  }
  return { from, into };
}

/** The nearest plot in the direction of an arrow. */
export function nearest(rows: Standing[][], at: Standing, key: string): string | undefined {
  if (key === 'ArrowUp' || key === 'ArrowDown') {
    const row = rows[at.row + (key === 'ArrowUp' ? -1 : 1)];
    return row?.reduce((best, plot) => (Math.abs(plot.x - at.x) < Math.abs(best.x - at.x) ? plot : best)).id;
  }
  const row = nth(rows, at.row);
  return row[row.findIndex((plot) => plot.id === at.id) + (key === 'ArrowLeft' ? -1 : 1)]?.id;
}
