import { XStack, YStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Mono, Small, Strong } from '@/kit/text/Text';
import { KEY_GROUPS } from './words';

/** All keys there are, by where they work. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog title="All keys" open onClose={onClose}>
      {KEY_GROUPS.map(({ title, keys }) => (
        <YStack key={title} gap={4}>
          <Strong role="heading" aria-level={2}>
            {title}
          </Strong>
          {keys.map(([key, words]) => (
            <XStack key={key} gap={12}>
              <Mono width={120}>{key}</Mono>
              <Small flex={1}>{words}</Small>
            </XStack>
          ))}
        </YStack>
      ))}
      <Button label="Done" onPress={onClose} />
    </Dialog>
  );
}
