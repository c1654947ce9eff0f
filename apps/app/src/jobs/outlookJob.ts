import { HomeOutlook, type OutlookAnswer, type OutlookProblem } from '@ours/core';
import { inSlices } from './job';

/** How far it is, 0 to 1; with the answer at the end. */
export interface OutlookNews {
  share: number;
  answer: OutlookAnswer | null;
}
/** Items between two looks at the clock. */
const AT_ONCE = 25;
const TOLD_EVERY_MS = 200;

/** Works out what a home runs out of and what it loses. */
export const outlookJob = inSlices<OutlookProblem, OutlookNews>((problem, news) => {
  const outlook = new HomeOutlook(problem);
  let told = performance.now();
  return () => {
    if (!outlook.step(AT_ONCE)) {
      news({ share: 1, answer: outlook.answer() });
      return false;
    }
    if (performance.now() - told > TOLD_EVERY_MS) {
      told = performance.now();
      news({ share: outlook.share, answer: null });
    }
    return true;
  };
});
