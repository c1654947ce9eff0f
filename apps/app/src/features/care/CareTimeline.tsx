import type { CareEntryRow } from '@ours/core';
import Svg, { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { YStack } from 'tamagui';
import { BODY_FONT } from '@/kit/theme/tamagui.config';
import { usePalette } from '@/kit/theme/usePalette';
import { clockWords } from '@/kit/text/dayWords';

const HOUR_MS = 3_600_000;
const BACK_H = 24;
const TICK_H = 6;
const HEIGHT = 96;
const BASE = 70;
const BAR = 34;
const PAD = 6;
const SIZE = 13;
/** A bar narrower than this has no room for its time. */
const LEAST_FOR_WORDS = 44;

/** The last 24 hours and some ahead: what was given when, how far each reaches by the package, and now. */
export function CareTimeline({
  entries,
  leastHours,
  nowMs,
  notBeforeMs,
  width,
}: {
  entries: readonly CareEntryRow[];
  leastHours: number | null;
  nowMs: number;
  notBeforeMs: number | null;
  width: number;
}) {
  const palette = usePalette();
  const from = nowMs - BACK_H * HOUR_MS;
  const to = Math.max(nowMs + TICK_H * HOUR_MS, notBeforeMs === null ? 0 : notBeforeMs + 2 * HOUR_MS);
  const x = (ms: number): number => PAD + ((ms - from) / (to - from)) * (width - 2 * PAD);
  const shown = entries.filter(({ at }) => Date.parse(at) >= from && Date.parse(at) <= to).reverse();
  return (
    <YStack>
      <Svg width={width} height={HEIGHT} aria-hidden>
        <Rect x={PAD} y={BASE - BAR} width={Math.max(0, x(nowMs) - PAD)} height={BAR} fill={palette.ground} />
        {shown.map((entry, at) => {
          const given = Date.parse(entry.at);
          const next = shown[at + 1];
          const end = leastHours === null ? given : given + leastHours * HOUR_MS;
          // A bar ends where the next one begins, if that was too early.
          const right = Math.min(end, next ? Date.parse(next.at) : Infinity, to);
          const wide = x(right) - x(given);
          return (
            <G key={entry.id}>
              {leastHours === null ? null : (
                <Rect
                  x={x(given)}
                  y={BASE - BAR}
                  width={Math.max(1, wide)}
                  height={BAR}
                  fill={palette.rule}
                  stroke={palette.ink}
                  strokeWidth={1}
                />
              )}
              <Line x1={x(given)} x2={x(given)} y1={BASE - BAR - 8} y2={BASE} stroke={palette.ink} strokeWidth={3} />
              <Circle cx={x(given)} cy={BASE - BAR - 10} r={5} fill={palette.ink} />
              {wide >= LEAST_FOR_WORDS ? (
                <SvgText
                  x={x(given) + 6}
                  y={BASE - BAR / 2 + 5}
                  fontSize={SIZE}
                  fontFamily={BODY_FONT}
                  fill={palette.ink}
                >
                  {clockWords(new Date(given))}
                </SvgText>
              ) : null}
            </G>
          );
        })}
        <Line x1={PAD} x2={width - PAD} y1={BASE} y2={BASE} stroke={palette.ink} strokeWidth={2} />
        {ticksBetween(from, to).map((ms) => (
          <G key={ms}>
            <Line x1={x(ms)} x2={x(ms)} y1={BASE} y2={BASE + 5} stroke={palette.ink} strokeWidth={1} />
            <SvgText
              x={x(ms)}
              y={BASE + 20}
              fontSize={SIZE}
              fontFamily={BODY_FONT}
              textAnchor="middle"
              fill={palette.second}
            >
              {String(new Date(ms).getHours())}
            </SvgText>
          </G>
        ))}
        <Line x1={x(nowMs)} x2={x(nowMs)} y1={16} y2={BASE + 4} stroke={palette.green} strokeWidth={3} />
        <SvgText
          x={x(nowMs) - 6}
          y={13}
          fontSize={SIZE}
          fontFamily={BODY_FONT}
          fontWeight="700"
          textAnchor="end"
          fill={palette.green}
        >
          {`now ${clockWords(new Date(nowMs))}`}
        </SvgText>
      </Svg>
    </YStack>
  );
}

/** Every sixth hour by the clock here. */
function ticksBetween(from: number, to: number): number[] {
  const at = new Date(from);
  at.setMinutes(0, 0, 0);
  const ticks: number[] = [];
  for (at.setHours(at.getHours() + 1); at.getTime() <= to; at.setHours(at.getHours() + 1))
    if (at.getHours() % TICK_H === 0) ticks.push(at.getTime());
  return ticks;
}
