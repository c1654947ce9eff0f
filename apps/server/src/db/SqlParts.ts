/**
 * One statement made of several parts that share their values. `$1` is the household. The same parts in the same order
 * give the same text, and so the same prepared statement.
 */
export class SqlParts {
  readonly values: unknown[];
  private readonly parts: string[] = [];

  constructor(householdId: string) {
    this.values = [householdId];
  }

  /** A place for a value, as `$2`. */
  value(value: unknown): string {
    this.values.push(value);
    return `$${this.values.length}`;
  }

  uuids(ids: Iterable<string>): string {
    return `${this.value([...ids])}::uuid[]`;
  }

  add(part: string): void {
    this.parts.push(part);
  }

  get isEmpty(): boolean {
    return this.parts.length === 0;
  }

  joined(by: string): string {
    return this.parts.join(by);
  }
}
