/** No placement is better than this: each bin at its cheapest place with nothing in front, while the shelves are not over-full. */
import type { HandlingHome } from './handlingTypes';
import { Placement, priceOf, sumOf } from './Placement';
import { HANDLING } from './weights';

/** Rounds of improving the bound. */
const ROUNDS = 300;
/** Rounds without a better one before the steps get shorter. */
const PATIENCE = 8;

/**
 * A lower bound for the objective of every placement that stands: the Lagrangian dual of giving each bin one shelf, with the widths as
 * constraints. A bin takes at least half its narrower front where another may stand behind it, and half again where it may be stacked.
 */
export function placementBound(home: HandlingHome): number {
  const { units, shelves } = home;
  const narrowestDepth = Math.min(...units.map(({ body }) => Math.min(body.width, body.depth)));
  const options = units.map((unit) =>
    unit.allowed.map((shelf) => {
      const { row } = shelves[shelf]!;
      const { width, depth, height, pitch } = unit.body;
      const fronts = [
        ...(depth <= row.depth ? [width] : []),
        ...(width <= row.depth ? [depth] : []),
        ...(depth > row.depth && width > row.depth ? [width] : []),
      ];
      const least = Math.min(depth <= row.depth ? depth : Infinity, width <= row.depth ? width : Infinity);
      const behind = least + narrowestDepth <= row.depth ? 0.5 : 1;
      const stacked = pitch !== null && height + pitch <= row.height ? 0.5 : 1;
      const once = shelf === unit.origin ? 0 : unit.moveMinutes / HANDLING.months;
      return {
        shelf,
        takes: unit.keptFree ? 0 : Math.min(...fronts) * behind * stacked,
        cost: sumOf(priceOf(home, unit, shelf)) + once,
      };
    }),
  );
  const prices = shelves.map(() => 0);
  const upper = new Placement(home).objective;
  let best = -Infinity;
  let share = 1;
  let idle = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const over = shelves.map(({ capMm }) => -capMm);
    let value = -prices.reduce((sum, price, shelf) => sum + price * shelves[shelf]!.capMm, 0);
    for (const own of options) {
      let cheapest = own[0]!;
      let least = Infinity;
      for (const option of own) {
        const cost = option.cost + prices[option.shelf]! * option.takes;
        if (cost < least) [cheapest, least] = [option, cost];
      }
      value += least;
      over[cheapest.shelf]! += cheapest.takes;
    }
    if (value > best + 1e-9) [best, idle] = [value, 0];
    else if (++idle > PATIENCE) [share, idle] = [share / 2, 0];
    // A shelf that is free and costs nothing says nothing of how to go on.
    const square = over.reduce((sum, mm, shelf) => sum + (mm < 0 && prices[shelf] === 0 ? 0 : mm * mm), 0);
    if (square === 0 || upper - value < 1e-9) break;
    const step = (share * (upper - value)) / square;
    over.forEach((mm, shelf) => {
      prices[shelf] = Math.max(0, prices[shelf]! + step * mm);
    });
  }
  return best;
}
