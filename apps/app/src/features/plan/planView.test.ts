import { HouseholdState, type PlanFields, type PlannedBin, type SpaceRow } from '@ours/core';
import { ID } from '@/data/store/sampleRows.test-support';
import { BOX, measuredRows } from '@/shared/measuredRows.test-support';
import { viewPlan } from './planView';

const state = new HouseholdState();
for (const row of measuredRows()) state.put(row);
const space = state.get('space', ID.rack) as SpaceRow;

const bin = (key: string, more: Partial<PlannedBin> = {}): PlannedBin => ({
  key,
  containerId: BOX,
  shelfId: ID.shelf,
  cxTenthMm: 2350,
  cyTenthMm: 2300,
  liftTenthMm: 0,
  degrees: 0,
  group: 'own:lanterns',
  locked: false,
  buy: false,
  ...more,
});
const view = (placed: PlannedBin[], shelves: PlanFields['shelves'] = []) =>
  viewPlan(state, space, {
    placed,
    shelves,
    groups: [{ id: 'own:lanterns', name: 'lanterns', volumeMl: 1, grams: 0 }],
  });

describe('a plan as the drawings need it', () => {
  it('bins stand on the front where their centres are, side bay taken off', () => {
    const { front } = view([bin('a'), bin('b', { cxTenthMm: 8350 })]);
    const [shelf] = front.shelves;
    // 2350 from the outer wall, less half of 4000 and the 350 beside the post.
    expect(shelf!.bins.map(({ box }) => Math.round(box.x - shelf!.clear.x))).toEqual([0, 6000]);
    expect(shelf!.bins.map(({ box }) => box.width)).toEqual([4000, 4000]);
  });
  it('a stacked one is drawn above the other, inside the shelf', () => {
    const { front } = view([bin('a'), bin('b', { liftTenthMm: 500 })]);
    const [low, high] = front.shelves[0]!.bins;
    expect(low!.box.y - high!.box.y).toBeCloseTo(500, 6);
    expect(high!.box.y).toBeGreaterThanOrEqual(front.shelves[0]!.clear.y);
  });
  it('a turned one is as wide as the room it takes', () => {
    const { front } = view([bin('a', { degrees: 90 })]);
    expect(front.shelves[0]!.bins[0]!.box.width).toBeCloseTo(4600, 6);
  });
  it('what stands behind is drawn first', () => {
    const { front } = view([bin('near', { cyTenthMm: 500 }), bin('far', { cyTenthMm: 4000 })]);
    expect(front.shelves[0]!.bins.map((one) => one.bin.id)).toEqual(['far', 'near']);
  });
  it('tags are the shelf’s letter and a number; names are the groups’, else the container’s', () => {
    const { front, tagOf } = view([bin('a'), bin('b', { group: null, cxTenthMm: 8350 })]);
    expect([tagOf('a'), tagOf('b'), tagOf('nobody')]).toEqual(['A1', 'A2', '']);
    expect(front.shelves[0]!.bins.map((one) => one.bin.name).sort()).toEqual(['lanterns', 'lid box']);
  });
  it('a moved shelf has its new clear height', () => {
    const still = view([]);
    const moved = view([], [{ shelfId: ID.shelf, bottomTenthMm: 15_400 }]);
    expect(still.rooms.get(ID.shelf)!.height).toBe(4000);
    expect(moved.rooms.get(ID.shelf)!.height).toBe(21_000 - 15_400);
    expect(moved.front.shelves[0]!.shelf.heightTenthMm).toBe(5600);
  });
  it('a container that is no longer known is left out, not drawn wrong', () => {
    const { front, bodyOf } = view([bin('a', { containerId: 'gone' })]);
    expect(front.shelves[0]!.bins).toEqual([]);
    expect(bodyOf(bin('a', { containerId: 'gone' }))).toBeNull();
  });
});
