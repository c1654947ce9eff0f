import { addDays, daysBetween } from '../base';
import { HomeEstimates, type UsePrior } from '../forecast';
import type { ListedItem } from './restockItems';
import { inOrderOfNeed, restockOf, type RestockEntry, type TripPlan } from './restockList';
import { inOrderOfLoss, lossesOf, type UseFirstEntry } from './useFirst';

export interface OutlookProblem {
  items: readonly ListedItem[];
  plan: TripPlan;
}

/** What a home runs out of, and what it loses. */
export interface OutlookAnswer {
  /** Of every item, what is bought first. */
  entries: RestockEntry[];
  useFirst: UseFirstEntry[];
  /** What things of a kind are like, by category: what an estimate of one item starts from. */
  priors: [string, UsePrior][];
  /** What is likelier gone than not when one shops a day later, and was not on the day of the trip: item ids. */
  goneADayLater: string[];
  /** What the list costs more (or, negative, less) a day later, where prices are known. */
  moreADayLaterMinor: number;
}

/** What a list costs, where prices are known. */
export const costOf = (entries: readonly Pick<RestockEntry, 'verdict' | 'packs' | 'priceMinor'>[]): number =>
  entries.reduce((sum, { verdict, packs, priceMinor }) => sum + (verdict === 'buy' ? packs * (priceMinor ?? 0) : 0), 0);

/** Works a whole home out, in steps. */
export class HomeOutlook {
  private readonly estimates: HomeEstimates;
  private readonly entries: RestockEntry[] = [];
  private readonly later: RestockEntry[] = [];
  private readonly useFirst: UseFirstEntry[] = [];
  private readonly planLater: TripPlan;

  constructor(private readonly problem: OutlookProblem) {
    const { items, plan } = problem;
    this.estimates = new HomeEstimates(items, plan.todayNumber, plan.presence);
    this.planLater = { ...plan, day: addDays(plan.day, 1) };
  }

  /** Works out some more. @returns whether there is more */
  step(count: number): boolean {
    if (this.estimates.step(count)) return true;
    const { items, plan } = this.problem;
    for (const item of items.slice(this.entries.length, this.entries.length + count)) {
      const estimate = this.estimates.of(item.itemId);
      this.entries.push(restockOf(item, estimate, plan));
      this.later.push(restockOf(item, estimate, this.planLater));
      this.useFirst.push(...lossesOf(item, estimate, plan));
    }
    return this.entries.length < items.length;
  }

  /** 0 to 1. */
  get share(): number {
    const { length } = this.problem.items;
    return length === 0 ? 1 : 0.7 * this.estimates.share + 0.3 * (this.entries.length / length);
  }

  answer(): OutlookAnswer {
    const { plan } = this.problem;
    const toTrip = Math.max(0, daysBetween(plan.today, plan.day));
    const goneADayLater = this.entries
      .filter(({ out, leftThousandths }) => leftThousandths > 0 && out?.middle === toTrip + 1)
      .map(({ itemId }) => itemId);
    return {
      entries: inOrderOfNeed(this.entries),
      useFirst: inOrderOfLoss(this.useFirst),
      priors: [...this.estimates.priors],
      goneADayLater,
      moreADayLaterMinor: costOf(this.later) - costOf(this.entries),
    };
  }
}
