import 'fake-indexeddb/auto';
import { CARDS, writeCode, type LabelMark } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { CodeScreen } from './CodeScreen';
import { LabelsScreen } from './LabelsScreen';
import { keepLabelWishes, labelWishes } from './labelWishes';

const mockSaved = jest.fn();
const mockPdf = jest.fn((..._given: unknown[]) => Promise.resolve(new Uint8Array([1])));
const mockFonts = jest.fn((): Promise<object> => Promise.resolve({}));
const mockGo = jest.fn();
let mockCode = 'BL1-A1X';
jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({ id: '019ab2f0-0000-7000-8000-000000000003', code: mockCode }),
  usePathname: () => '/space/x/labels',
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
  Redirect: ({ href }: { href: string }) => `to ${href}`,
}));
jest.mock('@/kit/files', () => ({
  saveFile: (...given: unknown[]) => mockSaved(...given),
  fileToShare: () => null,
}));
jest.mock('./labelsPdf', () => ({
  labelsPdf: (...given: unknown[]) => mockPdf(...given),
  testPagePdf: (...given: unknown[]) => mockPdf(...given),
  pagesPdf: (...given: unknown[]) => mockPdf(...given),
}));
jest.mock('@/kit/printFonts', () => ({ fetchLabelFonts: () => mockFonts() }));

const press = async (name: string | RegExp, role = 'button'): Promise<void> => {
  await act(async () => {
    fireEvent.click(screen.getByRole(role, { name }));
  });
};
beforeEach(() => {
  localStorage.clear();
  mockFonts.mockImplementation(() => Promise.resolve({}));
});

describe('labels of a space', () => {
  it('shows one as it will be printed, prints it, and remembers what it says', async () => {
    await openWith(<LabelsScreen />);
    expect(await screen.findByText('1 of 1 places')).toBeTruthy();
    expect(screen.getByRole('img', { name: 'The label of Paper lanterns' })).toBeTruthy();
    expect(screen.getByTestId('label-read').textContent).toMatch(/^Read from .* capitals [\d.]+ mm/);
    expect(screen.getByText(/no label yet/)).toBeTruthy();
    await press('50 cm', 'radio');
    expect(screen.getByTestId('label-read').textContent).toBe('Read from 50 cm, capitals 2.9 mm.');
    await press('One more used up');
    expect(screen.getByTestId('labels-used').textContent).toBe('1');
    await press('Printer shift down: more');
    await press('Print 1 label');
    await waitFor(() => expect(mockSaved).toHaveBeenCalledWith('labels.pdf', 'application/pdf', expect.anything()));
    const [sheet, labels, used, shift] = mockPdf.mock.lastCall!;
    expect(sheet).toMatchObject({ id: 'A4 3x8' });
    expect(labels).toMatchObject([{ capMm: expect.closeTo(2.9, 1), lines: ['Paper lanterns'] }]);
    expect([used, shift]).toMatchObject([1, { right: 0, down: 0.5 }]);
    expect(await screen.findByText(/as printed/)).toBeTruthy();
    expect((await queued()).map(({ intent }) => intent)).toEqual(['labels_printed']);
    expect(labelWishes()).toMatchObject({ distanceMm: 500, down: 0.5 });
  });
  it('without the typeface it says so, and remembers nothing as printed', async () => {
    mockFonts.mockImplementation(() => Promise.reject(new Error('offline')));
    await openWith(<LabelsScreen />);
    await screen.findByText('1 of 1 places');
    await press('Print 1 label');
    expect(await screen.findByText(/could not be drawn/)).toBeTruthy();
    expect(await queued()).toEqual([]);
  });
  it('the door card has the whole space, what is ticked off as well', async () => {
    await openWith(<LabelsScreen />);
    await screen.findByText('1 of 1 places');
    await press('A label for Paper lanterns', 'checkbox');
    await press('Door card, A5');
    await waitFor(() => expect(mockSaved).toHaveBeenCalledWith('door-card.pdf', 'application/pdf', expect.anything()));
    const [pages, paper] = mockPdf.mock.lastCall! as unknown as [LabelMark[][], object];
    expect(paper).toEqual(CARDS.A5);
    const said = pages.flat().flatMap((mark) => (mark.kind === 'text' || mark.kind === 'code' ? [mark.text] : []));
    expect(said).toEqual(
      expect.arrayContaining(['Rack 1', 'BL1', 'Paper lanterns', expect.stringMatching(/\/N\/BL1-.$/)]),
    );
  });
  it('a place that is ticked off gets none', async () => {
    await openWith(<LabelsScreen />);
    await screen.findByText('1 of 1 places');
    await press('A label for Paper lanterns', 'checkbox');
    expect(screen.getByText('0 of 1 places')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Print 0 labels' }).getAttribute('aria-disabled')).toBe('true');
  });
});

it('wishes that cannot be read are the plain ones', () => {
  localStorage.setItem('nook.labels', '{"right": 400, "contents": false');
  expect(labelWishes()).toMatchObject({ right: 0, contents: true });
  keepLabelWishes({ ...labelWishes(), right: 400, contents: false });
  expect(labelWishes()).toMatchObject({ right: 0, contents: false });
});

describe('a scan code', () => {
  it('opens the place that has it, however it is written', async () => {
    mockCode = writeCode('BL1', 'A1').replace('-', '').toLowerCase();
    await openWith(<CodeScreen />);
    expect(await screen.findByText(`to /nook/${ID.bin}`)).toBeTruthy();
  });
  it('says what was read when no place has it', async () => {
    mockCode = 'BL9-Z9Z';
    await openWith(<CodeScreen />);
    expect(await screen.findByText(/^“BL9-Z9Z” was read; no place of this home has that code/)).toBeTruthy();
  });
});
