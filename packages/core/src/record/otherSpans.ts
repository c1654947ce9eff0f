import { readCode, countWord, measureUnit } from '../base';
import type { Atom } from './atoms';
import { countSpans } from './countSpans';
import { ACTION_PHRASES, FILLERS, GIVEN, NOT_READ, type ActionPhrase } from './lineWords';
import { numberAt } from './numbers';
import { chunkEnd, isGlued, phraseEnd, POINTS, signAt, wordAt, type Span } from './spans';
import { keyOfWords, wordKeys, type KnownThings } from './thingNames';

const LONGEST_NAME_ATOMS = 12;

const BY_FIRST_WORD = new Map<string, ActionPhrase[]>();
for (const phrase of ACTION_PHRASES) {
  const first = phrase.words[0]!;
  BY_FIRST_WORD.set(first, [...(BY_FIRST_WORD.get(first) ?? []), phrase]);
}

/** Words and signs that say which way it goes. */
export function actionSpans(line: string, atoms: readonly Atom[], at: number): Span[] {
  const sign = signAction(line, atoms, at);
  if (sign.length > 0) return sign;
  const none = noneOfIt(line, atoms, at);
  const spans: Span[] = none ? [none] : [];
  const after = afterNumber(line, atoms, at);
  if (after) spans.push(after);
  for (const phrase of BY_FIRST_WORD.get(wordAt(atoms, at)) ?? []) {
    const end = phraseEnd(atoms, at, phrase.words);
    if (end === null) continue;
    const to = NOW.test(wordAt(atoms, end)) && at > 0 && end + 1 === atoms.length ? end + 1 : end;
    const points = pointsOf(atoms, at, to, phrase);
    if (points === null) continue;
    const written = line.slice(atoms[at]!.from, atoms[to - 1]!.to);
    const { action, reason = null, none: leavesNone = false } = phrase;
    spans.push({ from: at, to, points, value: { kind: 'action', action, none: leavesNone, reason, written } });
  }
  return spans;
}

const NOW = /^(today|tonight|now|already|again)$/;

/** `2 left`, `2 more`: straight after a number; and `last` as the first word, which only another action confirms. */
function afterNumber(line: string, atoms: readonly Atom[], at: number): Span | null {
  const said = wordAt(atoms, at);
  const written = line.slice(atoms[at]!.from, atoms[at]!.to);
  const span = (points: number, action: 'count' | 'put_in' | 'take', none = false): Span => ({
    from: at,
    to: at + 1,
    points,
    value: { kind: 'action', action, none, reason: null, written },
  });
  if (said === 'last' && at === 0) return span(1.2, 'take', true);
  const afterCount = at > 0 && (atoms[at - 1]!.kind === 'digits' || numberAt(atoms, at - 1)?.next === at);
  if (!afterCount || atoms[at + 1] === undefined) return null;
  if (said === 'left' || said === 'remaining') return span(0.3, 'count');
  return said === 'more' ? span(1.2, 'put_in') : null;
}

function pointsOf(atoms: readonly Atom[], at: number, to: number, { where, words }: ActionPhrase): number | null {
  const length = words.length * 0.8;
  const amount = numberAt(atoms, amountStart(atoms, to));
  const beforeAmount = amount !== null && !amount.weak;
  const atEnd = at > 0 && isAtEnd(atoms, to);
  if (where === 'any') return (at === 0 || atEnd || beforeAmount ? POINTS.action : 1) + length;
  if (where === 'start') return at === 0 ? POINTS.action + length : null;
  if (where === 'end') return atEnd ? POINTS.action + length : null;
  if (beforeAmount) return POINTS.action + length;
  if (atEnd && where === 'amount_or_end') return POINTS.action + length;
  // Straight before a thing the home knows it may be the action, and otherwise part of a name: `used tyres`.
  return at === 0 && atoms[to] !== undefined && where !== 'amount' ? -1.1 + length : null;
}

