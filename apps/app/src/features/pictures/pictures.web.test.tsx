import 'fake-indexeddb/auto';
import type { TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { PicturesScreen } from './PicturesScreen';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { forgetPhotos } from '@/data/photos/PhotoBox';
import { openWith, queued } from '@/shared/planHome.test-support';

const mockRack = ID.rack;
jest.mock('expo-router', () => ({
  usePathname: () => '/pictures',
  useLocalSearchParams: () => ({ id: mockRack }),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));
/** What the browser makes of the chosen file; drawing it small needs a real browser, which the journeys have. */
const mockShrink = jest.fn();
jest.mock('@/kit/picture/shrink', () => ({ shrinkPicture: (): unknown => mockShrink() as unknown }));
jest.mock('@/kit/files', () => ({ pickPicture: () => Promise.resolve(new Blob(['x'])), saveFile: () => undefined }));
const blob = { type: 'image/jpeg', size: 1, arrayBuffer: () => Promise.reject(new Error('the device is full')) };

const press = (name: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });
const photo = (id: string, moment: 'before' | 'after', takenAt: string): TaggedRow => ({
  entity: 'photo',
  row: {
    id,
    seq: 1,
    retired: false,
    ofId: ID.rack,
    hash: id.slice(-1).repeat(64),
    width: 1600,
    height: 1200,
    bytes: 90_000,
    takenAt,
    moment,
    byId: null,
  },
});
beforeEach(() => forgetPhotos(ID.home));

it.each([
  ['too_large', /larger than 10 MB/],
  ['no_picture', /^That file is no picture that is read here/],
  ['unreadable', /^The picture cannot be read/],
])('%s: a sentence, and nothing is kept', async (problem, sentence) => {
  mockShrink.mockResolvedValue(problem);
  await openWith(<PicturesScreen />, sampleRows());
  await screen.findByText(/^No picture yet/);
  await press('From a file');
  expect(await screen.findByText(sentence)).toBeTruthy();
  expect(await queued()).toEqual([]);
});

it('one from before and one from after are shown on top of each other; without a signal it says what is not here', async () => {
  await openWith(<PicturesScreen />, [
    ...sampleRows(),
    photo('019ab2f0-0000-7000-8000-0000000000e1', 'before', '2026-11-02T10:00:00.000Z'),
    photo('019ab2f0-0000-7000-8000-0000000000e2', 'after', '2026-11-03T10:00:00.000Z'),
  ]);
  expect(await screen.findByTestId('before-after')).toBeTruthy();
  const slider = screen.getByRole('slider');
  fireEvent.change(slider, { target: { value: '70' } });
  expect((slider as HTMLInputElement).value).toBe('70');
  await waitFor(() => expect(screen.getAllByText('Not on this device yet.').length).toBeGreaterThan(0));
  await press('Keep them on this device');
  expect(await screen.findByText('2 pictures could not be fetched; they need a signal.')).toBeTruthy();
});

it('a picture that cannot be kept here is not claimed to be', async () => {
  mockShrink.mockResolvedValue({ blob, width: 1600, height: 1200 });
  await openWith(<PicturesScreen />, sampleRows());
  await screen.findByText(/^No picture yet/);
  await press('Take it');
  expect(await screen.findByText(/^This device has no room for the picture/)).toBeTruthy();
  expect(await queued()).toEqual([]);
});
