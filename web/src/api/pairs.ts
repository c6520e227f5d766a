import { useQuery } from '@tanstack/react-query';
import { read } from './client';
import type { Call, Room } from './types';

export const roomPath = (classId: string, block: string | null, without: string[] = []) => {
  const asked = new URLSearchParams();
  if (block) asked.set('block', block);
  for (const id of without) asked.append('without', id);
  const room = `/classes/${classId}/pairs` as const;
  return asked.size > 0 ? (`${room}?${asked.toString()}` as typeof room) : room;
};

/** All that pairing asks about those who may come to a class; kept on the device, so that it pairs without the server too. */
export const useRoom = (classId: string, block: string | null, enabled = true) =>
  useQuery<Room>({
    queryKey: ['pairs', classId, block ?? ''],
    queryFn: () => read(roomPath(classId, block)),
    enabled,
    staleTime: 60_000,
  });

/** Whom to call about those who may come to a class; kept on the device for the evening. */
export const useCalls = (classId: string, enabled = true) =>
  useQuery<Call[]>({
    queryKey: ['calls', classId],
    queryFn: () => read(`/classes/${classId}/calls`),
    enabled,
    staleTime: 60_000,
  });
