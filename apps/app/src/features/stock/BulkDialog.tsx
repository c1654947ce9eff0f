import {
  fileUpright,
  foldedSize,
  formatLength,
  formatMass,
  readLength,
  readMass,
  readQuantity,
  stackFlat,
  GROUPINGS,
  type ContainerRow,
  type ItemRow,
  type ItemTraits,
  type LengthUnit,
  type GroupBy,
  type Textile,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/home/HouseholdProvider';
import { useRunCommand } from '@/home/useRunCommand';
import { useHome } from '@/home/useHome';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';
import { Small, Strong } from '@/kit/text/Text';
import { GROUP_BY_WORDS } from '@/home/groupByWords';

const BARE: ItemTraits = { weightGrams: null, volumeMl: null, textile: null, groups: {} };
type Texts = Record<string, string>;
/** Groups that a person says; alphabet and frequency follow from the name and the use. */
const SAID = GROUPINGS.filter((school) => !['alphabet', 'frequency', 'room'].includes(school));

function textsOf(traits: ItemTraits, unit: LengthUnit): Texts {
  const { textile } = traits;
  const length = (value: number | null | undefined): string => (value ? formatLength(value, unit) : '');
  return {
    weight: traits.weightGrams === null ? '' : formatMass(traits.weightGrams, unit),
    litres: traits.volumeMl === null ? '' : String(traits.volumeMl / 1000),
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
  const [school, setGroupBy] = useState<GroupBy>('kind');
  const reading = readTraits(texts, start, traits, { cloth, material, groups }, unit);
  const field = (key: string, label: string) => (
    <Field
      key={key}
      width={108}
      label={label}
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
        {field('weight', 'Weight of one')}
        {field('litres', 'Litres, one')}
      </XStack>
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
            {field('width', 'Wide, flat')}
            {field('length', 'Long, flat')}
            {field('grams', 'Grams per m²')}
            {field('plies', 'Plies')}
            {field('foldsWidth', 'Width into')}
            {field('foldsLength', 'Length into')}
            {field('ten', 'Ten folded, high')}
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
        value={school}
        onChange={setGroupBy}
      />
      <Field
        label={`By ${GROUP_BY_WORDS[school].toLowerCase()}`}
        value={groups[school] ?? ''}
        maxLength={60}
        placeholder="as its tags and name say"
        onChangeText={(text) =>
          setGroups((now) => {
            const { [school]: _, ...rest } = now;
            return text.trim() === '' ? rest : { ...rest, [school]: text };
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
  const length = (value: number): string => formatLength(Math.round(value), unit);
  return (
    <YStack gap={6} testID="folded">
      <Strong>
        {`Folded ${length(folded.widthTenthMm)} by ${length(folded.depthTenthMm)}, ${folded.layers} ${folded.layers === 1 ? 'layer' : 'layers'}, ${folded.calibrated ? '' : 'about '}${length(folded.thicknessTenthMm)} thick, ${formatMass(folded.grams, unit)}.`}
      </Strong>
      {container ? (
        <Small>
          {`In “${container.name}” ${fileUpright(folded, insideOf(container))} stand upright, ${stackFlat(folded, insideOf(container))} lie flat.`}
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

const insideOf = (container: ContainerRow) => ({
  widthTenthMm: container.insideWidthTenthMm ?? container.topWidthTenthMm - 50,
  depthTenthMm: container.insideDepthTenthMm ?? container.topDepthTenthMm - 50,
  heightTenthMm: container.insideHeightTenthMm ?? container.heightTenthMm,
});

/** What the texts say; a text that was not touched keeps its exact value. */
function readTraits(
  texts: Texts,
  start: Texts,
  known: ItemTraits,
  more: { cloth: boolean; material: Textile['material']; groups: ItemTraits['groups'] },
  unit: LengthUnit,
): { traits: ItemTraits } | { problem: string } {
  const problems: string[] = [];
  const text = (key: string): string => (texts[key] ?? '').trim();
  const same = (key: string): boolean => texts[key] === start[key];
  const length = (key: string, before: number | null | undefined): number => {
    if (same(key) && before) return before;
    const reading = readLength(text(key), unit);
    if (!reading.ok) problems.push(reading.problem);
    return reading.ok ? reading.tenthMm : 0;
  };
  const whole = (key: string, most: number): number => {
    const value = Number(text(key));
    if (!Number.isInteger(value) || value < 1 || value > most)
      problems.push(`“${text(key)}” is not a whole number from 1 to ${most}.`);
    return value;
  };
  const weight = text('weight') === '' || same('weight') ? null : readMass(text('weight'), unit);
  if (weight && !weight.ok) problems.push(weight.problem);
  const litres = text('litres') === '' ? null : readQuantity(text('litres'));
  if (text('litres') !== '' && litres === null)
    problems.push(`“${text('litres')}” is not a number of litres; write for example 0.5.`);
  let textile: Textile | null = null;
  if (more.cloth) {
    const before = known.textile;
    const gramsPerM2 = Number(text('grams').replace(',', '.'));
    if (!(gramsPerM2 >= 1 && gramsPerM2 <= 5000))
      problems.push(`“${text('grams')}” is not a weight of cloth; 1 to 5000 g/m² are accepted, a towel has about 450.`);
    textile = {
      widthTenthMm: length('width', before?.widthTenthMm),
      lengthTenthMm: length('length', before?.lengthTenthMm),
      gramsPerM2,
      plies: whole('plies', 4),
      foldsWidth: whole('foldsWidth', 12),
      foldsLength: whole('foldsLength', 12),
      material: more.material,
      tenMeasuredTenthMm: text('ten') === '' ? null : length('ten', before?.tenMeasuredTenthMm),
    };
  }
  if (problems.length > 0) return { problem: problems[0]! };
  return {
    traits: {
      weightGrams: same('weight') ? known.weightGrams : weight && weight.ok ? weight.grams : null,
      volumeMl: litres,
      textile,
      groups: Object.fromEntries(Object.entries(more.groups).map(([key, value]) => [key, value.trim()])),
    },
  };
}
