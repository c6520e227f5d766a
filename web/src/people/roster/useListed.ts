import { useQuery } from '@tanstack/react-query';
import { type RosterWanted, readRoster } from '../../api/people';
import type { RosterRow } from '../../api/types';

/** Whom something is done to: those who are ticked, else everybody on the list. */
export const useListed = (wanted: RosterWanted, chosen: RosterRow[]) =>
  useQuery<RosterRow[]>({
    queryKey: ['people', 'listed', wanted, chosen.map((row) => row.student.id)],
    queryFn: async () => (chosen.length > 0 ? chosen : readRoster(wanted)),
    gcTime: 0,
  });
