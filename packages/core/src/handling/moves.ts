/** Which bins and things to carry elsewhere, in the order in which it is worth it, and how good what is left is. */
import type { HandlingHome, Stray } from './handlingTypes';
import type { Larger } from './rearrange';
import { Placement, priceByTerm, priceOf, strayMinutes, sumOf, type UnitPrice } from './Placement';
import { placementBound } from './placementBound';
import { HANDLING } from './weights';

export interface Carry {
  /** Places among the units and the shelves. */
  unit: number;
  from: number;
  to: number;
}

/** Something to do that stands by itself. */
export interface ProposedMove {
  /** Bins in the order in which they are carried: when one comes to its place it is free. Empty for a stray. */
  carries: readonly Carry[];
  stray: Stray | null;
  /** The bin the move is for; null for a stray. */
  lead: number | null;
  /** Two or more change places: one has to be set aside. */
  ring: boolean;
  safety: boolean;
  /** Minutes a month less, exactly, when all moves before it are done. */
  savedMinutes: number;
  onceMinutes: number;
  /** Of the lead bin, before and after. */
  before: UnitPrice | null;
  after: UnitPrice | null;
}

export interface MovesAnswer {
  moves: readonly ProposedMove[];
  /** Minutes a month as it is, and when all is done; by term. */
  now: ReturnType<typeof priceByTerm>;
  then: ReturnType<typeof priceByTerm>;
  /** The objective of no placement is below: minutes a month, with what is done once counted over half a year. */
  boundMinutes: number;
  /** With all bins carried. */
  objectiveMinutes: number;
  /** The search has looked at every single move, swap and chain of two. */
  complete: boolean;
  /** Many bins at once, instead of the moves; null: none is worth it; left out: not looked for, or not yet. */
  larger?: Larger | null;
}

/**
 * The moves that help most, so many, in an order in which their savings hold: bins as they were found, best first, and strays, which
 * hang together with nothing.
 */
export function mostHelpful(moves: readonly ProposedMove[], count: number): ProposedMove[] {
  const bins = moves.filter(({ stray, safety }) => stray === null && !safety);
  const strays = moves.filter(({ stray, safety }) => stray !== null && !safety);
  strays.sort((a, b) => b.savedMinutes - a.savedMinutes);
  const picked = moves.filter(({ safety }) => safety).slice(0, count);
  while (picked.length < count && (bins.length > 0 || strays.length > 0)) {
    const [bin, stray] = [bins[0]?.savedMinutes ?? -1, strays[0]?.savedMinutes ?? -1];
    picked.push((bin >= stray ? bins : strays).shift()!);
  }
  return picked;
}

/** Proposed are moves that win at least so much of the objective; own default. */
const LEAST_GAIN = 0.3;
/** A bin alone that wins less is not looked at with another one that makes room. */
const LEAST_ALONE = 0.5;
const EPSILON = 1e-9;

interface Candidate {
  carries: Carry[];
  gain: number;
  saved: number;
}

/** Looks for moves, in steps: whoever runs it can stop in between. */
export class MoveSearch {
  private readonly placement: Placement;
  private readonly now: ReturnType<typeof priceByTerm>;
  private readonly moves: ProposedMove[] = [];
  private readonly carried = new Set<number>();
  private readonly bound: number;
  private unit = 0;
  private best: Candidate | null = null;
  private done = false;

  /** @param leave what is left as it is: `subject id > nook id` */
  constructor(
    readonly home: HandlingHome,
    private readonly leave: ReadonlySet<string> = new Set(),
  ) {
    this.placement = new Placement(home);
    this.now = priceByTerm(this.placement);
    this.bound = placementBound(home);
    this.proposeStrays();
    this.proposeSafety();
  }

  /** Looks through some more bins. @returns whether there is more to do */
  step(count: number): boolean {
    for (let looked = 0; looked < count && !this.done; looked++) {
      if (this.unit >= this.home.units.length) this.takeBest();
      else this.lookAt(this.unit++);
    }
    return !this.done;
  }

  answer(): MovesAnswer {
    const then = priceByTerm(this.placement);
    const stays = this.home.strays.filter(({ lotId }) => !this.moves.some(({ stray }) => stray?.lotId === lotId));
    const strays = stays.reduce((sum, { uses }) => sum + strayMinutes(uses), 0);
    // What is done about dangers and strays is no matter of minutes: the bound is of the bins alone.
    return {
      moves: this.moves,
      now: this.now,
      then: { ...then, strays, sum: then.sum - then.strays + strays },
      boundMinutes: Math.min(this.bound, this.placement.objective),
      objectiveMinutes: this.placement.objective,
      complete: this.done,
    };
  }

  private isLeft(subjectId: string, nookId: string): boolean {
    return this.leave.has(`${subjectId} > ${nookId}`);
  }

