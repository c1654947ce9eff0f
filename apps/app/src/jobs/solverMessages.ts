import type { PlanAnswer, PlanProblem } from '@ours/core';

export type SolverRequest = { kind: 'solve'; problem: PlanProblem } | { kind: 'cancel' };
/** `better` carries an answer; `going` only says how far the search is. */
export type SolverMessage =
  | { kind: 'better'; answer: PlanAnswer; tries: number; ms: number }
  | { kind: 'going'; tries: number; ms: number }
  | { kind: 'done'; answer: PlanAnswer; tries: number; ms: number }
  | { kind: 'failed'; problem: string };
