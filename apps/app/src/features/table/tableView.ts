import { addDays, daysBetween, SOON_DAYS, type CivilDate, type KeptViewFields, type ViewColumn } from '@ours/core';
import { worthOf, type StockRow, type Worth } from './stockRows';

/** What the table shows, in which order, with which columns. */
export type TableView = Omit<KeptViewFields, 'name'>;

export const USUAL_VIEW: TableView = {
  rows: 'thing',
  shown: 'all',
  placeId: null,
  category: null,
  counted: 'whenever',
  words: '',
  sort: 'lasts',
  down: false,
  groupBy: 'none',
  hidden: ['category', 'level', 'counted'],
};

/** What a view is read against. */
export interface ViewDays {
  today: CivilDate;
  /** The trip after the next one; null: not known. */
  nextTrip: CivilDate | null;
}

const NEVER = Number.MAX_SAFE_INTEGER;
const names = new Intl.Collator('en', { numeric: true });
/** What a row is sorted by; what has nothing to sort by comes last, whichever way. */
const KEYS: Readonly<Record<ViewColumn, (row: StockRow) => string | number | null>> = {
  what: ({ item }) => item.name,
  category: ({ item }) => item.category || null,
  amount: ({ there }) => there,
  level: (row) => levelOf(row),
  where: ({ space, room }) => (space ? `${room?.name ?? ''} ${space.name}` : null),
  until: ({ due }) => due?.on ?? null,
  // What is gone comes first.
  lasts: ({ entry, there }) => (there <= 0 ? -1 : (entry?.out?.early ?? entry?.out?.middle ?? null)),
  counted: ({ countedOn }) => countedOn,
  mark: ({ item }) => item.lowAtThousandths,
  worth: ({ worthMinor, there }) => (there <= 0 ? null : worthMinor),
};

/** How full it is, 0 to 1 and above; null: nobody said what is there when it is full. */
export function levelOf({ item, there }: Pick<StockRow, 'item' | 'there'>): number | null {
  const full = item.restock?.fullThousandths ?? null;
  return full === null ? null : there / full;
}

/** Whether a row is in a view. */
export function isShown(row: StockRow, { shown, counted }: TableView, { today, nextTrip }: ViewDays): boolean {
  return isOf(row, shown, today, nextTrip) && wasCounted(row, counted, today);
}

function isOf(row: StockRow, shown: TableView['shown'], today: CivilDate, nextTrip: CivilDate | null): boolean {
  switch (shown) {
    case 'all':
      return true;
    case 'runs_out':
      return row.there > 0 && (row.entry?.out?.early ?? NEVER) < (nextTrip === null ? 0 : daysBetween(today, nextTrip));
    case 'ends':
      return row.due !== null && row.due.on <= addDays(today, SOON_DAYS);
    case 'low':
      return row.item.lowAtThousandths !== null && row.there <= row.item.lowAtThousandths;
    case 'none':
      return row.there <= 0;
  }
}

const COUNTED_DAYS = { this_week: 6, not_month: 30, not_year: 365 } as const;
function wasCounted({ countedOn }: StockRow, counted: TableView['counted'], today: CivilDate): boolean {
  if (counted === 'whenever') return true;
  if (countedOn === null) return false;
  const since = addDays(today, -COUNTED_DAYS[counted]);
  return counted === 'this_week' ? countedOn >= since : countedOn < since;
}

/** All words stand in the row. */
const hasWords = ({ text }: StockRow, words: readonly string[]): boolean => words.every((word) => text.includes(word));

/**
 * The rows of a view, in its order.
 * @param before the places that rows had the last time, by id: what is nearly in order is put in order in a fraction of the time
 */
export function rowsInView(
  rows: readonly StockRow[],
  view: TableView,
  days: ViewDays,
  before: ReadonlyMap<string, number> = new Map(),
): StockRow[] {
  const words = view.words.toLowerCase().trim().split(/\s+/);
  const { placeId, category } = view;
  const found = rows.filter(
    (row) =>
      isShown(row, view, days) &&
      (placeId === null || row.within.has(placeId)) &&
      (category === null || row.item.category === category) &&
      hasWords(row, words),
  );
  const key = KEYS[view.sort];
  const turn = view.down ? -1 : 1;
  // Each key is worked out once: a comparison is made many times.
  const keyed = found.map((row) => ({ row, key: key(row), place: before.get(row.id) ?? -1 }));
  if (before.size > 0) keyed.sort((a, b) => a.place - b.place);
  return keyed
    .sort(
      (a, b) =>
        compare(a.key, b.key, turn) ||
        names.compare(a.row.item.name, b.row.item.name) ||
        // Two that are alike stand in the same order every time.
        (a.row.id < b.row.id ? -1 : 1),
    )
    .map(({ row }) => row);
}

/** The rows of a view from one time to the next. */
export class OrderedRows {
  private places: ReadonlyMap<string, number> = new Map();

  read(rows: readonly StockRow[], view: TableView, days: ViewDays): StockRow[] {
    const now = rowsInView(rows, view, days, this.places);
    this.places = new Map(now.map(({ id }, at) => [id, at]));
    return now;
  }
}

function compare(a: string | number | null, b: string | number | null, turn: number): number {
  if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
  return turn * (typeof a === 'number' && typeof b === 'number' ? a - b : names.compare(String(a), String(b)));
}

/** What stands in the table, from top to bottom. */
export type TableEntry =
  { kind: 'group'; id: string; name: string; rows: number; worth: Worth } | { kind: 'row'; id: string; row: StockRow };

const GROUP_OF: Readonly<
  Record<Exclude<TableView['groupBy'], 'none'>, (row: StockRow) => { id: string; name: string }>
> = {
  room: ({ room }) => room ?? { id: '', name: 'Nowhere' },
  space: ({ space, room }) =>
    space ? { id: space.id, name: `${room ? `${room.name}, ` : ''}${space.name}` } : { id: '', name: 'Nowhere' },
  category: ({ item }) => ({ id: item.category, name: item.category || 'No category' }),
};

/** Rows under the names of their groups, these by name; a thing in several places stands under the fullest. */
export function entriesOf(rows: readonly StockRow[], groupBy: TableView['groupBy']): TableEntry[] {
  const asEntry = (row: StockRow): TableEntry => ({ kind: 'row', id: row.id, row });
  if (groupBy === 'none') return rows.map(asEntry);
  const groups = new Map<string, { name: string; rows: StockRow[] }>();
  for (const row of rows) {
    const { id, name } = GROUP_OF[groupBy](row);
    const known = groups.get(id);
    if (known) known.rows.push(row);
    else groups.set(id, { name, rows: [row] });
  }
  return [...groups]
    .sort(([a, one], [b, other]) => (a === '' ? 1 : b === '' ? -1 : names.compare(one.name, other.name)))
    .flatMap(([id, { name, rows: own }]): TableEntry[] => [
      { kind: 'group', id: `group ${id}`, name, rows: own.length, worth: worthOf(own) },
      ...own.map(asEntry),
    ]);
}
