import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { read, readTagged } from './client';
import type {
  AskView,
  Been,
  CameWith,
  FaultsSeen,
  GameView,
  Holding,
  MemoryView,
  Mention,
  Name,
  ProgressView,
  Promotion,
  Readiness,
  RosterPage,
  RosterRow,
  Student,
  Unseen,
} from './types';

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
    const some = await read(`/people?${rosterQuery(wanted)}&page=${page}&size=200`);
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
