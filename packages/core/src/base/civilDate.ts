import { FIRST_YEAR, LAST_YEAR } from './limits';

/** Days without a time, as ISO `YYYY-MM-DD`. Text order is date order. */
export type CivilDate = string;

const DAY_MS = 86_400_000;
const pad = (value: number, width: number): string => String(value).padStart(width, '0');

/** Whether a year, a month 1–12 and a day exist in the Gregorian calendar, in the years in which dates of things lie. */
export function isRealDate(year: number, month: number, day: number): boolean {
  return year >= FIRST_YEAR && year <= LAST_YEAR && isCalendarDay(year, month, day);
}

/** The same for the years that four digits can hold: what was stored once can always be shown. */
function isCalendarDay(year: number, month: number, day: number): boolean {
  if (![year, month, day].every(Number.isInteger) || year < 1000 || year > 9999) return false;
  return month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(year, month);
}

/** 28–31. `month` counts from 1. */
export function daysInMonth(year: number, month: number): number {
  return new Date(Date.UTC(year, month, 0)).getUTCDate();
}

/** Numbers to `YYYY-MM-DD`; the caller has checked that the day exists. */
export function civilDate(year: number, month: number, day: number): CivilDate {
  return `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}`;
}

/** `YYYY-MM-DD` to numbers; a text that is no such date throws. */
export function partsOf(date: CivilDate): { year: number; month: number; day: number } {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(date);
  const [year, month, day] = [Number(match?.[1]), Number(match?.[2]), Number(match?.[3])];
  if (!match || !isCalendarDay(year, month, day)) throw new RangeError(`"${date}" is not a date YYYY-MM-DD`);
  return { year, month, day };
}

const dayNumber = (date: CivilDate): number => {
  const { year, month, day } = partsOf(date);
  return Date.UTC(year, month - 1, day) / DAY_MS;
};

/** `days` may be negative. */
export function addDays(date: CivilDate, days: number): CivilDate {
  return new Date((dayNumber(date) + days) * DAY_MS).toISOString().slice(0, 10);
}

/** A day that the target month lacks becomes its last one: 31 January plus one month is 28 or 29 February. */
export function addMonths(date: CivilDate, months: number): CivilDate {
  const { year, month, day } = partsOf(date);
  const index = year * 12 + (month - 1) + months;
  const [toYear, toMonth] = [Math.floor(index / 12), (index % 12) + 1];
  return civilDate(toYear, toMonth, Math.min(day, daysInMonth(toYear, toMonth)));
}

/** Whole days from `from` to `to`; negative when `to` is earlier. */
export function daysBetween(from: CivilDate, to: CivilDate): number {
  return dayNumber(to) - dayNumber(from);
}

/** 0 is Sunday. */
export const weekday = (date: CivilDate): number => new Date(dayNumber(date) * DAY_MS).getUTCDay();
