import type { HomeFile } from '@ours/contracts';
import { useIdOf } from '@ours/core';
import { randomUUID } from 'node:crypto';

const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[478][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}/g;
/** The first 48 bits of an id of version 7 say when it was made (RFC 9562): they stay, since "since when" is read from them. */
const TIME_LETTERS = 13;
const newIdLike = (id: string): string => {
  const fresh = randomUUID();
  return id[14] === '7' ? `${id.slice(0, TIME_LETTERS)}-7${fresh.slice(15)}` : fresh;
};

/** The same home with new ids throughout, also where ids stand inside texts: what points at each other still does. */
export function withNewIds(file: HomeFile): HomeFile {
  const ids = new Map<string, string>();
  for (const { row } of file.rows) ids.set(row.id, newIdLike(row.id));
  // The id of a thing's use follows from the thing's.
  for (const tagged of file.rows)
    if (tagged.entity === 'use') ids.set(tagged.row.id, useIdOf(ids.get(tagged.row.itemId) ?? tagged.row.itemId));
  for (const { id } of [...file.events, ...file.commands]) ids.set(id, newIdLike(id));
  const mapped = <T>(value: T): T => JSON.parse(JSON.stringify(value).replace(UUID, (id) => ids.get(id) ?? id)) as T;
  return {
    ...file,
    householdId: ids.get(file.householdId) ?? file.householdId,
    rows: file.rows.map(mapped),
    events: file.events.map(mapped),
    commands: file.commands.map(mapped),
  };
}
