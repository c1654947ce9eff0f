import { useEffect, useRef, type KeyboardEvent } from 'react';
import { flushSync } from 'react-dom';

/** What the keys do in a table; the cell that is looked at is named by its row's id and its column. */
export interface TableKeys {
  ids: readonly string[];
  columns: readonly string[];
  active: string | null;
  column: string;
  /** @param extend all rows from where the choice began to this one are chosen */
  go: (id: string, extend: boolean) => void;
  goColumn: (column: string) => void;
  select: (id: string) => void;
  selectAll: () => void;
  edit: (id: string) => void;
  open: (id: string) => void;
  move: () => void;
  list: () => void;
  copy: () => void;
  filter: () => void;
  leave: () => void;
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowDown: 1,
  ArrowUp: -1,
  PageDown: 10,
  PageUp: -10,
  Home: -1e9,
  End: 1e9,
};

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
    if ((event.target as HTMLElement).tagName === 'INPUT' || event.altKey) return;
    if (event.ctrlKey || event.metaKey) {
      if (event.key === 'a') of.selectAll();
      else if (event.key === 'c' && document.getSelection()?.isCollapsed !== false) of.copy();
      else return;
      event.preventDefault();
      return;
    }
    const step = STEPS[event.key];
    const sideways = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const { active } = of;
    if (step !== undefined) {
      const at = active === null ? (step < 0 && step > -1e9 ? 1 : -1) : of.ids.indexOf(active);
      const next = of.ids[Math.max(0, Math.min(of.ids.length - 1, at + step))];
      if (next !== undefined) of.go(next, event.shiftKey);
    } else if (sideways !== 0) {
      const at = of.columns.indexOf(of.column);
      const next = of.columns[Math.max(0, Math.min(of.columns.length - 1, at + sideways))];
      if (next !== undefined) of.goColumn(next);
    } else if (event.key === ' ' && active !== null) of.select(active);
    else if ((event.key === 'Enter' || event.key === 'F2') && active !== null)
      // Before the next key: whoever types on at once types into the cell.
      flushSync(() => of.edit(active));
    else if (event.key === 'o' && active !== null) of.open(active);
    else if (event.key === 'm') of.move();
    else if (event.key === 'l') of.list();
    else if (event.key === 'f') of.filter();
    else return;
    event.preventDefault();
  };
}
