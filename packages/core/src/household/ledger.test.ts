import fc from 'fast-check';
import { continueLedger, foldLedger, isInOrder, LEDGER_EVENT_KINDS, type LedgerEvent } from './ledger';

const event = (
  id: string,
  kind: LedgerEvent['kind'],
  quantity: number,
  day: number,
  voids: string | null = null,
): LedgerEvent => ({
  id,
  lotId: 'lot',
  kind,
  quantityThousandths: quantity * 1000,
  reason: null,
  voids,
  occurredAt: `2026-11-${String(day).padStart(2, '0')}T08:00:00.000Z`,
});

describe('foldLedger', () => {
  it.each<[string, LedgerEvent[], number, boolean]>([
    ['nothing happened', [], 0, false],
    ['six in, two taken', [event('a', 'put_in', 6, 1), event('b', 'taken', 2, 2)], 4, false],
    [
      'a count is the new base',
      [event('a', 'put_in', 6, 1), event('b', 'counted', 3, 2), event('c', 'taken', 1, 3)],
      2,
      false,
    ],
    [
      'late news from before the count is in the count',
      [event('b', 'counted', 3, 2), event('z', 'taken', 2, 1)],
      3,
      false,
    ],
    ['more taken than known asks for a count', [event('a', 'put_in', 1, 1), event('b', 'taken', 2, 2)], 0, true],
    ['putting in later does not answer the question', [event('b', 'taken', 2, 2), event('c', 'put_in', 5, 3)], 5, true],
    ['counting does', [event('b', 'taken', 2, 2), event('c', 'counted', 5, 3)], 5, false],
    [
      'a taking-back taken back by a device whose clock is behind',
      [
        event('a', 'put_in', 6, 1),
        event('b', 'taken', 2, 2),
        event('c', 'voided', 2, 9, 'b'),
        event('d', 'voided', -2, 3, 'c'),
      ],
      4,
      false,
    ],
    [
      'and that taken back once more, whatever the clocks say',
      [
        event('a', 'put_in', 6, 5),
        event('b', 'taken', 2, 6),
        event('c', 'voided', 2, 9, 'b'),
        event('d', 'voided', -2, 3, 'c'),
        event('e', 'voided', 2, 1, 'd'),
      ],
      6,
      false,
    ],
    ['taken back', [event('a', 'put_in', 6, 1), event('b', 'taken', 2, 2), event('c', 'voided', 2, 3, 'b')], 6, false],
    [
      'a taking-back taken back',
      [
        event('a', 'put_in', 6, 1),
        event('b', 'taken', 2, 2),
        event('c', 'voided', 2, 3, 'b'),
        event('d', 'voided', -2, 4, 'c'),
      ],
      4,
      false,
    ],
    [
      'a count taken back',
      [event('a', 'put_in', 6, 1), event('b', 'counted', 1, 2), event('c', 'voided', 5, 3, 'b')],
      6,
      false,
    ],
    ['the same event twice', [event('a', 'put_in', 6, 1), event('a', 'put_in', 6, 1)], 6, false],
    ['same instant: by id', [event('b', 'counted', 3, 1), event('a', 'put_in', 6, 1)], 3, false],
  ])('%s', (_, events, quantity, pleaseCount) => {
    expect(foldLedger(events)).toMatchObject({ quantityThousandths: quantity * 1000, pleaseCount });
  });
});

const anyEvent = fc.record({
  id: fc.integer({ min: 1, max: 40 }).map((n) => `e${String(n).padStart(2, '0')}`),
  lotId: fc.constant('lot'),
  kind: fc.constantFrom(...LEDGER_EVENT_KINDS),
  quantityThousandths: fc.integer({ min: 0, max: 9000 }),
  occurredAt: fc.integer({ min: 1, max: 9 }).map((n) => `2026-11-0${n}T08:00:00.000Z`),
  reason: fc.constant(null),
  voids: fc.constant(null as string | null),
});
const history = fc
  .uniqueArray(anyEvent, { selector: (e) => e.id, maxLength: 25 })
  .map((events) => events.map((e, at) => (e.kind === 'voided' && at > 0 ? { ...e, voids: events[at - 1]!.id } : e)));
const options = { seed: 20261124, numRuns: 1000 };

describe('properties of the ledger', () => {
  it('gives the same stock for any order of delivery, with repeats', () => {
    fc.assert(
      fc.property(history, fc.infiniteStream(fc.nat()), (events, keys) => {
        const shuffled = [...events, ...events.slice(0, 3)]
          .map((e) => ({ e, key: keys.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ e }) => e);
        expect(foldLedger(shuffled)).toEqual(foldLedger(events));
      }),
      options,
    );
  });

  it('is never negative', () => {
    fc.assert(
      fc.property(history, (events) => {
        expect(foldLedger(events).quantityThousandths).toBeGreaterThanOrEqual(0);
      }),
      options,
    );
  });

  it('continued in order equals folded as a whole', () => {
    fc.assert(
      fc.property(history, (events) => {
        const plain = events
          .filter((e) => e.kind !== 'voided')
          .sort((a, b) => (a.occurredAt + a.id < b.occurredAt + b.id ? -1 : 1));
        let balance = foldLedger([]);
        for (const one of plain) {
          expect(isInOrder(balance, one)).toBe(true);
          balance = continueLedger(balance, [one]);
        }
        expect(balance).toEqual(foldLedger(plain));
      }),
      options,
    );
  });

  it('an event that comes late or takes another back is not in order', () => {
    const balance = foldLedger([event('b', 'put_in', 1, 5)]);
    expect(isInOrder(balance, event('a', 'taken', 1, 4))).toBe(false);
    expect(isInOrder(balance, event('c', 'voided', 1, 6, 'b'))).toBe(false);
  });
});

describe('what comes last', () => {
  it('is the latest event, in whatever order they arrive; of two at once the one with the greater id', () => {
    const [a, b] = [event('a', 'put_in', 6, 3), event('b', 'taken', 1, 3)];
    for (const events of [
      [a, b],
      [b, a],
    ]) {
      expect(foldLedger(events)).toMatchObject({ quantityThousandths: 5000, lastAt: { id: 'b' } });
    }
    const late = continueLedger(foldLedger([event('c', 'put_in', 6, 9)]), [event('d', 'taken', 1, 2)]);
    expect(late.lastAt?.id).toBe('c');
  });
  it('an event with the key of the count itself is not older than it', () => {
    const counted = foldLedger([event('m', 'counted', 4, 5)]);
    expect(continueLedger(counted, [event('a', 'taken', 1, 5)]).quantityThousandths).toBe(4000);
    expect(continueLedger(counted, [event('z', 'taken', 1, 5)]).quantityThousandths).toBe(3000);
  });
});
