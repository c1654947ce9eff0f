import { BIN_LOOKS, codePrefix, definitionOf, newBinCode, type BinFields, type BinRow } from '@ours/core';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { choicesOf } from '@/kit/form/choice';
import { FormDialog } from '@/kit/form/FormDialog';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { MEASURE_INPUTS } from './measureInputs';
import { BIN_LOOK_WORDS } from './words';

const INPUTS = {
  name: { label: 'Name', needed: 'A bin needs a name.' },
  look: { label: 'Kind', choices: choicesOf(BIN_LOOKS, BIN_LOOK_WORDS) },
  hasLid: { label: 'Lid', choices: choicesOf(['yes', 'no'], { yes: 'With lid', no: 'Open' }) },
  ...MEASURE_INPUTS,
  tags: { label: 'Tags (comma between)' },
};
type Asked = Pick<BinFields, keyof typeof INPUTS>;

/** A bin's name, kind and measures; and a new code when it has come to stand somewhere else. */
export function BinDialog({ bin, onClose, onRemove }: { bin: BinRow; onClose: () => void; onRemove: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const parent = useHousehold(({ state }) => state.nook(bin.parentBinId ?? bin.shelfId)?.row.code ?? bin.code);
  const inUse = useHousehold(({ state }) => state.codesInUse());
  const elsewhere = codePrefix(parent) !== codePrefix(bin.code) || !bin.code.startsWith(parent.slice(0, -1));
  const save = (fields: Partial<BinFields> & Asked): void =>
    void runCommand('bin_changed', [{ op: 'change', entity: 'bin', id: bin.id, fields }], `Saved: ${fields.name}.`);
  const newCode = newBinCode(parent, inUse);
  return (
    <FormDialog<keyof Asked, Asked>
      title={`Bin ${bin.code}`}
      fields={definitionOf('bin').fields}
      inputs={INPUTS}
      start={bin}
      unit={unit}
      onSave={save}
      onClose={onClose}
      middle={(submit) =>
        elsewhere ? (
          <>
            <Small>
              Its label says {bin.code}, from where it stood before. It is found by that code wherever it is.
            </Small>
            <Button
              label={`New code ${newCode}`}
              onPress={() => submit((values) => save({ ...values, code: newCode }))}
            />
          </>
        ) : null
      }
    >
      <Button kind="quiet" label="Remove this bin …" onPress={onRemove} />
    </FormDialog>
  );
}
