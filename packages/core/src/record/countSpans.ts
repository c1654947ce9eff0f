import type { Atom } from './atoms';
import { ABOUT, VAGUE } from './lineWords';
import { measureAt, measuredAt } from './measures';
import { addNameNumbers, namedNumberAfterWord } from './nameNumbers';
import { numberAt, type NumberReading } from './numbers';
import { addMeasures, addPacks, heldAt, heldValue } from './packs';
import {
  isGlued,
  isTimes,
  phraseEnd,
  POINTS,
  signAt,
  skipOf,
  unitAfter,
  wordAt,
  type CountValue,
  type Span,
  type SpanValue,
} from './spans';
import { canHold, countWord, isRareUnit } from '../base';

/** All that a number (or a word such as `x` before one) may mean at an atom. */
export function countSpans(atoms: readonly Atom[], at: number): Span[] {
  const vague = vagueAt(atoms, at);
  if (vague) return [vague];
  const isAbout = ABOUT.has(wordAt(atoms, at)) || signAt(atoms, at) === '~';
  const about = !isAbout ? at : signAt(atoms, at + 1) === '.' && isGlued(atoms, at + 1) ? at + 2 : at + 1;
  if (about > at) {
    // Nobody writes `about` before a number of a name.
    const sure = (value: SpanValue): SpanValue =>
      value.kind === 'count' && value.how === 'bare' ? { ...value, how: 'sure' } : value;
    return numberSpans(atoms, about).map((span) => ({ ...span, from: at, value: sure(span.value) }));
  }
  const times = timesBefore(atoms, at);
  if (times) return times;
  const holder = holderAlone(atoms, at);
  if (holder) return holder;
  const named = namedNumberAfterWord(atoms, at);
  return named ? [named, ...numberSpans(atoms, at)] : numberSpans(atoms, at);
}

/** `a few`, `some`, `several`. */
function vagueAt(atoms: readonly Atom[], at: number): Span | null {
  for (const { words, options } of VAGUE) {
    const next = phraseEnd(atoms, at, words);
    if (next === null) continue;
    const unit = unitAfter(atoms, next, 5000);
    return {
      from: at,
      to: unit?.next ?? skipOf(atoms, next),
      points: POINTS.vague,
      value: {
        kind: 'count',
        thousandths: 1000,
        unit: unit?.unit ?? null,
        how: 'assumed',
        options: options.map((n) => n * 1000),
      },
    };
  }
  return null;
}

/** `case of 12`, `tray of 18 eggs`, `loaf of bread`: one of the unit, without a number. */
function holderAlone(atoms: readonly Atom[], at: number): Span[] | null {
  const found = countWord(wordAt(atoms, at));
  if (!found?.singular || found.short) return null;
  const before = atoms[at - 1];
  if (before && (before.kind === 'digits' || before.kind === 'fraction' || numberAt(atoms, at - 1))) return null;
  const held = canHold(found.unit) ? heldAt(atoms, at + 1) : null;
  if (held) return [{ from: at, to: held.next, points: POINTS.packs, value: heldValue(1000, found.unit, held) }];
  if (wordAt(atoms, at + 1) !== 'of' || wordAt(atoms, at + 2) === '' || numberAt(atoms, at + 2)) return null;
  const value: CountValue = { kind: 'count', thousandths: 1000, unit: found.unit, how: 'assumed' };
  return [{ from: at, to: at + 2, points: POINTS.counted - 1, value }];
}

/** `x6`, `x 6 tins`, `qty 6`, `(x6)`. */
function timesBefore(atoms: readonly Atom[], at: number): Span[] | null {
  const said = wordAt(atoms, at);
  const sign = isTimes(atoms, at) && said !== 'times';
  if (!sign && said !== 'qty' && said !== 'quantity') return null;
  let start = at + 1;
  if (signAt(atoms, start) === ':' || signAt(atoms, start) === '.') start += 1;
  const measured = measuredAt(atoms, start);
  if (measured) {
    return [
      {
        from: at,
        to: measured.next,
        points: POINTS.measureInPlace,
        value: { kind: 'size', measure: measured.measure },
      },
    ];
  }
  const number = numberAt(atoms, start);
  if (!number || number.weak) return null;
  return [countOf(atoms, at, number, POINTS.counted, 'sure')];
}

/** A count that takes the unit after it along when there is one. `1,500` pieces are fifteen hundred; `1.500` is asked. */
function countOf(
  atoms: readonly Atom[],
  from: number,
  number: NumberReading,
  points: number,
  how: CountValue['how'],
): Span {
  const unit = unitAfter(atoms, number.next, number.thousandths);
  const doubtful = number.asDecimal !== undefined && number.sign === '.';
  return {
    from,
    to: unit?.next ?? number.next,
    points: unit ? Math.max(points, POINTS.counted) : points,
    value: {
      kind: 'count',
      thousandths: number.thousandths,
      unit: unit?.unit ?? null,
      how: unit ? 'sure' : how,
      ...(doubtful ? { options: [number.thousandths, number.asDecimal!] } : {}),
    },
  };
}

/** `half and half`, the cream: both halves are its name. */
const isHalfAndHalf = (atoms: readonly Atom[], at: number): boolean =>
  phraseEnd(atoms, at, ['half', 'and', 'half']) !== null;

