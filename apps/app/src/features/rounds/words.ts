import type { CalendarHolds } from '@ours/contracts';
import {
  choiceOfRule,
  ONCE,
  RULE_DAYS,
  type BacklogRow,
  type BoxWeek,
  type CivilDate,
  type Drift,
  type HouseholdState,
  type LengthUnit,
  type LotRow,
  type Nth,
  type ReadyMade,
  type Rhythm,
  type RhythmProblem,
  type RoundKind,
  type RoundNow,
  type RoundRow,
  type RuleDay,
  type Share,
  type SwapProblem,
  weekday,
} from '@ours/core';
import { standWords } from '@/shared/standWords';
import { counted } from '@/kit/text/counted';
import { dayWords, longRuleDayWords, ruleDayWords, spanWords, weekdayAndDay, yearDayWords } from '@/kit/text/dayWords';

/** What the ready-made rounds are called, and what is done in them. */
export const ROUND_NAMES: Readonly<Record<RoundKind, string>> = {
  expiry: 'Expiry round',
  count: 'Counting round',
  refill: 'Weekly refill',
  catch_all: 'Catch-all review',
  medicine: 'Medicine round',
  supplies: 'Supply check',
  season_swap: 'Season swap',
  defrost: 'Defrost the freezer',
  papers: 'Papers in-tray',
  laundry: 'Laundry',
  helper: 'List for the helper',
  settling: 'Check after three weeks',
  condition: 'Mend, wash, repaint',
  pill_box: 'Pill boxes',
  own: 'A round of our own',
};
export const ROUND_ABOUT: Readonly<Record<ReadyMade['kind'], string>> = {
  expiry: 'What ends before the next one, place by place: used, thrown away or kept.',
  count: 'Counts what lies at its places, without saying before what is expected.',
  refill: 'Canisters and jars are filled up.',
  catch_all: 'What gathered there goes home, where it has a home.',
  medicine: 'Medicines that end: old ones go back to the pharmacy or the collection point.',
  supplies: 'What lies on the supply shelves, counted.',
  season_swap: 'What the season needs comes down, the rest goes up.',
  defrost: 'Empty it into cool boxes first; food that has thawed is used, not frozen again.',
  papers: 'The in-tray is emptied: filed, answered, thrown away.',
  laundry: 'Wash, dry, fold, put away.',
  helper: 'Steps in your own words, to print.',
  settling: 'Three weeks after a space was set up, once: what does not work yet?',
  pill_box: 'The boxes for the week, as typed; what goes in leaves the stock.',
  condition: 'What was noted as to mend, to wash, to repaint, worn or without a part.',
};

/** What is done in them, where nobody has written it otherwise; common practice, no source. −18 °C is the usual temperature of a freezer. */
export const ROUND_STEPS: Readonly<Partial<Record<RoundKind, readonly string[]>>> = {
  defrost: [
    'Food into cool boxes',
    'Switch it off and leave it open',
    'Wipe it dry',
    'Switch it on; food back in at −18 °C',
  ],
  laundry: ['Wash', 'Dry', 'Fold', 'Put away'],
  papers: ['File', 'Answer or pay', 'Throw away'],
  settling: [
    'Does everything go back without a thought?',
    'What lies where it does not belong?',
    'What is missing or does not work yet?',
  ],
};

export const NTH_WORDS: Readonly<Record<Nth, string>> = {
  1: 'first',
  2: 'second',
  3: 'third',
  4: 'fourth',
  [-1]: 'last',
};

/** `every 2 weeks`, `every month` */
export const everyWords = (of: 'days' | 'week' | 'month', count: number): string =>
  counted(
    count,
    of === 'days'
      ? { one: 'every day', other: 'every # days' }
      : of === 'week'
        ? { one: 'every week', other: 'every # weeks' }
        : { one: 'every month', other: 'every # months' },
  );
const listed = (words: readonly string[]): string => new Intl.ListFormat('en').format(words);

/** A rhythm with its time: `every Sunday at 18:30`. */
export const roundTimeWords = ({ rhythm, at }: Pick<RoundRow, 'rhythm' | 'at'>, thing?: string): string =>
  `${rhythmWords(rhythm, thing)}${at ? ` at ${at}` : ''}`;

