/** How well use is foretold on invented households, beside the usual methods; and what shopping by it leads to. */
import {
  chanceToLast,
  continueUse,
  daysAhead,
  enoughFor,
  estimateUse,
  NOTHING_YET,
  readDigest,
  rebuildUse,
  runOutDay,
  seededRandom,
  usedAtMost,
  type LedgerEvent,
  type UseEstimate,
} from '@ours/core';
import { checkMethods, DAY0, instant, ITEM, meanOf, METHODS, notedUse, presenceOf, Shelf } from './forecastShelf';
import { DAYS, KIND_NAMES, simulatedItems, type SimulatedItem } from './simulatedUse';
import { table } from './table';

const HORIZONS = [7, 14, 28] as const;
const FIRST_LOOK = 70;
const LOOK_EVERY = 24;

interface Looked {
  kind: string;
  /** |log((foretold + 1)/(used + 1))| by method. */
  errors: Record<string, number>;
  /** Of the 80 % band: how much of what happened lies in it, ties shared out. */
  inBand: number;
}

/** Lives through each item with somebody who buys up to some weeks' use, and looks ahead now and then. */
function look(items: readonly SimulatedItem[], seed: number): Looked[] {
  const random = seededRandom(seed);
  return items.flatMap((item) => {
    const shelf = new Shelf(item, random);
    const mean = item.wanted.reduce((sum, one) => sum + one, 0) / DAYS;
    const upTo = Math.max(1, Math.ceil(mean * 7 * item.weeksHad));
    const looked: Looked[] = [];
    for (let day = 0; day < DAYS; day++) {
      if (day % 7 === 0) shelf.buy(upTo - shelf.stock, day);
      shelf.want(item.wanted[day]!, day);
      if (item.countEvery !== null && day % item.countEvery === item.countEvery - 1) shelf.count(day);
      if (day < FIRST_LOOK || (day - FIRST_LOOK) % LOOK_EVERY !== 0) continue;
      const estimate = shelf.estimate(day);
      const ahead = daysAhead(presenceOf(item), DAY0 + day);
      const use = notedUse(shelf.row, day);
      const rates = Object.entries(METHODS).map(([name, rate]) => [name, rate(use) / item.step] as const);
      for (const horizon of HORIZONS) {
        if (day + horizon >= DAYS) continue;
        const used = item.wanted.slice(day + 1, day + 1 + horizon).reduce((sum, one) => sum + one, 0);
        const off = (foretold: number): number => Math.abs(Math.log((foretold + 1) / (used + 1)));
        const exposed = ahead(horizon);
        const inUnits = estimate.quantum / item.step;
        const quanta = Math.round(used / inUnits);
        const [below, upToUsed] = [
          chanceToLast(estimate, quanta, exposed),
          chanceToLast(estimate, quanta + 1, exposed),
        ];
        const from = Math.max(0.1, quanta === 0 ? 0 : below);
        const to = Math.min(0.9, upToUsed);
        const width = upToUsed - (quanta === 0 ? 0 : below);
        looked.push({
          kind: item.kind,
          errors: {
            ours: off(usedAtMost(estimate, exposed, 0.5) * inUnits),
            ...Object.fromEntries(rates.map(([name, rate]) => [name, off(rate * horizon)])),
          },
          inBand: width > 1e-12 ? Math.max(0, to - from) / width : below >= 0.1 && below <= 0.9 ? 1 : 0,
        });
      }
    }
    return looked;
  });
}

interface Shopped {
  weeks: number;
  withoutGap: number;
  promised: number;
  stockWeeks: number;
  wasted: number;
  bought: number;
}

