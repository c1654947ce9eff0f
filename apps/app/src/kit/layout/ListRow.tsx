import type { ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { pressable } from '@/kit/press/pressable';
import { Small, Strong } from '@/kit/text/Text';

/**
 * A line of a list: a name, what is to be said about it, and marks or controls at the right. The text is the button; the
 * rest of the line takes a tap as well.
 */
export function ListRow({
  title,
  detail,
  right,
  onPress,
  selected = false,
  detailLines = 2,
}: {
  title: ReactNode;
  detail?: string | undefined;
  right?: ReactNode;
  onPress?: () => void;
  selected?: boolean;
  /** Lines that the detail may take before it is cut. */
  detailLines?: number;
}) {
  const button = onPress ? pressable({ onPress }) : {};
  return (
    <XStack
      {...(onPress ? { onPress, cursor: 'pointer', pressStyle: { backgroundColor: '$greenTint' } } : {})}
      minHeight={60}
      paddingVertical={9}
      paddingHorizontal={16}
      gap={10}
      alignItems="center"
      backgroundColor={selected ? '$greenTint' : '$background'}
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <YStack {...button} flex={1} minWidth={0} minHeight={42} justifyContent="center">
        <Strong numberOfLines={2}>{title}</Strong>
        {detail ? <Small numberOfLines={detailLines}>{detail}</Small> : null}
      </YStack>
      {right}
    </XStack>
  );
}

/** The heading over a list, with a quiet remark at the right. */
export function ListHeading({ title, remark }: { title: string; remark?: string | undefined }) {
  return (
    <XStack
      paddingHorizontal={16}
      paddingTop={16}
      paddingBottom={8}
      justifyContent="space-between"
      alignItems="baseline"
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <Strong role="heading" aria-level={2}>
        {title}
      </Strong>
      {remark ? (
        <Small fontFamily="$strong" color="$second">
          {remark}
        </Small>
      ) : null}
    </XStack>
  );
}
