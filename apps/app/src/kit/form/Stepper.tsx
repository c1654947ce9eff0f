import type { ReactNode } from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Minus, Plus } from '@/kit/press/icons';
import { Strong } from '@/kit/text/Text';

/** One less, how many there are, one more. */
export function Stepper({
  label,
  value,
  less,
  more,
  onLess,
  onMore,
  canLess = true,
  canMore = true,
  testID,
}: {
  /** What is counted, for a screen reader. */
  label: string;
  value: ReactNode;
  less: string;
  more: string;
  onLess: () => void;
  onMore: () => void;
  canLess?: boolean;
  canMore?: boolean;
  testID?: string;
}) {
  return (
    <XStack role="group" aria-label={label} alignItems="center" gap={4} flexShrink={0}>
      <Button icon={Minus} iconOnly label={less} disabled={!canLess} onPress={onLess} />
      <Strong minWidth={30} textAlign="center" aria-live="polite" testID={testID}>
        {value}
      </Strong>
      <Button icon={Plus} iconOnly label={more} disabled={!canMore} onPress={onMore} />
    </XStack>
  );
}
