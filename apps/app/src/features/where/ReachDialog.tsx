import { ENTITIES, type PersonRow } from '@ours/core';
import { FormDialog } from '@/kit/form/FormDialog';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';

/** How far somebody reaches without a step, and whether they take one. */
export function ReachDialog({ person, onClose }: { person: PersonRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  return (
    <FormDialog<'reachTenthMm' | 'takesSteps', Pick<PersonRow, 'reachTenthMm'> & { takesSteps: boolean | null }>
      title={`How far ${person.name} reaches`}
      fields={ENTITIES.person.fields}
      inputs={{
        reachTenthMm: { label: 'Height of a raised hand over the floor', hint: 'Standing flat, without a step.' },
        takesSteps: {
          label: 'Takes a step or stool',
          choices: [
            { value: '', label: 'as usual for the age' },
            { value: 'yes', label: 'yes' },
            { value: 'no', label: 'no' },
          ],
        },
      }}
      start={{ reachTenthMm: person.reachTenthMm, takesSteps: person.takesSteps ?? null }}
      unit={unit}
      onSave={(fields) =>
        void runCommand(
          'person_changed',
          [{ op: 'change', entity: 'person', id: person.id, fields }],
          `Saved: how far ${person.name} reaches.`,
        )
      }
      onClose={onClose}
    />
  );
}
