import 'fake-indexeddb/auto';
import { dehydrate, QueryClient } from '@tanstack/react-query';
import { expect, it } from 'vitest';
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

it('shows what was read lately by this page, and nothing older or of another page', async () => {
  expect(await found('lately', 13, PAGE)).toEqual(['ana']);
  expect(await found('long-ago', 15, PAGE)).toBeUndefined();
  expect(await found('another', 1, `${PAGE}?other`)).toBeUndefined();
});
