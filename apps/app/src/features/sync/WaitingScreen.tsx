import { describeCommand } from '@ours/core';
import { YStack } from 'tamagui';
import { useHousehold, useHouseholdContext } from '@/data/HouseholdProvider';
import { refusalWords } from '@/data/refusalWords';
import { Button } from '@/ui/Button';
import { ListHeading, ListRow } from '@/ui/ListRow';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';

/** What has not reached the server yet, and what it would not take. */
export function WaitingScreen() {
  const { connection, syncNow, store } = useHouseholdContext();
  const { waiting, refused, state } = useHousehold((snapshot) => ({
    waiting: snapshot.store.waiting,
    refused: snapshot.store.refused,
    state: snapshot.state,
  }));
  const words = (command: (typeof waiting)[number]['command']): string => {
    const lines = describeCommand(state, command);
    return lines.length > 0 ? lines.join('; ') : command.intent.replace(/_/g, ' ');
  };
  return (
    <Screen title="Saving" back="/">
      <YStack padding={16} gap={10}>
        <Words>
          {connection === 'online'
            ? 'This device is in step with the others.'
            : connection === 'signed_out'
              ? 'This device is signed out; sign in again to send what waits.'
              : 'There is no line to the server. Everything works; changes are kept here and sent when it is back.'}
        </Words>
        <Button label="Try now" onPress={syncNow} />
      </YStack>
      {refused.length > 0 ? <ListHeading title="Needs you" remark={`${refused.length}`} /> : null}
      {refused.map((queued) => (
        <ListRow
          key={queued.at}
          title={words(queued.command)}
          detail={refusalWords(queued.refusal!)}
          right={
            <>
              <Button label="Try again" onPress={() => void store.settle(queued.at, 'retry').then(syncNow)} />
              <Button kind="quiet" label="Drop" onPress={() => void store.settle(queued.at, 'drop')} />
            </>
          }
        />
      ))}
      {waiting.length > 0 ? <ListHeading title="Waiting to be sent" remark={`${waiting.length}`} /> : null}
      {waiting.map((queued) => (
        <ListRow
          key={queued.at}
          title={words(queued.command)}
          detail={new Date(queued.command.occurredAt).toLocaleTimeString()}
        />
      ))}
      {waiting.length + refused.length === 0 ? <Words padding={16}>Nothing waits.</Words> : null}
    </Screen>
  );
}
