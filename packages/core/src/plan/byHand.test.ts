import type { PlannedBin } from './plan.entity';
import { handChanges, MOST_MORE, moreOnShelf } from './byHand';
import { problem, shelfAt, type, use } from './planPrice.test-support';
import { priceOfPlan } from './planReasons';

const small = type('small', [3000, 3000, 2000], { free: 4 });
const large = type('large', [6000, 3000, 2000], { free: 1 });
const sold = type('sold', [6000, 3000, 2500], { free: 0, priceMinor: 1000 });
const given = (more = {}) =>
  problem({
    shelves: [shelfAt('top', 12_000, 9000, 4000, 3000), shelfAt('low', 2000, 9000, 4000, 3000)],
    containers: [small, large, sold],
    groups: [{ name: 'rope', id: 'rope', volumeMl: 14_000, grams: 3000, binIds: [] }],
    handling: { footMm: 0, groups: { rope: use(4) } },
    ...more,
  });
const bin = (key: string, containerId: string, cx: number, more: Partial<PlannedBin> = {}): PlannedBin => ({
  key,
  containerId,
  shelfId: 'top',
  cxTenthMm: cx,
  cyTenthMm: 1500,
  liftTenthMm: 0,
  degrees: 0,
  group: 'rope',
  locked: false,
  buy: false,
  ...more,
});
const shelves = ['top', 'low'].map((shelfId, at) => ({
  shelfId,
  bottomTenthMm: at === 0 ? 12_000 : 2000,
  movedHoles: 0,
}));

test('a bin is swapped for another that holds it; the price told is that of the plan it becomes', () => {
  const plan = { placed: [bin('a', 'small', 1500)], shelves };
  const changes = handChanges(given(), plan, 'a');
  expect(changes.map(({ kind, containerId }) => [kind, containerId])).toEqual([['swap', 'large']]);
  const [swap] = changes;
  expect(swap!.placed).toMatchObject([{ containerId: 'large', shelfId: 'top', group: 'rope', buy: false }]);
  const [before, after] = [plan, { placed: swap!.placed, shelves }].map((one) => priceOfPlan(given(), one).price.sum);
  expect(swap!.moreMinutes).toBeCloseTo(after! - before!, 12);
  // 14.4 l are the group's: the large one of 36 l is mostly air.
  expect(swap!.moreMinutes).toBeGreaterThan(0);
});

test('split in two, joined to one; what has to be bought only with money for it', () => {
  const big = given({ groups: [{ name: 'rope', id: 'rope', volumeMl: 28_000, grams: 3000, binIds: [] }] });
  const split = handChanges(big, { placed: [bin('a', 'large', 3000)], shelves }, 'a');
  expect(split.map(({ kind, containerId, count }) => [kind, containerId, count])).toEqual([['split', 'small', 2]]);
  expect(split[0]!.placed.map(({ containerId }) => containerId)).toEqual(['small', 'small']);
  const two = { placed: [bin('a', 'small', 1500), bin('b', 'small', 4500)], shelves };
  const join = handChanges(big, two, 'b').filter(({ kind }) => kind === 'join');
  expect(join.map(({ containerId, instead, buy }) => [containerId, instead, buy])).toEqual([['large', 2, 0]]);
  expect(join[0]!.placed).toHaveLength(1);
  const rich = handChanges({ ...big, budgetMinor: 1000 }, two, 'b').filter(({ kind }) => kind === 'join');
  expect(rich.map(({ containerId, buy }) => [containerId, buy]).sort()).toEqual([
    ['large', 0],
    ['sold', 1],
  ]);
});

test('what holds less, what is taken and what finds no room is not offered; a locked bin is left alone', () => {
  const plan = { placed: [bin('a', 'large', 3000)], shelves };
  const full = given({ groups: [{ name: 'rope', id: 'rope', volumeMl: 28_000, grams: 3000, binIds: [] }] });
  expect(handChanges(full, plan, 'a').filter(({ kind }) => kind === 'swap')).toEqual([]);
  const taken = { placed: [bin('a', 'small', 1500), bin('other', 'large', 6000, { group: null })], shelves };
  expect(handChanges(given(), taken, 'a')).toEqual([]);
  expect(handChanges(given(), { placed: [bin('a', 'small', 1500, { locked: true })], shelves }, 'a')).toEqual([]);
  expect(handChanges(given(), { placed: [], shelves }, 'a')).toEqual([]);
});

