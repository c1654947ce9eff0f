/** What is lost at the present pace, lot by lot, when what ends first is used first. */
import { daysBetween, type CivilDate } from '../base';
import { daysAhead, expectedLoss, hasPace, isGuess, runOutDay, type UseEstimate } from '../forecast';
import type { RestockItem, TripPlan } from './restockList';
import { packFor } from './restockList';

/** A lot with a date, and what becomes of it. */
export interface UseFirstEntry {
  lotId: string;
  itemId: string;
  thousandths: number;
  dueOn: CivilDate;
  /** Likely past its date before it is used, in thousandths; all of it when it is past its date already. */
  lostThousandths: number;
  /** Of the money paid; null: no price is known. */
  lostMinor: number | null;
  /** In how many days it would be used up, as often as not; null: not within two years. */
  lastsDays: number | null;
  weeklyThousandths: number;
  uses: number;
  guess: boolean;
}

/** Less of it lost than this share of one is not worth a word. */
const WORTH_SAYING = 0.25;
/** What ends later can still be looked at in time. */
const FARTHEST_DUE_DAYS = 120;

/**
 * The dated lots of an item of which some is likely lost.
 * @param estimate undefined, or of a thing of which no use is known: nothing is said of lots that are still good
 */
export function lossesOf(item: RestockItem, estimate: UseEstimate | undefined, plan: TripPlan): UseFirstEntry[] {
  const ahead = daysAhead(plan.presence, plan.todayNumber);
  const pace = estimate && hasPace(estimate) ? estimate : null;
  const quantum = pace?.quantum ?? 1000;
  const pack = packFor(item, plan.shopId);
  const price = pack.priceMinor === null ? null : pack.priceMinor / pack.amountThousandths;
  const dated = item.lots
    .flatMap(({ lotId, thousandths, dueOn }) =>
      dueOn === null || thousandths <= 0 ? [] : [{ lotId, thousandths, dueOn }],
    )
    .sort((a, b) => (a.dueOn < b.dueOn ? -1 : a.dueOn > b.dueOn ? 1 : a.lotId < b.lotId ? -1 : 1));
  const good = dated.filter(({ dueOn }) => dueOn >= plan.today);
  const lost = pace
    ? expectedLoss(
        good.map(({ thousandths, dueOn }) => ({
          units: thousandths / quantum,
          days: daysBetween(plan.today, dueOn) + 1,
        })),
        pace,
        ahead,
      )
    : good.map(() => 0);
  let before = 0;
  return dated.flatMap(({ lotId, thousandths, dueOn }): UseFirstEntry[] => {
    const late = dueOn < plan.today;
    if (!late) before += thousandths;
    const lostUnits = late ? thousandths / quantum : lost[good.findIndex((lot) => lot.lotId === lotId)]!;
    if (lostUnits < WORTH_SAYING || daysBetween(plan.today, dueOn) > FARTHEST_DUE_DAYS) return [];
    const lostThousandths = Math.min(thousandths, Math.round(lostUnits * quantum));
    return [
      {
        lotId,
        itemId: item.itemId,
        thousandths,
        dueOn,
        lostThousandths,
        lostMinor: price === null ? null : Math.round(price * lostThousandths),
        lastsDays: !pace || late ? null : runOutDay(pace, before / quantum, 0.5, ahead),
        weeklyThousandths: pace ? Math.round(pace.rate * quantum * 7) : 0,
        uses: estimate?.daysOfUse ?? 0,
        guess: estimate ? isGuess(estimate) : true,
      },
    ];
  });
}

/** What loses most money first; what has no price by how much of it is lost, after that by its date. */
export function inOrderOfLoss(entries: readonly UseFirstEntry[]): UseFirstEntry[] {
  return [...entries].sort(
    (a, b) =>
      (b.lostMinor ?? -1) - (a.lostMinor ?? -1) ||
      (a.dueOn < b.dueOn ? -1 : a.dueOn > b.dueOn ? 1 : 0) ||
      (a.lotId < b.lotId ? -1 : 1),
  );
}
