/** Small plans, and their price written a second time. */
import { plainRoom } from '../fit/spaceModel';
import type { PricedBin, PricedShelf } from './planPrice';
import type { GroupUse, PlanContainer, PlanProblem } from './planTypes';

export const type = (
  containerId: string,
  sides: [number, number, number],
  more: Partial<PlanContainer> = {},
): PlanContainer => ({
  containerId,
  widthTenthMm: sides[0],
  depthTenthMm: sides[1],
  heightTenthMm: sides[2],
  footShare: 1,
  stackPitchTenthMm: null,
  volumeMl: Math.round((sides[0] * sides[1] * sides[2]) / 1e6),
  weightGrams: 500,
  maxLoadGrams: null,
  free: 3,
  priceMinor: null,
  family: '',
  ...more,
});
export const use = (uses: number, more: Partial<GroupUse> = {}): GroupUse => ({
  uses,
  usesFrom: 'said',
  who: [{ reachMm: 1900, steps: true, share: 1 }],
  largestMl: 0,
  pieceMl: null,
  ...more,
});
export const problem = (more: Partial<PlanProblem>): PlanProblem => ({
  shelves: [],
  holes: null,
  holeCount: 0,
  heightTenthMm: 20_000,
  containers: [],
  groups: [],
  locked: [],
  budgetMinor: null,
  family: null,
  moveShelves: false,
  seed: 1,
  ...more,
});
export const shelfAt = (shelfId: string, bottomTenthMm: number, width: number, depth: number, height: number) => ({
  shelfId,
  bottomTenthMm,
  room: plainRoom(width, depth, height),
  loadGrams: null,
  adjustable: false,
  inBody: true,
});

/** The price of a plan, written from the definition term by term, with no helper of the other writing. */
export function slowly(given: PlanProblem, fewest: number[], bins: PricedBin[], shelves: PricedShelf[]): number {
  let minutes = 0;
  for (const shelf of shelves) if (shelf.movedHoles !== 0) minutes += 6 / 12;
  for (const bin of bins) if (bin.buy) minutes += (bin.type.priceMinor! / 100) * (2 / 12);
  given.groups.forEach((group, g) => {
    const { uses, who, largestMl, pieceMl } = given.handling!.groups[group.name]!;
    minutes += (uses * (8 + 3 * 1.08)) / 60;
    const own = bins.filter((bin) => bin.group === group.name);
    const { now } = given.handling!.groups[group.name]!;
    if (now) {
      const places = now.map((one) => `${one.containerId} ${one.shelfId}`);
      for (const bin of own) {
        const at = places.indexOf(`${bin.type.containerId} ${bin.shelfId}`);
        if (at >= 0) places.splice(at, 1);
        else minutes += (2 + Math.max(1, who.filter(({ share: part }) => part >= 0.15).length)) / 12;
      }
    }
    const density = group.grams / group.volumeMl;
    const holds = own.map(({ type: t }) => {
      const side = Math.min(t.widthTenthMm, t.depthTenthMm, t.heightTenthMm) / 100;
      if (largestMl > t.volumeMl || side < 0.8 * Math.cbrt(largestMl)) return 0;
      let ml = 0.8 * t.volumeMl;
      if (t.maxLoadGrams !== null && density > 0) ml = Math.min(ml, t.maxLoadGrams / density);
      if (pieceMl === null) return ml;
      let pieces = Math.floor(ml / pieceMl + 1e-6);
      const bearsOne = t.maxLoadGrams === null || density === 0 || pieceMl * density <= t.maxLoadGrams + 1e-9;
      if (pieces === 0 && pieceMl <= t.volumeMl && bearsOne) pieces = 1;
      return pieces * pieceMl;
    });
    const all = holds.reduce((sum, ml) => sum + ml, 0);
    const housed = Math.min(all, group.volumeMl);
    if (group.volumeMl - all > 0.5) minutes += 20 + (5 * (group.volumeMl - all)) / 1000;
    own.forEach((bin, nth) => {
      const shelf = shelves.find(({ shelfId }) => shelfId === bin.shelfId)!;
      const content = all === 0 ? 0 : (holds[nth]! * housed) / all;
      const share = content / group.volumeMl;
      const grip = given.handling!.footMm + (shelf.bottomTenthMm + bin.standing.z + bin.type.heightTenthMm / 2) / 10;
      let seconds = 0;
      for (const { reachMm: R, steps, share: part } of who) {
        if (grip > R) seconds += part * (steps ? 14 : 30);
        else if (grip > 0.7 * R) seconds += part;
        else if (grip < 0.2 * R) seconds += part * 5.3;
        else if (grip < 0.44 * R) seconds += part * 2.2;
      }
      if (bin.type.lid) seconds += 2;
      const gap = (shelf.room.height - bin.standing.z - bin.type.heightTenthMm) / 10;
      if (shelf.room.access === 'front' && (bin.type.lid || gap < 100)) seconds += 2;
      for (const other of bins) {
        if (other === bin || other.shelfId !== bin.shelfId) continue;
        const [a, b] = [bin.standing, other.standing];
        const across =
          Math.min(a.cx + a.width / 2, b.cx + b.width / 2) - Math.max(a.cx - a.width / 2, b.cx - b.width / 2);
        if (across <= 50) continue;
        const deep =
          Math.min(a.cy + a.depth / 2, b.cy + b.depth / 2) - Math.max(a.cy - a.depth / 2, b.cy - b.depth / 2);
        const above = b.z > a.z && deep > 50;
        const before =
          shelf.room.access === 'front' && b.cy + b.depth / 2 <= a.cy - a.depth / 2 + 50 && b.z + b.height > a.z;
        if (above || before) seconds += 5;
      }
      const kg = (bin.type.weightGrams + content * density) / 1000;
      minutes += (seconds * share * uses) / 60;
      minutes += 0.01 * kg * (grip / 1000) + 0.2 * Math.max(0, kg - 5) * Math.max(0, grip / 1000 - 0.8);
      minutes += 0.1 + 0.004 * Math.max(0, (0.8 * bin.type.volumeMl - content) / 1000);
    });
    minutes += (3 * uses * Math.max(0, own.length - fewest[g]!)) / 60;
    const on = new Set(own.map(({ shelfId }) => shelfId)).size;
    minutes += Math.max(0, on - 1) * (0.15 + (5 * uses) / 60);
  });
  return minutes;
}
