import {
  addDays,
  daysBetween,
  opsForCountingAll,
  opsForDiscarding,
  opsForMoving,
  opsForListing,
  opsForWanting,
  linesOfTrip,
  SOON_DAYS,
  type Op,
} from '@ours/core';
import {
  createColumnHelper,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import { useRouter } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { xOf } from '@/kit/chart/Ruler';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Footer } from '@/kit/layout/Footer';
import { ListRow } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { pressable } from '@/kit/press/pressable';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { NookPicker } from '@/shared/NookPicker';
import { opContext, today } from '@/shared/opContext';
import { useGuide } from '@/shared/useGuide';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { useOutlook, type RulerPlan } from '@/features/restock';
import { amountOfWords, onHandWords } from '@/features/stock/words';
import { PlaceFilter, type PlaceChosen } from './PlaceFilter';
import { COLUMNS, StockLine, tableRuler } from './StockLine';
import { StockSide } from './StockSide';
import { hasWords, isShown, stockRows, worthOf, type Shown, type StockRow } from './stockRows';
import { useTableKeys } from './useTableKeys';
import { worthWords } from './words';

const column = createColumnHelper<StockRow>();
const LAST = Number.MAX_SAFE_INTEGER;
const names = new Intl.Collator('en');
const COLUMN_DEFS = [
  column.accessor(({ item }) => item.name, {
    id: 'what',
    sortingFn: (a, b) => names.compare(a.original.item.name, b.original.item.name),
  }),
  column.accessor(({ there }) => there, { id: 'amount' }),
  column.accessor(({ due }) => due?.on ?? '9999', { id: 'until' }),
  // What is gone comes first, what nothing is known of last.
  column.accessor(({ entry, there }) => (there <= 0 ? -1 : (entry?.out?.early ?? entry?.out?.middle ?? LAST)), {
    id: 'lasts',
  }),
  column.accessor(({ worthMinor }) => worthMinor ?? -1, { id: 'worth' }),
];

