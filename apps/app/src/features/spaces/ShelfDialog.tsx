import { definitionOf, SHELF_KINDS, type ShelfFields, type ShelfRow } from '@ours/core';
import { SHELF_KIND_WORDS } from '@/features/drawing/words';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { choicesOf } from '@/kit/form/choice';
import { FormDialog } from '@/kit/form/FormDialog';
import { MEASURE_INPUTS } from './measureInputs';

const INPUTS = {
  name: { label: 'Name', hint: 'Empty: it is called by its place, such as “second shelf from top”.' },
  kind: { label: 'Kind', choices: choicesOf(SHELF_KINDS, SHELF_KIND_WORDS) },
  ...MEASURE_INPUTS,
  bottomTenthMm: { label: 'Height of its surface above the foot of the space' },
};
type Asked = Pick<ShelfFields, keyof typeof INPUTS>;

/** A shelf's name, kind and measures. */
export function ShelfDialog({ shelf, onClose }: { shelf: ShelfRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  return (
    <FormDialog<keyof Asked, Asked>
      title={`Shelf ${shelf.code}`}
      fields={definitionOf('shelf').fields}
      inputs={INPUTS}
      start={shelf}
      unit={unit}
      onClose={onClose}
      onSave={(fields) =>
        void runCommand(
          'shelf_changed',
          [{ op: 'change', entity: 'shelf', id: shelf.id, fields }],
          `Saved: ${fields.name || SHELF_KIND_WORDS[fields.kind]}.`,
        )
      }
    />
  );
}
