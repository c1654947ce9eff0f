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
  const uses = (name: string): GroupUse => given.handling!.groups[name]!;
  const density = (name: string): number => {
    const { grams, volumeMl } = given.groups.find((one) => one.name === name)!;
    return grams / volumeMl;
  };
  /** How much of a group goes into a box by itself. */
  const holds = (
    name: string,
    box: { ml: number; sides: readonly number[]; load: number | null },
    t: PlanContainer,
  ) => {
    const { largestMl, pieceMl, smallestMl, floorMm2PerMl } = uses(name);
    if (t.form === 'bare' && (smallestMl ?? 0) < 250) return 0;
    if (largestMl > box.ml || Math.min(...box.sides) / 100 < 0.8 * Math.cbrt(largestMl)) return 0;
    let ml = 0.8 * box.ml;
    if (box.load !== null && density(name) > 0) ml = Math.min(ml, box.load / density(name));
    if (t.form === 'turntable' && floorMm2PerMl)
      ml = Math.min(ml, (0.9 * (Math.PI / 4) * box.sides[0]! * box.sides[1]!) / 100 / floorMm2PerMl);
    if (pieceMl === null) return ml;
    let pieces = Math.floor(ml / pieceMl + 1e-6);
    const bearsOne = box.load === null || density(name) === 0 || pieceMl * density(name) <= box.load + 1e-9;
    if (pieces === 0 && pieceMl <= box.ml && bearsOne) pieces = 1;
    return pieces * pieceMl;
  };
  const wholeOf = (t: PlanContainer) => ({
    ml: t.volumeMl,
    sides: [t.widthTenthMm, t.depthTenthMm, t.heightTenthMm],
    load: t.maxLoadGrams,
  });
  /** One of its sections; the random ones have four, two by two or one by four. */
  const partOf = (t: PlanContainer) => {
    const [w, d, h] = wholeOf(t).sides as [number, number, number];
    const ways = [
      [w, d / 4],
      [w / 2, d / 2],
      [w / 4, d],
    ].sort(([a = 0, b = 0], [c = 0, e = 0]) => Math.max(a, b) / Math.min(a, b) - Math.max(c, e) / Math.min(c, e));
    return {
      ml: t.volumeMl / 4,
      sides: [...ways[0]!, h],
      load: t.maxLoadGrams === null ? null : t.maxLoadGrams / 4,
    };
  };
  const inBin = bins.map(({ type: t, group, also }) => {
    const names = group === null ? [] : [group, ...(also ?? [])];
    const need = (name: string): number => given.groups.find((one) => one.name === name)!.volumeMl;
    const most = names.map((name) => (t.sections ? holds(name, partOf(t), t) : holds(name, wholeOf(t), t)));
    let rooms = most.map((ml) => (t.sections ? 4 * ml : ml));
    if (names.length > 1) {
      const parts = names.map((name, at) => {
        const part = need(name) / most[at]!;
        return t.sections ? Math.ceil(part - 1e-9) : part;
      });
      const finite = parts.filter((part) => part < Infinity).reduce((sum, part) => sum + part, 0);
      const there = t.sections ? 4 : 1;
      const factor = finite > there + 1e-9 ? there / finite : 1;
      rooms = names.map((name, at) => (parts[at]! < Infinity ? need(name) * factor : 0));
    }
    return { names, rooms, most };
  });
  const contents = inBin.map(({ names, rooms }) =>
    names.map((name, at) => {
      const all = inBin.reduce((sum, bin) => sum + (bin.rooms[bin.names.indexOf(name)] ?? 0), 0);
      const need = given.groups.find((one) => one.name === name)!.volumeMl;
      return all === 0 ? 0 : (rooms[at]! * Math.min(all, need)) / all;
    }),
  );
  bins.forEach((bin, at) => {
    const { names, most } = inBin[at]!;
    if (names.length === 0) return;
    const shelf = shelves.find(({ shelfId }) => shelfId === bin.shelfId)!;
    const grip = given.handling!.footMm + (shelf.bottomTenthMm + bin.standing.z + bin.type.heightTenthMm / 2) / 10;
    const there = contents[at]!;
    const all = there.reduce((sum, ml) => sum + ml, 0);
    const { form, sections } = bin.type;
    let away = 0;
    for (const other of bins) {
      if (other === bin || other.shelfId !== bin.shelfId || other.type.form === 'under_shelf') continue;
      const [a, b] = [bin.standing, other.standing];
      const across =
        Math.min(a.cx + a.width / 2, b.cx + b.width / 2) - Math.max(a.cx - a.width / 2, b.cx - b.width / 2);
      if (across <= 50) continue;
      const deep = Math.min(a.cy + a.depth / 2, b.cy + b.depth / 2) - Math.max(a.cy - a.depth / 2, b.cy - b.depth / 2);
      const above = b.z > a.z && deep > 50;
      const before =
        shelf.room.access === 'front' && b.cy + b.depth / 2 <= a.cy - a.depth / 2 + 50 && b.z + b.height > a.z;
      if (above || before) away += 5;
    }
    const gap = (shelf.room.height - bin.standing.z - bin.type.heightTenthMm) / 10;
    let opening = 0;
    if (form === 'bare') opening = 1.5;
    else if (form === 'pull_out' || form === 'under_shelf') opening = 2;
    else if (form === undefined) {
      if (bin.type.lid) opening += 2;
      if (shelf.room.access === 'front' && (bin.type.lid || gap < 100)) opening += 2;
    }
    const floor = ((bin.type.widthTenthMm * bin.type.depthTenthMm) / 100) * (form === 'turntable' ? Math.PI / 4 : 1);
    const covered = names.map((name, n) => there[n]! * (uses(name).floorMm2PerMl ?? 0));
    names.forEach((name, n) => {
      const { who, uses: often } = uses(name);
      const share = there[n]! / given.groups.find((one) => one.name === name)!.volumeMl;
      let seconds = opening + away;
      for (const { reachMm: R, steps, share: part } of who) {
        if (grip > R) seconds += part * (steps ? 14 : 30);
        else if (grip > 0.7 * R) seconds += part;
        else if (grip < 0.2 * R) seconds += part * 5.3;
        else if (grip < 0.44 * R) seconds += part * 2.2;
      }
      const own = sections ? (most[n]! > 0 ? Math.max(1, Math.ceil(there[n]! / most[n]! - 1e-9)) : 4) : 0;
      const layers = sections
        ? covered[n]! / ((0.9 * floor * own) / 4)
        : covered.reduce((a, b) => a + b, 0) / (0.9 * floor);
      seconds += Math.max(0, layers - 1);
      minutes += (seconds * share * often) / 60;
      if (!sections) minutes += ((names.length - 1) * 3 * often) / 60;
    });
    for (let a = 0; a < names.length; a++)
      for (let b = 0; b < a; b++) {
        const [one, other] = [uses(names[a]!).kin, uses(names[b]!).kin];
        minutes += sections || (one && one === other) ? 0.03 : 0.3;
      }
    const kg = (bin.type.weightGrams + there.reduce((sum, ml, n) => sum + ml * density(names[n]!), 0)) / 1000;
    if (form !== 'pull_out')
      minutes += 0.01 * kg * (grip / 1000) + 0.2 * Math.max(0, kg - 5) * Math.max(0, grip / 1000 - 0.8);
    minutes += 0.1 + 0.004 * Math.max(0, (0.8 * bin.type.volumeMl - all) / 1000);
  });
  given.groups.forEach((group, g) => {
    const { uses: often, who, now } = uses(group.name);
    minutes += (often * (8 + 3 * 1.08)) / 60;
    const own = bins.flatMap((bin, at) => (inBin[at]!.names.includes(group.name) ? [at] : []));
    if (now) {
      const places = now.map((one) => `${one.containerId} ${one.shelfId}`);
      for (const at of own) {
        const bin = bins[at]!;
        const stood = places.findIndex(
          (place) =>
            place === `${bin.type.containerId} ${bin.shelfId}` ||
            (bin.type.form === 'bare' && place === `on_shelf ${bin.shelfId}`),
        );
        const isFirst = inBin[at]!.names[0] === group.name;
        if (isFirst && stood >= 0) places.splice(stood, 1);
        else {
          const finders = Math.max(1, who.filter(({ share: part }) => part >= 0.15).length);
          minutes += (2 + finders) / 12;
        }
      }
    }
    const room = own.reduce((sum, at) => sum + inBin[at]!.rooms[inBin[at]!.names.indexOf(group.name)]!, 0);
    if (group.volumeMl - room > 0.5) minutes += 20 + (5 * (group.volumeMl - room)) / 1000;
    minutes += (3 * often * Math.max(0, own.length - fewest[g]!)) / 60;
    const on = new Set(own.map((at) => bins[at]!.shelfId)).size;
    minutes += Math.max(0, on - 1) * (0.15 + (5 * often) / 60);
  });
  return minutes;
}
