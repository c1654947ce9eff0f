import { searchPlan, type PlanAnswer, type PlanProblem } from '@ours/core';
import { inSlices } from './job';

/** Ways tried before the search is content. A number, not a time: the same problem and seed give the same plan anywhere. */
const TRIES_TO_FILL = 1200;
const TRIES_BY_GROUPS = 6000;
export const mostTries = ({ groups }: Pick<PlanProblem, 'groups'>): number =>
  groups.length > 0 ? TRIES_BY_GROUPS : TRIES_TO_FILL;
/** How often at most it says where it is: each word draws the screen anew. */
const TOLD_EVERY_MS = 200;

/** How far the search is; with an answer when there is a better one, and at the end. */
export interface PlanNews {
  answer: PlanAnswer | null;
  tries: number;
  ms: number;
}

/** Searches a plan, telling of every better one. */
export const planJob = inSlices<PlanProblem, PlanNews>((problem, news) => {
  const started = performance.now();
  const elapsed = (): number => Math.round(performance.now() - started);
  const search = searchPlan(problem);
  const most = mostTries(problem);
  let tries = 0;
  let seen = search.version();
  let told = 0;
  news({ answer: search.best(), tries, ms: elapsed() });
  return () => {
    const open = search.step(1);
    tries++;
    const ended = !open || tries >= most;
    if (ended || elapsed() - told >= TOLD_EVERY_MS) {
      told = elapsed();
      const better = search.version() > seen;
      seen = search.version();
      news({ answer: better || ended ? search.best() : null, tries, ms: told });
    }
    return !ended;
  };
});
