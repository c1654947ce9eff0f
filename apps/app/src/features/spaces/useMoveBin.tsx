import {
  isFrozen,
  isInFreezer,
  nooksWithin,
  opsForMovingBin,
  opsForThawingAll,
  standProblem,
  tooNarrowBy,
  type BinRow,
} from '@ours/core';
import { useState, type ReactNode } from 'react';
import { YStack } from 'tamagui';
import { useToast } from '@/kit/feedback/Toasts';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Text } from '@/kit/text/Text';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { standWords } from '@/shared/standWords';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { binMovedWords, narrowWords, thawsThereWords } from './words';

interface Asked {
  bin: BinRow;
  toId: string;
  toName: string;
  things: number;
}

/**
 * Moves a bin with all that is in it. A bin that was measured as too large for the shelf stays, and it is said why; frozen things that
 * leave a freezer are asked about first, by the dialog that is answered beside.
 */
export function useMoveBin(): { moveBin: (bin: BinRow, toId: string, toName: string) => void; asked: ReactNode } {
  const { store } = useHouseholdContext();
  const runCommand = useRunCommand();
  const toast = useToast();
  const { unit } = useHome();
  const [leaving, setLeaving] = useState<Asked | null>(null);
  const { state } = store;
  const frozenIn = (bin: BinRow) =>
    nooksWithin(state, bin.id)
      .flatMap((id) => state.lotsIn(id))
      .filter((lot) => isFrozen(lot) && lot.quantityThousandths > 0);
  const move = (bin: BinRow, toId: string, toName: string, thaws: boolean): void => {
    setLeaving(null);
    const ops = opsForMovingBin(state, bin, toId);
    const thaw = ops.length > 0 && thaws ? opsForThawingAll(frozenIn(bin), opContext()) : [];
    const onShelf = state.nook(toId)?.kind === 'shelf';
    const narrow = onShelf ? (tooNarrowBy(state, bin, toId) ?? 0) : 0;
    const moved = binMovedWords(bin.name, toName, bin.code, thaw.length > 0);
    void runCommand('bin_moved', [...ops, ...thaw], narrow > 0 ? `${moved} ${narrowWords(narrow, unit)}` : moved);
  };
  const moveBin = (bin: BinRow, toId: string, toName: string): void => {
    const problem = state.nook(toId)?.kind === 'shelf' ? standProblem(state, bin, toId) : null;
    if (problem) return toast({ text: `It stays where it is. ${standWords(problem, unit)}`, problem: true });
    const things = isInFreezer(state, toId) ? 0 : frozenIn(bin).length;
    if (things > 0) setLeaving({ bin, toId, toName, things });
    else move(bin, toId, toName, false);
  };
  const asked = leaving ? (
    <Dialog title="Does it thaw?" open onClose={() => setLeaving(null)}>
      <YStack gap={8} role="group" aria-label="Does it thaw?">
        <Text>{thawsThereWords(leaving.toName, leaving.things)}</Text>
        <Button
          kind="primary"
          label="It thaws, for use"
          onPress={() => move(leaving.bin, leaving.toId, leaving.toName, true)}
        />
        <Button label="It stays frozen" onPress={() => move(leaving.bin, leaving.toId, leaving.toName, false)} />
        <Button kind="quiet" label="It stays where it is" onPress={() => setLeaving(null)} />
      </YStack>
    </Dialog>
  ) : null;
  return { moveBin, asked };
}
