import { addDays, type ViewColumn } from '@ours/core';
import { useVirtualizer, type Range, defaultRangeExtractor } from '@tanstack/react-virtual';
import { memo, useCallback, useEffect, useMemo, type KeyboardEvent, type RefObject } from 'react';
import { XStack, YStack } from 'tamagui';
import { xOf } from '@/kit/chart/Ruler';
import { useScroller } from '@/kit/layout/Screen';
import { usePrinting } from '@/kit/layout/usePrinting';
import { pressable } from '@/kit/press/pressable';
import { PlainStyles } from '@/kit/table/plain';
import { Small, Strong, Text } from '@/kit/text/Text';
import { useHome } from '@/shared/useHome';
import type { RulerPlan } from '@/features/restock';
import { AT_RIGHT, COLUMN_WORDS, leastWidth, ROW_HEIGHT, WIDTHS } from './columns';
import { StockLine, type RowDeeds, type Typed } from './StockLine';
import type { TableEntry, TableView } from './tableView';
import { groupWords } from './words';

const HEAD_HEIGHT = 46;
/** Rows that are drawn beyond those in sight. */
const BEYOND = 4;
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
  const placeOf = useMemo(() => new Map(entries.map(({ id }, at) => [id, at])), [entries]);
  const activeAt = active === null ? -1 : (placeOf.get(active) ?? -1);
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
    const from = virtual.scrollOffset ?? 0;
    const top = activeAt * ROW_HEIGHT;
    const inSight = top >= from && top + ROW_HEIGHT + HEAD_HEIGHT <= from + (virtual.scrollRect?.height ?? 0);
    // Asking for a row that is in sight would measure the page for nothing.
    if (activeAt >= 0 && !inSight) virtual.scrollToIndex(activeAt, { align: 'auto' });
    // Only when another row is looked at: scrolling by hand is left alone.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [active]);
  // Before the page is laid out, and where it never is, the first rows are drawn.
  const laidOut = (virtual.scrollRect?.height ?? 0) > 0;
  const drawn = printing
    ? entries.slice(0, MOST_PRINTED).map((_, index) => ({ index, top: index * ROW_HEIGHT }))
    : laidOut
      ? virtual.getVirtualItems().map(({ index, start }) => ({ index, top: start - HEAD_HEIGHT }))
      : entries.slice(0, FIRST_ROWS).map((_, index) => ({ index, top: index * ROW_HEIGHT }));
  // Rows that come into sight take the elements of those that went out: filling them anew takes less than making others. What is typed in a
  // row stays with that row.
  const slots = Math.ceil((virtual.scrollRect?.height ?? 0) / ROW_HEIGHT) + 2 * BEYOND + 3;
  const inRun = (at: number): boolean => at + 1 < drawn.length && drawn[at + 1]!.index === drawn[at]!.index + 1;
  const slotOf = (at: number): string => {
    const { index } = drawn[at]!;
    const { id } = entries[index]!;
    if (!laidOut || printing || (id === active && typed !== null)) return id;
    return inRun(at) || (at > 0 && inRun(at - 1)) ? `slot ${index % slots}` : 'far';
  };
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
      <PlainStyles />
      <Head columns={columns} sort={view.sort} down={view.down} onSort={onSort} plan={plan} />
      <div
        role="rowgroup"
        style={{ position: 'relative', height: (printing ? drawn.length : entries.length) * ROW_HEIGHT }}
      >
        {drawn.map(({ index, top }, at) => {
          const entry = entries[index]!;
          return (
            <div key={slotOf(at)} role="presentation" className="pt-slot" style={{ top, height: ROW_HEIGHT }}>
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
          {`The first ${MOST_PRINTED.toLocaleString('en')} of ${entries.length.toLocaleString('en')} rows. All of them: copy the table, or save the stock under Out and in.`}
        </Text>
      ) : null}
      {entries.length === 0 ? <Text padding={16}>Nothing of this is here.</Text> : null}
    </div>
  );
}

const GroupLine = memo(function GroupLine({
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
});

const Head = memo(function Head({
  columns,
  sort,
  down,
  onSort,
  plan,
}: {
  columns: readonly ViewColumn[];
  sort: ViewColumn;
  down: boolean;
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
});

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
