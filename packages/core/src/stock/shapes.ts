/** Things by their sides: as somebody wrote them down, else as things of their kind usually are, which is a guess and is named one. */
import { foldedWords, singularWord } from '../base';
import type { ItemRow, ThingShape } from '../household';

export interface KnownShape {
  shape: ThingShape;
  /** Nobody measured it: it is as long and thick as its kind usually is. */
  guessed: boolean;
}

const CM = 100;
/** Words of a name, and the sides in centimetres of what is called so; `soft` gives way. The longest run of words counts. */
const USUAL: readonly (readonly [words: string, sides: readonly [number, number, number], how?: 'soft' | 'upright'])[] =
  [
    ['paddle', [160, 20, 8]],
    ['oar', [220, 17, 8]],
    ['boat hook', [180, 12, 5]],
    ['mast', [300, 8, 8]],
    ['rod', [120, 6, 6]],
    ['fishing rod', [120, 6, 6]],
    ['curtain rod', [160, 4, 4]],
    ['landing net', [130, 50, 10]],
    ['ski', [170, 12, 8]],
    ['skis', [170, 12, 8]],
    ['ski pole', [120, 10, 10]],
    ['snowboard', [155, 30, 10]],
    ['sledge', [100, 45, 25]],
    ['snow shovel', [140, 50, 15]],
    ['shovel', [120, 25, 12]],
    ['spade', [110, 20, 12]],
    ['rake', [150, 45, 8]],
    ['broom', [140, 40, 7]],
    ['mop', [135, 30, 8]],
    ['ladder', [180, 45, 15]],
    ['step ladder', [160, 45, 15]],
    ['ironing board', [140, 40, 8]],
    ['clothes horse', [110, 60, 10]],
    ['parasol', [180, 15, 15]],
    ['umbrella', [90, 8, 8]],
    ['beach umbrella', [180, 15, 15]],
    ['walking pole', [120, 8, 8]],
    ['tent pole', [60, 5, 5]],
    ['pole', [150, 5, 5]],
    ['folding chair', [90, 50, 12]],
    ['folding table', [120, 60, 10]],
    ['suitcase', [70, 48, 28]],
    ['vacuum cleaner', [110, 30, 30]],
    ['wrapping paper', [70, 5, 5]],
    ['yoga mat', [60, 12, 12], 'soft'],
    ['hockey stick', [155, 25, 5]],
    ['cricket bat', [96, 11, 7]],
    ['tennis racket', [69, 28, 4]],
    ['cot', [125, 65, 15]],
  ];
const BY_WORDS = new Map(USUAL.map((row) => [row[0], row]));
const MOST_WORDS = 2;

/** A word as the table has it: without its plural. */
const singular = (word: string): string => (BY_WORDS.has(word) ? word : singularWord(word));

/**
 * What things with these words in their name usually measure. The words before a comma count; a child's one is not known.
 * Own estimates, common practice, no source.
 * @returns null when the table has nothing like it
 * @example usualShape('Paddle, ash')?.widthTenthMm //=> 1600 * 10
 */
export function usualShape(name: string): ThingShape | null {
  const words = foldedWords(name.split(/[,(]/)[0]!).map(singular);
  for (let count = MOST_WORDS; count > 0; count--) {
    // What a thing is stands last: a paddle bag is a bag.
    const row = BY_WORDS.get(words.slice(-count).join(' '));
    if (!row || words.length < count) continue;
    if (/\b(child|children|toy|mini|doll)/i.test(name)) return null;
    const [, [width, depth, height], how] = row;
    return {
      widthTenthMm: width * CM,
      depthTenthMm: depth * CM,
      heightTenthMm: height * CM,
      rigid: how !== 'soft',
      kept: how === 'upright' ? ['upright'] : [],
    };
  }
  return null;
}

/** The sides of a thing; null: neither written down nor usual for its kind, or it is known by its volume or as cloth. */
export function shapeOf(item: Pick<ItemRow, 'name' | 'traits'>): KnownShape | null {
  const traits = item.traits ?? null;
  if (traits?.shape) return { shape: traits.shape, guessed: false };
  if (traits?.textile || (traits?.volumeMl ?? null) !== null) return null;
  const usual = usualShape(item.name);
  return usual && { shape: usual, guessed: true };
}

/** Wide, deep, high, as it stands. */
export const sidesOf = ({
  widthTenthMm,
  depthTenthMm,
  heightTenthMm,
}: Pick<ThingShape, 'widthTenthMm' | 'depthTenthMm' | 'heightTenthMm'>): [number, number, number] => [
  widthTenthMm,
  depthTenthMm,
  heightTenthMm,
];

/** What a thing with these sides takes up as a box, millilitres. */
export const shapeMl = ({ widthTenthMm, depthTenthMm, heightTenthMm }: ThingShape): number =>
  (widthTenthMm * depthTenthMm * heightTenthMm) / 1e6;
