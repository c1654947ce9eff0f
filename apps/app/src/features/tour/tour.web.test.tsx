import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { TourScreen } from './TourScreen';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';

const mockGo = jest.fn();
const mockRack = ID.rack;
jest.mock('expo-router', () => ({
  usePathname: () => '/space',
  useLocalSearchParams: () => ({ id: mockRack }),
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
}));

const press = (name: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });

it('leads to the bin, counts it, remembers what was skipped, and ends', async () => {
  await openWith(<TourScreen />, sampleRows());
  expect(await screen.findByText('Stop 1 of 1')).toBeTruthy();
  expect(screen.getByText('In it: is it so?')).toBeTruthy();
  await press('−1, take one Paper lantern');
  await press('Skip');
  await waitFor(() => expect(screen.getAllByText('0 of 1 place seen, 1 skipped.').length).toBeGreaterThan(0));
  await press('Go there');
  await press('Right, next');
  await waitFor(() => expect(screen.getAllByText('1 of 1 place seen.').length).toBeGreaterThan(0));
  await press('End the tour');
  await waitFor(() => expect(mockGo).toHaveBeenCalledWith(`/space/${ID.rack}`));
  expect((await queued()).map(({ intent }) => intent)).toEqual(['stock_taken', 'tour_stop', 'tour_stop', 'tour_ended']);
});
