import { act, fireEvent, screen } from '@testing-library/react';
import { Button } from '@/kit/press/Button';
import { UndoRedo } from '@/kit/press/UndoRedo';
import { renderWith } from '@/kit/renderWith.test-support';
import { Problem } from './Problem';
import { Progress } from './Progress';
import { ToastLine, ToastProvider, useToast } from './Toasts';

describe('what is said back', () => {
  it.each([
    [0.424, '42'],
    [-1, '0'],
    [7, '100'],
  ])('progress of %d is %s of a hundred, and can be stopped', (share, percent) => {
    const stopped = jest.fn();
    renderWith(<Progress label="Looking" words="Looking, 1.2 s" share={share} onStop={stopped} />);
    expect(screen.getByRole('progressbar', { name: 'Looking' }).getAttribute('aria-valuenow')).toBe(percent);
    expect(screen.getByText('Looking, 1.2 s')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(stopped).toHaveBeenCalledTimes(1);
  });

  it('undo and redo are quiet while there is nothing; redo may be left out', () => {
    const [undone, redone] = [jest.fn(), jest.fn()];
    const { unmount } = renderWith(<UndoRedo undo={null} redo={redone} />);
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    fireEvent.click(screen.getByRole('button', { name: 'Redo' }));
    expect([undone.mock.calls.length, redone.mock.calls.length]).toEqual([0, 1]);
    expect(screen.getByRole('button', { name: 'Undo' }).getAttribute('aria-disabled')).toBe('true');
    unmount();
    renderWith(<UndoRedo undo={undone} />);
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(undone).toHaveBeenCalledTimes(1);
    expect(screen.queryByRole('button', { name: 'Redo' })).toBeNull();
  });

  it('a problem is announced, and none is nothing at all', () => {
    const { unmount } = renderWith(<Problem text="“few” is not an amount." />);
    expect(screen.getByRole('alert').textContent).toBe('“few” is not an amount.');
    unmount();
    renderWith(<Problem text={null} />);
    expect(screen.queryByRole('alert')).toBeNull();
  });

  function Deed({ undo }: { undo?: () => void }) {
    const toast = useToast();
    return <Button label="Take one" onPress={() => toast({ text: 'Taken: 1.', ...(undo ? { undo } : {}) })} />;
  }
  const open = (undo?: () => void) =>
    renderWith(
      <ToastProvider>
        <Deed {...(undo ? { undo } : {})} />
        <ToastLine />
      </ToastProvider>,
    );

  it('a line says what was done, is read out, takes it back once, and goes by itself', () => {
    jest.useFakeTimers();
    const undone = jest.fn();
    open(undone);
    expect(screen.getByRole('status').textContent).toBe('');
    fireEvent.click(screen.getByRole('button', { name: 'Take one' }));
    expect(screen.getByRole('status').getAttribute('aria-live')).toBe('polite');
    expect(screen.getByText('Taken: 1.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(undone).toHaveBeenCalledTimes(1);
    expect(screen.queryByText('Taken: 1.')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Take one' }));
    act(() => jest.advanceTimersByTime(8000));
    expect(screen.getByText('Taken: 1.')).toBeTruthy();
    act(() => jest.advanceTimersByTime(2000));
    expect(screen.queryByText('Taken: 1.')).toBeNull();
    jest.useRealTimers();
  });

  it('what cannot be taken back offers nothing', () => {
    open();
    fireEvent.click(screen.getByRole('button', { name: 'Take one' }));
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
  });
});
