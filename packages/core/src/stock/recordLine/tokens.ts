import { readQuantity } from '../quantity';
import { measureUnit } from './units';

const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1000,
  an: 1000,
  one: 1000,
  two: 2000,
  three: 3000,
  four: 4000,
  five: 5000,
  six: 6000,
  seven: 7000,
  eight: 8000,
  nine: 9000,
  ten: 10_000,
  eleven: 11_000,
  twelve: 12_000,
  half: 500,
  dozen: 12_000,
};
const SIGNS: Readonly<Record<string, string>> = { '½': '1/2', '¼': '1/4', '¾': '3/4', '⅓': '1/3' };

/** Splits a line at blanks; signs such as × and ½ become what a keyboard has. */
export function tokensOf(text: string): string[] {
  return text
    .replace(/[½¼¾⅓]/g, (sign) => ` ${SIGNS[sign]} `)
    .replace(/[×✕]/g, 'x')
    .replace(/[–—−]/g, '-')
    .replace(/(\d)\s*fl\.?\s*oz\b\.?/gi, '$1 floz')
    .replace(/[;]/g, ' ')
    .trim()
    .split(/\s+/)
    .filter((token) => token !== '');
}

/** A number at the head of the tokens: `6`, `2,5`, `1/2`, `1 1/2`, `six`, `half a dozen`, with how many tokens it took. */
export function readAmount(tokens: readonly string[]): { thousandths: number; used: number } | null {
  const [first, second, third] = tokens.map((token) => token.toLowerCase());
  if (first === undefined) return null;
  if (first === 'half' && second === 'a' && third === 'dozen') return { thousandths: 6000, used: 3 };
  if (first === 'half' && second === 'dozen') return { thousandths: 6000, used: 2 };
  if ((first === 'half' && (second === 'a' || second === 'an')) || (first === 'half' && second !== undefined)) {
    return { thousandths: 500, used: second === 'a' || second === 'an' ? 2 : 1 };
  }
  if ((first === 'a' || first === 'one') && second === 'dozen') return { thousandths: 12_000, used: 2 };
  if (second === 'dozen') {
    const dozens = readQuantity(first) ?? NUMBER_WORDS[first];
    if (dozens !== undefined && dozens !== null) return { thousandths: dozens * 12, used: 2 };
  }
  const fraction = readFraction(first);
  if (fraction !== null) return { thousandths: fraction, used: 1 };
  const whole = readQuantity(first);
  if (whole !== null && second !== undefined && readFraction(second) !== null && /^\d+$/.test(first)) {
    return { thousandths: whole + readFraction(second)!, used: 2 };
  }
  if (whole !== null) return { thousandths: whole, used: 1 };
  const word = NUMBER_WORDS[first];
  return word === undefined ? null : { thousandths: word, used: 1 };
}

function readFraction(token: string): number | null {
  const match = /^(\d)\/(\d)$/.exec(token);
  if (!match || Number(match[2]) === 0 || Number(match[1]) >= Number(match[2])) return null;
  return Math.round((Number(match[1]) / Number(match[2])) * 1000);
}

/** A measure at the head of the tokens, joined or apart: `400g`, `400 g`, `1,5 l`. */
export function readMeasure(
  tokens: readonly string[],
): { amountThousandths: number; unit: string; used: number } | null {
  const [first, second] = tokens;
  if (first === undefined) return null;
  const joined = /^(\d+(?:[.,]\d+)?)([a-zA-Z]+)\.?$/.exec(first);
  if (joined) {
    const [amount, unit] = [readQuantity(joined[1]!), measureUnit(joined[2]!)];
    return amount !== null && amount > 0 && unit !== null ? { amountThousandths: amount, unit, used: 1 } : null;
  }
  const amount = readQuantity(first);
  const unit = second === undefined ? null : measureUnit(second);
  return amount !== null && amount > 0 && unit !== null ? { amountThousandths: amount, unit, used: 2 } : null;
}
