import { bulkOfLot } from '../stock';
import { FILL_SHARE } from '../containers';
import type { HouseholdState, ItemRow, LotRow, GroupBy } from '../household';
import { daysBetween, type CivilDate, foldedWords } from '../base';

const SEASON_WORDS: Readonly<Record<string, KnownGroup>> = {
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

/** Groups that nobody named; what they are called is a matter of the screens. */
const KNOWN_GROUPS = [
  'unsorted',
  'all_year',
  'everybody',
  'other_letters',
  'often',
  'sometimes',
  'rarely',
  'spring',
  'summer',
  'autumn',
  'winter',
] as const;
export type KnownGroup = (typeof KNOWN_GROUPS)[number];

/** What a thing falls under: a group of the household's own words, or one that is known to all. */
export type GroupKey = { kind: 'own'; name: string } | { kind: 'known'; group: KnownGroup };

const own = (name: string): GroupKey => ({ kind: 'own', name });
const known = (group: KnownGroup): GroupKey => ({ kind: 'known', group });

/**
 * The same for the same group, another for another one: `own:lanterns` and `known:unsorted`.
 * @example groupId({ kind: 'own', name: 'lanterns' }) //=> 'own:lanterns'
 */
export const groupId = (key: GroupKey): string => (key.kind === 'own' ? `own:${key.name}` : `known:${key.group}`);

/**
 * What is written of a thing so that it falls into a group, by the group's id.
 * @example wordsOfGroup('known:all_year') //=> 'all year'
 */
export const wordsOfGroup = (id: string): string =>
  id.startsWith('own:') ? id.slice('own:'.length) : id.slice('known:'.length).replaceAll('_', ' ');

/**
 * The group a thing falls into by a way of grouping: as the household wrote it, else by what its tags, name and last use say.
 * @returns `unsorted` when nothing says
 */
export function groupOf(
  state: HouseholdState,
  item: ItemRow,
  lot: LotRow,
  groupBy: GroupBy,
  today: CivilDate,
): GroupKey {
  const written = item.traits?.groups[groupBy];
  if (written) {
    // Somebody who writes “Summer” means the summer that others have from their tags.
    const alike = KNOWN_GROUPS.find((group) => group === written.trim().toLowerCase().replaceAll(' ', '_'));
    return alike ? known(alike) : own(written);
  }
  const called = (name: string | null | undefined): GroupKey => (name ? own(name) : known('unsorted'));
  switch (groupBy) {
    case 'kind':
      return called(item.category || (item.tags[0] ?? binName(state, lot)));
    case 'season':
      return known(
        item.tags.map((tag) => SEASON_WORDS[tag.toLowerCase()]).find((season) => season !== undefined) ?? 'all_year',
      );
    case 'colour':
      return called(COLOURS.find((colour) => foldedWords(item.name).includes(colour)));
    case 'person': {
      const words = foldedWords(`${item.name} ${binName(state, lot) ?? ''}`);
      const person = state.all('person').find(({ name }) => words.includes(name.toLowerCase()));
      return person ? own(person.name) : known('everybody');
    }
    case 'symptom':
    case 'subject':
    case 'room':
    case 'order':
      return called(binName(state, lot));
    case 'alphabet':
      return alphabetGroup(item.name);
    case 'frequency':
      return frequencyGroup(lot, today);
  }
}

const binName = (state: HouseholdState, lot: LotRow): string | null => state.get('bin', lot.nookId)?.name ?? null;

function alphabetGroup(name: string): GroupKey {
  const letter = (foldedWords(name)[0] ?? '').charAt(0);
  const ranges = ['a–d', 'e–h', 'i–l', 'm–p', 'q–t', 'u–z'];
  const range = ranges.find((one) => letter >= one.charAt(0) && letter <= one.charAt(2));
  return range ? own(range) : known('other_letters');
}

function frequencyGroup(lot: LotRow, today: CivilDate): GroupKey {
  const last = lot.lastAt?.occurredAt.slice(0, 10);
  if (!last) return known('rarely');
  const days = daysBetween(last, today);
  return known(days <= OFTEN_DAYS ? 'often' : days <= SOMETIMES_DAYS ? 'sometimes' : 'rarely');
}

export interface ThingGroup {
  id: string;
  key: GroupKey;
  /** What its things take up by themselves. */
  volumeMl: number;
  grams: number;
  /** Different kinds of things, and how many lots. */
  items: number;
  lots: LotRow[];
  /** Some volumes are guesses. */
  estimated: boolean;
  /** The bins it fills more of than any other of the groups. */
  binIds: string[];
}

/** The things of a space in groups, largest first. `lots`: those to be sorted; used-up ones are left out by the caller. */
export function groupThings(
  state: HouseholdState,
  lots: readonly LotRow[],
  groupBy: GroupBy,
  today: CivilDate,
): ThingGroup[] {
  const groups = new Map<string, ThingGroup>();
  const shares = new BinShares();
  for (const lot of lots) {
    const item = state.get('item', lot.itemId);
    if (!item) continue;
    const key = groupOf(state, item, lot, groupBy, today);
    const id = groupId(key);
    const bulk = bulkOfLot(item, lot);
    const group = groups.get(id) ?? {
      id,
      key,
      volumeMl: 0,
      grams: 0,
      items: 0,
      lots: [],
      estimated: false,
      binIds: [],
    };
    group.volumeMl += bulk.volumeMl;
    group.grams += bulk.grams;
    group.estimated ||= !bulk.known;
    group.lots.push(lot);
    groups.set(id, group);
    if (state.get('bin', lot.nookId)) shares.add(lot.nookId, id, bulk.volumeMl);
  }
  const filled = shares.mostOf();
  return [...groups.values()]
    .map((group) => ({
      ...group,
      binIds: filled.get(group.id) ?? [],
      volumeMl: Math.round(group.volumeMl),
      grams: Math.round(group.grams),
      items: new Set(group.lots.map(({ itemId }) => itemId)).size,
    }))
    .sort((a, b) => b.volumeMl - a.volumeMl || (a.id < b.id ? -1 : 1));
}

/** What each group takes up in each bin, millilitres. */
class BinShares {
  private readonly bins = new Map<string, Map<string, number>>();

  add(binId: string, group: string, volumeMl: number): void {
    const shares = this.bins.get(binId) ?? new Map<string, number>();
    shares.set(group, (shares.get(group) ?? 0) + volumeMl);
    this.bins.set(binId, shares);
  }

  /** By group, the bins it has the largest share of; the first of equal ones. */
  mostOf(): Map<string, string[]> {
    const filled = new Map<string, string[]>();
    for (const [binId, shares] of this.bins) {
      const [first] = [...shares].sort(([, a], [, b]) => b - a);
      if (first) filled.set(first[0], [...(filled.get(first[0]) ?? []), binId]);
    }
    return filled;
  }
}

/** How many bins of a volume a group needs, things filling four fifths of each. At least one for anything. */
export const binsNeeded = (group: Pick<ThingGroup, 'volumeMl'>, binMl: number): number =>
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
