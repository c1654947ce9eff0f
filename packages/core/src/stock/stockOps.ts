import type { Condition, Op, ItemRow, LotFields, LotRow, LedgerEvent, LedgerEventKind } from '../household';
import type { CivilDate } from '../base';
import { effectiveDue, isFrozen, isThawed, type KeepingGuide } from '../shelflife';

/** What making operations needs from outside: the instant, the day, and new ids. */
export interface OpContext {
  /** A fresh UUIDv7 at each call. */
  newId: () => string;
  /** Instant, ISO UTC. */
  now: string;
  today: CivilDate;
}

/** Why things leave the house without being used. */
export const DISCARD_REASONS = ['expired', 'spoiled', 'broken', 'given_away', 'recycled', 'other'] as const;
/** Why something left the house. */
export type DiscardReason = (typeof DISCARD_REASONS)[number];

/** One event of a lot, now. */
export const eventOp = (
  context: OpContext,
  lotId: string,
  kind: LedgerEventKind,
  quantityThousandths: number,
  reason: string | null = null,
): Op => {
  const event: LedgerEvent = {
    id: context.newId(),
    lotId,
    kind,
    quantityThousandths,
    occurredAt: context.now,
    reason,
    voids: null,
  };
  return { op: 'event', event };
};

/** What is to be used first comes first: opened before closed, then by the date that counts, undated last; what is out comes after all. */
export function oldestFirst(lots: readonly LotRow[], item: ItemRow, guide: KeepingGuide): LotRow[] {
  const key = (lot: LotRow): string =>
    `${lot.inUseOn ? 1 : 0}${lot.openedOn === null ? 1 : 0}${effectiveDue(lot, item, guide)?.on ?? '9999-99-99'}`;
  return [...lots].sort((a, b) => key(a).localeCompare(key(b)) || (a.id < b.id ? -1 : 1));
}

/**
 * Takes from the given lots, in their order; what goes beyond all of them is taken from the last (and asks for a count).
 *
 * @param reason why it leaves the house unused, or null when it is used
 */
export function opsForTaking(
  lots: readonly LotRow[],
  quantityThousandths: number,
  context: OpContext,
  reason: DiscardReason | null = null,
): Op[] {
  let left = quantityThousandths;
  const ops: Op[] = [];
  lots.forEach((lot, at) => {
    const isLast = at === lots.length - 1;
    const part = isLast ? left : Math.min(left, lot.quantityThousandths);
    if (part > 0) ops.push(eventOp(context, lot.id, reason === null ? 'taken' : 'discarded', part, reason));
    left -= part;
  });
  return ops;
}

/** Lots of the same item, dates, size and state in one nook are one lot. */
export function sameLot(a: LotFields, b: LotFields): boolean {
  return (
    a.itemId === b.itemId &&
    a.nookId === b.nookId &&
    a.expiresOn === b.expiresOn &&
    a.dateKind === b.dateKind &&
    a.openedOn === b.openedOn &&
    a.frozenOn === b.frozenOn &&
    (a.thawedOn ?? null) === (b.thawedOn ?? null) &&
    (a.madeOn ?? null) === (b.madeOn ?? null) &&
    (a.madeKind ?? null) === (b.madeKind ?? null) &&
    (a.batch ?? null) === (b.batch ?? null) &&
    (a.decantedOn ?? null) === (b.decantedOn ?? null) &&
    (a.inUseOn ?? null) === (b.inUseOn ?? null) &&
    (a.condition ?? null) === (b.condition ?? null) &&
    a.packSize?.amountThousandths === b.packSize?.amountThousandths &&
    a.packSize?.unit === b.packSize?.unit
  );
}

/** Puts an amount into a nook: onto the lot it belongs to, or as a new one. */
export function opsForPuttingIn(
  fields: LotFields,
  quantityThousandths: number,
  present: readonly LotRow[],
  context: OpContext,
  kind: 'put_in' | 'moved_in' = 'put_in',
): Op[] {
  const twin = present.find((lot) => !lot.retired && sameLot(lot, fields));
  if (twin) return [eventOp(context, twin.id, kind, quantityThousandths)];
  const id = context.newId();
  return [{ op: 'create', entity: 'lot', id, fields }, eventOp(context, id, kind, quantityThousandths)];
}

/** "There are n now": the new base for this lot. */
export function opsForCounting(lot: LotRow, quantityThousandths: number, context: OpContext): Op[] {
  return [eventOp(context, lot.id, 'counted', quantityThousandths)];
}

/**
 * "There are n now" of a thing as a whole: the lot to be used last carries the number, the others are found empty.
 * @param lots those that are counted together, in any order
 */
export function opsForCountingAll(
  lots: readonly LotRow[],
  item: ItemRow,
  guide: KeepingGuide,
  quantityThousandths: number,
  context: OpContext,
): Op[] {
  const order = oldestFirst(lots, item, guide);
  return order.flatMap((lot, at) => opsForCounting(lot, at === order.length - 1 ? quantityThousandths : 0, context));
}

/** Out of the house, with the reason. */
export function opsForDiscarding(
  lot: LotRow,
  quantityThousandths: number,
  reason: DiscardReason,
  context: OpContext,
): Op[] {
  return [eventOp(context, lot.id, 'discarded', quantityThousandths, reason)];
}

