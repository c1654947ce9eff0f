import type { HalfShelfOffer } from '@ours/core';
import { useRouter } from 'expo-router';
import { YStack } from 'tamagui';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { useHousehold } from '@/shared/HouseholdProvider';
import { shelfWords } from '@/shared/placeWords';
import { useHome } from '@/shared/useHome';
import { boardDetail, boardTitle, ON_THE_SHELF } from './words';

/** Half-shelves that would make room for what the plan leaves over. */
export function MakesRoom({
  offers,
  nameOf,
}: {
  offers: readonly HalfShelfOffer[];
  /** Of a group, by its id. */
  nameOf: (groupId: string) => string;
}) {
  const router = useRouter();
  const { unit } = useHome();
  const rows = useHousehold(({ state, version }) => ({
    version,
    of: offers.map((offer) => {
      const shelf = state.get('shelf', offer.shelfId);
      return {
        offer,
        spaceId: shelf?.spaceId ?? null,
        title: boardTitle(offer, shelf ? shelfWords(state, shelf) : '', unit),
        detail: boardDetail(offer, nameOf, (id) => state.get('container', id)?.name ?? ON_THE_SHELF, unit),
      };
    }),
  })).of;
  if (rows.length === 0) return null;
  return (
    <YStack testID="makes-room">
      <ListHeading title="What would make room" remark="each by itself" />
      {rows.map(({ offer, spaceId, title, detail }) => (
        <ListRow
          key={offer.shelfId}
          title={title}
          detail={detail}
          detailLines={4}
          {...(spaceId === null ? {} : { onPress: () => router.push(`/space/${spaceId}/measure` as never) })}
        />
      ))}
    </YStack>
  );
}
