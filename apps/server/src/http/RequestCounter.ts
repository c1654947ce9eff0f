import { isIPv6 } from 'node:net';

const WINDOW_MS = 60_000;

/** Counts requests per address in windows of a minute. One address counts as its network of 64 bits in IPv6. */
export class RequestCounter {
  private counts = new Map<string, number>();
  private since = 0;

  constructor(private readonly most: number) {}

  /** Whether one more request of this address is within the limit. */
  allows(address: string, now: number): boolean {
    if (now - this.since >= WINDOW_MS) {
      this.counts = new Map();
      this.since = now;
    }
    const key = networkOf(address);
    const count = (this.counts.get(key) ?? 0) + 1;
    this.counts.set(key, count);
    return count <= this.most;
  }
}

function networkOf(address: string): string {
  if (!isIPv6(address) || address.startsWith('::ffff:')) return address;
  return address.split(':').slice(0, 4).join(':');
}
