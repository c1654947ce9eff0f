import { HouseholdState } from '../household/HouseholdState';
import { applyCommand, type Applied } from '../household/applyCommand';
import type { Op } from '../household/command';
import { lot as lotEntity } from '../stock/lot.entity';
import type { ItemFields, PlanFields } from '../household/registry';
import {
  AS_ADULT,
  binFields,
  containerFields,
  itemFields,
  lotFields,
  shelfFields,
  spaceFields,
} from '../household/sampleHome.test-support';
import { BARE_SHELF_BUILD, BARE_SPACE_BUILD } from '../measure/measureQuestions';
import { clearances, placeProblem, snapped } from '../fit/clearances';
import { footShare, innerVolumeMl, nestedHeight, stackCount } from '../containers/container';
import { containerFromRow, containerToRow } from '../containers/containerTable';
import { bulkOfNook } from '../stock/contents';
import { fitContainer } from '../fit/fitContainer';
import { buyingListOf, opsForBuying } from './buyingList';
import { opsForSettingUp } from './setUp';
import { coldRoom, loadState, spaceLoad } from './load';
import { freeCount, planProblem } from './planProblem';
import { searchPlan } from './planSpace';
import { findRemedies } from './remedies';
import { modelSpace, plainRoom } from '../fit/spaceModel';

const base = (id: string) => ({ id, seq: 1, retired: false });

/** A closet of two shelves on holes, one crate of two in use there, 12 one-litre bottles in it. */
function closet(): HouseholdState {
  const state = new HouseholdState();
  state.put({ entity: 'room', row: { ...base('loft'), name: 'Boat loft', sort: 0 } });
  const build = {
    ...BARE_SPACE_BUILD,
    holePitchTenthMm: 320,
    firstHoleTenthMm: 1020,
    boardTenthMm: 180,
    loadGrams: 30_000,
  };
  state.put({
    entity: 'space',
    row: {
      ...base('rack'),
      ...spaceFields({
        kind: 'closet',
        widthTenthMm: 9000,
        heightTenthMm: 20_000,
        depthTenthMm: 4000,
        postWidthTenthMm: 200,
        build,
      }),
    },
  });
  const shelf = {
    widthTenthMm: 8600,
    depthTenthMm: 3800,
    build: { ...BARE_SHELF_BUILD, adjustable: true, loadGrams: 15_000 },
  };
  state.put({
    entity: 'shelf',
    row: {
      ...base('upper'),
      ...shelfFields({ ...shelf, code: 'BL1-AY', sort: 0, bottomTenthMm: 10_800, heightTenthMm: 2400 }),
    },
  });
  state.put({
    entity: 'shelf',
    row: {
      ...base('lower'),
      ...shelfFields({ ...shelf, code: 'BL1-BA', sort: 1, bottomTenthMm: 7600, heightTenthMm: 3020 }),
    },
  });
  state.put({ entity: 'container', row: { ...base('crate'), ...containerFields() } });
  state.put({
    entity: 'bin',
    row: {
      ...base('bin'),
      ...binFields({
        shelfId: 'lower',
        name: 'cordial',
        containerId: 'crate',
        widthTenthMm: 3000,
        depthTenthMm: 3000,
        heightTenthMm: 2500,
      }),
    },
  });
  put(state, 'cordial', 'bin', 12_000, { unit: 'bottle' }, { amountThousandths: 1000, unit: 'l' });
  return state;
}

function put(
  state: HouseholdState,
  id: string,
  nookId: string,
  quantity: number,
  item: Partial<ItemFields>,
  packSize: { amountThousandths: number; unit: string } | null,
): void {
  state.put({ entity: 'item', row: { ...base(id), ...itemFields({ name: id, ...item }) } });
  state.put({
    entity: 'lot',
    row: {
      ...base(`lot-${id}`),
      ...lotFields({ itemId: id, nookId, packSize }),
      ...lotEntity.derived!.start,
      quantityThousandths: quantity,
    },
  });
}

