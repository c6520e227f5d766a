import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { type Problem, read, readTagged } from './client';
import { today } from './today';
import type {
  AskView,
  Been,
  Calendar,
  CameWith,
  ChainView,
  ClassSheet,
  Closures,
  Coaches,
  DecisionTable,
  Done,
  DrillShape,
  Edited,
  FaultsSeen,
  Finding,
  Fitting,
  GameView,
  Holding,
  IgnoredGap,
  LadderView,
  Legal,
  LetterView,
  Link,
  MapData,
  MemoryView,
  Mention,
  Name,
  Numbers,
  Pair,
  PatternView,
  Position,
  ProgressView,
  Promotion,
  RankCheck,
  Reached,
  Reaction,
  Readiness,
  RosterPage,
  RosterRow,
  RouteView,
  Session,
  Stage,
  Student,
  Technique,
  TechniqueCard,
  Telling,
  Tracks,
  TrainingClass,
  Unseen,
  WayIn,
  Welcome,
  Word,
} from './types';

/** Who is signed in, and what the sign-in page needs to know. */
export const useWelcome = () =>
  useQuery<Welcome, Problem>({
    queryKey: ['session'],
    queryFn: () => read('/session/welcome'),
    retry: false,
    staleTime: 5 * 60_000,
    gcTime: Infinity,
  });

export const useSession = () => {
  const welcome = useWelcome();
  const was = useContext(LastSession);
  return { data: welcome.data?.session ?? was };
};

/** Who was signed in last: while the sign-in is done again over the page, the page stays theirs. */
export const LastSession = createContext<Session | null>(null);

/** The words of the mat; they hardly ever change. */
export const useWords = (enabled = true) =>
  useQuery<Word[], Problem>({
    queryKey: ['words'],
    queryFn: () => read('/words'),
    staleTime: Infinity,
    enabled,
  });

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

