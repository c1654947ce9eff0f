/** Degrees Celsius as Fahrenheit: exact by definition (NIST SP 811, appendix B.8). @example fahrenheitOf(100) //=> 212 */
export const fahrenheitOf = (celsius: number): number => (celsius * 9) / 5 + 32;
/** Degrees Fahrenheit as Celsius. @example celsiusOf(212) //=> 100 */
export const celsiusOf = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
