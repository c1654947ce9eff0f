import { tripAfter, listView } from '@ours/core';
import { useRouter } from 'expo-router';
import { YStack } from 'tamagui';
import { Footer } from '@/kit/layout/Footer';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Small, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { useHome } from '@/shared/useHome';
import { AskRow } from './AskRow';
import { HaveWe } from './HaveWe';
import { leavingView } from './leavingView';
import type { Outlook } from './outlookStore';
import { OutlookWait } from './OutlookWait';
import { RestockFrame } from './RestockFrame';
import { absenceWords } from './TripDialog';
import { useOutlook } from './useOutlook';
import { useStartTrip } from './useStartTrip';
import { coldWords, crowdedWords, moneyWords, roomWords, toReserveWords } from './leavingWords';

/** Before one leaves for the shop: what to count, what has no room, what has to be kept cold, what it will cost. */
export function LeavingScreen() {
  const { outlook, share, problem } = useOutlook();
  if (outlook) return <Leaving outlook={outlook} />;
  return (
    <RestockFrame title="Before you leave">
      <OutlookWait share={share} problem={problem} />
    </RestockFrame>
  );
}

function Leaving({ outlook }: { outlook: Outlook }) {
  const router = useRouter();
  const { currency } = useHome();
  const { trip, trips, today } = outlook;
  const { list, view } = useHousehold(({ state, version }) => {
    const lines = listView(state, outlook);
    return { list: lines, view: leavingView(state, lines, { today }, tripAfter(trips, trip)), version };
  });
  const start = useStartTrip(trip, list);
  const cold = coldWords(view);
  const counts = (
    <YStack key="counts">
      <ListHeading
        title="How many are left?"
        remark={list.ask.length === 0 ? 'no count would change the list' : 'a count could change the list'}
      />
      {list.ask.map(({ entry, item }) => (
        <AskRow key={item.id} entry={entry} item={item} />
      ))}
    </YStack>
  );
  const room = (
    <YStack key="room">
      <ListHeading title="Is there room for it?" remark={roomWords(view)} />
      {view.crowded.map(({ line, there }) => (
        <ListRow
          key={line.key}
          title={line.name}
          detail={crowdedWords(there)}
          onPress={() => router.push(`/item/${line.item!.id}`)}
          right={there.nookId ? <NookPlate nookId={there.nookId} /> : null}
        />
      ))}
      {view.toReserve.map(({ line, there }) => (
        <ListRow
          key={line.key}
          title={line.name}
          detail={toReserveWords(there, line.item!)}
          onPress={() => router.push(`/item/${line.item!.id}`)}
          right={there.nookId ? <NookPlate nookId={there.nookId} /> : null}
        />
      ))}
      <YStack paddingHorizontal={16} paddingTop={10} alignItems="flex-start">
        <Button label="Try a thing by its measures" onPress={() => router.push('/restock/room-for')} />
      </YStack>
    </YStack>
  );
  const way = (
    <YStack key="way">
      <ListHeading title="On the way" />
      <YStack paddingHorizontal={16} paddingVertical={10} gap={6}>
        {cold === '' ? null : <Text>{cold}</Text>}
        {view.absences.map((absence) => (
          <Text key={absence.id}>{absenceWords(absence)}: counted in.</Text>
        ))}
        <Text>{moneyWords(list, trip.shop?.budgetMinor ?? null, currency)}</Text>
      </YStack>
    </YStack>
  );
  const have = <HaveWe key="have" outlook={outlook} />;
  return (
    <RestockFrame
      title="Before you leave"
      sub={counted(list.lines.length, { zero: 'nothing to buy', one: '# thing', other: '# things' })}
      footer={
        <Footer>
          <Button
            kind="primary"
            grow
            label={list.begun ? 'Go on shopping' : 'Start shopping'}
            disabled={list.lines.length === 0}
            onPress={() => void start()}
          />
        </Footer>
      }
    >
      <TwoPane gap={0} left={[counts, room]} right={[have, way]} narrow={[have, counts, room, way]} />
      <Small padding={16}>
        Room is told by how many a place holds, where somebody said it, else by the volume of what is in its bin and how
        much a bin usually takes: four fifths of its inside. Things of odd shapes may need more.
      </Small>
    </RestockFrame>
  );
}
