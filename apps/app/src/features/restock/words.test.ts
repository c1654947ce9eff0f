import type { ItemRow, OutlookAnswer, RestockEntry } from '@ours/core';
import { spanWords } from '@/kit/text/dayWords';
import {
  behindWords,
  budgetWords,
  dayLaterWords,
  eatenWords,
  haveWords,
  inDaysWords,
  keepWords,
  knownWords,
  lastsWords,
  leftOfWords,
  listWords,
  lossWords,
  notBoughtWords,
  paceWords,
  packWords,
  priceFigure,
  refillWords,
  tickedWords,
  toRefillWords,
  tripAdvice,
  whyWords,
} from './words';

/** A Thursday. */
const TODAY = '2026-11-26';
const PLAN = { today: TODAY, day: '2026-11-28', nextDay: '2026-12-05' };
const item = (more: Partial<ItemRow> = {}): ItemRow => ({
  id: 'milk',
  seq: 1,
  retired: false,
  name: 'Milk',
  category: '',
  unit: 'carton',
  synonyms: [],
  tags: [],
  lowAtThousandths: 2000,
  openedDays: null,
  freezerMonths: null,
  ...more,
});
const entry = (more: Partial<RestockEntry> = {}): RestockEntry => ({
  itemId: 'milk',
  name: 'Milk',
  verdict: 'buy',
  reason: 'runs_out',
  packs: 4,
  packThousandths: 1000,
  priceMinor: 115,
  leftThousandths: 2000,
  likelyThousandths: 2000,
  out: { early: 1, middle: 2, late: 4 },
  weeklyThousandths: 7000,
  uses: 31,
  guess: false,
  said: false,
  countFirst: false,
  mostPacks: null,
  cutByDate: false,
  lostThousandths: 0,
  toRefillDay: null,
  ...more,
});

describe('from a day to a day', () => {
  it.each([
    ['2026-11-26', '2026-11-28', 'today–Sat'],
    ['2026-11-27', '2026-11-27', 'Fri'],
    ['2026-12-01', '2026-12-05', '1–5 Dec'],
    ['2026-11-28', '2026-12-15', '28 Nov – 15 Dec'],
    ['2026-12-28', '2027-01-04', '28 Dec – 4 Jan 2027'],
    ['2027-01-03', '2027-01-09', '3–9 Jan 2027'],
  ])('%s to %s: %s', (from, to, words) => expect(spanWords(from, to, TODAY)).toBe(words));
});

describe('how long it lasts', () => {
  it.each<[RestockEntry['out'], string]>([
    [{ early: 1, middle: 2, late: 4 }, 'lasts to Fri–Mon'],
    [{ early: 13, middle: 18, late: 24 }, 'lasts to 9–20 Dec'],
    [{ early: 3, middle: 90, late: null }, 'lasts to Sun or much longer'],
    [{ early: null, middle: null, late: null }, 'lasts over two years'],
    [null, ''],
  ])('%j', (out, words) => expect(lastsWords(out, TODAY)).toBe(words));
});

describe('why it is bought', () => {
  it.each<[string, Partial<RestockEntry>, Partial<ItemRow>]>([
    ['lasts to Fri–Mon; next shop Sat', {}, {}],
    ['lasts to 30 Nov – 3 Dec, not to Sat 5 Dec', { out: { early: 4, middle: 5, late: 7 } }, {}],
    ['none left', { reason: 'none_left' }, {}],
    ['none left; a guess: 2 uses seen', { reason: 'none_left', guess: true, uses: 2 }, {}],
    ['2 left; a guess: 1 use seen', { guess: true, uses: 1 }, {}],
    ['2 left; you buy at 2 cartons', { reason: 'at_mark' }, {}],
    ['always in pairs; lasts to Fri–Mon', { reason: 'pairs' }, {}],
    [
      'always 6 cartons; 2 left',
      { reason: 'full' },
      { restock: { how: 'full', fullThousandths: 6000, weeklyThousandths: null } },
    ],
    ['lasts to Fri–Mon; more would spoil', { cutByDate: true }, {}],
  ])('%s', (words, more, of) => {
    expect(whyWords(entry(more), item(of), PLAN)).toBe(words);
  });
});

it('a pack, what is left, and what is enough', () => {
  expect(packWords(1000, { unit: 'carton' }, { amountThousandths: 1000, unit: 'l' })).toBe('1 l');
  expect(packWords(6000, { unit: 'carton' }, null)).toBe('6 cartons');
  expect(packWords(10_000, { unit: 'piece' }, null)).toBe('10');
  expect(packWords(500, { unit: 'kg' }, null)).toBe('0.5 kg');
  expect(packWords(1000, { unit: 'piece' }, null)).toBe('');
  expect([
    leftOfWords(0, { unit: 'kg' }),
    leftOfWords(400, { unit: 'kg' }),
    leftOfWords(2000, { unit: 'tin' }),
  ]).toEqual(['none left', '0.4 kg left', '2 left']);
  expect(notBoughtWords(entry({ out: null, guess: true, uses: 0 }), item(), TODAY)).toBe(
    '2 left; no use seen yet; a guess: no use seen',
  );
  const never = item({ restock: { how: 'never', fullThousandths: null, weeklyThousandths: null } });
  expect(notBoughtWords(entry({ leftThousandths: 0 }), never, TODAY)).toBe('none left; not by this list');
  expect(notBoughtWords(entry({ cutByDate: true }), item(), TODAY)).toBe('2 left; lasts to Fri–Mon; more would spoil');
});

it('how well it is known', () => {
  expect(knownWords({ guess: false, uses: 9, said: false })).toBe('');
  expect(knownWords({ guess: false, uses: 1, said: true })).toBe('as you said');
});

