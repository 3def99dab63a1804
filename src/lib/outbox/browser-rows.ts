import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Row, RowStore } from './rows';
import { rowsOfOld } from './old-rows';

interface Schema extends DBSchema {
  rows: { key: [string, string]; value: Row; indexes: { lane: string } };
  // Of earlier versions, where each kind kept its whole queue as one value.
  pending: { key: string; value: unknown };
  readings: { key: string; value: unknown };
  photos: { key: string; value: unknown };
}
const OLD = ['pending', 'readings', 'photos'] as const;

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const open = (): Promise<IDBPDatabase<Schema>> =>
  (opened ??= openDB<Schema>('guanxi', 4, {
    async upgrade(db, _from, _to, tx) {
      const rows = db.createObjectStore('rows', { keyPath: ['lane', 'id'] });
      rows.createIndex('lane', 'lane');
      for (const name of OLD) {
        if (!db.objectStoreNames.contains(name)) continue;
        const old = tx.objectStore(name);
        for (const show of await old.getAllKeys())
          for (const row of rowsOfOld(name, show, await old.get(show))) await rows.put(row);
        db.deleteObjectStore(name);
      }
    }
  }));

/** Rows in IndexedDB: they outlive a reload and a flat battery, and two tabs of one show keep theirs beside each other. */
export const browserRows: RowStore = {
  async load(lane) {
    const rows = await (await open()).getAllFromIndex('rows', 'lane', lane);
    return rows.sort((a, b) => a.order - b.order);
  },
  async put(rows) {
    const tx = (await open()).transaction('rows', 'readwrite');
    // As JSON: what the page holds may be a proxy, which the store cannot copy.
    await Promise.all([...rows.map((row) => tx.store.put(JSON.parse(JSON.stringify(row)) as Row)), tx.done]);
  },
  async drop(lane, ids) {
    const tx = (await open()).transaction('rows', 'readwrite');
    await Promise.all([...ids.map((id) => tx.store.delete([lane, id])), tx.done]);
  }
};
