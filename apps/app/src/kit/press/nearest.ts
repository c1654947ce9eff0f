/** Where each arrow leads. */
export const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
};
/** What lies aside counts as so much further away. */
const ASIDE = 2.5;
/** In pixels: what is nearer than that lies upon it, not beside it. */
const BESIDE = 2;

export interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}

export const middleOf = ({ left, top, width, height }: Box): [x: number, y: number] => [
  left + width / 2,
  top + height / 2,
];

/** Which of some boxes an arrow leads to from one of them: the nearest that way. Null: there is none. */
export function nearestThatWay(from: Box, boxes: readonly Box[], way: readonly [x: number, y: number]): number | null {
  const [fromX, fromY] = middleOf(from);
  let best: { at: number; by: number } | null = null;
  for (const [at, box] of boxes.entries()) {
    const [x, y] = middleOf(box);
    const along = (x - fromX) * way[0] + (y - fromY) * way[1];
    if (along <= BESIDE) continue;
    const by = along + ASIDE * Math.abs((x - fromX) * way[1] + (y - fromY) * way[0]);
    if (best === null || by < best.by) best = { at, by };
  }
  return best?.at ?? null;
}
