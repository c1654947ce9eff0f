/**
 * Entries by id in one order, kept up one at a time. Changes are gathered and worked in when the list is next asked for: a few
 * by inserting, many (as when a home is read) by sorting once.
 */
export class SortedRows<T> {
  private sorted: readonly T[] = [];
  private readonly byId = new Map<string, T>();
  private readonly waiting = new Map<string, T | null>();

  /** @param compare a whole order: 0 only for one and the same entry */
  constructor(private readonly compare: (a: T, b: T) => number) {}

  /** Adds or replaces an entry; null takes it out. */
  set(id: string, entry: T | null): void {
    this.waiting.set(id, entry);
  }

  /** In order. The same array as long as nothing has changed. */
  list(): readonly T[] {
    const { waiting, byId } = this;
    if (waiting.size === 0) return this.sorted;
    if (waiting.size > 20 + byId.size / 20) this.sortAnew();
    else {
      const next = [...this.sorted];
      for (const [id, entry] of waiting) {
        const before = byId.get(id);
        if (before !== undefined) next.splice(this.placeOf(next, before), 1);
        if (entry === null) byId.delete(id);
        else {
          byId.set(id, entry);
          next.splice(this.placeOf(next, entry), 0, entry);
        }
      }
      this.sorted = next;
    }
    waiting.clear();
    return this.sorted;
  }

  private sortAnew(): void {
    for (const [id, entry] of this.waiting) {
      if (entry === null) this.byId.delete(id);
      else this.byId.set(id, entry);
    }
    this.sorted = [...this.byId.values()].sort(this.compare);
  }

  /** The first place whose entry does not come before this one. */
  private placeOf(list: readonly T[], entry: T): number {
    let [low, high] = [0, list.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.compare(list[middle]!, entry) < 0) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
