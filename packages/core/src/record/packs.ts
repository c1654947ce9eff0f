import type { PackSize } from '../household';
import type { Atom } from './atoms';
import { measureAt, measuredAt } from './measures';
import { numberAt, type NumberReading } from './numbers';
import {
  eachEnd,
  isGlued,
  isTimes,
  POINTS,
  signAt,
  skipOf,
  unitAfter,
  unitStart,
  wordAt,
  type AddSpan,
  type CountValue,
} from './spans';
import { canHold, convertMeasure, countWord, isContent, isLength, isRareUnit, isStrength } from '../base';

/** A measure counts as the amount and as the size; which of them is settled by where it stands and by the thing. */
export function addMeasures(atoms: readonly Atom[], at: number, add: AddSpan): void {
  const measured = measuredAt(atoms, at);
  if (!measured) return;
  const { measure, next, options } = measured;
  if (isStrength(measure.unit)) {
    add(strengthEnd(atoms, next), POINTS.nameNumber, { kind: 'name_number' });
    return;
  }
  if (isLength(measure.unit) && measure.unit !== 'm' && measure.unit !== 'yd') {
    add(next, POINTS.measureInPlace + 0.5, { kind: 'name_number' });
  }
  const each = /^(each|ea|apiece)$/.test(wordAt(atoms, next)) ? next + 1 : next;
  const more = options ? { options } : {};
  // Every ply and every count in a pack is a size; nothing is kept by it.
  const onlySize = isContent(measure.unit) || each > next;
  add(each, POINTS.measureInPlace, { kind: 'size', measure, ...more });
  if (!onlySize) add(skipOf(atoms, next), POINTS.measureInPlace, { kind: 'amount', measure, ...more });
  // `eggs 18 ct`: so many, unless another number counts packs of them.
  if (measure.unit === 'ct') add(skipOf(atoms, next), POINTS.counted + 0.8, packOf(measure.amountThousandths, 'pack'));
  const unit = unitAfter(atoms, next, 1000);
  const unitWord = countWord(wordAt(atoms, next));
  if (unitWord && !onlySize) {
    // `500 g bag rice`, `400 g tins tomatoes x 6`: the unit of what has this size.
    const to = unit?.next ?? skipOf(atoms, next + 1);
    const value: CountValue = { kind: 'count', thousandths: 1000, unit: unitWord.unit, how: 'sure', size: measure };
    const named = (wordAt(atoms, to) !== '' || at > 0) && !isRareUnit(unitWord.unit);
    if (named) add(to, POINTS.measureInPlace + 0.8, { kind: 'size', measure, unit: unitWord.unit, ...more });
    const times = isTimes(atoms, to) ? numberAt(atoms, to + 1) : null;
    if (times) add(times.next, POINTS.packs, { ...value, thousandths: times.thousandths });
  }
  const across = isTimes(atoms, next) && isLength(measure.unit) ? measuredAt(atoms, next + 1) : null;
  if (across && isLength(across.measure.unit)) {
    const third = isTimes(atoms, across.next) ? measuredAt(atoms, across.next + 1) : null;
    const sides = third && sidesOf([measure, across.measure, third.measure]);
    if (third && sides) add(third.next, POINTS.threeSides, { kind: 'sides', sides });
    else add(across.next, POINTS.sides, { kind: 'name_number' });
  }
  const times = isTimes(atoms, next) ? numberAt(atoms, next + 1) : null;
  if (times && !times.weak && !measureAt(atoms, times.next)) {
    const after = unitAfter(atoms, times.next, times.thousandths);
    add(after?.next ?? times.next, POINTS.packs, {
      kind: 'count',
      thousandths: times.thousandths,
      unit: after?.unit ?? null,
      how: 'sure',
      size: measure,
    });
  }
}

/** Longer than any thing of a home: then it is no side of one, tenths of a millimetre. Own choice. */
const LONGEST_SIDE = 100_000;

/** Three measures as sides of a thing; null: one of them is no length, or longer than any thing. */
function sidesOf(measures: readonly PackSize[]): [number, number, number] | null {
  const sides = measures.map(({ amountThousandths, unit }) => {
    const thousandths = convertMeasure(amountThousandths, unit, 'mm');
    return thousandths === null ? 0 : Math.round(thousandths / 100);
  });
  const [wide, deep, high] = sides as [number, number, number];
  return sides.every((side) => side > 0 && side <= LONGEST_SIDE) ? [wide, deep, high] : null;
}
const sidesIn = (unit: string, thousandths: readonly number[]): [number, number, number] | null =>
  sidesOf(thousandths.map((amountThousandths) => ({ amountThousandths, unit })));

/** `400 mg`, `5 mg/5 ml`. */
function strengthEnd(atoms: readonly Atom[], at: number): number {
  if (signAt(atoms, at) !== '/') return at;
  return measuredAt(atoms, at + 1)?.next ?? measureAt(atoms, at + 1)?.next ?? at;
}

