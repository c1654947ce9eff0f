import {
  isFlammable,
  lotsWithin,
  sidesOf,
  spaceLoad,
  type HouseholdState,
  type LooseThing,
  type SpaceRow,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { YStack } from 'tamagui';
import { LOAD_CAUTIONS } from '@/features/fit/words';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { useHousehold } from '@/shared/HouseholdProvider';
import { shelfWords } from '@/shared/placeWords';
import { roomForPath } from '@/shared/roomForPath';
import { useHome } from '@/shared/useHome';
import { flammableWords, looseTitle, looseWords } from './words';

/** Alike things at one place, as one row. */
interface LooseRow {
  thing: LooseThing;
  count: number;
}

/** What a plan cannot settle by itself: things that go into no container, what may burn, what is to be fixed to the wall. */
export function NeedsALook({ space, loose }: { space: SpaceRow; loose: readonly LooseThing[] }) {
  const router = useRouter();
  const { unit } = useHome();
  const look = useHousehold(({ state, version }) => ({
    version,
    rows: rowsOf(loose).map(({ thing, count }) => {
      const item = state.get('item', thing.itemId);
      const shelf = state.get('shelf', thing.shelfId ?? thing.short?.shelfId ?? '');
      return {
        thing,
        itemName: item?.name ?? '',
        title: looseTitle(item?.name ?? '', count, thing, unit),
        detail: looseWords(thing, count, { space: space.name, shelf: shelf ? shelfWords(state, shelf) : '' }, unit),
      };
    }),
    flammable: flammableIn(state, space),
    anchor: spaceLoad(state, space.id)?.cautions.includes('anchor') ?? false,
  }));
  const count = look.rows.length + (look.flammable.length > 0 ? 1 : 0) + (look.anchor ? 1 : 0);
  if (count === 0) return null;
  return (
    <YStack testID="needs-a-look">
      <ListHeading title="Needs a look" remark={String(count)} />
      {look.rows.map(({ thing, itemName, title, detail }) => (
        <ListRow
          key={`${thing.itemId} ${thing.how} ${thing.shelfId ?? ''}`}
          title={title}
          detail={detail}
          detailLines={7}
          onPress={() => router.push(`/item/${thing.itemId}`)}
          right={
            thing.how === 'beside' || thing.how === 'nowhere' ? (
              <Button label="Elsewhere?" onPress={() => router.push(roomForPath(itemName, sidesOf(thing)))} />
            ) : undefined
          }
        />
      ))}
      {look.flammable.length > 0 ? (
        <ListRow title={look.flammable.join(', ')} detail={flammableWords(look.flammable.length)} detailLines={4} />
      ) : null}
      {look.anchor ? <ListRow title={`${space.name} is high`} detail={LOAD_CAUTIONS.anchor} detailLines={3} /> : null}
    </YStack>
  );
}

function rowsOf(loose: readonly LooseThing[]): LooseRow[] {
  const rows = new Map<string, LooseRow>();
  for (const thing of loose) {
    const key = `${thing.itemId} ${thing.how} ${thing.shelfId ?? ''}`;
    const row = rows.get(key);
    if (row) row.count += thing.count;
    else rows.set(key, { thing, count: thing.count });
  }
  return [...rows.values()];
}

function flammableIn(state: HouseholdState, space: SpaceRow): string[] {
  const names = lotsWithin(state, space.id).flatMap(({ itemId, quantityThousandths }) => {
    const item = state.get('item', itemId);
    return item && quantityThousandths > 0 && isFlammable(item) ? [item.name] : [];
  });
  return [...new Set(names)];
}
