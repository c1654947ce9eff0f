/** A table of stock against the home: what each row would change, before anything is written. */
import { convertMeasure, foldText, LONGEST_BATCH, readCode, type CivilDate } from '../base';
import { readGtin } from '../codes';
import type { ItemFields, LotFields, PackSize } from '../household';
import type { StockColumn } from './columns';
import { cellText, dateIn, numberIn, partsOfAmount, unitIn, type DateOrder, type DecimalMark } from './habits';

/** What of a home is needed to read a table against it. */
export interface ImportHome {
  items: readonly ImportItem[];
  lots: readonly ImportLot[];
  nooks: readonly { id: string; code: string; name: string }[];
}
export interface ImportItem extends Pick<ItemFields, 'name' | 'unit' | 'category' | 'lowAtThousandths' | 'synonyms'> {
  id: string;
  codes: readonly string[];
}
export interface ImportLot extends Pick<
  LotFields,
  'itemId' | 'nookId' | 'expiresOn' | 'dateKind' | 'openedOn' | 'frozenOn' | 'packSize'
> {
  id: string;
  batch: string | null;
  quantityThousandths: number;
}

export interface ImportHabits {
  mark: DecimalMark;
  order: DateOrder;
  /** Where rows go that name no place; null: they cannot be read. */
  nookId: string | null;
}

export type RowProblem =
  | { kind: 'no_name' }
  | { kind: 'long_name'; most: number }
  | { kind: 'no_amount'; text: string }
  | { kind: 'no_date'; column: StockColumn; text: string }
  | { kind: 'no_place'; text: string }
  | { kind: 'several_places'; text: string }
  | { kind: 'other_unit'; said: string; unit: string }
  | { kind: 'no_code'; text: string }
  | { kind: 'no_size'; text: string }
  /** Another row speaks of the same thing, in the same place, until the same day. */
  | { kind: 'twice'; row: number };

/** What a row would do. */
export interface RowDoes {
  /** Of a thing that the home knows; null: it is new, and rows with the same `newKey` are of one. */
  itemId: string | null;
  newKey: string | null;
  name: string;
  unit: string;
  /** Of a thing: what the row says otherwise than the home. */
  item: Partial<Pick<ItemFields, 'category' | 'lowAtThousandths' | 'codes'>>;
  /** How many there are then; null: the row says nothing of it. */
  amount: {
    nookId: string;
    thousandths: number;
    beforeThousandths: number;
    /** Lots that are counted; empty: one is made. */
    lotIds: string[];
    lot: Pick<LotFields, 'expiresOn' | 'dateKind' | 'openedOn' | 'frozenOn' | 'packSize'> & { batch: string | null };
  } | null;
}
export type RowReading =
  | { kind: 'new' | 'changed'; does: RowDoes }
  | { kind: 'same' }
  /** Nothing stands in it. */
  | { kind: 'blank' }
  | { kind: 'unreadable'; problem: RowProblem };

const LONGEST_NAME = 120;
const LONGEST_CATEGORY = 60;
const LARGEST_THOUSANDTHS = 1_000_000_000;

/** Reads the rows of a table, each against the home and the rows before it. */
export class StockImport {
  private readonly byName = new Map<string, ImportItem>();
  private readonly byCode = new Map<string, string>();
  private readonly byPlace = new Map<string, string[]>();
  private readonly lots = new Map<string, ImportLot[]>();
  /** The rows that say how many there are of the same. */
  private readonly said = new Map<string, Set<number>>();
  private readonly at: ReadonlyMap<StockColumn, number>;

  constructor(
    home: ImportHome,
    columns: readonly (StockColumn | null)[],
    private readonly habits: ImportHabits,
  ) {
    for (const item of home.items)
      for (const name of [item.name, ...item.synonyms])
        if (!this.byName.has(foldText(name).trim())) this.byName.set(foldText(name).trim(), item);
    for (const item of home.items) this.byName.set(foldText(item.name).trim(), item);
    for (const { id, code, name } of home.nooks) {
      const read = readCode(code);
      if (read.kind === 'valid') this.byCode.set(read.key, id);
      const key = foldText(name).trim();
      if (key !== '') this.byPlace.set(key, [...(this.byPlace.get(key) ?? []), id]);
    }
    for (const lot of home.lots) {
      const key = `${lot.itemId} ${lot.nookId}`;
      const own = this.lots.get(key);
      if (own) own.push(lot);
      else this.lots.set(key, [lot]);
    }
    this.at = new Map(
      columns.flatMap((column, at): [StockColumn, number][] => (column === null ? [] : [[column, at]])),
    );
  }

