import {
  foldText,
  formatQuantity,
  opsForCountingAll,
  opsForMoving,
  placeSaid,
  readAmount,
  readDate,
  type DateHabits,
  type HouseholdState,
  type KeepingGuide,
  type Op,
  type OpContext,
  type ViewColumn,
} from '@ours/core';
import { dayWords } from '@/kit/text/dayWords';
import { amountOfWords, amountWords } from '@/features/stock/words';
import type { StockRow } from './stockRows';

/** Columns whose cells can be written in. */
export const EDITED = ['what', 'category', 'amount', 'where', 'until', 'mark'] as const;
export type EditedColumn = (typeof EDITED)[number];
export const isEdited = (column: ViewColumn): column is EditedColumn =>
  (EDITED as readonly ViewColumn[]).includes(column);

export interface CellEnv {
  state: HouseholdState;
  guide: KeepingGuide;
  /** How the home writes dates. */
  order: DateHabits['order'];
  today: string;
  context: () => OpContext;
}
export type CellReading =
  { ok: true; change: { intent: string; ops: Op[]; words: string } | null } | { ok: false; problem: string };

export const LONGEST = { what: 120, category: 60 } as const;
const problem = (words: string): CellReading => ({ ok: false, problem: words });
const nothing: CellReading = { ok: true, change: null };

/** Why a cell cannot be written in; null: it can. */
export function whyNot({ lots, item }: StockRow, column: EditedColumn): string | null {
  if (column === 'what' || column === 'category' || column === 'mark') return null;
  if (lots.length === 0) return `Nothing of ${item.name} is recorded yet: Record says how many there are, and where.`;
  if (column !== 'amount' && lots.length > 1)
    return `${item.name} is in ${lots.length} lots: let the table have a row for each lot to change one of them.`;
  return null;
}

/** What stands in a cell before it is written in. */
export function cellText({ item, lots, nookIds }: StockRow, column: EditedColumn, state: HouseholdState): string {
  switch (column) {
    case 'what':
      return item.name;
    case 'category':
      return item.category;
    case 'mark':
      return item.lowAtThousandths === null ? '' : formatQuantity(item.lowAtThousandths);
    case 'where':
      return nookIds[0] === undefined ? '' : (state.nook(nookIds[0])?.row.code ?? '');
    case 'until':
      return lots[0]?.expiresOn ?? '';
    case 'amount':
      // What was there is shown behind it: who counts does not correct figures, but writes what is seen.
      return '';
  }
}

/** What a text in a cell means, as a recorded line would be read; nothing is changed by it. */
export function readCell(row: StockRow, column: EditedColumn, text: string, env: CellEnv): CellReading {
  const not = whyNot(row, column);
  if (not !== null) return problem(not);
  const typed = text.trim().replace(/\s+/g, ' ');
  switch (column) {
    case 'what':
      return readName(row, typed, env);
    case 'category':
      return readCategory(row, typed);
    case 'mark':
      return readMark(row, typed, env);
    case 'amount':
      return readCount(row, typed, env);
    case 'where':
      return readPlace(row, typed, env);
    case 'until':
      return readUntil(row, typed, env);
  }
}

const itemChange = ({ item }: StockRow, fields: object, words: string): CellReading => ({
  ok: true,
  change: { intent: 'item_changed', ops: [{ op: 'change', entity: 'item', id: item.id, fields }], words },
});

function readName(row: StockRow, name: string, { state }: CellEnv): CellReading {
  if (name === row.item.name) return nothing;
  if (name === '') return problem('A thing needs a name.');
  if (name.length > LONGEST.what) return problem(`That is ${name.length} letters; a name has at most ${LONGEST.what}.`);
  const key = foldText(name);
  const twin = state.all('item').find(({ id, name: other }) => id !== row.item.id && foldText(other) === key);
  if (twin) return problem(`Another thing is called “${twin.name}”: two of one name cannot be told apart.`);
  return itemChange(row, { name }, `${row.item.name} is called ${name}.`);
}

