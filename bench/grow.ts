/** A home on a device grown far beyond the demo home, for what is measured in the built app. */
import type { ItemRow, LotRow } from '@ours/core';

export interface Growth {
  items: number;
  retired: number;
}
/** 10,000 things in 25,000 lots, and what was there before. */
export const LARGE: Growth = { items: 10_000, retired: 75_000 };

/** Rows beside the demo home's own, written where the app keeps its rows. Runs in the page. */
export async function grow({ items, retired }: Growth): Promise<void> {
  const { name } = (await indexedDB.databases()).find((one) => one.name?.startsWith('nook-'))!;
  const db = await new Promise<IDBDatabase>((done, fail) => {
    const opening = indexedDB.open(name!);
    opening.onsuccess = () => done(opening.result);
    opening.onerror = () => fail(opening.error);
  });
  const read = await new Promise<{ entity: string; row: Record<string, unknown> }[]>((done) => {
    const asking = db.transaction('rows').objectStore('rows').getAll();
    asking.onsuccess = () => done(asking.result);
  });
  const known = read
    .filter(({ entity, row }) => entity === 'item' && !row.retired)
    .map(({ row }) => row as never as ItemRow);
  const lots = read
    .filter(({ entity, row }) => entity === 'lot' && !row.retired)
    .map(({ row }) => row as never as LotRow);
  let seed = 7;
  const pick = <T>(from: readonly T[]): T => {
    seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0;
    return from[seed % from.length]!;
  };
  const words = [...new Set(known.flatMap((item) => item.name.split(/[ ,]+/)))].filter((word) => word.length > 2);
  const tx = db.transaction(['rows', 'aside'], 'readwrite');
  const put = (entity: string, row: Record<string, unknown> & { id: string }): void =>
    void tx.objectStore(row.retired ? 'aside' : 'rows').put({ entity, row }, [entity, row.id]);
  for (let at = known.length; at < items; at++) {
    const base = pick(known);
    put('item', { ...base, id: `item-${at}`, name: `${pick(words)} ${pick(words)} ${pick(words)} ${at}`, seq: 1 });
    for (let lot = 0; lot < (at % 2 === 0 ? 3 : 2); lot++)
      put('lot', { ...pick(lots), id: `lot-${at}-${lot}`, itemId: `item-${at}`, seq: 1 });
  }
  for (let at = 0; at < retired; at++) put('lot', { ...pick(lots), id: `gone-${at}`, retired: true, seq: 1 });
  await new Promise((done) => {
    tx.oncomplete = done;
  });
  db.close();
}
