/** The statements that read what a group of commands needs, and the reader made from their answers. */
import {
  entityKinds,
  hasCode,
  HouseholdState,
  NOOK_KINDS,
  refFieldsOf,
  type EntityKind,
  type LedgerEvent,
  type Refusal,
  type Role,
  type TaggedRow,
} from '@ours/core';
import type pg from 'pg';
import { CODE_SHAPE, columnName, selectRows } from '../../db/rowSql';
import type { Statement } from '../../db/together';
import { followed, selfRefOf, type Needs } from './neededRows';

const EVENT_COLUMNS = `id, lot_id, kind, quantity_thousandths, reason, voids,
  to_char(occurred_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as occurred_at`;

/** Lots that hold nothing keep no place from being retired: they need not be read for it. */
const OCCUPIED: Partial<Record<EntityKind, string>> = { lot: 'and quantity_thousandths > 0' };

export interface Answered {
  id: string;
  seq: number | null;
  refusal: Refusal | null;
}
export interface Member {
  role: Role;
  personId: string | null;
}

/** The home as far as a group of commands looks at it, with the history it asks for. */
export class GroupState extends HouseholdState {
  readonly events = new Map<string, LedgerEvent>();
  readonly answered = new Map<string, Answered>();
  readonly applied = new Set<string>();
  readonly histories = new Map<string, LedgerEvent[]>();
  readonly members = new Map<string, Member>();
  /** By device, when its last command happened. */
  readonly clocks = new Map<string, string>();
  seq = 0;
  constructor() {
    super({ knowsRetired: true });
  }

  override event(id: string): LedgerEvent | null {
    return this.events.get(id) ?? null;
  }

  override wasApplied(commandId: string): boolean {
    return this.applied.has(commandId);
  }
}

/** A statement with what to do with its rows. */
export interface Read {
  statement: Statement;
  take: (state: GroupState, rows: pg.QueryResult['rows']) => void;
}

const rowsOf =
  (entity: EntityKind) =>
  (state: GroupState, rows: { row: object }[]): void => {
    for (const { row } of rows)
      if (!state.get(entity, (row as { id: string }).id)) state.put({ entity, row } as TaggedRow);
  };

const toEvent = (row: Record<string, never>): LedgerEvent => ({
  id: row.id!,
  lotId: row.lot_id!,
  kind: row.kind!,
  quantityThousandths: Number(row.quantity_thousandths),
  occurredAt: row.occurred_at!,
  reason: row.reason!,
  voids: row.voids!,
});

/** Must be the first of all: it takes the household's lock, and what is read after it is what holds now. */
export const lockHousehold = (householdId: string): Read => ({
  statement: {
    text: 'select seq from household_seq where household_id = $1 for update',
    values: [householdId],
  },
  take: (state, rows) => (state.seq = (rows[0] as { seq: number } | undefined)?.seq ?? 0),
});

export const readMembers = (householdId: string, accounts: string[]): Read => ({
  statement: {
    text: 'select account_id, role, person_id from membership where household_id = $1 and account_id = any($2::uuid[])',
    values: [householdId, accounts],
  },
  take: (state, rows) => {
    for (const { account_id, role, person_id } of rows) state.members.set(account_id, { role, personId: person_id });
  },
});

export const readHistories = (householdId: string, lots: readonly string[]): Read => ({
  statement: {
    text: `select ${EVENT_COLUMNS} from ledger_event where household_id = $1 and lot_id = any($2::uuid[])`,
    values: [householdId, [...lots]],
  },
  take: (state, rows) => {
    for (const lotId of lots) state.histories.set(lotId, []);
    for (const row of rows) state.histories.get(row.lot_id)?.push(toEvent(row));
  },
});

/** Everything a group of commands needs, besides the lock and the members. */
export function readsFor(householdId: string, needs: Needs, devices: readonly string[]): Read[] {
  const reads: Read[] = [readAnswered(householdId, [...needs.commands])];
  const follow = followed(needs.follow);
  for (const entity of entityKinds()) {
    const ids = needs.ids.get(entity);
    const via = follow.get(entity) ?? [];
    if (ids || via.length > 0) reads.push(readRows(householdId, entity, ids, via, needs));
  }
  for (const [entity, ids] of needs.retired) reads.push(...readContents(householdId, entity, [...ids]));
  for (const [entity, ids] of needs.chains) reads.push(readChain(householdId, entity, [...ids]));
  reads.push(...readAlike(householdId, needs));
  if (needs.events.size > 0) reads.push(readEvents(householdId, [...needs.events]));
  if (needs.histories.size > 0) reads.push(readHistories(householdId, [...needs.histories]));
  if (devices.length > 0) reads.push(readClocks(householdId, devices));
  return reads;
}

