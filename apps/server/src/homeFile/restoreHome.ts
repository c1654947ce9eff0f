import type { FileEvent, HomeFile, RestoreNews } from '@ours/contracts';
import { entityKinds, voidedIds, type EntityKind, type TaggedRow } from '@ours/core';
import { sql } from 'drizzle-orm';
import type { SignedIn } from '../accounts/signedIn';
import type { Context } from '../context';
import { inScope, type Transaction } from '../db/connect';
import { upsertRows } from '../db/rowSql';
import { changeNotice } from '../engine/nudges/nudges';
import { ProblemError } from '../problems/catalogue';

const CHUNK = 2000;

export interface RestoreOptions {
  /** What the home has now may go; without it only an empty home takes a file. */
  over: boolean;
  tell: (news: RestoreNews) => void;
}

/** How many living rows a home has besides the one of the home itself. */
export async function livingRows(tx: Transaction, householdId: string): Promise<number> {
  let count = 0;
  for (const kind of entityKinds()) {
    if (kind === 'household') continue;
    const { rows } = await tx.$client.query<{ n: number }>(
      `select count(*)::int as n from "${kind}" where household_id = $1 and not retired`,
      [householdId],
    );
    count += rows[0]!.n;
  }
  return count;
}

/**
 * Makes a home what a file says, in one transaction. What is not in the file is retired, nothing is deleted; every device reads the rows
 * as changes. What happened to lots of the file after it was written is taken back, so that a later count starts from what the file says.
 * The file has been checked.
 * @throws ProblemError `home_not_empty` where something would be lost and nobody said that it may
 */
export async function restoreHome(
  context: Context,
  who: SignedIn,
  given: HomeFile,
  { over, tell }: RestoreOptions,
): Promise<{ rows: number; events: number; retired: number }> {
  const { householdId } = who;
  const file = ofHome(given, householdId);
  const of = file.rows.length + file.events.length + file.commands.length;
  let done = 0;
  const wrote = (many: number): void => tell({ step: 'writing', done: (done += many), of });
  return inScope(context.db, who, async (tx) => {
    const { rows: head } = await tx.$client.query<{ seq: string }>(
      'select seq from household_seq where household_id = $1 for update',
      [householdId],
    );
    if (!over && (await livingRows(tx, householdId)) > 0) throw new ProblemError('home_not_empty');
    // After all that is there and all that comes, so that every device reads the rows as new.
    const seq = file.commands.reduce((most, one) => Math.max(most, one.seq), Number(head[0]!.seq)) + 1;
    const retired = await retireOthers(tx, householdId, file.rows, seq);
    for (const kind of entityKinds()) {
      const own = file.rows.flatMap(({ entity, row }) => (entity === kind ? [{ ...row, seq }] : []));
      for (const part of inChunks(own)) {
        await tx.$client.query(upsertRows(kind, '$2'), [householdId, JSON.stringify(part)]);
        wrote(part.length);
      }
    }
    await takeBackLaterEvents(tx, context, householdId, file);
    for (const part of inChunks(file.events)) {
      await tx.$client.query(EVENTS, [householdId, JSON.stringify(part)]);
      wrote(part.length);
    }
    for (const part of inChunks(file.commands)) {
      await tx.$client.query(COMMANDS, [householdId, JSON.stringify(part), who.accountId]);
      wrote(part.length);
    }
    const now = context.now();
    const summary = [`A home of ${file.madeAt.slice(0, 10)}`];
    await tx.$client.query(
      `insert into command_log (household_id, id, seq, account_id, intent, occurred_at, received_at, summary)
       values ($1, $2, $3, $4, 'home_restored', $5, $5, $6)`,
      [householdId, context.newId(), seq, who.accountId, now, summary],
    );
    await tx.$client.query('update household_seq set seq = $2 where household_id = $1', [householdId, seq]);
    const [channel, payload] = changeNotice(householdId, seq);
    await tx.execute(sql`select pg_notify(${channel}, ${payload})`);
    return { rows: file.rows.length, events: file.events.length, retired };
  });
}

/** The one row of the home itself has the home's id: it becomes this home's. */
function ofHome(file: HomeFile, householdId: string): HomeFile {
  const rows = file.rows.map((tagged): TaggedRow =>
    tagged.entity === 'household' ? { entity: 'household', row: { ...tagged.row, id: householdId } } : tagged,
  );
  return { ...file, householdId, rows };
}

async function retireOthers(
  tx: Transaction,
  householdId: string,
  rows: readonly TaggedRow[],
  seq: number,
): Promise<number> {
  const kept = new Map<EntityKind, string[]>();
  for (const { entity, row } of rows) {
    const own = kept.get(entity);
    if (own) own.push(row.id);
    else kept.set(entity, [row.id]);
  }
  let retired = 0;
  for (const kind of entityKinds()) {
    if (kind === 'household') continue;
    const { rowCount } = await tx.$client.query(
      `update "${kind}" set retired = true, seq = $2
       where household_id = $1 and not retired and not (id = any($3::uuid[]))`,
      [householdId, seq, kept.get(kind) ?? []],
    );
    retired += rowCount ?? 0;
  }
  return retired;
}

/** Events of the file's lots that the file does not know came after it: they no longer count. */
async function takeBackLaterEvents(
  tx: Transaction,
  context: Context,
  householdId: string,
  file: HomeFile,
): Promise<void> {
  const known = new Set(file.events.map(({ id }) => id));
  const lots = new Set(file.rows.flatMap(({ entity, row }) => (entity === 'lot' ? [row.id] : [])));
  const { rows } = await tx.$client.query<{ id: string; lotId: string; voids: string | null }>(
    `select id, lot_id as "lotId", voids from ledger_event where household_id = $1`,
    [householdId],
  );
  const later = rows.filter(({ id, lotId }) => lots.has(lotId) && !known.has(id));
  const already = voidedIds(later);
  const commandId = context.newId();
  const back = later
    .filter(({ id }) => !already.has(id))
    .map(({ id, lotId }): FileEvent => ({
      id: context.newId(),
      lotId,
      commandId,
      kind: 'voided',
      quantityThousandths: 0,
      occurredAt: context.now().toISOString(),
      reason: null,
      voids: id,
    }));
  for (const part of inChunks(back)) await tx.$client.query(EVENTS, [householdId, JSON.stringify(part)]);
}

const EVENTS = `
  insert into ledger_event (household_id, id, lot_id, command_id, kind, quantity_thousandths, occurred_at, reason, voids)
  select $1, id, "lotId", "commandId", kind, "quantityThousandths", "occurredAt", reason, voids
  from jsonb_to_recordset($2::jsonb) as given(id uuid, "lotId" uuid, "commandId" uuid, kind text,
    "quantityThousandths" bigint, "occurredAt" timestamptz, reason text, voids uuid)
  on conflict (household_id, id) do nothing`;
const COMMANDS = `
  insert into command_log (household_id, id, seq, account_id, intent, occurred_at, received_at, undoes, summary, by_name)
  select $1, id, seq, $3, intent, "occurredAt", "receivedAt", undoes, summary, by
  from jsonb_to_recordset($2::jsonb) as given(id uuid, seq bigint, intent text, "occurredAt" timestamptz,
    "receivedAt" timestamptz, undoes uuid, summary text[], by text)
  on conflict (household_id, id) do nothing`;

function inChunks<T>(all: readonly T[]): T[][] {
  const parts: T[][] = [];
  for (let at = 0; at < all.length; at += CHUNK) parts.push(all.slice(at, at + CHUNK));
  return parts;
}
