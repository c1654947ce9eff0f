import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { PACKS, usedHome } from '@/features/restock/restockHome.test-support';
import { StockTableScreen } from './StockTableScreen';

jest.mock('expo-router', () => ({
  usePathname: () => '/stock',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
  useLocalSearchParams: () => ({}),
}));
jest.mock('tamagui', () => ({
  ...jest.requireActual('tamagui'),
  useMedia: () => ({ table: true, gtMd: true, beside: true }),
}));
const other = '019ab2f0-0000-7000-8000-0000000000e1';
const rows = () => {
  const all = usedHome(24, { packs: PACKS });
  const item = all.find(({ entity }) => entity === 'item')!;
  return [...all, { entity: 'item', row: { ...item.row, id: other, name: 'Zither strings', packs: null } } as never];
};
const key = (name: string, more: object = {}): Promise<void> =>
  act(async () => {
    fireEvent.keyDown(screen.getByRole('grid'), { key: name, ...more });
  });
const press = (name: string | RegExp): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });
const write = (field: HTMLElement, text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(field, { target: { value: text } });
  });
const enter = (field: HTMLElement): Promise<void> =>
  act(async () => {
    fireEvent.keyDown(field, { key: 'Enter', code: 'Enter', keyCode: 13 });
  });
const ids = (): string[] =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map(({ id }) => id);

it('sorts, selects with the keys, counts in place and puts on the list', async () => {
  await openWith(<StockTableScreen />, rows());
  expect(await screen.findByText('2 of 2, worth €42.00')).toBeTruthy();
  // What is gone comes first.
  expect(ids()).toEqual([`row-${other}`, `row-${ID.item}`]);
  await press('Sort by What');
  expect(ids()).toEqual([`row-${ID.item}`, `row-${other}`]);
  await key('ArrowDown');
  await key(' ');
  expect(screen.getByText('1 selected, worth €42.00')).toBeTruthy();
  await key('Enter');
  const field = screen.getByLabelText('How many: Paper lantern');
  await write(field, 'many');
  await enter(field);
  expect(screen.getByRole('alert').textContent).toMatch(/^“many” is no amount/);
  expect(await queued()).toEqual([]);
  await write(field, '20');
  await enter(field);
  await waitFor(async () =>
    expect(await queued()).toMatchObject([
      { intent: 'stock_counted', ops: [{ op: 'event', event: { kind: 'counted', quantityThousandths: 20_000 } }] },
    ]),
  );
  await waitFor(() => expect(screen.getByText('2 of 2, worth €35.00')).toBeTruthy());
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'Put on the list' }).getAttribute('aria-disabled')).not.toBe('true'),
  );
  await press('Put on the list');
  await waitFor(async () => expect((await queued())[1]).toMatchObject({ intent: 'list_changed' }));
});

it('writes in another column with the keys; a run of rows is selected with Shift', async () => {
  await openWith(<StockTableScreen />, rows());
  await screen.findByText('2 of 2, worth €42.00');
  await key('Home');
  await key('ArrowLeft');
  await key('Enter');
  const field = screen.getByLabelText('What: Zither strings');
  expect((field as HTMLInputElement).value).toBe('Zither strings');
  await write(field, 'Strings');
  await enter(field);
  await waitFor(async () =>
    expect(await queued()).toMatchObject([
      { intent: 'item_changed', ops: [{ op: 'change', id: other, fields: { name: 'Strings' } }] },
    ]),
  );
  await key('ArrowDown', { shiftKey: true });
  expect(screen.getByText('2 selected, worth €42.00')).toBeTruthy();
  await key('Escape');
  expect(screen.queryByText(/selected/)).toBeNull();
});

