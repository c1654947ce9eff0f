/** Folded textiles: size, layers, thickness, how many file upright. */

import type { Textile } from '../household';

/** Bulk density in kg/m³ of cloth as it lies. Own estimates, no source; measuring ten folded ones replaces them. */
const DENSITY = { woven: 400, terry: 130, wool: 160 } as const;
/** Folds do not lie flat: what a stack is higher than its layers. Own estimate, no source. */
const BULK = 1.15;

export interface FoldedSize {
  widthTenthMm: number;
  depthTenthMm: number;
  layers: number;
  thicknessTenthMm: number;
  calibrated: boolean;
  grams: number;
}

/**
 * A folded textile: w/fx by h/fy, plies·fx·fy layers, each (g/m²)/(kg/m³) mm thick, times the bulk of folds. Mass is
 * area × g/m² × plies exactly.
 * For example a towel of 70 × 140 cm folded 3 by 4: 23.3 × 35 cm, 12 layers.
 */
export function foldedSize(textile: Textile): FoldedSize {
  const { widthTenthMm, lengthTenthMm, gramsPerM2, plies, foldsWidth, foldsLength, material } = textile;
  const layers = plies * foldsWidth * foldsLength;
  const sheetTenthMm = (gramsPerM2 / DENSITY[material]) * 10;
  const estimated = layers * sheetTenthMm * BULK;
  const measured = textile.tenMeasuredTenthMm === null ? null : textile.tenMeasuredTenthMm / 10;
  return {
    widthTenthMm: widthTenthMm / foldsWidth,
    depthTenthMm: lengthTenthMm / foldsLength,
    layers,
    thicknessTenthMm: measured ?? estimated,
    calibrated: measured !== null,
    grams: (widthTenthMm * lengthTenthMm * gramsPerM2 * plies) / 1e8,
  };
}

export interface FilingRoom {
  widthTenthMm: number;
  depthTenthMm: number;
  heightTenthMm: number;
}

/** Left free in a row so that one can be pulled out. Own default. */
const FILING_SLACK = 150;

/**
 * How many folded ones stand upright, file by file, in a bin: ⌊(length − slack)/thickness⌋ in each row; one folded side stands
 * up and must not be over the bin's height, the other goes across.
 * @returns the better of both ways; 0 when it is too high or too wide either way
 */
export function fileUpright(folded: FoldedSize, room: FilingRoom): number {
  const ways = [
    [folded.widthTenthMm, folded.depthTenthMm],
    [folded.depthTenthMm, folded.widthTenthMm],
  ] as const;
  const lengths = [
    [room.depthTenthMm, room.widthTenthMm],
    [room.widthTenthMm, room.depthTenthMm],
  ] as const;
  let most = 0;
  for (const [up, across] of ways) {
    if (up > room.heightTenthMm) continue;
    for (const [length, side] of lengths) {
      const rows = Math.floor(side / across);
      const inRow = Math.floor(Math.max(0, length - FILING_SLACK) / folded.thicknessTenthMm);
      most = Math.max(most, rows * inRow);
    }
  }
  return most;
}

/** How many lie flat on each other in a bin, in stacks side by side. */
export function stackFlat(folded: FoldedSize, room: FilingRoom): number {
  const high = Math.floor(room.heightTenthMm / folded.thicknessTenthMm);
  const [w, d] = [folded.widthTenthMm, folded.depthTenthMm];
  const straight = Math.floor(room.widthTenthMm / w) * Math.floor(room.depthTenthMm / d);
  const turned = Math.floor(room.widthTenthMm / d) * Math.floor(room.depthTenthMm / w);
  return high * Math.max(straight, turned);
}

/** Diameter of the roll that a folded strip of this length and thickness makes: √(4·L·t/π), areas being equal. */
export const rollDiameter = (lengthTenthMm: number, thicknessTenthMm: number): number =>
  Math.sqrt((4 * lengthTenthMm * thicknessTenthMm) / Math.PI);
