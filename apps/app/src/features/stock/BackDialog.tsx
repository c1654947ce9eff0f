import {
  formatQuantity,
  opsForBringingBack,
  outAmount,
  quantityField,
  type HouseholdState,
  type LoanRow,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Text } from '@/kit/text/Text';
import { opContext, today } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { outWords } from './words';

const AMOUNT = quantityField(1);

/** Several of a thing come back, all of them or some. */
export function BackDialog({ loan, state, onClose }: { loan: LoanRow; state: HouseholdState; onClose: () => void }) {
  const runCommand = useRunCommand();
  const out = outAmount(state, loan);
  const figure = useFigure(AMOUNT, 'metric', out);
  const [sent, setSent] = useState(false);
  const tooMany = figure.value !== null && figure.value > out ? `Only ${formatQuantity(out)} went out.` : undefined;
  const save = (): void => {
    setSent(true);
    if (figure.value === null || tooMany) return;
    onClose();
    const rest = out - figure.value;
    void runCommand(
      'brought_back',
      opsForBringingBack(state, loan, figure.value, opContext()),
      rest > 0
        ? `Back: ${formatQuantity(figure.value)} of ${formatQuantity(out)}; the rest is still out.`
        : `Back: ${loan.what}.`,
    );
  };
  return (
    <Dialog title={`${loan.what} is back`} open onClose={onClose}>
      <Text>{outWords(loan, today())}</Text>
      <YStack>
        <Field
          label={`How many of ${formatQuantity(out)} came back`}
          {...figure.input}
          inputMode="decimal"
          problem={(sent ? tooMany : undefined) ?? figure.problem}
          selectTextOnFocus
        />
      </YStack>
      <XStack gap={8}>
        <Button grow kind="primary" label="They are back" onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
