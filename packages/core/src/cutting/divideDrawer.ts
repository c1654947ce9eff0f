/** Sections of a drawer for given things, and the strips that make them. Lengths in tenths of a millimetre. */
import { seededRandom } from '../base';
import { sidesUp } from '../fit';
import type { CutPiece } from './cutting';

/** Alike things that get a section of their own. */
export interface SectionThing {
  name: string;
  count: number;
  /** Of one: wide, deep, high. */
  sides: readonly [number, number, number];
  /** It stays as it was measured; else it may lie on any side. */
  upright: boolean;
}
export interface Section {
  /** Place among the things. */
  thing: number;
  /** From the left wall and the front, clear inside the strips. */
  x: number;
  y: number;
  width: number;
  depth: number;
  across: number;
  along: number;
  layers: number;
}
export interface DividedDrawer {
  sections: Section[];
  /** Places of the things that found no room. */
  left: number[];
  strips: CutPiece[];
  /** What is free at the back over the whole width. */
  freeDepth: number;
}

/** What a hand needs around things in a section. Own default. */
export const SECTION_SLACK_TENTH_MM = 100;
const TRIES = 1500;
const MOST_LAYERS = 4;

/** A way of laying a thing's pieces: in so many across, along and on each other. */
interface Way {
  width: number;
  depth: number;
  across: number;
  along: number;
  layers: number;
}

/** Every way that fits in the drawer; those that another one is no larger than in both directions are left out. */
function waysOf({ sides: [w, d, h], count, upright }: SectionThing, inside: readonly [number, number, number]): Way[] {
  const ups = sidesUp({ widthTenthMm: w, depthTenthMm: d, heightTenthMm: h }, upright);
  const ways: Way[] = [];
  for (const [one, other, high] of ups)
    for (const [wide, deep] of [
      [one, other],
      [other, one],
    ] as const) {
      const most = Math.min(MOST_LAYERS, Math.floor(inside[2] / high));
      for (let layers = 1; layers <= most; layers++) {
        const onFloor = Math.ceil(count / layers);
        for (let across = 1; across <= onFloor; across++) {
          const along = Math.ceil(onFloor / across);
          const way = {
            width: across * wide + SECTION_SLACK_TENTH_MM,
            depth: along * deep + SECTION_SLACK_TENTH_MM,
            across,
            along,
            layers,
          };
          if (way.width <= inside[0] && way.depth <= inside[1]) ways.push(way);
        }
      }
    }
  ways.sort((a, b) => a.width - b.width || a.depth - b.depth || a.layers - b.layers);
  const kept: Way[] = [];
  for (const way of ways) if (way.depth < (kept.at(-1)?.depth ?? Infinity)) kept.push(way);
  return kept;
}

interface Row {
  depth: number;
  used: number;
  sections: { thing: number; way: Way }[];
}

/**
 * Divides a drawer into rows from side to side, each into sections from front to back, one for each thing; pieces may lie on each
 * other up to the rim. Seeded tries over the order of things and how their pieces lie; the most things, then the least depth.
 * That no arrangement holds more is not proven.
 *
 * @param inside clear wide, deep, high
 * @param thickness of the strips
 */
export function divideDrawer(
  things: readonly SectionThing[],
  inside: readonly [number, number, number],
  thickness: number,
  seed = 1,
): DividedDrawer {
  const random = seededRandom(seed);
  const ways = things.map((thing) => waysOf(thing, inside));
  const possible = things.map((_, at) => at).filter((at) => ways[at]!.length > 0);
  let best: { rows: Row[]; placed: number; depth: number } = { rows: [], placed: 0, depth: 0 };
  for (let tries = 0; tries < TRIES; tries++) {
    const chosen = possible.map((thing) => {
      const own = ways[thing]!;
      // At first the ways of least area; then any.
      const least = own.reduce((a, b) => (b.width * b.depth < a.width * a.depth ? b : a));
      return { thing, way: tries === 0 || random() < 0.4 ? least : own[Math.floor(random() * own.length)]! };
    });
    chosen.sort((a, b) => b.way.depth - a.way.depth || a.thing - b.thing);
    if (tries % 3 === 2 && chosen.length > 1) {
      const [a, b] = [Math.floor(random() * chosen.length), Math.floor(random() * chosen.length)];
      [chosen[a], chosen[b]] = [chosen[b]!, chosen[a]!];
    }
    const found = inRows(chosen, inside, thickness);
    if (found.placed > best.placed || (found.placed === best.placed && found.depth < best.depth - 1e-9)) best = found;
    if (best.placed === things.length && tries > TRIES / 3) break;
  }
  const sections: Section[] = [];
  const strips: CutPiece[] = [];
  let y = 0;
  best.rows.forEach((row, nth) => {
    let x = 0;
    row.sections.forEach(({ thing, way: { across, along, layers, width } }, at) => {
      // The last of a row takes what is left of the width.
      const wide = at === row.sections.length - 1 ? inside[0] - x : width;
      sections.push({ thing, x, y, width: wide, depth: row.depth, across, along, layers });
      x += wide + thickness;
      if (at < row.sections.length - 1) strips.push({ name: 'front to back', length: row.depth });
    });
    y += row.depth;
    if (nth < best.rows.length - 1 || inside[1] - y > thickness) {
      strips.push({ name: 'side to side', length: inside[0] });
      y += thickness;
    }
  });
  const placed = new Set(sections.map(({ thing }) => thing));
  return {
    sections,
    left: things.map((_, at) => at).filter((at) => !placed.has(at)),
    strips,
    freeDepth: Math.max(0, inside[1] - y),
  };
}

/** Each into the first row with room, else into a new one. */
function inRows(
  chosen: readonly { thing: number; way: Way }[],
  inside: readonly [number, number, number],
  thickness: number,
): { rows: Row[]; placed: number; depth: number } {
  const rows: Row[] = [];
  let depth = 0;
  let placed = 0;
  for (const one of chosen) {
    const { width, depth: deep } = one.way;
    const row = rows.find(({ used, depth: high }) => used + thickness + width <= inside[0] && deep <= high);
    if (row) {
      row.used += thickness + width;
      row.sections.push(one);
    } else {
      const more = deep + (rows.length > 0 ? thickness : 0);
      if (depth + more > inside[1]) continue;
      depth += more;
      rows.push({ depth: deep, used: width, sections: [one] });
    }
    placed += 1;
  }
  return { rows, placed, depth };
}