function numberSpans(atoms: readonly Atom[], at: number): Span[] {
  if (isHalfAndHalf(atoms, at)) return [{ from: at, to: at + 3, points: POINTS.glued, value: { kind: 'name_number' } }];
  if (isHalfAndHalf(atoms, at - 2)) return [];
  const number = numberAt(atoms, at);
  if (!number || isPrice(atoms, at, number.next)) return [];
  const spans: Span[] = [];
  const add = (to: number, points: number, value: SpanValue): number => spans.push({ from: at, to, points, value });
  const range = rangeAt(atoms, at, number);
  if (range) spans.push(range);
  addNameNumbers(atoms, at, number, add);
  // `2% milk`, `70 % alcohol`: a share counts nothing.
  if (signAt(atoms, number.next) === '%' || /^0{2,4}$/.test(atoms[at]!.text)) return spans;
  addMeasures(atoms, at, add);
  addPacks(atoms, at, number, add);
  if (number.weak) {
    const unit = unitAfter(atoms, number.next, 1000);
    if (unit) {
      add(unit.next, POINTS.counted, { kind: 'count', thousandths: 1000, unit: unit.unit, how: 'sure' });
      const held = canHold(unit.unit) ? heldAt(atoms, number.next + 1) : null;
      if (held) add(held.next, POINTS.packs, heldValue(1000, unit.unit, held));
    } else {
      add(number.next, POINTS.article, { kind: 'count', thousandths: 1000, unit: null, how: 'assumed' });
    }
    return spans;
  }
  const apart = setApart(atoms, at, number.next);
  const bare = countOf(atoms, at, number, apart ? POINTS.counted : POINTS.bareCount, apart ? 'sure' : 'bare');
  const follower = wordAt(atoms, number.next);
  const gluedLetters = isGlued(atoms, number.next) && follower !== '' && follower.length <= 3 && follower !== 'x';
  if (bare.to > number.next || !gluedLetters) spans.push(bare);
  // `5 rolls`: with nothing else to be a name the unit is the thing.
  if (bare.to > number.next) {
    const value: CountValue = { kind: 'count', thousandths: number.thousandths, unit: null, how: 'bare' };
    spans.push({ from: at, to: number.next, points: POINTS.bareCount, value });
  }
  if (isTimes(atoms, number.next) && wordAt(atoms, number.next) !== 'times') {
    const afterTimes = number.next + 1;
    const unit = unitAfter(atoms, afterTimes, number.thousandths);
    add(unit?.next ?? afterTimes, POINTS.counted, {
      kind: 'count',
      thousandths: number.thousandths,
      unit: unit?.unit ?? null,
      how: 'sure',
    });
  }
  const odd = countWord(wordAt(atoms, number.next));
  if (odd?.singular && odd.unit !== 'pack' && !odd.short && number.thousandths > 1000 && !isRareUnit(odd.unit)) {
    const next = skipOf(atoms, number.next + 1);
    const saidOf = next > number.next + 1;
    add(next, saidOf ? POINTS.counted : POINTS.countedOddly, {
      kind: 'count',
      thousandths: number.thousandths,
      unit: odd.unit,
      how: 'sure',
    });
  }
  return spans;
}

const CURRENCY = /^[€$£¥]$/;
/** `2.99 €`, `€2.99`: no amount of anything that is kept. */
const isPrice = (atoms: readonly Atom[], at: number, next: number): boolean =>
  CURRENCY.test(signAt(atoms, next)) ||
  CURRENCY.test(signAt(atoms, at - 1)) ||
  /^(eur|euros?|usd|gbp|dollars?|cents?)$/.test(wordAt(atoms, next));

/** A number in brackets, or after a colon, a comma or an equals sign at the end: it counts. */
function setApart(atoms: readonly Atom[], at: number, next: number): boolean {
  const before = signAt(atoms, at - 1);
  if (before === '(' && signAt(atoms, next) === ')') return true;
  return (before === ':' || before === ',') && atoms[at]!.spaceBefore && next === atoms.length && at > 1;
}

/** `2-3 tins`, `2 to 3`, `two or three`, `400-500 g`. */
function rangeAt(atoms: readonly Atom[], at: number, low: NumberReading): Span | null {
  const joint = atoms[low.next];
  const between =
    (joint?.kind === 'sign' && joint.text === '-' && isGlued(atoms, low.next) === isGlued(atoms, low.next + 1)) ||
    /^(to|or)$/.test(wordAt(atoms, low.next));
  if (!between || low.weak) return null;
  const high = numberAt(atoms, low.next + 1, true);
  if (!high || high.weak || high.thousandths <= low.thousandths) return null;
  const unit = unitAfter(atoms, high.next, high.thousandths);
  const measure = measureAt(atoms, high.next);
  const options = [low.thousandths, high.thousandths];
  if (measure) {
    const sizes = options.map((amountThousandths) => ({ amountThousandths, unit: measure.unit }));
    return {
      from: at,
      to: measure.next,
      points: POINTS.range + 2,
      value: { kind: 'amount', measure: sizes[0]!, options: sizes },
    };
  }
  return {
    from: at,
    to: unit?.next ?? high.next,
    points: POINTS.range + (unit ? 1 : 0),
    value: { kind: 'count', thousandths: low.thousandths, unit: unit?.unit ?? null, how: 'sure', options },
  };
}
