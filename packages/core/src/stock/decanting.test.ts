import fc from 'fast-check';
import { foldLedger, type LedgerEvent, type LotFields, type LotRow, type Op } from '../household';
import { idMaker, itemFields, lotFields, lotRow } from '../household/sampleHome.test-support';
import { effectiveDue, PUBLISHED_GUIDE } from '../shelflife';
import { opsForDecanting, pouredTogether } from './decanting';
import { recalledLots } from './recall';
import { HouseholdState } from '../household';
import { opsForUsing } from './stockOps';

const TODAY = '2026-11-24';
const context = { newId: idMaker(), now: '2026-11-24T08:00:00.000Z', today: TODAY };
const rice = { ...itemFields({ name: 'Rice', unit: 'kg' }), id: 'rice', seq: 1, retired: false };
const packet = (more: Partial<LotRow>): LotRow => ({ ...lotRow('p'), itemId: 'rice', nookId: 'shelf', ...more });

/** What is in each lot after the operations, with the fields of those that are new. */
function after(lots: readonly LotRow[], ops: readonly Op[]): { fields: LotFields; thousandths: number }[] {
  const made = new Map<string, LotFields>(lots.map((lot) => [lot.id, lot]));
  const events = new Map<string, LedgerEvent[]>();
  for (const lot of lots)
    events.set(lot.id, [
      {
        id: `0${lot.id}`,
        lotId: lot.id,
        kind: 'put_in',
        quantityThousandths: lot.quantityThousandths,
        occurredAt: '2026-01-01T00:00:00.000Z',
        reason: null,
        voids: null,
      },
    ]);
  for (const op of ops) {
    if (op.op === 'create' && op.entity === 'lot') made.set(op.id, op.fields);
    if (op.op === 'change' && op.entity === 'lot') made.set(op.id, { ...made.get(op.id)!, ...op.fields });
    if (op.op === 'event') events.set(op.event.lotId, [...(events.get(op.event.lotId) ?? []), op.event]);
  }
  return [...made]
    .map(([id, fields]) => ({ fields, thousandths: foldLedger(events.get(id) ?? []).quantityThousandths }))
    .filter(({ thousandths }) => thousandths > 0);
}

