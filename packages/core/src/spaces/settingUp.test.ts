import {
  AS_ADULT,
  binFields,
  itemFields,
  lotFields,
  sampleHome,
  shelfFields,
  spaceFields,
} from '../household/sampleHome.test-support';
import { HouseholdState } from '../household/HouseholdState';
import { applyCommand } from '../household/applyCommand';
import type { Op } from '../household/command';
import type { ItemRow, LotRow, ShelfRow, SpaceRow } from '../household/registry';
import { modelSpace } from '../fit/spaceModel';
import { stockOf } from '../stock/StockView';
import { lot as lotEntity } from '../stock/lot.entity';
import {
  clearOutState,
  disposalCaution,
  LEAVING_REASON,
  opsForFinishing,
  opsForVerdict,
  suggestHome,
} from '../sort/clearOut';
import { findContradictions, readingsAgree } from '../measure/contradictions';
import { binsNeeded, groupId, groupOf, groupThings, lotsWithin } from '../sort/grouping';
import {
  BARE_SHELF_BUILD,
  BARE_SPACE_BUILD,
  measureQuestions,
  opsForMeasuring,
  opsForMovingShelf,
  restingHeight,
} from '../measure/measureQuestions';
import { opsForCopyingShelf, opsForCopyingSpace, opsFromPattern, SPACE_PATTERNS } from './patterns';
import { readCode } from '../base/nookCode';

const base = (id: string) => ({ id, seq: 1, retired: false });
let serial = 0;
const context = { newId: () => `n${serial++}`, now: '2026-11-25T10:00:00.000Z', today: '2026-11-25' };

function run(state: HouseholdState, ops: Op[]): void {
  const applied = applyCommand(state, { id: `c${serial++}`, intent: 'test', occurredAt: context.now, ops }, AS_ADULT);
  if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
  for (const row of applied.changed) state.put(row);
}

function measured(space: Partial<SpaceRow>, shelves: Partial<ShelfRow>[]): HouseholdState {
  const state = new HouseholdState();
  state.put({ entity: 'room', row: { ...base('loft'), name: 'Boat loft', sort: 0 } });
  state.put({ entity: 'space', row: { ...base('rack'), ...spaceFields(), ...space } });
  shelves.forEach((shelf, at) =>
    state.put({
      entity: 'shelf',
      row: { ...base(`s${at}`), ...shelfFields({ sort: at, code: `BL1-${at}X` }), ...shelf },
    }),
  );
  return state;
}

describe('figures that contradict each other', () => {
  it('are quiet when all agree', () => {
    const state = measured({ heightTenthMm: 21_000 }, [
      { bottomTenthMm: 10_000, heightTenthMm: 9000, widthTenthMm: 17_300, depthTenthMm: 4800 },
      { bottomTenthMm: 0, heightTenthMm: 9800, widthTenthMm: 17_300, depthTenthMm: 4800 },
    ]);
    expect(findContradictions(state, 'rack')).toEqual([]);
  });
  it('inner wider than outer, less the posts', () => {
    const state = measured({}, [{ widthTenthMm: 17_500 }]);
    expect(findContradictions(state, 'rack')).toEqual([
      { kind: 'inner_over_outer', shelfId: 's0', side: 'width', inner: 17_500, outer: 17_300 },
    ]);
  });
  it('shelves that add up to more than the space, and one that reaches into the next', () => {
    const state = measured({ heightTenthMm: 20_000 }, [
      { bottomTenthMm: 10_000, heightTenthMm: 9900 },
      { bottomTenthMm: 0, heightTenthMm: 10_200 },
    ]);
    expect(findContradictions(state, 'rack').map(({ kind }) => kind)).toEqual(['shelves_over_space', 'reaches_next']);
  });
  it('a bin wider than its shelf, unless it stands at a slant; a space of 70 m', () => {
    const state = measured({ widthTenthMm: 700_000 }, [{ widthTenthMm: 5000 }]);
    const bin = { ...base('b'), ...binFields({ shelfId: 's0', widthTenthMm: 5200 }) };
    state.put({ entity: 'bin', row: bin });
    expect(findContradictions(state, 'rack').map(({ kind }) => kind)).toEqual(['unlikely', 'bin_over_shelf']);
    state.put({ entity: 'bin', row: { ...bin, standing: { frontTenthMm: 0, liftTenthMm: 0, degrees: 20 } } });
    expect(findContradictions(state, 'rack').map(({ kind }) => kind)).toEqual(['unlikely']);
  });
  it('a way in far narrower than the space, and a shelf as thick as a beam', () => {
    const build = { ...BARE_SPACE_BUILD, openingWidthTenthMm: 3000, boardTenthMm: 3000 };
    expect(findContradictions(measured({ widthTenthMm: 9000, build }, []), 'rack')).toEqual([
      { kind: 'narrow_opening', side: 'width', opening: 3000, outer: 9000 },
      { kind: 'thick_board', value: 3000 },
    ]);
    const usual = { ...build, openingWidthTenthMm: 8400, boardTenthMm: 180 };
    expect(findContradictions(measured({ widthTenthMm: 9000, build: usual }, []), 'rack')).toEqual([]);
  });
  it('two readings agree within 2 mm', () => {
    expect([readingsAgree(8640, 8660), readingsAgree(8640, 8661)]).toEqual([true, false]);
  });
});

