import type { ChangePage } from '@ours/contracts';
import { unreadableBy, type Command, type EntityKind, type Refusal, type Role, type TaggedRow } from '@ours/core';
import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { v7 as uuidv7 } from 'uuid';
import { aMoment, untilIdle } from './idle';

/** Raise when the shape of the stored rows changes: the device then reads everything anew; the queue is kept. */
const DATA_VERSION = 3;
const DB_VERSION = 4;
/** What was sent is kept this long, to be sent again to a server that was put back from a backup. */
const SENT_KEPT_MS = 14 * 86_400_000;

export interface QueuedCommand {
  /** Order of making: milliseconds, with a fraction that keeps two tabs apart. */
  at: number;
  command: Command;
  /** Set once the server has applied it; it leaves the queue when that change has come back in the feed. */
  seq: number | null;
  /** Why the server would not apply it; kept until the person has dealt with it. */
  refusal: Refusal | null;
}

interface Shape extends DBSchema {
  /** `byItem`: the lots of a thing, without reading the others. */
  rows: { key: [string, string]; value: TaggedRow; indexes: { byItem: string } };
  /** Rows that are gone for good in most homes: see `isAside`. Of two stores a row is only in one. */
  aside: { key: [string, string]; value: TaggedRow };
  queue: { key: number; value: QueuedCommand };
  sent: { key: number; value: QueuedCommand };
  meta: { key: string; value: unknown };
}

export type DeviceDb = IDBPDatabase<Shape>;
const nameOf = (householdId: string): string => `nook-${householdId}`;

/**
 * The household's rows on this device, one record each, and the commands that wait to be sent.
 * @param role whose device it is: what it may not read goes; null: nothing does
 * @param onLost the browser has closed or deleted the data while it was in use
 */
export async function openDeviceDb(
  householdId: string,
  role: Role | null = null,
  onLost: () => void = () => undefined,
): Promise<DeviceDb> {
  const db = await openDB<Shape>(nameOf(householdId), DB_VERSION, {
    upgrade(fresh, from, _to, tx) {
      if (from < 1) {
        fresh.createObjectStore('rows');
        fresh.createObjectStore('queue', { keyPath: 'at' });
        fresh.createObjectStore('meta');
      }
      if (from < 2) fresh.createObjectStore('sent', { keyPath: 'at' });
      if (from < 3) fresh.createObjectStore('aside');
      if (from < 4) tx.objectStore('rows').createIndex('byItem', 'row.itemId');
    },
    // Another tab signs out or has a newer version of the app: it must not have to wait for this one.
    blocking(_current, _blocked, event) {
      (event.target as IDBDatabase).close();
      onLost();
    },
    terminated: onLost,
  });
  if ((await db.get('meta', 'dataVersion')) !== DATA_VERSION) await forgetRows(db);
  if ((await db.get('meta', 'device')) === undefined) await db.put('meta', uuidv7(), 'device');
  if (role !== null) await followRole(db, role);
  return db;
}

/**
 * Retired rows that nothing is shown of and no code is kept by. A home gathers many times more of them than it has others;
 * they are read when the home is already shown.
 */
const isAside = ({ entity, row }: TaggedRow): boolean => row.retired && (entity === 'lot' || entity === 'line');

type RowStore = 'rows' | 'aside';
type RowKeys = [string, string];
/** Every key of one kind of rows: a list comes after every text. */
const allOf = (kind: EntityKind): IDBKeyRange => IDBKeyRange.bound([kind], [kind, []]);
const allLots = (): IDBKeyRange => allOf('lot');

