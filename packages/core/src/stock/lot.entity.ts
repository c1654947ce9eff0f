import {
  defineEntity,
  added,
  day,
  id,
  instant,
  longText,
  oneOf,
  orNull,
  quantity,
  record,
  text,
  within,
  yesNo,
  type Holds,
} from '../definition';
import { LARGEST_QUANTITY_THOUSANDTHS, LONGEST_BATCH } from '../base';

const packSize = record({
  /** In thousandths of `unit`. */
  amountThousandths: quantity(1),
  unit: text(1, 20),
});
export type PackSize = Holds<typeof packSize>;
/** What the date a thing came to be says. */
export const MADE_KINDS = ['made', 'cooked', 'baked', 'roasted', 'packed', 'bottled', 'bought', 'harvested'] as const;
export type MadeKind = (typeof MADE_KINDS)[number];

/** What may be wrong with a thing that stays. */
export const CONDITIONS = ['to_mend', 'to_wash', 'to_repaint', 'worn', 'part_missing'] as const;
export type Condition = (typeof CONDITIONS)[number];

export type DateKind = 'best_before' | 'use_by';

/** The order of ledger events: when it happened, then the event's id. */
const eventKey = record({ occurredAt: instant, id });
export type EventKey = Holds<typeof eventKey>;

export const lot = defineEntity('lot', {
  fields: {
    itemId: within('item'),
    /** The space, shelf or bin this amount sits in. */
    nookId: within('space', 'shelf', 'bin'),
    packSize: orNull(packSize),
    expiresOn: orNull(day),
    dateKind: orNull(oneOf('best_before', 'use_by')),
    openedOn: orNull(day),
    frozenOn: orNull(day),
    /** When it left the freezer for use. A later `frozenOn` means that it was frozen again. */
    thawedOn: added(orNull(day)),
    /** When it was made, packed, roasted, bought …, and which of them. */
    madeOn: added(orNull(day)),
    madeKind: added(orNull(oneOf(...MADE_KINDS))),
    /** The maker's batch, as printed. */
    batch: added(orNull(text(1, LONGEST_BATCH))),
    /** Since when it is in another jar than its packet; topped up, since the first of it. */
    decantedOn: added(orNull(day)),
    /** Since when it is in use elsewhere; its place here is kept for it. */
    inUseOn: added(orNull(day)),
    /** What is wrong with it; null: nothing is. */
    condition: added(orNull(oneOf(...CONDITIONS))),
    note: longText(2000),
  },
  derived: {
    fields: {
      quantityThousandths: quantity(),
      /** The same, not cut at 0: what was taken beyond it is missing here. */
      bookThousandths: added(orNull(quantity(-LARGEST_QUANTITY_THOUSANDTHS))),
      /** More was taken than was known; the number needs a look. */
      pleaseCount: yesNo,
      countedAt: orNull(eventKey),
      lastAt: orNull(eventKey),
    },
    start: { quantityThousandths: 0, bookThousandths: 0, pleaseCount: false, countedAt: null, lastAt: null },
  },
  retire: 'when_empty',
  writtenBy: 'member',
  title: () => null,
  occupies: ({ quantityThousandths }) => quantityThousandths > 0,
});
