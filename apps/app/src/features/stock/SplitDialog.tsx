import { opsForSplitting, readQuantity, type ItemRow, type LotRow, type SplitPart } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { amountWords } from './words';

const NAME_MOST = 120;

/** One name stood for two things: what is the other one gets a name of its own, with so much of what lies at each place. */
export function SplitDialog({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const { store } = useHouseholdContext();
  const runCommand = useRunCommand();
  const [name, setName] = useState('');
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const lots = useHousehold(({ state }) =>
    state
      .lotsOf(item.id)
      .filter(({ quantityThousandths }) => quantityThousandths > 0)
      .map((lot) => ({ lot, code: state.nook(lot.nookId)?.row.code ?? '' })),
  );
  const parts = lots.map(({ lot }) => ({ lot, said: partOf(lot, typed[lot.id] ?? '') }));
  const goes: SplitPart[] = parts.flatMap(({ lot, said }) =>
    typeof said === 'number' && said > 0 ? [{ lotId: lot.id, thousandths: said }] : [],
  );
  const wrong = parts.some(({ said }) => typeof said === 'string');
  const taken = useHousehold(({ state }) => state.all('item').some((one) => sameName(one.name, name)));
  const save = (): void => {
    const { ops } = opsForSplitting(store.state, item, name.trim(), goes, opContext());
    onClose();
    void runCommand('thing_split', ops, `Two things now: ${item.name} and ${name.trim()}.`);
  };
  return (
    <Dialog title={`${item.name} is two things`} open onClose={onClose}>
      <Field
        label="What the other one is called"
        value={name}
        maxLength={NAME_MOST}
        autoFocus
        onChangeText={setName}
        problem={taken ? 'There is a thing of that name: one of them needs another.' : undefined}
      />
      {lots.length === 0 ? <Small>There is none of it: the other one starts with nothing.</Small> : null}
      {parts.map(({ lot, said }, at) => (
        <Field
          key={lot.id}
          label={`How much of the ${amountWords(lot.quantityThousandths, item.unit)} in ${lots[at]!.code} is the other one?`}
          value={typed[lot.id] ?? ''}
          inputMode="decimal"
          placeholder="0"
          onChangeText={(text) => setTyped((before) => ({ ...before, [lot.id]: text }))}
          problem={typeof said === 'string' ? said : undefined}
        />
      ))}
      <Small>
        Its mark, packs, set and trade numbers stay with {item.name}. What goes as a whole takes its past along.
      </Small>
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label="Two things"
          disabled={name.trim() === '' || taken || wrong || (goes.length === 0 && lots.length > 0)}
          onPress={save}
        />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Thousandths; a sentence: what was typed is no such amount. */
function partOf(lot: LotRow, text: string): number | string {
  if (text.trim() === '') return 0;
  const thousandths = readQuantity(text);
  if (thousandths === null) return `“${text.trim()}” is no number with at most three places.`;
  return thousandths > lot.quantityThousandths ? 'That is more than there is.' : thousandths;
}
