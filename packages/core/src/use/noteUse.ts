import { addTo, carryOn, COUNTS, GAP, IN, OTHER, USED, type UseDigest, type UseSeries } from './useDigest';

const MS_A_DAY = 86_400_000;
/** The UTC day of an instant, counted from 1970-01-01. */
export const dayNumberOf = (instant: string): number => Math.floor(Date.parse(instant) / MS_A_DAY);

/** What happened to a lot, as far as use is about it. */
export interface UseEvent {
  kind: 'put_in' | 'moved_in' | 'taken' | 'moved_out' | 'discarded' | 'counted';
  /** What came or went; for `counted` the number found. */
  quantityThousandths: number;
  occurredAt: string;
  reason: string | null;
}

/** Put in with this reason it was only away: nothing was bought. */
const BACK = 'given_back';
const INCOMING: ReadonlySet<UseEvent['kind']> = new Set(['put_in', 'moved_in']);

/** What an event that is no count does to the book. */
export const effectOf = ({ kind, quantityThousandths }: UseEvent): number =>
  INCOMING.has(kind) ? quantityThousandths : -quantityThousandths;

function seriesOf(event: UseEvent): [UseSeries, number] {
  if (event.kind === 'taken') return [USED, event.quantityThousandths];
  if (event.kind === 'put_in' && event.reason !== BACK) return [IN, event.quantityThousandths];
  return [OTHER, effectOf(event)];
}

/** What has to be known of a lot to note an event of it. */
export interface EventContext {
  /** What the lot held by the book just before; looked at for counts only. */
  bookThousandths: number;
  /** The day of the lot's first count after the event; null: there is none. */
  nextCountDay: number | null;
}

/**
 * Adds an event to a digest, or takes it back.
 *
 * A count notes what it found more or less than the book. What comes before a later count changes what that count found, not
 * what is there now.
 */
export function noteEvent(digest: UseDigest, event: UseEvent, sign: 1 | -1, context: EventContext): void {
  const day = dayNumberOf(event.occurredAt);
  carryOn(digest, day);
  let effect: number;
  if (event.kind === 'counted') {
    effect = event.quantityThousandths - context.bookThousandths;
    addTo(digest, day, GAP, sign * effect);
    addTo(digest, day, COUNTS, sign);
  } else {
    effect = effectOf(event);
    const [series, amount] = seriesOf(event);
    addTo(digest, day, series, sign * amount);
  }
  if (context.nextCountDay !== null) addTo(digest, context.nextCountDay, GAP, -sign * effect);
}

/**
 * Adds everything that happened to one lot, or takes it back.
 * @param events in the order in which they happened, without those that were taken back
 */
export function noteLot(digest: UseDigest, events: readonly UseEvent[], sign: 1 | -1): void {
  let bookThousandths = 0;
  for (const event of events) {
    noteEvent(digest, event, sign, { bookThousandths, nextCountDay: null });
    bookThousandths = event.kind === 'counted' ? event.quantityThousandths : bookThousandths + effectOf(event);
  }
}
