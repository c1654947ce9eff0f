/** What to buy on the next trip, how much of it, and why; what is enough, and what has to be asked. */
import { addDays, daysBetween, weekday, type CivilDate } from '../base';
import {
  daysAhead,
  enoughFor,
  expectedLoss,
  hasPace,
  isGuess,
  runOutDay,
  usableIn,
  wantsCount,
  type DatedUnits,
  type DaysAhead,
  type Presence,
  type UseEstimate,
} from '../forecast';
import type { Pack, RestockWay } from '../household';

/** What deciding about one item needs. */
export interface RestockItem {
  itemId: string;
  name: string;
  /** Null: by its pace where that is known, and by its low mark. */
  how: RestockWay | null;
  lowAtThousandths: number | null;
  fullThousandths: number | null;
  packs: readonly Pack[];
  /** In one pack where no pack is written down: as it was bought the last time; null: one. */
  usualPackThousandths: number | null;
  /** Days it keeps from the day it is bought; null: long enough. */
  keepDays: number | null;
  /** Missing it is worse than for other things. */
  vital: boolean;
  /** The weekday of its refill round, 0 for Sunday; null: it has none. */
  refillOn: number | null;
  /** What is there, by date: amounts in thousandths, the last good day, null without one. */
  lots: readonly { lotId: string; thousandths: number; dueOn: CivilDate | null }[];
}

export interface TripPlan {
  today: CivilDate;
  /** The day of the trip. */
  day: CivilDate;
  /** The trip after it: what is bought has to last until then. */
  nextDay: CivilDate;
  shopId: string | null;
  /** Today, counted as the presence counts. */
  todayNumber: number;
  presence: readonly Presence[];
}

/** Why something is bought. */
export type RestockReason =
  | 'none_left'
  /** It may not last until the trip after this one. */
  | 'runs_out'
  /** Its low mark is reached. */
  | 'at_mark'
  | 'pairs'
  | 'full';

/** What is said of an item: how much is there, how long it lasts, what to buy. */
export interface RestockEntry {
  itemId: string;
  name: string;
  /** `ask`: only its purchases are noted; how much is there has to be said first. */
  verdict: 'buy' | 'ask' | 'enough' | 'unknown';
  reason: RestockReason | null;
  packs: number;
  packThousandths: number;
  priceMinor: number | null;
  /** By the book, past-date lots left out. */
  leftThousandths: number;
  /** Likely there: what goes without a note is taken off. */
  likelyThousandths: number;
  /** In how many days it has run out with 10, 50, 90 %; null: not within two years. Null as a whole: no pace is known. */
  out: { early: number | null; middle: number | null; late: number | null } | null;
  weeklyThousandths: number;
  /** Days on which a use was seen. */
  uses: number;
  guess: boolean;
  said: boolean;
  /** A count now could change what is bought. */
  countFirst: boolean;
  /** The most packs that are worth having on an offer: more would spoil. Null: no limit is known. */
  mostPacks: number | null;
  /** Fewer are bought than would last, because more would spoil. */
  cutByDate: boolean;
  /** Likely past its date before the trip after this one, in thousandths. */
  lostThousandths: number;
  /** What lasts to its next refill day, 19 times in 20. Null: it has no such day, or its pace is a guess. */
  toRefillDay: { day: CivilDate; thousandths: number } | null;
}

/** How sure it should be that it lasts; own defaults. */
const SURE = 0.95;
const SURE_OF_VITAL = 0.98;
/** What is bought is there the day after the trip. */
const LEAD_DAYS = 1;
/** What is thrown out weighs as much as what is missed. */
const REGRET = 0.5;

const priceOf = (pack: Pack, shopId: string | null): number =>
  pack.priceMinor === null ? Infinity : pack.priceMinor / pack.amountThousandths + (pack.shopId === shopId ? 0 : 1e6);

/** The pack to buy: the cheapest of this shop, then the cheapest of any; written without a price last. */
export function packFor(
  { packs, usualPackThousandths }: Pick<RestockItem, 'packs' | 'usualPackThousandths'>,
  shopId: string | null,
): { amountThousandths: number; priceMinor: number | null } {
  const open = packs.filter((pack) => pack.shopId === null || pack.shopId === shopId);
  const best = [...(open.length > 0 ? open : packs)].sort((a, b) => priceOf(a, shopId) - priceOf(b, shopId))[0];
  return best ?? { amountThousandths: usualPackThousandths ?? 1000, priceMinor: null };
}

