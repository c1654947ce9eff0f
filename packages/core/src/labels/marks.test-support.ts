import { textWidth, type LabelMark } from './labelLayout';

/** A capital over its baseline, as measured on the shipped font, and the tail of a letter below: shares of the size. */
const [OVER, BELOW] = [0.668, 0.25];

/** The rectangle a mark takes up, letters with their tails; [left, top, right, bottom]. */
export function boxOf(mark: LabelMark): [number, number, number, number] {
  switch (mark.kind) {
    case 'code':
      return [mark.x, mark.y, mark.x + mark.side, mark.y + mark.side];
    case 'ring':
      return [mark.x - mark.radius, mark.y - mark.radius, mark.x + mark.radius, mark.y + mark.radius];
    case 'line': {
      const [xs, ys] = [mark.points.map(([x]) => x), mark.points.map(([, y]) => y)];
      return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
    }
    case 'box':
    case 'bar':
      return [mark.x, mark.y, mark.x + mark.width, mark.y + mark.height];
    case 'text': {
      const long = textWidth(mark.text, mark.font, mark.size);
      return mark.up
        ? [mark.x - OVER * mark.size, mark.y - long, mark.x + BELOW * mark.size, mark.y]
        : [mark.x, mark.y - OVER * mark.size, mark.x + long, mark.y + BELOW * mark.size];
    }
  }
}
