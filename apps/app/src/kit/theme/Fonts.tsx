import { AtkinsonHyperlegibleMono_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-mono/400Regular';
import { AtkinsonHyperlegibleMono_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-mono/700Bold';
import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { FontDisplay, useFonts } from 'expo-font';

/** Until a typeface is there, words stand in the browser's own. */
const shown = (uri: number) => ({ uri, display: FontDisplay.SWAP });

/** Loads the typefaces that ship with the app. Nothing waits for them. */
export function useOurFonts(): void {
  useFonts({
    AtkinsonHyperlegibleNext_400Regular: shown(AtkinsonHyperlegibleNext_400Regular),
    AtkinsonHyperlegibleNext_600SemiBold: shown(AtkinsonHyperlegibleNext_600SemiBold),
    AtkinsonHyperlegibleNext_700Bold: shown(AtkinsonHyperlegibleNext_700Bold),
    AtkinsonHyperlegibleMono_400Regular: shown(AtkinsonHyperlegibleMono_400Regular),
    AtkinsonHyperlegibleMono_700Bold: shown(AtkinsonHyperlegibleMono_700Bold),
  });
}