/** Reads rows some at a time, so that what the person does comes in between. */
async function readInParts(
  db: DeviceDb,
  from: { store: RowStore; range: IDBKeyRange | null; atOnce: number; between: () => Promise<void> },
  take: (rows: TaggedRow[]) => void,
): Promise<void> {
  let range = from.range;
  for (;;) {
    const store = db.transaction(from.store).objectStore(from.store);
    const [rows, keys] = await Promise.all([store.getAll(range, from.atOnce), store.getAllKeys(range, from.atOnce)]);
    take(rows);
    if (rows.length < from.atOnce) return;
    const last = keys.at(-1)! as RowKeys;
    range = from.range ? IDBKeyRange.bound(last, from.range.upper, true) : IDBKeyRange.lowerBound(last, true);
    await from.between();
  }
}

/** Reads the rows set aside, while the person does nothing. */
export const readAside = (db: DeviceDb, take: (rows: TaggedRow[]) => void): Promise<void> =>
  readInParts(db, { store: 'aside', range: null, atOnce: ASIDE_AT_ONCE, between: untilIdle }, take);

/** Reads all lots that are not set aside, and how things were used; somebody waits for them. */
export async function readLots(db: DeviceDb, take: (rows: TaggedRow[]) => void): Promise<void> {
  for (const kind of ['lot', 'use'] as const)
    await readInParts(db, { store: 'rows', range: allOf(kind), atOnce: LOTS_AT_ONCE, between: aMoment }, take);
}

/** The rows that belong to some items: their lots, and what else names an item. */
export async function readLotsOf(db: DeviceDb, itemIds: readonly string[]): Promise<TaggedRow[]> {
  const index = db.transaction('rows').store.index('byItem');
  return (await Promise.all(itemIds.map((id) => index.getAll(id)))).flat();
}

/** The lots that waiting commands are about. */
export async function readNamed(db: DeviceDb, queue: readonly QueuedCommand[]): Promise<TaggedRow[]> {
  const ids = new Set<string>();
  for (const { command } of queue)
    for (const op of command.ops) {
      if (op.op === 'event') ids.add(op.event.lotId);
      else if (op.entity === 'lot') ids.add(op.id);
    }
  const { store } = db.transaction('rows');
  const read = await Promise.all([...ids].map((id) => store.get(['lot', id])));
  return read.flatMap((row) => row ?? []);
}
const ASIDE_AT_ONCE = 200;
const LOTS_AT_ONCE = 250;

export const forgetDeviceDb = (householdId: string): Promise<void> => deleteDB(nameOf(householdId));

/** Where this device is in the feed. */
export interface Position {
  seq: number;
  cursor: string | null;
  generation: string | null;
}
export const START: Position = { seq: 0, cursor: null, generation: null };

export interface StoredHousehold {
  rows: TaggedRow[];
  queue: QueuedCommand[];
  position: Position;
  device: string;
  clockOffsetMs: number;
  /** The home has more lots than were to be read at once: none is among the rows, nor how things were used. */
  lotsFollow: boolean;
}

/** @param lotsAtOnce with more lots than these they are left for `readLots` */
export async function readStored(db: DeviceDb, lotsAtOnce = Infinity): Promise<StoredHousehold> {
  const tx = db.transaction(['rows', 'queue', 'meta']);
  const meta = tx.objectStore('meta');
  const stored = tx.objectStore('rows');
  const [lots, uses] = [allLots(), allOf('use')];
  const lotsFollow = (await stored.count(lots)) > lotsAtOnce;
  const [before, between, then, used, after, queue, position, device, offset] = await Promise.all([
    stored.getAll(IDBKeyRange.upperBound(lots.lower, true)),
    lotsFollow ? [] : stored.getAll(lots),
    stored.getAll(IDBKeyRange.bound(lots.upper, uses.lower, true, true)),
    lotsFollow ? [] : stored.getAll(uses),
    stored.getAll(IDBKeyRange.lowerBound(uses.upper, true)),
    tx.objectStore('queue').getAll(),
    meta.get('position'),
    meta.get('device'),
    meta.get('clockOffsetMs'),
  ]);
  return {
    rows: [...before, ...between, ...then, ...used, ...after],
    queue,
    position: (position as Position | undefined) ?? START,
    device: device as string,
    clockOffsetMs: Number(offset ?? 0),
    lotsFollow,
  };
}

