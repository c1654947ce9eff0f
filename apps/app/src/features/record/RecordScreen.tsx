import { placePath, readCode, type RecordedLine } from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import type { TextInput } from 'react-native';
import { XStack, YStack } from 'tamagui';
import { useHousehold, useHouseholdContext } from '@/home/HouseholdProvider';
import { recentNooks, rememberNook } from '@/home/recent';
import { today } from '@/home/opContext';
import { Button } from '@/kit/press/Button';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';
import { Plate } from '@/kit/text/Plate';
import { Screen } from '@/kit/layout/Screen';
import { Small, Strong, Text } from '@/kit/text/Text';
import { NookPicker } from '@/home/NookPicker';
import { cardOf } from './cardOf';
import { JustNow, type SavedLine, type UnsavedLine } from './JustNow';
import { Proposals } from './Proposals';
import { RecordCard } from './RecordCard';
import { useSaveLine } from './useSaveLine';

/** Line after line into one place: read back as a card, corrected, saved, on to the next. */
export function RecordScreen() {
  const params = useLocalSearchParams<{ nook?: string }>();
  const router = useRouter();
  const { me } = useHouseholdContext();
  const [nookId, setNookId] = useState<string | null>(params.nook ?? null);
  const [choosing, setChoosing] = useState(false);
  const [text, setText] = useState('');
  const [changes, setChanges] = useState<Partial<RecordedLine>>({});
  const [saved, setSaved] = useState<SavedLine[]>([]);
  const [unsaved, setUnsaved] = useState<UnsavedLine[]>([]);
  const input = useRef<TextInput>(null);
  const saveLine = useSaveLine();

  useEffect(() => {
    if (params.nook) setNookId(params.nook);
  }, [params.nook]);
  const order = useHousehold(({ state }) => {
    const home = state.get('household', me.householdId);
    return home ? home.dateOrder : 'dmy';
  });
  const read = useHousehold(({ store }) => cardOf(store, text, { order, today: today() }));
  const card: RecordedLine = { ...read, ...changes };
  const place = useHousehold(({ state }) => {
    const written = card.placeKey === null ? undefined : state.nookIdByCodeKey(card.placeKey);
    const wanted =
      written ??
      nookId ??
      recentNooks().find((id) => state.nook(id)?.kind === 'bin') ??
      state.all('bin')[0]?.id ??
      state.all('shelf')[0]?.id;
    const path = wanted === undefined ? null : placePath(state, wanted);
    return wanted === undefined || !path || state.nook(wanted)?.row.retired ? null : { id: wanted, path };
  });

  const write = (next: string): void => {
    // What is pasted may come in several lines; here it is one.
    setText(next.replace(/\s*\n\s*/g, ' '));
    setChanges({});
  };
  // A scanner types a label's code and presses Enter: that is the place from now on.
  const scanned = useHousehold(({ state }) => {
    const reading = readCode(text.trim());
    return reading.kind === 'valid' ? (state.nookIdByCodeKey(reading.key) ?? null) : null;
  });
  const save = async (): Promise<void> => {
    if (text.trim() === '' || place === null) return;
    if (scanned !== null) {
      rememberNook(scanned);
      setNookId(scanned);
      return write('');
    }
    // The field is free at once: the next line is often typed before this one is kept.
    write('');
    rememberNook(place.id);
    setNookId(place.id);
    input.current?.focus();
    const done = await saveLine(card, place.id);
    if (done === null) setUnsaved((before) => [...before, { text, changes }]);
    else setSaved((before) => [done, ...before].slice(0, 30));
  };
  const writeAgain = (line: UnsavedLine): void => {
    setText(line.text);
    setChanges(line.changes);
    input.current?.focus();
  };
  /** Another line into the field. What stands there now waits among the unsaved ones. */
  const fix = (line: UnsavedLine): void => {
    const inField = text.trim() === '' ? [] : [{ text, changes }];
    setUnsaved((before) => [...before.filter((other) => other !== line), ...inField]);
    writeAgain(line);
  };
  // A line that could not be saved goes back into the field as soon as nothing stands there.
  useEffect(() => {
    const waiting = unsaved.at(-1);
    if (waiting === undefined || text !== '') return;
    setUnsaved((before) => before.slice(0, -1));
    setText(waiting.text);
    setChanges(waiting.changes);
  }, [unsaved, text]);

  if (place === null) {
    return (
      <Screen title="Record">
        <YStack padding={16} gap={12}>
          <Text>There is no place yet to record into. Set up a cupboard first; it takes a minute.</Text>
          <Button kind="primary" label="Set up a cupboard" onPress={() => router.push('/space/new')} />
        </YStack>
      </Screen>
    );
  }
  const name = place.path.bins.at(-1)?.name ?? place.path.steps.at(-1) ?? '';
  return (
    <Screen title="Record">
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
      <YStack padding={16} gap={12} maxWidth={640}>
        <Field
          ref={input}
          label="What is it? One line, as you would say it"
          large
          wraps
          placeholder="6 tins tomatoes 400 g exp 3/27"
          value={text}
          onChangeText={write}
          onSubmitEditing={() => void save()}
          submitBehavior="submit"
          autoCapitalize="none"
          autoCorrect={false}
          testID="record-line"
        />
        {text.trim() === '' ? (
          <Small>
            Also: “2 eggs used”, “candles =5” or “out of rice” say what is left, “opened today”, “frozen”, “#tag”, “@
            {place.path.code}”.
          </Small>
        ) : (
          <>
            <Proposals card={card} onPick={(item) => setChanges((now) => ({ ...now, ...item }))} />
            <RecordCard
              card={card}
              nookId={place.id}
              onChange={(next) => setChanges((now) => ({ ...now, ...next }))}
              onSave={() => void save()}
            />
          </>
        )}
      </YStack>
      <JustNow
        lines={saved}
        unsaved={unsaved}
        nookId={place.id}
        onFix={fix}
        onUndone={(id) => setSaved((now) => now.filter((line) => line.id !== id))}
      />
      <Dialog title="Which place?" open={choosing} onClose={() => setChoosing(false)}>
        <NookPicker
          label="A code or a name"
          onPick={(id) => {
            setNookId(id);
            rememberNook(id);
            setChoosing(false);
          }}
        />
      </Dialog>
    </Screen>
  );
}
