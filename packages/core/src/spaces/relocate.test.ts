import { applyCommand } from '../household/applyCommand';
import type { Op } from '../household/command';
import { AS_ADULT, sampleHome } from '../household/sampleHome.test-support';
import { nooksWithin, opsForMovingBin, opsForRetiringNook, placeOf } from './relocate';

function run(state: ReturnType<typeof sampleHome>, ops: Op[]): string {
  const applied = applyCommand(state, { id: 'c', intent: 't', occurredAt: '2026-11-24T08:00:00.000Z', ops }, AS_ADULT);
  if (!applied.ok) return applied.refusal.kind;
  for (const row of applied.changed) state.put(row);
  return 'ok';
}

describe('moving and retiring places', () => {
  it('knows where a bin comes to stand', () => {
    const state = sampleHome();
    expect(placeOf(state, 'low')).toEqual({ shelfId: 'low', parentBinId: null });
    expect(placeOf(state, 'bin')).toEqual({ shelfId: 'top', parentBinId: 'bin' });
    expect(placeOf(state, 'rack')).toEqual({ shelfId: 'top', parentBinId: null });
    expect(placeOf(state, 'nowhere')).toBeNull();
  });

  it('puts a moved bin last in its new row, never into itself', () => {
    const state = sampleHome();
    expect(run(state, opsForMovingBin(state, state.get('bin', 'bin')!, 'bin2'))).toBe('ok');
    expect(nooksWithin(state, 'rack')).toEqual(['rack', 'top', 'bin2', 'bin', 'low']);
    expect(opsForMovingBin(state, state.get('bin', 'bin2')!, 'bin')).toEqual([]);
  });

  it('asks where the stock goes before anything is retired', () => {
    const state = sampleHome();
    expect(opsForRetiringNook(state, 'bin', null)).toBeNull();
    expect(opsForRetiringNook(state, 'top', 'bin')).toBeNull();
    expect(run(state, opsForRetiringNook(state, 'bin2', null)!)).toBe('ok');
    expect(run(state, opsForRetiringNook(state, 'top', 'low')!)).toBe('ok');
    expect(state.binsIn('low').map(({ id }) => id)).toEqual(['bin']);
    expect(state.lotsIn('bin')).toHaveLength(1);
    expect(state.shelvesOf('rack').map(({ id }) => id)).toEqual(['low']);
  });

  it('retires a space with its shelves once it is empty', () => {
    const state = sampleHome();
    run(state, [
      { op: 'change', entity: 'lot', id: 'lot', fields: { nookId: 'bin2' } },
      { op: 'retire', entity: 'bin', id: 'bin' },
    ]);
    expect(opsForRetiringNook(state, 'rack', null)).toBeNull();
    run(state, [
      {
        op: 'event',
        event: {
          id: 'e',
          lotId: 'lot',
          kind: 'counted',
          quantityThousandths: 0,
          occurredAt: '2026-11-24T09:00:00.000Z',
          reason: null,
          voids: null,
        },
      },
      { op: 'retire', entity: 'bin', id: 'bin2' },
    ]);
    expect(run(state, opsForRetiringNook(state, 'rack', null)!)).toBe('ok');
    expect(state.all('space')).toEqual([]);
  });
});
