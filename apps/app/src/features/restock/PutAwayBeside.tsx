import type { ShoppingThing } from '@ours/core';
import { XStack, YStack } from 'tamagui';
import { Card } from '@/kit/layout/Card';
import { ListHeading } from '@/kit/layout/ListRow';
import { Small } from '@/kit/text/Text';
import { PutAwayButtons } from './PutAwayButtons';
import { usePutAway, usePutAwayOrder } from './usePutAway';
import { ofWords } from './words';

const PLACE_HEIGHT = 190;

/** Beside the list: what was bought and waits for its place, one thing after the other; nothing where none waits. */
export function PutAwayBeside({ width }: { width: number }) {
  const { order, done, skip } = usePutAwayOrder();
  const [first, second] = order;
  if (!first) return null;
  return (
    <YStack role="region" aria-label="Put away">
      <ListHeading title="Put away" remark={ofWords(done, done + order.length)} />
      <One key={first.key} thing={first} next={second?.name ?? null} width={width} onSkip={() => skip(first.key)} />
    </YStack>
  );
}

function One({
  thing,
  next,
  width,
  onSkip,
}: {
  thing: ShoppingThing;
  next: string | null;
  width: number;
  onSkip: () => void;
}) {
  const { heading, place, dates, dialog, note, ready, save } = usePutAway(thing, { width, high: PLACE_HEIGHT });
  return (
    <Card margin={16} padding={14} gap={12}>
      {heading}
      {place}
      {dates}
      {note === '' ? null : <Small>{note}</Small>}
      <XStack gap={8}>
        <PutAwayButtons ready={ready} next={next} onDone={save} onSkip={onSkip} />
      </XStack>
      {dialog}
    </Card>
  );
}
