import type { sharesByWeek } from '@ours/core';
import Svg, { Circle, Line, Polyline } from 'react-native-svg';
import { XStack, YStack } from 'tamagui';
import { Small, Strong } from '@/kit/text/Text';
import { usePalette } from '@/kit/theme/usePalette';
import { shareWords, weekShareWords } from './words';

type Weeks = ReturnType<typeof sharesByWeek>;

const WEEKS = 12;
const WIDTH = 150;
const HEIGHT = 44;
const PAD = 5;
/** The curve begins here and not at nothing: most of a home is in place. */
const LEAST = 0.5;

/** The share that was in place, week by week. */
export function ShareCurve({ weeks, today }: { weeks: Weeks; today: string }) {
  const palette = usePalette();
  const shown = weeks.slice(-WEEKS);
  const last = shown.at(-1);
  if (!last) return null;
  const share = ({ places, inPlace }: Weeks[number]): number => (places === 0 ? 1 : inPlace / places);
  const x = (at: number): number =>
    shown.length === 1 ? WIDTH - PAD : PAD + (at / (shown.length - 1)) * (WIDTH - 2 * PAD);
  const y = (week: Weeks[number]): number =>
    HEIGHT - PAD - (Math.max(0, share(week) - LEAST) / (1 - LEAST)) * (HEIGHT - 2 * PAD);
  return (
    <XStack paddingHorizontal={16} paddingVertical={8} gap={12} alignItems="center" testID="share-curve">
      <YStack flex={1} minWidth={0}>
        <Strong>{shareWords(last)}</Strong>
        <Small>{shown.length > 1 ? weekShareWords(shown, today) : 'From now on each week is kept.'}</Small>
      </YStack>
      {shown.length > 1 ? (
        <Svg width={WIDTH} height={HEIGHT} role="img" aria-label={weekShareWords(shown, today)}>
          <Line x1={PAD} x2={WIDTH - PAD} y1={PAD} y2={PAD} stroke={palette.rule} strokeWidth={1} />
          <Polyline
            points={shown.map((week, at) => `${x(at)},${y(week)}`).join(' ')}
            fill="none"
            stroke={palette.green}
            strokeWidth={2}
          />
          {shown.map((week, at) => (
            <Circle key={week.week} cx={x(at)} cy={y(week)} r={3} fill={palette.green} />
          ))}
        </Svg>
      ) : null}
    </XStack>
  );
}
