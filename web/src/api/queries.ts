import { type QueryClient, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { type Problem, read, readTagged } from './client';
import type {
  Calendar,
  ChainView,
  ClassSheet,
  DecisionTable,
  Finding,
  LadderView,
  Link,
  MapData,
  Pair,
  Position,
  ProgressView,
  RankCheck,
  Reached,
  Reaction,
  Readiness,
  RosterRow,
  RouteView,
  Stage,
  Technique,
  TechniqueCard,
  Welcome,
  Word,
} from './types';

/** Who is signed in, and what the sign-in page needs to know. */
export const useWelcome = () =>
  useQuery<Welcome, Problem>({
    queryKey: ['session'],
    queryFn: () => read('/session/welcome'),
    retry: false,
    staleTime: Infinity,
  });

export const useSession = () => {
  const welcome = useWelcome();
  return { data: welcome.data?.session };
};

/** The words of the mat; they hardly ever change. */
export const useWords = () =>
  useQuery<Word[], Problem>({ queryKey: ['words'], queryFn: () => read('/words'), staleTime: Infinity });

/** The map with its parts by id. */
export type MapIndex = {
  data: MapData;
  position: Map<string, Position>;
  pairOf: Map<string, Pair>;
  technique: Map<string, Technique>;
  link: Map<string, Link>;
  reaction: Map<string, Reaction>;
  counterpart: (id: string) => string;
  stageOf: (id: string) => Stage;
};

export function indexMap(data: MapData): MapIndex {
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
  };
}

export function useMap() {
  const query = useQuery<{ revision: number; map: MapData }>({
    queryKey: ['map'],
    queryFn: () => read('/map'),
  });
  const index = useMemo(() => (query.data ? indexMap(query.data.map) : undefined), [query.data]);
  return { ...query, data: index } as unknown as ReturnType<typeof useQuery<MapIndex>>;
}

export const useDecisionTable = (position: string | null, ruleset: string | null) =>
  useQuery<DecisionTable>({
    queryKey: ['map', 'position', position, ruleset],
    queryFn: () => read(`/map/positions/${position}${ruleset ? `?ruleset=${ruleset}` : ''}`),
    enabled: position !== null,
  });

export const useTechniqueCard = (id: string | null) =>
  useQuery<TechniqueCard>({
    queryKey: ['map', 'technique', id],
    queryFn: () => read(`/map/techniques/${id}`),
    enabled: id !== null,
  });

/** Through whose eyes the map is looked at. */
export type Eyes = { kind: 'club' } | { kind: 'rank'; id: string } | { kind: 'student'; id: string };

const through = (eyes: Eyes) => (eyes.kind === 'club' ? '' : `${eyes.kind}=${encodeURIComponent(eyes.id)}`);

export const useGaps = (eyes: Eyes, on: boolean) =>
  useQuery<Finding[]>({
    queryKey: ['map', 'gaps', eyes],
    queryFn: () => read(`/map/gaps?${through(eyes)}`),
    enabled: on,
  });

export const useReach = (eyes: Eyes, on: boolean) =>
  useQuery<Record<string, Reached>>({
    queryKey: ['map', 'reach', eyes],
    queryFn: () => read(`/map/reach?${through(eyes)}`),
    enabled: on,
  });

/** The most likely routes from a position; `to` "any" for any end. */
export const useRoutes = (eyes: Eyes, from: string | null, to: string | null) =>
  useQuery<RouteView[]>({
    queryKey: ['map', 'routes', eyes, from, to],
    queryFn: () =>
      read(`/map/routes?from=${from}&${to === 'any' ? 'end=any' : `to=${to}`}&k=5&${through(eyes)}`),
    enabled: from !== null && to !== null,
  });

export const useLadders = () =>
  useQuery<LadderView[]>({ queryKey: ['ladders'], queryFn: () => read('/ladders') });

export const useLadderCheck = (ladder: string | undefined) =>
  useQuery<RankCheck[]>({
    queryKey: ['ladders', ladder, 'check'],
    queryFn: () => read(`/ladders/${ladder}/check`),
    enabled: ladder !== undefined,
  });

export const useChains = () =>
  useQuery<ChainView[]>({ queryKey: ['chains'], queryFn: () => read('/chains') });

export const useChain = (id: string | null) =>
  useQuery<{ value: ChainView; tag: string }>({
    queryKey: ['chains', id],
    queryFn: () => readTagged(`/chains/${id}`),
    enabled: id !== null,
  });

export const useRoster = () =>
  useQuery<RosterRow[]>({ queryKey: ['people'], queryFn: () => read('/people') });

export const useProgress = (student: string | null) =>
  useQuery<ProgressView>({
    queryKey: ['people', student, 'progress'],
    queryFn: () => read(`/people/${student}/progress`),
    enabled: student !== null,
  });

export const useReadiness = (student: string) =>
  useQuery<Readiness[]>({
    queryKey: ['people', student, 'readiness'],
    queryFn: () => read(`/people/${student}/readiness`),
  });

export const useCalendar = () =>
  useQuery<Calendar>({ queryKey: ['classes'], queryFn: () => read('/classes') });

export const useClassSheet = (id: string | undefined) =>
  useQuery<ClassSheet>({
    queryKey: ['classes', id],
    queryFn: () => read(`/classes/${id}`),
    enabled: id !== undefined,
  });

/** After something was recorded: what may look different now. */
export function recordsChanged(client: QueryClient) {
  client.invalidateQueries({ queryKey: ['classes'] });
  client.invalidateQueries({ queryKey: ['people'] });
}
