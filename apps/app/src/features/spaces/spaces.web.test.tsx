import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { RestockScreen } from '@/features/restock/RestockScreen';
import { ItemDialog } from '@/features/stock/ItemDialog';
import { NookScreen } from '@/features/stock/NookScreen';
import { WaitingScreen } from '@/features/sync/WaitingScreen';
import { NewSpaceScreen } from './NewSpaceScreen';
import { NooksScreen } from '@/features/wall/NooksScreen';
import { SpaceScreen } from './SpaceScreen';

jest.setTimeout(30_000);
const mockGo = jest.fn();
let mockId = '';
jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({ id: mockId }),
  usePathname: () => '/nooks',
  useRouter: () => ({ push: mockGo, replace: mockGo, back: mockGo, canGoBack: () => false }),
}));
beforeEach(() => {
  mockGo.mockClear();
  mockId = ID.rack;
});

const press = async (name: string | RegExp, role = 'button'): Promise<void> => {
  await waitFor(() => expect(screen.getAllByRole(role, { name })[0]!.getAttribute('aria-disabled')).not.toBe('true'));
  await act(async () => {
    fireEvent.click(screen.getAllByRole(role, { name })[0]!);
  });
};
const write = (label: string | RegExp, text: string): void => {
  fireEvent.change(screen.getAllByLabelText(label)[0]!, { target: { value: text } });
};
const lastOps = async (): Promise<unknown[]> => (await queued()).at(-1)!.ops;

describe('a space with its doors open', () => {
  it('tells what is in it, opens a bin’s panel, and leads to planning', async () => {
    await openWith(<SpaceScreen />);
    expect(await screen.findByText(/1 thing$/)).toBeTruthy();
    await press(/^Bin A1, paper lanterns/);
    expect(screen.getByTestId('nook-panel').textContent).toContain('Paper lantern');
    await press('Look inside');
    expect(mockGo).toHaveBeenLastCalledWith(`/nook/${ID.bin}`);
    await press('Plan');
    expect(mockGo).toHaveBeenLastCalledWith(`/space/${ID.rack}/mix`);
  });
  it('new bins are added by name, several at once, each with a code of its own', async () => {
    await openWith(<SpaceScreen />);
    await screen.findByText(/1 thing$/);
    await press('Change');
    write('New bins (comma between)', 'tea lights, lantern wire');
    await press('Add');
    await waitFor(async () => expect((await queued()).length).toBe(1));
    const ops = (await lastOps()) as { fields: { name: string; code: string } }[];
    expect(ops.map(({ fields }) => fields.name)).toEqual(['tea lights', 'lantern wire']);
    expect(new Set(ops.map(({ fields }) => fields.code)).size).toBe(2);
  });
  it('a bin that holds things is only removed to somewhere', async () => {
    await openWith(<SpaceScreen />);
    await screen.findByText(/1 thing$/);
    await press(/^Bin A1, paper lanterns/);
    await press('Edit');
    await press('Remove this bin …');
    expect(screen.getByText(/It still holds things. Where do they go\?/)).toBeTruthy();
    expect(await queued()).toEqual([]);
  });
  it('a place that is not there says where to look', async () => {
    mockId = 'nowhere';
    await openWith(<SpaceScreen />);
    expect(await screen.findByText('This place is not there, or no longer. Look for it under Nooks.')).toBeTruthy();
  });
});

describe('all nooks', () => {
  it('shows each space and leads to the containers', async () => {
    await openWith(<NooksScreen />);
    expect(await screen.findByText('Rack 1')).toBeTruthy();
    await press('Containers');
    expect(mockGo).toHaveBeenLastCalledWith('/containers');
  });
});

