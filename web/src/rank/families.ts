import type { MapIndex } from '../api/map';
import type { Family, Item, Rank, Technique } from '../api/types';
import { FAMILIES } from '../ui/words';

/** The technique that an item is about, if it is about one. */
export function techniqueOf(item: Item, map: MapIndex): Technique | undefined {
  if (item.kind === 'TECHNIQUE') return map.technique.get(item.ref);
  if (item.kind === 'COUNTER') return map.technique.get(map.link.get(item.ref)?.technique ?? '');
  return undefined;
}

export const itemsOf = (rank: Rank): Item[] => rank.syllabus.flatMap((group) => group.items);

/** How many items of each family a rank asks for, in the order of the families. */
export function familyCounts(rank: Rank, map: MapIndex): [Family, number][] {
  const counts = new Map<Family, number>();
  for (const item of itemsOf(rank)) {
    const family = techniqueOf(item, map)?.family;
    if (family) counts.set(family, (counts.get(family) ?? 0) + 1);
  }
  return FAMILIES.filter((f) => counts.has(f)).map((f) => [f, counts.get(f) as number]);
}
