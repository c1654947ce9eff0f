import { RULE_DAYS } from '../base';
import {
  added,
  ADULTS,
  day,
  decimal,
  defineEntity,
  listOf,
  oneOf,
  orNull,
  quantity,
  record,
  ref,
  text,
  weakRef,
  whole,
  type Holds,
} from '../definition';

/** What somebody typed from the package: nothing of it is the app's own. */
const limit = record({
  /** For whom; null: for everybody. */
  personId: orNull(weakRef('person')),
  /** Not again within so many hours. */
  leastHours: orNull(decimal(0.25, 720)),
  /** At most so many times in 24 hours. */
  mostInDay: orNull(whole(1, 50)),
  /** As it is printed. */
  words: text(1, 400),
  typedById: orNull(weakRef('person')),
  typedOn: day,
});
export type PackageLimit = Holds<typeof limit>;

/** The sections of a day in a pill box. */
export const PILL_TIMES = ['morning', 'noon', 'evening', 'night'] as const;
export type PillTime = (typeof PILL_TIMES)[number];

/** What goes into somebody's pill box, as somebody typed it from the plan of the doctor: nothing of it is the app's own. */
const pills = record({
  personId: weakRef('person'),
  /** In thousandths of the thing's unit. */
  morning: quantity(),
  noon: quantity(),
  evening: quantity(),
  night: quantity(),
  /** Empty: every day. */
  days: listOf(oneOf(...RULE_DAYS), RULE_DAYS.length),
  typedById: orNull(weakRef('person')),
  typedOn: day,
});
export type PillsTyped = Holds<typeof pills>;

/** What is noted of a thing that is a medicine. */
export const medicine = defineEntity('medicine', {
  fields: {
    itemId: ref('item'),
    /** The active ingredient, as printed. */
    ingredient: orNull(text(1, 80)),
    /** Symptoms or conditions it is kept for, in the home's own words. */
    forWhat: listOf(text(1, 60), 12),
    /** Whose it is; empty: everybody's. */
    personIds: listOf(weakRef('person'), 20),
    limits: listOf(limit, 20),
    /** For the pill boxes; null: it goes into none. */
    pills: added(orNull(listOf(pills, 20))),
  },
  retire: 'freely',
  writtenBy: ADULTS,
  readBy: ADULTS,
  title: ({ ingredient }) => ingredient,
});
