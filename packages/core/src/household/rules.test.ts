import { codeReadingAlike } from './codes.test-support';
import { AS_ADULT, binFields, itemFields, lotRow, sampleRows } from './sampleHome.test-support';
import { applyCommand, type RowReader } from './applyCommand';
import type { Command, Op } from './command';
import { HouseholdState } from './HouseholdState';
import { MOST_ROWS_PER_COMMAND } from '../base/limits';
import { definitionOf, ENTITIES, entityKinds, isEntityKind, referencesOf, type TaggedRow } from './registry';
import type { Actor } from '../definition/permissions';
import type { LedgerEvent } from './ledger';
import { writeCode } from '../base/nookCode';

const NOW = '2026-11-24T08:00:00.000Z';
const base = (id: string) => ({ id, seq: 1, retired: false });
const event = (id: string, more: Partial<LedgerEvent> = {}): Op => ({
  op: 'event',
  event: {
    id,
    lotId: 'lot',
    kind: 'put_in',
    quantityThousandths: 1000,
    occurredAt: NOW,
    reason: null,
    voids: null,
    ...more,
  },
});

/** As the server sees a home: what was retired too, and the history. */
class WholeHome extends HouseholdState {
  readonly events = new Map<string, LedgerEvent>();
  constructor() {
    super({ knowsRetired: true });
    for (const row of sampleRows()) this.put(row);
    this.put({
      entity: 'household',
      row: { ...base('home'), name: 'Ferry house', lengthUnit: 'metric', dateOrder: 'dmy' },
    });
    this.put({
      entity: 'bin',
      row: { ...base('gone'), ...binFields({ code: writeCode('BL1', 'A3') }), retired: true },
    });
    this.put({ entity: 'item', row: { ...base('oldItem'), ...itemFields(), retired: true } });
    this.put({ entity: 'lot', row: lotRow('lotInGone', { nookId: 'gone', quantityThousandths: 0 }) });
    this.put({ entity: 'lot', row: lotRow('lotOfOld', { itemId: 'oldItem', quantityThousandths: 0 }) });
    this.put({ entity: 'lot', row: lotRow('retiredLot', { quantityThousandths: 0, retired: true }) });
    this.put({ entity: 'lot', row: lotRow('lot2', { nookId: 'bin2', quantityThousandths: 0 }) });
    this.events.set('old', (event('old') as { event: LedgerEvent }).event);
  }
  override event(id: string) {
    return this.events.get(id) ?? null;
  }
  override wasApplied(id: string) {
    return id === 'known';
  }
}
const outcome = (
  ops: Op[],
  more: Partial<Command> = {},
  by: Actor = AS_ADULT.by,
  home: RowReader = new WholeHome(),
) => {
  const applied = applyCommand(home, { id: 'c', intent: 'tested', occurredAt: NOW, ops, ...more }, { seq: 2, by });
  return applied.ok ? 'ok' : applied.refusal.kind;
};

const plan = {
  spaceId: 'rack',
  name: 'Plan A',
  status: 'draft' as const,
  sort: 0,
  groups: [],
  shelves: [],
  placed: [],
  budgetMinor: null,
  family: null,
  moveShelves: true,
  seed: 1,
  bought: [],
};
const placed = {
  key: 'p0',
  containerId: 'nowhere',
  shelfId: 'top',
  cxTenthMm: 0,
  cyTenthMm: 0,
  liftTenthMm: 0,
  degrees: 0,
  group: null,
  locked: false,
  buy: false,
};