function run(state: HouseholdState, ops: Op[]): Applied {
  const applied = applyCommand(
    state,
    { id: 'c', intent: 'test', occurredAt: '2026-11-25T10:00:00.000Z', ops },
    AS_ADULT,
  );
  if (applied.ok) for (const row of applied.changed) state.put(row);
  return applied;
}

describe('containers', () => {
  it('a frustum of 40 × 30 over 36 × 26, 20 high: h/3 (A + a + √(Aa)), walls off, as by hand', () => {
    const tapered = containerFields({
      topWidthTenthMm: 4000,
      topDepthTenthMm: 3000,
      baseWidthTenthMm: 3600,
      baseDepthTenthMm: 2600,
      heightTenthMm: 2000,
      innerVolumeMl: null,
    });
    const [top, foot, h] = [39.5 * 29.5, 35.5 * 25.5, 19.75];
    expect(innerVolumeMl(tapered)).toBeCloseTo((h / 3) * (top + foot + Math.sqrt(top * foot)), -1);
    expect(footShare(tapered)).toBe(0.9);
  });
  it('what is written on it counts before inside measures, these before outside ones', () => {
    const inside = { insideWidthTenthMm: 1000, insideDepthTenthMm: 1000, insideHeightTenthMm: 1000 };
    expect(innerVolumeMl(containerFields(inside))).toBe(20_000);
    expect(innerVolumeMl(containerFields({ ...inside, innerVolumeMl: null }))).toBe(1000);
  });
  it('stacks 1 + ⌊(H − h)/Δ⌋ and nests h + (n − 1)Δ', () => {
    expect(stackCount(containerFields({ stackPitchTenthMm: 2400 }), 7300)).toBe(3);
    expect(stackCount(containerFields(), 9999)).toBe(1);
    expect(nestedHeight(containerFields({ nestPitchTenthMm: 300 }), 4)).toBe(3400);
  });
  it('the pool is what is owned less what is in use elsewhere', () => {
    const state = closet();
    const crate = state.get('container', 'crate')!;
    expect(freeCount(state, crate, null)).toBe(1);
    expect(freeCount(state, crate, 'rack')).toBe(2);
    expect(freeCount(state, crate, 'another')).toBe(1);
  });
  it('a table of them reads as it was written, and a bad cell is named', () => {
    const fields = containerFields({
      openHeightTenthMm: 4123,
      priceMinor: 1290,
      family: 'River',
      free: true,
      form: 'pull_out',
      sections: 6,
    });
    expect(containerFromRow(containerToRow(fields), 'metric')).toEqual({ ok: true, fields });
    expect(containerFromRow({ name: 'x', width: '30', depth: '20', height: 'tall' }, 'metric')).toEqual({
      ok: false,
      column: 'height',
      text: 'tall',
      accepted: { kind: 'length' },
    });
    expect(
      containerFromRow({ name: 'x', width: '30', depth: '20', height: '10', owned: '1.5' }, 'metric'),
    ).toMatchObject({ ok: false });
    expect(containerFromRow({ name: 'x', width: '12', depth: '8', height: '4' }, 'inch')).toMatchObject({
      ok: true,
      fields: { topWidthTenthMm: 3048 },
    });
  });
});

