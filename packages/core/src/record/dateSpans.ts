import {
  addDays,
  addMonths,
  type CivilDate,
  isDateWord,
  isMonthName,
  isSmallNumber,
  isWeekday,
  readDate,
  type DateHabits,
  type DateReading,
} from '../base';
import type { Atom } from './atoms';
import { DATE_MEANINGS, PERIOD_WORDS, type DateMeaning } from './dateWords';
import { numberAt } from './numbers';
import { isGlued, phraseEnd, POINTS, signAt, wordAt, type Span, type SpanValue } from './spans';

type LineHabits = Omit<DateHabits, 'facing'>;
type DateValue = Extract<SpanValue, { kind: 'date' }>;

const LONGEST_DATE_ATOMS = 9;

interface Said {
  reading: DateReading;
  to: number;
  written: string;
}

/** The dates of a line. Built once a line: the words of a text are read as dates many times. */
export class DateReader {
  private readonly read = new Map<string, DateReading>();

  constructor(
    private readonly line: string,
    private readonly atoms: readonly Atom[],
    private readonly habits: LineHabits,
  ) {}

  /** All that may be a date, with the words that say what it means, at an atom. */
  spans(at: number): Span[] {
    return [...this.withWords(at), ...this.apart(at), ...this.bare(at), ...this.period(at)];
  }

  private written(from: number, to: number): string {
    return this.line.slice(this.atoms[from]!.from, this.atoms[to - 1]!.to);
  }

  private reading(text: string, facing: DateHabits['facing']): DateReading {
    const key = `${facing}|${text}`;
    const known = this.read.get(key);
    if (known) return known;
    const reading = readDate(text, { ...this.habits, facing });
    this.read.set(key, reading);
    return reading;
  }

