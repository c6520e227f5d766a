import { useQuery } from '@tanstack/react-query';
import { type Problem, read } from './client';
import type { BoardView, Cupboard, Leaving, Merit } from './types';

/** Where everybody on a ladder stands before the window. */
export const useBoard = (ladder: string, window: string | null = null) =>
  useQuery<BoardView, Problem>({
    queryKey: ['board', ladder, window],
    queryFn: () => read(`/board?ladder=${ladder}${window ? `&window=${window}` : ''}`),
    enabled: ladder !== '',
  });

/** Who grows out of a ladder in the next half year. */
export const useLeaving = () =>
  useQuery<Leaving[], Problem>({ queryKey: ['board', 'hand-over'], queryFn: () => read('/board/hand-over') });

/** The belts that are there and those to order for a ladder. */
export const useCupboard = (ladder: string) =>
  useQuery<Cupboard, Problem>({
    queryKey: ['belts', ladder],
    queryFn: () => read(`/belts?ladder=${ladder}`),
  });

/** What counts for a student outside of the classes. */
export const useMerits = (student: string) =>
  useQuery<Merit[], Problem>({
    queryKey: ['people', student, 'merits'],
    queryFn: () => read(`/merits?student=${student}`),
  });
