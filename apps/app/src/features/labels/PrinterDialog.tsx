import { Image } from 'react-native';
import { YStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { printer } from '@/simulated/devices';
import { printerWords } from './words';

const WIDTH = 310;

/** What came out of the simulated label printer. */
export function PrinterDialog({ pictures, onClose }: { pictures: readonly string[]; onClose: () => void }) {
  const media = printer.media();
  return (
    <Dialog title="Label printer (simulated)" open onClose={onClose}>
      <Small>{printerWords(pictures.length, media)}</Small>
      <YStack gap={8} testID="printed-labels">
        {pictures.map((uri, at) => (
          <Image
            key={at}
            source={{ uri }}
            accessibilityLabel={`Printed label ${at + 1}`}
            style={{ width: WIDTH, height: (WIDTH * media.heightMm) / media.widthMm }}
          />
        ))}
      </YStack>
      <Button label="Done" onPress={onClose} />
    </Dialog>
  );
}
