/**
 * The log of what was given. It advises nothing: the only rules it knows are those somebody typed from the package, and it
 * says who typed them.
 */
import { foldText } from '../base';
import type { CareEntryRow, HouseholdState, MedicineFields, MedicineRow, Op, PackageLimit } from '../household';
import type { OpContext } from '../stock';
import { ingredientsOf } from './ingredients';

const HOUR_MS = 3_600_000;
export const DAY_MS = 24 * HOUR_MS;
/** Two entries so near each other, by two people, may be of one giving that both wrote down. Own default. */
const TWICE_MS = 15 * 60_000;
/** An entry this far ahead of the clock says that two clocks disagree. */
const AHEAD_MS = 120_000;

const rowsOf = (state: HouseholdState, itemId: string): MedicineRow[] =>
  state
    .all('medicine')
    .filter((one) => one.itemId === itemId)
    .sort((a, b) => (a.id < b.id ? -1 : 1));

/**
 * What is noted of a thing as a medicine; null: nothing is. Two phones that did not know of each other may both have noted something:
 * then all of it is read together, every limit that somebody typed among it.
 */
export function medicineOf(state: HouseholdState, itemId: string): MedicineRow | null {
  const [first, ...others] = rowsOf(state, itemId);
  if (!first || others.length === 0) return first ?? null;
  const all = [first, ...others];
  const ingredients = [...new Set(all.flatMap(({ ingredient }) => ingredient ?? []))];
  return {
    ...first,
    ingredient: ingredients.length === 0 ? null : ingredients.join('; '),
    forWhat: [...new Set(all.flatMap(({ forWhat }) => forWhat))],
    // Everybody's, if one of them says so.
    personIds: all.some(({ personIds }) => personIds.length === 0)
      ? []
      : [...new Set(all.flatMap(({ personIds }) => personIds))],
    limits: all.flatMap(({ limits }) => limits),
    // Of one person what was typed last.
    pills: [
      ...new Map(
        all
          .flatMap(({ pills }) => pills ?? [])
          .sort((a, b) => (a.typedOn < b.typedOn ? -1 : 1))
          .map((one) => [one.personId, one]),
      ).values(),
    ],
  };
}

/** All that is noted as a medicine, each thing once. */
export const medicinesIn = (state: HouseholdState): MedicineRow[] =>
  [...new Set(state.all('medicine').map(({ itemId }) => itemId))].map((itemId) => medicineOf(state, itemId)!);

/** Notes something of a thing as a medicine; what two phones noted of it becomes one. */
export function opsForMedicine(
  state: HouseholdState,
  fields: MedicineFields,
  { newId }: Pick<OpContext, 'newId'>,
): Op[] {
  const [first, ...others] = rowsOf(state, fields.itemId);
  if (!first) return [{ op: 'create', entity: 'medicine', id: newId(), fields }];
  return [
    { op: 'change', entity: 'medicine', id: first.id, fields },
    ...others.map(({ id }): Op => ({ op: 'retire', entity: 'medicine', id })),
  ];
}
/** It is no medicine: nothing of it is noted any more. */
export const opsForNoMedicine = (state: HouseholdState, itemId: string): Op[] =>
  rowsOf(state, itemId).map(({ id }): Op => ({ op: 'retire', entity: 'medicine', id }));

/** What was given or measured of a person, the newest first. */
export const entriesOf = (state: HouseholdState, personId: string): CareEntryRow[] =>
  state
    .all('care_entry')
    .filter((entry) => entry.personId === personId)
    .sort(newestFirst);
const newestFirst = (a: CareEntryRow, b: CareEntryRow): number =>
  a.at === b.at ? (a.id < b.id ? 1 : -1) : a.at < b.at ? 1 : -1;

/**
 * The limit that is for this person, else the one for everybody; null: nobody typed one. Typed twice, on two phones, each figure that
 * allows less counts, in the words of both.
 */
export function limitFor(medicine: Pick<MedicineRow, 'limits'> | null, personId: string): PackageLimit | null {
  const typed = (of: string | null): PackageLimit[] => medicine?.limits.filter((limit) => limit.personId === of) ?? [];
  const own = typed(personId);
  const all = own.length > 0 ? own : typed(null);
  const last = all.at(-1);
  if (!last) return null;
  const figures = (of: (limit: PackageLimit) => number | null): number[] => all.flatMap((limit) => of(limit) ?? []);
  const [hours, most] = [figures(({ leastHours }) => leastHours), figures(({ mostInDay }) => mostInDay)];
  return {
    ...last,
    leastHours: hours.length === 0 ? null : Math.max(...hours),
    mostInDay: most.length === 0 ? null : Math.min(...most),
    words: [...new Set(all.map(({ words }) => words))].join('” and “'),
  };
}

