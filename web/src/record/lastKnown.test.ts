import 'fake-indexeddb/auto';
import { dehydrate, QueryClient } from '@tanstack/react-query';
import { expect, it, vi } from 'vitest';
import { openKept } from './kept';
import { keepLastKnown } from './lastKnown';

const DAY = 24 * 3600 * 1000;
const PAGE = new URL('./lastKnown.ts', import.meta.url).href;

/** What a page finds of the names that were kept so long ago, by such a page. */
async function found(db: string, daysAgo: number, page: string) {
  const before = new QueryClient();
  before.setQueryData(['names'], ['ana']);
  const kept = openKept(db);
  await (await kept).put(
    'known',
    { at: Date.now() - daysAgo * DAY, page, state: dehydrate(before) },
    'queries',
  );
  const client = new QueryClient();
  const stop = await keepLastKnown(client, kept);
  stop();
  return client.getQueryData(['names']);
}

/** What of an answer would be found again by the next page. */
async function kept(db: string, key: unknown[], answer: unknown) {
  vi.useFakeTimers({ toFake: ['setTimeout'] });
  const client = new QueryClient();
  const store = openKept(db);
  const stop = await keepLastKnown(client, store);
  await client.fetchQuery({ queryKey: ['names'], queryFn: () => ['ana'] });
  await client.fetchQuery({ queryKey: key, queryFn: () => answer });
  vi.runAllTimers();
  vi.useRealTimers();
  stop();
  const found = new QueryClient();
  await vi.waitFor(async () => expect(await (await store).get('known', 'queries')).toBeDefined());
  (await keepLastKnown(found, store))();
  expect(found.getQueryData(['names'])).toEqual(['ana']);
  return found.getQueryData(key);
}

it('keeps the map as it stands, who is signed in, and nothing that only looks like it', async () => {
  expect(await kept('map', ['map'], { pairs: [] })).toEqual({ pairs: [] });
  expect(await kept('sums', ['map', 'reach'], { reached: [] })).toBeUndefined();
  expect(await kept('in', ['session'], { session: { name: 'coach' } })).toBeDefined();
  expect(await kept('out', ['session'], { session: null })).toBeUndefined();
});

it('goes on where the browser has no room for it', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout'] });
  const client = new QueryClient();
  const put = vi.fn(async () => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  const stop = await keepLastKnown(client, Promise.resolve({ get: async () => undefined, put } as never));
  for (const name of ['ana', 'bo']) {
    await client.fetchQuery({ queryKey: ['names'], queryFn: () => [name], staleTime: 0 });
    await vi.runAllTimersAsync();
  }
  vi.useRealTimers();
  stop();
  expect(put).toHaveBeenCalledTimes(2);
  expect(client.getQueryData(['names'])).toEqual(['bo']);
});

it('shows what was read lately by this page, and nothing older or of another page', async () => {
  expect(await found('lately', 13, PAGE)).toEqual(['ana']);
  expect(await found('long-ago', 15, PAGE)).toBeUndefined();
  expect(await found('another', 1, `${PAGE}?other`)).toBeUndefined();
});
