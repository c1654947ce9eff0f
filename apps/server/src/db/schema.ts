/** Tables of the household's rows come from core's definitions; the others are written here. */
import type { Command, Refusal, Role } from '@ours/core';
import type { CalendarHolds, LookKind } from '@ours/contracts';
import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  customType,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { tableOf } from './tables';

const instant = (name: string) => timestamp(name, { withTimezone: true, precision: 3, mode: 'date' });

export const household = tableOf('household');
export const person = tableOf('person');
export const room = tableOf('room');
export const space = tableOf('space');
export const shelf = tableOf('shelf');
export const bin = tableOf('bin');
export const item = tableOf('item');
export const lot = tableOf('lot');
export const line = tableOf('line');
export const container = tableOf('container');
export const plan = tableOf('plan');
export const clearOut = tableOf('clear_out');
export const verdict = tableOf('verdict');
export const use = tableOf('use');
export const shop = tableOf('shop');
export const purchase = tableOf('purchase');
export const absence = tableOf('absence');
export const keeping = tableOf('keeping');
export const pick = tableOf('pick');
export const way = tableOf('way');
export const errand = tableOf('errand');
export const label = tableOf('label');
export const asItIs = tableOf('as_it_is');
export const ration = tableOf('ration');
export const round = tableOf('round');
export const roundTick = tableOf('round_tick');
export const backlog = tableOf('backlog');
export const inPlace = tableOf('in_place');
export const kit = tableOf('kit');
export const loan = tableOf('loan');
export const packTick = tableOf('pack_tick');
export const waitingPlace = tableOf('waiting_place');
export const wish = tableOf('wish');
export const keptView = tableOf('kept_view');
export const medicine = tableOf('medicine');
export const careEntry = tableOf('care_entry');
export const pillFill = tableOf('pill_fill');
export const photo = tableOf('photo');
export const tour = tableOf('tour');
export const tourStop = tableOf('tour_stop');

export const account = pgTable(
  'account',
  {
    id: uuid('id').primaryKey(),
    name: text('name').notNull(),
    email: text('email').notNull().unique(),
    passwordHash: text('password_hash').notNull(),
    isDemo: boolean('is_demo').notNull().default(false),
    createdAt: instant('created_at').notNull(),
  },
  (table) => [
    index('account_demo')
      .on(table.isDemo)
      .where(sql`${table.isDemo}`),
  ],
);

export const session = pgTable(
  'session',
  {
    id: uuid('id').primaryKey(),
    tokenHash: text('token_hash').notNull().unique(),
    accountId: uuid('account_id')
      .notNull()
      .references(() => account.id),
    householdId: uuid('household_id').notNull(),
    device: text('device').notNull(),
    createdAt: instant('created_at').notNull(),
    lastSeenAt: instant('last_seen_at').notNull(),
    expiresAt: instant('expires_at').notNull(),
    revokedAt: instant('revoked_at'),
  },
  (table) => [index('session_account').on(table.accountId), index('session_expires').on(table.expiresAt)],
);

export const membership = pgTable(
  'membership',
  {
    householdId: uuid('household_id').notNull(),
    accountId: uuid('account_id')
      .notNull()
      .references(() => account.id),
    joinedAt: instant('joined_at').notNull(),
    role: text('role').$type<Role>().notNull().default('adult'),
    personId: uuid('person_id'),
  },
  (table) => [
    primaryKey({ columns: [table.householdId, table.accountId] }),
    index('membership_account').on(table.accountId),
  ],
);

export const invitation = pgTable('invitation', {
  codeHash: text('code_hash').primaryKey(),
  householdId: uuid('household_id').notNull(),
  createdBy: uuid('created_by').notNull(),
  expiresAt: instant('expires_at').notNull(),
  usedAt: instant('used_at'),
});

export const householdSeq = pgTable('household_seq', {
  householdId: uuid('household_id').primaryKey(),
  seq: bigint('seq', { mode: 'number' }).notNull(),
});

