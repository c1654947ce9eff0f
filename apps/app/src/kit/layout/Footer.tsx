import type { ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { Small } from '@/kit/text/Text';

/** What is done on a page, at its foot and within the thumb's reach. `note`: what is still missing, above it. */
export function Footer({ note = '', children }: { note?: string; children: ReactNode }) {
  return (
    <YStack padding={12} gap={6} borderTopWidth={1} borderColor="$borderColor" backgroundColor="$backgroundStrong">
      {note === '' ? null : <Small>{note}</Small>}
      <XStack gap={8} alignItems="center">
        {children}
      </XStack>
    </YStack>
  );
}
