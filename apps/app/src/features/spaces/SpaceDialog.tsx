import { definitionOf, type SpaceFields, type SpaceRow } from '@ours/core';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { choicesOf } from '@/kit/form/choice';
import { FormDialog } from '@/kit/form/FormDialog';
import { MEASURE_INPUTS } from './measureInputs';

const INPUTS = {
  name: { label: 'Name', needed: 'A space needs a name.' },
  roomId: { label: 'Room' },
  ...MEASURE_INPUTS,
  locked: { label: 'Lock', choices: choicesOf(['yes', 'no'], { yes: 'Locked', no: 'Not locked' }) },
  note: { label: 'Note', lines: true },
};
type Asked = Pick<SpaceFields, keyof typeof INPUTS>;

/** A space's name, room, measures, lock and note. */
export function SpaceDialog({ space, onClose }: { space: SpaceRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const rooms = useHousehold(({ state }) => state.all('room'));
  const choices = rooms.map(({ id, name }) => ({ value: id, label: name }));
  return (
    <FormDialog<keyof Asked, Asked>
      title={`Space ${space.code}`}
      fields={definitionOf('space').fields}
      inputs={{ ...INPUTS, roomId: { ...INPUTS.roomId, choices } }}
      start={space}
      unit={unit}
      onClose={onClose}
      onSave={(fields) =>
        void runCommand(
          'space_changed',
          [{ op: 'change', entity: 'space', id: space.id, fields }],
          `Saved: ${fields.name}.`,
        )
      }
    />
  );
}
