import type { ReactNode } from 'react';
import { YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Text } from '@/kit/text/Text';

/** Where there is nothing yet: why, and what to do about it. */
export function EmptyState({
  text,
  action,
  onPress,
  children,
}: {
  text: string;
  action?: string;
  onPress?: () => void;
  children?: ReactNode;
}) {
  return (
    <YStack padding={16} gap={12}>
      <Text>{text}</Text>
      {children}
      {action && onPress ? <Button kind="primary" label={action} onPress={onPress} /> : null}
    </YStack>
  );
}
