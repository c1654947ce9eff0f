import { addDays as libAddDays, addMonths as libAddMonths, differenceInCalendarDays, lastDayOfMonth } from 'date-fns';
import fc from 'fast-check';
import { itemFields, lotFields } from '../household/sampleHome.test-support';
import { addDays, addMonths, civilDate, daysBetween, daysInMonth, partsOf } from './civilDate';
import { dueState, effectiveDue } from './dueDate';

const anyDate = fc.record({
  y: fc.integer({ min: 1950, max: 2150 }),
  m: fc.integer({ min: 1, max: 12 }),
  d: fc.integer({ min: 1, max: 28 }),
});
const local = (date: string): Date => {
  const { year, month, day } = partsOf(date);
  return new Date(year, month - 1, day, 12);
};
const iso = (date: Date): string => civilDate(date.getFullYear(), date.getMonth() + 1, date.getDate());

describe('civil dates', () => {
  // Outside check: date-fns does the same on its own local dates.
  it('agrees with date-fns', () => {
    fc.assert(
      fc.property(
        anyDate,
        fc.integer({ min: -400, max: 400 }),
        fc.integer({ min: -30, max: 30 }),
        ({ y, m, d }, days, months) => {
          const date = civilDate(y, m, d);
          expect(addDays(date, days)).toBe(iso(libAddDays(local(date), days)));
          expect(addMonths(date, months)).toBe(iso(libAddMonths(local(date), months)));
          expect(daysInMonth(y, m)).toBe(lastDayOfMonth(local(date)).getDate());
          expect(daysBetween(date, addDays(date, days))).toBe(
            differenceInCalendarDays(local(addDays(date, days)), local(date)),
          );
        },
      ),
      { seed: 3, numRuns: 500 },
    );
  });

  it('a day the month lacks becomes its last', () => {
    expect(addMonths('2027-01-31', 1)).toBe('2027-02-28');
    expect(() => partsOf('2027-02-30')).toThrow('not a date');
  });
});

describe('the date that counts', () => {
  const milk = itemFields({ openedDays: 4 });
  it.each([
    ['nothing known', {}, null],
    ['printed', { expiresOn: '2027-01-31' }, { on: '2027-01-31', reason: 'best_before' }],
    ['use by', { expiresOn: '2027-01-31', dateKind: 'use_by' as const }, { on: '2027-01-31', reason: 'use_by' }],
    [
      'opened, sooner than printed',
      { expiresOn: '2027-01-31', openedOn: '2026-11-20' },
      { on: '2026-11-24', reason: 'opened' },
    ],
    [
      'opened, but printed sooner',
      { expiresOn: '2026-11-22', openedOn: '2026-11-20' },
      { on: '2026-11-22', reason: 'best_before' },
    ],
    [
      'frozen: printed no longer counts',
      { expiresOn: '2026-09-01', frozenOn: '2026-08-21' },
      { on: '2026-11-21', reason: 'frozen' },
    ],
  ])('%s', (_, lot, due) => {
    expect(effectiveDue(lotFields(lot), milk)).toEqual(due);
  });

  it.each([
    ['2026-11-23', 'late'],
    ['2026-11-24', 'soon'],
    ['2026-12-08', 'soon'],
    ['2026-12-09', 'later'],
  ])('on 24 November, due %s is %s', (on, state) => {
    expect(dueState({ on, reason: 'use_by' }, '2026-11-24')).toBe(state);
  });
});

describe('dates that would not be taken any more', () => {
  it.each(['1000-01-01', '1899-12-31', '1900-01-01', '2199-12-31', '2300-05-05', '9990-01-01'])(
    'a stored %s is still computed with',
    (on) => {
      const item = { openedDays: 3, freezerMonths: 12 };
      const lot = { expiresOn: on, dateKind: 'use_by' as const, openedOn: on, frozenOn: null };
      expect(dueState(effectiveDue(lot, item)!, '2026-11-25')).toBe(on < '2026' ? 'late' : 'later');
      expect(effectiveDue({ ...lot, frozenOn: on }, item)!.on > on).toBe(true);
    },
  );
});

describe('safety dates', () => {
  const UNDATED = { expiresOn: null, dateKind: null, openedOn: null, frozenOn: null };
  /**
   * The rules once more, written as what happens day by day: a deadline that a use-by date or opening sets, and that only
   * freezing in time takes away. Source of the rules: freezing keeps food safe, it makes nothing good again (USDA, from memory).
   */
  function deadlineByDays(lot: Parameters<typeof effectiveDue>[0], openedDays: number | null): string | null {
    let deadline: string | null = lot.dateKind === 'use_by' ? lot.expiresOn : null;
    let frozen = false;
    for (let day = '2026-10-01'; day <= '2026-12-31'; day = addDays(day, 1)) {
      if (frozen) continue;
      if (day === lot.openedOn && openedDays !== null) {
        const opened = addDays(day, openedDays);
        if (deadline === null || opened < deadline) deadline = opened;
      }
      if (day === lot.frozenOn && (deadline === null || day <= deadline)) {
        frozen = true;
        deadline = null;
      }
    }
    return deadline;
  }

  it('are never later than the rules allow, in any combination of states', () => {
    const days = [null, '2026-11-01', '2026-11-05', '2026-11-06', '2026-11-10', '2026-11-20'];
    let checked = 0;
    for (const expiresOn of days)
      for (const dateKind of ['use_by', 'best_before'] as const)
        for (const openedOn of days)
          for (const frozenOn of days)
            for (const openedDays of [null, 0, 1, 5, 30])
              for (const freezerMonths of [null, 0, 3]) {
                const lot = { expiresOn, dateKind: expiresOn === null ? null : dateKind, openedOn, frozenOn };
                const due = effectiveDue(lot, { openedDays, freezerMonths });
                const deadline = deadlineByDays(lot, openedDays);
                checked++;
                if (deadline !== null && (due === null || due.on > deadline)) {
                  throw new Error(`${JSON.stringify({ ...lot, openedDays, freezerMonths, due, deadline })}`);
                }
              }
    expect(checked).toBe(6 * 2 * 6 * 6 * 5 * 3);
  });

  it.each([
    [
      'frozen after its use-by date',
      { expiresOn: '2026-11-05', dateKind: 'use_by', frozenOn: '2026-11-06' },
      '2026-11-05',
      'use_by',
    ],
    [
      'frozen on its use-by date',
      { expiresOn: '2026-11-05', dateKind: 'use_by', frozenOn: '2026-11-05' },
      '2027-02-05',
      'frozen',
    ],
    [
      'frozen after its best-before date',
      { expiresOn: '2026-11-05', dateKind: 'best_before', frozenOn: '2026-11-06' },
      '2027-02-06',
      'frozen',
    ],
    [
      'opened too long before it was frozen',
      { openedOn: '2026-11-01', frozenOn: '2026-11-06' },
      '2026-11-05',
      'opened',
    ],
    ['opened, then frozen in time', { openedOn: '2026-11-01', frozenOn: '2026-11-05' }, '2027-02-05', 'frozen'],
  ] as const)('%s', (_, fields, on, reason) => {
    const lot = { ...UNDATED, ...fields };
    expect(effectiveDue(lot, { openedDays: 4, freezerMonths: null })).toEqual({ on, reason });
  });
});
