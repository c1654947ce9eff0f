/** Lengths as people read them off a tape, held as integer tenths of a millimetre. */
import { baseUnitsIn } from './convertMeasure';
import type { ReadingProblem } from './readingProblem';

const TENTH_MM_PER_INCH = baseUnitsIn('in') * 10;
const LARGEST_TENTH_MM = 1_000_000;

export type LengthReading = { ok: true; tenthMm: number } | { ok: false; problem: ReadingProblem };

const FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/**
 * Reads a tape measure.
 * @param text a number with or without unit: mm, cm, m, in, ", ft, '; comma or point; fractions of inches
 * @param homeUnit what a bare number means: centimetres in a metric home, inches in the other
 * @returns tenths of a millimetre, rounded to the nearest; or why it could not be read.
 * Lengths must be over 0 and at most 100 m.
 * @example readLength('12 3/8"', 'metric') //=> { ok: true, tenthMm: 3143 }
 */
export function readLength(text: string, homeUnit: 'metric' | 'inch'): LengthReading {
  const tidy = text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${FRACTIONS[sign]}`)
    .replace(/[″”“]|''/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/\s+/g, ' ')
    .trim();
  const tenthMm = readMetric(tidy, homeUnit) ?? readFeetAndInches(tidy, homeUnit);
  const not = (kind: 'not_a' | 'nothing' | 'too_large'): LengthReading => ({
    ok: false,
    problem: { kind, what: 'length', text: text.trim() },
  });
  if (tenthMm === null) return not('not_a');
  const rounded = Math.round(tenthMm);
  if (rounded <= 0) return not('nothing');
  if (rounded > LARGEST_TENTH_MM) return not('too_large');
  return { ok: true, tenthMm: rounded };
}

function readMetric(text: string, homeUnit: 'metric' | 'inch'): number | null {
  const match = /^(\d+(?:[.,]\d+)?|[.,]\d+) ?(mm|cm|m)?\.?$/.exec(text);
  if (!match) return null;
  const value = Number(match[1]!.replace(',', '.'));
  const unit = match[2] ?? (homeUnit === 'metric' ? 'cm' : null);
  if (unit === null) return null;
  return value * baseUnitsIn(unit) * 10;
}

/** `12`, `12.5`, `3/8` or `12 3/8`; null when it is none of these. */
function readInches(text: string): number | null {
  const match = /^(\d+(?:[.,]\d+)?|[.,]\d+)?(?:(?:^|[ -])(\d+)\/(\d+))?$/.exec(text);
  if (!match || (match[1] === undefined && match[2] === undefined)) return null;
  const fraction = match[2] === undefined ? 0 : Number(match[2]) / Number(match[3]);
  return Number.isFinite(fraction) ? Number((match[1] ?? '0').replace(',', '.')) + fraction : null;
}

function readFeetAndInches(text: string, homeUnit: 'metric' | 'inch'): number | null {
  const feetPart = /^(\d+(?:[.,]\d+)?) ?(?:'|ft|feet|foot)[ -]?/.exec(text);
  const rest = feetPart ? text.slice(feetPart[0].length) : text;
  const bare = rest.replace(/ ?(?:"|in|inch|inches)\.?$/, '');
  if (!feetPart && bare === rest && homeUnit === 'metric') return null;
  const inches = bare === '' && feetPart ? 0 : readInches(bare);
  if (inches === null) return null;
  const feet = feetPart ? Number(feetPart[1]!.replace(',', '.')) : 0;
  return (feet * 12 + inches) * TENTH_MM_PER_INCH;
}

/**
 * Writes a length in the home's unit: centimetres with at most one place, or inches to the nearest eighth.
 * @example formatLength(3143, 'inch') //=> '12 3/8"'
 * @example formatLength(3150, 'metric') //=> '31.5 cm'
 */
export function formatLength(tenthMm: number, unit: 'metric' | 'inch'): string {
  if (unit === 'metric') return `${formatCentimetres(tenthMm)} cm`;
  const eighths = Math.round((tenthMm / TENTH_MM_PER_INCH) * 8);
  const [whole, part] = [Math.floor(eighths / 8), eighths % 8];
  if (part === 0) return `${whole}"`;
  const divisor = part % 4 === 0 ? 4 : part % 2 === 0 ? 2 : 1;
  return `${whole === 0 ? '' : `${whole} `}${part / divisor}/${8 / divisor}"`;
}

/** Centimetres without the unit: whole ones, or one place. */
export function formatCentimetres(tenthMm: number): string {
  return String(Math.round(tenthMm / 10) / 10);
}

/**
 * Several lengths of one thing: `40 × 46 × 34 cm`, or each in inches.
 * @example formatSize([4000, 4600, 3400], 'metric') //=> '40 × 46 × 34 cm'
 */
export function formatSize(tenthMm: readonly number[], unit: 'metric' | 'inch'): string {
  return unit === 'metric'
    ? `${tenthMm.map((part) => formatCentimetres(part)).join(' × ')} cm`
    : tenthMm.map((part) => formatLength(part, unit)).join(' × ');
}
