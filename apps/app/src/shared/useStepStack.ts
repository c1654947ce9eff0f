import type { Command, Op } from '@ours/core';
import { useCallback, useReducer, useRef } from 'react';
import type { RunOutcome } from '@/data/store/HouseholdStore';
import { useToast } from '@/kit/feedback/Toasts';
import { useRun } from './HouseholdProvider';
import { refusalWords } from './refusalWords';

/** What takes something back, or does it again. */
export interface DoneStep {
  ops: Op[];
  undoes: string | null;
}
/** A step that may still be being kept; null: it could not be done. */
export type ComingStep = Promise<DoneStep | null>;
/** What takes a command back, as a step. */
export const stepOf = ({ ops, undoes }: Command): DoneStep => ({ ops, undoes: undoes ?? null });

/** The step of a command that is being run. */
export const comingStep = (running: Promise<RunOutcome>): ComingStep =>
  running.then(
    (outcome) => (outcome.ok ? stepOf(outcome.undo) : null),
    () => null,
  );

/** Steps that are remembered. */
const MOST_STEPS = 100;

/**
 * Changes that can be taken back and done again one by one, from the moment they show, while they are still being kept. Each call takes
 * the next step, in its turn, however quickly they come; a step that is refused stays, with a sentence.
 */
export function useStepStack() {
  const run = useRun();
  const toast = useToast();
  const past = useRef<ComingStep[]>([]);
  const future = useRef<ComingStep[]>([]);
  const turn = useRef<Promise<unknown>>(Promise.resolve());
  const [, redraw] = useReducer((count: number) => count + 1, 0);

  /** @returns forgets the step, for whoever takes it back another way */
  const note = useCallback((step: ComingStep): (() => void) => {
    const forget = (): void => {
      past.current = past.current.filter((one) => one !== step);
      redraw();
    };
    past.current = [...past.current.slice(1 - MOST_STEPS), step];
    redraw();
    void step.then((done) => {
      if (done === null) return forget();
      // What was taken back before belongs to what is no more.
      future.current = [];
      redraw();
    });
    return forget;
  }, []);

  const go = useCallback(
    (intent: 'undone' | 'redone', from: typeof past, to: typeof past): Promise<'done' | 'nothing' | 'refused'> => {
      const work = async (): Promise<'done' | 'nothing' | 'refused'> => {
        let step: DoneStep | null = null;
        while (step === null && from.current.length > 0) step = await from.current.pop()!;
        if (step === null) return 'nothing';
        const outcome = await run(intent, step.ops, step.undoes);
        if (outcome.ok) to.current.push(Promise.resolve(stepOf(outcome.undo)));
        else {
          from.current.push(Promise.resolve(step));
          toast({ text: refusalWords(outcome.refusal), problem: true });
        }
        redraw();
        return outcome.ok ? 'done' : 'refused';
      };
      const done = turn.current.then(work, work);
      turn.current = done.catch(() => undefined);
      return done;
    },
    [run, toast],
  );
  return {
    note,
    undo: useCallback(() => go('undone', past, future), [go]),
    redo: useCallback(() => go('redone', future, past), [go]),
    /** For buttons that are quiet while there is nothing to take back. */
    any: { toUndo: past.current.length > 0, toRedo: future.current.length > 0 },
  };
}
