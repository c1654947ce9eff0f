import type { MeasureQuestion } from '@ours/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { renderWith } from '@/kit/renderWith.test-support';
import { QuestionCard } from './QuestionCard';

function ask(
  question: Partial<MeasureQuestion>,
  isGuess = false,
  same: { name: string; tenthMm: number } | null = null,
) {
  const saved = jest.fn().mockResolvedValue(true);
  const next = jest.fn();
  const unreached = jest.fn();
  renderWith(
    <QuestionCard
      question={{ of: 'shelf', id: 's', key: 'width', answer: 'length', value: null, ...question } as MeasureQuestion}
      where="top shelf"
      progress="3 of 9"
      unit="metric"
      isGuess={isGuess}
      onSave={saved}
      onNext={next}
      onUnreached={unreached}
      onBack={null}
      same={same}
    />,
  );
  const type = (text: string): void => {
    fireEvent.change(screen.getByRole('textbox'), { target: { value: text } });
    fireEvent.click(screen.getByRole('button', { name: /Save, next|Skip|Next/ }));
  };
  return { saved, next, unreached, type };
}

describe('one question of measuring', () => {
  it('saves what the tape says and goes on', async () => {
    const { saved, next, type } = ask({});
    type('12 3/8"');
    expect(saved).toHaveBeenCalledWith(3143);
    await waitFor(() => expect(next).toHaveBeenCalledTimes(1));
  });
  it('as the shelf above is one key; where to hold the tape is said', async () => {
    const { saved, next } = ask({ key: 'height' }, false, { name: 'shelf B', tenthMm: 3020 });
    expect(screen.getByText(/^From the top of this shelf to the lowest of what is above/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'As shelf B, 30.2 cm' }));
    expect(saved).toHaveBeenCalledWith(3020);
    await waitFor(() => expect(next).toHaveBeenCalledTimes(1));
  });
  it('an empty answer skips and saves nothing', () => {
    const { saved, next } = ask({});
    fireEvent.click(screen.getByRole('button', { name: 'Skip' }));
    expect(next).toHaveBeenCalledTimes(1);
    expect(saved).not.toHaveBeenCalled();
  });
  it('what nobody gets at is left open, and asked for no more than it was', () => {
    const { saved, next, unreached } = ask({});
    fireEvent.click(screen.getByRole('button', { name: 'Can’t reach it' }));
    expect([unreached, saved, next].map((one) => one.mock.calls.length)).toEqual([1, 0, 0]);
  });
  it('on a phone the keys write what is read', async () => {
    const { saved } = ask({});
    for (const key of ['3', '0', '2', 'mm']) fireEvent.click(screen.getByRole('button', { name: key }));
    expect(screen.getByRole('textbox')).toHaveProperty('value', '302 mm');
    fireEvent.click(screen.getByRole('button', { name: 'Save, next' }));
    await waitFor(() => expect(saved).toHaveBeenCalledWith(3020));
  });
  it('what cannot be read gets a sentence and stays in the field', () => {
    const { saved, type } = ask({});
    type('two hands');
    expect(screen.getByRole('alert').textContent).toContain('“two hands” is not a length; write for example');
    expect(screen.getByRole('textbox')).toHaveProperty('value', 'two hands');
    expect(saved).not.toHaveBeenCalled();
  });
  it('a second reading that differs asks which one counts; within 2 mm it does not', () => {
    const { saved, type } = ask({ value: 8640 });
    type('87.0');
    expect(screen.getByRole('alert').textContent).toContain('Two readings: 86.4 cm before, 87 cm now');
    expect(saved).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: '87 cm' }));
    expect(saved).toHaveBeenCalledWith(8700);
  });
  it('a figure of a pattern is no reading: what is measured replaces it', () => {
    const { saved, type } = ask({ value: 12_000 }, true);
    type('118');
    expect(saved).toHaveBeenCalledWith(11_800);
  });
  it('a surface may lie at 0, a width not', () => {
    const { saved, type } = ask({ key: 'bottom', answer: 'height' });
    type('0');
    expect(saved).toHaveBeenCalledWith(0);
  });
  it('a load is read as a weight', () => {
    const { saved, type } = ask({ key: 'load', answer: 'mass' });
    type('62,5');
    expect(saved).toHaveBeenCalledWith(62_500);
  });
});
