/** The turns of a round: which is due, which were done, skipped or missed, and what was done in one. */
import { addDays, daysBetween, type CivilDate } from '../base';
import type { HouseholdState, RoundRow, RoundTickRow } from '../household';
import { comingsOf, dueDays, nextDue } from './rhythm';

/** How far back the strip of a round goes, and how far ahead. */
export const STRIP_DAYS = { back: 42, ahead: 7 } as const;
/** A turn that was not done is due until the next one comes; before that it was missed. Further back nothing is looked up. */
const LOOKED_BACK_DAYS = 400;
/** However long ago it was last done. */
const EVER: CivilDate = '1990-01-01';
/** After so many missed turns it is offered to start afresh. Own default. */
export const AFRESH_FROM = 8;

export type TurnState = 'done' | 'skipped' | 'missed' | 'due' | 'ahead';
export interface Turn {
  /** By its rhythm: what ticks refer to. */
  dueOn: CivilDate;
  /** When it is to be done: moved, or as it fell due. */
  on: CivilDate;
  state: TurnState;
  /** Who did it, and when. */
  doneOn: CivilDate | null;
  personId: string | null;
  minutes: number | null;
}
export interface RoundNow {
  round: RoundRow;
  /** To be done now: it fell due today or before; null: nothing is. */
  due: Turn | null;
  lateDays: number;
  next: CivilDate | null;
  /** Six weeks back and one ahead, in order. */
  strip: Turn[];
  /** When all of it was last done, and by whom; null: never. */
  last: { on: CivilDate; personId: string | null } | null;
  /** Something of it was said on this day, which is still to come: the clock of a phone is wrong; null: nothing was. */
  oddDay: CivilDate | null;
  /** Turns of the strip and before it that nobody did. */
  missed: number;
  /** As it was usually: the mean of what was measured; null: never measured. */
  usualMinutes: number | null;
}

/** The same order on every device, in whichever order the rows came: by their day, of one day by their ids. */
const byDay = (a: RoundTickRow, b: RoundTickRow): number =>
  a.on < b.on ? -1 : a.on > b.on ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0;

/** The ticks of a round's turns, in the order of their days. */
export const ticksOf = (state: HouseholdState, roundId: string): RoundTickRow[] =>
  state
    .all('round_tick')
    .filter((tick) => tick.roundId === roundId)
    .sort(byDay);

/** Today is another day elsewhere; further ahead a clock is wrong. */
const isAhead = (on: CivilDate, today: CivilDate): boolean => on > addDays(today, 1);

/** The day on which a turn was done, as far as the clock of the phone that said so can be believed: else the day on which it fell due. */
function believed({ on, dueOn }: RoundTickRow, { days }: RoundRow['rhythm'], today: CivilDate): CivilDate {
  const behind = days !== null && on < addDays(dueOn, -days);
  return isAhead(on, today) || behind ? dueOn : on;
}

/** When a round was last done or skipped; null: never. */
const lastClosed = (ticks: readonly RoundTickRow[], { rhythm }: RoundRow, today: CivilDate): CivilDate | null =>
  ticks
    .filter(({ what }) => what === 'done' || what === 'skipped')
    .map((tick) => believed(tick, rhythm, today))
    .sort()
    .at(-1) ?? null;

function lastOf(ticks: readonly RoundTickRow[], { rhythm }: RoundRow, today: CivilDate): RoundNow['last'] {
  const done = ticks
    .filter(({ what }) => what === 'done')
    .map((tick) => ({ on: believed(tick, rhythm, today), personId: tick.personId }));
  return done.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0)).at(-1) ?? null;
}

