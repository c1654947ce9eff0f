import type { DateKind, PackSize, MadeKind } from '../household';
import { type DateReading, countWord, isRareUnit } from '../base';
import type { Atom } from './atoms';
import type { DateField } from './dateWords';
import type { LineAction, TakeReason } from './lineWords';
import type { ThingMatches } from './thingNames';

/**
 * What a run of atoms may mean. Spans of one line overlap and contradict each other; the search takes the set that covers the
 * line with the most points.
 */
export interface Span {
  /** Atom indices, `to` exclusive. */
  from: number;
  to: number;
  points: number;
  value: SpanValue;
}

export type SpanValue =
  | {
      kind: 'count';
      thousandths: number;
      unit: string | null;
      /** `bare`: a number and nothing that says it counts; `sure`: set apart by a sign, a bracket or a unit. */
      how: 'bare' | 'sure' | 'assumed';
      /** The line leaves the number open: what is offered first. */
      options?: readonly number[];
      /** A pack of so many, that could be counted as packs. */
      packs?: { thousandths: number; unit: string };
      size?: PackSize;
    }
  | { kind: 'amount'; measure: PackSize; options?: readonly PackSize[] }
  /** Three sides of one, tenths of a millimetre. */
  | { kind: 'sides'; sides: [number, number, number] }
  | { kind: 'size'; measure: PackSize; options?: readonly PackSize[]; /** `400 g tins`. */ unit?: string }
  | {
      kind: 'date';
      field: DateField;
      dateKind?: DateKind;
      madeKind?: MadeKind;
      reading: DateReading;
      written: string;
      /** No word says what the date means. */
      bare: boolean;
      /** Something follows that is no other part with its own words. */
      midLine: boolean;
    }
  | { kind: 'period'; amount: number; unit: 'day' | 'month'; dateKind: DateKind; onceOpened: boolean; written: string }
  | { kind: 'action'; action: LineAction; none: boolean; reason: TakeReason | null; written: string }
  | { kind: 'place'; key: string; sure: boolean; written: string }
  | { kind: 'no_place'; written: string }
  | { kind: 'batch'; batch: string }
  | { kind: 'tag'; tag: string }
  | { kind: 'thing'; matches: ThingMatches; words: number }
  | { kind: 'name' }
  /** A number that belongs to the name: `2 in 1`, `size 5`, `135x200 cm`. */
  | { kind: 'name_number' }
  | { kind: 'no_of_it'; written: string }
  | { kind: 'filler' }
  | { kind: 'leftover'; written: string; thousandths: number | null };

/**
 * The points. They are ranks, not measured: a part that needs more signs to be agreed counts for more than one that needs
 * fewer, a figure that nothing explains costs more than any part can win, and words in the name cost nothing. The table of
 * lines beside the reader says whether they hold (own choice, no source).
 */
export const POINTS = {
  /** `6 tins`, `x6`: a number and a word or sign that says it counts. */
  counted: 4,
  /** `6 tin tomatoes`: the unit in the singular after more than one may be part of the name. */
  countedOddly: 0.4,
  bareCount: 2,
  article: 0.5,
  packs: 9,
  /** `2 x 6 eggs`. */
  product: 3,
  /** `400 g`, as the amount where it stands first, as the size where it stands after the name. */
  measureInPlace: 4,
  measureOutOfPlace: 1.5,
  /** `135x200 cm`, `4x40`. */
  sides: 9,
  /** `160 x 20 x 8 cm`: three sides are of the thing and not of its name. */
  threeSides: 15.5,
  /** `4x40` without a unit. */
  sidesBare: 6,
  nameNumber: 3,
  glued: 4.5,
  vague: 2,
  range: 2.5,
  dateWithWord: 5,
  wordWithoutDate: 2.5,
  state: 2.5,
  perhapsState: 0.3,
  fullDate: 3.5,
  dateAtom: 0.5,
  shortDate: 2.6,
  dateOnlyLikely: 1,
  period: 6,
  action: 2.2,
  sign: 3,
  loneSign: 1,
  place: 14,
  perhapsPlace: 12,
  /** More than the figures in it can win as a count, a date or a place. */
  batch: 15,
  tag: 3,
  /** `half empty`: outdoes the number and the verb in it. */
  notRead: 6,
  thing: 2.5,
  thingWord: 1.2,
  leftover: -6,
  /** A unit straight after a number, or `exp`, is not a word of a name. */
  neverName: -12,
  numberWordInName: -1.5,
  /** Each run of name words after the first. */
  nameApart: -1.5,
  noName: -8,
  /** Words in the name beside a thing that the home knows by itself. */
  thingNotWhole: -1,
  unitMismatch: -5,
  fitsUnit: 3,
  /** Every word left for the name only describes: then the unit was the thing. */
  onlyAdjectives: -4.5,
} as const;

export const wordAt = (atoms: readonly Atom[], at: number): string =>
  atoms[at]?.kind === 'word' ? atoms[at].text : '';
export const signAt = (atoms: readonly Atom[], at: number): string =>
  atoms[at]?.kind === 'sign' ? atoms[at].text : '';
export const isGlued = (atoms: readonly Atom[], at: number): boolean =>
  atoms[at] !== undefined && !atoms[at].spaceBefore;

/** Index after the atoms that no blank divides. */
export function chunkEnd(atoms: readonly Atom[], at: number): number {
  let end = at + 1;
  while (end < atoms.length && isGlued(atoms, end)) end += 1;
  return end;
}

/** Index after a phrase that begins at an atom, or null. A full stop after a short form is part of it. */
export function phraseEnd(atoms: readonly Atom[], at: number, words: readonly string[]): number | null {
  let here = at;
  for (const word of words) {
    if (wordAt(atoms, here) !== word) return null;
    here += 1;
    if (signAt(atoms, here) === '.' && isGlued(atoms, here) && words.length > 1) here += 1;
  }
  return here;
}

export type CountValue = Extract<SpanValue, { kind: 'count' }>;
/** Puts a span from the number that is looked at. */
export type AddSpan = (to: number, points: number, value: SpanValue) => void;

export const skipOf = (atoms: readonly Atom[], at: number): number => (wordAt(atoms, at) === 'of' ? at + 1 : at);
export const isTimes = (atoms: readonly Atom[], at: number): boolean =>
  wordAt(atoms, at) === 'x' || wordAt(atoms, at) === 'times' || signAt(atoms, at) === '*';

/** `6-pack`: the hyphen between a number and its unit. */
export const unitStart = (atoms: readonly Atom[], at: number): number =>
  signAt(atoms, at) === '-' && isGlued(atoms, at) && isGlued(atoms, at + 1) ? at + 1 : at;
export const eachEnd = (atoms: readonly Atom[], at: number): number =>
  /^(each|ea|apiece)$/.test(wordAt(atoms, at)) ? at + 1 : skipOf(atoms, at);

/** A unit word at an atom, when it can be one after so many; with the index after it and after `of`. */
export function unitAfter(
  atoms: readonly Atom[],
  at: number,
  thousandths: number,
): { unit: string; next: number } | null {
  const found = countWord(wordAt(atoms, at));
  if (!found) return null;
  if (found.singular && thousandths > 1000 && !found.short) return null;
  if (isRareUnit(found.unit) && wordAt(atoms, skipOf(atoms, at + 1)) === '') return null;
  const next = signAt(atoms, at + 1) === '.' && isGlued(atoms, at + 1) && found.short ? at + 2 : at + 1;
  return { unit: found.unit, next: skipOf(atoms, next) };
}
