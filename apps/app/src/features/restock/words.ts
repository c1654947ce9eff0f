import {
  addDays,
  daysBetween,
  formatMoney,
  isMeasure,
  pluralUnit,
  type CivilDate,
  amountIn,
  type Front,
  type HouseholdState,
  type ItemRow,
  type LedgerEventKind,
  type Meal,
  type LotRow,
  type OutlookAnswer,
  type PlaceReason,
  type PurchaseRow,
  type Refill,
  type RestockEntry,
  type RestockWay,
  type SetCount,
  type Trip,
} from '@ours/core';
import type { ItemEvent } from '@ours/contracts';
import { today } from '@/shared/opContext';
import { counted, figureWords } from '@/kit/text/counted';
import { dayWords, longWeekdayWords, nearDayWords, spanWords, weekdayAndDay, weekdayWords } from '@/kit/text/dayWords';
import { amountWords, sizeWords } from '@/features/stock/words';

type Unit = Pick<ItemRow, 'unit'>;

/** What one pack is, after the name: `1 l`, `10`, `6 bottles`, `0.5 kg`. Empty: one piece without a size. */
export function packWords(packThousandths: number, { unit }: Unit, size: LotRow['packSize']): string {
  if (isMeasure(unit)) return amountWords(packThousandths, unit);
  if (packThousandths !== 1000)
    return unit === 'piece' ? figureWords(packThousandths) : amountWords(packThousandths, unit);
  return size ? sizeWords(size) : '';
}

/** `2 left`, `0.4 kg left`, `none left`. */
export const leftOfWords = (thousandths: number, { unit }: Unit): string => {
  if (thousandths <= 0) return 'none left';
  return `${isMeasure(unit) ? amountWords(thousandths, unit) : figureWords(thousandths)} left`;
};

/** `lasts to Thu–Sat`, `lasts to 9–20 Dec`, `lasts over two years`. Empty when no pace is known. */
export function lastsWords(out: RestockEntry['out'], today: CivilDate): string {
  if (!out) return '';
  const { early, late } = out;
  if (early === null) return 'lasts over two years';
  const from = addDays(today, early);
  if (late === null) return `lasts to ${nearDayWords(from, today)} or much longer`;
  return `lasts to ${spanWords(from, addDays(today, late), today)}`;
}

/** How well a pace is known: `a guess: 2 uses seen`. Empty when it is known. */
export function knownWords({ guess, uses, said }: Pick<RestockEntry, 'guess' | 'uses' | 'said'>): string {
  if (said && uses < 4) return 'as you said';
  return guess ? `a guess: ${counted(uses, { zero: 'no use seen', one: '# use seen', other: '# uses seen' })}` : '';
}

interface Plan {
  today: CivilDate;
  day: CivilDate;
  nextDay: CivilDate;
}

/** Why it is bought, in one line. */
export function whyWords(entry: RestockEntry, item: ItemRow, plan: Plan): string {
  const { today, day, nextDay } = plan;
  const left = leftOfWords(entry.leftThousandths, item);
  const lasts = lastsWords(entry.out, today);
  const known = knownWords(entry);
  const spoil = entry.cutByDate ? 'more would spoil' : '';
  const join = (...parts: string[]): string => parts.filter((part) => part !== '').join('; ');
  const mark = amountWords(item.lowAtThousandths ?? 0, item.unit);
  switch (entry.reason) {
    case 'none_left':
      return join('none left', known, spoil);
    case 'at_mark':
      return join(left, `you buy at ${mark}`, spoil);
    case 'pairs':
      return join('always in pairs', lasts);
    case 'full':
      return join(`always ${amountWords(item.restock?.fullThousandths ?? 0, item.unit)}`, left);
    default: {
      const early = entry.out?.early;
      const before = early !== null && early !== undefined && addDays(today, early) < day;
      const until = before ? `next shop ${nearDayWords(day, today)}` : `not to ${weekdayAndDay(nextDay, today)}`;
      if (entry.guess && known !== '') return join(left, known, spoil);
      if (spoil !== '') return join(lasts, spoil);
      return before ? join(lasts, until) : `${lasts}, ${until}`;
    }
  }
}

