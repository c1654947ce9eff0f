import { YStack } from 'tamagui';
import { Check, Close } from '@/kit/press/icons';
import { usePalette } from '@/kit/theme/usePalette';
import { pressable } from './pressable';

/** `other`: ticked by somebody else. `crossed`: it cannot be had. */
export type CheckState = 'open' | 'ticked' | 'other' | 'crossed';

/** A box to tick, large enough for a thumb on the way. */
export function CheckSquare({
  label,
  state,
  disabled = false,
  small = false,
  onPress,
}: {
  label: string;
  state: CheckState;
  disabled?: boolean;
  /** For a mouse: in the rows of a table. */
  small?: boolean;
  onPress: () => void;
}) {
  const palette = usePalette();
  const ticked = state === 'ticked' || state === 'other';
  return (
    <YStack
      {...pressable({ onPress, disabled })}
      role="checkbox"
      aria-checked={ticked}
      aria-label={label}
      width={small ? 26 : 48}
      height={small ? 26 : 48}
      borderRadius={10}
      borderWidth={2}
      borderStyle={state === 'crossed' ? 'dashed' : 'solid'}
      borderColor={ticked ? '$green' : state === 'crossed' ? '$second' : '$color'}
      backgroundColor={state === 'ticked' ? '$accent' : state === 'other' ? '$greenTint' : '$background'}
      alignItems="center"
      justifyContent="center"
    >
      {ticked ? <Check size={26} color={state === 'other' ? palette.green : palette.onGreen} strokeWidth={3} /> : null}
      {state === 'crossed' ? <Close size={22} color={palette.second} strokeWidth={2} /> : null}
    </YStack>
  );
}
