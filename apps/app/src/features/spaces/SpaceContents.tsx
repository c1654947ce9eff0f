import { codeTail, stockOf } from '@ours/core';
import { YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Mark } from '@/kit/text/Mark';
import { Plate } from '@/kit/text/Plate';
import { summaryWords } from '@/features/drawing/words';
import { shelfWords } from '@/shared/placeWords';
import { namesWords } from './words';

/** The drawing as a list: shelf by shelf, bin by bin. */
export function SpaceContents({
  spaceId,
  selected,
  onPick,
}: {
  spaceId: string;
  selected: string | null;
  onPick: (nookId: string) => void;
}) {
  const shelves = useHousehold(({ state }) =>
    state.shelvesOf(spaceId).map((shelf) => ({
      shelf,
      name: shelfWords(state, shelf),
      loose: state.lotsIn(shelf.id).length,
      summary: stockOf(state).summary(shelf.id, today()),
      bins: state.binsIn(shelf.id).map((bin) => ({ bin, summary: stockOf(state).summary(bin.id, today()) })),
    })),
  );
  return (
    <YStack>
      {shelves.map(({ shelf, name, loose, summary, bins }) => (
        <YStack key={shelf.id}>
          <ListHeading
            title={`${codeTail(shelf.code)}  ${name}`}
            remark={bins.length === 0 && loose === 0 ? 'empty' : undefined}
          />
          {loose > 0 || bins.length === 0 ? (
            <ListRow
              title={`On the ${shelf.kind.replace('_', ' ')} itself`}
              detail={loose > 0 ? namesWords(summary.itemNames) : 'nothing yet'}
              onPress={() => onPick(shelf.id)}
              selected={selected === shelf.id}
              right={<Plate code={shelf.code} />}
            />
          ) : null}
          {bins.map(({ bin, summary: inBin }) => (
            <ListRow
              key={bin.id}
              title={bin.name}
              detail={[summaryWords(inBin), namesWords(inBin.itemNames)].filter(Boolean).join(' · ')}
              onPress={() => onPick(bin.id)}
              selected={selected === bin.id}
              right={
                <>
                  {inBin.late > 0 ? (
                    <Mark kind="late" label="late" />
                  ) : inBin.soon > 0 ? (
                    <Mark kind="soon" label="soon" />
                  ) : null}
                  <Plate code={bin.code} />
                </>
              }
            />
          ))}
        </YStack>
      ))}
    </YStack>
  );
}
