import { daysBetween, STRIP_DAYS, type CivilDate, type RoundNow } from '@ours/core';
import Svg, { Circle, G, Line } from 'react-native-svg';
import { usePalette } from '@/kit/theme/usePalette';
import { stripWords } from './words';

/** Pixels a day; a stroke for each turn, and the dot or ring at its foot or head. */
const A_DAY = 2;
const HEIGHT = 28;
const FOOT = 23;
const HEAD = 7;
const RADIUS = 3.4;
const EDGE = 4;
const WIDTH = (STRIP_DAYS.back + STRIP_DAYS.ahead) * A_DAY + 2 * EDGE;

/** Six weeks back and one ahead: a stroke where it fell due, a dot where it was done, a ring where it is open, a red one where it was missed. */
export function RoundStrip({ now, today }: { now: RoundNow; today: CivilDate }) {
  const palette = usePalette();
  const x = (on: CivilDate): number => EDGE + (STRIP_DAYS.back + daysBetween(today, on)) * A_DAY;
  const at = EDGE + STRIP_DAYS.back * A_DAY;
  return (
    <Svg width={WIDTH} height={HEIGHT} role="img" aria-label={stripWords(now)}>
      <Line x1={EDGE} x2={WIDTH - EDGE} y1={FOOT} y2={FOOT} stroke={palette.rule} strokeWidth={1.5} />
      <Line x1={at} x2={at} y1={1} y2={HEIGHT} stroke={palette.second} strokeWidth={1} strokeDasharray="2 2" />
      {now.strip
        .filter(({ on }) => daysBetween(today, on) <= STRIP_DAYS.ahead)
        .map(({ dueOn, on, state }) => {
          const color = state === 'missed' ? palette.late : palette.ink;
          const place = x(on);
          return (
            <G key={dueOn}>
              <Line x1={place} x2={place} y1={HEAD + RADIUS} y2={FOOT} stroke={color} strokeWidth={1.6} />
              {state === 'done' ? <Circle cx={place} cy={FOOT} r={RADIUS} fill={color} /> : null}
              {state === 'missed' || state === 'due' || state === 'ahead' ? (
                <Circle cx={place} cy={HEAD} r={RADIUS} fill={palette.sheet} stroke={color} strokeWidth={1.6} />
              ) : null}
            </G>
          );
        })}
    </Svg>
  );
}
