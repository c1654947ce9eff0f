import {
  addDays,
  BODY_TEMPERATURE,
  celsiusOf,
  clockTime,
  fahrenheitOf,
  formatQuantity,
  PILL_TIMES,
  readDate,
  type BoxPart,
  type CareEntryRow,
  type DateHabits,
  type LengthUnit,
  type PackageLimit,
  type PillsTyped,
  type PillTime,
} from '@ours/core';
import { amountWords } from '@/features/stock/words';
import { counted } from '@/kit/text/counted';
import { clockWords, dayWords, ruleDayWords, weekdayAndDay, weekdayWords } from '@/kit/text/dayWords';
import { today } from '@/shared/opContext';

const MINUTE_MS = 60_000;
const HOUR_MIN = 60;
const DAY_MIN = 1440;
const NEAR_DAYS = 6;

export const CARE_CAUTION = 'This is a log; it advises no dose.';
export const CARE_CAUTION_MORE =
  'The package leaflet counts. If you are unsure, ask a pharmacist or doctor before giving anything.';
export const NOT_LOCKED =
  'Not locked: medicines belong where children cannot get at them, and height alone does not keep a climbing child away.';

/** When something was, seen from an instant: `06:30`, `Tue 22:10`, `3 Nov 15:45`. */
export function momentWords(iso: string, nowMs: number): string {
  const at = new Date(iso);
  const [day, on] = [today(new Date(nowMs)), today(at)];
  if (on === day) return clockWords(at);
  return `${on < day && on >= addDays(day, -NEAR_DAYS) ? weekdayWords(on) : dayWords(on, day)} ${clockWords(at)}`;
}

/** `50 min`, `3 h`, `3 h 20 min`, `2 days`. */
export function spanOfMinutes(minutes: number): string {
  if (minutes < HOUR_MIN) return `${minutes} min`;
  if (minutes >= 2 * DAY_MIN) return counted(Math.floor(minutes / DAY_MIN), { one: '# day', other: '# days' });
  const rest = minutes % HOUR_MIN;
  return `${Math.floor(minutes / HOUR_MIN)} h${rest === 0 ? '' : ` ${rest} min`}`;
}
export const minutesUntil = (atMs: number, nowMs: number): number => Math.ceil((atMs - nowMs) / MINUTE_MS);
export const minutesSince = (atMs: number, nowMs: number): number =>
  Math.max(0, Math.floor((nowMs - atMs) / MINUTE_MS));

/** `38.9 °C`, or in a home of inches `102.0 °F`. */
export const temperatureWords = (tenthC: number, unit: LengthUnit): string =>
  unit === 'metric' ? `${(tenthC / 10).toFixed(1)} °C` : `${fahrenheitOf(tenthC / 10).toFixed(1)} °F`;

/** Who typed the limit, when, and what stands on the package. */
export const typedWords = (limit: PackageLimit, by: string | null, day: string): string =>
  `Typed from the package${by === null ? '' : ` by ${by}`}, ${dayWords(limit.typedOn, day)}: “${limit.words}”.`;

/** `3 of at most 4 in 24 hours`; without a limit `3 in 24 hours`. */
export const inDayWords = (inDay: number, most: number | null): string =>
  most === null ? `${inDay} in 24 hours` : `${inDay} of at most ${most} in 24 hours`;

/** Nothing that was typed speaks against now: what it says, not that anything is to be given. */
export const passedWords = ({ leastHours }: Pick<PackageLimit, 'leastHours'>): string =>
  leastHours === null
    ? 'On the package'
    : `By the package: ${counted(leastHours, { one: '# hour has', other: '# hours have' })} passed since the last`;

/** Two entries that may be of one giving. */
export const twiceWords = ([one, other]: readonly [CareEntryRow, CareEntryRow], nowMs: number): string =>
  `${one.byName || 'Somebody'} and ${other.byName || 'somebody'} both recorded it, at ${momentWords(one.at, nowMs)} and ${momentWords(other.at, nowMs)}: both count. If it was given once, take one out.`;

/** What is said of another phone of the home. */
export function phoneWords(name: string, minutes: number): string {
  return `${name}’s phone was last in touch ${spanOfMinutes(minutes)} ago: what was recorded on it since is not here yet.`;
}
/** From so many minutes on it is said that another phone was not in touch. A phone asks every 45 s, the server notes it once a minute. */
export const QUIET_MIN = 3;

