import { HouseholdState, type CareEntryRow, type MedicineRow, type PackageLimit } from '../household';
import { itemFields } from '../household/sampleHome.test-support';
import { careNow, limitFor, medicineGroups, medicineOf, opsForMedicine, opsForNoMedicine } from './care';

const base = (id: string) => ({ id, seq: 1, retired: false });
const limit = (more: Partial<PackageLimit> = {}): PackageLimit => ({
  personId: null,
  leastHours: 6,
  mostInDay: 4,
  words: 'not again within 6 hours, at most 4 times in 24 hours',
  typedById: 'runa',
  typedOn: '2026-11-12',
  ...more,
});
const medicine = (id: string, more: Partial<MedicineRow> = {}): MedicineRow => ({
  ...base(id),
  itemId: `item ${id}`,
  ingredient: null,
  forWhat: [],
  personIds: [],
  limits: [limit()],
  ...more,
});
let serial = 0;
const given = (at: string, itemId: string | null = 'item syrup', personId = 'pim'): CareEntryRow => ({
  ...base(`e${serial++}`),
  personId,
  itemId,
  at: new Date(at).toISOString(),
  amount: '5 ml',
  temperatureTenthC: null,
  byId: null,
  byName: '',
});
function home(medicines: MedicineRow[], entries: CareEntryRow[]): HouseholdState {
  const state = new HouseholdState();
  for (const row of medicines) {
    state.put({ entity: 'medicine', row });
    state.put({ entity: 'item', row: { ...itemFields({ name: row.id }), ...base(row.itemId) } });
  }
  for (const row of entries) state.put({ entity: 'care_entry', row });
  return state;
}
const iso = (ms: number | null): string | null => (ms === null ? null : new Date(ms).toISOString());

