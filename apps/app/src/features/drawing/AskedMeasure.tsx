import type { Box, FrontView } from '@ours/core';
import { G, Line, Path } from 'react-native-svg';
import type { Palette } from '@/kit/theme/palette';
import type { Place } from './DrawingLabels';

/** What is asked with the tape in the hand: a side of the space or of a shelf, or the heights of all surfaces. */
export interface Asked {
  shelfId: string | null;
  key: 'width' | 'height' | 'bottom' | 'all_bottoms';
}

const HEAD = 5;

/** The asked dimension in place, as a line with heads at both ends. */
export function AskedMeasure({
  asked,
  view,
  place,
  palette,
}: {
  asked: Asked;
  view: FrontView;
  place: Place;
  palette: Palette;
}) {
  const line = lineOf(asked, view, place);
  if (!line) return null;
  const [x1, y1, x2, y2] = line;
  const upright = x1 === x2;
  const head = (x: number, y: number, towards: 1 | -1): string =>
    upright
      ? `M${x - HEAD} ${y + towards * HEAD * 1.4}L${x} ${y}L${x + HEAD} ${y + towards * HEAD * 1.4}Z`
      : `M${x + towards * HEAD * 1.4} ${y - HEAD}L${x} ${y}L${x + towards * HEAD * 1.4} ${y + HEAD}Z`;
  const inner = place(view.inner);
  const ticks =
    asked.key === 'all_bottoms' ? view.shelves.map(({ clear }) => place(clear)).map((box) => box.y + box.height) : [];
  return (
    <G>
      <Line x1={x1} y1={y1} x2={x2} y2={y2} stroke={palette.green} strokeWidth={3} />
      <Path d={head(x1, y1, 1)} fill={palette.green} />
      <Path d={head(x2, y2, -1)} fill={palette.green} />
      {ticks.map((y) => (
        <Line
          key={y}
          x1={x1 - 8}
          x2={x1 + 8}
          y1={Math.min(y, inner.y + inner.height)}
          y2={Math.min(y, inner.y + inner.height)}
          stroke={palette.green}
          strokeWidth={3}
        />
      ))}
    </G>
  );
}

/** From left to right, or from the top down: x1, y1, x2, y2. */
function lineOf({ shelfId, key }: Asked, view: FrontView, place: Place): [number, number, number, number] | null {
  const across = (box: Box): [number, number, number, number] => [
    box.x,
    box.y + box.height * HIGH,
    box.x + box.width,
    box.y + box.height * HIGH,
  ];
  const up = (box: Box): [number, number, number, number] => [
    box.x + box.width * AT,
    box.y,
    box.x + box.width * AT,
    box.y + box.height,
  ];
  if (key === 'all_bottoms') return up(place(view.inner));
  if (shelfId === null)
    return key === 'width' ? across(place(view.outer)) : key === 'height' ? up(place(view.outer)) : null;
  const clear = [...view.shelves, ...view.doorShelves].find(({ shelf }) => shelf.id === shelfId)?.clear;
  if (!clear) return null;
  const box = place(clear);
  if (key === 'width') return across(box);
  if (key === 'height') return up(box);
  const foot = place(view.inner);
  const x = box.x + box.width * AT;
  return [x, box.y + box.height, x, Math.max(box.y + box.height, foot.y + foot.height)];
}
/** Beside the middle, and above it, where names and plates stand. */
const AT = 0.28;
const HIGH = 0.16;
