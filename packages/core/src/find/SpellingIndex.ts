/**
 * Words that are one mistake away: a letter wrong, missing, too many, or two neighbours swapped. Each word is filed under
 * every form it has with one letter left out; two words one mistake apart share such a form (or are each other's). A look-up
 * costs the length of the word, however many words there are. The idea is the symmetric deletion of spelling correction
 * (from memory); short words need it, since one mistake leaves them hardly a trigram.
 */
const LEAST_LETTERS = 3;
const MOST_LETTERS = 24;

export class SpellingIndex {
  private readonly wordsOf = new Map<string, string[]>();
  private readonly uses = new Map<string, number>();
  private readonly prefixes = new Map<string, number>();
  private readonly filed = new Map<string, Set<string>>();

  /** Sets the words of a text; an empty list takes it out. Words are folded (`foldedWords`). */
  set(id: string, words: readonly string[]): void {
    const next = [...new Set(words)];
    const former = this.wordsOf.get(id) ?? [];
    for (const word of next) if (!former.includes(word)) this.use(word);
    for (const word of former) if (!next.includes(word)) this.unuse(word);
    if (next.length === 0) this.wordsOf.delete(id);
    else this.wordsOf.set(id, next);
  }

  /** Whether some word begins so. */
  hasPrefix(text: string): boolean {
    return this.prefixes.has(text);
  }

  /** The words that are one mistake away from this one, those most used first; none for a word of under three letters. */
  near(word: string): string[] {
    if (word.length < LEAST_LETTERS || word.length > MOST_LETTERS) return [];
    const found = new Set<string>();
    for (const form of [word, ...shortened(word)]) {
      for (const other of this.filed.get(form) ?? []) if (isOneMistake(word, other)) found.add(other);
    }
    return [...found].sort((a, b) => this.uses.get(b)! - this.uses.get(a)! || (a < b ? -1 : 1));
  }

  private use(word: string): void {
    const uses = this.uses.get(word) ?? 0;
    this.uses.set(word, uses + 1);
    if (uses > 0) return;
    for (const prefix of prefixesOf(word)) this.prefixes.set(prefix, (this.prefixes.get(prefix) ?? 0) + 1);
    if (word.length > MOST_LETTERS) return;
    for (const form of [word, ...shortened(word)]) {
      const own = this.filed.get(form);
      if (own) own.add(word);
      else this.filed.set(form, new Set([word]));
    }
  }

  private unuse(word: string): void {
    const uses = this.uses.get(word) ?? 0;
    if (uses > 1) return void this.uses.set(word, uses - 1);
    this.uses.delete(word);
    for (const prefix of prefixesOf(word)) {
      const left = (this.prefixes.get(prefix) ?? 1) - 1;
      if (left === 0) this.prefixes.delete(prefix);
      else this.prefixes.set(prefix, left);
    }
    for (const form of [word, ...shortened(word)]) {
      const own = this.filed.get(form);
      own?.delete(word);
      if (own?.size === 0) this.filed.delete(form);
    }
  }
}

const prefixesOf = (word: string): string[] => Array.from({ length: word.length }, (_, at) => word.slice(0, at + 1));
const shortened = (word: string): string[] =>
  Array.from({ length: word.length }, (_, at) => word.slice(0, at) + word.slice(at + 1));

/**
 * Whether two words are the same but for one mistake: the optimal string alignment distance is 1.
 * @example isOneMistake('rpoe', 'rope') //=> true
 */
export function isOneMistake(a: string, b: string): boolean {
  if (Math.abs(a.length - b.length) > 1 || a === b) return false;
  let at = 0;
  while (at < a.length && at < b.length && a[at] === b[at]) at++;
  const rest = (text: string, from: number): string => text.slice(from);
  if (a.length > b.length) return rest(a, at + 1) === rest(b, at);
  if (a.length < b.length) return rest(a, at) === rest(b, at + 1);
  if (rest(a, at + 1) === rest(b, at + 1)) return true;
  return a[at] === b[at + 1] && a[at + 1] === b[at] && rest(a, at + 2) === rest(b, at + 2);
}
