import fc from 'fast-check';
import { layOutFront, type Box } from './frontView';
import { binFields, sampleHome, shelfFields, spaceFields } from '../household/sampleHome.test-support';
import { SPACE_KINDS } from '../spaces/space.entity';
import { type BinRow, type ShelfRow } from '../household/registry';
import { placePath } from '../spaces/placePath';

const base = (id: string) => ({ id, seq: 1, retired: false });
const inside = (a: Box, b: Box): boolean =>
  a.x >= b.x - 1 && a.y >= b.y - 1 && a.x + a.width <= b.x + b.width + 1 && a.y + a.height <= b.y + b.height + 1;
const overlap = (a: Box, b: Box): boolean =>
  a.x + 1 < b.x + b.width && b.x + 1 < a.x + a.width && a.y + 1 < b.y + b.height && b.y + 1 < a.y + a.height;
const measure = fc.option(fc.integer({ min: 10, max: 60_000 }));

describe('layOutFront', () => {
  it('never draws a bin outside its shelf or over another, whatever is measured or missing', () => {
    const shelf = fc.record({
      kind: fc.constantFrom('shelf', 'drawer', 'hanging_basket', 'hook_rail', 'floor', 'door_rack'),
      bottomTenthMm: measure,
      widthTenthMm: measure,
      heightTenthMm: measure,
      leftTenthMm: measure,
    });
    const bin = fc.record({ widthTenthMm: measure, heightTenthMm: measure, leftTenthMm: measure });
    fc.assert(
      fc.property(
        fc.constantFrom(...SPACE_KINDS),
        measure,
        measure,
        fc.array(fc.tuple(shelf, fc.array(bin, { maxLength: 9 })), { maxLength: 8 }),
        (kind, width, height, drawn) => {
          const space = { ...base('s'), ...spaceFields({ kind, widthTenthMm: width, heightTenthMm: height }) };
          const shelves = drawn.map(([fields], at) => ({
            ...base(`h${at}`),
            ...shelfFields(fields as Partial<ShelfRow>),
          }));
          const bins = (id: string): BinRow[] =>
            drawn[Number(id.slice(1))]![1].map((fields, at) => ({ ...base(`${id}b${at}`), ...binFields(fields) }));
          const view = layOutFront(space, shelves, bins);
          expect(view.shelves.length + view.doorShelves.length).toBe(shelves.length);
          for (const one of [...view.shelves, ...view.doorShelves]) {
            one.bins.forEach(({ box }, at) => {
              expect(inside(box, one.clear)).toBe(true);
              for (const other of one.bins.slice(at + 1)) expect(overlap(box, other.box)).toBe(false);
            });
          }
        },
      ),
      { seed: 5, numRuns: 400 },
    );
  });

  it('is to scale where everything is measured', () => {
    const space = { ...base('s'), ...spaceFields() };
    const shelves = [
      { ...base('h0'), ...shelfFields({ bottomTenthMm: 12000 }) },
      { ...base('h1'), ...shelfFields({ bottomTenthMm: 1000 }) },
    ];
    const view = layOutFront(space, shelves, (id) =>
      id === 'h0'
        ? [{ ...base('b'), ...binFields({ widthTenthMm: 3800, heightTenthMm: 2800, leftTenthMm: 500 }) }]
        : [],
    );
    expect(view.assumed).toBe(false);
    expect(view.shelves[0]!.bins[0]!.box).toMatchObject({ width: 3800, height: 2800 });
    expect(
      view.shelves[1]!.clear.y +
        view.shelves[1]!.clear.height -
        (view.shelves[0]!.clear.y + view.shelves[0]!.clear.height),
    ).toBe(11000);
  });
});

describe('placePath', () => {
  it('tells the way: room, space, shelf, bin', () => {
    expect(placePath(sampleHome(), 'bin2')).toMatchObject({
      room: { name: 'Boat loft' },
      space: { name: 'Rack 1' },
      shelfAmong: { at: 0, of: 2 },
      binAmong: { at: 1, of: 2 },
    });
    expect(placePath(sampleHome(), 'low')).toMatchObject({ shelfAmong: { at: 1, of: 2 }, binAmong: null, bins: [] });
    expect(placePath(sampleHome(), 'rack')).toMatchObject({ shelf: null, shelfAmong: null, binAmong: null });
    expect(placePath(sampleHome(), 'nowhere')).toBeNull();
  });
});
