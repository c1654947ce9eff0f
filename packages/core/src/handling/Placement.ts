/** What a home costs to handle as its bins stand: minutes a month, term by term, kept up while bins are moved. */
import { pacesBetween, type HandlingHome, type HandlingUnit } from './handlingTypes';
import { openingSeconds, reachSeconds, weightMinutes } from './reach';
import { layRow, type RowSpot } from './shelfRow';
import { HANDLING } from './weights';

/** Minutes a month of one bin, by what they are spent on. */
export interface UnitPrice {
  taking: number;
  walking: number;
  reaching: number;
  /** Lids, pulling out, lifting away what is in front. */
  opening: number;
  lifting: number;
  /** The space is for other things. */
  purpose: number;
}
export const UNIT_TERMS = ['taking', 'walking', 'reaching', 'opening', 'lifting', 'purpose'] as const;
export const sumOf = (price: UnitPrice): number => UNIT_TERMS.reduce((sum, term) => sum + price[term], 0);

const FREE_OF_COST: UnitPrice = { taking: 0, walking: 0, reaching: 0, opening: 0, lifting: 0, purpose: 0 };
const NOTHING: RowSpot = { inFront: 0, lift: 0, left: 0, back: 0, turned: false };
const NO_ROOM = 0.5;

/** What one bin costs at a place. */
export function priceOf(home: HandlingHome, unit: HandlingUnit, shelfAt: number, spot: RowSpot = NOTHING): UnitPrice {
  if (unit.keptFree) return FREE_OF_COST;
  const shelf = home.shelves[shelfAt]!;
  const grip = shelf.footMm + spot.lift + unit.body.height / 2;
  const minutes = unit.uses / 60;
  // What a thing is for is a guess from words: it keeps a bin out of other spaces, and drives none out of where the home has put it.
  const isAtHome = shelf.spaceId === home.shelves[unit.origin]!.spaceId;
  const reach = unit.who.reduce((sum, { at, share }) => sum + share * reachSeconds(home.reachers[at]!, grip), 0);
  const headroom = shelf.row.height - spot.lift - unit.body.height;
  const opening = openingSeconds({
    lid: unit.lid,
    form: unit.form ?? null,
    fromAbove: shelf.row.fromAbove,
    headroomMm: headroom,
    inFront: spot.inFront,
  });
  return {
    taking: HANDLING.takeSeconds * minutes,
    walking: HANDLING.paceSeconds * pacesBetween(home, unit.roomId, shelf.roomId) * minutes,
    reaching: reach * minutes,
    opening: opening * minutes,
    lifting: weightMinutes(unit.form, unit.grams / 1000, grip),
    purpose:
      isAtHome || unit.purpose === shelf.purpose ? 0 : HANDLING.purposeMinutes + HANDLING.purposeSeconds * minutes,
  };
}

/** Every bin of a home on a shelf. Moving one reckons only what it changes. */
export class Placement {
  /** The shelf of each bin. */
  readonly at: number[];
  readonly spots: RowSpot[];
  private readonly on: number[][];
  private readonly unitMinutes: number[];
  private readonly shelfMinutes: number[];
  private readonly kinMinutes: number[] = [];
  private readonly kin: number[][] = [];
  private readonly kinOf: (number | null)[];
  private monthly = 0;
  private once = 0;
  private overCount = 0;

  constructor(
    readonly home: HandlingHome,
    at?: readonly number[],
  ) {
    const { units, shelves } = home;
    this.at = units.map(({ origin }, unit) => at?.[unit] ?? origin);
    this.spots = units.map(() => NOTHING);
    this.on = shelves.map(() => []);
    this.at.forEach((shelf, unit) => this.on[shelf]!.push(unit));
    this.unitMinutes = units.map(() => 0);
    this.shelfMinutes = shelves.map(() => 0);
    const byTag = new Map<string, number[]>();
    units.forEach(({ tag, keptFree }, unit) => {
      if (tag !== '' && !keptFree) byTag.set(tag, [...(byTag.get(tag) ?? []), unit]);
    });
    this.kinOf = units.map(() => null);
    for (const members of byTag.values()) {
      if (members.length < 2) continue;
      for (const unit of members) this.kinOf[unit] = this.kin.length;
      this.kin.push(members);
      this.kinMinutes.push(0);
    }
    shelves.forEach((_, shelf) => this.layShelf(shelf));
    this.kin.forEach((_, set) => this.priceKin(set));
    this.once = units.reduce(
      (sum, { origin, moveMinutes }, unit) => sum + (this.at[unit] === origin ? 0 : moveMinutes),
      0,
    );
  }

