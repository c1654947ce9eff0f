/** A kind of row that no version has: how little a new one needs. Imported first, before anything asks which kinds there are. */
import { defineEntity } from '../definition/defineEntity';
import { day, listOf, money, orNull, quantity, ref, text, weakRef } from '../definition/field';
import { ENTITIES } from './registry';

export const heirloom = defineEntity('heirloom', {
  fields: {
    lotId: ref('lot'),
    fromId: orNull(weakRef('person')),
    name: text(1, 60),
    quantityThousandths: quantity(),
    worthMinor: orNull(money),
    givenOn: day,
    words: listOf(text(1, 20), 5),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});

(ENTITIES as Record<string, unknown>).heirloom = heirloom;

export const heirloomFields = (lotId: string) => ({
  lotId,
  fromId: null,
  name: 'Brass compass',
  quantityThousandths: 1000,
  worthMinor: 12_000,
  givenOn: '1998-06-21',
  words: ['brass', 'north'],
});
