import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { PlacesDialog } from './PlacesDialog';

let mockFile = '';
jest.mock('@/kit/files', () => ({ pickTextFile: () => Promise.resolve(mockFile) }));
const closed = jest.fn();

const read = async (text: string): Promise<void> => {
  mockFile = text;
  await openWith(<PlacesDialog onClose={closed} />, sampleRows());
  const choose = await screen.findByRole('button', { name: 'Choose a file …' });
  await act(async () => {
    fireEvent.click(choose);
  });
};
const codeOf = (id: string): string => (sampleRows().find(({ row }) => row.id === id)!.row as { code: string }).code;

it('what each row changes is seen first, then written in one go', async () => {
  await read(`code,name,width cm\n${codeOf(ID.bin)},lampions,"38,5"\nZZZ,x,1\n${codeOf(ID.rack)},Rack 1,180\n`);
  expect(
    await screen.findByText('1 place changes, 1 is the same, 1 was not read. Nothing is written yet.'),
  ).toBeTruthy();
  expect(screen.getByText(/^name: paper lanterns → lampions; width: not measured → 38\.5 cm$/)).toBeTruthy();
  expect(screen.getByText('not read: no place of this home has that code')).toBeTruthy();
  expect(await queued()).toEqual([]);
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Write 1 change' }));
  });
  await waitFor(() => expect(closed).toHaveBeenCalled());
  expect((await queued())[0]!.ops).toEqual([
    { op: 'change', entity: 'bin', id: ID.bin, fields: { name: 'lampions', widthTenthMm: 3850 } },
  ]);
});

it('a file that is no such table says what it has to be', async () => {
  await read('hello\nworld\n');
  expect(await screen.findByText(/^This is no table of places: its first row has to name the columns/)).toBeTruthy();
});
