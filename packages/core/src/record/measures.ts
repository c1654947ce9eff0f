import type { PackSize } from '../household';
import { convertMeasure, measureUnit } from '../base';
import type { Atom } from './atoms';
import { numberAt, type NumberReading } from './numbers';
import { isGlued, signAt, wordAt } from './spans';

/** A unit of measure at an atom, with the index after it. `fl oz`, `fl. oz.`, `sq ft` and the inch mark count too. */
export function measureAt(atoms: readonly Atom[], at: number): { unit: string; next: number } | null {
  const first = wordAt(atoms, at);
  const stop = (next: number): number => (signAt(atoms, next) === '.' && isGlued(atoms, next) ? next + 1 : next);
  if (first === 'fl' || first === 'fluid') {
    const second = stop(at + 1);
    if (/^(oz|ounces?)$/.test(wordAt(atoms, second))) return { unit: 'fl oz', next: stop(second + 1) };
  }
  if (first === 'sq' && wordAt(atoms, at + 1) === 'ft') return { unit: 'sq ft', next: at + 2 };
  if (signAt(atoms, at) === '"' && isGlued(atoms, at)) return { unit: 'in', next: at + 1 };
  if (signAt(atoms, at) === "'" && isGlued(atoms, at) && atoms[at]!.spaceAfter) return { unit: 'ft', next: at + 1 };
  const unit = first === '' ? null : measureUnit(first);
  if (unit === null) return null;
  const next = at + 1;
  // The stop of an abbreviation is eaten, the one that ends a sentence too: neither says anything.
  return {
    unit,
    next: signAt(atoms, next) === '.' && isGlued(atoms, next) && !isGlued(atoms, next + 1) ? next + 1 : next,
  };
}

export interface Measured {
  measure: PackSize;
  next: number;
  options?: PackSize[];
}

/** `400 g`, `1,5 l`, `half a kilo`, `1 lb 4 oz`. */
export function measuredAt(atoms: readonly Atom[], at: number): Measured | null {
  const number = numberAt(atoms, at);
  if (!number || number.thousandths === 0) return null;
  let unitAt = number.next;
  if (number.inWords && wordAt(atoms, unitAt) === 'of' && /^an?$/.test(wordAt(atoms, unitAt + 1))) unitAt += 2;
  if (number.inWords && /^an?$/.test(wordAt(atoms, unitAt))) unitAt += 1;
  if (signAt(atoms, unitAt) === '-' && isGlued(atoms, unitAt) && isGlued(atoms, unitAt + 1)) unitAt += 1;
  const unit = measureAt(atoms, unitAt);
  if (!unit) return null;
  const aHalf = /^and$/.test(wordAt(atoms, unit.next)) ? halfAfterUnit(atoms, unit.next) : null;
  const amount = number.thousandths + (aHalf?.thousandths ?? 0);
  const next = aHalf?.next ?? unit.next;
  const whole = measureOf(number, amount, unit.unit, next);
  const more = aHalf ? null : numberAt(atoms, next);
  const inches = more && unit.unit === 'ft' && wordAt(atoms, more.next) === 'in';
  const smaller = inches ? { unit: 'in', next: more.next + 1 } : more ? measureAt(atoms, more.next) : null;
  if (more && smaller && SMALLER.get(unit.unit) === smaller.unit) {
    const inSmaller = convertMeasure(amount, unit.unit, smaller.unit);
    if (inSmaller !== null) {
      const sum = { amountThousandths: inSmaller + more.thousandths, unit: smaller.unit };
      return { measure: sum, next: smaller.next };
    }
  }
  return whole;
}

/** Units of which the second is said after the first for what is left over: `1 lb 4 oz`. */
const SMALLER: ReadonlyMap<string, string> = new Map([
  ['lb', 'oz'],
  ['kg', 'g'],
  ['ft', 'in'],
  ['l', 'ml'],
  ['m', 'cm'],
  ['gal', 'qt'],
]);

/** `a kilo and a half`. */
function halfAfterUnit(atoms: readonly Atom[], at: number): { thousandths: number; next: number } | null {
  const half = wordAt(atoms, at + 1) === 'a' && wordAt(atoms, at + 2) === 'half';
  return half ? { thousandths: 500, next: at + 3 } : null;
}

/** Units of which a home holds no thousand, so that `1.500` and `1,500` of them are one and a half. */
const LARGE = new Set(['kg', 'l', 'lb', 'gal', 'qt', 'pt', 'm', 'yd', 'ft']);

function measureOf(number: NumberReading, amount: number, unit: string, next: number): Measured {
  const { asDecimal, sign } = number;
  if (asDecimal === undefined) return { measure: { amountThousandths: amount, unit }, next };
  const [thousands, decimal] = [
    { amountThousandths: amount, unit },
    { amountThousandths: asDecimal, unit },
  ];
  if (sign === '.' && LARGE.has(unit)) return { measure: decimal, next };
  if (sign === ',' && !LARGE.has(unit)) return { measure: thousands, next };
  return { measure: decimal, next, options: [decimal, thousands] };
}
