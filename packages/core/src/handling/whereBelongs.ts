/** Where a thing would belong: with its own kind, or with what it is most like. */
import { foldedWords, singularWord } from '../base';
import type { HouseholdState, ItemRow } from '../household';
import { isChemical, isGuarded, type Purpose, purposeOf } from './kindOf';
import { takesItem } from './shelfPurpose';
import { climateOf } from './strays';

/** What is known of a thing when it is recorded. */
export type NewThing = Pick<ItemRow, 'name' | 'category' | 'tags' | 'unit'> & {
  itemId: string | null;
  /** It is frozen: only a freezer takes it. */
  frozen: boolean;
};
export interface Belonging {
  nookId: string;
  why:
    /** So many of its lots are there. */
    | { kind: 'itself'; lots: number }
    /** It is taken from there day by day. */
    | { kind: 'front' }
    /** The place is called so. */
    | { kind: 'called'; word: string }
    /** The shelf is for it. */
    | { kind: 'purpose'; words: string }
    /** So many of the things there share this with it. */
    | { kind: 'like'; word: string; by: 'tag' | 'category' | 'kind' | 'name'; count: number; of: number };
  /** A child at home should not get at it, and this place is locked. */
  locked: boolean;
}

/** How telling it is that two things share something; times how rare it is in the home. Own choices. */
const TELLS = { tag: 1, category: 0.8, lastWord: 1.2, word: 0.5, called: 1, calledByTheWay: 0.2, shelf: 2 } as const;
/** What is kept together by its kind. */
const KINDS: Readonly<Record<Purpose, number>> = { medicine: 1, cleaning: 0.8, textile: 0.4, food: 0.15, other: 0 };
/** However many are alike: a place is not more like a thing for being full. */
const MOST_SHARED = 1.5;
/** Below this nothing is said. */
const LEAST = 1;
const SHORTEST_WORD = 3;

