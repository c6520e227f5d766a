import { type DehydratedState, dehydrate, hydrate, type QueryClient } from '@tanstack/react-query';
import type { Welcome } from '../api/types';
import type { Database } from './kept';

/** What the mat needs without the server: who is signed in, the map, the people, the classes looked at with whom to pair and call. */
const KEPT = new Set(['session', 'map', 'names', 'classes', 'ladders', 'words', 'pairs', 'calls']);

/** How long what was read stays good enough without the server. */
const LONGEST = 14 * 24 * 3600 * 1000;

const PAUSE = 1000;

/** Which page wrote it, by the name its build gives it: answers of a server from before may lack what this page shows. */
const PAGE = import.meta.url;

const isKept = (key: readonly unknown[]) =>
  KEPT.has(String(key[0])) && (key[0] !== 'map' || key.length === 1);

const isSignedIn = (welcome: unknown) => (welcome as Welcome).session !== null;

/** Puts back what the server said last, and from now on keeps what it says; answers with a way to stop. */
export async function keepLastKnown(client: QueryClient, db: Promise<Database>): Promise<() => void> {
  const kept = (await (await db).get('known', 'queries')) as
    | { at: number; page?: string; state: DehydratedState }
    | undefined;
  if (kept && kept.page === PAGE && Date.now() - kept.at < LONGEST) hydrate(client, kept.state);
  await client.invalidateQueries({ refetchType: 'none' }); // shown at once, and read again as soon as may be
  let isComing = false;
  const save = async () => {
    isComing = false;
    const state = dehydrate(client, {
      shouldDehydrateQuery: ({ queryKey, state: { data } }) =>
        data !== undefined && isKept(queryKey) && (queryKey[0] !== 'session' || isSignedIn(data)),
    });
    await (await db).put('known', { at: Date.now(), page: PAGE, state }, 'queries');
  };
  return client.getQueryCache().subscribe((event) => {
    if (event.type !== 'updated' || event.action.type !== 'success' || !isKept(event.query.queryKey)) return;
    if (!isComing) setTimeout(() => save().catch(() => {}), PAUSE); // a full browser keeps what it kept before
    isComing = true;
  });
}
