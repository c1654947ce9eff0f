import { readCode, type RecordedLine } from '@ours/core';
import { useLocalSearchParams } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import type { TextInput } from 'react-native';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { recentNooks, rememberNook } from '@/shared/recent';
import { useScanned } from '@/shared/ScanProvider';
import { wayTo } from '@/shared/placeWords';
import { cardOf } from './cardOf';
import { cardOfCode, isCodeOfGoods } from './cardOfCode';
import type { SavedLine, UnsavedLine } from './JustNow';
import { useSaveLine } from './useSaveLine';

/**
 * Recording line after line into one place: what is typed and how it is read, where it goes, saving it and going on. A line that
 * cannot be saved is never lost: it comes back into the field as soon as that is empty.
 * @param at the place; null: the one the page was asked for, else the last one
 */
export function useRecording(at: string | null = null) {
  const params = useLocalSearchParams<{ nook?: string }>();
  const asked = at ?? params.nook ?? null;
  const { me } = useHouseholdContext();
  const [nookId, setNookId] = useState<string | null>(asked);
  const [text, setText] = useState('');
  const [changes, setChanges] = useState<Partial<RecordedLine>>({});
  const [saved, setSaved] = useState<SavedLine[]>([]);
  const [unsaved, setUnsaved] = useState<UnsavedLine[]>([]);
  const input = useRef<TextInput>(null);
  const saveLine = useSaveLine();

  useEffect(() => {
    if (asked) setNookId(asked);
  }, [asked]);
  const order = useHousehold(({ state }) => {
    const home = state.get('household', me.householdId);
    return home ? home.dateOrder : 'dmy';
  });
  const read = useHousehold(({ store, version }) => {
    const scan = isCodeOfGoods(text) ? cardOfCode(store, text, today()) : null;
    return {
      card: scan?.card ?? cardOf(store, text, { order, today: today() }),
      problem: scan?.problem ?? null,
      version,
    };
  });
  const card: RecordedLine = { ...read.card, ...changes };
  const place = useHousehold(({ state }) => {
    const written = card.placeKey === null ? undefined : state.nookIdByCodeKey(card.placeKey);
    const wanted =
      written ??
      nookId ??
      recentNooks().find((id) => state.nook(id)?.kind === 'bin') ??
      state.all('bin')[0]?.id ??
      state.all('shelf')[0]?.id;
    const path = wanted === undefined ? null : wayTo(state, wanted);
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
    // A code that is misread, or of nothing that has a name yet, stays in the field.
    if (read.problem !== null || (card.gtin !== null && card.name.trim() === '')) return;
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
  // What is scanned is a line by itself; what was being typed waits.
  const [scanText, setScanText] = useState<string | null>(null);
  const { store } = useHouseholdContext();
  useScanned(({ reading, text: code }) => {
    if (reading.kind === 'place') {
      const id = store.state.nookIdByCodeKey(reading.key);
      if (id === undefined) return false;
      rememberNook(id);
      setNookId(id);
      return true;
    }
    fix({ text: code, changes: {} });
    setScanText(code);
    return true;
  });
  useEffect(() => {
    if (scanText === null || text !== scanText) return;
    setScanText(null);
    // What has no name yet, or is misread, stays in the field.
    void save();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when the scanned code stands in the field
  }, [scanText, text]);
  // A line that could not be saved goes back into the field as soon as nothing stands there.
  useEffect(() => {
    const waiting = unsaved.at(-1);
    if (waiting === undefined || text !== '') return;
    setUnsaved((before) => before.slice(0, -1));
    setText(waiting.text);
    setChanges(waiting.changes);
  }, [unsaved, text]);

  return {
    input,
    text,
    /** What the line says, with what was corrected on it. */
    card,
    /** What is wrong with the code that was typed or scanned. */
    codeProblem: read.problem,
    /** Where it goes; null while there is no place at all. */
    place,
    saved,
    unsaved,
    write,
    correct: (next: Partial<RecordedLine>) => setChanges((now) => ({ ...now, ...next })),
    save,
    fix,
    forget: (id: string) => setSaved((now) => now.filter((line) => line.id !== id)),
    goTo: (id: string) => {
      setNookId(id);
      rememberNook(id);
    },
  };
}
