import {
  layOutFront,
  type BinRow,
  type FrontView,
  type NookSummary,
  type Op,
  type ShelfRow,
  type SpaceRow,
} from '@ours/core';

const NOTHING_IN_IT: NookSummary = { lots: 0, itemNames: [], late: 0, soon: 0, low: 0, pleaseCount: 0 };
/** What a drawing says about a place that is not there yet. */
export const emptySummary = (): NookSummary => NOTHING_IN_IT;

/** The drawing of a space that is about to be made, from the operations that will make it; null without a space. */
export function previewOf(ops: readonly Op[]): FrontView | null {
  const made = ops.flatMap((op) =>
    op.op === 'create' ? [{ entity: op.entity, row: { ...op.fields, id: op.id, seq: 0, retired: false } }] : [],
  );
  const rows = <R>(entity: string): R[] => made.filter((one) => one.entity === entity).map(({ row }) => row as R);
  const space = rows<SpaceRow>('space')[0];
  if (!space) return null;
  const bins = rows<BinRow>('bin');
  return layOutFront(space, rows<ShelfRow>('shelf'), (id) => bins.filter((bin) => bin.shelfId === id));
}