describe('decanting', () => {
  const lot = packet({
    id: 'p',
    quantityThousandths: 5000,
    expiresOn: '2027-08-31',
    dateKind: 'best_before',
    batch: 'L1',
  });
  const old = packet({
    id: 'j',
    nookId: 'jar',
    quantityThousandths: 300,
    expiresOn: '2027-01-31',
    dateKind: 'best_before',
    openedOn: '2026-10-01',
    decantedOn: '2026-10-01',
    batch: null,
  });

  it('carries the date over and opens the packet', () => {
    const [rest, jar] = after([lot], opsForDecanting([lot], rice, 2000, 'jar', [], false, context));
    expect(jar).toMatchObject({
      thousandths: 2000,
      fields: { nookId: 'jar', expiresOn: '2027-08-31', openedOn: TODAY, decantedOn: TODAY, batch: 'L1' },
    });
    expect(rest).toMatchObject({ thousandths: 3000, fields: { nookId: 'shelf', openedOn: TODAY } });
  });

  it('topped up, the earlier date counts for all of it; nothing is lost', () => {
    const all = after([lot, old], opsForDecanting([lot], rice, 2000, 'jar', [old], false, context));
    expect(all.map(({ thousandths }) => thousandths)).toEqual([3000, 2300]);
    expect(all[1]!.fields).toMatchObject({
      nookId: 'jar',
      expiresOn: '2027-01-31',
      openedOn: '2026-10-01',
      decantedOn: '2026-10-01',
      batch: '? + L1',
    });
  });

  it('emptied and washed before, it starts anew', () => {
    const all = after([lot, old], opsForDecanting([lot], rice, 2000, 'jar', [old], true, context));
    expect(all.map(({ thousandths }) => thousandths)).toEqual([3000, 2000]);
    expect(all[1]!.fields).toMatchObject({ expiresOn: '2027-08-31', openedOn: TODAY, decantedOn: TODAY });
  });

  it('poured from two packets the earlier date counts, and only what was not emptied stays', () => {
    const second = packet({ ...lot, id: 'q', quantityThousandths: 1000, expiresOn: '2027-03-31', batch: 'L2' });
    const all = after([lot, second], opsForDecanting([second, lot], rice, 3000, 'jar', [], false, context));
    expect(all).toMatchObject([
      { thousandths: 3000, fields: { nookId: 'shelf', openedOn: TODAY } },
      { thousandths: 3000, fields: { nookId: 'jar', expiresOn: '2027-03-31', batch: 'L2 + L1' } },
    ]);
    // More than there is: all of it, and nothing is made up.
    const most = after([lot, second, old], opsForDecanting([second, lot], rice, 99_000, 'jar', [old], false, context));
    expect(most.map(({ thousandths }) => thousandths)).toEqual([6300]);
  });

  it('leaves alone what is frozen, and other things in the jar', () => {
    const frozen = { ...lot, frozenOn: '2026-11-01' };
    expect(opsForDecanting([frozen], rice, 1000, 'jar', [], false, context)).toEqual([]);
    const salt = { ...old, id: 's', itemId: 'salt' };
    const all = after([lot, salt], opsForDecanting([lot], rice, 1000, 'jar', [salt], true, context));
    expect(all.map(({ thousandths }) => thousandths)).toEqual([4000, 300, 1000]);
  });

  it('no date is later than those of what was poured together', () => {
    const day = fc.option(
      fc.integer({ min: 0, max: 60 }).map((n) => new Date(Date.UTC(2026, 10, 1 + n)).toISOString().slice(0, 10)),
    );
    const fields = fc
      .record({
        expiresOn: day,
        kind: fc.constantFrom('use_by' as const, 'best_before' as const),
        openedOn: day,
        madeOn: day,
        madeKind: fc.constantFrom('cooked' as const, 'roasted' as const, 'bought' as const),
        batch: fc.option(fc.constantFrom('A', 'B', 'C')),
      })
      .map(({ kind, ...of }) =>
        lotFields({
          ...of,
          dateKind: of.expiresOn === null ? null : kind,
          madeKind: of.madeOn === null ? null : of.madeKind,
        }),
      );
    const things = [
      itemFields({ name: 'Rice' }),
      itemFields({ name: 'Thing' }),
      itemFields({ name: 'Soup', openedDays: 4 }),
      itemFields({ name: 'Coffee', keepDays: 30 }),
    ];
    fc.assert(
      fc.property(fields, fields, fc.constantFrom(...things), (a, b, item) => {
        const due = (of: LotFields): string => effectiveDue(of, item, PUBLISHED_GUIDE)?.on ?? '9999';
        const mixed = due(pouredTogether(a, b));
        // A packet that is poured is open from now on; of things nobody opened that says nothing more.
        expect(mixed <= due(a) && mixed <= due(b)).toBe(true);
      }),
      { seed: 7, numRuns: 4000 },
    );
  });

  it('a recall finds a mixture by each of its batches, and asks to look where one is not known', () => {
    const state = new HouseholdState();
    state.put({ entity: 'item', row: rice });
    state.put({ entity: 'lot', row: packet({ id: 'm', quantityThousandths: 1000, batch: 'L1 + L2' }) });
    state.put({ entity: 'lot', row: packet({ id: 'n', quantityThousandths: 1000, batch: '? + L3' }) });
    const found = (batch: string): unknown[] =>
      recalledLots(state, batch, 'rice').map(({ lot: { id }, byBatch }) => [id, byBatch]);
    expect(found('l-2')).toEqual([
      ['m', true],
      ['n', false],
    ]);
    expect(found('L3')).toEqual([['n', true]]);
  });
});

it('what is in use elsewhere keeps its place, and comes back to what is there', () => {
  const sheet = packet({ id: 's', quantityThousandths: 3000 });
  const [here, used] = after([sheet], opsForUsing(sheet, 1000, false, [], context));
  expect([here!.thousandths, used!.thousandths, used!.fields.inUseOn, used!.fields.nookId]).toEqual([
    2000,
    1000,
    TODAY,
    'shelf',
  ]);
  const lent = { ...sheet, id: 'u', quantityThousandths: 1000, inUseOn: '2026-11-01' };
  const back = opsForUsing(lent, 1000, true, [sheet], context);
  expect(after([sheet, lent], back).map(({ thousandths }) => thousandths)).toEqual([4000]);
  expect(opsForUsing(lent, 1000, false, [sheet], context)).toEqual([]);
});