/** `every Wednesday`, `75 days after it was last done`; another rule as it is written. @param thing what a rhythm follows, by name */
export function rhythmWords({ kind, rule, days }: Rhythm, thing = 'it'): string {
  if (kind === 'season') return 'when the season turns';
  if (kind === 'stock') return `when ${thing} is put in`;
  if (kind === 'after') return `${counted(days ?? 0, { one: '# day', other: '# days' })} after it was last done`;
  if (rule === ONCE) return 'once';
  const choice = choiceOfRule(rule ?? '');
  switch (choice?.every) {
    case 'day':
      return everyWords('days', choice.interval);
    case 'week': {
      const days = listed(choice.days.map(longRuleDayWords));
      return choice.interval === 1 ? `every ${days}` : `${everyWords('week', choice.interval)} on ${days}`;
    }
    case 'month': {
      const on =
        'day' in choice.on
          ? `on day ${choice.on.day}`
          : `on the ${NTH_WORDS[choice.on.nth]} ${longRuleDayWords(choice.on.weekday)}`;
      return choice.interval === 1 ? `${on} of the month` : `${on}, ${everyWords('month', choice.interval)}`;
    }
    case 'year':
      return `every year on ${yearDayWords(choice.month, choice.day)}`;
    default:
      return rule ?? '';
  }
}

export const RHYTHM_PROBLEMS: Readonly<Record<RhythmProblem, string>> = {
  no_day: 'Nothing says when: choose a day, or after how many days.',
  unreadable: 'That is no recurrence rule of days; write for example FREQ=WEEKLY;BYDAY=SU (RFC 5545).',
  never: 'By that it never falls due: no such day comes. Choose another one.',
};

/** `due today`, `3 days late`, `next Sun 29 Nov`. */
export function whenWords(
  { due, lateDays, next }: Pick<RoundNow, 'due' | 'lateDays' | 'next'>,
  today: CivilDate,
): string {
  if (due) return lateDays === 0 ? 'due today' : counted(lateDays, { one: '# day late', other: '# days late' });
  return next === null ? 'does not come again' : weekdayAndDay(next, today);
}

