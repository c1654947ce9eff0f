import { MoveSearch, type HandlingHome, type MovesAnswer } from '@ours/core';
import { inSlices } from './job';

export interface MovesInput {
  home: HandlingHome;
  /** What is left as it is: `subject id > nook id`. */
  leave: readonly string[];
}
/** The first answer is told at once, then what was found since. */
const TOLD_EVERY_MS = 150;

/** Looks for what to carry where in a home. */
export const movesJob = inSlices<MovesInput, MovesAnswer>(({ home, leave }, news) => {
  const search = new MoveSearch(home, new Set(leave));
  news(search.answer());
  let told = performance.now();
  return () => {
    const more = search.step(1);
    if (!more || performance.now() - told > TOLD_EVERY_MS) {
      told = performance.now();
      news(search.answer());
    }
    return more;
  };
});
