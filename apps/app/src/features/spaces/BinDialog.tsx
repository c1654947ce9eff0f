import { BIN_LOOKS, codePrefix, formatLength, newBinCode, readLength, type BinFields, type BinRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { useHousehold, useHouseholdContext } from '@/home/HouseholdProvider';
import { useRunCommand } from '@/home/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';
import { Small } from '@/kit/text/Text';
import { BIN_LOOK_WORDS } from './words';

/** A bin's name, kind and measures; and a new code when it has come to stand somewhere else. */
export function BinDialog({ bin, onClose, onRemove }: { bin: BinRow; onClose: () => void; onRemove: () => void }) {
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const unit = useHousehold(({ state }) => state.get('household', me.householdId)?.lengthUnit ?? 'metric');
  const parent = useHousehold(({ state }) => state.nook(bin.parentBinId ?? bin.shelfId)?.row.code ?? bin.code);
  const inUse = useHousehold(({ state }) => state.codesInUse());
  const [name, setName] = useState(bin.name);
  const [look, setLook] = useState(bin.look);
  const [lid, setLid] = useState<'yes' | 'no'>(bin.hasLid ? 'yes' : 'no');
  const [tags, setTags] = useState(bin.tags.join(', '));
  const measure = useMeasures(bin, unit);
  const nameProblem = name.trim() === '' ? 'A bin needs a name.' : undefined;
  const elsewhere = codePrefix(parent) !== codePrefix(bin.code) || !bin.code.startsWith(parent.slice(0, -1));
  const save = (more: Partial<BinFields> = {}): void => {
    const list = [
      ...new Set(
        tags
          .split(',')
          .map((tag) => tag.trim().replace(/^#/, ''))
          .filter(Boolean),
      ),
    ];
    onClose();
    void runCommand(
      'bin_changed',
      [
        {
          op: 'change',
          entity: 'bin',
          id: bin.id,
          fields: { name: name.trim(), look, hasLid: lid === 'yes', tags: list, ...measure.values(), ...more },
        },
      ],
      `Saved: ${name.trim()}.`,
    );
  };
  return (
    <Dialog title={`Bin ${bin.code}`} open onClose={onClose}>
      <Field label="Name" value={name} onChangeText={setName} problem={nameProblem} maxLength={120} />
      <Choices
        label="Kind"
        wrap
        choices={BIN_LOOKS.map((value) => ({ value, label: BIN_LOOK_WORDS[value] }))}
        value={look}
        onChange={setLook}
      />
      <Choices
        label="Lid"
        choices={[
          { value: 'yes', label: 'With lid' },
          { value: 'no', label: 'Open' },
        ]}
        value={lid}
        onChange={setLid}
      />
      <XStack gap={8}>{measure.fields}</XStack>
      {measure.problem ? <Small color="$late">{measure.problem}</Small> : null}
      <Field label="Tags (comma between)" value={tags} onChangeText={setTags} autoCapitalize="none" />
      {elsewhere ? (
        <>
          <Small>Its label says {bin.code}, from where it stood before. It is found by that code wherever it is.</Small>
          <Button
            label={`New code ${newBinCode(parent, inUse)}`}
            onPress={() => save({ code: newBinCode(parent, inUse) })}
            disabled={nameProblem !== undefined || measure.problem !== null}
          />
        </>
      ) : null}
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label="Save"
          disabled={nameProblem !== undefined || measure.problem !== null}
          onPress={() => save()}
        />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
      <Button kind="quiet" label="Remove this bin …" onPress={onRemove} />
    </Dialog>
  );
}

type Measured = Pick<BinFields, 'widthTenthMm' | 'heightTenthMm' | 'depthTenthMm'>;

/** Three tape readings; empty means not measured. */
export function useMeasures(start: Measured, unit: 'metric' | 'inch') {
  const shown = (value: number | null): string => (value === null ? '' : formatLength(value, unit));
  const [texts, setTexts] = useState({
    widthTenthMm: shown(start.widthTenthMm),
    heightTenthMm: shown(start.heightTenthMm),
    depthTenthMm: shown(start.depthTenthMm),
  });
  const readings = Object.fromEntries(
    Object.entries(texts).map(([key, text]) => [
      key,
      text.trim() === ''
        ? null
        : text === shown(start[key as keyof Measured])
          ? { ok: true as const, tenthMm: start[key as keyof Measured]! }
          : readLength(text, unit),
    ]),
  );
  const problem = Object.values(readings).find((reading) => reading !== null && !reading.ok);
  const field = (key: keyof Measured, label: string) => (
    <Field
      key={key}
      width={110}
      label={label}
      value={texts[key]}
      placeholder={unit === 'metric' ? 'cm' : 'in'}
      onChangeText={(text) => setTexts((now) => ({ ...now, [key]: text }))}
    />
  );
  return {
    fields: [field('widthTenthMm', 'Wide'), field('heightTenthMm', 'High'), field('depthTenthMm', 'Deep')],
    problem: problem && !problem.ok ? problem.problem : null,
    values: (): Measured =>
      Object.fromEntries(
        Object.entries(readings).map(([key, reading]) => [
          key,
          reading !== null && reading.ok ? reading.tenthMm : null,
        ]),
      ) as unknown as Measured,
  };
}
