import type { LogView, ScaleReading } from '@ours/core';
import { clockWords } from '@/kit/text/dayWords';

export const batteryWords = (percent: number): string => (percent === 0 ? 'battery empty' : `battery ${percent} %`);

/** What stands in the scale's window; figures that swing have no end. */
export const weightWords = (reading: ScaleReading | null): string =>
  reading === null ? '' : reading.stable ? String(reading.netGrams) : '– – –';

const degrees = (tenthC: number): string => `${(tenthC / 10).toFixed(1)} °C`;
/** `5 readings; warmest 6.0 °C at 08:00, above −18.0 °C; nothing known from 23:00 to 08:00`. */
export function logWords({ stretches, gaps, warmest, tooWarm }: LogView, limitTenthC: number): string {
  if (warmest === null) return 'It logged nothing.';
  const many = stretches.reduce((sum, { readings }) => sum + readings.length, 0);
  const time = (iso: string): string => clockWords(new Date(iso));
  return [
    `${many} readings`,
    `warmest ${degrees(warmest.tenthC)} at ${time(warmest.at)}${tooWarm.length > 0 ? `, above ${degrees(limitTenthC)}` : ''}`,
    ...gaps.map(({ from, to }) => `nothing known from ${time(from)} to ${time(to)}`),
  ].join('; ');
}