  /** Notes what a row speaks of, before any is read: two rows of the same contradict each other, and neither counts. */
  note(cells: readonly string[], number: number): void {
    this.read(cells, number);
  }

  /** @param number of the row, for what is said of one that comes twice */
  read(cells: readonly string[], number: number): RowReading {
    if (cells.every((cell) => cell.trim() === '')) return { kind: 'blank' };
    try {
      return this.readRow(cells, number);
    } catch (problem) {
      if (problem instanceof Unreadable) return { kind: 'unreadable', problem: problem.why };
      throw problem;
    }
  }

  private cell(cells: readonly string[], column: StockColumn): string {
    const at = this.at.get(column);
    return at === undefined ? '' : cellText(cells[at]);
  }

  private readRow(cells: readonly string[], number: number): RowReading {
    const name = this.cell(cells, 'what').replace(/\s+/g, ' ');
    if (name === '') throw new Unreadable({ kind: 'no_name' });
    if (name.length > LONGEST_NAME) throw new Unreadable({ kind: 'long_name', most: LONGEST_NAME });
    const known = this.byName.get(foldText(name).trim()) ?? null;
    const count = this.amountIn(cells, known);
    const unit = known?.unit ?? count.unit ?? 'piece';
    const item = this.itemChanges(cells, known);
    const amount = count.thousandths === null ? null : this.amountOf(cells, known, name, count.thousandths, number);
    const does: RowDoes = {
      itemId: known?.id ?? null,
      newKey: known ? null : foldText(name).trim(),
      name: known?.name ?? name,
      unit,
      item,
      amount,
    };
    const changesAmount = amount !== null && amount.thousandths !== amount.beforeThousandths;
    // None of what is not there is no news, nor of a thing that is not known.
    if (known && !changesAmount && Object.keys(item).length === 0) return { kind: 'same' };
    return { kind: known && (amount === null || amount.lotIds.length > 0) ? 'changed' : 'new', does };
  }

  /** How many, in the unit that the thing is kept in; null: the row does not say. */
  private amountIn(
    cells: readonly string[],
    known: ImportItem | null,
  ): { thousandths: number | null; unit: string | null } {
    const text = this.cell(cells, 'amount');
    const { figures, word } = partsOfAmount(text);
    const said = unitIn(word || this.cell(cells, 'unit'));
    if (text === '') return { thousandths: null, unit: said };
    const value = numberIn(figures, this.habits.mark);
    if (value === null || value < 0 || value > LARGEST_THOUSANDTHS) throw new Unreadable({ kind: 'no_amount', text });
    if (!known || said === null) return { thousandths: value, unit: said };
    const converted = convertMeasure(value, said, known.unit);
    if (converted === null) throw new Unreadable({ kind: 'other_unit', said, unit: known.unit });
    return { thousandths: converted, unit: said };
  }

  private itemChanges(cells: readonly string[], known: ImportItem | null): RowDoes['item'] {
    const changes: RowDoes['item'] = {};
    const category = this.cell(cells, 'category').slice(0, LONGEST_CATEGORY);
    if (category !== '' && category !== known?.category) changes.category = category;
    const mark = this.cell(cells, 'mark');
    if (mark !== '') {
      const value = numberIn(mark, this.habits.mark);
      if (value === null || value < 0 || value > LARGEST_THOUSANDTHS)
        throw new Unreadable({ kind: 'no_amount', text: mark });
      if (value !== known?.lowAtThousandths) changes.lowAtThousandths = value;
    }
    const codes = this.cell(cells, 'codes')
      .split(/[;,\s]+/)
      .filter((one) => one !== '')
      .map((one) => {
        const read = readGtin(one);
        if (!read.ok) throw new Unreadable({ kind: 'no_code', text: one });
        return read.gtin;
      });
    const all = [...new Set([...(known?.codes ?? []), ...codes])];
    if (all.length > (known?.codes.length ?? 0)) changes.codes = all.slice(0, 20);
    return changes;
  }

