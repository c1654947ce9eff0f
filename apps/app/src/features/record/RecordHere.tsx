import { YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { JustNow } from './JustNow';
import { ReadBack } from './ReadBack';
import { useRecording } from './useRecording';

/** Line after line into this place, within another page. */
export function RecordHere({ nookId }: { nookId: string }) {
  const recording = useRecording(nookId);
  const { input, text, place } = recording;
  if (place === null) return null;
  return (
    <YStack gap={10}>
      <YStack paddingHorizontal={16} gap={10}>
        <Field
          ref={input}
          label="What else is in it? One line each"
          wraps
          placeholder="6 tins tomatoes 400 g exp 3/27"
          value={text}
          onChangeText={recording.write}
          onSubmitEditing={() => void recording.save()}
          submitBehavior="submit"
          autoCapitalize="none"
          autoCorrect={false}
        />
        {text.trim() === '' ? null : <ReadBack recording={recording} nookId={place.id} />}
      </YStack>
      <JustNow
        lines={recording.saved}
        unsaved={recording.unsaved}
        nookId={place.id}
        onFix={recording.fix}
        onUndone={recording.forget}
      />
    </YStack>
  );
}
