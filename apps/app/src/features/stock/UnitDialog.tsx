import { lostWithUnit, opsForUnit, pluralUnit, type ItemRow } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small, Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { NO_UNIT, UnitFields, unitSaid, type UnitTyped } from './UnitFields';
import { amountProblemWords, LOST_WORDS } from './unitWords';
import { amountWords } from './words';

/** A thing kept in another unit from now on: what is there is said in both before anything is written. */
export function UnitDialog({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const { store } = useHouseholdContext();
  const runCommand = useRunCommand();
  const router = useRouter();
  const [typed, setTyped] = useState<UnitTyped>(NO_UNIT);
  const [problem, setProblem] = useState('');
  const lots = useHousehold(({ state }) => state.lotsOf(item.id));
  const said = unitSaid(item.unit, typed);
  const sum = lots.reduce((total, { quantityThousandths }) => total + quantityThousandths, 0);
  const save = (): void => {
    if (said === null) return;
    const changed = opsForUnit(store.state, item, said.unit, said.each, opContext());
    if (!changed.ok) {
      const codeOf = (nookId: string): string => store.state.nook(nookId)?.row.code ?? 'a place that is gone';
      return setProblem(amountProblemWords(changed.problem, item.unit, codeOf));
    }
    onClose();
    void runCommand('unit_changed', changed.ops, `${item.name} is kept in another unit: ${said.unit}.`);
    if (changed.itemId !== item.id) router.replace(`/item/${changed.itemId}` as never);
  };
  return (
    <Dialog title={`${item.name}: another unit than ${item.unit}`} open onClose={onClose}>
      <UnitFields
        from={item.unit}
        typed={typed}
        onChange={(next) => {
          setTyped(next);
          setProblem('');
        }}
      />
      {said ? (
        <Text role="status">
          {said.each === 1
            ? `Only the word changes: ${amountWords(sum, said.unit)}.`
            : `${amountWords(sum, item.unit)} ${sum === 1000 ? 'is' : 'are'} ${amountWords(Math.round(sum * said.each), said.unit)} from now on. Marks, packs and kits follow; what was written before stays in ${pluralUnit(item.unit, 2000)}.`}
        </Text>
      ) : null}
      {said && said.each !== 1 ? lostWithUnit(item).map((lost) => <Small key={lost}>{LOST_WORDS[lost]}</Small>) : null}
      {problem === '' ? null : (
        <Small role="alert" color="$late">
          {problem}
        </Small>
      )}
      <XStack gap={8}>
        <Button grow kind="primary" label="Keep it so" disabled={said === null} onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
