/** How the ferry house buys: where, on which days, in which packs and for how much. All of it is made up. */
import { withCheckDigit, type Pack, type Restock } from '@ours/core';

export const SHOPS = [
  {
    name: 'Quay shop',
    rule: 'FREQ=WEEKLY;BYDAY=SA',
    budgetMinor: 18_000,
    aisles: [
      'Fruit and vegetables',
      'Bread',
      'Cold',
      'Dry goods',
      'Spices',
      'Drinks',
      'Frozen',
      'Household',
      'Animals',
    ],
  },
  { name: 'Harbour pharmacy', rule: '', budgetMinor: null, aisles: ['Medicines'] },
] as const;

/** Trade numbers of some things; of restricted circulation (GS1 prefix 20), so that they are nobody's product. */
const NUMBERS: Readonly<Record<string, string>> = {
  'Tomatoes, chopped': '200000000101',
  Chickpeas: '200000000102',
  Sweetcorn: '200000000103',
  Milk: '200000000106',
  'Coffee, ground': '200000000110',
};
/** The trade numbers of a thing, with 14 figures; null: none is noted. */
export const codesOf = (name: string): string[] | null =>
  NUMBERS[name] === undefined ? null : [withCheckDigit(NUMBERS[name]).padStart(14, '0')];

/** What is sold in which aisle; the first that names a thing by a word of its name counts. */
const AISLES: readonly [aisle: string, words: RegExp][] = [
  [
    'Medicines',
    /(?<!Dishwasher )tablets$|syrup|Thermometer covers|lozenges|Nasal spray|Cough tea|Rehydration|Plasters|Gauze|disinfectant|Sun cream|Eye drops/,
  ],
  [
    'Household',
    /bleach|cleaner|remover|polish|detergent|Detergent|rinse|Dishwasher|Washing-up|paper$|Tissues|Tea lights|matches|Lamp oil|Charcoal$|Kindling|lighter|rag|sachet$|Lint|Candle|Battery|filters|Freezer bag|Bread paper|litter/,
  ],
  ['Animals', /^Cat /],
  ['Bread', /bread|rolls|Pretzels|Crispbread|Rice cakes|biscuits/],
  ['Fruit and vegetables', /^(Carrots|Leek|Apples|Lettuce|Beetroot|Potatoes|Onions|Garlic)$/],
  [
    'Frozen',
    /^(Blueberries|Raspberries|Peas|Peas, kitchen|Kale|Beans, cut|Pizza dough|Puff pastry|Fish fingers|Spinach|Herbs, mixed|Ice cream, vanilla|Ice pops|Dill)$/,
  ],
  [
    'Cold',
    /^(Milk|Oat drink|Cream|Yoghurt|Cheese|Butter|Eggs|Minced|Chicken|Smoked|Cured|Liver|Yeast, fresh|Mayonnaise|Pike)/,
  ],
  ['Drinks', /juice|water$|wine|beer|[Cc]ordial|Coffee|tea$|Cocoa/],
  [
    'Spices',
    /^(Pepper|Paprika|Caraway|Cinnamon|Cardamom|Bay|Nutmeg|Curry|Oregano|Juniper|Thyme|Marjoram|Cloves|Turmeric|Chilli|Fennel|Allspice|Mustard seed|Vanilla sugar|Baking powder|Dry yeast)/,
  ],
];
const OTHERS = 'Dry goods';
/** The aisle of a thing that is used up; others have none. */
export const aisleOf = (name: string): string => AISLES.find(([, words]) => words.test(name))?.[0] ?? OTHERS;

