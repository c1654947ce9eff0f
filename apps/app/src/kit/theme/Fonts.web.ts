/** In a browser the page itself names the typefaces: scripts/addFonts.mjs. */
export function useOurFonts(): void {}
