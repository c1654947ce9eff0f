import {
  placeFor,
  placePath,
  roomThere,
  type AbsenceRow,
  type HouseholdState,
  type RoomThere,
  type ListLine,
  type ListView,
} from '@ours/core';
import type { Outlook } from './outlookStore';

/** What is looked at before one leaves for the shop. */
export interface LeavingView {
  /** Lines whose place does not take them, or only just. */
  crowded: { line: ListLine; there: RoomThere }[];
  /** Lines of which some goes to a reserve place. */
  toReserve: { line: ListLine; there: RoomThere }[];
  /** Of so many nobody can tell: no number is known for their place, and not all sizes are. */
  untold: number;
  fits: number;
  /** Names of what goes into the refrigerator, and into a freezer. */
  chilled: string[];
  frozen: string[];
  /** Days away and with guests to the trip after the next one: they are counted in. */
  absences: AbsenceRow[];
}

/** @param lastDay the trip after the next one */
export function leavingView(
  state: HouseholdState,
  list: ListView,
  { today }: Pick<Outlook, 'today'>,
  lastDay: string,
): LeavingView {
  const view: LeavingView = { crowded: [], toReserve: [], untold: 0, fits: 0, chilled: [], frozen: [], absences: [] };
  for (const line of list.lines) {
    const { item, name, packs, packThousandths } = line;
    if (!item) {
      view.untold += 1;
      continue;
    }
    const there = roomThere(state, item, packs * packThousandths);
    if (there.verdict === 'over' || there.verdict === 'tight') view.crowded.push({ line, there });
    else if (there.verdict === 'unknown') view.untold += 1;
    else view.fits += 1;
    if (there.reserveThousandths > 0) view.toReserve.push({ line, there });
    const place = placeFor(state, item);
    const kind = place ? placePath(state, place.nookId)?.space?.kind : undefined;
    if (kind === 'refrigerator') view.chilled.push(name);
    if (kind === 'chest_freezer' || kind === 'upright_freezer') view.frozen.push(name);
  }
  view.absences = state
    .all('absence')
    .filter(({ fromOn, toOn }) => toOn >= today && fromOn <= lastDay)
    .sort((a, b) => (a.fromOn < b.fromOn ? -1 : 1));
  return view;
}
