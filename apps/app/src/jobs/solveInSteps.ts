import { searchPlan, type PlanProblem } from '@ours/core';
import type { SolverMessage } from './solverMessages';

/** Ways tried before the search is content. A number, not a time: the same problem and seed give the same plan anywhere. */
export const MOST_TRIES = 1200;
/** Work between two looks at the messages. */
const SLICE_MS = 30;
/** How often at most it says where it is: each word draws the screen anew. */
const TOLD_EVERY_MS = 200;

/** Searches slice by slice, telling of every better plan. Answers how to stop it. */
export function solveInSteps(problem: PlanProblem, tell: (message: SolverMessage) => void): () => void {
  let stopped = false;
  const started = performance.now();
  const elapsed = (): number => Math.round(performance.now() - started);
  try {
    const search = searchPlan(problem);
    let tries = 0;
    let seen = search.version();
    let told = 0;
    tell({ kind: 'better', answer: search.best(), tries, ms: elapsed() });
    const go = (): void => {
      if (stopped) return;
      const until = performance.now() + SLICE_MS;
      let open = true;
      while (open && tries < MOST_TRIES && performance.now() < until) {
        open = search.step(1);
        tries++;
      }
      const better = search.version() > seen;
      if (elapsed() - told >= TOLD_EVERY_MS) {
        told = elapsed();
        seen = search.version();
        tell(better ? { kind: 'better', answer: search.best(), tries, ms: told } : { kind: 'going', tries, ms: told });
      }
      if (!open || tries >= MOST_TRIES) tell({ kind: 'done', answer: search.best(), tries, ms: elapsed() });
      else setTimeout(go, 0);
    };
    setTimeout(go, 0);
  } catch (error) {
    tell({ kind: 'failed', problem: error instanceof Error ? error.message : 'The plan could not be computed.' });
  }
  return () => {
    stopped = true;
  };
}
