import type { EntityKind, TaggedRow } from '@ours/core';
import type { Transaction } from '../../db/connect';
import { upsertRows } from '../../db/rowSql';

/** Writes rows as they now are, past the rules: for a new home and for the demo. */
export async function writeRows(tx: Transaction, householdId: string, rows: readonly TaggedRow[]): Promise<void> {
  for (const kind of new Set<EntityKind>(rows.map(({ entity }) => entity))) {
    const own = rows.filter(({ entity }) => entity === kind).map(({ row }) => row);
    await tx.$client.query(upsertRows(kind, '$2'), [householdId, JSON.stringify(own)]);
  }
}
