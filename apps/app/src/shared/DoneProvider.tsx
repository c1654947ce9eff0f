import { createContext, useContext, useEffect, useMemo, useRef, type ReactNode } from 'react';
import { useToast } from '@/kit/feedback/Toasts';
import { useStepStack, type ComingStep } from './useStepStack';

interface PageSteps {
  undo: (() => void) | null;
  redo: (() => void) | null;
}
interface Done {
  /** Something is being done on this device. @returns forgets it, for whoever takes it back another way */
  note: (step: ComingStep) => () => void;
  undo: () => void;
  redo: () => void;
  /** A page with steps of its own says which come next; null when it goes. */
  onPage: (steps: PageSteps | null) => void;
}

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

const WORDS = {
  undo: { done: 'Taken back.', nothing: 'Nothing to take back.' },
  redo: { done: 'Done again.', nothing: 'Nothing to do again.' },
} as const;

/** Remembers what was done on this device in this sitting, so that the keys take it back and do it again one by one. */
export function DoneProvider({ children }: { children: ReactNode }) {
  const toast = useToast();
  const { note, undo, redo } = useStepStack();
  const page = useRef<PageSteps | null>(null);
  const value = useMemo((): Done => {
    const step = (way: 'undo' | 'redo') => (): void => {
      const onPage = page.current?.[way];
      if (onPage) return onPage();
      // What is refused has been said already.
      void (way === 'undo' ? undo : redo)().then((end) => end !== 'refused' && toast({ text: WORDS[way][end] }));
    };
    return {
      note,
      undo: step('undo'),
      redo: step('redo'),
      onPage: (steps) => {
        page.current = steps;
      },
    };
  }, [note, redo, toast, undo]);
  return <DoneContext.Provider value={value}>{children}</DoneContext.Provider>;
}
