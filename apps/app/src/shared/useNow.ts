import { useEffect, useState } from 'react';

const AGAIN_MS = 20_000;

/** The instant it is, ms since 1970; told anew three times a minute, and when what is looked at changes. */
export function useNow(beat: unknown = null): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => setNow(Date.now()), [beat]);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), AGAIN_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