/** Of a thing that is not bought: what is left, and why it is not. */
export function notBoughtWords(entry: RestockEntry, item: ItemRow, today: CivilDate): string {
  const left = leftOfWords(entry.leftThousandths, item);
  const why = item.restock?.how === 'never' ? WAY_WORDS.never : entry.cutByDate ? 'more would spoil' : '';
  // Nothing lasts to no day.
  const lasts = entry.leftThousandths <= 0 ? '' : lastsWords(entry.out, today) || 'no use seen yet';
  return [left, lasts, why, knownWords(entry)].filter((part) => part !== '').join('; ');
}

/** `in 2 days`, `today`, `tomorrow`. */
export function inDaysWords(day: CivilDate, today: CivilDate): string {
  const days = daysBetween(today, day);
  if (days <= 0) return 'today';
  return days === 1 ? 'tomorrow' : counted(days, { one: 'in # day', other: 'in # days' });
}

/** `Saturday 28 Nov`. */
export const tripDayWords = (day: CivilDate, today: CivilDate): string =>
  `${longWeekdayWords(day)} ${dayWords(day, today)}`;

/** Under the day of the trip: `in 2 days · Quay shop · 18 things`. */
export const tripWords = (trip: Trip, today: CivilDate, things: number): string =>
  [
    inDaysWords(trip.day, today),
    trip.shop?.name ?? 'Saturdays are assumed',
    counted(things, { zero: 'nothing to buy', one: '# thing', other: '# things' }),
  ].join(' · ');

/** `of €90, €12 free`; `of €90, €6 over`. */
export function budgetWords(costMinor: number, budgetMinor: number, currency: string): string {
  const money = (minor: number): string => roundMoney(minor, currency);
  const free = budgetMinor - costMinor;
  return `of ${money(budgetMinor)}, ${free >= 0 ? `${money(free)} free` : `${money(-free)} over`}`;
}

/** An estimate of money: whole units, no cents that nobody knows. */
export const roundMoney = (minor: number, currency: string): string =>
  new Intl.NumberFormat('en', { style: 'currency', currency, maximumFractionDigits: 0 }).format(minor / 100);

/** A price in a column: without its currency, which the total says. */
export const priceFigure = (minor: number | null, currency: string): string => {
  if (minor === null) return '–';
  const { maximumFractionDigits: places = 2 } = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
  }).resolvedOptions();
  return (minor / 100).toFixed(places);
};

/** What one loses by going a day later. Empty: nothing that is known. */
export function dayLaterWords(
  { goneADayLater, moreADayLaterMinor }: OutlookAnswer,
  nameOf: (itemId: string) => string,
  currency: string,
): string {
  const names = goneADayLater.map(nameOf);
  const gone = names.length === 0 ? '' : `${listWords(names)} may be gone`;
  const money =
    Math.abs(moreADayLaterMinor) < 100
      ? ''
      : `about ${roundMoney(Math.abs(moreADayLaterMinor), currency)} ${moreADayLaterMinor > 0 ? 'more' : 'less'}`;
  const parts = [gone, money].filter((part) => part !== '');
  return parts.length === 0 ? '' : `A day later: ${parts.join(', ')}.`;
}

const MOST_NAMES = 3;
const names = new Intl.ListFormat('en', { type: 'conjunction' });
/** `Milk, Eggs and Leek`; of many the first, and how many more. */
export function listWords(all: readonly string[]): string {
  if (all.length <= MOST_NAMES) return names.format(all);
  return `${all.slice(0, MOST_NAMES).join(', ')} and ${all.length - MOST_NAMES} more`;
}

export const WAY_WORDS: Readonly<Record<RestockWay, string>> = {
  pace: 'by how fast it is used',
  level: 'at its mark only',
  pairs: 'always in pairs',
  full: 'always full',
  never: 'not by this list',
};

