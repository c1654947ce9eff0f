/** Places from a table: names and sizes of those that are there, by their codes, and new ones with what they are in. */
import { foldText, readCode, readLength, type ReadingProblem } from '../base';
import type { HouseholdState, NookKind, Op } from '../household';
import { nookByCode } from '../spaces';
import { placeSortOf, type PlaceSort } from './placeKinds';
import { PlaceTree, type NewPlace, type Wanted } from './placeTree';

export type PlaceSide = 'widthTenthMm' | 'heightTenthMm' | 'depthTenthMm';
export type PlaceSides = Partial<Record<PlaceSide, number>>;

/** What a cell would change. */
export type PlaceChange =
  { field: 'name'; before: string; after: string } | { field: PlaceSide; before: number | null; after: number };
export type PlaceRow =
  | { kind: 'changed'; line: number; id: string; place: NookKind; code: string; changes: PlaceChange[] }
  | { kind: 'new'; line: number; code: string; made: NewPlace }
  | { kind: 'same'; line: number; code: string }
  | { kind: 'not_read'; line: number; code: string; why: PlaceRowProblem };
export type PlaceRowProblem =
  | { kind: 'no_code' }
  | { kind: 'unknown_code' }
  /** An earlier row is about the same place. */
  | { kind: 'twice' }
  | { kind: 'too_long'; letters: number }
  | { kind: 'measure'; problem: ReadingProblem }
  /** Of a new place: what it is, or what it is called, is not said. */
  | { kind: 'no_kind'; text: string }
  | { kind: 'no_name' }
  /** What it is in is not said, not known, or cannot hold it. */
  | { kind: 'no_parent'; text: string; wants: PlaceSort['place'] }
  | { kind: 'several_parents'; text: string }
  | { kind: 'parent_not_read'; line: number }
  | { kind: 'in_itself' }
  /** The table says that a place that is there is somewhere else. */
  | { kind: 'elsewhere'; text: string }
  | { kind: 'no_codes_left' };
export type PlaceTable = { ok: true; rows: PlaceRow[] } | { ok: false; problem: 'empty' | 'no_head' };

const LONGEST_PLACE_NAME = 120;
type Nook = NonNullable<ReturnType<HouseholdState['nook']>>;
type Key = 'code' | 'kind' | 'name' | 'in' | PlaceSide;
const HEADS: readonly (readonly [key: Key, names: string])[] = [
  ['code', 'code|kurzel|kennung|etikett|etiquette|kod|codigo'],
  ['kind', 'kind|type|art|typ|sorte|genre|slag|tipo|soort'],
  ['name', 'name|nom|namn|nombre|naam|bezeichnung'],
  ['in', 'in|inside|within|stands|parent|steht|liegt|dans|ligger|dentro|staat'],
  ['widthTenthMm', 'width|breite|largeur|bredd|ancho|breedte'],
  ['heightTenthMm', 'height|hohe|hauteur|hojd|alto|hoogte'],
  ['depthTenthMm', 'depth|tiefe|profondeur|djup|fondo|diepte'],
];
const MEANING = new Map(HEADS.flatMap(([key, names]) => names.split('|').map((name) => [name, key] as const)));
const SIDES = ['widthTenthMm', 'heightTenthMm', 'depthTenthMm'] as const;

/** What a head means, and the unit that it names beside: `width cm`. */
function headOf(cell: string): { key: Key; unit: string } | null {
  const words = foldText(cell)
    .replace(/[()[\],.]/g, ' ')
    .trim()
    .split(/\s+/);
  const key = MEANING.get(words[0] ?? '');
  const unit = words.find((word, at) => at > 0 && ['mm', 'cm', 'm', 'in'].includes(word)) ?? '';
  return key ? { key, unit } : null;
}

/** What stands in a row, as far as it can be told without the others. */
interface Cells {
  code: string;
  kind: string;
  name: string;
  in: string;
  sides: PlaceSides;
  /** A cell that cannot be read; null: all can. */
  why: PlaceRowProblem | null;
}

