import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { usePalette } from '@/kit/theme/usePalette';
import type { Palette } from '@/kit/theme/palette';
import { hatchPath, xOf, type Ruler } from './Ruler';

/** `now`: it may run out before the shop day after next. `lost`: what is past its date before it is used. */
export type RunwayTone = 'now' | 'later' | 'lost';

export interface RunwayBar {
  /** Sure to last until here, in days from today; null: beyond the ruler. */
  sure: number | null;
  /** May last until here. */
  may: number | null;
  tone: RunwayTone;
}

export const BAR_HEIGHT = 9;

/** The lines of the shop days through one row: the next two in stronger ink. */
export function DayLines({ ruler, ticks, height }: { ruler: Ruler; ticks: readonly number[]; height: number }) {
  const palette = usePalette();
  return (
    <>
      {ticks.map((day, at) => (
        <Line
          key={day}
          x1={xOf(ruler, day)}
          x2={xOf(ruler, day)}
          y1={0}
          y2={height}
          stroke={at < 2 ? palette.second : palette.rule}
          strokeWidth={at < 2 ? 1.4 : 1}
        />
      ))}
    </>
  );
}

const COLORS: Record<RunwayTone, (palette: Palette) => { fill: string; line: string }> = {
  now: ({ soonTint, soon }) => ({ fill: soonTint, line: soon }),
  later: ({ sheet, ink }) => ({ fill: sheet, line: ink }),
  lost: ({ lateTint, late }) => ({ fill: lateTint, line: late }),
};

/**
 * How long something lasts, on a ruler that all rows share: solid to the day to which it surely lasts, hatched to the day to
 * which it may. For the eye only: the row says the same in words.
 */
export function Runway({
  ruler,
  ticks,
  height,
  bar,
  middle = false,
  pin = null,
}: {
  ruler: Ruler;
  /** Shop days, in days from today. */
  ticks: readonly number[];
  height: number;
  /** Null: no bar, for nothing is known. */
  bar: RunwayBar | null;
  /** The bar lies in the middle of its row, not at its foot. */
  middle?: boolean;
  /** The day on which the first of it ends; null: none, or beyond the ruler. */
  pin?: number | null;
}) {
  const top = middle ? (height - BAR_HEIGHT) / 2 : height - BAR_HEIGHT - 4;
  return (
    <Svg width={ruler.width} height={height} aria-hidden>
      <DayLines ruler={ruler} ticks={ticks} height={height} />
      {bar ? <Bar ruler={ruler} top={top} bar={bar} /> : null}
      {pin === null ? null : (
        <Pin ruler={ruler} top={top} day={pin} atRisk={bar !== null && (bar.may === null || bar.may > pin)} />
      )}
    </Svg>
  );
}

/** Where something ends: filled where the bar may reach beyond it, so that some may be left over; hollow beyond the bar. */
function Pin({ ruler, top, day, atRisk }: { ruler: Ruler; top: number; day: number; atRisk: boolean }) {
  const palette = usePalette();
  const x = xOf(ruler, day);
  const color = atRisk ? palette.soon : palette.second;
  return (
    <G>
      <Line x1={x} x2={x} y1={top - 4} y2={top + BAR_HEIGHT + 3} stroke={color} strokeWidth={2} />
      <Circle cx={x} cy={top - 7} r={3.4} fill={atRisk ? color : palette.sheet} stroke={color} strokeWidth={1.6} />
    </G>
  );
}

function Bar({ ruler, top, bar: { sure, may, tone } }: { ruler: Ruler; top: number; bar: RunwayBar }) {
  const palette = usePalette();
  const { fill, line } = COLORS[tone](palette);
  const [start, solid, end] = [ruler.left, xOf(ruler, sure), xOf(ruler, may)];
  const open = may === null || may > ruler.days;
  if (end <= start)
    return <Rect x={start} y={top} width={5} height={BAR_HEIGHT} fill={palette.lateTint} stroke={palette.late} />;
  return (
    <G>
      {end > solid ? (
        <>
          <Rect
            x={solid}
            y={top + 0.6}
            width={end - solid}
            height={BAR_HEIGHT - 1.2}
            fill={fill}
            stroke={line}
            strokeWidth={1.2}
          />
          <Path
            d={hatchPath(solid, top + 1, end - solid, BAR_HEIGHT - 2)}
            stroke={line}
            strokeWidth={1.1}
            fill="none"
          />
        </>
      ) : null}
      <Rect x={start} y={top} width={Math.max(1.5, solid - start)} height={BAR_HEIGHT} fill={palette.ink} />
      {tone === 'lost' ? (
        <Rect x={solid - 1.2} y={top - 3} width={2.4} height={BAR_HEIGHT + 6} fill={palette.late} />
      ) : null}
      {open ? (
        <Path
          d={`M${end + 3} ${top - 1}l5 ${BAR_HEIGHT / 2 + 1}l-5 ${BAR_HEIGHT / 2 + 1}`}
          stroke={palette.ink}
          strokeWidth={1.6}
          fill="none"
        />
      ) : null}
    </G>
  );
}
