import { isMeasure, KIT_SOON_DAYS, quantityField, type KitFields, type KitPart, type KitRow } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { Toggles } from '@/kit/form/Toggles';
import { useFigure } from '@/kit/form/useFigure';
import { Dialog } from '@/kit/layout/Dialog';
import { LabelledLine } from '@/kit/layout/LabelledLine';
import { Button } from '@/kit/press/Button';
import { Minus } from '@/kit/press/icons';
import { figureWords } from '@/kit/text/counted';
import { Small, Strong, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { ItemPicker } from '@/shared/ItemPicker';
import { NookPicker } from '@/shared/NookPicker';
import { opContext } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useRunCommand } from '@/shared/useRunCommand';
import { usualStep } from '@/features/stock/words';

const ONE = 1000;
const SOON_STEP = 10;

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
  const { names, units, others, place } = useHousehold(({ state, version }) => ({
    version,
    names: new Map(
      parts
        .flatMap(({ itemId, alsoIds }) => [itemId, ...alsoIds])
        .map((id) => [id, state.get('item', id)?.name ?? 'a thing that is gone']),
    ),
    units: new Map(parts.map(({ itemId }) => [itemId, state.get('item', itemId)?.unit ?? 'piece'])),
    others: state.all('kit').filter(({ id }) => id !== kit?.id),
    place: nookId === null ? null : (wayTo(state, nookId)?.steps.slice(1).join(' › ') ?? 'a place that is gone'),
  }));
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
        {parts.map((part) => (
          <PartLine
            key={part.itemId}
            part={part}
            names={names}
            unit={units.get(part.itemId) ?? 'piece'}
            onChange={(next) =>
              setParts(
                next === null
                  ? parts.filter(({ itemId }) => itemId !== part.itemId)
                  : parts.map((one) => (one.itemId === part.itemId ? next : one)),
              )
            }
          />
        ))}
        <ItemPicker
          label="Add a thing"
          exclude={parts.map(({ itemId }) => itemId)}
          onPick={(item) =>
            setParts([...parts, { itemId: item.id, alsoIds: [], thousandths: usualStep(item.unit), soonDays: null }])
          }
        />
      </YStack>
      <Toggles label="Other kits that are part of it" all={others} chosen={kitIds} onChange={setKitIds} />
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

const AMOUNT = quantityField(1);
/** How much of what is weighed or measured, typed; and that it does not belong to the kit any more. */
function MeasuredPart({
  name,
  unit,
  part,
  onChange,
}: {
  name: string;
  unit: string;
  part: KitPart;
  onChange: (part: KitPart | null) => void;
}) {
  const figure = useFigure(AMOUNT, 'metric', part.thousandths);
  const write = (text: string): void => {
    const read = figure.write(text);
    if (read.kind === 'figure') onChange({ ...part, thousandths: read.value });
  };
  return (
    <XStack gap={4} alignItems="flex-end" width={190}>
      <YStack flex={1} minWidth={0}>
        <Field
          label={`How much ${name}, ${unit}`}
          hideLabel
          {...figure.input}
          onChangeText={write}
          inputMode="decimal"
          problem={figure.problem}
        />
      </YStack>
      <Text paddingBottom={12}>{unit}</Text>
      <Button iconOnly icon={Minus} label={`Without ${name}`} onPress={() => onChange(null)} />
    </XStack>
  );
}

/** A thing of the kit with how many; what else serves as well and from when it counts as ending soon behind its button. */
function PartLine({
  part,
  names,
  unit,
  onChange,
}: {
  part: KitPart;
  names: ReadonlyMap<string, string>;
  unit: string;
  /** Null: it no longer belongs to the kit. */
  onChange: (part: KitPart | null) => void;
}) {
  const [open, setOpen] = useState(false);
  const { thousandths, alsoIds } = part;
  const name = names.get(part.itemId) ?? '';
  const soon = part.soonDays ?? KIT_SOON_DAYS;
  return (
    <YStack gap={6}>
      <XStack gap={8} alignItems="center">
        <YStack flex={1} minWidth={0}>
          <Strong>{name}</Strong>
          {alsoIds.length > 0 ? <Small>{`or ${alsoIds.map((id) => names.get(id) ?? '').join(', ')}`}</Small> : null}
        </YStack>
        <Button kind="quiet" label={open ? 'Close' : '…'} onPress={() => setOpen(!open)} />
        {isMeasure(unit) ? (
          <MeasuredPart name={name} unit={unit} part={part} onChange={onChange} />
        ) : (
          <Stepper
            label={`How many ${name}`}
            value={figureWords(thousandths)}
            less={thousandths > ONE ? `One less, ${name}` : `Without ${name}`}
            more={`One more, ${name}`}
            onLess={() => onChange(thousandths > ONE ? { ...part, thousandths: thousandths - ONE } : null)}
            onMore={() => onChange({ ...part, thousandths: thousandths + ONE })}
          />
        )}
      </XStack>
      {open ? (
        <YStack gap={6} paddingLeft={12}>
          <LabelledLine label="Ends soon, days before its date">
            <Stepper
              label={`Ends soon, days before the date of ${name}`}
              value={soon}
              less="Ten days less"
              more="Ten days more"
              canLess={soon >= SOON_STEP}
              onLess={() => onChange({ ...part, soonDays: soon - SOON_STEP })}
              onMore={() => onChange({ ...part, soonDays: soon + SOON_STEP })}
            />
          </LabelledLine>
          {alsoIds.map((id) => (
            <XStack key={id} gap={8} alignItems="center">
              <Text flex={1}>{`${names.get(id) ?? ''} serves as well`}</Text>
              <Button
                kind="quiet"
                label={`Without ${names.get(id) ?? ''}`}
                onPress={() => onChange({ ...part, alsoIds: alsoIds.filter((one) => one !== id) })}
              />
            </XStack>
          ))}
          <ItemPicker
            label={`What serves as well as ${name}`}
            exclude={[part.itemId, ...alsoIds]}
            onPick={(item) => onChange({ ...part, alsoIds: [...alsoIds, item.id] })}
          />
        </YStack>
      ) : null}
    </YStack>
  );
}
