import { isNamed, type Found, type HouseholdState, type ItemRow } from '@ours/core';
import type { HouseholdStore } from '@/data/HouseholdStore';

/** Least score of the finder for a proposal: most of what was typed is in the name. */
const LEAST_SCORE = 0.7;

/** The item a line names, when the home knows it by this name or a second one. Only sure hits; the rest is proposed. */
export function knownItem(state: HouseholdState, store: HouseholdStore, name: string): ItemRow | null {
  if (name.trim() === '') return null;
  const hits = store.finder.find(name, 12).flatMap((found) => (found.kind === 'item' ? [found.item] : []));
  return hits.find((item) => isNamed(item, name)) ?? null;
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
