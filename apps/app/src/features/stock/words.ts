import {
  daysBetween,
  dueState,
  effectiveDue,
  type foldedSize,
  formatLength,
  formatMass,
  formatQuantity,
  isFrozen,
  isMeasure,
  isSafety,
  isThawed,
  pluralUnit,
  type CivilDate,
  type Condition,
  type Due,
  type ItemRow,
  type KeepingGuide,
  type LengthUnit,
  type ScaleReading,
  type LoanRow,
  type LotRow,
  type MadeKind,
  type PackSize,
} from '@ours/core';
import { counted, figureWords } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import type { MarkKind } from '@/kit/text/Mark';

type FoldedCloth = ReturnType<typeof foldedSize>;

export function amountWords(quantityThousandths: number, unit: string): string {
  const number = figureWords(quantityThousandths);
  return unit === 'piece' ? number : `${number} ${pluralUnit(unit, quantityThousandths)}`;
}

/** What one tap more or less means, in thousandths: a piece; 0.1 kg or l; 50 g or ml (own defaults). */
export function usualStep(unit: string): number {
  if (!isMeasure(unit)) return 1000;
  return unit === 'g' || unit === 'ml' ? 50_000 : 100;
}

export const sizeWords = (size: PackSize): string => `${formatQuantity(size.amountThousandths)} ${size.unit}`;

/** `6 tins of 400 g`, `2 kg`, `3`. */
export function lotAmountWords(lot: LotRow, item: ItemRow): string {
  const amount = amountWords(lot.quantityThousandths, item.unit);
  if (lot.packSize === null || isMeasure(item.unit)) return amount;
  return `${amount} of ${sizeWords(lot.packSize)}`;
}

/** Who has something, or where it is, since when: `lent to the mill since 3 May`, `on the kitchen table since today`. */
export function outWords(
  { way, to, outOn, dueOn, forWhat }: Pick<LoanRow, 'way' | 'to' | 'outOn' | 'dueOn' | 'forWhat'>,
  today: CivilDate,
): string {
  const since = outOn === today ? 'today' : dayWords(outOn, today);
  const where = way === 'lent' ? `lent to ${to}` : to;
  return `${where}${forWhat ? ` (${forWhat})` : ''} since ${since}${dueOn === null ? '' : `, due back ${dayWords(dueOn, today)}`}`;
}

export const CONDITION_WORDS: Readonly<Record<Condition, string>> = {
  to_mend: 'to mend',
  to_wash: 'to wash',
  to_repaint: 'to repaint',
  worn: 'worn',
  part_missing: 'a part is missing',
};

export const MADE_WORDS: Readonly<Record<MadeKind, string>> = {
  made: 'Made',
  cooked: 'Cooked',
  baked: 'Baked',
  roasted: 'Roasted',
  packed: 'Packed',
  bottled: 'Bottled',
  bought: 'Bought',
  harvested: 'Picked',
};

const REASON: Readonly<Record<Due['reason'], string>> = {
  use_by: 'use by',
  best_before: 'best before',
  opened: 'use by',
  cooked: 'use by',
  kept: 'best by',
  frozen: 'best until',
  thawed: 'use by',
};

/** `best before 31 Mar 2027`, `opened 22 Nov, use by 26 Nov`, `frozen 6 Nov, too late, use by 5 Nov`. */
export function dueWords(lot: LotRow, item: ItemRow, today: CivilDate, guide: KeepingGuide): string {
  const due = effectiveDue(lot, item, guide);
  const parts: string[] = [];
  if (lot.frozenOn !== null) {
    const tooLate = due !== null && isFrozen(lot) && due.reason !== 'frozen';
    const again = isFrozen(lot) && (lot.thawedOn ?? null) !== null ? 'frozen again' : 'frozen';
    parts.push(`${again} ${dayWords(lot.frozenOn, today)}${tooLate ? ', too late' : ''}`);
  }
  if (isThawed(lot)) parts.push(`thawed ${dayWords(lot.thawedOn!, today)}`);
  if (lot.openedOn !== null) parts.push(`opened ${dayWords(lot.openedOn, today)}`);
  if (due) parts.push(`${REASON[due.reason]} ${dayWords(due.on, today)}${due.guessedFrom ? ' (a guess)' : ''}`);
  if (lot.decantedOn) parts.push(`in the jar since ${dayWords(lot.decantedOn, today)}`);
  if (lot.condition) parts.push(CONDITION_WORDS[lot.condition]);
  if (lot.inUseOn) parts.push(`in use since ${dayWords(lot.inUseOn, today)}`);
  if (lot.madeOn) parts.push(`${MADE_WORDS[lot.madeKind ?? 'made'].toLowerCase()} ${dayWords(lot.madeOn, today)}`);
  return parts.join(', ');
}

