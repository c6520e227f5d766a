import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { read, readTagged } from './client';
import { today } from './today';
import type {
  Calendar,
  ClassSheet,
  Closures,
  Coaches,
  DrillShape,
  PatternView,
  Tracks,
  TrainingClass,
} from './types';

/** Days without classes, with the tag of each. */
export const useClosures = () =>
  useQuery<Closures>({ queryKey: ['closures'], queryFn: () => read('/closures') });

/** Classes that were kept to begin others from. */
export const usePatterns = () =>
  useQuery<PatternView[]>({ queryKey: ['patterns'], queryFn: () => read('/patterns') });

/** The tracks with the tag of each. */
export const useTracks = () => useQuery<Tracks>({ queryKey: ['tracks'], queryFn: () => read('/tracks') });

/** Who gives the classes, by name. */
export const useCoaches = () => useQuery<Coaches>({ queryKey: ['coaches'], queryFn: () => read('/coaches') });

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
  const { value, tag } = await readTagged(`/classes/${id}`);
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
