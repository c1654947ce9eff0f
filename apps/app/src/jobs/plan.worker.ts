import { solveInSteps } from './solveInSteps';
import type { SolverRequest } from './solverMessages';

let stop: (() => void) | null = null;

self.onmessage = ({ data }: MessageEvent<SolverRequest>) => {
  stop?.();
  stop = data.kind === 'solve' ? solveInSteps(data.problem, (message) => self.postMessage(message)) : null;
};
