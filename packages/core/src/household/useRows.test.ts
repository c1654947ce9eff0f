import { bookOf, carryOn, dayNumberOf, firstDayOf, readDigest, writeDigest } from '../use';
import { foldLedger, type LedgerEvent } from './ledger';
import { continueUse, rebuildUse, refoldUse } from './useRows';
import fc from 'fast-check';

const ITEM = '0190a0a0-0000-7000-8000-000000000001';
/** 2026-01-05, a Monday: day 0 of the anchors. */
const DAY0 = 20_458;
const at = (day: number, hour = 12): string => new Date((DAY0 + day) * 86_400_000 + hour * 3_600_000).toISOString();
let serial = 0;
const event = (
  kind: LedgerEvent['kind'],
  day: number,
  quantity: number,
  more: Partial<LedgerEvent> = {},
): LedgerEvent => ({
  id: `e${String(++serial).padStart(3, '0')}`,
  lotId: 'A',
  kind,
  quantityThousandths: quantity,
  occurredAt: at(day),
  reason: null,
  voids: null,
  ...more,
});
const byLot = (events: readonly LedgerEvent[]): LedgerEvent[][] => {
  const lots = new Map<string, LedgerEvent[]>();
  for (const one of events) lots.set(one.lotId, [...(lots.get(one.lotId) ?? []), one]);
  return [...lots.values()];
};
const digestOf = (events: readonly LedgerEvent[]) => readDigest(rebuildUse(ITEM, byLot(events)).digest);
const hexOf = (events: readonly LedgerEvent[]): string =>
  Buffer.from(writeDigest(digestOf(events)), 'base64').toString('hex');
const cellsOf = (events: readonly LedgerEvent[]): [number, number[]][] =>
  [...digestOf(events).days].map(([day, cell]): [number, number[]] => [day - DAY0, cell]).sort(([a], [b]) => a - b);

const inOrder = (): LedgerEvent[] => [event('put_in', 0, 6000), event('taken', 3, 2000), event('counted', 10, 3000)];

describe('the use digest: anchors, computed by a second program from the description', () => {
  it('begins its days on 2026-01-05', () => {
    expect(dayNumberOf('2026-01-05T00:00:00.000Z')).toBe(DAY0);
    expect(dayNumberOf('2026-01-05T23:59:59.999Z')).toBe(DAY0);
  });
  it('six in, two taken, three found: one short', () => {
    expect(hexOf(inOrder())).toBe('f59f01e807030000c12e0c6204f8010102');
    expect(cellsOf(inOrder())).toEqual([
      [0, [6000, 0, 0, 0, 0]],
      [3, [0, 2000, 0, 0, 0]],
      [10, [0, 0, 0, -1000, 1]],
    ]);
    expect(bookOf(digestOf(inOrder()))).toBe(3000);
  });
  it('one taken that was told later explains what the count missed', () => {
    const events = inOrder();
    expect(cellsOf([...events, event('taken', 5, 1000)])).toContainEqual([10, [0, 0, 0, 0, 1]]);
  });
  it('moving, throwing out and what comes back are no use and no purchase', () => {
    const events = [
      event('put_in', 0, 8000),
      event('moved_out', 1, 3000),
      event('moved_in', 1, 3000, { lotId: 'B' }),
      event('discarded', 2, 1000, { reason: 'spoiled' }),
      event('taken', 3, 1000),
      event('put_in', 6, 1000, { reason: 'given_back' }),
    ];
    expect(cellsOf(events)).toEqual([
      [0, [8000, 0, 0, 0, 0]],
      [2, [0, 0, -1000, 0, 0]],
      [3, [0, 1000, 0, 0, 0]],
      [6, [0, 0, 1000, 0, 0]],
    ]);
  });
  it('goes into blocks after half a year, and into one number after two', () => {
    const digest = digestOf(inOrder());
    carryOn(digest, DAY0 + 220);
    // 28·⌊(20458 + 220 − 181)/28⌋ = 28·732
    expect(firstDayOf(DAY0 + 220)).toBe(20_496);
    expect([...digest.days]).toEqual([]);
    expect([...digest.blocks.values()]).toEqual([
      [6000, 2000, 0, 0, 0],
      [0, 0, 0, -1000, 1],
    ]);
    carryOn(digest, DAY0 + 900);
    expect([digest.carry, digest.blocks.size, bookOf(digest)]).toEqual([3000, 0, 3000]);
  });
  it('takes at most 460 bytes for a thing of daily use, and 540 with a count each week as well', () => {
    const daily = Array.from({ length: 700 }, (_, day) => [
      event('taken', day, 1000 * (1 + (day % 3))),
      ...(day % 14 === 0 ? [event('put_in', day, 28_000)] : []),
    ]).flat();
    const counted = Array.from({ length: 100 }, (_, week) => event('counted', week * 7, 5000));
    const bytes = (events: readonly LedgerEvent[]): number =>
      Buffer.from(writeDigest(digestOf(events)), 'base64').length;
    expect(bytes(daily)).toBeLessThanOrEqual(460);
    expect(bytes([...daily, ...counted])).toBeLessThanOrEqual(540);
  });
  it('does not read half a digest', () => {
    expect(() => readDigest('9Z8=')).toThrow(RangeError);
  });
});