describe('weight and volume', () => {
  it('twelve one-litre bottles: 12 l, 12 kg, known; with a crate on the shelf 13 kg of 15', () => {
    const state = closet();
    expect(bulkOfNook(state, 'bin')).toEqual({
      volumeMl: 12_000,
      grams: 12_000,
      known: true,
      volumeKnown: true,
    });
    const load = spaceLoad(state, 'rack')!;
    expect(load.shelves.find(({ shelfId }) => shelfId === 'lower')).toMatchObject({
      binsGrams: 1000,
      contentsGrams: 12_000,
      ratingGrams: 15_000,
      state: 'fine',
    });
    expect(load).toMatchObject({ grams: 13_000, ratingGrams: 30_000, state: 'fine' });
    expect(load.cautions).toContain('anchor');
  });
  it('says fine, nearly, over', () => {
    expect([9000, 9500, 10_001].map((grams) => loadState(grams, 10_000))).toEqual(['fine', 'nearly', 'over']);
    expect(loadState(1, null)).toBe('no_rating');
  });
  it('what was never measured is a guess, and says so; a folded textile is not', () => {
    const state = closet();
    put(state, 'pins', 'bin', 100_000, { unit: 'piece' }, null);
    expect(bulkOfNook(state, 'bin')).toMatchObject({ known: false, volumeMl: 12_000 + 5000 });
    const textile = {
      widthTenthMm: 7000,
      lengthTenthMm: 14_000,
      gramsPerM2: 500,
      plies: 1,
      foldsWidth: 3,
      foldsLength: 4,
      material: 'terry' as const,
      tenMeasuredTenthMm: 4600,
    };
    put(
      state,
      'towel',
      'upper',
      2000,
      { unit: 'piece', traits: { weightGrams: null, volumeMl: null, textile, groups: {} } },
      null,
    );
    const towels = bulkOfNook(state, 'upper');
    expect(towels).toMatchObject({ known: true, grams: 980 });
    // 23.33 × 35 × 4.6 cm each.
    expect(towels.volumeMl).toBeCloseTo(2 * 23.333 * 35 * 4.6, -1);
  });
  it('heavier above than below is pointed out', () => {
    const state = closet();
    put(
      state,
      'iron',
      'upper',
      1000,
      { traits: { weightGrams: 40_000, volumeMl: 5000, textile: null, groups: {} } },
      null,
    );
    const load = spaceLoad(state, 'rack')!;
    expect(load.cautions).toContain('heavy_high');
    expect(load.shelves.find(({ shelfId }) => shelfId === 'upper')!.state).toBe('over');
  });
  it('litres of a cold room by its measures', () => {
    const state = closet();
    // 86 × 38 × 24 + 86 × 38 × 30.2 cm.
    expect(coldRoom(state, 'rack')!.roomMl).toBe(Math.round(86 * 38 * 24 + Math.round(86 * 38 * 30.2)));
    expect(coldRoom(state, 'rack')!.contentsMl).toBe(12_000);
  });
});

describe('what a shelf is for the computation', () => {
  it('a half-shelf cuts the room, hooks hang into it, a pipe stands in it', () => {
    const state = closet();
    const lower = state.get('shelf', 'lower')!;
    const aids = [
      { kind: 'half_shelf' as const, leftTenthMm: 0, widthTenthMm: 4000, heightTenthMm: 1500, depthTenthMm: 1900 },
      { kind: 'hooks' as const, leftTenthMm: 5000, widthTenthMm: 2000, heightTenthMm: 800, depthTenthMm: 3800 },
    ];
    const space = state.get('space', 'rack')!;
    const pipe = {
      kind: 'pipe' as const,
      leftTenthMm: 7000,
      bottomTenthMm: 0,
      frontTenthMm: 3000,
      widthTenthMm: 600,
      heightTenthMm: 20_000,
      depthTenthMm: 800,
    };
    const model = modelSpace({ ...space, build: { ...space.build!, obstacles: [pipe] } }, [
      { ...lower, build: { ...lower.build!, aids } },
    ]);
    const [one] = model.shelves;
    expect(one!.room.obstacles.map(({ kind, z }) => [kind, z])).toEqual([
      ['pipe', 0],
      ['half_shelf', 1500],
      ['hooks', 2220],
    ]);
    expect(one!.upper).toEqual([expect.objectContaining({ width: 4000, depth: 1900, height: 3020 - 1500 - 150 })]);
    const fit = fitContainer(
      containerFields({ topWidthTenthMm: 2000, topDepthTenthMm: 1800, heightTenthMm: 1400 }),
      one!.room,
    );
    const bare = fitContainer(containerFields({ topWidthTenthMm: 2000, topDepthTenthMm: 1800, heightTenthMm: 1400 }), {
      ...one!.room,
      obstacles: [],
    });
    // Low ones still go under the half-shelf; only the pipe's corner costs one.
    expect(bare.count).toBe(8);
    expect(fit.count).toBe(7);
  });
  it('says what is missing of a shelf that was not measured', () => {
    const state = closet();
    const space = { ...state.get('space', 'rack')!, depthTenthMm: null };
    const model = modelSpace(space, [{ ...state.get('shelf', 'upper')!, depthTenthMm: null }]);
    expect(model.unmeasured).toEqual([{ shelf: expect.objectContaining({ id: 'upper' }), missing: ['depth'] }]);
  });
  it('remedies: the shelf itself down by holes until it fits, with the number that then does', () => {
    const state = closet();
    const model = modelSpace(state.get('space', 'rack')!, state.shelvesOf('rack'));
    const upper = model.shelves.find(({ shelf }) => shelf.id === 'upper')!;
    const crate = state.get('container', 'crate')!;
    const fit = fitContainer(crate, upper.room);
    expect(fit).toMatchObject({ count: 0, reasons: [{ kind: 'too_high', overTenthMm: 100 }] });
    expect(
      findRemedies(
        state.all('container').map((container) => ({ container, free: freeCount(state, container, model.space.id) })),
        model,
        upper,
        crate,
        fit,
      ),
    ).toContainEqual({
      kind: 'lower_this',
      shelfId: 'upper',
      holes: 1,
      count: 2,
    });
  });
});

