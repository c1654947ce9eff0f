import { readQuantity } from '../base';
import type { Atom } from './atoms';

export interface NumberReading {
  thousandths: number;
  /** Index of the first atom after the number. */
  next: number;
  /** Written in words (`six`, `a dozen`). */
  inWords: boolean;
  /** `1,500` and `1.500`: the reading with the sign as a decimal sign, while `thousandths` takes it for thousands. */
  asDecimal?: number;
  sign?: ',' | '.';
  /** `a`, `an`: weak as a number. */
  weak?: boolean;
}

const FRACTIONS: ReadonlyMap<string, number> = new Map([
  ['½', 500],
  ['¼', 250],
  ['¾', 750],
  ['⅓', 333],
  ['⅔', 667],
  ['⅛', 125],
  ['⅜', 375],
  ['⅝', 625],
  ['⅞', 875],
]);
const ONES: ReadonlyMap<string, number> = new Map(
  (
    'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen ' +
    'eighteen nineteen'
  )
    .split(' ')
    .map((word, value) => [word, value]),
);
const TENS: ReadonlyMap<string, number> = new Map(
  'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ').map((word, at) => [word, (at + 2) * 10]),
);
const DENOMINATORS: ReadonlySet<number> = new Set([2, 3, 4, 5, 6, 8, 10]);
const DATE_SIGNS: ReadonlySet<string> = new Set(['.', '/', '-', ':']);

const word = (atoms: readonly Atom[], at: number): string => (atoms[at]?.kind === 'word' ? atoms[at].text : '');
const isDigits = (atom: Atom | undefined): atom is Atom => atom?.kind === 'digits';
const isSign = (atom: Atom | undefined, sign: string): boolean => atom?.kind === 'sign' && atom.text === sign;
const glued = (atom: Atom | undefined): boolean => atom !== undefined && !atom.spaceBefore;

/**
 * The number that begins at an atom: `6`, `2,5`, `1/2`, `1 1/2`, `1½`, `1,500`, `twenty-five`, `half a dozen`,
 * `one and a half`, `1 point 5`.
 *
 * @param afterDash whether the number may follow a dash, as the second of `2-3`
 * @returns null when none begins there, when it is part of something like a date (`12.03.2027`), or above a million
 */
export function numberAt(atoms: readonly Atom[], at: number, afterDash = false): NumberReading | null {
  const plain = pointFirst(atoms, at) ?? digitsAt(atoms, at, afterDash) ?? wordsAt(atoms, at);
  if (!plain) return null;
  if (!plain.inWords) plain.next = afterIsh(atoms, plain.next);
  const whole = plain.thousandths % 1000 === 0;
  const dozenAt = word(atoms, plain.next);
  if ((dozenAt === 'dozen' || dozenAt === 'dozens' || dozenAt === 'doz') && !plain.asDecimal) {
    return bounded({ ...plain, thousandths: plain.thousandths * 12, next: plain.next + 1, weak: false });
  }
  const half = whole ? andAFraction(atoms, plain.next) : null;
  if (half)
    return bounded({ ...plain, thousandths: plain.thousandths + half.thousandths, next: half.next, weak: false });
  return bounded(plain);
}

/** `20ish`, `20-ish`. */
function afterIsh(atoms: readonly Atom[], next: number): number {
  const at = isSign(atoms[next], '-') && glued(atoms[next]) ? next + 1 : next;
  return word(atoms, at) === 'ish' && glued(atoms[at]) ? at + 1 : next;
}

const bounded = (reading: NumberReading): NumberReading | null =>
  reading.thousandths <= 1_000_000_000 ? reading : null;

/** `and a half`, `and three quarters`, `and 1/2`. */
function andAFraction(atoms: readonly Atom[], at: number): { thousandths: number; next: number } | null {
  if (word(atoms, at) !== 'and') return null;
  const next = wordFraction(atoms, at + 1, true);
  if (next) return next;
  const slashed = slashFraction(atoms, at + 1);
  return slashed;
}

function wordFraction(
  atoms: readonly Atom[],
  at: number,
  afterAnd: boolean,
): { thousandths: number; next: number } | null {
  let here = at;
  const article = word(atoms, here) === 'a' || word(atoms, here) === 'an' || word(atoms, here) === 'one';
  if (article) here += 1;
  const said = word(atoms, here);
  if (said === 'half') return { thousandths: 500, next: here + 1 };
  if (said === 'quarter') return { thousandths: 250, next: here + 1 };
  if (said === 'third' && (article || afterAnd)) return { thousandths: 333, next: here + 1 };
  if (word(atoms, at) === 'three' && /^quarters?$/.test(word(atoms, at + 1))) return { thousandths: 750, next: at + 2 };
  if (word(atoms, at) === 'two' && word(atoms, at + 1) === 'thirds') return { thousandths: 667, next: at + 2 };
  return null;
}

