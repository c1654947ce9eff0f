const plurals = new Intl.PluralRules('en');
const numbers = new Intl.NumberFormat('en', { useGrouping: 'min2' } as Intl.NumberFormatOptions);

/** The forms a count takes: `{ one: '# thing', other: '# things' }`; `#` stands for the number. */
export interface Forms {
  zero?: string;
  one: string;
  other: string;
}

/**
 * A count in words, by the plural rules and figures of the language (Intl).
 * @example counted(1, { one: '# thing', other: '# things' }) //=> '1 thing'
 * @example counted(12500, { one: '# thing', other: '# things' }) //=> '12,500 things'
 */
export function counted(count: number, forms: Forms): string {
  const form =
    count === 0 && forms.zero !== undefined ? forms.zero : forms[plurals.select(count) === 'one' ? 'one' : 'other'];
  return form.replaceAll('#', numbers.format(count));
}

/**
 * A quantity as it is read, grouped from ten thousand on.
 * @param thousandths of whatever it is counted in
 * @example figureWords(2500) //=> '2.5'
 */
export const figureWords = (thousandths: number): string =>
  // What has nothing to be grouped does not wait for the browser's tables of languages.
  thousandths % 1000 === 0 && Math.abs(thousandths) < 10_000_000
    ? String(thousandths / 1000)
    : numbers.format(thousandths / 1000);
