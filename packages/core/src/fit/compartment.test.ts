import {
  footprintAt,
  roomMl,
  slidesIn,
  standsFree,
  type Compartment,
  type Obstacle,
  type StandingBody,
} from './compartment';
import { findSlantedRow } from './slantedRow';
import { plainRoom } from './spaceModel';
import { overlap } from '../base/turnedRectangle';

const room: Compartment = plainRoom(9000, 4000, 3000);
const bin = (more: Partial<StandingBody> = {}): StandingBody => ({
  cx: 1500,
  cy: 1500,
  z: 0,
  width: 3000,
  depth: 3000,
  height: 2500,
  degrees: 0,
  ...more,
});
const obstacle = (more: Partial<Obstacle> = {}): Obstacle => ({
  kind: 'pipe',
  x: 4000,
  y: 0,
  width: 500,
  depth: 500,
  z: 0,
  height: 3000,
  ...more,
});

describe('standing free', () => {
  it.each<[string, Partial<StandingBody>, Obstacle[], boolean]>([
    ['against both walls', {}, [], true],
    ['a hair outside', { cx: 1498 }, [], false],
    ['higher than the room', { height: 3010 }, [], false],
    ['lifted into the shelf above', { z: 600 }, [], false],
    ['turned so that it sticks out', { degrees: 45 }, [], false],
    ['turned in the middle of a deep room', { degrees: 90, cx: 4500, cy: 2000 }, [], true],
    ['in a pipe', { cx: 4000 }, [obstacle()], false],
    ['beside a pipe, touching', { cx: 2500 }, [obstacle()], true],
    ['under hooks', { cx: 4000 }, [obstacle({ kind: 'hooks', z: 2500, height: 500 })], true],
    ['with its rim in the hooks', { cx: 4000, z: 100 }, [obstacle({ kind: 'hooks', z: 2500, height: 500 })], false],
    ['on a hump, lifted onto it', { cx: 4000, z: 400 }, [obstacle({ kind: 'hump', height: 400 })], true],
  ])('%s', (_, more, obstacles, free) => {
    expect(standsFree(bin(more), { ...room, obstacles })).toBe(free);
  });
  it('walls lean evenly from foot to rim', () => {
    const tapered = bin({ footShare: 0.8 });
    expect(footprintAt(tapered, 0)).toMatchObject({ width: 2400, depth: 2400 });
    expect(footprintAt(tapered, 1250).width).toBeCloseTo(2700, 6);
    expect(footprintAt(tapered, 2500)).toMatchObject({ width: 3000 });
    expect(footprintAt(tapered, 9999)).toMatchObject({ width: 3000 });
  });
});

describe('getting in', () => {
  it.each<[string, Partial<StandingBody>, Partial<Compartment>, boolean]>([
    ['straight in', {}, {}, true],
    ['behind a frame it does not pass', {}, { openingLeft: 200, openingWidth: 8600 }, false],
    ['inside the frame', { cx: 1700 }, { openingLeft: 200, openingWidth: 8600 }, true],
    ['over a lip with room above', {}, { lip: 400 }, true],
    ['over a lip without', {}, { lip: 600 }, false],
    ['a door lower than the shelf is high', {}, { openingHeight: 2400 }, false],
    ['past a pipe in front of its place', { cy: 2500 }, { obstacles: [obstacle({ x: 1000 })] }, false],
    ['beside that pipe', { cx: 3500, cy: 2500 }, { obstacles: [obstacle({ x: 1000 })] }, true],
    ['from above, whatever stands in front', { cy: 2500 }, { access: 'top', obstacles: [obstacle({ x: 1000 })] }, true],
  ])('%s', (_, more, change, gets) => {
    expect(slidesIn(bin(more), { ...room, ...change })).toBe(gets);
  });
});

describe('room', () => {
  it('litres are width × depth × height less what stands in it', () => {
    expect(roomMl(room)).toBe(108_000);
    expect(roomMl({ ...room, obstacles: [obstacle({ width: 1000, depth: 1000 })] })).toBe(105_000);
    expect(roomMl({ ...room, obstacles: [obstacle({ width: 1000, depth: 1000, z: 2000, height: 9999 })] })).toBe(
      107_000,
    );
  });
});

describe('a row at a slant', () => {
  const row = (width: number, depth: number, height = 1000) => findSlantedRow({ width, depth, height }, room);
  it('bins of one row have one angle, share no room, and lie inside', () => {
    const found = row(9200, 500)!;
    expect(found.bins.length).toBeGreaterThan(2);
    expect(new Set(found.bins.map(({ degrees }) => degrees)).size).toBe(1);
    found.bins.forEach((one, at) => {
      expect(standsFree(one, room)).toBe(true);
      expect(found.bins.slice(at + 1).some((other) => overlap(one, other))).toBe(false);
    });
  });
  it('the angle is the least one: a little less and it does not pass', () => {
    const { degrees } = row(9200, 500)!;
    const angle = (degrees * Math.PI) / 180;
    const widthAt = (a: number): number => 9200 * Math.cos(a) + 500 * Math.sin(a);
    expect(widthAt(angle)).toBeLessThanOrEqual(9001);
    expect(widthAt(angle - 0.002)).toBeGreaterThan(9000);
  });
  it('none when it is too high, or longer than the diagonal', () => {
    expect(row(9200, 500, 3100)).toBeNull();
    expect(row(9900, 300)).toBeNull();
  });
  it('one that stands but is not reached says so', () => {
    const posts = [0, 8600].map((x) => obstacle({ kind: 'post', x, width: 400, depth: 400 }));
    const narrow = { ...room, obstacles: posts, openingLeft: 3000, openingWidth: 3000 };
    expect(findSlantedRow({ width: 7000, depth: 500, height: 1000 }, narrow)).toMatchObject({ getsIn: false });
  });
});
