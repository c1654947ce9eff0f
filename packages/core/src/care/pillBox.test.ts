import { idOfWords } from '../base';
import { applyCommand } from '../household/applyCommand';
import { HouseholdState, type LotRow, type MedicineRow, type PillsTyped } from '../household';
import { AS_ADULT, itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { guideOf } from '../shelflife';
import { boxFrom, boxToFill, boxWeek, opsForFillingBox, pillsAt, pillsLast, withPillBox } from './pillBox';

const base = (id: string) => ({ id, seq: 1, retired: false });
const typed = (more: Partial<PillsTyped> = {}): PillsTyped => ({
  personId: 'alma',
  morning: 1000,
  noon: 0,
  evening: 0,
  night: 0,
  days: [],
  typedById: null,
  typedOn: '2026-11-12',
  ...more,
});
const pressure = (pills: PillsTyped[]): MedicineRow => ({
  ...base('m1'),
  itemId: 'tablets',
  ingredient: null,
  forWhat: [],
  personIds: ['alma'],
  limits: [],
  pills,
});
/** 2026-11-29 is a Sunday, 2026-11-30 a Monday (ISO 8601: Monday begins the week). */
const [SUNDAY, MONDAY] = ['2026-11-29', '2026-11-30'];
function home(pills: PillsTyped[], lots: LotRow[]): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  state.put({ entity: 'person', row: { ...state.all('person')[0]!, ...base('alma'), name: 'Alma' } });
  state.put({ entity: 'item', row: { ...itemFields({ name: 'Tablets', unit: 'tablet' }), ...base('tablets') } });
  state.put({ entity: 'medicine', row: pressure(pills) });
  for (const row of lots) state.put({ entity: 'lot', row });
  return state;
}
const tablets = (id: string, count: number, more: Partial<LotRow> = {}): LotRow =>
  lotRow(id, { itemId: 'tablets', nookId: 'top', quantityThousandths: count * 1000, expiresOn: null, ...more });
const week = (state: HouseholdState, fromOn = MONDAY) => boxWeek(state, 'alma', fromOn, guideOf(state));
let serial = 0;
const context = (now = SUNDAY) => ({ newId: () => `n${serial++}`, now: `${now}T10:00:00.000Z`, today: now });
const fill = (state: HouseholdState, on = SUNDAY, fromOn = MONDAY) => {
  const ops = opsForFillingBox(state, 'alma', week(state, fromOn), 'runa', context(on));
  const applied = applyCommand(
    state,
    { id: `c${serial++}`, intent: 'test', occurredAt: `${on}T10:00:00.000Z`, ops },
    AS_ADULT,
  );
  if (!applied.ok) throw new Error(JSON.stringify(applied));
  for (const row of applied.changed) state.put(row);
  return ops;
};

it('one each morning and half a one on Monday evening: 7.5 for a week, in these sections', () => {
  const evening = typed({ morning: 0, evening: 500, days: ['MO'] });
  expect(pillsAt(evening, MONDAY, 'evening')).toBe(500);
  expect(pillsAt(evening, '2026-12-01', 'evening')).toBe(0);
  expect(pillsAt(evening, SUNDAY, 'evening')).toBe(0);
  const state = home([typed({ evening: 0 }), typed({ personId: 'pim' })], [tablets('a', 20)]);
  expect(withPillBox(state)).toEqual(['alma', 'pim']);
  expect(week(state).parts.map(({ needThousandths }) => needThousandths)).toEqual([7000]);
  const half = home([typed({ morning: 500 })], [tablets('a', 20)]);
  expect(week(half).parts[0]!.needThousandths).toBe(3500);
});

it('filled, the week’s tablets leave the stock, those that end first before others; a second time nothing does', () => {
  const state = home([typed()], [tablets('a', 20), tablets('b', 3, { expiresOn: '2026-12-20', dateKind: 'use_by' })]);
  fill(state);
  expect([state.get('lot', 'a')!.quantityThousandths, state.get('lot', 'b')!.quantityThousandths]).toEqual([16000, 0]);
  expect(week(state).filled).toEqual({ on: SUNDAY, byId: 'runa' });
  expect(fill(state)).toEqual([]);
  expect(state.get('pill_fill', idOfWords(`pill box alma ${MONDAY}`))).toMatchObject({
    parts: [{ itemId: 'tablets', thousandths: 7000 }],
  });
});

it('what ends within the week does not go into the box, and of too little all is taken', () => {
  const state = home([typed()], [tablets('a', 4), tablets('b', 9, { expiresOn: '2026-12-03', dateKind: 'use_by' })]);
  expect(week(state).parts[0]).toMatchObject({ needThousandths: 7000, haveThousandths: 4000 });
  fill(state);
  expect([state.get('lot', 'a')!.quantityThousandths, state.get('lot', 'b')!.quantityThousandths]).toEqual([0, 9000]);
});

it('what is lent or taken along is not there to fill from', () => {
  const state = home([typed()], [tablets('a', 4), tablets('b', 9, { inUseOn: '2026-11-20' })]);
  expect(week(state).parts[0]!.haveThousandths).toBe(4000);
});

it('20 tablets, one a day: to the 20th day; after a box is filled, counted from its end', () => {
  const state = home([typed()], [tablets('a', 20)]);
  const last = () => pillsLast(state, state.get('item', 'tablets')!, SUNDAY, guideOf(state));
  expect(last()).toEqual({ until: '2026-12-18', days: 20, beyond: false });
  expect(boxFrom(state, 'alma', SUNDAY)).toBe(SUNDAY);
  fill(state);
  expect(boxFrom(state, 'alma', SUNDAY)).toBe('2026-12-07');
  // 13 are left for the days from 7 December on.
  expect(last()).toEqual({ until: '2026-12-19', days: 21, beyond: false });
});

it('tablets past their date last no longer than it; none at home: not one day; years of them: beyond', () => {
  const last = (lots: LotRow[]) => {
    const state = home([typed()], lots);
    return pillsLast(state, state.get('item', 'tablets')!, SUNDAY, guideOf(state));
  };
  expect(last([tablets('a', 20, { expiresOn: '2026-12-03', dateKind: 'use_by' })])).toMatchObject({
    until: '2026-12-03',
    days: 5,
  });
  expect(last([])).toEqual({ until: null, days: 0, beyond: false });
  expect(last([tablets('a', 5000)])).toMatchObject({ beyond: true });
});

it('two people share a packet: both are counted', () => {
  const state = home([typed(), typed({ personId: 'pim', noon: 1000 })], [tablets('a', 12)]);
  expect(pillsLast(state, state.get('item', 'tablets')!, SUNDAY, guideOf(state))).toMatchObject({ days: 4 });
  expect(pillsLast(home([], []), state.get('item', 'tablets')!, SUNDAY, guideOf(state))).toBeNull();
});

it('a box is filled next for the days after those it is filled for, and not while it is full for a week', () => {
  const state = home([typed()], [tablets('a', 30)]);
  const next = (on: string) => boxToFill(state, 'alma', on, guideOf(state))?.fromOn ?? null;
  expect(next(SUNDAY)).toBe(MONDAY);
  fill(state);
  // Filled to Sunday, 6 December: full on the Sunday before, filled anew from the Saturday on.
  expect([next(SUNDAY), next('2026-12-05'), next('2026-12-06'), next('2026-12-09')]).toEqual([
    null,
    '2026-12-07',
    '2026-12-07',
    '2026-12-10',
  ]);
  expect(boxToFill(home([], []), 'alma', SUNDAY, guideOf(state))).toBeNull();
});
