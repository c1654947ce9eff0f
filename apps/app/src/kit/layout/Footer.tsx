import type { ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { Small } from '@/kit/text/Text';

/**
 * What is done on a page, at its foot and within the thumb's reach. `note`: what is still missing, above it; `urgent`: it says what is
 * wrong, and is read out.
 */
export function Footer({
  note = '',
  urgent = false,
  children,
}: {
  note?: string;
  urgent?: boolean;
  children: ReactNode;
}) {
  return (
    <YStack padding={12} gap={6} borderTopWidth={1} borderColor="$borderColor" backgroundColor="$backgroundStrong">
      {note === '' ? null : (
        <Small {...(urgent ? { role: 'alert' as const, color: '$late' as const } : {})}>{note}</Small>
      )}
      <XStack gap={8} alignItems="center" flexWrap="wrap">
        {children}
      </XStack>
    </YStack>
  );
}
