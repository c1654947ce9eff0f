import Svg, { Defs, Line, Pattern, Rect } from 'react-native-svg';
import { useId } from 'react';
import { XStack, YStack } from 'tamagui';
import { usePalette } from '@/kit/theme/usePalette';
import { Strong } from './Text';

export type MarkKind = 'late' | 'soon' | 'low' | 'plain';

/** A short word in a box. Never by colour alone: soon is hatched, late has a border. */
export function Mark({ kind, label }: { kind: MarkKind; label: string }) {
  const palette = usePalette();
  const id = useId().replace(/:/g, '');
  const color = { late: palette.late, soon: palette.soon, low: palette.ink, plain: palette.second }[kind];
  const back = { late: palette.lateTint, soon: palette.soonTint, low: palette.sheet, plain: palette.sheet }[kind];
  const border = { late: palette.late, soon: 'transparent', low: palette.ink, plain: palette.rule }[kind];
  return (
    <XStack
      position="relative"
      style={{ backgroundColor: back, borderColor: border }}
      borderWidth={1}
      borderRadius={6}
      overflow="hidden"
      flexShrink={0}
    >
      {kind === 'soon' ? (
        <YStack position="absolute" top={0} left={0} right={0} bottom={0} aria-hidden>
          <Svg width="100%" height="100%">
            <Defs>
              <Pattern id={id} width={8} height={8} patternUnits="userSpaceOnUse">
                <Line x1={0} y1={8} x2={8} y2={0} stroke={palette.soon} strokeWidth={0.7} opacity={0.45} />
              </Pattern>
            </Defs>
            <Rect width="100%" height="100%" fill={`url(#${id})`} />
          </Svg>
        </YStack>
      ) : null}
      <Strong style={{ color }} fontSize={14} lineHeight={19} paddingHorizontal={8} paddingVertical={3}>
        {label}
      </Strong>
    </XStack>
  );
}
