import { known, lot, oneADay, plan, thing } from './restockHome.test-support';
import { inOrderOfLoss, lossesOf } from './useFirst';

const PACKS = [{ shopId: null, amountThousandths: 1000, priceMinor: 200 }];

describe('what is lost at the present pace', () => {
  it('is told lot by lot, what ends first used first, with its money', () => {
    const lots = [lot(30, '2026-12-10'), lot(5, '2026-11-28'), lot(2, null)];
    const [first, second, ...none] = lossesOf(thing({ lots, packs: PACKS }), oneADay(37), plan());
    expect(none).toEqual([]);
    // Three days count until and with the 28th, so about two of five; of the thirty about fifteen days are left.
    expect(first).toMatchObject({ dueOn: '2026-11-28', thousandths: 5000 });
    expect(first!.lostThousandths).toBeGreaterThan(1500);
    expect(first!.lostThousandths).toBeLessThan(3000);
    expect(second!.lostThousandths).toBeGreaterThan(16_000);
    expect(second!.lostMinor).toBe(Math.round((second!.lostThousandths * 200) / 1000));
    expect(second!.lastsDays).toBeGreaterThan(30);
  });
  it('is all of what is past its date, and nothing of what is used in time', () => {
    const late = lot(3, '2026-11-20');
    expect(lossesOf(thing({ lots: [late] }), oneADay(3), plan())).toMatchObject([
      { lostThousandths: 3000, lostMinor: null, lastsDays: null },
    ]);
    expect(lossesOf(thing({ lots: [lot(3, '2026-12-20')] }), oneADay(3), plan())).toEqual([]);
  });
  it('says nothing of a thing whose use nobody knows, and of what ends in half a year', () => {
    expect(lossesOf(thing({ lots: [lot(3, '2026-11-28')] }), undefined, plan())).toEqual([]);
    expect(lossesOf(thing({ lots: [lot(3, '2026-11-28')] }), known([[5, 'put_in', 3]]), plan())).toEqual([]);
    expect(lossesOf(thing({ lots: [lot(900, '2027-06-01')] }), oneADay(900), plan())).toEqual([]);
  });
  it('most money first, what has no price after it by its date', () => {
    const of = (lotId: string, lostMinor: number | null, dueOn: string) => ({
      lotId,
      lostMinor,
      dueOn,
      itemId: 'x',
      thousandths: 1000,
      lostThousandths: 1000,
      lastsDays: null,
      weeklyThousandths: 0,
      uses: 0,
      guess: false,
    });
    const list = [
      of('c', null, '2026-12-09'),
      of('a', 50, '2026-12-09'),
      of('d', null, '2026-12-01'),
      of('b', 900, '2026-12-30'),
    ];
    expect(inOrderOfLoss(list).map(({ lotId }) => lotId)).toEqual(['b', 'a', 'd', 'c']);
  });
});
