import { fileUpright, foldedSize, rollDiameter, stackFlat } from './folding';
import type { Textile } from './item.entity';

const towel: Textile = {
  widthTenthMm: 7000,
  lengthTenthMm: 14_000,
  gramsPerM2: 500,
  plies: 1,
  foldsWidth: 3,
  foldsLength: 4,
  material: 'terry',
  tenMeasuredTenthMm: null,
};

describe('folded textiles', () => {
  it('a towel of 700 × 1400 mm in 3 by 4 is 233 × 350 mm and weighs 490 g (area × g/m²)', () => {
    const folded = foldedSize(towel);
    expect(Math.round(folded.widthTenthMm / 10)).toBe(233);
    expect(folded.depthTenthMm).toBe(3500);
    expect(folded.layers).toBe(12);
    expect(folded.grams).toBeCloseTo(490, 9);
  });
  it('half, then thirds, of a two-ply cover: 12 layers; 500 × 750 mm in halves and thirds: 250 × 250', () => {
    const cover = { ...towel, widthTenthMm: 5000, lengthTenthMm: 7500, plies: 2, foldsWidth: 2, foldsLength: 3 };
    expect(foldedSize(cover)).toMatchObject({ layers: 12, widthTenthMm: 2500, depthTenthMm: 2500 });
  });
  it('measuring ten folded replaces the estimate', () => {
    const estimated = foldedSize(towel);
    expect(estimated.calibrated).toBe(false);
    const measured = foldedSize({ ...towel, tenMeasuredTenthMm: 4600 });
    expect(measured).toMatchObject({ calibrated: true, thicknessTenthMm: 460 });
    expect(measured.grams).toBe(estimated.grams);
  });
  it('files upright as many as the length allows, and none that is too high', () => {
    const folded = foldedSize({ ...towel, tenMeasuredTenthMm: 4600 });
    const bin = { widthTenthMm: 3600, depthTenthMm: 4000, heightTenthMm: 2500 };
    // 23.3 up, 35 across one row of 40 cm: (400 − 15)/46 = 8.
    expect(fileUpright(folded, bin)).toBe(8);
    expect(fileUpright(folded, { ...bin, heightTenthMm: 2000 })).toBe(0);
    expect(stackFlat(folded, bin)).toBe(5);
  });
  it('a roll has the area of the strip it is made of', () => {
    const diameter = rollDiameter(14_000, 60);
    expect((Math.PI / 4) * diameter ** 2).toBeCloseTo(14_000 * 60, 6);
  });
});
