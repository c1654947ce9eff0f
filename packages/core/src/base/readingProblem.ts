/** Why a text could not be read as the figure or text that was wanted. The words for it are the screens'. */
export type ReadingProblem =
  /** Nothing stands where something must. */
  | { kind: 'needed'; what: 'length' | 'mass' | 'anything' }
  | { kind: 'number_needed'; least: number; most: number }
  | { kind: 'not_a'; what: 'length' | 'mass' | 'volume' | 'money' | 'quantity' | 'yes_no'; text: string }
  | { kind: 'not_a_number'; text: string; whole: boolean; least: number; most: number }
  /** A price in another currency than the home's. */
  | { kind: 'other_currency'; text: string; currency: string }
  /** Of what there is always some. */
  | { kind: 'nothing'; what: 'length' | 'mass'; text: string }
  /** More than anything at home: 100 m, 100 t. */
  | { kind: 'too_large'; what: 'length' | 'mass'; text: string }
  | { kind: 'too_long'; letters: number; most: number }
  | { kind: 'too_many'; count: number; most: number }
  | { kind: 'none_of'; text: string; values: readonly string[] };
