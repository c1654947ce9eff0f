import { useEffect, useState } from 'react';

/** A value once it has stayed the same for a moment: what is drawn from it does not hold up whoever goes on quickly. */
export function useSettled<T>(value: T, ms: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}
