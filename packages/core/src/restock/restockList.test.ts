import { inOrderOfNeed, packFor, restockOf, type RestockItem } from './restockList';
import { known, lot, oneADay, plan, thing } from './restockHome.test-support';

const decide = (item: Partial<RestockItem>, estimate = oneADay(4)) => restockOf(thing(item), estimate, plan());

describe('what is bought', () => {
  it('so many that they last to the day after the trip after the next one', () => {
    // Today to 5 December is nine days, one more until it is there: about ten are used, and 95 % of the time at most 13.
    const entry = decide({ lots: [lot(4)] });
    expect(entry).toMatchObject({ verdict: 'buy', reason: 'runs_out', leftThousandths: 4000, guess: false });
    expect(entry.packs).toBeGreaterThanOrEqual(7);
    expect(entry.packs).toBeLessThanOrEqual(9);
    expect(entry.out!.early).toBeLessThanOrEqual(entry.out!.middle!);
    expect(entry.out!.middle).toBeLessThanOrEqual(entry.out!.late!);
  });
  it('nothing when it lasts longer', () => {
    expect(decide({ lots: [lot(40)] }, oneADay(40))).toMatchObject({ verdict: 'enough', packs: 0, reason: null });
  });
  it('what is gone before the trip need not be bought for those days', () => {
    const far = plan({ day: '2026-12-12', nextDay: '2026-12-19' });
    const entry = restockOf(thing({ lots: [lot(1)] }), oneADay(1), far);
    // Sixteen days until then, of which one is provided for: what is bought lasts the eight after the trip.
    expect(entry.packs).toBeLessThanOrEqual(11);
    expect(entry.packs).toBeGreaterThanOrEqual(8);
  });
  it('whole packs', () => {
    const packs = [{ shopId: null, amountThousandths: 6000, priceMinor: 300 }];
    expect(decide({ lots: [lot(4)], packs })).toMatchObject({ packs: 2, packThousandths: 6000, priceMinor: 300 });
  });
  it('at its mark one pack, or up to what is full', () => {
    const rare = known([
      [90, 'put_in', 9],
      [70, 'taken', 1],
      [50, 'taken', 1],
      [30, 'taken', 1],
      [12, 'taken', 1],
    ]);
    const item = { lots: [lot(2)], lowAtThousandths: 2000 };
    expect(decide(item, rare)).toMatchObject({ reason: 'at_mark', packs: 1 });
    expect(decide({ ...item, fullThousandths: 6000 }, rare)).toMatchObject({ reason: 'at_mark', packs: 4 });
    expect(decide({ ...item, lots: [lot(3)] }, rare)).toMatchObject({ verdict: 'enough' });
  });
  it('by its mark without any use', () => {
    expect(restockOf(thing({ lots: [lot(1)], lowAtThousandths: 1000 }), undefined, plan())).toMatchObject({
      verdict: 'buy',
      reason: 'at_mark',
      out: null,
    });
    expect(restockOf(thing({ lots: [lot(5)] }), undefined, plan())).toMatchObject({ verdict: 'unknown' });
  });
  it.each([
    [0, 2],
    [1, 1],
    [2, 0],
    [3, 1],
    [4, 0],
  ])('in pairs: %i there, %i to buy', (there, packs) => {
    expect(decide({ how: 'pairs', lots: [lot(there)] }).packs).toBe(packs);
  });
  it('always full, and never by the list', () => {
    expect(decide({ how: 'full', fullThousandths: 18_000, lots: [lot(11)] })).toMatchObject({
      reason: 'full',
      packs: 7,
    });
    expect(decide({ how: 'full', fullThousandths: 18_000, lots: [lot(18)] }).packs).toBe(0);
    expect(decide({ how: 'never', lots: [] })).toMatchObject({ packs: 0, verdict: 'enough', countFirst: false });
  });
  it('no more than is used while it is good; one when there is none', () => {
    const entry = decide({ lots: [lot(2)], keepDays: 3 });
    expect(entry).toMatchObject({ cutByDate: true, mostPacks: entry.packs });
    expect(entry.packs).toBeLessThanOrEqual(4);
    const slow = known([[60, 'put_in', 9], ...[50, 40, 30, 20, 10].map((ago) => [ago, 'taken', 1] as const)]);
    expect(decide({ lots: [], keepDays: 3 }, slow)).toMatchObject({ packs: 1, reason: 'none_left' });
  });
  it('what is past its date is not there, and what ends before it is used is made up for', () => {
    expect(decide({ lots: [lot(4, '2026-11-25')] })).toMatchObject({ leftThousandths: 0, reason: 'none_left' });
    const fresh = decide({ lots: [lot(14)] }, oneADay(14));
    const ending = decide({ lots: [lot(14, '2026-11-29')] }, oneADay(14));
    expect(ending.lostThousandths).toBeGreaterThan(8000);
    expect(ending.packs).toBeGreaterThan(fresh.packs + 5);
  });
  it('what is said a week is the start', () => {
    const entry = decide({ lots: [lot(1)] }, known([[3, 'put_in', 1]], 7));
    expect(entry).toMatchObject({ verdict: 'buy', guess: false, said: true });
    expect(entry.packs).toBeGreaterThan(5);
  });
  it('more for who cannot do without', () => {
    expect(decide({ lots: [lot(4)], vital: true }).packs).toBeGreaterThanOrEqual(decide({ lots: [lot(4)] }).packs);
    const uneven = known([
      ...[80, 60, 40, 20].map((ago) => [ago, 'put_in', 9] as const),
      ...[75, 70, 44, 40, 38, 12, 3].map((ago, n) => [ago, 'taken', 1 + (n % 4)] as const),
    ]);
    expect(decide({ lots: [lot(2)], vital: true }, uneven).packs).toBeGreaterThan(
      decide({ lots: [lot(2)] }, uneven).packs,
    );
  });
  it('what is bought but never noted as taken is asked about', () => {
    const never = known([
      [60, 'put_in', 6],
      [46, 'put_in', 6],
      [32, 'put_in', 6],
      [18, 'put_in', 6],
      [13, 'put_in', 6],
    ]);
    expect(decide({ lots: [lot(30)] }, never)).toMatchObject({ verdict: 'ask' });
  });
  it('away, less is bought; with guests, more', () => {
    const { todayNumber } = plan();
    const with_ = (factor: number) =>
      restockOf(
        thing({ lots: [lot(4)] }),
        oneADay(4),
        plan({ presence: [{ from: todayNumber + 1, to: todayNumber + 12, factor }] }),
      );
    expect(with_(0)).toMatchObject({ verdict: 'enough' });
    expect(with_(2).packs).toBeGreaterThan(decide({ lots: [lot(4)] }).packs + 6);
  });
});