describe('dragging a planned container', () => {
  const room = plainRoom(9000, 4000, 3000);
  const bin = (cx: number, cy: number) => ({ cx, cy, z: 0, width: 3000, depth: 3000, height: 2500, degrees: 0 });
  it('has its clearances to walls and neighbours', () => {
    expect(clearances(bin(1500, 1500), room, [bin(5500, 1500)])).toEqual({
      left: 0,
      right: 1000,
      front: 0,
      behind: 1000,
      above: 500,
    });
  });
  it('may not stand outside, in another one, or in a post', () => {
    expect(placeProblem(bin(1000, 1500), room, [])).toBe('outside');
    expect(placeProblem(bin(1500, 1500), room, [bin(4000, 1500)])).toBe('other_bin');
    expect(placeProblem(bin(1500, 1500), room, [bin(4500, 1500)])).toBeNull();
    const post = { kind: 'post' as const, x: 0, y: 0, width: 300, depth: 300, z: 0, height: 3000 };
    expect(placeProblem(bin(1500, 1500), { ...room, obstacles: [post] }, [])).toBe('obstacle');
    expect(placeProblem(bin(1500, 1500), { ...room, openingLeft: 100 }, [])).toBe('no_way_in');
  });
  it('is set against what it nearly touches', () => {
    expect(snapped(bin(1560, 1470), room, [])).toMatchObject({ cx: 1500, cy: 1500 });
    expect(snapped(bin(1700, 1500), room, [])).toMatchObject({ cx: 1700 });
  });
});

