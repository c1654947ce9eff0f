import { act, renderHook, waitFor } from '@testing-library/react';
import { crowded } from './crowded.test-support';
import { usePlanSolver } from './usePlanSolver';

it('shows the best so far while it looks, and is done with it', async () => {
  const { result } = renderHook(usePlanSolver);
  expect(result.current.solving).toMatchObject({ state: 'idle', answer: null });
  act(() => result.current.start(crowded));
  await waitFor(() => expect(result.current.solving.answer?.placed).toHaveLength(3));
  await waitFor(() => expect(result.current.solving).toMatchObject({ state: 'done', progress: 1 }), {
    timeout: 15_000,
  });
});

it('stopped keeps what it has, and hears nothing more', async () => {
  const { result } = renderHook(usePlanSolver);
  act(() => result.current.start(crowded));
  await waitFor(() => expect(result.current.solving.answer).not.toBeNull());
  act(() => result.current.cancel());
  const stopped = result.current.solving;
  expect(stopped).toMatchObject({ state: 'cancelled', answer: { placed: expect.anything() } });
  await act(() => new Promise((done) => setTimeout(done, 400)));
  expect(result.current.solving).toBe(stopped);
});

it('says what could not be computed', async () => {
  const { result } = renderHook(usePlanSolver);
  act(() => result.current.start({ ...crowded, shelves: null as never }));
  await waitFor(() => expect(result.current.solving.state).toBe('failed'));
  expect(result.current.solving.problem).toMatch(/^The plan could not be computed: /);
});
