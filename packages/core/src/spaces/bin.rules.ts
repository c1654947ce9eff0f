import type { Working } from '../household/applyCommand';
import { refuse } from '../household/refuse';
import type { BinRow } from '../household/registry';

export function checkNotInsideItself(work: Working, bin: BinRow): void {
  const seen = new Set([bin.id]);
  for (let at = bin.parentBinId; at !== null; at = work.get('bin', at)?.parentBinId ?? null) {
    if (seen.has(at)) refuse({ kind: 'would_contain_itself', id: bin.id });
    seen.add(at);
  }
}

/** A bin is moved with all that is in it: the bins inside follow to the same shelf. */
export function carryInnerBins(work: Working, bin: BinRow): void {
  for (const inner of work.contentsOf(bin.id)) {
    if (inner.entity !== 'bin' || inner.row.shelfId === bin.shelfId) continue;
    const moved = { ...inner.row, shelfId: bin.shelfId };
    work.put('bin', moved);
    carryInnerBins(work, moved);
  }
}