/** Packs that one buys at once, thousandths (own choice). */
const MOST_PACKS = 12_000;
/** Things that two figures with an x between them are the size of. */
const SIZED: ReadonlySet<string> = new Set(
  (
    'screw screws bolt bolts nail nails dowel dowels plug plugs rawlplugs nut nuts washer washers tack tacks staple staples hook hooks ' +
    'bracket brackets batten battens plank planks board boards timber wood lens lenses print prints photo photos frame frames lego tile tiles'
  ).split(' '),
);

/** `6 x 400 g`, `2 x 6 pack`, `case of 12`, `2 cases of 12 tins`, `6-pack`, `2 6-packs`. */
export function addPacks(atoms: readonly Atom[], at: number, number: NumberReading, add: AddSpan): void {
  if (number.weak || number.thousandths === 0) return;
  const { next, thousandths } = number;
  const timesAt = isTimes(atoms, next);
  const second = timesAt ? next + 1 : next;
  const size = measuredAt(atoms, second);
  const follows = timesAt || (!isGlued(atoms, second) && atoms[second]?.kind === 'digits');
  if (size && follows && !isStrength(size.measure.unit) && atoms[next] !== undefined) {
    const length = isLength(size.measure.unit);
    const spread = timesAt && length && (isGlued(atoms, next) || thousandths >= 15_000);
    if (spread) add(size.next, POINTS.sides, { kind: 'name_number' });
    else {
      const unit = unitAfter(atoms, size.next, thousandths);
      const odd = unit ? null : oddUnit(atoms, size.next);
      add(unit?.next ?? odd?.next ?? eachEnd(atoms, size.next), timesAt ? POINTS.packs : POINTS.measureInPlace + 1.8, {
        kind: 'count',
        thousandths,
        unit: unit?.unit ?? odd?.unit ?? null,
        how: 'sure',
        size: size.measure,
      });
      if (timesAt && length) add(size.next, POINTS.sides, { kind: 'name_number' });
    }
  }
  const inner = follows ? numberAt(atoms, second) : null;
  if (inner && !inner.weak && inner.thousandths > 0) addProduct(atoms, number, inner, timesAt, add);
  const unit = countWord(wordAt(atoms, unitStart(atoms, next)));
  if (!unit) return;
  const afterUnit = unitStart(atoms, next) + 1;
  const held = heldAt(atoms, afterUnit);
  if (held) add(held.next, POINTS.packs, heldValue(thousandths, unit.unit, held));
  const inside = isTimes(atoms, afterUnit) && canHold(unit.unit) ? numberAt(atoms, afterUnit + 1) : null;
  if (inside && !inside.weak && inside.thousandths % 1000 === 0 && !measureAt(atoms, inside.next)) {
    const held = { thousandths: inside.thousandths, unit: null, size: null, next: inside.next };
    add(inside.next, POINTS.packs, heldValue(thousandths, unit.unit, held));
  }
  const sized = isTimes(atoms, afterUnit) ? measuredAt(atoms, afterUnit + 1) : null;
  if (sized) {
    add(eachEnd(atoms, sized.next), POINTS.packs, {
      kind: 'count',
      thousandths,
      unit: unit.unit,
      how: 'sure',
      size: sized.measure,
    });
  }
  if (
    unit.singular &&
    canHold(unit.unit) &&
    unit.unit !== 'pack' &&
    thousandths > 1000 &&
    unitStart(atoms, next) > next
  ) {
    add(skipOf(atoms, afterUnit), POINTS.counted, packOf(thousandths, unit.unit));
  }
  if (unit.unit === 'pack' && thousandths > 1000 && /^(pack|pk|pck)$/.test(wordAt(atoms, afterUnit - 1))) {
    const joined = isGlued(atoms, afterUnit - 1) || wordAt(atoms, afterUnit - 1) === 'pack';
    add(skipOf(atoms, afterUnit), POINTS.counted + (joined ? 0.8 : 0.2), packOf(thousandths, 'pack'));
    const packs = isTimes(atoms, afterUnit) ? numberAt(atoms, afterUnit + 1) : null;
    if (packs && !packs.weak && packs.thousandths % 1000 === 0) {
      add(packs.next, POINTS.packs, {
        ...packOf((thousandths * packs.thousandths) / 1000, 'pack'),
        packs: { thousandths: packs.thousandths, unit: 'pack' },
      });
    }
  }
}

/** `6 x 400 g tin tomatoes`: after a size the unit may stand in the singular. */
function oddUnit(atoms: readonly Atom[], at: number): { unit: string; next: number } | null {
  const found = countWord(wordAt(atoms, at));
  return found && !isRareUnit(found.unit) && wordAt(atoms, at + 1) !== ''
    ? { unit: found.unit, next: skipOf(atoms, at + 1) }
    : null;
}

const packOf = (thousandths: number, unit: string): CountValue => ({
  kind: 'count',
  thousandths,
  unit: null,
  how: 'sure',
  packs: { thousandths: 1000, unit },
});

interface Held {
  thousandths: number;
  unit: string | null;
  size: PackSize | null;
  next: number;
}

