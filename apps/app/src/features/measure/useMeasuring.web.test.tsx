import 'fake-indexeddb/auto';
import type { Op, SpaceRow } from '@ours/core';
import { act, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useMeasuring } from './useMeasuring';

let mockGuess: string | undefined;
jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({ guess: mockGuess }),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

let measuring: ReturnType<typeof useMeasuring>;
function Probe({ space }: { space: SpaceRow }) {
  measuring = useMeasuring(space);
  return <span data-testid="at">{`${measuring.number} of ${measuring.count}`}</span>;
}
function Open() {
  const space = useHousehold(({ state }) => state.get('space', ID.rack));
  return space ? <Probe space={space} /> : null;
}
async function open(guess?: string): Promise<void> {
  mockGuess = guess;
  await openWith(<Open />);
  await screen.findByTestId('at');
}

describe('measuring a space', () => {
  it('asks the first question that has no figure; next and back stay within the questions', async () => {
    await open();
    const first = measuring.questions.findIndex(({ value }) => value === null);
    expect(measuring.number).toBe(Math.max(0, first) + 1);
    act(() => measuring.ask(measuring.questions[0]!));
    expect([measuring.number, measuring.back]).toEqual([1, null]);
    act(() => measuring.ask(measuring.questions.at(-1)!));
    act(() => measuring.next());
    expect(measuring.number).toBe(measuring.count);
    act(() => measuring.back!());
    expect(measuring.number).toBe(measuring.count - 1);
  });

  it('after a pattern it begins at the first, and a figure is a guess until it is measured', async () => {
    await open('1');
    expect([measuring.number, measuring.isGuess]).toEqual([1, true]);
    await act(async () => {
      expect(await measuring.save(12_340)).toBe(true);
    });
    await waitFor(() => expect(measuring.isGuess).toBe(false));
    const ops = (await queued()).at(-1)!;
    expect(ops.intent).toBe('measured');
    await waitFor(() => expect(measuring.undo).not.toBeNull());
    act(() => measuring.undo!());
    await waitFor(() => expect(measuring.isGuess).toBe(true));
    await waitFor(() => expect(measuring.redo).not.toBeNull());
  });

  it('after a pattern shelves follow the width that is measured; what is left until it can be planned counts down', async () => {
    await open('1');
    const before = measuring.answersLeft;
    await act(async () => {
      await measuring.save(12_340);
    });
    await waitFor(() => expect(measuring.answersLeft).toBe(before - 1));
    const { ops } = (await queued()).at(-1)!;
    expect((ops as Op[]).slice(1).every((op) => op.op === 'change' && op.entity === 'shelf')).toBe(true);
    expect(ops[0]).toMatchObject({ entity: 'space', fields: { widthTenthMm: 12_340 } });
  });

  it('a shelf it does not know is not moved', async () => {
    await open();
    const before = (await queued()).length;
    act(() => measuring.moveShelf('nowhere', 5000));
    expect(await queued()).toHaveLength(before);
  });
});
