import { rebuildUse, type LedgerEvent, type LedgerEventKind } from '../household';
import { readDigest } from '../use';
import { estimateUse, type EstimateOptions, type UseEstimate } from './estimateUse';
import {
  chanceToLast,
  daysAhead,
  enoughFor,
  isGuess,
  runOutDay,
  usableIn,
  usedAtMost,
  useIn,
  usualDays,
  wantsCount,
} from './runOut';

/** 2026-01-05, a Monday. */
const DAY0 = 20_458;
const ITEM = '0190a0a0-0000-7000-8000-000000000001';
type Told = readonly [day: number, kind: LedgerEventKind, quantity: number, hour?: number];

function digestOf(told: readonly Told[]) {
  const events = told.map(([day, kind, quantity, hour = 12], n): LedgerEvent => ({
    id: `e${String(n).padStart(5, '0')}`,
    lotId: 'A',
    kind,
    quantityThousandths: quantity,
    occurredAt: new Date((DAY0 + day) * 86_400_000 + hour * 3_600_000).toISOString(),
    reason: null,
    voids: null,
  }));
  return readDigest(rebuildUse(ITEM, [events]).digest);
}
const estimated = (told: readonly Told[], today: number, options: EstimateOptions = {}): UseEstimate =>
  estimateUse(digestOf(told), DAY0 + today, options);
const days = (count: number): number[] => Array.from({ length: count }, (_, day) => day);

const oneADay: Told[] = [
  ...days(26).flatMap((week): Told[] => [
    [7 * week, 'put_in', 7000, 6],
    ...days(7).map((day): Told => [7 * week + day, 'taken', 1000]),
  ]),
  [181, 'put_in', 10_000, 20],
];
const lumps: Told[] = [
  [0, 'put_in', 60_000],
  ...days(8).flatMap((n): Told[] => [
    [21 * n + 5, 'taken', 4000],
    [21 * n + 9, 'taken', 1000],
  ]),
];
const fall: Told[] = [
  [0, 'put_in', 400_000],
  ...days(182).flatMap((day): Told[] =>
    day < 126 ? [[day, 'taken', 2000]] : day % 2 === 0 ? [[day, 'taken', 1000]] : [],
  ),
];
const forgotten: Told[] = [
  [0, 'put_in', 60_000],
  ...days(35).map((n): Told => [2 * n + 1, 'taken', 1000]),
  [30, 'counted', 40_000, 20],
  [60, 'counted', 20_000, 20],
];
const onlyBought: Told[] = [0, 14, 28, 42, 56].map((day): Told => [day, 'put_in', 6000]);
const ranOut: Told[] = [
  [0, 'put_in', 3000],
  [1, 'taken', 1000],
  [3, 'taken', 1000],
  [4, 'taken', 1000],
  [11, 'put_in', 3000],
  [13, 'taken', 1000],
];

interface Wanted {
  rate: number;
  memory: number;
  uneven: number;
  disagree: number;
  likely: number;
  stock: number;
  mean14: number;
  variance14: number;
  used14: number[];
  out: (number | null)[];
  lasts14: number;
}
/**
 * Computed from the raw events by a second program in Python with scipy's distributions, written from the description alone.
 */
