import type { LookPage } from '@ours/contracts';
import { codeTail, guideOf, HouseholdState, nooksWithin, type LotRow } from '@ours/core';
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
  // A bin with the bins inside it; those of a shelf have a line of their own.
  const within = state.nook(nookId)?.kind === 'bin' ? nooksWithin(state, nookId) : [nookId];
  const lots = within.flatMap((id) => state.lotsIn(id));
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

function lotWords(state: HouseholdState, lot: LotRow): string {
  const item = state.get('item', lot.itemId);
  if (!item) return '';
  const due = dueWords(lot, item, today(), guideOf(state));
  return `${item.name}, ${amountWords(lot.quantityThousandths, item.unit)}${due === '' ? '' : ` (${due})`}`;
}
