import { foldedWords } from '../base';

export interface TrigramHit {
  id: string;
  /** Share of the query's trigrams found, plus 0.3 times the Jaccard similarity: 0…1.3. */
  score: number;
}

/** Least share of the query's trigrams that a hit has. */
const LEAST_COVERAGE = 0.5;
const JACCARD_WEIGHT = 0.3;

/** Trigrams of a word padded with two leading blanks and one trailing one, as PostgreSQL's pg_trgm does. */
export function trigramsOf(words: readonly string[]): Set<string> {
  const found = new Set<string>();
  for (const word of words) {
    const padded = `  ${word} `;
    for (let at = 0; at + 3 <= padded.length; at++) found.add(padded.slice(at, at + 3));
  }
  return found;
}

/**
 * A forgiving text index held in memory: typing errors, word order and endings matter little. Texts may be added,
 * replaced and removed at any time; each costs in proportion to its own length.
 */
export class TrigramIndex {
  private readonly postings = new Map<string, number[]>();
  private readonly slotOf = new Map<string, number>();
  private readonly idAt: (string | null)[] = [];
  private readonly textAt: string[] = [];
  private readonly sizeAt: number[] = [];
  private readonly free: number[] = [];
  private counts = new Uint16Array(64);

  get size(): number {
    return this.slotOf.size;
  }

  /** How many places for texts there are, used and free: it grows with the texts held at once, not with the changes. */
  get slots(): number {
    return this.idAt.length;
  }

  /** Adds a text or replaces the one with this id. */
  set(id: string, text: string): void {
    const known = this.slotOf.get(id);
    if (known !== undefined && this.textAt[known] === text) return;
    this.delete(id);
    const slot = this.free.pop() ?? this.idAt.length;
    const trigrams = trigramsOf(foldedWords(text));
    this.idAt[slot] = id;
    this.textAt[slot] = text;
    this.sizeAt[slot] = trigrams.size;
    this.slotOf.set(id, slot);
    for (const trigram of trigrams) {
      const posting = this.postings.get(trigram);
      if (posting) posting.push(slot);
      else this.postings.set(trigram, [slot]);
    }
    if (this.counts.length < this.idAt.length) this.counts = new Uint16Array(this.idAt.length * 2);
  }

  delete(id: string): void {
    const slot = this.slotOf.get(id);
    if (slot === undefined) return;
    this.slotOf.delete(id);
    for (const trigram of trigramsOf(foldedWords(this.textAt[slot]!))) this.unpost(trigram, slot);
    this.idAt[slot] = null;
    this.textAt[slot] = '';
    this.free.push(slot);
  }

  private unpost(trigram: string, slot: number): void {
    const posting = this.postings.get(trigram);
    if (!posting) return;
    // The order of a posting does not matter: the last one takes the place of the one that goes.
    const at = posting.indexOf(slot);
    const last = posting.pop()!;
    if (at < posting.length) posting[at] = last;
    if (posting.length === 0) this.postings.delete(trigram);
  }

  /**
   * The best matches, best first.
   * @param query as typed; a word of one or two letters matches the beginnings of words
   * @param limit at most this many, 1 or more
   */
  search(query: string, limit: number): TrigramHit[] {
    const trigrams = queryTrigrams(foldedWords(query));
    if (trigrams.size === 0) return [];
    const touched: number[] = [];
    for (const trigram of trigrams) {
      for (const slot of this.postings.get(trigram) ?? []) {
        if (this.counts[slot]!++ === 0) touched.push(slot);
      }
    }
    const hits: TrigramHit[] = [];
    let floor = -1;
    for (const slot of touched) {
      const shared = this.counts[slot]!;
      this.counts[slot] = 0;
      const id = this.idAt[slot];
      if (id === null || id === undefined || shared / trigrams.size < LEAST_COVERAGE) continue;
      const score = scoreOf(shared, trigrams.size, this.sizeAt[slot]!);
      if (score <= floor) continue;
      hits.push({ id, score });
      if (hits.length >= limit * 4) floor = keepBest(hits, limit);
    }
    keepBest(hits, limit);
    return hits;
  }
}

/** How alike, from how many trigrams a query and a text share and have. */
const scoreOf = (shared: number, asked: number, has: number): number =>
  shared / asked + (JACCARD_WEIGHT * shared) / (asked + has - shared);

/**
 * How alike a query and one text are, as `TrigramIndex` would score it.
 * @param asked the trigrams of the query, see `queryTrigrams`; not empty
 * @param has the trigrams of the text
 * @returns 0 to 1.3
 */
export function similarity(asked: ReadonlySet<string>, has: ReadonlySet<string>): number {
  let shared = 0;
  for (const trigram of asked) if (has.has(trigram)) shared++;
  return scoreOf(shared, asked.size, has.size);
}

/** While a word is being typed its end is unknown: the last word has no closing blank. */
export function queryTrigrams(words: readonly string[]): Set<string> {
  const found = trigramsOf(words.slice(0, -1));
  const last = words.at(-1);
  if (last === undefined) return found;
  const padded = `  ${last}`;
  for (let at = 0; at + 3 <= padded.length; at++) found.add(padded.slice(at, at + 3));
  return found;
}

/** Sorts best first, cuts at the limit and answers the score to beat (below every score while there is room). */
function keepBest(hits: TrigramHit[], limit: number): number {
  hits.sort((a, b) => b.score - a.score || (a.id < b.id ? -1 : 1));
  if (hits.length < limit) return -1;
  hits.length = limit;
  return hits[limit - 1]!.score;
}