const ANCHORS: readonly [string, readonly Told[], number, EstimateOptions, Wanted][] = [
  [
    'ran out, and away',
    ranOut,
    20,
    { presence: [{ from: DAY0 + 14, to: DAY0 + 17, factor: 0 }] },
    {
      rate: 0.3653091690707032,
      memory: 10.799464381699009,
      uneven: 1.076737350900261,
      disagree: 0.0006214723971628032,
      likely: 1.8762886597938144,
      stock: 2,
      mean14: 5.114328366989845,
      variance14: 14.664216158269408,
      used14: [1, 4, 10],
      out: [2, 6, 19],
      lasts14: 0.15547013173087448,
    },
  ],
  [
    'nothing but a purchase',
    [[0, 'put_in', 2000]],
    13,
    {},
    {
      rate: 0.02783831879344575,
      memory: 14.467172646244258,
      uneven: 1.036281179138322,
      disagree: 0.000007012884935908793,
      likely: 2,
      stock: 2,
      mean14: 0.3897364631082405,
      variance14: 0.9152923792881565,
      used14: [0, 0, 1],
      out: [16, 250, null],
      lasts14: 0.9109959061692152,
    },
  ],
  [
    'one a day for 26 weeks, 10 left',
    oneADay,
    181,
    {},
    {
      rate: 0.9877023406321731,
      memory: 130.28797128449236,
      uneven: 0.20493863842241947,
      disagree: 0.00016019162899971078,
      likely: 4.371134020618556,
      stock: 10,
      mean14: 13.827832768850424,
      variance14: 3.169764863262802,
      used14: [12, 14, 16],
      out: [8, 10, 12],
      lasts14: 0.003468521997921707,
    },
  ],
  [
    'four and one every three weeks',
    lumps,
    167,
    {},
    {
      rate: 0.23852428876857446,
      memory: 130.58992416070168,
      uneven: 1.5538656625694995,
      disagree: 0.00001797461496900043,
      likely: 18.762886597938145,
      stock: 20,
      mean14: 3.3393400427600426,
      variance14: 6.610462305349626,
      used14: [1, 3, 7],
      out: [50, 86, 142],
      lasts14: 0.9999078252927948,
    },
  ],
  [
    'bought, never noted',
    onlyBought,
    61,
    {},
    {
      rate: 0.4217474147498873,
      memory: 48.22945459451042,
      uneven: 0.7005903756248312,
      disagree: 0.00001970382467948669,
      likely: 3.4285714285714284,
      stock: 30,
      mean14: 5.9044638064984225,
      variance14: 5.341243814069512,
      used14: [3, 6, 9],
      out: [53, 71, 98],
      lasts14: 0.999999993703103,
    },
  ],
  [
    'two a day, then half a one',
    fall,
    181,
    {},
    {
      rate: 0.5087029662418566,
      memory: 15.922204950685101,
      uneven: 1.104749569097203,
      disagree: 0.00020115340622995403,
      likely: 116.43907923630701,
      stock: 120,
      mean14: 7.1218415273859925,
      variance14: 17.043162726060608,
      used14: [2, 6, 13],
      out: [148, 251, 467],
      lasts14: 1,
    },
  ],
  [
    'forgotten, as counts show',
    forgotten,
    70,
    {},
    {
      rate: 0.6194183417800749,
      memory: 60.02454417170917,
      uneven: 0.43918342906526836,
      disagree: 0.0004286317080355825,
      likely: 13.927125506072874,
      stock: 15,
      mean14: 8.671856784921049,
      variance14: 4.780842592669801,
      used14: [6, 8, 12],
      out: [18, 24, 31],
      lasts14: 0.9895502994354464,
    },
  ],
];

describe('the use of a thing: anchors', () => {
  it.each(ANCHORS)('%s', (_, told, today, options, wanted) => {
    const got = estimated(told, today, options);
    const { mean, variance } = useIn(got, 14);
    const pairs: [number, number][] = [
      [got.rate, wanted.rate],
      [got.memoryDays, wanted.memory],
      [got.unevenness, wanted.uneven],
      [got.disagreement, wanted.disagree],
      [got.likely, wanted.likely],
      [got.stock, wanted.stock],
      [mean, wanted.mean14],
      [variance, wanted.variance14],
      [chanceToLast(got, got.stock, 14), wanted.lasts14],
    ];
    for (const [value, exact] of pairs) expect(Math.abs(value - exact)).toBeLessThanOrEqual(1e-9 * Math.max(1, exact));
    expect([0.1, 0.5, 0.9].map((chance) => usedAtMost(got, 14, chance))).toEqual(wanted.used14);
    expect([0.1, 0.5, 0.9].map((chance) => runOutDay(got, got.stock, chance))).toEqual(wanted.out);
  });
  it('one a day: ten to have for eight days', () => {
    expect(enoughFor(estimated(oneADay, 181), 8, 0.95)).toBe(10);
  });
});

