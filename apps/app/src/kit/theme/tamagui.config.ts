import { createAnimations } from '@tamagui/animations-css';
import { createFont, createTamagui, createTokens } from 'tamagui';
import { DARK, LIGHT, type Palette } from './palette';

export const SANS = 'AtkinsonHyperlegibleNext';
export const MONO = 'AtkinsonHyperlegibleMono';

const space = {
  0: 0,
  '0.25': 1,
  '0.5': 2,
  '0.75': 3,
  1: 4,
  '1.5': 6,
  2: 8,
  '2.5': 10,
  3: 12,
  '3.5': 14,
  4: 16,
  true: 16,
  5: 20,
  6: 24,
  8: 32,
  10: 40,
} as const;
const size = { 0: 0, 1: 20, 2: 28, 3: 36, 4: 44, true: 44, 5: 52, 6: 64, 8: 80 } as const;
const tokens = createTokens({
  color: { here: LIGHT.here },
  space,
  size,
  radius: { 0: 0, 1: 4, 2: 6, 3: 10, true: 10, 4: 14, 5: 20 },
  zIndex: { 0: 0, 1: 100, 2: 200 },
});

const sizes = { 1: 13, 2: 14, 3: 15, 4: 16, true: 16, 5: 18, 6: 20, 7: 24, 8: 30 } as const;
const lines = { 1: 18, 2: 19, 3: 20, 4: 22, true: 22, 5: 24, 6: 26, 7: 30, 8: 36 } as const;
/** What stands in until a typeface is loaded. */
const MEANWHILE = 'system-ui, sans-serif';
/** The running text, for what is not drawn by the kit. */
export const BODY_FONT = `${SANS}_400Regular, ${MEANWHILE}`;
/** The same for what is to stand out. */
export const STRONG_FONT = `${SANS}_600SemiBold, ${MEANWHILE}`;

/** For labels: words read from afar, and the plate. */
export const BOLD_FONT = `${SANS}_700Bold, ${MEANWHILE}`;
export const MONO_BOLD_FONT = `${MONO}_700Bold, monospace`;
export const MONO_FONT = `${MONO}_400Regular, monospace`;

/** On the web each weight is a family of its own: bold is a font, not a property. */
const family = (name: string) =>
  createFont({
    family: `${name}, ${MEANWHILE}`,
    size: sizes,
    lineHeight: lines,
    weight: { 4: '400', true: '400' },
    letterSpacing: { 4: 0, true: 0 },
  });

const theme = (p: Palette) => ({
  background: p.sheet,
  backgroundHover: p.greenTint,
  backgroundPress: p.greenTint,
  backgroundFocus: p.sheet,
  backgroundStrong: p.ground,
  backgroundTransparent: 'transparent',
  color: p.ink,
  colorHover: p.ink,
  colorPress: p.ink,
  colorFocus: p.ink,
  borderColor: p.rule,
  borderColorHover: p.ink,
  borderColorPress: p.ink,
  borderColorFocus: p.green,
  placeholderColor: p.second,
  outlineColor: p.green,
  shadowColor: 'rgba(0,0,0,0.2)',
  accent: p.green,
  accentText: p.onGreen,
  ...p,
});

export const config = createTamagui({
  animations: createAnimations({ quick: 'ease-out 120ms' }),
  tokens,
  fonts: {
    body: family(`${SANS}_400Regular`),
    heading: family(`${SANS}_700Bold`),
    strong: family(`${SANS}_600SemiBold`),
    mono: family(`${MONO}_700Bold`),
    monoLight: family(`${MONO}_400Regular`),
  },
  themes: { light: theme(LIGHT), dark: theme(DARK) },
  media: {
    sm: { maxWidth: 639 },
    gtSm: { minWidth: 640 },
    table: { minWidth: 900 },
    gtMd: { minWidth: 1024 },
    beside: { minWidth: 1180 },
  },
  settings: { defaultFont: 'body', onlyAllowShorthands: false, allowedStyleValues: 'somewhat-strict-web' },
});

export type AppConfig = typeof config;

declare module 'tamagui' {
  // The library's way of learning our tokens.
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  interface TamaguiCustomConfig extends AppConfig {}
}
