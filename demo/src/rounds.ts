/** The duties of the ferry house that come back, and how they went for six weeks. All invented. */
import {
  addDays,
  dueDays,
  HouseholdState,
  shareInPlace,
  type CivilDate,
  type Rhythm,
  type RoundFields,
  type TaggedRow,
} from '@ours/core';

interface DemoRound {
  name: string;
  kind: RoundFields['kind'];
  rhythm: Rhythm;
  by: readonly string[];
  /** Spaces or bins, by their names, in walking order. */
  at: readonly string[];
  steps: readonly string[];
  minutes: number;
  /** Turns of six weeks that nobody did, counted from the last backwards; a rhythm counted from the last time: days since. */
  missed: readonly number[];
  since?: number;
  /** Bins that change places. */
  swaps?: readonly (readonly [one: string, other: string])[];
}
const rule = (text: string): Rhythm => ({ kind: 'rule', rule: text, days: null });
const after = (days: number): Rhythm => ({ kind: 'after', rule: null, days });

const ROUNDS: readonly DemoRound[] = [
  {
    name: 'Expiry round',
    kind: 'expiry',
    rhythm: rule('FREQ=WEEKLY;BYDAY=WE'),
    by: ['Runa'],
    at: [],
    steps: [],
    minutes: 8,
    missed: [],
  },
  {
    name: 'Friday list',
    kind: 'helper',
    rhythm: rule('FREQ=WEEKLY;BYDAY=FR'),
    by: ['Jonas'],
    at: ['Stair press'],
    steps: [
      'Beds upstairs',
      'Towels into the press, folded edge out',
      'Floors',
      'Bottles to the bank',
      'Fill the lint box',
    ],
    minutes: 55,
    missed: [3],
  },
  {
    name: 'Weekly refill',
    kind: 'refill',
    rhythm: rule('FREQ=WEEKLY;BYDAY=SU'),
    by: ['Eskil'],
    at: ['Supply rack', 'Pantry alcove'],
    steps: [],
    minutes: 12,
    missed: [],
  },
  {
    name: 'Pill boxes',
    kind: 'pill_box',
    rhythm: rule('FREQ=WEEKLY;BYDAY=SU'),
    by: ['Runa'],
    at: [],
    steps: [],
    minutes: 5,
    missed: [],
  },
  {
    name: 'Mending box',
    kind: 'catch_all',
    rhythm: after(75),
    by: ['Tove'],
    at: ['mending'],
    steps: [],
    minutes: 20,
    missed: [],
    since: 74,
  },
  {
    name: 'Season swap',
    kind: 'season_swap',
    rhythm: { kind: 'season', rule: null, days: null },
    by: [],
    at: [],
    steps: [],
    minutes: 40,
    missed: [],
    swaps: [['winter hats', 'hammock']],
  },
  {
    name: 'Freezer',
    kind: 'defrost',
    rhythm: after(180),
    by: ['Eskil'],
    at: ['Porch freezer'],
    steps: [
      'Cool boxes and ice packs ready',
      'Switch off, door open, towels down',
      'Dry it, switch on, wait until it is cold',
    ],
    minutes: 90,
    missed: [],
    since: 150,
  },
];
/** Long enough for six weeks of turns, and a bit. */
const SINCE_DAYS = 50;

/** Places that were not as set up, in each of the last weeks. */
const AWAY = [4, 3, 3, 2, 2, 1];

/** Adds the rounds of the home, and what was done of them until today. */
export function keepRounds(
  rows: readonly TaggedRow[],
  today: CivilDate,
  add: (entity: 'round' | 'round_tick' | 'in_place', fields: object) => string,
): void {
  const named = new Map(
    rows.flatMap((one): [string, string][] =>
      one.entity === 'person' || one.entity === 'space' || one.entity === 'bin' ? [[one.row.name, one.row.id]] : [],
    ),
  );
  for (const { name, kind, rhythm, by, at, steps, minutes, missed, since, swaps } of ROUNDS) {
    const startsOn = addDays(today, -(since ?? SINCE_DAYS));
    const personIds = by.map((one) => named.get(one)!);
    const nookIds = at.map((one) => named.get(one)!);
    const roundId = add('round', {
      name,
      kind,
      rhythm,
      startsOn,
      personIds,
      nookIds,
      steps: [...steps],
      minutes,
      ...(swaps
        ? { swaps: swaps.map(([one, other]) => ({ oneId: named.get(one)!, otherId: named.get(other)! })) }
        : {}),
    });
    const turns = since === undefined ? dueDays(rhythm, startsOn, null, startsOn, addDays(today, -1)) : [startsOn];
    turns.reverse().forEach((dueOn, back) => {
      if (missed.includes(back)) return;
      add('round_tick', {
        roundId,
        dueOn,
        what: 'done',
        step: null,
        toOn: null,
        personId: personIds[0] ?? null,
        on: dueOn,
        minutes: minutes + (back % 3) - 1,
      });
    });
  }
  // How much was in place in the weeks before, of as many places as can drift now.
  const state = new HouseholdState();
  for (const row of rows) state.put(row);
  const { places } = shareInPlace(state);
  AWAY.forEach((away, at) => {
    const on = addDays(today, -7 * (AWAY.length - at));
    add('in_place', { on, places, inPlace: Math.max(0, places - away) });
  });
}