/** Moves an amount of a lot to another nook; quantity is conserved. */
export function opsForMoving(
  lot: LotRow,
  quantityThousandths: number,
  toNookId: string,
  presentThere: readonly LotRow[],
  context: OpContext,
): Op[] {
  if (toNookId === lot.nookId) return [];
  const amount = Math.min(quantityThousandths, lot.quantityThousandths);
  return amount <= 0 ? [] : planSplit(lot, amount, { nookId: toNookId }, presentThere, context);
}

/**
 * Opens one of a lot (or all of a lot kept by measure): the opened one gets its own date from today. What is open already
 * stays as it is: opening it again does not start its days anew.
 */
export function opsForOpening(
  lot: LotRow,
  quantityThousandths: number,
  presentHere: readonly LotRow[],
  context: OpContext,
): Op[] {
  if (lot.openedOn !== null) return [];
  return planSplit(
    lot,
    Math.min(quantityThousandths, lot.quantityThousandths),
    { openedOn: context.today },
    presentHere,
    context,
  );
}

/**
 * Freezes an amount of a lot, into the nook given; what is frozen already keeps its day. What has thawed is frozen again from
 * today: the caller has shown the caution (`refreezing`) before.
 */
export function opsForFreezing(
  lot: LotRow,
  quantityThousandths: number,
  toNookId: string,
  presentThere: readonly LotRow[],
  context: OpContext,
): Op[] {
  const amount = Math.min(quantityThousandths, lot.quantityThousandths);
  const frozenOn = lot.frozenOn === null || isThawed(lot) ? context.today : lot.frozenOn;
  return planSplit(lot, amount, { frozenOn, nookId: toNookId }, presentThere, context);
}

/**
 * Takes an amount of a frozen lot out of the freezer to thaw, into the nook given. What had been frozen a second time is to be
 * used on the day it thaws. Of one that was bought frozen (`boughtFrozen`) no day of freezing is noted.
 */
export function opsForThawing(
  lot: LotRow,
  quantityThousandths: number,
  toNookId: string,
  presentThere: readonly LotRow[],
  context: OpContext,
  boughtFrozen = false,
): Op[] {
  if (!isFrozen(lot) && !boughtFrozen) return [];
  const change: Partial<LotFields> = { ...thawedToday(lot, context), nookId: toNookId };
  return planSplit(lot, Math.min(quantityThousandths, lot.quantityThousandths), change, presentThere, context);
}

/** The frozen lots in some places, all of them, thaw where they are: for a bin that leaves the freezer with what is in it. */
export function opsForThawingAll(lots: readonly LotRow[], context: OpContext): Op[] {
  return lots
    .filter((lot) => isFrozen(lot) && lot.quantityThousandths > 0)
    .map((lot) => ({ op: 'change', entity: 'lot', id: lot.id, fields: thawedToday(lot, context) }));
}

/** In use elsewhere from today, or (`back`) here again: it stays the thing of this place. */
export function opsForUsing(
  lot: LotRow,
  quantityThousandths: number,
  back: boolean,
  presentHere: readonly LotRow[],
  context: OpContext,
): Op[] {
  if (((lot.inUseOn ?? null) !== null) !== back) return [];
  const amount = Math.min(quantityThousandths, lot.quantityThousandths);
  return planSplit(lot, amount, { inUseOn: back ? null : context.today }, presentHere, context);
}

/** What is wrong with an amount of a lot, or (null) nothing any more. */
export function opsForCondition(
  lot: LotRow,
  quantityThousandths: number,
  condition: Condition | null,
  presentHere: readonly LotRow[],
  context: OpContext,
): Op[] {
  if ((lot.condition ?? null) === condition) return [];
  return planSplit(lot, Math.min(quantityThousandths, lot.quantityThousandths), { condition }, presentHere, context);
}

function thawedToday(lot: LotRow, { today }: OpContext): Partial<LotFields> {
  const again = (lot.thawedOn ?? null) !== null;
  return { thawedOn: today, ...(again ? { expiresOn: today, dateKind: 'use_by' as const } : {}) };
}

function planSplit(
  lot: LotRow,
  amount: number,
  change: Partial<LotFields>,
  present: readonly LotRow[],
  context: OpContext,
): Op[] {
  if (amount <= 0) return [];
  const fields: LotFields = { ...lotFieldsOf(lot), ...change };
  const others = present.filter((other) => other.id !== lot.id);
  return [
    eventOp(context, lot.id, 'moved_out', amount),
    ...opsForPuttingIn(fields, amount, others, context, 'moved_in'),
  ];
}

/** The fields of a lot without its id and balance. */
export function lotFieldsOf(lot: LotRow): LotFields {
  const { itemId, nookId, packSize, expiresOn, dateKind, openedOn, frozenOn, note } = lot;
  const later = {
    thawedOn: lot.thawedOn ?? null,
    madeOn: lot.madeOn ?? null,
    madeKind: lot.madeKind ?? null,
    batch: lot.batch ?? null,
    decantedOn: lot.decantedOn ?? null,
    inUseOn: lot.inUseOn ?? null,
    condition: lot.condition ?? null,
  };
  return { itemId, nookId, packSize, expiresOn, dateKind, openedOn, frozenOn, ...later, note };
}
