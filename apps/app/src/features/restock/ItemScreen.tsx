import {
  addDays,
  amountIn,
  daysBetween,
  effectiveDue,
  formatSize,
  isMeasure,
  mealsOf,
  oldestFirst,
  opsForTaking,
  packFor,
  setCount,
  shapeOf,
  sidesOf,
} from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { StockChart } from '@/kit/chart/StockChart';
import { ListRow } from '@/kit/layout/ListRow';
import { Footer } from '@/kit/layout/Footer';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { Pencil } from '@/kit/press/icons';
import { dayWords } from '@/kit/text/dayWords';
import { Mark } from '@/kit/text/Mark';
import { Heading, Small, Strong, Text } from '@/kit/text/Text';
import { useGuide } from '@/shared/useGuide';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext, today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { roomForPath } from '@/shared/roomForPath';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { PhotoStrip } from '@/features/pictures';
import { BulkDialog, ItemDialog, LotDialog } from '@/features/stock';
import { amountWords, dueMark, dueWords, lotAmountWords, sizeWords } from '@/features/stock/words';
import { Before } from './Before';
import { BuyingDialog } from './BuyingDialog';
import { FrontDialog } from './FrontDialog';
import { itemView, type ItemView } from './itemView';
import { MealsDialog } from './MealsDialog';
import { SetDialog } from './SetDialog';
import { useOutlook } from './useOutlook';
import {
  costWords,
  fillsWords,
  keepWords,
  knownWords,
  lastsWords,
  likelyWords,
  lossWords,
  mealsWords,
  paceWords,
  setDetail,
  setWords,
  toRefillWords,
  tripAdvice,
  WAY_WORDS,
} from './words';

/** One thing: where and how many, what it was and will be, when and how much it is bought. */
export function ItemScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const { outlook } = useOutlook();
  const view = useHousehold(({ state, version }) => {
    const item = id ? state.get('item', id) : undefined;
    if (!item || item.retired) return null;
    return { view: itemView(state, item, today(), outlook?.answer.priors ?? []), version };
  });
  if (!view?.view) return <NotHere what="This thing" />;
  return <ItemPage view={view.view} />;
}

