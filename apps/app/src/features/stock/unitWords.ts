import { countWord, eachOf, measureUnit, pluralUnit, readQuantity, type AmountProblem } from '@ours/core';
import { amountWords } from './words';

/** A unit as it is typed: `grams` is `g`, `tins` is `tin`; another word stays as it is. Empty: nothing was typed. */
export function unitTyped(text: string): string {
  const word = text.trim().toLowerCase();
  return measureUnit(word) ?? countWord(word)?.unit ?? word;
}

/** How two units are compared: it is known, or it is asked how many of one are one of the other. */
export interface UnitRatio {
  /** Of the new unit, one of the old one; null: it has to be asked. */
  known: number | null;
  /** `How many g are in one tin?` */
  question: string;
  /** The answer says how many of the old unit one of the new is. */
  turned: boolean;
}
export function ratioOf(from: string, to: string): UnitRatio {
  // Nobody says of how many tins a gram is: measures are asked for.
  const turned = measureUnit(from) !== null && measureUnit(to) === null;
  const [many, one] = turned ? [from, to] : [to, from];
  return { known: eachOf(from, to), question: `How many ${pluralUnit(many, 2000)} are in one ${one}?`, turned };
}

/** The ratio from what was typed; null: it cannot be read, or is nothing. */
export function eachTyped({ known, turned }: UnitRatio, text: string): number | null {
  if (known !== null) return known;
  const thousandths = readQuantity(text);
  if (thousandths === null || thousandths === 0) return null;
  return turned ? 1000 / thousandths : thousandths / 1000;
}

/** Why amounts stay in the unit they are in. */
export function amountProblemWords(problem: AmountProblem, unit: string, codeOf: (nookId: string) => string): string {
  switch (problem.kind) {
    case 'doses_typed':
      return 'How much of it is taken was typed from a plan of doses. That is not turned into other numbers here: take the plan out under Care first.';
    case 'count_first':
      return `Nobody knows how many are in ${codeOf(problem.nookId)}: count there first.`;
    case 'no_such_amount':
      return `${amountWords(problem.thousandths, unit)} in ${codeOf(problem.nookId)} cannot be written in that unit: amounts are a thousandth at least and a million at most.`;
    case 'too_many':
      return `That is ${problem.operations} changes at once, and 500 are taken: move some of it by hand first.`;
  }
}

/** What has to be said anew of a thing that is kept in another unit. */
export const LOST_WORDS: Readonly<Record<'sides' | 'set', string>> = {
  sides: 'Its sides were those of one of the old unit: they are no longer known.',
  set: 'How many make a set was said in the old unit: it is in no set any more.',
};
