import {
  BIN_LOOKS,
  containerFromRow,
  containerToRow,
  CONTAINER_COLUMNS,
  formatLength,
  type BinLook,
  type ContainerRow,
} from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { v7 as uuidv7 } from 'uuid';
import { useRunCommand } from '@/home/useRunCommand';
import { useHome } from '@/home/useHome';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';
import { Small } from '@/kit/text/Text';
import { BIN_LOOK_WORDS } from '@/features/spaces/words';

type Column = (typeof CONTAINER_COLUMNS)[number];
const LABELS: Readonly<Partial<Record<Column, string>>> = {
  width: 'Wide',
  depth: 'Deep',
  height: 'High, shut',
  owned: 'Owned',
  price: 'Price',
  family: 'Family',
  colour: 'Colour',
  'base width': 'Foot, wide',
  'base depth': 'Foot, deep',
  'height open': 'Lid open, high',
  'inner litres': 'Litres inside',
  'inside width': 'Inside, wide',
  'inside depth': 'Inside, deep',
  'inside height': 'Inside, high',
  'stack pitch': 'Stacked, each adds',
  'nest pitch': 'Nested, each adds',
  'max load kg': 'Carries, kg',
  'weight kg': 'Weighs, kg',
};
const FIRST: Column[] = ['width', 'depth', 'height', 'owned', 'price', 'family'];
const MORE: Column[] = (Object.keys(LABELS) as Column[]).filter((column) => !FIRST.includes(column));

/** One kind of container: three measures are enough to begin with. */
export function ContainerDialog({ container, onClose }: { container: ContainerRow | null; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const [start] = useState<Record<string, string>>(() =>
    container ? inHomeUnit(container, unit) : { kind: 'closed', owned: '1' },
  );
  const [texts, setTexts] = useState(start);
  const [more, setMore] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const put = (column: Column, text: string): void => setTexts((now) => ({ ...now, [column]: text }));
  const save = (): void => {
    // A text that was not touched keeps its exact measure, whatever the home's unit rounds it to.
    const exact: Record<string, string> = container ? containerToRow(container) : {};
    const asKept = Object.entries(texts).map(([key, text]) => [key, text === start[key] ? (exact[key] ?? text) : text]);
    const reading = containerFromRow(Object.fromEntries(asKept), unit);
    if (!reading.ok) return setProblem(reading.problem);
    const { fields } = reading;
    onClose();
    void runCommand(
      container ? 'container_changed' : 'container_added',
      [
        container
          ? { op: 'change', entity: 'container', id: container.id, fields }
          : { op: 'create', entity: 'container', id: uuidv7(), fields },
      ],
      `Saved: ${fields.name}.`,
    );
  };
  const field = (column: Column) => (
    <Field
      key={column}
      width={110}
      label={LABELS[column] ?? column}
      value={texts[column] ?? ''}
      onChangeText={(text) => put(column, text)}
    />
  );
  return (
    <Dialog title={container ? container.name : 'A kind of container'} open onClose={onClose}>
      <Field
        label="What is it called?"
        value={texts.name ?? ''}
        onChangeText={(text) => put('name', text)}
        maxLength={120}
        placeholder="Shoe box"
      />
      <Choices
        label="Looks"
        wrap
        hideLabel
        choices={BIN_LOOKS.filter((look) => look !== 'kept_free').map((look) => ({
          value: look,
          label: BIN_LOOK_WORDS[look],
        }))}
        value={(texts.kind as BinLook | undefined) ?? null}
        onChange={(look) => put('kind', look)}
      />
      <XStack gap={8} flexWrap="wrap">
        {FIRST.map(field)}
      </XStack>
      <Small>Outside, at the widest; with its unit, or bare in {unit === 'metric' ? 'centimetres' : 'inches'}.</Small>
      <XStack gap={8} flexWrap="wrap">
        <Choices
          label="Lid"
          hideLabel
          choices={[
            { value: 'yes', label: 'With lid' },
            { value: '', label: 'Open' },
          ]}
          value={(texts.lid ?? '') as 'yes' | ''}
          onChange={(lid) => put('lid', lid)}
        />
        <Choices
          label="Where it came from"
          hideLabel
          choices={[
            { value: 'yes', label: 'Came for free' },
            { value: '', label: 'Bought' },
          ]}
          value={(texts.free ?? '') as 'yes' | ''}
          onChange={(free) => put('free', free)}
        />
      </XStack>
      {more ? (
        <XStack gap={8} flexWrap="wrap">
          {MORE.map(field)}
        </XStack>
      ) : (
        <Button kind="quiet" label="More measures: foot, lid, inside, stack, load" onPress={() => setMore(true)} />
      )}
      {problem ? (
        <Small color="$late" role="alert">
          {problem}
        </Small>
      ) : null}
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
      {container ? (
        <Button
          kind="quiet"
          label="No longer in the house"
          onPress={() => {
            onClose();
            void runCommand(
              'container_removed',
              [{ op: 'retire', entity: 'container', id: container.id }],
              `Removed: ${container.name}.`,
            );
          }}
        />
      ) : null}
    </Dialog>
  );
}

/** The table's texts, lengths as this home reads them. */
function inHomeUnit(container: ContainerRow, unit: 'metric' | 'inch'): Record<string, string> {
  const row: Record<string, string> = containerToRow(container);
  if (unit === 'metric') return row;
  return Object.fromEntries(
    Object.entries(row).map(([column, text]) => {
      const cm = /^([\d.]+) cm$/.exec(text);
      return [column, cm ? formatLength(Math.round(Number(cm[1]) * 100), 'inch') : text];
    }),
  );
}