describe('the pack', () => {
  const packs = [
    { shopId: 'far', amountThousandths: 1000, priceMinor: 50 },
    { shopId: 'near', amountThousandths: 1000, priceMinor: 90 },
    { shopId: null, amountThousandths: 6000, priceMinor: 400 },
  ];
  it('is the cheapest of the shop, else of any', () => {
    const of = { packs, usualPackThousandths: null };
    expect(packFor(of, 'near')).toMatchObject({ priceMinor: 90 });
    expect(packFor(of, 'far')).toMatchObject({ priceMinor: 50 });
    expect(packFor(of, 'other')).toMatchObject({ priceMinor: 400 });
    expect(packFor({ packs: packs.slice(0, 1), usualPackThousandths: null }, 'other')).toMatchObject({
      priceMinor: 50,
    });
  });
  it('without one written down, as it was bought, or one', () => {
    expect(packFor({ packs: [], usualPackThousandths: 2000 }, null)).toEqual({
      amountThousandths: 2000,
      priceMinor: null,
    });
    expect(packFor({ packs: [], usualPackThousandths: null }, null).amountThousandths).toBe(1000);
  });
});

it('what is gone comes first, then what runs out earliest, then what is asked', () => {
  const gone = decide({ itemId: 'gone', lots: [], lowAtThousandths: 0 });
  const soon = decide({ itemId: 'soon', lots: [lot(3)] });
  const later = decide({ itemId: 'later', lots: [lot(6)] }, oneADay(6));
  const enough = decide({ itemId: 'enough', lots: [lot(90)] }, oneADay(90));
  const ids = inOrderOfNeed([enough, later, soon, gone]).map(({ itemId }) => itemId);
  expect(ids).toEqual(['gone', 'soon', 'later', 'enough']);
});
