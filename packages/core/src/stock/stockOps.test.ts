import { PUBLISHED_GUIDE } from '../shelflife';
import type { LotFields, LotRow } from '../household/registry';
import { idMaker, itemFields, lotFields, lotRow } from '../household/sampleHome.test-support';
import { oldestFirst, opsForFreezing, opsForMoving, opsForThawing, opsForThawingAll, sameLot } from './stockOps';

const context = { newId: idMaker(), now: '2026-11-24T08:00:00.000Z', today: '2026-11-24' };
const item = { ...itemFields(), id: 'i', seq: 1, retired: false };
const frozen = (more: Partial<LotRow> = {}): LotRow =>
  lotRow('cold', { frozenOn: '2026-08-01', quantityThousandths: 3000, ...more });

describe('lots that are one', () => {
  const base: LotFields = {
    ...lotFields(),
    packSize: { amountThousandths: 400_000, unit: 'g' },
    expiresOn: '2027-01-31',
    dateKind: 'best_before',
    openedOn: '2026-11-01',
    frozenOn: '2026-11-02',
    thawedOn: '2026-11-03',
    madeOn: '2026-10-01',
    madeKind: 'made',
  };
  it('the same in everything, whatever the note says', () => {
    expect(sameLot(base, { ...base, note: 'other' })).toBe(true);
    const { thawedOn: _, madeOn: __, madeKind: ___, ...older } = lotFields();
    expect(sameLot(older, { ...older, thawedOn: null, madeOn: null, madeKind: null })).toBe(true);
  });
  it.each<Partial<LotFields>>([
    { itemId: 'other' },
    { nookId: 'other' },
    { packSize: null },
    { packSize: { amountThousandths: 500_000, unit: 'g' } },
    { packSize: { amountThousandths: 400_000, unit: 'ml' } },
    { expiresOn: '2027-02-28' },
    { dateKind: 'use_by' },
    { openedOn: null },
    { frozenOn: '2026-11-03' },
    { thawedOn: null },
    { madeOn: '2026-10-02' },
    { madeKind: 'bought' },
  ])('different: %j', (change) => {
    expect(sameLot(base, { ...base, ...change })).toBe(false);
  });
});

it('what is used first: opened, then by date, undated last, then by id', () => {
  const lots = [
    lotRow('c', { expiresOn: null }),
    lotRow('b', { expiresOn: '2027-02-01' }),
    lotRow('a', { expiresOn: '2027-02-01' }),
    lotRow('d', { expiresOn: '2027-01-01' }),
    lotRow('e', { expiresOn: '2027-03-01', openedOn: '2026-11-20' }),
  ];
  expect(oldestFirst(lots, item, PUBLISHED_GUIDE).map(({ id }) => id)).toEqual(['e', 'd', 'a', 'b', 'c']);
  expect(oldestFirst([...lots].reverse(), item, PUBLISHED_GUIDE).map(({ id }) => id)).toEqual([
    'e',
    'd',
    'a',
    'b',
    'c',
  ]);
});

describe('out of the freezer', () => {
  const made = (ops: ReturnType<typeof opsForThawing>) => ops.find((op) => op.op === 'create');

  it('thaws some of a frozen lot into another place, from today, and no more than there is', () => {
    const ops = opsForThawing(frozen(), 5000, 'fridge', [], context);
    expect(ops).toMatchObject([
      { op: 'event', event: { kind: 'moved_out', lotId: 'cold', quantityThousandths: 3000 } },
      { op: 'create', fields: { nookId: 'fridge', frozenOn: '2026-08-01', thawedOn: '2026-11-24', expiresOn: null } },
      { op: 'event', event: { kind: 'moved_in', quantityThousandths: 3000 } },
    ]);
  });
  it('what was frozen a second time is used on the day it thaws', () => {
    const again = frozen({ thawedOn: '2026-07-01', expiresOn: '2027-06-01', dateKind: 'best_before' });
    expect(made(opsForThawing(again, 1000, 'fridge', [], context))).toMatchObject({
      fields: { thawedOn: '2026-11-24', expiresOn: '2026-11-24', dateKind: 'use_by' },
    });
  });
  it('what is not frozen does not thaw', () => {
    expect(opsForThawing(frozen({ frozenOn: null }), 1000, 'fridge', [], context)).toEqual([]);
    expect(opsForThawing(frozen({ thawedOn: '2026-11-20' }), 1000, 'fridge', [], context)).toEqual([]);
    expect(opsForThawing(frozen({ quantityThousandths: 0 }), 1000, 'fridge', [], context)).toEqual([]);
  });
  it('a whole bin thaws where it goes: what is frozen and there, and nothing else', () => {
    const lots = [
      frozen(),
      lotRow('empty', { frozenOn: '2026-08-01', quantityThousandths: 0 }),
      lotRow('thawed', { frozenOn: '2026-08-01', thawedOn: '2026-11-20' }),
      lotRow('dry', {}),
    ];
    expect(opsForThawingAll(lots, context)).toEqual([
      { op: 'change', entity: 'lot', id: 'cold', fields: { thawedOn: '2026-11-24' } },
    ]);
  });
  it('freezing keeps the day of what is frozen, and is from today for what had thawed', () => {
    expect(made(opsForFreezing(frozen(), 1000, 'other', [], context))).toMatchObject({
      fields: { frozenOn: '2026-08-01' },
    });
    const thawed = frozen({ thawedOn: '2026-11-23' });
    expect(made(opsForFreezing(thawed, 1000, 'other', [], context))).toMatchObject({
      fields: { frozenOn: '2026-11-24', thawedOn: '2026-11-23' },
    });
  });
  it('nothing to move is no move', () => {
    expect(opsForMoving(frozen({ quantityThousandths: 0 }), 1000, 'other', [], context)).toEqual([]);
    expect(opsForMoving(frozen(), 0, 'other', [], context)).toEqual([]);
  });
});