  /** Minutes a month. */
  get minutes(): number {
    return this.monthly;
  }
  /** Minutes, once, from how it is. */
  get onceMinutes(): number {
    return this.once;
  }
  /** What is made as small as it can be: minutes a month, with what is done once counted over half a year. */
  get objective(): number {
    return this.monthly + this.once / HANDLING.months;
  }
  /** All stand where they fit, and no shelf is overloaded. */
  get stands(): boolean {
    return this.overCount === 0;
  }
  unitsOn(shelf: number): readonly number[] {
    return this.on[shelf]!;
  }
  priceOfUnit(unit: number): UnitPrice {
    return priceOf(this.home, this.home.units[unit]!, this.at[unit]!, this.spots[unit]!);
  }

  /** @param unit its place among the units */
  move(unit: number, shelf: number): void {
    const from = this.at[unit]!;
    if (from === shelf) return;
    const { origin, moveMinutes } = this.home.units[unit]!;
    if (from === origin) this.once += moveMinutes;
    else if (shelf === origin) this.once -= moveMinutes;
    const row = this.on[from]!;
    row.splice(row.indexOf(unit), 1);
    // In the order of the units, so that the way to a state does not matter.
    const to = this.on[shelf]!;
    const before = to.findIndex((other) => other > unit);
    to.splice(before < 0 ? to.length : before, 0, unit);
    this.at[unit] = shelf;
    this.layShelf(from);
    this.layShelf(shelf);
    const set = this.kinOf[unit] ?? null;
    if (set !== null) this.priceKin(set);
  }

  private layShelf(shelf: number): void {
    const { row, capMm, loadGrams } = this.home.shelves[shelf]!;
    const units = this.on[shelf]!;
    const laid = layRow(
      { ...row, width: capMm },
      units.map((unit) => this.home.units[unit]!.body),
    );
    let grams = 0;
    units.forEach((unit, nth) => {
      this.spots[unit] = laid.spots[nth]!;
      const minutes = sumOf(this.priceOfUnit(unit));
      this.monthly += minutes - this.unitMinutes[unit]!;
      this.unitMinutes[unit] = minutes;
      grams += this.home.units[unit]!.grams;
    });
    const crowded = laid.over > NO_ROOM ? HANDLING.overMinutes + HANDLING.overMinutesAMm * laid.over : 0;
    const heavy =
      loadGrams !== null && grams > loadGrams && this.isHeavier(units, shelf)
        ? HANDLING.overMinutes + (grams - loadGrams) / 1000
        : 0;
    const before = this.shelfMinutes[shelf]!;
    const now = crowded + heavy;
    this.monthly += now - before;
    this.overCount += Number(now > 0) - Number(before > 0);
    this.shelfMinutes[shelf] = now;
  }
  /** More than it carries as it is: what is too heavy today is said elsewhere, and is no reason against a move that makes it lighter. */
  private isHeavier(units: readonly number[], shelf: number): boolean {
    return units.some((unit) => this.home.units[unit]!.origin !== shelf);
  }

  private priceKin(set: number): void {
    const shelves = new Set<number>();
    const spaces = new Set<string>();
    for (const unit of this.kin[set]!) {
      shelves.add(this.at[unit]!);
      spaces.add(this.home.shelves[this.at[unit]!]!.spaceId);
    }
    const minutes = HANDLING.kinShelfMinutes * (shelves.size - 1) + HANDLING.kinSpaceMinutes * (spaces.size - 1);
    this.monthly += minutes - this.kinMinutes[set]!;
    this.kinMinutes[set] = minutes;
  }
}

/** What a stray costs while it is away, minutes a month. */
export const strayMinutes = (uses: number): number => HANDLING.strayMinutes + (HANDLING.straySeconds * uses) / 60;

/** Minutes a month of a whole home, by what they are spent on; strays and kin apart. */
export function priceByTerm(placement: Placement): UnitPrice & { strays: number; kin: number; sum: number } {
  const sum = { ...FREE_OF_COST };
  placement.home.units.forEach((_, unit) => {
    const price = placement.priceOfUnit(unit);
    for (const term of UNIT_TERMS) sum[term] += price[term];
  });
  const strays = placement.home.strays.reduce((all, { uses }) => all + strayMinutes(uses), 0);
  const kin = placement.minutes - sumOf(sum);
  return { ...sum, strays, kin, sum: placement.minutes + strays };
}
