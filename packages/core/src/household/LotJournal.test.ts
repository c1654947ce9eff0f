import { continueLedger, foldLedger, type LedgerEvent } from './ledger';
import { LotJournal } from './LotJournal';

const EMPTY = foldLedger([]);
const event = (id: string, kind: LedgerEvent['kind'], quantity: number, voids: string | null = null): LedgerEvent => ({
  id,
  lotId: 'lot',
  kind,
  quantityThousandths: quantity,
  reason: null,
  voids,
  occurredAt: '2026-11-01T08:00:00.000Z',
});
const put = event('a', 'put_in', 6000);
const count = event('b', 'counted', 2000);

describe('what a device did to a lot', () => {
  it('a lot nobody has numbered begins with nothing; a numbered one with its balance', () => {
    const journal = new LotJournal();
    expect(journal.history('lot', null, [put])).toEqual({ base: EMPTY, events: [put] });
    const balance = foldLedger([put]);
    expect(journal.history('lot', balance, [count])).toEqual({ base: balance, events: [count] });
  });

  it('keeps the history once the server has numbered it, so that a count can be taken back', () => {
    const journal = new LotJournal();
    const before = foldLedger([put]);
    journal.settle('lot', before, continueLedger(before, [count]), [count]);
    const { base, events } = journal.history('lot', foldLedger([put, count]), [event('c', 'voided', 0, 'b')]);
    expect(continueLedger(base, events).quantityThousandths).toBe(6000);
  });

  it.each([
    ['another amount', { quantityThousandths: 9000 }],
    ['asked to be counted', { pleaseCount: true }],
    ['another last event', { lastAt: { occurredAt: count.occurredAt, id: 'z' } }],
    ['another count', { countedAt: { occurredAt: count.occurredAt, id: 'z' } }],
  ])('begins anew when the server says otherwise: %s', (_, change) => {
    const journal = new LotJournal();
    const before = foldLedger([put]);
    const after = { ...continueLedger(before, [count]), ...change };
    journal.settle('lot', before, after, [count]);
    expect(journal.history('lot', after, [])).toEqual({ base: after, events: [] });
  });

  it('holds no more than it needs, and nothing of lots it never touched', () => {
    const journal = new LotJournal();
    let balance = EMPTY;
    for (let n = 0; n < 450; n++) {
      const one = event(`e${String(n).padStart(3, '0')}`, 'put_in', 1000);
      const next = continueLedger(balance, [one]);
      journal.settle('lot', balance, next, [one]);
      balance = next;
    }
    const { base, events } = journal.history('lot', balance, []);
    expect(events.length).toBe(400);
    expect(continueLedger(base, events)).toEqual(balance);
    journal.settle('other', null, balance, []);
    expect(journal.history('other', EMPTY, [])).toEqual({ base: EMPTY, events: [] });
    journal.clear();
    expect(journal.history('lot', balance, [])).toEqual({ base: balance, events: [] });
  });
});
