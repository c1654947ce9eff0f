import { nooksWithin, stockOf } from '@ours/core';
import { YStack } from 'tamagui';
import { OpenDoorView, useFront } from '@/features/drawing';
import { summaryWords } from '@/features/drawing/words';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';

export const BESIDE_WIDTH = 440;
const MOST_HEIGHT = 560;
const MOST_NAMES = 12;

/** The space that is recorded into, beside the lines: it fills as they are saved, and a press on a bin goes on there. */
export function RecordBeside({
  spaceId,
  nookId,
  onGo,
}: {
  spaceId: string;
  nookId: string;
  onGo: (nookId: string) => void;
}) {
  const front = useFront(spaceId);
  const here = useHousehold(({ state, version }) => {
    const way = wayTo(state, nookId);
    const names = nooksWithin(state, nookId)
      .flatMap((id) => state.lotsIn(id))
      .filter(({ quantityThousandths }) => quantityThousandths > 0)
      .flatMap(({ itemId }) => state.get('item', itemId)?.name ?? []);
    return {
      drawnId: way?.bins[0]?.id ?? way?.shelf?.id ?? null,
      summary: summaryWords(stockOf(state).summary(nookId, today())),
      names: [...new Set(names)],
      version,
    };
  });
  if (!front) return null;
  return (
    <YStack padding={16} gap={8} role="complementary" aria-label={`${front.space.name}, into which is recorded`}>
      <OpenDoorView
        view={front.view}
        width={BESIDE_WIDTH - 32}
        maxHeight={MOST_HEIGHT}
        hereId={here.drawnId}
        summaryOf={front.summaryOf}
        onPressNook={onGo}
      />
      <Strong>{`Here: ${here.summary}`}</Strong>
      {here.names.length > 0 ? (
        <Small>
          {here.names.slice(0, MOST_NAMES).join(', ')}
          {here.names.length > MOST_NAMES ? ` and ${here.names.length - MOST_NAMES} more` : ''}
        </Small>
      ) : null}
    </YStack>
  );
}
