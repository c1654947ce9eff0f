/**
 * Wrong passwords for one account slow the next tries for it down, wherever they come from. The right password always
 * works: nobody can lock an owner out.
 */
const FREE_TRIES = 5;
const FIRST_MS = 250;
const LONGEST_MS = 5000;
const FORGET_MS = 15 * 60_000;
const MOST_ACCOUNTS = 10_000;

export class SlowDown {
  private readonly wrong = new Map<string, { count: number; at: number }>();

  /** How long the next try for this account has to wait. */
  delayMs(account: string, now: number): number {
    const known = this.wrong.get(account);
    if (!known || now - known.at > FORGET_MS || known.count < FREE_TRIES) return 0;
    return Math.min(LONGEST_MS, FIRST_MS * 2 ** (known.count - FREE_TRIES));
  }

  noteWrong(account: string, now: number): void {
    const known = this.wrong.get(account);
    const count = known && now - known.at <= FORGET_MS ? known.count + 1 : 1;
    this.wrong.delete(account);
    if (this.wrong.size >= MOST_ACCOUNTS) this.wrong.delete(this.wrong.keys().next().value!);
    this.wrong.set(account, { count, at: now });
  }

  noteRight(account: string): void {
    this.wrong.delete(account);
  }
}