/** What to say and do about one item on a trip. @param estimate undefined: nothing is known of its use */
export function restockOf(item: RestockItem, estimate: UseEstimate | undefined, plan: TripPlan): RestockEntry {
  return new Deciding(item, estimate, plan).entry();
}

class Deciding {
  private readonly ahead: DaysAhead;
  private readonly pack: { amountThousandths: number; priceMinor: number | null };
  private readonly left: number;
  private readonly likely: number;
  private readonly toTrip: number;
  private readonly toNext: number;

  constructor(
    private readonly item: RestockItem,
    private readonly estimate: UseEstimate | undefined,
    private readonly plan: TripPlan,
  ) {
    this.ahead = daysAhead(plan.presence, plan.todayNumber);
    this.pack = packFor(item, plan.shopId);
    const good = item.lots.filter(({ dueOn }) => dueOn === null || dueOn >= plan.today);
    this.left = good.reduce((sum, { thousandths }) => sum + thousandths, 0);
    this.likely = this.likelyLeft();
    this.toTrip = Math.max(0, daysBetween(plan.today, plan.day));
    this.toNext = Math.max(this.toTrip + 1, daysBetween(plan.today, plan.nextDay)) + LEAD_DAYS;
  }

  private likelyLeft(): number {
    const { estimate, left } = this;
    if (!estimate) return left;
    if (estimate.fromPurchases) return Math.min(left, estimate.likely * estimate.quantum);
    return Math.max(0, left - (estimate.stock - estimate.likely) * estimate.quantum);
  }

  private get pace(): UseEstimate | null {
    return this.estimate && hasPace(this.estimate) ? this.estimate : null;
  }

  entry(): RestockEntry {
    const { item, plan, pack, left, likely, pace } = this;
    const lost = this.lostBefore(this.toNext);
    const upTo = pace ? this.enough(pace) : null;
    const { thousandths, reason } = this.wanted(upTo, lost);
    const packs = thousandths <= 0 ? 0 : Math.ceil(thousandths / pack.amountThousandths - 1e-9);
    const mostPacks = this.mostPacks();
    const cut = mostPacks !== null && packs > mostPacks;
    const bought = cut ? mostPacks : packs;
    const asked = pace?.fromPurchases === true && item.how !== 'never' && reason !== 'at_mark';
    const verdict =
      bought > 0 ? (asked ? 'ask' : 'buy') : pace || item.lowAtThousandths !== null ? 'enough' : 'unknown';
    return {
      itemId: item.itemId,
      name: item.name,
      verdict,
      reason: bought > 0 ? (left === 0 ? 'none_left' : reason) : null,
      packs: bought,
      packThousandths: pack.amountThousandths,
      priceMinor: pack.priceMinor,
      leftThousandths: left,
      likelyThousandths: Math.round(likely),
      out: pace && {
        early: this.outWith(pace, 0.1),
        middle: this.outWith(pace, 0.5),
        late: this.outWith(pace, 0.9),
      },
      weeklyThousandths: pace ? Math.round(pace.rate * pace.quantum * 7) : 0,
      uses: pace?.daysOfUse ?? 0,
      guess: pace ? isGuess(pace) : true,
      said: pace?.said ?? false,
      countFirst: pace !== null && item.how !== 'never' && plan.day >= plan.today && wantsCount(pace, upTo ?? 0),
      mostPacks,
      cutByDate: cut,
      lostThousandths: Math.round(lost),
      toRefillDay: this.toRefillDay(),
    };
  }

  private outWith(pace: UseEstimate, chance: number): number | null {
    return runOutDay(pace, this.likely / pace.quantum, chance, this.ahead);
  }

  /** How many to have on the day of the trip, in quanta, counted from what is there today. */
  private enough(pace: UseEstimate): number {
    const chance = this.item.vital ? SURE_OF_VITAL : SURE;
    const whole = enoughFor(pace, this.ahead(this.toNext), chance);
    // What runs out before the trip is not missed twice: after it there need not be more than lasts from then on.
    const fromTrip = enoughFor(pace, Math.max(0, this.ahead(this.toNext) - this.ahead(this.toTrip)), chance);
    return Math.min(whole, this.likely / pace.quantum + fromTrip);
  }