/** All there is as a table that sorts, filters, selects many and is counted in place; on a phone as a list. */
export function StockTableScreen() {
  const router = useRouter();
  const runCommand = useRunCommand();
  const { gtMd } = useMedia();
  const { currency } = useHome();
  const { store } = useHouseholdContext();
  const { outlook } = useOutlook();
  const guide = useGuide();
  const day = today();
  const version = useHousehold((snapshot) => snapshot.version);
  // Made once for each version of the home: the table is sorted and filtered anew whenever its rows are other ones.
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the state is changed in place, the version says so
  const all = useMemo(() => stockRows(store.state, outlook), [store, outlook, version]);
  const [sorting, setSorting] = useState<SortingState>([{ id: 'lasts', desc: false }]);
  const [shown, setShown] = useState<Shown>('all');
  const [filter, setFilter] = useState('');
  const [place, setPlace] = useState<PlaceChosen | null>(null);
  const [choosing, setChoosing] = useState(false);
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const [active, setActive] = useState<string | null>(null);
  const [counting, setCounting] = useState<string | null>(null);
  const [moving, setMoving] = useState(false);
  const nextDay = outlook ? outlook.trips.find((trip) => trip.day > outlook.trip.day)?.day : undefined;
  const plan: RulerPlan = useMemo(() => {
    const trips = outlook?.trips ?? [];
    const ruler = tableRuler();
    return {
      ruler,
      ticks: trips.map((trip) => daysBetween(day, trip.day)).filter((ahead) => ahead <= ruler.days),
      today: day,
      day: outlook?.trip.day ?? day,
      nextDay: nextDay ?? day,
    };
  }, [outlook, nextDay, day]);
  const data = useMemo(
    () =>
      all.filter(
        (row) =>
          isShown(row, shown, daysBetween(day, plan.nextDay), addDays(day, SOON_DAYS)) &&
          (place === null || row.within.has(place.id)) &&
          hasWords(row, filter.trim()),
      ),
    [all, shown, place, filter, day, plan],
  );
  const table = useReactTable({
    data,
    columns: COLUMN_DEFS,
    state: { sorting },
    onSortingChange: setSorting,
    getRowId: ({ item }) => item.id,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    enableSortingRemoval: false,
  });
  const rows = table.getRowModel().rows.map(({ original }) => original);
  const chosen = rows.filter(({ item }) => selected.has(item.id));
  const toggle = useCallback(
    (id: string) =>
      setSelected((before) => {
        const next = new Set(before);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    [],
  );
  const count = useCallback(
    (row: StockRow, thousandths: number | null) => {
      setCounting(null);
      if (thousandths === null || row.lots.length === 0) return;
      const ops = opsForCountingAll(row.lots, row.item, guide, thousandths, opContext());
      void runCommand('stock_counted', ops, `Counted: ${amountOfWords(thousandths, row.item)}.`);
    },
    [guide, runCommand],
  );
  const done = (): void => setSelected(new Set());
  const onList = (): void => {
    if (!outlook) return;
    const lines = linesOfTrip(store.state, outlook.trip);
    const ops = chosen.flatMap(({ item, entry }): Op[] =>
      entry
        ? opsForWanting(outlook.trip, entry, lines, Math.max(1, entry.packs), opContext())
        : opsForListing(outlook.trip, { itemId: item.id, name: item.name, packs: 1 }, opContext()),
    );
    void runCommand(
      'list_changed',
      ops,
      `On the list: ${counted(chosen.length, { one: '# thing', other: '# things' })}.`,
    );
    done();
  };
  const every = (make: (row: StockRow) => Op[], intent: string, words: string): void => {
    const ops = chosen.flatMap(make);
    if (ops.length > 0) void runCommand(intent, ops, words);
    done();
  };
  const many = counted(chosen.length, { one: '# thing', other: '# things' });
  const keys = useTableKeys({
    ids: rows.map(({ item }) => item.id),
    active,
    setActive,
    select: toggle,
    edit: (id) => {
      if (rows.some(({ item, lots }) => item.id === id && lots.length > 0)) setCounting(id);
    },
    open: (id) => router.push(`/item/${id}`),
    move: () => chosen.length > 0 && setMoving(true),
    leave: () => (counting === null ? done() : setCounting(null)),
  });
  const looked = rows.find(({ item }) => item.id === active) ?? null;
  const filters = (
    <YStack gap={10} paddingHorizontal={16} paddingBottom={10} $gtMd={{ flexDirection: 'row', alignItems: 'flex-end' }}>
      <Choices
        label="Show"
        wrap
        choices={[
          { value: 'all', label: 'everything' },
          { value: 'runs_out', label: nextDay ? `may run out before ${dayWords(nextDay, day)}` : 'may run out' },
          { value: 'ends', label: 'ends in two weeks' },
          { value: 'low', label: 'at its mark' },
          { value: 'none', label: 'gone' },
        ]}
        value={shown}
        onChange={setShown}
      />
      <YStack gap={4} alignItems="flex-start">
        <Small>in</Small>
        <Button label={place?.name ?? 'all places'} onPress={() => setChoosing(true)} />
      </YStack>
      <Field label="with these words, also of its place" width={260} value={filter} onChangeText={setFilter} />
    </YStack>
  );
  const places = choosing ? (
    <PlaceFilter
      onClose={() => setChoosing(false)}
      onPick={(picked) => {
        setChoosing(false);
        setPlace(picked);
      }}
    />
  ) : null;
  const sub = `${rows.length} of ${all.length}, ${worthWords(worthOf(rows), currency)}`;
  if (!gtMd)
    return (
      <Screen title="Stock" sub={sub} back="/restock">
        {filters}
        <LongList
          entries={rows}
          keyOf={({ item }) => item.id}
          draw={({ item, lots }) => (
            <ListRow
              title={item.name}
              detail={onHandWords(lots, item)}
              onPress={() => router.push(`/item/${item.id}`)}
            />
          )}
        />
        {rows.length === 0 ? <Text padding={16}>Nothing of this is here.</Text> : null}
        {places}
      </Screen>
    );
  return (
    <Screen
      title="Stock"
      sub={sub}
      back="/restock"
      footer={
        <Footer
          note={
            chosen.length === 0
              ? '↑ ↓ row · Space select · Enter count · O open · M move · Esc leave'
              : `${chosen.length} selected, ${worthWords(worthOf(chosen), currency)}`
          }
        >
          <Button kind="primary" label="Put on the list" disabled={chosen.length === 0 || !outlook} onPress={onList} />
          <Button label="Likely the same" onPress={() => router.push('/doubles' as never)} />
          <Button label="Paste rows …" onPress={() => router.push('/data/table' as never)} />
          <Button label="Move …" disabled={chosen.length === 0} onPress={() => setMoving(true)} />
          <Button
            label="Given away"
            disabled={chosen.length === 0}
            onPress={() =>
              every(
                ({ lots }) =>
                  lots.flatMap((lot) =>
                    lot.quantityThousandths > 0
                      ? opsForDiscarding(lot, lot.quantityThousandths, 'given_away', opContext())
                      : [],
                  ),
                'stock_discarded',
                `Given away: all of ${many}.`,
              )
            }
          />
        </Footer>
      }
    >
      {filters}
      <XStack alignItems="flex-start">
        <YStack flex={1} minWidth={0}>
          <div role="grid" aria-label="Stock" aria-rowcount={rows.length} tabIndex={0} onKeyDown={keys}>
            <Head sorting={sorting} onSort={(id) => setSorting(sortedBy(sorting, id))} plan={plan} />
            <LongList
              entries={rows}
              first={20}
              keyOf={({ item }) => item.id}
              draw={(row) => (
                <StockLine
                  row={row}
                  plan={plan}
                  selected={selected.has(row.item.id)}
                  active={active === row.item.id}
                  counting={counting === row.item.id}
                  onActive={setActive}
                  onSelect={toggle}
                  onCount={count}
                />
              )}
            />
          </div>
          {rows.length === 0 ? <Text padding={16}>Nothing of this is here.</Text> : null}
        </YStack>
        {looked === null ? null : <StockSide row={looked} day={day} onCount={(id) => setCounting(id)} />}
      </XStack>
      {places}
      {moving ? (
        <Dialog title={`Where do all of ${many} go?`} open onClose={() => setMoving(false)}>
          <NookPicker
            label="Their place"
            onPick={(nookId, name) => {
              setMoving(false);
              every(
                ({ lots }) =>
                  lots.flatMap((lot) =>
                    opsForMoving(lot, lot.quantityThousandths, nookId, store.state.lotsIn(nookId), opContext()),
                  ),
                'stock_moved',
                `Moved: all of ${many} to ${name}.`,
              );
            }}
          />
        </Dialog>
      ) : null}
    </Screen>
  );
}

const sortedBy = (sorting: SortingState, id: string): SortingState => [
  { id, desc: sorting[0]?.id === id ? !sorting[0].desc : id === 'worth' },
];

function Head({ sorting, onSort, plan }: { sorting: SortingState; onSort: (id: string) => void; plan: RulerPlan }) {
  const by = sorting[0];
  const head = (id: string | null, label: string, width?: number, right = false) => (
    <XStack
      key={label}
      role="columnheader"
      aria-sort={by?.id === id && id !== null ? (by.desc ? 'descending' : 'ascending') : undefined}
      {...(width === undefined ? { flex: 1, minWidth: 0 } : { width })}
      justifyContent={right ? 'flex-end' : 'flex-start'}
      paddingRight={right ? 14 : 0}
    >
      {id === null ? (
        <Small>{label}</Small>
      ) : (
        <XStack
          {...pressable({ onPress: () => onSort(id) })}
          aria-label={`Sort by ${label}`}
          minHeight={44}
          alignItems="center"
        >
          <Strong fontSize={14}>{`${label}${by?.id === id ? (by.desc ? ' ↓' : ' ↑') : ''}`}</Strong>
        </XStack>
      )}
    </XStack>
  );
  return (
    <XStack role="row" height={46} alignItems="center" borderBottomWidth={2} borderColor="$color">
      <XStack width={COLUMNS.select} role="columnheader" aria-label="Selected" />
      {head('what', 'What')}
      {head('amount', 'How many', COLUMNS.amount)}
      {head(null, 'Where', COLUMNS.where)}
      {head('until', 'Until', COLUMNS.until)}
      <XStack width={COLUMNS.lasts} position="relative" height={46}>
        {head('lasts', 'Lasts to', COLUMNS.lasts)}
        {plan.ticks.map((ahead, at) => (
          <Small
            key={ahead}
            position="absolute"
            bottom={0}
            left={xOf(plan.ruler, ahead) + 2}
            color={at < 2 ? '$color' : '$second'}
            aria-hidden
          >
            {Number(addDays(plan.today, ahead).slice(8))}
          </Small>
        ))}
      </XStack>
      {head(null, 'Mark', COLUMNS.buy, true)}
      {head('worth', 'Worth', COLUMNS.worth, true)}
    </XStack>
  );
}
