import 'fake-indexeddb/auto';
import type { TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';
import { openWith, queued } from '@/shared/planHome.test-support';
import { beforeKept, keepBefore } from './beforeKept';
import { ItemScreen } from './ItemScreen';
import { OTHER_BIN, usedHome } from './restockHome.test-support';
import { eventWords, fillsWords, setDetail, setWords } from './words';

jest.mock('expo-router', () => ({
  usePathname: () => '/item',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
  useLocalSearchParams: () => ({ id: '019ab2f0-0000-7000-8000-000000000006' }),
}));
beforeEach(() => localStorage.clear());

const press = (name: string | RegExp, at = 0): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getAllByRole('button', { name, hidden: true })[at]!);
  });
const type = (label: string | RegExp, text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
  });
const event = {
  id: 'e1',
  kind: 'taken' as const,
  quantityThousandths: 2000,
  unit: 'piece',
  occurredAt: '2026-11-23T12:00:00.000Z',
  reason: null,
  by: 'Eskil',
  undone: true,
};

describe('what happened to a thing', () => {
  it('is asked for, needs a signal, and is kept once it was seen', async () => {
    await openWith(<ItemScreen />, usedHome(6));
    await screen.findByText('Before');
    await press('Show what happened');
    expect(
      await screen.findByText('What happened before is kept on the server, and that needs a signal.'),
    ).toBeTruthy();
  });
  it('shows what this device has seen', async () => {
    keepBefore(ID.item, [event]);
    await openWith(<ItemScreen />, usedHome(6));
    expect(await screen.findByText('as seen on this device')).toBeTruthy();
    expect(screen.getByText('Mon 23 Nov, Eskil: 2 taken (taken back)')).toBeTruthy();
  });
  it('keeps the things that were asked for last', () => {
    for (let thing = 0; thing < 45; thing++) keepBefore(`t${thing}`, [event]);
    expect([beforeKept('t44'), beforeKept('t5'), beforeKept('t4')]).toEqual([[event], [event], null]);
    localStorage.setItem('nook.before.bad', '{');
    expect(beforeKept('bad')).toBeNull();
    expect(eventWords({ ...event, by: null, undone: false, kind: 'counted', unit: 'tin' })).toBe(
      'Mon 23 Nov: 2 tins counted',
    );
  });
});

describe('a set', () => {
  it('is told from its pieces, and a jar from its lids', async () => {
    await openWith(<ItemScreen />, usedHome(27));
    await screen.findByText('in no set');
    await press('Change: set');
    await type('How many make a whole set?', '2.5');
    expect(screen.getByText('A set has a whole number of pieces.')).toBeTruthy();
    await type('How many make a whole set?', '12');
    await press('Save');
    expect(await screen.findByText('2 whole sets of 12')).toBeTruthy();
    expect(screen.getByText('3 over, 9 missing for one more')).toBeTruthy();
    expect((await queued())[0]!.ops).toMatchObject([
      { op: 'change', entity: 'item', fields: { set: { pieces: 12, withItemId: null } } },
    ]);
  });
  it('words', () => {
    const count = { pieces: 12, there: 11, inUse: 4, whole: 0, over: 11, missing: 1, with: null };
    expect([setWords(count), setDetail(count)]).toEqual(['11 of 12, 1 missing', '4 in use']);
    const jars = { pieces: 1, there: 5, inUse: 0, whole: 3, over: 0, missing: 0 };
    const lids = { item: { name: 'Lids' } as never, there: 3 };
    expect([setWords({ ...jars, with: lids }), setDetail({ ...jars, with: lids })]).toEqual([
      '3 whole, each with Lids',
      '2 without Lids',
    ]);
    expect(setWords({ ...count, there: 0, over: 0, missing: 0 })).toBe('none of 12');
  });
});

describe('filling a jar', () => {
  /** Six lanterns with a date, and two of an earlier one in the jar. */
  const jar = (): TaggedRow[] => {
    const rows = usedHome(6, {}, { expiresOn: '2099-08-31', dateKind: 'best_before' });
    const lot = rows.find(({ entity }) => entity === 'lot')!.row;
    const old = { id: '019ab2f0-0000-7000-8000-0000000000f1', nookId: OTHER_BIN, quantityThousandths: 2000 };
    return [...rows, { entity: 'lot', row: { ...lot, ...old, expiresOn: '2099-01-31' } as never }];
  };
  const open = async (): Promise<void> => {
    await openWith(<ItemScreen />, jar());
    await screen.findByText('Before');
    await press(/31 Aug 2099/);
    await press('Fill into a jar …');
    await type(/^Into which jar/, 'reserve');
    await act(async () => {
      fireEvent.click(screen.getAllByText('reserve')[0]!);
    });
    await screen.findByText(/still holds 2:/);
  };
  it('topped up keeps the earlier date', async () => {
    await open();
    await press('Top it up: the earlier date counts');
    await waitFor(async () => expect(await queued()).toHaveLength(1));
    const { ops } = (await queued())[0]!;
    expect(ops).toContainEqual(
      expect.objectContaining({
        op: 'create',
        entity: 'lot',
        fields: expect.objectContaining({ expiresOn: '2099-01-31', decantedOn: today(), openedOn: today() }),
      }),
    );
  });
  it('emptied and washed starts anew', async () => {
    await open();
    await press('It is emptied and washed: a new start');
    await waitFor(async () => expect(await queued()).toHaveLength(1));
    expect((await queued())[0]!.ops).toContainEqual(
      expect.objectContaining({ fields: expect.objectContaining({ expiresOn: '2099-08-31' }) }),
    );
  });
  it('says how many fills the reserve holds', () => {
    expect(fillsWords({ lotsOf: () => [], get: () => undefined } as never, { front: null } as never)).toBe('');
  });
});
