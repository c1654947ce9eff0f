/** What a thing is, as far as it matters for where it may stand: from its category, tags and name. A guess by words, no source. */
import { foldedWords } from '../base';
import type { ItemRow } from '../household';
import { mealsOf } from '../restock';

export const PURPOSES = ['food', 'medicine', 'cleaning', 'textile', 'other'] as const;
export type Purpose = (typeof PURPOSES)[number];

const said = (words: string): ReadonlySet<string> => new Set(words.split(' '));
const MEDICINE = said(
  'medicine medicines medical pharmacy prescription paracetamol ibuprofen aspirin antihistamine ointment',
);
/** Tablets of these are no medicine. */
const WASHING = said(
  'dishwasher dishwashing laundry washing detergent rinse bleach cleaner cleaning remover descaler limescale drain polish softener solvent varnish paint thinner',
);
const CHEMICAL = said(
  'chemical chemicals bleach cleaner remover descaler limescale drain solvent varnish thinner turpentine spirit lighter fuel petrol antifreeze pesticide detergent rinse softener polish dishwasher',
);
const TEXTILE = said(
  'towel towels sheet sheets blanket blankets quilt quilts duvet duvets cover covers cloth cloths napkin napkins rag rags pillowcase pillow pillows throw throws apron aprons curtain curtains rug rugs',
);
const NO_FOOD = said('household cleaning animals animal pet pets tools garden garage paper office medicines medicine');
/** May burn or give off what burns. */
const FLAMMABLE = said(
  'paint varnish thinner turpentine solvent petrol gasoline kerosene fuel lighter butane propane acetone aerosol methylated spirits',
);
/** A child or a guest may not get at these: lighters, button cells, sharp things, bags. Common practice, no source. */
const GUARDED = said('lighter lighters matches button razor scalpel knife knives syringe syringes needle needles');

const wordsOf = ({ name, category, tags }: Pick<ItemRow, 'name' | 'category' | 'tags'>): string[] =>
  foldedWords([name, category, ...tags].join(' '));
const has = (words: readonly string[], of: ReadonlySet<string>): boolean => words.some((word) => of.has(word));

type Known = Pick<ItemRow, 'name' | 'category' | 'tags' | 'unit' | 'traits' | 'openedDays' | 'freezerMonths' | 'meals'>;

/**
 * What a thing is for.
 * @example purposeOf({ name: 'Dishwasher tablets', category: '', tags: [], unit: 'tablet', traits: null, openedDays: null, freezerMonths: null, meals: null }) //=> 'cleaning'
 * @example purposeOf({ name: 'Charcoal tablets', category: 'Medicines', tags: [], unit: 'tablet', traits: null, openedDays: null, freezerMonths: null, meals: null }) //=> 'medicine'
 */
export function purposeOf(item: Known): Purpose {
  const words = wordsOf(item);
  if (has(words, WASHING)) return 'cleaning';
  if (has(words, MEDICINE) || (item.unit === 'tablet' && item.category === '')) return 'medicine';
  if (has(words, CHEMICAL)) return 'cleaning';
  if (item.traits?.textile || has(words, TEXTILE)) return 'textile';
  if (has(foldedWords(item.category), NO_FOOD)) return 'other';
  if (item.openedDays !== null || item.freezerMonths !== null) return 'food';
  // A name alone says little: a pike lure is no fish. With a kind that is bought by lists it does.
  return item.category !== '' && mealsOf({ ...item, meals: item.meals ?? null }).meals.length > 0 ? 'food' : 'other';
}

/** May not stand with food, nor above it. */
export const isChemical = (item: Known): boolean => has(wordsOf(item), CHEMICAL);

/** May be flammable, by its name. */
export const isFlammable = (item: Known): boolean => has(wordsOf(item), FLAMMABLE);

/** A child should not get at it: medicines, cleaners, lighters, button cells, sharp things. Only what is locked keeps them away. */
export const isGuarded = (item: Known): boolean =>
  purposeOf(item) === 'medicine' || isChemical(item) || has(wordsOf(item), GUARDED);
