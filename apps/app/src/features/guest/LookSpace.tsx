import type { LookPage } from '@ours/contracts';
import { codeTail, HouseholdState, PUBLISHED_GUIDE, type LotRow } from '@ours/core';
import { useMemo } from 'react';
import { useMedia, YStack } from 'tamagui';
import { frontOf, OpenDoorView } from '@/features/drawing';
import { amountWords, dueWords } from '@/features/stock/words';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Plate } from '@/kit/text/Plate';
import { Small } from '@/kit/text/Text';
import { today } from '@/shared/opContext';
import { shelfWords } from '@/shared/placeWords';

/** A space with its doors open, and what is in it shelf by shelf. */
export function LookSpace({ page }: { page: LookPage & { what: 'space' } }) {
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const state = useMemo(() => {
    const read = new HouseholdState();
    for (const row of page.rows) read.put(row);
    return read;
  }, [page]);
  const front = frontOf(state, page.spaceId);
  if (!front) return null;
  const { space, view, summaryOf } = front;
  const shelves = state.shelvesOf(space.id);
  return (
    <YStack>
      <YStack alignItems="center" padding={12} backgroundColor="$background">
        <OpenDoorView
          view={view}
          width={Math.min(content, 900) - 24}
          maxHeight={gtMd ? 520 : 420}
          summaryOf={summaryOf}
        />
      </YStack>
      {page.leftOut ? <Small padding={16}>There are medicines here too; this page does not show them.</Small> : null}
      <Things state={state} nookId={space.id} title="On the space itself" code={space.code} />
      {shelves.map((shelf) => (
        <YStack key={shelf.id} role="group" aria-label={shelfWords(state, shelf)}>
          <ListHeading title={`${codeTail(shelf.code)}  ${shelfWords(state, shelf)}`} />
          <Things state={state} nookId={shelf.id} title="On it" code={shelf.code} />
          {state.binsIn(shelf.id).map((bin) => (
            <Things key={bin.id} state={state} nookId={bin.id} title={bin.name} code={bin.code} always />
          ))}
        </YStack>
      ))}
    </YStack>
  );
}

/** What lies in one place: each thing with how many and until when. */
function Things({
  state,
  nookId,
  title,
  code,
  always = false,
}: {
  state: HouseholdState;
  nookId: string;
  title: string;
  code: string;
  /** It is named though nothing is in it. */
  always?: boolean;
}) {
  const lots = [nookId, ...innerBins(state, nookId)].flatMap((id) => state.lotsIn(id));
  if (lots.length === 0 && !always) return null;
  return (
    <ListRow
      title={title}
      detail={lots.length === 0 ? 'nothing' : lots.map((lot) => lotWords(state, lot)).join('\n')}
      detailLines={40}
      right={<Plate code={code} />}
    />
  );
}

/** Bins that stand in a bin, whichever deep. */
const innerBins = (state: HouseholdState, nookId: string): string[] =>
  state
    .all('bin')
    .filter(({ parentBinId }) => parentBinId === nookId)
    .flatMap(({ id }) => [id, ...innerBins(state, id)]);

function lotWords(state: HouseholdState, lot: LotRow): string {
  const item = state.get('item', lot.itemId);
  if (!item) return '';
  const due = dueWords(lot, item, today(), PUBLISHED_GUIDE);
  return `${item.name}, ${amountWords(lot.quantityThousandths, item.unit)}${due === '' ? '' : ` (${due})`}`;
}