/** Things with an active ingredient that this one has as well: one of several is enough. */
export function sameIngredient(
  state: HouseholdState,
  medicine: Pick<MedicineRow, 'itemId' | 'ingredient'> | null,
): MedicineRow[] {
  const own = new Set(ingredientsOf(medicine?.ingredient ?? ''));
  if (own.size === 0) return [];
  return medicinesIn(state).filter(
    ({ itemId, ingredient }) =>
      itemId !== medicine?.itemId && ingredientsOf(ingredient ?? '').some((one) => own.has(one)),
  );
}

export interface CareNow {
  /** Of this medicine, the newest first. */
  given: CareEntryRow[];
  /** Of others with the same ingredient within 24 hours, the newest first: they are counted with it. */
  alike: CareEntryRow[];
  limit: PackageLimit | null;
  /** By what was typed from the package, not before this instant; null: nothing typed speaks against now. */
  notBeforeMs: number | null;
  /** Given within the last 24 hours, with those of the same ingredient. */
  inDay: number;
  /** Entries later than this phone's clock: one of two clocks is wrong. */
  ahead: CareEntryRow[];
  /** Of the last 24 hours two entries by two people within a quarter of an hour: perhaps both wrote down one giving; null: none. */
  twice: [CareEntryRow, CareEntryRow] | null;
}

/**
 * Where a person stands with a medicine. Hours are hours that pass, whatever the clock on the wall does on the day on which
 * it is put forward or back.
 * @param nowMs instant, ms since 1970
 * For example given at 15:45, 22:10 and 06:30, with "not again within 6 hours, at most 4 times in 24 hours" typed: not before
 * 12:30, 3 of 4.
 */
export function careNow(state: HouseholdState, personId: string, itemId: string, nowMs: number): CareNow {
  const medicine = medicineOf(state, itemId);
  const limit = limitFor(medicine, personId);
  const alikeIds = new Set(sameIngredient(state, medicine).map((one) => one.itemId));
  const all = entriesOf(state, personId);
  const given = all.filter((entry) => entry.itemId === itemId);
  const within = (entry: CareEntryRow): boolean => Date.parse(entry.at) > nowMs - DAY_MS;
  const other = all.filter((entry) => entry.itemId !== null && alikeIds.has(entry.itemId));
  const counted = [...given, ...other].sort(newestFirst);
  const last = counted[0];
  const ends: number[] = [];
  if (limit?.leastHours && last) ends.push(Date.parse(last.at) + limit.leastHours * HOUR_MS);
  // Once the most are given in 24 hours, the first of them has to be a day old.
  const first = limit?.mostInDay ? counted[limit.mostInDay - 1] : undefined;
  if (first) ends.push(Date.parse(first.at) + DAY_MS);
  const notBeforeMs = Math.max(...ends, -Infinity);
  return {
    given,
    alike: other.filter(within),
    limit,
    notBeforeMs: notBeforeMs > nowMs ? notBeforeMs : null,
    inDay: counted.filter(within).length,
    ahead: all.filter((entry) => Date.parse(entry.at) > nowMs + AHEAD_MS),
    twice: writtenTwice(given.filter(within)),
  };
}

/** @param entries the newest first */
function writtenTwice(entries: readonly CareEntryRow[]): [CareEntryRow, CareEntryRow] | null {
  for (const [at, later] of entries.entries()) {
    const earlier = entries[at + 1];
    if (!earlier || (later.byId ?? later.byName) === (earlier.byId ?? earlier.byName)) continue;
    if (Date.parse(later.at) - Date.parse(earlier.at) <= TWICE_MS) return [earlier, later];
  }
  return null;
}

/** The medicines of a shelf as one reads it: by whose they are, then by what they are for. */
export interface MedicineGroup {
  by: 'person' | 'for' | 'other';
  /** The person's id, or the words. */
  key: string;
  medicines: MedicineRow[];
}

export function medicineGroups(state: HouseholdState): MedicineGroup[] {
  const groups = new Map<string, MedicineGroup>();
  const put = (by: MedicineGroup['by'], key: string, medicine: MedicineRow): void => {
    const known = groups.get(`${by} ${foldText(key)}`);
    if (known) known.medicines.push(medicine);
    else groups.set(`${by} ${foldText(key)}`, { by, key, medicines: [medicine] });
  };
  for (const medicine of medicinesIn(state)) {
    const item = state.get('item', medicine.itemId);
    if (!item || item.retired) continue;
    for (const id of medicine.personIds) put('person', id, medicine);
    if (medicine.personIds.length > 0) continue;
    if (medicine.forWhat.length === 0) put('other', '', medicine);
    for (const words of medicine.forWhat) put('for', words, medicine);
  }
  const order = { person: 0, for: 1, other: 2 };
  return [...groups.values()].sort((a, b) => order[a.by] - order[b.by] || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));
}
