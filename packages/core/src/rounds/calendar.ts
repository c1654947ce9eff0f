/** Rounds as a calendar of RFC 5545, for the calendars people have. */
import { addDays, type CivilDate } from '../base';
import type { RoundRow } from '../household';
import { clockTime, nextDue } from './rhythm';

const CRLF = '\r\n';
/** A line has no more octets than that; a longer one goes on after a blank (RFC 5545, 3.1). */
const MOST_OCTETS = 75;

/**
 * Rounds, each as events that come back: of the whole day, or at its time. A time has no zone (RFC 5545, 3.3.5, form 1): it is that time
 * by the clock wherever the calendar is read, also on the days on which clocks are put forward or back.
 * @param lastDone when each was last done, by its id
 */
export function roundsCalendar(
  rounds: readonly RoundRow[],
  lastDone: ReadonlyMap<string, CivilDate>,
  today: CivilDate,
  /** When it is written, ISO UTC. */
  now: string,
): string {
  const events = rounds.flatMap((round) => eventOf(round, lastDone.get(round.id) ?? null, today, now));
  const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Every Nook//Rounds//EN', ...events, 'END:VCALENDAR'];
  return lines.map(folded).join(CRLF) + CRLF;
}

function eventOf(round: RoundRow, lastDone: CivilDate | null, today: CivilDate, now: string): string[] {
  const { id, name, rhythm, startsOn, steps, minutes } = round;
  const at = clockTime(round.at);
  // The first day of the event is the rule's own first: calendars show the start whether the rule has it or not, and count from it.
  const first =
    rhythm.kind === 'after'
      ? (nextDue(rhythm, startsOn, lastDone, addDays(today, -1)) ?? today)
      : nextDue(rhythm, startsOn, null, addDays(startsOn, -1));
  if (first === null) return [];
  const rule =
    rhythm.kind === 'rule'
      ? rhythm.rule
      : rhythm.kind === 'season'
        ? 'FREQ=YEARLY;BYMONTH=3,6,9,12;BYMONTHDAY=1'
        : null;
  return [
    'BEGIN:VEVENT',
    `UID:${id}@every-nook`,
    `DTSTAMP:${now.replace(/[-:]|\.\d+/g, '')}`,
    ...(at === null
      ? [`DTSTART;VALUE=DATE:${first.replaceAll('-', '')}`]
      : [`DTSTART:${first.replaceAll('-', '')}T${at.replace(':', '')}00`, `DURATION:PT${minutes}M`]),
    ...(rule === null ? [] : [`RRULE:${rule}`]),
    `SUMMARY:${escaped(name)}`,
    ...(steps.length === 0 ? [] : [`DESCRIPTION:${escaped(steps.join('\n'))}`]),
    'TRANSP:TRANSPARENT',
    'END:VEVENT',
  ];
}

const escaped = (text: string): string => text.replace(/[\\;,]/g, (sign) => `\\${sign}`).replace(/\r?\n/g, '\\n');

/** Octets of a letter in UTF-8. */
const octetsOf = (letter: string): number => {
  const code = letter.codePointAt(0)!;
  return code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
};

/** Folded between letters, never inside one. */
function folded(line: string): string {
  const parts: string[] = [];
  let part = '';
  let octets = 0;
  for (const letter of line) {
    const own = octetsOf(letter);
    if (octets + own > MOST_OCTETS) {
      parts.push(part);
      // The blank at the beginning of the next line counts.
      [part, octets] = ['', 1];
    }
    part += letter;
    octets += own;
  }
  return [...parts, part].join(`${CRLF} `);
}
