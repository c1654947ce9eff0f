import type { DateOrder, HouseholdState, ImportHome } from '@ours/core';
import { useEffect, useState } from 'react';
import { runJob } from '@/jobs/runJob';
import type { TableProblem } from '@/jobs/parseTable';
import type { TableLook, TableRow, TableSaid } from '@/jobs/tableJob';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { tableProblemWords } from './words';

/** What of a home a table is read against. */
const importHome = (state: HouseholdState): ImportHome => ({
  items: state.all('item').map(({ id, name, unit, category, lowAtThousandths, synonyms, codes }) => ({
    id,
    name,
    unit,
    category,
    lowAtThousandths,
    synonyms,
    codes: codes ?? [],
  })),
  lots: state
    .all('lot')
    .filter(({ quantityThousandths }) => quantityThousandths > 0)
    .map(({ id, itemId, nookId, expiresOn, dateKind, openedOn, frozenOn, packSize, batch, quantityThousandths }) => ({
      id,
      itemId,
      nookId,
      expiresOn,
      dateKind,
      openedOn,
      frozenOn,
      packSize,
      batch: batch ?? null,
      quantityThousandths,
    })),
  nooks: (['space', 'shelf', 'bin'] as const).flatMap((kind) =>
    state.all(kind).map(({ id, code, name }) => ({ id, code, name })),
  ),
});

/** What was read of a table so far. */
export interface Reading {
  look: TableLook | null;
  rows: TableRow[];
  problem: string | null;
  share: number;
  ended: boolean;
}
const NOTHING: Reading = { look: null, rows: [], problem: null, share: 0, ended: false };

/** Reads a table beside the page, anew whenever something else is said of it. */
export function useReading(content: Uint8Array | string | null, said: TableSaid): Reading {
  const { store, me } = useHouseholdContext();
  const [reading, setReading] = useState<Reading>(NOTHING);
  useEffect(() => {
    setReading(NOTHING);
    if (content === null) return undefined;
    const { state } = store;
    const order: DateOrder = state.get('household', me.householdId)?.dateOrder ?? 'dmy';
    let rows: TableRow[] = [];
    return runJob('table', { content, home: importHome(state), said, order }, (message) => {
      if (message.kind === 'failed') setReading((now) => ({ ...now, problem: message.problem, ended: true }));
      else if (message.kind === 'done') setReading((now) => ({ ...now, share: 1, ended: true }));
      else if (message.news.kind === 'problem') {
        const { problem }: { problem: TableProblem } = message.news;
        setReading((now) => ({ ...now, problem: tableProblemWords(problem) }));
      } else if (message.news.kind === 'look') {
        const { look } = message.news;
        setReading((now) => ({ ...now, look }));
      } else {
        const { news } = message;
        rows = [...rows, ...news.rows];
        setReading((now) => ({ ...now, rows, share: (rows.at(-1)?.line ?? 0) / Math.max(1, news.of) }));
      }
    });
  }, [content, said, store, me.householdId]);
  return reading;
}
