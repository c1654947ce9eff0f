import { LEAST_SIDE_TENTH_MM } from './container';
import { type BinLook, type ContainerFields, BIN_LOOKS, CONTAINER_FORMS, MOST_SECTIONS } from '../household';
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
  'form',
  'sections',
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
    form: container.form ?? '',
    sections: container.sections ? String(container.sections) : '',
  };
}

/** What a column takes. */
export type Accepted =
  | { kind: 'name'; most: number }
  | { kind: 'one_of'; values: readonly string[] }
  | { kind: 'length' | 'number' }
  | { kind: 'length_from'; tenthMm: number }
  | { kind: 'whole'; most: number };
export type RowReading =
  { ok: true; fields: ContainerFields } | { ok: false; column: Column; text: string; accepted: Accepted };
const MOST_LETTERS = 120;
const MOST_OWNED = 10_000;

const amount = (text: string): number | null =>
  /^\d+(?:[.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : null;

/**
 * Reads one row of such a table; missing columns are empty.
 * @param homeUnit what a bare length means
 * @returns the fields, or the column, what was read and what is accepted
 */
export function containerFromRow(row: Readonly<Record<string, string>>, homeUnit: 'metric' | 'inch'): RowReading {
  const text = (column: Column): string => (row[column] ?? '').trim();
  const fail = (column: Column, accepted: Accepted): RowReading => ({
    ok: false,
    column,
    text: text(column),
    accepted,
  });
  if (text('name') === '' || text('name').length > MOST_LETTERS)
    return fail('name', { kind: 'name', most: MOST_LETTERS });
  const fields: Record<string, unknown> = {
    name: text('name'),
    family: text('family'),
    colour: text('colour'),
    hasLid: /^(yes|y|1|true|lid)$/i.test(text('lid')),
    free: /^(yes|y|1|true)$/i.test(text('free')),
  };
  const look = text('kind') || 'closed';
  if (!(BIN_LOOKS as readonly string[]).includes(look)) return fail('kind', { kind: 'one_of', values: BIN_LOOKS });
  fields.look = look as BinLook;
  for (const [column, field] of Object.entries(LENGTHS) as [Column, string][]) {
    const needed = column === 'width' || column === 'depth' || column === 'height';
    if (text(column) === '') {
      if (needed) return fail(column, { kind: 'length' });
      fields[field] = null;
      continue;
    }
    const reading = readLength(text(column), homeUnit);
    if (!reading.ok) return fail(column, { kind: 'length' });
    if ((needed || column === 'stack pitch') && reading.tenthMm < LEAST_SIDE_TENTH_MM)
      return fail(column, { kind: 'length_from', tenthMm: LEAST_SIDE_TENTH_MM });
    fields[field] = reading.tenthMm;
  }
  for (const [column, { field, factor }] of Object.entries(AMOUNTS) as [Column, { field: string; factor: number }][]) {
    const value = text(column) === '' ? null : amount(text(column));
    if (value === null && text(column) !== '') return fail(column, { kind: 'number' });
    fields[field] = value === null ? null : Math.round(value * factor);
  }
  const owned = text('owned') === '' ? 0 : amount(text('owned'));
  if (owned === null || !Number.isInteger(owned) || owned > MOST_OWNED)
    return fail('owned', { kind: 'whole', most: MOST_OWNED });
  const form = text('form') === '' ? null : text('form');
  if (form !== null && !(CONTAINER_FORMS as readonly string[]).includes(form))
    return fail('form', { kind: 'one_of', values: CONTAINER_FORMS });
  const sections = text('sections') === '' ? null : amount(text('sections'));
  if (sections !== null && (!Number.isInteger(sections) || sections < 2 || sections > MOST_SECTIONS))
    return fail('sections', { kind: 'whole', most: MOST_SECTIONS });
  return { ok: true, fields: { ...fields, owned, form, sections } as unknown as ContainerFields };
}
