import { act, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { Button } from '@/kit/press/Button';
import { UndoRedo } from '@/kit/press/UndoRedo';
import { Dialog } from '@/kit/layout/Dialog';
import { renderWith } from '@/kit/renderWith.test-support';
import { Problem } from './Problem';
import { Progress } from './Progress';
import { useSaveFile } from './useSaveFile';
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

  it('what is said while a dialog is open stands in it, and on the page when it has gone', () => {
    function Page() {
      const [dialog, setDialog] = useState(true);
      return (
        <>
          <ToastLine />
          <Dialog title="About it" open={dialog} onClose={() => setDialog(false)}>
            <Deed />
            <Button label="Close it" onPress={() => setDialog(false)} />
          </Dialog>
        </>
      );
    }
    renderWith(
      <ToastProvider>
        <Page />
      </ToastProvider>,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Take one' }));
    expect(screen.getAllByText('Taken: 1.')).toHaveLength(1);
    expect(screen.getByRole('dialog').textContent).toContain('Taken: 1.');
    fireEvent.click(screen.getByRole('button', { name: 'Close it' }));
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(screen.getAllByText('Taken: 1.')).toHaveLength(1);
  });

  describe('a file that is saved', () => {
    const file = (): string => (URL.createObjectURL as jest.Mock).mock.calls.length.toString();
    function Saves() {
      const save = useSaveFile();
      const toast = useToast();
      return (
        <>
          <Button label="Save it" onPress={() => save('list.csv', 'text/csv;charset=utf-8', 'a')} />
          <Button label="Say more" onPress={() => toast({ text: 'Remembered.' })} />
        </>
      );
    }
    const opened = (): void => {
      URL.createObjectURL = jest.fn(() => 'blob:x');
      URL.revokeObjectURL = jest.fn();
      HTMLAnchorElement.prototype.click = jest.fn();
      renderWith(
        <ToastProvider>
          <Saves />
          <ToastLine />
        </ToastProvider>,
      );
      fireEvent.click(screen.getByRole('button', { name: 'Save it' }));
    };
    const sharing = (share: (given: ShareData) => Promise<void>): void =>
      void Object.assign(navigator, { share, canShare: () => true });
    afterEach(() => void Object.assign(navigator, { share: undefined, canShare: undefined }));

    it('can be handed on where the device shares files, also after what is said next', async () => {
      const given: ShareData[] = [];
      sharing((data) => {
        given.push(data);
        return Promise.resolve();
      });
      opened();
      expect(file()).toBe('1');
      expect(screen.getByText('Saved: list.csv.')).toBeTruthy();
      fireEvent.click(screen.getByRole('button', { name: 'Say more' }));
      expect(screen.getByText('Remembered.')).toBeTruthy();
      await act(async () => {
        fireEvent.click(screen.getByRole('button', { name: 'Share' }));
      });
      expect(given[0]!.files!.map(({ name, type }) => [name, type])).toEqual([['list.csv', 'text/csv']]);
    });

    it.each([
      ['AbortError', null],
      ['NotAllowedError', 'list.csv could not be shared from here; it is saved.'],
    ])('a sheet that ends with %s says %s', async (name, words) => {
      sharing(() => Promise.reject(Object.assign(new Error('no'), { name })));
      opened();
      await act(async () => {
        fireEvent.click(screen.getByRole('button', { name: 'Share' }));
      });
      expect(screen.getByRole('status').textContent).toBe(words ?? '');
    });

    it('is saved and no more where nothing can be shared', () => {
      opened();
      expect(file()).toBe('1');
      expect(screen.queryByRole('button', { name: 'Share' })).toBeNull();
    });
  });
});
