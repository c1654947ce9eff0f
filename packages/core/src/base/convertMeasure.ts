/** Factors to the base of each measure: grams, millilitres, metres. SI prefixes; pound and ounce by the 1959 agreement; US liquid measures by NIST Handbook 44. */
const IN_BASE: Readonly<Record<string, readonly [base: 'g' | 'ml' | 'mm', factor: number]>> = {
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
  mm: ['mm', 1],
  cm: ['mm', 10],
  in: ['mm', 25.4],
  ft: ['mm', 304.8],
  yd: ['mm', 914.4],
  m: ['mm', 1000],
};

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
  const [from, to] = [IN_BASE[said], IN_BASE[unit]];
  if (!from && !to) return thousandths;
  if (!from || !to || from[0] !== to[0]) return null;
  return Math.round((thousandths * from[1]) / to[1]);
}
