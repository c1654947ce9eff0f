import type { SignedIn } from './signedIn';

const KEPT_MS = 10_000;
const MOST = 10_000;

/**
 * Sessions looked up a moment ago. One that ends is told to every server and leaves at once; while this server cannot
 * hear that, nothing is kept.
 */
export class SessionCache {
  private readonly known = new Map<string, { who: SignedIn; at: number }>();

  constructor(private readonly canHear: () => boolean) {}

  get(tokenHash: string, now: number): SignedIn | null {
    const found = this.known.get(tokenHash);
    if (!found) return null;
    if (now - found.at <= KEPT_MS && this.canHear()) return found.who;
    this.known.delete(tokenHash);
    return null;
  }

  put(tokenHash: string, who: SignedIn, now: number): void {
    if (!this.canHear()) return;
    if (this.known.size >= MOST) this.known.clear();
    this.known.set(tokenHash, { who, at: now });
  }

  forget(sessionId: string): void {
    for (const [tokenHash, { who }] of this.known) if (who.sessionId === sessionId) this.known.delete(tokenHash);
  }

  forgetAll(): void {
    this.known.clear();
  }
}
