/** Plans for groups of things: seeded annealing over which containers hold a group and where it goes, judged in minutes a month. */
import { MOST_PLACED, seededRandom } from '../base';
import { dualBound } from './planBound';
import { exchangePlaces, sharingWith, type Genes } from './genes';
import { Filling, groundOf, type Ground, type Slants } from './filling';
import { capacityMl, useOfGroup } from './groupUse';
import { holdsAll, mayShare, partnersOf, roomsIn } from './sharing';
import { bestOf, canBuy, countOf, isSameMix, mayMove, mixesOf, standsIn, type Mixes } from './mixes';
import {
  handlingOfBin,
  pricedGroups,
  pricePlan,
  type PricedBin,
  type PricedGroup,
  type PricedShelf,
} from './planPrice';
import { PLAN_COST } from './planCost';
import type { PlanAnswer, PlanContainer, PlanPrice, PlanProblem, PlanSearch, Setting } from './planTypes';
import { isAllowed, otherSettings, settingNow } from './shelfSettings';

/** Minutes a plan may be worse to be gone along with, at the beginning and after so many tries. */
const HOT = 2;
const COLD = 0.005;
const COOLED_AFTER = 2500;
/** Then it is warmed up again a little, every so many tries. */
const WARM = 0.3;
const WARMED_EVERY = 500;
/** What is left over makes the steps between plans higher: as a share of what it costs, gone along with besides. */
const HOTTER = 0.1;
/** Share of tries on how the shelves stand now; the others go in turn by the other settings. */
const AS_IT_STANDS = 0.5;
/** Share of tries that turn the ways round. */
const TURNED = 0.05;
/** How much oftener cheap mixes are tried than dear ones. */
const LIKED = 1.5;
/** Share of tries after which the walk goes on from what a plan became. */
const LEARNED = 0.2;
/** Share of tries in which a group begins to share a bin, or no longer does, where any may. */
const SHARED = 0.2;
const SAME = 1e-9;
/** Pairs of like bins that are looked at for having their groups exchanged. */
const MOST_PAIRS = 300;

/** A setting of the shelves with the plan that the walk on it stands at. */
interface Line {
  ground: Ground;
  shelves: PricedShelf[];
  /** For each group the shelves, those first that cost least. */
  likes: number[][];
  genes: Genes;
  minutes: number;
  /** Of its minutes, for what found no room. */
  left: number;
}
interface Found {
  bins: PricedBin[];
  filling: Filling;
  line: Line;
  price: PlanPrice;
}

/**
 * Which containers, where, so that the groups of a problem are handled in as few minutes a month as can be found (see `pricePlan`).
 * The first answer is there at once; each step tries some more. Only plans that stand are answered with.
 */
export function searchGroups(problem: PlanProblem): PlanSearch {
  return new GroupSearch(problem);
}

class GroupSearch implements PlanSearch {
  private readonly random: () => number;
  private readonly slants: Slants = new Map();
  private readonly groups: PricedGroup[];
  /** What groups may share, the smallest first. */
  private readonly bySize: PlanContainer[];
  private readonly mixes: Mixes[];
  /** Found with the first step, so that the first answer does not wait for it; undefined: not yet. */
  private bound: number | null | undefined;
  private readonly findBound: () => number | null;
  /** For each group those with which it goes into one bin of some type. */
  private readonly partners: number[][];
  private readonly sharers: number[];
  private readonly lines: Line[];
  private readonly settings: Generator<Setting>;
  private found: Found;
  private tries = 0;
  private count = 1;

  constructor(private readonly problem: PlanProblem) {
    this.random = seededRandom(problem.seed);
    this.bySize = problem.containers
      .filter((type) => isAllowed(type, problem) && type.form !== 'bare')
      .sort((a, b) => a.volumeMl - b.volumeMl);
    const now = settingNow(problem);
    const ground = groundOf(problem, now, this.slants);
    const moved = mayMove(problem);
    const stands = standsIn(ground, moved);
    const held = this.heldByLocked(ground);
    const bare = pricedGroups(
      problem,
      problem.groups.map(() => 0),
    ).map((group) => ({ ...group, needMl: Math.max(0, group.needMl - (held.get(group.id)?.ml ?? 0)) }));
    this.mixes = bare.map((group) => mixesOf(ground, group, stands, moved));
    this.groups = pricedGroups(
      problem,
      bare.map(({ id }, at) => this.mixes[at]!.fewest + (held.get(id)?.bins ?? 0)),
    );
    this.partners = partnersOf(this.bySize.filter(stands), this.groups);
    this.sharers = this.partners.flatMap((those, at) => (those.length > 0 ? [at] : []));
    this.lines = [this.newLine(ground)];
    this.settings = otherSettings(problem, now);
    this.found = this.begin(this.lines[0]!);
    this.exchange();
    this.findBound = () => (problem.locked.length > 0 ? null : this.boundOf(ground, moved));
  }

