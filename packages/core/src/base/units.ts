/** Words for what one counts (plural and short forms after the singular) and for what one measures. */

const COUNT_WORDS = `
tin tins | can cans | jar jars | pack packs packet packets pkt pkts pk pks pck | bag bags | box boxes bx | bottle bottles btl btls bot
roll rolls | pair pairs pr prs | set sets | bunch bunches | tube tubes | tub tubs | carton cartons ctn ctns
piece pieces pc pcs pce pces | loaf loaves | bar bars | sachet sachets | portion portions | case cases cs | crate crates
tray trays | block blocks blk | canister canisters | strip strips | bundle bundles | stick sticks | slice slices | head heads
tablet tablets tabs | pot pots | punnet punnets | sack sacks | capsule capsules caps | sheet sheets | ream reams
bucket buckets | basket baskets | bowl bowls | pouch pouches | sleeve sleeves | stack stacks | spool spools | reel reels
skein skeins | ball balls | coil coils | clove cloves | stalk stalks | drum drums | jug jugs | keg kegs | flask flasks
vial vials | ampoule ampoules | pill pills | lozenge lozenges | blister blisters | refill refills | cartridge cartridges
wheel wheels | wedge wedges | net nets | string strings | pod pods | cube cubes | serving servings | meal meals
container containers | unit units | hank hanks | multipack multipacks | envelope envelopes env | jerrycan jerrycans
barrel barrels | pallet pallets | pad pads | cup cups | scoop scoops | batch batches
item items | ear ears | rack racks | side sides | joint joints | fillet fillets | cone cones | twist twists
`;
/** Short forms say a unit whatever the number is; a whole word in the singular after more than one names the thing. */
const SHORT = new Set(
  'pkt pk pck pc pce btl bot ctn cs bx blk pr prs env pkts pks pcs pces btls ctns tabs caps'.split(' '),
);
/** Units that hold others: `case of 12`, `6 pack`. */
const HOLDING = new Set(
  'pack box case tray crate carton bag multipack sleeve bundle strip blister set punnet net jar tub tin roll block container stack bucket basket pouch ream'.split(
    ' ',
  ),
);
/** Words that are units only with a number straight before and a thing after: on their own they are things. */
const RARE = new Set('string ball side rack joint ear cone twist count item unit wheel fillet cup'.split(' '));

interface CountWord {
  unit: string;
  singular: boolean;
  short: boolean;
}
const COUNT_UNIT_OF = new Map<string, CountWord>();
const PLURALS = new Map<string, string>();
for (const entry of COUNT_WORDS.split(/[|\n]/)) {
  const [unit, ...forms] = entry.trim().split(' ');
  if (unit === undefined || unit === '') continue;
  PLURALS.set(unit, forms[0] ?? unit);
  COUNT_UNIT_OF.set(unit, { unit, singular: true, short: SHORT.has(unit) });
  for (const form of forms) COUNT_UNIT_OF.set(form, { unit, singular: false, short: SHORT.has(form) });
}

/** A word as one that counts, or null when it counts nothing. */
export const countWord = (word: string): CountWord | null => COUNT_UNIT_OF.get(word.toLowerCase()) ?? null;
/** Whether a unit can hold a number of others. */
export const canHold = (unit: string): boolean => HOLDING.has(unit);
const MANY_IN_ONE = new Set(
  'pack box case tray crate multipack bundle sleeve strip blister set pallet rack load'.split(' '),
);
const ONE_BY_ONE = new Set(
  'piece roll tablet capsule sheet bar sachet stick cube pair pod pill lozenge slice item unit portion envelope refill cartridge'.split(
    ' ',
  ),
);
/** Whether one of a unit may be many of another: 3 packs of what is kept by the piece are not 3 pieces. */
export const mayHoldMany = (unit: string, other: string): boolean => MANY_IN_ONE.has(unit) && ONE_BY_ONE.has(other);
/** Whether a unit's word is more often a thing. */
export const isRareUnit = (unit: string): boolean => RARE.has(unit);

/** Plural of a count unit for people to read: `tin` → `tins`; measures stay as they are. */
export function pluralUnit(unit: string, quantityThousandths: number): string {
  if (MEASURES.has(unit) || quantityThousandths === 1000) return unit;
  return PLURALS.get(unit) ?? (/(s|x|ch|sh)$/.test(unit) ? `${unit}es` : `${unit}s`);
}

const MEASURE_WORDS = `
g: g gr gm gms grm grms gram grams gramme grammes | kg: kg kgs kilo kilos kilogram kilograms | mg: mg milligram milligrams
mcg: mcg µg ug microgram micrograms | l: l lt ltr ltrs litre litres liter liters | ml: ml mls millilitre millilitres milliliter milliliters cc
cl: cl centilitre centilitres | dl: dl decilitre decilitres deciliter deciliters | oz: oz ounce ounces | lb: lb lbs pound pounds
fl oz: floz | pt: pt pint pints | qt: qt quart quarts | gal: gal gallon gallons | m: m mtr metre metres meter meters
cm: cm centimetre centimetres centimeter centimeters | mm: mm millimetre millimetres millimeter millimeters
in: inch inches | ft: ft foot feet | yd: yd yds yard yards | ct: ct count | ply: ply plies | tbsp: tbsp tablespoon tablespoons
tsp: tsp teaspoon teaspoons | washes: wash washes | doses: dose doses | loads: load loads | sq ft: sqft | m2: sqm
`;
const MEASURE_OF = new Map<string, string>(
  MEASURE_WORDS.split(/[|\n]/).flatMap((entry): [string, string][] => {
    const [unit, forms] = entry.split(':');
    return forms === undefined
      ? []
      : forms
          .trim()
          .split(' ')
          .map((form) => [form, unit!.trim()]);
  }),
);
MEASURE_OF.set('fl oz', 'fl oz');
const MEASURES = new Set(MEASURE_OF.values());
const LENGTHS = new Set(['m', 'cm', 'mm', 'in', 'ft', 'yd']);
/** What tells the strength of a thing and not how much of it there is. */
/** What a pack holds, and nothing is kept by. */
const CONTENTS = new Set(['ply', 'ct', 'washes', 'doses', 'loads']);
const STRENGTHS = new Set(['mg', 'mcg']);

/** The measure a word stands for (`litres` → `l`), or null. */
export const measureUnit = (word: string): string | null =>
  MEASURE_OF.get(word.toLowerCase().replace(/\.$/, '')) ?? null;

/** Whether an item is kept by measure (kg, l …) and not by the piece. */
export const isMeasure = (unit: string): boolean => MEASURES.has(unit);
/** Whether a unit measures lengths. */
export const isLength = (unit: string): boolean => LENGTHS.has(unit);
/** Whether a measure can only be the size of a pack. */
export const isContent = (unit: string): boolean => CONTENTS.has(unit);
/** Whether a unit says how strong a medicine is. */
export const isStrength = (unit: string): boolean => STRENGTHS.has(unit);