/**
 * Stores a page of changes and takes the commands it contains off the queue, all at once. A page that another tab of
 * this browser has overtaken is passed over: its rows would be older than those that are here.
 */
export async function storePage(
  db: DeviceDb,
  page: ChangePage,
  position: Position,
  done: readonly QueuedCommand[],
): Promise<void> {
  const tx = db.transaction(['rows', 'aside', 'queue', 'sent', 'meta'], 'readwrite');
  const stored = ((await tx.objectStore('meta').get('position')) as Position | undefined) ?? START;
  const newest = page.rows.reduce((most, { row }) => Math.max(most, row.seq), 0);
  const overtaken = stored.generation === page.generation && stored.seq > Math.max(newest, position.seq);
  if (!overtaken) {
    for (const tagged of page.rows) {
      const key: [string, string] = [tagged.entity, tagged.row.id];
      const aside = isAside(tagged);
      void tx.objectStore(aside ? 'aside' : 'rows').put(tagged, key);
      if (stored.seq > 0) void tx.objectStore(aside ? 'rows' : 'aside').delete(key);
    }
    void tx.objectStore('meta').put(position, 'position');
  }
  for (const queued of done) {
    void tx.objectStore('queue').delete(queued.at);
    void tx.objectStore('sent').put(queued);
  }
  if (done.length > 0) void tx.objectStore('sent').delete(IDBKeyRange.upperBound(Date.now() - SENT_KEPT_MS));
  await tx.done;
}

/** Notes what the server said to some commands, all at once. */
export async function storeQueued(
  db: DeviceDb,
  changed: readonly QueuedCommand[],
  dropped: readonly number[] = [],
): Promise<void> {
  const tx = db.transaction('queue', 'readwrite');
  for (const queued of changed) void tx.store.put(queued);
  for (const at of dropped) void tx.store.delete(at);
  await tx.done;
}

/** The rows go, to be read anew; what waits stays. */
async function forgetRows(db: DeviceDb): Promise<void> {
  const tx = db.transaction(['rows', 'aside', 'meta'], 'readwrite');
  void tx.objectStore('rows').clear();
  void tx.objectStore('aside').clear();
  void tx.objectStore('meta').put(START, 'position');
  void tx.objectStore('meta').put(DATA_VERSION, 'dataVersion');
  await tx.done;
}

/**
 * Keeps on this device what its person may read. Rows that a role does not read any more go; with a role that reads more than the former
 * one all is read anew, since what came before it was not sent.
 */
async function followRole(db: DeviceDb, role: Role): Promise<void> {
  const before = (await db.get('meta', 'role')) as Role | undefined;
  if (before === role) return;
  const hidden = unreadableBy(role);
  if (before !== undefined && unreadableBy(before).some((kind) => !hidden.includes(kind))) await forgetRows(db);
  const tx = db.transaction(['rows', 'aside', 'meta'], 'readwrite');
  for (const kind of hidden) {
    void tx.objectStore('rows').delete(allOf(kind));
    void tx.objectStore('aside').delete(allOf(kind));
  }
  void tx.objectStore('meta').put(role, 'role');
  await tx.done;
}

/**
 * The server's data is another than the one this device followed: rows go, and what was sent to the former one waits
 * again. The new one answers what it knows already without doing it twice.
 */
export async function startAnew(db: DeviceDb): Promise<void> {
  const tx = db.transaction(['rows', 'aside', 'queue', 'sent', 'meta'], 'readwrite');
  const [sent, queue] = await Promise.all([tx.objectStore('sent').getAll(), tx.objectStore('queue').getAll()]);
  for (const queued of [...sent, ...queue]) {
    const waits = { ...queued, seq: null };
    void tx.objectStore('queue').put(waits);
  }
  void tx.objectStore('sent').clear();
  void tx.objectStore('rows').clear();
  void tx.objectStore('aside').clear();
  void tx.objectStore('meta').put(START, 'position');
  await tx.done;
}
