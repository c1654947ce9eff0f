import type { DateHabits } from '@ours/core';
import { fireEvent, screen } from '@testing-library/react';
import { renderWith } from '@/kit/renderWith.test-support';
import { DateField } from './DateField';

function open(habits: Partial<DateHabits> = {}) {
  const heard = { done: jest.fn(), cancelled: jest.fn() };
  renderWith(
    <DateField
      habits={{ order: 'dmy', today: '2026-11-26', facing: 'ahead', ...habits }}
      onDone={heard.done}
      onCancel={heard.cancelled}
    />,
  );
  const field = screen.getByLabelText('Date');
  const type = (text: string) => fireEvent.change(field, { target: { value: text } });
  const enter = () => fireEvent.keyDown(field, { key: 'Enter' });
  return { ...heard, type, enter };
}

describe('a date as people write it', () => {
  it('is read while it is typed, and taken with Enter or with a tap on what was read', () => {
    const { type, enter, done } = open();
    type('12 mar');
    expect(screen.getByRole('button', { name: '12 Mar 2027' })).toBeTruthy();
    enter();
    fireEvent.click(screen.getByRole('button', { name: '12 Mar 2027' }));
    expect(done.mock.calls).toEqual([['2027-03-12'], ['2027-03-12']]);
  });
  it('offers both readings where the home has not said which is meant', () => {
    const { type, done } = open({ order: null });
    type('3/4/27');
    fireEvent.click(screen.getByRole('button', { name: '4 Mar 2027' }));
    expect(screen.getByRole('button', { name: '3 Apr 2027' })).toBeTruthy();
    expect(done).toHaveBeenCalledWith('2027-03-04');
  });
  it('says what cannot be read and keeps it: Enter gives up only on an empty field', () => {
    const { type, enter, done, cancelled } = open({ facing: 'behind' });
    type('next week or so');
    enter();
    expect(screen.getByRole('alert').textContent).toContain('is not a date that has been');
    expect([done.mock.calls.length, cancelled.mock.calls.length]).toEqual([0, 0]);
    type('');
    enter();
    expect(cancelled).toHaveBeenCalledTimes(1);
  });
});
