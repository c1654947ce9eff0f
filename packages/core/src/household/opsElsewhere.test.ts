import { applyCommand } from './applyCommand';
import type { Command, Op } from './command';
import { touchedBy, type Touched } from './touchedBy';
import { opsElsewhere } from './opsElsewhere';
import { AS_ADULT, idMaker, itemFields, lotFields, sampleHome } from './sampleHome.test-support';

const NOW = '2026-11-24T08:00:00.000Z';
const command = (...ops: Op[]): Command => ({ id: 'c', intent: 'tested', occurredAt: NOW, ops });
const put = (lotId: string, kind: 'put_in' | 'taken' | 'counted' = 'put_in', pieces = 3): Op => ({
  op: 'event',
  event: {
    id: `e-${kind}`,
    lotId,
    kind,
    quantityThousandths: pieces * 1000,
    occurredAt: NOW,
    reason: null,
    voids: null,
  },
});
const STONES: Op[] = [
  { op: 'create', entity: 'item', id: 'stones', fields: itemFields({ name: 'River stones' }) },
  { op: 'create', entity: 'lot', id: 'new', fields: lotFields({ itemId: 'stones', nookId: 'bin2' }) },
  put('new'),
];

/** bin2 has been retired meanwhile; an empty lot of lanterns is still listed in it. */
function homeWithoutBin2() {
  const home = sampleHome();
  home.put({ entity: 'bin', row: { ...home.get('bin', 'bin2')!, retired: true } });
  home.put({ entity: 'lot', row: { ...home.get('lot', 'lot')!, id: 'lot2', nookId: 'bin2', quantityThousandths: 0 } });
  return home;
}

describe('a command whose place is gone', () => {
  const LANTERNS = 'Paper lanterns, midsummer';
  it.each<[string, Op[], Partial<Extract<Touched, { kind: 'amount' }>>, string]>([
    ['a new thing', STONES, { item: 'River stones', how: 'in', quantityThousandths: 3000 }, 'bin2'],
    ['more of a thing', [put('lot2')], { item: LANTERNS, how: 'in', quantityThousandths: 3000 }, 'bin2'],
    ['a count', [put('lot2', 'counted', 2)], { how: 'counted', quantityThousandths: 2000 }, 'bin2'],
    ['a taking', [put('lot', 'taken', 1)], { item: LANTERNS, how: 'out', quantityThousandths: 1000 }, 'bin'],
  ])('%s is told as what it was', (_, ops, amount, binId) => {
    const home = homeWithoutBin2();
    const amounts = touchedBy(home, command(...ops)).filter(({ kind }) => kind === 'amount');
    expect(amounts).toEqual([expect.objectContaining({ ...amount, code: home.get('bin', binId)!.code })]);
  });

  it.each<[string, Op[], number]>([
    ['a new thing', STONES, 3],
    ['more of a thing that was there', [put('lot2')], 3],
    ['more, then a count', [put('lot2'), put('lot2', 'counted', 2)], 2],
  ])('%s goes to another place', (_, ops, pieces) => {
    const home = homeWithoutBin2();
    const refused = applyCommand(home, command(...ops), AS_ADULT);
    expect(refused.ok).toBe(false);
    const elsewhere = opsElsewhere(home, command(...ops), 'bin2', 'low', idMaker());
    const applied = applyCommand(home, command(...elsewhere), AS_ADULT);
    if (!applied.ok) throw new Error(applied.refusal.kind);
    for (const row of applied.changed) home.put(row);
    expect(home.lotsIn('low').map((lot) => lot.quantityThousandths)).toEqual([pieces * 1000]);
  });
});
