/** The same thing under two names: found, and made one. */
import { convertMeasure, foldedWords, singularWord } from '../base';
import type { HouseholdState, ItemFields, ItemRow, Op } from '../household';
import type { OpContext } from './stockOps';
import { eachOf, MOST_OPS, opsForTakingOver, pastIn, refusedAmount, type AmountProblem } from './takeOver';

/**
 * Why two things may be one.
 * - `same_code`: one trade number was noted for both
 * - `same_words`: their names have the same words, in another order or number
 * - `also_called`: one is also called as the other is
 * - `spelling`: their names differ by one letter
 */
export type DoubleWhy = 'same_code' | 'same_words' | 'also_called' | 'spelling';
export interface LikelyDouble {
  /** The one of which there is more, else the one that was there first. */
  keep: ItemRow;
  other: ItemRow;
  why: DoubleWhy;
}

const wordsOf = (name: string): string => foldedWords(name).map(singularWord).sort().join(' ');
const lettersOf = (name: string): string => foldedWords(name).join('');
/** Shorter names differ by one letter by chance: `tea` and `pea`. Own default. */
const LEAST_LETTERS = 7;
const WHYS: readonly DoubleWhy[] = ['same_code', 'same_words', 'also_called', 'spelling'];

/**
 * Pairs of things that are likely one, the surest first. What differs in a figure (`No. 4`, `No. 5`) is two things.
 * For example `Candles, tea` and `Tea candle`; `Spagetti` and `Spaghetti`.
 */
export function likelyDoubles(state: HouseholdState): LikelyDouble[] {
  const items = state.all('item');
  const found = new Map<string, LikelyDouble>();
  const note = (a: ItemRow, b: ItemRow, why: DoubleWhy): void => {
    if (a.id === b.id) return;
    const key = [a.id, b.id].sort().join(' ');
    if (found.has(key)) return;
    const [keep, other] = inOrder(state, a, b);
    found.set(key, { keep, other, why });
  };
  const pairUp = (why: DoubleWhy, keysOf: (item: ItemRow) => readonly string[]): void => {
    const first = new Map<string, ItemRow[]>();
    for (const item of items)
      for (const key of new Set(keysOf(item))) {
        if (key === '') continue;
        const known = first.get(key);
        if (!known) first.set(key, [item]);
        else {
          for (const one of known) note(one, item, why);
          known.push(item);
        }
      }
  };
  pairUp('same_code', ({ codes }) => codes ?? []);
  pairUp('same_words', ({ name }) => [wordsOf(name)]);
  const byName = new Map(items.map((item) => [wordsOf(item.name), item]));
  for (const item of items)
    for (const name of item.synonyms) {
      const other = byName.get(wordsOf(name));
      if (other) note(other, item, 'also_called');
    }
  pairUp('spelling', ({ name }) => {
    const letters = lettersOf(name);
    // Names that differ by one letter have a key in common: themselves with that letter left out.
    return letters.length < LEAST_LETTERS ? [] : withoutOne(letters);
  });
  return [...found.values()]
    .filter(({ keep, other, why }) => why !== 'spelling' || isOneLetter(lettersOf(keep.name), lettersOf(other.name)))
    .sort((a, b) => WHYS.indexOf(a.why) - WHYS.indexOf(b.why) || (a.keep.name < b.keep.name ? -1 : 1));
}

const withoutOne = (letters: string): string[] => [
  letters,
  ...Array.from(letters, (_, at) => letters.slice(0, at) + letters.slice(at + 1)),
];

/** One letter more, less or another one; figures count as they are. */
function isOneLetter(a: string, b: string): boolean {
  if (a.replace(/\D/g, '') !== b.replace(/\D/g, '')) return false;
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if (long.length - short.length > 1) return false;
  let at = 0;
  while (at < short.length && short[at] === long[at]) at++;
  return short.slice(short.length === long.length ? at + 1 : at) === long.slice(at + 1);
}

