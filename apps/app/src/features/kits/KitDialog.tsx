import { type KitFields, type KitPart, type KitRow } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { figureWords } from '@/kit/text/counted';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { ItemPicker } from '@/shared/ItemPicker';
import { NookPicker } from '@/shared/NookPicker';
import { opContext } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useRunCommand } from '@/shared/useRunCommand';

const ONE = 1000;

/** What a kit is called, where it lies, and what belongs to it. */
export function KitDialog({ kit, onClose }: { kit: KitRow | null; onClose: () => void }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const [name, setName] = useState(kit?.name ?? '');
  const [nookId, setNookId] = useState(kit?.nookId ?? null);
  const [parts, setParts] = useState<readonly KitPart[]>(kit?.parts ?? []);
  const [kitIds, setKitIds] = useState<readonly string[]>(kit?.kitIds ?? []);
  const [choosing, setChoosing] = useState(false);
  const [sent, setSent] = useState(false);
  const { names, others, place } = useHousehold(({ state, version }) => ({
    version,
    names: new Map(parts.map(({ itemId }) => [itemId, state.get('item', itemId)?.name ?? 'a thing that is gone'])),
    others: state.all('kit').filter(({ id }) => id !== kit?.id),
    place: nookId === null ? null : (wayTo(state, nookId)?.steps.slice(1).join(' › ') ?? 'a place that is gone'),
  }));
  const setPart = (itemId: string, by: number): void =>
    setParts(parts.map((part) => (part.itemId === itemId ? { ...part, thousandths: part.thousandths + by } : part)));
  const save = async (): Promise<void> => {
    setSent(true);
    const said = name.trim();
    if (said === '') return;
    const fields = { name: said, nookId, parts: [...parts], kitIds: [...kitIds] };
    const id = kit?.id ?? opContext().newId();
    const made: KitFields = { ...fields, lookedOn: null, lookedById: null };
    const refused = await runCommand(
      'kit_saved',
      kit ? [{ op: 'change', entity: 'kit', id, fields }] : [{ op: 'create', entity: 'kit', id, fields: made }],
      `Saved: ${said}.`,
    );
    if (refused !== null) return;
    onClose();
    if (!kit) router.push(`/kit/${id}` as never);
  };
  return (
    <Dialog title={kit ? kit.name : 'A kit'} open onClose={onClose}>
      <Field
        label="What is it called?"
        value={name}
        onChangeText={setName}
        maxLength={120}
        problem={sent && name.trim() === '' ? 'A kit needs a name.' : undefined}
      />
      <YStack gap={6}>
        <Small>Where it lies</Small>
        <Strong>{place ?? 'its things lie in their own places'}</Strong>
        <XStack gap={8} flexWrap="wrap">
          <Button label="In one place …" selected={choosing} onPress={() => setChoosing(!choosing)} />
          {nookId === null ? null : <Button label="All over the home" onPress={() => setNookId(null)} />}
        </XStack>
        {choosing ? (
          <NookPicker
            label="Which place?"
            onPick={(id) => {
              setNookId(id);
              setChoosing(false);
            }}
          />
        ) : null}
      </YStack>
      <YStack gap={6}>
        <Small>What belongs to it, and how many</Small>
        {parts.map(({ itemId, thousandths }) => (
          <XStack key={itemId} gap={8} alignItems="center">
            <Strong flex={1}>{names.get(itemId)}</Strong>
            <Stepper
              label={`How many ${names.get(itemId)}`}
              value={figureWords(thousandths)}
              less={thousandths > ONE ? `One less, ${names.get(itemId)}` : `Without ${names.get(itemId)}`}
              more={`One more, ${names.get(itemId)}`}
              onLess={() =>
                thousandths > ONE ? setPart(itemId, -ONE) : setParts(parts.filter((part) => part.itemId !== itemId))
              }
              onMore={() => setPart(itemId, ONE)}
            />
          </XStack>
        ))}
        <ItemPicker
          label="Add a thing"
          exclude={parts.map(({ itemId }) => itemId)}
          onPick={(item) => setParts([...parts, { itemId: item.id, alsoIds: [], thousandths: ONE, soonDays: null }])}
        />
      </YStack>
      {others.length > 0 ? (
        <YStack gap={6} role="group" aria-label="Other kits that are part of it">
          <Small>Other kits that are part of it</Small>
          <XStack gap={6} flexWrap="wrap">
            {others.map((other) => (
              <Button
                key={other.id}
                label={other.name}
                selected={kitIds.includes(other.id)}
                onPress={() =>
                  setKitIds(kitIds.includes(other.id) ? kitIds.filter((id) => id !== other.id) : [...kitIds, other.id])
                }
              />
            ))}
          </XStack>
        </YStack>
      ) : null}
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" onPress={() => void save()} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
      {kit ? (
        <Button
          kind="quiet"
          label="No longer a kit"
          onPress={() => {
            onClose();
            router.replace('/kits' as never);
            void runCommand(
              'kit_removed',
              [{ op: 'retire', entity: 'kit', id: kit.id }],
              `No longer a kit: ${kit.name}.`,
            );
          }}
        />
      ) : null}
    </Dialog>
  );
}
