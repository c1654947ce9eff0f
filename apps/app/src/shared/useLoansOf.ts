import { loanOfLot, type LoanRow, type LotRow } from '@ours/core';
import { useHousehold } from '@/shared/HouseholdProvider';

/** Of each lot by whom or where it is instead of in its place; null: it is in its place. */
export const useLoansOf = (lots: readonly LotRow[]): (LoanRow | null)[] =>
  useHousehold(({ state }) => lots.map((lot) => loanOfLot(state, lot)));
