/**
 * Nook codes: what stands on a label. `BL1-B3K` is the space `BL1`, its shelf `B`, the third bin there, and a check
 * character. Thirty-one characters are used: no I, O, Q, U and no zero, so that neither reading aloud nor
 * handwriting has two ways. The check is a weighted sum modulo a prime, the scheme of ISBN-10 with 31 in place of 11.
 */
export const CODE_ALPHABET = '123456789ABCDEFGHJKLMNPRSTVWXYZ';
const MODULUS = CODE_ALPHABET.length;
const MISREADINGS: Readonly<Record<string, string>> = { '0': 'D', O: 'D', Q: 'D', I: '1', U: 'V' };
const LOOK_ALIKES: Readonly<Record<string, string>> = { L: '1', S: '5', Z: '2', B: '8', G: '6', V: 'Y' };

/**
 * The value that makes `Σ weight·value ≡ 0 (mod modulus)`, the weights counting down to 1 at the check character.
 * @param values in reading order, each in 0…modulus−1; may be empty
 * @param modulus a prime above the number of values
 * @example weightedCheckValue([0, 3, 0, 6, 4, 0, 6, 1, 5], 11) //=> 2 // as in ISBN 0-306-40615-2
 */
export function weightedCheckValue(values: readonly number[], modulus: number): number {
  const sum = values.reduce((total, value, at) => total + (values.length + 1 - at) * value, 0);
  return (modulus - (sum % modulus)) % modulus;
}

/** The check character for a code body such as `BL1B3`; characters outside the alphabet throw. */
export function checkCharacter(body: string): string {
  const values = [...body].map((character) => {
    const value = CODE_ALPHABET.indexOf(character);
    if (value < 0) throw new RangeError(`"${character}" is not used in nook codes`);
    return value;
  });
  return CODE_ALPHABET[weightedCheckValue(values, MODULUS)]!;
}

/** Letters, digits and nothing else, with the characters that are never used read as the ones they are taken for. */
export function codeKey(text: string): string {
  const bare = text.toUpperCase().replace(/[^0-9A-Z]/g, '');
  return [...bare].map((character) => MISREADINGS[character] ?? character).join('');
}

/** `BL1` and `B3` become `BL1-B3K`; without a tail, `BL1-K`. */
export function writeCode(prefix: string, tail: string): string {
  return `${prefix}-${tail}${checkCharacter(prefix + tail)}`;
}

/** The part of a code before the dash: the space it was made for. */
export const codePrefix = (code: string): string => code.split('-')[0] ?? '';

/** The part between the dash and the check character, as drawn on a bin: `B3`. */
export const codeTail = (code: string): string => (code.split('-')[1] ?? '').slice(0, -1);

export type CodeReading = { kind: 'valid'; key: string } | { kind: 'repaired'; key: string } | { kind: 'not_a_code' };

/**
 * Reads a code as typed or scanned. When the check character does not agree, each pair of look-alikes (S for 5, B for
 * 8 …) is tried; a single repair is offered, several or none are not.
 * @example readCode('bl1 b3k').key === readCode('BLI-B3K').key //=> true
 */
export function readCode(text: string): CodeReading {
  const key = codeKey(text);
  if (key.length < 3 || key.length > 12) return { kind: 'not_a_code' };
  if (isValidKey(key)) return { kind: 'valid', key };
  const repairs = new Set<string>();
  for (let at = 0; at < key.length; at++) {
    for (const swap of lookAlikesOf(key[at]!)) {
      const repaired = key.slice(0, at) + swap + key.slice(at + 1);
      if (isValidKey(repaired)) repairs.add(repaired);
    }
  }
  return repairs.size === 1 ? { kind: 'repaired', key: [...repairs][0]! } : { kind: 'not_a_code' };
}

function isValidKey(key: string): boolean {
  return [...key].every((c) => CODE_ALPHABET.includes(c)) && checkCharacter(key.slice(0, -1)) === key.slice(-1);
}

function lookAlikesOf(character: string): string[] {
  const group = LOOK_ALIKES[character] ?? character;
  return [...CODE_ALPHABET].filter((other) => other !== character && (LOOK_ALIKES[other] ?? other) === group);
}

/** Two codes with the same shape would be taken for each other on a worn label. */
export function codeShape(code: string): string {
  return [...codeKey(code)].map((character) => LOOK_ALIKES[character] ?? character).join('');
}

/** What a new code must not be taken for. */
export interface CodesInUse {
  /** `codeShape` of every code ever given out in this household. */
  shapes: ReadonlySet<string>;
}

/**
 * A code for a new space, from the first letters of its words.
 * @example codePrefix(newSpaceCode('Linen closet', { shapes: new Set() })) //=> 'LC'
 */
export function newSpaceCode(name: string, inUse: CodesInUse): string {
  const letters = codeKey(
    name
      .normalize('NFD')
      .replace(/[\u0300-\u036f]/g, '')
      .replace(/[0-9]/g, ''),
  ).split('');
  const words = name
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .split(/[^0-9A-Za-z]+/)
    .map((word) => codeKey(word)[0])
    .filter((character): character is string => character !== undefined);
  const initials = words.slice(0, 2).join('');
  const base = initials.length === 2 ? initials : ((letters[0] ?? 'N') + (letters[1] ?? 'K')).slice(0, 2);
  const number = /\d/.exec(name)?.[0];
  const numbered = number === undefined || number === '0' ? [] : [base + number];
  const candidates = [
    ...numbered,
    base,
    ...Array.from({ length: 99 }, (_, at) => `${base}${at + 1}`.replace(/0/g, '')),
  ];
  return firstFree(
    candidates.map((prefix) => writeCode(prefix, '')),
    inUse,
    (code) => codePrefix(code),
  );
}

/** A code for a new shelf: the next letter after those its space has used. */
export function newShelfCode(spaceCode: string, inUse: CodesInUse): string {
  const prefix = codePrefix(spaceCode);
  const letters = CODE_ALPHABET.slice(9);
  const tails = [...letters, ...[...letters].flatMap((a) => [...letters].map((b) => a + b))];
  return firstFree(
    tails.map((tail) => writeCode(prefix, tail)),
    inUse,
  );
}

/** A code for a new bin on a shelf (`B` gives `B1`, `B2` …) or inside a bin (`B3` gives `B3A`, `B3B` …). */
export function newBinCode(parentCode: string, inUse: CodesInUse): string {
  const prefix = codePrefix(parentCode);
  const tail = codeTail(parentCode);
  const endsInDigit = /\d$/.test(tail);
  const steps = endsInDigit
    ? [...CODE_ALPHABET.slice(9)]
    : Array.from({ length: 400 }, (_, at) => String(at + 1)).filter((step) => !step.includes('0'));
  return firstFree(
    steps.map((step) => writeCode(prefix, tail + step)),
    inUse,
  );
}

function firstFree(
  candidates: string[],
  inUse: CodesInUse,
  shapeOf: (code: string) => string = (code) => code,
): string {
  const taken = (code: string): boolean =>
    inUse.shapes.has(codeShape(code)) || (shapeOf(code) !== code && prefixTaken(shapeOf(code), inUse));
  const free = candidates.find((code) => !taken(code));
  if (free === undefined) throw new RangeError('every code of this place has been given out');
  return free;
}

/** A prefix is taken when some space's whole code (prefix and check) has its shape. */
function prefixTaken(prefix: string, inUse: CodesInUse): boolean {
  const shape = codeShape(prefix);
  return [...inUse.shapes].some((used) => used.length === shape.length + 1 && used.startsWith(shape));
}
