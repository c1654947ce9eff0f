import { convertMeasure, foldText, isMeasure, packFor, recordLine, type ItemRow, type Trip } from '@ours/core';
import { amountWords } from '@/features/stock/words';
import type { useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';

/** What is written on a list. */
export interface WrittenLine {
  itemId: string | null;
  name: string;
  packs: number;
  packThousandths: number | null;
  priceMinor: number | null;
}

/** Answers looked through. */
const FOUND = 20;

type Finder = ReturnType<typeof useHouseholdContext>['store']['finder'];
type Answers = ReturnType<Finder['find']>;

const singular = (words: string): string => foldText(words).trim().replace(/s$/, '');
export const isCalled = ({ name, synonyms }: ItemRow, typed: string): boolean =>
  [name, ...synonyms].some((one) => singular(one) === singular(typed));

/** The things whose name says all that was typed; those that are bought first. A bin may be called like what is in it. */
function thingsCalled(found: Answers, typed: string): ItemRow[] {
  const words = foldText(typed).split(/\s+/).map(singular);
  return found
    .flatMap((one) => (one.kind === 'item' ? [one.item] : []))
    .filter(({ name, synonyms }) => {
      const said = foldText([name, ...synonyms].join(' '));
      return words.every((word) => said.includes(word));
    })
    .sort((a, b) => Number((b.packs ?? []).length > 0) - Number((a.packs ?? []).length > 0));
}

/** How much was said: so many packs, or an amount by measure. */
export interface SaidAmount {
  packs: number;
  measure: { thousandths: number; unit: string } | null;
  /** What is in each, where it was said. */
  size: { amountThousandths: number; unit: string } | null;
}
export const packsOf = (packs: number): SaidAmount => ({ packs, measure: null, size: null });
const LONGEST_NAME = 120;

/**
 * A line of a list. An amount by measure is so many packs as make it up, where a pack of the thing is known by measure; of what is not kept
 * by measure, or is new, it is one, and what is new keeps the amount in its words: `butter, 500 g`.
 */
export function lineOf(
  name: string,
  item: ItemRow | null,
  { packs, measure, size }: SaidAmount,
  trip: Trip,
): WrittenLine {
  if (!item) {
    const of = measure ?? (size ? { thousandths: size.amountThousandths, unit: size.unit } : null);
    const more = of ? `, ${amountWords(of.thousandths, of.unit)}` : '';
    const words = `${name.slice(0, LONGEST_NAME - more.length)}${more}`;
    return { itemId: null, name: words, packs: measure ? 1 : packs, packThousandths: null, priceMinor: null };
  }
  const pack = packFor({ packs: item.packs ?? [], usualPackThousandths: null }, trip.shop?.id ?? null);
  const wanted = measure && isMeasure(item.unit) ? convertMeasure(measure.thousandths, measure.unit, item.unit) : null;
  return {
    itemId: item.id,
    name: item.name,
    packs: measure ? Math.max(1, Math.ceil((wanted ?? 0) / pack.amountThousandths)) : packs,
    packThousandths: pack.amountThousandths,
    priceMinor: pack.priceMinor,
  };
}

/** A line as people say it: what is meant, how many, and which things of the home it can be. */
export function readListLine(text: string, finder: Finder, order: Parameters<typeof recordLine>[1]['order']) {
  const read = text.trim() === '' ? null : recordLine(text, { order, today: today() });
  const name = read?.understood ? read.name : text.trim();
  const known = name === '' ? [] : thingsCalled(finder.find(name, FOUND), name);
  // One that is called so, or the only one that can be meant; of several it is asked.
  const item = known.find((one) => isCalled(one, name)) ?? (known.length === 1 ? known[0]! : null);
  const byMeasure = read?.understood === true && read.unit !== null && isMeasure(read.unit);
  const said: SaidAmount = {
    packs: read?.understood ? Math.max(1, Math.ceil(read.quantityThousandths / 1000)) : 1,
    measure: byMeasure ? { thousandths: read.quantityThousandths, unit: read.unit! } : null,
    size: read?.understood ? read.packSize : null,
  };
  return { name, known, item, said };
}
