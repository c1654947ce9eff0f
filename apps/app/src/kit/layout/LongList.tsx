import { Fragment, startTransition, useEffect, useRef, useState, type ReactNode } from 'react';
import { useScroller } from './Screen';
import { usePrinting } from './usePrinting';

/** What a phone shows at once. */
const FIRST_ROWS = 10;
const MORE_ROWS = 10;
/** More rows are drawn when the end of those that are drawn comes so near. */
const AHEAD = '1400px';

/**
 * Rows below each other. Of very many the first are drawn, and more as one scrolls towards them, behind whatever else there is to
 * do. Inside a Screen.
 */
export function LongList<T>({
  entries,
  keyOf,
  draw,
  first = FIRST_ROWS,
}: {
  entries: readonly T[];
  keyOf: (entry: T) => string;
  draw: (entry: T) => ReactNode;
  /** How many fill what a phone shows at once. */
  first?: number;
}) {
  const [shown, setShown] = useState(first);
  const printing = usePrinting();
  // Where a browser cannot tell what is in sight, all rows are drawn.
  const all = printing || entries.length <= shown || typeof IntersectionObserver === 'undefined';
  return (
    <>
      {(all ? entries : entries.slice(0, shown)).map((entry) => (
        <Fragment key={keyOf(entry)}>{draw(entry)}</Fragment>
      ))}
      {all ? null : <Foot key={shown} onNear={() => startTransition(() => setShown((now) => now + MORE_ROWS))} />}
    </>
  );
}

/** The end of the rows that are drawn. */
function Foot({ onNear }: { onNear: () => void }) {
  const foot = useRef<HTMLDivElement>(null);
  const near = useRef(onNear);
  const scroller = useScroller();
  useEffect(() => {
    near.current = onNear;
  });
  useEffect(() => {
    if (!foot.current || !scroller) return undefined;
    const observer = new IntersectionObserver(
      (seen) => {
        if (seen.some(({ isIntersecting }) => isIntersecting)) near.current();
      },
      { root: scroller, rootMargin: AHEAD },
    );
    observer.observe(foot.current);
    return () => observer.disconnect();
  }, [scroller]);
  return <div ref={foot} style={{ height: 1 }} />;
}
