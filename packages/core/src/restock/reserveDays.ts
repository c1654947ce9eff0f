/** How many days the reserve lasts for the people of the house. */
import { convertMeasure, foldedWords, type CivilDate } from '../base';
import type { HouseholdState, ItemRow, LotRow, RationFields, RationRow } from '../household';
import { effectiveDue, guideOf, isSafety } from '../shelflife';
import { nooksWithin } from '../spaces';

/** A kind of things, and how long what is there lasts. */
export interface ReserveDays {
  ration: RationRow;
  people: number;
  /** What is there, in thousandths of the ration's unit. */
  thousandths: number;
  /** Whole days; null without anybody to count for. */
  days: number | null;
  counted: { item: ItemRow; thousandths: number }[];
  /** Things of this kind that cannot be told in the ration's unit. */
  notCounted: ItemRow[];
  /** Of it past a date of safety, and so not counted. */
  pastThousandths: number;
  /** The first date among what counts. */
  firstEnd: CivilDate | null;
}

/** A figure that is offered; the home may take another. */
export const OFFERED_RATIONS: readonly Omit<RationFields, 'nookId'>[] = [
  {
    name: 'Drinking water',
    words: ['water'],
    unit: 'l',
    perPersonDayThousandths: 3800,
    source: 'US federal advice (Ready.gov): one gallon a person and day; from memory',
  },
];

/** Everybody who lives here; helpers come and go. */
export const peopleOf = (state: HouseholdState): number =>
  state.all('person').filter(({ role }) => role !== 'helper').length;

export function reserveDays(state: HouseholdState, ration: RationRow, today: CivilDate): ReserveDays {
  const people = peopleOf(state);
  const wanted = new Set(ration.words.flatMap((word) => foldedWords(word)).map(singular));
  const within = ration.nookId === null ? null : new Set([ration.nookId, ...nooksWithin(state, ration.nookId)]);
  const guide = guideOf(state);
  const counted = new Map<string, { item: ItemRow; thousandths: number }>();
  const notCounted = new Map<string, ItemRow>();
  let past = 0;
  let firstEnd: CivilDate | null = null;
  for (const item of state.all('item')) {
    const words = [item.name, item.category, ...item.tags].flatMap((text) => foldedWords(text)).map(singular);
    if (!words.some((word) => wanted.has(word))) continue;
    for (const lot of state.lotsOf(item.id)) {
      if (lot.quantityThousandths <= 0 || (within && !within.has(lot.nookId))) continue;
      const amount = inUnit(lot, item, ration.unit);
      if (amount === null) {
        notCounted.set(item.id, item);
        continue;
      }
      const due = effectiveDue(lot, item, guide);
      if (due && due.on < today && isSafety(due)) {
        past += amount;
        continue;
      }
      if (due && (firstEnd === null || due.on < firstEnd)) firstEnd = due.on;
      const known = counted.get(item.id);
      if (known) known.thousandths += amount;
      else counted.set(item.id, { item, thousandths: amount });
    }
  }
  const thousandths = [...counted.values()].reduce((sum, one) => sum + one.thousandths, 0);
  return {
    ration,
    people,
    thousandths,
    days: people === 0 ? null : Math.floor(thousandths / (people * ration.perPersonDayThousandths)),
    counted: [...counted.values()].sort((a, b) => b.thousandths - a.thousandths),
    notCounted: [...notCounted.values()],
    pastThousandths: past,
    firstEnd,
  };
}

const singular = (word: string): string => word.replace(/s$/, '');

/** An amount in another unit: by measure, by what a pack holds, or as it is when the units are the same. */
function inUnit(lot: LotRow, item: ItemRow, unit: string): number | null {
  const direct = convertMeasure(lot.quantityThousandths, item.unit, unit);
  if (direct !== null) return Math.round(direct);
  if (lot.packSize === null) return null;
  const each = convertMeasure(lot.packSize.amountThousandths, lot.packSize.unit, unit);
  return each === null ? null : Math.round((lot.quantityThousandths / 1000) * each);
}
