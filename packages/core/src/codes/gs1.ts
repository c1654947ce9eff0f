/** Element strings of GS1 as scanners type them: which thing, until when, of which batch, how many. */
import { civilDate, daysInMonth, partsOf, type CivilDate } from '../base';
import { checkDigit, readGtin, type Gtin } from './gtin';
import { problem, type NotRead } from './problem';

/** What a code says; what it does not say is null. */
export interface ScannedGoods {
  gtin: Gtin | null;
  batch: string | null;
  /** Use by (AI 17). */
  useBy: CivilDate | null;
  /** Best before (AI 15). */
  bestBefore: CivilDate | null;
  /** Made (AI 11) or packed (AI 13). */
  madeOn: CivilDate | null;
  madeKind: 'made' | 'packed' | null;
  /** How many are in it (AI 37 or 30). */
  count: number | null;
  /** Net weight in grams (AI 310n). */
  grams: number | null;
  serial: string | null;
}

/** Separates elements of open length; scanners send it as the control character or, set up so, in other forms. */
const SEPARATOR = '\u001d';
/** Names of symbologies that scanners may put in front (ISO/IEC 15424). */
const SYMBOLOGY = /^\](?:C1|e0|d2|Q3|J1)/;

/** Elements that are read, by their identifier: how long they are, or at most are. */
const ELEMENTS: readonly { ai: RegExp; length: number; open: boolean }[] = [
  { ai: /^0[12]$/, length: 14, open: false },
  { ai: /^1[1-7]$/, length: 6, open: false },
  { ai: /^20$/, length: 2, open: false },
  { ai: /^310[0-5]$/, length: 6, open: false },
  { ai: /^(10|21)$/, length: 20, open: true },
  { ai: /^(30|37)$/, length: 8, open: true },
];

/** Whether a text may be an element string: it names a symbology, has brackets or a separator, or begins as one. */
export const looksLikeElements = (text: string): boolean => {
  const written = text.trim();
  return (
    SYMBOLOGY.test(written) ||
    /^\(\d{2,4}\)/.test(written) ||
    written.includes(SEPARATOR) ||
    // Without any sign: a trade number and more.
    /^01\d{14}(?=1[0-7]|2[01]|30|37|310)/.test(written)
  );
};

/**
 * Reads an element string.
 *
 * A date is YYMMDD; day 00 is the last of the month; the century is the one that puts the year within 49 years back and 50 ahead
 * (GS1 General Specifications, section 7.12).
 *
 * @param today decides the century
 * @returns what it says, or what could not be read; elements that are not known are not passed over
 * @example readElements('(01)02000000001012(17)270200', '2026-11-24').goods.useBy //=> '2027-02-28'
 */
export function readElements(text: string, today: CivilDate): { ok: true; goods: ScannedGoods } | NotRead {
  const elements = elementsOf(text.trim().replace(SYMBOLOGY, ''));
  if (!elements.ok) return elements;
  const goods: ScannedGoods = {
    gtin: null,
    batch: null,
    useBy: null,
    bestBefore: null,
    madeOn: null,
    madeKind: null,
    count: null,
    grams: null,
    serial: null,
  };
  for (const { ai, value } of elements.list) {
    if (ai === '01' || ai === '02') {
      const read = readGtin(value);
      if (!read.ok) return read;
      goods.gtin = read.gtin;
    } else if (ai === '10') goods.batch = value;
    else if (ai === '21') goods.serial = value;
    else if (ai === '30' || ai === '37') {
      if (!/^\d+$/.test(value)) return problem({ kind: 'no_count', text: value });
      goods.count = Number(value);
    } else if (/^310\d$/.test(ai)) goods.grams = Math.round((Number(value) / 10 ** Number(ai[3])) * 1000);
    else if (/^1[1357]$/.test(ai)) {
      const on = dateOf(value, today);
      if (on === null) return problem({ kind: 'no_day', text: value });
      if (ai === '17') goods.useBy = on;
      else if (ai === '15') goods.bestBefore = on;
      else {
        goods.madeOn = on;
        goods.madeKind = ai === '11' ? 'made' : 'packed';
      }
    }
  }
  return { ok: true, goods };
}

type Elements = { ok: true; list: { ai: string; value: string }[] } | NotRead;

function elementsOf(text: string): Elements {
  return text.startsWith('(') ? bracketed(text) : run(text);
}

/** As it is printed for people: identifiers in brackets. */
function bracketed(text: string): Elements {
  const list: { ai: string; value: string }[] = [];
  let rest = text;
  while (rest !== '') {
    const match = /^\((\d{2,4})\)((?:(?!\(\d{2,4}\)).)*)/s.exec(rest);
    if (!match) return problem({ kind: 'not_read', text: rest.slice(0, 12) });
    const [whole, ai, value] = match as unknown as [string, string, string];
    const found = checked(ai, value.trim().replaceAll(SEPARATOR, ''));
    if (!found.ok) return found;
    list.push(found.element);
    rest = rest.slice(whole.length);
  }
  return { ok: true, list };
}

/** As scanners send it: one after the other, those of open length ended by a separator. */
function run(text: string): Elements {
  const list: { ai: string; value: string }[] = [];
  let rest = text;
  while (rest !== '') {
    if (rest.startsWith(SEPARATOR)) {
      rest = rest.slice(1);
      continue;
    }
    const kind = ELEMENTS.find(({ ai }) => ai.test(rest.slice(0, 2)) || ai.test(rest.slice(0, 4)));
    if (!kind) return problem({ kind: 'unknown_part', identifier: rest.slice(0, 2) });
    const ai = kind.ai.test(rest.slice(0, 2)) ? rest.slice(0, 2) : rest.slice(0, 4);
    rest = rest.slice(ai.length);
    const end = kind.open ? rest.indexOf(SEPARATOR) : kind.length;
    const value = end < 0 ? rest : rest.slice(0, end);
    const found = checked(ai, value);
    if (!found.ok) return found;
    list.push(found.element);
    rest = rest.slice(value.length);
  }
  return { ok: true, list };
}

function checked(ai: string, value: string): { ok: true; element: { ai: string; value: string } } | NotRead {
  const kind = ELEMENTS.find((one) => one.ai.test(ai));
  if (!kind) return problem({ kind: 'unknown_part', identifier: ai });
  const fits = kind.open
    ? value.length > 0 && value.length <= kind.length
    : /^\d+$/.test(value) && value.length === kind.length;
  if (!fits) return problem({ kind: 'wrong_part', identifier: ai, text: value, most: kind.length, open: kind.open });
  return { ok: true, element: { ai, value } };
}

function dateOf(digits: string, today: CivilDate): CivilDate | null {
  const [yy, month, day] = [digits.slice(0, 2), digits.slice(2, 4), digits.slice(4, 6)].map(Number) as [
    number,
    number,
    number,
  ];
  const now = partsOf(today).year;
  let year = now - (now % 100) + yy;
  const ahead = yy - (now % 100);
  if (ahead >= 51) year -= 100;
  else if (ahead <= -50) year += 100;
  if (month < 1 || month > 12) return null;
  const last = daysInMonth(year, month);
  return day > last ? null : civilDate(year, month, day === 0 ? last : day);
}

/** A number with its check digit, for codes that a home or a sample gives out. */
export const withCheckDigit = (digits: string): string => `${digits}${checkDigit(digits)}`;
