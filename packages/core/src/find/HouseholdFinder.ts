import { type HouseholdState, NOOK_KINDS, type ItemRow, type LotRow, type TaggedRow } from '../household';
import { ThingNames } from '../record';
import { codeKey, codeShape, readCode, foldedWords, foldText } from '../base';
import { SpellingIndex } from './SpellingIndex';
import { queryTrigrams, similarity, TrigramIndex, trigramsOf } from './trigramIndex';

export interface FoundItem {
  kind: 'item';
  item: ItemRow;
  lots: LotRow[];
  score: number;
}
export interface FoundNook {
  kind: 'nook';
  nookId: string;
  score: number;
  /** True when look-alike characters had to be corrected. */
  repaired: boolean;
}
/** An answer: a kind of thing with its lots, or a place. */
export type Found = FoundItem | FoundNook;

/**
 * What was found without a place that an answer before it shows already, since the thing asked for lies there.
 * @param found best first; may be empty
 * @returns in the same order; things are never left out
 */
export function withoutDoubles(found: readonly Found[]): Found[] {
  const shown = new Set<string>();
  return found.filter((one) => {
    if (one.kind === 'nook') return !shown.has(one.nookId);
    for (const lot of one.lots) shown.add(lot.nookId);
    return true;
  });
}

/** The id of what was found: an item's or a nook's. */
export const foundId = (one: Found): string => (one.kind === 'item' ? one.item.id : one.nookId);
/** Of equal ones always the same comes first, in whatever order the home was read. */
const bestFirst = (a: Found, b: Found): number => b.score - a.score || (foundId(a) < foundId(b) ? -1 : 1);

/** Fewer rows than these are indexed at once when something is asked for. */
const AT_ONCE = 100;
/** A row that came, and its words once somebody has asked. */
interface Waiting {
  named: NamedRow;
  words: readonly string[] | null;
  trigrams: ReadonlySet<string> | null;
}
type NamedRow = Extract<TaggedRow, { entity: 'item' | 'space' | 'shelf' | 'bin' }>;
const textOf = ({ entity, row }: NamedRow): string =>
  entity === 'item' ? [row.name, ...row.synonyms, ...row.tags].join(' ') : row.name;

const EXACT_WORD_BONUS = 0.25;
const IN_STOCK_BONUS = 0.05;
const NOOK_MALUS = 0.04;
const CODE_SCORE = 3;
/** Words that a mistyped one is taken for, and readings of a whole query, at most. */
const MOST_CORRECTIONS = 4;
const MOST_READINGS = 6;
/** What a corrected word counts for, and one that no text has when there is a correction (own defaults). */
const CORRECTED = 0.9;
/** A word that some text has may still be a mistake for another one. */
const PERHAPS = 0.7;
const UNKNOWN = 0.75;

/** Finds things and places in a household as someone types, from what the device knows. */
export class HouseholdFinder {
  private readonly index = new TrigramIndex();
  private readonly spelling = new SpellingIndex();
  private readonly names = new ThingNames();
  private readonly tagged = new Map<string, Set<string>>();
  private readonly tagsOf = new Map<string, readonly string[]>();
  /** Rows that came and are not in the index yet; and items not yet among the names. */
  private readonly waiting = new Map<string, Waiting>();
  private readonly unnamed = new Map<string, ItemRow>();

  constructor(private readonly state: HouseholdState) {}

  /** Call for every row that was put into the state. Costs next to nothing: rows are indexed when something is asked for. */
  update({ entity, row }: TaggedRow): void {
    if (entity === 'item') this.unnamed.set(row.id, row);
    if (entity === 'item' || entity === 'space' || entity === 'shelf' || entity === 'bin')
      this.waiting.set(row.id, { named: { entity, row } as NamedRow, words: null, trigrams: null });
  }

  /** The things by name, as the reader of lines wants them. */
  get things(): ThingNames {
    this.nameSome(Infinity);
    return this.names;
  }

  /**
   * Indexes some of the rows that wait, so that a large home is indexed bit by bit.
   * @returns whether there are more
   */
  indexSome(most = Infinity): boolean {
    this.nameSome(this.enterSome(most));
    return this.waiting.size + this.unnamed.size > 0;
  }

