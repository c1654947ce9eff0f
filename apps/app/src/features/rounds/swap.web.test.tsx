import 'fake-indexeddb/auto';
import { writeCode, type RoundFields, type TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { RoundScreen } from './RoundScreen';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';
import { openWith, queued } from '@/shared/planHome.test-support';

const mockRound = '019ab2f0-0000-7000-8000-0000000000d1';
jest.mock('expo-router', () => ({
  usePathname: () => '/round',
  useLocalSearchParams: () => ({ id: mockRound }),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

const LOW = '019ab2f0-0000-7000-8000-0000000000d2';
const HATS = '019ab2f0-0000-7000-8000-0000000000d3';
const base = (id: string) => ({ id, seq: 1, retired: false });
/** The sample rack with a lower shelf on which another bin stands. */
const home = (clear: number | null, more: Partial<RoundFields> = {}): TaggedRow[] => {
  const rows = sampleRows();
  const shelf = rows.find(({ entity }) => entity === 'shelf')!.row as never as object;
  const bin = rows.find(({ entity }) => entity === 'bin')!.row as never as object;
  return [
    ...rows.map((one) =>
      one.entity === 'bin' ? ({ ...one, row: { ...one.row, heightTenthMm: 3400 } } as TaggedRow) : one,
    ),
    {
      entity: 'shelf',
      row: { ...shelf, ...base(LOW), code: writeCode('BL1', 'B'), sort: 1, heightTenthMm: clear } as never,
    },
    {
      entity: 'bin',
      row: { ...bin, ...base(HATS), shelfId: LOW, name: 'hats', code: writeCode('BL1', 'B1') } as never,
    },
    {
      entity: 'round',
      row: {
        ...base(mockRound),
        name: 'Season swap',
        kind: 'season_swap',
        rhythm: { kind: 'after', rule: null, days: 90 },
        startsOn: today(),
        personIds: [],
        nookIds: [],
        steps: [],
        minutes: 40,
        swaps: [{ oneId: ID.bin, otherId: HATS }],
        ...more,
      },
    },
  ];
};

it('two bins change places with a tick, once', async () => {
  await openWith(<RoundScreen />, home(4000));
  const box = await screen.findByRole('checkbox', { name: 'paper lanterns and hats change places' });
  await act(async () => {
    fireEvent.click(box);
  });
  await waitFor(async () => expect(await queued()).toHaveLength(1));
  const [command] = await queued();
  expect(command!.ops).toMatchObject([
    { op: 'create', entity: 'round_tick', fields: { what: 'step' } },
    { op: 'change', entity: 'bin', id: ID.bin, fields: { shelfId: LOW } },
    { op: 'change', entity: 'bin', id: HATS, fields: { shelfId: ID.shelf } },
  ]);
  const ticked = screen.getByRole('checkbox', { name: 'paper lanterns and hats change places' });
  expect(ticked.getAttribute('aria-checked')).toBe('true');
  expect(ticked.getAttribute('aria-disabled')).toBe('true');
});

it('one that does not go in there stays, and it is said why', async () => {
  await openWith(<RoundScreen />, home(3000));
  expect(await screen.findByText('paper lanterns is 34 cm high; 30 cm are clear there.')).toBeTruthy();
  expect(screen.getByRole('checkbox').getAttribute('aria-disabled')).toBe('true');
});
