import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Waiting } from './outbox';

/** What this browser keeps: what waits to be sent, and what the server said last. */
interface Kept extends DBSchema {
  waiting: { key: number; value: Waiting };
  known: { key: string; value: unknown };
}

export type Database = IDBPDatabase<Kept>;

export const openKept = (name = 'lynchet'): Promise<Database> =>
  openDB<Kept>(name, 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'place', autoIncrement: true });
      db.createObjectStore('known');
    },
  });
