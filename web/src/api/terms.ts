import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { read, readTagged } from './client';
import type { CycleLine, CycleView, Evening, Job, Met, PlanLine, PlanView, Terms, Wanted } from './types';

/** The terms, the latest first. */
export const useTerms = () => useQuery<Terms>({ queryKey: ['terms'], queryFn: () => read('/terms') });

/** The plans in a line each. */
export const usePlans = () => useQuery<PlanLine[]>({ queryKey: ['plans'], queryFn: () => read('/plans') });

/** A plan with what is likely to be remembered. */
export const usePlanView = (id: string | undefined) =>
  useQuery<{ value: PlanView; tag: string }>({
    queryKey: ['plans', id],
    queryFn: () => readTagged(`/plans/${id}`),
    enabled: id !== undefined,
    placeholderData: (before) => (before?.value.plan.id === id ? before : undefined),
  });

/** What the track needs next. */
export const useWanted = (id: string) =>
  useQuery<Wanted[]>({
    queryKey: ['plans', id, 'wanted'],
    queryFn: () => read(`/plans/${id}/wanted`),
    placeholderData: keepPreviousData,
  });

/** The tracks' theme weeks in a line each. */
export const useCycles = () =>
  useQuery<CycleLine[]>({ queryKey: ['cycles'], queryFn: () => read('/cycles') });

/** Theme weeks as they come round. */
export const useCycleView = (id: string) =>
  useQuery<{ value: CycleView; tag: string }>({
    queryKey: ['cycles', id],
    queryFn: () => readTagged(`/cycles/${id}`),
    placeholderData: (before) => (before?.value.cycle.id === id ? before : undefined),
  });

/** What a track with theme weeks needs next. */
export const useCycleWanted = (id: string) =>
  useQuery<Wanted[]>({
    queryKey: ['cycles', id, 'wanted'],
    queryFn: () => read(`/cycles/${id}/wanted`),
    placeholderData: keepPreviousData,
  });

/** Who has met what of a plan. */
export const useMet = (id: string) =>
  useQuery<Met>({ queryKey: ['plans', id, 'exposure'], queryFn: () => read(`/plans/${id}/exposure`) });

/** Ways to spend an evening, from who is here now. */
export const useTonight = (classId: string) =>
  useQuery<Evening>({
    queryKey: ['classes', classId, 'tonight'],
    queryFn: () => read(`/classes/${classId}/tonight`),
    gcTime: 0,
  });

const OVER = ['DONE', 'FAILED', 'CANCELLED'];

export const isOver = (job: Job | undefined) => OVER.includes(job?.state ?? '');

/** How far planning is. */
export const usePlanJob = (id: string | null) =>
  useQuery<Job>({
    queryKey: ['planning', id],
    queryFn: () => read(`/plans/jobs/${id}`),
    enabled: id !== null,
    refetchInterval: (query) => (isOver(query.state.data) ? false : 300),
  });
