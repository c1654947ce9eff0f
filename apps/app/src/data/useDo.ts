import type { Op, PlanContext, Refusal } from '@ours/core';
import { useCallback } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { useToast } from '@/ui/Toasts';
import { useRun } from './HouseholdProvider';
import { refusalWords } from './refusalWords';
import { today } from './today';

export const planContext = (): PlanContext => ({
  newId: () => uuidv7(),
  now: new Date().toISOString(),
  today: today(),
});

export type Do = (intent: string, ops: Op[], done: string) => Promise<Refusal | null>;

/** Does something, says so, and offers to take it back. Answers why not when it cannot be done. */
export function useDo(): Do {
  const run = useRun();
  const toast = useToast();
  return useCallback(
    async (intent, ops, done) => {
      if (ops.length === 0) return null;
      const outcome = await run(intent, ops);
      if (!outcome.ok) {
        toast({ text: refusalWords(outcome.refusal), problem: true });
        return outcome.refusal;
      }
      const { undo } = outcome;
      toast({
        text: done,
        undo: () => {
          void run('undone', undo.ops, undo.undoes ?? null).then((taken) =>
            toast(taken.ok ? { text: 'Taken back.' } : { text: refusalWords(taken.refusal), problem: true }),
          );
        },
      });
      return null;
    },
    [run, toast],
  );
}
