import type { ComponentType } from 'react';
import { styled, XStack } from 'tamagui';
import { usePalette } from '@/kit/theme/usePalette';
import { pressable } from './pressable';
import { Strong } from '@/kit/text/Text';

const Frame = styled(XStack, {
  minHeight: 48,
  paddingHorizontal: 14,
  alignItems: 'center',
  justifyContent: 'center',
  gap: 8,
  borderRadius: 10,
  borderWidth: 1,
  borderColor: '$color',
  backgroundColor: '$background',
  pressStyle: { opacity: 0.7 },
  variants: {
    kind: {
      primary: { backgroundColor: '$accent', borderColor: '$accent' },
      plain: {},
      quiet: { borderColor: 'transparent', backgroundColor: 'transparent', paddingHorizontal: 10 },
      danger: { borderColor: '$late', backgroundColor: '$lateTint' },
    },
    disabled: { true: { opacity: 0.45 } },
  } as const,
});

export type IconType = ComponentType<{ size?: number; color?: string; strokeWidth?: number }>;

export interface ButtonProps {
  label: string;
  onPress: () => void;
  kind?: 'primary' | 'plain' | 'quiet' | 'danger';
  icon?: IconType;
  /** Shows the icon only; the label is what a screen reader says. */
  iconOnly?: boolean;
  disabled?: boolean;
  grow?: boolean;
  selected?: boolean;
}

/** At least 44 px high, reachable by keyboard, with one clear label. */
export function Button({
  label,
  onPress,
  kind = 'plain',
  icon: Icon,
  iconOnly = false,
  disabled = false,
  grow = false,
  selected,
}: ButtonProps) {
  const palette = usePalette();
  const color = { primary: palette.onGreen, plain: palette.ink, quiet: palette.green, danger: palette.late }[kind];
  return (
    <Frame
      kind={kind}
      disabled={disabled}
      aria-label={label}
      aria-pressed={selected}
      {...(selected ? { backgroundColor: '$greenTint', borderColor: '$green' } : {})}
      {...(grow ? { flexGrow: 1, flexBasis: 0 } : {})}
      {...(iconOnly ? { paddingHorizontal: 0, width: 48 } : {})}
      {...pressable({ onPress, disabled })}
    >
      {Icon ? <Icon size={20} color={color} strokeWidth={2} /> : null}
      {iconOnly ? null : (
        <Strong style={{ color }} numberOfLines={1}>
          {label}
        </Strong>
      )}
    </Frame>
  );
}
