import type { Op } from './command';
import { invertCommand } from './invertCommand';
import { idMaker, sampleHome } from './sampleHome.test-support';

const now = '2026-11-24T08:00:00.000Z';
const inverse = (ops: Op[]) =>
  invertCommand(sampleHome(), { id: 'c', intent: 't', occurredAt: now, ops }, { newId: idMaker(), now });

describe('taking a command back', () => {
  it('names what it takes back, and is a command of its own', () => {
    expect(inverse([])).toMatchObject({ intent: 'undone', occurredAt: now, undoes: 'c', ops: [] });
  });
  it('what was removed comes back, what came back is removed', () => {
    const ops: Op[] = [
      { op: 'retire', entity: 'bin', id: 'bin' },
      { op: 'restore', entity: 'shelf', id: 'top' },
    ];
    expect(inverse(ops).ops).toEqual([
      { op: 'retire', entity: 'shelf', id: 'top' },
      { op: 'restore', entity: 'bin', id: 'bin' },
    ]);
  });
  it('a field changed twice gets its first value, in reverse order; a row that is not there is left alone', () => {
    const ops: Op[] = [
      { op: 'change', entity: 'bin', id: 'bin', fields: { name: 'one' } },
      { op: 'change', entity: 'bin', id: 'bin', fields: { name: 'two' } },
      { op: 'change', entity: 'bin', id: 'gone', fields: { name: 'x' } },
    ];
    expect(inverse(ops).ops.map((op) => 'fields' in op && op.fields)).toEqual([
      { name: 'one' },
      { name: sampleHome().get('bin', 'bin')!.name },
    ]);
  });
});
