import {
  addDays,
  byMeal,
  daysBetween,
  effectiveDue,
  isSafety,
  opsForDiscarding,
  opsForTaking,
  stockOf,
  type CivilDate,
  type ItemRow,
  type LotRow,
  type UseFirstEntry,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { memo, useCallback, useMemo, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { rulerOf, type Ruler } from '@/kit/chart/Ruler';
import { Runway } from '@/kit/chart/Runway';
import { Choices } from '@/kit/form/Choices';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListHeading } from '@/kit/layout/ListRow';
import { Card } from '@/kit/layout/Card';
import { PANE_GAP, TwoPane } from '@/kit/layout/TwoPane';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { Mark } from '@/kit/text/Mark';
import { Small, Strong, Title } from '@/kit/text/Text';
import { useGuide } from '@/shared/useGuide';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { LotDialog } from '@/features/stock';
import { amountOfWords, amountWords, dueMark, dueWords, lotAmountWords } from '@/features/stock/words';
import type { Outlook } from './outlookStore';
import { ChosenMark } from './RestockRow';
import { OutlookWait } from './OutlookWait';
import { RunwayRow } from './RunwayRow';
import { useOutlook } from './useOutlook';
import { costWords, eatenWords, MEAL_WORDS, roundMoney } from './words';

const RULER_DAYS = 28;
/** What stands beside the list on a wide screen. */
const SIDE_WIDTH = 360;
/** Somebody has closed the row that was open. */
const NONE_OPEN = 'none';
const WEEKS: readonly number[] = [7, 14, 21];
type GroupedBy = 'loss' | 'place' | 'meal';

interface Row {
  entry: UseFirstEntry;
  lot: LotRow;
  item: ItemRow;
  place: string;
}

/** What is lost at the present pace, lot by lot, and what can be done about it. */
export function UseFirstScreen() {
  const { outlook, share, problem } = useOutlook();
  return (
    <Screen title="Use first" back="/">
      {outlook ? <Losses outlook={outlook} /> : <OutlookWait share={share} problem={problem} />}
    </Screen>
  );
}

function Losses({ outlook }: { outlook: Outlook }) {
  const { currency } = useHome();
  const [by, setBy] = useState<GroupedBy>('loss');
  const [open, setOpen] = useState<string | null>(null);
  const [inDialog, setInDialog] = useState<string | null>(null);
  const { today, answer } = outlook;
  const { gtMd } = useMedia();
  const width = useContentWidth();
  const ruler = useMemo(() => rulerOf(gtMd ? width - SIDE_WIDTH - PANE_GAP : width, RULER_DAYS), [width, gtMd]);
  const { rows, dated } = useHousehold(({ state, version }) => ({
    rows: answer.useFirst.flatMap((entry): Row[] => {
      const lot = state.get('lot', entry.lotId);
      const item = state.get('item', entry.itemId);
      // What was used or thrown out since it was worked out is not offered again.
      if (!lot || lot.retired || lot.quantityThousandths <= 0 || !item) return [];
      return [{ entry, lot, item, place: wayTo(state, lot.nookId)?.space?.name ?? '' }];
    }),
    dated: stockOf(state).dated().length,
    version,
  }));
  const toggle = useCallback((id: string) => setOpen((now) => (now === id ? NONE_OPEN : id)), []);
  const money = rows.reduce((sum, { entry }) => sum + (entry.lostMinor ?? 0), 0);
  const groups = useMemo(() => groupedBy(rows, by), [rows, by]);
  const atTop = open === NONE_OPEN && !gtMd ? null : (groups[0]?.rows[0] ?? null);
  const chosen = rows.find(({ lot }) => lot.id === open) ?? atTop;
  if (rows.length === 0)
    return (
      <EmptyState text="At the present pace everything with a date is used in time. What may not be is listed here, with what can be done about it." />
    );
  const head = (
    <YStack paddingHorizontal={16} paddingBottom={10} gap={8}>
      <YStack>
        <Title aria-level={2}>
          {money > 0
            ? `About ${roundMoney(money, currency)} lost at the present pace`
            : 'Some is lost at the present pace'}
        </Title>
        <Small>
          {counted(rows.length, { one: '# lot', other: '# lots' })} of {dated} with a date; what has no known price
          counts nothing
        </Small>
      </YStack>
      <Choices
        label="In which order"
        hideLabel
        choices={[
          { value: 'loss', label: 'Most lost' },
          { value: 'place', label: 'By place' },
          { value: 'meal', label: 'By meal' },
        ]}
        value={by}
        onChange={setBy}
      />
    </YStack>
  );
  const list = (
    <>
      <RulerLine ruler={ruler} today={today} />
      {groups.map(({ title, rows: own }) => (
        <YStack key={title}>
          {title === '' ? null : (
            <ListHeading title={title} remark={counted(own.length, { one: '# lot', other: '# lots' })} />
          )}
          <LongList
            entries={own}
            keyOf={({ lot }) => lot.id}
            draw={(row) => (
              <LossRow
                row={row}
                ruler={ruler}
                today={today}
                currency={currency}
                open={chosen?.lot.id === row.lot.id}
                aside={gtMd}
                onOpen={gtMd ? setOpen : toggle}
                onFreeze={setInDialog}
              />
            )}
          />
        </YStack>
      ))}
      <Small padding={16}>
        Solid: used in time. Hatched behind the red line: past its date before it would be used. A use-by date is about
        safety: past it, throw it out. A best-before date is about quality: look, smell, taste.
      </Small>
    </>
  );
  return (
    <>
      <TwoPane
        gap={0}
        rightWidth={SIDE_WIDTH}
        left={list}
        right={
          <>
            {head}
            {chosen ? (
              <Card margin={16} padding={14} gap={10} role="region" aria-label="Of this lot">
                <YStack gap={2}>
                  <Title aria-level={3}>{chosen.item.name}</Title>
                  <Small>
                    {amountWords(chosen.lot.quantityThousandths, chosen.item.unit)}, {chosen.place}
                  </Small>
                </YStack>
                <LossDeeds row={chosen} today={today} onFreeze={setInDialog} />
              </Card>
            ) : null}
          </>
        }
        narrow={
          <>
            {head}
            {list}
          </>
        }
      />
      <LotDialog lotId={inDialog} onClose={() => setInDialog(null)} />
    </>
  );
}

function groupedBy(rows: readonly Row[], by: GroupedBy): { title: string; rows: Row[] }[] {
  if (by === 'loss') return [{ title: '', rows: [...rows] }];
  if (by === 'meal')
    return byMeal(rows).map(({ meal, rows: own }) => ({
      title: meal === null ? 'No food, or not known' : `For ${MEAL_WORDS[meal]}`,
      rows: own,
    }));
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const title = row.place || 'Other';
    groups.set(title, [...(groups.get(title) ?? []), row]);
  }
  return [...groups].map(([title, own]) => ({ title, rows: own }));
}

