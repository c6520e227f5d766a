import { useQuery } from '@tanstack/react-query';
import { type Problem, read } from './client';
import type { WholeView } from './types';

/** How the data stands: damaged, or on a full disk. For the head coach, who can act. */
export const useWhole = (enabled = true) =>
  useQuery<WholeView, Problem>({
    queryKey: ['copies', 'whole'],
    queryFn: () => read('/copies/whole'),
    refetchInterval: 60_000,
    enabled,
  });
