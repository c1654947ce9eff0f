import highsLoader from 'highs';
import { cutBars, dividerStrips, linersFromRoll, NOMINAL_BOARDS, riserPieces, type CutPiece } from './cutting';
import { seededRandom } from '../base/seededRandom';

const pieces = (...lengths: number[]): CutPiece[] => lengths.map((length) => ({ name: '', length }));

describe('one-dimensional cutting stock', () => {
  it('600, 600, 400, 400 from bars of 1000: two bars, nothing wasted', () => {
    expect(cutBars(pieces(600, 400, 600, 400), 1000, 0)).toMatchObject({
      ok: true,
      waste: 0,
      fewest: true,
      bars: [{}, {}],
    });
  });
  it('a saw cut of 3 takes its share: the same from 1002 needs three bars, from 1003 two', () => {
    const short = cutBars(pieces(600, 400, 600, 400), 1002, 3);
    const long = cutBars(pieces(600, 400, 600, 400), 1003, 3);
    expect(short.ok && short.bars.length).toBe(3);
    expect(long.ok && long.bars.length).toBe(2);
  });
  it('says which pieces are longer than a bar', () => {
    expect(cutBars(pieces(300, 1200), 1000, 3)).toEqual({ ok: false, tooLong: pieces(1200) });
  });
  it('first-fit decreasing is one short here and the search mends it', () => {
    // Longest first gives 6+3, 6+3, 4+4+… and a third bar too many; 6+4, 6+4, 3+3+3 is best of 10.
    const plan = cutBars(pieces(6, 6, 4, 4, 3, 3, 3, 1), 10, 0);
    expect(plan.ok && plan.bars.length).toBe(3);
  });
  it('as few bars as an exact solver (HiGHS), on random lists with kerf', async () => {
    const highs = await highsLoader();
    const random = seededRandom(41);
    for (let run = 0; run < 25; run++) {
      const list = pieces(
        ...Array.from({ length: 5 + Math.floor(random() * 5) }, () => 100 + Math.floor(random() * 600)),
      );
      const [stock, kerf] = [1000, Math.floor(random() * 5)];
      const plan = cutBars(list, stock, kerf);
      if (!plan.ok) throw new Error('every piece is shorter than a bar');
      expect(plan.bars.flatMap((bar) => bar.pieces.map(({ length }) => length)).sort()).toEqual(
        list.map(({ length }) => length).sort(),
      );
      for (const bar of plan.bars) {
        const used = bar.pieces.reduce((sum, { length }) => sum + length, 0) + kerf * (bar.pieces.length - 1);
        expect(used + bar.rest).toBe(stock);
      }
      expect(plan.fewest).toBe(true);
      expect(plan.bars.length).toBe(fewestBars(highs, list, stock, kerf, plan.bars.length));
    }
  }, 60_000);
});

function fewestBars(
  highs: Awaited<ReturnType<typeof highsLoader>>,
  list: readonly CutPiece[],
  stock: number,
  kerf: number,
  most: number,
): number {
  const bars = Array.from({ length: most }, (_, b) => b);
  const rows = [
    ...list.map((_, p) => `p${p}: ${bars.map((b) => `x${p}_${b}`).join(' + ')} = 1`),
    ...bars.map(
      (b) =>
        `b${b}: ${list.map(({ length }, p) => `${length + kerf} x${p}_${b}`).join(' + ')} - ${stock + kerf} y${b} <= 0`,
    ),
    ...bars.slice(1).map((b) => `s${b}: y${b} - y${b - 1} <= 0`),
  ];
  const binaries = [...bars.map((b) => `y${b}`), ...list.flatMap((_, p) => bars.map((b) => `x${p}_${b}`))];
  const text = `Minimize\n obj: ${bars.map((b) => `y${b}`).join(' + ')}\nSubject To\n ${rows.join('\n ')}\nBinary\n ${binaries.join(' ')}\nEnd\n`;
  return Math.round(highs.solve(text).ObjectiveValue);
}

describe('dividers, liners, risers', () => {
  it('400 × 300 in three columns and two rows of 5 mm strips', () => {
    const divided = dividerStrips({ widthTenthMm: 4000, depthTenthMm: 3000 }, 3, 2, 50)!;
    expect(divided.strips.map(({ length }) => length)).toEqual([3000, 3000, 4000]);
    expect(divided.compartment).toEqual({ widthTenthMm: 1300, depthTenthMm: 1475 });
    expect(divided.slots).toBe(4);
    // Compartments and strips together are the drawer again.
    expect(3 * divided.compartment.widthTenthMm + 2 * 50).toBe(4000);
  });
  it('strips that would fill the drawer are refused', () => {
    expect(dividerStrips({ widthTenthMm: 100, depthTenthMm: 3000 }, 4, 1, 50)).toBeNull();
  });
  it('a liner is one strip where it can be, else goes the way that takes less roll', () => {
    const { cuts, rollLength } = linersFromRoll(
      [
        { name: 'A', widthTenthMm: 8600, depthTenthMm: 4000 },
        { name: 'B', widthTenthMm: 8600, depthTenthMm: 5000 },
      ],
      4500,
    );
    expect(cuts[0]).toEqual({ name: 'A', length: 8600, across: 4000, strips: 1 });
    expect(cuts[1]).toEqual({ name: 'B', length: 5000, across: 8600, strips: 2 });
    expect(rollLength).toBe(18_600);
  });
  it('a nominal 2×4 is 1 1/2 by 3 1/2 inches (PS 20, from memory): two layers of it lift 76.2 mm', () => {
    const board = NOMINAL_BOARDS.find(({ nominal }) => nominal === '2×4')!;
    expect(board.thicknessTenthMm / 254).toBe(1.5);
    expect(board.widthTenthMm / 254).toBe(3.5);
    const riser = riserPieces({ widthTenthMm: 6000, depthTenthMm: 1800, heightTenthMm: 700 }, board);
    expect(riser).toMatchObject({ layers: 2, sideBySide: 2, heightTenthMm: 762, depthTenthMm: 1778 });
    expect(riser.pieces).toHaveLength(4);
  });
});
