import { PUBLISHED_GUIDE } from '../shelflife';
import { formatQuantity, readQuantity } from '../base/quantity';
import { stockOf } from './StockView';
import {
  lotFieldsOf,
  oldestFirst,
  opsForDiscarding,
  opsForFreezing,
  opsForMoving,
  opsForOpening,
  opsForPuttingIn,
  opsForTaking,
} from './stockOps';
import { AS_ADULT, idMaker, itemFields, lotFields, lotRow, sampleHome } from '../household/sampleHome.test-support';
import { applyCommand } from '../household/applyCommand';
import { pluralUnit } from '../base/units';

const context = { newId: idMaker(), now: '2026-11-24T08:00:00.000Z', today: '2026-11-24' };
const apply = (state: ReturnType<typeof sampleHome>, ops: ReturnType<typeof opsForTaking>): void => {
  const applied = applyCommand(state, { id: 'c', intent: 't', occurredAt: context.now, ops }, AS_ADULT);
  if (!applied.ok) throw new Error(applied.refusal.kind);
  for (const row of applied.changed) state.put(row);
};

describe('quantities', () => {
  it.each([
    ['6', 6000],
    ['2,5', 2500],
    ['0.125', 125],
    ['1.0005', null],
    ['-1', null],
    ['x', null],
    ['', null],
    ['9999999', null],
  ])('%s', (text, want) => {
    expect(readQuantity(text)).toBe(want);
  });
  it.each([
    [6000, '6'],
    [2500, '2.5'],
    [125, '0.125'],
    [0, '0'],
    [-1500, '-1.5'],
  ])('%d', (thousandths, text) => {
    expect(formatQuantity(thousandths)).toBe(text);
  });
  it('counts in the plural, measures not', () => {
    expect([
      pluralUnit('tin', 2000),
      pluralUnit('tin', 1000),
      pluralUnit('loaf', 2000),
      pluralUnit('kg', 2000),
      pluralUnit('wash', 3000),
    ]).toEqual(['tins', 'tin', 'loaves', 'kg', 'washes']);
  });
});

describe('what to use first', () => {
  it('opened before closed, then by date, undated last', () => {
    const lots = [
      lotRow('none'),
      lotRow('late', { expiresOn: '2027-05-01' }),
      lotRow('early', { expiresOn: '2026-12-01' }),
      lotRow('open', { openedOn: '2026-11-01' }),
    ];
    expect(
      oldestFirst(lots, { ...itemFields(), id: 'i', seq: 1, retired: false }, PUBLISHED_GUIDE).map((lot) => lot.id),
    ).toEqual(['open', 'early', 'late', 'none']);
  });

  it('takes across lots and asks for a count when more is taken than known', () => {
    const ops = opsForTaking(
      [lotRow('a', { quantityThousandths: 2000 }), lotRow('b', { quantityThousandths: 3000 })],
      6000,
      context,
    );
    expect(ops.map((op) => op.op === 'event' && [op.event.lotId, op.event.quantityThousandths])).toEqual([
      ['a', 2000],
      ['b', 4000],
    ]);
  });
});

describe('plans', () => {
  it('opens one of several: it becomes a lot of its own', () => {
    const state = sampleHome();
    apply(state, opsForOpening(state.get('lot', 'lot')!, 1000, state.lotsIn('bin'), context));
    const lots = state.lotsIn('bin').map((lot) => [lot.openedOn, lot.quantityThousandths]);
    expect(lots).toEqual(
      expect.arrayContaining([
        [null, 23_000],
        ['2026-11-24', 1000],
      ]),
    );
  });

  it('moves into an equal lot when there is one', () => {
    const state = sampleHome();
    apply(state, opsForPuttingIn(lotFields({ nookId: 'bin2' }), 5000, [], context));
    apply(state, opsForMoving(state.get('lot', 'lot')!, 4000, 'bin2', state.lotsIn('bin2'), context));
    expect(state.lotsIn('bin2').map((lot) => lot.quantityThousandths)).toEqual([9000]);
    expect(state.get('lot', 'lot')!.quantityThousandths).toBe(20_000);
    expect(opsForMoving(state.get('lot', 'lot')!, 4000, 'bin', [], context)).toEqual([]);
  });

  it('freezes into another place with today as its day', () => {
    const state = sampleHome();
    apply(state, opsForFreezing(state.get('lot', 'lot')!, 2000, 'low', [], context));
    expect(lotFieldsOf(state.lotsIn('low')[0]!)).toMatchObject({ frozenOn: '2026-11-24', nookId: 'low' });
  });

  it('opening or freezing twice does not start a clock anew', () => {
    const open = lotRow('a', { openedOn: '2026-11-20' });
    expect(opsForOpening(open, 1000, [], context)).toEqual([]);
    const state = sampleHome();
    state.put({ entity: 'lot', row: lotRow('lot', { frozenOn: '2026-09-01' }) });
    apply(state, opsForFreezing(state.get('lot', 'lot')!, 2000, 'low', [], context));
    expect(state.lotsIn('low')[0]).toMatchObject({ frozenOn: '2026-09-01' });
  });

  it('discards with its reason', () => {
    expect(opsForDiscarding(lotRow('a'), 1000, 'expired', context)).toMatchObject([
      { event: { kind: 'discarded', reason: 'expired' } },
    ]);
  });
});

describe('attention', () => {
  it('sums up a nook with the bins in it', () => {
    const state = sampleHome();
    state.put({
      entity: 'item',
      row: { ...itemFields({ lowAtThousandths: 30_000 }), id: 'lanterns', seq: 1, retired: false },
    });
    state.put({ entity: 'lot', row: lotRow('lot', { expiresOn: '2026-11-20', pleaseCount: true }) });
    expect(stockOf(state).summary('top', '2026-11-24')).toEqual({
      lots: 1,
      itemNames: ['Paper lanterns, midsummer'],
      late: 1,
      soon: 0,
      low: 1,
      pleaseCount: 1,
    });
    expect(
      stockOf(state)
        .dueUntil('2026-11-24')
        .map((one) => one.lot.id),
    ).toEqual(['lot']);
    expect(stockOf(state).lowItems()).toMatchObject([{ leftThousandths: 24_000 }]);
    expect(stockOf(state).dueUntil('2026-01-01')).toEqual([]);
  });
});
