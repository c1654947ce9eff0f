/** Active ingredients as they are printed, so that the same one is known under another name, beside others or with its strength. */
/**
 * Two names of one substance: the international one (INN of the World Health Organization) and the one adopted in the United States
 * (USAN), or one in wide use. From memory; a few of those that are kept at home. It only points out: the package says what is in it.
 */
const NAMES: readonly (readonly string[])[] = [
  ['paracetamol', 'acetaminophen'],
  ['acetylsalicylic acid', 'aspirin'],
  ['salbutamol', 'albuterol'],
  ['epinephrine', 'adrenaline'],
  ['metamizole', 'metamizole sodium', 'dipyrone'],
  ['retinol', 'vitamin a'],
  ['colecalciferol', 'cholecalciferol', 'vitamin d3'],
  ['ascorbic acid', 'vitamin c'],
  ['xylometazoline', 'xylometazoline hydrochloride'],
  ['glyceryl trinitrate', 'nitroglycerin', 'nitroglycerine'],
  ['levothyroxine', 'levothyroxine sodium', 'thyroxine'],
  ['lidocaine', 'lignocaine'],
];
const INTERNATIONAL = new Map(NAMES.flatMap(([first, ...others]) => others.map((other) => [other, first!] as const)));

/** Salts and the like that follow the name of what acts. */
const FORMS =
  /\s+(?:hydrochloride|hcl|hydrobromide|sodium|potassium|lysinate|lysine|maleate|fumarate|tartrate|phosphate|sulfate|sulphate|citrate|mesilate|besilate|dihydrate|monohydrate|anhydrous|bp|usp|ph\.?\s?eur\.?)$/;
/** `500 mg`, `24mg/ml`, `0.5 %`, `10 000 IU`. */
const STRENGTH =
  /\b\d[\d.,\s]*(?:mg|g|mcg|μg|ug|ml|l|%|iu|i\.?e\.?|units?)(?:\s*\/\s*[\d.,]*\s*(?:mg|g|ml|l|dose|tablet|capsule|spray|puff)s?)?(?![a-z])/g;

/**
 * The substances a printed line of ingredients names, each by its international name.
 * @example ingredientsOf('Acetaminophen 500 mg + Caffeine 65 mg') //=> ['paracetamol', 'caffeine']
 * @example ingredientsOf('Ibuprofen lysinate') //=> ['ibuprofen']
 */
export function ingredientsOf(printed: string): string[] {
  const names = printed
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    // Before the strengths go: `24 mg/ml` is no line of two.
    .replace(STRENGTH, ' ')
    .split(/[,;+&/()\n]|\band\b|\bwith\b|\bplus\b|\bas\b/)
    .map((name) =>
      name
        .replace(/[^\p{L}\d\s-]/gu, ' ')
        .replace(/\s+/g, ' ')
        .trim(),
    )
    .map(substanceOf)
    .filter((name) => /\p{L}{2}/u.test(name));
  return [...new Set(names)];
}

function substanceOf(name: string): string {
  for (let at = name; ;) {
    const known = INTERNATIONAL.get(at);
    if (known) return known;
    const shorter = at.replace(FORMS, '');
    if (shorter === at) return at;
    at = shorter;
  }
}
