import { amountProblemWords } from '@/features/stock';
import { pluralUnit, type DoubleWhy, type MergeProblem } from '@ours/core';

export const WHY_WORDS: Readonly<Record<DoubleWhy, string>> = {
  same_code: 'one trade number was noted for both',
  same_words: 'their names have the same words',
  also_called: 'one is also called as the other is',
  spelling: 'their names differ by one letter',
};

/** Why two things stay two. @param unit of the one that would go */
export function mergeProblemWords(problem: MergeProblem, unit: string, codeOf: (nookId: string) => string): string {
  switch (problem.kind) {
    case 'other_unit':
      return `One is kept in ${pluralUnit(problem.unit, 2000)}, the other in ${pluralUnit(problem.other, 2000)}: they cannot be added up. On the page of one of them, under About, it can be kept in another unit.`;
    case 'both_medicines':
      return 'Both are noted as medicines: take one of them out under Care first, so that nothing typed from a package is mixed up.';
    default:
      return amountProblemWords(problem, unit, codeOf);
  }
}