  private amountOf(
    cells: readonly string[],
    known: ImportItem | null,
    name: string,
    thousandths: number,
    number: number,
  ): RowDoes['amount'] {
    const nookId = this.placeIn(cells);
    const day = (column: StockColumn): CivilDate | null => {
      const text = this.cell(cells, column);
      if (text === '') return null;
      const on = dateIn(text, this.habits.order);
      if (on === null) throw new Unreadable({ kind: 'no_date', column, text });
      return on;
    };
    const expiresOn = day('until');
    const lot = {
      expiresOn,
      dateKind: expiresOn === null ? null : (dateKindIn(this.cell(cells, 'date kind')) ?? 'best_before'),
      openedOn: day('opened'),
      frozenOn: day('frozen'),
      packSize: this.sizeIn(cells),
      batch: this.cell(cells, 'batch').slice(0, LONGEST_BATCH) || null,
    } as const;
    const same = known ? (this.lots.get(`${known.id} ${nookId}`) ?? []).filter((one) => this.isOf(one, lot)) : [];
    const key = [
      foldText(name).trim(),
      nookId,
      lot.expiresOn,
      lot.openedOn,
      lot.frozenOn,
      lot.batch,
      sizeKey(lot.packSize),
    ].join('|');
    const rows = this.said.get(key) ?? new Set();
    this.said.set(key, rows.add(number));
    const other = [...rows].find((row) => row !== number);
    if (other !== undefined) throw new Unreadable({ kind: 'twice', row: other });
    return {
      nookId,
      thousandths,
      beforeThousandths: same.reduce((sum, one) => sum + one.quantityThousandths, 0),
      lotIds: same.map(({ id }) => id),
      lot,
    };
  }

  /** Whether a lot is what a row speaks of: what the table has no column for may be anything. */
  private isOf(lot: ImportLot, said: NonNullable<RowDoes['amount']>['lot']): boolean {
    const has = (column: StockColumn): boolean => this.at.has(column);
    return (
      (!has('until') || lot.expiresOn === said.expiresOn) &&
      (!has('date kind') || lot.expiresOn === null || lot.dateKind === said.dateKind) &&
      (!has('opened') || lot.openedOn === said.openedOn) &&
      (!has('frozen') || lot.frozenOn === said.frozenOn) &&
      (!has('batch') || lot.batch === said.batch) &&
      (!has('size') || sizeKey(lot.packSize) === sizeKey(said.packSize))
    );
  }

  private placeIn(cells: readonly string[]): string {
    const text = this.cell(cells, 'where');
    if (text === '') {
      if (this.habits.nookId === null) throw new Unreadable({ kind: 'no_place', text });
      return this.habits.nookId;
    }
    const read = readCode(text);
    const byCode = read.kind === 'not_a_code' ? undefined : this.byCode.get(read.key);
    if (byCode !== undefined) return byCode;
    const named = this.byPlace.get(foldText(text).trim()) ?? [];
    if (named.length > 1) throw new Unreadable({ kind: 'several_places', text });
    if (named[0] === undefined) throw new Unreadable({ kind: 'no_place', text });
    return named[0];
  }

  private sizeIn(cells: readonly string[]): PackSize | null {
    const text = this.cell(cells, 'size');
    if (text === '') return null;
    const { figures, word } = partsOfAmount(text);
    const value = numberIn(figures, this.habits.mark);
    const unit = unitIn(word);
    if (value === null || value <= 0 || unit === null) throw new Unreadable({ kind: 'no_size', text });
    return { amountThousandths: value, unit: unit.slice(0, 20) };
  }
}

class Unreadable extends Error {
  constructor(readonly why: RowProblem) {
    super(why.kind);
  }
}

const dateKindIn = (text: string): 'best_before' | 'use_by' | null =>
  /^use.?by/i.test(text) ? 'use_by' : /^best/i.test(text) ? 'best_before' : null;

const sizeKey = (size: PackSize | null): string => (size === null ? '' : `${size.amountThousandths} ${size.unit}`);
