import type { PlanAnswer, PlanProblem } from '@ours/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { MOST_TRIES, solveInSteps } from './solveInSteps';
import type { SolverMessage, SolverRequest } from './solverMessages';

export interface Solving {
  state: 'idle' | 'solving' | 'done' | 'cancelled' | 'failed';
  answer: PlanAnswer | null;
  /** 0 to 1. */
  progress: number;
  ms: number;
  problem: string | null;
}
const IDLE: Solving = { state: 'idle', answer: null, progress: 0, ms: 0, problem: null };

/** Solves in a web worker with progress and cancel; where there are no workers, in small slices on this thread. */
export function usePlanSolver(): { solving: Solving; start: (problem: PlanProblem) => void; cancel: () => void } {
  const [solving, setSolving] = useState<Solving>(IDLE);
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), []);
  const start = useCallback((problem: PlanProblem) => {
    stop.current();
    setSolving({ ...IDLE, state: 'solving' });
    const hear = (message: SolverMessage): void =>
      setSolving((before) => {
        if (message.kind === 'failed') return { ...before, state: 'failed', problem: message.problem };
        return {
          state: message.kind === 'done' ? 'done' : 'solving',
          answer: message.kind === 'going' ? before.answer : message.answer,
          progress: message.tries / MOST_TRIES,
          ms: message.ms,
          problem: null,
        };
      });
    stop.current = typeof Worker === 'undefined' ? solveInSteps(problem, hear) : solveInWorker(problem, hear);
  }, []);
  const cancel = useCallback(() => {
    stop.current();
    setSolving((before) => ({ ...before, state: 'cancelled' }));
  }, []);
  return { solving, start, cancel };
}

function solveInWorker(problem: PlanProblem, hear: (message: SolverMessage) => void): () => void {
  // Built by itself, beside the app: see scripts/build.sh.
  const worker = new Worker('/plan.worker.js');
  worker.onmessage = ({ data }: MessageEvent<SolverMessage>) => {
    hear(data);
    if (data.kind === 'done' || data.kind === 'failed') worker.terminate();
  };
  worker.onerror = () => hear({ kind: 'failed', problem: 'The plan could not be computed on this device.' });
  worker.postMessage({ kind: 'solve', problem } satisfies SolverRequest);
  return () => worker.terminate();
}