  /** From what costs least alone, or as it is now: a space that is right stays so. */
  private begin(line: Line): Found {
    const ways = [line.genes, this.asItIs(line)].map((genes) => ({ genes, built: this.build(line, genes) }));
    const better = ways[1]!.built.price.sum < ways[0]!.built.price.sum ? ways[1]! : ways[0]!;
    line.genes = better.genes;
    line.minutes = better.built.price.sum;
    return better.built;
  }

  private asItIs({ genes, shelves }: Line): Genes {
    const shelf = [...genes.shelf];
    const mix = [...genes.mix];
    this.groups.forEach(({ use: { now } }, at) => {
      if (!now || now.length === 0) return;
      const stands = shelves.findIndex(({ shelfId }) => shelfId === now[0]!.shelfId);
      if (stands >= 0) shelf[at] = stands;
      const ids = now.map(({ containerId }) => containerId);
      const way = this.mixes[at]!.list.findIndex((one) =>
        isSameMix(
          one.types.map(({ containerId }) => containerId),
          ids,
        ),
      );
      if (way >= 0) mix[at] = way;
    });
    return { ...genes, shelf, mix };
  }

  step(tries: number): boolean {
    if (this.bound === undefined) this.bound = this.findBound();
    for (let n = 0; n < tries && !this.isProven; n++) this.tryOne();
    return !this.isProven;
  }
  version(): number {
    return this.count;
  }
  best(): PlanAnswer {
    const { filling, bins, price } = this.found;
    const answer = filling.answer(
      new Map(),
      bins.map(({ group }) => group),
    );
    const left = price.groups.flatMap(({ group, leftMl }) => (leftMl > 0 ? [{ group, volumeMl: leftMl }] : []));
    return { ...answer, left, price, boundMinutes: this.bound ?? null, provenBest: this.isProven };
  }

  private get isProven(): boolean {
    return this.bound !== null && this.bound !== undefined && this.found.price.sum <= this.bound + SAME;
  }

  /** With no shelf moved each group is housed as cheaply as can be where they are; or else at least one is moved, to the best height. */
  private boundOf(ground: Ground, moved: boolean): number {
    const { problem, groups, partners, mixes } = this;
    const upper = this.found.price.sum;
    const least = (ways: readonly Mixes[], above: number): number =>
      dualBound(groups, ways, partners, problem.containers, (type) => countOf(type, problem), above);
    if (!moved) return least(mixes, upper);
    const stands = standsIn(ground, false);
    const unmoved = groups.map((group, at) => mixesOf(ground, group, stands, false, mixes[at]!.fewest));
    const once = PLAN_COST.shelfMoveMinutes / PLAN_COST.onceMonths;
    return Math.min(least(unmoved, upper), least(mixes, upper - once) + once);
  }

  private heldByLocked({ byId, gramsPerMl }: Ground): Map<string, { ml: number; bins: number }> {
    const held = new Map<string, { ml: number; bins: number }>();
    for (const { group, containerId } of this.problem.locked) {
      const type = byId.get(containerId);
      if (group === null || !type) continue;
      const before = held.get(group) ?? { ml: 0, bins: 0 };
      const ml = capacityMl(type, useOfGroup(this.problem, group), gramsPerMl.get(group) ?? 0);
      held.set(group, { ml: before.ml + ml, bins: before.bins + 1 });
    }
    return held;
  }

