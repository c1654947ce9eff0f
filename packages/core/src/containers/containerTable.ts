import { LEAST_SIDE_TENTH_MM } from './container';
import { type BinLook, type ContainerFields, BIN_LOOKS } from '../household';
import { readLength } from '../base';

/** The columns of a table of containers, as they are written and read. Lengths with their unit, or bare in centimetres. */
export const CONTAINER_COLUMNS = [
  'name',
  'kind',
  'family',
  'colour',
  'width',
  'depth',
  'height',
  'base width',
  'base depth',
  'lid',
  'height open',
  'inner litres',
  'inside width',
  'inside depth',
  'inside height',
  'stack pitch',
  'nest pitch',
  'max load kg',
  'weight kg',
  'price',
  'owned',
  'free',
] as const;
type Column = (typeof CONTAINER_COLUMNS)[number];

const LENGTHS: Readonly<Partial<Record<Column, keyof ContainerFields>>> = {
  width: 'topWidthTenthMm',
  depth: 'topDepthTenthMm',
  height: 'heightTenthMm',
  'base width': 'baseWidthTenthMm',
  'base depth': 'baseDepthTenthMm',
  'height open': 'openHeightTenthMm',
  'inside width': 'insideWidthTenthMm',
  'inside depth': 'insideDepthTenthMm',
  'inside height': 'insideHeightTenthMm',
  'stack pitch': 'stackPitchTenthMm',
  'nest pitch': 'nestPitchTenthMm',
};
const AMOUNTS: Readonly<Partial<Record<Column, { field: keyof ContainerFields; factor: number }>>> = {
  'inner litres': { field: 'innerVolumeMl', factor: 1000 },
  'max load kg': { field: 'maxLoadGrams', factor: 1000 },
  'weight kg': { field: 'weightGrams', factor: 1000 },
  price: { field: 'priceMinor', factor: 100 },
};

/** One container as a row of texts, lengths in centimetres with their unit. */
export function containerToRow(container: ContainerFields): Record<Column, string> {
  const row = {
    name: container.name,
    kind: container.look,
    family: container.family,
    colour: container.colour,
  } as Record<Column, string>;
  for (const [column, field] of Object.entries(LENGTHS) as [Column, keyof ContainerFields][]) {
    const value = container[field] as number | null;
    row[column] = value === null ? '' : `${value / 100} cm`;
  }
  for (const [column, { field, factor }] of Object.entries(AMOUNTS) as [
    Column,
    { field: keyof ContainerFields; factor: number },
  ][]) {
    const value = container[field] as number | null;
    row[column] = value === null ? '' : String(value / factor);
  }
  return {
    ...row,
    lid: container.hasLid ? 'yes' : '',
    owned: String(container.owned),
    free: container.free ? 'yes' : '',
  };
}

export type RowReading = { ok: true; fields: ContainerFields } | { ok: false; problem: string };

const amount = (text: string): number | null =>
  /^\d+(?:[.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : null;

/**
 * Reads one row of such a table; missing columns are empty.
 * @param homeUnit what a bare length means
 * @returns the fields, or one sentence naming the column, what was read and what is accepted
 */
export function containerFromRow(row: Readonly<Record<string, string>>, homeUnit: 'metric' | 'inch'): RowReading {
  const text = (column: Column): string => (row[column] ?? '').trim();
  const fail = (column: Column, accepted: string): RowReading => ({
    ok: false,
    problem: `Column “${column}”: read “${text(column)}”; accepted is ${accepted}.`,
  });
  if (text('name') === '' || text('name').length > 120) return fail('name', 'a name of up to 120 letters');
  const fields: Record<string, unknown> = {
    name: text('name'),
    family: text('family'),
    colour: text('colour'),
    hasLid: /^(yes|y|1|true|lid)$/i.test(text('lid')),
    free: /^(yes|y|1|true)$/i.test(text('free')),
  };
  const look = text('kind') || 'closed';
  if (!(BIN_LOOKS as readonly string[]).includes(look)) return fail('kind', BIN_LOOKS.join(', '));
  fields.look = look as BinLook;
  for (const [column, field] of Object.entries(LENGTHS) as [Column, string][]) {
    const needed = column === 'width' || column === 'depth' || column === 'height';
    if (text(column) === '') {
      if (needed) return fail(column, 'a length such as 31.5 cm');
      fields[field] = null;
      continue;
    }
    const reading = readLength(text(column), homeUnit);
    if (!reading.ok) return fail(column, 'a length such as 31.5 cm or 12 3/8"');
    if ((needed || column === 'stack pitch') && reading.tenthMm < LEAST_SIDE_TENTH_MM)
      return fail(column, 'a length of at least 5 mm');
    fields[field] = reading.tenthMm;
  }
  for (const [column, { field, factor }] of Object.entries(AMOUNTS) as [Column, { field: string; factor: number }][]) {
    const value = text(column) === '' ? null : amount(text(column));
    if (value === null && text(column) !== '') return fail(column, 'a number such as 2.5');
    fields[field] = value === null ? null : Math.round(value * factor);
  }
  const owned = text('owned') === '' ? 0 : amount(text('owned'));
  if (owned === null || !Number.isInteger(owned) || owned > 10_000) return fail('owned', 'a whole number up to 10,000');
  return { ok: true, fields: { ...fields, owned } as unknown as ContainerFields };
}
