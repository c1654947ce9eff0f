import type { LedgerEvent } from './ledger';
import type { Op } from './command';
import { sampleHome } from './sampleHome.test-support';
import { touchedBy, type Touched } from './touchedBy';

const event = (kind: LedgerEvent['kind'], quantity: number, lotId = 'lot'): Op => ({
  op: 'event',
  event: {
    id: `${kind}${quantity}`,
    lotId,
    kind,
    quantityThousandths: quantity * 1000,
    occurredAt: '',
    reason: null,
    voids: null,
  },
});
const touched = (...ops: Op[]): Touched[] => touchedBy(sampleHome(), { id: 'c', intent: 't', occurredAt: '', ops });
const code = sampleHome().get('bin', 'bin')!.code;
const lanterns = (how: 'in' | 'out' | 'counted', pieces: number): Touched => ({
  kind: 'amount',
  item: 'Paper lanterns, midsummer',
  unit: 'piece',
  how,
  quantityThousandths: pieces * 1000,
  code,
});

describe('what a command touches', () => {
  it.each<[string, Op, Touched]>([
    ['taken', event('taken', 2), lanterns('out', 2)],
    ['put in', event('put_in', 1), lanterns('in', 1)],
    ['counted', event('counted', 5), lanterns('counted', 5)],
    ['discarded', event('discarded', 1), lanterns('out', 1)],
    ['taken back, it comes in again', event('voided', 3), lanterns('in', 3)],
    ['taken back, it goes again', event('voided', -3), lanterns('out', 3)],
    [
      'a renamed bin',
      { op: 'change', entity: 'bin', id: 'bin', fields: { name: 'x' } },
      { kind: 'row', title: `paper lanterns ${code}` },
    ],
    ['a room', { op: 'retire', entity: 'room', id: 'loft' }, { kind: 'row', title: 'Boat loft' }],
  ])('%s', (_, op, one) => expect(touched(op)).toEqual([one]));

  it('leaves out what it does not know, repeats, and all beyond six', () => {
    expect(touched(event('taken', 1, 'nobody'), { op: 'retire', entity: 'bin', id: 'nobody' })).toEqual([]);
    expect(touched(event('taken', 1), event('taken', 1))).toHaveLength(1);
    expect(touched(...Array.from({ length: 9 }, (_, at) => event('taken', at + 1)))).toHaveLength(6);
  });

  it('a move of a lot alone touches nothing of its own', () => {
    expect(touched({ op: 'change', entity: 'lot', id: 'lot', fields: { nookId: 'bin2' } })).toEqual([]);
  });
});
