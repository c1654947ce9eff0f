import { guideOf, kitNow, loanOf, loanOfNook, setCount } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { setDetail, setWords } from '@/features/restock/words';
import { outWords } from '@/features/stock/words';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { Mark } from '@/kit/text/Mark';
import { Small } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { today } from '@/shared/opContext';
import { KitDialog } from './KitDialog';
import { kitWords } from './words';

/** What is to be complete and in date: first aid, party, guests, travel. */
export function KitsScreen() {
  const router = useRouter();
  const day = today();
  const [adding, setAdding] = useState(false);
  const { kits } = useHousehold(({ state, version }) => ({
    version,
    kits: state.all('kit').map((kit) => ({
      now: kitNow(state, kit, day, guideOf(state)),
      loan: loanOf(state, kit.id) ?? (kit.nookId === null ? null : loanOfNook(state, kit.nookId)),
    })),
  }));
  return (
    <Screen title="Kits" back="/rounds" right={<Button label="A kit …" onPress={() => setAdding(true)} />}>
      <Small paddingHorizontal={16} paddingBottom={8}>
        Things that are to be complete and in date, wherever they lie.
      </Small>
      {kits.length === 0 ? (
        <EmptyState
          text="No kit yet. First aid, guests, a trip: say once what belongs to it, and it is known what is missing."
          action="Make a kit"
          onPress={() => setAdding(true)}
        />
      ) : null}
      {kits.map(({ now, loan }) => (
        <ListRow
          key={now.kit.id}
          title={now.kit.name}
          detail={loan ? outWords(loan, day) : kitWords(now)}
          onPress={() => router.push(`/kit/${now.kit.id}` as never)}
          right={
            <XStack gap={8} alignItems="center">
              {loan ? <Mark kind="plain" label="out" /> : null}
              {now.missing > 0 ? <Mark kind="late" label={`${now.missing} missing`} /> : null}
              {now.missing === 0 && now.endsSoon > 0 ? <Mark kind="soon" label="ends soon" /> : null}
              {now.kit.nookId ? <NookPlate nookId={now.kit.nookId} /> : null}
            </XStack>
          }
        />
      ))}
      <Sets />
      <ListHeading title="For emergencies" />
      <ListRow
        title="Reserve in days"
        detail="water, food, light, medicine for the people of the house"
        onPress={() => router.push('/reserve')}
      />
      {adding ? <KitDialog kit={null} onClose={() => setAdding(false)} /> : null}
    </Screen>
  );
}

/** Things that belong together in a number: whole sets, what is in use, what is missing. */
function Sets() {
  const router = useRouter();
  const { sets } = useHousehold(({ state, version }) => ({
    version,
    sets: state.all('item').flatMap((item) => {
      const count = setCount(state, item);
      return count ? [{ item, count }] : [];
    }),
  }));
  if (sets.length === 0) return null;
  return (
    <>
      <ListHeading title="Sets" remark={`${sets.length}`} />
      {sets.map(({ item, count }) => (
        <ListRow
          key={item.id}
          title={item.name}
          detail={[setWords(count), setDetail(count)].filter(Boolean).join(' · ')}
          onPress={() => router.push(`/item/${item.id}`)}
          right={count.missing > 0 ? <Mark kind="plain" label={`${count.missing} missing`} /> : undefined}
        />
      ))}
    </>
  );
}
