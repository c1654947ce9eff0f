/** Which containers could hold a group, and what that costs at least: the choices of the search, and the bound it is measured by. */
import { ShelfFloor } from '../fit';
import { footOfBand, liftMinutes, reachSeconds, REACH_BANDS, weightMinutes } from '../handling';
import type { Ground } from './filling';
import { capacityMl, digSeconds, sectionsTaken } from './groupUse';
import {
  airMinutes,
  handlingOfBin,
  isSamePlace,
  moneyMinutes,
  movedOf,
  spreadMinutes,
  takingMinutes,
  type PricedGroup,
} from './planPrice';
import { moveMinutes, PLAN_COST } from './planCost';
import type { GroupUse, PlanContainer, PlanProblem } from './planTypes';
import { isAllowed } from './shelfSettings';

/** Containers that hold a group together, the largest first. */
export interface Mix {
  types: PlanContainer[];
  /** What it costs at least, nothing in front and every bin at its best place. */
  minutes: number;
}
export interface Mixes {
  /** The cheapest first. */
  list: Mix[];
  /** No fewer bins hold it; where even all do not, how many there are. */
  fewest: number;
  /** No way of housing the group in bins of its own costs less. */
  leastMinutes: number;
  /** No way that is not in the list costs less; null: there is only the least. */
  beyondMinutes: number | null;
  /** What any bin that takes of it costs at least; null: none does. */
  places: LeastPlace | null;
}
/** The best of everything that a place for a group has, each by itself. */
interface LeastPlace {
  seconds: number;
  gripMm: number;
  /** Minutes a month for lifting a kilogram a metre. */
  liftMinutes: number;
}
type Group = Omit<PricedGroup, 'fewest'>;

/** A type that takes something of the group. */
interface Choice {
  type: PlanContainer;
  ml: number;
  free: number;
  /** Free ones, and those the money buys. */
  count: number;
  /** Where it may stand: seconds of each taking, and how high it is gripped, mm; only those that none betters in both. */
  places: Place[];
}
interface Place {
  seconds: number;
  gripMm: number;
}

/** More bins than the fewest that are looked into. */
const MORE = 2;
const MOST_NODES = 20_000;
const MOST_KEPT = 40;
const MOST_OF_ONE = 60;
/** Bins heavier than this are dear to lift: more of them than need be may be better. */
const HEAVY_GRAMS = 5000;

/** Whether shelves of a problem may be moved. */
export const mayMove = ({
  moveShelves,
  holes,
  shelves,
}: Pick<PlanProblem, 'moveShelves' | 'holes' | 'shelves'>): boolean =>
  moveShelves && holes !== null && shelves.some(({ adjustable }) => adjustable);

/**
 * Every way, up to a number, of housing a group in containers that may be used.
 * @param moved shelves may be at any height; else they are where the ground has them
 * @param fewestOfAll what bins over the fewest are counted from; left out: what is found here
 */
export function mixesOf(
  ground: Ground,
  group: Group,
  stands: (type: PlanContainer) => boolean,
  moved: boolean,
  fewestOfAll?: number,
): Mixes {
  const choices = choicesOf(ground, group, stands, moved);
  const taking = takingMinutes(group.use);
  if (group.needMl <= 0.5) return { list: [], fewest: 0, leastMinutes: taking, beyondMinutes: null, places: null };
  const all = choices.reduce((sum, { ml, count }) => sum + ml * count, 0);
  const boxes = choices.reduce((sum, { count }) => sum + count, 0);
  if (all < group.needMl - 0.5)
    return {
      list: [{ types: choices.flatMap(({ type, count }) => Array.from({ length: count }, () => type)), minutes: 0 }],
      fewest: boxes,
      leastMinutes: taking + PLAN_COST.leftMinutes + (PLAN_COST.leftMinutesALitre * (group.needMl - all)) / 1000,
      beyondMinutes: null,
      places: choices.length === 0 ? null : leastPlace(choices),
    };
  const least = fewestOf(choices, group.needMl);
  const fewest = fewestOfAll ?? least;
  const spare = (group.gramsPerMl * group.needMl) / least > HEAVY_GRAMS;
  const { mixes, whole } = enumerate(choices, group.needMl, least + MORE, spare);
  const priced = mixes
    .map((mix): Mix => ({ types: mix.map(({ type }) => type), minutes: minutesOf(mix, group, fewest) }))
    .sort((a, b) => a.minutes - b.minutes);
  // What was not looked into has at least so many bins.
  const beyond = !whole ? least : spare ? least + MORE + 1 : least + 1;
  const list = priced.slice(0, MOST_KEPT);
  const beyondMinutes = Math.min(
    priced[MOST_KEPT]?.minutes ?? Infinity,
    leastOfCount(choices, group, fewest, beyond),
    taking + PLAN_COST.leftMinutes,
  );
  return {
    list,
    fewest,
    leastMinutes: Math.min(list[0]?.minutes ?? Infinity, beyondMinutes),
    beyondMinutes,
    places: leastPlace(choices),
  };
}

