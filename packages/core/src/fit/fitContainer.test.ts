import type { Compartment, Obstacle, StandingBody } from './compartment';
import { fitContainer } from './fitContainer';
import { seededRandom } from '../base/seededRandom';
import { plainRoom } from './spaceModel';
import { cornersOf } from '../base/turnedRectangle';

const box = (width: number, depth: number, height: number, more: object = {}) => ({
  topWidthTenthMm: width,
  topDepthTenthMm: depth,
  baseWidthTenthMm: null,
  baseDepthTenthMm: null,
  heightTenthMm: height,
  openHeightTenthMm: null,
  hasLid: false,
  stackPitchTenthMm: null,
  ...more,
});

/** A rack's shelf: corner posts, wider beside them than between them. */
function postRoom(between: number, depth: number, height: number, post: number): Compartment {
  const width = between + 2 * post;
  const obstacles = [0, width - post].flatMap((x) =>
    [0, depth - post].map((y): Obstacle => ({ kind: 'post', x, y, width: post, depth: post, z: 0, height })),
  );
  return { ...plainRoom(width, depth, height), obstacles, openingLeft: post, openingWidth: between };
}

describe('one kind of container in one compartment', () => {
  it('the loft: pole boxes of 145 × 7 cm go between posts 143 cm apart at a slant only, two of them at 12.7°', () => {
    const fit = fitContainer(box(14_500, 700, 1200), postRoom(14_300, 4800, 3600, 350));
    expect(fit).toMatchObject({ count: 2, how: 'slant', getsIn: true, provenBest: false });
    expect(fit.degrees).toBeCloseTo(12.7, 1);
    // The least angle at which 145 × 7 is no wider than 143: atan(7/145) + acos(143/145.169) = 12.68°.
    expect(fit.degrees).toBeGreaterThanOrEqual(12.68);
    expect(fit.reasons).toEqual([{ kind: 'too_wide', overTenthMm: 200, between: 'posts' }]);
  });
  it('the freezer: of seven narrow bins five fit, proven', () => {
    const fit = fitContainer(box(1300, 4600, 3600), plainRoom(6600, 5000, 4800, 'top'));
    expect(fit).toMatchObject({
      count: 5,
      sideBySide: 5,
      inDepth: 1,
      stacked: 1,
      provenBest: true,
      gapRightTenthMm: 100,
    });
  });
  it('a lid that only opens outside is told, not held against it', () => {
    const lidded = box(3000, 3000, 2500, { hasLid: true, openHeightTenthMm: 5000 });
    const fit = fitContainer(lidded, plainRoom(6000, 3200, 3000));
    expect(fit.count).toBe(2);
    expect(fit.notes).toEqual([{ kind: 'lid_shut_to_slide_in', missingTenthMm: 2000 }]);
  });
  it('an open bin wants room for a hand', () => {
    const fit = fitContainer(box(3000, 3000, 2850), plainRoom(6000, 3200, 3000));
    expect(fit.notes).toEqual([{ kind: 'little_hand_room', leftTenthMm: 150, wantedTenthMm: 300 }]);
  });
  it('stacks by the pitch: 1 + ⌊(40 − 16)/12⌋ = 3', () => {
    const fit = fitContainer(box(3000, 3000, 1600, { stackPitchTenthMm: 1200 }), plainRoom(3000, 3000, 4000));
    expect(fit).toMatchObject({ count: 3, stacked: 3, gapAboveTenthMm: 0 });
  });
  it('a tapered bin passes over a low hump that its rim would not', () => {
    const hump: Obstacle = { kind: 'hump', x: 0, y: 0, width: 200, depth: 3000, z: 0, height: 300 };
    const room: Compartment = { ...plainRoom(3400, 3000, 3000, 'top'), obstacles: [hump] };
    const tapered = box(3400, 3000, 2500, { baseWidthTenthMm: 2800, baseDepthTenthMm: 2470 });
    expect(fitContainer(tapered, room).count).toBe(1);
    expect(fitContainer({ ...tapered, baseWidthTenthMm: 3400, baseDepthTenthMm: 3000 }, room).count).toBe(0);
  });
  it.each([
    ['too high', box(3000, 3000, 3100), [{ kind: 'too_high', overTenthMm: 100 }]],
    ['too deep', box(3000, 3300, 2000), [{ kind: 'too_deep', overTenthMm: 100 }]],
    ['too wide', box(6300, 3100, 2000), [{ kind: 'too_wide', overTenthMm: 300, between: 'walls' }]],
  ])('%s: says by how much', (_, container, reasons) => {
    expect(fitContainer(container, plainRoom(6000, 3200, 3000))).toMatchObject({ reasons });
  });
  it('a lip makes the way in lower', () => {
    const fit = fitContainer(box(3000, 3000, 2900), { ...plainRoom(6000, 3200, 3000), lip: 200 });
    expect(fit.getsIn).toBe(false);
    expect(fit.reasons).toEqual([{ kind: 'way_in_too_low', overTenthMm: 100 }]);
  });
});

