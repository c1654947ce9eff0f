import type { Palette } from '@/kit/theme/palette';
import { usePalette } from '@/kit/theme/usePalette';
import { Strong } from './Text';

export type MarkKind = 'late' | 'soon' | 'low' | 'plain';

/** Fine lines at a slant, eight pixels apart. */
export const hatched = (color: string) => ({
  backgroundImage: `repeating-linear-gradient(135deg, ${color}59 0 0.7px, transparent 0.7px 5.66px)`,
});

/** Its colours: of the words, of what is behind them, and of the border. */
export const markColors = (kind: MarkKind, palette: Palette): { color: string; back: string; border: string } => ({
  color: { late: palette.late, soon: palette.soon, low: palette.ink, plain: palette.second }[kind],
  back: { late: palette.lateTint, soon: palette.soonTint, low: palette.sheet, plain: palette.sheet }[kind],
  border: { late: palette.late, soon: 'transparent', low: palette.ink, plain: palette.rule }[kind],
});

/** A short word in a box. Never by colour alone: soon is hatched, late has a border, what is about safety has a sign in front. */
export function Mark({ kind, label, safety = false }: { kind: MarkKind; label: string; safety?: boolean }) {
  const palette = usePalette();
  const { color, back, border } = markColors(kind, palette);
  return (
    <Strong
      style={{ color, backgroundColor: back, borderColor: border, ...(kind === 'soon' ? hatched(palette.soon) : {}) }}
      borderWidth={1}
      borderRadius={6}
      flexShrink={0}
      fontSize={14}
      lineHeight={19}
      paddingHorizontal={8}
      paddingVertical={3}
      whiteSpace="nowrap"
    >
      {safety ? `! ${label}` : label}
    </Strong>
  );
}
