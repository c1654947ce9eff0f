import 'fake-indexeddb/auto';
import type { CareEntryFields, TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { CareScreen } from './CareScreen';
import { PersonCareScreen } from './PersonCareScreen';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';

const mockGo = jest.fn();
const mockPim = '019ab2f0-0000-7000-8000-0000000000a1';
jest.mock('expo-router', () => ({
  usePathname: () => '/care',
  useLocalSearchParams: () => ({ person: mockPim }),
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
}));
beforeEach(() => mockGo.mockClear());

const base = (id: string) => ({ id, seq: 1, retired: false });
const HOUR_MS = 3_600_000;
const given = (id: string, hoursAgo: number, more: Partial<CareEntryFields> = {}): TaggedRow => ({
  entity: 'care_entry',
  row: {
    ...base(id),
    personId: mockPim,
    itemId: ID.item,
    at: new Date(Date.now() - hoursAgo * HOUR_MS).toISOString(),
    amount: '5 ml',
    temperatureTenthC: null,
    byId: null,
    byName: 'Runa',
    ...more,
  },
});
const home = (...more: TaggedRow[]): TaggedRow[] => [
  ...sampleRows(),
  {
    entity: 'person',
    row: { ...base(mockPim), name: 'Pim', role: 'child', ageYears: 4, reachTenthMm: null, note: '' },
  },
  ...more,
];
const medicine = (limited: boolean): TaggedRow => ({
  entity: 'medicine',
  row: {
    ...base('019ab2f0-0000-7000-8000-0000000000a2'),
    itemId: ID.item,
    ingredient: 'Paracetamol',
    forWhat: ['Fever'],
    personIds: [],
    limits: limited
      ? [
          {
            personId: null,
            leastHours: 6,
            mostInDay: 4,
            words: 'not again within 6 hours',
            typedById: null,
            typedOn: '2026-11-12',
          },
        ]
      : [],
  },
});
const press = (name: string | RegExp): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });

it('by what was typed from the package: not yet; it advises nothing, and without a signal it says that others may know more', async () => {
  await openWith(<PersonCareScreen />, home(medicine(true), given('e1', 1), given('e2', 12)));
  expect(await screen.findByText(/^By the package: not before /)).toBeTruthy();
  expect(screen.getByText('2 of at most 4 in 24 hours')).toBeTruthy();
  expect(screen.getByText('This is a log; it advises no dose.')).toBeTruthy();
  expect(screen.getByText(/ask a pharmacist or doctor/)).toBeTruthy();
  expect(await screen.findByText('This phone has no signal now.')).toBeTruthy();
});

it('where nobody typed anything it says that it does not know', async () => {
  await openWith(<PersonCareScreen />, home(medicine(false), given('e1', 1)));
  expect(await screen.findByText('Nothing was typed from the package')).toBeTruthy();
  expect(screen.getByText('It is not known here how often it may be given.')).toBeTruthy();
});