describe('measuring one question after the other', () => {
  it('asks a rack for its posts, a chest not for its door, and every shelf for what the fit needs', () => {
    const state = measured({}, [{}]);
    const rack = state.get('space', 'rack')!;
    const keys = measureQuestions(rack, state.shelvesOf('rack')).map(({ of, key }) => `${of} ${key}`);
    expect(keys).toContain('space post_depth');
    expect(keys).not.toContain('space hinge');
    expect(keys.slice(-8)).toEqual(
      ['width', 'depth', 'height', 'bottom', 'lip', 'adjustable', 'surface', 'load'].map((key) => `shelf ${key}`),
    );
    const chest = measureQuestions({ ...rack, kind: 'chest_freezer' }, []).map(({ key }) => key);
    expect(chest).toEqual(['width', 'height', 'depth', 'post_width']);
  });
  it('writes each answer where the question reads it', () => {
    const state = measured({}, [{}]);
    const answers = { length: 1234, height: 77, mass: 5000, hinge: 'left', yes_no: true, surface: 'wire' } as const;
    for (const question of measureQuestions(state.get('space', 'rack')!, state.shelvesOf('rack')))
      run(
        state,
        opsForMeasuring(state.get('space', 'rack')!, state.shelvesOf('rack'), question, answers[question.answer]),
      );
    for (const question of measureQuestions(state.get('space', 'rack')!, state.shelvesOf('rack')))
      expect(question.value).toBe(answers[question.answer]);
  });
  it('a dragged shelf rests on a hole, or on half a centimetre, and takes its neighbour’s height along', () => {
    const build = { ...BARE_SPACE_BUILD, holePitchTenthMm: 320, firstHoleTenthMm: 1020, boardTenthMm: 180 };
    const state = measured({ build, heightTenthMm: 20_000 }, [
      { bottomTenthMm: 10_800, build: { ...BARE_SHELF_BUILD, adjustable: true } },
      { bottomTenthMm: 4400 },
    ]);
    const [space, [upper, lower]] = [state.get('space', 'rack')!, state.shelvesOf('rack')];
    expect((restingHeight(space, upper!, 9777) - 1200) % 320).toBe(0);
    expect(Math.abs(restingHeight(space, upper!, 9777) - 9777)).toBeLessThanOrEqual(160);
    expect(restingHeight(space, lower!, 4433)).toBe(4450);
    run(state, opsForMovingShelf(space, state.shelvesOf('rack'), upper!, 8880));
    expect(state.get('shelf', 's0')).toMatchObject({ bottomTenthMm: 8880, heightTenthMm: 20_000 - 8880 });
    expect(state.get('shelf', 's1')).toMatchObject({ heightTenthMm: 8880 - 180 - 4400 });
  });
});

describe('made-up patterns and copies', () => {
  it.each(SPACE_PATTERNS.map((pattern) => [pattern.key, pattern] as const))(
    '%s: agrees with itself, every shelf can be computed with, every code is valid',
    (_, pattern) => {
      const state = measured({}, []);
      const { spaceId, ops } = opsFromPattern(
        pattern,
        { roomId: 'loft', name: 'Net store', sort: 1 },
        state.codesInUse(),
        context.newId,
      );
      run(state, ops);
      const model = modelSpace(state.get('space', spaceId)!, state.shelvesOf(spaceId));
      expect(model.unmeasured).toEqual([]);
      expect(model.shelves).toHaveLength(pattern.shelves.length);
      expect(findContradictions(state, spaceId)).toEqual([]);
      for (const { code } of state.shelvesOf(spaceId)) expect(readCode(code).kind).toBe('valid');
    },
  );
  it('a copied space has the measures and none of the codes; a copied shelf is still to be placed', () => {
    const state = measured({}, [{ widthTenthMm: 17_000, bottomTenthMm: 500 }]);
    const { spaceId, ops } = opsForCopyingSpace(
      state.get('space', 'rack')!,
      state.shelvesOf('rack'),
      'Rack 3',
      4,
      state.codesInUse(),
      context.newId,
    );
    run(state, ops);
    const copy = state.shelvesOf(spaceId)[0]!;
    expect(copy).toMatchObject({ widthTenthMm: 17_000, bottomTenthMm: 500 });
    expect(copy.code).not.toBe(state.get('shelf', 's0')!.code);
    run(
      state,
      opsForCopyingShelf(state.get('space', 'rack')!, state.get('shelf', 's0')!, 9, state.codesInUse(), context.newId),
    );
    expect(state.shelvesOf('rack').at(-1)).toMatchObject({ widthTenthMm: 17_000, bottomTenthMm: null, sort: 9 });
  });
});

