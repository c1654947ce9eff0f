/** A larger rearrangement: many bins at once, where no single move or swap helps any more. */
import { seededRandom } from '../base';
import type { HandlingHome } from './handlingTypes';
import type { Carry, ProposedMove } from './moves';
import { Placement } from './Placement';

/** Offered only if it saves so many minutes a month more than the moves do. */
export const LARGER_SAVES_MINUTES = 2;
/** How much worse a step may be to be gone along with, at the beginning and at the end. Own defaults. */
const HOT = 1.5;
const COLD = 0.01;
const TRIES = 4000;
const TRIES_A_BIN = 80;
const MOST_TRIES = 40_000;

export interface Larger {
  move: ProposedMove;
  /** Minutes a month that it saves beyond the moves. */
  moreMinutes: number;
  bins: number;
}

/** Seeded annealing over single moves, swaps and rings of three, from where the moves end. Runs in steps. */
export class LargerSearch {
  private readonly placement: Placement;
  private readonly movable: number[];
  private readonly random: () => number;
  private readonly start: { minutes: number; objective: number };
  private best: { objective: number; minutes: number; at: number[] };
  private readonly most: number;
  private tries = 0;

  /**
   * @param moves what is proposed besides; it begins when they are done
   * @param leave what is left as it is: `bin id > shelf id`
   */
  constructor(
    readonly home: HandlingHome,
    moves: readonly ProposedMove[],
    private readonly leave: ReadonlySet<string> = new Set(),
    seed = 1,
  ) {
    const at = home.units.map(({ origin }) => origin);
    for (const { carries } of moves) for (const { unit, to } of carries) at[unit] = to;
    // What was carried for safety stays where it is safe.
    const safe = new Set(moves.flatMap(({ safety, carries }) => (safety ? carries.map(({ unit }) => unit) : [])));
    this.placement = new Placement(home, at);
    this.movable = home.units.flatMap(({ stays, allowed }, unit) =>
      stays === null && allowed.length > 1 && !safe.has(unit) ? [unit] : [],
    );
    this.random = seededRandom(seed);
    const { minutes, objective } = this.placement;
    this.start = { minutes, objective };
    this.best = { minutes, objective, at };
    // From what does not stand nothing is proposed.
    this.most =
      this.placement.stands && this.movable.length > 2
        ? Math.min(MOST_TRIES, TRIES + TRIES_A_BIN * this.movable.length)
        : 0;
  }

  /** @returns whether there is more to do */
  step(count: number): boolean {
    for (let n = 0; n < count && this.tries < this.most; n++) this.tryOne();
    return this.tries < this.most;
  }

  private tryOne(): void {
    const { placement, home, movable } = this;
    const heat = HOT * (COLD / HOT) ** (this.tries++ / this.most);
    const pick = (): number => movable[Math.floor(this.random() * movable.length)]!;
    const kind = this.random();
    const units = kind < 0.5 ? [pick()] : kind < 0.85 ? [pick(), pick()] : [pick(), pick(), pick()];
    const froms = units.map((unit) => placement.at[unit]!);
    if (new Set(froms).size < froms.length) return;
    const { allowed } = home.units[units[0]!]!;
    const tos =
      units.length === 1
        ? [allowed[Math.floor(this.random() * allowed.length)]!]
        : froms.map((_, nth) => froms[(nth + 1) % froms.length]!);
    if (units.some((unit, nth) => !this.mayGo(unit, tos[nth]!))) return;
    const before = placement.objective;
    units.forEach((unit, nth) => placement.move(unit, tos[nth]!));
    const worse = placement.objective - before;
    if (placement.stands && (worse <= 0 || this.random() < Math.exp(-worse / heat))) {
      if (placement.objective < this.best.objective - 1e-9)
        this.best = { objective: placement.objective, minutes: placement.minutes, at: [...placement.at] };
      return;
    }
    units.forEach((unit, nth) => placement.move(unit, froms[nth]!));
  }

  private mayGo(unit: number, to: number): boolean {
    const { allowed, binId, origin } = this.home.units[unit]!;
    if (!allowed.includes(to)) return false;
    return to === origin || !this.leave.has(`${binId} > ${this.home.shelves[to]!.shelfId}`);
  }

  /** All of it as one move from how it is, in an order that can be carried out; null: it saves too little beyond the moves. */
  answer(): Larger | null {
    const moreMinutes = this.start.minutes - this.best.minutes;
    if (moreMinutes < LARGER_SAVES_MINUTES || this.best.objective >= this.start.objective) return null;
    const { home } = this;
    const walk = new Placement(home);
    const minutes = walk.minutes;
    const open = home.units.flatMap(({ origin }, unit): Carry[] =>
      this.best.at[unit] === origin ? [] : [{ unit, from: origin, to: this.best.at[unit]! }],
    );
    const carries: Carry[] = [];
    let ring = false;
    const fits = ({ unit, from, to }: Carry): boolean => {
      walk.move(unit, to);
      const stands = walk.stands;
      walk.move(unit, from);
      return stands;
    };
    while (open.length > 0) {
      const at = open.findIndex(fits);
      // None finds its place free: one has to be set aside for a while.
      if (at < 0) ring = true;
      const [carry] = open.splice(Math.max(0, at), 1);
      walk.move(carry!.unit, carry!.to);
      carries.push(carry!);
    }
    const lead = carries.reduce(
      (most, { unit }) => (home.units[unit]!.uses > home.units[most]!.uses ? unit : most),
      carries[0]!.unit,
    );
    const before = new Placement(home).priceOfUnit(lead);
    // The bin it is said of comes last in no order: its price is of the whole.
    const onceMinutes = carries.reduce((sum, { unit }) => sum + home.units[unit]!.moveMinutes, 0);
    return {
      move: {
        carries,
        stray: null,
        lead,
        ring,
        safety: false,
        savedMinutes: minutes - walk.minutes,
        onceMinutes,
        before,
        after: walk.priceOfUnit(lead),
      },
      moreMinutes,
      bins: carries.length,
    };
  }
}
