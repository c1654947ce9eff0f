const SPECIAL: Readonly<Record<string, string>> = {
  ß: 'ss',
  ø: 'o',
  æ: 'ae',
  œ: 'oe',
  ł: 'l',
  đ: 'd',
  þ: 'th',
  ð: 'd',
  ı: 'i',
};

/** Lower case, without accents, everything that is no letter or digit a blank. */
export function foldText(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[ßøæœłđþðı]/g, (letter) => SPECIAL[letter] ?? letter)
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}

/** The words of a text, folded; may be empty. */
export function foldedWords(text: string): string[] {
  const folded = foldText(text);
  return folded === '' ? [] : folded.split(' ');
}

/**
 * A folded word without the ending of its plural, as far as that is plain. For comparing words, not for showing them.
 * @example singularWord('tomatoes') //=> 'tomato'
 * @example singularWord('glass') //=> 'glass'
 */
export const singularWord = (word: string): string => word.replace(/oes$/, 'o').replace(/(?<=[^s])s$/, '');
