import type { ChangePage } from '@ours/contracts';
import { ENTITY_KINDS, type TaggedRow } from '@ours/core';
import { and, asc, eq, gt } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import { toTagged } from '../commands/rowRepository';
import { inScope, type Database } from '../db/connect';
import { ENTITY_TABLES, householdSeq } from '../db/schema';

/** Rows per table and page; above the operations of one command, so every page gets further. */
export const PAGE_ROWS = 2000;

/**
 * Everything that changed after `since`, whole commands only, in one snapshot. Where a table has more than a page,
 * the page ends at the last number that is complete in all of them. A device that starts from nothing has no use for
 * tombstones and gets none.
 */
export function readChanges(db: Database, householdId: string, since: number): Promise<ChangePage> {
  return inScope(db, { householdId }, async (tx) => {
    const [counter] = await tx.select().from(householdSeq).where(eq(householdSeq.householdId, householdId));
    const newest = counter?.seq ?? 0;
    let upTo = newest;
    const found: TaggedRow[] = [];
    for (const entity of ENTITY_KINDS) {
      const table = ENTITY_TABLES[entity];
      const rows = await tx
        .select()
        .from(table as PgTable)
        .where(
          and(
            eq(table.householdId, householdId),
            gt(table.seq, since),
            since === 0 ? eq(table.retired, false) : undefined,
          ),
        )
        .orderBy(asc(table.seq))
        .limit(PAGE_ROWS + 1);
      found.push(...rows.map((row) => toTagged(entity, row)));
      if (rows.length > PAGE_ROWS) upTo = Math.min(upTo, (rows[PAGE_ROWS] as { seq: number }).seq - 1);
    }
    return { seq: upTo, more: upTo < newest, rows: found.filter(({ row }) => row.seq <= upTo) };
  });
}
