import { useCallback, useLayoutEffect, useRef, useState } from 'react';
import type { ViewColumn } from '@ours/core';
import { useToast } from '@/kit/feedback/Toasts';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext, today } from '@/shared/opContext';
import { useGuide } from '@/shared/useGuide';
import { useRunCommand } from '@/shared/useRunCommand';
import { cellText, isEdited, readCell, whyNot } from './cellEdits';
import type { Typed } from './StockLine';
import type { StockRow } from './stockRows';

interface Editing extends Typed {
  id: string;
  problem: string;
}

/** What is being typed into a cell; read and saved when it is done, by the rules of a recorded line. */
export function useCellEditing(rowOf: (id: string) => StockRow | undefined, onSaved: () => void) {
  const { me, store } = useHouseholdContext();
  const runCommand = useRunCommand();
  const toast = useToast();
  const guide = useGuide();
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const [editing, setEditing] = useState<Editing | null>(null);
  const now = useRef({ editing, rowOf, onSaved });
  useLayoutEffect(() => {
    now.current = { editing, rowOf, onSaved };
  });

  const begin = useCallback(
    (id: string, column: ViewColumn): void => {
      const row = now.current.rowOf(id);
      if (!row || !isEdited(column)) return;
      const not = whyNot(row, column);
      if (not !== null) {
        toast({ text: not, problem: true });
        return;
      }
      setEditing({ id, column, text: cellText(row, column, store.state), bad: false, problem: '' });
    },
    [store, toast],
  );
  const type = useCallback(
    (text: string): void => setEditing((was) => was && { ...was, text, bad: false, problem: '' }),
    [],
  );
  const end = useCallback((): void => {
    // At once: a field that goes away may still tell that it lost the focus.
    now.current.editing = null;
    setEditing(null);
  }, []);
  /** Reads and saves what is typed. @returns false when it cannot be read; then it stays, with a sentence */
  const keep = useCallback((): boolean => {
    const { editing: at } = now.current;
    const row = at && now.current.rowOf(at.id);
    if (!at || !row) return false;
    const reading = readCell(row, at.column, at.text, {
      state: store.state,
      guide,
      order,
      today: today(),
      context: opContext,
    });
    if (!reading.ok) {
      setEditing({ ...at, bad: true, problem: reading.problem });
      return false;
    }
    end();
    if (reading.change) void runCommand(reading.change.intent, reading.change.ops, reading.change.words);
    return true;
  }, [end, guide, order, runCommand, store]);
  const save = useCallback((): void => {
    if (keep()) now.current.onSaved();
  }, [keep]);
  /** Whoever goes elsewhere has not lost what is typed. */
  const blur = useCallback((): void => void keep(), [keep]);
  return { editing, begin, type, leave: end, save, blur };
}
