import type { Op } from '@ours/core';
import { useCallback, useState } from 'react';
import { useToast } from '@/ui/Toasts';
import { useRun } from './HouseholdProvider';
import { refusalWords } from './refusalWords';

interface Step {
  ops: Op[];
  undoes: string | null;
}

/** Changes of one sitting that can be taken back and done again one by one. */
export function useUndoStack() {
  const run = useRun();
  const toast = useToast();
  const [past, setPast] = useState<Step[]>([]);
  const [future, setFuture] = useState<Step[]>([]);
  const apply = useCallback(
    async (intent: string, step: Step): Promise<Step | null> => {
      const outcome = await run(intent, step.ops, step.undoes);
      if (outcome.ok) return { ops: outcome.undo.ops, undoes: outcome.undo.undoes ?? null };
      toast({ text: refusalWords(outcome.refusal), problem: true });
      return null;
    },
    [run, toast],
  );
  const change = useCallback(
    async (intent: string, ops: Op[]): Promise<boolean> => {
      if (ops.length === 0) return true;
      const back = await apply(intent, { ops, undoes: null });
      if (!back) return false;
      setPast((steps) => [...steps, back]);
      setFuture([]);
      return true;
    },
    [apply],
  );
  const undo = useCallback(async () => {
    const step = past.at(-1);
    const forth = step && (await apply('undone', step));
    if (!forth) return;
    setPast((steps) => steps.slice(0, -1));
    setFuture((steps) => [...steps, forth]);
  }, [apply, past]);
  const redo = useCallback(async () => {
    const step = future.at(-1);
    const back = step && (await apply('redone', step));
    if (!back) return;
    setFuture((steps) => steps.slice(0, -1));
    setPast((steps) => [...steps, back]);
  }, [apply, future]);
  return {
    change,
    undo: past.length > 0 ? () => void undo() : null,
    redo: future.length > 0 ? () => void redo() : null,
  };
}
