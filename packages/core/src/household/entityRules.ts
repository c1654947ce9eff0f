import { checkNotInsideItself, carryInnerBins } from '../spaces/bin.rules';
import type { Working } from './applyCommand';
import type { AnyRow, BinRow, EntityKind } from './registry';

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
};

export const rulesOf = (entity: EntityKind): EntityRules => RULES[entity] ?? NONE;