  /** How much to buy, in thousandths, and why. */
  private wanted(upTo: number | null, lost: number): { thousandths: number; reason: RestockReason | null } {
    const { item, left, likely, pack, estimate } = this;
    const { how, lowAtThousandths, fullThousandths } = item;
    if (how === 'never') return { thousandths: 0, reason: null };
    if (how === 'full' && fullThousandths !== null)
      return left < fullThousandths
        ? { thousandths: fullThousandths - left, reason: 'full' }
        : { thousandths: 0, reason: null };
    if (how === 'pairs') {
      const there = Math.floor(left / pack.amountThousandths + 1e-9);
      const even = Math.max(2, there + (there % 2));
      return there < even
        ? { thousandths: (even - there) * pack.amountThousandths, reason: 'pairs' }
        : { thousandths: 0, reason: null };
    }
    // What is likely there is a mean: half a unit less of it is no unit less.
    const there = estimate ? Math.round(likely / estimate.quantum) * estimate.quantum : likely;
    const short = upTo === null || how === 'level' ? 0 : upTo * estimate!.quantum + Math.round(lost) - there;
    if (lowAtThousandths !== null && left <= lowAtThousandths) {
      const toFull = fullThousandths === null ? pack.amountThousandths : fullThousandths - left;
      return { thousandths: Math.max(toFull, short, 1), reason: 'at_mark' };
    }
    // A thing with a mark is bought at its mark, unless it will not last.
    return short > 1e-6 ? { thousandths: short, reason: 'runs_out' } : { thousandths: 0, reason: null };
  }

  /** Of what is there, likely past its date within some days, in thousandths. */
  private lostBefore(days: number): number {
    const { item, plan, pace } = this;
    if (!pace) return 0;
    const dated = item.lots.flatMap(({ thousandths, dueOn }): DatedUnits[] => {
      if (dueOn === null || dueOn < plan.today || thousandths <= 0) return [];
      const left = daysBetween(plan.today, dueOn);
      return left < days ? [{ units: thousandths / pace.quantum, days: left }] : [];
    });
    if (dated.length === 0) return 0;
    const sorted = dated.sort((a, b) => a.days - b.days);
    return expectedLoss(sorted, pace, this.ahead).reduce((sum, units) => sum + units, 0) * pace.quantum;
  }

  private toRefillDay(): RestockEntry['toRefillDay'] {
    const { item, pace, plan } = this;
    if (item.refillOn === null || !pace || isGuess(pace)) return null;
    // On the day itself it is filled for the days to the next one.
    const days = ((item.refillOn - weekday(plan.today) + 6) % 7) + 1;
    const thousandths = Math.ceil(enoughFor(pace, this.ahead(days), SURE) * pace.quantum);
    return { day: addDays(plan.today, days), thousandths };
  }

  /** How many packs, bought on the trip, are likely used while they are good. */
  private mostPacks(): number | null {
    const { item, pace, pack, toTrip } = this;
    if (!pace || isGuess(pace) || item.keepDays === null) return null;
    const until = this.ahead(toTrip + item.keepDays);
    const usable = usableIn(pace, until, REGRET) * pace.quantum - this.likely;
    // Bought when there is none it is bought to be eaten: one is worth having.
    return Math.max(this.left > 0 ? 0 : 1, Math.floor(usable / pack.amountThousandths + 1e-9));
  }
}

const VERDICTS = ['buy', 'ask', 'enough', 'unknown'] as const;

/** What is bought first: none left, then what may run out earliest, then by name. */
export function inOrderOfNeed(entries: readonly RestockEntry[]): RestockEntry[] {
  const rank = (entry: RestockEntry): number => VERDICTS.indexOf(entry.verdict);
  const early = ({ out, leftThousandths }: RestockEntry): number =>
    leftThousandths === 0 ? -1 : (out?.early ?? Infinity);
  return [...entries].sort(
    (a, b) => rank(a) - rank(b) || compare(early(a), early(b)) || (a.name < b.name ? -1 : a.name > b.name ? 1 : 0),
  );
}
/** ∞ equals ∞, where a difference would be no number. */
const compare = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);
