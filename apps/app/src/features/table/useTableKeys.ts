import { useEffect, useRef, type KeyboardEvent } from 'react';

/** What the keys do in a table; the row that is looked at is named by its id. */
export interface TableKeys {
  ids: readonly string[];
  active: string | null;
  setActive: (id: string) => void;
  select: (id: string) => void;
  edit: (id: string) => void;
  open: (id: string) => void;
  move: () => void;
  leave: () => void;
}

/** Arrows go from row to row, Space selects, Enter edits, O opens, M moves what is selected, Escape leaves. */
export function useTableKeys(keys: TableKeys) {
  const now = useRef(keys);
  useEffect(() => {
    now.current = keys;
  });
  return (event: KeyboardEvent): void => {
    const of = now.current;
    if (event.key === 'Escape') {
      of.leave();
      return;
    }
    const inField = (event.target as HTMLElement).tagName === 'INPUT';
    if (inField || event.ctrlKey || event.metaKey || event.altKey) return;
    const at = of.active === null ? -1 : of.ids.indexOf(of.active);
    const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10, Home: -1e9, End: 1e9 }[event.key];
    if (step !== undefined) {
      const next = of.ids[Math.max(0, Math.min(of.ids.length - 1, at + step))];
      if (next !== undefined) {
        of.setActive(next);
        document.getElementById(`row-${next}`)?.scrollIntoView?.({ block: 'nearest' });
      }
    } else if (event.key === ' ' && of.active !== null) of.select(of.active);
    else if (event.key === 'Enter' && of.active !== null) of.edit(of.active);
    else if (event.key === 'o' && of.active !== null) of.open(of.active);
    else if (event.key === 'm') of.move();
    else return;
    event.preventDefault();
  };
}
