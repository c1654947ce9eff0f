/**
 * Pill boxes: what goes into which section, how much of it is at home, and how long it lasts. Amounts are those that somebody typed;
 * nothing is worked out of them but sums.
 */
import { addDays, daysBetween, idOfWords, RULE_DAYS, weekday, type CivilDate } from '../base';
import {
  PILL_TIMES,
  type HouseholdState,
  type ItemRow,
  type LotRow,
  type Op,
  type PillsTyped,
  type PillTime,
} from '../household';
import { effectiveDue, type KeepingGuide } from '../shelflife';
import { oldestFirst, opsForTaking, type OpContext } from '../stock';
import { medicineOf, medicinesIn } from './care';

/** A box has a section for each time of seven days. */
export const BOX_DAYS = 7;
/** Nothing is foreseen beyond two years. */
const FARTHEST_DAYS = 730;
const NEVER: CivilDate = '9999-12-31';

/** How much of a medicine goes into one section; thousandths of the thing's unit. */
export const pillsAt = (typed: PillsTyped, day: CivilDate, time: PillTime): number =>
  typed.days.length === 0 || typed.days.includes(RULE_DAYS[(weekday(day) + 6) % 7]!) ? typed[time] : 0;

const pillsOn = (typed: PillsTyped, day: CivilDate): number =>
  PILL_TIMES.reduce((sum, time) => sum + pillsAt(typed, day, time), 0);

/** One medicine of a box for a week. */
export interface BoxPart {
  item: ItemRow;
  typed: PillsTyped;
  /** For the whole week. */
  needThousandths: number;
  /** At home and good until the last day of the week. */
  haveThousandths: number;
  /** What it is taken from, in order. */
  lots: LotRow[];
}
export interface BoxWeek {
  fromOn: CivilDate;
  /** The seven days. */
  days: CivilDate[];
  parts: BoxPart[];
  /** Who filled it for these days, and when; null: nobody yet. */
  filled: { on: CivilDate; byId: string | null } | null;
}

/** Everybody for whom something goes into a pill box. */
export const withPillBox = (state: HouseholdState): string[] => [
  ...new Set(
    medicinesIn(state).flatMap(({ itemId, pills }) => {
      const item = state.get('item', itemId);
      return !item || item.retired ? [] : (pills ?? []).map(({ personId }) => personId);
    }),
  ),
];

/**
 * What goes into a person's box for the seven days from a day on.
 * For example one tablet each morning and half a one on Monday evening: 7.5 for a week.
 */
export function boxWeek(state: HouseholdState, personId: string, fromOn: CivilDate, guide: KeepingGuide): BoxWeek {
  const days = Array.from({ length: BOX_DAYS }, (_, at) => addDays(fromOn, at));
  const parts = medicinesIn(state).flatMap((medicine): BoxPart[] => {
    const item = state.get('item', medicine.itemId);
    const typed = medicine.pills?.find((one) => one.personId === personId);
    if (!item || item.retired || !typed) return [];
    const needThousandths = days.reduce((sum, day) => sum + pillsOn(typed, day), 0);
    const lots = oldestFirst(
      usable(state, item.id).filter((lot) => goodUntil(lot, item, guide) >= days.at(-1)!),
      item,
      guide,
    );
    const haveThousandths = lots.reduce((sum, lot) => sum + lot.quantityThousandths, 0);
    return needThousandths === 0 ? [] : [{ item, typed, needThousandths, haveThousandths, lots }];
  });
  const fill = state.get('pill_fill', fillId(personId, fromOn));
  return {
    fromOn,
    days,
    parts: parts.sort((a, b) => (a.item.name < b.item.name ? -1 : 1)),
    filled: fill && !fill.retired ? { on: fill.on, byId: fill.byId } : null,
  };
}

/** What is lent or taken along is not there to fill from. */
const usable = (state: HouseholdState, itemId: string): LotRow[] =>
  state
    .lotsOf(itemId)
    .filter(({ quantityThousandths, inUseOn }) => quantityThousandths > 0 && (inUseOn ?? null) === null);
