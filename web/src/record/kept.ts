import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Waiting } from './waiting';

/** What this browser keeps: what waits to be sent, and what the server said last. */
interface Kept extends DBSchema {
  waiting: { key: number; value: Waiting };
  known: { key: string; value: unknown };
}

export type Database = IDBPDatabase<Kept>;

/** How long a database may take to open before another one takes its place, in ms. */
const PATIENCE = 2000;

const open = (name: string): Promise<Database> =>
  openDB<Kept>(name, 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'place', autoIncrement: true });
      db.createObjectStore('known');
    },
  });

/** The same, or null where it does not answer in time; what opens too late is closed again. */
async function opened(name: string, patience: number): Promise<Database | null> {
  const opening = open(name);
  const late = new Promise<null>((pass) => setTimeout(pass, patience, null));
  const db = await Promise.race([opening, late]);
  if (!db) opening.then((tooLate) => tooLate.close()).catch(() => {});
  return db;
}

/**
 * Opens what this browser keeps. Who leaves the page in the very moment in which it is first made can leave it locked
 * until the browser is closed: then another one stands in for it, and what waits there is taken over when the first
 * opens again.
 */
export async function openKept(name = 'lynchet', patience = PATIENCE): Promise<Database> {
  const standIn = `${name}-beside`;
  const db = await opened(name, patience);
  if (!db) return open(standIn);
  if ((await indexedDB.databases?.())?.some((one) => one.name === standIn))
    await takeOver(await opened(standIn, patience), db);
  return db;
}

/** Moves what waits to be sent, in its order; what was written twice by a crash in between is taken once, by its id. */
async function takeOver(from: Database | null, to: Database): Promise<void> {
  if (!from) return;
  for (const { place, ...waiting } of await from.getAll('waiting')) {
    await to.add('waiting', waiting as Waiting);
    await from.delete('waiting', place as number);
  }
  from.close();
}
