import { daysBetween, type ViewColumn } from '@ours/core';
import { useRouter } from 'expo-router';
import { useCallback, useMemo, useRef, useState } from 'react';
import type { TextInput } from 'react-native';
import { useMedia, XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { useToast } from '@/kit/feedback/Toasts';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { useSettled } from '@/kit/layout/useSettled';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { useHome } from '@/shared/useHome';
import { useOutlook, type RulerPlan } from '@/features/restock';
import { onHandWords } from '@/features/stock/words';
import { BulkBar } from './BulkBar';
import { shownColumns, tableRuler } from './columns';
import { ColumnsDialog } from './ColumnsDialog';
import { copyTable } from './copyTable';
import { StockGrid } from './StockGrid';
import type { RowDeeds } from './StockLine';
import { StockSide } from './StockSide';
import { StockRows, worthOf, type StockRow } from './stockRows';
import { TableSentence } from './TableSentence';
import { entriesOf, OrderedRows, USUAL_VIEW, type TableView } from './tableView';
import { useBulk } from './useBulk';
import { useCellEditing } from './useCellEditing';
import { useRowChoice } from './useRowChoice';
import { useTableKeys } from './useTableKeys';
import { ViewsDialog } from './ViewsDialog';
import { groupWords, worthWords } from './words';

/** Longer than from one repeat of a held key to the next. */
const SETTLED_MS = 120;

/** All there is as a table that sorts, filters, groups, is written in and acted on; on a phone as a list. */
export function StockTableScreen() {
  const router = useRouter();
  const toast = useToast();
  // Narrower it is a list; wider there is room beside the table.
  const { table: wide, beside } = useMedia();
  const { currency } = useHome();
  const { store } = useHouseholdContext();
  const { outlook } = useOutlook();
  const day = today();
  const [view, setView] = useState<TableView>(USUAL_VIEW);
  const [dialog, setDialog] = useState<'views' | 'columns' | null>(null);
  const change = useCallback((fields: Partial<TableView>) => setView((now) => ({ ...now, ...fields })), []);
  const filter = useRef<TextInput>(null);
  const [reader] = useState(() => new StockRows());
  const version = useHousehold((snapshot) => snapshot.version);
  // Made once for each version of the home: the table is sorted and filtered anew whenever its rows are other ones.
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the state is changed in place, the version says so
  const all = useMemo(() => reader.read(store.state, outlook, view.rows), [store, reader, outlook, version, view.rows]);
  const nextTrip = outlook?.trips.find((trip) => trip.day > outlook.trip.day)?.day ?? null;
  const [ordered] = useState(() => new OrderedRows());
  const rows = useMemo(() => ordered.read(all, view, { today: day, nextTrip }), [ordered, all, view, day, nextTrip]);
  const entries = useMemo(() => entriesOf(rows, view.groupBy), [rows, view.groupBy]);
  const ids = useMemo(() => entries.filter(({ kind }) => kind === 'row').map(({ id }) => id), [entries]);
  const byId = useMemo(() => new Map(rows.map((row) => [row.id, row])), [rows]);
  const columns = useMemo(() => shownColumns(view.hidden), [view.hidden]);
  const plan: RulerPlan = useMemo(() => {
    const ruler = tableRuler();
    const ticks = (outlook?.trips ?? []).map((trip) => daysBetween(day, trip.day));
    return {
      ruler,
      ticks: ticks.filter((ahead) => ahead <= ruler.days),
      today: day,
      day: outlook?.trip.day ?? day,
      nextDay: nextTrip ?? day,
    };
  }, [outlook, nextTrip, day]);

  const choice = useRowChoice(ids, columns);
  const { selected, active } = choice;
  const chosen = useMemo(() => rows.filter(({ id }) => selected.has(id)), [rows, selected]);
  /** Rows that are still to be counted, one after the other. */
  const [queue, setQueue] = useState<readonly string[]>([]);
  const grid = useRef<HTMLDivElement>(null);
  const { go: look, select, clear } = choice;
  const cells = useCellEditing(
    (id) => byId.get(id),
    () => (queue.length > 0 ? countFrom(queue) : grid.current?.focus()),
  );
  const { editing, begin } = cells;
  const countFrom = useCallback(
    (of: readonly string[]): void => {
      const [first, ...rest] = of;
      setQueue(rest);
      if (first === undefined) return;
      look(first, 'amount', false);
      begin(first, 'amount');
    },
    [look, begin],
  );
  const bulk = useBulk(outlook);
  const countChosen = useMemo(() => {
    const toCount = chosen.filter(({ lots }) => lots.length > 0).map(({ id }) => id);
    return toCount.length > 0 ? () => countFrom(toCount) : null;
  }, [chosen, countFrom]);
  const copy = useCallback((): void => {
    const of = chosen.length > 0 ? chosen : rows;
    void copyTable(of, columns, store.state).then(
      () => toast({ text: `Copied: ${counted(of.length, { one: '# row', other: '# rows' })}.` }),
      () => toast({ text: 'This browser does not let the table be copied.', problem: true }),
    );
  }, [chosen, rows, columns, store, toast]);
  const edit = useCallback(
    (id: string, column: ViewColumn): void => {
      setQueue([]);
      begin(id, column);
    },
    [begin],
  );
  const { leave: stopTyping } = cells;
  const cancel = useCallback((): void => {
    setQueue([]);
    stopTyping();
    grid.current?.focus();
  }, [stopTyping]);
  const { type, save, blur } = cells;
  const deeds = useMemo(
    (): RowDeeds => ({ look, select, edit, type, save, blur, cancel }),
    [look, select, edit, type, save, blur, cancel],
  );
  const [moving, setMoving] = useState(false);
  const keys = useTableKeys({
    ids,
    columns,
    active,
    column: choice.column,
    go: (id, extend) => choice.go(id, null, extend),
    goColumn: choice.goColumn,
    select: choice.select,
    selectAll: choice.selectAll,
    edit: (id) => edit(id, choice.column),
    open: (id) => router.push(`/item/${byId.get(id)?.item.id ?? id}`),
    move: () => chosen.length > 0 && setMoving(true),
    list: () => {
      if (chosen.length === 0) return;
      if (outlook === null)
        toast({ text: 'It is still being worked out how long things last; try again in a moment.' });
      else bulk.list(chosen);
    },
    copy,
    filter: () => filter.current?.focus(),
    leave: () => (editing ? cancel() : choice.clear()),
  });
  const looked: StockRow | null = (active === null ? undefined : byId.get(active)) ?? null;
  // Beside the table it comes a moment later than the row itself: a key that is held is not kept waiting for it.
  const shown = useSettled(looked, SETTLED_MS);
  const sort = useCallback(
    (column: ViewColumn): void =>
      setView((now) => ({ ...now, sort: column, down: now.sort === column ? !now.down : column === 'worth' })),
    [],
  );
  const countRow = useCallback((id: string): void => edit(id, 'amount'), [edit]);
  const sub = useMemo(
    () =>
      `${rows.length.toLocaleString('en')} of ${all.length.toLocaleString('en')}, ${worthWords(worthOf(rows), currency)}`,
    [rows, all, currency],
  );
  // What stands around the table is the same while one goes from row to row.
  const sentence = useMemo(
    () => <TableSentence view={view} onChange={change} nextTrip={nextTrip} today={day} />,
    [view, change, nextTrip, day],
  );
  const words = useMemo(
    () => (
      <Field
        ref={filter}
        label="with these words, also of its place"
        hideLabel
        placeholder="Words of a thing or place"
        value={view.words}
        maxLength={120}
        onChangeText={(text) => change({ words: text })}
        {...(wide ? { width: 220 } : {})}
      />
    ),
    [view.words, change, wide],
  );
  const right = useMemo(
    () => (
      <>
        {words}
        <Button label="Columns …" onPress={() => setDialog('columns')} />
        <Button label="Views …" onPress={() => setDialog('views')} />
      </>
    ),
    [words],
  );
  const dialogs =
    dialog === 'views' ? (
      <ViewsDialog view={view} onPick={setView} onClose={() => setDialog(null)} />
    ) : dialog === 'columns' ? (
      <ColumnsDialog hidden={view.hidden} onChange={(hidden) => change({ hidden })} onClose={() => setDialog(null)} />
    ) : null;

  if (!wide)
    return (
      <Screen title="Stock" sub={sub} back="/restock">
        {sentence}
        <XStack paddingHorizontal={16} paddingBottom={10} gap={8}>
          <YStack flex={1}>{words}</YStack>
          <Button label="Views …" onPress={() => setDialog('views')} />
        </XStack>
        <LongList
          entries={entries}
          keyOf={({ id }) => id}
          draw={(entry) =>
            entry.kind === 'group' ? (
              <ListHeading title={entry.name} remark={groupWords(entry, currency)} />
            ) : (
              <ListRow
                title={entry.row.item.name}
                detail={onHandWords(entry.row.lots, entry.row.item)}
                onPress={() => router.push(`/item/${entry.row.item.id}`)}
              />
            )
          }
        />
        {rows.length === 0 ? <Text padding={16}>Nothing of this is here.</Text> : null}
        {dialogs}
      </Screen>
    );
  return (
    <Screen
      title="Stock"
      sub={sub}
      back="/restock"
      fullWidth
      right={right}
      fixed={sentence}
      side={shown !== null && looked !== null && beside ? <StockSide row={shown} day={day} onCount={countRow} /> : null}
      footer={
        <BulkBar
          chosen={chosen}
          problem={editing?.problem ?? ''}
          left={queue.length}
          bulk={bulk}
          moving={moving}
          onMoving={setMoving}
          mayList={outlook !== null}
          onCount={countChosen}
          onCopy={copy}
          onClear={clear}
        />
      }
    >
      <StockGrid
        grid={grid}
        entries={entries}
        columns={columns}
        view={view}
        plan={plan}
        selected={selected}
        active={active}
        column={choice.column}
        typed={editing && editing.id === active ? editing : null}
        deeds={deeds}
        onSort={sort}
        onKey={keys}
      />
      {dialogs}
    </Screen>
  );
}
