/** What a thermometer logged: where it has gaps, and where it was too warm. */
import type { LoggedTemperature } from './ports';

/**
 * Up to which temperature a place keeps, tenths of a degree Celsius: 40 °F and 0 °F (US FDA, "Are You Storing Food Safely?", from
 * memory), the refrigerator's as in `coldOutage`.
 */
export const KEPT_BELOW_TENTH_C = { refrigerator: 44, freezer: -178 } as const;
/** Without a reading for so much longer than usual there is a gap. */
const GAP_TIMES = 1.75;

export interface LogStretch {
  /** Readings one after the other, without a gap between. */
  readings: LoggedTemperature[];
}
export interface LogView {
  stretches: LogStretch[];
  /** From when to when nothing is known, instants. */
  gaps: { from: string; to: string }[];
  /** The warmest reading; null: there is none. */
  warmest: LoggedTemperature | null;
  /** Readings above what the place keeps. */
  tooWarm: LoggedTemperature[];
}

/**
 * Parts a log at its gaps. What happened in a gap is not known, and is not drawn as a line.
 * @param log in order
 * @param keptBelow tenths of a degree Celsius
 * For example hourly readings with none between 22:00 and 03:00: two stretches and one gap.
 */
export function viewOfLog(log: readonly LoggedTemperature[], keptBelow: number): LogView {
  const steps = log.slice(1).map((one, at) => Date.parse(one.at) - Date.parse(log[at]!.at));
  const usual = [...steps].sort((a, b) => a - b)[Math.floor((steps.length - 1) / 2)] ?? 0;
  const stretches: LogStretch[] = [];
  const gaps: LogView['gaps'] = [];
  log.forEach((reading, at) => {
    const last = log[at - 1];
    if (last === undefined) stretches.push({ readings: [reading] });
    else if (steps[at - 1]! > usual * GAP_TIMES) {
      gaps.push({ from: last.at, to: reading.at });
      stretches.push({ readings: [reading] });
    } else stretches.at(-1)!.readings.push(reading);
  });
  const warmest = log.reduce<LoggedTemperature | null>(
    (most, one) => (most === null || one.tenthC > most.tenthC ? one : most),
    null,
  );
  return { stretches, gaps, warmest, tooWarm: log.filter(({ tenthC }) => tenthC > keptBelow) };
}
