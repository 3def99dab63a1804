import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Reading } from '$core/check/reading';
import type { PhotoHere } from './read';
import type { SentEdit } from './wire';

/** What is not yet on the server, kept in the browser until it is. */
interface Pending {
  readonly queue: readonly SentEdit[];
  /** Edits that no longer fit; kept until the person has decided. */
  readonly aside: readonly { sent: SentEdit; why: string }[];
}

interface Schema extends DBSchema {
  pending: { key: string; value: unknown };
  readings: { key: string; value: unknown };
  photos: { key: string; value: unknown };
}

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const open = (): Promise<IDBPDatabase<Schema>> =>
  (opened ??= openDB<Schema>('guanxi', 3, {
    upgrade(db, from) {
      if (from < 1) db.createObjectStore('pending');
      if (from < 2) db.createObjectStore('readings');
      if (from < 3) db.createObjectStore('photos');
    }
  }));

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

/** Readings of a show that are not on the server yet. */
export async function loadReadings(showId: string): Promise<Reading[]> {
  const raw = await open()
    .then((db) => db.get('readings', showId))
    .catch(() => undefined);
  if (raw === undefined) return [];
  const { ReadingQueueSchema } = await import('./wire');
  const parsed = ReadingQueueSchema.safeParse(raw);
  return parsed.success ? parsed.data : [];
}

export async function saveReadings(showId: string, queue: readonly Reading[]): Promise<void> {
  const db = await open();
  if (queue.length === 0) await db.delete('readings', showId);
  else await db.put('readings', JSON.parse(JSON.stringify(queue)), showId);
}

/** Pictures of a show that are not on the server yet. */
export async function loadPhotos(showId: string): Promise<PhotoHere[]> {
  const raw = await open()
    .then((db) => db.get('photos', showId))
    .catch(() => undefined);
  if (raw === undefined) return [];
  const { PhotoQueueSchema } = await import('./wire');
  const parsed = PhotoQueueSchema.safeParse(raw);
  return parsed.success ? parsed.data : [];
}

export async function savePhotos(showId: string, queue: readonly PhotoHere[]): Promise<void> {
  const db = await open();
  if (queue.length === 0) await db.delete('photos', showId);
  else await db.put('photos', JSON.parse(JSON.stringify(queue)), showId);
}
