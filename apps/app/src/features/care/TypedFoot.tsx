import { XStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { PersonChoice } from '@/shared/PersonChoice';

/** The foot of what somebody types from a package or a plan: who it was, and the buttons. */
export function TypedFoot({
  by,
  onBy,
  onSave,
  onBack,
}: {
  by: string | null;
  onBy: (personId: string | null) => void;
  onSave: () => void;
  onBack: () => void;
}) {
  return (
    <>
      <PersonChoice
        label="Who typed it"
        value={by}
        nobody="Not said"
        only={(role) => role === 'adult'}
        onChange={onBy}
      />
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" onPress={onSave} />
        <Button label="Back" onPress={onBack} />
      </XStack>
    </>
  );
}
