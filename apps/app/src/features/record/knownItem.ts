import { foldText, type Found, type HouseholdState, type ItemRow, type RecordedLine } from '@ours/core';
import type { HouseholdStore } from '@/data/HouseholdStore';

/** Least score of the finder for a proposal: most of what was typed is in the name. */
const LEAST_SCORE = 0.7;

/** Folded, with a plural s taken off each word: `Tomatoes` is `tomato`. */
const bare = (text: string): string =>
  foldText(text)
    .split(' ')
    .map((word) => word.replace(/(?<=[^s])(es|s)$/, ''))
    .join(' ');

/** The item a line names, when the home knows it by this name or a second one. Only sure hits; the rest is proposed. */
export function knownItem(
  state: HouseholdState,
  store: HouseholdStore,
  card: Pick<RecordedLine, 'name'>,
): ItemRow | null {
  const wanted = bare(card.name);
  if (wanted === '') return null;
  const hits = store.finder.find(card.name, 12).flatMap((found) => (found.kind === 'item' ? [found.item] : []));
  const same = (item: ItemRow): boolean => [item.name, ...item.synonyms].some((name) => bare(name) === wanted);
  return hits.find(same) ?? state.all('item').find(same) ?? null;
}

/** Items that may be meant, while typing. */
export function proposedItems(store: HouseholdStore, name: string): ItemRow[] {
  if (name.trim().length < 2) return [];
  return store.finder
    .find(name, 12)
    .filter((found): found is Extract<Found, { kind: 'item' }> => found.kind === 'item' && found.score >= LEAST_SCORE)
    .map(({ item }) => item)
    .slice(0, 4);
}
