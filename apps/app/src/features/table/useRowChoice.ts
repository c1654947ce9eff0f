import { useCallback, useLayoutEffect, useRef, useState } from 'react';
import type { ViewColumn } from '@ours/core';

/** Which rows are chosen, and at which cell one looks. */
export function useRowChoice(ids: readonly string[], columns: readonly ViewColumn[]) {
  const [selected, setSelected] = useState<ReadonlySet<string>>(new Set());
  const [active, setActive] = useState<string | null>(null);
  const [column, setColumn] = useState<ViewColumn>('amount');
  /** Where a run of rows began. */
  const anchor = useRef<string | null>(null);
  const known = useRef(ids);
  useLayoutEffect(() => {
    known.current = ids;
  });

  const select = useCallback((id: string): void => {
    anchor.current = id;
    setSelected((before) => {
      const next = new Set(before);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  }, []);
  /** @param extend all rows from the anchor to this one are chosen, and no others */
  const go = useCallback((id: string, to: ViewColumn | null, extend: boolean): void => {
    if (extend) {
      const all = known.current;
      const ends = [all.indexOf(anchor.current ?? id), all.indexOf(id)].sort((a, b) => a - b);
      anchor.current ??= id;
      if (ends[0]! >= 0) setSelected(new Set(all.slice(ends[0], ends[1]! + 1)));
    } else anchor.current = id;
    setActive(id);
    if (to !== null) setColumn(to);
  }, []);
  const clear = useCallback((): void => setSelected(new Set()), []);
  const selectAll = useCallback((): void => setSelected(new Set(known.current)), []);
  return {
    selected,
    active,
    column: columns.includes(column) ? column : 'what',
    select,
    go,
    goColumn: setColumn as (column: string) => void,
    selectAll,
    clear,
  };
}
