import { type ShoppingThing } from '@ours/core';
import { useRouter } from 'expo-router';
import { useMedia, YStack } from 'tamagui';
import { EmptyState } from '@/kit/layout/EmptyState';
import { Footer } from '@/kit/layout/Footer';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { PANE_GAP, TwoPane } from '@/kit/layout/TwoPane';
import { counted } from '@/kit/text/counted';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { PutAwayButtons } from './PutAwayButtons';
import { RestockFrame } from './RestockFrame';
import { usePutAway, usePutAwayOrder } from './usePutAway';
import { ofWords } from './words';

/** The date keys and what comes after, beside the place, on a wide screen. */
const SIDE_WIDTH = 460;
/** As many of those are shown. */
const MOST_WAITING = 6;

/** After shopping: one thing after the other, its place lit, its date with a key. */
export function PutAwayScreen() {
  const router = useRouter();
  const { order, done, pick, skip } = usePutAwayOrder();
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
      sub={ofWords(done, done + order.length)}
      next={second?.name ?? null}
      waiting={order.slice(1)}
      onPick={pick}
      onSkip={() => skip(first.key)}
    />
  );
}

function OneThing({
  thing,
  sub,
  next,
  waiting,
  onPick,
  onSkip,
}: {
  thing: ShoppingThing;
  sub: string;
  next: string | null;
  /** What comes after it. */
  waiting: readonly ShoppingThing[];
  /** Does another one first. */
  onPick: (key: string) => void;
  onSkip: () => void;
}) {
  const width = useContentWidth();
  const { gtMd } = useMedia();
  const { heading, place, dates, dialog, note, ready, save } = usePutAway(
    thing,
    gtMd ? { width: width - SIDE_WIDTH - PANE_GAP - 32, high: 420 } : { width: width - 32, high: 210 },
  );
  const footer = (
    <Footer note={note}>
      <PutAwayButtons ready={ready} next={next} onDone={save} onSkip={onSkip} />
    </Footer>
  );
  const after =
    waiting.length === 0 ? null : (
      <YStack>
        <ListHeading title="After it" remark={counted(waiting.length, { one: '# more', other: '# more' })} />
        {waiting.slice(0, MOST_WAITING).map(({ key: id, name }) => (
          <ListRow key={id} title={name} onPress={() => onPick(id)} />
        ))}
      </YStack>
    );
  return (
    <RestockFrame title="Put away" sub={sub} footer={footer}>
      <YStack padding={16} gap={14}>
        <TwoPane
          gap={14}
          left={
            <>
              {heading}
              {place}
            </>
          }
          rightWidth={SIDE_WIDTH}
          right={
            <>
              {dates}
              {after}
            </>
          }
          narrow={
            <>
              {heading}
              {place}
              {dates}
            </>
          }
        />
        {dialog}
      </YStack>
    </RestockFrame>
  );
}