/** What a holder holds: `of 12`, `of 12 tins`, `with 6 x 400 g`, `(12)`, `à 6`. */
export function heldAt(atoms: readonly Atom[], at: number): Held | null {
  const bracket = signAt(atoms, at) === '(';
  const opener = /^(of|with|containing|à)$/.test(wordAt(atoms, at)) || bracket;
  if (!opener) return null;
  let start = at + 1;
  if (wordAt(atoms, start) === 'x') start += 1;
  const closed = (next: number): number | null =>
    bracket ? (signAt(atoms, next) === ')' ? next + 1 : null) : skipOf(atoms, next);
  const size = measuredAt(atoms, start);
  if (size) return null;
  const number = numberAt(atoms, start);
  if (!number || number.weak || number.thousandths % 1000 !== 0 || number.asDecimal) return null;
  if (isTimes(atoms, number.next)) {
    const each = measuredAt(atoms, number.next + 1);
    const next = each ? closed(each.next) : null;
    if (each && next !== null) return { thousandths: number.thousandths, unit: null, size: each.measure, next };
  }
  const unit = unitAfter(atoms, number.next, number.thousandths);
  // `box of 50 tea bags`: the unit is what is counted only when a thing follows or it is all there is.
  const next = closed(unit?.next ?? number.next);
  return next === null ? null : { thousandths: number.thousandths, unit: unit?.unit ?? null, size: null, next };
}

export const heldValue = (thousandths: number, holder: string, held: Held): CountValue => ({
  kind: 'count',
  thousandths: (thousandths * held.thousandths) / 1000,
  unit: held.unit,
  how: 'sure',
  packs: { thousandths, unit: holder },
  ...(held.size ? { size: held.size } : {}),
});

/** `2 x 6 pack`, `2 6-packs`, `2 x 6 x 330 ml`, `2 x 6 eggs`, `4x40`. */
function addProduct(
  atoms: readonly Atom[],
  outer: NumberReading,
  inner: NumberReading,
  timesAt: boolean,
  add: AddSpan,
): void {
  const total = (outer.thousandths * inner.thousandths) / 1000;
  if (!Number.isSafeInteger(total) || total > 1_000_000_000) return;
  const holderAt = unitStart(atoms, inner.next);
  const holder = countWord(wordAt(atoms, holderAt));
  if (holder && canHold(holder.unit) && (holder.unit === 'pack' || holderAt > inner.next || timesAt)) {
    const packs = { thousandths: outer.thousandths, unit: holder.unit };
    const counted = holder.unit === 'pack' || holder.singular || holderAt > inner.next;
    add(skipOf(atoms, holderAt + 1), POINTS.packs, {
      kind: 'count',
      thousandths: total,
      unit: counted ? null : holder.unit,
      how: 'sure',
      packs,
    });
    return;
  }
  if (!timesAt) return;
  const third = isTimes(atoms, inner.next) ? inner.next + 1 : null;
  if (third !== null) {
    const size = measuredAt(atoms, third);
    if (size && isLength(size.measure.unit)) {
      const sides = sidesIn(size.measure.unit, [outer.thousandths, inner.thousandths, size.measure.amountThousandths]);
      add(size.next, POINTS.threeSides, sides ? { kind: 'sides', sides } : { kind: 'name_number' });
    } else if (size) {
      add(eachEnd(atoms, size.next), POINTS.packs + 4, {
        kind: 'count',
        thousandths: total,
        unit: null,
        how: 'sure',
        size: size.measure,
      });
    } else {
      const last = numberAt(atoms, third);
      if (last && !last.weak) add(last.next, POINTS.sidesBare + 5, { kind: 'name_number' });
      // After three figures `in` is inches.
      const inches = last && wordAt(atoms, last.next) === 'in' && !isGlued(atoms, last.next + 1);
      const sides = inches ? sidesIn('in', [outer.thousandths, inner.thousandths, last.thousandths]) : null;
      if (inches && sides) add(last.next + 1, POINTS.threeSides, { kind: 'sides', sides });
    }
    return;
  }
  const unit = unitAfter(atoms, inner.next, total);
  // `2x12` and `tea bags 2x80` may be two packs of so many; `4x40` of screws is a size.
  const perhapsPacks =
    Math.max(outer.thousandths, inner.thousandths) <= 24_000 ||
    (outer.thousandths <= MOST_PACKS && inner.thousandths >= 20_000 && !atoms.some(({ text }) => SIZED.has(text)));
  if (isGlued(atoms, inner.next - 1) && !unit) {
    add(inner.next, perhapsPacks ? POINTS.product : POINTS.sidesBare, { kind: 'name_number' });
  }
  add(unit?.next ?? inner.next, POINTS.product + (unit ? 2 : 0), {
    kind: 'count',
    thousandths: total,
    unit: unit?.unit ?? null,
    how: 'sure',
    packs: { thousandths: Math.min(outer.thousandths, inner.thousandths), unit: 'pack' },
  });
}
