import { codeTail, type FrontView } from '@ours/core';
import Svg, { G, Rect } from 'react-native-svg';
import { YStack } from 'tamagui';
import { TagPlate } from './DrawingLabels';
import { usePalette } from '@/kit/theme/usePalette';
import { Small } from '@/kit/text/Text';

/** A chest seen from above: what stands under the baskets, and the baskets as dashed outlines over it. */
export function ChestPlan({
  view,
  depthTenthMm,
  width,
}: {
  view: FrontView;
  depthTenthMm: number | null;
  width: number;
}) {
  const palette = usePalette();
  const scale = Math.min((width - 24) / view.outer.width, 520 / view.outer.width);
  const left = (width - view.outer.width * scale) / 2;
  const depth = Math.max(60, (depthTenthMm ?? 6000) * scale * 0.62);
  const below = view.shelves.filter(({ shelf }) => shelf.kind !== 'hanging_basket');
  const baskets = view.shelves.filter(({ shelf }) => shelf.kind === 'hanging_basket');
  const x = (tenthMm: number): number => left + tenthMm * scale;
  return (
    <YStack alignItems="center" gap={2} aria-hidden>
      <Small>from above; dashed: the baskets over it</Small>
      <Svg width={width} height={depth + 8}>
        <Rect
          x={x(0) + 2}
          y={3}
          width={view.outer.width * scale - 4}
          height={depth}
          fill={palette.sheet}
          stroke={palette.ink}
          strokeWidth={4}
        />
        {view.step ? (
          <Rect x={x(view.step.x)} y={5} width={view.step.width * scale} height={depth - 4} fill={palette.rule} />
        ) : null}
        {below.flatMap(({ bins, shelf }) =>
          bins.map(({ bin, box }) => (
            <G key={bin.id}>
              <Rect
                x={x(box.x)}
                y={14}
                width={box.width * scale}
                height={depth - 24}
                rx={2}
                fill={bin.look === 'see_through' ? palette.greenTint : palette.wood}
                stroke={palette.ink}
                strokeWidth={1.4}
                opacity={(shelf.bottomTenthMm ?? 0) > 0 ? 0.8 : 1}
              />
            </G>
          )),
        )}
        {baskets.map(({ shelf, clear }) => (
          <G key={shelf.id}>
            <Rect
              x={x(clear.x)}
              y={9}
              width={clear.width * scale}
              height={depth - 14}
              fill="none"
              stroke={palette.ink}
              strokeWidth={1.4}
              strokeDasharray="7 5"
            />
          </G>
        ))}
        {/* Over the dashes, so that no line goes through a code. */}
        {below.flatMap(({ bins }) =>
          bins.map(({ bin, box }) => (
            <TagPlate
              key={bin.id}
              tag={codeTail(bin.code)}
              middle={x(box.x + box.width / 2)}
              top={depth / 2 - 6}
              fill={palette.sheet}
              stroke={palette.ink}
              ink={palette.ink}
            />
          )),
        )}
      </Svg>
    </YStack>
  );
}