/** How many of them are done: `3 of 5`. */
export const ofWords = (done: number, all: number): string => `${done} of ${all}`;

/** The whole list as text to share. */
export function listText(
  trip: Trip,
  today: CivilDate,
  lines: readonly { name: string; packs: number; size: string; aisle: string }[],
): string {
  const byAisle = new Map<string, string[]>();
  for (const { name, packs, size, aisle } of lines) {
    const line = `${packs} × ${name}${size === '' ? '' : `, ${size}`}`;
    byAisle.set(aisle, [...(byAisle.get(aisle) ?? []), line]);
  }
  const parts = [...byAisle].map(([aisle, own]) =>
    [aisle === '' ? 'Other' : aisle, ...own.map((line) => `- ${line}`)].join('\n'),
  );
  return [`${trip.shop?.name ?? 'Shopping'}, ${tripDayWords(trip.day, today)}`, ...parts].join('\n\n');
}

/** A weekday's short name, from 0 for Sunday. */
export const WEEKDAYS = ['SU', 'MO', 'TU', 'WE', 'TH', 'FR', 'SA'] as const;
/** 2026-11-22 is a Sunday. */
export const weekdayName = (at: number): string => weekdayWords(addDays('2026-11-22', at));

/** How many packs stand in a line's unit: `2 packs`, for a screen reader. */
export const packsWords = (packs: number, { unit }: Unit): string => `${packs} ${pluralUnit(unit, packs * 1000)}`;

/** Who put a line into the basket, and when. */
export const tickedWords = (
  { atInstant }: Pick<PurchaseRow, 'atInstant'>,
  who: string | null,
  nowMs: number,
): string => {
  if (atInstant === null) return who ?? '';
  const minutes = Math.max(0, Math.round((nowMs - Date.parse(atInstant)) / 60_000));
  const when =
    minutes < 1
      ? 'just now'
      : minutes < 60
        ? `${minutes} min ago`
        : counted(Math.round(minutes / 60), { one: '# h ago', other: '# h ago' });
  return [who, when].filter(Boolean).join(', ');
};

export const costWords = (minor: number, currency: string): string => formatMoney(minor, currency);

/** `About 1.4 a week, from 31 uses; `. What nobody uses: `No use seen yet.` */
export function paceWords(entry: RestockEntry, item: ItemRow): string {
  if (!entry.out) return 'No use seen yet. ';
  const weekly = entry.weeklyThousandths;
  const rounded = weekly >= 10_000 ? Math.round(weekly / 1000) * 1000 : Math.round(weekly / 100) * 100;
  const aWeek =
    weekly >= 500
      ? `About ${isMeasure(item.unit) ? amountWords(rounded, item.unit) : figureWords(rounded)} a week`
      : `About ${isMeasure(item.unit) ? amountWords(Math.max(1, Math.round(weekly * 4.35)), item.unit) : figureWords(Math.max(100, Math.round(weekly * 0.435) * 10))} a month`;
  return `${aWeek}, from ${counted(entry.uses, { one: '# use', other: '# uses' })}; `;
}

/** `Saturday 28 Nov can wait; on Saturday 5 Dec, buy 2.` */
export function tripAdvice({ entry, next, plan }: { entry: RestockEntry; next: RestockEntry; plan: Plan }): string {
  const { today, day, nextDay } = plan;
  if (entry.verdict === 'ask') return 'It is bought but never noted as taken: count what is left before you buy.';
  if (entry.verdict === 'unknown') return 'Take some out with a tap, or say how much a week, and it gets its own pace.';
  if (entry.packs > 0) return `On ${tripDayWords(day, today)}, buy ${entry.packs}.`;
  if (next.packs > 0)
    return `${tripDayWords(day, today)} can wait; on ${tripDayWords(nextDay, today)}, buy ${next.packs}.`;
  return `${tripDayWords(day, today)} and ${tripDayWords(nextDay, today)} can wait.`;
}

