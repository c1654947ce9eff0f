import 'fake-indexeddb/auto';
import type { TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { OutageScreen } from './OutageScreen';
import { RecallScreen } from './RecallScreen';

const mockGo = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/recall',
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
  useLocalSearchParams: () => ({ id: '019ab2f0-0000-7000-8000-000000000003' }),
}));
beforeEach(() => mockGo.mockClear());

const press = (name: string | RegExp, at = 0, role = 'button'): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getAllByRole(role, { name })[at]!);
  });
const type = (label: string, text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
  });
const BREAD = '019ab2f0-0000-7000-8000-0000000000c1';
/** The rack as a chest freezer with minced beef and bread in it. */
const freezer = (more: object = {}): TaggedRow[] => {
  const rows = sampleRows().map((tagged): TaggedRow => {
    if (tagged.entity === 'space') return { entity: 'space', row: { ...tagged.row, kind: 'chest_freezer' } };
    if (tagged.entity === 'item') return { entity: 'item', row: { ...tagged.row, name: 'Minced beef' } };
    return tagged.entity === 'lot' ? { entity: 'lot', row: { ...lotRow(2, 1), ...more } } : tagged;
  });
  const item = rows.find(({ entity }) => entity === 'item')!;
  return [
    ...rows,
    { entity: 'item', row: { ...item.row, id: BREAD, name: 'Rye bread' } as never },
    { entity: 'lot', row: { ...lotRow(1, 1), id: '019ab2f0-0000-7000-8000-0000000000c2', itemId: BREAD } },
  ];
};
const headings = (): (string | null)[] =>
  screen.getAllByRole('heading', { level: 2 }).map(({ textContent }) => textContent);

describe('without cold', () => {
  it('keeps what a closed freezer kept cold, and notes it on each', async () => {
    await openWith(<OutageScreen />, freezer());
    await screen.findByText('Likely not above 4 °C.');
    expect(headings()).toEqual(['Keeps']);
    await press('Note it, and throw out');
    await waitFor(() => expect(mockGo).toHaveBeenCalledWith(`/space/${ID.rack}`));
    expect((await queued())[0]!.ops).toMatchObject([
      { op: 'change', fields: { note: expect.stringMatching(/^Without cold .*, 4 hours; kept\.$/) } },
      { op: 'change' },
    ]);
  });
  it('opened, each has to be looked at before it is noted', async () => {
    await openWith(<OutageScreen />, freezer());
    await screen.findByText('Likely not above 4 °C.');
    await press('was opened', 0, 'radio');
    expect(await screen.findByText('2 things are still to be looked at.')).toBeTruthy();
    expect(headings()[0]).toBe('Look at each');
    expect(screen.getByRole('button', { name: 'Note it, and throw out' }).getAttribute('aria-disabled')).toBe('true');
    // The beef goes out; of the two that can still be kept the second is the bread.
    await press('Out');
    await press('Keep', 1);
    await press('Note it, and throw out');
    await waitFor(async () => expect(await queued()).toHaveLength(1));
    const ops = (await queued())[0]!.ops;
    expect(ops).toMatchObject([
      { op: 'change' },
      { event: { kind: 'discarded', reason: 'spoiled', quantityThousandths: 2000 } },
    ]);
  });
  it('by a thermometer: what was warm for two hours goes, bread is looked at; what cannot be read is said', async () => {
    await openWith(<OutageScreen />, freezer());
    await screen.findByText('Likely not above 4 °C.');
    await press('what a thermometer showed', 0, 'radio');
    await type('Readings, one a line: time and °C', '12:00 cold');
    expect(await screen.findByText(/^“12:00 cold” is no reading;/)).toBeTruthy();
    await type('Readings, one a line: time and °C', '12:00 6\n15:00 8');
    expect(await screen.findByText('Likely above 4 °C for 3 hours.')).toBeTruthy();
    expect(headings()).toEqual(['Throw out', 'Look at each']);
  });
});

describe('a recall', () => {
  it('finds a batch wherever it is, and says when none is known', async () => {
    await openWith(<RecallScreen />, freezer({ batch: 'L-2047' }));
    await screen.findByLabelText('Batch, as printed');
    await type('Batch, as printed', 'l2047');
    expect(await screen.findByText('1 lot at home')).toBeTruthy();
    expect(screen.getByText(/· batch L-2047$/)).toBeTruthy();
    await press('Out');
    expect(await screen.findByText(/^No lot at home has that batch\./)).toBeTruthy();
    expect((await queued())[0]!.ops).toMatchObject([{ event: { kind: 'discarded' } }]);
  });
  it('of a thing shows what has no batch', async () => {
    await openWith(<RecallScreen />, freezer());
    await screen.findByLabelText('Thing');
    await type('Thing', 'minced');
    await screen.findByRole('button', { name: 'Minced beef' });
    await press('Minced beef');
    expect(await screen.findByText(/batch not known: look at it$/)).toBeTruthy();
  });
});
