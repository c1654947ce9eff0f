import { quantityField, type ItemRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPicker } from '@/shared/NookPicker';
import { NookPlate } from '@/shared/NookPlate';
import { wayTo } from '@/shared/placeWords';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { weekdayName } from './words';

const LEAST = quantityField();
const FULL = quantityField(1);
/** From Monday on. */
const WEEK = [1, 2, 3, 4, 5, 6, 0] as const;

/** Where a thing is taken from day by day, and how many it holds there; what is elsewhere is its reserve. */
export function FrontDialog({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const [nookId, setNookId] = useState<string | null>(item.front?.nookId ?? null);
  const [choosing, setChoosing] = useState(false);
  const least = useFigure(LEAST, unit, item.front?.leastThousandths ?? 1000);
  const full = useFigure(FULL, unit, item.front?.fullThousandths ?? null);
  const [decanted, setDecanted] = useState(item.front?.decanted ?? false);
  const [refillOn, setRefillOn] = useState(item.front?.refillOn ?? null);
  const way = useHousehold(({ state }) =>
    nookId === null ? '' : (wayTo(state, nookId)?.steps.slice(1).join(' › ') ?? ''),
  );
  const ready = nookId !== null && least.value !== null && full.value !== null && full.value > least.value;
  const change = (front: ItemRow['front'], done: string): void => {
    onClose();
    void runCommand('item_changed', [{ op: 'change', entity: 'item', id: item.id, fields: { front } }], done);
  };
  if (choosing)
    return (
      <Dialog title={`Where is ${item.name} taken from?`} open onClose={() => setChoosing(false)}>
        <NookPicker
          label="Its place"
          onPick={(id) => {
            setNookId(id);
            setChoosing(false);
          }}
        />
      </Dialog>
    );
  return (
    <Dialog title={`Where ${item.name} is kept`} open onClose={onClose}>
      <Small>
        It is taken from one place day by day; what is elsewhere is its reserve. When the place runs low, the refill
        round says what to carry.
      </Small>
      <XStack gap={10} alignItems="center">
        {nookId === null ? <Strong flex={1}>no place yet</Strong> : <Strong flex={1}>{way}</Strong>}
        {nookId === null ? null : <NookPlate nookId={nookId} />}
        <Button label={nookId === null ? 'Choose' : 'Change'} onPress={() => setChoosing(true)} />
      </XStack>
      <XStack gap={8}>
        <Field label="Refill when so many are left" width={220} {...least.input} problem={least.problem} />
        <Field label="Up to" width={110} {...full.input} problem={full.problem} />
      </XStack>
      <Choices
        label="How it is refilled"
        choices={[
          { value: 'whole', label: 'whole packs' },
          { value: 'poured', label: 'poured into a jar or can' },
        ]}
        value={decanted ? 'poured' : 'whole'}
        onChange={(how) => setDecanted(how === 'poured')}
      />
      <Choices
        label="The day of its refill round"
        wrap
        choices={[
          { value: 'none', label: 'when it runs low' },
          ...WEEK.map((at) => ({ value: String(at), label: weekdayName(at) })),
        ]}
        value={refillOn === null ? 'none' : String(refillOn)}
        onChange={(day) => setRefillOn(day === 'none' ? null : Number(day))}
      />
      {full.value !== null && least.value !== null && full.value <= least.value ? (
        <Small role="alert">It is filled up to more than what is left then.</Small>
      ) : null}
      <XStack gap={8}>
        <Button
          kind="primary"
          grow
          label="Save"
          disabled={!ready}
          onPress={() =>
            ready &&
            change(
              { nookId, leastThousandths: least.value!, fullThousandths: full.value!, decanted, refillOn },
              `Saved: where ${item.name} is kept.`,
            )
          }
        />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
      {item.front ? (
        <Button
          kind="quiet"
          label="It has no such place"
          onPress={() => change(null, `${item.name} has no place of its own now.`)}
        />
      ) : null}
    </Dialog>
  );
}
