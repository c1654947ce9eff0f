import type { EventKey, LotBalance } from './registry';

/** What can happen to a lot. */
export const LEDGER_EVENT_KINDS = [
  'put_in',
  'moved_in',
  'taken',
  'moved_out',
  'discarded',
  'counted',
  'voided',
] as const;
/**
 * The reason of what only keeps the account of a lot straight to which past use was added: nothing was carried anywhere. It is told
 * nowhere as something that happened.
 */
export const BALANCING = 'balancing';
/** What happened to a lot. */
export type LedgerEventKind = (typeof LEDGER_EVENT_KINDS)[number];

/** What a taking-back takes back, for who has not the event itself at hand. */
export interface UndoneEvent {
  kind: Exclude<LedgerEventKind, 'voided'>;
  quantityThousandths: number;
  occurredAt: string;
  reason: string | null;
  /** What the lot held by the book just before; said of counts. */
  bookThousandths: number | null;
  /** It was taken back already, and this puts it in force again. */
  again: boolean;
}

/** What came, went or was counted of one lot, at one instant. */
export interface LedgerEvent {
  id: string;
  lotId: string;
  kind: LedgerEventKind;
  /**
   * Thousandths of the item's unit. What came or went (never negative); for `counted` the number found; for `voided`
   * the signed amount that taking the event back adds, used only where the voided event itself is not at hand.
   */
  quantityThousandths: number;
  occurredAt: string;
  reason: string | null;
  /** The event this one takes back; only with `voided`. */
  voids: string | null;
  /** Only with `voided`; a device that does not know it yet leaves it out. */
  undone?: UndoneEvent | null;
}

const INCOMING: ReadonlySet<LedgerEventKind> = new Set(['put_in', 'moved_in']);

/** What a lot holds by the book, not cut at 0. Rows of before it was kept hold what they show. */
export const bookOfLot = (lot: Pick<LotBalance, 'quantityThousandths' | 'bookThousandths'>): number =>
  lot.bookThousandths ?? lot.quantityThousandths;

/** Fold order of two events: by when they happened, then by id. Negative when `a` comes first. */
export function compareEventKeys(a: EventKey, b: EventKey): number {
  if (a.occurredAt !== b.occurredAt) return a.occurredAt < b.occurredAt ? -1 : 1;
  if (a.id === b.id) return 0;
  return a.id < b.id ? -1 : 1;
}

/** Of a lot to which nothing has happened. */
export const NOTHING_YET: LotBalance = {
  quantityThousandths: 0,
  bookThousandths: 0,
  pleaseCount: false,
  countedAt: null,
  lastAt: null,
};

/**
 * How much of a lot is there, from all that ever happened to it.
 *
 * @param events in any order, repeats allowed (the same id counts once), may be empty
 * @returns the balance; the quantity is never negative: taking more than is known leaves 0 and `pleaseCount`
 * For example after putting in 6 and taking 2 there are 4,000 thousandths.
 */
export function foldLedger(events: readonly LedgerEvent[]): LotBalance {
  return continueLedger(NOTHING_YET, events);
}

/**
 * Folds further events onto a known balance. Exact when every event is later than the balance (see `isInOrder`);
 * otherwise the best answer without the history: what happened before the last count is already in that count.
 */
export function continueLedger(balance: LotBalance, events: readonly LedgerEvent[]): LotBalance {
  const inOrder = [...new Map(events.map((event) => [event.id, event])).values()].sort(compareEventKeys);
  const known = new Set(inOrder.map((event) => event.id));
  const voided = voidedIds(inOrder);
  let { quantityThousandths, pleaseCount, countedAt, lastAt } = balance;
  let bookThousandths = bookOfLot(balance);

  for (const event of inOrder) {
    if (!lastAt || compareEventKeys(event, lastAt) > 0) lastAt = keyOf(event);
    if (voided.has(event.id)) continue;
    if (event.kind === 'voided') {
      const effectIsFoldedAlready = event.voids !== null && !known.has(event.voids);
      if (effectIsFoldedAlready) {
        quantityThousandths = Math.max(0, quantityThousandths + event.quantityThousandths);
        bookThousandths += bookEffectOf(event, countedAt);
      }
      continue;
    }
    if (countedAt && compareEventKeys(event, countedAt) < 0) continue;
    if (event.kind === 'counted') {
      quantityThousandths = event.quantityThousandths;
      bookThousandths = event.quantityThousandths;
      pleaseCount = false;
      countedAt = keyOf(event);
    } else if (INCOMING.has(event.kind)) {
      quantityThousandths += event.quantityThousandths;
      bookThousandths += event.quantityThousandths;
    } else if (event.quantityThousandths > quantityThousandths) {
      quantityThousandths = 0;
      bookThousandths -= event.quantityThousandths;
      pleaseCount = true;
    } else {
      quantityThousandths -= event.quantityThousandths;
      bookThousandths -= event.quantityThousandths;
    }
  }
  return { quantityThousandths, bookThousandths, pleaseCount, countedAt, lastAt };
}

/** What taking an event back does to the book, where that event is folded into it already. */
function bookEffectOf({ undone, quantityThousandths }: LedgerEvent, countedAt: EventKey | null): number {
  if (!undone) return quantityThousandths;
  // What comes before a count is in it.
  if (countedAt && undone.occurredAt < countedAt.occurredAt) return 0;
  const effect =
    undone.kind === 'counted'
      ? undone.quantityThousandths - (undone.bookThousandths ?? undone.quantityThousandths)
      : INCOMING.has(undone.kind)
        ? undone.quantityThousandths
        : -undone.quantityThousandths;
  return undone.again ? effect : -effect;
}

/** Whether folding this event onto the balance gives the same as folding the whole history. */
export function isInOrder(balance: LotBalance, event: LedgerEvent): boolean {
  if (event.kind === 'voided') return false;
  return balance.lastAt === null || compareEventKeys(event, balance.lastAt) > 0;
}

const keyOf = (event: LedgerEvent): EventKey => ({ occurredAt: event.occurredAt, id: event.id });

/** Events without repeats, in fold order, without those taken back and the takings-back. */
export function liveEvents(events: Iterable<LedgerEvent>): (LedgerEvent & { kind: UndoneEvent['kind'] })[] {
  const inOrder = [...new Map([...events].map((event) => [event.id, event])).values()].sort(compareEventKeys);
  const voided = voidedIds(inOrder);
  return inOrder.filter((event) => isNoVoid(event) && !voided.has(event.id)) as (LedgerEvent & {
    kind: UndoneEvent['kind'];
  })[];
}
const isNoVoid = ({ kind }: LedgerEvent): boolean => kind !== 'voided';

/**
 * The events that do not count: those that a taking-back that counts takes back. A taking-back can itself be taken back; which
 * one was first is told by what it takes back, not by a clock.
 */
export function voidedIds(events: readonly Pick<LedgerEvent, 'id' | 'voids'>[]): Set<string> {
  const takingBack = new Map<string, string[]>();
  for (const { id, voids } of events) if (voids !== null) takingBack.set(voids, [...(takingBack.get(voids) ?? []), id]);
  const known = new Map<string, boolean>();
  const counts = (id: string): boolean => {
    const answer = known.get(id);
    if (answer !== undefined) return answer;
    known.set(id, true);
    const mine = !(takingBack.get(id) ?? []).some(counts);
    known.set(id, mine);
    return mine;
  };
  return new Set([...takingBack.keys()].filter((id) => !counts(id)));
}