const KINDS = [
  'put_in',
  'moved_in',
  'taken',
  'taken',
  'moved_out',
  'discarded',
  'counted',
  'counted',
  'voided',
  'voided',
] as const;
/** Three lots, three years, some at the same minute; takings-back of anything, also of takings-back. */
const ledgers = fc
  .array(
    fc.record({
      lot: fc.integer({ min: 0, max: 2 }),
      kind: fc.constantFrom(...KINDS),
      halves: fc.integer({ min: 0, max: 12 }),
      minute: fc.oneof(fc.integer({ min: 0, max: 1_584_000 }), fc.integer({ min: 0, max: 20 })),
      target: fc.nat(),
      back: fc.boolean(),
    }),
    { minLength: 1, maxLength: 40 },
  )
  .map((raw) => {
    const events: LedgerEvent[] = [];
    for (const [n, { lot, kind, halves, minute, target, back }] of raw.entries()) {
      const voided = kind === 'voided' && n > 0 ? events[target % n]! : null;
      const own = kind === 'voided' && !voided ? 'put_in' : kind;
      events.push({
        id: `e${String((n * 7919) % 1000).padStart(3, '0')}_${n}`,
        lotId: voided?.lotId ?? `l${lot}`,
        kind: own,
        quantityThousandths: halves * 500,
        occurredAt: new Date(DAY0 * 86_400_000 + minute * 60_000).toISOString(),
        reason: own === 'put_in' && back ? 'given_back' : null,
        voids: voided?.id ?? null,
      });
    }
    return events;
  });

describe('the use digest: any order', () => {
  it('folded in any order, with repeats, is the row rebuilt from the sorted ledger, byte for byte', () => {
    fc.assert(
      fc.property(ledgers, fc.array(fc.nat(), { minLength: 40, maxLength: 40 }), (events, keys) => {
        const order = events.map((one, n) => [keys[n]!, one] as const).sort(([a], [b]) => a - b);
        const known = new Map<string, LedgerEvent[]>();
        let row = rebuildUse(ITEM, []);
        for (const [, one] of [...order, ...order.slice(0, 3)]) {
          const before = known.get(one.lotId) ?? [];
          const after = before.some(({ id }) => id === one.id) ? before : [...before, one];
          row = refoldUse(row, ITEM, before, after);
          known.set(one.lotId, after);
        }
        const rebuilt = rebuildUse(ITEM, byLot(events));
        expect(row.digest).toBe(rebuilt.digest);
        const digest = readDigest(row.digest);
        expect(writeDigest(digest)).toBe(row.digest);
        const books = byLot(events).map((lot) => foldLedger(lot).bookThousandths!);
        expect(bookOf(digest)).toBe(books.reduce((sum, book) => sum + book, 0));
      }),
      { numRuns: 400, seed: 11 },
    );
  });
  it('is continued on a device to the same bytes: events in order, and late ones with one count after them', () => {
    fc.assert(
      fc.property(ledgers, fc.nat(), (all, cut) => {
        const sorted = all
          .filter(({ kind }) => kind !== 'voided')
          .sort((a, b) =>
            a.occurredAt === b.occurredAt ? (a.id < b.id ? -1 : 1) : a.occurredAt < b.occurredAt ? -1 : 1,
          );
        fc.pre(sorted.length > 1);
        const here = sorted.slice(0, 1 + (cut % (sorted.length - 1)));
        const countsAfter = (one: LedgerEvent): number =>
          here.slice(here.indexOf(one) + 1).filter(({ kind, lotId }) => kind === 'counted' && lotId === one.lotId)
            .length;
        const late = here.filter((one) => one.kind !== 'counted' && countsAfter(one) <= 1).slice(0, 2);
        const server = here.filter((one) => !late.includes(one));
        const balances = new Map(byLot(server).map((lot) => [lot[0]!.lotId, foldLedger(lot)]));
        let row = rebuildUse(ITEM, byLot(server));
        const waiting = [...late, ...sorted.slice(here.length)];
        const folded = [...server];
        for (const one of waiting) {
          row = continueUse(row, ITEM, balances.get(one.lotId) ?? foldLedger([]), one);
          folded.push(one);
          balances.set(one.lotId, foldLedger(folded.filter(({ lotId }) => lotId === one.lotId)));
        }
        expect(row.digest).toBe(rebuildUse(ITEM, byLot(sorted)).digest);
      }),
      { numRuns: 400, seed: 12 },
    );
  });
});
