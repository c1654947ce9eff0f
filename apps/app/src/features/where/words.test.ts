import type { MovesAnswer, ProposedMove } from '@ours/core';
import { howGoodWords, minutesFigure, movesWords, usesWords } from './words';

it.each([
  [0.349999999, '0.4'],
  [0.34, '0.3'],
  [0.35, '0.4'],
  [9.28, '9.3'],
  [9.96, '10'],
  [177.7, '178'],
])('%f minutes: %s', (minutes, words) => expect(minutesFigure(minutes)).toBe(words));

it.each([
  [30, 'said', 'taken about 30 times a month'],
  [1, 'guess', 'taken about once a month (a guess)'],
  [0.3, 'said', 'taken about 4 times a year'],
  [0.08, 'said', 'taken about once a year'],
] as const)('%f takings a month, %s', (uses, usesFrom, words) => expect(usesWords({ uses, usesFrom })).toBe(words));

describe('how good it is', () => {
  const answer = (more: Partial<MovesAnswer>): MovesAnswer =>
    ({ complete: true, objectiveMinutes: 100, boundMinutes: 98, ...more }) as MovesAnswer;
  it('claims nothing before the search is through, and "nothing better" only at the bound', () => {
    expect(howGoodWords(answer({ complete: false, boundMinutes: 100 }))).toBe('Still looking …');
    expect(howGoodWords(answer({}))).toBe(
      'Best found by single moves and swaps; at most 2 min a month from the best possible.',
    );
    expect(howGoodWords(answer({ boundMinutes: 100 }))).toBe('With these, nothing better is possible.');
  });
});

it('how many moves, and how long they take once', () => {
  const move = (onceMinutes: number): ProposedMove => ({ onceMinutes }) as ProposedMove;
  expect(movesWords([move(8)])).toBe('1 move, about 8 min once');
  expect(movesWords([move(8), move(0.2)])).toBe('2 moves, about 8.2 min once');
  expect(movesWords([])).toBe('0 moves, about 0 min once');
});