export const minutesWords = (minutes: number): string =>
  minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h${minutes % 60 === 0 ? '' : ` ${minutes % 60} min`}`;

/** What a strip shows, for who does not see it. */
export function stripWords({ strip }: Pick<RoundNow, 'strip'>): string {
  const of = (state: string): number => strip.filter((turn) => turn.state === state).length;
  return `In six weeks: ${of('done')} done, ${of('skipped')} skipped, ${of('missed')} missed.`;
}

export const stepsWords = (done: number, all: number): string =>
  `${done} of ${counted(all, { one: '# step', other: '# steps' })} done`;
/** What is done with all of a lot: `Used`, and of more than one `All used`. */
export const wholeWords = (deed: 'used' | 'thrown', quantityThousandths: number): string =>
  quantityThousandths > 1000 ? `All ${deed}` : deed.charAt(0).toUpperCase() + deed.slice(1);

/** A step that was done, and by whom. @param place it is a place that was looked at */
export const tickedWords = (how: 'looked' | 'carried' | 'filled' | 'done', name: string | null): string =>
  `${how === 'looked' ? 'looked at' : how}${name === null ? '' : ` by ${name}`}`;
export const lastWords = (on: CivilDate | null, name: string | null, today: CivilDate): string =>
  on === null ? 'not done yet' : `last done ${dayWords(on, today)}${name === null ? '' : ` by ${name}`}`;
export const doneWords = (name: string, minutes: number | null): string =>
  minutes === null ? `Done: ${name}.` : `Done: ${name}, ${minutesWords(minutes)}.`;
/** Steps that would have booked something, and were not done. */
export const unbookedWords = (count: number): string =>
  counted(count, {
    one: '# step is open: it was not carried, filled or swapped, and nothing of it is booked.',
    other: '# steps are open: they were not carried, filled or swapped, and nothing of them is booked.',
  });
/** A phone says something of a day that is still to come. */
export const oddDayWords = (on: CivilDate, today: CivilDate): string =>
  `A phone noted something here on ${dayWords(on, today)}, which is still to come: check the date of that phone. It is counted on the day it was due.`;
/** Several rounds after a long time away. */
export const manyMissedWords = (turns: number, rounds: number): string =>
  `${counted(turns, { one: '# turn', other: '# turns' })} of ${counted(rounds, { one: '# round', other: '# rounds' })} were missed.`;
/** Since when a thing lies in a catch-all: `here since 3 May`. */
export const hereSinceWords = (since: CivilDate | null, today: CivilDate): string =>
  since === null ? '' : since === today ? 'here since today' : `here since ${dayWords(since, today)}`;

export const afreshWords = (missed: number): string =>
  `${counted(missed, { one: '# turn was', other: '# turns were' })} missed. Begin afresh: it is counted from today, and nothing is lost.`;

/** The weekday of a day as a rule names it. */
export const ruleDay = (day: CivilDate): RuleDay =>
  RULE_DAYS[(weekday(day) + RULE_DAYS.length - 1) % RULE_DAYS.length]!;
export const WEEKDAY_CHOICES = RULE_DAYS.map((day) => ({ value: day, label: ruleDayWords(day) }));

/** What was counted against what was expected, said after. */
export const countedWords = (expected: string, found: string): string =>
  expected === found ? `${found}, as expected` : `${found}; expected were ${expected}`;

/** What drifted, by name: a bin, things on a shelf, a group. */
export const driftTitle = ({ names }: Pick<Drift, 'names'>): string =>
  names.length <= 3 ? names.join(', ') : `${names.slice(0, 3).join(', ')} and ${names.length - 3} more`;

/** How it is otherwise than it was set up. @param shelf where the plan has it, in words */
export function driftDetail({ kind }: Pick<Drift, 'kind'>, shelf: string): string {
  switch (kind) {
    case 'moved':
      return `Stands on another shelf; planned: ${shelf}.`;
    case 'gone':
      return 'Planned, but its bin is no longer here.';
    case 'stray':
      return 'In a bin that is for others; the plan has them in another one.';
    case 'purpose':
      return 'On a shelf that is for something else.';
    case 'label':
      return 'Its label says otherwise.';
    case 'full':
      return 'By their volumes its things are more than it holds.';
    case 'empty':
      return 'Planned with things in it; it is empty.';
    case 'set':
      return 'A set of it is begun and not whole.';
  }
}
/** What can be done about it in a tap, and what is said then. */
export const DRIFT_ACTS: Readonly<
  Record<Drift['kind'], { right?: string; rightDone?: string; over?: string; overDone?: string }>
> = {
  moved: { right: 'Put back', rightDone: 'Back', over: 'It stays: change the plan', overDone: 'Planned so' },
  gone: { over: 'Not planned any more', overDone: 'Out of the plan' },
  stray: {
    right: 'Take them there',
    rightDone: 'Moved',
    over: 'They belong here now',
    overDone: 'Belongs here now',
  },
  purpose: {
    right: 'Take them there',
    rightDone: 'Moved',
    over: 'The shelf is for them too',
    overDone: 'Belongs here now',
  },
  label: { over: 'I wrote it anew by hand', overDone: 'Noted as written anew' },
  full: {},
  empty: { right: 'Put the bin away', rightDone: 'Put away', over: 'It may be empty', overDone: 'May be empty' },
  set: { over: 'No set any more', overDone: 'Counted singly' },
};
export const largerWords = (name: string): string => `A larger container for ${name}`.slice(0, 200);

/** Where things on a shelf that is for others go: `Sail to BL1-B3K, oars to SR2-A1C.` */
export function strayHomesWords(state: HouseholdState, homes: readonly { lot: LotRow; toNookId: string }[]): string {
  const all = homes.map(({ lot, toNookId }) => {
    const code = state.nook(toNookId)?.row.code;
    return `${state.get('item', lot.itemId)?.name ?? ''}${code ? ` to ${code}` : ''}`;
  });
  return all.length <= 3 ? `${all.join(', ')}.` : `${all.slice(0, 3).join(', ')} and ${all.length - 3} more.`;
}

/** `3 places drifted`, or that none did. */
export const driftedWords = (count: number): string =>
  count === 0
    ? 'As planned: nothing drifted'
    : `As planned? ${counted(count, { one: '# place', other: '# places' })} drifted`;

const monthYear = new Intl.DateTimeFormat('en-US', { month: 'long', year: 'numeric', timeZone: 'UTC' });
/** `November 2026`. */
export const monthWords = (day: CivilDate): string => monthYear.format(new Date(`${day}T00:00:00Z`));

const TURN_WORDS = { done: 'done', skipped: 'skipped', missed: 'missed', due: 'due', ahead: 'ahead' } as const;
/** A round on a day of the calendar: `Friday list, 27 Nov, done`. */
export function turnTitle({ round, strip }: RoundNow, day: CivilDate, today: CivilDate): string {
  const state = strip.find(({ on }) => on === day)?.state ?? 'ahead';
  return `${round.name}, ${dayWords(day, today)}, ${TURN_WORDS[state]}`;
}

/** These find what there is to do by themselves, wherever it is. */
const FINDS_ANYWHERE: ReadonlySet<RoundKind> = new Set(['expiry', 'medicine', 'condition', 'refill']);
/** Why a round has no step now. */
export function emptyRoundWords({ kind, nookIds }: Pick<RoundRow, 'kind' | 'nookIds'>): string {
  if (kind === 'pill_box') return 'Nothing goes into a pill box yet: it is typed under Care, with the medicine.';
  return nookIds.length === 0 && !FINDS_ANYWHERE.has(kind)
    ? 'It has no steps and no places yet: add them with Change, or just say that it is done.'
    : 'Nothing here asks for it now. It can be called done.';
}

export const boxTitle = (name: string | null): string => (name === null ? 'A pill box' : `${name}’s pill box`);
/** For which week a box is filled, and what is missing for it. */
export function boxWords(week: BoxWeek | null, today: CivilDate): string {
  if (week === null) return 'filled for a week and more, or nothing goes into it';
  const span = spanWords(week.days[0]!, week.days.at(-1)!, today);
  const short = week.parts.filter((part) => part.haveThousandths < part.needThousandths);
  return short.length === 0
    ? `for ${span}: all of it is at home`
    : `for ${span}: not enough of ${short.map(({ item }) => item.name).join(', ')}`;
}

export const swapTitle = (one: string, other: string): string => `${one} and ${other} change places`;

/** Why two bins stay where they are. */
export function swapProblemWords(problem: SwapProblem, unit: LengthUnit): string {
  if (problem.kind === 'gone') return 'One of them is no longer there: take the pair out of the round.';
  if (problem.kind === 'same') return 'They are one, or one stands in the other: choose two others.';
  return standWords(problem, unit);
}

const MINUTE_MS = 60_000;
/** What is left of the time a sitting was meant to take: `12 min`, `3 min over`. */
export function leftOfWords(
  { startedAt, plannedMinutes }: Pick<BacklogRow, 'startedAt' | 'plannedMinutes'>,
  nowMs: number,
): string {
  const left = plannedMinutes - Math.floor((nowMs - Date.parse(startedAt)) / MINUTE_MS);
  return left >= 0 ? `${left} min` : `${-left} min over`;
}

/** How a sitting went: `20 Nov, 25 min: 12 put away, 3 given away, 4 left`. */
export function backlogWords(
  { startedAt, endedAt, putAway, givenAway, left }: Omit<BacklogRow, 'seq' | 'retired' | 'id'>,
  today: CivilDate,
): string {
  const minutes = Math.max(1, Math.round((Date.parse(endedAt ?? startedAt) - Date.parse(startedAt)) / MINUTE_MS));
  const day = dayWords(startedAt.slice(0, 10), today);
  return `${day}, ${minutesWords(minutes)}: ${putAway} put away, ${givenAway} given away, ${left} left`;
}

/** Nothing drifted, of so many places that can be compared: where there are none, nobody knows. */
export const nothingDriftedWords = (places: number): string =>
  counted(places, {
    zero: 'Nothing can be compared yet: no space was set up by a plan, no shelf is for something, no label was printed, and of no bin the container is known.',
    one: 'The one place that can be compared is as set up. Others have no plan, purpose, label or known container.',
    other:
      'All # places that can be compared are as set up: by the chosen plans, what shelves are for, the labels as printed, and what bins hold.',
  });

/** How many places are as they were set up: `58 of 60 places are in place`. */
export const shareWords = ({ places, inPlace }: Share): string =>
  `${inPlace} of ${counted(places, { one: '# place is', other: '# places are' })} as set up`;

const percent = ({ places, inPlace }: Share): string =>
  `${places === 0 ? 100 : Math.floor((100 * inPlace) / places)} %`;
/** The first and the last week of the curve: `92 % in the week of 26 Oct, 96 % now`. */
export function weekShareWords(weeks: readonly (Share & { week: CivilDate })[], today: CivilDate): string {
  const [first, last] = [weeks[0], weeks.at(-1)];
  return first && last ? `${percent(first)} in the week of ${dayWords(first.week, today)}, ${percent(last)} last` : '';
}

/** What a calendar of the home shows. */
export const HOLDS_WORDS: Readonly<Record<CalendarHolds, string>> = {
  rounds: 'Rounds',
  shopping: 'Shop days',
  dates: 'What ends',
};
const HELD: Readonly<Record<CalendarHolds, string>> = {
  rounds: 'the rounds',
  shopping: 'the shop days',
  dates: 'what ends on which day',
};
/** `the rounds and the shop days` */
export const holdsWords = (holds: readonly CalendarHolds[]): string => listed(holds.map((one) => HELD[one]));
