import { heirloomFields } from './heirloom.test-support';
import { applyCommand } from './applyCommand';
import type { Command, Op } from './command';
import { touchedBy } from './touchedBy';
import { invertCommand } from './invertCommand';
import { AS_ADULT, idMaker, sampleHome } from './sampleHome.test-support';

const command = (...ops: unknown[]): Command => ({
  id: 'c',
  intent: 'tested',
  occurredAt: '2026-11-24T08:00:00.000Z',
  ops: ops as Op[],
});
const create = (lotId: string) => ({ op: 'create', entity: 'heirloom', id: 'compass', fields: heirloomFields(lotId) });

describe('a kind that was defined a moment ago', () => {
  it('holds to the rules, is found, told and taken back', () => {
    const state = sampleHome();
    const refused = applyCommand(state, command(create('nowhere')), AS_ADULT);
    expect(refused).toMatchObject({ ok: false, refusal: { kind: 'parent_missing', entity: 'heirloom' } });
    const made = command(create('lot'));
    const undo = invertCommand(state, made, { newId: idMaker(), now: made.occurredAt });
    const applied = applyCommand(state, made, AS_ADULT);
    if (!applied.ok) throw new Error(applied.refusal.kind);
    for (const row of applied.changed) state.put(row);
    expect(state.get('heirloom' as never, 'compass')).toMatchObject({ name: 'Brass compass', retired: false, seq: 2 });
    expect(state.contentsOf('lot').map(({ row }) => row.id)).toEqual(['compass']);
    expect(touchedBy(state, made)).toEqual([{ kind: 'row', title: 'Brass compass' }]);
    expect(undo.ops).toEqual([{ op: 'retire', entity: 'heirloom', id: 'compass' }]);
  });
});