  /** The runs of atoms from here that read as a date, the longest first. */
  private readings(at: number, facing: DateHabits['facing']): Said[] {
    const first = this.atoms[at];
    if (
      !first ||
      !(
        first.kind === 'digits' ||
        isDateWord(first.text) ||
        first.text === "'" ||
        DATE_STARTS.has(first.text) ||
        isSmallNumber(first.text)
      )
    )
      return [];
    const said: Said[] = [];
    for (let to = Math.min(this.atoms.length, at + LONGEST_DATE_ATOMS); to > at && said.length < 2; to--) {
      const last = this.atoms[to - 1]!;
      // Not into the middle of a figure, nor with a sign that only ends the sentence.
      if (to < this.atoms.length && isGlued(this.atoms, to) && !this.mayFollow(to)) continue;
      if (last.kind === 'sign' && last.text !== '.') continue;
      const written = this.written(at, to);
      if (COMMA_INSIDE.test(written)) continue;
      const reading = this.reading(written.replace(/\)$/, ''), facing);
      if (reading.kind === 'unreadable') continue;
      said.push({ reading, to, written });
      // In `october 5kg` the figure is not the date's: without it there is another date.
      if (last.kind !== 'digits' || !isGlued(this.atoms, to) || this.atoms[to]!.kind !== 'word') break;
    }
    return said;
  }

  /** Whether an atom that stands straight after a date can do so: closing signs, a word glued to figures. */
  private mayFollow(at: number): boolean {
    const { kind, text } = this.atoms[at]!;
    if (kind === 'digits' || kind === 'fraction') return false;
    if (kind === 'word') return this.atoms[at - 1]!.kind !== 'word';
    const more = this.atoms[at + 1];
    return !('./-:'.includes(text) && more?.kind === 'digits' && isGlued(this.atoms, at + 1));
  }

  private withWords(at: number): Span[] {
    const spans: Span[] = [];
    for (const meaning of meaningsAt(this.atoms, at)) {
      let start = phraseEnd(this.atoms, at, meaning.words)!;
      while (start < this.atoms.length && ':.-=('.includes(signAt(this.atoms, start) || '?')) start += 1;
      const small = /^(on|date|of|the|in|around|approx)$/.test(wordAt(this.atoms, start));
      if (small && this.readings(start, facingOf(meaning)).length === 0) start += 1;
      const said = this.readings(start, facingOf(meaning));
      for (const { reading: found, to: end, written } of said) {
        const reading = meaning.past ? onlyPast(found, this.habits.today) : found;
        const to = signAt(this.atoms, end) === ')' ? end + 1 : end;
        const points = POINTS.dateWithWord + meaning.words.length * 0.6 + this.weight(start, end);
        spans.push(this.span(at, to, points, meaning, { reading, written }));
      }
      if (said.length > 0) continue;
      const next = this.atoms[start];
      if (meaning.sure) spans.push(this.unreadable(at, start, meaning));
      else if (
        next?.kind === 'digits' &&
        /[./-]/.test(signAt(this.atoms, start + 1)) &&
        isGlued(this.atoms, start + 1)
      ) {
        spans.push(this.unreadable(at, start, meaning));
      }
      // `berries frozen 500 g`: frozen berries, or berries frozen today.
      const isNow = this.saysNow(at, start, meaning);
      if (meaning.alone && (isNow || (at > 0 && next?.kind === 'digits'))) {
        const reading: DateReading = { kind: 'date', on: this.habits.today, precision: 'day' };
        const points = isNow ? POINTS.state : POINTS.perhapsState;
        spans.push(this.span(at, start, points, meaning, { reading, written: this.written(at, start) }));
      }
    }
    return spans;
  }

  /** `opened milk 3 days ago`: the word stands first, its day last, the thing between them. */
  private apart(at: number): Span[] {
    const meaning = meaningsAt(this.atoms, 0).find(({ words }) => words.length === 1);
    if (!meaning || meaning.field === 'expiresOn' || this.atoms.length < 3) return [];
    if (at === 0) {
      const dated = this.atoms.some((_, other) => other > 1 && this.lastDay(other, meaning) !== null);
      return dated ? [{ from: 0, to: 1, points: POINTS.state + 1, value: { kind: 'filler' } }] : [];
    }
    const said = at > 1 ? this.lastDay(at, meaning) : null;
    if (!said) return [];
    return [this.span(at, said.to, POINTS.dateWithWord + this.weight(at, said.to), meaning, said)];
  }

  /** A day that has been, in words, as the last of the line. */
  private lastDay(at: number, meaning: DateMeaning): Said | null {
    const end = this.atoms.length;
    const last = wordAt(this.atoms, end - 1);
    if (last !== 'ago' && last !== 'yesterday' && last !== 'today') return null;
    return this.readings(at, facingOf(meaning)).find(({ to }) => to === end) ?? null;
  }

  private span(
    from: number,
    to: number,
    points: number,
    { field, dateKind, madeKind }: DateMeaning,
    { reading, written }: { reading: DateReading; written: string },
  ): Span {
    const value: DateValue = {
      kind: 'date',
      field,
      reading,
      written,
      bare: false,
      midLine: false,
      ...(dateKind ? { dateKind } : {}),
      ...(madeKind ? { madeKind } : {}),
    };
    return { from, to, points, value };
  }

  /** A word that wants a date and has none that can be read: the rest of what is written there is asked about. */
  private unreadable(at: number, start: number, meaning: DateMeaning): Span {
    let to = start;
    const figure = this.atoms[start]?.kind === 'digits';
    if (figure) {
      to = start + 1;
      while (to < this.atoms.length && isGlued(this.atoms, to) && !')'.includes(signAt(this.atoms, to) || '?')) to += 1;
    }
    const written = this.written(figure ? start : at, Math.max(to, start));
    return this.span(
      at,
      Math.max(to, start),
      figure ? POINTS.dateWithWord + this.weight(start, to) : POINTS.wordWithoutDate,
      meaning,
      {
        reading: { kind: 'unreadable' },
        written,
      },
    );
  }

  /** `milk opened`, `soup frozen`: at the end, before another date word, or as the first word for what is opened or thawed. */
  private saysNow(at: number, start: number, { field }: DateMeaning): boolean {
    const next = this.atoms[start];
    if (at > 0 && (next === undefined || isEnding(next))) return true;
    if (at > 0 && meaningsAt(this.atoms, start).length > 0) return true;
    return at === 0 && field !== 'frozenOn' && next?.kind === 'word';
  }

  /** A date without a word that says what it means: for the most part the end of what it stands on. */
  private bare(at: number): Span[] {
    const first = this.atoms[at];
    if (!first || (isGlued(this.atoms, at) && !'(,;:'.includes(signAt(this.atoms, at - 1) || '?'))) return [];
    if (first.kind !== 'digits' && !isDateWord(first.text) && first.text !== "'") return [];
    return this.readings(at, 'ahead').flatMap((said) => this.bareSpans(at, said));
  }

  private bareSpans(at: number, said: Said): Span[] {
    const closing = signAt(this.atoms, said.to) === ')' ? said.to + 1 : said.to;
    const after = keywordAfter(this.atoms, closing);
    const atEnd = this.restIsQuiet(closing);
    const bracketed = signAt(this.atoms, at - 1) === '(' && closing > said.to;
    const value = (reading: DateReading): DateValue => ({
      kind: 'date',
      field: 'expiresOn',
      reading,
      written: said.written,
      bare: after === null,
      midLine: !atEnd && !bracketed,
      ...(after?.meaning.dateKind ? { dateKind: after.meaning.dateKind } : {}),
    });
    if (after && after.meaning.field === 'expiresOn' && !isPlainNumber(said.written)) {
      return [
        {
          from: at,
          to: after.to,
          points: POINTS.dateWithWord + this.weight(at, after.to),
          value: value(said.reading),
        },
      ];
    }
    const form = formOf(said.written);
    if (form === null) return [];
    const length = this.weight(at, said.to);
    if (form === 'full')
      return [{ from: at, to: said.to, points: POINTS.fullDate + length, value: value(said.reading) }];
    const doubtful = !atEnd && !bracketed;
    if (doubtful && form !== 'short') return [];
    const points = form === 'short' ? POINTS.shortDate : POINTS.dateOnlyLikely;
    return [{ from: at, to: said.to, points: points + length, value: value(said.reading) }];
  }

  /** A date of more figures explains more of the line. */
  private weight(from: number, to: number): number {
    const figures = this.atoms.slice(from, to).filter(({ kind }) => kind === 'digits').length;
    return (to - from) * POINTS.dateAtom + figures;
  }

  /** Whether nothing but tags, places, signs or other dates follows. */
  private restIsQuiet(at: number): boolean {
    for (let here = at; here < this.atoms.length; here++) {
      if (
        meaningsAt(this.atoms, here).length > 0 ||
        signAt(this.atoms, here) === '#' ||
        signAt(this.atoms, here) === '@'
      )
        return true;
      if (this.atoms[here]!.kind === 'digits') return this.atoms[here]!.spaceBefore;
      if (this.atoms[here]!.kind === 'word' && wordAt(this.atoms, here) !== 'x') return false;
    }
    return true;
  }

  /** `use within 3 days`, `keeps 2 weeks once opened`. */
  private period(at: number): Span[] {
    for (const { words, dateKind } of PERIOD_WORDS) {
      const start = phraseEnd(this.atoms, at, words);
      if (start === null) continue;
      const number = numberAt(this.atoms, start);
      const unit = number
        ? /^(day|week|fortnight|month|year)s?$/.exec(wordAt(this.atoms, number.next))?.[1]
        : undefined;
      if (!number || unit === undefined || number.thousandths % 1000 !== 0) continue;
      const count = number.thousandths / 1000;
      let to = number.next + 1;
      let onceOpened = false;
      for (const phrase of ONCE_OPENED) {
        const end = phraseEnd(this.atoms, to, phrase);
        if (end !== null) [to, onceOpened] = [end, true];
      }
      const days = unit === 'day' ? 1 : unit === 'week' ? 7 : unit === 'fortnight' ? 14 : 0;
      const value: SpanValue = {
        kind: 'period',
        amount: days > 0 ? count * days : count * (unit === 'year' ? 12 : 1),
        unit: days > 0 ? 'day' : 'month',
        dateKind,
        onceOpened,
        written: this.written(at, to),
      };
      return [{ from: at, to, points: POINTS.period, value }];
    }
    return [];
  }
}

