import { useQuery } from '@tanstack/react-query';
import { read, readTagged, readTaggedAs } from './client';
import type {
  ChainView,
  DecisionTable,
  Edited,
  Finding,
  Fitting,
  IgnoredGap,
  Legal,
  Link,
  MapData,
  Pair,
  Position,
  Reached,
  Reaction,
  RouteView,
  Stage,
  Technique,
  TechniqueCard,
} from './types';

/** The map with its parts by id. */
/** A map that may be asked for nobody's id. */
export interface Lookup<T> extends Iterable<[string, T]> {
  get(id: string | null | undefined): T | undefined;
  has(id: string | null | undefined): boolean;
  values(): MapIterator<T>;
  keys(): MapIterator<string>;
  readonly size: number;
}

export type MapIndex = {
  data: MapData;
  position: Lookup<Position>;
  pairOf: Lookup<Pair>;
  technique: Lookup<Technique>;
  link: Lookup<Link>;
  reaction: Lookup<Reaction>;
  counterpart: (id: string) => string;
  stageOf: (id: string) => Stage;
  /** How many shortest walks pass through each position. */
  centrality: Record<string, number>;
};

export function indexMap(data: MapData, centrality: Record<string, number> = {}): MapIndex {
  const pairOf = new Map<string, Pair>();
  const position = new Map<string, Position>();
  for (const pair of data.pairs) {
    for (const p of [pair.first, pair.second]) {
      if (p) {
        position.set(p.id, p);
        pairOf.set(p.id, pair);
      }
    }
  }
  const byId = <T extends { id: string }>(all: T[]) => new Map(all.map((one) => [one.id, one]));
  return {
    data,
    position,
    pairOf,
    technique: byId(data.techniques),
    link: byId(data.links),
    reaction: byId(data.reactions),
    counterpart: (id) => {
      const pair = pairOf.get(id);
      if (!pair?.second) return id;
      return pair.first.id === id ? pair.second.id : pair.first.id;
    },
    stageOf: (id) => (pairOf.get(id) as Pair).stage,
    centrality,
  };
}

type MapAnswer = { revision: number; map: MapData; centrality: Record<string, number> };

const indexed = ({ map, centrality }: MapAnswer) => indexMap(map, centrality);

export const useMap = (enabled = true) =>
  useQuery<MapAnswer, Error, MapIndex>({
    queryKey: ['map'],
    queryFn: () => read('/map'),
    enabled,
    select: indexed,
  });

export const useDecisionTable = (position: string | null, ruleset: string | null) =>
  useQuery<DecisionTable>({
    queryKey: ['map', 'position', position, ruleset],
    queryFn: () => read(`/map/positions/${position}${ruleset ? `?ruleset=${ruleset}` : ''}`),
    enabled: position !== null,
  });

export const useTechniqueCard = (id: string | undefined) =>
  useQuery<{ value: TechniqueCard; tag: string }>({
    queryKey: ['map', 'technique', id],
    queryFn: () => readTagged(`/map/techniques/${id}`),
    enabled: id !== undefined,
  });

/** One part of the map with its tag, read again each time it is opened for changing. */
export const useMapPart = <T>(part: 'pairs' | 'links' | 'reactions', id: string | null) =>
  useQuery<{ value: T; tag: string }>({
    queryKey: ['map', part, id],
    queryFn: () => readTaggedAs<T>(`/map/${part}/${id}`),
    enabled: id !== null,
    gcTime: 0,
  });

/** What fits at a position: techniques, and where the given one may lead. */
export const useFitting = (from: string, technique: string | null) =>
  useQuery<Fitting>({
    queryKey: ['map', 'fitting', from, technique],
    queryFn: () => read(`/map/suggestions?from=${from}${technique ? `&technique=${technique}` : ''}`),
    enabled: from !== '',
  });

/** What is different since the beginning of a day; null: not asked. */
export const useChanges = (since: string | null) =>
  useQuery<Edited[]>({
    queryKey: ['map', 'changes', since],
    queryFn: () => read(`/edits/changes?since=${since}`),
    enabled: since !== null,
  });

