import type { Op } from '@ours/core';
import { useCallback } from 'react';
import { useToast } from '@/kit/feedback/Toasts';
import { usePageSteps } from './DoneProvider';
import { useRun } from './HouseholdProvider';
import { refusalWords } from './refusalWords';
import { comingStep, useStepStack } from './useStepStack';

/**
 * Changes of one sitting on one page that can be taken back and done again one by one, by its buttons and by the keys. Each press takes
 * the next step, also while the one before is still being kept.
 */
export function useUndoStack() {
  const run = useRun();
  const toast = useToast();
  const { note, undo, redo, any } = useStepStack();
  const change = useCallback(
    async (intent: string, ops: Op[]): Promise<boolean> => {
      if (ops.length === 0) return true;
      const running = run(intent, ops);
      note(comingStep(running));
      const outcome = await running;
      if (!outcome.ok) toast({ text: refusalWords(outcome.refusal), problem: true });
      return outcome.ok;
    },
    [note, run, toast],
  );
  const steps = { undo: any.toUndo ? () => void undo() : null, redo: any.toRedo ? () => void redo() : null };
  usePageSteps(steps);
  return { change, ...steps };
}
