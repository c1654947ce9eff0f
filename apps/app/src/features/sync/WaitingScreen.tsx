import { touchedBy } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import type { QueuedCommand } from '@/data/store/deviceDb';
import { useConnection, useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { placeThatIsGone } from '@/data/store/placeThatIsGone';
import { refusalWords } from '@/shared/refusalWords';
import { useSession } from '@/shared/SessionProvider';
import { NookPicker } from '@/shared/NookPicker';
import { Button } from '@/kit/press/Button';
import { Dialog } from '@/kit/layout/Dialog';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { Small, Strong, Text } from '@/kit/text/Text';
import { commandWords, connectionWords } from './words';

/** What has not reached the server yet, and what it would not take. */
export function WaitingScreen() {
  const { syncNow, store } = useHouseholdContext();
  const connection = useConnection();
  const { checkMe } = useSession();
  const { waiting, refused, state } = useHousehold((snapshot) => ({
    waiting: snapshot.store.waiting,
    refused: snapshot.store.refused,
    state: snapshot.state,
  }));
  const [placing, setPlacing] = useState<QueuedCommand | null>(null);
  const words = ({ command }: QueuedCommand): string => commandWords(touchedBy(state, command), command.intent);
  const when = ({ command }: QueuedCommand): string =>
    new Date(command.occurredAt).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
  return (
    <Screen title="Saving" back="/">
      <YStack padding={16} gap={10}>
        <Text>{connectionWords(store.isLost ? 'lost' : connection, refused.length > 0)}</Text>
        {connection === 'other_home' ? (
          <Button label="Go to the home this browser is signed in to" onPress={() => void checkMe()} />
        ) : connection === 'online' && waiting.length === 0 ? null : (
          <Button label="Try now" onPress={syncNow} />
        )}
      </YStack>
      {refused.length > 0 ? <ListHeading title="Needs you" remark={`${refused.length}`} /> : null}
      {refused.map((queued) => (
        <YStack
          key={queued.at}
          padding={16}
          gap={8}
          borderBottomWidth={1}
          borderColor="$borderColor"
          testID="needs-you"
        >
          <Strong>{words(queued)}</Strong>
          <Text>{refusalWords(queued.refusal!)}</Text>
          <Small>{when(queued)}</Small>
          <XStack gap={8} flexWrap="wrap">
            {placeThatIsGone(state, queued.refusal) === null ? null : (
              <Button kind="primary" label="Choose another place" onPress={() => setPlacing(queued)} />
            )}
            <Button label="Try again" onPress={() => void store.settle(queued.at, { how: 'retry' }).then(syncNow)} />
            <Button kind="quiet" label="Drop it" onPress={() => void store.settle(queued.at, { how: 'drop' })} />
          </XStack>
        </YStack>
      ))}
      {waiting.length > 0 ? <ListHeading title="Waiting to be sent" remark={`${waiting.length}`} /> : null}
      {waiting.map((queued) => (
        <ListRow key={queued.at} title={words(queued)} detail={when(queued)} />
      ))}
      {waiting.length + refused.length === 0 ? <Text padding={16}>Nothing waits.</Text> : null}
      {placing ? (
        <Dialog title="Another place" open onClose={() => setPlacing(null)}>
          <Text>{words(placing)}</Text>
          <NookPicker
            label="Where does it go?"
            exclude={placeThatIsGone(state, placing.refusal)}
            onPick={(nookId) => {
              setPlacing(null);
              void store.settle(placing.at, { how: 'elsewhere', nookId }).then(syncNow);
            }}
          />
        </Dialog>
      ) : null}
    </Screen>
  );
}
