import { VIEW_COLUMNS, type ViewColumn } from '@ours/core';
import type { Ruler } from '@/kit/chart/Ruler';

export const ROW_HEIGHT = 42;
/** Pixels of the columns. What is left is the name's. */
export const WIDTHS: Readonly<Record<Exclude<ViewColumn, 'what'> | 'select', number>> = {
  select: 44,
  category: 112,
  amount: 92,
  level: 64,
  where: 112,
  until: 98,
  lasts: 184,
  counted: 96,
  mark: 60,
  worth: 76,
};
/** Narrower than this a name says nothing: the table scrolls sideways instead. */
export const LEAST_NAME = 150;

export const COLUMN_WORDS: Readonly<Record<ViewColumn, string>> = {
  what: 'What',
  category: 'Category',
  amount: 'How many',
  level: 'Full',
  where: 'Where',
  until: 'Until',
  lasts: 'Lasts to',
  counted: 'Counted',
  mark: 'Mark',
  worth: 'Worth',
};
/** Figures stand at the right of their column. */
export const AT_RIGHT: ReadonlySet<ViewColumn> = new Set(['level', 'mark', 'worth']);

export const shownColumns = (hidden: readonly ViewColumn[]): ViewColumn[] =>
  VIEW_COLUMNS.filter((column) => column === 'what' || !hidden.includes(column));

/** The least width at which all columns can be read. */
export const leastWidth = (columns: readonly ViewColumn[]): number =>
  columns.reduce((sum, column) => sum + (column === 'what' ? LEAST_NAME : WIDTHS[column]), WIDTHS.select);

/** The ruler of the column that says how long things last. */
export const tableRuler = (days = 28): Ruler => ({
  width: WIDTHS.lasts,
  left: 4,
  pxADay: (WIDTHS.lasts - 26) / days,
  days,
});
