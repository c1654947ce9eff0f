import type { Atom } from './atoms';
import { countSpans } from './countSpans';
import { DateReader } from './dateSpans';
import { numberAt } from './numbers';
import { batchSpans } from './batchSpans';
import { actionSpans, fillerSpan, notReadSpan, placeSpans, tagSpans, ThingReader } from './otherSpans';
import { measureUnit, type DateHabits } from '../base';
import { isGlued, POINTS, signAt, type Span } from './spans';
import type { KnownThings } from './thingNames';

/** A way to read the whole line: spans that follow one another and cover every atom. */
export interface Cover {
  spans: Span[];
  points: number;
}

/** What a cover has already; each may be there once. */
const HAS = {
  count: 1,
  size: 2,
  amount: 4,
  expiresOn: 8,
  openedOn: 16,
  frozenOn: 32,
  thawedOn: 64,
  madeOn: 128,
  place: 256,
  put_in: 512,
  take: 1024,
  counting: 2048,
  name: 4096,
  /** The last span was of the name. */
  inName: 8192,
  zero: 16384,
  openedDays: 32768,
  batch: 65536,
  sides: 131072,
} as const;
const ANY_ACTION = HAS.put_in | HAS.take | HAS.counting;

interface Step {
  bits: number;
  points: number;
  span: Span | null;
  before: Step | null;
}

/** Ways kept at each place of the line; more than a line has room for that differ (own choice). */
const KEPT = 20;
const KEPT_ALIKE = 2;

/**
 * The best ways to cover a line with what its pieces may mean.
 *
 * @param habits the home's order of dates and the day it is
 * @returns at most a few dozen, best first by the points of the spans alone; never empty for a line with an atom
 */
export function coversOf(
  line: string,
  atoms: readonly Atom[],
  habits: Omit<DateHabits, 'facing'>,
  things: KnownThings | null,
): Cover[] {
  const dates = new DateReader(line, atoms, habits);
  const known = new ThingReader(atoms, things);
  const at: Step[][] = Array.from({ length: atoms.length + 1 }, () => []);
  at[0]!.push({ bits: 0, points: 0, span: null, before: null });
  for (let here = 0; here < atoms.length; here++) {
    const steps = best(at[here]!);
    if (steps.length === 0) continue;
    for (const span of spansAt(line, atoms, here, dates, known)) {
      for (const step of steps) {
        const next = follow(step, span);
        if (next) at[span.to]!.push(next);
      }
    }
  }
  return best(at[atoms.length]!).map(coverOf);
}

function spansAt(line: string, atoms: readonly Atom[], at: number, dates: DateReader, known: ThingReader): Span[] {
  const spans = [
    ...tagSpans(line, atoms, at),
    ...placeSpans(line, atoms, at),
    ...batchSpans(line, atoms, at),
    ...actionSpans(line, atoms, at),
    ...dates.spans(at),
    ...countSpans(atoms, at),
    ...known.spans(at),
  ];
  const notRead = notReadSpan(line, atoms, at);
  if (notRead) spans.push(notRead);
  const filler = fillerSpan(atoms, at);
  if (filler) spans.push(filler);
  const { kind, text } = atoms[at]!;
  if (kind === 'word' || (kind === 'sign' && !'.,;:()-/*@#"[]{}=€$£%~'.includes(text))) {
    spans.push({
      from: at,
      to: at + 1,
      points: namePoints(atoms, at),
      value: { kind: 'name' },
    });
  } else if (kind !== 'sign' || !filler) {
    spans.push(leftover(line, atoms, at));
  }
  return spans;
}

/** Words cost nothing in a name, but a number in words costs something, and a unit or `exp` nearly everything. */
function namePoints(atoms: readonly Atom[], at: number): number {
  if (isNeverName(atoms, at)) return POINTS.neverName;
  const number = numberAt(atoms, at);
  return number && !number.weak ? POINTS.numberWordInName : 0;
}

/** `g` straight after a number, `exp`: only a name when all else fails. */
function isNeverName(atoms: readonly Atom[], at: number): boolean {
  const { text } = atoms[at]!;
  if (/^(exp|bb|bbe|bbd|expires|expiry)$/.test(text)) return true;
  const before = atoms[at - 1];
  if (measureUnit(text) === null || before === undefined) return false;
  return before.kind === 'digits' || before.kind === 'fraction' || numberAt(atoms, at - 1)?.next === at;
}