  private proposeStrays(): void {
    const strays = [...this.home.strays].sort((a, b) => Number(b.safety) - Number(a.safety) || b.uses - a.uses);
    for (const stray of strays) {
      if (this.isLeft(stray.lotId, stray.toNookId)) continue;
      this.moves.push({
        carries: [],
        stray,
        lead: null,
        ring: false,
        safety: stray.safety,
        savedMinutes: strayMinutes(stray.uses),
        onceMinutes: HANDLING.thingMinutes,
        before: null,
        after: null,
      });
    }
  }

  /** Bins of medicines that are not locked away, where a child lives and a locked place has room. */
  private proposeSafety(): void {
    for (const binId of this.home.unguarded) {
      const unit = this.home.units.findIndex((one) => one.binId === binId);
      const { medicine, allowed, origin } = this.home.units[unit]!;
      if (!medicine) continue;
      let best: { to: number; objective: number } | null = null;
      for (const to of allowed) {
        if (!this.home.shelves[to]!.locked || this.isLeft(binId, this.home.shelves[to]!.shelfId)) continue;
        this.placement.move(unit, to);
        const { objective, stands } = this.placement;
        if (stands && (!best || objective < best.objective)) best = { to, objective };
        this.placement.move(unit, origin);
      }
      if (best) this.accept([{ unit, from: origin, to: best.to }], true);
    }
  }

  /** All that can be done with one bin: alone, and with one that makes room for it. */
  private lookAt(unit: number): void {
    const { placement, home } = this;
    const { allowed, stays, binId } = home.units[unit]!;
    if (stays !== null || this.carried.has(unit)) return;
    const from = placement.at[unit]!;
    const start = placement.objective;
    const monthly = placement.minutes;
    const price = sumOf(placement.priceOfUnit(unit));
    for (const to of allowed) {
      if (to === from || this.isLeft(binId, home.shelves[to]!.shelfId)) continue;
      const alone = price - sumOf(priceOf(home, home.units[unit]!, to));
      placement.move(unit, to);
      if (placement.stands) this.consider([{ unit, from, to }], start, monthly);
      else if (alone >= LEAST_ALONE) this.makeRoom(unit, from, to, start, monthly);
      placement.move(unit, from);
    }
  }

  private makeRoom(unit: number, from: number, to: number, start: number, monthly: number): void {
    const { placement, home } = this;
    for (const other of [...placement.unitsOn(to)]) {
      if (other === unit || this.carried.has(other) || home.units[other]!.stays !== null) continue;
      for (const away of home.units[other]!.allowed) {
        if (away === to || this.isLeft(home.units[other]!.binId, home.shelves[away]!.shelfId)) continue;
        placement.move(other, away);
        if (placement.stands)
          this.consider(
            [
              { unit: other, from: to, to: away },
              { unit, from, to },
            ],
            start,
            monthly,
          );
        placement.move(other, to);
      }
    }
  }

  private consider(carries: Carry[], start: number, monthly: number): void {
    const gain = start - this.placement.objective;
    if (gain < LEAST_GAIN || gain <= (this.best?.gain ?? 0) + EPSILON) return;
    const saved = monthly - this.placement.minutes;
    const once = carries.reduce((sum, { unit }) => sum + this.home.units[unit]!.moveMinutes, 0);
    if (saved < HANDLING.leastSaving || saved * HANDLING.months < once) return;
    this.best = { carries, gain, saved };
  }

  private takeBest(): void {
    if (!this.best) {
      this.done = true;
      return;
    }
    this.accept(this.best.carries, false);
    this.best = null;
    this.unit = 0;
  }

  private accept(carries: readonly Carry[], safety: boolean): void {
    const { placement, home } = this;
    const lead = carries.at(-1)!.unit;
    const monthly = placement.minutes;
    const before = placement.priceOfUnit(lead);
    for (const { unit, to } of carries) {
      placement.move(unit, to);
      this.carried.add(unit);
    }
    this.moves.push({
      carries,
      stray: null,
      lead,
      ring: carries.length > 1 && isRing(carries),
      safety,
      savedMinutes: monthly - placement.minutes,
      onceMinutes: carries.reduce((sum, { unit }) => sum + home.units[unit]!.moveMinutes, 0),
      before,
      after: placement.priceOfUnit(lead),
    });
  }
}

/** Each goes where another one of them comes from. */
const isRing = (carries: readonly Carry[]): boolean => {
  const froms = new Set(carries.map(({ from }) => from));
  return carries.every(({ to }) => froms.has(to));
};

/** All of it at once: for tests and small homes. */
export function findMoves(home: HandlingHome, leave: ReadonlySet<string> = new Set()): MovesAnswer {
  const search = new MoveSearch(home, leave);
  while (search.step(50));
  return search.answer();
}
