import {
  formatLength,
  formatSize,
  type CutPlan,
  type DividedDrawer,
  type dividerStrips,
  type LengthUnit,
  type linersFromRoll,
  type NOMINAL_BOARDS,
  type riserPieces,
  type SectionThing,
} from '@ours/core';
import { counted } from '@/kit/text/counted';

type Divided = NonNullable<ReturnType<typeof dividerStrips>>;
type Liner = ReturnType<typeof linersFromRoll>['cuts'][number];
type Riser = NonNullable<ReturnType<typeof riserPieces>>;
type Bars = Extract<CutPlan, { ok: true }>;

export const sectionWords = ({ compartment }: Divided, unit: LengthUnit): string =>
  `Each section is ${formatLength(compartment.widthTenthMm, unit)} by ${formatLength(compartment.depthTenthMm, unit)}.`;

export const slotWords = (slots: number, thickness: number, unit: LengthUnit): string =>
  `${counted(slots, { one: '# slot', other: '# slots' })}, each half the height and ${formatLength(thickness, unit)} wide, where they cross.`;

export const tooLongWords = (length: number, stock: number, unit: LengthUnit): string =>
  `A strip of ${formatLength(length, unit)} cannot be cut from ${formatLength(stock, unit)}.`;

/** How many strips of the stock it takes, and whether fewer are proven impossible. */
export const barsWords = ({ bars, fewest, waste }: Bars, stock: number, unit: LengthUnit): string =>
  `${counted(bars.length, { one: '# strip', other: '# strips' })} of ${formatLength(stock, unit)}, ${fewest ? 'the fewest possible' : 'the fewest found'}; ${formatLength(waste, unit)} left over.`;

/** `1: 40 cm + 40 cm, rest 19.8 cm`. */
export const barWords = ({ pieces, rest }: Bars['bars'][number], number: number, unit: LengthUnit): string =>
  `${number}: ${pieces.map(({ length }) => formatLength(length, unit)).join(' + ')}, rest ${formatLength(rest, unit)}`;

export const rollWords = (length: number, shelves: number, unit: LengthUnit): string =>
  `${formatLength(length, unit)} of roll for ${counted(shelves, { one: '# shelf', other: '# shelves' })}.`;

export const linerWords = ({ name, strips, length, across }: Liner, unit: LengthUnit): string =>
  `${name}: ${strips > 1 ? `${strips} strips of ` : ''}${formatLength(length, unit)}, trimmed to ${formatLength(across, unit)} in all`;

/** Boards are sold by sizes they do not have. */
export const boardWords = (board: (typeof NOMINAL_BOARDS)[number], unit: LengthUnit): string =>
  `A ${board.nominal} is truly ${formatLength(Math.round(board.thicknessTenthMm), unit)} by ${formatLength(Math.round(board.widthTenthMm), unit)}.`;

export const riserWords = (riser: Riser, unit: LengthUnit): string =>
  `${counted(riser.layers, { one: '# layer', other: '# layers' })} of ${riser.sideBySide}: ${formatLength(Math.round(riser.heightTenthMm), unit)} high, ${formatLength(Math.round(riser.depthTenthMm), unit)} deep.`;

/** How many things have a section of their own, and what is free behind them. */
export function dividedWords({ sections, freeDepth }: DividedDrawer, of: number, unit: LengthUnit): string {
  if (sections.length === 0)
    return counted(of, { one: 'The thing does not go in.', other: 'None of the # things goes in.' });
  const said =
    sections.length < of
      ? `Sections for ${sections.length} of ${of} things`
      : counted(of, { one: 'A section for the one thing', other: 'A section for each of the # things' });
  return `${said}${freeDepth > LEAST_FREE ? `; ${formatLength(freeDepth, unit)} free at the back` : ''}.`;
}
const LEAST_FREE = 300;

/** `2 Candles: 20 × 9 cm, 3 side by side, 2 in depth, 2 high.` */
export function sectionsWords(
  { width, depth, across, along, layers }: DividedDrawer['sections'][number],
  number: number,
  { name, count }: SectionThing,
  unit: LengthUnit,
): string {
  const lies = [
    across > 1 ? `${across} side by side` : '',
    along > 1 ? `${along} in depth` : '',
    layers > 1 ? `${layers} on each other` : '',
  ].filter((part) => part !== '');
  return `${number} ${name}: ${formatSize([Math.floor(width), Math.floor(depth)], unit)} clear${count > 1 && lies.length > 0 ? `, ${lies.join(', ')}` : ''}`;
}

/** Things that no section can be made for. */
export const unmeasuredWords = (names: readonly string[]): string =>
  `Without sides written down, so not divided for: ${names.slice(0, 6).join(', ')}${names.length > 6 ? ` and ${names.length - 6} more` : ''}.`;