export const ledgerEvent = pgTable(
  'ledger_event',
  {
    householdId: uuid('household_id').notNull(),
    id: uuid('id').notNull(),
    lotId: uuid('lot_id').notNull(),
    commandId: uuid('command_id').notNull(),
    kind: text('kind').notNull(),
    quantityThousandths: bigint('quantity_thousandths', { mode: 'number' }).notNull(),
    occurredAt: instant('occurred_at').notNull(),
    reason: text('reason'),
    voids: uuid('voids'),
  },
  (table) => [
    primaryKey({ columns: [table.householdId, table.id] }),
    index('ledger_event_lot').on(table.householdId, table.lotId, table.occurredAt),
  ],
);

export const commandLog = pgTable(
  'command_log',
  {
    householdId: uuid('household_id').notNull(),
    id: uuid('id').notNull(),
    /** Null when the command was refused. */
    seq: bigint('seq', { mode: 'number' }),
    accountId: uuid('account_id').notNull(),
    intent: text('intent').notNull(),
    occurredAt: instant('occurred_at').notNull(),
    receivedAt: instant('received_at').notNull(),
    undoes: uuid('undoes'),
    summary: text('summary').array().notNull(),
    inverse: jsonb('inverse').$type<Command>(),
    refusal: jsonb('refusal').$type<Refusal>(),
    /** Who did it, where it came with a file from elsewhere; null: the account. */
    byName: text('by_name'),
    /** When it happened by the device's own clock, where that is not `occurredAt`. */
    saidAt: instant('said_at'),
    deviceId: uuid('device_id'),
  },
  (table) => [
    primaryKey({ columns: [table.householdId, table.id] }),
    index('command_log_seq').on(table.householdId, table.seq),
    index('command_log_undoes')
      .on(table.householdId, table.undoes)
      .where(sql`${table.undoes} is not null`),
    index('command_log_inverse')
      .on(table.householdId, table.receivedAt)
      .where(sql`${table.inverse} is not null`),
  ],
);

/** When each device's last command happened, so that the next one does not come before it. */
export const deviceClock = pgTable(
  'device_clock',
  {
    householdId: uuid('household_id').notNull(),
    deviceId: uuid('device_id').notNull(),
    lastAt: instant('last_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.householdId, table.deviceId] })],
);

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** The pictures themselves, by the SHA-256 of what they are. */
export const photoFile = pgTable(
  'photo_file',
  {
    householdId: uuid('household_id').notNull(),
    hash: text('hash').notNull(),
    type: text('type').notNull(),
    size: integer('size').notNull(),
    content: bytes('content').notNull(),
    createdAt: instant('created_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.householdId, table.hash] })],
);

/** The address under which a calendar may read days of a home: whoever has its secret reads what it holds, and nothing else. */
export const calendarFeed = pgTable('calendar_feed', {
  householdId: uuid('household_id').primaryKey(),
  /** Null: there is no address any more. */
  secretHash: text('secret_hash').unique(),
  createdAt: instant('created_at').notNull(),
  /** Addresses of before hold rounds alone, as was said when they were made. */
  holds: text('holds').array().$type<CalendarHolds[]>().notNull().default(['rounds']),
});

/** An address under which somebody without an account looks at one space or the list, until it ends. */
export const look = pgTable(
  'look',
  {
    householdId: uuid('household_id').notNull(),
    id: uuid('id').notNull(),
    secretHash: text('secret_hash').notNull().unique(),
    what: text('what').$type<LookKind>().notNull(),
    spaceId: uuid('space_id'),
    madeBy: uuid('made_by').notNull(),
    madeAt: instant('made_at').notNull(),
    endsAt: instant('ends_at').notNull(),
    lastOpenedAt: instant('last_opened_at'),
  },
  (table) => [primaryKey({ columns: [table.householdId, table.id] })],
);

/** One row: changed when the data was put back from a backup, so that devices notice. */
export const generation = pgTable('generation', { id: uuid('id').primaryKey() });
