import type { ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { CheckSquare, type CheckState } from '@/kit/press/CheckSquare';
import { Small, Strong } from '@/kit/text/Text';
import { FromTo } from './FromTo';

/** One thing to carry: a tap books it. */
export function CarryRow({
  title,
  from,
  to,
  beside = '',
  state,
  onCarry,
  children,
}: {
  title: string;
  from: string;
  to: string;
  /** Said beside the places. */
  beside?: string;
  /** Only what is open can be carried. */
  state: Extract<CheckState, 'open' | 'ticked' | 'crossed'>;
  onCarry: () => void;
  children?: ReactNode;
}) {
  const open = state === 'open';
  return (
    <XStack
      paddingHorizontal={16}
      paddingVertical={8}
      minHeight={68}
      gap={12}
      alignItems="center"
      backgroundColor="$background"
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <CheckSquare label={`${title} carried`} state={state} disabled={!open} onPress={onCarry} />
      <YStack flex={1} minWidth={0} gap={3}>
        <Strong color={open ? '$color' : '$second'}>{title}</Strong>
        <FromTo from={from} to={to}>
          {beside === '' ? null : <Small>{beside}</Small>}
        </FromTo>
        {children}
      </YStack>
    </XStack>
  );
}
