/**
 * The one table of units: how many of its base (grams, millilitres, millimetres) each is. SI prefixes; pound, ounce, inch, foot and
 * yard by the 1959 agreement, exactly; US liquid measures by NIST Handbook 44; the cubic foot is 12³ × 2.54³ ml, exactly.
 */
const IN_BASE = {
  mg: ['g', 0.001],
  g: ['g', 1],
  kg: ['g', 1000],
  oz: ['g', 28.349523125],
  lb: ['g', 453.59237],
  ml: ['ml', 1],
  cl: ['ml', 10],
  dl: ['ml', 100],
  l: ['ml', 1000],
  'fl oz': ['ml', 29.5735295625],
  pt: ['ml', 473.176473],
  qt: ['ml', 946.352946],
  gal: ['ml', 3785.411784],
  'cu ft': ['ml', 28_316.846592],
  mm: ['mm', 1],
  cm: ['mm', 10],
  in: ['mm', 25.4],
  ft: ['mm', 304.8],
  yd: ['mm', 914.4],
  m: ['mm', 1000],
} as const satisfies Readonly<Record<string, readonly [base: 'g' | 'ml' | 'mm', factor: number]>>;
type Unit = keyof typeof IN_BASE;

/** How many of its base unit (g, ml, mm) a unit is. @throws RangeError for a unit that the table does not have */
export function baseUnitsIn(unit: string): number {
  if (!Object.hasOwn(IN_BASE, unit)) throw new RangeError(`${unit} is no unit of the table`);
  return IN_BASE[unit as Unit][1];
}

/**
 * An amount said in one unit, in the unit an item is kept in: 200 g of an item kept in kg is 0.2.
 *
 * @param thousandths of the unit said
 * @param said the unit of the line, or null when it gave none (then the number is meant in the item's own)
 * @param unit the item's own
 * @returns thousandths of `unit`, rounded to the nearest; null when the two do not go together (grams of something counted
 * in tins). Two count units (tins, pieces) are taken as the same thing under two words.
 * @example convertMeasure(200_000, 'g', 'kg') //=> 200
 */
export function convertMeasure(thousandths: number, said: string | null, unit: string): number | null {
  if (said === null || said === unit) return thousandths;
  const find = (name: string) => (Object.hasOwn(IN_BASE, name) ? IN_BASE[name as Unit] : undefined);
  const [from, to] = [find(said), find(unit)];
  if (!from && !to) return thousandths;
  if (!from || !to || from[0] !== to[0]) return null;
  return Math.round((thousandths * from[1]) / to[1]);
}