/** What a ruleset, or "jacket:NO_JACKET", leaves of the map; null: everything. */
export const useLegal = (rules: string | null) =>
  useQuery<Legal>({
    queryKey: ['map', 'legal', rules],
    queryFn: () => read(ruled('/map/legal', rules)),
    enabled: rules !== null,
  });

/** Tries logged of what starts at each position. */
export const useEvidence = (on: boolean) =>
  useQuery<Record<string, number>>({
    queryKey: ['map', 'evidence'],
    queryFn: () => read('/map/evidence'),
    enabled: on,
  });

/** Through whose eyes the map is looked at. */
export type Eyes = { kind: 'club' } | { kind: 'rank'; id: string } | { kind: 'student'; id: string };

const through = (eyes: Eyes) => (eyes.kind === 'club' ? '' : `${eyes.kind}=${encodeURIComponent(eyes.id)}`);

/** A ruleset, or "jacket:NO_JACKET", as the server asks for it; null: everything. */
const byRules = (rules: string | null) => {
  if (!rules) return '';
  return rules.startsWith('jacket:') ? `&jacket=${rules.slice(7)}` : `&ruleset=${rules}`;
};

const ruled = <A extends string>(path: A, rules: string | null) =>
  (rules ? `${path}?${byRules(rules).slice(1)}` : path) as `${A}?${string}`;

/** Under which ruleset or with which jacket, and against whom: "same" class-mates, or "anyone". */
export type Terms = { rules: string | null; against: 'same' | 'anyone' };

const EVERYDAY: Terms = { rules: null, against: 'same' };

const under = ({ rules, against }: Terms) =>
  `${byRules(rules)}${against === 'same' ? '' : `&against=${against}`}`;

export const useGaps = (eyes: Eyes, on: boolean, terms = EVERYDAY) =>
  useQuery<Finding[]>({
    queryKey: ['map', 'gaps', eyes, terms],
    queryFn: () => read(`/map/gaps?${through(eyes)}${under(terms)}`),
    enabled: on,
  });

/** Findings that were left as they are, through the same eyes. */
export const useIgnoredGaps = (eyes: Eyes, on: boolean) =>
  useQuery<IgnoredGap[]>({
    queryKey: ['map', 'gaps', 'ignored', eyes],
    queryFn: () => read(`/map/gaps/ignored?${through(eyes)}`),
    enabled: on,
  });

export const useReach = (eyes: Eyes, on: boolean, terms = EVERYDAY) =>
  useQuery<Record<string, Reached>>({
    queryKey: ['map', 'reach', eyes, terms],
    queryFn: () => read(`/map/reach?${through(eyes)}${under(terms)}`),
    enabled: on,
  });

/** The most likely routes from a position; `to` "any" for any end, without those that end at once. */
export const useRoutes = (eyes: Eyes, from: string | null, to: string | null, rules: string | null) =>
  useQuery<RouteView[]>({
    queryKey: ['map', 'routes', eyes, from, to, rules],
    queryFn: () =>
      read(
        `/map/routes?from=${from}&${to === 'any' ? 'end=any&least=2' : `to=${to}`}&k=5&${through(eyes)}${byRules(rules)}`,
      ),
    enabled: from !== null && to !== null,
  });

/** All chains; under a ruleset they end as it says. */
export const useChains = (enabled = true, rules: string | null = null) =>
  useQuery<ChainView[]>({
    queryKey: rules ? ['chains', 'under', rules] : ['chains'],
    queryFn: () => read(ruled('/chains', rules)),
    enabled,
    placeholderData: (before) => before,
  });

/** One chain with its tag, under a ruleset or none. */
export const chainQuery = (id: string | null, rules: string | null) => ({
  queryKey: ['chains', id, rules],
  queryFn: () => readTagged(ruled(`/chains/${id}`, rules)),
});

export const useChain = (id: string | null, rules: string | null = null) =>
  useQuery<{ value: ChainView; tag: string }>({ ...chainQuery(id, rules), enabled: id !== null });
