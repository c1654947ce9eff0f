/**
 * What becomes of food when a refrigerator or freezer was without power or stood open: what keeps, what has to be looked at and
 * what has to be thrown out, by the US federal rules (FoodSafety.gov, "Food Safety During Power Outage", from memory).
 */
import { foldedWords } from '../base';

/** Above 40 °F food that spoils is no longer safe after two hours. */
export const WARM_ABOVE_CELSIUS = 4.4;
const SAFE_WARM_HOURS = 2;
/** Frozen vegetables are kept up to six hours above 40 °F. */
const SAFE_WARM_HOURS_VEGETABLES = 6;
/** Closed, a refrigerator stays cold for four hours, a full freezer for 48, a half-full one for 24. */
const REFRIGERATOR_HOURS = 4;
const FREEZER_HOURS = { full: 48, half: 24 } as const;
/** Less than half full: nothing is published; own careful default. */
const LITTLE_HOURS = 12;

export interface ThermometerReading {
  /** Hours since the first. */
  hours: number;
  celsius: number;
}

/** What is known of the time without cold. */
export type Outage =
  | {
      kind: 'hours';
      /** How long it was without power, in hours. */
      hours: number;
      fill: 'full' | 'half' | 'little';
      /** It was opened meanwhile: nobody knows how much cold that cost. */
      opened: boolean;
    }
  | {
      kind: 'readings';
      /** In order of time, at least one. */
      readings: readonly ThermometerReading[];
    };

/** How long food was warmer than it may be. */
export interface WarmTime {
  /** At least, in hours. */
  least: number;
  /** At most; more than `least` where it is not known exactly. */
  most: number;
}

/**
 * How long it was above 4.4 °C. Between two readings the temperature is taken to change evenly; a gap between them is no gap here,
 * what is not measured is in between.
 */
export function warmTime(outage: Outage, appliance: 'refrigerator' | 'freezer'): WarmTime {
  if (outage.kind === 'readings') {
    const hours = hoursAbove(outage.readings);
    return { least: hours, most: hours };
  }
  const cold =
    appliance === 'refrigerator'
      ? REFRIGERATOR_HOURS
      : outage.fill === 'little'
        ? LITTLE_HOURS
        : FREEZER_HOURS[outage.fill];
  const closed = Math.max(0, outage.hours - cold);
  // Opened, it may have been warm from the first hour on.
  return { least: closed, most: outage.opened ? outage.hours : closed };
}

function hoursAbove(readings: readonly ThermometerReading[]): number {
  const above = ({ celsius }: ThermometerReading): boolean => celsius > WARM_ABOVE_CELSIUS;
  let sum = 0;
  for (let at = 1; at < readings.length; at++) {
    const [from, to] = [readings[at - 1]!, readings[at]!];
    const hours = to.hours - from.hours;
    if (above(from) && above(to)) sum += hours;
    else if (above(from) !== above(to)) {
      const cross = (WARM_ABOVE_CELSIUS - from.celsius) / (to.celsius - from.celsius);
      sum += hours * (above(from) ? cross : 1 - cross);
    }
  }
  return sum;
}

/** How a kind of food stands being warm. */
export type ColdKind =
  /** Meat, fish, milk, dishes: two hours. */
  | 'perishable'
  /** Frozen vegetables: six hours. */
  | 'vegetable'
  /** Keeps without cold for some days; looked at for mould. */
  | 'keeps';

const words = (text: string): ReadonlySet<string> => new Set(text.split(' '));
/** Kept at room temperature for some days, by the same rules. */
const KEEPS = words(
  'bread roll bun cake muffin pastry dough butter margarine jam jelly marmalade mustard ketchup pickle pickled olive horseradish relish vinegar dressing honey juice lemonade water wine beer cordial fruit apple lemon berry blueberry raspberry cherry plum orange nut almond walnut coffee flour parmesan cheddar herb dill spice peanut lavender ice',
);
const VEGETABLES = words(
  'vegetable pea bean corn sweetcorn carrot kale spinach broccoli cabbage leek onion beet beetroot mushroom lettuce',
);
/** Named in one of the others, yet they spoil. */
const SPOILS = words(
  'milk cream yoghurt yogurt egg meat beef pork lamb venison boar duck chicken turkey sausage ham bacon pate paste fish trout salmon eel pike fillet tuna soup stew stock broth leftover casserole pizza quark mascarpone ricotta mozzarella cottage feta brie bone liver custard',
);

/** What kind of food it is, from the words of its category and name; what nobody knows counts as what spoils. */
export function coldKind({ name, category }: { name: string; category: string }): ColdKind {
  const forms = foldedWords(`${category} ${name}`).flatMap((word) => [
    word,
    word.replace(/s$/, ''),
    word.replace(/(o|x|ch|sh|ss)es$/, '$1'),
    word.replace(/ies$/, 'y'),
  ]);
  const has = (of: ReadonlySet<string>): boolean => forms.some((form) => of.has(form));
  if (has(SPOILS)) return 'perishable';
  if (has(VEGETABLES)) return 'vegetable';
  return has(KEEPS) ? 'keeps' : 'perishable';
}

/** `check`: kept when it is still cold to the touch or has ice crystals in it, else thrown out. */
export type OutageVerdict = 'keep' | 'check' | 'discard';

/**
 * What is to be done with a kind of food.
 * @param warm how long it was above 4.4 °C
 */
export function outageVerdict(kind: ColdKind, warm: WarmTime, appliance: 'refrigerator' | 'freezer'): OutageVerdict {
  if (kind === 'keeps') return warm.most > SAFE_WARM_HOURS ? 'check' : 'keep';
  const safe = kind === 'vegetable' && appliance === 'freezer' ? SAFE_WARM_HOURS_VEGETABLES : SAFE_WARM_HOURS;
  if (warm.least >= safe) return 'discard';
  return warm.most > 0 ? 'check' : 'keep';
}
