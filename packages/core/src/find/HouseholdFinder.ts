import type { HouseholdState } from '../household/HouseholdState';
import type { ItemRow, LotRow, TaggedRow } from '../household/registry';
import { codeKey, readCode } from '../spaces/nookCode';
import { foldText } from './foldText';
import { TrigramIndex } from './trigramIndex';

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
export type Found = FoundItem | FoundNook;

const EXACT_WORD_BONUS = 0.25;
const IN_STOCK_BONUS = 0.05;
const NOOK_MALUS = 0.04;
const CODE_SCORE = 3;

/** Finds things and places in a household as someone types, from what the device knows. */
export class HouseholdFinder {
  private readonly index = new TrigramIndex();
  private readonly tagged = new Map<string, Set<string>>();

  constructor(private readonly state: HouseholdState) {}

  /** Call for every row that was put into the state. */
  update({ entity, row }: TaggedRow): void {
    if (entity === 'item') {
      this.untag(row.id);
      if (row.retired) return this.index.delete(row.id);
      this.index.set(row.id, [row.name, ...row.synonyms, ...row.tags].join(' '));
      this.tag(row.id, row.tags);
    } else if (entity === 'space' || entity === 'shelf' || entity === 'bin') {
      this.untag(row.id);
      if (row.retired || row.name === '') return this.index.delete(row.id);
      this.index.set(row.id, row.name);
      if (entity === 'bin') this.tag(row.id, row.tags);
    }
  }

  /**
   * @param query as typed so far: words in any order, a nook code or the beginning of one, `#tags`
   * @param limit at most this many answers
   * @returns best first; empty for an empty query
   */
  find(query: string, limit = 20): Found[] {
    const tags = [...query.matchAll(/#([\p{L}\p{N}_-]+)/gu)].map((match) => foldText(match[1]!));
    const words = query.replace(/#[\p{L}\p{N}_-]*/gu, ' ').trim();
    const found = new Map<string, Found>();
    if (tags.length === 0) for (const nook of this.findByCode(words)) found.set(nook.nookId, nook);
    for (const hit of this.candidates(words, tags, limit * 3)) {
      if (found.has(hit.id)) continue;
      const one = this.describe(hit.id, hit.score, words);
      if (one) found.set(hit.id, one);
    }
    return [...found.values()].sort((a, b) => b.score - a.score).slice(0, limit);
  }

  private candidates(words: string, tags: string[], limit: number): { id: string; score: number }[] {
    if (tags.length === 0) return this.index.search(words, limit);
    const inAll = (id: string): boolean => tags.every((tag) => this.idsTagged(tag).has(id));
    const ids = [...this.idsTagged(tags[0]!)].filter(inAll);
    if (words === '') return ids.map((id) => ({ id, score: 1 }));
    const allowed = new Set(ids);
    return this.index.search(words, Math.max(limit, this.index.size)).filter((hit) => allowed.has(hit.id));
  }

  /** While a tag is being typed, every tag that begins so counts. */
  private idsTagged(typed: string): Set<string> {
    const exact = this.tagged.get(typed);
    if (exact && exact.size > 0) return exact;
    const ids = new Set<string>();
    for (const [tag, tagged] of this.tagged) if (tag.startsWith(typed)) for (const id of tagged) ids.add(id);
    return ids;
  }

  private findByCode(text: string): FoundNook[] {
    const looksLikeCode = /^[a-z0-9]{2,5}[- ]?[a-z0-9]{0,6}$/i.test(text) && /[-\d]/.test(text);
    if (!looksLikeCode) return [];
    const reading = readCode(text);
    const exactId = reading.kind === 'not_a_code' ? undefined : this.state.nookIdByCodeKey(reading.key);
    if (exactId !== undefined) {
      return [{ kind: 'nook', nookId: exactId, score: CODE_SCORE + 1, repaired: reading.kind === 'repaired' }];
    }
    const typed = codeKey(text);
    return (['space', 'shelf', 'bin'] as const).flatMap((entity) =>
      this.state
        .all(entity)
        .filter((row) => codeKey(row.code).startsWith(typed))
        .map((row) => ({
          kind: 'nook' as const,
          nookId: row.id,
          score: CODE_SCORE - row.code.length / 100,
          repaired: false,
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
    for (const tag of tags.map(foldText)) {
      const ids = this.tagged.get(tag);
      if (ids) ids.add(id);
      else this.tagged.set(tag, new Set([id]));
    }
  }

  private untag(id: string): void {
    for (const ids of this.tagged.values()) ids.delete(id);
  }
}
