import { LargerSearch, MoveSearch, onlySpaces, type HandlingHome, type MovesAnswer } from '@ours/core';
import { inSlices } from './job';

export interface MovesInput {
  home: HandlingHome;
  /** What is left as it is: `subject id > nook id`. */
  leave: readonly string[];
  /** Only these may change; null: the whole home. */
  spaceIds: readonly string[] | null;
}
/** The first answer is told at once, then what was found since. */
const TOLD_EVERY_MS = 150;

/** Tries of a larger rearrangement between two looks at the clock. */
const TRIES_AT_ONCE = 40;

/** Looks for what to carry where in a home: single moves and swaps, then a larger rearrangement instead of them. */
export const movesJob = inSlices<MovesInput, MovesAnswer>(({ home: whole, leave, spaceIds }, news) => {
  const home = spaceIds === null ? whole : onlySpaces(whole, new Set(spaceIds));
  const search = new MoveSearch(home, new Set(leave));
  let larger: LargerSearch | null = null;
  news(search.answer());
  let told = performance.now();
  return () => {
    if (larger) {
      const more = larger.step(TRIES_AT_ONCE);
      if (!more) news({ ...search.answer(), larger: larger.answer() });
      return more;
    }
    const more = search.step(1);
    if (!more || performance.now() - told > TOLD_EVERY_MS) {
      told = performance.now();
      news(search.answer());
    }
    if (!more) larger = new LargerSearch(home, search.answer().moves, new Set(leave));
    return true;
  };
});
