import {
  addDays,
  AFRESH_FROM,
  driftOf,
  openPicks,
  opsForAfresh,
  roundsNow,
  stockOf,
  type CivilDate,
  type DueLot,
  type LineRow,
  type LotRow,
  type Picked,
  type RoundFields,
  type RoundNow,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { memo, useMemo, useState } from 'react';
import { ScrollView, XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { Choices } from '@/kit/form/Choices';
import { Button } from '@/kit/press/Button';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { NookPlate } from '@/shared/NookPlate';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Small, Text } from '@/kit/text/Text';
import { wayTo } from '@/shared/placeWords';
import { pickWords } from '@/features/cold/words';
import { DueRow } from '@/features/stock';
import { amountWords } from '@/features/stock/words';
import { ReadyDialog } from './ReadyDialog';
import { RoundDialog } from './RoundDialog';
import { RoundRow } from './RoundRow';
import { RoundsCalendar } from './RoundsCalendar';
import { driftedWords, manyMissedWords, minutesWords } from './words';

/** A row of the page: headings are rows as well, so that one long list holds them all in their order. */
type Row =
  | { kind: 'heading'; key: string; title: string; remark: string }
  | { kind: 'round'; key: string; now: RoundNow }
  | { kind: 'drift'; key: string; count: number }
  | { kind: 'thaw'; key: string; picked: Picked }
  | { kind: 'due'; key: string; one: DueLot }
  | { kind: 'count'; key: string; lot: LotRow }
  | { kind: 'line'; key: string; line: LineRow };

const part = (title: string, rows: Row[]): Row[] =>
  rows.length === 0 ? [] : [{ kind: 'heading', key: title, title, remark: `${rows.length}` }, ...rows];
const dueRow = (one: DueLot): Row => ({ kind: 'due', key: one.lot.id, one });

/** Rounds under a heading, with the minutes they take together. */
const roundPart = (title: string, rounds: readonly RoundNow[]): Row[] =>
  rounds.length === 0
    ? []
    : [
        {
          kind: 'heading',
          key: title,
          title,
          remark: minutesWords(
            rounds.reduce((sum, { round, usualMinutes }) => sum + (usualMinutes ?? round.minutes), 0),
          ),
        },
        ...rounds.map((now): Row => ({ kind: 'round', key: now.round.id, now })),
      ];
const WEEK_DAYS = 7;
/** What is not stock but state. */
const KEPT: readonly { label: string; to: string }[] = [
  { label: 'Kits', to: '/kits' },
  { label: 'Out and waiting', to: '/out' },
  { label: 'Care', to: '/care' },
  { label: 'Catching up', to: '/backlog' },
];

/** What is due, by whom, where; then what to look after on the next walk: lines to be fixed, too late, ending soon, to be counted. */
export function RoundsScreen() {
  const day = today();
  const router = useRouter();
  const due = useHousehold(({ state }) => stockOf(state).dueUntil(day));
  // Few are picked at a time; which they are changes with the lots as well.
  const picks = useHousehold(({ state, version }) => ({ list: openPicks(state), version })).list;
  const toCount = useHousehold(({ state }) => stockOf(state).lotsToCount());
  const lines = useHousehold(({ state }) => state.all('line'));
  const { all: rounds, people } = useHousehold(({ state, version }) => ({
    version,
    all: roundsNow(state, day),
    people: state.all('person').map(({ id, name }) => ({ id, name })),
  }));
  const drifted = useHousehold(({ state }) => driftOf(state).length);
  const runCommand = useRunCommand();
  // After a long time away, all at once.
  const stale = rounds.filter(({ missed }) => missed >= AFRESH_FROM);
  const [who, setWho] = useState('everyone');
  const [dialog, setDialog] = useState<'ready' | { preset: RoundFields | null } | null>(null);
  const rows = useMemo(() => {
    const late = due.filter((one) => one.due.on < day);
    const out = picks.filter(({ thawOn, lot }) => thawOn <= day && lot !== null);
    const own = rounds.filter(
      ({ round: { personIds } }) => who === 'everyone' || personIds.length === 0 || personIds.includes(who),
    );
    const isDue = ({ due: turn }: RoundNow): boolean => turn !== null;
    const week = addDays(day, WEEK_DAYS);
    return [
      ...roundPart(
        'Late',
        own.filter((one) => one.lateDays > 0),
      ),
      ...roundPart(
        'Today',
        own.filter((one) => isDue(one) && one.lateDays === 0),
      ),
      ...roundPart(
        'This week',
        own.filter((one) => !isDue(one) && one.next !== null && one.next <= week),
      ),
      ...roundPart(
        'Later',
        own.filter((one) => !isDue(one) && (one.next === null || one.next > week)),
      ),
      ...(drifted > 0 ? [{ kind: 'drift' as const, key: 'drift', count: drifted }] : []),
      ...part(
        'Out of the freezer to thaw',
        out.map((picked) => ({ kind: 'thaw', key: picked.pick.id, picked })),
      ),
      // Nothing of them is in the stock yet, and they are few: before the long lists of dates.
      ...part(
        'Lines to fix',
        lines.map((line) => ({ kind: 'line', key: line.id, line })),
      ),
      ...part('Too late: look, and take out what is bad', late.map(dueRow)),
      ...part('Ends within two weeks', due.slice(late.length).map(dueRow)),
      ...part(
        'Please count',
        toCount.map((lot) => ({ kind: 'count', key: `count ${lot.id}`, lot })),
      ),
    ];
  }, [due, picks, toCount, lines, rounds, drifted, who, day]);
  const list = <LongList entries={rows} keyOf={({ key }) => key} draw={(row) => <RoundsRow row={row} day={day} />} />;
  return (
    <Screen title="Rounds" right={<Button kind="quiet" label="Recall" onPress={() => router.push('/recall')} />}>
      {dialog === 'ready' ? (
        <ReadyDialog onClose={() => setDialog(null)} onChoose={(preset) => setDialog({ preset })} />
      ) : dialog ? (
        <RoundDialog round={null} preset={dialog.preset} onClose={() => setDialog(null)} />
      ) : null}
      <XStack paddingHorizontal={16} paddingTop={8} gap={8} alignItems="center">
        <YStack flex={1} minWidth={0}>
          {people.length > 1 && rounds.length > 0 ? (
            <Choices
              label="Whose rounds"
              hideLabel
              choices={[
                { value: 'everyone', label: 'Everyone' },
                ...people.map(({ id, name }) => ({ value: id, label: name.split(' ')[0]! })),
              ]}
              value={who}
              onChange={setWho}
            />
          ) : (
            <Small>Duties that come back: switch on what your home needs.</Small>
          )}
        </YStack>
        <Button label="Rounds …" onPress={() => setDialog('ready')} />
      </XStack>
      <ScrollView horizontal showsHorizontalScrollIndicator={false}>
        <XStack paddingHorizontal={16} paddingTop={8} gap={8} testID="keep-links">
          {KEPT.map(({ label, to }) => (
            <Button key={to} label={label} onPress={() => router.push(to as never)} />
          ))}
        </XStack>
      </ScrollView>
      {stale.length > 0 ? (
        <YStack paddingHorizontal={16} paddingTop={8} gap={6} role="status">
          <Small>
            {manyMissedWords(
              stale.reduce((sum, { missed }) => sum + missed, 0),
              stale.length,
            )}
          </Small>
          <XStack>
            <Button
              label="Begin afresh: count from today"
              onPress={() =>
                void runCommand(
                  'round_saved',
                  opsForAfresh(
                    stale.map(({ round }) => round),
                    day,
                  ),
                  'Counted from today; what was done before is kept.',
                )
              }
            />
          </XStack>
        </YStack>
      ) : null}
      {rows.length === 0 ? (
        <Text padding={16}>Nothing needs a look today: no dates ending, nothing to count, no line to fix.</Text>
      ) : null}
      <TwoPane
        gap={0}
        left={list}
        right={<RoundsCalendar rounds={rounds} today={day} />}
        rightWidth={560}
        narrow={list}
      />
    </Screen>
  );
}

function RoundsRow({ row, day }: { row: Row; day: CivilDate }) {
  switch (row.kind) {
    case 'heading':
      return <ListHeading title={row.title} remark={row.remark} />;
    case 'round':
      return <RoundRow now={row.now} today={day} />;
    case 'drift':
      return <DriftRow count={row.count} />;
    case 'thaw':
      return <ThawRow picked={row.picked} day={day} />;
    case 'due':
      return <DueRow one={row.one} day={day} />;
    case 'count':
      return <CountRow lot={row.lot} />;
    case 'line':
      return <FixRow line={row.line} />;
  }
}

/** How many places are otherwise than they were set up. */
function DriftRow({ count }: { count: number }) {
  const router = useRouter();
  return (
    <ListRow
      title={driftedWords(count)}
      onPress={() => router.push('/drift' as never)}
      right={<Button label="Look" onPress={() => router.push('/drift' as never)} />}
    />
  );
}

/** Something picked from the freezer that comes out now; its board takes it out. */
const ThawRow = memo(function ThawRow({ picked, day }: { picked: Picked; day: CivilDate }) {
  const router = useRouter();
  const { pick, item, lot } = picked;
  const spaceId = useHousehold(({ state }) => (lot ? (wayTo(state, lot.nookId)?.space?.id ?? null) : null));
  return (
    <ListRow
      title={`${item?.name ?? ''}, ${amountWords(pick.amountThousandths, item?.unit ?? 'piece')}`}
      detail={pickWords(picked, day)}
      onPress={() => router.push(spaceId === null ? '/nooks' : `/space/${spaceId}/frozen`)}
      right={lot ? <NookPlate nookId={lot.nookId} /> : undefined}
    />
  );
});

/** A line that could not be read, as it was typed. */
const FixRow = memo(function FixRow({ line }: { line: LineRow }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  return (
    <ListRow
      title={`“${line.text}”`}
      detail="kept as typed"
      right={
        <>
          <Button label="Fix" onPress={() => router.push(line.nookId ? `/record?nook=${line.nookId}` : '/record')} />
          <Button
            kind="quiet"
            label="Drop"
            onPress={() => void runCommand('line_settled', [{ op: 'retire', entity: 'line', id: line.id }], 'Dropped.')}
          />
        </>
      }
    />
  );
});

const CountRow = memo(function CountRow({ lot }: { lot: LotRow }) {
  const router = useRouter();
  const name = useHousehold(({ state }) => state.get('item', lot.itemId)?.name ?? '');
  return (
    <ListRow
      title={name}
      detail="more was taken than was known"
      onPress={() => router.push(`/nook/${lot.nookId}`)}
      right={<NookPlate nookId={lot.nookId} />}
    />
  );
});