/** `half empty`, `need milk`: what the record does not hold. */
export function notReadSpan(line: string, atoms: readonly Atom[], at: number): Span | null {
  for (const { words, where } of NOT_READ) {
    if (words[0] !== wordAt(atoms, at)) continue;
    const to = phraseEnd(atoms, at, words);
    if (to === null || (where === 'start' && at > 0) || (where === 'end' && (at === 0 || !isAtEnd(atoms, to))))
      continue;
    const written = line.slice(atoms[at]!.from, atoms[to - 1]!.to);
    const points = POINTS.notRead + words.length;
    return { from: at, to, points, value: { kind: 'leftover', written, thousandths: null } };
  }
  return null;
}

/** After a verb come `the`, `my`, `about` … before the amount. */
const amountStart = (atoms: readonly Atom[], at: number): number =>
  signAt(atoms, at) === ':' || /^(the|my|our|about|only|another|all|last|up|just|around|ca|~)$/.test(wordAt(atoms, at))
    ? at + 1
    : at;

/** The end of the line, or before a sign, a date of today, a tag or a place. */
function isAtEnd(atoms: readonly Atom[], at: number): boolean {
  const next = atoms[at];
  if (next === undefined) return true;
  if (next.kind === 'sign') return '.,;!#@)'.includes(next.text);
  if (/^(today|yesterday|tonight|now|already|from|in|at|again)$/.test(next.text)) return true;
  // `eggs used 2`, `rice left: 3`.
  return next.kind === 'digits' && numberAt(atoms, at)?.next === atoms.length;
}

/** `-2`, `+3`, `= 4`. */
function signAction(line: string, atoms: readonly Atom[], at: number): Span[] {
  const sign = signAt(atoms, at);
  if (sign !== '-' && sign !== '+' && sign !== '=') return [];
  if (!atoms[at]!.spaceBefore) {
    if (sign === '=' && numberAt(atoms, at + 1)) return [signSpan(line, atoms, at, sign, POINTS.sign)];
    // `milk-1` as the last of the line: perhaps one less.
    const last = sign === '-' && wordAt(atoms, at - 1) !== '' && numberAt(atoms, at + 1)?.next === atoms.length;
    return last ? [signSpan(line, atoms, at, sign, POINTS.loneSign)] : [];
  }
  const number = numberAt(atoms, at + 1);
  const glued = isGlued(atoms, at + 1);
  if (number && !number.weak) {
    const clear = glued || at === 0 || sign !== '-';
    return [signSpan(line, atoms, at, sign, clear ? POINTS.sign : POINTS.loneSign)];
  }
  return at === 0 ? [signSpan(line, atoms, at, sign, POINTS.loneSign)] : [];
}

function signSpan(line: string, atoms: readonly Atom[], at: number, sign: '-' | '+' | '=', points: number): Span {
  const action = ({ '+': 'put_in', '-': 'take', '=': 'count' } as const)[sign];
  const written = line.slice(atoms[at]!.from, atoms[at]!.to);
  return { from: at, to: at + 1, points, value: { kind: 'action', action, none: false, reason: null, written } };
}

/** `no rice left`, `no towels`, `0 towels`, `zero towels`. */
function noneOfIt(line: string, atoms: readonly Atom[], at: number): Span | null {
  const said = wordAt(atoms, at);
  // `00` is a kind of flour.
  const digit = atoms[at]?.kind === 'digits' && !/^0\d/.test(atoms[at]!.text);
  const zero = (said === 'zero' || digit) && numberAt(atoms, at)?.thousandths === 0;
  if (said !== 'no' && !zero) return null;
  if (said === 'no' && (at > 0 || atoms[at + 1]?.kind !== 'word')) return null;
  let next = zero ? numberAt(atoms, at)!.next : at + 1;
  const unit = wordAt(atoms, next);
  if (zero && (measureUnit(unit) !== null || countWord(unit)) && wordAt(atoms, next + 1) !== '') next += 1;
  return {
    from: at,
    to: next,
    points: zero ? POINTS.counted + 1 : POINTS.action - 0.4,
    value: { kind: 'no_of_it', written: line.slice(atoms[at]!.from, atoms[next - 1]!.to) },
  };
}