describe('grouping by a school', () => {
  const item = (more: Partial<ItemRow>): ItemRow => ({ ...base('i'), ...itemFields(), ...more });
  const lot = { ...base('l'), ...lotFields(), ...lotEntity.derived!.start };
  it.each([
    ['kind', { category: 'lanterns' }, 'own:lanterns'],
    ['kind', { category: '', tags: [] }, 'known:unsorted'],
    ['season', { tags: ['midsummer'] }, 'known:summer'],
    ['season', { tags: [] }, 'known:all_year'],
    ['colour', { name: 'Bath towel, white' }, 'own:white'],
    ['alphabet', { name: 'Émaillé mug' }, 'own:e–h'],
    ['alphabet', { name: '9 V block' }, 'known:other_letters'],
    ['frequency', {}, 'known:rarely'],
    ['person', { name: 'Drawings' }, 'known:everybody'],
  ] as const)('%s: %j is %s', (school, more, group) => {
    expect(groupId(groupOf(new HouseholdState(), item(more as never), lot, school, '2026-11-25'))).toBe(group);
  });
  it('what the household wrote down comes before what names and tags say', () => {
    const traits = { weightGrams: null, volumeMl: null, textile: null, groups: { season: 'harvest fair' } };
    expect(groupOf(new HouseholdState(), item({ tags: ['winter'], traits }), lot, 'season', '2026-11-25')).toEqual({
      kind: 'own',
      name: 'harvest fair',
    });
  });
  it('a group written down that all know is the one the others are in', () => {
    const traits = { weightGrams: null, volumeMl: null, textile: null, groups: { season: 'All Year' } };
    expect(groupId(groupOf(new HouseholdState(), item({ traits }), lot, 'season', '2026-11-25'))).toBe(
      'known:all_year',
    );
  });
  it('how often: by when it was last touched', () => {
    const touched = (occurredAt: string) => ({ ...lot, lastAt: { occurredAt, id: 'e' } });
    const often = (at: string): string =>
      groupId(groupOf(new HouseholdState(), item({}), touched(at), 'frequency', '2026-11-25'));
    expect(['2026-11-01T00:00:00.000Z', '2026-09-15T00:00:00.000Z', '2025-11-01T00:00:00.000Z'].map(often)).toEqual([
      'known:often',
      'known:sometimes',
      'known:rarely',
    ]);
  });
  it('loses no lot and no volume, whatever the school', () => {
    const state = sampleHome();
    const lots = lotsWithin(state, state.all('space')[0]!.id);
    for (const school of ['kind', 'colour', 'order', 'alphabet'] as const) {
      const groups = groupThings(state, lots, school, '2026-11-25');
      expect(groups.flatMap((group) => group.lots.map(({ id }) => id)).sort()).toEqual(lots.map(({ id }) => id).sort());
    }
  });
  it('a bin belongs to the group that takes up most of it', () => {
    const state = sampleHome();
    const [first] = lotsWithin(state, state.all('space')[0]!.id);
    const bin = state.get('bin', first!.nookId)!;
    const traits = (volumeMl: number) => ({ weightGrams: null, volumeMl, textile: null, groups: {} });
    const put = (id: string, category: string, volumeMl: number): LotRow => {
      state.put({ entity: 'item', row: { ...item({ category, traits: traits(volumeMl) }), id } });
      return { ...first!, id: `lot-${id}`, itemId: id, quantityThousandths: 1000 };
    };
    const lots = [put('rope', 'ropes', 500), put('lamp', 'lamps', 900), put('line', 'ropes', 600)];
    const groups = groupThings(state, lots, 'kind', '2026-11-25');
    expect(groups.map(({ id, binIds }) => [id, binIds])).toEqual([
      ['own:ropes', [bin.id]],
      ['own:lamps', []],
    ]);
  });
  it('bins for a group: filled to four fifths, at least one', () => {
    expect([0, 1, 8000, 8001, 40_000].map((volumeMl) => binsNeeded({ volumeMl }, 10_000))).toEqual([0, 1, 1, 2, 5]);
  });
});

