import { added, day, defineEntity, id, listOf, oneOf, orNull, quantity, text, weakRef } from '../definition';

/**
 * Why something is not in its place.
 * - `lent`: to somebody else
 * - `taken`: somewhere in the home or on the way, with somebody of the home
 */
export const OUT_WAYS = ['lent', 'taken'] as const;

/** Something that is out of its place and comes back: an amount of a lot, a bin with all in it, a kit. */
export const loan = defineEntity('loan', {
  fields: {
    /** Of an amount: the lot that carries what is out. */
    whatId: weakRef('lot', 'bin', 'shelf', 'space', 'kit'),
    /** Of a lot: how much of it; null: all that is in it. */
    thousandths: orNull(quantity(1)),
    way: oneOf(...OUT_WAYS),
    /** To whom, or where. */
    to: text(1, 120),
    what: text(1, 120),
    /** What it is wanted for. */
    forWhat: added(orNull(text(1, 120))),
    byId: orNull(weakRef('person')),
    outOn: day,
    dueOn: orNull(day),
    /** Null: it is still out. */
    backOn: orNull(day),
    /** Of a kit: things packed before each tick became a row of its own (`pack_tick`). */
    packed: listOf(id, 300),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ what, to }) => `${what}, ${to}`,
});
