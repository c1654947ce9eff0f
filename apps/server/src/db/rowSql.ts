/** Pieces of SQL made from core's definitions. A row leaves and enters the database as the JSON that crosses the wire. */
import { columnsOf, type AnyField, type EntityKind } from '@ours/core';

/** `widthTenthMm` is the column `width_tenth_mm`. */
export const columnName = (key: string): string => key.replace(/[A-Z]/g, (capital) => `_${capital.toLowerCase()}`);

/**
 * How a code reads on a worn label: `codeShape` of core, for the valid codes that are stored. Kept as a column: under
 * row-level security an index on an expression is not used.
 */
export const CODE_SHAPE = `translate(replace("code", '-', ''), 'LSZBGV', '15286Y')`;
export const CODE_SHAPE_COLUMN = 'code_shape';

const LARGEST_INTEGER = 2_147_483_647;

export type SqlType =
  'text' | 'text[]' | 'bigint' | 'integer' | 'double precision' | 'boolean' | 'date' | 'uuid' | 'jsonb';

/** The type of the column that holds a field. */
export function sqlTypeOf(field: AnyField): SqlType {
  switch (field.kind) {
    case 'text':
    case 'one_of':
    case 'code':
    case 'currency':
    // ISO text as the device wrote it: it crosses the wire again unchanged.
    case 'instant':
      return 'text';
    case 'whole':
      return field.most > LARGEST_INTEGER ? 'bigint' : 'integer';
    case 'decimal':
      return 'double precision';
    case 'length':
    case 'mass':
    case 'volume':
    case 'money':
      return 'integer';
    case 'quantity':
      return 'bigint';
    case 'yes_no':
      return 'boolean';
    case 'day':
      return 'date';
    case 'id':
    case 'ref':
      return 'uuid';
    case 'list':
      return field.of.kind === 'text' ? 'text[]' : 'jsonb';
    case 'record':
    case 'map':
      return 'jsonb';
  }
}

const BASE = [
  ['id', 'uuid'],
  ['seq', 'bigint'],
  ['retired', 'boolean'],
] as const;

const typedColumns = (kind: EntityKind): (readonly [string, string])[] => [
  ...BASE,
  ...Object.entries(columnsOf(kind)).map(([key, field]) => [key, sqlTypeOf(field)] as const),
];

/** Texts that follow from a kind alone are made once. */
function perKind(make: (kind: EntityKind) => string): (kind: EntityKind) => string {
  const made = new Map<EntityKind, string>();
  return (kind) => {
    const known = made.get(kind);
    if (known !== undefined) return known;
    const text = make(kind);
    made.set(kind, text);
    return text;
  };
}

/** The columns of a kind under the names they have on the wire: `id, …, width_tenth_mm as "widthTenthMm"`. */
export const wireColumns = perKind((kind) =>
  typedColumns(kind)
    .map(([key]) => `"${columnName(key)}" as "${key}"`)
    .join(', '),
);

const upsert = perKind((kind) => {
  const columns = typedColumns(kind);
  const names = columns.map(([key]) => `"${columnName(key)}"`);
  const set = names.filter((name) => name !== '"id"').map((name) => `${name} = excluded.${name}`);
  return `insert into "${kind}" (household_id, ${names.join(', ')})
    select $1, ${columns.map(([key]) => `"${key}"`).join(', ')}
    from jsonb_to_recordset(ROWS::jsonb) as given(${columns.map(([key, type]) => `"${key}" ${type}`).join(', ')})
    on conflict (household_id, id) do update set ${set.join(', ')}`;
});

/** Writes rows (`rows`, a JSON array) of a household ($1) as they now are; a row's id decides between new and changed. */
export const upsertRows = (kind: EntityKind, rows: string): string => upsert(kind).replace('ROWS', () => rows);

/** The table of a kind as SQL, for the tests of a kind that no migration has made. */
export const createTable = (kind: EntityKind): string =>
  `create table "${kind}" (household_id uuid not null, ${typedColumns(kind)
    .map(([key, type]) => `"${columnName(key)}" ${type}`)
    .join(', ')}, primary key (household_id, id))`;
