import type { Op } from '@ours/core';
import { useCallback } from 'react';
import { useToast } from '@/kit/feedback/Toasts';
import { useDone } from './DoneProvider';
import { useRun } from './HouseholdProvider';
import { refusalWords, type AnyRefusal } from './refusalWords';
import { comingStep } from './useStepStack';

export type Do = (
  intent: string,
  ops: Op[],
  done: string,
  /** Gets a way to take it back that outlasts the toast. */
  onDone?: (takeBack: () => void) => void,
) => Promise<AnyRefusal | null>;

/** Does something, says so, and offers to take it back. Answers why not when it cannot be done. */
export function useRunCommand(): Do {
  const run = useRun();
  const toast = useToast();
  const { note } = useDone();
  return useCallback(
    async (intent, ops, done, onDone) => {
      if (ops.length === 0) return null;
      const running = run(intent, ops);
      const forget = note(comingStep(running));
      const outcome = await running;
      if (!outcome.ok) {
        toast({ text: refusalWords(outcome.refusal), problem: true });
        return outcome.refusal;
      }
      const { undo } = outcome;
      const takeBack = (): void => {
        forget();
        void run('undone', undo.ops, undo.undoes ?? null).then((taken) =>
          toast(taken.ok ? { text: 'Taken back.' } : { text: refusalWords(taken.refusal), problem: true }),
        );
      };
      onDone?.(takeBack);
      toast({ text: done, undo: takeBack });
      return null;
    },
    [note, run, toast],
  );
}