describe('rules that follow from the definitions', () => {
  it.each<[string, Op[], string]>([
    [
      'a plan of no space',
      [{ op: 'create', entity: 'plan', id: 'p', fields: { ...plan, spaceId: 'no' } }],
      'parent_missing',
    ],
    ['a plan', [{ op: 'create', entity: 'plan', id: 'p', fields: plan }], 'ok'],
    [
      'a plan with a container nobody knows',
      [{ op: 'create', entity: 'plan', id: 'p', fields: { ...plan, placed: [placed] } }],
      'parent_missing',
    ],
    [
      'a bought container nobody knows',
      [{ op: 'create', entity: 'plan', id: 'p', fields: { ...plan, bought: [{ containerId: 'no', count: 1 }] } }],
      'parent_missing',
    ],
    [
      'a clear-out of no space',
      [
        {
          op: 'create',
          entity: 'clear_out',
          id: 'c',
          fields: { spaceId: 'no', startedAt: NOW, minutes: null, finishedAt: null },
        },
      ],
      'parent_missing',
    ],
    [
      'a verdict of no clear-out',
      [
        {
          op: 'create',
          entity: 'verdict',
          id: 'v',
          fields: { clearOutId: 'no', lotId: 'lot', verdict: 'keep', toNookId: null },
        },
      ],
      'parent_missing',
    ],
    [
      'a line for no place',
      [{ op: 'create', entity: 'line', id: 'l', fields: { text: '??', nookId: 'no' } }],
      'parent_missing',
    ],
    [
      'a line for a retired place',
      [{ op: 'create', entity: 'line', id: 'l', fields: { text: '??', nookId: 'gone' } }],
      'ok',
    ],
    ['a bin of no type', [{ op: 'change', entity: 'bin', id: 'bin', fields: { containerId: 'no' } }], 'parent_missing'],
    [
      'a second household',
      [{ op: 'create', entity: 'household', id: 'h', fields: { name: 'x', lengthUnit: 'metric', dateOrder: null } }],
      'only_one',
    ],
    ['the household retired', [{ op: 'retire', entity: 'household', id: 'home' }], 'never_retired'],
    ['a retired row changed', [{ op: 'change', entity: 'bin', id: 'gone', fields: { name: 'x' } }], 'retired'],
    [
      'a retired row brought back, then changed',
      [
        { op: 'restore', entity: 'bin', id: 'gone' },
        { op: 'change', entity: 'bin', id: 'gone', fields: { name: 'x' } },
      ],
      'ok',
    ],
    ['a lot with stock retired', [{ op: 'retire', entity: 'lot', id: 'lot' }], 'holds_stock'],
    ['an empty lot retired', [{ op: 'retire', entity: 'lot', id: 'lot2' }], 'ok'],
    ['into a retired lot', [event('e', { lotId: 'retiredLot' })], 'retired'],
    ['into a lot in a retired bin', [event('e', { lotId: 'lotInGone' })], 'retired'],
    ['into a lot of a retired item', [event('e', { lotId: 'lotOfOld' })], 'retired'],
    [
      'into a retired bin that is brought back first',
      [{ op: 'restore', entity: 'bin', id: 'gone' }, event('e', { lotId: 'lotInGone' })],
      'ok',
    ],
    ['a taking-back of nothing', [event('e', { kind: 'voided', voids: 'no' })], 'unknown_event'],
    ['a taking-back', [event('e', { kind: 'voided', voids: 'old' })], 'ok'],
    ['a taking-back in the same command', [event('e1'), event('e2', { kind: 'voided', voids: 'e1' })], 'ok'],
    [
      'a taking-back of another lot’s',
      [event('e', { lotId: 'lot2', kind: 'voided', voids: 'old' })],
      'event_of_other_lot',
    ],
    ['an event id used before', [event('old')], 'id_taken'],
    ['an event id twice', [event('e'), event('e')], 'id_taken'],
    [
      'one id for two kinds in one command',
      [
        { op: 'create', entity: 'room', id: 'x', fields: { name: 'Shed', sort: 0 } },
        { op: 'create', entity: 'item', id: 'x', fields: itemFields() },
      ],
      'id_taken',
    ],
    [
      'an id of another kind',
      [{ op: 'create', entity: 'room', id: 'rack', fields: { name: 'x', sort: 0 } }],
      'id_taken',
    ],
    [
      'a code that reads like another',
      [{ op: 'create', entity: 'bin', id: 'x', fields: binFields({ code: codeReadingAlike(binFields().code) }) }],
      'code_reads_alike',
    ],
    ['a room with a space in it', [{ op: 'retire', entity: 'room', id: 'loft' }], 'holds_stock'],
  ])('%s: %#', (_, ops, kind) => {
    expect(outcome(ops)).toBe(kind);
  });

  it('a container that is planned with may be retired; the plan can still be changed afterwards', () => {
    const home = new WholeHome();
    const container = {
      ...base('box'),
      name: 'box',
      look: 'closed' as const,
      family: '',
      colour: '',
      topWidthTenthMm: 3000,
      topDepthTenthMm: 4000,
      baseWidthTenthMm: null,
      baseDepthTenthMm: null,
      heightTenthMm: 2000,
      hasLid: true,
      openHeightTenthMm: null,
      innerVolumeMl: null,
      insideWidthTenthMm: null,
      insideDepthTenthMm: null,
      insideHeightTenthMm: null,
      stackPitchTenthMm: null,
      nestPitchTenthMm: null,
      maxLoadGrams: null,
      weightGrams: null,
      priceMinor: null,
      owned: 1,
      free: false,
    };
    home.put({ entity: 'container', row: container });
    home.put({ entity: 'plan', row: { ...base('plan'), ...plan, placed: [{ ...placed, containerId: 'box' }] } });
    expect(outcome([{ op: 'retire', entity: 'container', id: 'box' }], {}, AS_ADULT.by, home)).toBe('ok');
    home.put({ entity: 'container', row: { ...container, retired: true } });
    const again: Op = {
      op: 'change',
      entity: 'plan',
      id: 'plan',
      fields: { placed: [{ ...placed, containerId: 'box' }] },
    };
    expect(outcome([again], {}, AS_ADULT.by, home)).toBe('ok');
  });

  it('a space with plans may be retired, and a device that does not know what was retired lets weak references pass', () => {
    const device = new HouseholdState();
    for (const row of sampleRows()) device.put(row);
    expect(
      outcome([{ op: 'change', entity: 'bin', id: 'bin', fields: { containerId: 'no' } }], {}, AS_ADULT.by, device),
    ).toBe('ok');
    expect(outcome([event('e', { kind: 'voided', voids: 'no' })], {}, AS_ADULT.by, device)).toBe('ok');
  });

  it('the undo of a command that never took effect', () => {
    expect(outcome([event('e')], { undoes: 'refused' })).toBe('undoes_nothing');
    expect(outcome([event('e')], { undoes: 'known' })).toBe('ok');
  });

  it('a command that would change more rows than one may', () => {
    const home = new WholeHome();
    for (let at = 0; at < MOST_ROWS_PER_COMMAND; at++) {
      home.put({ entity: 'bin', row: { ...base(`in${at}`), ...binFields({ parentBinId: 'bin', code: `X${at}-` }) } });
    }
    const move: Op = { op: 'change', entity: 'bin', id: 'bin', fields: { shelfId: 'low' } };
    expect(outcome([move], {}, AS_ADULT.by, home)).toBe('too_many_rows');
  });

  it.each<[Actor['role'], string]>([
    ['owner', 'ok'],
    ['adult', 'ok'],
    ['helper', 'not_allowed'],
    ['child', 'not_allowed'],
    ['guest', 'not_allowed'],
  ])('the household’s settings by a %s', (role, kind) => {
    const ops: Op[] = [{ op: 'change', entity: 'household', id: 'home', fields: { name: 'Mill' } }];
    expect(outcome(ops, {}, { role, personId: null })).toBe(kind);
    expect(outcome([event('e')], {}, { role, personId: null })).toBe('ok');
  });
});

describe('the registry', () => {
  it('names every kind after its table, and refers only to kinds there are', () => {
    for (const kind of entityKinds()) {
      expect(ENTITIES[kind].kind).toBe(kind);
      for (const [key, field] of Object.entries(definitionOf(kind).fields)) {
        if (field.kind === 'ref') for (const to of field.to) expect([key, isEntityKind(to)]).toEqual([key, true]);
      }
    }
  });

  it('finds references inside lists and records', () => {
    const found = referencesOf('plan', { ...plan, placed: [placed], bought: [{ containerId: 'b', count: 1 }] });
    expect(found.map(({ key, id }) => [key, id])).toEqual([
      ['spaceId', 'rack'],
      ['placed', 'nowhere'],
      ['placed', 'top'],
      ['bought', 'b'],
    ]);
  });

  it('passes over a row of a kind it does not know', () => {
    const state = new HouseholdState();
    state.put({ entity: 'heirloom', row: { ...base('x'), worth: 3 } } as unknown as TaggedRow);
    expect(state.kindOf('x')).toBeUndefined();
  });
});