/** Shops each Saturday by a rule, for a year after half a year of somebody's own buying. @param keeps days a unit is good */
function shop(
  items: readonly SimulatedItem[],
  rule: (shelf: Shelf, day: number) => { upTo: number; promised: number },
  keeps: number | null,
  seed: number,
): Shopped {
  const random = seededRandom(seed);
  const total: Shopped = { weeks: 0, withoutGap: 0, promised: 0, stockWeeks: 0, wasted: 0, bought: 0 };
  const STARTS = 154;
  for (const item of items) {
    const shelf = new Shelf(item, random);
    const mean = item.wanted.reduce((sum, one) => sum + one, 0) / DAYS;
    let lots: { units: number; until: number }[] = [];
    let missed = 0;
    for (let day = 0; day < DAYS - 7; day++) {
      if (keeps !== null) {
        const gone = lots.filter(({ until }) => until < day).reduce((sum, { units }) => sum + units, 0);
        if (gone > 0) {
          shelf.stock -= gone;
          shelf.tell('discarded', gone, day, 5);
          if (day >= STARTS) total.wasted += gone;
        }
        lots = lots.filter(({ until, units }) => until >= day && units > 0);
      }
      if (day % 7 === 0) {
        if (day > STARTS) {
          total.weeks++;
          if (missed === 0) total.withoutGap++;
        }
        missed = 0;
        const { upTo, promised } =
          day < STARTS ? { upTo: Math.ceil(mean * 14) + 1, promised: 0 } : rule(shelf, day - 1);
        const buy = Math.max(0, upTo - shelf.stock);
        shelf.buy(buy, day);
        if (keeps !== null && buy > 0) lots.push({ units: buy, until: day + keeps });
        if (day >= STARTS) {
          total.bought += buy;
          total.promised += promised;
          total.stockWeeks += mean > 0 ? shelf.stock / (mean * 7) : 0;
        }
      }
      const before = shelf.stock;
      missed += shelf.want(item.wanted[day]!, day);
      let taken = before - shelf.stock;
      for (const lot of lots) {
        const part = Math.min(taken, lot.units);
        lot.units -= part;
        taken -= part;
      }
    }
  }
  return total;
}

/** A week until the next trip, and the day of it. */
const COVER = 7;
const ASKED = 0.95;

function ours(keeps: number | null) {
  return (shelf: Shelf, day: number): { upTo: number; promised: number } => {
    const estimate = shelf.estimate(day);
    const days = daysAhead(presenceOf(shelf.item), DAY0 + day)(COVER + 1);
    const upTo = enoughFor(estimate, days, ASKED, { days: keeps });
    return { upTo, promised: chanceToLast(estimate, Math.max(upTo, shelf.stock) + 1, days) };
  };
}

/** Poisson of a method's rate. */
function byRate(rate: (use: readonly number[]) => number) {
  return (shelf: Shelf, day: number): { upTo: number; promised: number } => {
    const mean = (rate(notedUse(shelf.row, day)) / 1000) * (COVER + 1);
    let [n, term, sum] = [0, Math.exp(-mean), Math.exp(-mean)];
    while (sum < ASKED && n < 10_000) {
      n++;
      term *= mean / n;
      sum += term;
    }
    return { upTo: n, promised: Math.max(sum, ASKED) };
  };
}

