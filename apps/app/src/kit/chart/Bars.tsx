import Svg, { Line, Rect } from 'react-native-svg';
import { XStack, YStack } from 'tamagui';
import { usePalette } from '@/kit/theme/usePalette';
import { Mono, Small, Text } from '@/kit/text/Text';

const BAR = 16;
const ROW = 36;
const LABEL = 132;
const FIGURE = 96;

export interface Bar {
  key: string;
  label: string;
  /** Drawn; below 0 to the left of the line. */
  value: number;
  /** As it is read: `€12.40`. */
  figure: string;
  /** What else is to be said of it. */
  remark?: string | undefined;
}

/** A small chart that is its own table: each bar has its words and its figure beside it. */
export function Bars({ label, bars, width }: { label: string; bars: readonly Bar[]; width: number }) {
  const palette = usePalette();
  const room = Math.max(60, width - LABEL - FIGURE - 24);
  const most = Math.max(0, ...bars.map(({ value }) => value));
  const least = Math.min(0, ...bars.map(({ value }) => value));
  const x = (value: number): number => (most === least ? 0 : ((value - least) / (most - least)) * (room - 2)) + 1;
  return (
    <YStack role="table" aria-label={label}>
      {bars.map(({ key, label: words, value, figure, remark }) => (
        <YStack key={key} role="row" paddingVertical={2}>
          <XStack minHeight={ROW} gap={12} alignItems="center">
            <Text width={LABEL} fontSize={15} lineHeight={19} numberOfLines={2} role="rowheader">
              {words}
            </Text>
            <Svg width={room} height={BAR} aria-hidden>
              <Rect
                x={Math.min(x(0), x(value))}
                y={0}
                width={Math.abs(x(value) - x(0))}
                height={BAR}
                fill={value < 0 ? palette.wood : palette.greenTint}
                stroke={palette.ink}
                strokeWidth={value === 0 ? 0 : 1}
              />
              <Line x1={x(0)} x2={x(0)} y1={0} y2={BAR} stroke={palette.ink} strokeWidth={2} />
            </Svg>
            <Mono width={FIGURE} fontSize={14} textAlign="right" role="cell">
              {figure}
            </Mono>
          </XStack>
          {remark ? <Small role="cell">{remark}</Small> : null}
        </YStack>
      ))}
    </YStack>
  );
}
