import type { BuyingList } from '@ours/core';
import {
  boardDetail,
  boardTitle,
  budgetWords,
  changeDetail,
  changeWords,
  keptPlanWords,
  looseTitle,
  looseWords,
  moreMinutesWords,
  moreWords,
  planHeadline,
  plannedWords,
  totalWords,
} from './words';

const list = (totalMinor: number, overBudgetMinor = 0) => ({ totalMinor, overBudgetMinor }) as BuyingList;
const facts = {
  groups: 2,
  housed: 2,
  leftMl: 0,
  containers: 1,
  onShelf: 0,
  bought: 0,
  costMinor: 0,
  moved: 1,
  stacked: 0,
  outside: 0,
};

it.each([
  [facts, 'All 2 groups are housed in 1 container. Nothing to buy. 1 shelf moves.'],
  [
    { ...facts, onShelf: 1, moved: 0 },
    'All 2 groups are housed: 1 container, and 1 group on the shelves themselves. Nothing to buy.',
  ],
  [
    { ...facts, onShelf: 2, containers: 0, moved: 0 },
    'All 2 groups are housed on the shelves themselves. Nothing to buy.',
  ],
  [{ ...facts, groups: 0, containers: 3, outside: 2, moved: 0 }, '3 containers stand, 2 stay outside. Nothing to buy.'],
  [
    { ...facts, housed: 1, leftMl: 5000, bought: 2, costMinor: 2980, moved: 2 },
    '1 of 2 groups are housed; 5 l find no room. 2 to buy, €29.80. 2 shelves move.',
  ],
])('%j', (of, words) => expect(planHeadline(of, 'metric', 'EUR')).toBe(words));
it.each([
  [list(5000), null, 'Total €50.00.'],
  [list(5000), 6000, 'Total €50.00, within €60.00.'],
  [list(7000, 1000), 6000, 'Total €70.00, €10.00 over the budget.'],
])('%j with %s to spend', (of, budget, words) => expect(totalWords(of, budget, 'EUR')).toBe(words));
it('no budget means that nothing is bought', () =>
  expect([budgetWords(null, 'EUR'), budgetWords(6000, 'USD')]).toEqual([
    'Budget none: nothing is bought.',
    'Budget $60.00.',
  ]));
it('a container on its place', () => {
  expect(plannedWords('pole box', { buy: true, degrees: 12.7 })).toBe('pole box, to buy, turned 12.7°');
  expect(plannedWords('pole box', { buy: false, degrees: 90 })).toBe('pole box');
  expect(plannedWords('basket', { buy: false, degrees: 0 }, 'under_shelf')).toContain('mind what that carries');
  expect(keptPlanWords(1, 3)).toBe('1 container for 3 groups.');
});

describe('what goes into no container', () => {
  const paddle = {
    itemId: 'paddle',
    count: 4,
    how: 'beside' as const,
    shelfId: null,
    widthTenthMm: 2000,
    depthTenthMm: 800,
    heightTenthMm: 16_000,
    cxTenthMm: 0,
    cyTenthMm: 0,
    degrees: 0,
    short: { shelfId: 'top', overTenthMm: 1700 },
    guessed: false,
    ownBox: false,
  };
  const at = { space: 'Rack 2', shelf: 'top shelf' };
  it('is named with its sides, the longest first', () => {
    expect(looseTitle('Paddle', 4, paddle, 'metric')).toBe('Paddle, 4 of 160 × 20 × 8 cm');
    expect(looseTitle('Paddle', 1, paddle, 'inch')).toBe('Paddle, 63" × 7 7/8" × 3 1/8"');
  });
  it('says where it goes instead, what is missing, and what is a guess', () => {
    expect(looseWords(paddle, 4, at, 'metric')).toBe(
      '17 cm too large for the top shelf, the nearest to fit. Leans beside Rack 2, if a floor of 20 × 32 cm is free there: keep it from falling.',
    );
    expect(looseWords({ ...paddle, how: 'nowhere', guessed: true }, 4, at, 'metric')).toBe(
      '17 cm too large for the top shelf, the nearest to fit. No place here was found. Its sides are a guess: measure it.',
    );
    expect(looseWords({ ...paddle, how: 'nowhere', short: null }, 4, at, 'metric')).toContain('The shelves are full');
    expect(looseWords({ ...paddle, how: 'stands', short: null, ownBox: true }, 1, at, 'metric')).toBe(
      'Kept in the box it came in. Stands by itself: top shelf.',
    );
    expect(looseWords({ ...paddle, how: 'leans', short: null }, 1, at, 'metric')).toContain('keep it from sliding');
    expect(looseWords({ ...paddle, how: 'hangs', short: null }, 1, at, 'metric')).toBe('Hangs from the top shelf.');
  });
});

test('what a hand could do, and what it would cost', () => {
  const named = (id: string): string => `the ${id}`;
  const one = { count: 1, instead: 1 };
  expect(changeWords({ kind: 'share', ...one, into: ['bulbs', 'fuses'] }, 'shoe box', named)).toBe(
    'Into one bin with the bulbs and the fuses',
  );
  expect(changeWords({ kind: 'apart', ...one, into: [] }, 'shoe box', named)).toBe('Each in a bin of its own');
  expect(changeWords({ kind: 'swap', count: 1, instead: 1, into: [] }, 'shoe box', named)).toBe('shoe box instead');
  expect(changeWords({ kind: 'split', count: 2, instead: 1, into: [] }, 'shoe box', named)).toBe(
    '2 × shoe box instead',
  );
  expect(changeWords({ kind: 'join', count: 1, instead: 3, into: [] }, 'crate', named)).toBe('One crate for all 3');
  expect(changeDetail({ sameShelf: true, buy: 0 })).toBe('on the same shelf');
  expect(changeDetail({ sameShelf: false, buy: 2 })).toBe('on another shelf, 2 to buy');
  expect([-0.44, 0.04, -0.04, 1.26].map(moreMinutesWords)).toEqual([
    '−0.4 min a month',
    'as much as now',
    'as much as now',
    '+1.3 min a month',
  ]);
  expect([0, 1, 4, 20].map(moreWords)).toEqual([
    'No further one of it stands on this shelf as it is.',
    'One more of it stands on this shelf.',
    '4 more of it stand on this shelf.',
    'At least 20 more of it stand on this shelf.',
  ]);
});

test('a half-shelf: its measures and what it gains', () => {
  const offer = {
    shelfId: 'c',
    widthTenthMm: 6000,
    depthTenthMm: 3000,
    heightTenthMm: 1250,
    holds: [{ group: 'cups', containerId: 'box', count: 2, volumeMl: 20_000 }],
  };
  expect(boardTitle(offer, 'third shelf', 'metric')).toBe('A half-shelf on the third shelf, 60 × 30 cm, 12.5 cm up');
  const name = (id: string): string => ({ cups: 'twelve cups', box: 'shoe box' })[id] ?? '';
  expect(boardDetail(offer, name, name, 'metric')).toBe(
    '+1 level: twelve cups, 20 l in 2 × shoe box. Mind what the shelf below carries.',
  );
});
