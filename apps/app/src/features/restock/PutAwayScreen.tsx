import {
  addDays,
  addMonths,
  daysBetween,
  divided,
  effectiveDue,
  keepDaysOf,
  opsForPuttingAway,
  placeFor,
  thingsOf,
  type CivilDate,
  type HouseholdState,
  type ItemRow,
  type LotRow,
  type Op,
  type PlaceReason,
  type ShoppingThing,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { DayField } from '@/kit/form/DayField';
import { EmptyState } from '@/kit/layout/EmptyState';
import { Card } from '@/kit/layout/Card';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { pressable } from '@/kit/press/pressable';
import { Dialog } from '@/kit/layout/Dialog';
import { dayWords } from '@/kit/text/dayWords';
import { Heading, Mono, Small, Strong } from '@/kit/text/Text';
import { Plate } from '@/kit/text/Plate';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { NookPicker } from '@/shared/NookPicker';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { OpenDoorView, useFront } from '@/features/drawing';
import { amountWords, sizeWords } from '@/features/stock/words';
import { RestockFrame } from './RestockFrame';
import { behindWords, costWords, ofWords, placeReasonWords } from './words';

/** What is put away now, and what comes after it. */
function bought(state: HouseholdState): { open: ShoppingThing[]; done: number } {
  const lines = state.all('purchase').filter((line) => line.state === 'basket' || line.state === 'put_away');
  const open = thingsOf(lines.filter((line) => line.state === 'basket'));
  const days = new Set(open.map(({ line }) => line.forDay));
  return { open, done: thingsOf(lines.filter((line) => line.state === 'put_away' && days.has(line.forDay))).length };
}

/** After shopping: one thing after the other, its place lit, its date with a key. */
export function PutAwayScreen() {
  const router = useRouter();
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const { open, done } = useHousehold(({ state, version }) => ({ ...bought(state), version }));
  const order = [
    ...open.filter(({ key }) => !skipped.includes(key)),
    ...open.filter(({ key }) => skipped.includes(key)),
  ];
  const [first, second] = order;
  if (!first)
    return (
      <RestockFrame title="Put away">
        <EmptyState
          text="Nothing waits to be put away. What is ticked in the shop comes here, one thing after the other, each with its place."
          action="To the shop"
          onPress={() => router.replace('/restock/shop')}
        />
      </RestockFrame>
    );
  return (
    <OneThing
      key={first.key}
      thing={first}
      sub={ofWords(done, done + open.length)}
      next={second?.name ?? null}
      onSkip={() => setSkipped((now) => [...now.filter((key) => key !== first.key), first.key])}
    />
  );
}

/** A date that a key sets. */
interface DateKey {
  key: string;
  label: string;
  on: CivilDate | null;
}

function dateKeys(day: CivilDate, keeps: number | null): DateKey[] {
  const monthEnd = addDays(addMonths(`${day.slice(0, 8)}01`, 1), -1);
  const usual: DateKey[] = keeps === null ? [] : [{ key: 'usual', label: 'as usual', on: addDays(day, keeps) }];
  return [
    ...usual,
    { key: 'week', label: '1 week', on: addDays(day, 7) },
    { key: 'month', label: '1 month', on: addMonths(day, 1) },
    { key: 'end', label: 'end of month', on: monthEnd },
    { key: 'none', label: 'no date', on: null },
  ];
}

function OneThing({
  thing,
  sub,
  next,
  onSkip,
}: {
  thing: ShoppingThing;
  sub: string;
  next: string | null;
  onSkip: () => void;
}) {
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const { currency } = useHome();
  const width = useContentWidth();
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
  const [chosen, setChosen] = useState<string | null>(null);
  const [choosing, setChoosing] = useState(false);
  const [allHere, setAllHere] = useState(false);
  const last = every.filter(({ expiresOn }) => expiresOn !== null).sort((a, b) => (a.id < b.id ? 1 : -1))[0];
  const [kind, setKind] = useState<'best_before' | 'use_by'>(last?.dateKind ?? 'best_before');
  const keys = dateKeys(day, item ? keepDaysOf(item, every) : null);
  const [key, setKey] = useState<string | null>(null);
  const [typed, setTyped] = useState<CivilDate | null>(null);
  const picked = keys.find((one) => one.key === key);
  const expiresOn = picked ? picked.on : typed;
  const saidDate = picked !== undefined || typed !== null;
  const nookId = chosen ?? proposed?.nookId ?? null;
  const amount = thing.packs * (thing.line.packThousandths ?? 1000);
  const parts =
    item && nookId !== null
      ? allHere
        ? [{ nookId, amountThousandths: amount, reserve: false }]
        : divided(store.state, item, nookId, amount)
      : nookId === null
        ? []
        : [{ nookId, amountThousandths: amount, reserve: false }];
  const unit = item?.unit ?? 'piece';
  const save = (): void => {
    if (nookId === null) return;
    const context = opContext();
    const ops: Op[] = [];
    let of = item;
    if (!of) {
      const id = context.newId();
      const fields = newItem(thing.name);
      ops.push({ op: 'create', entity: 'item', id, fields });
      of = { ...fields, id, seq: 0, retired: false };
    }
    const packSize = lots.find((lot) => lot.packSize !== null)?.packSize ?? last?.packSize ?? null;
    const put = parts.map((part) => ({
      nookId: part.nookId,
      amountThousandths: part.amountThousandths,
      expiresOn,
      dateKind: expiresOn === null ? null : kind,
      packSize,
    }));
    ops.push(...opsForPuttingAway(thing.lines, of, put, lots, context));
    void runCommand('stock_put_away', ops, `Put away: ${amountWords(amount, unit)} ${thing.name}.`);
  };
  const paid = thing.line.priceMinor === null ? '' : `paid ${costWords(thing.line.priceMinor * thing.packs, currency)}`;
  const size = lots.find((lot) => lot.packSize !== null)?.packSize;
  const footer = (
    <YStack padding={12} gap={6} borderTopWidth={1} borderColor="$borderColor" backgroundColor="$backgroundStrong">
      {saidDate ? null : <Small>Say until when it is good, or that there is no date on it.</Small>}
      <XStack gap={8}>
        <Button
          kind="primary"
          grow
          disabled={nookId === null || !saidDate}
          label={next === null ? 'Done' : `Done, next: ${next}`}
          onPress={save}
        />
        <Button label="Skip" onPress={onSkip} />
      </XStack>
    </YStack>
  );
  return (
    <RestockFrame title="Put away" sub={sub} footer={footer}>
      <YStack padding={16} gap={14}>
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
        {nookId === null ? (
          <Card padding={14} gap={8}>
            <Strong>It has no place yet, and nothing of its kind says one.</Strong>
            <Button kind="primary" label="Choose its place" onPress={() => setChoosing(true)} />
          </Card>
        ) : (
          <Place
            nookId={nookId}
            reason={chosen === null ? (proposed?.reason ?? null) : null}
            amount={amountWords(parts[0]?.amountThousandths ?? amount, unit)}
            item={item}
            lots={lots}
            width={Math.min(width, 700) - 32}
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
        <YStack gap={8}>
          <Choices
            label="The date on it says"
            choices={[
              { value: 'best_before', label: 'best before' },
              { value: 'use_by', label: 'use by' },
            ]}
            value={kind}
            onChange={setKind}
          />
          <XStack gap={8} flexWrap="wrap">
            {keys.map((one) => (
              <DateKeyButton
                key={one.key}
                one={one}
                day={day}
                selected={key === one.key}
                onPress={() => {
                  setKey(one.key);
                  setTyped(null);
                }}
              />
            ))}
          </XStack>
          <DayField
            key={key ?? 'typed'}
            label="or as it is printed"
            habits={{ order, today: day, facing: kind === 'use_by' ? 'ahead_safety' : 'ahead' }}
            onChange={(on) => {
              setTyped(on);
              if (on !== null) setKey(null);
            }}
          />
        </YStack>
        {choosing ? (
          <Dialog title={`Where does ${thing.name} go?`} open onClose={() => setChoosing(false)}>
            <NookPicker
              label="Its place"
              onPick={(id) => {
                setChosen(id);
                setChoosing(false);
              }}
            />
          </Dialog>
        ) : null}
      </YStack>
    </RestockFrame>
  );
}

function DateKeyButton({
  one,
  day,
  selected,
  onPress,
}: {
  one: DateKey;
  day: CivilDate;
  selected: boolean;
  onPress: () => void;
}) {
  return (
    <YStack
      {...pressable({ onPress })}
      aria-pressed={selected}
      aria-label={`${one.label}${one.on ? `, ${dayWords(one.on, day)}` : ''}`}
      minHeight={52}
      minWidth={78}
      paddingHorizontal={10}
      alignItems="center"
      justifyContent="center"
      borderWidth={1}
      borderRadius={10}
      borderColor={selected ? '$green' : '$color'}
      backgroundColor={selected ? '$greenTint' : '$background'}
    >
      <Strong fontSize={15} color={selected ? '$green' : '$color'}>
        {one.label}
      </Strong>
      <Small>{one.on ? dayWords(one.on, day) : 'on it'}</Small>
    </YStack>
  );
}

function ReserveWay({ nookId }: { nookId: string }) {
  const way = useHousehold(({ state }) => wayTo(state, nookId)?.steps.slice(1).join(' › ') ?? '');
  return <Small>{way}</Small>;
}

/** The place lit on the drawing, and what is there already, the oldest in front. */
function Place({
  nookId,
  reason,
  amount,
  item,
  lots,
  width,
  onChoose,
}: {
  nookId: string;
  reason: PlaceReason | null;
  amount: string;
  item: ItemRow | null;
  lots: readonly LotRow[];
  width: number;
  onChoose: () => void;
}) {
  const day = today();
  const path = useHousehold(({ state }) => wayTo(state, nookId));
  const front = useFront(path?.space?.id ?? null);
  const here = lots.filter((lot) => lot.nookId === nookId && lot.quantityThousandths > 0);
  const dates = here.map((lot) => (item ? (effectiveDue(lot, item)?.on ?? null) : null));
  const drawing = Math.round(width * 0.44);
  return (
    <Card>
      <XStack padding={12} gap={12} alignItems="flex-start">
        {front ? (
          <OpenDoorView
            view={front.view}
            width={drawing}
            maxHeight={210}
            hereId={path?.bins[0]?.id ?? path?.shelf?.id ?? null}
            names={false}
            summaryOf={front.summaryOf}
          />
        ) : null}
        <YStack flex={1} minWidth={0} gap={6} alignItems="flex-start">
          {path ? <Plate code={path.code} large /> : null}
          <Strong>{amount} go here</Strong>
          <Small>{path?.steps.slice(1).join(' › ')}</Small>
          {reason ? <Small>{placeReasonWords(reason)}</Small> : null}
          {here.length > 0 ? (
            <>
              <Strong>{behindWords(here.length)}</Strong>
              <XStack gap={6} flexWrap="wrap">
                {dates.map((on, at) => (
                  <Mono
                    key={here[at]!.id}
                    borderWidth={1}
                    borderColor="$color"
                    borderRadius={6}
                    paddingHorizontal={6}
                    paddingVertical={2}
                  >
                    {on === null
                      ? 'no date'
                      : daysBetween(day, on) < 60
                        ? dayWords(on, day)
                        : `${Number(on.slice(5, 7))}/${on.slice(2, 4)}`}
                  </Mono>
                ))}
              </XStack>
            </>
          ) : null}
          <Button label="Another place" onPress={onChoose} />
        </YStack>
      </XStack>
    </Card>
  );
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
