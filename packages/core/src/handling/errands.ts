/** Moves that somebody accepted, as a list to walk; and those that nobody wants. */
import type { AsItIsRow, ErrandRow, HouseholdState, Op } from '../household';
import { opsForMovingBin } from '../spaces';
import { opsForMoving, type OpContext } from '../stock';
import type { HandlingHome, Stray } from './handlingTypes';
import type { ProposedMove } from './moves';

/** What is carried and where it goes, by ids. */
export interface Step {
  subjectId: string;
  fromNookId: string;
  toNookId: string;
}

/** The steps of a move, in the order in which they are carried out. */
export function stepsOf(home: HandlingHome, { carries, stray }: ProposedMove): Step[] {
  if (stray) return [{ subjectId: stray.lotId, fromNookId: stray.fromNookId, toNookId: stray.toNookId }];
  return carries.map(({ unit, from, to }) => ({
    subjectId: home.units[unit]!.binId,
    fromNookId: home.shelves[from]!.shelfId,
    toNookId: home.shelves[to]!.shelfId,
  }));
}

/** Writes moves on the walk list, after what is on it already. */
export function opsForAccepting(
  state: HouseholdState,
  home: HandlingHome,
  moves: readonly ProposedMove[],
  { newId }: OpContext,
): Op[] {
  let sort = state.all('errand').reduce((most, errand) => Math.max(most, errand.sort + 1), 0);
  return moves.flatMap((move) => {
    const chain = newId();
    return stepsOf(home, move).map((step): Op => ({
      op: 'create',
      entity: 'errand',
      id: newId(),
      fields: { chain, sort: Math.min(999, sort++), ...step, savedMinutes: move.savedMinutes, doneOn: null },
    }));
  });
}

/** Where something is now: the shelf of a bin, the place of a lot; null: it is gone. */
export function whereIs(state: HouseholdState, subjectId: string): string | null {
  const bin = state.get('bin', subjectId);
  if (bin && !bin.retired) return bin.shelfId;
  const lot = state.get('lot', subjectId);
  return lot && !lot.retired && lot.quantityThousandths > 0 ? lot.nookId : null;
}

/** An errand that can still be done: it is not done, and what it carries is where it was. */
export const isOpen = (state: HouseholdState, { doneOn, subjectId, fromNookId }: ErrandRow): boolean =>
  doneOn === null && whereIs(state, subjectId) === fromNookId;

/** In the order in which they are walked. */
export const errandsOf = (state: HouseholdState): ErrandRow[] =>
  state.all('errand').sort((a, b) => a.sort - b.sort || (a.id < b.id ? -1 : 1));

/** It was carried: the bin or the lot is there now. Empty when it is not where it was. */
export function opsForErrand(state: HouseholdState, errand: ErrandRow, context: OpContext): Op[] {
  if (!isOpen(state, errand)) return [];
  const moved = carried(state, errand.subjectId, errand.toNookId, context);
  if (moved.length === 0) return [];
  return [...moved, { op: 'change', entity: 'errand', id: errand.id, fields: { doneOn: context.today } }];
}

function carried(state: HouseholdState, subjectId: string, toNookId: string, context: OpContext): Op[] {
  const bin = state.get('bin', subjectId);
  if (bin) return opsForMovingBin(state, bin, toNookId);
  const lot = state.get('lot', subjectId);
  return lot ? opsForMoving(lot, lot.quantityThousandths, toNookId, state.lotsIn(toNookId), context) : [];
}

/** Takes moves off the list, and puts back the bins that were carried for them, the last first. */
export function opsForPuttingBack(state: HouseholdState, errands: readonly ErrandRow[], context: OpContext): Op[] {
  const back = [...errands].reverse().flatMap((errand): Op[] => {
    const isCarried = errand.doneOn !== null && whereIs(state, errand.subjectId) === errand.toNookId;
    return isCarried && state.get('bin', errand.subjectId)
      ? carried(state, errand.subjectId, errand.fromNookId, context)
      : [];
  });
  return [...back, ...errands.map(({ id }): Op => ({ op: 'retire', entity: 'errand', id }))];
}

/** What a proposal rests on: where it stands, where it would go, and about how often it is taken from. */
export function factsOf(home: HandlingHome, { stray, lead, carries }: ProposedMove): string {
  return stray ? strayFacts(stray) : binFacts(home, lead!, carries.at(-1)!.to);
}
const strayFacts = ({ fromNookId, toNookId }: Stray): string => `${fromNookId} ${toNookId}`;
function binFacts(home: HandlingHome, unit: number, to: number): string {
  const { uses, origin } = home.units[unit]!;
  const often = uses < 0.5 ? 'hardly' : uses < 2.5 ? 'monthly' : uses < 10 ? 'weekly' : 'daily';
  const { shelfId, footMm } = home.shelves[to]!;
  return [home.shelves[origin]!.shelfId, shelfId, often, Math.round(footMm)].join(' ');
}

/** It stays as it is: not proposed again while the facts are the same. */
export function opsForLeaving(home: HandlingHome, move: ProposedMove, { newId, today }: OpContext): Op[] {
  const step = stepsOf(home, move).at(-1)!;
  const fields = { subjectId: step.subjectId, toNookId: step.toNookId, facts: factsOf(home, move), saidOn: today };
  return [{ op: 'create', entity: 'as_it_is', id: newId(), fields }];
}

/** Proposals that nobody wants, as the search takes them: those whose facts are still the same. */
export function leaveOf(rows: readonly AsItIsRow[], home: HandlingHome): Set<string> {
  const leave = new Set<string>();
  for (const { subjectId, toNookId, facts } of rows) {
    const unit = home.units.findIndex(({ binId }) => binId === subjectId);
    const to = home.shelves.findIndex(({ shelfId }) => shelfId === toNookId);
    const stray = home.strays.find(({ lotId }) => lotId === subjectId) ?? null;
    const now = stray ? strayFacts(stray) : unit >= 0 && to >= 0 ? binFacts(home, unit, to) : null;
    if (now === facts) leave.add(`${subjectId} > ${toNookId}`);
  }
  return leave;
}
/** Of the moves that were accepted and not done, how many minutes a month they save. */
export function savedBy(errands: readonly ErrandRow[]): number {
  const chains = new Map(errands.map(({ chain, savedMinutes }) => [chain, savedMinutes]));
  return [...chains.values()].reduce((sum, minutes) => sum + minutes, 0);
}
