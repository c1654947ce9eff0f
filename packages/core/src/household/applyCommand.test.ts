import fc from 'fast-check';
import { applyCommand } from './applyCommand';
import type { Command, Op } from './command';
import { invertCommand } from './invertCommand';
import { HouseholdState } from './HouseholdState';
import {
  AS_ADULT,
  binFields,
  idMaker,
  itemFields,
  lotFields,
  sampleHome,
  shelfFields,
  spaceFields,
} from './sampleHome.test-support';
import { writeCode } from '../base/nookCode';
import { opsForCounting, opsForMoving, opsForPuttingIn, opsForTaking, type OpContext } from '../stock/stockOps';

const NOW = '2026-11-24T08:00:00.000Z';
const command = (...ops: Op[]): Command => ({ id: 'c', intent: 'tested', occurredAt: NOW, ops });

function run(state: HouseholdState, ops: Op[]): string {
  const applied = applyCommand(state, command(...ops), AS_ADULT);
  if (!applied.ok) return applied.refusal.kind;
  for (const row of applied.changed) state.put(row);
  return 'ok';
}

describe('applyCommand', () => {
  it.each<[string, Op[], string]>([
    [
      'a new space needs its room',
      [
        {
          op: 'create',
          entity: 'space',
          id: 's',
          fields: spaceFields({ roomId: 'nowhere', code: writeCode('CE', '') }),
        },
      ],
      'parent_missing',
    ],
    [
      'a new shelf',
      [{ op: 'create', entity: 'shelf', id: 's', fields: shelfFields({ code: writeCode('BL1', 'C') }) }],
      'ok',
    ],
    ['an id already there', [{ op: 'create', entity: 'item', id: 'lanterns', fields: itemFields() }], 'id_taken'],
    ['a code already there', [{ op: 'create', entity: 'bin', id: 'x', fields: binFields() }], 'code_taken'],
    ['an unknown row', [{ op: 'change', entity: 'bin', id: 'nobody', fields: { name: 'x' } }], 'unknown_id'],
    ['an id of another kind', [{ op: 'change', entity: 'bin', id: 'rack', fields: { name: 'x' } }], 'unknown_id'],
    ['retiring a bin with stock in it', [{ op: 'retire', entity: 'bin', id: 'bin' }], 'holds_stock'],
    ['retiring a shelf with bins on it', [{ op: 'retire', entity: 'shelf', id: 'top' }], 'holds_stock'],
    ['retiring an item that is in stock', [{ op: 'retire', entity: 'item', id: 'lanterns' }], 'holds_stock'],
    ['retiring an empty bin', [{ op: 'retire', entity: 'bin', id: 'bin2' }], 'ok'],
    [
      'retiring after the stock went elsewhere',
      [
        { op: 'change', entity: 'lot', id: 'lot', fields: { nookId: 'bin2' } },
        { op: 'retire', entity: 'bin', id: 'bin' },
      ],
      'ok',
    ],
    [
      'a lot in a retired bin',
      [
        { op: 'retire', entity: 'bin', id: 'bin2' },
        { op: 'create', entity: 'lot', id: 'l2', fields: lotFields({ nookId: 'bin2' }) },
      ],
      'parent_missing',
    ],
    [
      'a bin into itself',
      [{ op: 'change', entity: 'bin', id: 'bin', fields: { parentBinId: 'bin' } }],
      'would_contain_itself',
    ],
    [
      'two bins into each other',
      [
        { op: 'change', entity: 'bin', id: 'bin', fields: { parentBinId: 'bin2' } },
        { op: 'change', entity: 'bin', id: 'bin2', fields: { parentBinId: 'bin' } },
      ],
      'would_contain_itself',
    ],
  ])('%s: %#', (_, ops, outcome) => {
    expect(run(sampleHome(), ops)).toBe(outcome);
  });

  it('changes nothing at all when one operation is refused', () => {
    const state = sampleHome();
    const applied = applyCommand(
      state,
      command(
        { op: 'change', entity: 'bin', id: 'bin', fields: { name: 'other' } },
        { op: 'retire', entity: 'shelf', id: 'top' },
      ),
      AS_ADULT,
    );
    expect(applied.ok).toBe(false);
    expect(state.get('bin', 'bin')?.name).toBe('paper lanterns');
  });

  it('moves a bin with the bins in it', () => {
    const state = sampleHome();
    run(state, [{ op: 'change', entity: 'bin', id: 'bin2', fields: { parentBinId: 'bin' } }]);
    run(state, [{ op: 'change', entity: 'bin', id: 'bin', fields: { shelfId: 'low' } }]);
    expect(state.get('bin', 'bin2')).toMatchObject({ shelfId: 'low', parentBinId: 'bin' });
    expect(state.binsIn('low').map((bin) => bin.id)).toEqual(['bin']);
    expect(state.lotsIn('bin').map((lot) => lot.id)).toEqual(['lot']);
  });

  it('gives a freed code to another nook', () => {
    const state = sampleHome();
    run(state, [{ op: 'retire', entity: 'bin', id: 'bin2' }]);
    expect(
      run(state, [{ op: 'create', entity: 'bin', id: 'x', fields: binFields({ code: writeCode('BL1', 'A2') }) }]),
    ).toBe('ok');
    expect(run(state, [{ op: 'restore', entity: 'bin', id: 'bin2' }])).toBe('code_taken');
  });
});

