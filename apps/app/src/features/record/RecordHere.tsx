import { YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { codeProblemWords } from '@/kit/text/codeWords';
import { Small } from '@/kit/text/Text';
import { JustNow } from './JustNow';
import { Proposals } from './Proposals';
import { RecordCard } from './RecordCard';
import { useRecording } from './useRecording';

/** Line after line into this place, within another page. */
export function RecordHere({ nookId }: { nookId: string }) {
  const recording = useRecording(nookId);
  const { input, text, card, place } = recording;
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
        {text.trim() === '' ? null : recording.codeProblem ? (
          <Small role="alert">{codeProblemWords(recording.codeProblem)}</Small>
        ) : (
          <>
            <Proposals card={card} onPick={recording.correct} />
            <RecordCard
              card={card}
              nookId={place.id}
              onChange={recording.correct}
              onSave={() => void recording.save()}
            />
          </>
        )}
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