function ItemPage({ view }: { view: ItemView }) {
  const router = useRouter();
  const guide = useGuide();
  const runCommand = useRunCommand();
  const { currency } = useHome();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const [open, setOpen] = useState<string | null>(null);
  const [editing, setEditing] = useState<'about' | 'buying' | 'front' | 'set' | 'meals' | 'size' | null>(null);
  const { item, lots, entry } = view;
  const { unit } = item;
  const sum = lots.reduce((total, lot) => total + lot.quantityThousandths, 0);
  const pack = packFor({ packs: item.packs ?? [], usualPackThousandths: null }, view.plan.shopId);
  const worth = pack.priceMinor === null ? null : Math.round((pack.priceMinor / pack.amountThousandths) * sum);
  const size = lots.find(({ packSize }) => packSize !== null)?.packSize;
  const one = Math.min(1000, sum);
  const take = (): void => {
    const [first] = oldestFirst(lots, item, guide);
    if (!first) return;
    if (isMeasure(unit)) return setOpen(first.id);
    const done = `Taken: ${amountWords(one, unit)} ${item.name}.`;
    void runCommand('stock_taken', opsForTaking(oldestFirst(lots, item, guide), one, opContext()), done);
  };
  const chart = (
    <YStack backgroundColor="$background" borderBottomWidth={1} borderColor="$borderColor">
      <Chart view={view} width={gtMd ? Math.min(620, content - 400) : content} />
    </YStack>
  );
  const places = (
    <YStack>
      {lots.map((lot) => (
        <LotPlace key={lot.id} view={view} lotId={lot.id} onOpen={() => setOpen(lot.id)} />
      ))}
      {lots.length === 0 ? (
        <Text padding={16}>
          There is none. {item.restock?.how === 'never' ? '' : 'It is bought on the next trip if it is used.'}
        </Text>
      ) : null}
    </YStack>
  );
  const said = (
    <YStack paddingHorizontal={16} paddingVertical={12} gap={2} borderBottomWidth={1} borderColor="$borderColor">
      <Text>
        {paceWords(entry, item)}
        <Strong>{entry.out ? lastsWords(entry.out, view.plan.today) : ''}</Strong>
      </Text>
      <Small>{knownWords(entry) === '' ? tripAdvice(view) : `${tripAdvice(view)} (${knownWords(entry)})`}</Small>
      {likelyWords(entry, item) === '' ? null : <Small>{likelyWords(entry, item)}</Small>}
      {view.lost.length > 0 ? <Small color="$soon">{lossWords(view.lost, item, currency)}</Small> : null}
    </YStack>
  );
  const rules = <Rules view={view} onEdit={setEditing} />;
  const before = <Before key={item.id} item={item} />;
  return (
    <Screen
      title={item.name}
      back="/restock"
      footer={
        <Footer>
          <Button
            kind="primary"
            grow
            label={isMeasure(unit) ? 'Take some' : 'Take one'}
            disabled={sum <= 0}
            onPress={take}
          />
          <Button label="Put in" onPress={() => router.push(`/record${lots[0] ? `?nook=${lots[0].nookId}` : ''}`)} />
          <Button label="About" onPress={() => setEditing('about')} />
        </Footer>
      }
    >
      <XStack paddingHorizontal={16} paddingBottom={10} gap={8} alignItems="baseline" flexWrap="wrap">
        <Heading fontSize={24} lineHeight={30}>
          {sum > 0 ? amountWords(sum, unit === 'piece' ? 'piece' : unit) : 'None left'}
        </Heading>
        <Small fontSize={16}>
          {[size && !isMeasure(unit) ? `of ${sizeWords(size)}` : '', worth ? `worth ${costWords(worth, currency)}` : '']
            .filter((part) => part !== '')
            .join(', ')}
        </Small>
      </XStack>
      <TwoPane
        gap={0}
        leftWidth={380}
        left={
          <>
            {places}
            {said}
          </>
        }
        right={
          <>
            {chart}
            {rules}
            {before}
          </>
        }
        narrow={
          <>
            {places}
            {said}
            {chart}
            {rules}
            {before}
          </>
        }
      />
      <LotDialog lotId={open} onClose={() => setOpen(null)} />
      <ItemDialog itemId={editing === 'about' ? item.id : null} onClose={() => setEditing(null)} />
      {editing === 'front' ? <FrontDialog item={item} onClose={() => setEditing(null)} /> : null}
      {editing === 'size' ? <BulkDialog item={item} onClose={() => setEditing(null)} /> : null}
      {editing === 'meals' ? <MealsDialog item={item} onClose={() => setEditing(null)} /> : null}
      {editing === 'set' ? <SetDialog item={item} onClose={() => setEditing(null)} /> : null}
      {editing === 'buying' ? <BuyingDialog item={item} onClose={() => setEditing(null)} /> : null}
      <PhotoStrip ofId={item.id} name={item.name} />
    </Screen>
  );
}

const COMING_DAYS = 60;

function LotPlace({ view, lotId, onOpen }: { view: ItemView; lotId: string; onOpen: () => void }) {
  const { item } = view;
  const lot = view.lots.find(({ id }) => id === lotId)!;
  const guide = useGuide();
  const way = useHousehold(({ state }) => wayTo(state, lot.nookId)?.steps.slice(-2).join(' › ') ?? '');
  const mark = dueMark(lot, item, view.plan.today, guide);
  const reserve = item.front && item.front.nookId !== lot.nookId ? 'in reserve · ' : '';
  return (
    <ListRow
      title={lotAmountWords(lot, item)}
      detail={[dueWords(lot, item, view.plan.today, guide), `${reserve}${way}`].filter(Boolean).join(' · ')}
      onPress={onOpen}
      right={
        <>
          {mark ? <Mark {...mark} /> : null}
          <NookPlate nookId={lot.nookId} />
        </>
      }
    />
  );
}

function Chart({ view, width }: { view: ItemView; width: number }) {
  const guide = useGuide();
  const { item, past, coming, plan, trips, lots } = view;
  const ends = lots.flatMap((lot) => {
    const due = effectiveDue(lot, item, guide);
    if (!due || due.on < plan.today) return [];
    const words = `${amountWords(lot.quantityThousandths, item.unit)} ${lot.quantityThousandths === 1000 ? 'ends' : 'end'} ${dayWords(due.on, plan.today)}`;
    return [{ day: daysBetween(plan.today, due.on), words }];
  });
  return (
    <StockChart
      width={width}
      course={{
        past: past.map(({ ago, thousandths, inThousandths }) => ({
          day: ago,
          level: thousandths,
          added: inThousandths,
        })),
        now: view.entry.likelyThousandths,
        coming: coming.map(({ thousandths, early, middle, late }) => ({ level: thousandths, early, middle, late })),
        daysAhead: COMING_DAYS,
        mark: item.lowAtThousandths,
        shopDays: trips.map(({ day }) => daysBetween(plan.today, day)),
        ends,
      }}
      amountWords={(level) => amountWords(Math.round(level / 100) * 100, item.unit)}
      dayWords={(day) => dayWords(addDays(plan.today, day), plan.today)}
    />
  );
}

