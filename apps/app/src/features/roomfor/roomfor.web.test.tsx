import 'fake-indexeddb/auto';
import { act, fireEvent, screen } from '@testing-library/react';
import { openWith } from '@/shared/planHome.test-support';
import { RoomForScreen } from './RoomForScreen';
import { besideWords, insteadWords, notJudgedWords } from './words';

jest.mock('expo-router', () => ({
  usePathname: () => '/restock/room-for',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
  useLocalSearchParams: () => ({}),
}));
const type = (label: string, text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
  });

it('asks for three sides, says what cannot be read, and where it stands', async () => {
  await openWith(<RoomForScreen />);
  expect(await screen.findByText('Its three outside measures are needed, as it stands.')).toBeTruthy();
  await type('Wide', 'a bit');
  expect(screen.getByRole('alert').textContent).toMatch(/^“a bit” is not a length/);
  await type('Wide', '20');
  await type('Deep', '20');
  await type('High', '20');
  expect(await screen.findByText(/^Tried on \d+ shel(f|ves), by outside measures/)).toBeTruthy();
  await act(async () => {
    fireEvent.click(screen.getByRole('radio', { name: 'in the freezers' }));
  });
  expect(screen.getByText('No room was found beside what is there')).toBeTruthy();
  expect(screen.getByText(/^Tried on 0 shelves/)).toBeTruthy();
});

it('words', () => {
  expect(besideWords({ laid: true, loose: 2, count: 1 })).toBe(
    'lying on its side; 2 lots stand there without a bin: look whether they leave room',
  );
  expect(besideWords({ laid: false, loose: 0, count: 3 })).toBe('at least 3 of it');
  expect(insteadWords({ insteadOf: { name: 'shoe box', look: 'closed' } as never }, 'Rack 1 › top shelf')).toBe(
    'if “shoe box” goes to Rack 1 › top shelf',
  );
  expect(insteadWords({ insteadOf: { name: 'oars', look: 'kept_free' } as never }, '')).toBe(
    'in the place kept free for “oars”',
  );
  expect(notJudgedWords({ places: [], tried: 1, unknown: 3 })).toBe(
    'Tried on 1 shelf, by outside measures and with the bins on each pushed together. Nothing is said about 3 others: a measure is missing, or the bins on it do not fit by theirs.',
  );
});
