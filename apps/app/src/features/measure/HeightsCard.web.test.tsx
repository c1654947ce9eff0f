import { fireEvent, screen } from '@testing-library/react';
import { renderWith } from '@/kit/renderWith.test-support';
import { HeightsCard } from './HeightsCard';
import { heightsExample, heightsProblem, openWords, tapeWords } from './words';

const open = () => {
  const deeds = { save: jest.fn(), back: jest.fn(), singly: jest.fn() };
  renderWith(
    <HeightsCard
      count={3}
      topTenthMm={20_000}
      progress="4 of 40"
      unit="metric"
      onSave={deeds.save}
      onBack={deeds.back}
      onSingly={deeds.singly}
    />,
  );
  return deeds;
};
const write = (text: string): void => void fireEvent.change(screen.getByRole('textbox'), { target: { value: text } });
const press = (name: string): void => void fireEvent.click(screen.getByRole('button', { name }));

it('takes the heights of all surfaces as one list', () => {
  const { save } = open();
  write('2, 44, 80');
  press('Save, next');
  expect(save).toHaveBeenCalledWith([200, 4400, 8000]);
});
it('what cannot be is said in one sentence, nothing is lost, and it goes with the next key', () => {
  const { save } = open();
  write('2, 44');
  press('Save, next');
  expect(screen.getByRole('alert').textContent).toBe('2 heights were read; there are 3 shelves.');
  expect((screen.getByRole('textbox') as HTMLInputElement).value).toBe('2, 44');
  write('2, 44, 300');
  expect(screen.queryByRole('alert')).toBeNull();
  press('Save, next');
  expect(screen.getByRole('alert').textContent).toBe('300 is higher than the space.');
  expect(save).not.toHaveBeenCalled();
});
it('goes back, and to asking one by one', () => {
  const { back, singly } = open();
  press('Back');
  press('One by one');
  expect([back.mock.calls.length, singly.mock.calls.length]).toEqual([1, 1]);
});

describe('words', () => {
  it.each([
    [0, true, 'It can be planned.'],
    [1, false, '1 more and it can be planned'],
    [3, false, '3 more and it can be planned'],
    [2, true, '2 more and all of it can be planned'],
  ])('%d answers open, some measured: %s', (answers, some, words) => expect(openWords(answers, some)).toBe(words));
  it('of heights', () => {
    expect(heightsExample(6, 'metric')).toBe('2, 37, 72, …');
    expect(heightsExample(3, 'inch')).toBe('1, 15, 29');
    expect(heightsProblem({ kind: 'unreadable', part: 'many' })).toContain('“many” is not a length.');
    expect(heightsProblem({ kind: 'order', before: '44', after: '2' })).toBe(
      '2 comes after 44 and is not higher. Begin with the lowest shelf.',
    );
    expect(heightsProblem({ kind: 'count', found: 1, wanted: 3 })).toBe('1 height was read; there are 3 shelves.');
  });
  it('of where to hold the tape', () => {
    expect(tapeWords({ of: 'space', id: 'a', key: 'width', answer: 'length', value: null })).toContain('left wall');
    expect(tapeWords({ of: 'shelf', id: 'a', key: 'surface', answer: 'surface', value: null })).toBeNull();
  });
});
