import type { HouseholdState, Op, ClearOutRow, ItemRow, LotRow, Verdict, VerdictRow } from '../household';
import { opsForDiscarding, opsForMoving, type DiscardReason, type OpContext } from '../stock';
import { lotsWithin } from './grouping';

/** Why a thing left, by its verdict; null: it stays in the house. */
export const LEAVING_REASON: Readonly<Record<Verdict, DiscardReason | null>> = {
  keep: null,
  elsewhere: null,
  give_away: 'given_away',
  recycle: 'recycled',
  throw_out: 'other',
  empty_package: null,
};

/** What wants a caution before it is thrown out. */
export function disposalCaution(item: ItemRow): 'medicine' | 'chemical' | 'cells' | null {
  const words = [item.name, item.category, ...item.tags].join(' ').toLowerCase();
  const medicine = /prescription|tablet|medicine|drops|syrup|ointment|cough|paracetamol/.test(words);
  // Tablets for washing are no medicine.
  if ((medicine || item.unit === 'tablet') && !/dishwash|laundry|washing|descal/.test(words)) return 'medicine';
  if (/chemical|bleach|cleaner|varnish|paint|solvent|lamp oil|limescale|fuel|gas/.test(words)) return 'chemical';
  if (/battery|batteries|button cell|torch/.test(words)) return 'cells';
  return null;
}

/** The place a thing most likely belongs: where most of it is, outside the space being cleared. */
export function suggestHome(state: HouseholdState, lot: LotRow, spaceId: string): string | null {
  const here = new Set(lotsWithin(state, spaceId).map(({ id }) => id));
  const elsewhere = state
    .lotsOf(lot.itemId)
    .filter(({ id }) => !here.has(id))
    .sort((a, b) => b.quantityThousandths - a.quantityThousandths);
  return elsewhere[0]?.nookId ?? null;
}

/** How far the sorting of a space has come. */
export interface ClearOutState {
  clearOut: ClearOutRow;
  /** Everything recorded here, place by place as on the drawing. */
  lots: LotRow[];
  verdicts: Map<string, VerdictRow>;
  undecided: LotRow[];
}

/** Where a round stands. Things recorded after it began are part of it. */
export function clearOutState(state: HouseholdState, clearOut: ClearOutRow): ClearOutState {
  const lots = lotsWithin(state, clearOut.spaceId);
  const verdicts = new Map(state.verdictsOf(clearOut.id).map((row) => [row.lotId, row]));
  return { clearOut, lots, verdicts, undecided: lots.filter(({ id }) => !verdicts.has(id)) };
}

/** Notes or changes the verdict on one lot. */
export function opsForVerdict(
  state: ClearOutState,
  lot: LotRow,
  verdict: Verdict,
  toNookId: string | null,
  context: OpContext,
): Op[] {
  const known = state.verdicts.get(lot.id);
  if (known) return [{ op: 'change', entity: 'verdict', id: known.id, fields: { verdict, toNookId } }];
  return [
    {
      op: 'create',
      entity: 'verdict',
      id: context.newId(),
      fields: { clearOutId: state.clearOut.id, lotId: lot.id, verdict, toNookId },
    },
  ];
}

/**
 * Finishing a round: what leaves is booked out with its reason, what belongs elsewhere is moved there, an empty package is
 * counted as none left and its thing noted for buying. Undecided things stay as they are.
 */
export function opsForFinishing(state: HouseholdState, round: ClearOutState, context: OpContext): Op[] {
  const ops: Op[] = [];
  for (const lot of round.lots) {
    const row = round.verdicts.get(lot.id);
    if (!row || lot.quantityThousandths <= 0) continue;
    const reason = LEAVING_REASON[row.verdict];
    if (reason) ops.push(...opsForDiscarding(lot, lot.quantityThousandths, reason, context));
    if (row.verdict === 'empty_package') {
      ops.push(...opsForDiscarding(lot, lot.quantityThousandths, 'other', context));
      const item = state.get('item', lot.itemId);
      // Without a low mark nothing would remind anyone: from now on it is low when it is gone.
      if (item && item.lowAtThousandths === null)
        ops.push({ op: 'change', entity: 'item', id: item.id, fields: { lowAtThousandths: 0 } });
    }
    if (row.verdict === 'elsewhere' && row.toNookId && state.nook(row.toNookId))
      ops.push(...opsForMoving(lot, lot.quantityThousandths, row.toNookId, state.lotsIn(row.toNookId), context));
  }
  ops.push({ op: 'change', entity: 'clear_out', id: round.clearOut.id, fields: { finishedAt: context.now } });
  return ops;
}
