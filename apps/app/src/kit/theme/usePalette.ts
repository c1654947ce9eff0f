import { useThemeName } from 'tamagui';
import { DARK, LIGHT, type Palette } from './palette';

/** The colours of the theme in force, for drawings and icons. */
export const usePalette = (): Palette => (useThemeName().startsWith('dark') ? DARK : LIGHT);