/** `price in cents` or `price for so many of its unit`. */
const PRICES: Readonly<Record<string, number | [minor: number, amount: number]>> = {
  Milk: 115,
  'Oat drink': 189,
  Cream: 109,
  'Yoghurt, plain': 79,
  'Cheese, sliced': 249,
  'Butter, on the table': 260,
  Butter: 260,
  Eggs: [280, 10],
  'Minced beef': 549,
  'Chicken pieces': 629,
  'Smoked trout': 429,
  'Cured ham': 239,
  'Liver paste': 149,
  'Yeast, fresh': 35,
  Mayonnaise: 199,
  'Pike fillet': 589,
  Carrots: 129,
  Leek: 79,
  Apples: [249, 6],
  Lettuce: 129,
  Beetroot: 159,
  Potatoes: 449,
  Onions: 219,
  Garlic: 59,
  'Rye bread': 319,
  'Bread rolls': 219,
  Pretzels: 149,
  Crispbread: 199,
  'Rice cakes': 129,
  'Oat biscuits': 179,
  Blueberries: 349,
  Raspberries: 399,
  Peas: 229,
  'Peas, kitchen': 229,
  Kale: 179,
  'Beans, cut': 199,
  'Pizza dough': 129,
  'Puff pastry': 169,
  'Fish fingers': 399,
  Spinach: 169,
  'Herbs, mixed': 119,
  'Ice cream, vanilla': 349,
  'Ice pops': [299, 8],
  Dill: 99,
  'Apple juice': 179,
  'Apple juice, reserve': 179,
  'Mineral water': [390, 6],
  'Small beer': [1140, 12],
  'White wine': 699,
  'Coffee, ground': 649,
  'Black tea': 379,
  Cocoa: 289,
  'Tomatoes, chopped': [534, 6],
  Sweetcorn: 99,
  Chickpeas: 89,
  Tuna: 125,
  Sardines: 189,
  Spaghetti: 109,
  Macaroni: 109,
  'Rice, long grain': 449,
  'Rice, jar': [225, 1],
  'Wheat flour': 89,
  'Rye flour': 129,
  Sugar: 119,
  'Rapeseed oil': 249,
  'Olive oil': 749,
  'Rolled oats': [145, 0.5],
  Muesli: [329, 0.5],
  'Chocolate, dark': 159,
  Honey: 549,
  'Dishwasher tablets': [690, 40],
  'Dishwasher salt': 149,
  'Washing-up liquid': 189,
  'Detergent, bulk bottle': 1290,
  'Toilet paper': [429, 8],
  'Kitchen paper': [279, 4],
  Tissues: 119,
  'Cat food, tins': [569, 12],
  'Cat food, dry': 1199,
  'Cat litter': 599,
  'Battery AA': [449, 8],
  'Battery AAA': [399, 8],
  'Nasal spray, saline': 340,
  'Paracetamol tablets': [299, 20],
  Plasters: [349, 20],
  'Throat lozenges': [459, 24],
  'Blood-pressure tablets': [1290, 98],
  'Crumb rusks': 129,
  'Vegetable stock': 249,
  'Coconut milk': 149,
  'Dried apple': 259,
  'Freezer bag, 3 l': [249, 40],
};

/** Where no price is written down. */
const AISLE_PRICES: Readonly<Record<string, number>> = {
  Medicines: 549,
  Household: 289,
  Animals: 499,
  Bread: 199,
  Frozen: 249,
  Cold: 199,
  Drinks: 299,
  Spices: 189,
  'Dry goods': 179,
  'Fruit and vegetables': 169,
};

/** Small things come many in a pack. */
const MANY: Readonly<Record<string, number>> = { tablet: 20, piece: 20, sachet: 10, roll: 2, kg: 0.5 };

/** How a thing is sold. @param used whether it is used up and bought again */
export function packsOf(name: string, unit: string, used: boolean): Pack[] {
  const price = PRICES[name] ?? (used ? [AISLE_PRICES[aisleOf(name)]!, MANY[unit] ?? 1] : undefined);
  if (price === undefined) return [];
  const [priceMinor, amount] = typeof price === 'number' ? [price, 1] : (price as [number, number]);
  return [{ shopId: null, amountThousandths: amount * 1000, priceMinor }];
}

/** Made, caught or given, not bought. */
const OWN =
  /^(Leftover|Soup, |Nettle|Pea soup|Stock, |Bones|Vegetable ends|Duck|Venison|Wild boar|Trout|Smoked eel|Ice cubes|Elderflower|Cordial|Plum jam|Jam, open|Rhubarb|Blackcurrant|Apple sauce|Beetroot, pickled|Kindling|Lavender|Drinking water|Cleaning rag|Beans, white)/;
const way = (how: Restock['how'], full: number | null = null): Restock => ({
  how,
  fullThousandths: full === null ? null : full * 1000,
  weeklyThousandths: null,
});
const WAYS: Readonly<Record<string, Restock>> = {
  Butter: way('pairs'),
  'Small beer': way('full', 18),
  'Mineral water': way('full', 12),
  'Blood-pressure tablets': way('level', 98),
};
/** The same thing in its second place: its reserve, or the one it is taken from. */
export const SECOND_PLACES: Readonly<Record<string, { of: string; reserve: boolean; least: number; full: number }>> = {
  'Apple juice, reserve': { of: 'Apple juice', reserve: true, least: 1, full: 3 },
  'Butter, on the table': { of: 'Butter', reserve: false, least: 0, full: 2 },
  'Peas, kitchen': { of: 'Peas', reserve: false, least: 1, full: 2 },
  'Honey, table': { of: 'Honey', reserve: false, least: 0, full: 1 },
  'Mustard, reserve': { of: 'Mustard', reserve: true, least: 0, full: 1 },
};

/** How a thing is bought where the house has said so. */
export const restockWayOf = (name: string): Restock | null => WAYS[name] ?? (OWN.test(name) ? way('never') : null);
