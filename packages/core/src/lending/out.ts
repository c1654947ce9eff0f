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
  PackTickRow,
  RowView,
  WaitingPlaceRow,
} from '../household';
import { nooksWithin } from '../spaces';
import { opsForTaking, opsForUsing, type OpContext } from '../stock';

/** What is out now, by what it is. */
class OutNow implements RowView {
  /** Two devices may have said it of one thing: then there are two. */
  private readonly byWhat = new Map<string, Map<string, LoanRow>>();

  constructor(private readonly state: HouseholdState) {
    for (const loan of state.all('loan')) this.changed('loan', undefined, loan);
  }

  changed(entity: EntityKind, before: AnyRow | undefined, after: AnyRow | undefined): void {
    if (entity !== 'loan') return;
    const [was, is] = [before as LoanRow | undefined, after as LoanRow | undefined];
    if (was) {
      this.byWhat.get(was.whatId)?.delete(was.id);
      if (this.byWhat.get(was.whatId)?.size === 0) this.byWhat.delete(was.whatId);
    }
    if (!is || is.retired || is.backOn !== null) return;
    const known = this.byWhat.get(is.whatId) ?? new Map<string, LoanRow>();
    this.byWhat.set(is.whatId, known.set(is.id, is));
  }

  get any(): boolean {
    return this.byWhat.size > 0;
  }

  all(id: string): LoanRow[] {
    return [...(this.byWhat.get(id)?.values() ?? [])];
  }

  /** What was said last. */
  of(id: string): LoanRow | null {
    return (
      this.all(id).sort((a, b) => (a.outOn < b.outOn ? 1 : a.outOn > b.outOn ? -1 : a.id < b.id ? 1 : -1))[0] ?? null
    );
  }

  /** The kits that are out, by the place they lie in. */
  kitIn(nookId: string): LoanRow | null {
    for (const whatId of this.byWhat.keys()) {
      const kit = this.state.get('kit', whatId);
      if (kit && !kit.retired && kit.nookId === nookId) return this.of(whatId);
    }
    return null;
  }
}
const outNow = (state: HouseholdState): OutNow => state.view(OutNow);

/** By whom or where a lot, place or kit is, itself; null: it is not out by itself. */
export const loanOf = (state: HouseholdState, whatId: string): LoanRow | null => outNow(state).of(whatId);

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

/**
 * Whether there is anything that could come back. What went out may have been used up or thrown away since, or its bin or kit put away:
 * then nothing is out any more.
 */
export function isStillThere(state: HouseholdState, { whatId, thousandths }: LoanRow): boolean {
  if (thousandths !== null) return outAmount(state, { whatId, thousandths }) > 0;
  const row = state.nook(whatId)?.row ?? state.get('kit', whatId);
  return row !== undefined && !row.retired;
}

/** How much of what went out is left. @returns thousandths; of a bin or kit 0 */
export const outAmount = (
  state: HouseholdState,
  { whatId, thousandths }: Pick<LoanRow, 'whatId' | 'thousandths'>,
): number => Math.min(thousandths ?? 0, state.get('lot', whatId)?.quantityThousandths ?? 0);

/** Whether a lot lies where it is recorded: it is neither lent nor in use somewhere, nor is the bin that it lies in. */
export const isInPlace = (state: HouseholdState, lot: LotRow): boolean =>
  (lot.inUseOn ?? null) === null && loanOfLot(state, lot) === null;

/** All that is out: what is due back first, then by since when. */
export function loansOut(state: HouseholdState): LoanRow[] {
  const key = ({ dueOn, outOn }: LoanRow): string => `${dueOn ?? '9999'} ${outOn}`;
  return state
    .all('loan')
    .filter((loan) => loan.backOn === null && isStillThere(state, loan))
    .sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : a.id < b.id ? -1 : 1));
}

/** How many days it is overdue; 0: it is not, or nobody said when. */
export const overdueDays = ({ dueOn }: Pick<LoanRow, 'dueOn'>, today: CivilDate): number =>
  dueOn === null ? 0 : Math.max(0, daysBetween(dueOn, today));

type Said = Pick<LoanFields, 'way' | 'to' | 'what' | 'forWhat' | 'dueOn' | 'byId'>;
const fieldsOf = (whatId: string, thousandths: number | null, said: Said, { today }: OpContext): LoanFields => ({
  ...said,
  whatId,
  thousandths,
  outOn: today,
  backOn: null,
  packed: [],
});

/** An amount of a lot goes out, as a lot of its own: it stays in the stock, as in use, and its place is kept for it. */
export function opsForLending(lot: LotRow, thousandths: number, said: Said, context: OpContext): Op[] {
  const amount = Math.min(thousandths, lot.quantityThousandths);
  if (amount <= 0) return [];
  const already = (lot.inUseOn ?? null) !== null;
  const used = already ? [] : opsForUsing(lot, amount, false, [], context);
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
  const out = loan.thousandths === null ? null : outAmount(state, loan);
  const back = out === null || thousandths === null ? out : Math.min(out, thousandths);
  const rest = out === null || back === null ? 0 : out - back;
  const fields = rest > 0 ? { thousandths: rest } : { backOn: context.today };
  const change = (id: string): Op => ({ op: 'change', entity: 'loan', id, fields });
  const lot = state.get('lot', loan.whatId);
  // A bin or kit that is back is back, whoever said that it was out.
  if (!lot || back === null)
    return [loan, ...outNow(state).all(loan.whatId)]
      .map(({ id }) => id)
      .filter(isFirst)
      .map(change);
  return [...opsForUsing(lot, back, true, state.lotsIn(lot.nookId), context), change(loan.id)];
}

/** What of a kit that is out is packed: the ids of its things. */
export const packedOf = (state: HouseholdState, loan: LoanRow): ReadonlySet<string> =>
  new Set([...loan.packed, ...ticksOf(state, loan).map(({ itemId }) => itemId)]);
const ticksOf = (state: HouseholdState, { id }: LoanRow): PackTickRow[] =>
  state.all('pack_tick').filter(({ loanId }) => loanId === id);

/** Packs a thing, or takes back all that was said of it. */
export function opsForPacking(
  state: HouseholdState,
  loan: LoanRow,
  itemId: string,
  byId: string | null,
  { newId, today }: OpContext,
): Op[] {
  if (!packedOf(state, loan).has(itemId))
    return [{ op: 'create', entity: 'pack_tick', id: newId(), fields: { loanId: loan.id, itemId, byId, on: today } }];
  const packed = loan.packed.filter((id) => id !== itemId);
  return [
    ...(packed.length === loan.packed.length
      ? []
      : [{ op: 'change' as const, entity: 'loan' as const, id: loan.id, fields: { packed } }]),
    ...ticksOf(state, loan)
      .filter((tick) => tick.itemId === itemId)
      .map(({ id }): Op => ({ op: 'retire', entity: 'pack_tick', id })),
  ];
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

const isFirst = <T>(one: T, at: number, all: readonly T[]): boolean => all.indexOf(one) === at;

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
