import {
  defineEntity,
  added,
  decimal,
  length,
  listOf,
  longText,
  mapOf,
  mass,
  money,
  oneOf,
  orNull,
  quantity,
  record,
  text,
  volume,
  weakRef,
  whole,
  yesNo,
  type Holds,
} from '../definition';
import { LARGEST_LENGTH_TENTH_MM } from '../base';
import { GROUPINGS } from '../spaces/space.entity';

const words = listOf(text(1, 60), 40);
const side = decimal(1, LARGEST_LENGTH_TENTH_MM);

/** A textile as it is folded. */
const textile = record({
  widthTenthMm: side,
  lengthTenthMm: side,
  /** Grams per square metre of one ply. */
  gramsPerM2: decimal(1, 5000),
  /** 1 for a sheet or towel, 2 for a cover. */
  plies: whole(1, 4),
  /** Into how many parts its width and its length are folded. */
  foldsWidth: whole(1, 12),
  foldsLength: whole(1, 12),
  material: oneOf('woven', 'terry', 'wool'),
  /** Ten of them folded measured this high, when somebody measured it. */
  tenMeasuredTenthMm: orNull(length()),
});
export type Textile = Holds<typeof textile>;

/** How one must be kept. */
export const KEPT_HOW = ['upright', 'fragile', 'own_box', 'air'] as const;
export type KeptHow = (typeof KEPT_HOW)[number];
/** A thing by its three sides, as it stands. */
const shape = record({
  widthTenthMm: side,
  depthTenthMm: side,
  heightTenthMm: side,
  /** False: soft, it gives way. */
  rigid: yesNo,
  kept: listOf(oneOf(...KEPT_HOW), KEPT_HOW.length),
});
export type ThingShape = Holds<typeof shape>;

/** What matters for room and weight, and the groups the household puts it in. */
const traits = record({
  /** Of one of its unit. */
  weightGrams: orNull(mass),
  volumeMl: orNull(volume),
  textile: orNull(textile),
  groups: mapOf(GROUPINGS, text(1, 120)),
  shape: added(orNull(shape)),
});
export type ItemTraits = Holds<typeof traits>;

/** How an item is sold. */
const pack = record({
  /** Null: anywhere. */
  shopId: orNull(weakRef('shop')),
  /** Of the item's unit. */
  amountThousandths: quantity(1),
  priceMinor: orNull(money),
});
export type Pack = Holds<typeof pack>;

/**
 * How it is decided what is bought.
 * - `pace`: so many that they last, by how fast it is used
 * - `level`: up to the full amount once it is at its low mark
 * - `pairs`: two or more whole packs, an even number of them
 * - `full`: always up to the full amount
 * - `never`: not by a list
 */
export const RESTOCK_WAYS = ['pace', 'level', 'pairs', 'full', 'never'] as const;
export type RestockWay = (typeof RESTOCK_WAYS)[number];
const restock = record({
  how: oneOf(...RESTOCK_WAYS),
  /** What is there when it is full, in the whole home. */
  fullThousandths: orNull(quantity(1)),
  /** What somebody says is used in a week, for the start. */
  weeklyThousandths: orNull(quantity(1)),
});
export type Restock = Holds<typeof restock>;

/** Where it is taken from day by day; what is elsewhere is its reserve. */
const front = record({
  nookId: weakRef('space', 'shelf', 'bin'),
  /** Refilled when there is no more than this. */
  leastThousandths: quantity(),
  /** And then up to this. */
  fullThousandths: quantity(1),
  /** It is filled from the packet into a jar, can or bottle. */
  decanted: added(orNull(yesNo)),
  /** The weekday of its refill round, 0 for Sunday; null: it is refilled when it runs low. */
  refillOn: added(orNull(whole(0, 6))),
});
export type Front = Holds<typeof front>;

/** Another row whose past is this thing's too: it was kept in another unit. Its lots and its use stay in that unit. */
const before = record({
  itemId: weakRef('item'),
  /** How much of this thing's unit one of that unit is: 1000 for kilograms that are grams now. */
  each: decimal(1e-6, 1e6),
});
export type ItemBefore = Holds<typeof before>;

/** What food is used for. */
export const MEALS = ['breakfast', 'main', 'snack', 'baking', 'drink'] as const;
export type Meal = (typeof MEALS)[number];

/** Things that belong together. */
const set = record({
  /** How many make a whole set: 12 napkins. */
  pieces: whole(1, 9999),
  /** What each whole set needs one of besides: the lid of a jar. */
  withItemId: orNull(weakRef('item')),
});

export const item = defineEntity('item', {
  fields: {
    name: text(1, 120),
    category: longText(60),
    /** What one counts: `tin`, `piece`, `kg`. Singular. */
    unit: text(1, 30),
    synonyms: words,
    tags: words,
    /** At or below this much in the whole home the item is low; null: it is never listed as low. */
    lowAtThousandths: orNull(quantity()),
    /** Days it keeps once opened, or null when not known. */
    openedDays: orNull(whole(0, 3650)),
    /** Months of good quality in a freezer, or null when not known. */
    freezerMonths: orNull(whole(0, 120)),
    traits: added(orNull(traits)),
    restock: added(orNull(restock)),
    packs: added(orNull(listOf(pack, 20))),
    front: added(orNull(front)),
    set: added(orNull(set)),
    /** What it is used for; null: as things of its kind are. */
    meals: added(orNull(listOf(oneOf(...MEALS), MEALS.length))),
    /** Trade numbers as printed below bar codes (GTIN), of 8 to 14 figures. */
    codes: added(orNull(listOf(text(8, 14), 20))),
    /** How long it keeps from the day it is made or bought, in days; null: as the dates on it say. */
    keepDays: added(orNull(whole(1, 36_500))),
    before: added(orNull(listOf(before, 20))),
  },
  retire: 'when_empty',
  writtenBy: 'member',
  title: ({ name }) => name,
});
