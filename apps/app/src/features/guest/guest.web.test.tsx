import 'fake-indexeddb/auto';
import type { LookPage } from '@ours/contracts';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { screen } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { renderWith } from '@/kit/renderWith.test-support';
import { ToastProvider } from '@/kit/feedback/Toasts';
import { LookScreen } from './LookScreen';

jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({ secret: 'S'.repeat(32) }),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

// jsdom has none.
AbortSignal.timeout ??= () => new AbortController().signal;

const frame = {
  home: 'Ferry house',
  lengths: 'metric' as const,
  asOf: '2026-11-28T09:05:00.000Z',
  endsAt: '2026-12-05T09:05:00.000Z',
};
const open = (answer: () => Promise<Response>): void => {
  globalThis.fetch = jest.fn(answer) as never;
  renderWith(
    <QueryClientProvider client={new QueryClient()}>
      <ToastProvider>
        <LookScreen />
      </ToastProvider>
    </QueryClientProvider>,
  );
};
const answered =
  (body: unknown, status = 200) =>
  () =>
    Promise.resolve({ ok: status < 400, status, text: () => Promise.resolve(JSON.stringify(body)) } as Response);
const page = (more: object): LookPage => ({ ...frame, ...more }) as LookPage;

it('a space with what is in it, and that medicines are left out', async () => {
  const rows = sampleRows().filter(({ entity }) => ['space', 'shelf', 'bin', 'item', 'lot'].includes(entity));
  open(answered(page({ what: 'space', spaceId: ID.rack, rows, leftOut: true })));
  expect(await screen.findByText('Rack 1')).toBeTruthy();
  expect(screen.getByText('Ferry house')).toBeTruthy();
  expect(screen.getByText(/^Paper lantern/)).toBeTruthy();
  expect(screen.getByText('There are medicines here too; this page does not show them.')).toBeTruthy();
  expect(screen.getByText(/^As it was 28 Nov.* This address ends 5 Dec/)).toBeTruthy();
  expect(screen.queryByRole('textbox')).toBeNull();
});

it('a list by kind of goods, what has none at its end', async () => {
  const line = (name: string, aisle: string, more: object = {}) => ({
    ...{ name, aisle, packs: 2, packThousandths: 1000, unit: 'tin', size: null, inBasket: false },
    ...more,
  });
  const lines = [
    line('Chalk', '', { unit: null }),
    line('Beans', 'Dry'),
    line('Milk', 'Cold', { inBasket: true }),
    line('Rice', 'Dry'),
  ];
  open(answered(page({ what: 'list', day: '2026-11-28', shop: 'Quay shop', lines })));
  expect(await screen.findByText(/Quay shop · 4 lines$/)).toBeTruthy();
  expect(screen.getAllByText(/^2 × /).map((one) => one.textContent)).toEqual([
    '2 × Beans',
    '2 × Rice',
    '2 × Milk',
    '2 × Chalk',
  ]);
  expect(screen.getByText(/in the basket already/)).toBeTruthy();
});

it('an address that has ended says so; without a line it can be tried again', async () => {
  const problem = {
    type: 'x',
    title: 'There is nothing here',
    status: 404,
    detail: 'There is nothing here',
    code: 'not_found',
  };
  open(answered(problem, 404));
  expect(await screen.findByText(/or it has ended\. Ask whoever gave it to you/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull();
  document.body.innerHTML = '';
  open(() => Promise.reject(new TypeError('no line')));
  expect(await screen.findByRole('button', { name: 'Try again' })).toBeTruthy();
});
