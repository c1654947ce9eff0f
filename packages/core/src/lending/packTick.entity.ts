import { day, defineEntity, id, orNull, ref, weakRef } from '../definition';

/** A thing of a kit that is out was packed. Rows are only added, or taken back: of two people who pack at once none undoes the other. */
export const packTick = defineEntity('pack_tick', {
  fields: { loanId: ref('loan'), itemId: id, byId: orNull(weakRef('person')), on: day },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