/** Index after the last atom that no blank parts from the one before. */
/** `@BL1-B3K`, `bl1-b3k`, `in BL1-B3K`; one that is not quite a code is asked about. */
export function placeSpans(line: string, atoms: readonly Atom[], at: number): Span[] {
  const opener = /^(in|to|into|at|from|on)$/.test(wordAt(atoms, at));
  const start = opener ? at + 1 : at;
  const first = atoms[start];
  if (!first || (!first.spaceBefore && signAt(atoms, start - 1) !== '(')) return [];
  const marked = signAt(atoms, start) === '@';
  let end = chunkEnd(atoms, start);
  while (end > start + 1 && ',.;)!?'.includes(signAt(atoms, end - 1) || '~')) end -= 1;
  const written = line.slice(first.from, atoms[end - 1]!.to);
  const bare = written.replace(/^@/, '');
  const undashed = marked ? null : undashedCode(line, atoms, start, end);
  if (undashed) {
    const { key, to, written: code } = undashed;
    const value: Span['value'] =
      key === null ? { kind: 'no_place', written: code } : { kind: 'place', key, sure: true, written: code };
    const points = (key === null ? POINTS.perhapsPlace : POINTS.place) + (opener ? 0.9 : 0);
    return [{ from: at, to, points, value }];
  }
  const looksLikeCode =
    /^[a-z]{1,3}[0-9]{0,2}-[0-9a-z]{1,6}$/i.test(bare) && (/\d/.test(bare) || bare === bare.toUpperCase());
  if (!marked && !looksLikeCode && !/^[a-z]{2}[0-9]{0,2}-[0-9a-z]{1,6}$/i.test(bare)) return [];
  if (marked && !/[-\d]/.test(bare)) return [];
  const reading = readCode(bare);
  const span = (points: number, value: Span['value']): Span[] => [
    { from: at, to: end, points: points + (opener ? 0.9 : 0), value },
  ];
  if (reading.kind === 'valid')
    return span(POINTS.place, { kind: 'place', key: reading.key, sure: true, written: bare });
  if (!marked && !looksLikeCode) return [];
  if (reading.kind === 'repaired') {
    return span(POINTS.perhapsPlace, { kind: 'place', key: reading.key, sure: false, written: bare });
  }
  const shaped = marked || /^[a-z]{2}[0-9]{0,2}-[a-z]?[0-9]+[0-9a-z]*$/i.test(bare);
  return shaped ? span(POINTS.perhapsPlace, { kind: 'no_place', written: bare }) : [];
}

/** `BL1B3X` and `bl1 b3x`: a code without its dash, when its check character agrees. One of two words that does not agree is asked about. */
function undashedCode(
  line: string,
  atoms: readonly Atom[],
  start: number,
  end: number,
): { key: string | null; to: number; written: string } | null {
  const written = (to: number): string => line.slice(atoms[start]!.from, atoms[to - 1]!.to);
  const next = atoms[end]?.spaceBefore ? chunkEnd(atoms, end) : end;
  for (const [to, shape] of [
    [end, /^[a-z]{2}\d{0,2}[a-z]\d{1,2}[0-9a-z]$/i],
    [next, /^[a-z]{2}\d{1,2} [a-z]\d{1,2}[0-9a-z]$/i],
  ] as const) {
    if (!shape.test(written(to))) continue;
    const reading = readCode(written(to));
    if (reading.kind === 'valid') return { key: reading.key, to, written: written(to) };
    if (to > end) return { key: null, to, written: written(to) };
  }
  return null;
}

/** `#party`. */
export function tagSpans(line: string, atoms: readonly Atom[], at: number): Span[] {
  if (signAt(atoms, at) !== '#' || !atoms[at]!.spaceBefore || !isGlued(atoms, at + 1)) return [];
  const match = /^#([\p{L}\p{N}][\p{L}\p{N}_-]*)/u.exec(line.slice(atoms[at]!.from));
  if (!match) return [];
  const until = atoms[at]!.from + match[0].length;
  let end = at + 1;
  while (end < atoms.length && atoms[end]!.to <= until) end += 1;
  return [{ from: at, to: end, points: POINTS.tag, value: { kind: 'tag', tag: match[1]!.toLowerCase() } }];
}

/** Runs of words that name a thing the home knows; figures may be among them. */
export class ThingReader {
  private readonly keys: string[][];

  constructor(
    private readonly atoms: readonly Atom[],
    private readonly things: KnownThings | null,
  ) {
    this.keys = things ? atoms.map(({ text, kind }) => (kind === 'sign' ? [] : wordKeys(text))) : [];
  }

