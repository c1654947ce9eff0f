import {
  dateOrderOf,
  decimalMarkOf,
  pastColumns,
  PastReader,
  voidedIds,
  type DateOrder,
  type DecimalMark,
  type PastDeed,
  type PastEvent,
  type PastHome,
  type PastRow,
  type TableHabit,
} from '@ours/core';
import { inSlices } from './job';
import { parseTable, type TableProblem } from './parseTable';

export interface PastInput {
  content: Uint8Array;
  home: Omit<PastHome, 'events'>;
  /** The whole home with its history, as JSON: what it says already is not added again. */
  json: Uint8Array;
  /** How the home writes dates. */
  order: DateOrder;
}
export type PastNews =
  | { ok: false; problem: TableProblem | { kind: 'no_head' } }
  | {
      ok: true;
      rows: PastRow[];
      mark: TableHabit<DecimalMark>;
      order: TableHabit<DateOrder>;
      /** Whether a column says what happened; without one all is use, or what came in has a plus. */
      deeds: 'said' | 'signed' | 'all_used';
    };

/** Reads a table of what was put in, used and thrown before, against the history of the home. */
export const pastJob = inSlices<PastInput, PastNews>(({ content, home, json, order: homeOrder }, news) => () => {
  const parsed = parseTable(content);
  if (!parsed.ok) {
    news(parsed);
    return false;
  }
  const first = parsed.rows.findIndex((cells) => cells.some((cell) => cell.trim() !== ''));
  const columns = first < 0 ? null : pastColumns(parsed.rows[first]!);
  if (columns === null) {
    news({ ok: false, problem: { kind: 'no_head' } });
    return false;
  }
  const body = parsed.rows.slice(first + 1);
  const cellsOf = (wanted: 'amount' | 'when'): string[] => {
    const at = columns.indexOf(wanted);
    return at < 0 ? [] : body.map((cells) => cells[at] ?? '');
  };
  const amounts = cellsOf('amount');
  const mark = decimalMarkOf(amounts, parsed.separator === ';' ? ',' : '.');
  const order = dateOrderOf(cellsOf('when'), homeOrder);
  const signed = amounts.some((cell) => cell.trim().startsWith('-'));
  const reader = new PastReader({ ...home, events: eventsIn(json) }, columns, {
    mark: mark.value,
    order: order.value,
    signed,
  });
  news({
    ok: true,
    rows: body.flatMap((cells, at) => reader.read(cells, first + at + 2) ?? []),
    mark,
    order,
    deeds: columns.includes('deed') ? 'said' : signed ? 'signed' : 'all_used',
  });
  return false;
});

interface HomeLike {
  rows: readonly { entity: string; row: { id: string; itemId?: string } }[];
  events: readonly {
    id: string;
    lotId: string;
    kind: string;
    quantityThousandths: number;
    occurredAt: string;
    voids: string | null;
  }[];
}
const DEEDS = new Set<string>(['put_in', 'taken', 'discarded'] satisfies PastDeed[]);

/** What a home's file says was put in, used and thrown, without what was taken back. */
function eventsIn(json: Uint8Array): PastEvent[] {
  const { rows, events } = JSON.parse(new TextDecoder().decode(json)) as HomeLike;
  const itemOf = new Map(rows.flatMap(({ entity, row }) => (entity === 'lot' ? [[row.id, row.itemId!] as const] : [])));
  const voided = voidedIds(events);
  return events.flatMap(({ id, lotId, kind, quantityThousandths, occurredAt }) => {
    const itemId = itemOf.get(lotId);
    return itemId === undefined || !DEEDS.has(kind) || voided.has(id)
      ? []
      : [{ itemId, kind: kind as PastDeed, thousandths: quantityThousandths, at: occurredAt }];
  });
}
