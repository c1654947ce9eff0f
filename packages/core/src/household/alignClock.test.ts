import fc from 'fast-check';
import { foldLedger, type LedgerEvent } from './ledger';
import { alignClock } from './alignClock';
import type { Command } from './command';

const at = (minute: number, days = 0): string => new Date(Date.UTC(2026, 10, 24 + days, 8, minute)).toISOString();
let serial = 0;
const event = (kind: LedgerEvent['kind'], pieces: number, occurredAt: string): LedgerEvent => ({
  id: `e${String(serial++).padStart(4, '0')}`,
  lotId: 'lot',
  kind,
  quantityThousandths: pieces * 1000,
  occurredAt,
  reason: null,
  voids: null,
});
const does = (kind: LedgerEvent['kind'], pieces: number, occurredAt: string): Command => ({
  id: `c${serial++}`,
  intent: 'tested',
  occurredAt,
  ops: [{ op: 'event', event: event(kind, pieces, occurredAt) }],
});
const eventsOf = (commands: readonly Command[]): LedgerEvent[] =>
  commands.flatMap(({ ops }) => ops.flatMap((op) => (op.op === 'event' ? [op.event] : [])));
const left = (events: LedgerEvent[]): number => foldLedger(events).quantityThousandths / 1000;

describe('a device with a wrong clock', () => {
  // 10 are there. The device puts 6 in at minute 10; another one, whose clock is right, then does something at minute 20.
  const before = [event('counted', 10, at(0))];
  it.each<[string, number, LedgerEvent['kind'], number, number]>([
    ['a year ahead, then another takes', 365, 'taken', 4, 12],
    ['a year ahead, then another counts', 365, 'counted', 5, 5],
    ['three days ahead, then another counts', 3, 'counted', 5, 5],
    ['three days ahead, then another puts in', 3, 'put_in', 2, 18],
    ['three days behind, then another takes', -3, 'taken', 4, 12],
    ['three days behind, then another counts', -3, 'counted', 5, 5],
  ])('%s', (_, days, kind, pieces, expected) => {
    const made = [does('put_in', 6, at(10, days))];
    const aligned = alignClock(made, { deviceNow: at(12, days), receivedAt: at(12), after: null });
    const after = eventsOf([does(kind, pieces, at(20))]);
    expect(left([...before, ...eventsOf(aligned), ...after])).toBe(expected);
    expect(aligned[0]!.occurredAt).toBe(at(10));
  });

  it('and another that did something before it: the later count is the later one', () => {
    const other = eventsOf([does('counted', 7, at(5))]);
    const aligned = alignClock([does('taken', 1, at(10, -3))], {
      deviceNow: at(12, -3),
      receivedAt: at(12),
      after: null,
    });
    expect(left([...before, ...other, ...eventsOf(aligned)])).toBe(6);
  });

  it('set right between two commands: the order in which they were made stays', () => {
    const made = [does('counted', 3, at(10, 365)), does('put_in', 2, at(11))];
    const aligned = alignClock(made, { deviceNow: at(12), receivedAt: at(12), after: null });
    expect(left(eventsOf(aligned))).toBe(5);
    expect(aligned[0]!.occurredAt < aligned[1]!.occurredAt).toBe(true);
  });

  it('a slow batch does not overtake the next one', () => {
    const [first] = alignClock([does('put_in', 1, at(10))], { deviceNow: at(10), receivedAt: at(11), after: null });
    const [second] = alignClock([does('counted', 5, at(10))], {
      deviceNow: at(11),
      receivedAt: at(11),
      after: first!.occurredAt,
    });
    expect(second!.occurredAt >= first!.occurredAt).toBe(true);
  });

  it('a device that does not tell its clock is only held to the time of arrival', () => {
    const [past, future] = alignClock([does('taken', 1, at(1)), does('taken', 1, at(0, 9))], {
      deviceNow: null,
      receivedAt: at(2),
      after: null,
    });
    expect([past!.occurredAt, future!.occurredAt]).toEqual([at(1), at(2)]);
  });

  it('keeps how far an event lies before its command', () => {
    const made = does('taken', 1, at(10, 3));
    const earlier = { ...made, ops: [{ op: 'event' as const, event: event('taken', 1, at(4, 3)) }] };
    const [aligned] = alignClock([earlier], { deviceNow: at(10, 3), receivedAt: at(10), after: null });
    expect(eventsOf([aligned!])[0]!.occurredAt).toBe(at(4));
  });

  it('is never later than it was received and never out of order', () => {
    const minutes = fc.array(fc.integer({ min: -500_000, max: 500_000 }), { minLength: 1, maxLength: 30 });
    fc.assert(
      fc.property(minutes, fc.integer({ min: -500_000, max: 500_000 }), (made, clock) => {
        const commands = made.map((minute) => does('taken', 1, at(minute)));
        const aligned = alignClock(commands, { deviceNow: at(clock), receivedAt: at(0), after: at(-1) });
        const times = aligned.map(({ occurredAt }) => Date.parse(occurredAt));
        expect(Math.max(...times)).toBeLessThanOrEqual(Date.parse(at(0)));
        expect(times).toEqual([...times].sort((a, b) => a - b));
      }),
      { seed: 11, numRuns: 300 },
    );
  });
});
