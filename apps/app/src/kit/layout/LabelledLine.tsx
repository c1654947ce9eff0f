import type { ReactNode } from 'react';
import { XStack } from 'tamagui';
import { Small } from '@/kit/text/Text';

/** What a control is for, at the left, and the control at the right. */
export function LabelledLine({ label, children }: { label: string; children: ReactNode }) {
  return (
    <XStack alignItems="center" justifyContent="space-between" gap={8}>
      <Small flex={1}>{label}</Small>
      {children}
    </XStack>
  );
}