  /** Sides that are part of the whole name of a thing say nothing besides it: what they would be worth is the thing's. */
  private sidesWithin(from: number, to: number): number {
    for (let at = from + 1; at < to; at++) {
      const sides = countSpans(this.atoms, at).find(
        (span) => span.points >= POINTS.sides && span.to <= to && isSides(span),
      );
      if (sides) return sides.points;
    }
    return 0;
  }

  spans(at: number): Span[] {
    if (!this.things || (this.keys[at]?.length ?? 0) === 0) return [];
    const spans: Span[] = [];
    const words: string[] = [];
    const last = Math.min(this.keys.length, at + LONGEST_NAME_ATOMS);
    for (let to = at; to < last; to++) {
      if (this.keys[to]!.length === 0) continue;
      words.push(...this.keys[to]!);
      const matches = this.things.match(keyOfWords(words));
      if (matches.whole.length === 0 && matches.base.length === 0) continue;
      const points =
        POINTS.thing +
        words.length * POINTS.thingWord -
        (matches.whole.length === 0 ? 0.3 : 0) +
        (matches.whole.length > 0 ? this.sidesWithin(at, to + 1) : 0);
      let end = to + 1;
      while (isGlued(this.atoms, end) && '%°'.includes(signAt(this.atoms, end) || '~')) end += 1;
      spans.push({ from: at, to: end, points, value: { kind: 'thing', matches, words: words.length } });
    }
    return spans;
  }
}

const isSides = ({ value: { kind } }: Span): boolean => kind === 'sides' || kind === 'name_number';

/** Index after the last of the words that follow each other from an atom. */
function wordsEnd(atoms: readonly Atom[], at: number): number {
  let end = at;
  while (wordAt(atoms, end) !== '') end += 1;
  return end;
}

/** What says nothing: signs between the parts, `each`, a spoken `comma`. */
export function fillerSpan(atoms: readonly Atom[], at: number): Span | null {
  const { kind, text } = atoms[at]!;
  const span = (points: number, to = at + 1): Span => ({ from: at, to, points, value: { kind: 'filler' } });
  if (kind === 'sign') {
    // The point of `.5` is part of the number.
    if (text === '.' && atoms[at]!.spaceBefore && atoms[at + 1]?.kind === 'digits') return span(POINTS.neverName);
    if ('.,;:!()"[]{}'.includes(text)) return span(0);
    if (text === '-' && atoms[at]!.spaceBefore && atoms[at]!.spaceAfter)
      return span(at === 0 ? POINTS.loneSign : POINTS.loneSign);
    if (text === '#' && isGlued(atoms, at + 1) && atoms[at + 1]!.kind === 'word') return span(POINTS.neverName);
    return text === '-' || text === '/' || text === '*' || text === '@' || text === '#' ? span(-1) : null;
  }
  if (text === 'comma') return span(1.2);
  // `got 5 tins left`: what is left is said at the end.
  if (text === 'got' && at === 0 && /^(left|remaining|over)$/.test(wordAt(atoms, atoms.length - 1)))
    return span(POINTS.action + 1);
  if (text === 'to' && at > 1 && GIVEN.has(wordAt(atoms, 0)) && wordAt(atoms, at + 1) !== '') {
    const to = wordsEnd(atoms, at + 1);
    if (to === atoms.length) return span(0.9, to);
  }
  if (text === 'full' && wordAt(atoms, at + 1) === 'stop') return span(1.2, at + 2);
  if (FILLERS.has(text)) return span(text === 'the' ? 0.9 : 0.1);
  if (/^(unopened|sealed)$/.test(text) && at > 0 && (isAtEnd(atoms, at + 1) || atoms[at + 1]!.kind === 'digits'))
    return span(0.6);
  if (text === 'all' && at === 0 && wordAt(atoms, 1) === 'the') return span(1.8, 2);
  if (/^an?$/.test(text) && (numberAt(atoms, at + 1) || wordAt(atoms, at + 1) === 'new')) return span(0.9);
  if (text === 'new' && countWord(wordAt(atoms, at + 1))?.singular && wordAt(atoms, at + 2) === 'of') return span(0.6);
  if (/^(of|x)$/.test(text)) return span(-0.3);
  if (/^(my|our)$/.test(text) && at === 0) return span(0.6);
  return null;
}
