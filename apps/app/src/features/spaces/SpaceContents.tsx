import { againstPurpose, codeTail, stockOf } from '@ours/core';
import { YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Mark } from '@/kit/text/Mark';
import { Plate } from '@/kit/text/Plate';
import { Small } from '@/kit/text/Text';
import { summaryWords } from '@/features/drawing/words';
import { shelfWords } from '@/shared/placeWords';
import { againstWords, namesWords, purposeWords } from './words';

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
      against: againstPurpose(state, shelf),
      summary: stockOf(state).summary(shelf.id, today()),
      bins: state.binsIn(shelf.id).map((bin) => ({ bin, summary: stockOf(state).summary(bin.id, today()) })),
    })),
  );
  return (
    <YStack>
      {shelves.map(({ shelf, name, loose, against, summary, bins }) => (
        <YStack key={shelf.id}>
          <ListHeading
            title={`${codeTail(shelf.code)}  ${name}`}
            remark={bins.length === 0 && loose === 0 ? 'empty' : undefined}
          />
          {shelf.purpose ? (
            <YStack paddingHorizontal={16} paddingVertical={8} backgroundColor="$background" testID="purpose">
              <Small>{purposeWords(shelf.purpose)}</Small>
              {against.length > 0 ? (
                <Small color="$soon">{againstWords(against.map(({ item }) => item.name))}</Small>
              ) : null}
            </YStack>
          ) : null}
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
