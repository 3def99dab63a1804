import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { SentEdit } from './wire';

/** What is not yet on the server, kept in the browser until it is. */
interface Pending {
  readonly queue: readonly SentEdit[];
  /** Edits that no longer fit; kept until the person has decided. */
  readonly aside: readonly { sent: SentEdit; why: string }[];
}

interface Schema extends DBSchema {
  pending: { key: string; value: unknown };
}

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const open = (): Promise<IDBPDatabase<Schema>> =>
  (opened ??= openDB<Schema>('guanxi', 1, { upgrade: (db) => void db.createObjectStore('pending') }));

/** Unsent edits of a show from an earlier visit; nothing when there are none or they cannot be read. */
export async function loadPending(showId: string): Promise<Pending> {
  const raw = await open()
    .then((db) => db.get('pending', showId))
    .catch(() => undefined);
  if (raw === undefined) return { queue: [], aside: [] };
  const { PendingSchema } = await import('./wire');
  const parsed = PendingSchema.safeParse(raw);
  return parsed.success ? parsed.data : { queue: [], aside: [] };
}

export async function savePending(showId: string, pending: Pending): Promise<void> {
  const db = await open();
  if (pending.queue.length === 0 && pending.aside.length === 0) await db.delete('pending', showId);
  else await db.put('pending', JSON.parse(JSON.stringify(pending)), showId);
}
