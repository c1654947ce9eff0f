import { DARK, LIGHT, type Palette } from './palette';

/** Relative luminance and contrast ratio as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const channel = parseInt(hex.slice(at, at + 2), 16) / 255;
    return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

const USED: [text: keyof Palette, on: keyof Palette][] = [
  ['ink', 'ground'],
  ['ink', 'sheet'],
  ['ink', 'wood'],
  ['ink', 'greenTint'],
  ['second', 'ground'],
  ['second', 'sheet'],
  ['green', 'ground'],
  ['green', 'sheet'],
  ['green', 'greenTint'],
  ['onGreen', 'green'],
  ['soon', 'soonTint'],
  ['late', 'lateTint'],
  ['late', 'sheet'],
  ['late', 'ground'],
  ['onHere', 'here'],
];

describe('contrast', () => {
  // Outside check: black on white is 21:1 by the definition; #767676 on white is the well-known 4.54:1 (WCAG's own example of the limit, from memory).
  it('is computed as WCAG does', () => {
    expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 5);
    expect(contrast('#767676', '#FFFFFF')).toBeCloseTo(4.54, 2);
  });

  describe.each([
    ['light', LIGHT],
    ['dark', DARK],
  ] as const)('%s', (_, palette) => {
    it.each(USED)('%s on %s is at least 4.5:1', (text, on) => {
      expect(contrast(palette[text], palette[on])).toBeGreaterThanOrEqual(4.5);
    });
  });
});
