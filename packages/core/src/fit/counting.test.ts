import type { Compartment, Obstacle, StandingBody } from './compartment';
import { standingOf } from '../plan/filling';
import { fitContainer } from './fitContainer';
import { searchPlan } from '../plan/planSpace';
import { seededRandom } from '../base/seededRandom';
import { bestShelfHoles, surfaceAt } from './shelfHeights';
import { plainRoom, roomOver, type ShelfFrame } from './spaceModel';

/** Everything here is on a grid of whole centimetres, so that brute force over the grid is exact. */
const CM = 100;
interface Cell {
  x: number;
  y: number;
  w: number;
  d: number;
}
interface Floor {
  width: number;
  depth: number;
  height: number;
  from: number;
  to: number;
  wayIn: number;
  blocks: (Cell & { z: number; h: number; kind: Obstacle['kind'] })[];
}

function randomFloor(random: () => number, whole: (least: number, most: number) => number): Floor {
  const [width, depth, height] = [whole(5, 11), whole(4, 8), 10];
  const blocks: Floor['blocks'] = [];
  if (random() < 0.4) {
    const [w, d] = [1, whole(1, 2)];
    for (const x of [0, width - w])
      for (const y of [0, depth - d]) blocks.push({ kind: 'post', x, y, w, d, z: 0, h: height });
  }
  if (random() < 0.4)
    blocks.push({ kind: 'pipe', x: whole(0, width - 1), y: whole(0, depth - 1), w: 1, d: 1, z: 0, h: 10 });
  if (random() < 0.3) {
    const [w, d] = [whole(2, 4), whole(1, 3)];
    blocks.push({ kind: 'hump', x: whole(0, width - 1), y: depth - d, w, d, z: 0, h: whole(1, 3) });
  }
  if (random() < 0.2)
    blocks.push({ kind: 'hooks', x: whole(0, width - 2), y: 0, w: 2, d: whole(1, depth), z: 7, h: 3 });
  const narrower = random() < 0.4 ? whole(1, 2) : 0;
  return {
    width,
    depth,
    height,
    from: narrower,
    to: width - whole(0, narrower),
    wayIn: random() < 0.3 ? whole(6, 9) : 10,
    blocks,
  };
}

const roomOf = (floor: Floor, access: 'front' | 'top'): Compartment => ({
  ...plainRoom(floor.width * CM, floor.depth * CM, floor.height * CM, access),
  openingLeft: floor.from * CM,
  openingWidth: (floor.to - floor.from) * CM,
  openingHeight: floor.wayIn * CM,
  obstacles: floor.blocks.map(({ kind, x, y, w, d, z, h }) => ({
    kind,
    x: x * CM,
    y: y * CM,
    width: Math.min(w, floor.width - x) * CM,
    depth: Math.min(d, floor.depth - y) * CM,
    z: z * CM,
    height: h * CM,
  })),
});

/** Whether a cell's box of height `h` stands and was pushed straight in, by the cells it sweeps. */
function mayStand({ x, y, w, d }: Cell, h: number, floor: Floor, access: 'front' | 'top'): boolean {
  if (x + w > floor.width || y + d > floor.depth || h > floor.height) return false;
  if (access === 'front' && (x < floor.from || x + w > floor.to || h > floor.wayIn)) return false;
  return !floor.blocks.some((block) => {
    if (block.z >= h || x >= block.x + block.w || block.x >= x + w) return false;
    return block.y < y + d && (access === 'front' || y < block.y + block.d);
  });
}

