import 'fake-indexeddb/auto';
import type { ItemRow, TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { ScanProvider, useEmitScan } from '@/shared/ScanProvider';
import { TourScreen } from './TourScreen';

const mockRack = ID.rack;
jest.mock('expo-router', () => ({
  usePathname: () => '/space',
  useLocalSearchParams: () => ({ id: mockRack }),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

// GS1 General Specifications, worked example of a GTIN-13 check digit: 629104150021 3.
const GTIN = '6291041500213';
const rows = (): TaggedRow[] =>
  sampleRows().map((tagged) =>
    tagged.row.id === ID.item
      ? { entity: 'item', row: { ...(tagged.row as ItemRow), codes: [GTIN.padStart(14, '0')] } }
      : tagged,
  );
function Emitter() {
  const emit = useEmitScan();
  return <button onClick={() => emit(GTIN, 'typed')}>scan</button>;
}
const press = (words: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByText(words));
  });

it('each scan at a stop is one more found; counted so in one tap, or forgotten', async () => {
  await openWith(
    <ScanProvider>
      <TourScreen />
      <Emitter />
    </ScanProvider>,
    rows(),
  );
  await screen.findByText('Stop 1 of 1');
  await press('scan');
  await press('scan');
  expect(await screen.findByText(/^scanned 2, 24 noted$/)).toBeTruthy();
  await press('Forget');
  expect(screen.queryByText('Scanned here')).toBeNull();
  await press('scan');
  await press('Count it so');
  await waitFor(async () => expect((await queued()).length).toBe(1));
  expect((await queued())[0]!.ops).toMatchObject([
    { op: 'event', event: { kind: 'counted', quantityThousandths: 1000, lotId: ID.lot } },
  ]);
});
