import { checkNotInsideItself, carryInnerBins } from '../spaces/bin.rules';
import type { Working } from './applyCommand';
import { refuse } from './refuse';
import type { AbsenceRow, AnyRow, BinRow, EntityKind, PurchaseRow } from './registry';

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
      if (before?.state === 'put_away' && (row as PurchaseRow).state === 'put_away')
        refuse({ kind: 'already_put_away', id: row.id });
    },
  },
  absence: {
    check: (_, row) => {
      const { fromOn, toOn } = row as AbsenceRow;
      if (toOn < fromOn) refuse({ kind: 'ends_before_it_begins', fromOn, toOn });
    },
  },
};

export const rulesOf = (entity: EntityKind): EntityRules => RULES[entity] ?? NONE;
