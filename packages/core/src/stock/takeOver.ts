/** All of one thing is another one's from now on, also where they are kept in different units. */
import { convertMeasure, isMeasure, LARGEST_QUANTITY_THOUSANDTHS } from '../base';
import {
  entityKinds,
  referencesOf,
  type AnyRow,
  type EntityKind,
  type HouseholdState,
  type ItemBefore,
  type ItemRow,
  type LotRow,
  type Op,
} from '../household';
import { eventOp, lotFieldsOf, type OpContext } from './stockOps';

/** Operations that one command takes. */
export const MOST_OPS = 500;

/** Why amounts cannot be written in another unit. */
export type AmountProblem =
  /** How much of it is taken was typed from a doctor's plan: nothing here may turn that into another number. */
  | { kind: 'doses_typed' }
  /** How much is there is not known. */
  | { kind: 'count_first'; nookId: string }
  /** Less than can be written, or more. */
  | { kind: 'no_such_amount'; thousandths: number; nookId: string }
  /** More than one command takes. */
  | { kind: 'too_many'; operations: number };

/** How much of one measure another one is; null: they do not go together, or nobody said how many of one are in the other. */
export function eachOf(from: string, to: string): number | null {
  if (from === to) return 1;
  if (!isMeasure(from) || !isMeasure(to)) return null;
  // By a large amount, since the answer is whole thousandths.
  const LARGE = 1_000_000_000_000;
  const converted = convertMeasure(LARGE, from, to);
  return converted === null || converted === LARGE ? null : converted / LARGE;
}

const written = (thousandths: number, each: number): number => Math.round(thousandths * each);

/** Why the amounts of a thing cannot be written in another unit; null: they can. @param each of the new unit in one of the old */
export function refusedAmount(state: HouseholdState, from: ItemRow, each: number): AmountProblem | null {
  if (each === 1) return null;
  if (state.all('medicine').some(({ itemId, pills }) => itemId === from.id && (pills ?? []).length > 0))
    return { kind: 'doses_typed' };
  for (const { pleaseCount, nookId, quantityThousandths } of state.lotsOf(from.id)) {
    if (pleaseCount) return { kind: 'count_first', nookId };
    const thousandths = written(quantityThousandths, each);
    if ((thousandths < 1 && quantityThousandths > 0) || thousandths > LARGEST_QUANTITY_THOUSANDTHS)
      return { kind: 'no_such_amount', thousandths: quantityThousandths, nookId };
  }
  return null;
}

/** The past of a thing for one that is kept in another unit. */
export const pastIn = (from: ItemRow, each: number): ItemBefore[] => [
  { itemId: from.id, each },
  ...(from.before ?? []).map((before) => ({ itemId: before.itemId, each: before.each * each })),
];

/**
 * All that lies there of a thing, and all that speaks of it, becomes another one's. In another unit each amount goes out of its lot and
 * into a new one at the same place, so that what was written before stays what it was.
 * @param toId a living thing, or one made by an operation before these
 * @param each how much of the new unit one of the old is; 1: both are kept alike
 */
export function opsForTakingOver(
  state: HouseholdState,
  from: ItemRow,
  toId: string,
  each: number,
  context: OpContext,
): Op[] {
  const turned = new Map([[from.id, toId]]);
  const ops: Op[] = [];
  for (const lot of state.lotsOf(from.id)) {
    if (each === 1) ops.push({ op: 'change', entity: 'lot', id: lot.id, fields: { itemId: toId } });
    else if (lot.quantityThousandths > 0) {
      const id = context.newId();
      turned.set(lot.id, id);
      ops.push(...turnedLot(lot, id, toId, each, context));
    }
  }
  for (const kind of entityKinds())
    // What was put into a pill box stays what it was.
    if (kind !== 'lot' && kind !== 'use' && (kind !== 'pill_fill' || each === 1))
      ops.push(...pointingAt(state, kind, turned, toId, each));
  return ops;
}

function turnedLot(lot: LotRow, id: string, itemId: string, each: number, context: OpContext): Op[] {
  const amount = lot.quantityThousandths;
  return [
    { op: 'create', entity: 'lot', id, fields: { ...lotFieldsOf(lot), itemId } },
    eventOp(context, lot.id, 'moved_out', amount),
    eventOp(context, id, 'moved_in', written(amount, each)),
    { op: 'retire', entity: 'lot', id: lot.id },
  ];
}

/** Rows of a kind that speak of what has another id now, changed to speak of that, with their amounts. */
function pointingAt(
  state: HouseholdState,
  kind: EntityKind,
  turned: ReadonlyMap<string, string>,
  toId: string,
  each: number,
): Op[] {
  return (state.all(kind) as AnyRow[]).flatMap((row): Op[] => {
    if (turned.has(row.id) || row.id === toId) return [];
    const keys = new Set(referencesOf(kind, row).flatMap(({ id, key }) => (turned.has(id) ? [key] : [])));
    if (keys.size === 0) return [];
    const values = row as unknown as Record<string, unknown>;
    const fields: Record<string, unknown> = {};
    for (const key of keys) fields[key] = replaced(values[key], turned, each);
    // An amount beside the reference, as of a line of the list or of what is lent.
    if (each !== 1)
      for (const key of OWN_AMOUNTS) {
        const amount = values[key];
        if (typeof amount === 'number') fields[key] = atLeastSome(amount, each);
      }
    return [{ op: 'change', entity: kind, id: row.id, fields } as Op];
  });
}

/** Fields that hold an amount of the thing (or of the lot) that their row or record speaks of. */
const OWN_AMOUNTS = ['thousandths', 'amountThousandths', 'packThousandths'];
const atLeastSome = (thousandths: number, each: number): number => Math.max(1, written(thousandths, each));

function replaced(value: unknown, turned: ReadonlyMap<string, string>, each: number): unknown {
  if (typeof value === 'string') return turned.get(value) ?? value;
  if (Array.isArray(value)) return value.map((one) => replaced(one, turned, each));
  if (value === null || typeof value !== 'object') return value;
  const entries = Object.entries(value);
  const speaks = entries.some(([, one]) => typeof one === 'string' && turned.has(one));
  return Object.fromEntries(
    entries.map(([key, one]) => [
      key,
      speaks && each !== 1 && OWN_AMOUNTS.includes(key) && typeof one === 'number'
        ? atLeastSome(one, each)
        : replaced(one, turned, each),
    ]),
  );
}
