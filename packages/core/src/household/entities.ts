/**
 * The rows a household consists of. Every row is keyed by `(household, id)`; `seq` is the number of the change that
 * last touched it, `retired` is its tombstone. Lengths are integer tenths of a millimetre, quantities integer
 * thousandths, days ISO `YYYY-MM-DD`, instants ISO UTC.
 */
import type { CivilDate } from '../shelflife/civilDate';

export const ENTITY_KINDS = ['household', 'person', 'room', 'space', 'shelf', 'bin', 'item', 'lot', 'line'] as const;
export type EntityKind = (typeof ENTITY_KINDS)[number];

export const SPACE_KINDS = [
  'storage_rack',
  'closet',
  'cupboard',
  'chest_freezer',
  'upright_freezer',
  'refrigerator',
  'drawer_unit',
  'medicine_cupboard',
  'vehicle',
  'other',
] as const;
export type SpaceKind = (typeof SPACE_KINDS)[number];

export const SHELF_KINDS = ['shelf', 'drawer', 'door_rack', 'hanging_basket', 'hook_rail', 'floor'] as const;
export type ShelfKind = (typeof SHELF_KINDS)[number];

export const BIN_LOOKS = ['see_through', 'woven', 'slatted', 'closed', 'kept_free'] as const;
export type BinLook = (typeof BIN_LOOKS)[number];

export const PERSON_ROLES = ['adult', 'child', 'helper'] as const;
export type PersonRole = (typeof PERSON_ROLES)[number];

export interface RowBase {
  id: string;
  seq: number;
  retired: boolean;
}

export interface HouseholdFields {
  name: string;
  lengthUnit: 'metric' | 'inch';
  /** How `03/04` is read: day first, month first, or (null) always asked. */
  dateOrder: 'dmy' | 'mdy' | null;
}

export interface PersonFields {
  name: string;
  role: PersonRole;
  /** Whole years on the day it was noted, or null when nobody wrote it down. */
  ageYears: number | null;
  /** Height a hand reaches without a step, tenths of a millimetre above the floor. */
  reachTenthMm: number | null;
  note: string;
}

export interface RoomFields {
  name: string;
  sort: number;
}

export interface SpaceFields {
  roomId: string;
  name: string;
  kind: SpaceKind;
  code: string;
  widthTenthMm: number | null;
  heightTenthMm: number | null;
  depthTenthMm: number | null;
  /** Width of each upright of a rack, or of each side wall. */
  postWidthTenthMm: number | null;
  locked: boolean;
  note: string;
  sort: number;
}

export interface ShelfFields {
  spaceId: string;
  name: string;
  kind: ShelfKind;
  code: string;
  sort: number;
  /** From the left inner face of the space to the left end of the shelf. */
  leftTenthMm: number | null;
  /** From the foot of the space to the surface things stand on. */
  bottomTenthMm: number | null;
  widthTenthMm: number | null;
  /** Clear height to whatever is above. */
  heightTenthMm: number | null;
  depthTenthMm: number | null;
}

export interface BinFields {
  shelfId: string;
  /** The bin this one stands in, or null when it stands on the shelf itself. */
  parentBinId: string | null;
  name: string;
  look: BinLook;
  hasLid: boolean;
  code: string;
  sort: number;
  leftTenthMm: number | null;
  widthTenthMm: number | null;
  heightTenthMm: number | null;
  depthTenthMm: number | null;
  tags: string[];
}

export interface PackSize {
  /** In thousandths of `unit`. */
  amountThousandths: number;
  unit: string;
}

export interface ItemFields {
  name: string;
  category: string;
  /** What one counts: `tin`, `piece`, `kg`. Singular. */
  unit: string;
  synonyms: string[];
  tags: string[];
  /** At or below this much in the whole home the item is low; null: nobody minds. */
  lowAtThousandths: number | null;
  /** Days it keeps once opened, or null when not known. */
  openedDays: number | null;
  /** Months of good quality in a freezer, or null when not known. */
  freezerMonths: number | null;
}

export type DateKind = 'best_before' | 'use_by';

export interface LotFields {
  itemId: string;
  /** The space, shelf or bin this amount sits in. */
  nookId: string;
  packSize: PackSize | null;
  expiresOn: CivilDate | null;
  dateKind: DateKind | null;
  openedOn: CivilDate | null;
  frozenOn: CivilDate | null;
  note: string;
}

/** The order of ledger events: when it happened, then the event's id. */
export interface EventKey {
  occurredAt: string;
  id: string;
}

export interface LotBalance {
  quantityThousandths: number;
  /** More was taken than was known; the number needs a look. */
  pleaseCount: boolean;
  countedAt: EventKey | null;
  lastAt: EventKey | null;
}

/** A line that could not be read, kept word for word until someone has dealt with it. */
export interface LineFields {
  text: string;
  nookId: string | null;
}

export type HouseholdRow = RowBase & HouseholdFields;
export type PersonRow = RowBase & PersonFields;
export type RoomRow = RowBase & RoomFields;
export type SpaceRow = RowBase & SpaceFields;
export type ShelfRow = RowBase & ShelfFields;
export type BinRow = RowBase & BinFields;
export type ItemRow = RowBase & ItemFields;
export type LotRow = RowBase & LotFields & LotBalance;
export type LineRow = RowBase & LineFields;

export interface RowOf {
  household: HouseholdRow;
  person: PersonRow;
  room: RoomRow;
  space: SpaceRow;
  shelf: ShelfRow;
  bin: BinRow;
  item: ItemRow;
  lot: LotRow;
  line: LineRow;
}
export interface FieldsOf {
  household: HouseholdFields;
  person: PersonFields;
  room: RoomFields;
  space: SpaceFields;
  shelf: ShelfFields;
  bin: BinFields;
  item: ItemFields;
  lot: LotFields;
  line: LineFields;
}
export type AnyRow = RowOf[EntityKind];

/** A row together with what kind of row it is, as it crosses the wire and lies on the device. */
export type TaggedRow = { [K in EntityKind]: { entity: K; row: RowOf[K] } }[EntityKind];

export type NookKind = 'space' | 'shelf' | 'bin';
export type Nook = { kind: 'space'; row: SpaceRow } | { kind: 'shelf'; row: ShelfRow } | { kind: 'bin'; row: BinRow };
