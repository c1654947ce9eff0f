/** What food is used for, so that one can ask what to use first at breakfast. */
import { foldedWords } from '../base';
import type { ItemRow, Meal } from '../household';

/** By words of a thing's name and category. Common practice, no source: the home says it otherwise on the thing. */
const WORDS: Readonly<Record<Meal, string>> = {
  breakfast:
    'bread roll crispbread toast bun milk yoghurt yogurt oat muesli granola cereal porridge egg butter cheese ham jam marmalade honey spread breakfast paste',
  main: 'meat beef pork lamb mince minced chicken turkey sausage fish pike trout salmon tuna cod finger vegetable carrot leek potato onion garlic kale pea bean lentil chickpea spinach beetroot lettuce salad tomato passata pasta spaghetti noodle rice couscous bulgur soup stew pizza pastry sauce curry tofu dinner lunch stock',
  snack:
    'biscuit cracker pretzel chocolate sweet nut almond cashew crisp fruit apple banana pear berry ice snack cake raisin date',
  baking: 'flour sugar yeast egg butter cream baking vanilla almond cocoa syrup semolina starch pastry dough raisin',
  drink: 'juice water wine beer cordial coffee tea cocoa milk squash lemonade drink',
};
const BY_WORD = new Map<string, Meal[]>();
for (const meal of Object.keys(WORDS) as Meal[])
  for (const word of WORDS[meal].split(' ')) BY_WORD.set(word, [...(BY_WORD.get(word) ?? []), meal]);

/** What is no food is used for no meal, whatever its name: kinds that the home's own categories say. */
const NO_FOOD = new Set(['medicine', 'medicines', 'household', 'animal', 'animals', 'cleaning', 'care', 'pet', 'pets']);

export interface MealsOf {
  meals: readonly Meal[];
  /** Told from its name and kind; false: the home said so. */
  guessed: boolean;
}

/**
 * What a thing is used for: as the home says, else as its name and kind tell.
 * @example mealsOf({ name: 'Eggs', category: 'Cold', meals: null }).meals //=> ['breakfast', 'baking']
 * @example mealsOf({ name: 'Cat milk', category: 'Animals', meals: null }).meals //=> []
 */
export function mealsOf({ name, category, meals }: Pick<ItemRow, 'name' | 'category' | 'meals'>): MealsOf {
  if (meals) return { meals, guessed: false };
  const kinds = foldedWords(category);
  if (kinds.some((word) => NO_FOOD.has(word))) return { meals: [], guessed: true };
  const own = mealsIn(foldedWords(name));
  return { meals: own.length > 0 ? own : mealsIn(kinds), guessed: true };
}

function mealsIn(words: readonly string[]): Meal[] {
  const found = new Set(
    words.flatMap((word) => [
      ...(BY_WORD.get(word) ?? []),
      ...(BY_WORD.get(word.replace(/s$/, '')) ?? []),
      ...(BY_WORD.get(word.replace(/(o|x|ch|sh|ss)es$/, '$1')) ?? []),
      ...(BY_WORD.get(word.replace(/ies$/, 'y').replace(/^.*berry$/, 'berry')) ?? []),
    ]),
  );
  return (Object.keys(WORDS) as Meal[]).filter((meal) => found.has(meal));
}

/** Rows under every meal they are used for, in the order of the day; what is used for none comes last. */
export function byMeal<T extends { item: Pick<ItemRow, 'name' | 'category' | 'meals'> }>(
  rows: readonly T[],
): { meal: Meal | null; rows: T[] }[] {
  const meals = rows.map(({ item }) => mealsOf(item).meals);
  const groups = (Object.keys(WORDS) as Meal[]).map((meal): { meal: Meal | null; rows: T[] } => ({
    meal,
    rows: rows.filter((_, at) => meals[at]!.includes(meal)),
  }));
  groups.push({ meal: null, rows: rows.filter((_, at) => meals[at]!.length === 0) });
  return groups.filter(({ rows: own }) => own.length > 0);
}