const goodUntil = (lot: LotRow, item: ItemRow, guide: KeepingGuide): CivilDate =>
  effectiveDue(lot, item, guide)?.on ?? NEVER;

/** The same on every device, so that a box is filled for the same days once. */
const fillId = (personId: string, fromOn: CivilDate): string => idOfWords(`pill box ${personId} ${fromOn}`);

/** The box is filled: what went into it leaves the stock. Of what there is too little, all of it. Empty: it was filled before. */
export function opsForFillingBox(
  state: HouseholdState,
  personId: string,
  { fromOn, parts, filled }: BoxWeek,
  byId: string | null,
  context: OpContext,
): Op[] {
  if (filled || parts.length === 0) return [];
  const id = fillId(personId, fromOn);
  const taken = parts.map(({ item, needThousandths, haveThousandths }) => ({
    itemId: item.id,
    thousandths: Math.min(needThousandths, haveThousandths),
  }));
  const fields = { personId, fromOn, days: BOX_DAYS, parts: taken, byId, on: context.today };
  const before = state.get('pill_fill', id);
  return [
    ...(before
      ? ([
          { op: 'restore', entity: 'pill_fill', id },
          { op: 'change', entity: 'pill_fill', id, fields },
        ] as const)
      : ([{ op: 'create', entity: 'pill_fill', id, fields }] as const)),
    ...parts.flatMap(({ lots }, at) =>
      taken[at]!.thousandths === 0 ? [] : opsForTaking(lots, taken[at]!.thousandths, context),
    ),
  ];
}

/**
 * The week for which a person's box is filled next, seen from today; null: it is filled for a week or more, or nothing goes into it.
 */
export function boxToFill(
  state: HouseholdState,
  personId: string,
  today: CivilDate,
  guide: KeepingGuide,
): BoxWeek | null {
  const fromOn = boxFrom(state, personId, addDays(today, 1));
  if (daysBetween(today, fromOn) > BOX_DAYS) return null;
  const week = boxWeek(state, personId, fromOn, guide);
  return week.parts.length === 0 || week.filled ? null : week;
}

/** The first day for which a person's box is not filled yet; today where it never was or was filled for earlier days. */
export function boxFrom(state: HouseholdState, personId: string, today: CivilDate): CivilDate {
  let from = today;
  for (const fill of state.all('pill_fill')) {
    if (fill.personId !== personId) continue;
    const after = addDays(fill.fromOn, fill.days);
    if (after > from) from = after;
  }
  return from;
}

/**
 * Until when a medicine lasts by what was typed for the boxes: the last day for which all of it is there, counted day by day, with
 * what is past its date on that day left out.
 * @returns `until` null: not even for the first day; null: nothing was typed; `beyond`: longer than two years
 */
export function pillsLast(
  state: HouseholdState,
  item: ItemRow,
  today: CivilDate,
  guide: KeepingGuide,
): { until: CivilDate | null; days: number; beyond: boolean } | null {
  const typed = medicineOf(state, item.id)?.pills ?? [];
  if (typed.length === 0) return null;
  const from = new Map(typed.map(({ personId }) => [personId, boxFrom(state, personId, today)]));
  const lots = oldestFirst(usable(state, item.id), item, guide)
    .map((lot) => ({ left: lot.quantityThousandths, until: goodUntil(lot, item, guide) }))
    .sort((a, b) => (a.until < b.until ? -1 : a.until > b.until ? 1 : 0));
  let until: CivilDate | null = null;
  for (let ahead = 0; ahead < FARTHEST_DAYS; ahead++) {
    const day = addDays(today, ahead);
    let need = typed.reduce((sum, one) => sum + (day < from.get(one.personId)! ? 0 : pillsOn(one, day)), 0);
    for (const lot of lots) {
      if (need === 0) break;
      if (lot.until < day) continue;
      const part = Math.min(need, lot.left);
      lot.left -= part;
      need -= part;
    }
    if (need > 0) return { until, days: until === null ? 0 : daysBetween(today, until) + 1, beyond: false };
    until = day;
  }
  return { until, days: FARTHEST_DAYS, beyond: true };
}
