import { HouseholdState, type AnyRow, type EntityKind, type TaggedRow } from '@ours/core';
import { sql } from 'drizzle-orm';
import type { Transaction } from './connect';
import { wireColumns } from './rowSql';

/** Living rows of some kinds of a home. The transaction is in that home's scope. */
export async function readState(
  tx: Transaction,
  householdId: string,
  kinds: readonly EntityKind[],
): Promise<HouseholdState> {
  const state = new HouseholdState();
  for (const entity of kinds) {
    const { rows } = await tx.execute<{ row: AnyRow }>(
      sql`select row_to_json(r) as row from (select ${sql.raw(wireColumns(entity))} from ${sql.identifier(entity)}
          where household_id = ${householdId} and not retired) r`,
    );
    for (const { row } of rows) state.put({ entity, row } as TaggedRow);
  }
  return state;
}
