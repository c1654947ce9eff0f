import { opsForNewSpace, SPACE_KINDS, USUAL_SHELVES, type Op, type SpaceKind } from '@ours/core';
import { emptySummary, previewOf } from './previewOf';

function drawn(kind: SpaceKind, bins: string[][] = [], widthTenthMm: number | null = null) {
  let id = 0;
  const wanted = { name: 'New', kind, count: USUAL_SHELVES[kind].count, bins };
  const measures = { widthTenthMm, heightTenthMm: widthTenthMm, depthTenthMm: null };
  const { ops } = opsForNewSpace(
    { ...wanted, ...measures },
    { roomId: 'r', sort: 0 },
    { shapes: new Set() },
    () => `${id++}`,
  );
  return { ops, view: previewOf(ops)! };
}

describe('the drawing of a space that is about to be made', () => {
  it.each(SPACE_KINDS)('a %s has all its shelves, inside it or in its door', (kind) => {
    const { ops, view } = drawn(kind);
    const shelves = ops.filter((op) => op.op === 'create' && op.entity === 'shelf').length;
    expect([...view.shelves, ...view.doorShelves]).toHaveLength(shelves);
    for (const { clear } of view.shelves) {
      expect(clear.x).toBeGreaterThanOrEqual(view.outer.x);
      expect(clear.x + clear.width).toBeLessThanOrEqual(view.outer.x + view.outer.width);
    }
  });
  it('draws its bins on their shelves, side by side', () => {
    const { view } = drawn('closet', [['towels', 'sheets'], [], ['blankets']]);
    expect(view.shelves.map(({ bins }) => bins.map(({ bin }) => bin.name))).toEqual([
      ['towels', 'sheets'],
      [],
      ['blankets'],
      [],
      [],
    ]);
    const [first, second] = view.shelves[0]!.bins;
    expect(first!.box.x + first!.box.width).toBeLessThanOrEqual(second!.box.x);
  });
  it('grows with its measures', () =>
    expect(drawn('closet', [], 12_000).view.outer).toMatchObject({ width: 12_000, height: 12_000 }));
  it('without a space there is nothing to draw', () => {
    const room: Op = { op: 'create', entity: 'room', id: 'r', fields: { name: 'Stairs', sort: 0 } };
    expect(previewOf([room])).toBeNull();
  });
  it('a place that is not there yet holds nothing', () => expect(emptySummary()).toMatchObject({ lots: 0, late: 0 }));
});