/** How many of a type there are, with those the money buys. */
export const countOf = (type: PlanContainer, problem: PlanProblem): number => type.free + soldOf(type, problem);

/** How many of a type the money buys. */
function soldOf({ priceMinor }: PlanContainer, { budgetMinor }: PlanProblem): number {
  if (budgetMinor === null || priceMinor === null || priceMinor > budgetMinor) return 0;
  return priceMinor === 0 ? MOST_OF_ONE : Math.min(MOST_OF_ONE, Math.floor(budgetMinor / priceMinor));
}

/**
 * How few bins hold a group, of all that may be used.
 * @param countOf how many there are of a type; left out: the free ones, and those the money buys
 * @returns where even all do not hold it: one more than there are
 */
export function fewestBins(
  { problem }: Pick<Ground, 'problem'>,
  { needMl, use, gramsPerMl }: Group,
  stands: (type: PlanContainer) => boolean,
  countOf = (type: PlanContainer): number => type.free + soldOf(type, problem),
): number {
  const choices = problem.containers
    .filter((type) => isAllowed(type, problem) && stands(type))
    .map((type) => ({ ml: capacityMl(type, use, gramsPerMl), count: countOf(type) }))
    .filter(({ ml, count }) => ml > 0 && count > 0)
    .sort((a, b) => b.ml - a.ml);
  const all = choices.reduce((sum, { ml, count }) => sum + ml * count, 0);
  return fewestOf(choices, needMl) + (all < needMl - 0.5 ? 1 : 0);
}

function choicesOf(
  { problem, shelves }: Ground,
  { use, gramsPerMl }: Group,
  stands: (type: PlanContainer) => boolean,
  moved: boolean,
): Choice[] {
  return problem.containers
    .filter((type) => isAllowed(type, problem))
    .map((type): Choice => {
      const sold = soldOf(type, problem);
      const places = shelves.filter(({ room }) => type.heightTenthMm <= room.height);
      const least = places.flatMap(({ bottomTenthMm, room }) => {
        // What hangs has its height by the shelf above.
        const hung = type.form === 'under_shelf' ? room.height - type.heightTenthMm : 0;
        const levels =
          type.stackPitchTenthMm === null
            ? 0
            : Math.floor((room.height - type.heightTenthMm) / Math.max(1, type.stackPitchTenthMm));
        return [0, Math.min(1, levels)].map((level) =>
          handlingOfBin(problem, use, type, { bottomTenthMm, room }, hung + level * (type.stackPitchTenthMm ?? 0), 0),
        );
      });
      const foot = problem.handling?.footMm ?? 0;
      const found = least.map(({ reaching, opening, gripMm }): Place => ({ seconds: reaching + opening, gripMm }));
      if (moved) found.push({ seconds: atBestHeight(use, foot, problem), gripMm: foot + type.heightTenthMm / 20 });
      return {
        type,
        ml: stands(type) ? capacityMl(type, use, gramsPerMl) : 0,
        free: type.free,
        count: Math.min(MOST_OF_ONE * 10, type.free + sold),
        places: unbettered(found),
      };
    })
    .filter(({ ml, count }) => ml > 0 && count > 0)
    .sort((a, b) => b.ml - a.ml);
}