describe('what is no use, and no lack of it', () => {
  const steady: Told[] = [[0, 'put_in', 90_000], ...days(45).map((n): Told => [2 * n, 'taken', 1000])];
  it('away: the pace stays, the days do not count', () => {
    const seen = estimated(steady, 89).rate;
    const presence = [{ from: DAY0 + 90, to: DAY0 + 110, factor: 0 }];
    expect(estimated(steady, 110, { presence }).rate).toBeCloseTo(seen, 1);
    expect(estimated(steady, 110).rate).toBeLessThan(0.9 * seen);
  });
  it('guests: twice as much for a week is the same pace', () => {
    const busy = days(7).flatMap((n): Told[] => [[90 + n, 'taken', 1000]]);
    const presence = [{ from: DAY0 + 90, to: DAY0 + 96, factor: 2 }];
    const plain = estimated([...steady, ...busy], 96).rate;
    expect(estimated([...steady, ...busy], 96, { presence }).rate).toBeLessThan(plain);
  });
  it('days to come: nobody there makes it last longer, guests shorter', () => {
    const seen = estimated(oneADay, 181);
    const today = DAY0 + 181;
    const away = daysAhead([{ from: today + 3, to: today + 9, factor: 0 }], today);
    const guests = daysAhead([{ from: today + 1, to: today + 5, factor: 2 }], today);
    expect([away(2), away(5), away(10), guests(3), guests(10)]).toEqual([2, 2, 3, 6, 15]);
    expect(daysAhead([{ from: today - 9, to: today, factor: 0 }], today)).toBe(usualDays);
    expect(runOutDay(seen, 10, 0.5, away)).toBe(17);
    expect(runOutDay(seen, 10, 0.5, guests)).toBe(5);
  });
});

describe('how well it is known', () => {
  it('two uses are a guess, and no more than twice what was seen is bought by it', () => {
    const seen = estimated(
      [
        [0, 'put_in', 12_000],
        [1, 'taken', 4000],
        [2, 'taken', 4000],
      ],
      4,
    );
    expect(isGuess(seen)).toBe(true);
    expect(enoughFor(seen, 300, 0.95)).toBe(2 * seen.usedSeen);
  });
  it('somebody said two a week: that is the start, and what is seen overrules it', () => {
    const saidPerDay = 2000 / 7;
    const start = estimated([[0, 'put_in', 12_000]], 0, { saidPerDay });
    expect(start.rate * 7).toBeGreaterThan(1.9);
    expect(isGuess(start)).toBe(false);
    expect(estimated(oneADay, 181, { saidPerDay }).rate).toBeGreaterThan(0.85);
  });
  it('never noted is asked about; a book that may be wrong by what would be bought as well', () => {
    const bought = estimated(onlyBought, 61);
    expect([bought.fromPurchases, wantsCount(bought, 5), wantsCount(bought, 3)]).toEqual([true, true, false]);
    const often = estimated(oneADay, 181);
    expect([wantsCount(often, 10), wantsCount(often, 11), wantsCount(often, 2)]).toEqual([true, false, true]);
  });
  it('amounts by weight are measured by what is used at once', () => {
    const flour: Told[] = [
      [0, 'put_in', 5_000_000],
      ...[437, 251, 503, 380].map((grams, n): Told => [n * 5, 'taken', grams * 1000]),
    ];
    const seen = estimated(flour, 20);
    expect(seen.quantum).toBe(49_094);
    expect((seen.rate * seen.quantum) / 1000).toBeGreaterThan(40);
  });
});

describe('no more than gets used', () => {
  it('mean 10 in the shelf life, ratio .5/.7/.8/.9: at most 10/8/7/6', () => {
    const ten: UseEstimate = { ...estimated([], 0), rate: 1, unevenness: 1, memoryDays: 1e12, disagreement: 0 };
    expect([0.5, 0.7, 0.8, 0.9].map((regret) => usableIn({ ...ten, daysOfUse: 9 }, 10, regret))).toEqual([10, 8, 7, 6]);
  });
  it('nothing there is gone today; what nobody uses is not foretold', () => {
    const none = estimated([], 0);
    expect(runOutDay(none, 0, 0.5)).toBe(0);
    expect(runOutDay({ ...none, rate: 0 }, 3, 0.1)).toBeNull();
  });
});