/** What is likely lost at the present pace: `Likely lost: about 2 of 5, €1.20.` */
export function lossWords(
  lost: readonly { lostThousandths: number; thousandths: number; lostMinor: number | null }[],
  item: ItemRow,
  currency: string,
): string {
  const sum = lost.reduce((total, one) => total + one.lostThousandths, 0);
  const money = lost.reduce((total, { lostMinor }) => total + (lostMinor ?? 0), 0);
  return `Likely lost at this pace: about ${amountWords(Math.max(100, Math.round(sum / 100) * 100), item.unit)}${money > 0 ? `, ${costWords(money, currency)}` : ''}.`;
}

/** `2 a week`; nothing when no use is known. */
export function eatenWords(
  { weeklyThousandths, guess }: { weeklyThousandths: number; guess: boolean },
  item: Unit,
): string {
  if (weeklyThousandths <= 0) return 'no use seen';
  const rounded = Math.round(weeklyThousandths / 100) * 100;
  const about = guess ? 'a guess: ' : '';
  if (rounded < 500)
    return `${about}${isMeasure(item.unit) ? amountWords(Math.max(1, Math.round(weeklyThousandths * 4.35)), item.unit) : figureWords(Math.max(100, Math.round((weeklyThousandths * 4.35) / 100) * 100))} a month`;
  return `${about}${isMeasure(item.unit) ? amountWords(rounded, item.unit) : figureWords(rounded)} a week`;
}

/** The answer to “do we have …?”: `Plenty: 6 tins, lasts to Mar`. */
export function haveWords(
  lots: readonly LotRow[],
  item: ItemRow,
  entry: RestockEntry | null,
  today: CivilDate,
): string {
  const sum = lots.reduce((total, lot) => total + lot.quantityThousandths, 0);
  if (sum <= 0) return 'None at home';
  const amount = amountWords(sum, item.unit);
  const lasts = entry ? lastsWords(entry.out, today) : '';
  const word = entry?.verdict === 'buy' ? 'Some' : entry?.verdict === 'enough' && entry.out ? 'Enough' : 'Yes';
  return `${word}: ${amount}${lasts === '' ? '' : `, ${lasts}`}`;
}

const PLACE_WORDS: Readonly<Record<PlaceReason, string>> = {
  front: 'its place',
  same_thing: 'where most of it is',
  was_here: 'where it was before',
  same_kind: 'where things of its kind are',
};
/** Why a place is proposed. */
export const placeReasonWords = (reason: PlaceReason): string => PLACE_WORDS[reason];

/** Behind what is older: `behind 2 older`. */
export const behindWords = (older: number): string =>
  counted(older, { zero: '', one: 'behind the older one', other: 'behind the # older ones' });

/** `to 4; 2 left there`, `to 3; the last of it`. */
export function refillWords({ item, amountThousandths, thereThousandths, leftThousandths }: Refill): string {
  const to = `to ${figureWords(thereThousandths + amountThousandths)}`;
  return leftThousandths <= 0
    ? `${to}; the last of it`
    : `${to}; ${amountWords(leftThousandths, item.unit)} left there`;
}

/** `2 to 4 here, the rest in reserve`. */
export const keepWords = ({ leastThousandths, fullThousandths }: Front, item: Unit): string =>
  `${figureWords(leastThousandths)} to ${amountWords(fullThousandths, item.unit)} here, the rest in reserve`;

/** When less is likely there than the book says: `By the book 3; likely about 2, for some goes without a note.` */
export function likelyWords(
  { leftThousandths, likelyThousandths, out }: Pick<RestockEntry, 'leftThousandths' | 'likelyThousandths' | 'out'>,
  { unit }: Unit,
): string {
  const step = isMeasure(unit) ? 50 : 500;
  if (!out || leftThousandths - likelyThousandths < step) return '';
  const likely = isMeasure(unit)
    ? Math.round(likelyThousandths / 50) * 50
    : Math.round(likelyThousandths / 1000) * 1000;
  return `By the book ${amountWords(leftThousandths, unit)}; likely about ${amountWords(likely, unit)}, for some goes without a note. A count settles it.`;
}

