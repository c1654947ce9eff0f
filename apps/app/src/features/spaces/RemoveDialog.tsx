import { opsForRetiringNook } from '@ours/core';
import { XStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Dialog } from '@/kit/layout/Dialog';
import { useToast } from '@/kit/feedback/Toasts';
import { Text } from '@/kit/text/Text';
import { NookPicker } from '@/shared/NookPicker';
import { cannotTakeWords, removedWords } from './words';

/** Removing a place; when it holds anything, asks where that goes. Nothing in it is lost. */
export function RemoveDialog({
  nookId,
  name,
  onClose,
  onGone,
}: {
  nookId: string;
  name: string;
  onClose: () => void;
  onGone: () => void;
}) {
  const runCommand = useRunCommand();
  const toast = useToast();
  const { state, kind } = useHousehold((snapshot) => ({
    state: snapshot.state,
    kind: snapshot.state.nook(nookId)?.kind ?? 'bin',
  }));
  const emptyOps = opsForRetiringNook(state, nookId, null);
  const remove = (toId: string | null, toName: string): void => {
    const ops = opsForRetiringNook(state, nookId, toId);
    if (!ops)
      return toast({
        text: cannotTakeWords(toName, name),
        problem: true,
      });
    onClose();
    void runCommand(`${kind}_retired`, ops, removedWords(name, toId === null ? null : toName)).then((refusal) => {
      if (refusal === null) onGone();
    });
  };
  return (
    <Dialog title={`Remove ${name}`} open onClose={onClose}>
      {emptyOps ? (
        <>
          <Text>It is empty. Its label can be thrown away; the code is free again.</Text>
          <XStack gap={8}>
            <Button grow kind="danger" label="Remove it" onPress={() => remove(null, '')} />
            <Button grow label="Keep it" onPress={onClose} />
          </XStack>
        </>
      ) : (
        <>
          <Text>It still holds things. Where do they go?</Text>
          <NookPicker label="They go to" exclude={nookId} onPick={remove} />
        </>
      )}
    </Dialog>
  );
}
