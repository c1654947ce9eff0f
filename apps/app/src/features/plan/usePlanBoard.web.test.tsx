import 'fake-indexeddb/auto';
import type { PlannedBin, SpaceRow, TaggedRow } from '@ours/core';
import { act, waitFor } from '@testing-library/react';
import { BOX, measuredRows } from '@/shared/measuredRows.test-support';
import { ID } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { useHousehold } from '@/shared/HouseholdProvider';
import { usePlanBoard } from './usePlanBoard';

jest.mock('expo-router', () => ({ useRouter: () => ({ push: jest.fn(), replace: jest.fn() }) }));

/** Boxes are 40 cm wide and 46 deep, on a shelf of 173 by 48 with posts in its corners. */
const PLAN = '019ab2f0-0000-7000-8000-00000000000a';
const bin = (key: string, cx: number, more: Partial<PlannedBin> = {}): PlannedBin => ({
  key,
  containerId: BOX,
  shelfId: ID.shelf,
  cxTenthMm: cx,
  cyTenthMm: 2400,
  liftTenthMm: 0,
  buy: false,
  degrees: 0,
  locked: false,
  group: 'own:lanterns',
  ...more,
});
const planned = (...placed: PlannedBin[]): TaggedRow[] => [
  ...measuredRows(),
  {
    entity: 'plan',
    row: {
      id: PLAN,
      seq: 1,
      retired: false,
      spaceId: ID.rack,
      name: 'Plan A',
      status: 'draft',
      sort: 0,
      seed: 1,
      groups: [{ id: 'own:lanterns', name: 'lanterns', volumeMl: 30_000, grams: 1200 }],
      shelves: [{ shelfId: ID.shelf, bottomTenthMm: 16_400 }],
      placed,
      budgetMinor: null,
      family: null,
      moveShelves: false,
      bought: [],
    } as never,
  },
];

let board: ReturnType<typeof usePlanBoard>;
function Probe({ space }: { space: SpaceRow }) {
  board = usePlanBoard(space);
  return null;
}
function Home() {
  const space = useHousehold(({ state }) => state.get('space', ID.rack));
  return space ? <Probe space={space} /> : null;
}
async function open(...placed: PlannedBin[]): Promise<void> {
  board = undefined as never;
  await openWith(<Home />, planned(...placed));
  await waitFor(() => expect(board?.bodies).toHaveLength(placed.length));
}
/** Does something to the board and waits until the plan has it. */
async function does(deed: () => void, until: () => void): Promise<void> {
  await act(async () => deed());
  await waitFor(until);
}
const at = (key: string) => board.bodies.find((one) => one.bin.key === key)!.bin;

it('opens the plan there is, on the shelf where something stands, with nothing chosen', async () => {
  await open(bin('a', 3000), bin('b', 9000));
  expect(board.plan?.name).toBe('Plan A');
  expect(board.at.shelf.id).toBe(ID.shelf);
  expect([board.selected, board.chosen, board.free, board.said]).toEqual([null, null, null, null]);
  expect(board.grams).toEqual({ bins: 4000, contents: expect.any(Number) });
});

it('what is pressed is chosen, with the room around it; a press on the shelf lets go of it', async () => {
  await open(bin('a', 3000), bin('b', 9000));
  act(() => board.press('a'));
  expect(board.chosen?.bin.key).toBe('a');
  // 9000 − 3000 between the middles, less 4000 for two halves of 40 cm.
  expect(board.free).toMatchObject({ right: 2000 });
  act(() => board.press(ID.shelf));
  expect(board.chosen).toBeNull();
});

it('a drag moves it, and undo takes it back', async () => {
  await open(bin('a', 3000), bin('b', 9000));
  await does(
    () => board.drag('b', 1000, 0),
    () => expect(at('b').cxTenthMm).toBe(10_000),
  );
  expect(board.said).toBeNull();
  await does(
    () => board.history.undo?.(),
    () => expect(at('b').cxTenthMm).toBe(9000),
  );
  expect((await queued()).map(({ intent }) => intent)).toEqual(['plan_changed', 'undone']);
});

it('a drag onto another or out of the shelf is refused, and says why', async () => {
  await open(bin('a', 3000), bin('b', 9000));
  await act(async () => board.drag('b', -4500, 0));
  expect(board.said).toEqual(expect.any(String));
  const because = board.said;
  await act(async () => board.drag('b', 90_000, 0));
  expect(board.said).not.toBe(because);
  expect([at('a').cxTenthMm, at('b').cxTenthMm]).toEqual([3000, 9000]);
  expect(await queued()).toEqual([]);
});

it('what is locked stays where it is until it is unlocked', async () => {
  await open(bin('a', 3000), bin('b', 9000));
  act(() => board.select('b'));
  await does(
    () => board.lock(),
    () => expect(at('b').locked).toBe(true),
  );
  await act(async () => board.drag('b', 1000, 0));
  expect(at('b').cxTenthMm).toBe(9000);
  await does(
    () => board.lock(),
    () => expect(at('b').locked).toBe(false),
  );
});

it('a stack is one thing to the hand', async () => {
  await open(bin('a', 3000), bin('on a', 3000, { liftTenthMm: 3400 }));
  act(() => board.select('a'));
  await does(
    () => board.lock(),
    () => expect([at('a').locked, at('on a').locked]).toEqual([true, true]),
  );
});

it('one that would not stand when turned is left as it is', async () => {
  await open(bin('a', 3000), bin('b', 7100));
  act(() => board.select('a'));
  // Turned it is 46 cm wide: 5 mm beyond the 41 cm between the two.
  await act(async () => board.turn());
  expect(at('a').degrees).toBe(0);
  expect(board.said).toEqual(expect.any(String));
});
