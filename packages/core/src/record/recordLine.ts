import { atomsOf } from './atoms';
import { BLANK, type LineHabits, type LineReading, type RecordedLine } from './lineReading';
import { coversOf } from './search';
import { settle, type Settled } from './settle';
import { thingKey, type KnownThings } from './thingNames';

export const LONGEST_LINE = 300;
const LONGEST_NAME = 120;
/** Readings within so many points are offered; within so few it is asked (own choice, tried on the table of lines). */
const CLOSE = 3.2;
const TOO_CLOSE = 0.45;
const MOST_OTHERS = 3;

/**
 * Reads a line as people say it: `6 tins tomatoes 400 g exp 3/27`, `2 bath towels white`, `eggs -2`, `out of rice`,
 * `milk 1 l opened today`. All that the pieces of the line may mean competes; the reading that covers it best is taken, close
 * ones are offered, and a figure or a date that no reading explains is asked about.
 *
 * @param text one line; over 300 characters it is not understood
 * @param habits the home's date order and the day it is
 * @param things what the home has, so that its names, and the units its things are kept in, weigh in; null when not known
 * @returns a card to correct: unclear things are in `questions`, never guessed. Never fails.
 * @example recordLine('6 tins tomatoes 400 g exp 3/27', { order: 'dmy', today: '2026-11-24' }).expiresOn //=> '2027-03-31'
 */
export function recordLine(text: string, habits: LineHabits, things: KnownThings | null = null): RecordedLine {
  const atoms = text.length > LONGEST_LINE ? [] : atomsOf(text);
  const covers = atoms.length === 0 ? [] : coversOf(text, atoms, habits, things);
  const readings = covers.map((cover) => settle(text, atoms, cover, habits)).sort((a, b) => b.points - a.points);
  const first = readings[0];
  if (!first) return { ...BLANK, text, understood: false, pieces: [], otherReadings: [] };
  const others = distinctOthers(first, readings.slice(1));
  const tooClose = others.filter(
    ({ points, reading }) => first.points - points < TOO_CLOSE && differsInWhat(first.reading, reading),
  );
  const reading = { ...first.reading };
  if (tooClose.length > 0) {
    const options = [first.reading, ...tooClose.map((other) => other.reading)];
    reading.questions = [...reading.questions, { kind: 'which_reading', written: text.trim(), options }];
  }
  const packs = first.packs ? [{ ...reading, ...first.packs, quantityGiven: true }] : [];
  return {
    ...reading,
    text,
    understood: /\p{L}/u.test(reading.name) && reading.name.length <= LONGEST_NAME,
    pieces: first.pieces,
    otherReadings: [...packs, ...others.map((other) => other.reading)].slice(0, MOST_OTHERS),
  };
}

/** Other readings of which each shows something else, with their distance. */
function distinctOthers(first: Settled, others: readonly Settled[]): Settled[] {
  const seen = new Set([signature(first.reading)]);
  return others.filter(({ reading, points }) => {
    if (first.points - points > CLOSE || !/\p{L}/u.test(reading.name)) return false;
    const key = signature(reading);
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

function signature(reading: LineReading): string {
  const { questions, tags, ...rest } = reading;
  return JSON.stringify([rest, tags, questions.map(({ kind }) => kind)]);
}

/** Whether two readings would book something else: another direction, amount, thing or date. */
function differsInWhat(a: LineReading, b: LineReading): boolean {
  return (
    a.action !== b.action ||
    a.quantityThousandths !== b.quantityThousandths ||
    (a.unit !== b.unit && (a.unit ?? 'piece') !== (b.unit ?? 'piece')) ||
    thingKey(a.name) !== thingKey(b.name) ||
    a.expiresOn !== b.expiresOn ||
    JSON.stringify(a.packSize) !== JSON.stringify(b.packSize)
  );
}
