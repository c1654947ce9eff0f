import type { Command, Op } from '@ours/core';
import { createContext, useCallback, useContext, useEffect, useMemo, useRef, type ReactNode } from 'react';
import { useToast } from '@/kit/feedback/Toasts';
import { useRun } from './HouseholdProvider';
import { refusalWords } from './refusalWords';

/** What takes something back, or does it again. */
export interface DoneStep {
  ops: Op[];
  undoes: string | null;
}
interface PageSteps {
  undo: (() => void) | null;
  redo: (() => void) | null;
}
interface Done {
  /**
   * Something is being done on this device; a change can be taken back from the moment it shows, before it is kept.
   * @param step what takes it back; null: it could not be done
   * @returns forgets it, for whoever takes it back another way
   */
  note: (step: Promise<DoneStep | null>) => () => void;
  undo: () => void;
  redo: () => void;
  /** A page with steps of its own says which come next; null when it goes. */
  onPage: (steps: PageSteps | null) => void;
}
/** What takes a command back, as a step. */
export const stepOf = ({ ops, undoes }: Command): DoneStep => ({ ops, undoes: undoes ?? null });
/** Steps that are remembered. */
const MOST_STEPS = 100;

const DoneContext = createContext<Done>({
  note: () => () => undefined,
  undo: () => undefined,
  redo: () => undefined,
  onPage: () => undefined,
});
export const useDone = (): Done => useContext(DoneContext);

/** While a page with steps of its own is open, the keys take back those. */
export function usePageSteps(steps: PageSteps): void {
  const { onPage } = useDone();
  useEffect(() => {
    onPage(steps);
  });
  useEffect(() => () => onPage(null), [onPage]);
}

/** Remembers what was done on this device in this sitting, so that it can be taken back and done again one by one. */
export function DoneProvider({ children }: { children: ReactNode }) {
  const run = useRun();
  const toast = useToast();
  const past = useRef<Promise<DoneStep | null>[]>([]);
  const future = useRef<Promise<DoneStep | null>[]>([]);
  const page = useRef<PageSteps | null>(null);
  const turn = useRef<Promise<unknown>>(Promise.resolve());

  const note = useCallback((step: Promise<DoneStep | null>) => {
    past.current = [...past.current.slice(1 - MOST_STEPS), step];
    future.current = [];
    return () => {
      past.current = past.current.filter((one) => one !== step);
    };
  }, []);
  const go = useCallback(
    (from: typeof past, to: typeof past, words: { intent: string; done: string; nothing: string }): void => {
      // One after the other, however quickly the keys are pressed.
      turn.current = turn.current.then(async () => {
        let step: DoneStep | null = null;
        while (step === null && from.current.length > 0) step = await from.current.pop()!;
        if (!step) {
          toast({ text: words.nothing });
          return;
        }
        const outcome = await run(words.intent, step.ops, step.undoes);
        if (outcome.ok) {
          to.current.push(Promise.resolve(stepOf(outcome.undo)));
          toast({ text: words.done });
        } else toast({ text: refusalWords(outcome.refusal), problem: true });
      });
    },
    [run, toast],
  );
  const value = useMemo(
    (): Done => ({
      note,
      undo: () => {
        if (page.current?.undo) page.current.undo();
        else go(past, future, { intent: 'undone', done: 'Taken back.', nothing: 'Nothing to take back.' });
      },
      redo: () => {
        if (page.current?.redo) page.current.redo();
        else go(future, past, { intent: 'redone', done: 'Done again.', nothing: 'Nothing to do again.' });
      },
      onPage: (steps) => {
        page.current = steps;
      },
    }),
    [go, note],
  );
  return <DoneContext.Provider value={value}>{children}</DoneContext.Provider>;
}
