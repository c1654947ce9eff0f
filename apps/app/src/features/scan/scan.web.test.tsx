import 'fake-indexeddb/auto';
import { withCheckDigit, type TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { ScanProvider, useEmitScan, useScanned } from '@/shared/ScanProvider';
import { ScansAnywhere } from './ScansAnywhere';

const mockGo = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/',
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
}));
beforeEach(() => mockGo.mockClear());

const GTIN = withCheckDigit('200000000777').padStart(14, '0');
const rows = (codes: string[] | null): TaggedRow[] =>
  sampleRows().map((one) =>
    one.entity === 'item' && one.row.id === ID.item ? { ...one, row: { ...one.row, codes } } : one,
  ) as TaggedRow[];
let emit: ReturnType<typeof useEmitScan> = () => undefined;
function Emitter() {
  emit = useEmitScan();
  return <span>ready</span>;
}
const page = (inner = <></>) => (
  <ScanProvider>
    <ScansAnywhere />
    <Emitter />
    {inner}
  </ScanProvider>
);
const scan = (text: string, by: Parameters<typeof emit>[1] = 'scanner'): Promise<void> =>
  act(async () => emit(text, by));

it('a thing that is known opens, a place opens, an address that is none of ours says so', async () => {
  await openWith(page(), rows([GTIN]));
  await screen.findByText('ready');
  await scan(GTIN);
  expect(mockGo).toHaveBeenCalledWith(`/item/${ID.item}`);
  const bin = sampleRows().find((one) => one.entity === 'bin' && one.row.id === ID.bin)!;
  await scan(`https://home.example/n/${(bin.row as { code: string }).code}`);
  expect(mockGo).toHaveBeenLastCalledWith(`/nook/${ID.bin}`);
});

it('a code that nobody knows is learned in one line, for a thing of the home or a new one', async () => {
  await openWith(page(), rows(null));
  await screen.findByText('ready');
  await scan(GTIN);
  fireEvent.change(screen.getByLabelText('What is it?'), { target: { value: 'Hemp seed' } });
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'A new thing' }));
  });
  await waitFor(async () => expect(await queued()).toHaveLength(1));
  expect((await queued())[0]!.ops).toMatchObject([
    { op: 'create', entity: 'item', fields: { name: 'Hemp seed', codes: [GTIN] } },
  ]);
});

it('the same code again within two seconds is taken once; typed it is meant', async () => {
  const taken: string[] = [];
  function Taker() {
    useScanned(({ text }) => {
      taken.push(text);
      return true;
    });
    return null;
  }
  await openWith(page(<Taker />), rows([GTIN]));
  await screen.findByText('ready');
  await scan(GTIN);
  await scan(GTIN);
  await scan(GTIN, 'camera');
  expect(taken).toHaveLength(1);
  await scan(GTIN, 'typed');
  expect(taken).toHaveLength(2);
  // The page that is open took them: nothing was opened elsewhere.
  expect(mockGo).not.toHaveBeenCalled();
});