/** How long there is, short enough for a mark: `1 day`, `6 days`, `5 wk`, `late 3 days`. */
export function leftWords(due: Due, today: CivilDate): string {
  const left = daysBetween(today, due.on);
  if (left < 0) return `${span(-left)} late`;
  return left === 0 ? 'today' : span(left);
}

function span(days: number): string {
  if (days === 1) return '1 day';
  if (days <= 20) return `${days} days`;
  if (days <= 90) return `${Math.round(days / 7)} wk`;
  return `${Math.round(days / 30.4)} mo`;
}

export function dueMark(
  lot: LotRow,
  item: ItemRow,
  today: CivilDate,
  guide: KeepingGuide,
): { kind: MarkKind; label: string; safety: boolean } | null {
  const due = effectiveDue(lot, item, guide);
  if (!due) return null;
  const state = dueState(due, today);
  return state === 'later' ? null : { kind: state, label: leftWords(due, today), safety: isSafety(due) };
}

/** How much there is in all: `24 pieces`, `12 tins in 3 places`, `none left`. */
export function onHandWords(lots: readonly LotRow[], item: ItemRow): string {
  const sum = lots.reduce((total, lot) => total + lot.quantityThousandths, 0);
  if (sum === 0) return lots.some((lot) => lot.pleaseCount) ? 'please count' : 'none left';
  const places = new Set(lots.map((lot) => lot.nookId)).size;
  const amount =
    item.unit === 'piece' ? `${figureWords(sum)} ${pluralUnit('piece', sum)}` : amountWords(sum, item.unit);
  return `${amount}${places > 1 ? ` in ${places} places` : ''}`;
}

/** `2 × Paper lantern`, `0.5 kg Flour`: an amount of a thing, as it is said when something was done with it. */
export const amountOfWords = (quantityThousandths: number, item: Pick<ItemRow, 'name' | 'unit'>): string =>
  `${amountWords(quantityThousandths, item.unit)} ${item.unit === 'piece' ? '× ' : ''}${item.name}`;

/** What is said before a frozen thing thaws. */
export const thawingWords = (usedBy: CivilDate, today: CivilDate): string =>
  `Thawed in the refrigerator it is used by ${dayWords(usedBy, today)}, and is not frozen again unless still good. When in doubt, throw it out.`;

/** Where some of a thing go, asked for moving, thawing or freezing them. */
export const whereToWords = (how: 'move' | 'thaw' | 'freeze', amount: string): string =>
  ({
    move: `Where do ${amount} go?`,
    thaw: `Where do ${amount} thaw? Best in the refrigerator`,
    freeze: `Which freezer place do ${amount} go to?`,
  })[how];

/** A folded cloth: its sides, how thick it is and what it weighs. Without a measured pile it is an estimate and says so. */
export function foldedWords(folded: FoldedCloth, unit: LengthUnit): string {
  const length = (value: number): string => formatLength(Math.round(value), unit);
  return `Folded ${length(folded.widthTenthMm)} by ${length(folded.depthTenthMm)}, ${counted(folded.layers, { one: '# layer', other: '# layers' })}, ${folded.calibrated ? '' : 'about '}${length(folded.thicknessTenthMm)} thick, ${formatMass(folded.grams, unit)}.`;
}

export const filedWords = (container: string, upright: number, flat: number): string =>
  `In “${container}” ${upright} stand upright, ${flat} lie flat.`;

/** Why a reading of the scale is not taken over; null: it is. */
export function scaleWords(reading: ScaleReading | null): string | null {
  if (reading === null) return 'The scale does not answer: switch it on under Devices.';
  if (!reading.stable) return 'The scale still swings: press again when it stands still.';
  return reading.grossGrams <= 0 ? 'Nothing lies on the scale.' : null;
}
