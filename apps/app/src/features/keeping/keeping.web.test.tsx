import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { openWith, queued } from '@/shared/planHome.test-support';
import { ReserveScreen } from '@/features/reserve/ReserveScreen';
import { sampleRows } from '@/data/store/sampleRows.test-support';
import { KeepingScreen } from './KeepingScreen';
import { fromWords, timesWords } from './words';

jest.mock('expo-router', () => ({
  usePathname: () => '/keeping',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
  useLocalSearchParams: () => ({}),
}));
const press = (name: string | RegExp): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getAllByRole('button', { name })[0]!);
  });
const type = (label: string | RegExp, text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
  });

describe('how long things keep', () => {
  it('says source and edition of each row; a rule of the home stands for it and goes again', async () => {
    await openWith(<KeepingScreen />);
    const published = await screen.findAllByText(
      /^opened 3 days, cooked 3 days, 2 months in a freezer\. US federal cold-storage chart .*from memory/,
    );
    expect(published).toHaveLength(2);
    expect(screen.getByText('none: all is as published')).toBeTruthy();
    await press(/^Soups and stews/);
    await type('Days once opened', '2');
    await type('Where you have it from', 'grandmother');
    await press('Save');
    expect(
      await screen.findByText('opened 2 days, cooked 3 days, 2 months in a freezer. Our own rule: grandmother.'),
    ).toBeTruthy();
    expect((await queued())[0]!.ops).toMatchObject([
      { op: 'create', entity: 'keeping', fields: { replaces: 'soup', openedDays: 2, source: 'grandmother' } },
    ]);
    await press(/^Soups and stews/);
    await press('As published again');
    await waitFor(() => expect(screen.getByText('none: all is as published')).toBeTruthy());
  });
  it('a rule without a word, or with a figure that cannot be read, is not taken', async () => {
    await openWith(<KeepingScreen />);
    await screen.findByText('As published');
    await press('Add a rule of our own');
    await type('What kind of things', 'Sourdough');
    await type('Days once opened', 'some');
    await press('Save');
    expect(screen.getByText('“some” is not a whole number from 0 to 3650.')).toBeTruthy();
    await type('Days once opened', '4');
    await press('Save');
    expect(screen.getByText('At least one word is needed, or no thing is of this kind.')).toBeTruthy();
    expect(await queued()).toEqual([]);
  });
  it('words', () => {
    const row = { key: 'k', name: 'n', words: [], openedDays: 1, cookedDays: null, freezerMonths: 1 };
    expect(timesWords({ ...row, source: '', edition: '', own: true })).toBe('opened 1 day, 1 month in a freezer');
    expect(fromWords({ ...row, source: '', edition: '', own: true })).toBe('Our own rule.');
    expect(timesWords({ ...row, openedDays: null, freezerMonths: null, source: 'x', edition: 'y', own: false })).toBe(
      'nothing said',
    );
  });
});

describe('the reserve in days', () => {
  const person = (id: string) =>
    ({
      entity: 'person',
      row: { id, seq: 1, retired: false, name: id, role: 'adult', age: null, reachTenthMm: null, note: '' },
    }) as never;
  it('counts for everybody, takes the figure that is offered with its source, and a figure of one’s own', async () => {
    await openWith(<ReserveScreen />, [
      ...sampleRows(),
      person('019ab2f0-0000-7000-8000-0000000000d1'),
      person('019ab2f0-0000-7000-8000-0000000000d2'),
    ]);
    expect(await screen.findByText('Drinking water: 3.8 l a person and day')).toBeTruthy();
    await press('Count it');
    await press('Save');
    expect(await screen.findByText('0 l for 2 people at 3.8 l a day each')).toBeTruthy();
    expect(screen.getByText('0 days')).toBeTruthy();
    await press('Count something else …');
    await type('What', 'Light');
    await type(/^Words in/, 'lantern');
    await type('Counted in', 'piece');
    await press('Save');
    expect(screen.getByText('How much does a person need in a day?')).toBeTruthy();
    await type('A person needs in a day', '2');
    await press('Save');
    // 24 lanterns for two at two a day.
    expect(await screen.findByText('6 days')).toBeTruthy();
    expect(screen.getByText(/^Paper lantern 24; in the whole home\.$/)).toBeTruthy();
  });
  it('says that nobody is noted', async () => {
    await openWith(<ReserveScreen />, sampleRows());
    expect(await screen.findByText('Nobody is noted in this home, so no days can be told.')).toBeTruthy();
  });
});