/** One part of the map with its tag, read anew each time it is opened for changing. */
export const useMapPart = <T>(part: 'pairs' | 'links' | 'reactions', id: string | null) =>
  useQuery<{ value: T; tag: string }>({
    queryKey: ['map', part, id],
    queryFn: () => readTagged(`/map/${part}/${id}`),
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

/** What was done to one thing, the newest first. */
export const useHistory = (kind: string, id: string) =>
  useQuery<Edited[]>({
    queryKey: ['map', 'history', kind, id],
    queryFn: () => read(`/edits/history?kind=${kind}&id=${id}`),
  });

/** The club's numbers with what may be chosen, and their tag. */
export const useNumbers = () =>
  useQuery<{ value: Numbers; tag: string }>({
    queryKey: ['numbers'],
    queryFn: () => readTagged('/numbers'),
  });

/** Of age, as long as the club has not said otherwise. */
export const OF_AGE = 18;

/** From which age on nobody's guardian is asked. */
export const useOfAge = () => useNumbers().data?.value.numbers.ofAge ?? OF_AGE;

/** The last ten edits of this account, the newest first. */
export const useLastEdits = () =>
  useQuery<Done[]>({ queryKey: ['edits'], queryFn: () => read('/edits'), staleTime: 0 });

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

const ruled = (path: string, rules: string | null) => (rules ? `${path}?${byRules(rules).slice(1)}` : path);

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

export const useLadders = () =>
  useQuery<LadderView[]>({ queryKey: ['ladders'], queryFn: () => read('/ladders') });

export const useLadderCheck = (ladder: string | undefined) =>
  useQuery<RankCheck[]>({
    queryKey: ['ladders', ladder, 'check'],
    queryFn: () => read(`/ladders/${ladder}/check`),
    enabled: ladder !== undefined,
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
  queryFn: () => readTagged<ChainView>(ruled(`/chains/${id}`, rules)),
});

export const useChain = (id: string | null, rules: string | null = null) =>
  useQuery<{ value: ChainView; tag: string }>({ ...chainQuery(id, rules), enabled: id !== null });

/** Whom to list, and in which order. */
export type RosterWanted = {
  find: string;
  who: 'training' | 'guests' | 'left';
  sort: 'name' | 'rank' | 'seen';
  down: boolean;
  track: string | null;
  /** "ladder/rank" */
  rank: string | null;
  mind: Mind | null;
};

/** What a coach has to keep in mind about somebody. */
export type Mind =
  | 'READY'
  | 'ABSENT'
  | 'BIRTHDAY'
  | 'BAND'
  | 'WEIGHT'
  | 'MEMBERSHIP'
  | 'LIMITED'
  | 'HELD'
  | 'BROUGHT'
  | 'FALLS';

/** What is left out where nothing is asked. */
const asked = (name: string, value: string | null | undefined) =>
  value ? `&${name}=${encodeURIComponent(value)}` : '';

/** The faults seen in some days; `rank` is "ladder/rank". */
export const useFaults = (from: string, to: string, track: string | null, rank: string | null) => {
  const [ladder, held] = rank?.split('/') ?? [];
  return useQuery<FaultsSeen>({
    queryKey: ['people', 'faults', from, to, track, rank],
    queryFn: () =>
      read(
        `/people/faults?from=${from}&to=${to}${asked('track', track)}${asked('ladder', ladder)}${asked('rank', held)}`,
      ),
    placeholderData: keepPreviousData,
  });
};

/** How many there are of each whom a coach has to keep in mind. */
export const useMinds = () =>
  useQuery<Partial<Record<Mind, number>>>({
    queryKey: ['people', 'minds'],
    queryFn: () => read('/people/minds'),
  });

const PAGE = 50;

const rosterQuery = ({ find, who, sort, down, track, rank, mind }: RosterWanted) => {
  const [ladder, held] = rank?.split('/') ?? [];
  return `find=${encodeURIComponent(find)}&who=${who}&sort=${sort}&down=${down}${asked('track', track)}${asked('ladder', ladder)}${asked('rank', held)}${asked('mind', mind)}`;
};

/** Everybody who is wanted, at most so many pages of two hundred: for what is done to all of them. */
export async function readRoster(wanted: RosterWanted): Promise<RosterRow[]> {
  const rows: RosterRow[] = [];
  for (let page = 0; page < 10; page++) {
    const some = await read<RosterPage>(`/people?${rosterQuery(wanted)}&page=${page}&size=200`);
    rows.push(...some.rows);
    if (rows.length >= some.total) break;
  }
  return rows;
}

/** The roster, a page at a time. */
export const useRoster = (wanted: RosterWanted) =>
  useInfiniteQuery<RosterPage>({
    queryKey: ['people', 'roster', wanted],
    queryFn: ({ pageParam }) => read(`/people?${rosterQuery(wanted)}&page=${pageParam}&size=${PAGE}`),
    initialPageParam: 0,
    getNextPageParam: (last) => ((last.page + 1) * last.size < last.total ? last.page + 1 : undefined),
    placeholderData: keepPreviousData,
  });

/** Everybody by name, as little of each as finding and checking in need. */
export const useNames = (enabled = true) =>
  useQuery<Name[]>({ queryKey: ['names'], queryFn: () => read('/people/names'), staleTime: 60_000, enabled });

/** How many hold each rank and are ready for the next, by ladder and rank. */
export const useHolding = () =>
  useQuery<Record<string, Record<string, Holding>>>({
    queryKey: ['people', 'ranks'],
    queryFn: () => read('/people/ranks'),
  });

/** One person as they can be changed. */
export const usePerson = (id: string | null) =>
  useQuery<{ value: Student; tag: string }>({
    queryKey: ['people', id, 'form'],
    queryFn: () => readTagged(`/people/${id}`),
    enabled: id !== null,
    gcTime: 0,
  });

/** Days without classes, with the tag of each. */
export const useClosures = () =>
  useQuery<Closures>({ queryKey: ['closures'], queryFn: () => read('/closures') });

/** Classes that were kept to begin others from. */
export const usePatterns = () =>
  useQuery<PatternView[]>({ queryKey: ['patterns'], queryFn: () => read('/patterns') });

/** Who would be told of a change of a class now. */
export const useTelling = (id: string) =>
  useQuery<Telling>({ queryKey: ['classes', id, 'telling'], queryFn: () => read(`/classes/${id}/telling`) });

/** The letters that lie ready. */
export const useLetters = () =>
  useQuery<LetterView[]>({ queryKey: ['letters'], queryFn: () => read('/letters') });

/** How a tablet comes in. */
export const useWayIn = () => useQuery<WayIn>({ queryKey: ['tablet'], queryFn: () => read('/tablet') });

/** The tracks with the tag of each. */
export const useTracks = () => useQuery<Tracks>({ queryKey: ['tracks'], queryFn: () => read('/tracks') });

/** @param between whether the one before stays until the next one is read, marked as a placeholder */
export const useProgress = (student: string | null, between = false) =>
  useQuery<ProgressView>({
    queryKey: ['people', student, 'progress'],
    queryFn: () => read(`/people/${student}/progress`),
    enabled: student !== null,
    placeholderData: between ? keepPreviousData : undefined,
  });

/** What a student goes for where, and what has come in three months; for coaches. */
export const useGame = (student: string, on = true) =>
  useQuery<GameView>({
    queryKey: ['people', student, 'game'],
    queryFn: () => read(`/people/${student}/game`),
    enabled: on,
  });

/** Who gives the classes, by name. */
export const useCoaches = () => useQuery<Coaches>({ queryKey: ['coaches'], queryFn: () => read('/coaches') });

/** The ranks that somebody came with, and whether they have what is asked below them; for coaches. */
export const useBrought = (student: string) =>
  useQuery<CameWith[]>({
    queryKey: ['people', student, 'brought'],
    queryFn: () => read(`/people/${student}/brought`),
  });

/** Falls that people came with and nobody here has seen: of one, of a class, or of everybody; for coaches. */
export const useUnseenFalls = (of: { student: string } | { classId: string } | Record<string, never>) =>
  useQuery<Unseen[]>({
    queryKey: ['people', 'falls', of],
    queryFn: () => read(`/people/falls?${new URLSearchParams(of)}`),
  });

/** What one student asked to work on, or what those on a track wait for. */
export const useAsks = (of: { student: string } | { track: string }) =>
  useQuery<AskView[]>({
    queryKey: ['asks', of],
    queryFn: () => read(`/asks?${new URLSearchParams(of)}`),
  });

/** Where somebody is named in what others wrote. */
export const useMentions = (student: string, on: boolean) =>
  useQuery<Mention[]>({
    queryKey: ['people', student, 'mentions'],
    queryFn: () => read(`/people/${student}/mentions`),
    enabled: on,
    gcTime: 0,
  });

/** What stands behind one thing a student knows: days of practice and marks. */
export const useMemory = (student: string, subject: string) =>
  useQuery<MemoryView>({
    queryKey: ['people', student, 'memory', subject],
    queryFn: () => read(`/people/${student}/memory?subject=${encodeURIComponent(subject)}`),
  });

/** The classes a student was in, of at most a year. */
export const useBeen = (student: string, from: string, to: string) =>
  useQuery<Been[]>({
    queryKey: ['people', student, 'attendance', from, to],
    queryFn: () => read(`/people/${student}/attendance?from=${from}&to=${to}`),
    placeholderData: keepPreviousData,
  });

/** The belts and stripes a student was given. */
export const usePromotions = (student: string) =>
  useQuery<Promotion[]>({
    queryKey: ['people', student, 'promotions'],
    queryFn: () => read(`/promotions?student=${student}`),
  });

export const useReadiness = (student: string) =>
  useQuery<Readiness[]>({
    queryKey: ['people', student, 'readiness'],
    queryFn: () => read(`/people/${student}/readiness`),
  });

export const useCalendar = () =>
  useQuery<Calendar>({ queryKey: ['classes'], queryFn: () => read('/classes') });

/** The day it is in the house; until that is read, the day it is on this device. */
export const useToday = () => useCalendar().data?.today ?? today();

/** The classes from a day to a day, kept and given by the weekly times. */
export const useDays = (from: string, to: string) =>
  useQuery<Calendar>({
    queryKey: ['classes', 'days', from, to],
    queryFn: () => read(`/classes?from=${from}&to=${to}`),
    placeholderData: keepPreviousData,
  });

/** A class as it can be planned. */
export const usePlan = (id: string | null) =>
  useQuery<{ value: TrainingClass; tag: string }>({
    queryKey: ['classes', id, 'plan'],
    queryFn: () => readPlan(id ?? ''),
    enabled: id !== null,
    gcTime: 0,
  });

/** A class with its tag; it is read as part of its sheet. */
export async function readPlan(id: string): Promise<{ value: TrainingClass; tag: string }> {
  const { value, tag } = await readTagged<ClassSheet>(`/classes/${id}`);
  return { value: value.training, tag };
}

/** The ways of drilling that a coach may take into a class. */
export const useDrills = () =>
  useQuery<DrillShape[]>({ queryKey: ['drills'], queryFn: () => read('/drills'), staleTime: 60_000 });

export const sheetQuery = (id: string | undefined) => ({
  queryKey: ['classes', id],
  queryFn: (): Promise<ClassSheet> => read(`/classes/${id}`),
  enabled: id !== undefined,
});

export const useClassSheet = (id: string | undefined) => useQuery<ClassSheet>(sheetQuery(id));
