/** The colours of the paper, ink and marks; light and dark. Contrast of every pair used for text is tested. */
export interface Palette {
  ground: string;
  sheet: string;
  ink: string;
  second: string;
  rule: string;
  green: string;
  greenTint: string;
  onGreen: string;
  soon: string;
  soonTint: string;
  late: string;
  lateTint: string;
  here: string;
  onHere: string;
  wood: string;
  quiet: string;
}

export const LIGHT: Palette = {
  ground: '#F1EFE7',
  sheet: '#FFFEFA',
  ink: '#1B2827',
  second: '#56615E',
  rule: '#D3CEBF',
  green: '#14584A',
  greenTint: '#DDE9E2',
  onGreen: '#FFFEFA',
  soon: '#7A4A00',
  soonTint: '#FBE7C6',
  late: '#962A1D',
  lateTint: '#F8DCD4',
  here: '#F3B61F',
  onHere: '#1B2827',
  wood: '#E7E1D0',
  quiet: '#A9ABA2',
};

export const DARK: Palette = {
  ground: '#141B1B',
  sheet: '#1C2525',
  ink: '#ECEFE9',
  second: '#A7B3AE',
  rule: '#35403F',
  green: '#7FD0B8',
  greenTint: '#21403A',
  onGreen: '#10201D',
  soon: '#F2C069',
  soonTint: '#43320F',
  late: '#F3A294',
  lateTint: '#4A1F18',
  here: '#F3B61F',
  onHere: '#1B2827',
  wood: '#263030',
  quiet: '#5B6764',
};

/** What is printed: on white paper, whatever the theme. */
export const PRINTED = { ink: '#111111', paper: '#ffffff', faint: '#6b6b6b' } as const;
