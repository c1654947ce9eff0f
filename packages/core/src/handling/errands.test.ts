import { applyCommand, HouseholdState, type Op } from '../household';
import { AS_ADULT, idMaker, sampleRows } from '../household/sampleHome.test-support';
import {
  errandsOf,
  isOpen,
  leaveOf,
  opsForAccepting,
  opsForErrand,
  opsForLeaving,
  opsForPuttingBack,
  whereIs,
} from './errands';
import { homeOf, shelf, unit } from './handling.test-support';
import type { ProposedMove } from './moves';

const newId = idMaker();
const context = { newId, now: '2026-11-26T08:00:00.000Z', today: '2026-11-26' };
const run = (state: HouseholdState, ops: Op[]): void => {
  const applied = applyCommand(state, { id: newId(), intent: 'test', occurredAt: context.now, ops }, AS_ADULT);
  if (!applied.ok) throw new Error(JSON.stringify(applied));
  for (const row of applied.changed) state.put(row);
};

function start(): { state: HouseholdState; binId: string; from: string; to: string } {
  const state = new HouseholdState();
  for (const tagged of sampleRows()) state.put(tagged);
  const bin = state.all('bin')[0]!;
  const to = newId();
  const other = state.get('shelf', bin.shelfId)!;
  run(state, [
    {
      op: 'create',
      entity: 'shelf',
      id: to,
      fields: {
        spaceId: other.spaceId,
        name: 'other',
        kind: other.kind,
        code: `${other.code.split('-')[0]}-ZK`,
        sort: 9,
        leftTenthMm: null,
        bottomTenthMm: null,
        widthTenthMm: null,
        heightTenthMm: null,
        depthTenthMm: null,
      },
    } as Op,
  ]);
  return { state, binId: bin.id, from: bin.shelfId, to };
}

describe('the walk list', () => {
  const moveOf = (): ProposedMove => ({
    carries: [{ unit: 0, from: 0, to: 1 }],
    stray: null,
    lead: 0,
    ring: false,
    safety: false,
    savedMinutes: 4.5,
    onceMinutes: 3,
    before: null,
    after: null,
  });
  const homeWith = (binId: string, from: string, to: string, uses = 1) =>
    homeOf([unit({ binId, origin: 0, allowed: [0, 1], uses })], [shelf({ shelfId: from }), shelf({ shelfId: to })]);

  it('what was accepted is carried once, and can be put back as one', () => {
    const { state, binId, from, to } = start();
    run(state, opsForAccepting(state, homeWith(binId, from, to), [moveOf()], context));
    const [errand, ...none] = errandsOf(state);
    expect(none).toEqual([]);
    expect(errand).toMatchObject({ subjectId: binId, fromNookId: from, toNookId: to, savedMinutes: 4.5, doneOn: null });
    run(state, opsForErrand(state, errand!, context));
    expect(whereIs(state, binId)).toBe(to);
    const [done] = errandsOf(state);
    expect(done).toMatchObject({ doneOn: '2026-11-26' });
    expect(isOpen(state, done!)).toBe(false);
    expect(opsForErrand(state, done!, context)).toEqual([]);
    run(state, opsForPuttingBack(state, errandsOf(state), context));
    expect(whereIs(state, binId)).toBe(from);
    expect(errandsOf(state)).toEqual([]);
  });

  it('what somebody has carried elsewhere meanwhile is no errand any more', () => {
    const { state, binId, from, to } = start();
    run(state, opsForAccepting(state, homeWith(binId, from, to), [moveOf()], context));
    run(state, [{ op: 'change', entity: 'bin', id: binId, fields: { shelfId: to } } as Op]);
    const [errand] = errandsOf(state);
    expect(isOpen(state, errand!)).toBe(false);
    expect(opsForErrand(state, errand!, context)).toEqual([]);
  });

  it('left as it is until what it rested on has changed', () => {
    const { state, binId, from, to } = start();
    const home = homeWith(binId, from, to);
    run(state, opsForLeaving(home, moveOf(), context));
    expect(leaveOf(state.all('as_it_is'), home)).toEqual(new Set([`${binId} > ${to}`]));
    // It is taken from daily now: that is another question.
    expect(leaveOf(state.all('as_it_is'), homeWith(binId, from, to, 30))).toEqual(new Set());
    expect(leaveOf(state.all('as_it_is'), homeOf([], []))).toEqual(new Set());
  });
});
