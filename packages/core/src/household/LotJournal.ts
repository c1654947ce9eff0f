import type { LotBalance } from './registry';
import { bookOfLot, continueLedger, NOTHING_YET, type LedgerEvent } from './ledger';

/** What is known of a lot's history: a balance, and all that happened since, in any order. */
export interface LotHistory {
  base: LotBalance;
  events: readonly LedgerEvent[];
}

/** Events kept of one lot; older ones are folded into its base. More than anybody takes back. */
const MOST_KEPT = 400;

/**
 * What a device has done to its lots, so that taking something back is computed from what happened and not from the difference
 * it made: a count, or a taking of more than was there, leaves no difference that could be added again.
 *
 * The device's rows come numbered from the server. As long as a lot's numbered balance is what the journal makes of the events
 * that the server has, its history is known from its base on; when it is not (somebody else did something, or a clock was put
 * right), the numbered balance is the new base.
 */
export class LotJournal {
  private readonly lots = new Map<string, { base: LotBalance; settled: LedgerEvent[] }>();

  /**
   * The history to continue from for a lot.
   *
   * @param numbered its balance as the server numbered it; null when it has no numbered row yet
   * @param waiting events of this device that the server has not numbered, in the order they were made
   */
  history(lotId: string, numbered: LotBalance | null, waiting: readonly LedgerEvent[]): LotHistory {
    const known = this.lots.get(lotId);
    if (known) return { base: known.base, events: [...known.settled, ...waiting] };
    return { base: numbered ?? NOTHING_YET, events: waiting };
  }

  /**
   * The server has numbered a lot's row.
   *
   * @param before its numbered balance so far, null when it is new
   * @param after its balance now
   * @param done this device's events that it includes and did not before
   */
  settle(lotId: string, before: LotBalance | null, after: LotBalance, done: readonly LedgerEvent[]): void {
    const known = this.lots.get(lotId);
    if (!known && done.length === 0) return;
    const base = known?.base ?? before ?? NOTHING_YET;
    const settled = [...(known?.settled ?? []), ...done];
    if (!isSame(continueLedger(base, settled), after)) {
      this.lots.delete(lotId);
      return;
    }
    const over = settled.length - MOST_KEPT;
    if (over <= 0) this.lots.set(lotId, { base, settled });
    else this.lots.set(lotId, { base: continueLedger(base, settled.slice(0, over)), settled: settled.slice(over) });
  }

  /** Forgets everything: the device reads its home anew. */
  clear(): void {
    this.lots.clear();
  }
}

function isSame(a: LotBalance, b: LotBalance): boolean {
  return (
    a.quantityThousandths === b.quantityThousandths &&
    bookOfLot(a) === bookOfLot(b) &&
    a.pleaseCount === b.pleaseCount &&
    a.countedAt?.id === b.countedAt?.id &&
    a.lastAt?.id === b.lastAt?.id
  );
}
