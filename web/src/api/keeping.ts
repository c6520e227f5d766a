import { useQuery } from '@tanstack/react-query';
import { type Problem, read, readTagged } from './client';
import type { IncidentSheet, IncidentView, Keeping } from './types';

/** What happened to one student, or from a day to a day; for coaches. */
export const useIncidents = (of: { student: string } | { from: string; to: string }, on = true) =>
  useQuery<IncidentView[], Problem>({
    queryKey: ['incidents', of],
    queryFn: () => read(`/incidents?${new URLSearchParams(of)}`),
    enabled: on,
  });

/** One incident with what the sheet for the insurer says beside it. */
export const useIncident = (id: string) =>
  useQuery<{ value: IncidentSheet; tag: string }, Problem>({
    queryKey: ['incidents', 'one', id],
    queryFn: () => readTagged(`/incidents/${id}`),
  });

/** How long people who left are kept, and who is due. */
export const useKeeping = () =>
  useQuery<Keeping, Problem>({ queryKey: ['keeping'], queryFn: () => read('/keeping') });
