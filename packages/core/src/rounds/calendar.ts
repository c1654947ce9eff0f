/** Rounds, shop days and dates as a calendar of RFC 5545, for the calendars people have. */
import { addDays, clockTime, daysOfRule, formatQuantity, pluralUnit, type CivilDate } from '../base';
import type { HouseholdState, RoundRow, ShopRow } from '../household';
import { effectiveDue, guideOf } from '../shelflife';
import { nextDue } from './rhythm';
import { roundsNow } from './turns';

const CRLF = '\r\n';
/** A line has no more octets than that; a longer one goes on after a blank (RFC 5545, 3.1). */
const MOST_OCTETS = 75;

/** Dates further away than that are not written: they are read again and again anyway. */
const AHEAD_DAYS = 400;
/** And what ended that long ago has been dealt with. */
const BACK_DAYS = 14;
/** Things named in the title of a day; the description has all of them. */
const NAMED = 3;

/** Which days of a home a calendar holds. */
export interface CalendarHolding {
  rounds: boolean;
  /** Days on which one shops. */
  shopping: boolean;
  /** Days on which things end. */
  dates: boolean;
}

/**
 * Days of a home as events. Rounds come back, of the whole day, or at their time. A time has no zone (RFC 5545, 3.3.5, form 1): it is that
 * time by the clock wherever the calendar is read, also on the days on which clocks are put forward or back. Shop days come back as well;
 * of things that end there is one event for each day.
 * @param now when it is written, ISO UTC
 */
export function homeCalendar(state: HouseholdState, holds: CalendarHolding, today: CivilDate, now: string): string {
  const rounds = holds.rounds ? roundsNow(state, today) : [];
  const events = [
    ...rounds.flatMap(({ round, last }) => eventOf(round, last?.on ?? null, today, now)),
    ...(holds.shopping ? state.all('shop').flatMap((shop) => shopEvent(shop, now)) : []),
    ...(holds.dates ? endEvents(state, today, now) : []),
  ];
  const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Every Nook//Home//EN', ...events, 'END:VCALENDAR'];
  return lines.map(folded).join(CRLF) + CRLF;
}

const stamp = (now: string): string => `DTSTAMP:${now.replace(/[-:]|\.\d+/g, '')}`;
const basic = (day: CivilDate): string => day.replaceAll('-', '');

/** An event of a whole day. */
const dayEvent = (uid: string, day: CivilDate, rule: string | null, summary: string, more: string, now: string) => [
  'BEGIN:VEVENT',
  `UID:${uid}@every-nook`,
  stamp(now),
  `DTSTART;VALUE=DATE:${basic(day)}`,
  ...(rule === null ? [] : [`RRULE:${rule}`]),
  `SUMMARY:${escaped(summary)}`,
  ...(more === '' ? [] : [`DESCRIPTION:${escaped(more)}`]),
  'TRANSP:TRANSPARENT',
  'END:VEVENT',
];

function shopEvent({ id, name, rule, startsOn }: ShopRow, now: string): string[] {
  const first = rule === '' ? undefined : daysOfRule(rule, startsOn, startsOn, AHEAD_DAYS)[0];
  return first === undefined ? [] : dayEvent(id, first, rule, `Shopping: ${name}`, '', now);
}

function endEvents(state: HouseholdState, today: CivilDate, now: string): string[] {
  const guide = guideOf(state);
  const days = new Map<CivilDate, { name: string; words: string }[]>();
  for (const item of state.all('item'))
    for (const lot of state.lotsOf(item.id)) {
      const due = lot.quantityThousandths > 0 ? effectiveDue(lot, item, guide) : null;
      if (!due || due.on > addDays(today, AHEAD_DAYS) || due.on < addDays(today, -BACK_DAYS)) continue;
      const amount = `${formatQuantity(lot.quantityThousandths)} ${pluralUnit(item.unit, lot.quantityThousandths)}`;
      const place = state.nook(lot.nookId)?.row;
      const where = place ? `, ${place.name || place.code}` : '';
      const one = { name: item.name, words: `${item.name}, ${amount}${where}` };
      days.set(due.on, [...(days.get(due.on) ?? []), one]);
    }
  return [...days].flatMap(([day, ending]) => {
    const names = [...new Set(ending.map(({ name }) => name))];
    const rest = names.length - NAMED;
    const title = `${names.length === 1 ? 'Ends' : 'End'}: ${names.slice(0, NAMED).join('; ')}${rest > 0 ? ` and ${rest} more` : ''}`;
    return dayEvent(`ends-${day}`, day, null, title, ending.map(({ words }) => words).join('\n'), now);
  });
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
    stamp(now),
    ...(at === null
      ? [`DTSTART;VALUE=DATE:${basic(first)}`]
      : [`DTSTART:${basic(first)}T${at.replace(':', '')}00`, `DURATION:PT${minutes}M`]),
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
