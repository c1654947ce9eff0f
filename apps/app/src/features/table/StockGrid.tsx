import { addDays, type ViewColumn } from '@ours/core';
import { useVirtualizer, type Range, defaultRangeExtractor } from '@tanstack/react-virtual';
import { useCallback, useEffect, useMemo, type KeyboardEvent, type RefObject } from 'react';
import { XStack, YStack } from 'tamagui';
import { xOf } from '@/kit/chart/Ruler';
import { useScroller } from '@/kit/layout/Screen';
import { usePrinting } from '@/kit/layout/usePrinting';
import { pressable } from '@/kit/press/pressable';
import { Small, Strong, Text } from '@/kit/text/Text';
import { useHome } from '@/shared/useHome';
import type { RulerPlan } from '@/features/restock';
import { AT_RIGHT, COLUMN_WORDS, leastWidth, ROW_HEIGHT, WIDTHS } from './columns';
import { StockLine, type RowDeeds, type Typed } from './StockLine';
import type { TableEntry, TableView } from './tableView';
import { groupWords } from './words';

const HEAD_HEIGHT = 46;
/** Rows that are drawn beyond those in sight. */
const BEYOND = 6;
const FIRST_ROWS = 20;
/** More rows are no paper any more. */
const MOST_PRINTED = 1000;