  /** @returns how many more it could have taken */
  private enterSome(most: number): number {
    let left = most;
    for (const [id, { named }] of this.waiting) {
      if (left <= 0) return 0;
      left--;
      this.waiting.delete(id);
      this.enter(named);
    }
    return left;
  }

  private nameSome(most: number): number {
    let left = most;
    for (const [id, { name, unit, synonyms, retired }] of this.unnamed) {
      if (left <= 0) return 0;
      left--;
      this.unnamed.delete(id);
      if (retired) this.names.delete(id);
      else this.names.set({ id, name, unit, synonyms });
    }
    return left;
  }

  private enter({ entity, row }: NamedRow): void {
    this.untag(row.id);
    if (row.retired || row.name === '') return this.forget(row.id);
    this.learn(row.id, textOf({ entity, row } as NamedRow));
    if (entity === 'item' || entity === 'bin') this.tag(row.id, row.tags);
  }

  private learn(id: string, text: string): void {
    this.index.set(id, text);
    this.spelling.set(id, foldedWords(text));
  }

  private forget(id: string): void {
    this.index.delete(id);
    this.spelling.set(id, []);
  }

  /**
   * @param query as typed so far: words in any order, a nook code or the beginning of one, `#tags`
   * @param limit at most this many answers
   * @returns best first; empty for an empty query. Empty otherwise only when nothing in the home is found; while a large home is
   *   still being indexed what is not indexed is found as it is written, and what is written wrong may be found a moment later
   */
  find(query: string, limit = 20): Found[] {
    if (this.waiting.size > AT_ONCE && query.trim() !== '') {
      const asWritten = this.findAsWritten(query, limit);
      if (asWritten.length > 0) return asWritten;
    }
    if (query.trim() !== '') this.enterSome(Infinity);
    const tags = [...query.matchAll(/#([\p{L}\p{N}_-]+)/gu)].map((match) => foldText(match[1]!));
    const words = query.replace(/#[\p{L}\p{N}_-]*/gu, ' ').trim();
    const found = new Map<string, Found>();
    if (tags.length === 0) for (const nook of this.findByCode(words)) found.set(nook.nookId, nook);
    for (const hit of this.candidates(words, tags, limit * 3)) {
      if (found.has(hit.id)) continue;
      const one = this.describe(hit.id, hit.score, words);
      if (one) found.set(hit.id, one);
    }
    return [...found.values()].sort(bestFirst).slice(0, limit);
  }

  /** Of rows that are not indexed yet, those with words that begin as the words asked for; and what the index has. */
  private findAsWritten(query: string, limit: number): Found[] {
    if (query.includes('#') || this.findByCode(query.trim()).length > 0) return [];
    const asked = foldedWords(query);
    const trigrams = queryTrigrams(asked);
    const found: Found[] = [];
    for (const { id, score } of this.index.search(asked.join(' '), limit)) {
      const one = this.waiting.has(id) ? null : this.describe(id, score, query);
      if (one) found.push(one);
    }
    for (const waits of this.waiting.values()) {
      const { named } = waits;
      if (named.row.retired) continue;
      // Each key asks again: a row's words are made out once.
      const words = (waits.words ??= foldedWords(textOf(named)));
      if (!asked.every((one) => words.some((word) => word.startsWith(one)))) continue;
      // As the index will score it: the answers keep their order when it is ready.
      waits.trigrams ??= trigramsOf(words);
      const one = this.describe(named.row.id, similarity(trigrams, waits.trigrams), query);
      if (one) found.push(one);
    }
    return found.sort(bestFirst).slice(0, limit);
  }

  /** What is found as typed, and with words that no text has taken for those one mistake away. */
  private search(words: string, limit: number): { id: string; score: number }[] {
    const found = new Map<string, { id: string; score: number }>();
    for (const { text, weight } of this.readings(words)) {
      for (const { id, score } of this.index.search(text, limit)) {
        const known = found.get(id);
        if (!known || known.score < score * weight) found.set(id, { id, score: score * weight });
      }
    }
    return [...found.values()].sort((a, b) => b.score - a.score).slice(0, limit);
  }

  /** The query, then the query with one word after the other put right. */
  private readings(words: string): { text: string; weight: number }[] {
    const typed = foldedWords(words);
    let readings = [{ text: '', weight: 1 }];
    for (const word of typed) {
      const known = this.spelling.hasPrefix(word);
      const forms = this.spelling.near(word).slice(0, MOST_CORRECTIONS);
      const corrected = known ? PERHAPS : CORRECTED;
      const next = forms.flatMap((form) =>
        readings.map(({ text, weight }) => ({ text: `${text} ${form}`, weight: weight * corrected })),
      );
      // A word that no text has says little as it is, once there is one that it can be taken for.
      const typedWeight = !known && forms.length > 0 ? UNKNOWN : 1;
      const asTyped = readings.map(({ text, weight }) => ({ text: `${text} ${word}`, weight: weight * typedWeight }));
      readings = (known ? [...asTyped, ...next] : [...next, ...asTyped]).slice(0, MOST_READINGS);
    }
    return readings;
  }

  private candidates(words: string, tags: string[], limit: number): { id: string; score: number }[] {
    if (tags.length === 0) return this.search(words, limit);
    const inAll = (id: string): boolean => tags.every((tag) => this.idsTagged(tag).has(id));
    const ids = [...this.idsTagged(tags[0]!)].filter(inAll);
    if (words === '') return ids.map((id) => ({ id, score: 1 }));
    const allowed = new Set(ids);
    return this.search(words, Math.max(limit, this.index.size)).filter((hit) => allowed.has(hit.id));
  }

  /** While a tag is being typed, every tag that begins so counts. */
  private idsTagged(typed: string): Set<string> {
    const exact = this.tagged.get(typed);
    if (exact && exact.size > 0) return exact;
    const ids = new Set<string>();
    for (const [tag, tagged] of this.tagged) if (tag.startsWith(typed)) for (const id of tagged) ids.add(id);
    return ids;
  }

  /** A nook by its code: all of it however it is written, or its beginning when it can only be a code. */
  private findByCode(text: string): FoundNook[] {
    if (!/^[a-z0-9]{1,12}(?:[- ][a-z0-9]{0,11})?$/i.test(text)) return [];
    const reading = readCode(text);
    const exactId = reading.kind === 'not_a_code' ? undefined : this.state.nookIdByCodeKey(reading.key);
    const plain = !/[-\d]/.test(text);
    if (exactId !== undefined && !(plain && this.spelling.hasPrefix(foldText(text)))) {
      return [{ kind: 'nook', nookId: exactId, score: CODE_SCORE + 1, repaired: reading.kind === 'repaired' }];
    }
    if (plain) return [];
    const byKey = this.nooksWhoseCode((code) => codeKey(code).startsWith(codeKey(text)), false);
    return byKey.length > 0 ? byKey : this.nooksWhoseCode((code) => codeShape(code).startsWith(codeShape(text)), true);
  }

  private nooksWhoseCode(fits: (code: string) => boolean, repaired: boolean): FoundNook[] {
    return NOOK_KINDS.flatMap((entity) =>
      this.state
        .all(entity)
        .filter(({ code }) => fits(code))
        .map(({ id, code }) => ({
          kind: 'nook' as const,
          nookId: id,
          score: CODE_SCORE - code.length / 100,
          repaired,
        })),
    );
  }

  private describe(id: string, score: number, words: string): Found | null {
    const folded = foldText(words);
    const item = this.state.get('item', id);
    if (item) {
      const lots = this.state.lotsOf(id);
      const exact = folded !== '' && foldText(item.name).startsWith(folded) ? EXACT_WORD_BONUS : 0;
      return { kind: 'item', item, lots, score: score + exact + (lots.length > 0 ? IN_STOCK_BONUS : 0) };
    }
    return this.state.nook(id) ? { kind: 'nook', nookId: id, score: score - NOOK_MALUS, repaired: false } : null;
  }

  private tag(id: string, tags: readonly string[]): void {
    const folded = tags.map(foldText);
    if (folded.length > 0) this.tagsOf.set(id, folded);
    for (const tag of folded) {
      const ids = this.tagged.get(tag);
      if (ids) ids.add(id);
      else this.tagged.set(tag, new Set([id]));
    }
  }

  private untag(id: string): void {
    for (const tag of this.tagsOf.get(id) ?? []) this.tagged.get(tag)?.delete(id);
    this.tagsOf.delete(id);
  }
}
