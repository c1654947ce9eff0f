import { isFrozen, isInFreezer, nooksWithin, opsForMovingBin, opsForThawingAll, stockOf } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Dialog } from '@/kit/layout/Dialog';
import { Close } from '@/kit/press/icons';
import { Plate } from '@/kit/text/Plate';
import { Small, Strong, Text } from '@/kit/text/Text';
import { BinDialog } from './BinDialog';
import { NookPicker } from '@/shared/NookPicker';
import { RemoveDialog } from './RemoveDialog';
import { summaryWords } from '@/features/drawing/words';
import { wayTo } from '@/shared/placeWords';
import { binMovedWords, levelWords, namesWords, thawsThereWords } from './words';

type Open = 'move' | 'change' | 'remove' | null;

/** The chosen nook under the drawing: what is in it and what one can do with it. */
export function NookPanel({ nookId, onGone, onClose }: { nookId: string; onGone: () => void; onClose?: () => void }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const [open, setOpen] = useState<Open>(null);
  const [leaving, setLeaving] = useState<{ toId: string; toName: string } | null>(null);
  const found = useHousehold(({ state }) => {
    const nook = state.nook(nookId);
    const path = wayTo(state, nookId);
    return nook && path ? { nook, path, summary: stockOf(state).summary(nookId, today()), state } : null;
  });
  if (!found) return null;
  const { nook, path, summary, state } = found;
  const name = nook.row.name || (path.steps.at(-1) ?? '');
  const bin = nook.kind === 'bin' ? nook.row : null;
  const frozen = bin
    ? nooksWithin(state, bin.id)
        .flatMap((id) => state.lotsIn(id))
        .filter((lot) => isFrozen(lot) && lot.quantityThousandths > 0)
    : [];
  const move = (toId: string, toName: string, thaws: boolean): void => {
    if (!bin) return;
    setOpen(null);
    setLeaving(null);
    const ops = opsForMovingBin(state, bin, toId);
    const thaw = ops.length > 0 && thaws ? opsForThawingAll(frozen, opContext()) : [];
    void runCommand('bin_moved', [...ops, ...thaw], binMovedWords(name, toName, bin.code, thaw.length > 0));
  };
  return (
    <YStack
      testID="nook-panel"
      padding={12}
      gap={10}
      borderTopWidth={2}
      borderBottomWidth={1}
      borderColor="$color"
      backgroundColor="$background"
    >
      <XStack gap={12} alignItems="center">
        <Plate code={path.code} large />
        <YStack flex={1}>
          <Strong>{name}</Strong>
          <Small>{summaryWords(summary)}</Small>
        </YStack>
        {onClose ? <Button kind="quiet" iconOnly icon={Close} label="Close" onPress={onClose} /> : null}
      </XStack>
      {bin?.level ? <Small>{levelWords(bin.level, today())}</Small> : null}
      {summary.itemNames.length > 0 ? <Small numberOfLines={2}>{namesWords(summary.itemNames, 5)}</Small> : null}
      <XStack gap={8} flexWrap="wrap">
        <Button kind="primary" label="Look inside" onPress={() => router.push(`/nook/${nookId}`)} />
        <Button label="Record" onPress={() => router.push(`/record?nook=${nookId}`)} />
        {bin ? <Button label="Move" onPress={() => setOpen('move')} /> : null}
        {bin ? <Button label="Edit" onPress={() => setOpen('change')} /> : null}
        {bin ? null : <Button label="Remove" onPress={() => setOpen('remove')} />}
      </XStack>
      {bin ? (
        <Dialog
          title={`Move ${name} with all that is in it`}
          open={open === 'move'}
          onClose={() => {
            setOpen(null);
            setLeaving(null);
          }}
        >
          <NookPicker
            label="Where to? A shelf, or a bin it stands in"
            exclude={bin.id}
            onPick={(toId, toName) => {
              if (frozen.length > 0 && !isInFreezer(state, toId)) return setLeaving({ toId, toName });
              move(toId, toName, false);
            }}
          />
          {leaving ? (
            <YStack gap={8} role="group" aria-label="Does it thaw?">
              <Text>{thawsThereWords(leaving.toName, frozen.length)}</Text>
              <Button
                kind="primary"
                label="It thaws, for use"
                onPress={() => move(leaving.toId, leaving.toName, true)}
              />
              <Button label="It stays frozen" onPress={() => move(leaving.toId, leaving.toName, false)} />
            </YStack>
          ) : null}
        </Dialog>
      ) : null}
      {bin && open === 'change' ? (
        <BinDialog bin={bin} onClose={() => setOpen(null)} onRemove={() => setOpen('remove')} />
      ) : null}
      {open === 'remove' ? (
        <RemoveDialog nookId={nookId} name={name} onClose={() => setOpen(null)} onGone={onGone} />
      ) : null}
    </YStack>
  );
}
