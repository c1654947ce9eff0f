/** What there is to do in a turn of a round, place by place. */
import { addDays, type CivilDate } from '../base';
import { withPillBox } from '../care';
import { purposeOf } from '../handling';
import type { HouseholdState, LotRow, RoundRow } from '../household';
import { isInPlace } from '../lending';
import { refillsOf, type Refill } from '../restock';
import { nooksWithin } from '../spaces';
import { stockOf } from '../stock';
import { nextDue } from './rhythm';

/** One step. Its key is the same on every device. */
export interface RoundStep {
  key: string;
  /** Where; null: nowhere in particular. */
  nookId: string | null;
  /** In the home's own words; null: what is to be done follows from the round's kind. */
  words: string | null;
  /** Lots that are looked at, the ones that end first before the others. */
  lots: LotRow[];
  /** Of a refill: what is carried, from where to where. */
  refill: Refill | null;
  /** Of a season swap: the bins that change places. */
  swap: { oneId: string; otherId: string } | null;
}

/** What the key of a refill's step begins with; the thing's id follows. */
export const REFILL_KEY = 'r ';

/** What the key of two bins that change places begins with; their ids follow. */
export const SWAP_KEY = 's ';

/** What the key of a filled pill box begins with; the person's id follows. */
export const PILL_KEY = 'p ';

/** An expiry round looks at what ends before it comes again, and at least within so many days. Own default. */
const ENDS_WITHIN_DAYS = 14;

/** Up to which day a round looks at dates: what ends before its next turn is looked at in this one. */
export function endsUntil({ rhythm, startsOn }: RoundRow, today: CivilDate, dueOn: CivilDate): CivilDate {
  const least = addDays(today, ENDS_WITHIN_DAYS);
  const next = nextDue(rhythm, startsOn, today, today < dueOn ? dueOn : today);
  return next !== null && next > least ? next : least;
}

/**
 * The steps of a round as the home is today: its own words first, then what its kind finds at its places, in walking order.
 * - `expiry`: places where something is too late or ends before the round comes again, with those lots
 * - `medicine`: the same, of medicines only
 * - `count`, `supplies`: its places, with all that lies there
 * - `catch_all`: its places, with what lies there and since when
 * - `condition`: places where something is to be mended, washed or repainted, is worn or lacks a part
 * - `pill_box`: the boxes of everybody for whom something goes into one
 * - `refill`: what is carried from the reserve to where it is used, in walking order
 * @param dueOn the day of the turn: what has its refill day then is filled up
 */
