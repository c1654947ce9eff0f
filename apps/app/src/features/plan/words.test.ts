import type { BuyingList } from '@ours/core';
import { budgetWords, keptPlanWords, plannedWords, planHeadline, totalWords } from './words';

const list = (totalMinor: number, overBudgetMinor = 0) => ({ totalMinor, overBudgetMinor }) as BuyingList;
const facts = {
  groups: 2,
  housed: 2,
  leftMl: 0,
  containers: 1,
  bought: 0,
  costMinor: 0,
  moved: 1,
  stacked: 0,
  outside: 0,
};

it.each([
  [facts, 'All 2 groups are housed in 1 container. Nothing to buy. 1 shelf moves.'],
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
  expect(keptPlanWords(1, 3)).toBe('1 container for 3 groups.');
});
