/** The statements that write what a group of commands did: one for each table. */
import type { Command, EntityKind, LedgerEvent, Refusal, TaggedRow } from '@ours/core';
import { upsertRows } from '../../db/rowSql';
import type { Statement } from '../../db/together';
import { changeNotice } from '../nudges/nudges';

export interface LogEntry {
  id: string;
  seq: number | null;
  accountId: string;
  intent: string;
  occurredAt: string;
  receivedAt: string;
  undoes: string | null;
  summary: string[];
  inverse: Command | null;
  refusal: Refusal | null;
  saidAt: string | null;
  deviceId: string | null;
}

/** What a group changed, to be written at once. */
export interface GroupOutcome {
  log: LogEntry[];
  events: (LedgerEvent & { commandId: string })[];
  rows: Map<string, TaggedRow>;
  clocks: Map<string, string>;
  seq: number;
  changed: boolean;
}

const LOG = `insert into command_log (household_id, id, seq, account_id, intent, occurred_at, received_at, undoes, summary,
    inverse, refusal, said_at, device_id)
  select $1, id, seq, "accountId", intent, "occurredAt", "receivedAt", undoes, summary, inverse, refusal, "saidAt", "deviceId"
  from jsonb_to_recordset($2::jsonb) as given(id uuid, seq bigint, "accountId" uuid, intent text, "occurredAt" timestamptz,
    "receivedAt" timestamptz, undoes uuid, summary text[], inverse jsonb, refusal jsonb, "saidAt" timestamptz, "deviceId" uuid)`;
const EVENTS = `insert into ledger_event (household_id, id, lot_id, command_id, kind, quantity_thousandths, occurred_at, reason, voids)
  select $1, id, "lotId", "commandId", kind, "quantityThousandths", "occurredAt", reason, voids
  from jsonb_to_recordset($2::jsonb) as given(id uuid, "lotId" uuid, "commandId" uuid, kind text, "quantityThousandths" bigint,
    "occurredAt" timestamptz, reason text, voids uuid)`;
const CLOCKS = `insert into device_clock (household_id, device_id, last_at)
  select $1, device, at from unnest($2::uuid[], $3::timestamptz[]) as given(device, at)
  on conflict (household_id, device_id) do update set last_at = greatest(device_clock.last_at, excluded.last_at)`;

export function writesFor(householdId: string, outcome: GroupOutcome): Statement[] {
  const given = (text: string, rows: unknown[]): Statement[] =>
    rows.length === 0 ? [] : [{ text, values: [householdId, JSON.stringify(rows)] }];
  const byKind = new Map<EntityKind, unknown[]>();
  for (const { entity, row } of outcome.rows.values()) byKind.set(entity, [...(byKind.get(entity) ?? []), row]);
  const list = [...given(LOG, outcome.log), ...given(EVENTS, outcome.events)];
  for (const [entity, rows] of byKind) list.push(...given(upsertRows(entity), rows));
  const { clocks } = outcome;
  if (clocks.size > 0) list.push({ text: CLOCKS, values: [householdId, [...clocks.keys()], [...clocks.values()]] });
  if (!outcome.changed) return list;
  const seq = 'update household_seq set seq = $2 where household_id = $1';
  list.push({ text: seq, values: [householdId, outcome.seq] });
  list.push({ text: 'select pg_notify($1, $2)', values: [...changeNotice(householdId, outcome.seq)] });
  return list;
}