describe('what to get', () => {
  const planned = (more: Partial<PlanFields> = {}): { id: string; seq: number; retired: boolean } & PlanFields => ({
    ...base('plan'),
    spaceId: 'rack',
    name: 'Plan A',
    status: 'chosen',
    sort: 0,
    groups: [{ name: 'cordial', volumeMl: 12_000, grams: 12_000 }],
    shelves: [
      { shelfId: 'upper', bottomTenthMm: 10_160 },
      { shelfId: 'lower', bottomTenthMm: 7600 },
    ],
    placed: [
      {
        key: 'a',
        containerId: 'crate',
        shelfId: 'upper',
        cxTenthMm: 1500,
        cyTenthMm: 1500,
        liftTenthMm: 0,
        degrees: 0,
        group: 'cordial',
        locked: false,
        buy: false,
      },
      {
        key: 'b',
        containerId: 'crate',
        shelfId: 'upper',
        cxTenthMm: 4500,
        cyTenthMm: 1500,
        liftTenthMm: 0,
        degrees: 0,
        group: 'candles',
        locked: false,
        buy: true,
      },
    ],
    budgetMinor: 400,
    family: null,
    moveShelves: true,
    seed: 1,
    bought: [],
    ...more,
  });
  it('counts, sums up, says how far over the budget, and which holes', () => {
    const state = closet();
    const list = buyingListOf(state, planned());
    expect(list).toMatchObject({ totalMinor: 500, openMinor: 500, overBudgetMinor: 100 });
    expect(list.lines.map(({ count, bought }) => [count, bought])).toEqual([[1, 0]]);
    expect(list.pool.map(({ count }) => count)).toEqual([1]);
    expect(list.moves).toEqual([
      { shelfId: 'upper', code: 'BL1-AY', fromTenthMm: 10_800, toTenthMm: 10_160, fromHole: 31, toHole: 29 },
    ]);
  });
  it('what is bought joins the pool and leaves the list', () => {
    const state = closet();
    state.put({ entity: 'plan', row: planned() });
    expect(run(state, opsForBuying(state.get('plan', 'plan')!, state.get('container', 'crate')!, 1)).ok).toBe(true);
    expect(state.get('container', 'crate')!.owned).toBe(3);
    expect(buyingListOf(state, state.get('plan', 'plan')!).openMinor).toBe(0);
  });
  it('setting up moves the shelf and the bin with what is in it, and makes the one that is missing', () => {
    const state = closet();
    let serial = 0;
    expect(
      run(
        state,
        opsForSettingUp(state, planned(), () => `new${serial++}`),
      ).ok,
    ).toBe(true);
    expect(state.get('shelf', 'upper')!.bottomTenthMm).toBe(10_160);
    expect(state.get('bin', 'bin')).toMatchObject({
      shelfId: 'upper',
      name: 'cordial',
      leftTenthMm: 0,
      standing: { frontTenthMm: 0, degrees: 0 },
    });
    expect(state.lotsIn('bin')).toHaveLength(1);
    expect(
      state
        .binsIn('upper')
        .map(({ name }) => name)
        .sort(),
    ).toEqual(['candles', 'cordial']);
    const code = state.binsIn('upper').find(({ name }) => name === 'candles')!.code;
    expect(code).toMatch(/^BL1-A\d/);
  });
  it('a bin of a group keeps its own name; a plan that knows no ids goes by names', () => {
    const setUp = (binIds: string[] | undefined) => {
      const state = closet();
      const plan = planned();
      const groups = [{ ...plan.groups[0]!, id: 'own:drinks', name: 'drinks', binIds }];
      const placed = [{ ...plan.placed[0]!, group: 'own:drinks' }];
      let serial = 0;
      run(
        state,
        opsForSettingUp(state, { ...plan, groups, placed }, () => `new${serial++}`),
      );
      return state.binsIn('upper').map(({ id, name }) => [id, name]);
    };
    expect(setUp(['bin'])).toEqual([['bin', 'cordial']]);
    expect(setUp([])).toEqual([['new0', 'drinks']]);
    expect(setUp(undefined)).toEqual([['new0', 'drinks']]);
  });
  it('from the household’s rows to a plan: the crate in use here may be used here', () => {
    const state = closet();
    const built = planProblem(state, 'rack', {
      containerIds: [],
      groups: planned().groups,
      locked: [],
      budgetMinor: null,
      family: null,
      moveShelves: false,
      seed: 1,
    })!;
    expect(built.problem.containers[0]).toMatchObject({ containerId: 'crate', free: 2 });
    const search = searchPlan(built.problem);
    // The bound comes with the first step.
    search.step(0);
    expect(search.best()).toMatchObject({ left: [], bought: 0, provenBest: true });
    const wishes = {
      containerIds: [],
      groups: [],
      locked: [],
      budgetMinor: null,
      family: null,
      moveShelves: true,
      seed: 1,
    };
    const one = planProblem(state, 'rack', { ...wishes, shelfId: 'lower' })!.problem;
    expect([one.shelves.map(({ shelfId }) => shelfId), one.moveShelves]).toEqual([['lower'], false]);
    expect(one.containers.map(({ containerId }) => containerId)).toEqual(['crate']);
  });
});
