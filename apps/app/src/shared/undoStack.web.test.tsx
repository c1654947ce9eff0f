import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { Pressable, Text } from 'react-native';
import { openWith, queued } from './planHome.test-support';
import { useHousehold } from '@/shared/HouseholdProvider';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { useUndoStack } from '@/shared/useUndoStack';

/** Names a room one, two, three, and takes that back. */
function Naming() {
  const history = useUndoStack();
  const name = useHousehold(({ state }) => state.get('room', ID.loft)?.name ?? '');
  const rename = (to: string): void =>
    void history.change('room_renamed', [{ op: 'change', entity: 'room', id: ID.loft, fields: { name: to } }]);
  const button = (label: string, press: (() => void) | null) => (
    <Pressable role="button" aria-label={label} onPress={() => press?.()}>
      <Text>{label}</Text>
    </Pressable>
  );
  return (
    <>
      <Text testID="name">{name}</Text>
      {button('one', () => rename('one'))}
      {button('two', () => rename('two'))}
      {button('three', () => rename('three'))}
      {button('undo', history.undo)}
      {button('redo', history.redo)}
    </>
  );
}
const press = (name: string): void => {
  fireEvent.click(screen.getByRole('button', { name }));
};
const named = (name: string): Promise<void> => waitFor(() => expect(screen.getByTestId('name').textContent).toBe(name));

describe('taking back', () => {
  it('two fast presses are two steps, forth and back', async () => {
    await openWith(<Naming />, sampleRows());
    await screen.findByText('Boat loft');
    await act(async () => ['one', 'two', 'three'].forEach(press));
    await named('three');
    await waitFor(async () => expect(await queued()).toHaveLength(3));
    await act(async () => {
      press('undo');
      press('undo');
    });
    await named('one');
    await act(async () => {
      press('redo');
      press('redo');
    });
    await named('three');
    await act(async () => ['undo', 'undo', 'undo', 'undo'].forEach(press));
    await named('Boat loft');
    await waitFor(async () => expect(await queued()).toHaveLength(10));
  });
});
