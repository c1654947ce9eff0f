import {
  columnsOfHead,
  dateOrderOf,
  decimalMarkOf,
  StockImport,
  type DateOrder,
  type DecimalMark,
  type ImportHome,
  type RowReading,
  type StockColumn,
  type TableHabit,
} from '@ours/core';
import type { Encoding } from './decodeText';
import { inSlices } from './job';
import { parseTable, type TableProblem } from './parseTable';

/** What somebody said of a table after having looked at it; what is left out is found out. */
export interface TableSaid {
  columns?: readonly (StockColumn | null)[];
  headed?: boolean;
  mark?: DecimalMark;
  order?: DateOrder;
  /** Where rows go that name no place. */
  nookId: string | null;
}
export interface TableProblemInput {
  /** A file's bytes, or a text that was pasted. */
  content: Uint8Array | string;
  home: ImportHome;
  said: TableSaid;
  /** How the home writes dates. */
  order: DateOrder;
}

/** What a table is like: how it is written, and what its columns mean. */
export interface TableLook {
  encoding: Encoding | null;
  separator: string;
  /** Whether the first row names the columns. */
  headed: boolean;
  head: string[];
  columns: (StockColumn | null)[];
  mark: TableHabit<DecimalMark>;
  order: TableHabit<DateOrder>;
  rows: number;
}
/** One row of a table with its text and what it would do. */
export interface TableRow {
  /** In the file, its first line is 1. */
  line: number;
  text: string;
  reading: RowReading;
}
export type TableNews =
  | { kind: 'problem'; problem: TableProblem }
  | { kind: 'look'; look: TableLook }
  | { kind: 'rows'; rows: TableRow[]; of: number };

const AT_ONCE = 500;
const TEXT_LETTERS = 160;
/** Columns with numbers, and with dates. */
const NUMBERS: readonly StockColumn[] = ['amount', 'mark', 'size'];
const DATES: readonly StockColumn[] = ['until', 'opened', 'frozen'];

/** Reads a table of stock against a home: how it is written first, then row by row what each would change. */
export const tableJob = inSlices<TableProblemInput, TableNews>(({ content, home, said, order }, news) => {
  const nothing = (): boolean => false;
  const parsed = parseTable(content);
  if (!parsed.ok) {
    news({ kind: 'problem', problem: parsed.problem });
    return nothing;
  }
  const { rows: table } = parsed;
  const look = lookOf(table, parsed.separator, parsed.encoding, said, order);
  news({ kind: 'look', look });
  const reader = new StockImport(home, look.columns, {
    mark: look.mark.value,
    order: look.order.value,
    nookId: said.nookId,
  });
  const first = look.headed ? 1 : 0;
  let noted = first;
  let at = first;
  return () => {
    if (noted < table.length) {
      for (const end = Math.min(table.length, noted + AT_ONCE); noted < end; noted++)
        reader.note(table[noted]!, noted + 1);
      return true;
    }
    const rows: TableRow[] = [];
    for (const end = Math.min(table.length, at + AT_ONCE); at < end; at++) {
      const cells = table[at]!;
      const reading = reader.read(cells, at + 1);
      if (reading.kind !== 'blank') rows.push({ line: at + 1, text: textOf(cells), reading });
    }
    news({ kind: 'rows', rows, of: table.length });
    return at < table.length;
  };
});

const textOf = (cells: readonly string[]): string =>
  cells
    .filter((cell) => cell.trim() !== '')
    .join(' · ')
    .slice(0, TEXT_LETTERS);

function lookOf(
  table: string[][],
  separator: string,
  encoding: Encoding | null,
  said: TableSaid,
  homeOrder: DateOrder,
): TableLook {
  const first = table[0] ?? [];
  const byHead = columnsOfHead(first);
  const headed = said.headed ?? byHead !== null;
  const width = table.reduce((most, row) => Math.max(most, row.length), 0);
  const columns = Array.from({ length: width }, (_, at) => (said.columns ?? (headed ? byHead : null))?.[at] ?? null);
  const body = headed ? table.slice(1) : table;
  const cellsOf = (wanted: readonly StockColumn[]): string[] =>
    columns.flatMap((column, at) =>
      column !== null && wanted.includes(column) ? body.map((row) => row[at] ?? '') : [],
    );
  // Where fields are parted by semicolons the comma is free for decimals.
  const mark = decimalMarkOf(cellsOf(NUMBERS), separator === ';' ? ',' : '.');
  const order = dateOrderOf(cellsOf(DATES), homeOrder);
  return {
    encoding,
    separator,
    headed,
    head: headed ? first.map((name) => name.trim()) : [],
    columns,
    mark: said.mark === undefined ? mark : { value: said.mark, proven: true, because: '', against: '' },
    order: said.order === undefined ? order : { value: said.order, proven: true, because: '', against: '' },
    rows: body.length,
  };
}
