import { opsForImport, type HouseholdState, type Op, type RowDoes } from '@ours/core';
import { opContext } from '@/shared/opContext';
import type { useRun } from '@/shared/HouseholdProvider';
import type { AnyRefusal } from '@/shared/refusalWords';

/** One command takes up to 500 operations; a row makes up to three. */
const OPS_AT_ONCE = 480;
type Run = ReturnType<typeof useRun>;
interface Step {
  ops: Op[];
  undoes: string | null;
}
export interface ImportDone {
  rows: number;
  /** What takes it back, the last first. */
  back: Step[];
  refusal: AnyRefusal | null;
}

/** Gives the page a moment to draw and to answer. */
const aMoment = (): Promise<void> => new Promise((next) => setTimeout(next, 0));

/**
 * Writes what rows of a table change, some hundred rows at a time.
 * @param tell is told how many rows are written
 * @param isStopped is asked before each part; what was written stays and can be taken back
 * @param mayGoOn resolves when the next part may come
 */
export async function applyImport(
  run: Run,
  state: HouseholdState,
  rows: readonly RowDoes[],
  tell: (done: number) => void,
  isStopped: () => boolean,
  mayGoOn: () => Promise<void> = aMoment,
): Promise<ImportDone> {
  const made = new Map<string, string>();
  const back: Step[] = [];
  let done = 0;
  while (done < rows.length && !isStopped()) {
    const ops: Op[] = [];
    let taken = 0;
    // A row's operations are at most as many as its lots and two: a part is filled up row by row.
    for (const row of rows.slice(done, done + OPS_AT_ONCE)) {
      const known = made.size;
      const [own = []] = opsForImport(state, [row], made, opContext());
      if (ops.length > 0 && ops.length + own.length > OPS_AT_ONCE) {
        // It is made in the next part.
        if (made.size > known) made.delete(row.newKey ?? row.name);
        break;
      }
      ops.push(...own);
      taken++;
    }
    if (ops.length > 0) {
      const outcome = await run('table_read', ops);
      if (!outcome.ok) return { rows: done, back, refusal: outcome.refusal };
      back.unshift({ ops: outcome.undo.ops, undoes: outcome.undo.undoes ?? null });
    }
    done += taken;
    tell(done);
    await mayGoOn();
  }
  return { rows: done, back, refusal: null };
}

/** Takes back what an import wrote, part by part. @returns what could not be taken back; null: all was */
export async function takeBackImport(
  run: Run,
  back: readonly Step[],
  mayGoOn: () => Promise<void> = aMoment,
): Promise<AnyRefusal | null> {
  for (const { ops, undoes } of back) {
    const outcome = await run('undone', ops, undoes);
    if (!outcome.ok) return outcome.refusal;
    await mayGoOn();
  }
  return null;
}
