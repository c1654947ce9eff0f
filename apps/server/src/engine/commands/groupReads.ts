/** The one statement that reads what a group of commands needs, and the state made from its answer. */
import {
  entityKinds,
  hasCode,
  HouseholdState,
  isEntityKind,
  NOOK_KINDS,
  refFieldsOf,
  type EntityKind,
  type LedgerEvent,
  type Refusal,
  type Role,
  type TaggedRow,
} from '@ours/core';
import { CODE_SHAPE_COLUMN, columnName, wireColumns } from '../../db/rowSql';
import { SqlParts } from '../../db/SqlParts';
import type { Statement } from '../../db/together';
import { followed, selfRefOf, type Needs } from './neededRows';

const AS_ISO = (column: string): string => `to_char(${column} at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;
const EVENT_COLUMNS = `id, lot_id as "lotId", kind, quantity_thousandths as "quantityThousandths",
  ${AS_ISO('occurred_at')} as "occurredAt", reason, voids`;

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
  private readonly taken = new Map<string, EntityKind>();
  seq = 0;
  constructor() {
    super({ knowsRetired: true });
  }

  override event(id: string): LedgerEvent | null {
    return this.events.get(id) ?? null;
  }

  override kindOf(id: string): EntityKind | undefined {
    return this.taken.get(id) ?? super.kindOf(id);
  }

  override wasApplied(commandId: string): boolean {
    return this.applied.has(commandId);
  }

  /** Takes in what `readGroup` answered. */
  take(rows: readonly { what: string; row: unknown }[]): void {
    for (const { what, row } of rows) this.takeOne(what, row as never);
  }

  private takeOne(what: string, row: never): void {
    if (isEntityKind(what)) {
      if (!this.get(what, (row as { id: string }).id)) this.put({ entity: what, row } as TaggedRow);
    } else if (what === '=member') {
      const { account, role, person } = row as { account: string; role: Role; person: string | null };
      this.members.set(account, { role, personId: person });
    } else if (what === '=answered') {
      const answered = row as Answered;
      this.answered.set(answered.id, answered);
      if (answered.seq !== null) this.applied.add(answered.id);
    } else if (what === '=event') {
      this.events.set((row as LedgerEvent).id, row);
    } else if (what === '=history') {
      this.histories.get((row as LedgerEvent).lotId)!.push(row);
    } else if (what === '=taken') {
      const { kind, id } = row as { kind: EntityKind; id: string };
      this.taken.set(id, kind);
    } else if (what === '=clock') {
      const { device, at } = row as { device: string; at: string };
      this.clocks.set(device, at);
    }
  }
}

/** Must come first: it takes the household's lock, and what is read after it is what holds now. */
export const lockHousehold = (householdId: string): Statement => ({
  text: 'select seq from household_seq where household_id = $1 for update',
  values: [householdId],
});

const part = (what: string, columns: string, from: string, where: string): string =>
  `select '${what}'::text as what, row_to_json(r) as "row" from (select ${columns} from ${from} where household_id = $1 and ${where}) r`;
const rowsPart = (entity: EntityKind, where: string): string => part(entity, wireColumns(entity), `"${entity}"`, where);

/** Reads everything a group of commands needs, as rows of what it is and JSON. */
export function readGroup(
  householdId: string,
  needs: Needs,
  accounts: Iterable<string>,
  devices: readonly string[],
): Statement {
  const sql = new SqlParts(householdId);
  sql.add(
    part(
      '=member',
      'account_id as account, role, person_id as person',
      'membership',
      `account_id = any(${sql.uuids(accounts)})`,
    ),
  );
  sql.add(part('=answered', 'id, seq, refusal', 'command_log', `id = any(${sql.uuids(needs.commands)})`));
  const follow = followed(needs.follow);
  for (const entity of entityKinds()) {
    const ids = needs.ids.get(entity);
    const via = follow.get(entity) ?? [];
    if (ids || via.length > 0) addRows(sql, entity, ids ?? [], via, needs);
  }
  if (needs.created.size > 0) addTaken(sql, needs.created);
  for (const [entity, ids] of needs.retired) addContents(sql, entity, ids);
  for (const [entity, ids] of needs.chains) addChain(sql, entity, ids);
  addAlike(sql, needs);
  addUses(sql, needs);
  if (needs.events.size > 0) {
    sql.add(part('=event', EVENT_COLUMNS, 'ledger_event', `id = any(${sql.uuids(needs.events)})`));
  }
  if (needs.histories.size > 0) addHistories(sql, needs.histories);
  if (devices.length > 0) {
    const columns = `device_id as device, ${AS_ISO('last_at')} as at`;
    sql.add(part('=clock', columns, 'device_clock', `device_id = any(${sql.uuids(devices)})`));
  }
  return { text: sql.joined(' union all '), values: sql.values };
}

/** Reads the whole histories of some lots. */
export function readHistories(householdId: string, lots: Iterable<string>): Statement {
  const sql = new SqlParts(householdId);
  addHistories(sql, lots);
  return { text: sql.joined(''), values: sql.values };
}

const addHistories = (sql: SqlParts, lots: Iterable<string>): void =>
  sql.add(part('=history', EVENT_COLUMNS, 'ledger_event', `lot_id = any(${sql.uuids(lots)})`));

function addRows(
  sql: SqlParts,
  entity: EntityKind,
  ids: Iterable<string>,
  via: { from: EntityKind; key: string }[],
  needs: Needs,
): void {
  const named = sql.uuids(ids);
  const reached = via.map(({ from, key }) => {
    const column = `"${columnName(key)}"`;
    const those = sql.uuids(needs.ids.get(from) ?? []);
    return `|| array(select ${column} from "${from}" where household_id = $1 and id = any(${those}) and ${column} is not null)`;
  });
  sql.add(rowsPart(entity, `id = any(${named} ${reached.join(' ')})`));
}

/** Which ids of new rows are taken already, by whatever kind. */
function addTaken(sql: SqlParts, created: Iterable<string>): void {
  const those = sql.uuids(created);
  const taken = entityKinds().map(
    (kind) => `select '${kind}' as kind, id from "${kind}" where household_id = $1 and id = any(${those})`,
  );
  sql.add(`select '=taken'::text as what, row_to_json(r) as "row" from (${taken.join(' union all ')}) r`);
}

/** What sits in rows that are to be retired. */
function addContents(sql: SqlParts, parent: EntityKind, ids: Iterable<string>): void {
  const inside = entityKinds().flatMap((entity) =>
    refFieldsOf(entity)
      .filter(({ field }) => field.hold === 'within' && field.to.includes(parent))
      .map(({ key }) => ({ entity, column: columnName(key) })),
  );
  if (inside.length === 0) return;
  const those = sql.uuids(ids);
  for (const { entity, column } of inside) {
    sql.add(rowsPart(entity, `"${column}" = any(${those}) and not retired ${OCCUPIED[entity] ?? ''}`));
  }
}

/**
 * The rows that some rows sit in, and those that sit in them, through all levels. `offset 0` keeps each step a look-up:
 * joined, the planner would read the whole table.
 */
function addChain(sql: SqlParts, entity: EntityKind, ids: Iterable<string>): void {
  const column = `"${columnName(selfRefOf(entity)!)}"`;
  const those = sql.uuids(ids);
  const chain = (on: string): string =>
    `array(with recursive chain(id, up) as (
       select id, ${column} from "${entity}" where household_id = $1 and id = any(${those})
       union select b.id, b.up from chain cross join lateral
         (select id, ${column} as up from "${entity}" where household_id = $1 and ${on} offset 0) b)
     select id from chain)`;
  sql.add(rowsPart(entity, `id = any(${chain('id = chain.up')} || ${chain(`${column} = chain.id and not retired`)})`));
}

/** The rows of use of the items whose lots get events. Their ids are made from the items' (`useIdOf`). */
function addUses(sql: SqlParts, needs: Needs): void {
  if (!needs.follow.has('lot')) return;
  const items = `${sql.uuids(needs.uses)} || array(select item_id from lot where household_id = $1 and id = any(${sql.uuids(needs.ids.get('lot') ?? [])}))`;
  sql.add(
    rowsPart('use', `id = any(array(select overlay(i::text placing '8' from 15 for 1)::uuid from unnest(${items}) i))`),
  );
}

/** Nooks whose codes read like one that is given out or comes back. */
function addAlike(sql: SqlParts, needs: Needs): void {
  const back = NOOK_KINDS.filter((kind) => needs.follow.has(kind) && hasCode(kind));
  if (needs.shapes.size === 0 && back.length === 0) return;
  const shapes = sql.value([...needs.shapes]);
  const more = back.map((kind) => {
    const those = sql.uuids(needs.ids.get(kind) ?? []);
    return `|| array(select ${CODE_SHAPE_COLUMN} from "${kind}" where household_id = $1 and id = any(${those}))`;
  });
  for (const entity of NOOK_KINDS) {
    sql.add(rowsPart(entity, `not retired and ${CODE_SHAPE_COLUMN} = any(${shapes}::text[] ${more.join(' ')})`));
  }
}
