import { foldedWords } from '../base';

/** How long a kind of thing keeps once it is open, where the home has not said. */
export interface OpenedGuess {
  days: number;
  /** Where the number is from. */
  source: string;
}

const CHART = 'US cold-storage chart (FoodSafety.gov), from memory';
const KEEPER = 'US federal food-keeping guidance (FoodKeeper), from memory';
const CAREFUL = 'own careful default, no source';

/** First match counts, so that what keeps shorter stands first. Words in the singular. */
const KINDS: readonly { words: string; days: number; source: string }[] = [
  { words: 'baby formula puree', days: 1, source: KEEPER },
  {
    words: 'fish salmon trout mackerel tuna prawn shrimp seafood sushi mince mincemeat chicken turkey',
    days: 2,
    source: CHART,
  },
  { words: 'ham salami sausage meat bacon beef pork lamb pate', days: 3, source: CHART },
  { words: 'soup broth stock stew leftover gravy', days: 3, source: CHART },
  { words: 'hummus pesto dip tofu bean chickpea lentil tomato passata coconut corn pea', days: 4, source: KEEPER },
  { words: 'cream mascarpone ricotta quark cottage mozzarella', days: 5, source: KEEPER },
  { words: 'milk juice smoothie yoghurt yogurt kefir buttermilk lemonade drink', days: 5, source: KEEPER },
  { words: 'cheese feta sauce salsa', days: 7, source: KEEPER },
  { words: 'egg mayonnaise', days: 21, source: KEEPER },
  { words: 'jam jelly marmalade pickle olive butter margarine mustard ketchup', days: 30, source: KEEPER },
  { words: 'drops eyedrop', days: 28, source: 'common practice for opened eye drops, no source' },
  { words: 'oil nut seed flour oat muesli cereal coffee', days: 90, source: KEEPER },
  {
    words: 'rice pasta noodle sugar salt tea spice herb honey vinegar syrup cocoa stockcube yeast',
    days: 180,
    source: KEEPER,
  },
];
/** A thing nobody has a kind for: chilled food has a use-by date, the rest a best-before date or none. */
const CHILLED: OpenedGuess = { days: 2, source: CAREFUL };
const DATED: OpenedGuess = { days: 7, source: CAREFUL };

const KIND_OF = new Map<string, OpenedGuess>(
  [...KINDS]
    .reverse()
    .flatMap(({ words, days, source }) =>
      words.split(' ').map((word): [string, OpenedGuess] => [word, { days, source }]),
    ),
);

/**
 * A careful guess of how many days something keeps once it is open, from the words of its category and name.
 *
 * @param dateKind of the date printed on it, null when none is
 * @returns null for a thing without a printed date and of no kind of food that is known: it may be no food at all
 * @example openedGuess({ name: 'Oat milk', category: '' }, 'best_before')!.days //=> 5
 */
export function openedGuess(
  item: { name?: string; category?: string },
  dateKind: 'use_by' | 'best_before' | null,
): OpenedGuess | null {
  const words = foldedWords(`${item.category ?? ''} ${item.name ?? ''}`);
  const forms = words.flatMap((word) => [
    word,
    word.replace(/s$/, ''),
    word.replace(/(o|x|ch|sh|ss)es$/, '$1'),
    word.replace(/ies$/, 'y'),
  ]);
  const guesses = forms.flatMap((word) => KIND_OF.get(word) ?? []);
  const known = guesses.sort((a, b) => a.days - b.days)[0];
  if (known) return dateKind === 'use_by' && known.days > 30 ? DATED : known;
  return dateKind === 'use_by' ? CHILLED : dateKind === 'best_before' ? DATED : null;
}
