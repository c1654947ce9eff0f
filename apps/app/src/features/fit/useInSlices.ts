import { useEffect, useState } from 'react';

/** Work between two frames, milliseconds. */
const SLICE_MS = 10;

/**
 * Computes something for each of a list between the frames, a few milliseconds at a time, so that the screen answers meanwhile.
 *
 * @param keys what is computed, in this order; a new list or another `compute` begins anew
 * @param compute must be kept the same (`useCallback`) as long as its answers are
 * @returns the answers so far, by key
 */
export function useInSlices<T>(keys: readonly string[], compute: (key: string) => T): ReadonlyMap<string, T> {
  const [found, setFound] = useState<{ of: unknown; answers: ReadonlyMap<string, T> }>({
    of: null,
    answers: new Map(),
  });
  const wanted = keys.join('\n');
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const answers = new Map<string, T>();
    const list = wanted === '' ? [] : wanted.split('\n');
    let at = 0;
    const go = (): void => {
      const until = performance.now() + SLICE_MS;
      do {
        const key = list[at++];
        if (key !== undefined) answers.set(key, compute(key));
      } while (at < list.length && performance.now() < until);
      setFound({ of: compute, answers: new Map(answers) });
      if (at < list.length) timer = setTimeout(go, 0);
    };
    timer = setTimeout(go, 0);
    return () => clearTimeout(timer);
  }, [wanted, compute]);
  return found.of === compute ? found.answers : NOTHING;
}

const NOTHING = new Map<string, never>();
