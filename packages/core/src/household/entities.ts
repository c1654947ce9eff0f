/**
 * The rows a household consists of. Every row is keyed by `(household, id)`; `seq` is the number of the change that
 * last touched it, `retired` is its tombstone. Lengths are integer tenths of a millimetre, quantities integer
 * thousandths, days ISO `YYYY-MM-DD`, instants ISO UTC.
 */
import type { Textile } from '../fit/folding';
import type { CivilDate } from '../shelflife/civilDate';

export const ENTITY_KINDS = [
  'household',
  'person',
  'room',
  'space',
  'shelf',
  'bin',
  'item',
  'lot',
  'line',
  'container',
  'plan',
  'clear_out',
  'verdict',
] as const;
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
  /** ISO 4217; null or missing means EUR. */
  currency?: string | null;
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

/** By what the things of a space are grouped. */
export const SCHOOLS = [
  'kind',
  'season',
  'colour',
  'room',
  'person',
  'symptom',
  'subject',
  'alphabet',
  'order',
  'frequency',
] as const;
export type School = (typeof SCHOOLS)[number];

/** A pipe, a hump, a hinge: from the left wall, the foot and the front edge of the space. */
export interface BuildObstacle {
  kind: 'pipe' | 'hump' | 'hinge';
  leftTenthMm: number;
  bottomTenthMm: number;
  frontTenthMm: number;
  widthTenthMm: number;
  heightTenthMm: number;
  depthTenthMm: number;
}

/** How a space is built, beyond its outline; whatever was not measured is null. */
export interface SpaceBuild {
  /** Of each corner post, front to back. */
  postDepthTenthMm: number | null;
  /** The free way in through the door frame. */
  openingWidthTenthMm: number | null;
  openingHeightTenthMm: number | null;
  hinge: 'left' | 'right' | 'none' | null;
  holePitchTenthMm: number | null;
  /** From the foot of the space to the lowest hole. */
  firstHoleTenthMm: number | null;
  boardTenthMm: number | null;
  loadGrams: number | null;
  obstacles: BuildObstacle[];
  school: School | null;
}

/** A half-shelf, riser or row of hooks that changes the room over a shelf. */
export interface ShelfAid {
  kind: 'half_shelf' | 'riser' | 'hooks';
  leftTenthMm: number;
  widthTenthMm: number;
  heightTenthMm: number;
  depthTenthMm: number;
}

export interface ShelfBuild {
  adjustable: boolean;
  loadGrams: number | null;
  surface: 'solid' | 'wire' | null;
  lipTenthMm: number | null;
  aids: ShelfAid[];
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
  build?: SpaceBuild | null;
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
  build?: ShelfBuild | null;
}

/** Where a bin stands beyond its left edge: its distance from the front edge, on what it is lifted, how far it is turned. */
export interface BinStanding {
  frontTenthMm: number;
  liftTenthMm: number;
  degrees: number;
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
  /** The type it is one of. */
  containerId?: string | null;
  standing?: BinStanding | null;
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
  traits?: ItemTraits | null;
}

/** What matters for room and weight, and the groups the household puts it in. */
export interface ItemTraits {
  /** Of one of its unit. */
  weightGrams: number | null;
  volumeMl: number | null;
  textile: Textile | null;
  groups: Partial<Record<School, string>>;
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

/** A type of container that can be owned, bought and measured; outside measures unless it says inside. */
export interface ContainerFields {
  name: string;
  look: BinLook;
  /** Containers that match: same maker's line, same colour. Empty: none. */
  family: string;
  colour: string;
  topWidthTenthMm: number;
  topDepthTenthMm: number;
  baseWidthTenthMm: number | null;
  baseDepthTenthMm: number | null;
  heightTenthMm: number;
  hasLid: boolean;
  /** With the lid open. */
  openHeightTenthMm: number | null;
  innerVolumeMl: number | null;
  insideWidthTenthMm: number | null;
  insideDepthTenthMm: number | null;
  insideHeightTenthMm: number | null;
  /** How much higher a stack grows with each; null: not stacked. */
  stackPitchTenthMm: number | null;
  nestPitchTenthMm: number | null;
  maxLoadGrams: number | null;
  weightGrams: number | null;
  priceMinor: number | null;
  owned: number;
  /** Came for free: a shoe box, a crate. */
  free: boolean;
}

export interface PlanGroup {
  name: string;
  /** What its things take up by themselves. */
  volumeMl: number;
  grams: number;
}
export interface PlannedShelf {
  shelfId: string;
  bottomTenthMm: number | null;
}
/** A container on its planned place: centre from the left wall and the front edge, turned about it. */
export interface PlannedBin {
  key: string;
  containerId: string;
  shelfId: string;
  cxTenthMm: number;
  cyTenthMm: number;
  liftTenthMm: number;
  degrees: number;
  group: string | null;
  locked: boolean;
  /** False: one of the pool. */
  buy: boolean;
}
export interface PlanFields {
  spaceId: string;
  name: string;
  status: 'draft' | 'chosen';
  sort: number;
  groups: PlanGroup[];
  shelves: PlannedShelf[];
  placed: PlannedBin[];
  budgetMinor: number | null;
  family: string | null;
  moveShelves: boolean;
  seed: number;
  /** Containers of the buying list that are already at home, by type. */
  bought: { containerId: string; count: number }[];
}

/** One round of emptying and assessing a space. */
export interface ClearOutFields {
  spaceId: string;
  startedAt: string;
  /** A timer, if one was wanted. */
  minutes: number | null;
  finishedAt: string | null;
}
export const VERDICTS = ['keep', 'elsewhere', 'give_away', 'recycle', 'throw_out', 'empty_package'] as const;
export type Verdict = (typeof VERDICTS)[number];
export interface VerdictFields {
  clearOutId: string;
  lotId: string;
  verdict: Verdict;
  toNookId: string | null;
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
export type ContainerRow = RowBase & ContainerFields;
export type PlanRow = RowBase & PlanFields;
export type ClearOutRow = RowBase & ClearOutFields;
export type VerdictRow = RowBase & VerdictFields;

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
  container: ContainerRow;
  plan: PlanRow;
  clear_out: ClearOutRow;
  verdict: VerdictRow;
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
  container: ContainerFields;
  plan: PlanFields;
  clear_out: ClearOutFields;
  verdict: VerdictFields;
}
export type AnyRow = RowOf[EntityKind];

/** A row together with what kind of row it is, as it crosses the wire and lies on the device. */
export type TaggedRow = { [K in EntityKind]: { entity: K; row: RowOf[K] } }[EntityKind];

export type NookKind = 'space' | 'shelf' | 'bin';
export type Nook = { kind: 'space'; row: SpaceRow } | { kind: 'shelf'; row: ShelfRow } | { kind: 'bin'; row: BinRow };
