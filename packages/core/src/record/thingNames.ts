import pluralize from 'pluralize';
import { foldText } from '../base';

/** What the reader knows of a thing of the home. */
export interface KnownThing {
  id: string;
  name: string;
  /** What one counts or measures it in. */
  unit: string;
  synonyms: readonly string[];
}

export interface ThingMatches {
  /** Things with this name, or another of their names, whole. */
  whole: readonly KnownThing[];
  /** Things with this name before a qualifier: `pillowcases` of `pillowcases (blue)` and of `Pillowcases, white`. */
  base: readonly KnownThing[];
}

/** The things of a home by name. The reader asks it for every run of words of a line. */
export interface KnownThings {
  /** @param key from `thingKey` */
  match(key: string): ThingMatches;
}

const NOTHING: ThingMatches = { whole: [], base: [] };
const SINGULARS_KEPT = 20_000;
const singulars = new Map<string, string>();
for (const [one, many] of [
  ['lens', 'lenses'],
  ['canvas', 'canvases'],
  ['molasses', 'molasses'],
  ['cutlass', 'cutlasses'],
] as const) {
  if (one === many) pluralize.addUncountableRule(one);
  else pluralize.addIrregularRule(one, many);
}

/** One form for singular and plural of a folded word: `tomatoes` and `tomato`, `leaves` and `leaf`, `cookies` and `cookie`. */
function wordKey(word: string): string {
  const known = singulars.get(word);
  if (known !== undefined) return known;
  // A last -e or -ie is told apart by no two things of a home, and the plural rules do not agree on it (cookies, quiches).
  const key = pluralize.singular(word).replace(/ie$/, 'y').replace(/e$/, '');
  if (singulars.size >= SINGULARS_KEPT) singulars.clear();
  singulars.set(word, key);
  return key;
}

/** Whether a word can only be a plural: `hangers`, not `rice` or `glass`. */
export const isOnlyPlural = (word: string): boolean => pluralize.isPlural(word) && !pluralize.isSingular(word);

/** Keys of the words of a name, in order. */
export function wordKeys(name: string): string[] {
  const folded = foldText(name);
  return folded === '' ? [] : folded.split(' ').map(wordKey);
}

/** The same for a name in singular or plural, with accents or without, its words in any order. */
export const thingKey = (name: string): string => keyOfWords(wordKeys(name));
export const keyOfWords = (keys: readonly string[]): string => [...keys].sort().join(' ');

/** The one thing that a name is sure to mean: by its whole name, or before a qualifier when only one begins so. */
export function thingNamed(things: KnownThings, name: string): KnownThing | null {
  const key = thingKey(name);
  if (key === '') return null;
  const { whole, base } = things.match(key);
  const named = whole.length > 0 ? whole : base;
  return named.length === 1 ? named[0]! : null;
}

const QUALIFIER = /^(.*?)\s*(?:\(.*\)|,.*)\s*$/;

/** An index of the names of a home's things, kept up as they change. */
export class ThingNames implements KnownThings {
  private readonly byKey = new Map<string, { whole: Map<string, KnownThing>; base: Map<string, KnownThing> }>();
  private readonly keysOf = new Map<string, string[]>();

  /** Puts a thing in, or in place of what it was. */
  set(thing: KnownThing): void {
    this.delete(thing.id);
    const keys: string[] = [];
    const add = (part: 'whole' | 'base', name: string): void => {
      const key = thingKey(name);
      if (key === '') return;
      const entry = this.byKey.get(key) ?? { whole: new Map(), base: new Map() };
      entry[part].set(thing.id, thing);
      this.byKey.set(key, entry);
      keys.push(key);
    };
    for (const name of [thing.name, ...thing.synonyms]) {
      add('whole', name);
      const base = QUALIFIER.exec(name)?.[1];
      if (base) add('base', base);
    }
    this.keysOf.set(thing.id, keys);
  }

  delete(id: string): void {
    for (const key of this.keysOf.get(id) ?? []) {
      const entry = this.byKey.get(key);
      entry?.whole.delete(id);
      entry?.base.delete(id);
      if (entry && entry.whole.size === 0 && entry.base.size === 0) this.byKey.delete(key);
    }
    this.keysOf.delete(id);
  }

  match(key: string): ThingMatches {
    const entry = this.byKey.get(key);
    return entry ? { whole: [...entry.whole.values()], base: [...entry.base.values()] } : NOTHING;
  }
}
