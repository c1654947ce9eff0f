import 'fake-indexeddb/auto';
import { addDays, type RoundFields, type TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { RoundScreen } from './RoundScreen';
import { RoundsScreen } from './RoundsScreen';
import { ID, lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';
import { openWith, queued } from '@/shared/planHome.test-support';

const ROUND = '019ab2f0-0000-7000-8000-0000000000a1';
const mockGo = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/round',
  useLocalSearchParams: () => ({ id: '019ab2f0-0000-7000-8000-0000000000a1' }),
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
}));
beforeEach(() => mockGo.mockClear());

const round = (more: Partial<RoundFields> = {}): TaggedRow => ({
  entity: 'round',
  row: {
    id: ROUND,
    seq: 1,
    retired: false,
    name: 'Friday list',
    kind: 'own',
    rhythm: { kind: 'after', rule: null, days: 7 },
    startsOn: addDays(today(), -2),
    personIds: [],
    nookIds: [],
    steps: ['Beds', 'Floors'],
    minutes: 55,
    ...more,
  },
});
const press = (role: 'button' | 'checkbox' | 'radio', name: string | RegExp): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole(role, { name }));
  });
const intents = async (): Promise<string[]> => (await queued()).map(({ intent }) => intent);

it('steps are ticked, one taken back, and all of it is done', async () => {
  await openWith(<RoundScreen />, [...sampleRows(), round()]);
  await screen.findByText('2 days late');
  expect(screen.getByText('not done yet')).toBeTruthy();
  await press('checkbox', 'Beds');
  await screen.findByText('1 of 2 steps done');
  await press('checkbox', 'Beds');
  await screen.findByText('0 of 2 steps done');
  await press('checkbox', 'Floors');
  await screen.findByText('1 of 2 steps done');
  await press('button', 'Done, all of it');
  await waitFor(() => expect(mockGo).toHaveBeenCalledWith('/rounds'));
  expect(await intents()).toEqual(['round_step', 'round_step_undone', 'round_step', 'round_done']);
});

it('not this time, or on another day', async () => {
  await openWith(<RoundScreen />, [...sampleRows(), round()]);
  await screen.findByText('2 days late');
  await press('button', 'Another day …');
  expect(screen.getByRole('button', { name: 'Move it there' }).getAttribute('aria-disabled')).toBe('true');
  fireEvent.change(screen.getByLabelText('To which day?'), { target: { value: 'in 3 days' } });
  await press('button', 'Move it there');
  await waitFor(() => expect(mockGo).toHaveBeenCalledWith('/rounds'));
  const [command] = await queued();
  expect(command!.ops[0]).toMatchObject({ fields: { what: 'moved', toOn: addDays(today(), 3) } });
});

it('an expiry round names what ends, and books what is thrown away', async () => {
  const ends = { ...lotRow(2, 1), expiresOn: addDays(today(), 3), dateKind: 'use_by' as const };
  await openWith(<RoundScreen />, [
    ...sampleRows().filter(({ entity }) => entity !== 'lot'),
    { entity: 'lot', row: ends },
    round({ kind: 'expiry', steps: [] }),
  ]);
  await screen.findByText('0 of 1 step done');
  // Two lie there.
  await press('button', 'All thrown');
  await waitFor(async () => expect(await intents()).toEqual(['discarded']));
});

it('a count does not say what is expected before, and does after', async () => {
  await openWith(<RoundScreen />, [...sampleRows(), round({ kind: 'count', steps: [], nookIds: [ID.rack] })]);
  const field = (await screen.findAllByLabelText(/how many/))[0]!;
  expect(screen.queryByText(/expected/)).toBeNull();
  fireEvent.change(field, { target: { value: '1' } });
  await act(async () => {
    fireEvent.click(screen.getAllByRole('button', { name: 'Count' })[0]!);
  });
  expect(await screen.findByText(/^1; expected were|^1, as expected/)).toBeTruthy();
  expect(await intents()).toEqual(['counted']);
});

it('after a long time away it is offered to begin afresh', async () => {
  await openWith(<RoundScreen />, [
    ...sampleRows(),
    round({ rhythm: { kind: 'rule', rule: 'FREQ=DAILY', days: null }, startsOn: addDays(today(), -60) }),
  ]);
  await screen.findByText(/^60 turns were missed/);
  await press('button', 'Begin afresh');
  await waitFor(() => expect(screen.queryByText(/turns were missed/)).toBeNull());
});

it('a ready-made round is switched on with a tap, one of our own is written down', async () => {
  await openWith(<RoundsScreen />, sampleRows());
  await screen.findByText(/^Nothing needs a look today/);
  await press('button', 'Rounds …');
  await act(async () => {
    fireEvent.click((await screen.findAllByRole('button', { name: 'Switch on' }))[0]!);
  });
  await waitFor(async () => expect(await intents()).toEqual(['round_saved']));
  await press('button', 'A round of our own');
  fireEvent.change(await screen.findByLabelText('What is it called?'), { target: { value: 'Chimney' } });
  await press('button', 'Save');
  await waitFor(async () => expect(await intents()).toHaveLength(2));
});

