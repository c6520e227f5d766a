import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { send } from './client';
import type { Summed, TrainingClass } from './types';

/** What a class adds up to while it is being planned; what cannot be added up yet leaves the last sum. */
export const useSums = (training: TrainingClass) =>
  useQuery<Summed>({
    queryKey: ['sums', JSON.stringify(training)],
    queryFn: () => send('POST', '/classes/sums', training) as Promise<Summed>,
    placeholderData: keepPreviousData,
    enabled: training.blocks.length > 0,
    retry: false,
    gcTime: 10_000,
  });
