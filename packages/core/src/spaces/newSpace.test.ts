import fc from 'fast-check';
import { codeShape, codeTail, readCode } from '../base';
import { applyCommand, HouseholdState, SPACE_KINDS } from '../household';
import { AS_ADULT, idMaker, sampleHome } from '../household/sampleHome.test-support';
import { binNamesIn, MOST_SHELVES, opsForNewSpace, shelfKindsOf, USUAL_SHELVES, type NewSpace } from './newSpace';

const closet = (more: Partial<NewSpace> = {}): NewSpace => ({
  name: 'Linen closet',
  kind: 'closet',
  count: 3,
  widthTenthMm: 9200,
  heightTenthMm: null,
  depthTenthMm: null,
  bins: [['towels', 'guests'], [], ['blankets']],
  ...more,
});

/** The home after a new space was made in its loft; throws when the rules refuse it. */
function homeWith(wanted: NewSpace): { state: HouseholdState; spaceId: string } {
  const state = sampleHome();
  const { spaceId, ops } = opsForNewSpace(wanted, { roomId: 'loft', sort: 1 }, state.codesInUse(), idMaker());
  const applied = applyCommand(
    state,
    { id: 'c', intent: 'space_added', occurredAt: '2026-11-24T10:00:00.000Z', ops },
    AS_ADULT,
  );
  if (!applied.ok) throw new Error(applied.refusal.kind);
  for (const row of applied.changed) state.put(row);
  return { state, spaceId };
}

describe('a new space', () => {
  it('has its shelves from the top and its first bins on them, from left to right', () => {
    const { state, spaceId } = homeWith(closet());
    const shelves = state.shelvesOf(spaceId);
    expect(shelves.map(({ code }) => codeTail(code))).toEqual(['A', 'B', 'C']);
    expect(shelves.map(({ id }) => state.binsIn(id).map(({ name, code }) => `${codeTail(code)} ${name}`))).toEqual([
      ['A1 towels', 'A2 guests'],
      [],
      ['C1 blankets'],
    ]);
    expect(state.get('space', spaceId)).toMatchObject({ widthTenthMm: 9200, heightTenthMm: null, kind: 'closet' });
  });

  it.each([
    ['chest_freezer', 1, ['hanging_basket', 'hanging_basket', 'floor']],
    ['refrigerator', 2, ['shelf', 'shelf', 'door_rack', 'door_rack', 'door_rack']],
    ['drawer_unit', 0, []],
  ] as const)('a %s with %i has %j', (kind, count, kinds) => expect(shelfKindsOf(kind, count)).toEqual(kinds));

  it.each(SPACE_KINDS)('the usual %s is accepted by the rules', (kind) => {
    const { state, spaceId } = homeWith(closet({ kind, count: USUAL_SHELVES[kind].count, bins: [] }));
    expect(state.shelvesOf(spaceId)).toHaveLength(shelfKindsOf(kind, USUAL_SHELVES[kind].count).length);
  });

  it('whatever is asked for, every code is valid and none is taken for another', () => {
    const names = fc.array(fc.stringMatching(/^[a-z]{1,12}$/), { maxLength: 12 });
    fc.assert(
      fc.property(
        fc.constantFrom(...SPACE_KINDS),
        fc.integer({ min: 0, max: MOST_SHELVES }),
        fc.array(names, { maxLength: MOST_SHELVES }),
        fc.string({ maxLength: 30 }),
        (kind, count, bins, name) => {
          const inUse = sampleHome().codesInUse();
          const { ops } = opsForNewSpace(
            closet({ kind, count, bins, name }),
            { roomId: 'r', sort: 0 },
            inUse,
            idMaker(),
          );
          const codes = ops.flatMap((op) =>
            op.op === 'create' && 'code' in op.fields ? [String(op.fields.code)] : [],
          );
          const shapes = new Set(codes.map(codeShape));
          expect(shapes.size).toBe(codes.length);
          for (const code of codes) expect(readCode(code).kind).toBe('valid');
          for (const shape of shapes) expect(inUse.shapes.has(shape)).toBe(false);
        },
      ),
      { numRuns: 60, seed: 20261126 },
    );
  });
});

describe('names of bins in a line', () => {
  it.each([
    ['towels, sheets', ['towels', 'sheets']],
    [' , towels ,, ', ['towels']],
    ['', []],
    ['x'.repeat(200), ['x'.repeat(120)]],
  ])('%j', (text, names) => expect(binNamesIn(text)).toEqual(names));
});