/** Points of a fine grid over a bin's footprint. */
function* pointsOf(bin: StandingBody): Generator<{ x: number; y: number }> {
  const [a, b, , d] = cornersOf(bin);
  for (let u = 0.01; u < 1; u += 0.049)
    for (let v = 0.01; v < 1; v += 0.049)
      yield {
        x: a!.x + (b!.x - a!.x) * u + (d!.x - a!.x) * v,
        y: a!.y + (b!.y - a!.y) * u + (d!.y - a!.y) * v,
      };
}
const inObstacle = ({ x, y }: { x: number; y: number }, room: Compartment): boolean =>
  room.obstacles.some((o) => x > o.x + 2 && x < o.x + o.width - 2 && y > o.y + 2 && y < o.y + o.depth - 2);

function inBin({ x, y }: { x: number; y: number }, bin: StandingBody): boolean {
  const angle = (bin.degrees * Math.PI) / 180;
  const [dx, dy] = [x - bin.cx, y - bin.cy];
  const along = Math.abs(dx * Math.cos(angle) + dy * Math.sin(angle));
  const across = Math.abs(-dx * Math.sin(angle) + dy * Math.cos(angle));
  return along < bin.width / 2 - 3 && across < bin.depth / 2 - 3;
}

/** Corners inside, and no point inside an obstacle or another bin: a check that knows no separating axes. */
function wrongPlaces(bins: readonly StandingBody[], room: Compartment): StandingBody[] {
  return bins.filter((bin, at) => {
    if (cornersOf(bin).some(({ x, y }) => x < -1 || y < -1 || x > room.width + 1 || y > room.depth + 1)) return true;
    if (bin.z + bin.height > room.height + 1) return true;
    const others = bins.slice(at + 1).filter((other) => Math.abs(other.z - bin.z) < bin.height - 1);
    for (const point of pointsOf(bin))
      if (inObstacle(point, room) || others.some((other) => inBin(point, other))) return true;
    return false;
  });
}

it('250 random shelves with posts: never through a post, outside or over each other; in means a free way', () => {
  const random = seededRandom(21);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  let slanted = 0;
  for (let run = 0; run < 250; run++) {
    const post = whole(0, 1) * whole(150, 600);
    const [between, depth] = [whole(3000, 12_000), whole(2500, 6000)];
    const room = post > 0 ? postRoom(between, depth, 3000, post) : plainRoom(between, depth, 3000);
    const height = whole(900, 3200);
    const container =
      random() < 0.4
        ? box(whole(between - 300, between + 400), whole(300, 900), 1500)
        : box(whole(900, 5000), whole(900, 5000), height, { stackPitchTenthMm: random() < 0.5 ? height : null });
    const fit = fitContainer(container, room);
    if (fit.how === 'slant') slanted++;
    expect(wrongPlaces(fit.places, room)).toEqual([]);
    if (!fit.getsIn || room.obstacles.length === 0) continue;
    // Pushed in from before the front edge: on none of thirteen stops is a point of it inside a post.
    for (const bin of fit.places)
      for (let share = -0.5; share <= 1; share += 0.125) {
        const stop = { ...bin, cy: bin.cy * share };
        const hit = [...pointsOf(stop)].some((point) => point.y > 0 && inObstacle(point, room));
        expect(hit).toBe(false);
      }
  }
  expect(slanted).toBeGreaterThan(5);
});
