import { useVirtualizer } from '@tanstack/react-virtual';
import { Fragment, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { useScroller } from './Screen';

/** So many rows are drawn as they are; beyond, only those in sight. */
const PLAIN_ROWS = 40;
const ROW_HEIGHT = 72;
const SPARE_ROWS = 6;

/** Rows below each other, of which only those in sight are drawn when they are many. Inside a Screen. */
export function LongList<T>({
  entries,
  keyOf,
  draw,
}: {
  entries: readonly T[];
  keyOf: (entry: T) => string;
  draw: (entry: T) => ReactNode;
}) {
  if (entries.length > PLAIN_ROWS) return <RowsInSight entries={entries} keyOf={keyOf} draw={draw} />;
  return (
    <>
      {entries.map((entry) => (
        <Fragment key={keyOf(entry)}>{draw(entry)}</Fragment>
      ))}
    </>
  );
}

function RowsInSight<T>({
  entries,
  keyOf,
  draw,
}: {
  entries: readonly T[];
  keyOf: (entry: T) => string;
  draw: (entry: T) => ReactNode;
}) {
  const scroller = useScroller();
  const list = useRef<HTMLDivElement>(null);
  const [above, setAbove] = useState(0);
  // How far the list begins below the top of what scrolls.
  useLayoutEffect(() => {
    const box = list.current;
    if (box && scroller)
      setAbove(box.getBoundingClientRect().top - scroller.getBoundingClientRect().top + scroller.scrollTop);
  }, [scroller, entries.length]);
  const rows = useVirtualizer({
    count: entries.length,
    getScrollElement: () => scroller,
    estimateSize: () => ROW_HEIGHT,
    getItemKey: (at) => keyOf(entries[at]!),
    overscan: SPARE_ROWS,
    scrollMargin: above,
  });
  return (
    <div ref={list} style={{ position: 'relative', height: rows.getTotalSize() }}>
      {rows.getVirtualItems().map(({ key, index, start }) => (
        <div
          key={key}
          data-index={index}
          ref={rows.measureElement}
          style={{ position: 'absolute', left: 0, right: 0, top: 0, transform: `translateY(${start - above}px)` }}
        >
          {draw(entries[index]!)}
        </div>
      ))}
    </div>
  );
}
