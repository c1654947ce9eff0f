import { readDate, type DateHabits, type DateReading } from '../../shelflife/readDate';

export type DateField = 'expiresOn' | 'openedOn' | 'frozenOn';
export interface DatePhrase {
  field: DateField;
  useBy: boolean;
  reading: DateReading;
  /** Index of the first token and how many tokens the phrase took. */
  at: number;
  used: number;
  text: string;
}

const EXPIRY_WORDS: readonly [readonly string[], boolean][] = [
  [['best', 'before', 'end'], false],
  [['best', 'before'], false],
  [['best', 'by'], false],
  [['best', 'until'], false],
  [['use', 'by'], true],
  [['use-by'], true],
  [['useby'], true],
  [['ub'], true],
  [['good', 'until'], false],
  [['good', 'till'], false],
  [['expires', 'on'], false],
  [['exp'], false],
  [['exp.'], false],
  [['expires'], false],
  [['expiry'], false],
  [['expiring'], false],
  [['bbe'], false],
  [['bbd'], false],
  [['bb'], false],
  [['until'], false],
  [['till'], false],
];
const LONGEST_DATE_TOKENS = 3;

/** Finds the phrases that say until when, opened when, frozen when. Phrases never overlap. */
export function findDatePhrases(tokens: readonly string[], habits: Omit<DateHabits, 'facing'>): DatePhrase[] {
  const phrases: DatePhrase[] = [];
  for (let at = 0; at < tokens.length;) {
    const phrase = keywordPhrase(tokens, at, habits);
    if (phrase) phrases.push(phrase);
    at += phrase?.used ?? 1;
  }
  if (phrases.some((phrase) => phrase.field === 'expiresOn')) return phrases;
  const bare = bareDateAtEnd(tokens, phrases, habits);
  return bare ? [...phrases, bare] : phrases;
}

function keywordPhrase(tokens: readonly string[], at: number, habits: Omit<DateHabits, 'facing'>): DatePhrase | null {
  const word = tokens[at]!.toLowerCase().replace(/:$/, '');
  if (word === 'opened' || word === 'frozen') {
    const field = word === 'opened' ? 'openedOn' : 'frozenOn';
    const dated = longestDate(tokens, at + 1, { ...habits, facing: 'behind' });
    if (dated) return { field, useBy: false, at, used: 1 + dated.used, reading: dated.reading, text: dated.text };
    const atEdge = at === tokens.length - 1;
    if (word === 'frozen' && !atEdge) return null;
    return {
      field,
      useBy: false,
      at,
      used: 1,
      text: 'today',
      reading: { kind: 'date', on: habits.today, precision: 'day' },
    };
  }
  for (const [words, useBy] of EXPIRY_WORDS) {
    if (!words.every((part, step) => tokens[at + step]?.toLowerCase().replace(/:$/, '') === part)) continue;
    const start = at + words.length;
    const dated = longestDate(tokens, start, { ...habits, facing: 'ahead' });
    if (dated) {
      const used = words.length + dated.used;
      return { field: 'expiresOn', useBy, at, used, reading: dated.reading, text: dated.text };
    }
    const said = tokens[start];
    if (said === undefined || !/\d/.test(said)) return null;
    return { field: 'expiresOn', useBy, at, used: words.length + 1, reading: { kind: 'unreadable' }, text: said };
  }
  return null;
}

function longestDate(
  tokens: readonly string[],
  start: number,
  habits: DateHabits,
): { reading: DateReading; used: number; text: string } | null {
  for (let used = Math.min(LONGEST_DATE_TOKENS, tokens.length - start); used > 0; used--) {
    const text = tokens.slice(start, start + used).join(' ');
    const reading = readDate(text, habits);
    if (reading.kind !== 'unreadable') return { reading, used, text };
  }
  return null;
}

/** `… 12.03.2027` or `… 3/27` as the last word means an expiry only when it cannot be anything else. */
function bareDateAtEnd(
  tokens: readonly string[],
  phrases: readonly DatePhrase[],
  habits: Omit<DateHabits, 'facing'>,
): DatePhrase | null {
  const at = tokens.length - 1;
  const last = tokens[at];
  if (last === undefined || at === 0 || phrases.some((phrase) => at < phrase.at + phrase.used)) return null;
  const looksLikeDate = /^\d{1,2}[./-]\d{1,2}[./-](\d{2}|\d{4})$|^\d{4}-\d{1,2}(-\d{1,2})?$|^\d{1,2}[./]\d{4}$/.test(
    last,
  );
  const looksLikeMonth = /^\d{1,2}\/(2[5-9]|[3-9]\d)$/.test(last);
  if (!looksLikeDate && !looksLikeMonth) return null;
  const reading = readDate(last, { ...habits, facing: 'ahead' });
  return reading.kind === 'unreadable' ? null : { field: 'expiresOn', useBy: false, at, used: 1, reading, text: last };
}
