import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { today } from '@/shared/opContext';
import { NookScreen } from './NookScreen';

const mockGo = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/nook',
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
  useLocalSearchParams: () => ({ id: '019ab2f0-0000-7000-8000-000000000005' }),
}));

const press = (name: string | RegExp, role = 'button'): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole(role, { name }));
  });
const type = (label: string | RegExp, text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
  });

describe('how full a bin is', () => {
  it('is set by eye, and counts the only thing in it when it is said what a full one holds', async () => {
    await openWith(<NookScreen />, sampleRows());
    await screen.findByRole('button', { name: 'Level' });
    await press('Level');
    const gauge = screen.getByRole('slider', { name: 'How full it is' });
    expect(gauge.getAttribute('aria-valuetext')).toBe('half full');
    await act(async () => fireEvent.keyDown(gauge, { key: 'ArrowUp' }));
    expect(gauge.getAttribute('aria-valuetext')).toBe('55 % full');
    await press('a quarter full');
    await type(/^A full one holds/, '20');
    expect(await screen.findByText('About 5 Paper lantern')).toBeTruthy();
    await press('Save');
    expect(await screen.findByText(/^A quarter full, seen /)).toBeTruthy();
    expect((await queued())[0]!.ops).toMatchObject([
      { op: 'change', entity: 'bin', id: ID.bin, fields: { level: { percent: 25, seenOn: today(), how: 'seen' } } },
      { op: 'event', event: { kind: 'counted', quantityThousandths: 5000 } },
    ]);
  });
  it('is weighed: pieces by the weight of one, and what cannot be is said', async () => {
    const rows = sampleRows().map((tagged) =>
      tagged.entity === 'item'
        ? ({
            entity: 'item',
            row: { ...tagged.row, traits: { weightGrams: 50, volumeMl: null, textile: null, groups: {} } },
          } as const)
        : tagged,
    );
    await openWith(<NookScreen />, rows);
    await screen.findByRole('button', { name: 'Level' });
    await press('Level');
    await press('weighed', 'radio');
    await type('On the scale, with its container', '200 g');
    await type('The container, empty', '300 g');
    expect(await screen.findByText('The scale shows less than the empty container weighs.')).toBeTruthy();
    await type('On the scale, with its container', '1.3');
    expect(await screen.findByText('About 20 Paper lantern')).toBeTruthy();
    await press('Save');
    await waitFor(async () => expect(await queued()).toHaveLength(1));
    // What a full one holds was not said: a count, and no level.
    expect((await queued())[0]!.ops).toMatchObject([
      { op: 'event', event: { kind: 'counted', quantityThousandths: 20_000 } },
    ]);
  });
});
