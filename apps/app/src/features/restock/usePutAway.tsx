import {
  isFrozen,
  isInFreezer,
  partsToPutAway,
  keepDaysOf,
  opsForPuttingAway,
  placeFor,
  thingsOnList,
  type CivilDate,
  type HouseholdState,
  type Op,
  withCode,
  type ScannedGoods,
  type ShoppingThing,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { DayField } from '@/kit/form/DayField';
import { Card } from '@/kit/layout/Card';
import { Button } from '@/kit/press/Button';
import { Dialog } from '@/kit/layout/Dialog';
import { Heading, Small, Strong } from '@/kit/text/Text';
import { useGuide } from '@/shared/useGuide';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { NookPicker } from '@/shared/NookPicker';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { amountWords, sizeWords } from '@/features/stock/words';
import { dateKeys, DateKeys } from './DateKeys';
import { PutAwayCode } from './PutAwayCode';
import { PutAwayPlace } from './PutAwayPlace';
import { costWords } from './words';

/** What is put away now, and what comes after it. */
function bought(state: HouseholdState): { open: ShoppingThing[]; done: number } {
  const lines = state.all('purchase').filter((line) => line.state === 'basket' || line.state === 'put_away');
  const open = thingsOnList(lines.filter((line) => line.state === 'basket'));
  const days = new Set(open.map(({ line }) => line.forDay));
  return {
    open,
    done: thingsOnList(lines.filter((line) => line.state === 'put_away' && days.has(line.forDay))).length,
  };
}

/** The order in which things are put away: one can be done first, or left for the end. */
export function usePutAwayOrder() {
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [picked, setPicked] = useState<string | null>(null);
  const { open, done } = useHousehold(({ state, version }) => ({ ...bought(state), version }));
  const rank = ({ key }: ShoppingThing): number => (key === picked ? -1 : skipped.indexOf(key) + 1);
  const order = [...open].sort((a, b) => rank(a) - rank(b));
  return {
    order,
    done,
    pick: setPicked,
    skip: (key: string): void => {
      setPicked(null);
      setSkipped((now) => [...now.filter((one) => one !== key), key]);
    },
  };
}

/** One thing that was bought, on its way to its place: what is shown of it, and how it is done. */
export function usePutAway(
  thing: ShoppingThing,
  /** Room for the drawing of its place, in pixels. */
  { width, high }: { width: number; high: number },
) {
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const { currency } = useHome();
  const day = today();
  const { item, lots, every, proposed, order } = useHousehold(({ state, version }) => {
    const found = thing.itemId === null ? null : (state.get('item', thing.itemId) ?? null);
    return {
      item: found,
      lots: found ? state.lotsOf(found.id) : [],
      every: found ? state.contentsOf(found.id).flatMap((tagged) => (tagged.entity === 'lot' ? [tagged.row] : [])) : [],
      proposed: placeFor(state, found),
      order: state.get('household', me.householdId)?.dateOrder ?? null,
      version,
    };
  });
  const { store } = useHouseholdContext();
  const guide = useGuide();
  const [chosen, setChosen] = useState<string | null>(null);
  const [choosing, setChoosing] = useState(false);
  const [allHere, setAllHere] = useState(false);
  const last = every.filter(({ expiresOn }) => expiresOn !== null).sort((a, b) => (a.id < b.id ? 1 : -1))[0];
  const [kind, setKind] = useState<'best_before' | 'use_by'>(last?.dateKind ?? 'best_before');
  const keys = dateKeys(day, item ? keepDaysOf(item, every, guide) : null);
  const [key, setKey] = useState<string | null>(null);
  const [typed, setTyped] = useState<CivilDate | null>(null);
  /** A date stands there that is not read: nothing goes away without it. */
  const [unread, setUnread] = useState(false);
  /** Each key that is pressed empties the field beside it; typing in it does not. */
  const [emptied, setEmptied] = useState(0);
  const [code, setCode] = useState<ScannedGoods | null>(null);
  const picked = keys.find((one) => one.key === key);
  const scanned = code?.useBy ?? code?.bestBefore ?? null;
  const expiresOn = picked ? picked.on : (typed ?? scanned);
  const dateKind = !picked && typed === null && scanned !== null ? (code?.useBy ? 'use_by' : 'best_before') : kind;
  const nookId = chosen ?? proposed?.nookId ?? null;
  const inFreezer = nookId !== null && isInFreezer(store.state, nookId);
  const [frozen, setFrozen] = useState<'sold' | 'today'>(every.some((lot) => isFrozen(lot)) ? 'today' : 'sold');
  const frozenOn = inFreezer && frozen === 'today' ? day : null;
  const saidDate = picked !== undefined || typed !== null || scanned !== null || frozenOn !== null;
  const amount = thing.packs * (thing.line.packThousandths ?? 1000);
  const whole = nookId === null ? [] : [{ nookId, amountThousandths: amount, reserve: false }];
  const parts = item && nookId !== null && !allHere ? partsToPutAway(store.state, item, nookId, amount) : whole;
  const unit = item?.unit ?? 'piece';
  const save = (): void => {
    if (nookId === null) return;
    const context = opContext();
    const ops: Op[] = [];
    let of = item;
    if (!of) {
      const id = context.newId();
      const fields = { ...newItem(thing.name), ...(code?.gtin ? { codes: [code.gtin] } : {}) };
      ops.push({ op: 'create', entity: 'item', id, fields });
      of = { ...fields, id, seq: 0, retired: false };
    } else if (code?.gtin && !of.codes?.includes(code.gtin))
      ops.push({
        op: 'change',
        entity: 'item',
        id: of.id,
        fields: { codes: withCode(of.codes, code.gtin) },
      });
    const packSize = lots.find((lot) => lot.packSize !== null)?.packSize ?? last?.packSize ?? null;
    const put = parts.map((part) => ({
      nookId: part.nookId,
      amountThousandths: part.amountThousandths,
      expiresOn,
      dateKind: expiresOn === null ? null : dateKind,
      packSize,
      batch: code?.batch ?? null,
      frozenOn,
    }));
    ops.push(...opsForPuttingAway(thing.lines, of, put, lots, context));
    void runCommand('stock_put_away', ops, `Put away: ${amountWords(amount, unit)} ${thing.name}.`);
  };
  const paid = thing.line.priceMinor === null ? '' : `paid ${costWords(thing.line.priceMinor * thing.packs, currency)}`;
  const size = lots.find((lot) => lot.packSize !== null)?.packSize;
  const heading = (
    <YStack>
      <Heading fontSize={20} lineHeight={26}>
        {thing.name}, {amountWords(amount, unit)}
      </Heading>
      <Small fontSize={15}>
        {[
          thing.line.instead === '' ? '' : `instead: ${thing.line.instead}`,
          size && unit !== size.unit ? `${sizeWords(size)} each` : '',
          paid,
        ]
          .filter((part) => part !== '')
          .join(' · ')}
      </Small>
    </YStack>
  );
  const place = (
    <>
      {nookId === null ? (
        <Card padding={14} gap={8}>
          <Strong>It has no place yet, and nothing of its kind says one.</Strong>
          <Button kind="primary" label="Choose its place" onPress={() => setChoosing(true)} />
        </Card>
      ) : (
        <PutAwayPlace
          nookId={nookId}
          reason={chosen === null ? (proposed?.reason ?? null) : null}
          amount={amountWords(parts[0]?.amountThousandths ?? amount, unit)}
          one={(parts[0]?.amountThousandths ?? amount) === 1000}
          item={item}
          lots={lots}
          width={width}
          high={high}
          onChoose={() => setChoosing(true)}
        />
      )}
      {parts
        .filter(({ reserve }) => reserve)
        .map((part) => (
          <XStack key={part.nookId} gap={10} alignItems="center">
            <YStack flex={1}>
              <Strong>{amountWords(part.amountThousandths, unit)} do not fit: to the reserve</Strong>
              <ReserveWay nookId={part.nookId} />
            </YStack>
            <NookPlate nookId={part.nookId} />
            <Button label="All here" onPress={() => setAllHere(true)} />
          </XStack>
        ))}
    </>
  );
  const dates = (
    <YStack gap={8}>
      {inFreezer ? (
        <Choices
          label="It goes into a freezer"
          choices={[
            { value: 'sold', label: 'sold frozen' },
            { value: 'today', label: 'fresh, frozen today' },
          ]}
          value={frozen}
          onChange={setFrozen}
        />
      ) : null}
      <Choices
        label="The date on it says"
        choices={[
          { value: 'best_before', label: 'best before' },
          { value: 'use_by', label: 'use by' },
        ]}
        value={kind}
        onChange={setKind}
      />
      <DateKeys
        keys={keys}
        day={day}
        selected={key}
        onPick={(picked) => {
          setKey(picked);
          setTyped(null);
          setUnread(false);
          setEmptied((times) => times + 1);
        }}
      />
      <DayField
        key={emptied}
        label="or as it is printed"
        habits={{ order, today: day, facing: kind === 'use_by' ? 'ahead_safety' : 'ahead' }}
        onChange={(on, text) => {
          setTyped(on);
          setUnread(on === null && text.trim() !== '');
          if (on !== null) setKey(null);
        }}
      />
      <PutAwayCode
        item={item}
        name={thing.name}
        onRead={(goods) => {
          setCode(goods);
          if (goods?.useBy || goods?.bestBefore) setKey(null);
        }}
      />
    </YStack>
  );
  const dialog = choosing ? (
    <Dialog title={`Where does ${thing.name} go?`} open onClose={() => setChoosing(false)}>
      <NookPicker
        label="Its place"
        onPick={(id) => {
          setChosen(id);
          setChoosing(false);
        }}
      />
    </Dialog>
  ) : null;
  return {
    heading,
    place,
    dates,
    dialog,
    /** What is still missing; empty: nothing is. */
    note: saidDate ? '' : 'Say until when it is good, or that there is no date on it.',
    ready: nookId !== null && !unread && saidDate,
    save,
  };
}

function ReserveWay({ nookId }: { nookId: string }) {
  const way = useHousehold(({ state }) => wayTo(state, nookId)?.steps.slice(1).join(' › ') ?? '');
  return <Small>{way}</Small>;
}

const newItem = (name: string) => ({
  name,
  category: '',
  unit: 'piece',
  synonyms: [],
  tags: [],
  lowAtThousandths: null,
  openedDays: null,
  freezerMonths: null,
});