function readCategory(row: StockRow, category: string): CellReading {
  if (category === row.item.category) return nothing;
  if (category.length > LONGEST.category)
    return problem(`That is ${category.length} letters; a category has at most ${LONGEST.category}.`);
  return itemChange(row, { category }, `${row.item.name}: ${category || 'no category'}.`);
}

function readAmountOf(row: StockRow, text: string, { order, today }: CellEnv): number | string {
  const reading = readAmount(text, row.item, { order, today });
  if (reading.ok) return reading.thousandths;
  const { unit } = row.item;
  if (reading.problem === 'other_unit') return `It is kept in ${unit}; “${text}” is another measure.`;
  if (reading.problem === 'more_than_one_way')
    return `“${text}” can be read in more than one way; write the number alone, in ${amountUnit(unit)}.`;
  return `“${text}” is no amount; write for example 3, 1 1/2 or 2 x 400 g.`;
}
const amountUnit = (unit: string): string => (unit === 'piece' ? 'pieces' : unit);

function readMark(row: StockRow, text: string, env: CellEnv): CellReading {
  const value = text === '' ? null : readAmountOf(row, text, env);
  if (typeof value === 'string') return problem(value);
  if (value === row.item.lowAtThousandths) return nothing;
  const words = value === null ? 'is never called low' : `is low at ${amountWords(value, row.item.unit)}`;
  return itemChange(row, { lowAtThousandths: value }, `${row.item.name} ${words}.`);
}

function readCount(row: StockRow, text: string, env: CellEnv): CellReading {
  if (text === '') return nothing;
  const value = readAmountOf(row, text, env);
  if (typeof value === 'string') return problem(value);
  return {
    ok: true,
    change: {
      intent: 'stock_counted',
      ops: opsForCountingAll(row.lots, row.item, env.guide, value, env.context()),
      words: `Counted: ${amountOfWords(value, row.item)}.`,
    },
  };
}

function readPlace({ lots, item }: StockRow, text: string, { state, context }: CellEnv): CellReading {
  const lot = lots[0]!;
  const said = placeSaid(state, text);
  if (said.kind === 'none') return problem(`No place has the code or the name “${text}”.`);
  if (said.kind === 'several') return problem(`${said.count} places are called “${text}”; write the code.`);
  if (said.nookId === lot.nookId) return nothing;
  const ops = opsForMoving(lot, lot.quantityThousandths, said.nookId, state.lotsIn(said.nookId), context());
  const code = state.nook(said.nookId)?.row.code ?? '';
  return { ok: true, change: { intent: 'stock_moved', ops, words: `Moved: ${item.name} to ${code}.` } };
}

function readUntil({ lots, item }: StockRow, text: string, { order, today }: CellEnv): CellReading {
  const lot = lots[0]!;
  const change = (expiresOn: string | null): CellReading => {
    if (expiresOn === lot.expiresOn) return nothing;
    const dateKind = expiresOn === null ? null : (lot.dateKind ?? 'best_before');
    return {
      ok: true,
      change: {
        intent: 'lot_changed',
        ops: [{ op: 'change', entity: 'lot', id: lot.id, fields: { expiresOn, dateKind } }],
        words: expiresOn === null ? `${item.name}: no date.` : `${item.name}: until ${dayWords(expiresOn, today)}.`,
      },
    };
  };
  if (text === '') return change(null);
  const reading = readDate(text, { order, today, facing: lot.dateKind === 'use_by' ? 'ahead_safety' : 'ahead' });
  if (reading.kind === 'date') return change(reading.on);
  if (reading.kind === 'ambiguous')
    return problem(
      `“${text}” may be ${reading.options.map(({ on }) => dayWords(on, today)).join(' or ')}; write the month as a word.`,
    );
  return problem(`“${text}” is no date; write for example 3/27, 12 mar, 2027-03-01 or in 3 days.`);
}
