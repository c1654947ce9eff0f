/** Every household table is keyed (household_id, id); row-level security is added in a migration of its own. */
import type {
  BinStanding,
  Command,
  EventKey,
  ItemTraits,
  PackSize,
  PlanFields,
  Refusal,
  ShelfBuild,
  SpaceBuild,
} from '@ours/core';
import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  date,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';

const instant = (name: string) => timestamp(name, { withTimezone: true, precision: 3, mode: 'date' });

const rowColumns = () => ({
  householdId: uuid('household_id').notNull(),
  id: uuid('id').notNull(),
  seq: bigint('seq', { mode: 'number' }).notNull(),
  retired: boolean('retired').notNull().default(false),
});
const keyed = (name: string) => (table: { householdId: never; id: never; seq: never }) => [
  primaryKey({ columns: [table.householdId, table.id] }),
  index(`${name}_by_seq`).on(table.householdId, table.seq),
];
const length = (name: string) => integer(name);

export const account = pgTable('account', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique(),
  passwordHash: text('password_hash').notNull(),
  isDemo: boolean('is_demo').notNull().default(false),
  createdAt: instant('created_at').notNull(),
});

export const session = pgTable('session', {
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
});

export const membership = pgTable(
  'membership',
  {
    householdId: uuid('household_id').notNull(),
    accountId: uuid('account_id')
      .notNull()
      .references(() => account.id),
    joinedAt: instant('joined_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.householdId, table.accountId] })],
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

export const household = pgTable(
  'household',
  {
    ...rowColumns(),
    name: text('name').notNull(),
    lengthUnit: text('length_unit').$type<'metric' | 'inch'>().notNull(),
    dateOrder: text('date_order').$type<'dmy' | 'mdy'>(),
    currency: text('currency'),
  },
  keyed('household') as never,
);

export const person = pgTable(
  'person',
  {
    ...rowColumns(),
    name: text('name').notNull(),
    role: text('role').notNull(),
    ageYears: integer('age_years'),
    reachTenthMm: length('reach_tenth_mm'),
    note: text('note').notNull(),
  },
  keyed('person') as never,
);

export const room = pgTable(
  'room',
  { ...rowColumns(), name: text('name').notNull(), sort: doublePrecision('sort').notNull() },
  keyed('room') as never,
);

const codeIndex = (name: string, table: { householdId: never; code: never; retired: never }) =>
  uniqueIndex(`${name}_code`)
    .on(table.householdId, sql`replace(${table.code}, '-', '')`)
    .where(sql`not ${table.retired}`);

export const space = pgTable(
  'space',
  {
    ...rowColumns(),
    roomId: uuid('room_id').notNull(),
    name: text('name').notNull(),
    kind: text('kind').notNull(),
    code: text('code').notNull(),
    widthTenthMm: length('width_tenth_mm'),
    heightTenthMm: length('height_tenth_mm'),
    depthTenthMm: length('depth_tenth_mm'),
    postWidthTenthMm: length('post_width_tenth_mm'),
    locked: boolean('locked').notNull(),
    note: text('note').notNull(),
    sort: doublePrecision('sort').notNull(),
    build: jsonb('build').$type<SpaceBuild>(),
  },
  (table) => [
    ...(keyed('space')(table as never) as never[]),
    index('space_room').on(table.householdId, table.roomId),
    codeIndex('space', table as never),
  ],
);

export const shelf = pgTable(
  'shelf',
  {
    ...rowColumns(),
    spaceId: uuid('space_id').notNull(),
    name: text('name').notNull(),
    kind: text('kind').notNull(),
    code: text('code').notNull(),
    sort: doublePrecision('sort').notNull(),
    leftTenthMm: length('left_tenth_mm'),
    bottomTenthMm: length('bottom_tenth_mm'),
    widthTenthMm: length('width_tenth_mm'),
    heightTenthMm: length('height_tenth_mm'),
    depthTenthMm: length('depth_tenth_mm'),
    build: jsonb('build').$type<ShelfBuild>(),
  },
  (table) => [
    ...(keyed('shelf')(table as never) as never[]),
    index('shelf_space').on(table.householdId, table.spaceId),
    codeIndex('shelf', table as never),
  ],
);

export const bin = pgTable(
  'bin',
  {
    ...rowColumns(),
    shelfId: uuid('shelf_id').notNull(),
    parentBinId: uuid('parent_bin_id'),
    name: text('name').notNull(),
    look: text('look').notNull(),
    hasLid: boolean('has_lid').notNull(),
    code: text('code').notNull(),
    sort: doublePrecision('sort').notNull(),
    leftTenthMm: length('left_tenth_mm'),
    widthTenthMm: length('width_tenth_mm'),
    heightTenthMm: length('height_tenth_mm'),
    depthTenthMm: length('depth_tenth_mm'),
    tags: text('tags').array().notNull(),
    containerId: uuid('container_id'),
    standing: jsonb('standing').$type<BinStanding>(),
  },
  (table) => [
    ...(keyed('bin')(table as never) as never[]),
    index('bin_shelf').on(table.householdId, table.shelfId),
    codeIndex('bin', table as never),
  ],
);

export const item = pgTable(
  'item',
  {
    ...rowColumns(),
    name: text('name').notNull(),
    category: text('category').notNull(),
    unit: text('unit').notNull(),
    synonyms: text('synonyms').array().notNull(),
    tags: text('tags').array().notNull(),
    lowAtThousandths: bigint('low_at_thousandths', { mode: 'number' }),
    openedDays: integer('opened_days'),
    freezerMonths: integer('freezer_months'),
    traits: jsonb('traits').$type<ItemTraits>(),
  },
  keyed('item') as never,
);

export const lot = pgTable(
  'lot',
  {
    ...rowColumns(),
    itemId: uuid('item_id').notNull(),
    nookId: uuid('nook_id').notNull(),
    packSize: jsonb('pack_size').$type<PackSize>(),
    expiresOn: date('expires_on', { mode: 'string' }),
    dateKind: text('date_kind'),
    openedOn: date('opened_on', { mode: 'string' }),
    frozenOn: date('frozen_on', { mode: 'string' }),
    note: text('note').notNull(),
    quantityThousandths: bigint('quantity_thousandths', { mode: 'number' }).notNull(),
    pleaseCount: boolean('please_count').notNull(),
    countedAt: jsonb('counted_at').$type<EventKey>(),
    lastAt: jsonb('last_at').$type<EventKey>(),
  },
  (table) => [
    ...(keyed('lot')(table as never) as never[]),
    index('lot_nook').on(table.householdId, table.nookId),
    index('lot_item').on(table.householdId, table.itemId),
  ],
);

export const line = pgTable(
  'line',
  { ...rowColumns(), text: text('text').notNull(), nookId: uuid('nook_id') },
  keyed('line') as never,
);

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

export const container = pgTable(
  'container',
  {
    ...rowColumns(),
    name: text('name').notNull(),
    look: text('look').notNull(),
    family: text('family').notNull(),
    colour: text('colour').notNull(),
    topWidthTenthMm: length('top_width_tenth_mm').notNull(),
    topDepthTenthMm: length('top_depth_tenth_mm').notNull(),
    baseWidthTenthMm: length('base_width_tenth_mm'),
    baseDepthTenthMm: length('base_depth_tenth_mm'),
    heightTenthMm: length('height_tenth_mm').notNull(),
    hasLid: boolean('has_lid').notNull(),
    openHeightTenthMm: length('open_height_tenth_mm'),
    innerVolumeMl: integer('inner_volume_ml'),
    insideWidthTenthMm: length('inside_width_tenth_mm'),
    insideDepthTenthMm: length('inside_depth_tenth_mm'),
    insideHeightTenthMm: length('inside_height_tenth_mm'),
    stackPitchTenthMm: length('stack_pitch_tenth_mm'),
    nestPitchTenthMm: length('nest_pitch_tenth_mm'),
    maxLoadGrams: integer('max_load_grams'),
    weightGrams: integer('weight_grams'),
    priceMinor: integer('price_minor'),
    owned: integer('owned').notNull(),
    free: boolean('free').notNull(),
  },
  keyed('container') as never,
);

export const plan = pgTable(
  'plan',
  {
    ...rowColumns(),
    spaceId: uuid('space_id').notNull(),
    name: text('name').notNull(),
    status: text('status').notNull(),
    sort: doublePrecision('sort').notNull(),
    groups: jsonb('groups').$type<PlanFields['groups']>().notNull(),
    shelves: jsonb('shelves').$type<PlanFields['shelves']>().notNull(),
    placed: jsonb('placed').$type<PlanFields['placed']>().notNull(),
    budgetMinor: integer('budget_minor'),
    family: text('family'),
    moveShelves: boolean('move_shelves').notNull(),
    seed: bigint('seed', { mode: 'number' }).notNull(),
    bought: jsonb('bought').$type<PlanFields['bought']>().notNull(),
  },
  keyed('plan') as never,
);

export const clearOut = pgTable(
  'clear_out',
  {
    ...rowColumns(),
    spaceId: uuid('space_id').notNull(),
    // ISO text as the device wrote it: it crosses the wire again unchanged.
    startedAt: text('started_at').notNull(),
    minutes: integer('minutes'),
    finishedAt: text('finished_at'),
  },
  keyed('clear_out') as never,
);

export const verdict = pgTable(
  'verdict',
  {
    ...rowColumns(),
    clearOutId: uuid('clear_out_id').notNull(),
    lotId: uuid('lot_id').notNull(),
    verdict: text('verdict').notNull(),
    toNookId: uuid('to_nook_id'),
  },
  keyed('verdict') as never,
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
  },
  (table) => [
    primaryKey({ columns: [table.householdId, table.id] }),
    index('command_log_seq').on(table.householdId, table.seq),
  ],
);

export const ENTITY_TABLES = {
  household,
  person,
  room,
  space,
  shelf,
  bin,
  item,
  lot,
  line,
  container,
  plan,
  clear_out: clearOut,
  verdict,
};
