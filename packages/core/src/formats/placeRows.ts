/** Names and sizes of places from a table: by their codes, as this app writes them and as a spreadsheet gives them back. */
import { foldText, readCode, readLength, type ReadingProblem } from '../base';
import type { HouseholdState, NookKind, Op } from '../household';

export type PlaceSide = 'widthTenthMm' | 'heightTenthMm' | 'depthTenthMm';

/** What a cell would change. */
export type PlaceChange =
  { field: 'name'; before: string; after: string } | { field: PlaceSide; before: number | null; after: number };
export type PlaceRow =
  | { kind: 'changed'; line: number; id: string; place: NookKind; code: string; changes: PlaceChange[] }
  | { kind: 'same'; line: number; code: string }
  | { kind: 'not_read'; line: number; code: string; why: PlaceRowProblem };
export type PlaceRowProblem =
  | { kind: 'no_code' }
  | { kind: 'unknown_code' }
  /** An earlier row is about the same place. */
  | { kind: 'twice' }
  | { kind: 'too_long'; letters: number }
  | { kind: 'measure'; problem: ReadingProblem };
export type PlaceTable = { ok: true; rows: PlaceRow[] } | { ok: false; problem: 'empty' | 'no_head' };

const LONGEST_NAME = 120;
const HEADS: readonly (readonly [key: 'code' | 'name' | PlaceSide, names: string])[] = [
  ['code', 'code|kurzel|kennung|etikett|etiquette|kod|codigo'],
  ['name', 'name|nom|namn|nombre|naam|bezeichnung'],
  ['widthTenthMm', 'width|breite|largeur|bredd|ancho|breedte'],
  ['heightTenthMm', 'height|hohe|hauteur|hojd|alto|hoogte'],
  ['depthTenthMm', 'depth|tiefe|profondeur|djup|fondo|diepte'],
];
const MEANING = new Map(HEADS.flatMap(([key, names]) => names.split('|').map((name) => [name, key] as const)));

/** What a head means, and the unit that it names beside: `width cm`. */
function headOf(cell: string): { key: 'code' | 'name' | PlaceSide; unit: string } | null {
  const words = foldText(cell)
    .replace(/[()[\],.]/g, ' ')
    .trim()
    .split(/\s+/);
  const key = MEANING.get(words[0] ?? '');
  const unit = words.find((word) => ['mm', 'cm', 'm', 'in'].includes(word)) ?? '';
  return key ? { key, unit } : null;
}

/**
 * Reads a table of places against a home. A place is known by its code; an empty cell changes nothing; a number without a unit is in the
 * unit of its head, else as the home reads lengths.
 * @param rows the cells of a table's rows, its head first
 */
export function placeRows(
  state: HouseholdState,
  rows: readonly (readonly string[])[],
  homeUnit: 'metric' | 'inch',
): PlaceTable {
  const first = rows.findIndex((cells) => cells.some((cell) => cell.trim() !== ''));
  if (first < 0) return { ok: false, problem: 'empty' };
  const heads = rows[first]!.map(headOf);
  const codeAt = heads.findIndex((head) => head?.key === 'code');
  if (codeAt < 0 || heads.filter((head) => head !== null).length < 2) return { ok: false, problem: 'no_head' };
  const seen = new Set<string>();
  const read = rows.flatMap((cells, at): PlaceRow[] => {
    if (at <= first || cells.every((cell) => cell.trim() === '')) return [];
    const line = at + 1;
    const text = (cells[codeAt] ?? '').trim();
    const not = (why: PlaceRowProblem): PlaceRow[] => [{ kind: 'not_read', line, code: text, why }];
    const reading = readCode(text);
    if (text === '' || reading.kind !== 'valid') return not({ kind: text === '' ? 'no_code' : 'unknown_code' });
    const id = state.nookIdByCodeKey(reading.key);
    const nook = id === undefined ? undefined : state.nook(id);
    if (!nook || nook.row.retired) return not({ kind: 'unknown_code' });
    if (seen.has(nook.row.id)) return not({ kind: 'twice' });
    seen.add(nook.row.id);
    const changes: PlaceChange[] = [];
    for (const [column, head] of heads.entries()) {
      const cell = (cells[column] ?? '').trim();
      if (head === null || head.key === 'code' || cell === '') continue;
      if (head.key === 'name') {
        if (cell.length > LONGEST_NAME) return not({ kind: 'too_long', letters: cell.length });
        if (cell !== nook.row.name) changes.push({ field: 'name', before: nook.row.name, after: cell });
        continue;
      }
      const measure = readLength(/[a-z"']/i.test(cell) ? cell : `${cell} ${head.unit}`.trim(), homeUnit);
      if (!measure.ok) return not({ kind: 'measure', problem: measure.problem });
      const before = nook.row[head.key];
      if (before !== measure.tenthMm) changes.push({ field: head.key, before, after: measure.tenthMm });
    }
    return changes.length === 0
      ? [{ kind: 'same', line, code: nook.row.code }]
      : [{ kind: 'changed', line, id: nook.row.id, place: nook.kind, code: nook.row.code, changes }];
  });
  return { ok: true, rows: read };
}

/** What a row of the table changes. */
export const opsForPlaceRow = ({ id, place, changes }: Extract<PlaceRow, { kind: 'changed' }>): Op[] => [
  {
    op: 'change',
    entity: place,
    id,
    fields: Object.fromEntries(changes.map(({ field, after }) => [field, after])),
  } as Op,
];
