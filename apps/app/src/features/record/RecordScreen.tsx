import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { EmptyState } from '@/kit/layout/EmptyState';
import { Button } from '@/kit/press/Button';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';
import { isSpeechOn, recognitionOf } from '@/kit/speech/speechChoice';
import { Plate } from '@/kit/text/Plate';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Small, Strong } from '@/kit/text/Text';
import { ScanButton } from '@/features/scan';
import { NookPicker } from '@/shared/NookPicker';
import { BelongsHint } from './BelongsHint';
import { JustNow } from './JustNow';
import { ReadBack } from './ReadBack';
import { BESIDE_WIDTH, RecordBeside } from './RecordBeside';
import { SpeakBar } from './SpeakBar';
import { useRecording } from './useRecording';

/** Line after line into one place: read back as a card, corrected, saved, on to the next. */
export function RecordScreen() {
  const router = useRouter();
  const [choosing, setChoosing] = useState(false);
  const [speaks] = useState(() => isSpeechOn() && recognitionOf() !== null);
  const recording = useRecording();
  const { input, text, card, place } = recording;
  if (place === null) {
    return (
      <Screen title="Record">
        <EmptyState
          text="There is no place yet to record into. Set up a cupboard first; it takes a minute."
          action="Set up a cupboard"
          onPress={() => router.push('/space/new')}
        />
      </Screen>
    );
  }
  const name = place.path.bins.at(-1)?.name ?? place.path.steps.at(-1) ?? '';
  const spaceId = place.path.space?.id ?? null;
  const where = (
    <XStack
      paddingHorizontal={16}
      paddingVertical={10}
      gap={10}
      alignItems="center"
      backgroundColor="$background"
      borderTopWidth={1}
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <YStack flex={1} minWidth={0}>
        <Small numberOfLines={1}>into {place.path.steps.slice(0, 2).join(' › ')}</Small>
        <Strong numberOfLines={1}>{name}</Strong>
      </YStack>
      <Plate code={place.path.code} />
      <Button label="Change" onPress={() => setChoosing(true)} />
    </XStack>
  );
  const lines = (
    <>
      <YStack padding={16} gap={12} maxWidth={640}>
        <Field
          ref={input}
          label="What is it? One line, as you would say it"
          large
          wraps
          placeholder="6 tins tomatoes 400 g exp 3/27"
          value={text}
          onChangeText={recording.write}
          onSubmitEditing={() => void recording.save()}
          submitBehavior="submit"
          autoCapitalize="none"
          autoCorrect={false}
          testID="record-line"
        />
        {speaks ? (
          <SpeakBar
            text={text}
            mayGoOn={card.understood}
            onText={recording.write}
            onNext={() => void recording.save()}
          />
        ) : null}
        {text.trim() === '' ? (
          <Small>
            Also: “2 eggs used”, “candles =5” or “out of rice” say what is left, “opened today”, “frozen”, “batch L12”,
            “#tag”, “@{place.path.code}”, or the number below a bar code.
          </Small>
        ) : (
          <ReadBack
            recording={recording}
            nookId={place.id}
            hint={<BelongsHint card={card} nookId={place.id} onGo={recording.goTo} />}
          />
        )}
      </YStack>
      <JustNow
        lines={recording.saved}
        unsaved={recording.unsaved}
        nookId={place.id}
        onFix={recording.fix}
        onUndone={recording.forget}
      />
    </>
  );
  return (
    <Screen title="Record" right={<ScanButton keep />}>
      {where}
      <TwoPane
        gap={0}
        left={lines}
        right={spaceId ? <RecordBeside spaceId={spaceId} nookId={place.id} onGo={recording.goTo} /> : null}
        rightWidth={spaceId ? BESIDE_WIDTH : 0}
        narrow={lines}
      />
      <Dialog title="Which place?" open={choosing} onClose={() => setChoosing(false)}>
        <NookPicker
          label="A code or a name"
          onPick={(id) => {
            recording.goTo(id);
            setChoosing(false);
          }}
        />
      </Dialog>
    </Screen>
  );
}
