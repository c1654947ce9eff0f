import {
  decimalField,
  fileUpright,
  foldedSize,
  insideOf,
  formatLength,
  formatSize,
  KEPT_HOW,
  shapeOf,
  sidesOf,
  formatMass,
  lengthField,
  massField,
  orNull,
  readFieldText,
  stackFlat,
  GROUPINGS,
  volumeField,
  wholeField,
  type AnyField,
  type ItemRow,
  type ItemTraits,
  type KeptHow,
  type LengthUnit,
  type ThingShape,
  type GroupBy,
  type Textile,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { useHome } from '@/shared/useHome';
import { Button } from '@/kit/press/Button';
import { problemWords } from '@/kit/text/problemWords';
import { Choices } from '@/kit/form/Choices';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';
import { Small, Strong } from '@/kit/text/Text';
import { GROUP_BY_WORDS } from '@/shared/groupByWords';
import { filedWords, foldedWords } from './words';

const FIGURE_WORDS: Readonly<Record<string, string>> = {
  weight: 'Weight of one',
  litres: 'Litres, one',
  wide: 'Wide',
  deep: 'Deep',
  high: 'High',
  width: 'Wide, flat',
  length: 'Long, flat',
  grams: 'Grams per m²',
  plies: 'Plies',
  foldsWidth: 'Width into',
  foldsLength: 'Length into',
  ten: 'Ten folded, high',
};
const KEPT_WORDS: Readonly<Record<KeptHow, string>> = {
  upright: 'Only upright',
  fragile: 'Fragile',
  own_box: 'In the box it came in',
  air: 'Needs air',
};
const SIDE_KEYS = ['wide', 'deep', 'high'] as const;
const BARE: ItemTraits = { weightGrams: null, volumeMl: null, textile: null, groups: {} };
type Texts = Record<string, string>;
/** Groups that a person says; alphabet and frequency follow from the name and the use. */
const SAID = GROUPINGS.filter((groupBy) => !['alphabet', 'frequency', 'room'].includes(groupBy));

function textsOf(traits: ItemTraits, unit: LengthUnit): Texts {
  const { textile } = traits;
  const length = (value: number | null | undefined): string => (value ? formatLength(value, unit) : '');
  return {
    weight: traits.weightGrams === null ? '' : formatMass(traits.weightGrams, unit),
    litres: traits.volumeMl === null ? '' : String(traits.volumeMl / 1000),
    wide: length(traits.shape?.widthTenthMm),
    deep: length(traits.shape?.depthTenthMm),
    high: length(traits.shape?.heightTenthMm),
    width: length(textile?.widthTenthMm),
    length: length(textile?.lengthTenthMm),
    grams: textile ? String(textile.gramsPerM2) : '',
    plies: String(textile?.plies ?? 1),
    foldsWidth: String(textile?.foldsWidth ?? 2),
    foldsLength: String(textile?.foldsLength ?? 2),
    ten: length(textile?.tenMeasuredTenthMm),
  };
}

/** How much room a thing takes and what it weighs; cloth by its folding; which groups it belongs to. */
export function BulkDialog({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const traits = item.traits ?? BARE;
  const [start] = useState(() => textsOf(traits, unit));
  const [texts, setTexts] = useState(start);
  const [cloth, setCloth] = useState(traits.textile !== null);
  const [material, setMaterial] = useState<Textile['material']>(traits.textile?.material ?? 'woven');
  const [groups, setGroups] = useState(traits.groups);
  const [rigid, setRigid] = useState(traits.shape?.rigid ?? true);
  const [kept, setKept] = useState<readonly KeptHow[]>(traits.shape?.kept ?? []);
  const [groupBy, setGroupBy] = useState<GroupBy>('kind');
  const reading = readTraits(texts, start, traits, { cloth, material, groups, rigid, kept }, unit);
  const anySide = SIDE_KEYS.some((key) => (texts[key] ?? '').trim() !== '');
  const usual = traits.shape ? null : (shapeOf({ name: item.name, traits: item.traits ?? null })?.shape ?? null);
  const field = (key: string) => (
    <Field
      key={key}
      width={108}
      label={FIGURE_WORDS[key] ?? key}
      value={texts[key] ?? ''}
      onChangeText={(text) => setTexts((now) => ({ ...now, [key]: text }))}
    />
  );
  const save = (): void => {
    if ('problem' in reading) return;
    onClose();
    void runCommand(
      'item_measured',
      [{ op: 'change', entity: 'item', id: item.id, fields: { traits: reading.traits } }],
      `Saved: ${item.name}.`,
    );
  };
  return (
    <Dialog title={`Room and weight of ${item.name}`} open onClose={onClose}>
      <XStack gap={8} flexWrap="wrap">
        {field('weight')}
        {field('litres')}
      </XStack>
      <Small>Its sides, as it stands:</Small>
      <XStack gap={8} flexWrap="wrap">
        {field('wide')}
        {field('deep')}
        {field('high')}
      </XStack>
      {usual && !anySide ? (
        <XStack gap={8} alignItems="center">
          <Small flex={1}>{`Not measured; taken as ${formatSize(sidesOf(usual), unit)}, a guess from its name.`}</Small>
          <Button
            kind="quiet"
            label="That is right"
            onPress={() =>
              setTexts((now) => ({
                ...now,
                wide: formatLength(usual.widthTenthMm, unit),
                deep: formatLength(usual.depthTenthMm, unit),
                high: formatLength(usual.heightTenthMm, unit),
              }))
            }
          />
        </XStack>
      ) : null}
      {anySide ? (
        <XStack gap={8} flexWrap="wrap" role="group" aria-label="How it is kept">
          <Button label="Soft, gives way" selected={!rigid} onPress={() => setRigid((now) => !now)} />
          {KEPT_HOW.map((how) => (
            <Button
              key={how}
              label={KEPT_WORDS[how]}
              selected={kept.includes(how)}
              onPress={() => setKept((now) => (now.includes(how) ? now.filter((one) => one !== how) : [...now, how]))}
            />
          ))}
        </XStack>
      ) : null}
      <Choices
        label="Cloth"
        hideLabel
        choices={[
          { value: 'no', label: 'Not cloth' },
          { value: 'yes', label: 'Folded cloth' },
        ]}
        value={cloth ? 'yes' : 'no'}
        onChange={(value) => setCloth(value === 'yes')}
      />
      {cloth ? (
        <YStack gap={10}>
          <XStack gap={8} flexWrap="wrap">
            {field('width')}
            {field('length')}
            {field('grams')}
            {field('plies')}
            {field('foldsWidth')}
            {field('foldsLength')}
            {field('ten')}
          </XStack>
          <Choices
            label="Cloth is"
            hideLabel
            choices={[
              { value: 'woven', label: 'Woven' },
              { value: 'terry', label: 'Terry' },
              { value: 'wool', label: 'Wool' },
            ]}
            value={material}
            onChange={setMaterial}
          />
          {'traits' in reading && reading.traits.textile ? (
            <FoldedWords textile={reading.traits.textile} unit={unit} />
          ) : null}
        </YStack>
      ) : null}
      <Choices
        label="Group"
        choices={SAID.map((value) => ({ value, label: GROUP_BY_WORDS[value] }))}
        value={groupBy}
        onChange={setGroupBy}
      />
      <Field
        label={`By ${GROUP_BY_WORDS[groupBy].toLowerCase()}`}
        value={groups[groupBy] ?? ''}
        maxLength={60}
        placeholder="as its tags and name say"
        onChangeText={(text) =>
          setGroups((now) => {
            const { [groupBy]: _, ...rest } = now;
            return text.trim() === '' ? rest : { ...rest, [groupBy]: text };
          })
        }
      />
      {'problem' in reading ? (
        <Small color="$late" role="alert">
          {reading.problem}
        </Small>
      ) : null}
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" disabled={'problem' in reading} onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

function FoldedWords({ textile, unit }: { textile: Textile; unit: LengthUnit }) {
  const containers = useHousehold(({ state }) => state.all('container').filter(({ owned }) => owned > 0));
  const [chosen, setChosen] = useState<string | null>(
    containers.find(({ look }) => look === 'woven')?.id ?? containers[0]?.id ?? null,
  );
  const folded = foldedSize(textile);
  const container = containers.find(({ id }) => id === chosen);
  return (
    <YStack gap={6} testID="folded">
      <Strong>{foldedWords(folded, unit)}</Strong>
      {container ? (
        <Small>
          {filedWords(container.name, fileUpright(folded, insideOf(container)), stackFlat(folded, insideOf(container)))}
        </Small>
      ) : null}
      {folded.calibrated ? null : <Small>Measure ten folded ones on each other: that replaces the estimate.</Small>}
      <Choices
        label="In which container"
        hideLabel
        choices={containers.map(({ id, name }) => ({ value: id, label: name }))}
        value={chosen}
        onChange={setChosen}
      />
    </YStack>
  );
}

const WEIGHT = orNull(massField);
const LITRES = orNull(volumeField);
const SIDE = lengthField();
const GRAMS_PER_M2 = decimalField(1, 5000);
const PLIES = wholeField(1, 4);
const FOLDS = wholeField(1, 12);

/** What the texts say; a text that was not touched keeps its exact value. */
function readTraits(
  texts: Texts,
  start: Texts,
  known: ItemTraits,
  more: {
    cloth: boolean;
    material: Textile['material'];
    groups: ItemTraits['groups'];
    rigid: boolean;
    kept: readonly KeptHow[];
  },
  unit: LengthUnit,
): { traits: ItemTraits } | { problem: string } {
  const problems: string[] = [];
  /** A figure by its specification; one that was not touched is what it was, exactly. */
  const figure = (key: string, field: AnyField, before: number | null = null): number | null => {
    if (before !== null && texts[key] === start[key]) return before;
    const reading = readFieldText(field, texts[key] ?? '', unit);
    if (reading.ok) return reading.value as number | null;
    const like = key === 'grams' ? ' A towel has about 450.' : '';
    problems.push(`${FIGURE_WORDS[key] ?? key}: ${problemWords(reading.problem, unit)}${like}`);
    return null;
  };
  const needed = (key: string, field: AnyField, before?: number): number => figure(key, field, before ?? null) ?? 0;
  const weightGrams = figure('weight', WEIGHT, known.weightGrams);
  const volumeMl = figure('litres', LITRES, known.volumeMl);
  // One side makes the other two needed: a thing has three.
  let shape: ThingShape | null = null;
  if (SIDE_KEYS.some((key) => (texts[key] ?? '').trim() !== '')) {
    const before = known.shape;
    shape = {
      widthTenthMm: needed('wide', SIDE, before?.widthTenthMm),
      depthTenthMm: needed('deep', SIDE, before?.depthTenthMm),
      heightTenthMm: needed('high', SIDE, before?.heightTenthMm),
      rigid: more.rigid,
      kept: [...more.kept],
    };
  }
  let textile: Textile | null = null;
  if (more.cloth) {
    const before = known.textile;
    textile = {
      widthTenthMm: needed('width', SIDE, before?.widthTenthMm),
      lengthTenthMm: needed('length', SIDE, before?.lengthTenthMm),
      gramsPerM2: needed('grams', GRAMS_PER_M2, before?.gramsPerM2),
      plies: needed('plies', PLIES, before?.plies),
      foldsWidth: needed('foldsWidth', FOLDS, before?.foldsWidth),
      foldsLength: needed('foldsLength', FOLDS, before?.foldsLength),
      material: more.material,
      tenMeasuredTenthMm: figure('ten', orNull(SIDE), before?.tenMeasuredTenthMm),
    };
  }
  if (problems.length > 0) return { problem: problems[0]! };
  return {
    traits: {
      weightGrams,
      volumeMl,
      textile,
      shape,
      groups: Object.fromEntries(Object.entries(more.groups).map(([key, value]) => [key, value.trim()])),
    },
  };
}