  private newLine(ground: Ground): Line {
    const shelves = ground.shelves.map(({ shelfId, bottomTenthMm, room }): PricedShelf => ({
      shelfId,
      bottomTenthMm,
      room,
      movedHoles: ground.setting.find((one) => one.shelfId === shelfId)?.movedHoles ?? 0,
    }));
    const likes = this.groups.map(({ use }, at) => {
      const type = this.mixes[at]!.list[0]?.types[0];
      if (!type) return shelves.map((_, shelf) => shelf);
      const costs = shelves.map((shelf) => {
        const { reaching, opening, gripMm } = handlingOfBin(this.problem, use, type, shelf, 0, 0);
        return ((reaching + opening) * use.uses) / 60 + gripMm * 1e-6;
      });
      return shelves.map((_, shelf) => shelf).sort((a, b) => costs[a]! - costs[b]!);
    });
    // What is taken most chooses first; what needs much room before what needs little.
    const weight = ({ use, needMl }: PricedGroup): number => use.uses + needMl / 5000;
    const order = this.groups.map((_, at) => at).sort((a, b) => weight(this.groups[b]!) - weight(this.groups[a]!));
    const genes = {
      order,
      mix: order.map(() => 0),
      shelf: order.map((_, at) => likes[at]![0] ?? 0),
      stacked: order.map(() => false),
      host: order.map(() => -1),
      larger: order.map(() => 0),
      slim: true,
    };
    return { ground, shelves, likes, genes, minutes: Infinity, left: 0 };
  }

  private tryOne(): void {
    const next = this.settings.next();
    if (!next.done) this.lines.push(this.newLine(groundOf(this.problem, next.value, this.slants)));
    const others = this.lines.length - 1;
    const at = others === 0 || this.random() < AS_IT_STANDS ? 0 : 1 + (this.tries % others);
    const line = this.lines[at]!;
    this.tries++;
    const genes = line.minutes === Infinity ? line.genes : this.changed(line.genes);
    const built = this.build(line, genes);
    const first = this.tries < COOLED_AFTER;
    const again = Math.floor((this.tries - COOLED_AFTER) / WARMED_EVERY) % 3 === 2 ? HOT : WARM;
    const top = first ? HOT + HOTTER * line.left : again;
    const phase = first ? this.tries / COOLED_AFTER : ((this.tries - COOLED_AFTER) % WARMED_EVERY) / WARMED_EVERY;
    const heat = top * (COLD / top) ** phase;
    const worse = built.price.sum - line.minutes;
    if (worse <= 0 || this.random() < Math.exp(-worse / heat)) {
      line.genes = this.random() < LEARNED ? this.asBuilt(genes, built) : genes;
      line.minutes = built.price.sum;
      line.left = built.price.left;
    }
    if (built.price.sum < this.found.price.sum - SAME) {
      this.found = built;
      this.exchange();
      this.count++;
    }
  }

  private changed(genes: Genes): Genes {
    const { order, mix, shelf, stacked, host, larger, slim } = genes;
    const next = {
      order: [...order],
      mix: [...mix],
      shelf: [...shelf],
      stacked: [...stacked],
      host: [...host],
      larger: [...larger],
      slim,
    };
    if (this.random() < TURNED) next.slim = !slim;
    const pick = (below: number): number => Math.floor(this.random() * below);
    if (this.sharers.length > 0 && this.random() < SHARED) {
      this.shareOtherwise(next, this.sharers[pick(this.sharers.length)]!);
      if (this.random() < 0.5) return next;
    }
    for (let changes = this.random() < 0.6 ? 1 : 2; changes > 0; changes--) {
      // Who shares a bin stands where its host does.
      const headOf = (at: number): number => (next.host[at]! >= 0 ? next.host[at]! : at);
      const group = headOf(pick(order.length));
      const kind = this.random();
      const ways = this.mixes[group]!.list.length;
      if (kind < 0.3 && ways > 1) {
        // The cheap ones more often.
        next.mix[group] = Math.floor(this.random() ** LIKED * ways);
        if (this.sharers.length > 0) next.larger[group] = pick(this.bySize.length);
      } else if (kind < 0.65) next.shelf[group] = pick(this.lines[0]!.shelves.length);
      else if (kind < 0.75) next.stacked[group] = !next.stacked[group];
      else if (kind < 0.9) {
        const other = headOf(pick(order.length));
        [next.shelf[group], next.shelf[other]] = [next.shelf[other]!, next.shelf[group]!];
        if (this.random() < 0.5) this.exchangeMixes(next, group, other);
      } else {
        const [moved] = next.order.splice(pick(order.length), 1);
        next.order.splice(pick(order.length), 0, moved!);
      }
    }
    return next;
  }

  /**
   * What a plan became, in place of what was wished for: a group that found its shelf full has the one it stands on, so that the next
   * change is a small one from there.
   */
  private asBuilt(genes: Genes, { bins, line }: Found): Genes {
    const shelf = [...genes.shelf];
    const mix = [...genes.mix];
    this.groups.forEach(({ id }, at) => {
      const own = bins.filter(({ group }) => group === id);
      if (own.length === 0) return;
      shelf[at] = line.shelves.findIndex(({ shelfId }) => shelfId === own[0]!.shelfId);
      const stood = own.map(({ type }) => type.containerId);
      const found = this.mixes[at]!.list.findIndex((one) =>
        isSameMix(
          one.types.map(({ containerId }) => containerId),
          stood,
        ),
      );
      if (found >= 0) mix[at] = found;
    });
    return { ...genes, shelf, mix };
  }

