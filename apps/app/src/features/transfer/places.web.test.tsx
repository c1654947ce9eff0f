import 'fake-indexeddb/auto';
import type { Op } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { PlacesDialog } from './PlacesDialog';

let mockFile = '';
jest.mock('@/kit/files', () => ({
  pickFile: () => Promise.resolve({ name: 'x.csv', size: 1, bytes: new TextEncoder().encode(mockFile) }),
}));
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
    await screen.findByText('None is new, 1 changes, 1 is the same, 1 was not read. Nothing is written yet.'),
  ).toBeTruthy();
  expect(screen.getByText(/^name: paper lanterns → lampions; width: not measured → 38\.5 cm$/)).toBeTruthy();
  expect(screen.getByText(/^not read: no place of this home has that code/)).toBeTruthy();
  expect(await queued()).toEqual([]);
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Write 1 row' }));
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

it('new places are seen with what they are in, and made after what is around them', async () => {
  await read('kind,name,in\nbin,jars,top\nshelf,top,Pantry\ncupboard,Pantry,Cellar\nbin,peas,Attic\n');
  expect(
    await screen.findByText(
      '3 places are new, none changes, none is the same, 1 was not read. Nothing is written yet.',
    ),
  ).toBeTruthy();
  expect(screen.getByText('new cupboard “Pantry” in new room Cellar')).toBeTruthy();
  expect(screen.getByText(/^not read: “Attic” is not known as what it can be in/)).toBeTruthy();
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Write 3 rows' }));
  });
  await waitFor(() => expect(closed).toHaveBeenCalled());
  const made = (await queued()).flatMap(({ ops }) =>
    (ops as Op[]).map((op) => (op.op === 'create' ? op.entity : op.op)),
  );
  expect(made).toEqual(['room', 'space', 'shelf', 'bin']);
});
