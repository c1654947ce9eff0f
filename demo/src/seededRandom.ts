import { seededRandom as randomStream } from '@ours/core';

/** Core's seeded stream, and what a household needs of it: the same seed gives the same home. */
export interface SeededRandom {
  /** 0 ≤ value < 1. */
  next: () => number;
  /** Poisson by inversion; for the small means of a household. */
  poisson: (mean: number) => number;
}

export function seededRandom(seed: number): SeededRandom {
  const next = randomStream(seed);
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
