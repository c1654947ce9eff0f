import type { DateKind, PackSize } from '../../household/registry';
import type { CivilDate } from '../../shelflife/civilDate';
import type { DateHabits, DatePrecision } from '../../shelflife/readDate';
import { readCode } from '../../spaces/nookCode';
import { ONE_THOUSANDTHS, readQuantity } from '../quantity';
import { findDatePhrases, type DateField } from './dates';
import { readAmount, readMeasure, tokensOf } from './tokens';
import { countUnit } from './units';

export type LineAction = 'put_in' | 'take' | 'count';

export type LineQuestion =
  | { kind: 'which_date'; field: DateField; written: string; options: { on: CivilDate; precision: DatePrecision }[] }
  | { kind: 'date_unreadable'; field: DateField; written: string }
  | { kind: 'number_in_name'; written: string; thousandths: number };

export interface RecordedLine {
  /** The line word for word. */
  text: string;
  action: LineAction;
  quantityThousandths: number;
  /** Whether the line itself gave the quantity; otherwise one is assumed. */
  quantityGiven: boolean;
  /** `tin`, `kg` …, or null when the line names none. */
  unit: string | null;
  name: string;
  packSize: PackSize | null;
  expiresOn: CivilDate | null;
  expiryPrecision: DatePrecision | null;
  dateKind: DateKind | null;
  openedOn: CivilDate | null;
  frozenOn: CivilDate | null;
  /** Key of the nook code in the line, when there is one. */
  placeKey: string | null;
  tags: string[];
  questions: LineQuestion[];
  /** False when no name could be found: the line is kept as typed for the person to fix. */
  understood: boolean;
}

export type LineHabits = Omit<DateHabits, 'facing'>;

const TAKE_WORDS = new Set(['take', 'took', 'used', 'use', 'ate', 'minus', 'finished', 'out']);
const PUT_WORDS = new Set(['put', 'add', 'added', 'plus', 'bought', 'new']);
const COUNT_WORDS = new Set(['count', 'counted', 'left', 'have', 'now']);
const LONGEST_LINE = 300;

/**
 * Reads a line as people say it: `6 tins tomatoes 400 g exp 3/27`, `2 bath towels white`, `-1 rice`,
 * `milk 1 l opened today`.
 *
 * @param text one line; over 300 characters the rest is left out of the reading but kept in `text`
 * @param habits the home's date order and the day it is
 * @returns a card to correct: unclear things are in `questions`, never guessed. Never fails.
 * @example recordLine('6 tins tomatoes 400 g exp 3/27', { order: 'dmy', today: '2026-11-24' }).expiresOn
 * //=> '2027-03-31'
 */
export function recordLine(text: string, habits: LineHabits): RecordedLine {
  const card: RecordedLine = {
    text,
    action: 'put_in',
    quantityThousandths: ONE_THOUSANDTHS,
    quantityGiven: false,
    unit: null,
    name: '',
    packSize: null,
    expiresOn: null,
    expiryPrecision: null,
    dateKind: null,
    openedOn: null,
    frozenOn: null,
    placeKey: null,
    tags: [],
    questions: [],
    understood: false,
  };
  let tokens = takeTagsAndPlace(tokensOf(text.slice(0, LONGEST_LINE)), card);
  tokens = takeAction(tokens, card);
  tokens = takeDates(tokens, card, habits);
  tokens = takeLeadingAmount(tokens, card);
  tokens = takeInnerMeasures(tokens, card);
  tokens = takeTrailingAmount(tokens, card);
  card.name = tidyName(tokens);
  card.understood = /\p{L}/u.test(card.name) && card.name.length <= 120;
  return card;
}

function takeTagsAndPlace(tokens: string[], card: RecordedLine): string[] {
  const rest: string[] = [];
  for (let at = 0; at < tokens.length; at++) {
    const token = tokens[at]!;
    const tag = /^#([\p{L}\p{N}][\p{L}\p{N}_-]*)$/u.exec(token);
    if (tag) {
      card.tags.push(tag[1]!.toLowerCase());
      continue;
    }
    const marked = /^@(.*[-\d].*)$/.exec(token)?.[1];
    const dashed = /^[a-z]{2}[0-9]{0,2}-[0-9a-z]{1,6}$/i.test(token) ? token : undefined;
    const reading = readCode(marked ?? dashed ?? '');
    if (card.placeKey === null && reading.kind === 'valid') {
      card.placeKey = reading.key;
      const before = rest.at(-1)?.toLowerCase();
      if (before === 'in' || before === 'to' || before === 'into' || before === 'at' || before === 'from') rest.pop();
      continue;
    }
    rest.push(token);
  }
  return rest;
}

function takeAction(tokens: string[], card: RecordedLine): string[] {
  const [first, ...rest] = tokens;
  if (first === undefined) return tokens;
  const signed = /^([+\-=])(.*)$/.exec(first);
  if (signed && (/^\d/.test(signed[2]!) || signed[2] === '' || signed[1] !== '-')) {
    card.action = ({ '+': 'put_in', '-': 'take', '=': 'count' } as const)[signed[1] as '+' | '-' | '='];
    return signed[2] === '' ? rest : [signed[2]!, ...rest];
  }
  const word = first.toLowerCase();
  const amountFollows = readAmount(rest) !== null || readMeasure(rest) !== null;
  if (amountFollows && TAKE_WORDS.has(word)) card.action = 'take';
  else if (amountFollows && COUNT_WORDS.has(word)) card.action = 'count';
  else if (!(amountFollows && PUT_WORDS.has(word))) {
    if (tokens.length > 2 && tokens.at(-1)!.toLowerCase() === 'left' && readAmount(tokens) !== null) {
      card.action = 'count';
      return tokens.slice(0, -1);
    }
    return tokens;
  }
  return rest;
}