/** The table itself: of very many rows only those in sight are drawn. Inside a Screen. */
export function StockGrid({
  grid,
  entries,
  columns,
  view,
  plan,
  selected,
  active,
  column,
  typed,
  deeds,
  onSort,
  onKey,
}: {
  /** For whoever gives it the focus. */
  grid: RefObject<HTMLDivElement | null>;
  entries: readonly TableEntry[];
  columns: readonly ViewColumn[];
  view: TableView;
  plan: RulerPlan;
  selected: ReadonlySet<string>;
  active: string | null;
  column: ViewColumn;
  typed: Typed | null;
  deeds: RowDeeds;
  onSort: (column: ViewColumn) => void;
  onKey: (event: KeyboardEvent) => void;
}) {
  const { currency } = useHome();
  const scroller = useScroller();
  const printing = usePrinting();
  const activeAt = useMemo(
    () => (active === null ? -1 : entries.findIndex(({ id }) => id === active)),
    [active, entries],
  );
  const virtual = useVirtualizer({
    count: entries.length,
    getScrollElement: () => scroller,
    estimateSize: () => ROW_HEIGHT,
    overscan: BEYOND,
    // Below the head, which stays in sight.
    scrollMargin: HEAD_HEIGHT,
    scrollPaddingStart: HEAD_HEIGHT,
    // The same function from one time to the next: with another one all rows are measured anew.
    getItemKey: useCallback((at: number) => entries[at]!.id, [entries]),
    // The row that is looked at is named by the grid, so it is there also when it is scrolled away.
    rangeExtractor: useCallback(
      (range: Range) => {
        const drawn = defaultRangeExtractor(range);
        return activeAt < 0 || drawn.includes(activeAt) ? drawn : [...drawn, activeAt].sort((a, b) => a - b);
      },
      [activeAt],
    ),
  });
  useEffect(() => {
    if (activeAt >= 0) virtual.scrollToIndex(activeAt, { align: 'auto' });
    // Only when another row is looked at: scrolling by hand is left alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [active]);
  // Before the page is laid out, and where it never is, the first rows are drawn.
  const laidOut = scroller !== null && scroller.clientHeight > 0;
  const drawn = printing
    ? entries.slice(0, MOST_PRINTED).map((_, index) => ({ index, top: index * ROW_HEIGHT }))
    : laidOut
      ? virtual.getVirtualItems().map(({ index, start }) => ({ index, top: start - HEAD_HEIGHT }))
      : entries.slice(0, FIRST_ROWS).map((_, index) => ({ index, top: index * ROW_HEIGHT }));
  return (
    <div
      ref={grid}
      role="grid"
      aria-label="Stock"
      aria-rowcount={entries.length + 1}
      aria-multiselectable
      aria-activedescendant={active === null ? undefined : `cell-${active}-${column}`}
      tabIndex={0}
      onKeyDown={onKey}
      style={{ minWidth: leastWidth(columns), position: 'relative' }}
    >
      <Head columns={columns} view={view} onSort={onSort} plan={plan} />
      <div
        role="rowgroup"
        style={{ position: 'relative', height: (printing ? drawn.length : entries.length) * ROW_HEIGHT }}
      >
        {drawn.map(({ index, top }) => {
          const entry = entries[index]!;
          return (
            <div
              key={entry.id}
              role="presentation"
              // Each by itself: what changes in one row is not laid out anew in the others.
              style={{ position: 'absolute', left: 0, right: 0, top, height: ROW_HEIGHT, contain: 'strict' }}
            >
              {entry.kind === 'group' ? (
                <GroupLine entry={entry} currency={currency} at={index + 1} />
              ) : (
                <StockLine
                  row={entry.row}
                  at={index + 1}
                  columns={columns}
                  currency={currency}
                  plan={plan}
                  selected={selected.has(entry.id)}
                  active={active === entry.id ? column : null}
                  typed={active === entry.id ? typed : null}
                  deeds={deeds}
                />
              )}
            </div>
          );
        })}
      </div>
      {printing && entries.length > MOST_PRINTED ? (
        <Text padding={16}>
          {`The first ${MOST_PRINTED.toLocaleString('en')} of ${entries.length.toLocaleString('en')} rows. All of them: copy the table, or take the file under Data.`}
        </Text>
      ) : null}
      {entries.length === 0 ? <Text padding={16}>Nothing of this is here.</Text> : null}
    </div>
  );
}

function GroupLine({
  entry,
  currency,
  at,
}: {
  entry: Extract<TableEntry, { kind: 'group' }>;
  currency: string;
  at: number;
}) {
  return (
    <div role="row" aria-rowindex={at + 1}>
      <XStack
        {...({ role: 'gridcell' } as object)}
        height={ROW_HEIGHT}
        paddingHorizontal={14}
        paddingBottom={6}
        gap={10}
        alignItems="flex-end"
        backgroundColor="$backgroundStrong"
        borderBottomWidth={2}
        borderColor="$color"
      >
        <Strong>{entry.name}</Strong>
        <Small>{groupWords(entry, currency)}</Small>
      </XStack>
    </div>
  );
}

function Head({
  columns,
  view: { sort, down },
  onSort,
  plan,
}: {
  columns: readonly ViewColumn[];
  view: TableView;
  onSort: (column: ViewColumn) => void;
  plan: RulerPlan;
}) {
  return (
    <YStack style={{ position: 'sticky', top: 0 } as object} zIndex={3} backgroundColor="$backgroundStrong">
      <XStack role="row" height={HEAD_HEIGHT} alignItems="center" borderBottomWidth={2} borderColor="$color">
        <XStack width={WIDTHS.select} role="columnheader" aria-label="Selected" />
        {columns.map((column) => (
          <XStack
            key={column}
            role="columnheader"
            aria-sort={sort === column ? (down ? 'descending' : 'ascending') : undefined}
            {...(column === 'what' ? { flex: 1, minWidth: 0 } : { width: WIDTHS[column] })}
            justifyContent={AT_RIGHT.has(column) ? 'flex-end' : 'flex-start'}
            paddingLeft={6}
            paddingRight={AT_RIGHT.has(column) ? 12 : 0}
            height={HEAD_HEIGHT}
            position="relative"
          >
            <XStack
              {...pressable({ onPress: () => onSort(column) })}
              aria-label={`Sort by ${COLUMN_WORDS[column]}`}
              minHeight={44}
              alignItems="center"
            >
              <Strong fontSize={14}>{`${COLUMN_WORDS[column]}${sort === column ? (down ? ' ↓' : ' ↑') : ''}`}</Strong>
            </XStack>
            {column === 'lasts' ? <Days plan={plan} /> : null}
          </XStack>
        ))}
      </XStack>
    </YStack>
  );
}

/** The days of the trips, over their lines. */
function Days({ plan }: { plan: RulerPlan }) {
  return plan.ticks.map((ahead, at) => (
    <Small
      key={ahead}
      position="absolute"
      bottom={0}
      left={xOf(plan.ruler, ahead) + 8}
      color={at < 2 ? '$color' : '$second'}
      aria-hidden
    >
      {Number(addDays(plan.today, ahead).slice(8))}
    </Small>
  ));
}
