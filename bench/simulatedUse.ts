/**
 * Invented households for measuring forecasts: what a thing is wanted for, day by day, and what of it is noted. Each kind is a
 * way in which homes differ; none of them is what the estimator assumes.
 */
import { seededRandom } from '@ours/core';

export const DAYS = 520;

export interface SimulatedItem {
  kind: string;
  /** Wanted on each day, in whole units. */
  wanted: number[];
  /** Share of what is taken that somebody notes. */
  noted: number;
  /** Days between two counts; null: nobody counts. */
  countEvery: number | null;
  /** Away, first and last day, said beforehand. */
  away: [number, number][];
  /** Bought this late: so many weeks' use is had at most. */
  weeksHad: number;
  /** One step of what it is taken by. */
  step: number;
}

type Random = () => number;

function poisson(random: Random, mean: number): number {
  let [k, product] = [0, random()];
  for (const limit = Math.exp(-mean); product > limit; k++) product *= random();
  return k;
}
const normal = (random: Random): number => {
  let sum = 0;
  for (let n = 0; n < 12; n++) sum += random();
  return sum - 6;
};
const days = (of: (day: number) => number): number[] => Array.from({ length: DAYS }, (_, day) => of(day));

/** Every kind, with how it is wanted at a rate a day. */
const KINDS: Record<string, (random: Random, rate: number) => Partial<SimulatedItem> & { wanted: number[] }> = {
  poisson: (random, rate) => ({ wanted: days(() => poisson(random, rate)) }),
  regular: (random, rate) => {
    const every = Math.max(1, Math.round(1 / rate));
    return { wanted: days((day) => (day % every === 0 && random() < 0.95 ? Math.max(1, Math.round(rate)) : 0)) };
  },
  rhythm: (random, rate) => {
    const perWeek = Math.max(1, Math.round(rate * 7));
    const on = Math.floor(random() * 7);
    return { wanted: days((day) => (day % 7 === on ? perWeek + (random() < 0.2 ? 1 : 0) : 0)) };
  },
  even: (random, rate) => {
    let due = 1 / rate;
    return {
      wanted: days((day) => {
        let count = 0;
        for (; due <= day + 1; due += Math.max(0.2, (1 / rate) * (1 + 0.25 * normal(random)))) count++;
        return count;
      }),
    };
  },
  packs: (random, rate) => ({ wanted: days(() => (random() < rate / 2 ? 2 : 0)) }),
  lumpy: (random, rate) => ({ wanted: days(() => (random() < rate / 3 ? 1 + Math.floor(random() * 5) : 0)) }),
  bursts: (random, rate) => {
    let on = false;
    return {
      wanted: days(() => {
        if (random() < (on ? 1 / 9 : 1 / 25)) on = !on;
        return poisson(random, on ? rate * 3.2 : rate * 0.2);
      }),
    };
  },
  slow: (random, rate) => ({ wanted: days(() => poisson(random, rate / 8)) }),
  measures: (random, rate) => ({
    wanted: days(() => (random() < rate ? 2 + Math.floor(random() * 5) : 0)),
    step: 100,
  }),
  changing: (random, rate) => {
    const at = 150 + Math.floor(random() * 250);
    const factor = random() < 0.5 ? 2.2 : 0.4;
    return { wanted: days((day) => poisson(random, day < at ? rate : rate * factor)) };
  },
  seasonal: (random, rate) => {
    const phase = random() * 365;
    return { wanted: days((day) => poisson(random, rate * (1 + 0.8 * Math.sin(((day + phase) / 365) * 2 * Math.PI)))) };
  },
  guests: (random, rate) => {
    let until = -1;
    return {
      wanted: days((day) => {
        if (day > until && random() < 1 / 40) until = day + 2 + Math.floor(random() * 6);
        return poisson(random, day <= until ? rate * 2.5 : rate);
      }),
    };
  },
  away: (random, rate) => {
    const away: [number, number][] = [];
    for (let day = 20 + Math.floor(random() * 60); day < DAYS; day += 50 + Math.floor(random() * 80))
      away.push([day, day + 6 + Math.floor(random() * 14)]);
    const isAway = (day: number): boolean => away.some(([from, to]) => day >= from && day <= to);
    return { wanted: days((day) => (isAway(day) ? 0 : poisson(random, rate))), away };
  },
  'out of stock': (random, rate) => ({ wanted: days(() => poisson(random, rate)), weeksHad: 0.7 }),
  forgotten: (random, rate) => ({ wanted: days(() => poisson(random, rate)), noted: 0.65, countEvery: 30 }),
  'never noted': (random, rate) => ({ wanted: days(() => poisson(random, rate)), noted: 0 }),
};

export const KIND_NAMES = Object.keys(KINDS);

/** Items of every kind, at rates from one in ten days to two a day. */
export function simulatedItems(perKind: number, seed: number): SimulatedItem[] {
  const random = seededRandom(seed);
  return KIND_NAMES.flatMap((kind) =>
    Array.from({ length: perKind }, () => {
      const rate = 0.1 * 20 ** random();
      const usual = { noted: 1, countEvery: null, away: [], weeksHad: 2.5, step: 1000 };
      return { kind, ...usual, ...KINDS[kind]!(random, rate) };
    }),
  );
}
