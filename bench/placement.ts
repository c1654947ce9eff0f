import { handlingHome, HouseholdState, LargerSearch, MoveSearch, type HandlingHome } from '@ours/core';
import { buildDemoHome } from '@ours/demo';
import { table } from './table';

const TODAY = '2026-11-26';
/** A search is stopped after so long; what it has found by then is the answer. */
const MOST_MS = 20_000;

/** The demo home so many times in one: every bin may stand in every copy of the shelves it may stand on. */
function repeated(home: HandlingHome, times: number): HandlingHome {
  const copies = Array.from({ length: times }, (_, at) => at);
  const { length } = home.shelves;
  return {
    ...home,
    shelves: copies.flatMap((copy) =>
      home.shelves.map((shelf) => ({
        ...shelf,
        shelfId: `${copy} ${shelf.shelfId}`,
        spaceId: `${copy} ${shelf.spaceId}`,
      })),
    ),
    units: copies.flatMap((copy) =>
      home.units.map((unit) => ({
        ...unit,
        binId: `${copy} ${unit.binId}`,
        tag: unit.tag === '' ? '' : `${copy} ${unit.tag}`,
        origin: unit.origin + copy * length,
        allowed:
          unit.stays === null
            ? copies.flatMap((other) => unit.allowed.map((shelf) => shelf + other * length))
            : [unit.origin + copy * length],
      })),
    ),
    strays: [],
    unguarded: [],
  };
}

/** Where things go: how soon there is a first answer, how long the whole takes, and how far from the best possible it can be. */
export function benchPlacement(): void {
  const state = new HouseholdState();
  for (const row of buildDemoHome(TODAY).rows) state.put(row);
  const started = performance.now();
  const home = handlingHome(state, TODAY);
  const read = performance.now() - started;
  const rows = [1, 2, 6].map((times) => {
    const big = repeated(home, times);
    const start = performance.now();
    const search = new MoveSearch(big);
    search.answer();
    const first = performance.now() - start;
    let longest = 0;
    for (let more = true; more && performance.now() - start < MOST_MS;) {
      const before = performance.now();
      more = search.step(1);
      longest = Math.max(longest, performance.now() - before);
    }
    const larger = new LargerSearch(big, search.answer().moves);
    const again = performance.now();
    while (larger.step(40) && performance.now() - again < MOST_MS);
    const found = larger.answer();
    const { objectiveMinutes, boundMinutes, now, then, complete } = search.answer();
    return [
      String(big.units.length),
      String(big.shelves.length),
      `${Math.round(first)} ms`,
      `${Math.round(performance.now() - start)} ms${complete ? '' : ' (stopped)'}`,
      `${Math.round(longest)} ms`,
      `${now.sum.toFixed(0)} to ${then.sum.toFixed(0)}`,
      `${(((objectiveMinutes - boundMinutes) / boundMinutes) * 100).toFixed(1)} %`,
      `${Math.round(performance.now() - again)} ms, ${found ? `${found.moreMinutes.toFixed(1)} more` : 'none'}`,
    ];
  });
  table(`Where things go, the demo home and copies of it (read in ${Math.round(read)} ms)`, [
    [
      'bins',
      'shelves',
      'first answer',
      'all',
      'longest step',
      'minutes a month',
      'at most from the best',
      'larger one',
    ],
    ...rows,
  ]);
}