/** A day before a time: `yesterday 22:10`, `27 nov, 9:15 pm`. */
const DAY_AND_TIME = /^(?:(.*\S)[\s,]+)?(\d{1,2}(?:[:.h]?\d{2})?(?:\s*[ap]\.?\s?m\.?)?)$/i;
/**
 * The last time the clock showed this, up to now: `22:10` typed at 06:30 was yesterday; or on the day that stands before it. On the night
 * on which clocks are put back it is the later one of two: then the longer waiting is the one that is shown.
 * @returns instant, ms; null: it is no time, or one that is still to come
 */
export function lastTimeAt(text: string, nowMs: number, order: DateHabits['order'] = null): number | null {
  const [, dayText, timeText] = DAY_AND_TIME.exec(text.trim()) ?? [];
  const clock = clockTime(timeText);
  if (clock === null) return null;
  const reading = dayText ? readDate(dayText, { order, today: today(new Date(nowMs)), facing: 'behind' }) : null;
  if (reading !== null && reading.kind !== 'date') return null;
  const at = new Date(`${reading?.on ?? today(new Date(nowMs))}T${clock}:00`);
  if (reading === null && at.getTime() > nowMs) at.setDate(at.getDate() - 1);
  const later = new Date(at.getTime() + HOUR_MIN * MINUTE_MS);
  const twice = later.getTime() <= nowMs && clockWords(later) === clockWords(at);
  const ms = twice ? later.getTime() : at.getTime();
  return ms > nowMs ? null : ms;
}

/** A temperature as it was typed, in tenths of a degree Celsius; null: it is none a person can have. */
export function readTemperature(text: string, unit: LengthUnit): number | null {
  const [, figure, sign] = /^(\d+(?:[.,]\d+)?)\s*°?\s*([cf])?$/i.exec(text.trim()) ?? [];
  if (figure === undefined) return null;
  const value = Number(figure.replace(',', '.'));
  // A sign that was typed counts, whatever the home measures in.
  const isCelsius = sign === undefined ? unit === 'metric' : sign.toLowerCase() === 'c';
  const celsius = isCelsius ? value : celsiusOf(value);
  const tenth = Math.round(celsius * 10);
  return tenth >= BODY_TEMPERATURE.least && tenth <= BODY_TEMPERATURE.most ? tenth : null;
}

export const PILL_TIME_WORDS: Readonly<Record<PillTime, string>> = {
  morning: 'Morning',
  noon: 'Noon',
  evening: 'Evening',
  night: 'Night',
};
const FRACTIONS: Readonly<Record<number, string>> = { 250: '¼', 500: '½', 750: '¾' };
/** `1`, `½`, `1½`; what is no quarter as a decimal. */
export function fractionWords(thousandths: number): string {
  const rest = thousandths % 1000;
  const whole = Math.floor(thousandths / 1000);
  const fraction = FRACTIONS[rest];
  return fraction ? `${whole === 0 ? '' : whole}${fraction}` : formatQuantity(thousandths);
}

/** `1 in the morning, ½ in the evening; Mon, Thu`. */
export function pillsWords(typed: PillsTyped): string {
  const IN: Readonly<Record<PillTime, string>> = {
    morning: 'in the morning',
    noon: 'at noon',
    evening: 'in the evening',
    night: 'at night',
  };
  const amounts = PILL_TIMES.flatMap((time) =>
    typed[time] === 0 ? [] : [`${fractionWords(typed[time])} ${IN[time]}`],
  ).join(', ');
  return typed.days.length === 0 ? amounts : `${amounts}; ${typed.days.map(ruleDayWords).join(', ')}`;
}

/** Of too little: `4 tablets are there that keep to 6 Dec: 3 tablets missing`. */
export function shortOfWords(
  { haveThousandths, needThousandths, item }: Pick<BoxPart, 'haveThousandths' | 'needThousandths' | 'item'>,
  lastDay: string,
  day: string,
): string {
  const missing = `${amountWords(needThousandths - haveThousandths, item.unit)} missing`;
  return haveThousandths === 0
    ? `none is there that keeps to ${dayWords(lastDay, day)}: ${missing}`
    : `${amountWords(haveThousandths, item.unit)} there that keep to ${dayWords(lastDay, day)}: ${missing}`;
}

/** From so few days on a refill is pointed out. Own default: two weeks leave time to see the doctor. */
export const REFILL_SOON_DAYS = 14;
/** `for the pill boxes to Fri 18 Dec, 20 days`. */
export function boxLastsWords(last: { until: string | null; days: number; beyond: boolean }, day: string): string {
  if (last.until === null) return 'not enough for the next day of the pill boxes';
  if (last.beyond) return 'for the pill boxes for over two years';
  return `for the pill boxes to ${weekdayAndDay(last.until, day)}, ${counted(last.days, { one: '# day', other: '# days' })}`;
}
