import type { Outage, OutageVerdict, ThermometerReading, WarmTime } from '@ours/core';
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
