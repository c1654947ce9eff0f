/** Why a trade number or code could not be read. The words for it are the screens'. */
export type CodeProblem =
  | { kind: 'no_code'; text: string }
  /** 8, 12, 13 or 14 figures are accepted. */
  | { kind: 'wrong_length'; figures: number; text: string }
  /** The check digit does not agree with the other figures. */
  | { kind: 'wrong_check'; digits: string }
  | { kind: 'all_zeros' }
  | { kind: 'no_count'; text: string }
  | { kind: 'no_day'; text: string }
  /** An address without a place of this home or a trade number. */
  | { kind: 'other_address'; text: string }
  /** Neither brackets nor identifiers from here on. */
  | { kind: 'not_read'; text: string }
  | { kind: 'unknown_part'; identifier: string }
  /** `most` figures, or for `open` parts 1 to `most` characters, are accepted. */
  | { kind: 'wrong_part'; identifier: string; text: string; most: number; open: boolean };

export interface NotRead {
  ok: false;
  problem: CodeProblem;
}
export const problem = (of: CodeProblem): NotRead => ({ ok: false, problem: of });
