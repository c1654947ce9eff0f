import {
  addDays,
  daysBetween,
  opsForListing,
  opsForWanting,
  roomForPacks,
  tripAfter,
  listView,
  type ListLine,
  type ListView,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { EmptyState } from '@/kit/layout/EmptyState';
import { Footer } from '@/kit/layout/Footer';
import { Card } from '@/kit/layout/Card';
import { PANE_GAP, TwoPane } from '@/kit/layout/TwoPane';
import { LongList } from '@/kit/layout/LongList';
import { rulerOf } from '@/kit/chart/Ruler';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { pressable } from '@/kit/press/pressable';
import { shareText } from '@/kit/files';
import { useToast } from '@/kit/feedback/Toasts';
import { counted } from '@/kit/text/counted';
import { dayWords, weekdayAndDay } from '@/kit/text/dayWords';
import { Heading, Mono, Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { LooksDialog } from '@/features/looks';
import { AddLineDialog } from './AddLineDialog';
import { AskRow } from './AskRow';
import { NotBoughtList } from './NotBoughtList';
import type { Outlook } from './outlookStore';
import { OfferDialog } from './OfferDialog';
import { OutlookWait } from './OutlookWait';
import { PutAwayBeside } from './PutAwayBeside';
import { RestockFrame } from './RestockFrame';
import { LineDeeds, RestockRow, RulerHead, type RulerPlan } from './RestockRow';
import { RunwayLegend } from './RunwayLegend';
import { SeveralDialog } from './SeveralDialog';
import { TripDialog } from './TripDialog';
import { TripHead } from './TripHead';
import { useOutlook } from './useOutlook';
import { useStartTrip } from './useStartTrip';
import { dayLaterWords, listText, packWords, priceFigure, whyWords } from './words';

/** Rows that a phone shows before one scrolls; the rest is behind a line that says how much it is. */
const FIRST_LINES = 6;
/** What stands beside the list on a wide screen. */
const SIDE_WIDTH = 360;

const TICKED_WORDS = { basket: 'in the basket', not_there: 'was not there' } as const;

/** What to buy on the next trip: how many packs of what, why, for how much, and how long everything lasts. */
export function RestockScreen() {
  const { outlook, share, problem } = useOutlook();
  const [days, setDays] = useState(false);
  return (
    <>
      {outlook ? (
        <List outlook={outlook} onDays={() => setDays(true)} />
      ) : (
        <RestockFrame title="Restock">
          <OutlookWait share={share} problem={problem} />
        </RestockFrame>
      )}
      {days ? <TripDialog onClose={() => setDays(false)} /> : null}
    </>
  );
}

function List({ outlook, onDays }: { outlook: Outlook; onDays: () => void }) {
  const router = useRouter();
  const toast = useToast();
  const runCommand = useRunCommand();
  const { store } = useHouseholdContext();
  const { currency } = useHome();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const [open, setOpen] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const [adding, setAdding] = useState(false);
  const [several, setSeveral] = useState(false);
  const [showing, setShowing] = useState(false);
  const [offering, setOffering] = useState<ListLine | null>(null);
  const { today, trip, trips, answer } = outlook;
  const view: ListView = useHousehold(({ state, version }) => ({ ...listView(state, outlook), version }));
  const plan: RulerPlan = useMemo(
    () => ({
      ruler: rulerOf(gtMd ? content - SIDE_WIDTH - PANE_GAP : content),
      ticks: trips
        .map(({ day }) => daysBetween(today, day))
        .filter((day, at, of) => day <= 28 && of.indexOf(day) === at),
      today,
      day: trip.day,
      nextDay: tripAfter(trips, trip),
    }),
    [content, gtMd, trips, trip, today],
  );
  const toggle = useCallback((key: string) => setOpen((now) => (now === key ? null : key)), []);
  const toItem = useCallback((line: ListLine) => router.push(`/item/${line.item!.id}`), [router]);
  const setPacks = useCallback(
    (line: ListLine, packs: number) => {
      const { entry, written, name } = line;
      const done = packs === 0 ? `Not this week: ${name}.` : `On the list: ${packs} × ${name}.`;
      const ops = entry
        ? opsForWanting(trip, { ...entry, packs: line.packs }, written, packs, opContext())
        : written.map(({ id }) => ({
            op: 'change' as const,
            entity: 'purchase' as const,
            id,
            fields: packs === 0 ? { state: 'dismissed' as const } : { packs },
          }));
      void runCommand('list_changed', ops, done);
    },
    [runCommand, trip],
  );
  const shown = all || gtMd ? view.lines : view.lines.slice(0, FIRST_LINES);
  const more = view.lines.slice(shown.length);
  const moreCost = more.reduce((sum, { packs, priceMinor }) => sum + packs * (priceMinor ?? 0), 0);
  const nameOf = (itemId: string): string => store.state.get('item', itemId)?.name ?? '';
  const later = dayLaterWords(answer, nameOf, currency);
  const start = useStartTrip(trip, view);
  const send = async (): Promise<void> => {
    // What is in the basket is not bought a second time by whoever gets the text.
    const open = view.lines.filter(({ ticked }) => ticked !== 'basket');
    const lines = open.map(({ name, packs, packThousandths, item, size }) => ({
      name,
      packs,
      size: item ? packWords(packThousandths, item, size) : '',
      aisle: item?.category ?? '',
    }));
    const how = await shareText('Shopping list', listText(trip, today, lines));
    if (how === 'copied') toast({ text: 'The list is copied as text.' });
    if (how === 'failed') toast({ text: 'The list could not be shared from this browser.', problem: true });
  };
  const whyOf = ({ entry, item, ticked }: ListLine): string => {
    if (ticked !== null) return TICKED_WORDS[ticked];
    return entry && item && entry.reason ? whyWords(entry, item, plan) : 'written by hand';
  };
  const picked = gtMd ? (view.lines.find(({ key }) => key === open) ?? view.lines[0] ?? null) : null;
  const offered = offering?.entry && offering.item ? { entry: offering.entry, item: offering.item } : null;
  const roomPacks = useHousehold(({ state }) =>
    offered ? roomForPacks(state, offered.item, offered.entry.packThousandths) : null,
  );
  const takeOffer = (packs: number, priceMinor: number): void => {
    if (!offering?.entry) return;
    const { entry, written, name } = offering;
    const ops = opsForWanting(trip, { ...entry, priceMinor }, written, packs, opContext(), { priceMinor });
    void runCommand('list_changed', ops, `On the list: ${packs} × ${name}.`);
  };
  const head = <TripHead trip={trip} today={today} view={view} currency={currency} onDays={onDays} />;
  const notBought = <NotBoughtList entries={view.notBought} plan={plan} />;
  const rows = (
    <>
      <RulerHead plan={plan} words={(day, strong) => headWords(addDays(today, day), today, strong)} />
      {view.lines.length === 0 ? (
        <EmptyState text="Nothing has to be bought on this trip. What is low, and what will not last until the trip after it, is listed here. Take things out with a tap: from the third use on each thing has its own pace." />
      ) : (
        <LongList
          entries={shown}
          keyOf={({ key }) => key}
          draw={(line) => (
            <RestockRow
              line={line}
              why={whyOf(line)}
              plan={plan}
              currency={currency}
              open={(picked?.key ?? open) === line.key}
              aside={gtMd}
              onOpen={gtMd ? setOpen : toggle}
              onPacks={setPacks}
              onItem={toItem}
              onOffer={setOffering}
            />
          )}
        />
      )}
      {more.length > 0 ? (
        <XStack
          {...pressable({ onPress: () => setAll(true) })}
          minHeight={52}
          paddingHorizontal={16}
          alignItems="center"
          justifyContent="space-between"
          backgroundColor="$background"
          borderBottomWidth={1}
          borderColor="$borderColor"
        >
          <Strong>{counted(more.length, { one: '# more to buy', other: '# more to buy' })}</Strong>
          <Mono fontSize={15}>{priceFigure(moreCost, currency)}</Mono>
        </XStack>
      ) : null}
      {gtMd ? (
        <>
          {notBought}
          <RunwayLegend />
        </>
      ) : null}
    </>
  );
  const questions =
    view.ask.length > 0 ? (
      <YStack>
        <Strong paddingHorizontal={16} paddingTop={16} paddingBottom={6} role="heading" aria-level={2}>
          How many are left?
        </Strong>
        <Small paddingHorizontal={16} paddingBottom={8}>
          A count now could change what is bought.
        </Small>
        {view.ask.map(({ entry, item }) => (
          <AskRow key={item.id} entry={entry} item={item} />
        ))}
      </YStack>
    ) : null;
  const links = (
    <YStack>
      {later === '' ? null : (
        <Text paddingHorizontal={16} paddingTop={12}>
          {later}
        </Text>
      )}
      <XStack paddingHorizontal={16} paddingTop={12} gap={8} flexWrap="wrap">
        <Button label="Before you leave" onPress={() => router.push('/restock/leaving')} />
        <Button label="All stock" onPress={() => router.push('/stock')} />
        <Button label="Figures" onPress={() => router.push('/figures' as never)} />
        <Button label="Show to a helper …" onPress={() => setShowing(true)} />
      </XStack>
    </YStack>
  );
  return (
    <RestockFrame
      title="Restock"
      footer={
        <Footer>
          <Button
            kind="primary"
            grow
            label={view.begun ? 'Go on shopping' : 'Start shopping'}
            disabled={view.lines.length === 0}
            onPress={() => void start()}
          />
          <Button label="Add" onPress={() => setAdding(true)} />
          <Button
            label="Share"
            disabled={view.lines.every(({ ticked }) => ticked === 'basket')}
            onPress={() => void send()}
          />
        </Footer>
      }
    >
      <TwoPane
        gap={0}
        rightWidth={SIDE_WIDTH}
        left={rows}
        right={
          <>
            {head}
            <PutAwayBeside width={SIDE_WIDTH - 64} />
            {picked ? (
              <Card margin={16} padding={14} gap={8} role="region" aria-label="Of this line">
                <Heading fontSize={20} lineHeight={26}>
                  {picked.name}
                </Heading>
                <Small>{whyOf(picked)}</Small>
                <LineDeeds line={picked} onPacks={setPacks} onItem={toItem} onOffer={setOffering} />
              </Card>
            ) : null}
            {questions}
            {links}
          </>
        }
        narrow={
          <>
            {head}
            {rows}
            {questions}
            {notBought}
            {links}
            <RunwayLegend />
          </>
        }
      />
      {offered ? (
        <OfferDialog
          entry={offered.entry}
          item={offered.item}
          roomPacks={roomPacks}
          usualMinor={offered.entry.priceMinor}
          packs={offering!.packs}
          today={today}
          onTake={takeOffer}
          onClose={() => setOffering(null)}
        />
      ) : null}
      {several ? (
        <SeveralDialog
          trip={trip}
          onClose={() => setSeveral(false)}
          onAdd={(lines) => {
            setSeveral(false);
            void runCommand(
              'list_changed',
              lines.flatMap((line) => opsForListing(trip, line, opContext())),
              `On the list: ${counted(lines.length, { one: '# line', other: '# lines' })}.`,
            );
          }}
        />
      ) : null}
      {showing ? (
        <LooksDialog what="list" spaceId={null} name="the shopping list" onClose={() => setShowing(false)} />
      ) : null}
      {adding ? (
        <AddLineDialog
          trip={trip}
          onClose={() => setAdding(false)}
          onSeveral={() => {
            setAdding(false);
            setSeveral(true);
          }}
          onAdd={(line) =>
            void runCommand('list_changed', opsForListing(trip, line, opContext()), `On the list: ${line.name}.`)
          }
        />
      ) : null}
    </RestockFrame>
  );
}

/** The first label of a new month says it: `Sat 28`, `Sat 5 Dec`. */
function headWords(day: string, today: string, strong: boolean): string {
  if (!strong) return weekdayAndDay(day, today).replace(/ \w+$/, '');
  return day.slice(0, 7) === today.slice(0, 7)
    ? weekdayAndDay(day, today).replace(` ${monthOf(day)}`, '')
    : weekdayAndDay(day, today);
}
const monthOf = (day: string): string => dayWords(day, day).split(' ')[1]!;
