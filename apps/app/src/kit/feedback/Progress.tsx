import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';

/** How far something is that takes a while, in words and as a bar, and a way to stop it. */
export function Progress({
  label,
  words,
  share,
  onStop,
}: {
  /** For a screen reader. */
  label: string;
  words: string;
  /** 0…1 */
  share: number;
  /** Missing: it cannot be stopped. */
  onStop?: () => void;
}) {
  const percent = Math.round(Math.max(0, Math.min(1, share)) * 100);
  return (
    <XStack flex={1} gap={8}>
      <YStack flex={1} justifyContent="center" gap={4}>
        <Small>{words}</Small>
        <YStack
          height={6}
          borderRadius={4}
          backgroundColor="$borderColor"
          role="progressbar"
          aria-label={label}
          aria-valuenow={percent}
          aria-valuemin={0}
          aria-valuemax={100}
        >
          <YStack height={6} borderRadius={4} backgroundColor="$accent" width={`${percent}%` as never} />
        </YStack>
      </YStack>
      {onStop ? <Button label="Stop" onPress={onStop} /> : null}
    </XStack>
  );
}