test('on another shelf where its own is full, and it says so', () => {
  const wide = type('wide', [9000, 4000, 2900], { free: 1 });
  const full = given({ containers: [small, large, wide] });
  const plan = { placed: [bin('a', 'small', 1500), bin('b', 'small', 6000, { group: null })], shelves };
  const swap = handChanges(full, plan, 'a').find(({ containerId }) => containerId === 'wide');
  expect(swap).toMatchObject({ kind: 'swap', sameShelf: false });
  expect(swap!.placed.find(({ containerId }) => containerId === 'wide')!.shelfId).toBe('low');
});

test('how many more of a container stand on a shelf', () => {
  // 90 cm wide, 40 deep: three of 30 × 30, one stands there already.
  const plan = { placed: [bin('a', 'small', 1500)], shelves };
  expect(moreOnShelf(given(), plan, 'top', 'small')).toBe(2);
  expect(moreOnShelf(given(), plan, 'low', 'small')).toBe(3);
  expect(moreOnShelf(given(), plan, 'top', 'large')).toBe(1);
  expect(moreOnShelf(given(), plan, 'gone', 'small')).toBe(0);
  const tiny = given({ containers: [small, type('tiny', [500, 500, 500])] });
  expect(moreOnShelf(tiny, plan, 'low', 'tiny')).toBe(MOST_MORE);
});

describe('groups that share a bin', () => {
  const two = given({
    groups: ['rope', 'cleats'].map((id) => ({ name: id, id, volumeMl: 5000, grams: 500, binIds: [] })),
    handling: { footMm: 0, groups: { rope: use(0.3, { kin: 'boat' }), cleats: use(0.3, { kin: 'boat' }) } },
  });
  const apart = { placed: [bin('a', 'small', 1500), bin('b', 'small', 4500, { group: 'cleats' })], shelves };

  test('a bin is put with another, and out of it again; each at the price of the plan it becomes', () => {
    const share = handChanges(two, apart, 'b').find(({ kind }) => kind === 'share')!;
    expect(share).toMatchObject({ into: ['rope'], placed: [{ key: 'a', group: 'rope', also: ['cleats'] }] });
    const plan = { placed: share.placed, shelves };
    const [before, after] = [apart, plan].map((one) => priceOfPlan(two, one).price.sum);
    expect(share.moreMinutes).toBeCloseTo(after! - before!, 12);
    expect(share.moreMinutes).toBeLessThan(0);
    expect(priceOfPlan(two, plan).reasons.map(({ together }) => together)).toEqual([['cleats'], ['rope']]);
    const changes = handChanges(two, plan, 'a');
    expect(changes.map(({ kind }) => kind)).toContain('swap');
    const each = changes.find(({ kind }) => kind === 'apart')!;
    expect(each.placed.map(({ group, also }) => [group, also ?? null])).toEqual([
      ['rope', null],
      ['cleats', null],
    ]);
    expect(each.moreMinutes).toBeCloseTo(-share.moreMinutes, 12);
  });

  test('not with what is kept apart, nor where it does not hold both, nor into a locked one', () => {
    const kinds = (given: typeof two, plan = apart) => handChanges(given, plan, 'b').map(({ kind }) => kind);
    const chemical = { footMm: 0, groups: { ...two.handling!.groups, rope: use(1, { apart: 'chemical' }) } };
    expect(kinds({ ...two, handling: chemical })).not.toContain('share');
    expect(kinds({ ...two, groups: two.groups.map((one) => ({ ...one, volumeMl: 9000 })) })).not.toContain('share');
    const locked = { ...apart, placed: apart.placed.map((one) => ({ ...one, locked: one.key === 'a' })) };
    expect(kinds(two, locked)).not.toContain('share');
  });
});
