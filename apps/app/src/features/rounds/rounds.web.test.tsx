import 'fake-indexeddb/auto';
import { addDays, type TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { RoundsScreen } from './RoundsScreen';
import { ID, lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';
import { openWith, queued } from '@/shared/planHome.test-support';

const mockGo = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/rounds',
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
}));
beforeEach(() => mockGo.mockClear());

const press = (name: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });

describe('what wants a look', () => {
  const withDates = (): TaggedRow[] => {
    const lot = (id: string, expiresOn: string | null, more: object = {}): TaggedRow => ({
      entity: 'lot',
      row: { ...lotRow(2, 1), id, expiresOn, dateKind: expiresOn === null ? null : ('use_by' as const), ...more },
    });
    const soon = new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10);
    return [
      ...sampleRows().filter(({ entity }) => entity !== 'lot'),
      lot('late', '2020-03-12'),
      lot('soon', soon),
      lot('far', '2190-01-01'),
      lot('uncounted', null, { pleaseCount: true }),
      {
        entity: 'line',
        row: {
          id: '019ab2f0-0000-7000-8000-00000000000b',
          seq: 1,
          retired: false,
          nookId: ID.bin,
          text: '3 of those',
          problem: 'unread',
        } as never,
      },
    ];
  };
  it('is empty in a home where all is well', async () => {
    await openWith(<RoundsScreen />, sampleRows());
    expect(await screen.findByText(/^Nothing needs a look today/)).toBeTruthy();
  });
  it('puts lines to fix first, the late before the soon, then what is to be counted; a far date is no matter', async () => {
    await openWith(<RoundsScreen />, withDates());
    await screen.findByText('Ends within two weeks');
    expect(screen.getAllByRole('heading', { level: 2 }).map(({ textContent }) => textContent)).toEqual([
      'Lines to fix',
      'Too late: look, and take out what is bad',
      'Ends within two weeks',
      'Please count',
    ]);
    expect(screen.getAllByText('Paper lantern, 2')).toHaveLength(2);
    expect(screen.getByText('“3 of those”')).toBeTruthy();
  });
  it('what was picked from the freezer for tomorrow comes out today', async () => {
    const day = (ahead: number): string => addDays(today(), ahead);
    const pick = (id: string, forDay: string): TaggedRow => ({
      entity: 'pick',
      row: { id, seq: 1, retired: false, lotId: ID.lot, amountThousandths: 1000, forDay, thawedOn: null },
    });
    await openWith(<RoundsScreen />, [...sampleRows(), pick('p1', day(1)), pick('p2', day(4))]);
    await screen.findByText('Out of the freezer to thaw');
    const row = screen.getAllByRole('button', { name: /^Paper lantern, 1/ });
    expect(row).toHaveLength(1);
    await act(async () => {
      fireEvent.click(row[0]!);
    });
    expect(mockGo).toHaveBeenCalledWith(`/space/${ID.rack}/frozen`);
  });
  it('a line to fix is read again in its place, or dropped', async () => {
    await openWith(<RoundsScreen />, withDates());
    await screen.findByText('“3 of those”');
    await press('Fix');
    expect(mockGo).toHaveBeenCalledWith(`/record?nook=${ID.bin}`);
    await press('Drop');
    await waitFor(() => expect(screen.queryByText('“3 of those”')).toBeNull());
    expect((await queued()).map(({ intent }) => intent)).toEqual(['line_settled']);
  });
});