function RulerLine({ ruler, today }: { ruler: Ruler; today: CivilDate }) {
  return (
    <YStack
      position="relative"
      height={30}
      backgroundColor="$background"
      borderBottomWidth={1}
      borderTopWidth={1}
      borderColor="$borderColor"
      aria-hidden
    >
      <YStack position="absolute" top={0} left={0}>
        <Runway ruler={ruler} ticks={WEEKS} height={30} bar={null} />
      </YStack>
      <Small position="absolute" left={ruler.left} top={5} backgroundColor="$background">
        today
      </Small>
      {WEEKS.map((day) => (
        <Small
          key={day}
          position="absolute"
          left={ruler.left + day * ruler.pxADay + 4}
          top={5}
          backgroundColor="$background"
          paddingRight={2}
        >
          {dayWords(addDays(today, day), today)}
        </Small>
      ))}
    </YStack>
  );
}

const ROW_HEIGHT = 78;

/** What can be done about one lot. */
function LossDeeds({
  row: { lot, item },
  today,
  onFreeze,
}: {
  row: Row;
  today: CivilDate;
  onFreeze: (lotId: string) => void;
}) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const guide = useGuide();
  const one = Math.min(1000, lot.quantityThousandths);
  // Past a date that is about safety it is neither frozen nor given away.
  const due = effectiveDue(lot, item, guide);
  const unsafe = due !== null && due.on < today && isSafety(due);
  const some = (amount: number): string => amountOfWords(amount, item);
  const leave = (reason: 'given_away' | 'expired', words: string): void =>
    void runCommand(
      'stock_discarded',
      opsForDiscarding(lot, lot.quantityThousandths, reason, opContext()),
      `${words}: ${some(lot.quantityThousandths)}.`,
    );
  return (
    <XStack gap={8} flexWrap="wrap">
      <Button
        kind={unsafe ? 'plain' : 'primary'}
        label={one < lot.quantityThousandths ? 'Used one' : 'Used'}
        onPress={() => void runCommand('stock_taken', opsForTaking([lot], one, opContext()), `Taken: ${some(one)}.`)}
      />
      {unsafe ? null : (
        <>
          <Button label="Freeze …" onPress={() => onFreeze(lot.id)} />
          <Button label="Given away" onPress={() => leave('given_away', 'Given away')} />
        </>
      )}
      <Button
        kind={unsafe ? 'primary' : 'plain'}
        label={unsafe ? 'Throw out' : 'Gone'}
        onPress={() => leave('expired', 'Thrown out')}
      />
      <Button kind="quiet" label="About it" onPress={() => router.push(`/item/${item.id}`)} />
    </XStack>
  );
}