it('filters by words of the thing and its place, and by what is gone; groups; keeps the view', async () => {
  await openWith(<StockTableScreen />, rows());
  await screen.findByText('2 of 2, worth €42.00');
  const filter = screen.getByLabelText('with these words, also of its place');
  await write(filter, 'loft lant');
  expect(screen.getAllByRole('row')).toHaveLength(2);
  await write(filter, 'harpsichord');
  expect(screen.getByText('Nothing of this is here.')).toBeTruthy();
  await write(filter, '');
  await press('Which: everything');
  await press('what is gone');
  expect(ids()).toEqual([`row-${other}`]);
  await press('Groups: in one list');
  await press('by room');
  expect(screen.getByText('Nowhere')).toBeTruthy();
  await press('Views …');
  await write(screen.getByLabelText('Keep what is shown now as'), 'Gone');
  await press('Keep');
  await waitFor(async () =>
    expect(await queued()).toMatchObject([
      {
        intent: 'view_kept',
        ops: [{ op: 'create', entity: 'kept_view', fields: { name: 'Gone', shown: 'none', groupBy: 'room' } }],
      },
    ]),
  );
});

it('several are counted one after the other', async () => {
  const lot = rows().find(({ entity }) => entity === 'lot')!;
  await openWith(<StockTableScreen />, [
    ...rows(),
    { entity: 'lot', row: { ...lot.row, id: '019ab2f0-0000-7000-8000-0000000000e9', itemId: other } } as never,
  ]);
  await screen.findByText(/^2 of 2, /);
  await press('Sort by What');
  await key('a', { ctrlKey: true });
  await press('Count');
  const first = screen.getByLabelText('How many: Paper lantern');
  expect(screen.getByText('1 more row is counted after this one; Esc ends it')).toBeTruthy();
  await write(first, '5');
  await enter(first);
  const second = await screen.findByLabelText('How many: Zither strings');
  await write(second, '7');
  await enter(second);
  await waitFor(async () =>
    expect((await queued()).map(({ intent }) => intent)).toEqual(['stock_counted', 'stock_counted']),
  );
});

it('one category for all that are chosen, which is taken back as one; given away only what is there', async () => {
  await openWith(<StockTableScreen />, rows());
  await screen.findByText('2 of 2, worth €42.00');
  await key('a', { ctrlKey: true });
  await press('Category …');
  await write(screen.getByLabelText('Category'), 'light');
  await press('Save');
  await screen.findByText('light: 2 things.');
  expect((await queued())[0]).toMatchObject({
    intent: 'item_changed',
    ops: [{ fields: { category: 'light' } }, { fields: { category: 'light' } }],
  });
  await press('Undo');
  await waitFor(async () => expect((await queued())[1]).toMatchObject({ intent: 'undone' }));
  await key('a', { ctrlKey: true });
  await press('Given away');
  await screen.findByText('Given away: all of 2 rows.');
  expect((await queued())[2]!.ops).toMatchObject([
    { event: { kind: 'discarded', reason: 'given_away', quantityThousandths: 24_000, lotId: ID.lot } },
  ]);
});

it('is copied as text with tabs and as a table; a name that looks like a formula or markup stays a name', async () => {
  const written: Record<string, Blob>[] = [];
  globalThis.ClipboardItem = class {
    constructor(readonly of: Record<string, Blob>) {}
  } as never;
  Object.assign(navigator, {
    clipboard: { write: (items: { of: Record<string, Blob> }[]) => Promise.resolve(void written.push(items[0]!.of)) },
  });
  const named = rows().map((tagged) =>
    tagged.entity === 'item' && tagged.row.id === other
      ? { ...tagged, row: { ...tagged.row, name: '=1+1 <b>' } }
      : tagged,
  );
  await openWith(<StockTableScreen />, named as never);
  await screen.findByText('2 of 2, worth €42.00');
  await key('ArrowDown');
  await key(' ');
  await key('c', { ctrlKey: true });
  await screen.findByText('Copied: 1 row.');
  const read = (type: string): Promise<string> =>
    new Promise((done) => {
      const reader = new FileReader();
      reader.onload = () => done(reader.result as string);
      reader.readAsText(written[0]![type]!);
    });
  expect(await read('text/plain')).toBe(
    'What\tHow many\tWhere\tUntil\tLasts to\tMark\tWorth\r\n"\'=1+1 <b>"\t0 piece\t\t\t\t\t',
  );
  expect(await read('text/html')).toContain('<td>=1+1 &lt;b&gt;</td>');
});
