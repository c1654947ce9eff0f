/** Words for what one counts, singular first; and measures with their base. */

const COUNT_WORDS: Readonly<Record<string, readonly string[]>> = {
  tin: ['tins'],
  can: ['cans'],
  jar: ['jars'],
  pack: ['packs', 'packet', 'packets', 'pkt', 'pkts', 'pk', 'pks'],
  bag: ['bags'],
  box: ['boxes'],
  bottle: ['bottles', 'btl', 'btls'],
  roll: ['rolls'],
  pair: ['pairs'],
  set: ['sets'],
  bunch: ['bunches'],
  tube: ['tubes'],
  tub: ['tubs'],
  carton: ['cartons', 'ctn'],
  piece: ['pieces', 'pc', 'pcs'],
  loaf: ['loaves'],
  bar: ['bars'],
  sachet: ['sachets'],
  portion: ['portions'],
  case: ['cases'],
  crate: ['crates'],
  tray: ['trays'],
  block: ['blocks'],
  canister: ['canisters'],
  strip: ['strips'],
  bundle: ['bundles'],
  stick: ['sticks'],
  slice: ['slices'],
  head: ['heads'],
  tablet: ['tablets', 'tabs'],
};
const ABBREVIATIONS = new Set(['pkt', 'pk', 'pc', 'btl', 'ctn']);

const COUNT_UNIT_OF = new Map<string, string>(
  Object.entries(COUNT_WORDS).flatMap(
    ([unit, words]) => [[unit, unit], ...words.map((w) => [w, unit])] as [string, string][],
  ),
);

/**
 * The unit a word counts in, or null. A singular word after more than one (`2 box files`) names the thing, so it is no
 * unit there; abbreviations count either way.
 */
export function countUnit(word: string, quantityThousandths: number): string | null {
  const unit = COUNT_UNIT_OF.get(word.toLowerCase());
  if (unit === undefined) return null;
  const isSingular = word.toLowerCase() === unit;
  return isSingular && quantityThousandths > 1000 && !ABBREVIATIONS.has(word.toLowerCase()) ? null : unit;
}

/** Plural of a count unit for people to read: `tin` → `tins`; measures stay as they are. */
export function pluralUnit(unit: string, quantityThousandths: number): string {
  if (MEASURES.has(unit) || quantityThousandths === 1000) return unit;
  return COUNT_WORDS[unit]?.[0] ?? (/(s|x|ch|sh)$/.test(unit) ? `${unit}es` : `${unit}s`);
}

const MEASURE_WORDS: Readonly<Record<string, string>> = {
  g: 'g',
  gr: 'g',
  gram: 'g',
  grams: 'g',
  kg: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  mg: 'mg',
  l: 'l',
  lt: 'l',
  litre: 'l',
  litres: 'l',
  liter: 'l',
  liters: 'l',
  ml: 'ml',
  cl: 'cl',
  dl: 'dl',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  'fl oz': 'fl oz',
  floz: 'fl oz',
  pt: 'pt',
  pint: 'pt',
  pints: 'pt',
  qt: 'qt',
  quart: 'qt',
  quarts: 'qt',
  gal: 'gal',
  gallon: 'gal',
  gallons: 'gal',
  m: 'm',
  metre: 'm',
  metres: 'm',
  cm: 'cm',
  mm: 'mm',
  ct: 'ct',
  sq: 'sheets',
  ply: 'ply',
};
const MEASURES = new Set(Object.values(MEASURE_WORDS));

/** The measure a word stands for (`litres` → `l`), or null. */
export const measureUnit = (word: string): string | null =>
  MEASURE_WORDS[word.toLowerCase().replace(/\.$/, '')] ?? null;

/** Whether an item is kept by measure (kg, l …) and not by the piece. */
export const isMeasure = (unit: string): boolean => MEASURES.has(unit);