function inOrder(state: HouseholdState, a: ItemRow, b: ItemRow): [ItemRow, ItemRow] {
  const amount = ({ id }: ItemRow): number =>
    state.lotsOf(id).reduce((sum, { quantityThousandths }) => sum + quantityThousandths, 0);
  const more = amount(b) - amount(a);
  return more > 0 || (more === 0 && b.id < a.id) ? [b, a] : [a, b];
}

export type MergeProblem =
  /** Grams of the one, tins of the other; or tins and packs, of which nobody said how many are in one. */
  | { kind: 'other_unit'; unit: string; other: string }
  /** Both have what was typed from a package: one of them has to go first. */
  | { kind: 'both_medicines' }
  | AmountProblem;
const MOST_WORDS = 40;
const MOST_CODES = 20;

/**
 * Makes two things one: all that lies there of the other, and all that speaks of it, is of the first from now on; what the first lacks
 * it has from the other, and it is also called as the other was. One command, so that it is taken back as one. Where one is kept in
 * grams and the other in kilograms, amounts are written anew; what happened before stays in the unit in which it was written.
 */
export function opsForMerging(
  state: HouseholdState,
  keep: ItemRow,
  other: ItemRow,
  context: OpContext,
): { ok: true; ops: Op[] } | { ok: false; problem: MergeProblem } {
  const each = eachOf(other.unit, keep.unit);
  if (each === null) return { ok: false, problem: { kind: 'other_unit', unit: keep.unit, other: other.unit } };
  if (medicines(state, keep) > 0 && medicines(state, other) > 0)
    return { ok: false, problem: { kind: 'both_medicines' } };
  const refused = refusedAmount(state, other, each);
  if (refused) return { ok: false, problem: refused };
  const fields = { ...takenOver(keep, other), ...pastOf(keep, other, each) };
  const ops: Op[] = [
    ...opsForTakingOver(state, other, keep.id, each, context),
    ...(Object.keys(fields).length > 0
      ? [{ op: 'change' as const, entity: 'item' as const, id: keep.id, fields }]
      : []),
    { op: 'retire', entity: 'item', id: other.id },
  ];
  return ops.length > MOST_OPS
    ? { ok: false, problem: { kind: 'too_many', operations: ops.length } }
    : { ok: true, ops };
}

/** What was used of the other counts as use of the first one too. */
function pastOf(keep: ItemRow, other: ItemRow, each: number): Partial<ItemFields> {
  const more = each === 1 ? (other.before ?? []) : pastIn(other, each);
  return more.length === 0 ? {} : { before: [...(keep.before ?? []), ...more] };
}

const medicines = (state: HouseholdState, { id }: ItemRow): number =>
  state.all('medicine').filter(({ itemId }) => itemId === id).length;

/** What the thing that stays lacks, from the one that goes. */
function takenOver(keep: ItemRow, other: ItemRow): Partial<ItemFields> {
  const fields: Partial<ItemFields> = {};
  const both = (a: readonly string[], b: readonly string[], most: number): string[] =>
    [...new Set([...a, ...b])].slice(0, most);
  const called = both(
    keep.synonyms,
    [other.name, ...other.synonyms].filter((name) => name !== keep.name),
    MOST_WORDS,
  );
  if (called.length > keep.synonyms.length) fields.synonyms = called;
  const tags = both(keep.tags, other.tags, MOST_WORDS);
  if (tags.length > keep.tags.length) fields.tags = tags;
  const codes = both(keep.codes ?? [], other.codes ?? [], MOST_CODES);
  if (codes.length > (keep.codes ?? []).length) fields.codes = codes;
  if (keep.category === '' && other.category !== '') fields.category = other.category;
  if (keep.lowAtThousandths === null && other.lowAtThousandths !== null)
    fields.lowAtThousandths = convertMeasure(other.lowAtThousandths, other.unit, keep.unit);
  if (keep.openedDays === null && other.openedDays !== null) fields.openedDays = other.openedDays;
  if (keep.freezerMonths === null && other.freezerMonths !== null) fields.freezerMonths = other.freezerMonths;
  return fields;
}