const LossRow = memo(function LossRow({
  row,
  ruler,
  today,
  currency,
  open,
  aside,
  onOpen,
  onFreeze,
}: {
  row: Row;
  ruler: Ruler;
  today: CivilDate;
  currency: string;
  open: boolean;
  /** What can be done is shown beside the list. */
  aside: boolean;
  onOpen: (lotId: string) => void;
  onFreeze: (lotId: string) => void;
}) {
  const guide = useGuide();
  const { entry, lot, item } = row;
  const mark = dueMark(lot, item, today, guide);
  const days = Math.max(0, daysBetween(today, entry.dueOn));
  const why = [dueWords(lot, item, today, guide), eatenWords(entry, item)].filter((part) => part !== '').join('; ');
  const lost = entry.lostMinor === null ? '' : `lost: ${costWords(entry.lostMinor, currency)}`;
  return (
    <YStack backgroundColor="$background" borderBottomWidth={1} borderColor="$borderColor" position="relative">
      <RunwayRow
        ruler={ruler}
        ticks={WEEKS}
        height={ROW_HEIGHT}
        bar={{ sure: days, may: Math.max(days, entry.lastsDays ?? RULER_DAYS + 1), tone: 'lost' }}
        label={`${item.name}, ${lotAmountWords(lot, item)}: ${why}${lost === '' ? '' : `; ${lost}`}`}
        expanded={open}
        onPress={() => onOpen(lot.id)}
      >
        <YStack paddingTop={8} paddingHorizontal={16} gap={2}>
          <XStack gap={8} alignItems="center">
            <XStack flex={1} minWidth={0}>
              <Strong numberOfLines={1} backgroundColor="$background" paddingRight={6}>
                {item.name}
                <Small fontSize={16} lineHeight={22}>{`, ${amountWords(lot.quantityThousandths, item.unit)}`}</Small>
              </Strong>
            </XStack>
            {mark ? <Mark {...mark} /> : null}
            <NookPlate nookId={lot.nookId} />
          </XStack>
          <XStack gap={8} alignItems="center">
            <XStack flex={1} minWidth={0}>
              <Small numberOfLines={1} backgroundColor="$background" paddingRight={6}>
                {why}
              </Small>
            </XStack>
            <Small backgroundColor="$background" paddingLeft={6} color="$color">
              {lost}
            </Small>
          </XStack>
        </YStack>
      </RunwayRow>
      {open && aside ? <ChosenMark /> : null}
      {open && !aside ? (
        <YStack paddingHorizontal={16} paddingTop={8} paddingBottom={12}>
          <LossDeeds row={row} today={today} onFreeze={onFreeze} />
        </YStack>
      ) : null}
    </YStack>
  );
});
