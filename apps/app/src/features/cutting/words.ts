import {
  formatLength,
  type CutPlan,
  type dividerStrips,
  type LengthUnit,
  type linersFromRoll,
  type NOMINAL_BOARDS,
  type riserPieces,
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
