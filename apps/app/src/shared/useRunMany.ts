import type { Op } from '@ours/core';
import { useCallback, useRef, useState } from 'react';
import { useToast } from '@/kit/feedback/Toasts';
import { useDone } from './DoneProvider';
import { useRun } from './HouseholdProvider';
import { refusalWords } from './refusalWords';
import { stepOf, type DoneStep } from './useStepStack';

/** One command takes up to 500 operations. */
const OPS_AT_ONCE = 480;

/** How far it is; null: nothing is under way. */
export interface ManyUnderWay {
  done: number;
  of: number;
  stop: () => void;
}

/**
 * Does the same to many rows, in as many commands as it takes: it says how many were done, can be stopped, and is taken back as one.
 * The operations of one row stay together.
 */
export function useRunMany() {
  const run = useRun();
  const toast = useToast();
  const { note } = useDone();
  const [underWay, setUnderWay] = useState<ManyUnderWay | null>(null);
  const stopped = useRef(false);
  const runMany = useCallback(
    async (
      intent: string,
      /** Each makes the operations of one row when its turn comes. */
      rows: readonly (() => Op[])[],
      /** What is said in the end. @param done rows */
      words: (done: number) => string,
    ): Promise<void> => {
      stopped.current = false;
      const back: DoneStep[] = [];
      let at = 0;
      let problem: string | null = null;
      const tell = (): void => setUnderWay({ done: at, of: rows.length, stop: () => void (stopped.current = true) });
      while (at < rows.length && !stopped.current && problem === null) {
        const { ops, taken } = nextPart(rows, at);
        if (ops.length > 0) {
          const outcome = await run(intent, ops);
          if (!outcome.ok) {
            problem = refusalWords(outcome.refusal);
            break;
          }
          back.unshift(stepOf(outcome.undo));
        }
        at += taken;
        if (at < rows.length) tell();
      }
      setUnderWay(null);
      // What took one command is taken back by the keys, too; what took several only as a whole.
      const [only] = back;
      const forget = back.length === 1 && only ? note(Promise.resolve(only)) : null;
      const takeBack = async (): Promise<void> => {
        forget?.();
        for (const { ops, undoes } of back) {
          const outcome = await run('undone', ops, undoes);
          if (!outcome.ok) {
            toast({ text: `Not all of it was taken back: ${refusalWords(outcome.refusal)}`, problem: true });
            return;
          }
        }
        toast({ text: 'Taken back.' });
      };
      const undo = back.length > 0 ? { undo: () => void takeBack() } : {};
      if (problem !== null) {
        toast({
          text: at === 0 ? problem : `${words(at)} Then it went no further: ${problem}`,
          problem: true,
          ...undo,
        });
      } else if (at < rows.length) {
        toast({ text: `Stopped. ${words(at)}`, ...undo });
      } else if (back.length > 0) toast({ text: words(at), ...undo });
      else toast({ text: 'Nothing changes: it is so already.' });
    },
    [note, run, toast],
  );
  return { runMany, underWay };
}

/** As many rows as one command takes, and one at least. */
function nextPart(rows: readonly (() => Op[])[], from: number): { ops: Op[]; taken: number } {
  const ops: Op[] = [];
  let taken = 0;
  for (const make of rows.slice(from, from + OPS_AT_ONCE)) {
    const own = make();
    if (taken > 0 && ops.length + own.length > OPS_AT_ONCE) break;
    ops.push(...own);
    taken++;
  }
  return { ops, taken };
}
