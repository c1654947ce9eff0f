/** How long kinds of things keep, as published. The home edits it by rows of its own: see `KeepingGuide`. */
export interface GuideRow {
  key: string;
  name: string;
  /** In the singular. */
  words: readonly string[];
  /** Days in the refrigerator (dry goods: in the cupboard) once opened; null: nothing is said. */
  openedDays: number | null;
  /** Days in the refrigerator once cooked; null: as leftovers. */
  cookedDays: number | null;
  /** Months of good quality in a freezer, the least of a span; null: nothing is said. */
  freezerMonths: number | null;
  source: string;
  edition: string;
  /** The home wrote it itself. */
  own: boolean;
}

const MEMORY = 'from memory, edition not checked';
const CHART = { source: 'US federal cold-storage chart (FoodSafety.gov)', edition: MEMORY };
const KEEPER = { source: 'US federal food-keeping guidance (FoodKeeper)', edition: MEMORY };
const PRACTICE = { source: 'common practice', edition: 'no source' };

type Times = Partial<Pick<GuideRow, 'openedDays' | 'cookedDays' | 'freezerMonths'>>;
const row = (
  key: string,
  name: string,
  words: string,
  times: Times,
  from: Pick<GuideRow, 'source' | 'edition'>,
): GuideRow => ({
  key,
  name,
  words: words.split(' '),
  openedDays: null,
  cookedDays: null,
  freezerMonths: null,
  ...times,
  ...from,
  own: false,
});

/** What is cooked and of no kind that is known keeps as long as leftovers. */
const LEFTOVER_DAYS = 3;

/**
 * The least of each published span. Days once opened are of the thing as it is sold; of raw meat and fish they are those of the
 * fresh thing.
 */
export const GUIDE_TABLE: readonly GuideRow[] = [
  row('baby', 'Baby food', 'baby formula puree', { openedDays: 1 }, KEEPER),
  row(
    'fish',
    'Fish and seafood',
    'fish salmon trout mackerel tuna prawn shrimp seafood sushi',
    { openedDays: 2, cookedDays: 3 },
    CHART,
  ),
  row('ground', 'Ground meat', 'mince mincemeat', { openedDays: 2, cookedDays: 3, freezerMonths: 3 }, CHART),
  row('poultry', 'Poultry', 'chicken turkey', { openedDays: 2, cookedDays: 3, freezerMonths: 9 }, CHART),
  row('bacon', 'Bacon', 'bacon', { openedDays: 3, freezerMonths: 1 }, CHART),
  row('sausage', 'Sausage, ham, cold cuts', 'ham salami sausage', { openedDays: 3, freezerMonths: 1 }, CHART),
  row('meat', 'Meat', 'meat beef pork lamb pate', { openedDays: 3, cookedDays: 3, freezerMonths: 4 }, CHART),
  row(
    'soup',
    'Soups and stews',
    'soup broth stock stew gravy',
    { openedDays: 3, cookedDays: 3, freezerMonths: 2 },
    CHART,
  ),
  row('leftover', 'Leftovers', 'leftover', { openedDays: 3, cookedDays: LEFTOVER_DAYS, freezerMonths: 2 }, CHART),
  row('pizza', 'Pizza', 'pizza', { openedDays: 3, cookedDays: 3, freezerMonths: 1 }, CHART),
  row(
    'pulse',
    'Opened tins, dips, tofu',
    'hummus pesto dip tofu bean chickpea lentil tomato passata coconut corn pea',
    { openedDays: 4 },
    KEEPER,
  ),
  row(
    'cream',
    'Cream and fresh cheese',
    'cream mascarpone ricotta quark cottage mozzarella',
    { openedDays: 5 },
    KEEPER,
  ),
  row(
    'drink',
    'Milk, yoghurt, juice',
    'milk juice smoothie yoghurt yogurt kefir buttermilk lemonade drink',
    { openedDays: 5 },
    KEEPER,
  ),
  row('cheese', 'Cheese and sauces', 'cheese feta sauce salsa', { openedDays: 7 }, KEEPER),
  row('egg', 'Eggs and mayonnaise', 'egg mayonnaise', { openedDays: 21 }, KEEPER),
  row(
    'preserve',
    'Preserves, pickles, butter',
    'jam jelly marmalade pickle olive butter margarine mustard ketchup',
    { openedDays: 30, cookedDays: 30 },
    KEEPER,
  ),
  row('drops', 'Eye drops', 'drops eyedrop', { openedDays: 28 }, PRACTICE),
  row('oil', 'Oil, nuts, flour, coffee', 'oil nut seed flour oat muesli cereal coffee', { openedDays: 90 }, KEEPER),
  row(
    'dry',
    'Dry goods, spices, syrups',
    'rice pasta noodle sugar salt tea spice herb honey vinegar syrup cocoa stockcube yeast',
    { openedDays: 180, cookedDays: LEFTOVER_DAYS },
    KEEPER,
  ),
];