describe('a round of emptying a space', () => {
  it('books out what leaves with its reason, moves what belongs elsewhere, leaves the undecided alone', () => {
    const state = sampleHome();
    const space = state.all('space')[0]!;
    const first = lotsWithin(state, space.id)[0]!;
    state.put({ entity: 'lot', row: { ...first, id: 'second', expiresOn: '2027-01-31' } });
    const lots = lotsWithin(state, space.id);
    expect(lots).toHaveLength(2);
    run(state, [
      {
        op: 'create',
        entity: 'clear_out',
        id: 'round',
        fields: { spaceId: space.id, startedAt: context.now, minutes: 30, finishedAt: null },
      },
    ]);
    const round = () => clearOutState(state, state.get('clear_out', 'round')!);
    expect(round().undecided).toHaveLength(lots.length);
    run(state, opsForVerdict(round(), lots[0]!, 'keep', null, context));
    run(state, opsForVerdict(round(), lots[0]!, 'give_away', null, context));
    expect(state.verdictsOf('round')).toHaveLength(1);
    const ops = opsForFinishing(state, round(), context);
    const events = ops.flatMap((op) => (op.op === 'event' ? [op.event] : []));
    expect(events).toEqual([
      expect.objectContaining({
        lotId: lots[0]!.id,
        kind: 'discarded',
        reason: 'given_away',
        quantityThousandths: lots[0]!.quantityThousandths,
      }),
    ]);
    run(state, ops);
    expect(state.get('lot', lots[0]!.id)!.quantityThousandths).toBe(0);
    expect(state.get('lot', lots[1]!.id)!.quantityThousandths).toBe(lots[1]!.quantityThousandths);
    expect(state.clearOutsOf(space.id)[0]!.finishedAt).toBe(context.now);
  });
  it('an empty package leaves, and its thing is low from now on', () => {
    const state = sampleHome();
    const space = state.all('space')[0]!;
    const lot = lotsWithin(state, space.id)[0]!;
    run(state, [
      { op: 'change', entity: 'item', id: lot.itemId, fields: { lowAtThousandths: null } },
      {
        op: 'create',
        entity: 'clear_out',
        id: 'empty',
        fields: { spaceId: space.id, startedAt: context.now, minutes: null, finishedAt: null },
      },
    ]);
    const round = () => clearOutState(state, state.get('clear_out', 'empty')!);
    run(state, opsForVerdict(round(), lot, 'empty_package', null, context));
    expect(
      stockOf(state)
        .lowItems()
        .map(({ item }) => item.id),
    ).not.toContain(lot.itemId);
    run(state, opsForFinishing(state, round(), context));
    expect(
      stockOf(state)
        .lowItems()
        .map(({ item }) => item.id),
    ).toContain(lot.itemId);
  });
  it('only three verdicts take a thing out of the house', () => {
    expect(
      Object.entries(LEAVING_REASON)
        .filter(([, reason]) => reason !== null)
        .map(([verdict]) => verdict),
    ).toEqual(['give_away', 'recycle', 'throw_out']);
  });
  it('a thing’s home is where else most of it is', () => {
    const state = measured({}, [{}]);
    state.put({ entity: 'space', row: { ...base('other'), ...spaceFields({ code: 'CE1-X' }) } });
    state.put({ entity: 'item', row: { ...base('tea'), ...itemFields() } });
    const put = (id: string, nookId: string, n: number): void =>
      state.put({
        entity: 'lot',
        row: {
          ...base(id),
          ...lotFields({ itemId: 'tea', nookId }),
          ...lotEntity.derived!.start,
          quantityThousandths: n,
        },
      });
    put('stray', 's0', 1000);
    expect(suggestHome(state, state.get('lot', 'stray')!, 'rack')).toBeNull();
    put('most', 'other', 5000);
    expect(suggestHome(state, state.get('lot', 'stray')!, 'rack')).toBe('other');
  });
  it.each([
    [{ name: 'Paracetamol tablets' }, 'medicine'],
    [{ name: 'Drain opener', tags: ['chemical'] }, 'chemical'],
    [{ name: 'Button cell' }, 'cells'],
    [{ name: 'Garden cushion' }, null],
  ])('%j wants the caution for %s', (more, caution) => {
    expect(disposalCaution({ ...base('i'), ...itemFields(more) })).toBe(caution);
  });
});
