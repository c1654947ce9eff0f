/** What of a kind is recorded, for who collects one kind of thing from everywhere. */
import { foldedWords, singularWord } from '../base';
import type { HouseholdState, ItemRow, LotRow } from '../household';

const wordsIn = (text: string): string[] => foldedWords(text).map(singularWord);

/**
 * What is called so, or is of that kind: every word stands in its name, category, tags or other names. Nothing that is only spelled
 * alike: somebody goes and looks for it.
 * @returns what is there of it, by the name of the thing
 */
export function recordedOfKind(state: HouseholdState, words: string): { item: ItemRow; lot: LotRow }[] {
  const wanted = wordsIn(words);
  if (wanted.length === 0) return [];
  return state
    .all('item')
    .filter(({ name, category, tags, synonyms }) => {
      const said = new Set(wordsIn([name, category, ...tags, ...synonyms].join(' ')));
      return wanted.every((word) => said.has(word));
    })
    .sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.id < b.id ? -1 : 1))
    .flatMap((item) =>
      state
        .lotsOf(item.id)
        .filter(({ quantityThousandths }) => quantityThousandths > 0)
        .map((lot) => ({ item, lot })),
    );
}