  /** Each takes the containers of the other, where these hold it. */
  private exchangeMixes(genes: Genes, a: number, b: number): void {
    const same = (of: number, as: number): number => {
      const wanted = this.mixes[as]!.list[genes.mix[as]!]?.types ?? [];
      return this.mixes[of]!.list.findIndex(
        ({ types }) => types.length === wanted.length && types.every((type, nth) => type === wanted[nth]),
      );
    };
    const [forA, forB] = [same(a, b), same(b, a)];
    if (forA >= 0 && forB >= 0) [genes.mix[a], genes.mix[b]] = [forA, forB];
  }

  /** Groups in their order, each into its mix on its shelf; what is taken or finds no room there is made up for by what is free. */
  private build(line: Line, genes: Genes): Found {
    const { ground, likes, shelves } = line;
    const { problem, byId } = ground;
    const filling = new Filling(ground, this.random, 0, { tight: false, slim: genes.slim });
    const free = new Map(problem.containers.map((one) => [one.containerId, one.free]));
    for (const { type, buy } of filling.placed) if (!buy) free.set(type.containerId, free.get(type.containerId)! - 1);
    const housed = new Set<number>();
    for (const at of genes.order) {
      if (housed.has(at)) continue;
      const group = this.groups[at]!;
      for (const together of sharingWith(genes, this.sharers, at))
        if (this.putTogether(filling, free, together, genes, line)) for (const one of together) housed.add(one);
      if (housed.has(at)) continue;
      let need = Math.max(0, filling.needs.get(group.id) ?? 0);
      const not = problem.forbidden?.[group.id];
      const order = [genes.shelf[at]!, ...likes[at]!.filter((shelf) => shelf !== genes.shelf[at])].filter(
        (shelf) => !not?.includes(shelves[shelf]!.shelfId),
      );
      const put = (type: PlanContainer): boolean => {
        const ml = capacityMl(type, group.use, group.gramsPerMl);
        const isFree = (free.get(type.containerId) ?? 0) > 0;
        if (ml <= 0 || (!isFree && !canBuy(type, filling.money, problem))) return false;
        const grams = Math.round(Math.min(need, ml) * group.gramsPerMl);
        if (!filling.putInOrder(type, [group.id], grams, !isFree, order, genes.stacked[at]!, [ml])) return false;
        if (isFree) free.set(type.containerId, free.get(type.containerId)! - 1);
        else filling.money -= type.priceMinor!;
        need -= ml;
        return true;
      };
      const without = new Set<PlanContainer>();
      for (const type of this.mixes[at]!.list[genes.mix[at]!]?.types ?? [])
        if (need > 0.5 && !without.has(type) && !put(type)) without.add(type);
      while (need > 0.5 && filling.placed.length < MOST_PLACED) {
        const type = bestOf(problem, group, need, (one) => !without.has(one));
        if (!type) break;
        if (!put(type)) without.add(type);
      }
    }
    const bins = filling.placed.map(({ type, shelfId, standing, group, also, buy }): PricedBin => ({
      type: byId.get(type.containerId)!,
      shelfId,
      standing,
      group,
      ...(also.length > 0 ? { also } : {}),
      buy,
    }));
    return { bins, filling, line, price: pricePlan(problem, this.groups, bins, shelves) };
  }

  /** Into a bin with another, with others, into a larger one, in the place of another, or out of it. */
  private shareOtherwise(genes: Genes, guest: number): void {
    const those = this.partners[guest]!;
    const { host, larger } = genes;
    const other = those[Math.floor(this.random() * those.length)]!;
    const kind = this.random();
    if (kind < 0.35) {
      exchangePlaces(genes, guest, other);
      if (this.random() < 0.5) this.exchangeMixes(genes, guest, other);
    } else if (host[guest]! < 0) host[guest] = host[other]! >= 0 && this.random() < 0.5 ? host[other]! : other;
    else if (kind < 0.5) larger[host[guest]!] = Math.floor(this.random() * this.bySize.length);
    else host[guest] = this.random() < 0.5 ? -1 : other;
  }

