import { bulkOfLot } from '../stock';
import { FILL_SHARE } from '../containers';
import type { HouseholdState, ItemRow, LotRow, PlanGroup, GroupBy } from '../household';
import { daysBetween, type CivilDate, foldedWords } from '../base';

const SEASON_WORDS: Readonly<Record<string, string>> = {
  summer: 'summer',
  midsummer: 'summer',
  garden: 'summer',
  picnic: 'summer',
  camping: 'summer',
  boat: 'summer',
  harvest: 'autumn',
  winter: 'winter',
  spring: 'spring',
};
const COLOURS = ['white', 'black', 'blue', 'green', 'red', 'yellow', 'grey', 'brown', 'linen', 'striped', 'checked'];
/** Moved within a month, a season, or longer ago: as near to frequency as the device's own data goes. Own default. */
const OFTEN_DAYS = 31;
const SOMETIMES_DAYS = 92;

/** The name of the group when nothing says where a thing belongs. */
export const UNSORTED = 'not sorted yet';

/**
 * The group a thing falls into by a way of grouping: as the household wrote it, else by what its tags, name and last use say.
 * @returns a short name; `not sorted yet` when nothing says
 */
export function groupOf(state: HouseholdState, item: ItemRow, lot: LotRow, groupBy: GroupBy, today: CivilDate): string {
  const own = item.traits?.groups[groupBy];
  if (own) return own;
  switch (groupBy) {
    case 'kind':
      return item.category || (item.tags[0] ?? binName(state, lot) ?? UNSORTED);
    case 'season':
      return (
        item.tags.map((tag) => SEASON_WORDS[tag.toLowerCase()]).find((season) => season !== undefined) ?? 'all year'
      );
    case 'colour':
      return COLOURS.find((colour) => foldedWords(item.name).includes(colour)) ?? UNSORTED;
    case 'person':
      return (
        state
          .all('person')
          .find(({ name }) => foldedWords(`${item.name} ${binName(state, lot) ?? ''}`).includes(name.toLowerCase()))
          ?.name ?? 'everybody'
      );
    case 'symptom':
    case 'subject':
    case 'room':
    case 'order':
      return binName(state, lot) ?? UNSORTED;
    case 'alphabet':
      return alphabetGroup(item.name);
    case 'frequency':
      return frequencyGroup(lot, today);
  }
}

const binName = (state: HouseholdState, lot: LotRow): string | null => state.get('bin', lot.nookId)?.name ?? null;

function alphabetGroup(name: string): string {
  const letter = (foldedWords(name)[0] ?? '').charAt(0);
  const ranges = ['a–d', 'e–h', 'i–l', 'm–p', 'q–t', 'u–z'];
  return ranges.find((range) => letter >= range.charAt(0) && letter <= range.charAt(2)) ?? 'other';
}

function frequencyGroup(lot: LotRow, today: CivilDate): string {
  const last = lot.lastAt?.occurredAt.slice(0, 10);
  if (!last) return 'rarely';
  const days = daysBetween(last, today);
  return days <= OFTEN_DAYS ? 'often' : days <= SOMETIMES_DAYS ? 'sometimes' : 'rarely';
}

export interface ThingGroup extends PlanGroup {
  /** Different kinds of things, and how many lots. */
  items: number;
  lots: LotRow[];
  /** Some volumes are guesses. */
  estimated: boolean;
}

/** The things of a space in groups, largest first. `lots`: those to be sorted; used-up ones are left out by the caller. */
export function groupThings(
  state: HouseholdState,
  lots: readonly LotRow[],
  groupBy: GroupBy,
  today: CivilDate,
): ThingGroup[] {
  const groups = new Map<string, ThingGroup>();
  for (const lot of lots) {
    const item = state.get('item', lot.itemId);
    if (!item) continue;
    const name = groupOf(state, item, lot, groupBy, today);
    const bulk = bulkOfLot(item, lot);
    const group = groups.get(name) ?? { name, volumeMl: 0, grams: 0, items: 0, lots: [], estimated: false };
    group.volumeMl += bulk.volumeMl;
    group.grams += bulk.grams;
    group.estimated ||= !bulk.known;
    group.lots.push(lot);
    groups.set(name, group);
  }
  return [...groups.values()]
    .map((group) => ({
      ...group,
      volumeMl: Math.round(group.volumeMl),
      grams: Math.round(group.grams),
      items: new Set(group.lots.map(({ itemId }) => itemId)).size,
    }))
    .sort((a, b) => b.volumeMl - a.volumeMl || (a.name < b.name ? -1 : 1));
}

/** How many bins of a volume a group needs, things filling four fifths of each. At least one for anything. */
export const binsNeeded = (group: Pick<PlanGroup, 'volumeMl'>, binMl: number): number =>
  group.volumeMl <= 0 ? 0 : Math.max(1, Math.ceil(group.volumeMl / (binMl * FILL_SHARE) - 1e-9));

/** Every lot in a space: on its shelves, in their bins and in bins inside these; place by place, there by name. */
export function lotsWithin(state: HouseholdState, nookId: string): LotRow[] {
  const nook = state.nook(nookId);
  if (!nook) return [];
  const inner =
    nook.kind === 'space' ? state.shelvesOf(nookId).map(({ id }) => id) : state.binsIn(nookId).map(({ id }) => id);
  const name = (lot: LotRow): string => state.get('item', lot.itemId)?.name ?? '';
  const own = state.lotsIn(nookId).sort((a, b) => name(a).localeCompare(name(b), 'en') || (a.id < b.id ? -1 : 1));
  return [...own, ...inner.flatMap((id) => lotsWithin(state, id))];
}