function takeDates(tokens: string[], card: RecordedLine, habits: LineHabits): string[] {
  const gone = new Set<number>();
  for (const phrase of findDatePhrases(tokens, habits)) {
    for (let at = phrase.at; at < phrase.at + phrase.used; at++) gone.add(at);
    const { reading, field } = phrase;
    if (field === 'expiresOn') card.dateKind = phrase.useBy ? 'use_by' : 'best_before';
    if (reading.kind === 'date') {
      card[field] = reading.on;
      if (field === 'expiresOn') card.expiryPrecision = reading.precision;
    } else if (reading.kind === 'ambiguous') {
      card.questions.push({ kind: 'which_date', field, written: phrase.text, options: reading.options });
    } else {
      card.questions.push({ kind: 'date_unreadable', field, written: phrase.text });
    }
  }
  return tokens.filter((_, at) => !gone.has(at));
}

/** `6`, `6x`, `6 tins`, `2 kg`, `6 x 400 g`, `2x330ml` at the head of the line. */
function takeLeadingAmount(tokens: string[], card: RecordedLine): string[] {
  const opened = splitTimes(tokens);
  const measure = readMeasure(opened);
  if (measure) {
    card.quantityThousandths = measure.amountThousandths;
    card.unit = measure.unit;
    card.quantityGiven = true;
    return skipOf(opened.slice(measure.used));
  }
  const amount = readAmount(opened);
  if (!amount) return tokens;
  let rest = opened.slice(amount.used);
  if (rest.length === 0) return tokens;
  card.quantityThousandths = amount.thousandths;
  card.quantityGiven = true;
  if (rest[0]!.toLowerCase() === 'x') rest = rest.slice(1);
  rest = takeSizeAtHead(rest, card);
  const unit = rest.length > 1 ? countUnit(rest[0]!, card.quantityThousandths) : null;
  if (unit !== null) {
    card.unit = unit;
    rest = takeSizeAtHead(skipOf(rest.slice(1)), card);
  }
  return skipOf(rest);
}

function takeSizeAtHead(tokens: string[], card: RecordedLine): string[] {
  const size = card.packSize === null ? readMeasure(tokens) : null;
  if (!size || tokens.length <= size.used) return tokens;
  card.packSize = { amountThousandths: size.amountThousandths, unit: size.unit };
  return tokens.slice(size.used);
}

/** `6x400g` and `6x` are taken apart so that the rest need not know them. */
function splitTimes(tokens: readonly string[]): string[] {
  const match = /^(\d+(?:[.,]\d+)?)x(\d.*)?$/i.exec(tokens[0] ?? '');
  if (!match) return [...tokens];
  return [match[1]!, 'x', ...(match[2] === undefined ? [] : [match[2]]), ...tokens.slice(1)];
}

const skipOf = (tokens: string[]): string[] =>
  tokens.length > 1 && tokens[0]!.toLowerCase() === 'of' ? tokens.slice(1) : tokens;

/** A measure inside or after the name is the size of each: `tomatoes 400 g`, `milk 1 l`. */
function takeInnerMeasures(tokens: string[], card: RecordedLine): string[] {
  const rest = [...tokens];
  for (let at = rest.length - 1; at > 0 && card.packSize === null; at--) {
    const times = /^(\d{1,3})x(\d+(?:[.,]\d+)?)([a-z]+)$/i.exec(rest[at]!);
    const measure = readMeasure(times ? [times[2]! + times[3]!] : rest.slice(at));
    if (!measure) continue;
    card.packSize = { amountThousandths: measure.amountThousandths, unit: measure.unit };
    if (times && !card.quantityGiven) {
      card.quantityThousandths = Number(times[1]) * ONE_THOUSANDTHS;
      card.quantityGiven = true;
    }
    rest.splice(at, times ? 1 : measure.used);
    if (rest[at]?.toLowerCase() === 'each') rest.splice(at, 1);
  }
  return rest;
}

/** `batteries x8` says how many; `eggs 12` may, and is asked. */
function takeTrailingAmount(tokens: string[], card: RecordedLine): string[] {
  const last = tokens.at(-1);
  if (card.quantityGiven || last === undefined || tokens.length < 2) return tokens;
  const times = /^(?:x(\d+(?:[.,]\d+)?)|(\d+(?:[.,]\d+)?)x)$/i.exec(last);
  const apart = tokens.length > 2 && tokens.at(-2)!.toLowerCase() === 'x' ? readQuantity(last) : null;
  const quantity = times ? readQuantity(times[1] ?? times[2]!) : apart;
  if (quantity !== null && quantity > 0) {
    card.quantityThousandths = quantity;
    card.quantityGiven = true;
    return tokens.slice(0, times ? -1 : -2);
  }
  const unit = tokens.length > 2 ? countUnit(last, Number.MAX_SAFE_INTEGER) : null;
  const beforeUnit = unit === null ? null : readQuantity(tokens.at(-2)!);
  if (unit !== null && beforeUnit !== null && beforeUnit > 0) {
    card.quantityThousandths = beforeUnit;
    card.quantityGiven = true;
    card.unit = unit;
    return tokens.slice(0, -2);
  }
  const bare = /^\d{1,4}$/.test(last) ? readQuantity(last) : null;
  if (bare !== null) card.questions.push({ kind: 'number_in_name', written: last, thousandths: bare });
  return tokens;
}

function tidyName(tokens: readonly string[]): string {
  return tokens
    .join(' ')
    .replace(/^[\s,.:;-]+|[\s,.:;-]+$/g, '')
    .replace(/\s*,\s*/g, ', ');
}