/** The most boxes that stand, by trying every cell in reading order: left empty, or the near left corner of a box. */
function mostByForce(w: number, d: number, h: number, floor: Floor, access: 'front' | 'top'): number {
  const taken = new Uint8Array(floor.width * floor.depth);
  let best = 0;
  const isFree = (cell: Cell): boolean => {
    for (let y = cell.y; y < cell.y + cell.d; y++)
      for (let x = cell.x; x < cell.x + cell.w; x++) if (taken[y * floor.width + x]) return false;
    return true;
  };
  const mark = (cell: Cell, value: 0 | 1): void => {
    for (let y = cell.y; y < cell.y + cell.d; y++)
      taken.fill(value, y * floor.width + cell.x, y * floor.width + cell.x + cell.w);
  };
  const visit = (at: number, count: number): void => {
    best = Math.max(best, count);
    const cells = floor.width * floor.depth - at;
    if (cells <= 0 || count + Math.floor(cells / (w * d)) + 1 <= best) return;
    const [x, y] = [at % floor.width, Math.floor(at / floor.width)];
    for (const [cw, cd] of w === d
      ? [[w, d]]
      : [
          [w, d],
          [d, w],
        ]) {
      const cell = { x, y, w: cw!, d: cd! };
      if (!mayStand(cell, h, floor, access) || !isFree(cell)) continue;
      mark(cell, 1);
      visit(at + cw!, count + 1);
      mark(cell, 0);
    }
    visit(at + 1, count);
  };
  visit(0, 0);
  return best;
}

const box = (w: number, d: number, h: number, pitch: number | null) => ({
  topWidthTenthMm: w * CM,
  topDepthTenthMm: d * CM,
  baseWidthTenthMm: null,
  baseDepthTenthMm: null,
  heightTenthMm: h * CM,
  openHeightTenthMm: null,
  hasLid: false,
  stackPitchTenthMm: pitch === null ? null : pitch * CM,
});

describe('counting on small floors with posts, pipe, hump, hooks and a door frame', () => {
  const random = seededRandom(77);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  const cases = Array.from({ length: 300 }, () => {
    const access: 'front' | 'top' = random() < 0.75 ? 'front' : 'top';
    return { floor: randomFloor(random, whole), access, w: whole(2, 5), d: whole(2, 5), h: whole(2, 8) };
  });

  it('is what brute force over all places finds, never more, and "no more stand straight" is true', () => {
    let equal = 0;
    let proven = 0;
    for (const { floor, access, w, d, h } of cases) {
      const fit = fitContainer(box(w, d, h, null), roomOf(floor, access));
      const straight = fit.how === 'straight' && fit.getsIn ? fit.count : 0;
      const most = mostByForce(w, d, h, floor, access);
      expect(straight).toBeLessThanOrEqual(most);
      if (fit.provenStraight) expect(straight).toBe(most);
      if (fit.provenBest) expect(fit.count).toBeGreaterThanOrEqual(most);
      if (fit.provenStraight) proven++;
      // A slant that holds more than one straight one is another answer to the same question.
      if (straight === most || fit.how === 'slant') equal++;
    }
    expect(equal / cases.length).toBeGreaterThanOrEqual(0.98);
    expect(proven / cases.length).toBeGreaterThan(0.3);
  });

  it('no bin floats: under each stacked one stands another, a pitch lower', () => {
    for (const { floor, access, w, d, h } of cases) {
      const { places } = fitContainer(box(w, d, h, h), roomOf(floor, access));
      const key = ({ cx, cy, z }: StandingBody): string => [cx, cy, z].map(Math.round).join();
      const all = new Set(places.map(key));
      const floating = places.filter((bin) => bin.z > 0.5 && !all.has(key({ ...bin, z: bin.z - h * CM })));
      expect(floating).toEqual([]);
    }
  });
});

