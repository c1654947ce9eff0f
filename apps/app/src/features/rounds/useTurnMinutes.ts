import { useState } from 'react';
import { useNow } from '@/shared/useNow';

const MINUTE_MS = 60_000;
/** What takes longer than so many times the usual was left lying in between: nothing is said then. Own default. */
const MOST_TIMES = 4;

const keyOf = (roundId: string, dueOn: string): string => `nook.round ${roundId} ${dueOn}`;

/** When a turn was begun on this device: at its first step, or when its page was first opened; kept while one goes to a place and back. */
function begunAt(roundId: string, dueOn: string): number {
  const key = keyOf(roundId, dueOn);
  const known = Number(sessionStorage.getItem(key));
  if (known > 0) return known;
  const now = Date.now();
  sessionStorage.setItem(key, String(now));
  return now;
}

/**
 * How long a turn took up to now, as measured on this device, and as it is corrected by hand.
 * @returns minutes; null: nobody knows, since it was left lying, or was opened only to say that it is done
 */
export function useTurnMinutes(
  roundId: string,
  dueOn: string,
  usual: number,
): { minutes: number | null; correct: (minutes: number) => void; end: () => void } {
  const now = useNow();
  const [begun] = useState(() => begunAt(roundId, dueOn));
  const [corrected, setCorrected] = useState<number | null>(null);
  const measured = Math.round((now - begun) / MINUTE_MS);
  return {
    minutes: corrected ?? (measured < 1 || measured > usual * MOST_TIMES ? null : measured),
    correct: setCorrected,
    end: () => sessionStorage.removeItem(keyOf(roundId, dueOn)),
  };
}
