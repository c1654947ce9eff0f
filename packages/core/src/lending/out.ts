/** What is out of its place: who has it, since when, until when. */
import { dayOfId, daysBetween, type CivilDate } from '../base';
import type {
  AnyRow,
  EntityKind,
  HouseholdState,
  LoanFields,
  LoanRow,
  LotRow,
  Op,
  RowView,
  WaitingPlaceRow,
} from '../household';
import { nooksWithin } from '../spaces';
import { opsForTaking, opsForUsing, type OpContext } from '../stock';

/** What is out now, by what it is. */
class OutNow implements RowView {
  private readonly byWhat = new Map<string, LoanRow>();

  constructor(private readonly state: HouseholdState) {
    for (const loan of state.all('loan')) this.changed('loan', undefined, loan);
  }

  changed(entity: EntityKind, before: AnyRow | undefined, after: AnyRow | undefined): void {
    if (entity !== 'loan') return;
    const [was, is] = [before as LoanRow | undefined, after as LoanRow | undefined];
    if (was && this.byWhat.get(was.whatId)?.id === was.id) this.byWhat.delete(was.whatId);
    if (is && !is.retired && is.backOn === null) this.byWhat.set(is.whatId, is);
  }

  get any(): boolean {
    return this.byWhat.size > 0;
  }

  of(id: string): LoanRow | null {
    return this.byWhat.get(id) ?? null;
  }

  /** The kits that are out, by the place they lie in. */
  kitIn(nookId: string): LoanRow | null {
    for (const loan of this.byWhat.values()) {
      const kit = this.state.get('kit', loan.whatId);
      if (kit && !kit.retired && kit.nookId === nookId) return loan;
    }
    return null;
  }
}
const outNow = (state: HouseholdState): OutNow => state.view(OutNow);

/** By whom or where a place, or one around it, is out; null: it is where it belongs. */
export function loanOfNook(state: HouseholdState, nookId: string): LoanRow | null {
  const out = outNow(state);
  if (!out.any) return null;
  for (let at: string | null = nookId; at !== null;) {
    const loan = out.of(at) ?? out.kitIn(at);
    if (loan) return loan;
    const nook = state.nook(at);
    at =
      nook?.kind === 'bin'
        ? (nook.row.parentBinId ?? nook.row.shelfId)
        : nook?.kind === 'shelf'
          ? nook.row.spaceId
          : null;
  }
  return null;
}

/** By whom or where a lot is: itself, or with the bin or kit it lies in; null: it is in its place. */
export function loanOfLot(state: HouseholdState, lot: Pick<LotRow, 'id' | 'nookId'>): LoanRow | null {
  const out = outNow(state);
  return out.any ? (out.of(lot.id) ?? loanOfNook(state, lot.nookId)) : null;
}

/** All that is out: what is due back first, then by since when. */
export function loansOut(state: HouseholdState): LoanRow[] {
  const key = ({ dueOn, outOn }: LoanRow): string => `${dueOn ?? '9999'} ${outOn}`;
  return state
    .all('loan')
    .filter(({ backOn }) => backOn === null)
    .sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : a.id < b.id ? -1 : 1));
}

/** How many days it is overdue; 0: it is not, or nobody said when. */
export const overdueDays = ({ dueOn }: Pick<LoanRow, 'dueOn'>, today: CivilDate): number =>
  dueOn === null ? 0 : Math.max(0, daysBetween(dueOn, today));

type Said = Pick<LoanFields, 'way' | 'to' | 'what' | 'dueOn' | 'byId'>;
const fieldsOf = (whatId: string, thousandths: number | null, said: Said, { today }: OpContext): LoanFields => ({
  ...said,
  whatId,
  thousandths,
  outOn: today,
  backOn: null,
  packed: [],
});

/**
 * An amount of a lot goes out: it stays in the stock, as in use, and its place is kept for it.
 * @param presentHere the lots of its place
 */
export function opsForLending(
  lot: LotRow,
  thousandths: number,
  said: Said,
  presentHere: readonly LotRow[],
  context: OpContext,
): Op[] {
  const amount = Math.min(thousandths, lot.quantityThousandths);
  if (amount <= 0) return [];
  const already = (lot.inUseOn ?? null) !== null;
  const used = already ? [] : opsForUsing(lot, amount, false, presentHere, context);
  const into = used.at(-1);
  const whatId = into?.op === 'event' ? into.event.lotId : lot.id;
  return [
    ...used,
    { op: 'create', entity: 'loan', id: context.newId(), fields: fieldsOf(whatId, amount, said, context) },
  ];
}

/** A bin with all in it, or a kit, goes out. */
export const opsForGoingOut = (whatId: string, said: Said, context: OpContext): Op[] => [
  { op: 'create', entity: 'loan', id: context.newId(), fields: fieldsOf(whatId, null, said, context) },
];

/**
 * It is back. Of an amount, less than went out may come back: then the rest is still out.
 * @param thousandths how much came back; null: all of it
 */
export function opsForBringingBack(
  state: HouseholdState,
  loan: LoanRow,
  thousandths: number | null,
  context: OpContext,
): Op[] {
  const out = loan.thousandths;
  const back = out === null || thousandths === null ? out : Math.min(out, thousandths);
  const rest = out === null || back === null ? 0 : out - back;
  const fields = rest > 0 ? { thousandths: rest } : { backOn: context.today };
  const change: Op = { op: 'change', entity: 'loan', id: loan.id, fields };
  const lot = state.get('lot', loan.whatId);
  if (!lot || back === null) return [change];
  return [...opsForUsing(lot, back, true, state.lotsIn(lot.nookId), context), change];
}

/** So much of some things was used: of the first, or what serves as well. */
export interface UsedThings {
  itemIds: readonly string[];
  thousandths: number;
}

/** What of a kit was used while it was out, booked as taken from what lies in its place. */
export function opsForUsedOfKit(
  state: HouseholdState,
  nookId: string,
  used: readonly UsedThings[],
  context: OpContext,
): Op[] {
  const within = new Set(nooksWithin(state, nookId));
  return used.flatMap(({ itemIds, thousandths }) => {
    const lots = itemIds.flatMap((id) => state.lotsOf(id)).filter((lot) => within.has(lot.nookId));
    return lots.length === 0 || thousandths <= 0 ? [] : opsForTaking(lots, thousandths, context);
  });
}

/** A lot in a waiting place, and for how long. */
export interface Waiting {
  lot: LotRow;
  days: number;
  tooLong: boolean;
}

/** What waits in a place, the longest first. Since when: since this lot is there. */
export function waitingIn(state: HouseholdState, place: WaitingPlaceRow, today: CivilDate): Waiting[] {
  return nooksWithin(state, place.nookId)
    .flatMap((id) => state.lotsIn(id))
    .filter(({ quantityThousandths }) => quantityThousandths > 0)
    .map((lot) => {
      const days = Math.max(0, daysBetween(dayOfId(lot.id) ?? today, today));
      return { lot, days, tooLong: days > place.usualDays };
    })
    .sort((a, b) => b.days - a.days || (a.lot.id < b.lot.id ? -1 : 1));
}
