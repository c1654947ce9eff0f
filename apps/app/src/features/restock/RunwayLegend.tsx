import Svg, { Path, Rect } from 'react-native-svg';
import { XStack } from 'tamagui';
import { hatchPath } from '@/kit/chart/Ruler';
import { Small } from '@/kit/text/Text';
import { usePalette } from '@/kit/theme/usePalette';

/** What the parts of a bar say. */
export function RunwayLegend() {
  const { ink, soon, soonTint, sheet } = usePalette();
  const parts = [
    { words: 'sure to last', fill: ink, line: null },
    { words: 'may run out before the next trip but one', fill: soonTint, line: soon },
    { words: 'runs out later', fill: sheet, line: ink },
  ];
  return (
    <XStack paddingHorizontal={16} paddingTop={14} columnGap={16} rowGap={6} flexWrap="wrap">
      {parts.map(({ words, fill, line }) => (
        <XStack key={words} gap={6} alignItems="center">
          <Svg width={24} height={9} aria-hidden>
            <Rect x={0.6} y={0.6} width={22.8} height={7.8} fill={fill} stroke={line ?? fill} strokeWidth={1.2} />
            {line ? <Path d={hatchPath(1, 1, 22, 7)} stroke={line} strokeWidth={1.1} /> : null}
          </Svg>
          <Small>{words}</Small>
        </XStack>
      ))}
    </XStack>
  );
}