/**
 * Reads a table of places against a home. A place is known by its code, or by its name in what it is in; an empty cell changes nothing; a
 * number without a unit is in the unit of its head, else as the home reads lengths. A place that is not known is new where its row says what
 * it is, what it is called and what it is in: a code or a name, also of another row; a room is made where there is none of that name.
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
  const has = (key: Key): boolean => heads.some((head) => head?.key === key);
  const byCode = has('code') && heads.filter((head) => head !== null).length > 1;
  if (!byCode && !(has('kind') && has('name') && has('in'))) return { ok: false, problem: 'no_head' };
  const tree = new PlaceTree(state);
  const seen = new Set<string>();
  // What a row does is told once all have been noted: what it is in may stand below it.
  const later = rows.flatMap((row, index): ((made: ReturnType<PlaceTree['settle']>) => PlaceRow)[] => {
    if (index <= first || row.every((cell) => cell.trim() === '')) return [];
    const line = index + 1;
    const cells = cellsOf(row, heads, homeUnit);
    const not = (why: PlaceRowProblem): PlaceRow => ({ kind: 'not_read', line, code: cells.code || cells.name, why });
    const nook = nookByCode(state, cells.code) ?? namedIn(state, tree, cells);
    if (nook) {
      const twice = seen.has(nook.row.id);
      seen.add(nook.row.id);
      return [
        () => {
          const told = twice ? ({ why: { kind: 'twice' } } as const) : changesOf(nook, cells, tree);
          if ('why' in told) return not(told.why);
          const { code, id } = nook.row;
          return told.changes.length === 0
            ? { kind: 'same', line, code }
            : { kind: 'changed', line, id, place: nook.kind, code, changes: told.changes };
        },
      ];
    }
    const wanted = wantedOf(cells, line);
    if ('why' in wanted) return [() => not(wanted.why)];
    tree.add(wanted);
    return [
      (made) => {
        const outcome = made.get(line)!;
        return 'why' in outcome ? not(outcome.why) : { kind: 'new', line, code: outcome.code, made: outcome };
      },
    ];
  });
  const made = tree.settle();
  return { ok: true, rows: later.map((tell) => tell(made)) };
}

function cellsOf(
  row: readonly string[],
  heads: readonly ReturnType<typeof headOf>[],
  homeUnit: 'metric' | 'inch',
): Cells {
  const cells: Cells = { code: '', kind: '', name: '', in: '', sides: {}, why: null };
  for (const [column, head] of heads.entries()) {
    const cell = (row[column] ?? '').trim();
    if (head === null || cell === '') continue;
    const { key } = head;
    if (key === 'code' || key === 'kind' || key === 'name' || key === 'in') {
      cells[key] ||= cell;
      if (key === 'name' && cell.length > LONGEST_PLACE_NAME) cells.why ??= { kind: 'too_long', letters: cell.length };
      continue;
    }
    const measure = readLength(/[a-z"']/i.test(cell) ? cell : `${cell} ${head.unit}`.trim(), homeUnit);
    if (measure.ok) cells.sides[key] = measure.tenthMm;
    else cells.why ??= { kind: 'measure', problem: measure.problem };
  }
  return cells;
}

/** A place that the row names without a code, in what it is in: read a second time a table makes nothing twice. */
function namedIn(state: HouseholdState, tree: PlaceTree, { code, kind, name, in: said }: Cells): Nook | null {
  const sort = placeSortOf(kind);
  if (code !== '' || sort === null || name === '' || said === '') return null;
  const id = tree.namedIn(name, sort.place, said);
  return id === null ? null : (state.nook(id) ?? null);
}

/** A place that is to be made, as far as its own row says; else why it cannot be. */
function wantedOf({ code, kind, name, in: said, sides, why }: Cells, line: number): Wanted | { why: PlaceRowProblem } {
  if (why !== null) return { why };
  if (kind === '' && said === '') return { why: { kind: code === '' ? 'no_code' : 'unknown_code' } };
  const sort = placeSortOf(kind);
  if (sort === null) return { why: { kind: 'no_kind', text: kind } };
  const kept = readCode(code).kind === 'valid' && /^[1-9A-Z]{1,6}-[1-9A-Z]{1,8}$/i.test(code);
  // A shelf may be without a name where its code tells it from the others.
  if (name === '' && !(sort.place === 'shelf' && kept)) return { why: { kind: 'no_name' } };
  if (said === '') return { why: { kind: 'no_parent', text: '', wants: sort.place } };
  return { line, code: kept ? code.toUpperCase() : '', sort, name, said, sides };
}

/** What a row changes of a place that is there. */
function changesOf(
  { row, kind: place }: Nook,
  { name, in: said, sides, why }: Cells,
  tree: PlaceTree,
): { changes: PlaceChange[] } | { why: PlaceRowProblem } {
  if (why !== null) return { why };
  if (said !== '' && !tree.isIn(row.id, place, said)) return { why: { kind: 'elsewhere', text: said } };
  const changes: PlaceChange[] = [];
  if (name !== '' && name !== row.name) changes.push({ field: 'name', before: row.name, after: name });
  for (const side of SIDES) {
    const after = sides[side];
    const before = row[side];
    if (after !== undefined && before !== after) changes.push({ field: side, before, after });
  }
  return { changes };
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
