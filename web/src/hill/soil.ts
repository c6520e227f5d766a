import type { MapIndex } from '../api/map';
import type { Edited } from '../api/types';

/** What a plot's band of soil may say, in the order of the legend. */
export const SOILS = {
  BARE: 'bare',
  PLOUGHED: 'drilled',
  GREEN: 'passed',
  WEED: 'gone to weed',
  REACHED: 'reached',
  ADDED: 'added',
  BOTH: 'reached by both',
  LOST: 'only by the other',
  UNREACHED: 'not reached',
  MANY: '30 tries or more',
  SOME: '5 to 29 tries',
  FEW: '1 to 4, too few',
  UNTRIED: 'no try logged',
  CAUGHT_OFTEN: 'caught 5 times or more',
  CAUGHT: 'caught 1 to 4 times',
  CAUGHT_NEVER: 'not caught',
  CHANGED: 'changed',
  SAME: 'as before',
} as const;

export type SoilKind = keyof typeof SOILS;
export type Soils = Record<string, SoilKind>;

const over = (map: MapIndex, kind: (id: string) => SoilKind): Soils =>
  Object.fromEntries([...map.position.keys()].map((id) => [id, kind(id)]));

export const reachedSoil = (map: MapIndex, reach: Record<string, unknown>) =>
  over(map, (id) => (reach[id] ? 'REACHED' : 'UNREACHED'));

/** What the first reaches that the second does not, and the other way round. */
export const comparedSoil = (map: MapIndex, one: Record<string, unknown>, other: Record<string, unknown>) =>
  over(map, (id) => (one[id] && other[id] ? 'BOTH' : one[id] ? 'ADDED' : other[id] ? 'LOST' : 'UNREACHED'));

/** Below five tries a chance says little; thirty are many. */
export const triedSoil = (map: MapIndex, tries: Record<string, number>) =>
  over(map, (id) => {
    const n = tries[id] ?? 0;
    return n >= 30 ? 'MANY' : n >= 5 ? 'SOME' : n > 0 ? 'FEW' : 'UNTRIED';
  });

/** From where members are caught, by the position of the one who catches them. */
export const caughtSoil = (map: MapIndex, times: ReadonlyMap<string, number>) =>
  over(map, (id) => {
    const n = times.get(id) ?? 0;
    return n >= 5 ? 'CAUGHT_OFTEN' : n > 0 ? 'CAUGHT' : 'CAUGHT_NEVER';
  });

/** Positions that an edit touched: the pair's own, or where the changed link, reaction or technique starts. */
export function touchedBy(map: MapIndex, edited: Edited): string[] {
  const from = (link: string | undefined | null) => (link ? [map.link.get(link)?.from] : []);
  const found = ((): (string | undefined)[] => {
    if (edited.kind === 'pair') {
      const pair = map.data.pairs.find((p) => p.id === edited.id);
      return [pair?.first.id, pair?.second?.id];
    }
    if (edited.kind === 'link') return from(edited.id);
    if (edited.kind === 'reaction') {
      const reaction = map.reaction.get(edited.id);
      return reaction?.position ? [reaction.position] : from(reaction?.link);
    }
    if (edited.kind === 'technique')
      return map.data.links.filter((l) => l.technique === edited.id && !l.retired).map((l) => l.from);
    return [];
  })();
  return [...new Set(found.filter((id): id is string => id !== undefined && map.position.has(id)))];
}

export function changedSoil(map: MapIndex, changes: Edited[]): Soils {
  const touched = new Set(changes.flatMap((edited) => touchedBy(map, edited)));
  return over(map, (id) => (touched.has(id) ? 'CHANGED' : 'SAME'));
}
