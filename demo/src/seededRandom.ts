/** A small seeded generator (mulberry32, public domain): the same seed gives the same home. */
export interface SeededRandom {
  /** 0 ≤ value < 1. */
  next: () => number;
  /** Poisson by inversion; for the small means of a household. */
  poisson: (mean: number) => number;
}

export function seededRandom(seed: number): SeededRandom {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  const poisson = (mean: number): number => {
    let count = 0;
    for (let product = next(); product > Math.exp(-mean); product *= next()) count++;
    return count;
  };
  return { next, poisson };
}

/** UUIDv7 whose time part is the given instant and whose rest comes from the generator. */
export function seededUuid(random: SeededRandom, instantMs: number): string {
  const time = Math.floor(instantMs).toString(16).padStart(12, '0');
  const rest = Array.from({ length: 18 }, () => Math.floor(random.next() * 16).toString(16)).join('');
  const variant = '89ab'[Math.floor(random.next() * 4)];
  return `${time.slice(0, 8)}-${time.slice(8)}-7${rest.slice(0, 3)}-${variant}${rest.slice(3, 6)}-${rest.slice(6, 18)}`;
}
