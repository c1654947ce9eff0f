import { checkNotInsideItself, carryInnerBins } from '../spaces/bin.rules';
import { checkKitNotInItself } from '../kits/kit.rules';
import type { Working } from './applyCommand';
import { refuse } from './refuse';
import type { AbsenceRow, AnyRow, BinRow, EntityKind, KitRow, PurchaseRow } from './registry';

/** What holds for a kind of row beyond its definition. */
export interface EntityRules {
  /** Refuses a row that may not be as it is going to be. */
  check?: (work: Working, row: AnyRow) => void;
  /** Changes what follows along after a change of these fields. */
  follow?: (work: Working, row: AnyRow, changed: readonly string[]) => void;
}

const NONE: EntityRules = {};
const RULES: Partial<Record<EntityKind, EntityRules>> = {
  bin: {
    check: (work, row) => checkNotInsideItself(work, row as BinRow),
    follow: (work, row, changed) => {
      if (changed.includes('shelfId')) carryInnerBins(work, row as BinRow);
    },
  },
  purchase: {
    check: (work, row) => {
      const before = work.get('purchase', row.id);
      // A second putting away changes nothing of the line; a price noted later does.
      if (before?.state === 'put_away' && saysTheSame(before, row as PurchaseRow))
        refuse({ kind: 'already_put_away', id: row.id });
    },
  },
  kit: { check: (work, row) => checkKitNotInItself(work, row as KitRow) },
  absence: {
    check: (_, row) => {
      const { fromOn, toOn } = row as AbsenceRow;
      if (toOn < fromOn) refuse({ kind: 'ends_before_it_begins', fromOn, toOn });
    },
  },
};

function saysTheSame(before: PurchaseRow, after: PurchaseRow): boolean {
  return (Object.keys(before) as (keyof PurchaseRow)[]).every((key) => key === 'seq' || before[key] === after[key]);
}

export const rulesOf = (entity: EntityKind): EntityRules => RULES[entity] ?? NONE;
