import {
  addDays,
  daysBetween,
  opsForListing,
  opsForStartingTrip,
  opsForWanting,
  tripAfter,
  type RestockEntry,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useCallback, useMemo, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { EmptyState } from '@/kit/layout/EmptyState';
import { Footer } from '@/kit/layout/Footer';
import { LongList } from '@/kit/layout/LongList';
import { rulerOf } from '@/kit/chart/Ruler';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { pressable } from '@/kit/press/pressable';
import { shareText } from '@/kit/files';
import { useToast } from '@/kit/feedback/Toasts';
import { counted } from '@/kit/text/counted';
import { dayWords, weekdayAndDay } from '@/kit/text/dayWords';
import { Mono, Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { AddLineDialog } from './AddLineDialog';
import { AskRow } from './AskRow';
import { NotBoughtList } from './NotBoughtList';
import { listView, type ListLine, type ListView } from './listView';
import type { Outlook } from './outlookStore';
import { OutlookWait } from './OutlookWait';
import { RestockFrame } from './RestockFrame';
import { RestockRow, RulerHead, type RulerPlan } from './RestockRow';
import { RunwayLegend } from './RunwayLegend';
import { TripDialog } from './TripDialog';
import { TripHead } from './TripHead';
import { useOutlook } from './useOutlook';
import { dayLaterWords, listText, packWords, priceFigure, whyWords } from './words';

/** Rows that a phone shows before one scrolls; the rest is behind a line that says how much it is. */
const FIRST_LINES = 6;

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
  const { today, trip, trips, answer } = outlook;
  const view: ListView = useHousehold(({ state, version }) => ({ ...listView(state, outlook), version }));
  const plan: RulerPlan = useMemo(
    () => ({
      ruler: rulerOf(content),
      ticks: trips
        .map(({ day }) => daysBetween(today, day))
        .filter((day, at, of) => day <= 28 && of.indexOf(day) === at),
      today,
      day: trip.day,
      nextDay: tripAfter(trips, trip),
    }),
    [content, trips, trip, today],
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
  const start = async (): Promise<void> => {
    const written = new Set(view.lines.flatMap(({ written: own, item }) => (own.length > 0 && item ? [item.id] : [])));
    const missing: RestockEntry[] = view.lines.flatMap(({ entry, item, packs }) =>
      entry && item && !written.has(item.id) ? [{ ...entry, packs }] : [],
    );
    const refused = await runCommand(
      'trip_begun',
      opsForStartingTrip(trip, missing, opContext()),
      counted(view.lines.length, { one: '# thing is on the list.', other: '# things are on the list.' }),
    );
    if (refused === null) router.push('/restock/shop');
  };
  const send = async (): Promise<void> => {
    const lines = view.lines.map(({ name, packs, packThousandths, item, size }) => ({
      name,
      packs,
      size: item ? packWords(packThousandths, item, size) : '',
      aisle: item?.category ?? '',
    }));
    const how = await shareText('Shopping list', listText(trip, today, lines));
    if (how === 'copied') toast({ text: 'The list is copied as text.' });
    if (how === 'failed') toast({ text: 'The list could not be shared from this browser.', problem: true });
  };
  const whyOf = ({ entry, item }: ListLine): string =>
    entry && item && entry.reason ? whyWords(entry, item, plan) : 'written by hand';
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
          <Button label="Share" disabled={view.lines.length === 0} onPress={() => void send()} />
        </Footer>
      }
    >
      <TripHead trip={trip} today={today} view={view} currency={currency} onDays={onDays} />
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
              open={open === line.key}
              onOpen={toggle}
              onPacks={setPacks}
              onItem={toItem}
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
      {view.ask.length > 0 ? (
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
      ) : null}
      <NotBoughtList entries={view.notBought} plan={plan} />
      {later === '' ? null : (
        <Text paddingHorizontal={16} paddingTop={12}>
          {later}
        </Text>
      )}
      <XStack paddingHorizontal={16} paddingTop={12} gap={8} flexWrap="wrap">
        <Button label="All stock" onPress={() => router.push('/stock')} />
        <Button label="Is there room for it?" onPress={() => router.push('/restock/room-for')} />
      </XStack>
      <RunwayLegend />
      {adding ? (
        <AddLineDialog
          trip={trip}
          onClose={() => setAdding(false)}
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
