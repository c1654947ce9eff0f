import { defineEntity, listOf, longText, oneOf, orNull, text, weakRef, yesNo } from '../definition';

/** Whether the table has a row for each thing of the home or for each lot of it. */
export const VIEW_ROWS = ['thing', 'lot'] as const;
/** Which rows are shown: all; what may run out before the trip after the next one; what ends in two weeks; what is at its mark; what is gone. */
export const VIEW_SHOWN = ['all', 'runs_out', 'ends', 'low', 'none'] as const;
/** When it was last counted or put in: it does not matter; in the last seven days; not for 30 days; not for a year. */
export const VIEW_COUNTED = ['whenever', 'this_week', 'not_month', 'not_year'] as const;
export const VIEW_GROUPS = ['none', 'room', 'space', 'category'] as const;
/** The columns of the table of stock; the name is always shown. */
export const VIEW_COLUMNS = [
  'what',
  'category',
  'amount',
  'level',
  'where',
  'until',
  'lasts',
  'counted',
  'mark',
  'worth',
] as const;
export type ViewColumn = (typeof VIEW_COLUMNS)[number];

/** A view of the table of stock, kept by name: what it shows, in which order, with which columns. */
export const keptView = defineEntity('kept_view', {
  fields: {
    name: text(1, 60),
    rows: oneOf(...VIEW_ROWS),
    shown: oneOf(...VIEW_SHOWN),
    /** Null: all places. */
    placeId: orNull(weakRef('room', 'space')),
    /** Null: things of every category; empty: of none. */
    category: orNull(longText(60)),
    counted: oneOf(...VIEW_COUNTED),
    /** Words of the thing or its place. */
    words: longText(120),
    sort: oneOf(...VIEW_COLUMNS),
    /** The largest first. */
    down: yesNo,
    groupBy: oneOf(...VIEW_GROUPS),
    hidden: listOf(oneOf(...VIEW_COLUMNS), VIEW_COLUMNS.length),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});