/** When it is bought, how much, and where it is kept: each can be changed. */
function Rules({
  view,
  onEdit,
}: {
  view: ItemView;
  onEdit: (what: 'buying' | 'front' | 'set' | 'meals' | 'size') => void;
}) {
  const { item, entry } = view;
  const router = useRouter();
  const { currency, unit: lengths } = useHome();
  const how = item.restock?.how ?? null;
  const mark = item.lowAtThousandths;
  const pack = packFor({ packs: item.packs ?? [], usualPackThousandths: null }, view.plan.shopId);
  const { front } = item;
  const there = useHousehold(({ state }) => (front ? amountIn(state, item.id, front.nookId) : 0));
  const keeps = useHousehold(({ state }) =>
    front ? (wayTo(state, front.nookId)?.steps.slice(1).join(' › ') ?? '') : '',
  );
  const set = useHousehold(({ state, version }) => ({ count: setCount(state, item), version })).count;
  const meals = mealsOf(item);
  const known = shapeOf(item);
  const sides = known ? sidesOf(known.shape) : null;
  const fills = useHousehold(({ state }) => fillsWords(state, item));
  const rows = [
    {
      title: 'Buy',
      edit: 'buying' as const,
      words: how === null ? 'by its mark, and when it will not last' : WAY_WORDS[how],
      detail:
        how === null || how === 'pace' ? 'so many that they last to the trip after the next one, 19 times of 20' : '',
    },
    {
      title: 'Mark',
      edit: 'buying' as const,
      words: mark === null ? 'none' : `at ${amountWords(mark, item.unit)}`,
      detail: item.restock?.fullThousandths ? `full is ${amountWords(item.restock.fullThousandths, item.unit)}` : '',
    },
    {
      title: 'Pack',
      edit: 'buying' as const,
      words: amountWords(pack.amountThousandths, item.unit),
      detail: [
        pack.priceMinor === null ? 'no price known' : costWords(pack.priceMinor, currency),
        entry.mostPacks === null ? '' : `at most ${entry.mostPacks} now, more would spoil`,
      ]
        .filter((part) => part !== '')
        .join('; '),
    },
    {
      title: 'Keep',
      edit: 'front' as const,
      words: front ? keepWords(front, item) : 'in one place, no reserve',
      detail: [keeps, fills, entry.toRefillDay ? toRefillWords(entry.toRefillDay, there, item, view.plan.today) : '']
        .filter((part) => part !== '')
        .join('; '),
    },
    {
      title: 'Set',
      edit: 'set' as const,
      words: set ? setWords(set) : 'in no set',
      detail: set ? setDetail(set) : '',
    },
    {
      title: 'For',
      edit: 'meals' as const,
      words: mealsWords(meals.meals),
      detail: meals.guessed && meals.meals.length > 0 ? 'a guess from its name and kind' : '',
    },
    {
      title: 'Sides',
      edit: 'size' as const,
      words: sides ? formatSize(sides, lengths) : 'not written down',
      detail: known?.guessed ? 'a guess from its name' : '',
    },
  ];
  return (
    <YStack>
      {rows.map(({ title, words, detail, edit }) => (
        <XStack
          key={title}
          paddingHorizontal={16}
          paddingVertical={10}
          gap={12}
          alignItems="center"
          backgroundColor="$background"
          borderBottomWidth={1}
          borderColor="$borderColor"
        >
          <Small width={64} fontSize={16}>
            {title}
          </Small>
          <YStack flex={1} minWidth={0}>
            <Strong>{words}</Strong>
            {detail === '' ? null : <Small>{detail}</Small>}
          </YStack>
          <Button
            kind="quiet"
            icon={Pencil}
            iconOnly
            label={`Change: ${title.toLowerCase()}`}
            onPress={() => onEdit(edit)}
          />
        </XStack>
      ))}
      {sides ? (
        <XStack padding={16}>
          <Button label="Is there room for it elsewhere?" onPress={() => router.push(roomForPath(item.name, sides))} />
        </XStack>
      ) : null}
    </YStack>
  );
}
