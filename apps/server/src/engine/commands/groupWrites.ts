/** The statements that write what a group of commands did: one for each table. */
import type { Command, EntityKind, LedgerEvent, Refusal, TaggedRow } from '@ours/core';
import { upsertRows } from '../../db/rowSql';
import { SqlParts } from '../../db/SqlParts';
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

const LOG = (rows: string): string => `insert into command_log (household_id, id, seq, account_id, intent, occurred_at,
    received_at, undoes, summary, inverse, refusal, said_at, device_id)
  select $1, id, seq, "accountId", intent, "occurredAt", "receivedAt", undoes, summary, inverse, refusal, "saidAt", "deviceId"
  from jsonb_to_recordset(${rows}::jsonb) as given(id uuid, seq bigint, "accountId" uuid, intent text, "occurredAt" timestamptz,
    "receivedAt" timestamptz, undoes uuid, summary text[], inverse jsonb, refusal jsonb, "saidAt" timestamptz, "deviceId" uuid)`;
const EVENTS = (rows: string): string => `insert into ledger_event (household_id, id, lot_id, command_id, kind,
    quantity_thousandths, occurred_at, reason, voids)
  select $1, id, "lotId", "commandId", kind, "quantityThousandths", "occurredAt", reason, voids
  from jsonb_to_recordset(${rows}::jsonb) as given(id uuid, "lotId" uuid, "commandId" uuid, kind text,
    "quantityThousandths" bigint, "occurredAt" timestamptz, reason text, voids uuid)`;
const CLOCKS = (devices: string, times: string): string => `insert into device_clock (household_id, device_id, last_at)
  select $1, device, at from unnest(${devices}::uuid[], ${times}::timestamptz[]) as given(device, at)
  on conflict (household_id, device_id) do update set last_at = greatest(device_clock.last_at, excluded.last_at)`;

/** One statement for all that a group changed, each table written once; null when nothing is to be written. */
export function writeGroup(householdId: string, outcome: GroupOutcome): Statement | null {
  const sql = new SqlParts(householdId);
  const json = (rows: unknown[]): string => sql.value(JSON.stringify(rows));
  let count = 0;
  const add = (text: string): void => sql.add(`w${count++} as (${text})`);
  const byKind = new Map<EntityKind, unknown[]>();
  for (const { entity, row } of outcome.rows.values()) {
    const own = byKind.get(entity);
    if (own) own.push(row);
    else byKind.set(entity, [row]);
  }
  if (outcome.log.length > 0) add(LOG(json(outcome.log)));
  if (outcome.events.length > 0) add(EVENTS(json(outcome.events)));
  for (const [entity, rows] of byKind) add(upsertRows(entity, json(rows)));
  const { clocks } = outcome;
  if (clocks.size > 0) add(CLOCKS(sql.value([...clocks.keys()]), sql.value([...clocks.values()])));
  if (outcome.changed) add(`update household_seq set seq = ${sql.value(outcome.seq)} where household_id = $1`);
  if (sql.isEmpty) return null;
  const [channel, payload] = changeNotice(householdId, outcome.seq);
  const tell = outcome.changed ? `pg_notify(${sql.value(channel)}, ${sql.value(payload)})` : '1';
  return { text: `with ${sql.joined(', ')} select ${tell}`, values: sql.values };
}
