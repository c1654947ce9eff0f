import { READY_MADE, type ReadyMade, type RoundFields } from '@ours/core';
import { YStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { CalendarShare } from './CalendarShare';
import { ReminderChoice } from './Reminders';
import { readyFields } from './ready';
import { rhythmWords, ROUND_ABOUT, ROUND_NAMES } from './words';

/** Rounds that are usual, each switched on with a tap; all of it can be changed afterwards. */
export function ReadyDialog({
  onClose,
  onChoose,
}: {
  onClose: () => void;
  /** One of our own, or one that needs something said first. */
  onChoose: (preset: RoundFields | null) => void;
}) {
  const runCommand = useRunCommand();
  const kinds = useHousehold(({ state, version }) => ({
    version,
    on: new Set(state.all('round').map(({ kind }) => kind)),
  })).on;
  const switchOn = (one: ReadyMade): void => {
    const fields = readyFields(one);
    // Where it goes only the home knows.
    if (one.needsPlaces) return onChoose(fields);
    void runCommand(
      'round_saved',
      [{ op: 'create', entity: 'round', id: opContext().newId(), fields }],
      `On: ${fields.name}.`,
    );
  };
  return (
    <Dialog title="Rounds to switch on" open onClose={onClose}>
      <Small>How often is common practice; each can be changed.</Small>
      <YStack marginHorizontal={-16}>
        {READY_MADE.map((one) => (
          <ListRow
            key={one.kind}
            title={ROUND_NAMES[one.kind]}
            detail={`${rhythmWords(one.rhythm)}. ${ROUND_ABOUT[one.kind]}`}
            detailLines={4}
            right={
              kinds.has(one.kind) && !one.needsPlaces ? (
                <Small>on</Small>
              ) : (
                <Button
                  label={!one.needsPlaces ? 'Switch on' : kinds.has(one.kind) ? 'Another …' : 'Where …'}
                  onPress={() => switchOn(one)}
                />
              )
            }
          />
        ))}
      </YStack>
      <Button label="A round of our own" onPress={() => onChoose(null)} />
      {kinds.size > 0 ? <ReminderChoice /> : null}
      <CalendarShare />
      <Button kind="primary" label="Done" onPress={onClose} />
    </Dialog>
  );
}
