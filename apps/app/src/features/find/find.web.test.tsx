import 'fake-indexeddb/auto';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith } from '@/shared/planHome.test-support';
import { FindScreen } from './FindScreen';

const mockGo = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/',
  useRouter: () => ({ push: mockGo, replace: mockGo, navigate: mockGo }),
}));

const ask = (text: string): void => {
  fireEvent.change(screen.getByTestId('find'), { target: { value: text } });
};
/** More lots than are read at once, each of one piece. */
const manyLots = () => [
  ...sampleRows(),
  ...Array.from({ length: 2100 }, (_, at) => ({ entity: 'lot' as const, row: { ...lotRow(1, 1), id: `lot-${at}` } })),
];

it('in a large home says where and how many before all is read, then offers the rest', async () => {
  await openWith(<FindScreen />, manyLots());
  await screen.findByText('Opening your home …');
  ask('lampion');
  await waitFor(() => expect(screen.getByTestId('answer').textContent).toMatch(/2,?124 pieces/));
  expect(screen.getByTestId('way').textContent).toContain('Rack 1');
  const taking = await screen.findByRole('button', { name: 'Take one' });
  expect(screen.getByTestId('answer').textContent).toMatch(/2,?124 pieces/);
  fireEvent.click(taking);
  await waitFor(() => expect(screen.getByTestId('answer').textContent).toMatch(/2,?123 pieces/));
});

it('in a small one shows what was looked at last, and answers at once', async () => {
  await openWith(<FindScreen />, sampleRows());
  await screen.findByText('Where you were');
  expect(screen.queryByText(/Opening/)).toBeNull();
  ask('lantren');
  await waitFor(() => expect(screen.getByTestId('answer').textContent).toContain('24 pieces'));
  ask('zebra');
  expect(await screen.findByText('Nothing is called “zebra”.')).toBeTruthy();
  ask(ID.home);
  expect(await screen.findByText(/Nothing is called/)).toBeTruthy();
});
