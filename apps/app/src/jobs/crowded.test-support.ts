import { plainRoom, type PlanProblem } from '@ours/core';

/** One shelf and more groups than it houses: the search goes on to its end. */
export const crowded: PlanProblem = {
  shelves: [
    {
      shelfId: 's',
      bottomTenthMm: 0,
      room: plainRoom(9000, 4000, 3000),
      loadGrams: null,
      adjustable: false,
      inBody: true,
    },
  ],
  holes: null,
  holeCount: 0,
  heightTenthMm: 3200,
  containers: [
    {
      containerId: 'crate',
      widthTenthMm: 3000,
      depthTenthMm: 3000,
      heightTenthMm: 2500,
      footShare: 1,
      stackPitchTenthMm: null,
      volumeMl: 20_000,
      weightGrams: 900,
      maxLoadGrams: null,
      free: 9,
      priceMinor: null,
      family: '',
    },
  ],
  groups: Array.from({ length: 5 }, (_, at) => ({ name: `g${at}`, volumeMl: 15_000, grams: 0 })),
  locked: [],
  budgetMinor: null,
  family: null,
  moveShelves: false,
  seed: 1,
};