it('money, days, names', () => {
  expect(budgetWords(7800, 9000, 'EUR')).toBe('of €90, €12 free');
  expect(budgetWords(9600, 9000, 'EUR')).toBe('of €90, €6 over');
  expect([priceFigure(920, 'EUR'), priceFigure(null, 'EUR'), priceFigure(92_000, 'JPY')]).toEqual(['9.20', '–', '920']);
  expect(['2026-11-26', '2026-11-27', '2026-11-28'].map((day) => inDaysWords(day, TODAY))).toEqual([
    'today',
    'tomorrow',
    'in 2 days',
  ]);
  expect(listWords(['Milk', 'Eggs', 'Leek'])).toBe('Milk, Eggs, and Leek');
  expect(listWords(['a', 'b', 'c', 'd', 'e'])).toBe('a, b, c and 2 more');
});

it('a day later', () => {
  const answer = (goneADayLater: string[], moreADayLaterMinor: number): OutlookAnswer => ({
    entries: [],
    useFirst: [],
    priors: [],
    goneADayLater,
    moreADayLaterMinor,
  });
  const name = (id: string): string => id.toUpperCase();
  expect(dayLaterWords(answer(['milk'], 429), name, 'EUR')).toBe('A day later: MILK may be gone, about €4 more.');
  expect(dayLaterWords(answer([], -300), name, 'EUR')).toBe('A day later: about €3 less.');
  expect(dayLaterWords(answer([], 50), name, 'EUR')).toBe('');
});

it('the pace, and what to do on which trip', () => {
  expect(paceWords(entry({ weeklyThousandths: 1400 }), item())).toBe('About 1.4 a week, from 31 uses; ');
  expect(paceWords(entry({ weeklyThousandths: 60, uses: 1 }), item())).toBe('About 0.26 a month, from 1 use; ');
  expect(paceWords(entry({ weeklyThousandths: 500 }), item({ unit: 'kg' }))).toBe(
    'About 0.5 kg a week, from 31 uses; ',
  );
  expect(paceWords(entry({ out: null }), item())).toBe('No use seen yet. ');
  const none = entry({ packs: 0, verdict: 'enough' });
  expect(tripAdvice({ entry: entry(), next: none, plan: PLAN })).toBe('On Saturday 28 Nov, buy 4.');
  expect(tripAdvice({ entry: none, next: entry({ packs: 2 }), plan: PLAN })).toBe(
    'Saturday 28 Nov can wait; on Saturday 5 Dec, buy 2.',
  );
  expect(tripAdvice({ entry: none, next: none, plan: PLAN })).toBe('Saturday 28 Nov and Saturday 5 Dec can wait.');
  expect(tripAdvice({ entry: entry({ verdict: 'ask' }), next: none, plan: PLAN })).toMatch(/count what is left/);
  expect(tripAdvice({ entry: entry({ verdict: 'unknown', packs: 0 }), next: none, plan: PLAN })).toMatch(
    /its own pace/,
  );
});

it('what is lost, used, had and kept', () => {
  const lost = [{ lostThousandths: 1960, thousandths: 5000, lostMinor: 230 }];
  expect(lossWords(lost, item(), 'EUR')).toBe('Likely lost at this pace: about 2 cartons, €2.30.');
  expect(eatenWords({ weeklyThousandths: 2000, guess: false }, { unit: 'pack' })).toBe('2 a week');
  expect(eatenWords({ weeklyThousandths: 100, guess: true }, { unit: 'pack' })).toBe('a guess: 0.4 a month');
  expect(eatenWords({ weeklyThousandths: 0, guess: true }, { unit: 'pack' })).toBe('no use seen');
  expect(haveWords([], item(), null, TODAY)).toBe('None at home');
  const lot = { quantityThousandths: 6000 } as never;
  expect(haveWords([lot], item(), entry({ verdict: 'enough' }), TODAY)).toBe('Enough: 6 cartons, lasts to Fri–Mon');
  expect(haveWords([lot], item(), null, TODAY)).toBe('Yes: 6 cartons');
  expect(keepWords({ nookId: 'x', leastThousandths: 1000, fullThousandths: 4000 }, { unit: 'tin' })).toBe(
    '1 to 4 tins here, the rest in reserve',
  );
  expect([0, 1, 3].map(behindWords)).toEqual(['', 'behind the older one', 'behind the 3 older ones']);
});

it('what was carried, and who ticked it', () => {
  const refill = {
    item: item({ unit: 'pack' }),
    fromNookId: 'a',
    toNookId: 'b',
    amountThousandths: 2000,
    thereThousandths: 1000,
    fullThousandths: 3000,
    leftThousandths: 1000,
    why: 'low' as const,
  };
  expect(refillWords(refill)).toBe('to 3; 1 pack left there');
  expect(refillWords({ ...refill, leftThousandths: 0 })).toBe('to 3; the last of it');
  const at = '2026-11-26T10:00:00.000Z';
  expect(tickedWords({ atInstant: at }, 'Eskil', Date.parse(at) + 240_000)).toBe('Eskil, 4 min ago');
  expect(tickedWords({ atInstant: at }, 'Eskil', Date.parse(at) + 7_200_000)).toBe('Eskil, 2 h ago');
  expect(tickedWords({ atInstant: null }, 'Eskil', 0)).toBe('Eskil');
});

it('what lasts to the refill day is a chance, and says so', () => {
  const to = { day: '2026-11-29', thousandths: 900 };
  expect(toRefillWords(to, 1000, { unit: 'kg' }, TODAY)).toBe('lasts to Sun 29 Nov, 19 times of 20');
  expect(toRefillWords(to, 800, { unit: 'kg' }, TODAY)).toBe(
    'may not last to Sun 29 Nov: up to 0.9 kg are used by then',
  );
});
