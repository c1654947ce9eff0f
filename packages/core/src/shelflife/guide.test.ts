import { HouseholdState, type KeepingRow } from '../household';
import { itemFields, lotFields, sampleRows } from '../household/sampleHome.test-support';
import { stockOf } from '../stock';
import { effectiveDue } from './dueDate';
import { GUIDE_TABLE } from './guideTable';
import { guideOf, KeepingGuide, PUBLISHED_GUIDE } from './KeepingGuide';

const rule = (more: Partial<KeepingRow>): KeepingRow => ({
  id: 'k1',
  seq: 1,
  retired: false,
  name: 'Our milk',
  replaces: '',
  words: ['milk'],
  openedDays: null,
  cookedDays: null,
  freezerMonths: null,
  source: '',
  ...more,
});

// US federal cold-storage chart (FoodSafety.gov), refrigerator and freezer at 4 and -18 °C; the spans are from memory.
it.each([
  ['ground', 1, 2, 3, 4],
  ['poultry', 1, 2, 9, 12],
  ['bacon', 1, 7, 1, 1],
  ['meat', 3, 5, 4, 12],
  ['soup', 3, 4, 2, 3],
  ['leftover', 3, 4, 2, 6],
  ['pizza', 3, 4, 1, 2],
])('%s is within the published span', (key, leastDays, mostDays, leastMonths, mostMonths) => {
  const row = GUIDE_TABLE.find((one) => one.key === key)!;
  expect(row.openedDays).toBeGreaterThanOrEqual(leastDays);
  expect(row.openedDays).toBeLessThanOrEqual(mostDays);
  expect(row.freezerMonths).toBeGreaterThanOrEqual(leastMonths);
  expect(row.freezerMonths).toBeLessThanOrEqual(mostMonths);
});

it('every row says where it is from and of which edition, and no word stands in two rows', () => {
  const words = GUIDE_TABLE.flatMap((row) => row.words);
  expect(new Set(words).size).toBe(words.length);
  expect(GUIDE_TABLE.filter(({ source, edition }) => source === '' || edition === '')).toEqual([]);
  expect(new Set(GUIDE_TABLE.map(({ key }) => key)).size).toBe(GUIDE_TABLE.length);
});

it('of several kinds the shortest counts', () => {
  expect(PUBLISHED_GUIDE.openedDays({ name: 'Tomato soup' }, 'best_before')!.time).toBe(3);
  expect(PUBLISHED_GUIDE.freezerMonths({ name: 'Chicken soup' })!.time).toBe(2);
  expect(PUBLISHED_GUIDE.freezerMonths({ name: 'Lamp' })).toBeNull();
});

describe('the home’s own rules', () => {
  it('win over the published ones, longer or shorter, and are no guess', () => {
    const lot = lotFields({ expiresOn: '2027-06-01', openedOn: '2026-11-20' });
    const milk = itemFields({ name: 'Oat milk' });
    const guide = new KeepingGuide([rule({ openedDays: 9 })]);
    expect(effectiveDue(lot, milk, PUBLISHED_GUIDE)).toMatchObject({ on: '2026-11-25' });
    expect(effectiveDue(lot, milk, guide)).toEqual({ on: '2026-11-29', reason: 'opened' });
    // What is said of the thing itself wins over a rule for its kind.
    expect(effectiveDue(lot, { ...milk, openedDays: 2 }, guide)).toEqual({ on: '2026-11-22', reason: 'opened' });
    // Nothing makes a printed date later.
    const late = new KeepingGuide([rule({ openedDays: 3650 })]);
    expect(effectiveDue(lot, milk, late)).toEqual({ on: '2027-06-01', reason: 'best_before' });
  });

  it('leave as published what they do not say', () => {
    const guide = new KeepingGuide([rule({ replaces: 'meat', words: ['meat', 'beef'], freezerMonths: 8 })]);
    const time = (name: string): unknown[] => [
      guide.openedDays({ name }, 'use_by')!.time,
      guide.freezerMonths({ name })!.time,
    ];
    expect(time('Beef')).toEqual([3, 8]);
    expect(time('Lamb')).toEqual([3, 4]);
    expect(guide.openedDays({ name: 'Beef' }, 'use_by')!.source).toMatch(/memory/);
    expect(guide.rows.map(({ key }) => key)).not.toContain('meat');
    expect(guide.rows[0]).toMatchObject({ key: 'k1', own: true });
  });

  it('change what is due at once', () => {
    const state = new HouseholdState();
    for (const tagged of sampleRows()) state.put(tagged);
    const [item, lot] = [state.all('item')[0]!, state.all('lot')[0]!];
    state.put({ entity: 'item', row: { ...item, name: 'Oat milk', openedDays: null } });
    state.put({
      entity: 'lot',
      row: { ...lot, expiresOn: '2027-06-01', openedOn: '2026-11-20', frozenOn: null, itemId: item.id },
    });
    const dueOn = (): string | undefined =>
      stockOf(state)
        .dated()
        .find((one) => one.lot.id === lot.id)?.due.on;
    const before = guideOf(state);
    expect(dueOn()).toBe('2026-11-25');
    state.put({ entity: 'keeping', row: rule({ openedDays: 2 }) });
    expect(guideOf(state)).not.toBe(before);
    expect(guideOf(state)).toBe(guideOf(state));
    expect(dueOn()).toBe('2026-11-22');
    state.put({ entity: 'keeping', row: rule({ openedDays: 2, retired: true }) });
    expect(dueOn()).toBe('2026-11-25');
  });
});
