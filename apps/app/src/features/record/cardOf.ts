import {
  recordLine,
  thingNamed,
  type Found,
  type ItemRow,
  type LineHabits,
  type ReadingChanges,
  type RecordedLine,
} from '@ours/core';
import type { HouseholdStore } from '@/data/store/HouseholdStore';

/** Least score of the finder for a proposal: most of what was typed is in the name. */
const LEAST_SCORE = 0.7;

/** The line as a card, with what the home knows: its things, and whether the place it names exists. */
export function cardOf(store: HouseholdStore, text: string, habits: LineHabits): RecordedLine {
  const card = recordLine(text, habits, store.finder.things);
  const place = card.pieces.find(({ part }) => part === 'place');
  const written = place ? text.slice(place.from, place.to) : text.trim();
  const checked = <T extends ReadingChanges>(reading: T): T => {
    const { placeKey, questions } = reading;
    if (!placeKey || store.state.nookIdByCodeKey(placeKey) !== undefined) return reading;
    return {
      ...reading,
      placeKey: null,
      questions: [...(questions ?? []), { kind: 'which_place', written, key: null }],
    };
  };
  // Every reading that can be chosen is checked, not only the one that is shown.
  const questions = card.questions.map((question) =>
    question.kind === 'which_reading' ? { ...question, options: question.options.map(checked) } : question,
  );
  return checked({ ...card, questions, otherReadings: card.otherReadings.map(checked) });
}

/** The id of the item that a name is sure to mean, or null. */
export const itemIdOf = (store: HouseholdStore, name: string): string | null =>
  thingNamed(store.finder.things, name)?.id ?? null;

/** Items that may be meant, while typing. */
export function proposedItems(store: HouseholdStore, name: string): ItemRow[] {
  if (name.trim().length < 2) return [];
  return store.finder
    .find(name, 12)
    .filter((found): found is Extract<Found, { kind: 'item' }> => found.kind === 'item' && found.score >= LEAST_SCORE)
    .map(({ item }) => item)
    .slice(0, 4);
}
