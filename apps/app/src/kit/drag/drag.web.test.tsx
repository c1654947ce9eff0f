import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { Suspense } from 'react';
import { renderWith } from '@/kit/renderWith.test-support';
import { DragArea, Draggable } from '.';

async function show() {
  const [started, ended, pressed] = [jest.fn(), jest.fn(), jest.fn()];
  renderWith(
    <Suspense fallback={null}>
      <DragArea onStart={started} onEnd={ended}>
        <Draggable id="free" label="Free" x={0} y={0} width={40} height={40} onPress={pressed} framed />
        <Draggable id="held" label="Held" x={50} y={0} width={40} height={40} onPress={pressed} fixed />
      </DragArea>
    </Suspense>,
  );
  const free = await screen.findByRole('button', { name: 'Free' });
  return { free, held: screen.getByRole('button', { name: 'Held' }), started, ended, pressed };
}
const key = (target: Element | Document, code: string): Promise<void> =>
  act(async () => {
    fireEvent.keyDown(target, { code });
    await new Promise((done) => setTimeout(done, 20));
  });

it('is chosen with Space, moved with the arrow keys and set down with Space', async () => {
  const { free, started, ended } = await show();
  free.focus();
  await key(free, 'Space');
  await waitFor(() => expect(started).toHaveBeenCalledWith('free'));
  await key(document, 'ArrowRight');
  await key(document, 'Space');
  await waitFor(() => expect(ended).toHaveBeenCalledTimes(1));
  const [id, dx, dy] = ended.mock.calls[0] as [string, number, number];
  expect([id, dy]).toEqual(['free', 0]);
  expect(dx).toBeGreaterThan(0);
});

it('what is fixed is pressed but not moved', async () => {
  const { held, started, pressed } = await show();
  held.focus();
  await key(held, 'Space');
  fireEvent.click(held);
  expect(pressed).toHaveBeenCalledTimes(1);
  expect(started).not.toHaveBeenCalled();
  expect(held.getAttribute('aria-disabled')).toBe('true');
});