export function stepsOfRound(state: HouseholdState, round: RoundRow, today: CivilDate, dueOn = today): RoundStep[] {
  const own = round.steps.map((words): RoundStep => ({
    key: `w ${words}`,
    nookId: null,
    words,
    lots: [],
    refill: null,
    swap: null,
  }));
  const at = (nookId: string, lots: LotRow[]): RoundStep => ({
    key: `n ${nookId}`,
    nookId,
    words: null,
    lots,
    refill: null,
    swap: null,
  });
  /** Lots by the places they lie in, in walking order. */
  const atPlaces = (lots: readonly LotRow[]): RoundStep[] => {
    const places = new Map<string, LotRow[]>();
    for (const lot of lots) {
      const known = places.get(lot.nookId);
      if (known) known.push(lot);
      else places.set(lot.nookId, [lot]);
    }
    return inWalkingOrder(state, [...places.keys()], round).map((id) => at(id, places.get(id)!));
  };
  /** Its places with all that lies there: what is lent or in use elsewhere is neither seen nor counted. */
  const whole = (): RoundStep[] =>
    [...new Set(round.nookIds.flatMap((id) => nooksWithin(state, id)))]
      .map((id) =>
        at(
          id,
          presentIn(state, id).filter((lot) => isInPlace(state, lot)),
        ),
      )
      .filter(({ lots }) => lots.length > 0);
  switch (round.kind) {
    case 'expiry':
    case 'medicine': {
      const within = round.nookIds.length === 0 ? null : new Set(round.nookIds.flatMap((id) => nooksWithin(state, id)));
      const until = endsUntil(round, today, dueOn);
      // What was noted under Care, and what is one by its name or category.
      const medicines = round.kind === 'medicine' ? new Set(state.all('medicine').map(({ itemId }) => itemId)) : null;
      const due = stockOf(state)
        .dated()
        .filter(({ due: { on } }) => on <= until)
        .filter(({ item }) => medicines === null || medicines.has(item.id) || purposeOf(item) === 'medicine')
        .filter(({ lot }) => within === null || within.has(lot.nookId));
      return [...own, ...atPlaces(due.map(({ lot }) => lot))];
    }
    case 'catch_all': {
      // What has a home elsewhere can go at once: first.
      const goes = (lot: LotRow): number => Number(homeElsewhere(state, round, lot) === null);
      return [...own, ...whole().map((step) => ({ ...step, lots: [...step.lots].sort((a, b) => goes(a) - goes(b)) }))];
    }
    case 'refill': {
      const within = new Set(round.nookIds.flatMap((id) => nooksWithin(state, id)));
      return [
        ...own,
        ...refillsOf(state, { today: dueOn, toLast: (id) => state.get('item', id)?.front?.fullThousandths ?? null })
          .filter(({ fromNookId, toNookId }) => within.size === 0 || within.has(fromNookId) || within.has(toNookId))
          .map((refill): RoundStep => ({
            key: `${REFILL_KEY}${refill.item.id}`,
            nookId: refill.toNookId,
            words: null,
            lots: [],
            refill,
            swap: null,
          })),
      ];
    }
    case 'condition': {
      const within = round.nookIds.length === 0 ? null : new Set(round.nookIds.flatMap((id) => nooksWithin(state, id)));
      const isMeant = ({ condition, quantityThousandths, nookId }: LotRow): boolean =>
        condition !== null &&
        condition !== undefined &&
        quantityThousandths > 0 &&
        (within === null || within.has(nookId));
      return [...own, ...atPlaces(state.all('lot').filter(isMeant))];
    }
    case 'pill_box':
      return [
        ...own,
        ...withPillBox(state).map((personId): RoundStep => ({
          key: `${PILL_KEY}${personId}`,
          nookId: null,
          words: null,
          lots: [],
          refill: null,
          swap: null,
        })),
      ];
    case 'season_swap':
      return [
        ...own,
        ...(round.swaps ?? []).map((swap): RoundStep => ({
          key: `${SWAP_KEY}${swap.oneId} ${swap.otherId}`,
          nookId: null,
          words: null,
          lots: [],
          refill: null,
          swap,
        })),
        ...round.nookIds.filter((id) => state.nook(id)).map((id) => at(id, [])),
      ];
    case 'count':
    case 'supplies':
      return [...own, ...whole()];
    default:
      return [...own, ...round.nookIds.filter((id) => state.nook(id)).map((id) => at(id, []))];
  }
}

const presentIn = (state: HouseholdState, nookId: string): LotRow[] =>
  state.lotsIn(nookId).filter(({ quantityThousandths }) => quantityThousandths > 0);

/** As the round names its places; what it does not name by its code, so that neighbours come after each other. */
function inWalkingOrder(state: HouseholdState, nookIds: readonly string[], round: RoundRow): string[] {
  const named = new Map(round.nookIds.flatMap((id) => nooksWithin(state, id)).map((id, place) => [id, place]));
  const codeOf = (id: string): string => {
    const nook = state.nook(id);
    return nook && 'code' in nook.row ? nook.row.code : '';
  };
  return [...nookIds].sort(
    (a, b) =>
      (named.get(a) ?? 1e9) - (named.get(b) ?? 1e9) || (codeOf(a) < codeOf(b) ? -1 : codeOf(a) > codeOf(b) ? 1 : 0),
  );
}

/** Where a thing that lies at a round's places has its home: where most of it is elsewhere; null: it is nowhere else. */
export function homeElsewhere(state: HouseholdState, round: Pick<RoundRow, 'nookIds'>, lot: LotRow): string | null {
  const here = new Set(round.nookIds.flatMap((id) => nooksWithin(state, id)));
  const [most] = state
    .lotsOf(lot.itemId)
    .filter(({ nookId, quantityThousandths }) => !here.has(nookId) && quantityThousandths > 0)
    .sort((a, b) => b.quantityThousandths - a.quantityThousandths || (a.id < b.id ? -1 : 1));
  return most?.nookId ?? null;
}