function slashFraction(atoms: readonly Atom[], at: number): { thousandths: number; next: number } | null {
  const [top, slash, bottom] = [atoms[at], atoms[at + 1], atoms[at + 2]];
  if (top?.kind === 'fraction') return { thousandths: FRACTIONS.get(top.text)!, next: at + 1 };
  if (!isDigits(top) || !isSign(slash, '/') || !glued(slash) || !isDigits(bottom) || !glued(bottom)) return null;
  const [a, b] = [Number(top.text), Number(bottom.text)];
  if (!DENOMINATORS.has(b) || a < 1 || a >= b || top.text.length > 1) return null;
  const after = atoms[at + 3];
  if (after && glued(after) && after.kind === 'sign' && DATE_SIGNS.has(after.text) && isDigits(atoms[at + 4]))
    return null;
  return { thousandths: Math.round((a / b) * 1000), next: at + 3 };
}

/** `.5`. */
function pointFirst(atoms: readonly Atom[], at: number): NumberReading | null {
  const [point, decimals] = [atoms[at], atoms[at + 1]];
  if (!isSign(point, '.') || !point!.spaceBefore || !isDigits(decimals) || !glued(decimals)) return null;
  if (decimals.text.length > 3 || (glued(atoms[at + 2]) && atoms[at + 2]!.kind === 'sign')) return null;
  return { thousandths: Number(decimals.text.padEnd(3, '0')), next: at + 2, inWords: false };
}

function digitsAt(atoms: readonly Atom[], at: number, afterDash: boolean): NumberReading | null {
  const first = atoms[at];
  const before = atoms[at - 1];
  const inFigure = before?.kind === 'sign' && isDigits(atoms[at - 2]) && !before.spaceBefore;
  if (first && glued(first) && inFigure && !(afterDash && before.text === '-')) {
    return null;
  }
  // The decimals of a number that is too fine to be read are no number.
  if (first && glued(first) && isSign(before, '.') && before!.spaceBefore) return null;
  const fraction = slashFraction(atoms, at);
  if (fraction) return { ...fraction, inWords: false };
  if (!isDigits(first) || first.text.length > 7) return null;
  const groups = groupsAt(atoms, at);
  if (groups === null) return null;
  const { next } = groups;
  const text = groups.digits.join('');
  let reading: Omit<NumberReading, 'next'>;
  if (groups.sign === null) {
    reading = { thousandths: Number(text) * 1000, inWords: false };
    const mixed = mixedFraction(atoms, next);
    if (mixed) return { thousandths: reading.thousandths + mixed.thousandths, next: mixed.next, inWords: false };
    if (word(atoms, next) === 'point' || (word(atoms, next) === 'comma' && isDigits(atoms[next + 1]))) {
      const decimals = spokenDecimals(atoms, next + 1);
      if (decimals)
        return { thousandths: Number(text) * 1000 + decimals.thousandths, next: decimals.next, inWords: true };
    }
  } else if (groups.digits.length > 2 || groups.sign === "'") {
    if (!groups.digits.slice(1).every((group) => group.length === 3)) return null;
    reading = { thousandths: Number(text) * 1000, inWords: false };
  } else {
    const [whole, decimals] = groups.digits as [string, string];
    const asDecimal = readQuantity(`${whole}.${decimals}`);
    if (asDecimal === null) return null;
    const grouped = decimals.length === 3 && !whole.startsWith('0') && whole.length <= 3;
    reading = grouped
      ? { thousandths: Number(whole + decimals) * 1000, inWords: false, asDecimal, sign: groups.sign }
      : { thousandths: asDecimal, inWords: false };
  }
  const after = atoms[next];
  if (after && glued(after) && after.kind === 'sign' && DATE_SIGNS.has(after.text) && isDigits(atoms[next + 1])) {
    if (glued(atoms[next + 1]) && after.text !== '-') return null;
  }
  return { ...reading, next };
}

/** Digits with the signs between them; null when the signs are mixed, as in no number. */
function groupsAt(
  atoms: readonly Atom[],
  at: number,
): { digits: string[]; sign: ',' | '.' | "'" | null; next: number } | null {
  const digits = [atoms[at]!.text];
  let sign: ',' | '.' | "'" | null = null;
  let next = at + 1;
  for (;;) {
    const [mark, more] = [atoms[next], atoms[next + 1]];
    // `1 000`: a blank before three noughts parts thousands.
    if (
      digits.length < 3 &&
      isDigits(mark) &&
      mark.text === '000' &&
      mark.spaceBefore &&
      sign === null &&
      digits[0]!.length <= 3
    ) {
      digits.push(mark.text);
      next += 1;
      continue;
    }
    if (!mark || mark.kind !== 'sign' || !glued(mark) || !isDigits(more) || !glued(more)) break;
    if (mark.text !== ',' && mark.text !== '.' && mark.text !== "'") break;
    if (sign !== null && mark.text !== sign) return null;
    sign = mark.text;
    digits.push(more.text);
    next += 2;
  }
  return { digits, sign, next };
}