export function benchForecast(perKind = 12): void {
  checkMethods();
  const items = simulatedItems(perKind, 20_261_126);
  const looked = look(items, 7);
  const names = ['ours', ...Object.keys(METHODS)];
  const errorOf = (of: readonly Looked[], name: string): number => meanOf(of.map(({ errors }) => errors[name]!));
  const overall = names.map((name) => [name, errorOf(looked, name)] as const);
  const best = Math.min(...overall.slice(1).map(([, error]) => error));
  table(
    `Forecasts, ${items.length} invented items, ${looked.length} looks ahead (7, 14, 28 days): mean |log((foretold+1)/(used+1))|`,
    [
      ['kind', ...names, 'ours : best', 'in the 80 % band'],
      ...KIND_NAMES.map((kind) => {
        const own = looked.filter((one) => one.kind === kind);
        const errors = names.map((name) => errorOf(own, name));
        return [
          kind,
          ...errors,
          errors[0]! / Math.min(...errors.slice(1)),
          `${Math.round(100 * meanOf(own.map(({ inBand }) => inBand)))} %`,
        ];
      }),
      [
        'all',
        ...overall.map(([, error]) => error),
        overall[0]![1] / best,
        `${Math.round(100 * meanOf(looked.map(({ inBand }) => inBand)))} %`,
      ],
    ],
  );
  const noted = items.filter(
    ({ kind }) =>
      !['never noted', 'forgotten', 'out of stock', 'measures', 'guests', 'seasonal', 'changing', 'bursts'].includes(
        kind,
      ),
  );
  const allNoted = items.filter(({ kind }) => !['never noted', 'forgotten', 'measures'].includes(kind));
  const row = (
    name: string,
    { weeks, withoutGap, promised, stockWeeks, wasted, bought }: Shopped,
  ): (string | number)[] => [
    name,
    (100 * withoutGap) / weeks,
    (100 * promised) / weeks,
    stockWeeks / weeks,
    bought === 0 ? 0 : (100 * wasted) / bought,
  ];
  const rules = (keeps: number | null) => [
    ['ours', ours(keeps)] as const,
    ...Object.entries(METHODS).map(([name, rate]) => [name, byRate(rate)] as const),
  ];
  for (const [title, of, keeps] of [
    ['all noted, steady kinds', noted, null],
    ['all noted, every kind', allNoted, null],
    ['all noted, every kind, keeps 12 days', allNoted, 12],
  ] as const)
    table(
      `A year of Saturdays at 95 %, ${title}: weeks without a gap %, promised %, weeks’ stock held, thrown out % of what was bought`,
      [
        ['by', 'kept', 'promised', 'stock', 'waste'],
        ...rules(keeps).map(([name, rule]) => row(name, shop(of, rule, keeps, 11))),
      ],
    );
}

/** Time for a home: all digests continued, all estimates, run-out days and the list. */
export function benchOutlookTime(): void {
  const items = simulatedItems(8, 5);
  const rows = items.map((item) => {
    const shelf = new Shelf(item, seededRandom(3));
    for (let day = 0; day < 400; day++) {
      if (day % 7 === 0) shelf.buy(6, day);
      shelf.want(item.wanted[day]!, day);
    }
    return shelf.row;
  });
  const timed = (work: () => void): number => {
    const started = performance.now();
    work();
    return performance.now() - started;
  };
  const event: LedgerEvent = {
    id: 'z',
    lotId: 'lot',
    kind: 'taken',
    quantityThousandths: 1000,
    occurredAt: instant(401, 12),
    reason: null,
    voids: null,
  };
  const sizes = [1000, 10_000, 100_000];
  const results = sizes.map((count) => {
    const of = Array.from({ length: count }, (_, at) => rows[at % rows.length]!);
    const lot = { ...NOTHING_YET, quantityThousandths: 5000, bookThousandths: 5000 };
    const estimates: UseEstimate[] = [];
    return [
      count,
      timed(() => of.forEach((row) => continueUse(row, ITEM, lot, event))),
      timed(() => of.forEach((row) => estimates.push(estimateUse(readDigest(row.digest), DAY0 + 402)))),
      timed(() => estimates.forEach((estimate) => [0.1, 0.5, 0.9].forEach((chance) => runOutDay(estimate, 6, chance)))),
      timed(() => estimates.forEach((estimate) => enoughFor(estimate, 10, 0.95))),
    ];
  });
  table('A home’s outlook: ms for so many items (growth should follow the count)', [
    ['items', 'one event each', 'estimates', 'three run-out days', 'enough for 10 days'],
    ...results,
  ]);
  const told = Array.from({ length: 1095 }, (_, day): LedgerEvent[] => [
    { ...event, id: `t${day}`, occurredAt: instant(day, 12) },
    ...(day % 7 === 0
      ? [{ ...event, id: `p${day}`, kind: 'put_in' as const, quantityThousandths: 7000, occurredAt: instant(day, 6) }]
      : []),
  ]).flat();
  const rebuilt = 100;
  const ms = timed(() => {
    for (let n = 0; n < rebuilt; n++) rebuildUse(ITEM, [told]);
  });
  table('A digest rebuilt from three years of ledger', [
    ['events', 'ms'],
    [told.length, ms / rebuilt],
  ]);
  const bytes = rows.map(({ digest }) => Buffer.from(digest, 'base64').length);
  table('Bytes of a use digest after 400 days', [
    ['mean', 'most'],
    [meanOf(bytes), Math.max(...bytes)],
  ]);
}
