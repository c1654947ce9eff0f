import {
  defineEntity,
  added,
  decimal,
  length,
  listOf,
  longText,
  mapOf,
  mass,
  oneOf,
  orNull,
  quantity,
  record,
  text,
  volume,
  whole,
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

/** What matters for room and weight, and the groups the household puts it in. */
const traits = record({
  /** Of one of its unit. */
  weightGrams: orNull(mass),
  volumeMl: orNull(volume),
  textile: orNull(textile),
  groups: mapOf(GROUPINGS, text(1, 120)),
});
export type ItemTraits = Holds<typeof traits>;

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
  },
  retire: 'when_empty',
  writtenBy: 'member',
  title: ({ name }) => name,
});
