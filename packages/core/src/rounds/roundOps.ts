/** Ticks as operations. */
import { idOfWords, type CivilDate } from '../base';
import type { HouseholdState, Op, RoundRow, RoundTickFields, RoundTickRow } from '../household';
import type { OpContext } from '../stock';

type Said = Pick<RoundTickFields, 'what'> & Partial<Pick<RoundTickFields, 'step' | 'toOn' | 'minutes'>>;

/**
 * Says something of a turn: a step or all of it done, skipped, or moved to another day.
 * @param personId who says it; null: nobody is signed in as one of the home
 */
export const opsForTick = (
  roundId: string,
  dueOn: CivilDate,
  personId: string | null,
  { what, step = null, toOn = null, minutes = null }: Said,
  context: OpContext,
): Op[] => [
  {
    op: 'create',
    entity: 'round_tick',
    id: context.newId(),
    fields: { roundId, dueOn, what, step, toOn, personId, on: context.today, minutes },
  },
];

/** Takes a step back: all that was said of it. */
export const opsForUntick = (ticks: readonly RoundTickRow[], dueOn: CivilDate, step: string): Op[] =>
  ticks
    .filter((tick) => tick.dueOn === dueOn && tick.what === 'step' && tick.step === step)
    .map(({ id }): Op => ({ op: 'retire', entity: 'round_tick', id }));

/** After a long time away: rounds are counted from today, and what was missed is let be. */
export const opsForAfresh = (rounds: readonly Pick<RoundRow, 'id'>[], today: CivilDate): Op[] =>
  rounds.map(({ id }): Op => ({ op: 'change', entity: 'round', id, fields: { startsOn: today } }));

/**
 * Ticks a step and books what was done in it. The tick has the same id on every device: of two people who do the same step without
 * knowing of each other the second one's is refused as a whole, so that it is booked once.
 * @param booked what the step changes besides
 */
export function opsForBookedStep(
  state: HouseholdState,
  roundId: string,
  dueOn: CivilDate,
  step: string,
  personId: string | null,
  booked: readonly Op[],
  context: OpContext,
): Op[] {
  const id = idOfWords(`${roundId} ${dueOn} ${step}`);
  const before = state.get('round_tick', id);
  const said = { personId, on: context.today };
  const tick: Op[] = before
    ? [
        ...(before.retired ? [{ op: 'restore' as const, entity: 'round_tick' as const, id }] : []),
        { op: 'change', entity: 'round_tick', id, fields: said },
      ]
    : [
        {
          op: 'create',
          entity: 'round_tick',
          id,
          fields: { roundId, dueOn, what: 'step', step, toOn: null, minutes: null, ...said },
        },
      ];
  return [...tick, ...booked];
}
