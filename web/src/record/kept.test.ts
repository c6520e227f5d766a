import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { expect, it } from 'vitest';
import { openKept } from './kept';
import type { Waiting } from './waiting';

const mark = (id: string) =>
  ({ kind: 'mark', body: { id, student: 'ana' }, account: 'head', says: id, at: '' }) as Waiting;

/** Locks a database, as a browser does whose page was left while it was being made; answers with the key. */
async function locked(name: string): Promise<() => void> {
  const holder = await openDB(name, 1);
  indexedDB.deleteDatabase(name); // waits for the holder, and everybody who opens it now waits behind
  return () => holder.close();
}

it('keeps records beside a database that does not open, and takes them over when it does', async () => {
  const unlock = await locked('kept');
  const beside = await openKept('kept', 20);
  await beside.add('waiting', mark('m1'));
  await beside.add('waiting', mark('m2'));
  beside.close();
  unlock();

  const first = await openKept('kept', 20_000);

  expect(first.name).toBe('kept');
  expect((await first.getAll('waiting')).map((one) => one.says)).toEqual(['m1', 'm2']);
  first.close();
  const again = await openKept('kept', 20_000);
  expect(await again.getAll('waiting')).toHaveLength(2);
});
