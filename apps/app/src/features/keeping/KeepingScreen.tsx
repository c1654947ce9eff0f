import { definitionOf, type GuideRow, type KeepingRow } from '@ours/core';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { FormDialog } from '@/kit/form/FormDialog';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { Mark } from '@/kit/text/Mark';
import { Small } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useGuide } from '@/shared/useGuide';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { fromWords, timesWords } from './words';

const INPUTS = {
  name: { label: 'What kind of things', needed: 'A kind needs a name.' },
  words: {
    label: 'Words in their name or category (comma between)',
    hint: 'A thing with one of them in its name is of this kind.',
    needed: 'At least one word is needed, or no thing is of this kind.',
  },
  openedDays: { label: 'Days once opened', hint: 'Empty: as published.' },
  cookedDays: { label: 'Days in the refrigerator once cooked', hint: 'Empty: as published.' },
  freezerMonths: { label: 'Months of good quality in a freezer', hint: 'Quality, not safety. Empty: as published.' },
  source: { label: 'Where you have it from' },
};
type Asked = Pick<KeepingRow, keyof typeof INPUTS>;
type Editing = { row: GuideRow | null };

/** How long things keep: as published, with source and edition, and the home's own rules, which win. */
export function KeepingScreen() {
  const guide = useGuide();
  const [editing, setEditing] = useState<Editing | null>(null);
  const own = guide.rows.filter((row) => row.own);
  const published = guide.rows.filter((row) => !row.own);
  const list = (rows: readonly GuideRow[]) =>
    rows.map((row) => (
      <ListRow
        key={row.key}
        title={row.name}
        detail={`${timesWords(row)}. ${fromWords(row)}`}
        detailLines={4}
        onPress={() => setEditing({ row })}
        right={row.own ? <Mark kind="plain" label="ours" /> : undefined}
      />
    ));
  return (
    <Screen title="How long things keep" back="/household">
      <YStack padding={16} gap={10}>
        <Small>
          A printed date is never made later by any of this, and what you say of one thing on its page wins over its
          kind. Days are in the refrigerator at 4 °C (40 °F) or below, for dry goods in the cupboard. When in doubt,
          throw it out.
        </Small>
        <Button label="Add a rule of our own" onPress={() => setEditing({ row: null })} />
      </YStack>
      <ListHeading title="Our rules" remark={own.length === 0 ? 'none: all is as published' : 'they win'} />
      {list(own)}
      <ListHeading title="As published" remark="tap one to change it" />
      {list(published)}
      {editing ? <RuleDialog row={editing.row} onClose={() => setEditing(null)} /> : null}
    </Screen>
  );
}

/** A rule of the home, a published one to be changed by it, or a new one. */
function RuleDialog({ row, onClose }: { row: GuideRow | null; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const known = useHousehold(({ state }) => (row?.own ? state.get('keeping', row.key) : undefined));
  const start: Asked = known ?? {
    name: row?.name ?? '',
    words: [...(row?.words ?? [])],
    openedDays: row?.openedDays ?? null,
    cookedDays: row?.cookedDays ?? null,
    freezerMonths: row?.freezerMonths ?? null,
    source: '',
  };
  const save = (fields: Asked): void =>
    void runCommand(
      'keeping_changed',
      known
        ? [{ op: 'change', entity: 'keeping', id: known.id, fields }]
        : [
            {
              op: 'create',
              entity: 'keeping',
              id: opContext().newId(),
              fields: { ...fields, replaces: row?.key ?? '' },
            },
          ],
      `Saved: how long ${fields.name} keep.`,
    );
  return (
    <FormDialog<keyof Asked, Asked>
      title={row === null ? 'A rule of our own' : row.own ? row.name : `Our rule for ${row.name}`}
      fields={definitionOf('keeping').fields}
      inputs={INPUTS}
      start={start}
      unit={unit}
      check={({ words }) => (words.length === 0 ? { words: INPUTS.words.needed } : {})}
      onSave={save}
      onClose={onClose}
    >
      {known ? (
        <Button
          kind="quiet"
          label={known.replaces === '' ? 'Take this rule away' : 'As published again'}
          onPress={() => {
            onClose();
            void runCommand(
              'keeping_retired',
              [{ op: 'retire', entity: 'keeping', id: known.id }],
              `${known.name}: our rule is gone.`,
            );
          }}
        />
      ) : null}
    </FormDialog>
  );
}
