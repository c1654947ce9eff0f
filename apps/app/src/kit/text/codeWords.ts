import type { CodeProblem } from '@ours/core';

/** One sentence: what was read of a code, and what is accepted. */
export function codeProblemWords(problem: CodeProblem): string {
  switch (problem.kind) {
    case 'no_code':
      return `“${problem.text}” is no trade number; one has 8, 12, 13 or 14 figures.`;
    case 'wrong_length':
      return `“${problem.text}” has ${problem.figures} figures; a trade number has 8, 12, 13 or 14.`;
    case 'wrong_check':
      return `The last figure of ${problem.digits} does not agree with the others, so one of them is misread; scan or type it again.`;
    case 'all_zeros':
      return 'A trade number is not all zeros.';
    case 'no_count':
      return `The count “${problem.text}” in this code is no number.`;
    case 'no_day':
      return `The date “${problem.text}” in this code is not a day; year, month and day with two figures each are accepted.`;
    case 'other_address':
      return `“${problem.text}” is an address without a place or a trade number in it.`;
    case 'not_read':
      return `This code could not be read from “${problem.text}” on.`;
    case 'unknown_part':
      return `This code has a part (${problem.identifier}) that is not read here; type what it is, and its date.`;
    case 'wrong_part': {
      const most = problem.open ? `1 to ${problem.most} characters` : `${problem.most} figures`;
      return `The part after (${problem.identifier}) of this code is “${problem.text}”; ${most} are accepted.`;
    }
  }
}