/** A comma ends a date, save before its year (`march 5, 2027`) and after its weekday. */
const COMMA_INSIDE =
  /(?<!(?:mon|tues?|wed(?:nes)?|thu(?:rs)?|fri|sat(?:ur)?|sun)(?:day)?)\s*,(?!\s*\d{4}\b)|\d{4}\s*,/i;
const DATE_STARTS = new Set(['the', 'coming', 'by', 'at']);
const ONCE_OPENED = 'once opened|after opening|of opening|when opened|from opening|after it is opened|opened'
  .split('|')
  .map((phrase) => phrase.split(' '));

/** The day a period ends that begins on a day. */
export const periodEnd = (from: CivilDate, period: { amount: number; unit: 'day' | 'month' }): CivilDate =>
  period.unit === 'day' ? addDays(from, period.amount) : addMonths(from, period.amount);

/** `expired 20/11` means a day that has been, when one of the readings has. */
function onlyPast(reading: DateReading, today: CivilDate): DateReading {
  if (reading.kind !== 'ambiguous') return reading;
  const past = reading.options.filter(({ on }) => on <= today);
  if (past.length === 0) return reading;
  return past.length === 1 ? { kind: 'date', ...past[0]! } : { kind: 'ambiguous', options: past };
}

const facingOf = ({ field, dateKind }: DateMeaning): DateHabits['facing'] =>
  field !== 'expiresOn' ? 'behind' : dateKind === 'use_by' ? 'ahead_safety' : 'ahead';

