import {
  effectiveDue,
  type CivilDate,
  type ItemRow,
  type KeepingGuide,
  type LoggedTemperature,
  type LotRow,
  type Outage,
  type OutageVerdict,
  type Picked,
  type ThermometerReading,
  type WarmTime,
} from '@ours/core';
import { clockWords, dayWords, nearDayWords, weekdayAndDay } from '@/kit/text/dayWords';
import { amountWords, dueWords } from '@/features/stock/words';
import { counted, figureWords } from '@/kit/text/counted';

/** Shown wherever food was warm. */
export const OUTAGE_CAUTION =
  'By the US federal rules (FoodSafety.gov, “Food Safety During Power Outage”, from memory); your own authority’s advice comes first. Never taste food to find out. When in doubt, throw it out.';

export const VERDICT_TITLES: Readonly<Record<OutageVerdict, string>> = {
  discard: 'Throw out',
  check: 'Look at each',
  keep: 'Keeps',
};

/** What to look for. */
export const VERDICT_HINTS: Readonly<Record<OutageVerdict, string>> = {
  discard: 'It was warmer than 4 °C for two hours or more; frozen vegetables for six.',
  check:
    'Keep it if there are ice crystals in it or it is as cold as from the refrigerator; bread, fruit and jam if they smell and look right. Else throw it out.',
  keep: 'It stayed cold, or keeps without.',
};

const hoursWords = (hours: number): string => counted(Math.round(hours * 10) / 10, { one: '# hour', other: '# hours' });

/** `Above 4 °C for 3 hours`, `Not above 4 °C`, `Above 4 °C for 0 to 9 hours: it was opened`. */
export function warmWords({ least, most }: WarmTime): string {
  if (most === 0) return 'Likely not above 4 °C.';
  if (least === most) return `Likely above 4 °C for ${hoursWords(most)}.`;
  return `It may have been above 4 °C for ${figureWords(Math.round(least * 10) * 100)} to ${hoursWords(most)}: it was opened, and nobody knows.`;
}

/** What is noted on a lot: `Without cold 26 Nov, 6 hours; kept`. */
export const noteWords = (day: string, outage: Outage, warm: WarmTime): string =>
  `Without cold ${day}, ${outage.kind === 'hours' ? hoursWords(outage.hours) : `above 4 °C for ${hoursWords(warm.most)}`}; kept.`;

/** A line of readings: `14:30 -12`, `2 h -12,5`. */
const READING = /^(?:(\d{1,2}):(\d{2})|(\d+(?:[.,]\d+)?) ?h)[ \t]+([-−]?\d+(?:[.,]\d+)?) ?(?:°? ?C)?$/i;

export type ReadingsRead = { ok: true; readings: ThermometerReading[] } | { ok: false; line: string };

/**
 * Reads what a thermometer showed, one reading a line: a time or hours since the first, and degrees Celsius. Times that go back
 * are on the next day.
 */
export function readReadings(text: string): ReadingsRead {
  const readings: ThermometerReading[] = [];
  let start: number | null = null;
  for (const raw of text.split('\n')) {
    const line = raw.trim();
    if (line === '') continue;
    const match = READING.exec(line);
    const [, hour, minute, since, degrees] = match ?? [];
    if (!match || (hour !== undefined && (Number(hour) > 23 || Number(minute) > 59))) return { ok: false, line };
    let hours = since === undefined ? Number(hour) + Number(minute) / 60 : Number(since.replace(',', '.'));
    const before = readings.at(-1)?.hours ?? 0;
    if (since === undefined) {
      start ??= hours;
      hours -= start;
      while (hours < before) hours += 24;
    } else if (hours < before) return { ok: false, line };
    readings.push({ hours, celsius: Number(degrees!.replace('−', '-').replace(',', '.')) });
  }
  return { ok: true, readings };
}

export const THAW_CAUTION =
  'Thaw in the refrigerator, not on the counter; big pieces need longer than a day. Use it on its day, and freeze it again only if it thawed in the refrigerator and is still good. When in doubt, throw it out.';

/** `frozen 12 weeks, best until 21 Oct`; what was bought frozen has no day. */
export function frozenWords(
  lot: LotRow,
  item: ItemRow,
  days: number | null,
  today: CivilDate,
  guide: KeepingGuide,
): string {
  if (days === null) return [dueWords(lot, item, today, guide), 'no day of freezing noted'].filter(Boolean).join(', ');
  const due = effectiveDue(lot, item, guide);
  const since =
    days < 14 ? counted(days, { one: 'frozen # day', other: 'frozen # days' }) : `frozen ${Math.round(days / 7)} weeks`;
  if (due === null) return since;
  return due.reason === 'frozen'
    ? `${since}, best until ${dayWords(due.on, today)}`
    : `${since}, too late: use by ${dayWords(due.on, today)}`;
}

/** For which day it is, when it comes out, and what is missing of it. */
export function pickWords({ pick, item, lot, thawOn, shortThousandths }: Picked, today: CivilDate): string {
  if (lot === null || shortThousandths >= pick.amountThousandths)
    return `for ${weekdayAndDay(pick.forDay, today)}; none of it is left`;
  const when =
    thawOn < today ? `should have come out ${dayWords(thawOn, today)}` : `comes out ${nearDayWords(thawOn, today)}`;
  const short = shortThousandths > 0 ? `; ${amountWords(shortThousandths, item?.unit ?? 'piece')} of it are gone` : '';
  return `for ${weekdayAndDay(pick.forDay, today)}; ${when}${short}`;
}

/** What a thermometer logged, as it is typed: `20:00 -18`. */
export const logWords = (log: readonly LoggedTemperature[]): string =>
  log.map(({ at, tenthC }) => `${clockWords(new Date(at))} ${tenthC / 10}`).join('\n');