// The example of the project's own picture of this screen, recomputed by hand: 06:30 + 6 h = 12:30; three within 24 hours.
const EVENING = ['2026-11-24T15:45Z', '2026-11-24T22:10Z', '2026-11-25T06:30Z'];
it('15:45, 22:10, 06:30 with six hours between: at 11:40 not before 12:30, 3 of 4', () => {
  const state = home(
    [medicine('syrup')],
    EVENING.map((at) => given(at)),
  );
  const now = careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T11:40Z'));
  expect(iso(now.notBeforeMs)).toBe('2026-11-25T12:30:00.000Z');
  expect(now.inDay).toBe(3);
  expect(careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T12:30Z')).notBeforeMs).toBeNull();
});

it('the most of a day were given: not before the first of them is a day old', () => {
  const times = [...EVENING, '2026-11-25T12:30Z'];
  const state = home(
    [medicine('syrup', { limits: [limit({ leastHours: 2 })] })],
    times.map((at) => given(at)),
  );
  const now = careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T14:31Z'));
  expect(now.inDay).toBe(4);
  expect(iso(now.notBeforeMs)).toBe('2026-11-25T15:45:00.000Z');
  expect(careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T15:46Z')).notBeforeMs).toBeNull();
});

it('nothing typed, or given to somebody else: it says nothing', () => {
  const state = home(
    [medicine('syrup', { limits: [] })],
    EVENING.map((at) => given(at)),
  );
  expect(careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T07:00Z'))).toMatchObject({
    limit: null,
    notBeforeMs: null,
  });
  const other = home(
    [medicine('syrup')],
    EVENING.map((at) => given(at, 'item syrup', 'tove')),
  );
  expect(careNow(other, 'pim', 'item syrup', Date.parse('2026-11-25T07:00Z'))).toMatchObject({
    given: [],
    notBeforeMs: null,
  });
});

it('a limit of one person’s own comes before the one for everybody', () => {
  const limits = [limit(), limit({ personId: 'pim', leastHours: 8, mostInDay: 3 })];
  const state = home([medicine('syrup', { limits })], [given(EVENING[2]!), given(EVENING[2]!, 'item syrup', 'tove')]);
  const at = Date.parse('2026-11-25T11:40Z');
  expect(iso(careNow(state, 'pim', 'item syrup', at).notBeforeMs)).toBe('2026-11-25T14:30:00.000Z');
  expect(iso(careNow(state, 'tove', 'item syrup', at).notBeforeMs)).toBe('2026-11-25T12:30:00.000Z');
});

it('the same active ingredient under another name is pointed out and counted with it', () => {
  const state = home(
    [medicine('syrup', { ingredient: 'Paracetamol' }), medicine('tablets', { ingredient: ' paracetamol' })],
    [given('2026-11-25T09:00Z', 'item tablets'), given('2026-11-23T09:00Z', 'item tablets')],
  );
  const now = careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T11:40Z'));
  expect(now.alike).toHaveLength(1);
  expect(now.inDay).toBe(1);
  expect(iso(now.notBeforeMs)).toBe('2026-11-25T15:00:00.000Z');
});

it('one of several ingredients is enough: a remedy for colds is counted with the tablets', () => {
  const state = home(
    [
      medicine('tablets', { ingredient: 'Acetaminophen 500 mg' }),
      medicine('cold remedy', { ingredient: 'Paracetamol 500 mg, phenylephrine hydrochloride 6.1 mg', limits: [] }),
      medicine('drops', { ingredient: 'Phenylephrine' }),
    ],
    [given('2026-11-25T09:00Z', 'item cold remedy'), given('2026-11-25T10:00Z', 'item drops')],
  );
  const now = careNow(state, 'pim', 'item tablets', Date.parse('2026-11-25T11:40Z'));
  expect(now.alike.map(({ itemId }) => itemId)).toEqual(['item cold remedy']);
  expect(iso(now.notBeforeMs)).toBe('2026-11-25T15:00:00.000Z');
});

describe('noted on two phones that did not know of each other', () => {
  const two = () =>
    home(
      [
        medicine('a', { itemId: 'item syrup', ingredient: 'Paracetamol', limits: [limit()], forWhat: ['fever'] }),
        medicine('b', {
          itemId: 'item syrup',
          limits: [limit({ leastHours: 8, mostInDay: 5, words: 'every 8 hours' })],
          forWhat: ['pain'],
          personIds: ['pim'],
        }),
        medicine('syrup'),
      ].slice(0, 2),
      [given(EVENING[2]!)],
    );
  it('both are read: every figure that allows less, in the words of both', () => {
    const state = two();
    expect(limitFor(medicineOf(state, 'item syrup'), 'pim')).toMatchObject({
      leastHours: 8,
      mostInDay: 4,
      words: 'not again within 6 hours, at most 4 times in 24 hours” and “every 8 hours',
    });
    expect(iso(careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T11:40Z')).notBeforeMs)).toBe(
      '2026-11-25T14:30:00.000Z',
    );
    expect(medicineGroups(state).map(({ key }) => key)).toEqual(['fever', 'pain']);
  });
  it('saved, they become one; no medicine any more, none is left', () => {
    const state = two();
    const { id: _, seq: __, retired: ___, ...fields } = medicineOf(state, 'item syrup')!;
    expect(opsForMedicine(state, fields, { newId: () => 'new' })).toMatchObject([
      { op: 'change', id: 'a', fields: { limits: [{ leastHours: 6 }, { leastHours: 8 }] } },
      { op: 'retire', id: 'b' },
    ]);
    expect(opsForNoMedicine(state, 'item syrup').map((op) => 'id' in op && op.id)).toEqual(['a', 'b']);
  });
});

it('what is to be three days apart is counted over three days, under any name', () => {
  const limits = [limit({ leastHours: 72, mostInDay: null })];
  const state = home(
    [medicine('syrup', { ingredient: 'Substance', limits }), medicine('tablets', { ingredient: 'substance' })],
    [given('2026-11-23T09:00Z', 'item tablets')],
  );
  const now = careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T11:40Z'));
  expect([iso(now.notBeforeMs), now.inDay, now.alike]).toEqual(['2026-11-26T09:00:00.000Z', 0, []]);
});

// Europe/Stockholm puts its clocks back on 25 October 2026 at 03:00 (IANA time zone data): 00:30 to 05:30 is six hours.
it('hours are hours that pass, also on the night on which the clocks are put back', () => {
  const state = home([medicine('syrup')], [given('2026-10-25T00:30+02:00')]);
  const now = careNow(state, 'pim', 'item syrup', Date.parse('2026-10-25T05:00+01:00'));
  expect(now.notBeforeMs).toBe(Date.parse('2026-10-25T05:30+01:00'));
});

it('an entry ahead of this clock says that two clocks disagree', () => {
  const state = home([medicine('syrup')], [given('2026-11-25T12:00Z')]);
  expect(careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T11:40Z')).ahead).toHaveLength(1);
  expect(careNow(state, 'pim', 'item syrup', Date.parse('2026-11-25T11:59Z')).ahead).toHaveLength(0);
});

it('two people within a quarter of an hour may have written down one giving; one person, or later, has not', () => {
  const by = (at: string, byId: string) => ({ ...given(at), byId });
  const now = Date.parse('2026-11-25T12:00Z');
  const twice = (entries: CareEntryRow[]) =>
    careNow(home([medicine('syrup')], entries), 'pim', 'item syrup', now).twice?.map(({ byId }) => byId) ?? null;
  expect(twice([by('2026-11-25T09:10Z', 'eskil'), by('2026-11-25T09:00Z', 'runa')])).toEqual(['runa', 'eskil']);
  expect(twice([by('2026-11-25T09:10Z', 'runa'), by('2026-11-25T09:00Z', 'runa')])).toBeNull();
  expect(twice([by('2026-11-25T09:20Z', 'eskil'), by('2026-11-25T09:00Z', 'runa')])).toBeNull();
  expect(twice([by('2026-11-24T09:10Z', 'eskil'), by('2026-11-24T09:00Z', 'runa')])).toBeNull();
});

it('the shelf is read by person, then by what things are for; the rest comes last', () => {
  const state = home(
    [
      medicine('tablets', { personIds: ['alma'] }),
      medicine('syrup', { forWhat: ['fever', 'pain'] }),
      medicine('gel', { forWhat: ['Pain'] }),
      medicine('drops'),
    ],
    [],
  );
  expect(medicineGroups(state).map(({ by, key, medicines }) => [by, key, medicines.map(({ id }) => id)])).toEqual([
    ['person', 'alma', ['tablets']],
    ['for', 'fever', ['syrup']],
    ['for', 'pain', ['syrup', 'gel']],
    ['other', '', ['drops']],
  ]);
  expect(medicineOf(state, 'item gel')?.id).toBe('gel');
});
