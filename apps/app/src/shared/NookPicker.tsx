import { type HouseholdState } from '@ours/core';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { recentNooks } from '@/shared/recent';
import { Field } from '@/kit/form/Field';
import { ListRow } from '@/kit/layout/ListRow';
import { Plate } from '@/kit/text/Plate';
import { Small } from '@/kit/text/Text';
import { wayTo } from '@/shared/placeWords';

interface Offered {
  id: string;
  name: string;
  way: string;
  code: string;
}

const MOST = 12;

function offer(state: HouseholdState, id: string): Offered | null {
  const nook = state.nook(id);
  const path = wayTo(state, id);
  if (!nook || nook.row.retired || !path) return null;
  const name = nook.row.name === '' ? (path.steps.at(-1) ?? nook.row.code) : nook.row.name;
  return { id, name, way: path.steps.slice(0, nook.kind === 'bin' ? 3 : 2).join(' › '), code: nook.row.code };
}

/** Finds a place by its code or name; the places used last come first. */
export function NookPicker({
  label,
  onPick,
  prefer = null,
  exclude = null,
}: {
  label: string;
  onPick: (nookId: string, name: string) => void;
  prefer?: 'freezer' | null;
  exclude?: string | null;
}) {
  const [query, setQuery] = useState('');
  const offered = useHousehold(({ state, store }) => {
    const frozen = state
      .all('space')
      .filter(
        (space) => space.kind === 'chest_freezer' || space.kind === 'upright_freezer' || space.kind === 'refrigerator',
      )
      .flatMap((space) =>
        state.shelvesOf(space.id).flatMap((shelf) => [...state.binsIn(shelf.id).map((bin) => bin.id), shelf.id]),
      );
    const found =
      query.trim() === ''
        ? [
            ...(prefer === 'freezer' ? frozen : []),
            ...recentNooks(),
            ...state.all('bin').map((bin) => bin.id),
            ...state.all('shelf').map((shelf) => shelf.id),
            ...state.all('space').map((space) => space.id),
          ]
        : store.finder
            .find(query, 60)
            .flatMap((one) => (one.kind === 'nook' ? [one.nookId] : one.lots.map((lot) => lot.nookId)));
    return [...new Set(found)]
      .filter((id) => id !== exclude)
      .slice(0, MOST * 2)
      .map((id) => offer(state, id))
      .filter((one): one is Offered => one !== null)
      .slice(0, MOST);
  });
  return (
    <YStack gap={8}>
      <Field
        label={label}
        value={query}
        onChangeText={setQuery}
        placeholder="code or name"
        autoCapitalize="none"
        autoCorrect={false}
      />
      <YStack borderRadius={10} overflow="hidden" borderWidth={1} borderColor="$borderColor">
        {offered.map((one) => (
          <ListRow
            key={one.id}
            title={one.name}
            detail={one.way}
            onPress={() => onPick(one.id, one.name)}
            right={<Plate code={one.code} />}
          />
        ))}
        {offered.length === 0 ? <Small padding={14}>No place is called that.</Small> : null}
      </YStack>
    </YStack>
  );
}