/** `2 whole sets of 12`, `11 of 12, 1 missing`. */
export function setWords({ pieces, whole, over, with: partner, there }: SetCount): string {
  const of = pieces === 1 ? '' : ` of ${pieces}`;
  if (partner) return `${counted(whole, { one: '# whole', other: '# whole' })}, each with ${partner.item.name}`;
  if (whole === 0) return there === 0 ? `none${of}` : `${over}${of}, ${pieces - over} missing`;
  return `${counted(whole, { one: '# whole set', other: '# whole sets' })}${of}`;
}

/** What is over, missing, without its partner, in use; empty when there is nothing to say. */
export function setDetail({ whole, over, missing, inUse, there, pieces, with: partner }: SetCount): string {
  const full = Math.floor(there / pieces);
  const parts = [
    whole > 0 && over > 0 ? `${over} over, ${missing} missing for one more` : '',
    partner && full > partner.there ? `${full - partner.there} without ${partner.item.name}` : '',
    partner && partner.there > full ? `${partner.there - full} × ${partner.item.name} too many` : '',
    inUse > 0 ? `${inUse} in use` : '',
  ];
  return parts.filter((part) => part !== '').join('; ');
}

/** How many times its place can be filled from the reserve; empty for a thing without a place of its own. */
export function fillsWords(state: HouseholdState, item: ItemRow): string {
  const { front } = item;
  if (!front) return '';
  const total = state.lotsOf(item.id).reduce((sum, lot) => sum + lot.quantityThousandths, 0);
  const reserve = Math.max(0, total - amountIn(state, item.id, front.nookId));
  const fills = Math.floor(reserve / front.fullThousandths);
  if (reserve <= 0) return 'nothing in reserve';
  const kept = `${amountWords(reserve, item.unit)} in reserve`;
  return fills === 0
    ? `${kept}, less than one fill`
    : `${kept}, ${counted(fills, { one: '# fill', other: '# fills' })}`;
}

const HAPPENED: Readonly<Record<LedgerEventKind, string>> = {
  put_in: 'put in',
  moved_in: 'moved here',
  taken: 'taken',
  moved_out: 'moved away',
  discarded: 'gone',
  counted: 'counted',
  voided: 'taken back',
};

/** `Mon 23 Nov, Eskil: 1 taken`. What was taken back says so. */
export function eventWords({ kind, quantityThousandths, occurredAt, by, undone, unit }: ItemEvent): string {
  const day = today(new Date(occurredAt));
  const who = by === null ? '' : `, ${by}`;
  const what = `${amountWords(quantityThousandths, unit)} ${HAPPENED[kind]}`;
  return `${weekdayAndDay(day, today())}${who}: ${what}${undone ? ' (taken back)' : ''}`;
}

/** What food is used for. */
export const MEAL_WORDS: Readonly<Record<Meal, string>> = {
  breakfast: 'breakfast and bread',
  main: 'a cooked meal',
  snack: 'a snack',
  baking: 'baking',
  drink: 'drinks',
};
/** `a cooked meal, a snack`; `for no meal`. */
export const mealsWords = (meals: readonly Meal[]): string =>
  meals.length === 0 ? 'for no meal' : meals.map((meal) => MEAL_WORDS[meal]).join(', ');

/** `lasts to Sun 29 Nov, 19 times of 20`; when it may not: `up to 0.9 kg are used to Sun 29 Nov`. */
export function toRefillWords(
  { day, thousandths }: NonNullable<RestockEntry['toRefillDay']>,
  thereThousandths: number,
  { unit }: Unit,
  now: CivilDate,
): string {
  const until = weekdayAndDay(day, now);
  return thereThousandths >= thousandths
    ? `lasts to ${until}, 19 times of 20`
    : `may not last to ${until}: up to ${amountWords(thousandths, unit)} are used by then`;
}
