import { opsForBringingBack, outAmount, type LoanRow } from '@ours/core';
import { useState, type ReactNode } from 'react';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { BackDialog } from './BackDialog';

/** Brings something back: one thing or a bin at once, of several it is asked how many. The dialog is to be drawn. */
export function useBringBack(): { bringBack: (loan: LoanRow) => void; dialog: ReactNode } {
  const runCommand = useRunCommand();
  const state = useHousehold((snapshot) => snapshot.state);
  const [asking, setAsking] = useState<LoanRow | null>(null);
  return {
    bringBack: (loan) => {
      if (outAmount(state, loan) > 1000) return setAsking(loan);
      void runCommand('brought_back', opsForBringingBack(state, loan, null, opContext()), `Back: ${loan.what}.`);
    },
    dialog: asking ? <BackDialog loan={asking} state={state} onClose={() => setAsking(null)} /> : null,
  };
}
