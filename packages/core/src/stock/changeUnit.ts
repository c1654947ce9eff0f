/** A thing kept in another unit from now on. */
import {
  definitionOf,
  type HouseholdState,
  type ItemFields,
  type ItemRow,
  type ItemTraits,
  type Op,
} from '../household';
import type { OpContext } from './stockOps';
import { MOST_OPS, opsForTakingOver, pastIn, refusedAmount, type AmountProblem } from './takeOver';

export type UnitChange =
  | {
      ok: true;
      ops: Op[];
      /** The thing as it is afterwards: another row where amounts changed. */
      itemId: string;
    }
  | { ok: false; problem: AmountProblem };

/**
 * A thing is kept in another unit: a row of its own in that unit takes over all that is there and all that speaks of it, the former one is
 * put away. So each amount that was ever written keeps the unit in which it was written, and pace and past are read from both. Where one
 * of the one is one of the other (tin, can), only the word changes.
 *
 * @param unit the new one, singular
 * @param each how much of it one of the old unit is: 1000 for kilograms to grams, 400 for tins of 400 g
 */
export function opsForUnit(
  state: HouseholdState,
  item: ItemRow,
  unit: string,
  each: number,
  context: OpContext,
): UnitChange {
  if (each === 1)
    return { ok: true, ops: [{ op: 'change', entity: 'item', id: item.id, fields: { unit } }], itemId: item.id };
  const problem = refusedAmount(state, item, each);
  if (problem) return { ok: false, problem };
  const itemId = context.newId();
  const ops: Op[] = [
    { op: 'create', entity: 'item', id: itemId, fields: { ...fieldsIn(item, each), unit, before: pastIn(item, each) } },
    ...opsForTakingOver(state, item, itemId, each, context),
    { op: 'retire', entity: 'item', id: item.id },
  ];
  return ops.length > MOST_OPS
    ? { ok: false, problem: { kind: 'too_many', operations: ops.length } }
    : { ok: true, ops, itemId };
}

/** What is known of a thing, with its amounts in the new unit. */
function fieldsIn(item: ItemRow, each: number): ItemFields {
  const fields = Object.fromEntries(
    Object.keys(definitionOf('item').fields).flatMap((key) => {
      const value = item[key as keyof ItemFields];
      return value === undefined ? [] : [[key, value]];
    }),
  ) as unknown as ItemFields;
  const some = (thousandths: number): number => Math.max(1, Math.round(thousandths * each));
  const orNone = (thousandths: number | null): number | null => (thousandths === null ? null : some(thousandths));
  const { restock, packs, front } = item;
  return {
    ...fields,
    lowAtThousandths: item.lowAtThousandths === null ? null : Math.round(item.lowAtThousandths * each),
    traits: item.traits ? traitsOfOne(item.traits, each) : null,
    restock: restock
      ? {
          ...restock,
          fullThousandths: orNone(restock.fullThousandths),
          weeklyThousandths: orNone(restock.weeklyThousandths),
        }
      : null,
    packs: packs ? packs.map((pack) => ({ ...pack, amountThousandths: some(pack.amountThousandths) })) : null,
    front: front
      ? {
          ...front,
          leastThousandths: Math.round(front.leastThousandths * each),
          fullThousandths: some(front.fullThousandths),
        }
      : null,
    // Twelve napkins are a set; how many of another unit, nobody said.
    set: null,
  };
}

/** Weight and room of one of the new unit; the sides and folds of one of the old say nothing of it. */
function traitsOfOne(traits: ItemTraits, each: number): ItemTraits {
  const ofOne = (value: number | null): number | null => (value === null ? null : Math.round(value / each));
  return {
    ...traits,
    weightGrams: ofOne(traits.weightGrams),
    volumeMl: ofOne(traits.volumeMl),
    textile: null,
    shape: null,
  };
}

/** What is no longer known of a thing once it is kept in another unit: to be said before. */
export function lostWithUnit({ traits, set }: ItemRow): ('sides' | 'set')[] {
  return [...(traits?.shape || traits?.textile ? (['sides'] as const) : []), ...(set ? (['set'] as const) : [])];
}