describe('a new space', () => {
  it('from a pattern: all its shelves with figures, and on to measuring', async () => {
    await openWith(<NewSpaceScreen />);
    await screen.findByLabelText('What is it called?');
    write('What is it called?', 'Net store');
    write('In which room?', 'Boat loft');
    await press('Chest freezer, two baskets, step', 'radio');
    await press('Add it');
    await waitFor(() =>
      expect(mockGo).toHaveBeenCalledWith(expect.stringMatching(/^\/space\/[0-9a-f-]{36}\/measure\?guess=1$/)),
    );
    const ops = (await lastOps()) as { entity: string; fields: { kind: string } }[];
    expect(ops.map(({ entity, fields }) => `${entity} ${fields.kind}`)).toEqual([
      'space chest_freezer',
      'shelf hanging_basket',
      'shelf hanging_basket',
      'shelf floor',
      'shelf floor',
    ]);
  });
  it('without a name nothing is made, and it says what is missing', async () => {
    await openWith(<NewSpaceScreen />);
    await screen.findByLabelText('What is it called?');
    await press('Add it');
    await waitFor(() =>
      expect(screen.getByRole('alert').textContent).toBe('Give the space a name, such as “Linen closet”.'),
    );
    expect(await queued()).toEqual([]);
  });
});

describe('inside a bin', () => {
  const lot = (): HTMLElement => screen.getByRole('button', { name: /^Paper lantern/ });
  it.each([
    ['Take 1', 'stock_taken', { kind: 'taken', quantityThousandths: 1000 }],
    ['Put in 1', 'stock_put_in', { kind: 'put_in', quantityThousandths: 1000 }],
    ['There are 1 now', 'stock_counted', { kind: 'counted', quantityThousandths: 1000 }],
  ])('%s', async (button, intent, event) => {
    mockId = ID.bin;
    await openWith(<NookScreen />);
    await screen.findByText('In it');
    await act(async () => {
      fireEvent.click(lot());
    });
    await press(button);
    await waitFor(async () => expect((await queued()).length).toBe(1));
    expect((await queued())[0]).toMatchObject({ intent, ops: [{ op: 'event', event }] });
  });
  it('taking one is a tap, and is taken back', async () => {
    mockId = ID.bin;
    await openWith(<NookScreen />);
    await screen.findByText('In it');
    await press(/^−1, take one/);
    expect(await screen.findByText('23')).toBeTruthy();
    await press('Undo');
    expect(await screen.findByText('24')).toBeTruthy();
  });
});

describe('about a thing', () => {
  it('a low mark, days and months are read; what is none gets a sentence', async () => {
    const closed = jest.fn();
    await openWith(<ItemDialog itemId={ID.item} onClose={closed} />);
    await screen.findByLabelText('Name');
    write(/^Low when/, 'few');
    await press('Save');
    expect((await screen.findByRole('alert')).textContent).toBe('“few” is not an amount; write for example 2 or 0.5.');
    write(/^Low when/, '6');
    write('Days it keeps once opened', '3.5');
    await press('Save');
    await waitFor(() =>
      expect(screen.getByRole('alert').textContent).toBe('“3.5” is not a whole number from 0 to 3650.'),
    );
    expect(closed).not.toHaveBeenCalled();
    write('Days it keeps once opened', '3');
    await press('Save');
    await waitFor(() => expect(closed).toHaveBeenCalled());
    await waitFor(async () => expect((await queued()).length).toBe(1));
    expect((await lastOps())[0]).toMatchObject({ entity: 'item', fields: { lowAtThousandths: 6000, openedDays: 3 } });
  });
});

describe('restock and waiting', () => {
  it('nothing is low: it says how a thing gets a mark', async () => {
    await openWith(<RestockScreen />);
    expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe('Restock');
    expect(screen.queryByRole('button', { name: 'Share' })).toBeNull();
  });
  it('without a line, what was done waits and is named', async () => {
    mockId = ID.bin;
    await openWith(
      <>
        <NookScreen />
        <WaitingScreen />
      </>,
    );
    await screen.findByText('In it');
    await press(/^−1, take one/);
    await waitFor(() => expect(screen.getAllByTestId('sync-state')[0]!.textContent).toBe('1 waiting'));
    await press('Try now');
    expect((await queued()).length).toBe(1);
  });
});
