/** Where a finger meets the bins of a drawing: those too small by themselves are met together. */

export interface Area {
  x: number;
  y: number;
  width: number;
  height: number;
}
/** The least that a finger is given (WCAG 2.2, 2.5.8: 24 by 24 CSS pixels). */
export const LEAST_TARGET = 24;

const isSmall = ({ width, height }: Area): boolean => width < LEAST_TARGET || height < LEAST_TARGET;

/** At least as large as a finger needs, about its middle; not out of its shelf, where that has the room. */
export function grown({ x, y, width, height }: Area, within: Area | null = null): Area {
  const [wide, high] = [Math.max(width, LEAST_TARGET), Math.max(height, LEAST_TARGET)];
  const inside = (from: number, size: number, least: number, room: number): number =>
    size > room ? from : Math.min(Math.max(from, least), least + room - size);
  const [left, top] = [x - (wide - width) / 2, y - (high - height) / 2];
  return {
    x: within ? inside(left, wide, within.x, within.width) : left,
    y: within ? inside(top, high, within.y, within.height) : top,
    width: wide,
    height: high,
  };
}

const overlap = (a: Area, b: Area): boolean =>
  a.x < b.x + b.width - 0.01 &&
  b.x < a.x + a.width - 0.01 &&
  a.y < b.y + b.height - 0.01 &&
  b.y < a.y + a.height - 0.01;

function around(areas: readonly Area[]): Area {
  const x = Math.min(...areas.map((area) => area.x));
  const y = Math.min(...areas.map((area) => area.y));
  return {
    x,
    y,
    width: Math.max(...areas.map((area) => area.x + area.width)) - x,
    height: Math.max(...areas.map((area) => area.y + area.height)) - y,
  };
}

/** A place to press, with the bins it stands for: their places in what was given. */
export interface Target {
  area: Area;
  members: number[];
}

/**
 * One target for each bin of a shelf; small ones whose targets would lie over each other share one, as few as make it large enough.
 * @example targetsOf([{ x: 0, y: 0, width: 20, height: 60 }, { x: 20, y: 0, width: 20, height: 60 }])
 * //=> [{ area: { x: 0, y: 0, width: 40, height: 60 }, members: [0, 1] }]
 */
export function targetsOf(areas: readonly Area[], within: Area | null = null): Target[] {
  const large: Target[] = [];
  const small: number[] = [];
  areas.forEach((area, at) => {
    if (isSmall(area)) small.push(at);
    else large.push({ area, members: [at] });
  });
  // Along the longer side of what lies close together: a row from the left, a stack from the top.
  const shared = clusters(small, areas, within).flatMap((cluster) => {
    const whole = around(cluster.map((at) => areas[at]!));
    const along = whole.width >= whole.height ? ('x' as const) : ('y' as const);
    const across = along === 'x' ? 'y' : 'x';
    const inOrder = [...cluster].sort(
      (a, b) => areas[a]![along] - areas[b]![along] || areas[a]![across] - areas[b]![across],
    );
    return chunks(inOrder, areas, within);
  });
  // With the keyboard one comes by them in the order in which the bins stand.
  return withRoom(large, shared, areas, within).sort((a, b) => Math.min(...a.members) - Math.min(...b.members));
}

/** One that was large enough may lie so far under its small neighbours that it no longer is: it goes with them. */
function withRoom(
  large: readonly Target[],
  shared: readonly Target[],
  areas: readonly Area[],
  within: Area | null,
): Target[] {
  const free = [...large];
  const over = [...shared];
  for (let at = 0; at < free.length; at++) {
    const target = free[at]!;
    const above = over.filter(({ area }) => overlap(area, target.area));
    const left = above.reduce((rest, { area }) => uncovered(rest, area), target.area);
    if (above.length === 0 || !isSmall(left)) continue;
    let joined = target;
    // What it lies over then goes with it as well.
    for (let next: Target | undefined = above[0]; next; next = over.find(({ area }) => overlap(area, joined.area))) {
      over.splice(over.indexOf(next), 1);
      const members = [...next.members, ...joined.members].sort((a, b) => a - b);
      joined = { members, area: grown(around(members.map((one) => areas[one]!)), within) };
    }
    over.push(joined);
    free.splice(at, 1);
    // It is larger now, and may lie over one that was looked at before.
    at = -1;
  }
  return [...free, ...over];
}

/** The best rectangle of one that another does not cover. */
function uncovered(area: Area, by: Area): Area {
  if (!overlap(area, by)) return area;
  const [right, bottom] = [area.x + area.width, area.y + area.height];
  const [byRight, byBottom] = [by.x + by.width, by.y + by.height];
  const pieces: Area[] = [
    { ...area, width: Math.max(0, by.x - area.x) },
    { ...area, x: byRight, width: Math.max(0, right - byRight) },
    { ...area, height: Math.max(0, by.y - area.y) },
    { ...area, y: byBottom, height: Math.max(0, bottom - byBottom) },
  ];
  const worth = ({ width, height }: Area): number => Math.min(width, height);
  return pieces.reduce((best, piece) => (worth(piece) > worth(best) ? piece : best));
}

/** Small ones in groups whose grown areas hang together. */
function clusters(small: readonly number[], areas: readonly Area[], within: Area | null): number[][] {
  const open = new Set(small);
  const found: number[][] = [];
  for (const first of small) {
    if (!open.delete(first)) continue;
    const cluster = [first];
    // It grows while it is walked through.
    for (let nth = 0; nth < cluster.length; nth++)
      for (const other of [...open])
        if (overlap(grown(areas[cluster[nth]!]!, within), grown(areas[other]!, within))) {
          open.delete(other);
          cluster.push(other);
        }
    found.push(cluster);
  }
  return found;
}

/** One after the other until they are large enough together; what is left at the end goes with the last. */
function chunks(inOrder: readonly number[], areas: readonly Area[], within: Area | null): Target[] {
  const parts: number[][] = [];
  let part: number[] = [];
  for (const at of inOrder) {
    part.push(at);
    if (isSmall(around(part.map((one) => areas[one]!)))) continue;
    parts.push(part);
    part = [];
  }
  if (part.length > 0) {
    const last = parts.pop() ?? [];
    parts.push([...last, ...part]);
  }
  return parts.map((members) => ({ area: grown(around(members.map((one) => areas[one]!)), within), members }));
}

/** Which of some areas is nearest to a point. @returns its place among them */
export function nearest(areas: readonly Area[], x: number, y: number): number {
  let best = 0;
  let least = Infinity;
  areas.forEach((area, at) => {
    const dx = Math.max(area.x - x, 0, x - area.x - area.width);
    const dy = Math.max(area.y - y, 0, y - area.y - area.height);
    const away = dx * dx + dy * dy;
    if (away < least) [best, least] = [at, away];
  });
  return best;
}
