/**
 * The log of what was given. It advises nothing: the only rules it knows are those somebody typed from the package, and it
 * says who typed them.
 */
import { foldText } from '../base';
import type { CareEntryRow, HouseholdState, MedicineRow, PackageLimit } from '../household';

const HOUR_MS = 3_600_000;
export const DAY_MS = 24 * HOUR_MS;
/** An entry this far ahead of the clock says that two clocks disagree. */
const AHEAD_MS = 120_000;

/** What is noted of a thing as a medicine; null: nothing is. */
export const medicineOf = (state: HouseholdState, itemId: string): MedicineRow | null =>
  state.all('medicine').find((one) => one.itemId === itemId) ?? null;

/** What was given or measured of a person, the newest first. */
export const entriesOf = (state: HouseholdState, personId: string): CareEntryRow[] =>
  state
    .all('care_entry')
    .filter((entry) => entry.personId === personId)
    .sort(newestFirst);
const newestFirst = (a: CareEntryRow, b: CareEntryRow): number =>
  a.at === b.at ? (a.id < b.id ? 1 : -1) : a.at < b.at ? 1 : -1;

/** The limit that is for this person, else the one for everybody; null: nobody typed one. */
export const limitFor = (medicine: MedicineRow | null, personId: string): PackageLimit | null =>
  medicine?.limits.find((limit) => limit.personId === personId) ??
  medicine?.limits.find((limit) => limit.personId === null) ??
  null;

/** Things with the same active ingredient. */
export function sameIngredient(state: HouseholdState, medicine: MedicineRow | null): MedicineRow[] {
  const own = medicine?.ingredient ? foldText(medicine.ingredient).trim() : '';
  if (own === '') return [];
  return state
    .all('medicine')
    .filter(({ id, ingredient }) => id !== medicine?.id && foldText(ingredient ?? '').trim() === own);
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
  };
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
  for (const medicine of state.all('medicine')) {
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
