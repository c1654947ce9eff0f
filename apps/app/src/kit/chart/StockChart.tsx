import Svg, { Line, Path, Text as SvgText, G, Polygon } from 'react-native-svg';
import { usePalette } from '@/kit/theme/usePalette';
import { BODY_FONT, STRONG_FONT } from '@/kit/theme/tamagui.config';

/** What a thing's stock was and will be; amounts in any one unit, days from today. */
export interface StockCourse {
  /** Oldest first, ending today (0). */
  past: readonly { day: number; level: number; added: number }[];
  /** What is likely there now. */
  now: number;
  /** From what is there down to nothing: when it is down to a level, at the earliest, as often as not, at the latest. */
  coming: readonly { level: number; early: number | null; middle: number | null; late: number | null }[];
  /** How many days ahead are shown. */
  daysAhead: number;
  /** At or below this it is bought; null: no mark. */
  mark: number | null;
  shopDays: readonly number[];
  /** When something ends, and what is said of it. */
  ends: readonly { day: number; words: string }[];
}

const TOP = 40;
const FOOT = 42;
const SIDE = 16;
const LAST_SHOP_LABELS = 2;

/** The steps of the last days, a fan of the coming ones, the mark, shop days and what ends. For the eye; the page says it in words. */
export function StockChart({
  course,
  width,
  height = 270,
  amountWords,
  dayWords,
}: {
  course: StockCourse;
  width: number;
  height?: number;
  amountWords: (level: number) => string;
  dayWords: (day: number) => string;
}) {
  const palette = usePalette();
  const { past, now, coming, mark, shopDays, ends, daysAhead: last } = course;
  const first = past[0]?.day ?? 0;
  const highest = Math.max(1, mark ?? 0, now, ...past.map(({ level }) => level));
  const x = (day: number): number => SIDE + ((day - first) / Math.max(1, last - first)) * (width - 2 * SIDE);
  const y = (level: number): number => TOP + (1 - level / highest) * (height - TOP - FOOT);
  const text = { fontFamily: BODY_FONT, fontSize: 13, fill: palette.second } as const;
  const strong = { fontFamily: STRONG_FONT, fontSize: 13, fill: palette.ink } as const;
  const steps = past
    .map(({ day, level }, at) => (at === 0 ? `M${x(day)} ${y(level)}` : `H${x(day)}V${y(level)}`))
    .join('');
  const fan = (pick: (one: StockCourse['coming'][number]) => number | null): [number, number][] =>
    cutAt(last, [[0, now], ...coming.map((one): [number, number] => [pick(one) ?? FAR, one.level])]);
  const [soonest, usual, latest] = [fan(({ early }) => early), fan(({ middle }) => middle), fan(({ late }) => late)];
  const line = (points: readonly [number, number][]): string =>
    points.map(([day, level], at) => `${at === 0 ? 'M' : 'L'}${x(day)} ${y(level)}`).join('');
  const outline = `${line(latest)}${[...soonest]
    .reverse()
    .map(([day, level]) => `L${x(day)} ${y(level)}`)
    .join('')}Z`;
  // Half the height is a whole number of the unit, where there is one.
  const half = highest >= 4000 ? Math.round(highest / 2000) * 1000 : highest >= 2000 ? 1000 : null;
  return (
    <Svg width={width} height={height} aria-hidden>
      {[highest, ...(half === null || half === highest ? [] : [half])].map((level) => (
        <G key={level}>
          <Line x1={SIDE} x2={width - SIDE} y1={y(level)} y2={y(level)} stroke={palette.rule} strokeWidth={1} />
          <SvgText {...text} x={width - SIDE} y={y(level) - 4} textAnchor="end">
            {amountWords(level)}
          </SvgText>
        </G>
      ))}
      {shopDays
        .filter((day) => day <= last)
        .map((day, at) => (
          <G key={day}>
            <Line
              x1={x(day)}
              x2={x(day)}
              y1={at < LAST_SHOP_LABELS ? TOP - 8 : height - FOOT - 8}
              y2={height - FOOT}
              stroke={palette.second}
              strokeWidth={1.2}
            />
            {at < LAST_SHOP_LABELS ? (
              <SvgText {...strong} x={x(day) + 3} y={at === 0 ? 14 : 30} textAnchor="start">
                {dayWords(day)}
              </SvgText>
            ) : null}
          </G>
        ))}
      {coming.length > 0 ? (
        <>
          <Path d={outline} fill={palette.wood} />
          <Path d={fanLines(soonest, latest, x, y)} stroke={palette.second} strokeWidth={0.9} fill="none" />
          <Path d={line(latest)} stroke={palette.ink} strokeWidth={1.4} fill="none" />
          <Path d={line(soonest)} stroke={palette.ink} strokeWidth={1.4} fill="none" />
          <Path d={line(usual)} stroke={palette.ink} strokeWidth={2} fill="none" />
        </>
      ) : null}
      {mark === null ? null : (
        <G>
          <Line
            x1={SIDE}
            x2={width - SIDE}
            y1={y(mark)}
            y2={y(mark)}
            stroke={palette.ink}
            strokeWidth={1.2}
            strokeDasharray="6 4"
          />
          <SvgText {...strong} x={width - SIDE} y={y(mark) - 5} textAnchor="end">
            buy at {amountWords(mark)}
          </SvgText>
        </G>
      )}
      <Path d={steps} stroke={palette.ink} strokeWidth={2.4} fill="none" />
      {past
        .filter(
          ({ added }, at, of) =>
            added > 0 && (at === 0 || of.slice(Math.max(0, at - 6), at).every((one) => one.added === 0)),
        )
        .map(({ day, level, added }) => (
          <SvgText key={day} {...strong} x={x(day)} y={y(level) - 6} textAnchor={day < first + 10 ? 'start' : 'middle'}>
            +{amountWords(added).replace(/ .*/, '')}
          </SvgText>
        ))}
      <Line x1={SIDE} x2={width - SIDE} y1={height - FOOT} y2={height - FOOT} stroke={palette.ink} strokeWidth={2.4} />
      <Line x1={x(0)} x2={x(0)} y1={TOP - 20} y2={height - FOOT + 6} stroke={palette.ink} strokeWidth={2.4} />
      <SvgText {...strong} x={x(0) - 4} y={height - FOOT + 18} textAnchor="end">
        today
      </SvgText>
      <SvgText {...text} x={SIDE} y={height - FOOT + 18}>
        {dayWords(first)}
      </SvgText>
      {ends.some(({ day }) => x(day) > width - 110) ? null : (
        <SvgText {...text} x={width - SIDE} y={height - FOOT + 18} textAnchor="end">
          {dayWords(last)}
        </SvgText>
      )}
      {ends
        .filter(({ day }) => day >= 0 && day <= last)
        .slice(0, 1)
        .map(({ day, words }) => (
          <G key={words}>
            <Polygon
              points={`${x(day) - 7},${height - FOOT + 13} ${x(day) + 7},${height - FOOT + 13} ${x(day)},${height - FOOT + 1}`}
              fill={palette.soonTint}
              stroke={palette.soon}
              strokeWidth={1.5}
            />
            <SvgText
              {...strong}
              fill={palette.soon}
              x={Math.min(Math.max(x(day), 70), width - 70)}
              y={height - 10}
              textAnchor="middle"
            >
              {words}
            </SvgText>
          </G>
        ))}
    </Svg>
  );
}

