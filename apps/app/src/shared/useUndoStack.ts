import type { Op } from '@ours/core';
import { useCallback, useReducer, useRef } from 'react';
import { useToast } from '@/kit/feedback/Toasts';
import { usePageSteps } from './DoneProvider';
import { useRun } from './HouseholdProvider';
import { refusalWords } from './refusalWords';

interface Step {
  ops: Op[];
  undoes: string | null;
}

/**
 * Changes of one sitting that can be taken back and done again one by one. Each press takes the next step, also while the
 * one before is still being kept.
 */
export function useUndoStack() {
  const run = useRun();
  const toast = useToast();
  const past = useRef<Step[]>([]);
  const future = useRef<Step[]>([]);
  const turn = useRef<Promise<unknown>>(Promise.resolve());
  /** Changes that show already and are still being kept: they can be taken back, too. */
  const underWay = useRef(0);
  const [, redraw] = useReducer((count: number) => count + 1, 0);
  const apply = useCallback(
    async (intent: string, step: Step): Promise<Step | null> => {
      const outcome = await run(intent, step.ops, step.undoes);
      if (outcome.ok) return { ops: outcome.undo.ops, undoes: outcome.undo.undoes ?? null };
      toast({ text: refusalWords(outcome.refusal), problem: true });
      return null;
    },
    [run, toast],
  );
  const inTurn = useCallback(<T>(work: () => Promise<T>): Promise<T> => {
    const done = turn.current.then(work, work);
    turn.current = done.catch(() => undefined);
    return done;
  }, []);

  const change = useCallback(
    async (intent: string, ops: Op[]): Promise<boolean> => {
      if (ops.length === 0) return true;
      // At once, since it was computed from what is there now; noted in its turn.
      const applied = apply(intent, { ops, undoes: null });
      underWay.current++;
      redraw();
      return inTurn(async () => {
        const back = await applied;
        underWay.current--;
        if (back) {
          past.current.push(back);
          future.current = [];
        }
        redraw();
        return back !== null;
      });
    },
    [apply, inTurn],
  );
  const step = useCallback(
    (intent: string, from: typeof past, to: typeof past): Promise<void> =>
      inTurn(async () => {
        const next = from.current.pop();
        if (!next) return;
        const back = await apply(intent, next);
        if (back) to.current.push(back);
        else from.current.push(next);
        redraw();
      }),
    [apply, inTurn],
  );
  const steps = {
    undo: past.current.length + underWay.current > 0 ? () => void step('undone', past, future) : null,
    redo: future.current.length > 0 ? () => void step('redone', future, past) : null,
  };
  usePageSteps(steps);
  return { change, ...steps };
}
