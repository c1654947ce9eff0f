/** Drizzle tables from core's definitions: a kind of row is written down once, and this is how the database reads it. */
import { definitionOf, hasCode, type AnyField, type EntityKind } from '@ours/core';
import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  date,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uniqueIndex,
  uuid,
  type PgColumnBuilderBase,
} from 'drizzle-orm/pg-core';
import { CODE_SHAPE, CODE_SHAPE_COLUMN, columnName, sqlTypeOf } from './rowSql';

/** The column of a field; not null unless the field may be null or came later. */
export function columnOf(key: string, field: AnyField): PgColumnBuilderBase {
  const column = plainColumn(columnName(key), field);
  return field.nullable || field.added ? column : column.notNull();
}

function plainColumn(name: string, field: AnyField) {
  switch (sqlTypeOf(field)) {
    case 'text':
      return text(name);
    case 'text[]':
      return text(name).array();
    case 'bigint':
      return bigint(name, { mode: 'number' });
    case 'integer':
      return integer(name);
    case 'double precision':
      return doublePrecision(name);
    case 'boolean':
      return boolean(name);
    case 'date':
      return date(name, { mode: 'string' });
    case 'uuid':
      return uuid(name);
    case 'jsonb':
      return jsonb(name);
  }
}

type AnyTable = Record<string, never>;

/** The table of a kind: keyed by household and id, found by number, by what its rows refer to and by code. */
export function tableOf(kind: EntityKind) {
  const { fields, derived } = definitionOf(kind);
  const columns = {
    householdId: uuid('household_id').notNull(),
    id: uuid('id').notNull(),
    seq: bigint('seq', { mode: 'number' }).notNull(),
    retired: boolean('retired').notNull().default(false),
  };
  const shape = hasCode(kind) ? { codeShape: text(CODE_SHAPE_COLUMN).generatedAlwaysAs(sql.raw(CODE_SHAPE)) } : {};
  const own = Object.entries({ ...fields, ...derived?.fields }).map(([key, field]) => [key, columnOf(key, field)]);
  return pgTable(kind, { ...columns, ...Object.fromEntries(own), ...shape }, (table) => {
    const at = table as unknown as AnyTable &
      Record<'householdId' | 'id' | 'seq' | 'code' | 'codeShape' | 'retired', never>;
    const refs = Object.entries(fields).flatMap(([key, field]) =>
      field.kind === 'ref' && field.hold !== 'known'
        ? [index(`${kind}_${columnName(key.replace(/Id$/, ''))}`).on(at.householdId, at[key] as never)]
        : [],
    );
    const living = sql`not ${at.retired}`;
    const codes = hasCode(kind)
      ? [
          uniqueIndex(`${kind}_code`)
            .on(at.householdId, sql`replace(${at.code}, '-', '')`)
            .where(living),
          index(`${kind}_code_shape`).on(at.householdId, at.codeShape).where(living),
        ]
      : [];
    return [
      primaryKey({ columns: [at.householdId, at.id] }),
      index(`${kind}_by_seq`).on(at.householdId, at.seq),
      ...refs,
      ...codes,
    ];
  });
}
