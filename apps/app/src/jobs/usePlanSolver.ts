import type { PlanAnswer, PlanProblem } from '@ours/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { mostTries } from './planJob';
import { runJob } from './runJob';

export interface Solving {
  state: 'idle' | 'solving' | 'done' | 'cancelled' | 'failed';
  answer: PlanAnswer | null;
  /** 0 to 1. */
  progress: number;
  ms: number;
  problem: string | null;
}
const IDLE: Solving = { state: 'idle', answer: null, progress: 0, ms: 0, problem: null };

/** Solves beside the page, with progress and cancel. */
export function usePlanSolver(): { solving: Solving; start: (problem: PlanProblem) => void; cancel: () => void } {
  const [solving, setSolving] = useState<Solving>(IDLE);
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), []);
  const start = useCallback((problem: PlanProblem) => {
    stop.current();
    setSolving({ ...IDLE, state: 'solving' });
    stop.current = runJob('plan', problem, (message) =>
      setSolving((before) => {
        switch (message.kind) {
          case 'failed':
            return { ...before, state: 'failed', problem: `The plan could not be computed: ${message.problem}` };
          case 'done':
            return { ...before, state: 'done', progress: 1 };
          case 'news': {
            const { answer, tries, ms } = message.news;
            return { ...before, answer: answer ?? before.answer, progress: tries / mostTries(problem), ms };
          }
        }
      }),
    );
  }, []);
  const cancel = useCallback(() => {
    stop.current();
    setSolving((before) => ({ ...before, state: 'cancelled' }));
  }, []);
  return { solving, start, cancel };
}
