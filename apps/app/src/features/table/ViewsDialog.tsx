import type { KeptViewRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import type { TableView } from './tableView';

/** Views kept by name, for everybody of the home: taken out, put away, and the present one kept. */
export function ViewsDialog({
  view,
  onPick,
  onClose,
}: {
  view: TableView;
  onPick: (view: TableView) => void;
  onClose: () => void;
}) {
  const runCommand = useRunCommand();
  const kept = useHousehold(({ state, version }) => ({
    all: state.all('kept_view').sort((a, b) => a.name.localeCompare(b.name)),
    version,
  })).all;
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | undefined>();
  const keep = (): void => {
    const typed = name.trim();
    if (typed === '') {
      setProblem('A view needs a name.');
      return;
    }
    const fields = { ...view, name: typed };
    const known = kept.find((one) => one.name.toLowerCase() === typed.toLowerCase());
    onClose();
    void runCommand(
      'view_kept',
      [
        known
          ? { op: 'change', entity: 'kept_view', id: known.id, fields }
          : { op: 'create', entity: 'kept_view', id: opContext().newId(), fields },
      ],
      `Kept as ${typed}.`,
    );
  };
  const forget = ({ id, name: of }: KeptViewRow): void =>
    void runCommand('view_forgotten', [{ op: 'retire', entity: 'kept_view', id }], `${of} is not kept any more.`);
  return (
    <Dialog title="Views" open onClose={onClose}>
      <YStack>
        {kept.map((one) => (
          <ListRow
            key={one.id}
            title={one.name}
            onPress={() => {
              const { name: _, id: _id, seq: _seq, retired: _retired, ...fields } = one;
              onPick(fields);
              onClose();
            }}
            right={<Button kind="quiet" label="Forget" onPress={() => forget(one)} />}
          />
        ))}
        {kept.length === 0 ? <Small>None is kept yet. Everybody of the home finds what is kept here.</Small> : null}
      </YStack>
      <XStack gap={8} alignItems="flex-end">
        <YStack flex={1}>
          <Field
            label="Keep what is shown now as"
            value={name}
            maxLength={60}
            problem={problem}
            onChangeText={setName}
            onSubmitEditing={keep}
          />
        </YStack>
        <Button kind="primary" label="Keep" onPress={keep} />
      </XStack>
    </Dialog>
  );
}