/** Words of a name, the last of what stands before a comma, `in` or `with` being what it is. */
function nameWords(name: string): { words: string[]; last: string } {
  const fold = (text: string): string[] =>
    foldedWords(text)
      .map(singularWord)
      .filter((word) => word.length >= SHORTEST_WORD);
  return { words: [...new Set(fold(name))], last: fold(name.split(/[,(]| in | with | for /)[0]!).at(-1) ?? '' };
}

interface Place {
  nookId: string;
  called: ReadonlySet<string>;
  things: number;
  food: boolean;
  chemical: boolean;
  /** Things that are medicine. */
  medicines: number;
}

/** What a thing shares with others, kept for as long as its row is the same: the costly part of reading a home. */
const keysKnown = new WeakMap<ItemRow, { keys: string[]; purpose: Purpose; chemical: boolean }>();
function known(item: ItemRow): { keys: string[]; purpose: Purpose; chemical: boolean } {
  const before = keysKnown.get(item);
  if (before) return before;
  const purpose = purposeOf(item);
  const found = { keys: keysOf(item, purpose), purpose, chemical: isChemical(item) };
  keysKnown.set(item, found);
  return found;
}

/**
 * The places of a home with what is in them, ready to be asked. Built anew for each state of the home; a place is a bin, or a shelf
 * with things on it. A large home is read in steps (`readSome`).
 */
export class Belongings {
  private readonly places: Place[] = [];
  /** By what is shared, how many things of each place share it. */
  private readonly by = new Map<string, Map<number, number>>();
  private things = 0;
  /** Of the places, how many were read. */
  private read = 0;
  private readonly childAtHome: boolean;

  constructor(private readonly state: HouseholdState) {
    this.childAtHome = state.all('person').some(({ role }) => role === 'child');
    for (const space of state.all('space'))
      for (const shelf of state.shelvesOf(space.id)) {
        this.add(shelf.id, shelf.name);
        for (const bin of state.binsIn(shelf.id)) this.addBin(bin.id);
      }
  }

  private addBin(binId: string): void {
    const bin = this.state.get('bin', binId);
    if (!bin || bin.look === 'kept_free') return;
    this.add(binId, bin.name);
    for (const inner of this.state.binsIn(binId)) this.addBin(inner.id);
  }

  private add(nookId: string, name: string): void {
    this.places.push({
      nookId,
      called: new Set(nameWords(name).words),
      things: 0,
      food: false,
      chemical: false,
      medicines: 0,
    });
  }

  /**
   * Reads places until so many lots were looked at.
   * @returns whether there are more to read; `of` reads the rest itself
   */
  readSome(lots: number): boolean {
    for (let seen = 0; seen < lots && this.read < this.places.length; this.read++) seen += this.readPlace(this.read);
    return this.read < this.places.length;
  }

  private readPlace(at: number): number {
    const place = this.places[at]!;
    // A thing counts once, however many dates it is there with.
    const seen = new Set<string>();
    const lots = this.state.lotsIn(place.nookId);
    for (const lot of lots) {
      const item = this.state.get('item', lot.itemId);
      if (!item || lot.quantityThousandths <= 0 || seen.has(item.id)) continue;
      seen.add(item.id);
      place.things += 1;
      this.things += 1;
      const { keys, purpose, chemical } = known(item);
      place.food ||= purpose === 'food';
      place.chemical ||= chemical;
      place.medicines += Number(purpose === 'medicine');
      for (const key of keys) {
        const counts = this.by.get(key) ?? new Map<number, number>();
        counts.set(at, (counts.get(at) ?? 0) + 1);
        this.by.set(key, counts);
      }
    }
    return 1 + lots.length;
  }

  /**
   * @param hereId where it would be recorded otherwise: not said of it
   * @returns the place that is most like it; null: nothing is like it, or it may go nowhere that is
   */
  of(thing: NewThing, hereId: string | null): Belonging | null {
    this.readSome(Infinity);
    const row = thing.itemId === null ? undefined : this.state.get('item', thing.itemId);
    const item: ItemRow = row ?? { ...BARE_ITEM, ...thing };
    const own = thing.itemId === null ? null : this.ownPlace(item, thing);
    const found = own ?? this.likest(item, thing);
    return found?.nookId === hereId ? null : found;
  }

  private ownPlace(item: ItemRow, thing: NewThing): Belonging | null {
    const sums = new Map<string, { sum: number; lots: number }>();
    for (const lot of this.state.lotsOf(item.id)) {
      if (lot.quantityThousandths <= 0 || !this.may(item, lot.nookId, thing.frozen, true)) continue;
      const { sum, lots } = sums.get(lot.nookId) ?? { sum: 0, lots: 0 };
      sums.set(lot.nookId, { sum: sum + lot.quantityThousandths, lots: lots + 1 });
    }
    const front = item.front?.nookId;
    // What is put in is its reserve, where there is one apart from the front.
    const [most] = [...sums]
      .filter(([nookId]) => nookId !== front || sums.size === 1)
      .sort(([, a], [, b]) => b.sum - a.sum);
    if (most) return this.said(item, most[0], { kind: 'itself', lots: most[1].lots });
    if (front !== undefined && this.state.nook(front) && this.may(item, front, thing.frozen, true))
      return this.said(item, front, { kind: 'front' });
    return null;
  }

  private likest(item: ItemRow, thing: NewThing): Belonging | null {
    const purpose = purposeOf(item);
    const { words, last } = nameWords(item.name);
    const scores = new Map<number, { sum: number; most: number; why: Belonging['why'] | null }>();
    const add = (at: number, points: number, why: Belonging['why'] | null): void => {
      const score = scores.get(at) ?? { sum: 0, most: 0, why: null };
      score.sum += points;
      if (why !== null && points > score.most) [score.most, score.why] = [points, why];
      scores.set(at, score);
    };
    for (const key of keysOf(item, purpose)) {
      const counts = this.by.get(key);
      if (!counts) continue;
      const all = [...counts.values()].reduce((sum, count) => sum + count, 0);
      const rare = Math.log(2 + this.things / all);
      const [by, word] = [key.slice(0, 1), key.slice(2)];
      const tells =
        by === 't'
          ? TELLS.tag
          : by === 'c'
            ? TELLS.category
            : by === 'p'
              ? KINDS[purpose]
              : by === 'h'
                ? TELLS.lastWord
                : TELLS.word;
      for (const [at, count] of counts) {
        const of = this.places[at]!.things;
        const shares = by === 't' ? 'tag' : by === 'c' ? 'category' : by === 'p' ? 'kind' : 'name';
        add(at, tells * rare * Math.min(MOST_SHARED, count / Math.sqrt(of)), {
          kind: 'like',
          word,
          by: shares,
          count,
          of,
        });
      }
    }
    const rarest = Math.log(2 + this.things);
    this.places.forEach(({ called, nookId }, at) => {
      const word = words.find((one) => called.has(one)) ?? item.tags.find((one) => called.has(singularWord(one)));
      if (word !== undefined)
        add(at, (word === last ? TELLS.called : TELLS.calledByTheWay) * rarest, { kind: 'called', word });
      const shelf = this.shelfOf(nookId);
      const wanted = shelf?.purpose;
      if (wanted && wanted.takes.length > 0 && takesItem(wanted, item))
        add(at, TELLS.shelf * (this.places[at]!.things > 0 ? 1 : 0.8), { kind: 'purpose', words: wanted.words });
    });
    let best: { at: number; sum: number; why: Belonging['why'] } | null = null;
    for (const [at, { sum, why }] of scores) {
      if (why === null || sum < LEAST || (best !== null && sum <= best.sum)) continue;
      const place = this.places[at]!;
      if ((purpose === 'food' && place.chemical) || (isChemical(item) && place.food)) continue;
      // Medicines stand by themselves.
      if (purpose === 'medicine' ? place.things > 0 && place.medicines === 0 : place.medicines * 2 > place.things)
        continue;
      if (!this.may(item, place.nookId, thing.frozen, false)) continue;
      best = { at, sum, why };
    }
    return best && this.said(item, this.places[best.at]!.nookId, best.why);
  }

  private shelfOf(nookId: string) {
    const nook = this.state.nook(nookId);
    const shelfId = nook?.kind === 'bin' ? nook.row.shelfId : nook?.kind === 'shelf' ? nook.row.id : null;
    return shelfId === null ? undefined : this.state.get('shelf', shelfId);
  }

  /** @param known its kind is there already: then a freezer may have it unfrozen, too */
  private may(item: ItemRow, nookId: string, frozen: boolean, known: boolean): boolean {
    const shelf = this.shelfOf(nookId);
    const space = shelf && this.state.get('space', shelf.spaceId);
    if (!shelf || !space || shelf.retired || space.retired) return false;
    const climate = climateOf(space.kind);
    if (frozen !== (climate === 'freezer') && !(known && !frozen)) return false;
    if (shelf.purpose && !takesItem(shelf.purpose, item)) return false;
    return !this.mustBeLocked(item) || space.locked;
  }

  private mustBeLocked(item: ItemRow): boolean {
    return this.childAtHome && isGuarded(item);
  }

  private said(item: ItemRow, nookId: string, why: Belonging['why']): Belonging {
    return { nookId, why, locked: this.mustBeLocked(item) };
  }
}

/** What a thing has that others may have as well. */
function keysOf(item: ItemRow, purpose: string): string[] {
  const { words, last } = nameWords(item.name);
  return [
    ...new Set([
      ...item.tags.map((tag) => `t:${tag.toLowerCase()}`),
      ...(item.category === '' ? [] : [`c:${item.category.toLowerCase()}`]),
      ...words.map((word) => `n:${word}`),
      ...(last === '' ? [] : [`h:${last}`]),
      ...(purpose === 'other' ? [] : [`p:${purpose}`]),
    ]),
  ];
}

const BARE_ITEM = {
  id: '',
  seq: 0,
  retired: false,
  synonyms: [],
  lowAtThousandths: null,
  openedDays: null,
  freezerMonths: null,
  traits: null,
};
