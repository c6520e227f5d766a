import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { read } from './client';
import type { LeaksView, RoundsPage } from './types';

/** What a list of rounds is narrowed to; what is left out is not asked. */
export type RoundsWanted = {
  by?: string | null;
  since?: string | null;
  until?: string | null;
  kind?: string | null;
  fought?: string | null;
  track?: string | null;
  position?: string | null;
  technique?: string | null;
  in?: string | null;
  page?: number;
};

const queryOf = (wanted: RoundsWanted) => {
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(wanted)) if (value) query.set(name, String(value));
  return query.toString();
};

/** Rounds, the latest first. */
export const useRounds = (wanted: RoundsWanted, enabled = true) =>
  useQuery<RoundsPage>({
    queryKey: ['rounds', 'list', queryOf(wanted)],
    queryFn: () => read(`/rounds?${queryOf(wanted)}`),
    placeholderData: keepPreviousData,
    enabled,
  });

/** What members, or one of them, are caught with in the last days. */
export const useLeaks = (days: number, kind: string | null, by: string | null = null) =>
  useQuery<LeaksView>({
    queryKey: ['rounds', 'leaks', days, kind, by],
    queryFn: () => read(`/rounds/leaks?days=${days}${kind ? `&kind=${kind}` : ''}${by ? `&by=${by}` : ''}`),
    placeholderData: keepPreviousData,
  });