function unbettered(places: readonly Place[]): Place[] {
  const kept: Place[] = [];
  for (const place of [...places].sort((a, b) => a.seconds - b.seconds || a.gripMm - b.gripMm))
    if (place.gripMm < (kept.at(-1)?.gripMm ?? Infinity)) kept.push(place);
  return kept;
}

/** Seconds of reaching where shelves may be moved to any height. */
function atBestHeight({ who }: Pick<GroupUse, 'who'>, footMm: number, { heightTenthMm }: PlanProblem): number {
  // What a height costs changes only at the bands' edges: one height in each is enough.
  const edges = who.flatMap(({ reachMm }) => REACH_BANDS.map((band) => footOfBand(reachMm, band)));
  const heights = [footMm, ...edges.flatMap((edge) => [edge, edge + 0.01])].filter(
    (height) => height >= footMm && height <= footMm + heightTenthMm / 10,
  );
  return Math.min(
    ...heights.map((height) =>
      who.reduce((sum, { reachMm, steps, share }) => sum + share * reachSeconds({ reachMm, steps }, height), 0),
    ),
  );
}

function fewestOf(choices: readonly Pick<Choice, 'ml' | 'count'>[], needMl: number): number {
  let need = needMl - 0.5;
  let count = 0;
  for (const { ml, count: there } of choices) {
    const used = Math.min(there, Math.ceil(need / ml));
    if (need <= 0) break;
    count += used;
    need -= used * ml;
  }
  return count;
}

/** Ways with none too many, or, `spare`, with one or two too many; `whole`: no way was left out. */
function enumerate(
  choices: readonly Choice[],
  needMl: number,
  most: number,
  spare: boolean,
): { mixes: Choice[][]; whole: boolean } {
  const mixes: Choice[][] = [];
  let nodes = 0;
  const go = (from: number, need: number, used: number, mix: Choice[]): void => {
    if (need <= 0.5) {
      mixes.push(mix);
      if (!spare) return;
    }
    if (mix.length >= most) return;
    for (let at = from; at < choices.length && nodes < MOST_NODES; at++) {
      const choice = choices[at]!;
      const already = at === from ? used : 0;
      if (already >= choice.count) continue;
      // All that come are smaller.
      if (need > 0.5 && choice.ml * (most - mix.length) < need - 0.5) break;
      nodes++;
      go(at, need - choice.ml, already + 1, [...mix, choice]);
    }
  };
  go(0, needMl, 0, []);
  return { mixes, whole: nodes < MOST_NODES };
}

/** What a mix costs alone, every bin at its best place. */
function minutesOf(mix: readonly Choice[], { needMl, gramsPerMl, use }: Group, fewest: number): number {
  const all = mix.reduce((sum, { ml }) => sum + ml, 0);
  let minutes = takingMinutes(use) + spreadMinutes(use, mix.length - fewest, 1);
  // Of the same kind it may stay; where it stands is for the plan to say.
  minutes += movedOf(mix, use.now, ({ type }, now) => isSamePlace(type, now)).length * moveMinutes(use);
  const left = new Map(mix.map(({ type, free }) => [type, free]));
  for (const { type, ml, places } of mix) {
    const content = (ml / all) * needMl;
    const kg = (type.weightGrams + content * gramsPerMl) / 1000;
    const floors = content * (use.floorMm2PerMl ?? 0);
    const dig = digSeconds(
      type,
      type.sections ? (floors * type.sections) / sectionsTaken(type, { use, gramsPerMl }, content) : floors,
    );
    minutes +=
      Math.min(
        ...places.map(
          ({ seconds, gripMm }) =>
            ((content / needMl) * (seconds + dig) * use.uses) / 60 + weightMinutes(type.form, kg, gripMm),
        ),
      ) +
      PLAN_COST.binMinutes +
      airMinutes(type.volumeMl, content);
    if (left.get(type)! > 0) left.set(type, left.get(type)! - 1);
    else minutes += moneyMinutes(type.priceMinor ?? 0);
  }
  return minutes;
}

