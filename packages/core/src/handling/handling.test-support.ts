import type { HandlingHome, HandlingShelf, HandlingUnit } from './handlingTypes';

export const reachers = [
  { personId: 'a', name: 'A', reachMm: 2050, steps: true, guessed: false },
  { personId: 'b', name: 'B', reachMm: 2200, steps: true, guessed: false },
  { personId: 'c', name: 'C', reachMm: 1700, steps: false, guessed: false },
];
export const unit = (more: Partial<HandlingUnit> = {}): HandlingUnit => ({
  binId: 'bin',
  name: 'bin',
  body: { width: 400, depth: 300, height: 240, pitch: null, type: null, uses: 1 },
  lid: false,
  keptFree: false,
  grams: 1000,
  uses: 1,
  usesFrom: 'said',
  who: [{ at: 0, share: 1 }],
  roomId: 'kitchen',
  purpose: 'other',
  tag: '',
  chemical: false,
  food: false,
  medicine: false,
  guarded: false,
  origin: 0,
  allowed: [0],
  moveMinutes: 3,
  stays: null,
  ...more,
});
export const shelf = (more: Partial<HandlingShelf> = {}): HandlingShelf => ({
  shelfId: 'shelf',
  spaceId: 'space',
  roomId: 'kitchen',
  footMm: 1000,
  row: { width: 800, depth: 400, height: 400, fromAbove: false },
  capMm: 800,
  loadGrams: null,
  climate: 'room',
  locked: false,
  purpose: 'other',
  ...more,
});
export const homeOf = (units: HandlingUnit[], shelves: HandlingShelf[]): HandlingHome => ({
  reachers,
  units,
  shelves,
  paces: {},
  strays: [],
  unguarded: [],
  unmeasured: { shelves: 0, bins: 0 },
});

/** An invented home in which everything stands as it is. */
export function randomHome(random: () => number, units: number, shelves: number): HandlingHome {
  const pick = (n: number): number => Math.floor(random() * n);
  const made = Array.from({ length: shelves }, (_, at) =>
    shelf({
      shelfId: `s${at}`,
      spaceId: `space${at % 2}`,
      roomId: at % 2 ? 'cellar' : 'kitchen',
      footMm: 100 + pick(20) * 100,
      row: {
        width: 900 + pick(6) * 100,
        depth: 300 + pick(4) * 50,
        height: 250 + pick(3) * 60,
        fromAbove: pick(9) === 0,
      },
      purpose: at % 2 ? 'food' : 'other',
      loadGrams: pick(5) === 0 ? 30_000 : null,
    }),
  );
  for (const one of made) one.capMm = one.row.width;
  const all = Array.from({ length: units }, (_, at) => {
    const width = 150 + pick(6) * 60;
    const uses = [0.1, 0.3, 1, 4.3, 12, 30][pick(6)]!;
    return unit({
      binId: `u${at}`,
      name: `u${at}`,
      body: {
        width,
        depth: 150 + pick(3) * 70,
        height: 120 + pick(3) * 40,
        pitch: pick(3) === 0 ? 90 : null,
        type: `t${pick(3)}`,
        uses,
      },
      lid: pick(3) === 0,
      grams: 500 + pick(40) * 400,
      uses,
      who: pick(2) ? [{ at: pick(3), share: 1 }] : [0, 1, 2].map((who) => ({ at: who, share: 1 / 3 })),
      roomId: pick(3) ? 'kitchen' : 'cellar',
      tag: pick(3) === 0 ? `tag${pick(2)}` : '',
      purpose: pick(3) ? 'other' : 'food',
      origin: at % shelves,
      allowed: made.map((_, nth) => nth),
      moveMinutes: 2 + pick(4),
    });
  });
  return homeOf(all, made);
}