it('a rule that never comes gets a sentence, and nothing is lost', async () => {
  await openWith(<RoundsScreen />, sampleRows());
  await screen.findByText(/^Nothing needs a look today/);
  await press('button', 'Rounds …');
  await press('button', 'A round of our own');
  fireEvent.change(await screen.findByLabelText('What is it called?'), { target: { value: 'Chimney' } });
  await act(async () => {
    fireEvent.click(screen.getByRole('radio', { name: 'A rule' }));
  });
  const rule = await screen.findByLabelText('Rule');
  for (const [text, sentence] of [
    ['', 'Nothing says when'],
    ['on sundays', 'That is no recurrence rule'],
    ['FREQ=HOURLY', 'That is no recurrence rule'],
    ['FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31', 'By that it never falls due'],
    ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31', 'By that it never falls due'],
  ]) {
    fireEvent.change(rule, { target: { value: text } });
    await press('button', 'Save');
    expect((await screen.findByRole('alert')).textContent).toContain(sentence);
  }
  expect(screen.getByLabelText('What is it called?')).toHaveProperty('value', 'Chimney');
  fireEvent.change(rule, { target: { value: 'FREQ=MONTHLY;BYMONTHDAY=15' } });
  await press('button', 'Save');
  await waitFor(async () => expect(await intents()).toEqual(['round_saved']));
});

it('days are chosen in words: no weekday, the 31st of February and a day no month has each get a sentence; then it is kept', async () => {
  await openWith(<RoundsScreen />, sampleRows());
  await screen.findByText(/^Nothing needs a look today/);
  await press('button', 'Rounds …');
  await press('button', 'A round of our own');
  fireEvent.change(await screen.findByLabelText('What is it called?'), { target: { value: 'Chimney' } });
  const said = async (sentence: string): Promise<void> => {
    await press('button', 'Save');
    expect((await screen.findByRole('alert')).textContent).toContain(sentence);
  };
  await press('button', new Intl.DateTimeFormat('en-GB', { weekday: 'short' }).format(new Date()));
  await said('Nothing says when');
  await press('radio', 'Yearly');
  fireEvent.change(screen.getByLabelText('On which day of the year'), { target: { value: '31 feb' } });
  await said('“31 feb” is a day of no year');
  await press('radio', 'Monthly');
  await press('radio', 'Day of the month');
  fireEvent.change(screen.getByLabelText('Which day of the month'), { target: { value: '32' } });
  await said('“32” is no day of a month');
  fireEvent.change(screen.getByLabelText('Which day of the month'), { target: { value: '31' } });
  expect(screen.getByText('Months that lack this day are left out.')).toBeTruthy();
  await press('button', 'Less often');
  await press('button', 'Save');
  await waitFor(async () => expect(await intents()).toEqual(['round_saved']));
  expect(JSON.stringify((await queued())[0]!.ops)).toContain('FREQ=MONTHLY;INTERVAL=2;BYMONTHDAY=31');
});

it('one that needs a place asks where before it is kept; what is not booked is not called done', async () => {
  await openWith(<RoundsScreen />, sampleRows());
  await screen.findByText(/^Nothing needs a look today/);
  await press('button', 'Rounds …');
  const [where] = await screen.findAllByRole('button', { name: 'Where …' });
  await act(async () => fireEvent.click(where!));
  expect(await screen.findByLabelText('What is it called?')).toHaveProperty('value', 'Supply check');
  expect(await intents()).toEqual([]);
  await press('button', 'Save');
  await waitFor(async () => expect(await intents()).toEqual(['round_saved']));
  expect((await queued())[0]!.ops).toMatchObject([{ op: 'create', fields: { kind: 'supplies' } }]);
});

it('bins that did not change places are named, and the turn is closed without it', async () => {
  const pair = { oneId: ID.bin, otherId: ID.bin };
  await openWith(<RoundScreen />, [...sampleRows(), round({ kind: 'season_swap', steps: [], swaps: [pair] })]);
  await screen.findByText(/1 step is open/);
  expect(screen.queryByRole('button', { name: 'Done, all of it' })).toBeNull();
  await press('button', 'Done without that one');
  await waitFor(() => expect(mockGo).toHaveBeenCalledWith('/rounds'));
});

it('after a long time away all rounds are counted from today at once', async () => {
  const weekly = { kind: 'rule' as const, rule: 'FREQ=DAILY', days: null };
  await openWith(<RoundsScreen />, [...sampleRows(), round({ rhythm: weekly, startsOn: addDays(today(), -30) })]);
  await screen.findByText('30 turns of 1 round were missed.');
  await press('button', 'Begin afresh: count from today');
  await waitFor(() => expect(screen.queryByText('30 turns of 1 round were missed.')).toBeNull());
  expect((await queued())[0]!.ops).toMatchObject([{ op: 'change', entity: 'round', fields: { startsOn: today() } }]);
});

it('opened only to say that it is done, no minutes are kept; corrected by hand they are', async () => {
  await openWith(<RoundScreen />, [...sampleRows(), round()]);
  await screen.findByText('How long it took: not known');
  await press('button', 'A minute more');
  await screen.findByText('It took 55 min');
  await press('button', 'A minute less');
  await press('button', 'Done, all of it');
  await waitFor(() => expect(mockGo).toHaveBeenCalledWith('/rounds'));
  expect((await queued())[0]!.ops).toMatchObject([{ fields: { what: 'done', minutes: 54 } }]);
});