describe('what is on the way in', () => {
  it('a frame narrower than the space: what stands beside it is not counted, and the frame is the reason', () => {
    const room = { ...plainRoom(9000, 4000, 3000), openingLeft: 1000, openingWidth: 7000 };
    expect(fitContainer(box(30, 38, 20, null), room)).toMatchObject({ count: 2, getsIn: true });
    expect(fitContainer(box(75, 39, 20, null), room).reasons).toEqual([
      { kind: 'way_in_too_narrow', overTenthMm: 500 },
    ]);
    expect(fitContainer(box(95, 39, 20, null), room).reasons).toMatchObject([{ kind: 'too_wide' }]);
  });

  it('over a lip: hooks over the edge stop what would pass under them unlifted', () => {
    const hooks: Obstacle = { kind: 'hooks', x: 0, y: 0, width: 9000, depth: 500, z: 2500, height: 500 };
    const room = { ...plainRoom(9000, 4000, 3000), obstacles: [hooks] };
    expect(fitContainer(box(30, 30, 24, null), room).getsIn).toBe(true);
    expect(fitContainer(box(30, 30, 24, null), { ...room, lip: 300 }).getsIn).toBe(false);
    // Behind the hooks it is set down: only the edge is passed lifted.
    const back = { ...hooks, y: 3500 };
    expect(fitContainer(box(30, 30, 24, null), { ...room, obstacles: [back], lip: 300 }).getsIn).toBe(true);
  });

  it('a slant to the other side when a pipe stands on this one', () => {
    const pipe: Obstacle = { kind: 'pipe', x: 0, y: 3000, width: 1500, depth: 1000, z: 0, height: 3000 };
    const right = { ...plainRoom(9000, 4000, 3000), obstacles: [pipe] };
    const left = { ...right, obstacles: [{ ...pipe, x: 7500 }] };
    const long = box(92, 4, 20, null);
    const [a, b] = [fitContainer(long, right), fitContainer(long, left)];
    expect([a.how, b.how]).toEqual(['slant', 'slant']);
    expect(a.count).toBe(b.count);
    expect(a.degrees).toBeCloseTo(b.degrees, 5);
    expect(a.places.map(({ degrees }) => degrees > 90)).toEqual(a.places.map(() => false));
  });

  it.each([[box(0.02, 30, 20, null)], [box(30, 30, 0.1, null)], [box(30, 30, 20, 0.01)], [box(30, 30, 20, 0)]])(
    'a side or a step that cannot be is said, not counted',
    (container) => {
      const fit = fitContainer(container, plainRoom(9000, 4000, 3000));
      expect(fit).toMatchObject({ count: 0, places: [], reasons: [{ kind: 'too_small' }] });
    },
  );
});