/** `1½`, `1 ½`, `1 1/2`, `1-1/2`: the fraction after a whole number. */
function mixedFraction(atoms: readonly Atom[], at: number): { thousandths: number; next: number } | null {
  const dashed = isSign(atoms[at], '-') && glued(atoms[at]) && glued(atoms[at + 1]) ? at + 1 : at;
  return slashFraction(atoms, dashed);
}

/** What follows a spoken `point`: `five`, `2 5`, `75`. */
function spokenDecimals(atoms: readonly Atom[], at: number): { thousandths: number; next: number } | null {
  let [digits, next] = ['', at];
  while (digits.length < 3) {
    const atom = atoms[next];
    const one = ONES.get(word(atoms, next));
    if (isDigits(atom) && digits === '') digits = atom.text;
    else if (one !== undefined && one < 10) digits += String(one);
    else break;
    next += 1;
  }
  if (digits === '' || digits.length > 3) return null;
  return { thousandths: Number(digits.padEnd(3, '0')), next };
}

function wordsAt(atoms: readonly Atom[], at: number): NumberReading | null {
  const first = word(atoms, at);
  if (first === '') return null;
  const reading = (thousandths: number, next: number, weak = false): NumberReading => ({
    thousandths,
    next,
    inWords: true,
    ...(weak ? { weak } : {}),
  });
  if (first === 'half' || (/^(an?|one)$/.test(first) && word(atoms, at + 1) === 'half')) {
    let next = at + (first === 'half' ? 1 : 2);
    if (word(atoms, next) === 'a' || word(atoms, next) === 'an') next += 1;
    if (word(atoms, next) === 'dozen') return reading(6000, next + 1);
    return reading(500, next);
  }
  if (
    first === 'quarter' ||
    first === 'three' ||
    first === 'two' ||
    ((first === 'a' || first === 'one') && word(atoms, at + 1) === 'quarter')
  ) {
    const fraction = wordFraction(atoms, at, false);
    if (fraction) {
      let { next } = fraction;
      if (word(atoms, next) === 'of' && /^an?$/.test(word(atoms, next + 1))) next += 2;
      else if (/^an?$/.test(word(atoms, next))) next += 1;
      return reading(fraction.thousandths, next);
    }
  }
  if (first === 'couple' || (first === 'a' && word(atoms, at + 1) === 'couple')) {
    const next = at + (first === 'couple' ? 1 : 2);
    return reading(2000, word(atoms, next) === 'of' ? next + 1 : next);
  }
  if (first === 'dozen') return reading(12_000, at + 1);
  if (first === 'point') {
    const decimals = spokenDecimals(atoms, at + 1);
    return decimals && reading(decimals.thousandths, decimals.next);
  }
  const counted = cardinalAt(atoms, at);
  if (counted) {
    if (word(atoms, counted.next) === 'point' || word(atoms, counted.next) === 'comma') {
      const decimals = spokenDecimals(atoms, counted.next + 1);
      if (decimals) return reading(counted.value * 1000 + decimals.thousandths, decimals.next);
    }
    return reading(counted.value * 1000, counted.next);
  }
  return first === 'a' || first === 'an' ? reading(1000, at + 1, true) : null;
}

/** `seven`, `twenty five`, `twenty-five`, `a hundred`, `two hundred and ten`, `a thousand`. */
function cardinalAt(atoms: readonly Atom[], at: number): { value: number; next: number } | null {
  const under = underHundred(atoms, at);
  const article = /^(a|one)$/.test(word(atoms, at));
  const multiplier = article ? { value: 1, next: at + 1 } : under;
  const scale = multiplier ? word(atoms, multiplier.next) : word(atoms, at);
  if (scale === 'hundred' || scale === 'thousand') {
    const base = (multiplier?.value ?? 1) * (scale === 'hundred' ? 100 : 1000);
    const next = (multiplier?.next ?? at) + 1;
    const rest = underHundred(atoms, word(atoms, next) === 'and' ? next + 1 : next);
    return rest ? { value: base + rest.value, next: rest.next } : { value: base, next };
  }
  return under;
}

function underHundred(atoms: readonly Atom[], at: number): { value: number; next: number } | null {
  const said = word(atoms, at);
  const [tens, ones] = said.split('-');
  if (tens !== undefined && ones !== undefined) {
    const [a, b] = [TENS.get(tens), ONES.get(ones)];
    return a !== undefined && b !== undefined && b > 0 && b < 10 ? { value: a + b, next: at + 1 } : null;
  }
  const ten = TENS.get(said);
  if (ten !== undefined) {
    const one = ONES.get(word(atoms, at + 1));
    return one !== undefined && one > 0 && one < 10 ? { value: ten + one, next: at + 2 } : { value: ten, next: at + 1 };
  }
  const one = ONES.get(said);
  return one === undefined ? null : { value: one, next: at + 1 };
}
