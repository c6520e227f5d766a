import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { createContext, type ReactNode, useContext, useEffect, useMemo, useSyncExternalStore } from 'react';
import { isServerWell, sendAs } from '../api/client';
import { useSession } from '../api/club';
import type { ClassSheet, Name, Room } from '../api/types';
import type { Database } from './kept';
import { Outbox } from './outbox';
import { withGuests, withKnocks, withPairs, withWaiting } from './overlay';
import type { Sent, Waiting } from './waiting';

const OutboxContext = createContext<Outbox | null>(null);

/** What is read again once records are taken: the one class, the one student; everything else when it is next shown. */
function readAgain(client: QueryClient, taken: Waiting[]) {
  client.invalidateQueries({ queryKey: ['people'], refetchType: 'none' });
  if (taken.some((one) => one.kind === 'guest' || one.kind === 'answer' || one.kind === 'incident'))
    client.invalidateQueries({ queryKey: ['names'] });
  if (taken.some((one) => one.kind === 'answer')) {
    client.invalidateQueries({ queryKey: ['calls'] });
    client.invalidateQueries({ queryKey: ['pairs'] });
  }
  if (taken.some((one) => one.kind === 'incident')) client.invalidateQueries({ queryKey: ['pairs'] });
  if (taken.some((one) => one.kind === 'round' || one.kind === 'unround'))
    client.invalidateQueries({ queryKey: ['rounds'] });
  const classes = new Set(taken.flatMap((one) => classOf(one) ?? []));
  for (const id of classes) client.invalidateQueries({ queryKey: ['classes', id] });
  const students = new Set(taken.flatMap((one) => (one.kind === 'mark' ? [one.body.student] : [])));
  for (const id of students) client.invalidateQueries({ queryKey: ['people', id] });
}

/** The class that a record is about. */
const classOf = (one: Waiting) => ('classId' in one.body ? one.body.classId : null);

/** A class goes on showing what was taken, also when it cannot be read again. */
function nowKept(client: QueryClient, one: Waiting) {
  if (one.kind === 'guest' || one.kind === 'answer')
    client.setQueryData<Name[]>(['names'], (names) => names && withGuests(names, [one]));
  else if (one.kind === 'pair')
    client.setQueriesData<Room>(
      { queryKey: ['pairs', one.body.classId] },
      (room) => room && { ...room, rounds: withPairs(room.rounds, one.body.classId, [one]) },
    );
  else if (one.kind === 'incident')
    client.setQueryData<Name[]>(['names'], (names) => names && withKnocks(names, [one]));
  else if (classOf(one))
    client.setQueryData<ClassSheet>(['classes', classOf(one)], (sheet) => sheet && withWaiting(sheet, [one]));
}

/** Gives every screen the outbox, which sends under the person who is signed in. */
export function Recording({ kept, children }: { kept: Promise<Database>; children: ReactNode }) {
  const client = useQueryClient();
  const outbox = useMemo(
    () =>
      new Outbox(
        kept,
        sendAs,
        (one) => nowKept(client, one),
        (taken) => readAgain(client, taken),
        isServerWell,
      ),
    [kept, client],
  );
  const account = useSession().data?.name ?? null;
  useEffect(() => {
    void outbox.signedInAs(account);
    const flush = () => void outbox.flush();
    window.addEventListener('online', flush);
    return () => window.removeEventListener('online', flush);
  }, [outbox, account]);
  return <OutboxContext.Provider value={outbox}>{children}</OutboxContext.Provider>;
}

export function useOutbox(): Outbox {
  const outbox = useContext(OutboxContext);
  if (!outbox) throw new Error('there is no outbox here');
  return outbox;
}

/** What waits to be sent, or was set aside. */
export function useWaiting(): Waiting[] {
  const outbox = useOutbox();
  return useSyncExternalStore(outbox.subscribe, outbox.all);
}

/** Records something at the mat: kept in this browser at once, sent when it can be. */
export function useRecord(): (sent: Sent, says: string, needs?: string) => Promise<void> {
  const outbox = useOutbox();
  return (sent, says, needs) => outbox.record(sent, says, needs);
}