/** What any way with at least so many bins costs at least. */
function leastOfCount(
  choices: readonly Choice[],
  { needMl, gramsPerMl, use }: Group,
  fewest: number,
  count: number,
): number {
  const place = leastPlace(choices);
  const lightest = Math.min(...choices.map(({ type }) => type.weightGrams));
  return (
    leastAlone(place, { needMl, gramsPerMl, use }) +
    spreadMinutes(use, count - fewest, 1) +
    count * PLAN_COST.binMinutes +
    // So many of the smallest stay empty where the things do not fill them; lifted apart, all weighs at least as much together.
    airMinutes(count * Math.min(...choices.map(({ type }) => type.volumeMl)), needMl) +
    place.liftMinutes * (place.gripMm / 1000) * ((count * lightest) / 1000)
  );
}
function leastPlace(choices: readonly Choice[]): LeastPlace {
  const places = choices.flatMap((choice) => choice.places);
  return {
    seconds: Math.min(...places.map(({ seconds }) => seconds)),
    gripMm: Math.min(...places.map(({ gripMm }) => gripMm)),
    liftMinutes: choices.some(({ type }) => type.form === 'pull_out') ? 0 : LIFT_OF_A_KG,
  };
}
/** Taking, reaching and lifting of the things of a group at least, wherever they lie; minutes a month. */
export const leastAlone = (place: LeastPlace, { needMl, gramsPerMl, use }: Omit<Group, 'id'>): number =>
  takingMinutes(use) +
  (place.seconds * use.uses) / 60 +
  place.liftMinutes * (place.gripMm / 1000) * ((needMl * gramsPerMl) / 1000);
/** To a height of one metre, below what is heavy. */
const LIFT_OF_A_KG = liftMinutes(1, 1000);

/** Whether a container stands anywhere in the space, `moved`: once its shelves are moved; asked once of each. */
export function standsIn({ shelves, problem }: Ground, moved: boolean): (type: PlanContainer) => boolean {
  const known = new Map<PlanContainer, boolean>();
  return (type) => {
    const before = known.get(type);
    if (before !== undefined) return before;
    const stands =
      (moved && type.heightTenthMm <= problem.heightTenthMm) ||
      shelves.some((shelf) => new ShelfFloor(shelf, false).place(type, 0) !== null);
    known.set(type, stands);
    return stands;
  };
}

/** Whether two lists have the same, in whatever order. */
export function isSameMix(a: readonly string[], b: readonly string[]): boolean {
  if (a.length !== b.length) return false;
  const [first, second] = [[...a].sort(), [...b].sort()];
  return first.every((one, at) => one === second[at]);
}

/** Whether the money buys one more. */
export const canBuy = ({ priceMinor }: PlanContainer, money: number, { budgetMinor }: PlanProblem): boolean =>
  priceMinor !== null && budgetMinor !== null && priceMinor <= money;

/** Of the types that may be used the smallest that holds all that is needed, else the one that takes most; owned ones first. */
export function bestOf(
  problem: PlanProblem,
  { use, gramsPerMl }: Group,
  need: number,
  mayBe: (type: PlanContainer) => boolean,
): PlanContainer | null {
  let best: PlanContainer | null = null;
  let least = Infinity;
  for (const type of problem.containers) {
    if (!mayBe(type) || !isAllowed(type, problem)) continue;
    const ml = capacityMl(type, use, gramsPerMl);
    if (ml <= 0) continue;
    const worse = (ml >= need - 0.5 ? type.volumeMl : 1e9 - ml) + (type.free > 0 ? 0 : 1e12);
    if (worse < least) [best, least] = [type, worse];
  }
  return best;
}
