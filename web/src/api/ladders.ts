import { useQuery } from '@tanstack/react-query';
import { read } from './client';
import type { LadderView, Mendable, RankCheck, StandingOn, SyllabusVersion } from './types';

/** The versions of a ladder's syllabus, the newest first. */
export const useVersions = (ladder: string | undefined) =>
  useQuery<SyllabusVersion[]>({
    queryKey: ['ladders', ladder, 'versions'],
    queryFn: () => read(`/ladders/${ladder}/versions`),
    enabled: ladder !== undefined,
  });

/** Who stands on the version that is in force on a day. */
export const useStandingOn = (ladder: string, day: string | null) =>
  useQuery<StandingOn[]>({
    queryKey: ['ladders', ladder, 'versions', day],
    queryFn: () => read(`/ladders/${ladder}/versions/${day}/people`),
    enabled: day !== null,
  });

/** What can be done about the findings of a rank. */
export const useRankMends = (ladder: string, rank: string, enabled: boolean) =>
  useQuery<Mendable[]>({
    enabled,
    queryKey: ['ladders', ladder, rank, 'mends'],
    queryFn: () => read(`/ladders/${ladder}/ranks/${rank}/mends`),
  });

export const useLadders = () =>
  useQuery<LadderView[]>({ queryKey: ['ladders'], queryFn: () => read('/ladders') });

export const useLadderCheck = (ladder: string | undefined) =>
  useQuery<RankCheck[]>({
    queryKey: ['ladders', ladder, 'check'],
    queryFn: () => read(`/ladders/${ladder}/check`),
    enabled: ladder !== undefined,
  });
