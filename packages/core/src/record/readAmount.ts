import { readQuantity } from '../base';
import type { ItemRow } from '../household';
import type { LineHabits } from './lineReading';
import { quantityIn } from './opsForRecordedLine';
import { recordLine } from './recordLine';
import { ThingNames } from './thingNames';

export type AmountReading =
  | { ok: true; thousandths: number }
  /** `other_unit`: it was read, in a unit that the thing is not kept in. */
  | { ok: false; problem: 'not_an_amount' | 'more_than_one_way' }
  | { ok: false; problem: 'other_unit'; said: string };

/** A word that no line has: the amount is read as the beginning of a line about a thing of this name. */
const STAND_IN = 'zqit';

/**
 * An amount of a thing, read as a recorded line reads it: `3`, `1 1/2`, `750 g`, `2 x 400 g`, `3 packs of 400 g`.
 *
 * @returns thousandths of the thing's unit
 * @example readAmount('750 g', { unit: 'kg' }, { order: 'dmy', today: '2026-11-27' }) //=> { ok: true, thousandths: 750 }
 */
export function readAmount(text: string, { unit }: Pick<ItemRow, 'unit'>, habits: LineHabits): AmountReading {
  const plain = readQuantity(text);
  if (plain !== null && plain >= 0) return { ok: true, thousandths: plain };
  const things = new ThingNames();
  things.set({ id: STAND_IN, name: STAND_IN, unit, synonyms: [] });
  const card = recordLine(`${text.trim()} ${STAND_IN}`, habits, things);
  const says = card.understood && card.itemId === STAND_IN && card.quantityGiven && card.action !== 'take';
  // Whatever else a line may say has no place in an amount.
  const more =
    card.expiresOn ?? card.openedOn ?? card.frozenOn ?? card.thawedOn ?? card.madeOn ?? card.placeKey ?? card.batch;
  if (!says || more !== null || card.tags.length > 0) return { ok: false, problem: 'not_an_amount' };
  if (card.questions.length > 0) return { ok: false, problem: 'more_than_one_way' };
  const thousandths = quantityIn(card, unit);
  return thousandths === null
    ? { ok: false, problem: 'other_unit', said: card.unit ?? card.packSize?.unit ?? '' }
    : { ok: true, thousandths };
}
