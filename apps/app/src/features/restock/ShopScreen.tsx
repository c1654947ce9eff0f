import {
  linesOfTrip,
  moneyField,
  opsForListing,
  opsForPrice,
  opsForTicking,
  orNull,
  placeFor,
  roomForPacks,
  thingsOnList,
  type HouseholdState,
  type ItemRow,
  type Op,
  type ShoppingThing,
  itemsOfCode,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { memo, useCallback, useMemo, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { EmptyState } from '@/kit/layout/EmptyState';
import { Footer } from '@/kit/layout/Footer';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Button } from '@/kit/press/Button';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { pressable } from '@/kit/press/pressable';
import { Mono, Small, Strong } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { useScanned } from '@/shared/ScanProvider';
import { ScanButton } from '@/features/scan';
import { useToast } from '@/kit/feedback/Toasts';
import { AddLineDialog } from './AddLineDialog';
import { AisleDialog } from './AisleDialog';
import { HaveWe } from './HaveWe';
import { OfferDialog } from './OfferDialog';
import type { Outlook } from './outlookStore';
import { RestockFrame } from './RestockFrame';
import { useOutlook } from './useOutlook';
import { budgetWords, costWords, ofWords, packWords, priceFigure, roundMoney, tickedWords } from './words';

const PRICE = orNull(moneyField);
export const NO_AISLE = 'Other';

interface Listed extends ShoppingThing {
  item: ItemRow | null;
  aisle: string;
  /** Where it goes at home. */
  goesTo: string;
  pack: string;
  by: string | null;
}

function listed(state: HouseholdState, thing: ShoppingThing, me: string | null): Listed {
  const item = thing.itemId === null ? null : (state.get('item', thing.itemId) ?? null);
  const place = item ? placeFor(state, item) : null;
  const way = place ? wayTo(state, place.nookId) : null;
  const size = item ? (state.lotsOf(item.id).find(({ packSize }) => packSize !== null)?.packSize ?? null) : null;
  const { byPersonId } = thing.line;
  return {
    ...thing,
    item,
    aisle: item?.category || NO_AISLE,
    goesTo: way ? `to ${way.steps.at(-1) ?? ''}${way.space ? `, ${way.space.name}` : ''}` : '',
    pack: item ? packWords(thing.line.packThousandths ?? 1000, item, size) : '',
    by: byPersonId === null || byPersonId === me ? null : (state.get('person', byPersonId)?.name ?? null),
  };
}

/** Aisles in the order in which one walks; those the shop does not name after them, by name. */
export function inAisleOrder<T extends { aisle: string }>(
  things: readonly T[],
  aisles: readonly string[],
): [string, T[]][] {
  const groups = new Map<string, T[]>();
  for (const thing of things) groups.set(thing.aisle, [...(groups.get(thing.aisle) ?? []), thing]);
  const at = (aisle: string): number => {
    const known = aisles.indexOf(aisle);
    return known >= 0 ? known : aisle === NO_AISLE ? 1e6 : 1e5;
  };
  return [...groups].sort(([a], [b]) => at(a) - at(b) || (a < b ? -1 : 1));
}

/** In the shop: tick, price, instead, not there. Everything works with no signal and for two people at once. */
export function ShopScreen() {
  const router = useRouter();
  const { me, store } = useHouseholdContext();
  const toast = useToast();
  const { currency } = useHome();
  const { outlook } = useOutlook();
  const [open, setOpen] = useState<string | null>(null);
  const [sorting, setSorting] = useState(false);
  const [adding, setAdding] = useState(false);
  const runCommand = useRunCommand();
  const things = useHousehold(({ state, version }) => ({
    list: outlook
      ? thingsOnList(linesOfTrip(state, outlook.trip)).map((thing) => listed(state, thing, me.personId ?? null))
      : [],
    version,
  })).list;
  const shop = outlook?.trip.shop ?? null;
  const groups = useMemo(() => inAisleOrder(things, shop?.aisles ?? []), [things, shop]);
  const inBasket = things.filter(({ state }) => state === 'basket' || state === 'put_away');
  const cost = (of: readonly Listed[]): number =>
    of.reduce((sum, { packs, line }) => sum + packs * (line.priceMinor ?? 0), 0);
  const toggle = useCallback((key: string) => setOpen((now) => (now === key ? null : key)), []);
  const tick = useCallback(
    (thing: Listed) => {
      const to = thing.state === 'basket' ? 'wanted' : 'basket';
      void runCommand(
        'list_ticked',
        opsForTicking(thing.lines, to, me.personId ?? null, opContext()),
        to === 'basket' ? `In the basket: ${thing.name}.` : `Not in the basket: ${thing.name}.`,
      );
    },
    [runCommand, me.personId],
  );
  useScanned(({ reading }) => {
    if (reading.kind !== 'goods' || reading.goods.gtin === null) return false;
    const ids = itemsOfCode(store.state, reading.goods.gtin).map(({ id }) => id);
    // Nobody knows it yet: it is learned first.
    if (ids.length === 0) return false;
    const thing = things.find(({ itemId }) => itemId !== null && ids.includes(itemId));
    if (!thing)
      toast({ text: `${store.state.get('item', ids[0]!)?.name ?? 'It'} is not on this list.`, problem: true });
    else if (thing.state === 'wanted' || thing.state === 'not_there') tick(thing);
    else toast({ text: `${thing.name} is in the basket already.` });
    return true;
  });
  const budget = shop?.budgetMinor ?? null;
  const total = cost(things.filter(({ state }) => state !== 'not_there'));
  const haveWe = <HaveWe outlook={outlook} />;
  const list = (
    <>
      {things.length === 0 ? (
        <EmptyState
          text="There is no list for this trip yet. Look through what is proposed, then start shopping: everybody has the same list then, with and without a signal."
          action="To the list"
          onPress={() => router.replace('/restock')}
        />
      ) : null}
      {groups.map(([aisle, own]) => {
        const done = own.filter(({ state }) => state !== 'wanted').length;
        return (
          <YStack key={aisle}>
            <XStack
              paddingHorizontal={16}
              paddingVertical={8}
              justifyContent="space-between"
              borderBottomWidth={1}
              borderColor="$borderColor"
            >
              <Strong role="heading" aria-level={2}>
                {aisle}
              </Strong>
              <Small>{ofWords(done, own.length)}</Small>
            </XStack>
            {own.map((thing) => (
              <ShopRow
                key={thing.key}
                thing={thing}
                open={open === thing.key}
                currency={currency}
                outlook={outlook}
                onOpen={toggle}
                onTick={tick}
              />
            ))}
          </YStack>
        );
      })}
    </>
  );
  return (
    <RestockFrame
      title={shop?.name ?? 'Shop'}
      right={
        <>
          <ScanButton keep />
          {outlook ? <Button kind="quiet" label="Add" onPress={() => setAdding(true)} /> : null}
          {shop && things.length > 0 ? <Button kind="quiet" label="Aisles" onPress={() => setSorting(true)} /> : null}
        </>
      }
      footer={
        things.length === 0 ? undefined : (
          <Footer>
            <YStack flex={1} minWidth={0}>
              <Strong>
                {ofWords(inBasket.length, things.length)} in the basket, {costWords(cost(inBasket), currency)}
              </Strong>
              <Small numberOfLines={1}>
                about {roundMoney(total, currency)} in all
                {budget === null ? '' : `, ${budgetWords(total, budget, currency)}`}
              </Small>
            </YStack>
            <Button
              kind="primary"
              label="Put away"
              disabled={inBasket.length === 0}
              onPress={() => router.push('/restock/put-away')}
            />
          </Footer>
        )
      }
    >
      <TwoPane
        gap={0}
        rightWidth={360}
        left={list}
        right={haveWe}
        narrow={
          <>
            {haveWe}
            {list}
          </>
        }
      />
      {adding && outlook ? (
        <AddLineDialog
          trip={outlook.trip}
          onClose={() => setAdding(false)}
          onAdd={(line) =>
            void runCommand(
              'list_changed',
              opsForListing(outlook.trip, line, opContext()),
              `On the list: ${line.name}.`,
            )
          }
        />
      ) : null}
      {sorting && shop ? (
        <AisleDialog shop={shop} present={groups.map(([aisle]) => aisle)} onClose={() => setSorting(false)} />
      ) : null}
    </RestockFrame>
  );
}

const ShopRow = memo(function ShopRow({
  thing,
  open,
  currency,
  outlook,
  onOpen,
  onTick,
}: {
  thing: Listed;
  open: boolean;
  currency: string;
  outlook: Outlook | null;
  onOpen: (key: string) => void;
  onTick: (thing: Listed) => void;
}) {
  const { state, name, packs, pack, goesTo, by, line } = thing;
  const ticked = state === 'basket' || state === 'put_away';
  const gone = state === 'not_there';
  const quiet = ticked || gone;
  const detail = gone
    ? 'not there · comes back on the next list'
    : [line.instead === '' ? '' : `instead: ${line.instead}`, ticked && by ? tickedWords(line, by, Date.now()) : goesTo]
        .filter((part) => part !== '')
        .join(' · ');
  return (
    <YStack backgroundColor="$background" borderBottomWidth={1} borderColor="$borderColor">
      <XStack paddingHorizontal={16} paddingVertical={8} gap={12} alignItems="center" minHeight={62}>
        <CheckSquare
          label={`${name} in the basket`}
          state={gone ? 'crossed' : ticked ? (by ? 'other' : 'ticked') : 'open'}
          disabled={state === 'put_away'}
          onPress={() => onTick(thing)}
        />
        <YStack
          {...pressable({ onPress: () => onOpen(thing.key) })}
          aria-expanded={open}
          flex={1}
          minWidth={0}
          minHeight={46}
          justifyContent="center"
        >
          <Strong numberOfLines={2} color={quiet ? '$second' : '$color'}>
            {packs} × {name}
            {pack === '' ? '' : `, ${pack}`}
          </Strong>
          {detail === '' ? null : <Small numberOfLines={1}>{detail}</Small>}
        </YStack>
        <Mono fontSize={15} color={quiet ? '$second' : '$color'}>
          {gone ? '–' : priceFigure(line.priceMinor === null ? null : line.priceMinor * packs, currency)}
        </Mono>
      </XStack>
      {open ? <ShopDeeds thing={thing} currency={currency} outlook={outlook} /> : null}
    </YStack>
  );
});

/** What else can be said of a line: its price, how many, what was taken instead, that there was none. */
function ShopDeeds({ thing, currency, outlook }: { thing: Listed; currency: string; outlook: Outlook | null }) {
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const { unit } = useHome();
  const [instead, setInstead] = useState<string | null>(null);
  const price = useFigure(PRICE, unit, thing.line.priceMinor, currency);
  const [offering, setOffering] = useState(false);
  const { item, line, lines, name, packs, state } = thing;
  const entry = item ? (outlook?.answer.entries.find(({ itemId }) => itemId === item.id) ?? null) : null;
  const roomPacks = useHousehold(({ state: home }) =>
    offering && item && entry ? roomForPacks(home, item, entry.packThousandths) : null,
  );
  const change = (fields: object, done: string): void => {
    const ops: Op[] = lines.map(({ id }) => ({ op: 'change', entity: 'purchase', id, fields }) as Op);
    void runCommand('list_changed', ops, done);
  };
  const savePrice = (): void => {
    if (price.reading.kind === 'unreadable' || price.value === line.priceMinor) return;
    void runCommand('price_noted', opsForPrice(line, item, price.value), `Noted: ${name}.`);
  };
  return (
    <YStack paddingHorizontal={16} paddingBottom={12} gap={8}>
      <XStack gap={8} alignItems="flex-end" flexWrap="wrap">
        <Field
          label={`Price of one (${currency})`}
          width={130}
          inputMode="decimal"
          {...price.input}
          problem={price.problem}
          onSubmitEditing={savePrice}
          onBlur={savePrice}
        />
        <Button label="Instead …" onPress={() => setInstead(line.instead)} />
        {state === 'not_there' ? (
          <Button label="It is there" onPress={() => change({ state: 'wanted' }, `On the list: ${name}.`)} />
        ) : (
          <Button
            label="Not there"
            onPress={() =>
              void runCommand(
                'list_ticked',
                opsForTicking(lines, 'not_there', me.personId ?? null, opContext()),
                `Not there: ${name}.`,
              )
            }
          />
        )}
      </XStack>
      <XStack gap={8} alignItems="center">
        <Button
          label="One less"
          disabled={packs <= 1}
          onPress={() => change({ packs: packs - 1 }, `${packs - 1} × ${name}.`)}
        />
        <Button label="One more" onPress={() => change({ packs: packs + 1 }, `${packs + 1} × ${name}.`)} />
        {entry ? <Button label="On offer" onPress={() => setOffering(true)} /> : null}
      </XStack>
      {offering && entry && item && outlook ? (
        <OfferDialog
          entry={entry}
          item={item}
          roomPacks={roomPacks}
          usualMinor={entry.priceMinor}
          packs={packs}
          today={outlook.today}
          onTake={(more, priceMinor) => change({ packs: more, priceMinor }, `${more} × ${name}.`)}
          onClose={() => setOffering(false)}
        />
      ) : null}
      {instead === null ? null : (
        <XStack gap={8} alignItems="flex-end">
          <YStack flex={1}>
            <Field label="Taken instead" autoFocus value={instead} maxLength={120} onChangeText={setInstead} />
          </YStack>
          <Button
            label="Save"
            onPress={() => {
              setInstead(null);
              change(
                {
                  instead: instead.trim(),
                  state: 'basket',
                  byPersonId: me.personId ?? null,
                  atInstant: opContext().now,
                },
                instead.trim() === '' ? `In the basket: ${name}.` : `Instead of ${name}: ${instead.trim()}.`,
              );
            }}
          />
        </XStack>
      )}
    </YStack>
  );
}
