import { dueTodayWords } from './words';

it('says what is due, of many the first two', () => {
  const named = (name: string) => ({ round: { name } }) as never;
  expect(dueTodayWords(['A', 'B'].map(named))).toBe('Due: A, B.');
  expect(dueTodayWords(['A', 'B', 'C', 'D'].map(named))).toBe('Due: A, B and 2 more.');
});