/** Where a round stands today. @param comings see `comingsOf` */
export function roundNow(
  round: RoundRow,
  said: readonly RoundTickRow[],
  today: CivilDate,
  comings: readonly CivilDate[] = [],
): RoundNow {
  const ticks = [...said].sort(byDay);
  const done = lastClosed(ticks, round, today);
  const { rhythm, startsOn } = round;
  const from = addDays(today, -LOOKED_BACK_DAYS);
  // A rhythm counted from the last time has no days of its own in the past: its turns are those that were done.
  const ruled =
    rhythm.kind === 'after'
      ? [
          ...new Set([
            ...ticks.map(({ dueOn }) => dueOn),
            ...dueDays(rhythm, startsOn, done, EVER, addDays(today, STRIP_DAYS.ahead)),
          ]),
        ]
      : dueDays(rhythm, startsOn, done, from, addDays(today, STRIP_DAYS.ahead), comings);
  const turns = ruled.sort().map((dueOn): Turn => turnOf(dueOn, ticks, today));
  // Only the last that came can be due: those before it were missed when the next one came.
  const last = turns.filter(({ dueOn }) => dueOn <= today).at(-1);
  const due = last?.state === 'due' ? last : null;
  for (const turn of turns) if (turn.state === 'due' && turn !== due) turn.state = 'missed';
  const measured = ticks.flatMap(({ what, minutes }) => (what === 'done' && minutes !== null ? [minutes] : []));
  const ahead = turns.find(({ state }) => state === 'ahead');
  return {
    round,
    due,
    lateDays: due ? Math.max(0, daysBetween(due.on, today)) : 0,
    last: lastOf(ticks, round, today),
    oddDay: ticks.find(({ on }) => isAhead(on, today))?.on ?? null,
    next: ahead?.on ?? nextDue(rhythm, startsOn, done, today),
    strip: turns.filter(({ on }) => on >= addDays(today, -STRIP_DAYS.back)),
    missed: turns.filter(({ state }) => state === 'missed').length,
    usualMinutes:
      measured.length === 0 ? null : Math.round(measured.reduce((sum, one) => sum + one, 0) / measured.length),
  };
}

function turnOf(dueOn: CivilDate, ticks: readonly RoundTickRow[], today: CivilDate): Turn {
  const own = ticks.filter((tick) => tick.dueOn === dueOn);
  const done = own.find(({ what }) => what === 'done');
  const skipped = own.find(({ what }) => what === 'skipped');
  // Moved twice, the later word counts; of two said at once the further day, so that all devices come to the same.
  const moved = own
    .filter(({ what, toOn }) => what === 'moved' && toOn !== null)
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.toOn! < b.toOn! ? -1 : 1))
    .at(-1);
  const on = moved?.toOn ?? dueOn;
  return {
    dueOn,
    on,
    // Done by one and skipped by another: done.
    state: done ? 'done' : skipped ? 'skipped' : on > today ? 'ahead' : 'due',
    doneOn: done?.on ?? null,
    personId: done?.personId ?? skipped?.personId ?? null,
    minutes: done?.minutes ?? null,
  };
}

/** All rounds as they stand today: late ones first, then what is due, then by the next day. */
export function roundsNow(state: HouseholdState, today: CivilDate): RoundNow[] {
  const ticks = new Map<string, RoundTickRow[]>();
  for (const tick of state.all('round_tick')) {
    const own = ticks.get(tick.roundId);
    if (own) own.push(tick);
    else ticks.set(tick.roundId, [tick]);
  }
  const key = ({ due, next }: RoundNow): string => (due ? `0 ${due.on}` : `1 ${next ?? '9999'}`);
  return state
    .all('round')
    .map((round) => roundNow(round, ticks.get(round.id) ?? [], today, comingsOf(state, round.rhythm)))
    .sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : a.round.name < b.round.name ? -1 : 1));
}

/** Which steps of a turn were done, and by whom. */
export function stepsDone(ticks: readonly RoundTickRow[], dueOn: CivilDate): Map<string, RoundTickRow> {
  return new Map(
    ticks.flatMap((tick) =>
      tick.dueOn === dueOn && tick.what === 'step' && tick.step !== null ? [[tick.step, tick]] : [],
    ),
  );
}
