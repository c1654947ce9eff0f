import { guideOf } from '../shelflife';
import { HouseholdState } from '../household/HouseholdState';
import type { BinRow, ItemRow, LotRow, ShelfRow, TaggedRow } from '../household/registry';
import { sampleRows } from '../household/sampleHome.test-support';
import { seededRandom } from '../base/seededRandom';
import { daysBetween } from '../base/civilDate';
import { effectiveDue } from '../shelflife/dueDate';
import { stockOf, type NookSummary } from './StockView';

const TODAY = '2026-11-24';

/** The same said without keeping anything: over all rows, each time. */
function dueAnew(state: HouseholdState): string[] {
  return state
    .all('lot')
    .flatMap((lot) => {
      const item = state.get('item', lot.itemId);
      const due = item && lot.quantityThousandths > 0 ? effectiveDue(lot, item, guideOf(state)) : null;
      return due && daysBetween(TODAY, due.on) <= 14 ? [`${due.on} ${lot.id} ${item!.name}`] : [];
    })
    .sort();
}
const onHandAnew = (state: HouseholdState, itemId: string): number =>
  state.all('lot').reduce((sum, lot) => sum + (lot.itemId === itemId ? lot.quantityThousandths : 0), 0);
const isLowAnew = (state: HouseholdState, item: ItemRow): boolean =>
  item.lowAtThousandths !== null && onHandAnew(state, item.id) <= item.lowAtThousandths;
function summaryAnew(state: HouseholdState, nookId: string): NookSummary {
  const within = new Set([nookId]);
  for (let grown = true; grown;) {
    const size = within.size;
    for (const bin of state.all('bin')) if (within.has(bin.parentBinId ?? bin.shelfId)) within.add(bin.id);
    for (const shelf of state.all('shelf')) if (nookId !== shelf.spaceId && within.has(shelf.id)) within.add(shelf.id);
    grown = within.size > size;
  }
  const lots = state
    .all('lot')
    .filter((lot) => within.has(lot.nookId) && (lot.quantityThousandths > 0 || lot.pleaseCount))
    .filter((lot) => state.get('item', lot.itemId));
  const items = [...new Set(lots.map(({ itemId }) => itemId))].map((id) => state.get('item', id)!);
  const left = lots.flatMap((lot) => {
    const due = lot.quantityThousandths > 0 ? effectiveDue(lot, state.get('item', lot.itemId)!, guideOf(state)) : null;
    return due ? [daysBetween(TODAY, due.on)] : [];
  });
  return {
    lots: lots.length,
    itemNames: items.map(({ name }) => name).sort(),
    late: left.filter((days) => days < 0).length,
    soon: left.filter((days) => days >= 0 && days <= 14).length,
    low: items.filter((item) => !item.retired && isLowAnew(state, item)).length,
    pleaseCount: lots.filter(({ pleaseCount }) => pleaseCount).length,
  };
}

it('after any run of changes it says what looking at all rows says', () => {
  for (let run = 0; run < 40; run++) {
    const random = seededRandom(run + 1);
    const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
    const state = new HouseholdState();
    for (const tagged of sampleRows()) state.put(tagged);
    const [item, lot, bin] = [state.all('item')[0]!, state.all('lot')[0]!, state.all('bin')[0]!];
    const shelves = state.all('shelf').map(({ id }) => id);
    const bins = ['b0', 'b1', 'b2', 'b3'];
    const stock = run % 2 === 0 ? stockOf(state) : null;
    for (let step = 0; step < 120; step++) {
      const many = pick(['item', 'lot', 'lot', 'lot', 'bin', 'shelf', 'forget'] as const);
      const id = Math.floor(random() * 12);
      const row = (tagged: TaggedRow): void => state.put(tagged);
      const retired = random() < 0.15;
      if (many === 'item') {
        const low = random() < 0.5 ? Math.floor(random() * 9) * 1000 : null;
        row({
          entity: 'item',
          row: { ...item, id: `i${id % 5}`, name: `thing ${id}`, lowAtThousandths: low, retired } as ItemRow,
        });
      } else if (many === 'lot') {
        const expiresOn = random() < 0.7 ? `2026-1${random() < 0.5 ? 1 : 2}-${10 + Math.floor(random() * 19)}` : null;
        const quantityThousandths = Math.floor(random() * 5) * 1000;
        const where = pick([...bins, ...shelves]);
        const fresh = {
          ...lot,
          id: `l${id}`,
          itemId: `i${Math.floor(random() * 5)}`,
          nookId: where,
          expiresOn,
          quantityThousandths,
        };
        row({ entity: 'lot', row: { ...fresh, pleaseCount: random() < 0.2, retired } as LotRow });
      } else if (many === 'bin') {
        // Never into itself: only a bin with a smaller number.
        const own = Math.floor(random() * bins.length);
        const parentBinId = own > 0 && random() < 0.5 ? bins[Math.floor(random() * own)]! : null;
        row({
          entity: 'bin',
          row: {
            ...bin,
            id: bins[own]!,
            code: `B${own}`,
            shelfId: pick(shelves),
            parentBinId,
            retired: false,
          } as BinRow,
        });
      } else if (many === 'shelf') {
        const shelf = state.get('shelf', pick(shelves))!;
        row({ entity: 'shelf', row: { ...shelf, sort: id } as ShelfRow });
      } else state.forget('lot', `l${id}`);
      if (step % 5 !== 0) continue;
      const view = stock ?? stockOf(state);
      expect(
        view.dueUntil(TODAY).map(({ due, lot: { id: lotId }, item: { name } }) => `${due.on} ${lotId} ${name}`),
      ).toEqual(dueAnew(state));
      const lowIds = state
        .all('item')
        .filter((one) => isLowAnew(state, one))
        .map((one) => one.id);
      expect(
        view
          .lowItems()
          .map((one) => one.item.id)
          .sort(),
      ).toEqual(lowIds.sort());
      expect(view.lotsToCount().map((one) => one.id)).toEqual(
        state
          .all('lot')
          .filter((one) => one.pleaseCount && state.get('item', one.itemId))
          .map((one) => one.id)
          .sort(),
      );
      for (const one of state.all('item')) expect(view.onHand(one.id)).toBe(onHandAnew(state, one.id));
      for (const nook of [...bins.filter((one) => state.get('bin', one)), ...shelves]) {
        const said = view.summary(nook, TODAY);
        expect({ ...said, itemNames: [...said.itemNames].sort() }).toEqual(summaryAnew(state, nook));
      }
    }
  }
});

it('keeps its lists and summaries while they say the same', () => {
  const state = new HouseholdState();
  for (const tagged of sampleRows()) state.put(tagged);
  const stock = stockOf(state);
  const lot = state.all('lot')[0]!;
  const [due, summary] = [stock.dueUntil(TODAY), stock.summary(lot.nookId, TODAY)];
  state.put({ entity: 'lot', row: { ...lot, note: 'by the door' } });
  expect(stock.summary(lot.nookId, TODAY)).toBe(summary);
  expect(stock.dueUntil('2020-01-01')).toEqual([]);
  state.put({ entity: 'lot', row: { ...lot, pleaseCount: true } });
  expect(stock.summary(lot.nookId, TODAY)).not.toBe(summary);
  expect(due.length).toBe(stock.dueUntil(TODAY).length);
});
