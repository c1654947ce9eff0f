import { entriesOf, mayRead, medicineGroups, type ItemRow, type MedicineGroup } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Button } from '@/kit/press/Button';
import { Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { ItemPicker } from '@/shared/ItemPicker';
import { NookPlate } from '@/shared/NookPlate';
import { useNow } from '@/shared/useNow';
import { Caution } from './Caution';
import { MedicineDialog } from './MedicineDialog';
import { Phones } from './Phones';
import { PoisonCentre } from './PoisonCentre';
import { momentWords } from './words';

/** Who was given what, and the medicines in the order in which the shelf reads. */
export function CareScreen() {
  const router = useRouter();
  const { me } = useHouseholdContext();
  const nowMs = useNow();
  const [adding, setAdding] = useState(false);
  const [medicine, setMedicine] = useState<ItemRow | null>(null);
  const { people, groups } = useHousehold(({ state, version }) => ({
    version,
    people: state.all('person').map((person) => {
      const last = entriesOf(state, person.id)[0] ?? null;
      return { person, last, thing: last?.itemId ? (state.get('item', last.itemId)?.name ?? '') : '' };
    }),
    groups: medicineGroups(state).map((group) => ({
      group,
      title: titleOf(group, (id) => state.get('person', id)?.name ?? ''),
      rows: group.medicines.map((one) => ({
        medicine: one,
        item: state.get('item', one.itemId)!,
        nookId: state.lotsOf(one.itemId)[0]?.nookId ?? null,
      })),
    })),
  }));
  if (!mayRead(me.role, 'care_entry'))
    return (
      <Screen title="Care" back="/rounds">
        <Text padding={16}>What was given to whom is for the adults of the home.</Text>
      </Screen>
    );
  const log = (
    <YStack>
      <ListHeading title="Given to" />
      {people.length === 0 ? <Text padding={16}>Nobody is noted in this home yet.</Text> : null}
      {people.map(({ person, last, thing }) => (
        <ListRow
          key={person.id}
          title={person.name}
          detail={
            last === null
              ? 'nothing recorded'
              : `${[thing, last.amount].filter(Boolean).join(', ') || 'temperature'} · ${momentWords(last.at, nowMs)}`
          }
          onPress={() => router.push(`/care/${person.id}` as never)}
        />
      ))}
      <PoisonCentre />
    </YStack>
  );
  const shelf = (
    <YStack>
      <ListHeading title="Medicines" remark="by person, by what for" />
      {groups.length === 0 ? (
        <Text padding={16}>No thing is noted as a medicine yet. What is recorded in the home can be.</Text>
      ) : null}
      {groups.map(({ group, title, rows }) => (
        <YStack key={`${group.by} ${group.key}`}>
          <ListHeading title={title} />
          {rows.map(({ medicine: one, item, nookId }) => (
            <ListRow
              key={one.id}
              title={item.name}
              detail={one.ingredient ?? 'active ingredient not noted'}
              onPress={() => setMedicine(item)}
              right={nookId ? <NookPlate nookId={nookId} /> : undefined}
            />
          ))}
        </YStack>
      ))}
    </YStack>
  );
  return (
    <Screen title="Care" back="/rounds" right={<Button label="A medicine …" onPress={() => setAdding(true)} />}>
      <YStack gap={10} paddingBottom={4}>
        <Caution />
        <Phones />
      </YStack>
      <TwoPane
        gap={0}
        left={log}
        right={shelf}
        narrow={
          <>
            {log}
            {shelf}
          </>
        }
      />
      <Dialog title="Which thing is a medicine?" open={adding} onClose={() => setAdding(false)}>
        <ItemPicker
          label="Its name"
          onPick={(item) => {
            setAdding(false);
            setMedicine(item);
          }}
        />
      </Dialog>
      {medicine ? <MedicineDialog item={medicine} onClose={() => setMedicine(null)} /> : null}
    </Screen>
  );
}

function titleOf({ by, key }: MedicineGroup, nameOf: (id: string) => string): string {
  if (by === 'person') return nameOf(key);
  return by === 'for' ? key : 'Other';
}