/** Farther than any chart shows. */
const FAR = 730;

/** A line of days and levels, cut where the chart ends. */
function cutAt(last: number, points: readonly [number, number][]): [number, number][] {
  const kept: [number, number][] = [];
  for (const [at, [day, level]] of points.entries()) {
    if (day <= last) {
      kept.push([day, level]);
      continue;
    }
    const [before, from] = points[at - 1] ?? [0, level];
    kept.push([last, from + ((level - from) * (last - before)) / (day - before)]);
    break;
  }
  return kept;
}

/** The level of a line on a day; below its end nothing is left. */
function levelOn(points: readonly [number, number][], day: number): number {
  const at = points.findIndex(([on]) => on >= day);
  if (at < 0) return 0;
  const [on, level] = points[at]!;
  const [before, from] = points[at - 1] ?? points[at]!;
  return on === before ? level : from + ((level - from) * (day - before)) / (on - before);
}

/** The fan is filled with lines an even distance apart, each from its upper to its lower edge. */
function fanLines(
  soonest: readonly [number, number][],
  latest: readonly [number, number][],
  x: (day: number) => number,
  y: (level: number) => number,
): string {
  const end = latest.at(-1)?.[0] ?? 0;
  const aDay = x(1) - x(0);
  // A page that is not laid out yet has no width.
  if (!(aDay > 0)) return '';
  const lines: string[] = [];
  for (let day = FAN_STEP / aDay; day < end; day += FAN_STEP / aDay)
    lines.push(`M${x(day)} ${y(levelOn(latest, day))}V${y(levelOn(soonest, day))}`);
  return lines.join('');
}
const FAN_STEP = 5;