const total = (state: HouseholdState): number =>
  state.all('lot').reduce((sum, lot) => sum + lot.quantityThousandths, 0);

describe('stock operations on a home', () => {
  it('moves conserve quantity, and every command is taken back exactly by its inverse', () => {
    const step = fc.record({
      what: fc.constantFrom('take', 'put', 'move', 'count'),
      amount: fc.integer({ min: 1, max: 30_000 }),
      to: fc.constantFrom('bin', 'bin2', 'low'),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const state = sampleHome();
        const newId = idMaker();
        let second = 0;
        for (const { what, amount, to } of steps) {
          const context: OpContext = {
            newId,
            now: `2026-11-24T09:00:${String(second++).padStart(2, '0')}.000Z`,
            today: '2026-11-24',
          };
          const lot = state.all('lot').find((one) => one.quantityThousandths > 0);
          const before = total(state);
          const ops = !lot
            ? opsForPuttingIn(lotFields({ nookId: to }), amount, state.lotsIn(to), context)
            : what === 'take'
              ? opsForTaking([lot], Math.min(amount, lot.quantityThousandths), context)
              : what === 'put'
                ? opsForPuttingIn(lotFields({ nookId: to }), amount, state.lotsIn(to), context)
                : what === 'move'
                  ? opsForMoving(lot, amount, to, state.lotsIn(to), context)
                  : opsForCounting(lot, amount, context);
          const done = { ...command(...ops), id: newId() };
          const undo = invertCommand(state, done, { newId, now: context.now });
          const beforeRows = state.all('lot').map((one) => [one.id, one.quantityThousandths]);
          expect(run(state, ops)).toBe('ok');
          if (what === 'move' && lot) expect(total(state)).toBe(before);
          const changed = total(state);
          const redo = invertCommand(state, undo, { newId, now: context.now });
          expect(run(state, undo.ops)).toBe('ok');
          expect(
            state
              .all('lot')
              .filter((one) => one.quantityThousandths > 0 || beforeRows.some(([id]) => id === one.id))
              .map((one) => [one.id, one.quantityThousandths]),
          ).toEqual(beforeRows);
          expect(run(state, redo.ops)).toBe('ok');
          expect(total(state)).toBe(changed);
        }
      }),
      { seed: 7, numRuns: 200 },
    );
  });

  it('puts former values back', () => {
    const state = sampleHome();
    const done = command({
      op: 'change',
      entity: 'bin',
      id: 'bin',
      fields: { name: 'storm lanterns', shelfId: 'low' },
    });
    const undo = invertCommand(state, done, { newId: idMaker(), now: NOW });
    run(state, done.ops);
    run(state, undo.ops);
    expect(state.get('bin', 'bin')).toMatchObject({ name: 'paper lanterns', shelfId: 'top' });
    expect(undo.undoes).toBe('c');
  });
});
