import type { LengthUnit, ReadingProblem } from '@ours/core';
import { counted } from './counted';

const EXAMPLES = {
  length: 'for example 31.5, 31,5 cm, 315 mm, 12 3/8" or 1\' 2 1/2"',
  mass: 'for example 12.5 kg or 30 lb',
  volume: 'for example 0.5',
  money: 'for example 60 or 59.90',
  quantity: 'for example 2 or 0.5',
} as const;
const CALLED = {
  length: 'a length',
  mass: 'a weight',
  volume: 'a number of litres',
  money: 'an amount of money',
  quantity: 'an amount',
} as const;
const NEEDED: Readonly<Record<'length' | 'mass', Readonly<Record<LengthUnit, string>>>> = {
  length: { metric: '30 cm', inch: '12"' },
  mass: { metric: '2.5 kg', inch: '5 lb' },
};
const LARGEST = { length: '100 m', mass: '100 t' } as const;

/** One sentence: what was read, and what is accepted. */
export function problemWords(problem: ReadingProblem, unit: LengthUnit): string {
  switch (problem.kind) {
    case 'needed':
      return problem.what === 'anything'
        ? 'This is needed.'
        : `${upper(CALLED[problem.what])} is needed, for example ${NEEDED[problem.what][unit]}.`;
    case 'number_needed':
      return `A number from ${problem.least} to ${problem.most} is needed.`;
    case 'not_a':
      return problem.what === 'yes_no'
        ? `“${problem.text}” is neither yes nor no.`
        : `“${problem.text}” is not ${CALLED[problem.what]}; write ${EXAMPLES[problem.what]}.`;
    case 'not_a_number':
      return `“${problem.text}” is not a ${problem.whole ? 'whole number' : 'number'} from ${problem.least} to ${problem.most}.`;
    case 'other_currency':
      return `“${problem.text}” is in another currency; prices here are in ${problem.currency}, so write what it is in ${problem.currency}.`;
    case 'nothing':
      return `“${problem.text}” is nothing; ${CALLED[problem.what]} is more than 0.`;
    case 'too_large':
      return `“${problem.text}” is over ${LARGEST[problem.what]}; check the unit.`;
    case 'too_long':
      return `${counted(problem.letters, { one: 'There is # letter', other: 'There are # letters' })}; up to ${problem.most} are kept.`;
    case 'too_many':
      return `${counted(problem.count, { one: 'There is #', other: 'There are #' })}; up to ${problem.most} are kept.`;
    case 'none_of':
      return `“${problem.text}” is none of: ${problem.values.join(', ')}.`;
  }
}

const upper = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);