const BY_FIRST_WORD = new Map<string, DateMeaning[]>();
for (const meaning of DATE_MEANINGS) {
  const first = meaning.words[0]!;
  BY_FIRST_WORD.set(first, [...(BY_FIRST_WORD.get(first) ?? []), meaning]);
}

function meaningsAt(atoms: readonly Atom[], at: number): DateMeaning[] {
  return (BY_FIRST_WORD.get(wordAt(atoms, at)) ?? []).filter(({ words }) => phraseEnd(atoms, at, words) !== null);
}

/** `12/26 exp`, `3 march bb`: the word after its date, with nothing after it that could be its own. */
function keywordAfter(atoms: readonly Atom[], at: number): { meaning: DateMeaning; to: number } | null {
  const meanings = meaningsAt(atoms, at).filter(({ sure }) => sure);
  const longest = meanings.sort((a, b) => b.words.length - a.words.length)[0];
  if (!longest) return null;
  const to = phraseEnd(atoms, at, longest.words)!;
  const next = atoms[to];
  return next === undefined || (next.kind === 'sign' && next.text !== ':') ? { meaning: longest, to } : null;
}

const isEnding = ({ kind, text }: Atom): boolean => kind === 'sign' && '.,;!#@)('.includes(text);
const isPlainNumber = (written: string): boolean => /^\d{1,4}$/.test(written);

/**
 * How much a bare date looks like one. `full`: it has its year; `short`: a day and a named month, or a month and a short year;
 * `likely`: a weekday, `tomorrow`, `25/3`; null: a number that could be anything.
 */
function formOf(written: string): 'full' | 'short' | 'likely' | null {
  const text = written.toLowerCase().replace(/[’‘]/g, "'");
  const words = text.split(/[\s.,/-]+/).filter((word) => word !== '');
  const month = words.some((word) => isMonthName(word) || /^\d{1,2}[a-z]{3,}\d*$/.test(word));
  const hasYear = /\d{4}/.test(text) || /'\d{2}/.test(text);
  if (month) {
    const figures = text.match(/\d+/g) ?? [];
    if (figures.length === 0 && !/^(end|early|late|mid|beginning|next|last)/.test(text))
      return words.length > 1 ? 'short' : null;
    return hasYear || figures.length === 2 ? 'full' : 'short';
  }
  if (/^\d{1,2}[./-]\d{1,2}[./-](\d{2}|\d{4})$|^\d{4}[-/.]\d{1,2}([-/.]\d{1,2})?$|^\d{1,2}[./-]\d{4}$/.test(text))
    return 'full';
  if (/^\d{1,2}[./]\d{2}$/.test(text) && Number(text.slice(-2)) > 24) return text.includes('/') ? 'short' : null;
  if (/^\d{8}$/.test(text)) return /^20\d{6}$/.test(text) ? 'full' : null;
  if (/^\d{1,2}\/\d{1,2}$|^\d{1,2}\.\d{1,2}\.$/.test(text)) return 'likely';
  if (/\d/.test(text) && words.some(isWeekday)) return 'short';
  if (/^(today|now|may|day|a|in|this|next|last|end|early|late|mid|middle|beginning|start)$/.test(text)) return null;
  return words.every((word) => isDateWord(word) || /^\d+$/.test(word)) && !isPlainNumber(text) && /[a-z]/.test(text)
    ? 'likely'
    : null;
}
