import { daysBetween, effectiveDue, type ItemRow, type LotRow, type PlaceReason } from '@ours/core';
import { XStack, YStack } from 'tamagui';
import { Card } from '@/kit/layout/Card';
import { Button } from '@/kit/press/Button';
import { dayWords } from '@/kit/text/dayWords';
import { Plate } from '@/kit/text/Plate';
import { Mono, Small, Strong } from '@/kit/text/Text';
import { useGuide } from '@/shared/useGuide';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { OpenDoorView, useFront } from '@/features/drawing';
import { behindWords, placeReasonWords } from './words';

/** The place lit on the drawing, and what is there already, the oldest in front. */
export function PutAwayPlace({
  nookId,
  reason,
  amount,
  one,
  item,
  lots,
  width,
  high,
  onChoose,
}: {
  nookId: string;
  reason: PlaceReason | null;
  amount: string;
  /** It is a single one. */
  one: boolean;
  item: ItemRow | null;
  lots: readonly LotRow[];
  width: number;
  /** As high as the drawing may be. */
  high: number;
  onChoose: () => void;
}) {
  const day = today();
  const guide = useGuide();
  const path = useHousehold(({ state }) => wayTo(state, nookId));
  const front = useFront(path?.space?.id ?? null);
  const here = lots.filter((lot) => lot.nookId === nookId && lot.quantityThousandths > 0);
  const dates = here.map((lot) => (item ? (effectiveDue(lot, item, guide)?.on ?? null) : null));
  const drawing = Math.round(width * 0.44);
  return (
    <Card>
      <XStack padding={12} gap={12} alignItems="flex-start">
        {front ? (
          <OpenDoorView
            view={front.view}
            width={drawing}
            maxHeight={high}
            hereId={path?.bins[0]?.id ?? path?.shelf?.id ?? null}
            names={false}
            summaryOf={front.summaryOf}
          />
        ) : null}
        <YStack flex={1} minWidth={0} gap={6} alignItems="flex-start">
          {path ? <Plate code={path.code} large /> : null}
          <Strong>{`${amount} ${one ? 'goes' : 'go'} here`}</Strong>
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
