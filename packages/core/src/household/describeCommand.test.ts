import type { LedgerEvent } from './ledger';
import type { Command, Op } from './command';
import { describeCommand } from './describeCommand';
import { sampleHome } from './sampleHome.test-support';

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
const describe1 = (...ops: Op[]): string[] => {
  const command: Command = { id: 'c', intent: 't', occurredAt: '', ops };
  return describeCommand(sampleHome(), command);
};
const code = sampleHome().get('bin', 'bin')!.code;

describe('what history says about a command', () => {
  it.each<[string, Op, string]>([
    ['taken', event('taken', 2), `Paper lanterns, midsummer −2 pieces, ${code}`],
    ['put in', event('put_in', 1), `Paper lanterns, midsummer +1 piece, ${code}`],
    ['counted', event('counted', 5), `Paper lanterns, midsummer = 5 pieces, ${code}`],
    ['discarded', event('discarded', 1), `Paper lanterns, midsummer −1 piece, ${code}`],
    ['taken back, it comes in again', event('voided', 3), `Paper lanterns, midsummer +3 pieces, ${code}`],
    ['taken back, it goes again', event('voided', -3), `Paper lanterns, midsummer −3 pieces, ${code}`],
    ['a renamed bin', { op: 'change', entity: 'bin', id: 'bin', fields: { name: 'x' } }, `paper lanterns ${code}`],
    ['a room', { op: 'retire', entity: 'room', id: 'loft' }, 'Boat loft'],
  ])('%s', (_, op, line) => expect(describe1(op)).toEqual([line]));

  it('leaves out what it does not know, repeats, and all beyond six lines', () => {
    expect(describe1(event('taken', 1, 'nobody'), { op: 'retire', entity: 'bin', id: 'nobody' })).toEqual([]);
    expect(describe1(event('taken', 1), event('taken', 1))).toHaveLength(1);
    expect(describe1(...Array.from({ length: 9 }, (_, at) => event('taken', at + 1)))).toHaveLength(6);
  });

  it('a move of a lot alone says nothing of its own', () => {
    expect(describe1({ op: 'change', entity: 'lot', id: 'lot', fields: { nookId: 'bin2' } })).toEqual([]);
  });
});
