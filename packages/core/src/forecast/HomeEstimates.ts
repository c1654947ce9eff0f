import { readDigest } from '../use';
import { estimateUse, USUAL_PRIOR, type UseEstimate, type UsePrior } from './estimateUse';
import { expOf, logOf } from './numbers';
import type { Presence } from './useDays';

/** What is known of an item's use. */
export interface UsedItem {
  itemId: string;
  /** As it lies in the item's row of use; empty: nothing happened. */
  digest: string;
  category: string;
  /** What somebody said is used in a week, in thousandths; null: nobody did. */
  weeklyThousandths: number | null;
}

/** Less exposed than this an item says nothing about its kind. */
const KNOWN_DAYS = 30;
/** How many items the assumption about a kind counts for. */
const OF_RATE = 1;
const OF_UNEVENNESS = 3;

/**
 * The estimates of a home: each item first alone, then with what the others of its kind (its category) are like as the
 * assumption that little knowledge starts from. Works in steps, so that whoever runs it can stop in between.
 */
export class HomeEstimates {
  private readonly alone: UseEstimate[] = [];
  private readonly estimates = new Map<string, UseEstimate>();
  /** By category, once all are estimated alone. */
  priors: ReadonlyMap<string, UsePrior> = new Map();
  private done = 0;

  /** @param today counted from 1970-01-01 */
  constructor(
    private readonly items: readonly UsedItem[],
    private readonly today: number,
    private readonly presence: readonly Presence[],
  ) {}

  /** Estimates some more. @returns whether there are more */
  step(count: number): boolean {
    const { items } = this;
    for (let n = 0; n < count && this.done < 2 * items.length; n++, this.done++) {
      if (this.done < items.length) this.alone.push(this.estimate(items[this.done]!, USUAL_PRIOR));
      else this.again(this.done - items.length);
      if (this.done === items.length - 1) this.priors = priorsOf(items, this.alone);
    }
    return this.done < 2 * items.length;
  }

  /** How far it is, 0 to 1. */
  get share(): number {
    return this.items.length === 0 ? 1 : this.done / (2 * this.items.length);
  }

  of(itemId: string): UseEstimate | undefined {
    return this.estimates.get(itemId);
  }

  private again(at: number): void {
    const item = this.items[at]!;
    const prior = this.priors.get(item.category);
    this.estimates.set(item.itemId, prior ? this.estimate(item, prior) : this.alone[at]!);
  }

  private estimate(item: UsedItem, prior: UsePrior): UseEstimate {
    return estimateItem(item, this.today, this.presence, prior);
  }
}

/** The estimate of one item. @param prior what things of its kind are like */
export function estimateItem(
  { digest, weeklyThousandths }: UsedItem,
  today: number,
  presence: readonly Presence[],
  prior: UsePrior = USUAL_PRIOR,
): UseEstimate {
  const saidPerDay = weeklyThousandths === null ? null : weeklyThousandths / 7;
  return estimateUse(readDigest(digest), today, { presence, prior, saidPerDay });
}

function priorsOf(items: readonly UsedItem[], estimates: readonly UseEstimate[]): Map<string, UsePrior> {
  const kinds = new Map<string, UseEstimate[]>();
  for (const [at, estimate] of estimates.entries()) {
    const { category } = items[at]!;
    // What nobody uses says nothing about how things of its kind are used, and what has no kind has no others.
    if (category === '' || estimate.exposedDays < KNOWN_DAYS || estimate.daysOfUse === 0) continue;
    kinds.set(category, [...(kinds.get(category) ?? []), estimate]);
  }
  return new Map(
    [...kinds].map(([category, of]) => {
      const n = of.length;
      const mean = of.reduce((sum, { rate, typical }) => sum + rate / typical, 0) / n;
      const uneven = of.reduce((sum, { unevenness }) => sum + logOf(unevenness), 0);
      return [
        category,
        {
          rate: expOf((n * logOf(mean) + OF_RATE * logOf(USUAL_PRIOR.rate)) / (n + OF_RATE)),
          weight: USUAL_PRIOR.weight,
          unevenness: expOf(uneven / (n + OF_UNEVENNESS)),
        },
      ];
    }),
  );
}