describe('moved shelves', () => {
  const shelfFrame = (fixed: Obstacle[]): ShelfFrame => ({
    width: 8000,
    depth: 4000,
    access: 'front',
    openingLeft: 0,
    openingWidth: 8000,
    openingTop: 9000,
    lip: 0,
    posts: [],
    fixed,
    onSurface: [],
    hanging: [{ kind: 'hooks', x: 0, y: 0, width: 500, depth: 500, z: 0, height: 300 }],
  });
  const pipe: Obstacle = { kind: 'pipe', x: 3000, y: 0, width: 600, depth: 4000, z: 4000, height: 800 };

  it('pipes stay where they are in the space, hooks hang from what is above, the way in ends where it ended', () => {
    const frame = shelfFrame([pipe]);
    expect(roomOver(frame, 1000, 2500).obstacles.map(({ kind, z, height }) => [kind, z, height])).toEqual([
      ['hooks', 2200, 300],
    ]);
    expect(roomOver(frame, 3000, 2500).obstacles.map(({ kind, z, height }) => [kind, z, height])).toEqual([
      ['pipe', 1000, 800],
      ['hooks', 2200, 300],
    ]);
    expect(roomOver(frame, 4200, 500).obstacles[0]).toMatchObject({ kind: 'pipe', z: 0, height: 500 });
    expect(roomOver(frame, 7500, 2500)).toMatchObject({ openingHeight: 1500 });
    expect(roomOver(frame, 9500, 2500)).toMatchObject({ openingHeight: 0 });
  });

  it('270 plans with pipes and movable shelves: no bin through a pipe, by points of a grid in the space', () => {
    const random = seededRandom(31);
    const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
    let placedInAll = 0;
    let movedInAll = 0;
    for (let run = 0; run < 270; run++) {
      const pipes = Array.from({ length: whole(1, 3) }, (): Obstacle => ({
        kind: random() < 0.5 ? 'pipe' : 'hinge',
        x: whole(0, 7400),
        y: whole(0, 3400),
        width: 600,
        depth: 600,
        z: whole(0, 9000),
        height: whole(300, 4000),
      }));
      const holes = { pitch: 320, firstHole: 500, board: 180 };
      const bottoms = [3, 12, 21].map((hole) => surfaceAt(hole, holes));
      const frame = { ...shelfFrame(pipes), hanging: [], openingTop: null };
      const tops = [...bottoms.slice(1).map((bottom) => bottom - holes.board), 11_000];
      const shelves = bottoms.map((bottomTenthMm, at) => ({
        shelfId: `s${at}`,
        bottomTenthMm,
        room: roomOver(frame, bottomTenthMm, tops[at]! - bottomTenthMm),
        frame,
        loadGrams: null,
        adjustable: true,
        inBody: true,
      }));
      const height = whole(1500, 3600);
      const containers = [
        {
          containerId: 'a',
          widthTenthMm: whole(1500, 3500),
          depthTenthMm: whole(1500, 3800),
          heightTenthMm: height,
          footShare: 1,
          stackPitchTenthMm: null,
          volumeMl: 20_000,
          weightGrams: 500,
          maxLoadGrams: null,
          free: 9,
          priceMinor: null,
          family: '',
        },
      ];
      const search = searchPlan({
        shelves,
        holes,
        holeCount: 30,
        heightTenthMm: 11_000,
        containers,
        groups: [],
        locked: [],
        budgetMinor: null,
        family: null,
        moveShelves: true,
        seed: run + 1,
      });
      search.step(12);
      const { placed, shelves: set } = search.best();
      if (set.some(({ movedHoles }) => movedHoles !== 0)) movedInAll++;
      placedInAll += placed.length;
      const bottomOf = new Map(set.map(({ shelfId, bottomTenthMm }) => [shelfId, bottomTenthMm]));
      const through = placed.filter((bin) => {
        const body = standingOf(bin, containers[0]!);
        const floor = bottomOf.get(bin.shelfId)! + body.z;
        const [w, d] = body.degrees === 90 ? [body.depth, body.width] : [body.width, body.depth];
        return pipes.some((one) => {
          for (let u = 0.01; u < 1; u += 0.12)
            for (let v = 0.01; v < 1; v += 0.12)
              for (let t = 0.01; t < 1; t += 0.12) {
                const [x, y, z] = [body.cx + (u - 0.5) * w, body.cy + (v - 0.5) * d, floor + t * body.height];
                const inside = x > one.x + 2 && x < one.x + one.width - 2 && y > one.y + 2 && y < one.y + one.depth - 2;
                if (inside && z > one.z + 2 && z < one.z + one.height - 2) return true;
              }
          return false;
        });
      });
      expect(through).toEqual([]);
    }
    expect(placedInAll).toBeGreaterThan(1000);
    expect(movedInAll).toBeGreaterThan(20);
  });
});

it('63 shelves on 2,000 holes are set in a moment, and still ascend', () => {
  const now = Array.from({ length: 63 }, (_, at) => 10 + at * 30);
  let asked = 0;
  const worth = (below: number | null, above: number | null): number => {
    asked++;
    return below === null || above === null ? 0 : -Math.abs(above - below - 25);
  };
  const found = bestShelfHoles({ holes: 2000, shelves: 63, now, worth })!;
  expect(asked).toBeLessThan(2_500_000);
  expect(found.holes.every((hole, at) => at === 0 || hole > found.holes[at - 1]!)).toBe(true);
  expect(found.worth).toBeGreaterThan(-62 * 5);
});