it('records what was given, though it is early, with the temperature before', async () => {
  await openWith(<PersonCareScreen />, home(medicine(true), given('e1', 1)));
  await screen.findByText(/^By the package/);
  await press('Record what was given');
  expect(screen.getByRole('alert').textContent).toMatch(/Record only what was really given\.$/);
  fireEvent.change(screen.getByLabelText(/^Temperature before/), { target: { value: '412' } });
  expect(screen.getByText(/“412” is no temperature of a person/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText(/^Temperature before/), { target: { value: '38,9' } });
  // Nothing stands there beforehand: it would read like what is to be given.
  expect(screen.getByLabelText('How much was given')).toHaveProperty('value', '');
  await press('5 ml, as last');
  await press('Record it');
  await waitFor(async () => expect(await queued()).toHaveLength(1));
  const [command] = await queued();
  expect(command!.ops).toMatchObject([
    { op: 'create', entity: 'care_entry', fields: { amount: '5 ml', temperatureTenthC: 389, personId: mockPim } },
  ]);
  expect(screen.getByText('2 of at most 4 in 24 hours')).toBeTruthy();
});

it('an entry later than this clock: check both clocks', async () => {
  await openWith(<PersonCareScreen />, home(medicine(true), given('e1', -2)));
  expect(await screen.findByText(/later than this phone’s clock shows: check both clocks/)).toBeTruthy();
});

it('the poison centre’s number is typed in, and can be called', async () => {
  await openWith(<CareScreen />, home(medicine(true)));
  await screen.findByText(/^no number yet/);
  await press('Add number');
  fireEvent.change(screen.getByLabelText('Its telephone number'), { target: { value: '+00 123 456' } });
  await press('Save');
  const number = await screen.findByText('+00 123 456');
  expect(number.closest('a')?.getAttribute('href')).toBe('tel:+00123456');
});

it('what stands on the package is typed for everybody and for one person, each by itself', async () => {
  await openWith(<PersonCareScreen />, home(medicine(true), given('e1', 1)));
  await screen.findByText(/^By the package/);
  await press('Change');
  await press('Type it from the package …');
  const words = (): HTMLTextAreaElement => screen.getByLabelText('Its words');
  expect(words().value).toBe('not again within 6 hours');
  await act(async () => {
    fireEvent.click(screen.getAllByRole('radio', { name: 'Pim' })[0]!);
  });
  expect(words().value).toBe('');
  await press('Save');
  expect(screen.getByText('The words of the package are needed.')).toBeTruthy();
  fireEvent.change(words(), { target: { value: 'every 8 hours' } });
  fireEvent.change(screen.getByLabelText(/^Not again within how many hours/), { target: { value: '8' } });
  await press('Save');
  await waitFor(async () => expect(await queued()).toHaveLength(1));
  expect((await queued())[0]!.ops).toMatchObject([
    {
      entity: 'medicine',
      fields: {
        limits: [
          { personId: null, leastHours: 6 },
          { personId: mockPim, leastHours: 8, mostInDay: null },
        ],
      },
    },
  ]);
});

const mockTablets = ID.item;
const inBox = (morning: number): TaggedRow => ({
  entity: 'medicine',
  row: {
    ...base('019ab2f0-0000-7000-8000-0000000000a2'),
    itemId: mockTablets,
    ingredient: null,
    forWhat: [],
    personIds: [],
    limits: [],
    pills: [
      { personId: mockPim, morning, noon: 0, evening: 0, night: 0, days: [], typedById: null, typedOn: '2026-11-12' },
    ],
  },
});

it('a pill box is filled for seven days: it leaves the stock, and until when the rest lasts is said', async () => {
  await openWith(<PersonCareScreen />, home(inBox(500)));
  expect(await screen.findByText('not filled for today')).toBeTruthy();
  await press('Fill it …');
  expect(within(screen.getByTestId('pill-box')).getAllByText('½ A')).toHaveLength(7);
  await press('Filled');
  expect(await screen.findByText(/what went into it has left the stock/)).toBeTruthy();
  await press('Close');
  await waitFor(() => expect(screen.getByText(/^filled up to/)).toBeTruthy());
  const { ops } = (await queued()).at(-1)!;
  expect(ops).toMatchObject([
    { op: 'create', entity: 'pill_fill', fields: { personId: mockPim, days: 7, parts: [{ thousandths: 3500 }] } },
    { op: 'event', event: { kind: 'taken', quantityThousandths: 3500 } },
  ]);
});

it('of too little at home the box says how much is missing, and offers the list', async () => {
  await openWith(<PersonCareScreen />, home(inBox(1_000_000)));
  await screen.findByText(/not enough for the next day/);
  await press('Fill it …');
  expect(screen.getByText('not enough at home for all of it')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Filled, with what is there' })).toBeTruthy();
});

it('what goes into a box is typed for one person; nothing typed is said so', async () => {
  await openWith(<CareScreen />, home(medicine(false)));
  const [row] = await screen.findAllByText('Paracetamol');
  await act(async () => {
    fireEvent.click(row!);
  });
  await press('For a pill box …');
  await press('Save');
  expect(screen.getByText(/^No amount was typed/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText(/^Evening/), { target: { value: '0.5' } });
  await press('Thu');
  await press('Save');
  await waitFor(async () => expect(await queued()).toHaveLength(1));
  expect((await queued())[0]!.ops).toMatchObject([
    { entity: 'medicine', fields: { pills: [{ morning: 0, evening: 500, days: ['TH'] }] } },
  ]);
  expect(await screen.findByText(/½ in the evening; Thu/)).toBeTruthy();
});
