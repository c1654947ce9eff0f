import type { Command, Refusal, TaggedRow } from '@ours/core';
import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** Raise when the shape of the stored rows changes: the device then reads everything anew; the queue is kept. */
const DATA_VERSION = 2;
const DB_VERSION = 1;

export interface QueuedCommand {
  /** Order of making. */
  at: number;
  command: Command;
  /** Set once the server has applied it; it leaves the queue when that change has come back in the feed. */
  seq: number | null;
  /** Why the server would not apply it; kept until the person has dealt with it. */
  refusal: Refusal | { kind: 'not_accepted'; detail: string } | null;
}

interface Shape extends DBSchema {
  rows: { key: [string, string]; value: TaggedRow };
  queue: { key: number; value: QueuedCommand };
  meta: { key: string; value: unknown };
}

export type DeviceDb = IDBPDatabase<Shape>;
const nameOf = (householdId: string): string => `nook-${householdId}`;

/** The household's rows on this device, one record each, and the commands that wait to be sent. */
export async function openDeviceDb(householdId: string): Promise<DeviceDb> {
  const db = await openDB<Shape>(nameOf(householdId), DB_VERSION, {
    upgrade(fresh) {
      fresh.createObjectStore('rows');
      fresh.createObjectStore('queue', { keyPath: 'at' });
      fresh.createObjectStore('meta');
    },
  });
  if ((await db.get('meta', 'dataVersion')) !== DATA_VERSION) {
    await db.clear('rows');
    await db.put('meta', 0, 'seq');
    await db.put('meta', DATA_VERSION, 'dataVersion');
  }
  return db;
}

export const forgetDeviceDb = (householdId: string): Promise<void> => deleteDB(nameOf(householdId));

export interface StoredHousehold {
  rows: TaggedRow[];
  queue: QueuedCommand[];
  seq: number;
}

export async function readStored(db: DeviceDb): Promise<StoredHousehold> {
  const tx = db.transaction(['rows', 'queue', 'meta']);
  const [rows, queue, seq] = await Promise.all([
    tx.objectStore('rows').getAll(),
    tx.objectStore('queue').getAll(),
    tx.objectStore('meta').get('seq'),
  ]);
  return { rows, queue, seq: Number(seq ?? 0) };
}

/** Stores a page of changes and takes the commands it contains off the queue, all at once. */
export async function storePage(
  db: DeviceDb,
  rows: readonly TaggedRow[],
  seq: number,
  done: readonly number[],
): Promise<void> {
  const tx = db.transaction(['rows', 'queue', 'meta'], 'readwrite');
  for (const tagged of rows) {
    void tx.objectStore('rows').put(tagged, [tagged.entity, tagged.row.id]);
  }
  for (const at of done) void tx.objectStore('queue').delete(at);
  void tx.objectStore('meta').put(seq, 'seq');
  await tx.done;
}