/** A figure, with all that stands straight beside it, or a sign that nothing explains. */
function leftover(line: string, atoms: readonly Atom[], at: number): Span {
  let to = at + 1;
  const joins = (index: number): boolean =>
    isGlued(atoms, index) && !(',;)!?'.includes(signAt(atoms, index) || '~') && !isGlued(atoms, index + 1));
  const isFigure = atoms[at]!.kind !== 'sign' || '€$£'.includes(atoms[at]!.text);
  while (isFigure && to < atoms.length && joins(to)) to += 1;
  if (to > at + 1 && signAt(atoms, to - 1) === '.') to -= 1;
  const price = '€$£'.includes(signAt(atoms, at) || '~') && atoms[to]?.kind === 'digits';
  if (isFigure && (price || '€$£'.includes(signAt(atoms, to) || '~'))) to = price ? priceEnd(atoms, to) : to + 1;
  const number = numberAt(atoms, at);
  const written = line.slice(atoms[at]!.from, atoms[to - 1]!.to);
  return {
    from: at,
    to,
    points: isFigure ? POINTS.leftover : -0.5,
    value: isFigure
      ? { kind: 'leftover', written, thousandths: number?.next === to ? number.thousandths : null }
      : { kind: 'filler' },
  };
}

/** `€ 2.99`. */
function priceEnd(atoms: readonly Atom[], at: number): number {
  let to = at + 1;
  while (to < atoms.length && isGlued(atoms, to)) to += 1;
  return to;
}

/** The step that a span makes, or null when the cover has such a part already. */
function follow(step: Step, span: Span): Step | null {
  const { value } = span;
  let { bits } = step;
  let points = step.points + span.points;
  const once = (bit: number, conflicts = bit): boolean => {
    if ((bits & conflicts) !== 0) return false;
    bits |= bit;
    return true;
  };
  let naming = false;
  switch (value.kind) {
    case 'count':
      if (!once(HAS.count, HAS.count | HAS.amount | HAS.zero)) return null;
      if (value.size && !once(HAS.size)) return null;
      break;
    case 'amount':
      if (!once(HAS.amount, HAS.count | HAS.amount | HAS.zero)) return null;
      break;
    case 'sides':
      if (!once(HAS.sides)) return null;
      break;
    case 'size':
      if (!once(HAS.size)) return null;
      break;
    case 'no_of_it':
      if (!once(HAS.zero, HAS.count | HAS.amount | HAS.zero)) return null;
      break;
    case 'date':
      if (!once(HAS[value.field])) return null;
      break;
    case 'period':
      if (!once(value.onceOpened ? HAS.openedDays : HAS.expiresOn)) return null;
      break;
    case 'place':
    case 'no_place':
      if (!once(HAS.place)) return null;
      break;
    case 'batch':
      if (!once(HAS.batch)) return null;
      break;
    case 'action': {
      const own = value.action === 'count' ? HAS.counting : HAS[value.action];
      // `there are 5 left` says the same twice; `bought` and `used` in one line do not go together.
      if ((bits & ANY_ACTION & ~own) !== 0) return null;
      if ((bits & own) !== 0) points += span.points < 1 ? 0.4 : -0.5;
      bits |= own;
      break;
    }
    case 'thing':
    case 'name':
    case 'name_number':
      if ((bits & HAS.name) !== 0 && (bits & HAS.inName) === 0) points += POINTS.nameApart;
      bits |= HAS.name;
      naming = true;
      break;
    case 'filler':
      naming = (bits & HAS.inName) !== 0;
      break;
    case 'tag':
    case 'leftover':
      break;
  }
  bits = naming ? bits | HAS.inName : bits & ~HAS.inName;
  return { bits, points, span, before: step };
}

/** The best of the steps that end at one place, at most two of which have the same parts. */
function best(steps: Step[]): Step[] {
  steps.sort((a, b) => b.points - a.points);
  const alike = new Map<number, number>();
  const kept: Step[] = [];
  for (const step of steps) {
    const count = alike.get(step.bits) ?? 0;
    if (count >= KEPT_ALIKE) continue;
    alike.set(step.bits, count + 1);
    kept.push(step);
    if (kept.length >= KEPT) break;
  }
  return kept;
}

function coverOf(last: Step): Cover {
  const spans: Span[] = [];
  for (let step: Step | null = last; step?.span; step = step.before) spans.push(step.span);
  return { spans: spans.reverse(), points: last.points };
}
