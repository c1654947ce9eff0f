import { foldedWords } from '../base';
import type { AnyRow, EntityKind, HouseholdState, KeepingRow, RowView } from '../household';
import { GUIDE_TABLE, type GuideRow } from './guideTable';

/** How long a kind of thing keeps, and who says so. */
export interface KeepingTime {
  /** Days or months, as asked for. */
  time: number;
  /** Where the number is from; null: the home's own rule. */
  source: string | null;
}
/** What is known of a thing that tells its kind. */
export interface KindOfThing {
  name?: string;
  category?: string;
}
type Asked = 'openedDays' | 'cookedDays' | 'freezerMonths';

const CAREFUL = 'own careful default, no source';
/** A thing nobody has a kind for: chilled food has a use-by date, the rest a best-before date or none. */
const CHILLED: KeepingTime = { time: 2, source: CAREFUL };
const DATED: KeepingTime = { time: 7, source: CAREFUL };

/**
 * How long things keep, from the words of their category and name: as the home's rules say, else as published.
 *
 * Of several kinds that a thing may be, the shortest time counts; of the home's rules and the published ones the home's.
 */
export class KeepingGuide {
  /** The home's own rules, then the published ones that none of them stands for. */
  readonly rows: readonly GuideRow[];
  private readonly kinds = new Map<string, GuideRow[]>();
  private readonly found = new Map<string, readonly GuideRow[]>();

  constructor(own: readonly KeepingRow[] = []) {
    const replaced = new Set(own.map(({ replaces }) => replaces));
    const mine = own.map(({ id, source, ...row }): GuideRow => {
      const { name, words, openedDays, cookedDays, freezerMonths } = row;
      const times = { openedDays, cookedDays, freezerMonths };
      return { key: id, name, words, ...times, source: source.trim(), edition: '', own: true };
    });
    this.rows = [...mine, ...GUIDE_TABLE.filter(({ key }) => !replaced.has(key))];
    // What a rule of the home leaves open is still as published.
    for (const row of [...mine, ...GUIDE_TABLE])
      for (const word of row.words)
        for (const folded of foldedWords(word)) {
          const known = this.kinds.get(folded);
          if (known) known.push(row);
          else this.kinds.set(folded, [row]);
        }
  }

  /**
   * Days that something keeps once it is open.
   * @param dateKind of the date printed on it, null when none is
   * @returns null for a thing without a printed date and of no kind that is known: it may be no food at all
   * @example new KeepingGuide().openedDays({ name: 'Oat milk' }, 'best_before')!.time //=> 5
   */
  openedDays(item: KindOfThing, dateKind: 'use_by' | 'best_before' | null): KeepingTime | null {
    const known = this.shortest(item, 'openedDays');
    if (known && known.source === null) return known;
    if (known) return dateKind === 'use_by' && known.time > 30 ? DATED : known;
    return dateKind === 'use_by' ? CHILLED : dateKind === 'best_before' ? DATED : null;
  }

  /** Days that something keeps in the refrigerator from the day it was cooked; as leftovers when its kind says nothing. */
  cookedDays(item: KindOfThing): KeepingTime {
    return this.shortest(item, 'cookedDays') ?? this.shortest(LEFTOVER, 'cookedDays')!;
  }

  /** Months of good quality in a freezer; null when its kind says nothing. */
  freezerMonths(item: KindOfThing): KeepingTime | null {
    return this.shortest(item, 'freezerMonths');
  }

  /** The rows of the kinds that a thing may be, the home's first. */
  rowsFor({ name = '', category = '' }: KindOfThing): readonly GuideRow[] {
    const text = `${category} ${name}`;
    const known = this.found.get(text);
    if (known) return known;
    const forms = foldedWords(text).flatMap((word) => [
      word,
      word.replace(/s$/, ''),
      word.replace(/(o|x|ch|sh|ss)es$/, '$1'),
      word.replace(/ies$/, 'y'),
    ]);
    const rows = [...new Set(forms.flatMap((form) => this.kinds.get(form) ?? []))];
    if (this.found.size > MOST_FOUND) this.found.clear();
    this.found.set(text, rows);
    return rows;
  }

  private shortest(item: KindOfThing, asked: Asked): KeepingTime | null {
    let best: GuideRow | null = null;
    for (const row of this.rowsFor(item)) {
      if (row[asked] === null) continue;
      const wins = best === null || (row.own && !best.own) || (row.own === best.own && row[asked] < best[asked]!);
      if (wins) best = row;
    }
    return best && { time: best[asked]!, source: best.own ? null : sourceOf(best) };
  }
}

const LEFTOVER: KindOfThing = { name: 'leftover' };
/** Texts that are remembered: more than a big home has kinds of things. */
const MOST_FOUND = 20_000;

const sourceOf = ({ source, edition }: GuideRow): string => `${source}, ${edition}`;

/** How long things keep where a home has no rules of its own. */
export const PUBLISHED_GUIDE = new KeepingGuide();

/** The guide of a home, made anew when one of its rules changes. */
class HomeGuide implements RowView {
  private guide: KeepingGuide | null = null;
  constructor(private readonly state: HouseholdState) {}
  changed(entity: EntityKind, _before: AnyRow | undefined, _after: AnyRow | undefined): void {
    if (entity === 'keeping') this.guide = null;
  }
  get current(): KeepingGuide {
    this.guide ??= new KeepingGuide(this.state.all('keeping'));
    return this.guide;
  }
}

/** How long things keep in a home: the same object until a rule changes. */
export const guideOf = (state: HouseholdState): KeepingGuide => state.view(HomeGuide).current;
