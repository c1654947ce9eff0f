import type { FrontView, PlannedBin, PlanReason } from '@ours/core';
import { XStack, YStack } from 'tamagui';
import { drawingScale } from '@/features/drawing';
import { pressable } from '@/kit/press/pressable';
import { Mono, Small, Strong } from '@/kit/text/Text';
import { minutesFigure } from '@/features/where/words';
import { briefReasonWords } from './words';

/** A line with a name alone, and one with its reason below, pixels. */
const NAME_HEIGHT = 26;
const REASON_HEIGHT = 46;

/** Beside the drawing, on the height of each shelf, what stands there and why in brief. */
export function ReasonsBeside({
  view,
  width,
  drawing,
  maxHeight,
  reasons,
  placed,
  nameOf,
  tagOf,
  selected,
  onSelect,
}: {
  view: FrontView;
  /** Of this column, pixels. */
  width: number;
  /** How wide the drawing may be, and how high: it is scaled by these. */
  drawing: number;
  maxHeight: number;
  reasons: readonly PlanReason[];
  placed: readonly PlannedBin[];
  nameOf: (groupId: string) => string;
  tagOf: (key: string) => string;
  selected: string | null;
  onSelect: (key: string) => void;
}) {
  const { scale, top } = drawingScale(view, drawing, maxHeight, true);
  const shelves = [...view.shelves].sort((a, b) => a.clear.y - b.clear.y);
  const shelfOf = new Map(placed.map((bin) => [bin.key, bin.shelfId]));
  /** A group over several shelves has its minutes once, beside the highest. */
  const highest = ({ keys }: PlanReason): string | undefined =>
    shelves.find(({ shelf }) => keys.some((key) => shelfOf.get(key) === shelf.id))?.shelf.id;
  return (
    <YStack
      width={width}
      paddingTop={top + (shelves[0]?.clear.y ?? 0) * scale}
      role="list"
      aria-label="What stands on each shelf"
    >
      {shelves.map(({ shelf, clear }, at) => {
        const next = shelves[at + 1]?.clear.y ?? clear.y + clear.height;
        const height = (next - clear.y) * scale;
        const own = reasons
          .map((reason) => ({ reason, keys: reason.keys.filter((key) => shelfOf.get(key) === shelf.id) }))
          .filter(({ keys }) => keys.length > 0);
        const withReason = own.length * REASON_HEIGHT <= height;
        return (
          <YStack key={shelf.id} minHeight={height} role="listitem" paddingRight={12}>
            {own.map(({ reason, keys }) => (
              <YStack
                key={reason.group}
                {...pressable({ onPress: () => onSelect(keys[0]!) })}
                minHeight={withReason ? REASON_HEIGHT : NAME_HEIGHT}
                paddingHorizontal={6}
                borderRadius={6}
                backgroundColor={selected !== null && keys.includes(selected) ? '$greenTint' : 'transparent'}
              >
                <XStack gap={6} alignItems="baseline">
                  <Mono>{keys.map(tagOf).join(' ')}</Mono>
                  <Strong flex={1} numberOfLines={1} fontSize={15}>
                    {nameOf(reason.group)}
                  </Strong>
                  {highest(reason) === shelf.id ? <Small>{minutesFigure(reason.price.minutes)}</Small> : null}
                </XStack>
                {withReason ? <Small numberOfLines={1}>{briefReasonWords(reason)}</Small> : null}
              </YStack>
            ))}
          </YStack>
        );
      })}
    </YStack>
  );
}