const readAnswered = (householdId: string, ids: string[]): Read => ({
  statement: {
    text: 'select id, seq, refusal from command_log where household_id = $1 and id = any($2::uuid[])',
    values: [householdId, ids],
  },
  take: (state, rows) => {
    for (const row of rows as Answered[]) {
      state.answered.set(row.id, row);
      if (row.seq !== null) state.applied.add(row.id);
    }
  },
});

function readRows(
  householdId: string,
  entity: EntityKind,
  ids: ReadonlySet<string> | undefined,
  via: { from: EntityKind; key: string }[],
  needs: Needs,
): Read {
  const parts = via.map(
    ({ from, key }, at) =>
      `|| array(select "${columnName(key)}" from "${from}" where household_id = $1 and id = any($${at + 3}::uuid[]) and "${columnName(key)}" is not null)`,
  );
  return {
    statement: {
      text: selectRows(entity, `id = any($2::uuid[] ${parts.join(' ')})`),
      values: [householdId, [...(ids ?? [])], ...via.map(({ from }) => [...(needs.ids.get(from) ?? [])])],
    },
    take: rowsOf(entity),
  };
}

/** What sits in rows that are to be retired. */
function readContents(householdId: string, parent: EntityKind, ids: string[]): Read[] {
  return entityKinds().flatMap((entity) =>
    refFieldsOf(entity).flatMap(({ key, field }) =>
      field.hold === 'within' && field.to.includes(parent)
        ? [
            {
              statement: {
                text: selectRows(
                  entity,
                  `"${columnName(key)}" = any($2::uuid[]) and not retired ${OCCUPIED[entity] ?? ''}`,
                ),
                values: [householdId, ids],
              },
              take: rowsOf(entity),
            },
          ]
        : [],
    ),
  );
}

/** The rows that some rows sit in, and those that sit in them, through all levels. */
function readChain(householdId: string, entity: EntityKind, ids: string[]): Read {
  const column = columnName(selfRefOf(entity)!);
  const step = (name: string, on: string) =>
    `${name}(id, up) as (
       select id, "${column}" from "${entity}" where household_id = $1 and id = any($2::uuid[])
       union select b.id, b."${column}" from "${entity}" b join ${name} on ${on} where b.household_id = $1)`;
  return {
    statement: {
      text: `with recursive ${step('above', 'b.id = above.up')}, ${step('below', `b."${column}" = below.id and not b.retired`)}
        ${selectRows(entity, 'id = any(array(select id from above) || array(select id from below))')}`,
      values: [householdId, ids],
    },
    take: rowsOf(entity),
  };
}

/** Nooks whose codes read like one that is given out or comes back. */
function readAlike(householdId: string, needs: Needs): Read[] {
  const back = NOOK_KINDS.filter((kind) => needs.follow.has(kind) && hasCode(kind));
  if (needs.shapes.size === 0 && back.length === 0) return [];
  const more = back.map(
    (kind, at) =>
      `|| array(select ${CODE_SHAPE} from "${kind}" where household_id = $1 and id = any($${at + 3}::uuid[]))`,
  );
  return NOOK_KINDS.map((entity) => ({
    statement: {
      text: selectRows(entity, `not retired and ${CODE_SHAPE} = any($2::text[] ${more.join(' ')})`),
      values: [householdId, [...needs.shapes], ...back.map((kind) => [...(needs.ids.get(kind) ?? [])])],
    },
    take: rowsOf(entity),
  }));
}

const readEvents = (householdId: string, ids: string[]): Read => ({
  statement: {
    text: `select ${EVENT_COLUMNS} from ledger_event where household_id = $1 and id = any($2::uuid[])`,
    values: [householdId, ids],
  },
  take: (state, rows) => {
    for (const row of rows) state.events.set(row.id, toEvent(row));
  },
});

const readClocks = (householdId: string, devices: readonly string[]): Read => ({
  statement: {
    text: `select device_id, to_char(last_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as last_at
      from device_clock where household_id = $1 and device_id = any($2::uuid[])`,
    values: [householdId, [...devices]],
  },
  take: (state, rows) => {
    for (const { device_id, last_at } of rows) state.clocks.set(device_id, last_at);
  },
});
