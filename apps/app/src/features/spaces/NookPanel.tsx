import { stockOf } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { Button } from '@/kit/press/Button';
import { Dialog } from '@/kit/layout/Dialog';
import { Close } from '@/kit/press/icons';
import { Plate } from '@/kit/text/Plate';
import { Small, Strong } from '@/kit/text/Text';
import { BinDialog } from './BinDialog';
import { NookPicker } from '@/shared/NookPicker';
import { RemoveDialog } from './RemoveDialog';
import { summaryWords } from '@/features/drawing/words';
import { wayTo } from '@/shared/placeWords';
import { useMoveBin } from './useMoveBin';
import { levelWords, namesWords } from './words';

type Open = 'move' | 'change' | 'remove' | null;

/** The chosen nook under the drawing: what is in it and what one can do with it. */
export function NookPanel({ nookId, onGone, onClose }: { nookId: string; onGone: () => void; onClose?: () => void }) {
  const router = useRouter();
  const [open, setOpen] = useState<Open>(null);
  const { moveBin, asked } = useMoveBin();
  const found = useHousehold(({ state }) => {
    const nook = state.nook(nookId);
    const path = wayTo(state, nookId);
    return nook && path ? { nook, path, summary: stockOf(state).summary(nookId, today()) } : null;
  });
  if (!found) return null;
  const { nook, path, summary } = found;
  const name = nook.row.name || (path.steps.at(-1) ?? '');
  const bin = nook.kind === 'bin' ? nook.row : null;
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
        <Dialog title={`Move ${name} with all that is in it`} open={open === 'move'} onClose={() => setOpen(null)}>
          <NookPicker
            label="Where to? A shelf, or a bin it stands in"
            exclude={bin.id}
            onPick={(toId, toName) => {
              setOpen(null);
              moveBin(bin, toId, toName);
            }}
          />
        </Dialog>
      ) : null}
      {asked}
      {bin && open === 'change' ? (
        <BinDialog bin={bin} onClose={() => setOpen(null)} onRemove={() => setOpen('remove')} />
      ) : null}
      {open === 'remove' ? (
        <RemoveDialog nookId={nookId} name={name} onClose={() => setOpen(null)} onGone={onGone} />
      ) : null}
    </YStack>
  );
}
