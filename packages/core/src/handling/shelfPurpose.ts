/** What a shelf is for, and the things on it that are not. */
import { foldedWords, singularWord } from '../base';
import type { HouseholdState, ItemRow, LotRow, ShelfPurpose, ShelfRow } from '../household';
import { purposeOf } from './kindOf';

const wordsOf = (text: string): string[] => foldedWords(text).map(singularWord);

/**
 * Whether a thing belongs on a shelf: one of what it takes is among its tags, is its category or its kind, or stands in its name.
 * For example a shelf that takes towels takes a `Guest towel, linen`.
 */
export function takesItem({ takes }: ShelfPurpose, item: ItemRow): boolean {
  if (takes.length === 0) return true;
  const said = new Set([...item.tags, item.category, purposeOf(item)].map((one) => wordsOf(one).join(' ')));
  const name = wordsOf(item.name);
  return takes.some((one) => {
    const words = wordsOf(one);
    return words.length > 0 && (said.has(words.join(' ')) || words.every((word) => name.includes(word)));
  });
}

/** Lots on a shelf, and in its bins and what stands in these, that break what it is for. */
export function againstPurpose(state: HouseholdState, shelf: ShelfRow): { lot: LotRow; item: ItemRow }[] {
  const { purpose } = shelf;
  if (!purpose) return [];
  const inside = (nookId: string): { lot: LotRow; item: ItemRow }[] => [
    ...state.lotsIn(nookId).flatMap((lot) => {
      const item = state.get('item', lot.itemId);
      return item && lot.quantityThousandths > 0 && !takesItem(purpose, item) ? [{ lot, item }] : [];
    }),
    ...state.binsIn(nookId).flatMap(({ id }) => inside(id)),
  ];
  return inside(shelf.id);
}
