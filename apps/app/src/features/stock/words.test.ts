import { PUBLISHED_GUIDE, type ItemRow, type LotRow } from '@ours/core';
import { lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { amountWords, dueMark, dueWords, leftWords, lotAmountWords, onHandWords } from './words';
import { dayWords } from '@/kit/text/dayWords';
import { refusalWords } from '@/shared/refusalWords';

const TODAY = '2026-11-24';
const item = sampleRows().find(({ entity }) => entity === 'item')!.row as ItemRow;
const lot = (more: Partial<LotRow>): LotRow => ({ ...lotRow(6, 1), ...more });

describe('what people read', () => {
  it.each([
    [6000, 'tin', '6 tins'],
    [1000, 'tin', '1 tin'],
    [2500, 'kg', '2.5 kg'],
    [3000, 'piece', '3'],
    [500, 'loaf', '0.5 loaves'],
    [0, 'box', '0 boxes'],
  ])('%d of a %s', (quantity, unit, words) => expect(amountWords(quantity, unit)).toBe(words));

  it.each([
    ['2026-12-03', '3 Dec'],
    ['2027-03-31', '31 Mar 2027'],
  ])('%s', (date, words) => expect(dayWords(date, TODAY)).toBe(words));

  it.each([
    ['2026-11-21', '3 days late'],
    ['2026-11-23', '1 day late'],
    ['2026-11-24', 'today'],
    ['2026-11-25', '1 day'],
    ['2026-12-08', '14 days'],
    ['2027-01-05', '6 wk'],
    ['2027-11-24', '12 mo'],
  ])('until %s', (on, words) => expect(leftWords({ on, reason: 'use_by' }, TODAY)).toBe(words));

  it('says what the date is', () => {
    expect(dueWords(lot({ expiresOn: '2027-03-31', dateKind: 'best_before' }), item, TODAY, PUBLISHED_GUIDE)).toBe(
      'best before 31 Mar 2027',
    );
    expect(dueWords(lot({ openedOn: '2026-11-22' }), { ...item, openedDays: 4 }, TODAY, PUBLISHED_GUIDE)).toBe(
      'opened 22 Nov, use by 26 Nov',
    );
    expect(dueWords(lot({ frozenOn: '2026-08-21' }), item, TODAY, PUBLISHED_GUIDE)).toBe(
      'frozen 21 Aug, best until 21 Nov',
    );
    expect(dueWords(lot({}), item, TODAY, PUBLISHED_GUIDE)).toBe('');
    expect(dueMark(lot({ frozenOn: '2026-08-21' }), item, TODAY, PUBLISHED_GUIDE)).toEqual({
      kind: 'late',
      label: '3 days late',
      safety: false,
    });
    expect(dueMark(lot({ expiresOn: '2027-03-31' }), item, TODAY, PUBLISHED_GUIDE)).toBeNull();
  });

  it('says how much there is', () => {
    expect(lotAmountWords(lot({ packSize: { amountThousandths: 400_000, unit: 'g' } }), { ...item, unit: 'tin' })).toBe(
      '6 tins of 400 g',
    );
    expect(onHandWords([lot({}), lot({ nookId: 'other' })], item)).toBe('12 pieces in 2 places');
    expect(onHandWords([], item)).toBe('none left');
    expect(onHandWords([lot({ quantityThousandths: 0, pleaseCount: true })], item)).toBe('please count');
  });

  it('explains a refusal in words', () => {
    expect(refusalWords({ kind: 'holds_stock', entity: 'bin', id: 'x', lots: 1, nooks: 2 })).toBe(
      'It still holds 1 thing and 2 places; say first where they go.',
    );
  });
});
