import type { LogView } from '@ours/core';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { usePalette } from '@/kit/theme/usePalette';

const SIZE = 92;

/** A hand scanner with its beam. */
export function ScannerPicture() {
  const palette = usePalette();
  return (
    <Svg width={SIZE} height={SIZE} viewBox="0 0 92 92" aria-hidden>
      <Path
        d="M20 18h40a8 8 0 0 1 8 8v8a8 8 0 0 1-8 8H46l-6 34H24l4-34h-8a4 4 0 0 1-4-4V22a4 4 0 0 1 4-4z"
        fill={palette.sheet}
        stroke={palette.ink}
        strokeWidth={2}
      />
      <Line x1={70} y1={30} x2={90} y2={20} stroke={palette.late} strokeWidth={2} />
      <Line x1={70} y1={30} x2={90} y2={30} stroke={palette.late} strokeWidth={2} />
      <Line x1={70} y1={30} x2={90} y2={40} stroke={palette.late} strokeWidth={2} />
      <Rect x={40} y={46} width={5} height={8} rx={2} fill={palette.ink} />
    </Svg>
  );
}

/** A flat scale with its window. */
export function ScalePicture({ words }: { words: string }) {
  const palette = usePalette();
  return (
    <Svg width={SIZE} height={SIZE} viewBox="0 0 92 92" aria-hidden>
      <Path d="M30 12h32v24H30z" fill={palette.sheet} stroke={palette.second} strokeWidth={1.5} />
      <Rect x={10} y={36} width={72} height={8} rx={3} fill={palette.sheet} stroke={palette.ink} strokeWidth={2} />
      <Path d="M16 44h60l6 36H10z" fill={palette.sheet} stroke={palette.ink} strokeWidth={2} />
      <Rect x={24} y={52} width={44} height={18} rx={3} fill={palette.ink} />
      <SvgText
        x={46}
        y={66}
        fontSize={14}
        fontWeight="700"
        textAnchor="middle"
        fill={palette.sheet}
        fontFamily="AtkinsonHyperlegibleMono_700Bold"
      >
        {words}
      </SvgText>
    </Svg>
  );
}

const CHART = { left: 6, right: 86, top: 10, bottom: 82 } as const;
/** A little room above the warmest and below the coldest, tenths of a degree. */
const MARGIN = 20;

/** What a thermometer logged: a line where it is known, nothing where it is not, and up to where the place keeps. */
export function ThermometerPicture({ view, limitTenthC }: { view: LogView; limitTenthC: number }) {
  const palette = usePalette();
  const all = view.stretches.flatMap(({ readings }) => readings);
  const temperatures = [...all.map(({ tenthC }) => tenthC), limitTenthC];
  const [low, high] = [Math.min(...temperatures) - MARGIN, Math.max(...temperatures) + MARGIN];
  const times = all.map(({ at }) => Date.parse(at));
  const [first, last] = [Math.min(...times), Math.max(...times)];
  const x = (iso: string): number =>
    CHART.left + ((Date.parse(iso) - first) / Math.max(1, last - first)) * (CHART.right - CHART.left);
  const y = (tenthC: number): number => CHART.bottom - ((tenthC - low) / (high - low)) * (CHART.bottom - CHART.top);
  return (
    <Svg width={SIZE} height={SIZE} viewBox="0 0 92 92" aria-hidden>
      <Rect x={1} y={1} width={90} height={90} rx={6} fill={palette.sheet} stroke={palette.rule} />
      <Line
        x1={CHART.left}
        x2={CHART.right}
        y1={y(limitTenthC)}
        y2={y(limitTenthC)}
        stroke={palette.late}
        strokeWidth={1.5}
        strokeDasharray="4 3"
      />
      {view.stretches.map(({ readings }) => (
        <Path
          key={readings[0]!.at}
          d={readings.map(({ at, tenthC }, place) => `${place === 0 ? 'M' : 'L'}${x(at)} ${y(tenthC)}`).join('')}
          fill="none"
          stroke={palette.ink}
          strokeWidth={2}
        />
      ))}
      {all.map(({ at, tenthC }) => (
        <Circle key={at} cx={x(at)} cy={y(tenthC)} r={3} fill={tenthC > limitTenthC ? palette.late : palette.ink} />
      ))}
    </Svg>
  );
}

/** A printer with a label coming out of it. */
export function PrinterPicture({ left }: { left: number }) {
  const palette = usePalette();
  return (
    <Svg width={SIZE} height={SIZE} viewBox="0 0 92 92" aria-hidden>
      <Rect x={12} y={34} width={68} height={44} rx={8} fill={palette.sheet} stroke={palette.ink} strokeWidth={2} />
      {left > 0 ? (
        <Rect x={28} y={8} width={36} height={30} fill={palette.sheet} stroke={palette.ink} strokeWidth={1.5} />
      ) : null}
      {left > 0
        ? [14, 19, 24].map((y) => <Line key={y} x1={33} x2={59} y1={y} y2={y} stroke={palette.ink} strokeWidth={1.5} />)
        : null}
      <Line x1={24} x2={68} y1={38} y2={38} stroke={palette.ink} strokeWidth={3} />
      <Circle cx={68} cy={66} r={4} fill={left > 0 ? palette.green : palette.late} />
    </Svg>
  );
}
