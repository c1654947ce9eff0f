import { XStack, YStack } from 'tamagui';
import { useSpeech } from '@/kit/speech/useSpeech';
import { Button } from '@/kit/press/Button';
import { Mic } from '@/kit/press/icons';
import { Small } from '@/kit/text/Text';

/**
 * For hands that are busy: a line is spoken, read back like a typed one, and goes on by a large button. Nothing is saved by speech alone.
 */
export function SpeakBar({
  text,
  mayGoOn,
  onText,
  onNext,
}: {
  text: string;
  /** The line is understood as far as it has to be. */
  mayGoOn: boolean;
  onText: (text: string) => void;
  /** Saves the line. */
  onNext: () => void;
}) {
  const { listening, problem, start, stop } = useSpeech((said) => onText(said));
  return (
    <YStack gap={6} role="group" aria-label="Speak the line">
      <XStack gap={8}>
        <Button
          grow
          icon={Mic}
          selected={listening}
          label={listening ? 'Listening, stop' : 'Speak the line'}
          onPress={listening ? stop : start}
        />
        <Button
          grow
          kind="primary"
          label="Next"
          disabled={text.trim() === '' || !mayGoOn}
          onPress={() => {
            stop();
            onNext();
          }}
        />
        <Button
          label="Back"
          disabled={text === ''}
          onPress={() => {
            stop();
            onText('');
          }}
        />
      </XStack>
      {problem === '' ? null : (
        <Small role="alert" color="$late">
          {problem}
        </Small>
      )}
    </YStack>
  );
}