  /** One bin for groups that share it, of a type that holds them all and stands; false: none does, and each has its own. */
  private putTogether(
    filling: Filling,
    free: Map<string, number>,
    together: readonly number[],
    genes: Genes,
    { ground, likes, shelves }: Line,
  ): boolean {
    const { problem } = ground;
    const members = together.map((at) => this.groups[at]!);
    // What is housed in part already, by what is locked, has its own bins.
    if (members.some(({ id, needMl }) => (filling.needs.get(id) ?? 0) < needMl - 0.5)) return false;
    if (members.some(({ use }, at) => members.some((other, b) => b < at && !mayShare(use, other.use)))) return false;
    const head = together[0]!;
    const not = new Set(members.flatMap(({ id }) => problem.forbidden?.[id] ?? []));
    const order = [genes.shelf[head]!, ...likes[head]!.filter((shelf) => shelf !== genes.shelf[head])].filter(
      (shelf) => !not.has(shelves[shelf]!.shelfId),
    );
    const needs = members.map(({ needMl }) => needMl);
    const grams = Math.round(members.reduce((sum, { needMl, gramsPerMl }) => sum + needMl * gramsPerMl, 0));
    const holding = this.bySize.filter((type) => holdsAll(type, members));
    const first = Math.min(genes.larger[head]!, Math.max(0, holding.length - 1));
    for (const type of [...holding.slice(first), ...holding.slice(0, first)]) {
      const isFree = (free.get(type.containerId) ?? 0) > 0;
      if (!isFree && !canBuy(type, filling.money, problem)) continue;
      const ids = members.map(({ id }) => id);
      if (!filling.putInOrder(type, ids, grams, !isFree, order, genes.stacked[head]!, needs)) continue;
      if (isFree) free.set(type.containerId, free.get(type.containerId)! - 1);
      else filling.money -= type.priceMinor!;
      return true;
    }
    return false;
  }

  /** Bins alike exchange their groups while that costs less: what is taken more comes in front, on top, or to the better height. */
  private exchange(): void {
    const { line, filling } = this.found;
    let { bins, price } = this.found;
    const locked = filling.placed.map((one) => one.locked !== null);
    let pairs = 0;
    for (let a = 0; a < bins.length; a++)
      for (let b = a + 1; b < bins.length && pairs < MOST_PAIRS; b++) {
        const [one, other] = [bins[a]!, bins[b]!];
        // What is shared stays with those it was made for.
        if (one.also || other.also) continue;
        if (one.type !== other.type || one.group === other.group || one.buy !== other.buy || locked[a] || locked[b])
          continue;
        if (!this.mayExchange(one, other)) continue;
        pairs++;
        const next = [...bins];
        next[a] = { ...one, group: other.group };
        next[b] = { ...other, group: one.group };
        if (one.shelfId !== other.shelfId && !this.carries(line, next)) continue;
        const priced = pricePlan(this.problem, this.groups, next, line.shelves);
        if (priced.sum < price.sum - SAME) [bins, price] = [next, priced];
      }
    this.found = { bins, filling, line, price };
  }

  /** Neither comes onto a shelf that is for something else, and what breaks does not come under something. */
  private mayExchange(one: PricedBin, other: PricedBin): boolean {
    const { forbidden } = this.problem;
    const onto = (group: string | null, shelfId: string): boolean =>
      group !== null && forbidden?.[group]?.includes(shelfId) === true;
    if (onto(one.group, other.shelfId) || onto(other.group, one.shelfId)) return false;
    const breaks = ({ group }: PricedBin): boolean =>
      group !== null && useOfGroup(this.problem, group).fragile === true;
    return one.type.lid === true || breaks(one) === breaks(other);
  }

  /** Whether no shelf is loaded over its rating. */
  private carries({ ground }: Line, bins: readonly PricedBin[]): boolean {
    return ground.shelves.every(({ shelfId, loadGrams }) => {
      if (loadGrams === null) return true;
      let grams = 0;
      for (const { shelfId: on, type, group, also } of bins) {
        if (on !== shelfId) continue;
        const members = [group, ...(also ?? [])].flatMap((one) => this.groups.find(({ id }) => id === one) ?? []);
        const rooms = members.length === 0 ? [] : roomsIn(type, members);
        grams += members.reduce(
          (sum, of, at) => sum + Math.min(of.needMl, rooms[at]!) * of.gramsPerMl,
          type.weightGrams,
        );
      }
      return grams <= loadGrams;
    });
  }
}
