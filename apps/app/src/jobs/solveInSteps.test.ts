import { plainRoom, type PlanProblem } from '@ours/core';
import { MOST_TRIES, solveInSteps } from './solveInSteps';
import type { SolverMessage } from './solverMessages';

/** One shelf and more groups than it houses: the search goes on to its end. */
const crowded: PlanProblem = {
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

const listen = (problem: PlanProblem): Promise<SolverMessage[]> =>
  new Promise((done) => {
    const heard: SolverMessage[] = [];
    solveInSteps(problem, (message) => {
      heard.push(message);
      if (message.kind === 'done' || message.kind === 'failed') done(heard);
    });
  });

describe('solving in slices', () => {
  it('answers at once, then ends with the best after a fixed number of tries', async () => {
    const heard = await listen(crowded);
    expect(heard[0]).toMatchObject({ kind: 'better', tries: 0 });
    expect(heard.at(-1)).toMatchObject({ kind: 'done', tries: MOST_TRIES });
    const last = heard.at(-1)!;
    expect(last.kind === 'done' && last.answer.placed).toHaveLength(3);
  });
  it('is done at the first answer when nothing better is possible', async () => {
    const heard = await listen({ ...crowded, groups: crowded.groups.slice(0, 2) });
    expect(heard.at(-1)).toMatchObject({ kind: 'done', answer: { provenBest: true } });
    expect(heard.at(-1)!.kind === 'done' && heard.length).toBeLessThanOrEqual(3);
  });
  it('says nothing more once it was stopped', async () => {
    const heard: SolverMessage[] = [];
    solveInSteps(crowded, (message) => heard.push(message))();
    await new Promise((done) => setTimeout(done, 120));
    expect(heard.map(({ kind }) => kind)).toEqual(['better']);
  });
  it('a problem that cannot be computed is told, not thrown', async () => {
    const heard = await listen({ ...crowded, shelves: null as never });
    expect(heard.at(-1)!.kind).toBe('failed');
  });
});
