import type { Atom } from './atoms';
import { BEFORE_A_NUMBER, NUMBER_NOUNS, NUMBER_NOUNS_BEFORE_A_THING } from './lineWords';
import { measureAt } from './measures';
import { numberAt, type NumberReading } from './numbers';
import { isGlued, POINTS, signAt, unitStart, wordAt, type AddSpan, type Span } from './spans';
import { countWord, measureUnit } from '../base';

/** Numbers that are part of a name by the word, sign or letters after them. */
export function addNameNumbers(atoms: readonly Atom[], at: number, number: NumberReading, add: AddSpan): void {
  if (number.weak) return;
  const name = { kind: 'name_number' } as const;
  const { next } = number;
  const noun = wordAt(atoms, next);
  if (/^0{2,4}$/.test(atoms[at]!.text)) add(at + 1, POINTS.glued, name);
  if (signAt(atoms, next) === '%') add(next + 1, POINTS.nameNumber + 1, name);
  if (signAt(atoms, next) === '°')
    add(wordAt(atoms, next + 1).length === 1 ? next + 2 : next + 1, POINTS.nameNumber + 1, name);
  if (noun === 'in' && numberAt(atoms, next + 1) && !measureAt(atoms, numberAt(atoms, next + 1)!.next)) {
    const second = numberAt(atoms, next + 1)!;
    if (second.thousandths <= 3000 && !/^(days?|weeks?|months?)$/.test(wordAt(atoms, second.next)))
      add(second.next, POINTS.nameNumber + 2, name);
  }
  if (signAt(atoms, next) === '-' && wordAt(atoms, next + 1) === 'in' && atoms[next + 3]?.kind === 'digits') {
    add(next + 4, POINTS.nameNumber + 3, name);
  }
  const gap = unitStart(atoms, next);
  const hyphenated = gap > next;
  const named = wordAt(atoms, gap);
  const followed = wordAt(atoms, gap + 1) !== '';
  if (
    NUMBER_NOUNS.has(named) &&
    signAt(atoms, gap + 1) !== '/' &&
    (named.length > 1 || isGlued(atoms, gap) || !followed || named === 'w' || named === 'v')
  ) {
    if (named !== 'in') add(gap + 1, POINTS.nameNumber + 0.5, name);
  } else if (NUMBER_NOUNS_BEFORE_A_THING.has(named) && followed && (hyphenated || number.thousandths !== 1000)) {
    // `6 place mats` are six; `6 place setting` is one. A time is always of the name: `5 minute noodles`.
    const time = /^(min|minute|hour|hr|day|week|month|year|yr)$/.test(named);
    const several = !hyphenated && !time && named !== 'piece' && /[^su]s$/.test(wordAt(atoms, gap + 1));
    const plain = !several && (hyphenated || named === 'piece' || !countWord(named));
    add(gap + 1, plain ? POINTS.nameNumber + 0.5 : POINTS.countedOddly, name);
  }
  if (hyphenated && named !== '' && !countWord(named) && !measureAt(atoms, gap)) add(gap + 1, POINTS.glued, name);
  const letters = wordAt(atoms, next);
  const model = isGlued(atoms, next + 1) && atoms[next + 1]!.kind === 'digits' && letters.length <= 2;
  const unitGlued = letters === 'x' || countWord(letters) !== null || measureUnit(letters) !== null;
  if (letters !== '' && letters !== 'x' && isGlued(atoms, next) && (model || (!unitGlued && letters.length <= 3))) {
    let end = next + 1;
    while (isGlued(atoms, end) && (atoms[end]!.kind === 'digits' || atoms[end]!.kind === 'word')) end += 1;
    add(end, POINTS.glued, name);
  }
}

/** `size 5`, `type 405`, `no. 5`, `A4`, `CR2032`. */
export function namedNumberAfterWord(atoms: readonly Atom[], at: number): Span | null {
  const said = wordAt(atoms, at);
  if (said === '') return null;
  const stop = signAt(atoms, at + 1) === '.' && isGlued(atoms, at + 1) ? at + 2 : at + 1;
  const start = signAt(atoms, stop) === '-' && isGlued(atoms, stop) ? stop + 1 : stop;
  if (BEFORE_A_NUMBER.has(said) && atoms[start]?.kind === 'digits') {
    let end = numberAt(atoms, start)?.next ?? start + 1;
    while (isGlued(atoms, end) && (atoms[end]!.kind === 'digits' || wordAt(atoms, end).length > 0)) end += 1;
    if (signAt(atoms, end) === '/' && atoms[end + 1]?.kind === 'digits') end += 2;
    return { from: at, to: end, points: POINTS.nameNumber + 2, value: { kind: 'name_number' } };
  }
  if (atoms[at + 1]?.kind !== 'digits' || !isGlued(atoms, at + 1) || said.length > 2 || said === 'x') return null;
  if (isGlued(atoms, at) && atoms[at - 1]!.kind === 'digits') return null;
  let end = at + 2;
  while (isGlued(atoms, end) && (atoms[end]!.kind === 'digits' || atoms[end]!.kind === 'word')) end += 1;
  return { from: at, to: end, points: POINTS.glued, value: { kind: 'name_number' } };
}
