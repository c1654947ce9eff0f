import { definitionOf, type Labelled } from '@ours/core';
import { FormDialog } from '@/kit/form/FormDialog';
import { useHome } from '@/shared/useHome';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';

interface Asked {
  labelWords: string | null;
}

/** What stands on a label, where it is not the name of its place. */
export function WordsDialog({ label, onClose }: { label: Pick<Labelled, 'nookId' | 'words'>; onClose: () => void }) {
  const { unit, currency } = useHome();
  const runCommand = useRunCommand();
  const nook = useHousehold(({ state }) => state.nook(label.nookId));
  if (nook?.kind !== 'bin' && nook?.kind !== 'shelf') return null;
  const { name } = nook.row;
  const save = ({ labelWords }: Asked): void =>
    void runCommand(
      'label_worded',
      [{ op: 'change', entity: nook.kind, id: label.nookId, fields: { labelWords } }],
      labelWords === null ? `On its label: its name, ${name}.` : `On its label: ${labelWords}.`,
    );
  return (
    <FormDialog<keyof Asked, Asked>
      title={`The label of ${name}`}
      fields={{ labelWords: definitionOf('bin').fields.labelWords! }}
      inputs={{
        labelWords: {
          label: 'Words on it',
          placeholder: name,
          hint: 'Left empty, its name stands on it. The place itself keeps its name.',
        },
      }}
      start={{ labelWords: nook.row.labelWords ?? null }}
      unit={unit}
      currency={currency}
      onSave={save}
      onClose={onClose}
    />
  );
}
