import 'fake-indexeddb/auto';
import { opsForTaking, stockOf } from '@ours/core';
import { act, screen, waitFor } from '@testing-library/react';
import { Text } from 'tamagui';
import { useHousehold, useHouseholdContext, useRun } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith } from './planHome.test-support';

const drawn = { rooms: 0, left: 0, all: 0 };
let takeOne: () => Promise<unknown> = () => Promise.resolve();

/** Reads what a command does not touch: the rooms' names, in a new array each time. */
function Rooms() {
  const names = useHousehold(({ state }) => state.all('room').map(({ name }) => name));
  drawn.rooms++;
  return <Text>{names.join(', ')}</Text>;
}
function Left() {
  const left = useHousehold(({ state }) => stockOf(state).onHand(ID.item) / 1000);
  drawn.left++;
  return <Text testID="left">{left}</Text>;
}
/** Takes the state itself, which is changed in place. */
function All() {
  const state = useHousehold((snapshot) => snapshot.state);
  drawn.all++;
  return <Text testID="all">{state.get('lot', ID.lot)!.quantityThousandths / 1000}</Text>;
}
function Commands() {
  const run = useRun();
  const { store } = useHouseholdContext();
  takeOne = () => run('stock_taken', opsForTaking([store.state.get('lot', ID.lot)!], 1000, opContext()));
  return null;
}

it('what shows something else is drawn anew after a command, and only that', async () => {
  await openWith(
    <>
      <Rooms />
      <Left />
      <All />
      <Commands />
    </>,
    sampleRows(),
  );
  await screen.findByTestId('left');
  const before = { ...drawn };
  await act(async () => {
    await takeOne();
  });
  await waitFor(() => expect(screen.getByTestId('left').textContent).toBe('23'));
  expect(screen.getByTestId('all').textContent).toBe('23');
  expect(drawn.left).toBeGreaterThan(before.left);
  expect(drawn.all).toBeGreaterThan(before.all);
  expect(drawn.rooms).toBe(before.rooms);
});
