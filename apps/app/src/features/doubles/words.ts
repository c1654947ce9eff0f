import { pluralUnit, type DoubleWhy, type MergeProblem } from '@ours/core';

export const WHY_WORDS: Readonly<Record<DoubleWhy, string>> = {
  same_code: 'one trade number was noted for both',
  same_words: 'their names have the same words',
  also_called: 'one is also called as the other is',
  spelling: 'their names differ by one letter',
};

/** Why two things stay two. */
export function mergeProblemWords(problem: MergeProblem): string {
  switch (problem.kind) {
    case 'other_unit':
      return `One is kept in ${pluralUnit(problem.unit, 2000)}, the other in ${pluralUnit(problem.other, 2000)}: they cannot be added up.`;
    case 'both_medicines':
      return 'Both are noted as medicines: take one of them out under Care first, so that nothing typed from a package is mixed up.';
    case 'too_many':
      return `That is ${problem.operations} changes at once, and 500 are taken: move some of it by hand first.`;
  }
}
