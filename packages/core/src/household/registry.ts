/**
 * Every kind of row a household consists of: one line each. Rows are keyed by `(household, id)`; `seq` is the number of
 * the change that last touched a row, `retired` is its tombstone.
 */
import { container } from '../containers/container.entity';
import { plan } from '../plan/plan.entity';
import { bin } from '../spaces/bin.entity';
import { clearOut, verdict } from '../sort/clearOut.entity';
import { room } from '../spaces/room.entity';
import { shelf } from '../spaces/shelf.entity';
import { space } from '../spaces/space.entity';
import { item } from '../stock/item.entity';
import { keptView } from '../stock/keptView.entity';
import { line } from '../stock/line.entity';
import { lot } from '../stock/lot.entity';
import { absence } from '../forecast/absence.entity';
import { purchase } from '../restock/purchase.entity';
import { ration } from '../restock/ration.entity';
import { shop } from '../restock/shop.entity';
import { pick } from '../restock/pick.entity';
import { asItIs } from '../handling/asItIs.entity';
import { errand } from '../handling/errand.entity';
import { label } from '../labels/label.entity';
import { way } from '../handling/way.entity';
import { keeping } from '../shelflife/keeping.entity';
import { round } from '../rounds/round.entity';
import { inPlace } from '../rounds/inPlace.entity';
import { backlog } from '../rounds/backlog.entity';
import { roundTick } from '../rounds/roundTick.entity';
import { kit } from '../kits/kit.entity';
import { loan } from '../lending/loan.entity';
import { waitingPlace } from '../lending/waitingPlace.entity';
import { wish } from '../lending/wish.entity';
import { medicine } from '../care/medicine.entity';
import { careEntry } from '../care/careEntry.entity';
import { pillFill } from '../care/pillFill.entity';
import { packTick } from '../lending/packTick.entity';
import { photo } from '../pictures/photo.entity';
import { tour } from '../pictures/tour.entity';
import { tourStop } from '../pictures/tourStop.entity';
import { use } from '../use/use.entity';
import {
  type EntityDefinition,
  referencesIn,
  type AnyField,
  type FieldsIn,
  type Reference,
  type Role,
} from '../definition';
import { household } from './household.entity';
import { person } from './person.entity';

/** The definition of each kind of row, by its name on the wire. */
export const ENTITIES = {
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
  use,
  shop,
  purchase,
  absence,
  keeping,
  pick,
  ration,
  way,
  errand,
  as_it_is: asItIs,
  label,
  round,
  round_tick: roundTick,
  backlog,
  in_place: inPlace,
  kit,
  loan,
  pack_tick: packTick,
  waiting_place: waitingPlace,
  wish,
  medicine,
  care_entry: careEntry,
  pill_fill: pillFill,
  photo,
  tour,
  tour_stop: tourStop,
  kept_view: keptView,
};
type Entities = typeof ENTITIES;
/** The name of a kind of row. */
export type EntityKind = keyof Entities;
type DerivedOf<E> = E extends EntityDefinition<infer _F, infer D> ? FieldsIn<D> : never;

export interface RowBase {
  id: string;
  seq: number;
  retired: boolean;
}
/** What a device sends of each kind of row. */
export type FieldsOf = { [K in EntityKind]: FieldsIn<Entities[K]['fields']> };
export type RowOf = { [K in EntityKind]: RowBase & FieldsOf[K] & DerivedOf<Entities[K]> };
/** A row of any kind. */
export type AnyRow = RowOf[EntityKind];
/** A row together with what kind of row it is, as it crosses the wire and lies on the device. */
export type TaggedRow = { [K in EntityKind]: { entity: K; row: RowOf[K] } }[EntityKind];

/** Every kind there is, in the order in which they are made and sent: what is pointed at comes first where it can. */
export const entityKinds = (): EntityKind[] => Object.keys(ENTITIES) as EntityKind[];
/** Whether this version knows a kind of row by that name. */
export const isEntityKind = (kind: string): kind is EntityKind => Object.hasOwn(ENTITIES, kind);
/** What a kind of row is. */
export const definitionOf = (kind: EntityKind): EntityDefinition => ENTITIES[kind] as unknown as EntityDefinition;

/** Whether someone in a role may read a kind of row. */
export const mayRead = (role: Role, kind: EntityKind): boolean => definitionOf(kind).readBy?.includes(role) ?? true;

/** The kinds of rows that someone in a role may not read. */
export const unreadableBy = (role: Role): EntityKind[] =>
  (Object.keys(ENTITIES) as EntityKind[]).filter((kind) => !mayRead(role, kind));

/** All columns of a kind: what devices send, then what the rules keep. */
export const columnsOf = (kind: EntityKind): Record<string, AnyField> => {
  const { fields, derived } = definitionOf(kind);
  return { ...fields, ...derived?.fields };
};

/** A kind's fields that are references by themselves, not inside a list or record. */
export function refFieldsOf(kind: EntityKind): readonly RefField[] {
  const known = refFields.get(kind);
  if (known) return known;
  const found = Object.entries(definitionOf(kind).fields).flatMap(([key, field]) =>
    field.kind === 'ref' ? [{ key, field }] : [],
  );
  refFields.set(kind, found);
  return found;
}
interface RefField {
  key: string;
  field: Extract<AnyField, { kind: 'ref' }>;
}
/** Found once for each kind: every row that is put asks for it. */
const refFields = new Map<EntityKind, readonly RefField[]>();

/** Everything a row (or some of its fields) refers to. */
export function referencesOf(kind: EntityKind, fields: object): (Reference & { key: string })[] {
  return Object.entries(definitionOf(kind).fields).flatMap(([key, field]) =>
    referencesIn(field, (fields as Record<string, unknown>)[key]).map((found) => ({ ...found, key })),
  );
}

/** The ids of the rows a row is listed under. */
export function parentsOf({ entity, row }: TaggedRow): string[] {
  const { sitsIn } = definitionOf(entity);
  if (sitsIn) return sitsIn(row as never);
  const parents: string[] = [];
  for (const { key, field } of refFieldsOf(entity)) {
    const id = (row as unknown as Record<string, string | null>)[key];
    if (field.hold !== 'known' && id) parents.push(id);
  }
  return parents;
}

/** Whether this kind of row carries a nook's code. */
export const hasCode = (kind: EntityKind): boolean => definitionOf(kind).fields.code?.kind === 'code';

/** What a device sends of the home itself: name, units, order of dates, currency. */
export type HouseholdFields = FieldsOf['household'];
/** What a device sends of a space. */
export type SpaceFields = FieldsOf['space'];
/** What a device sends of a shelf. */
export type ShelfFields = FieldsOf['shelf'];
/** What a device sends of a bin. */
export type BinFields = FieldsOf['bin'];
/** What a device sends of a kind of thing. */
export type ItemFields = FieldsOf['item'];
/** What a device sends of a lot: all but how much there is, which follows from the ledger. */
export type LotFields = FieldsOf['lot'];
/** What a device sends of a type of container. */
export type ContainerFields = FieldsOf['container'];
/** What a device sends of a ration. */
export type RationFields = FieldsOf['ration'];
/** What a device sends of a plan. */
export type PlanFields = FieldsOf['plan'];

/** Somebody of the household, also one without an account. */
export type PersonRow = RowOf['person'];
/** A room of the home. */
export type RoomRow = RowOf['room'];
/** A rack, closet, cupboard, freezer or whatever else holds shelves. */
export type SpaceRow = RowOf['space'];
/** A shelf, drawer, door rack, hanging basket, rail of hooks or floor place. */
export type ShelfRow = RowOf['shelf'];
/** A placed container with a label. */
export type BinRow = RowOf['bin'];
/** A kind of thing. */
export type ItemRow = RowOf['item'];
/** An amount of one item in one nook with the same dates and state. */
export type LotRow = RowOf['lot'];
/** A line that was typed and not understood; kept for its person. */
export type LineRow = RowOf['line'];
/** A type of container that can be owned, bought and measured. */
export type ContainerRow = RowOf['container'];
/** A plan for a space: groups, containers and where they stand. */
export type PlanRow = RowOf['plan'];
/** A space being sorted, from when to when. */
export type ClearOutRow = RowOf['clear_out'];
/** What was decided about one lot while sorting. */
export type VerdictRow = RowOf['verdict'];
/** Where the home buys. */
export type ShopRow = RowOf['shop'];
/** One line of a shopping list. */
export type PurchaseRow = RowOf['purchase'];
/** Days on which nobody is there, or guests are. */
export type AbsenceRow = RowOf['absence'];
/** A rule of the home for how long a kind of thing keeps. */
export type KeepingRow = RowOf['keeping'];
/** Something of the freezer that is to be used on a day. */
export type PickRow = RowOf['pick'];
export type WayRow = RowOf['way'];
export type ErrandRow = RowOf['errand'];
export type RoundRow = RowOf['round'];
export type RoundFields = FieldsOf['round'];
export type BacklogRow = RowOf['backlog'];
export type RoundTickRow = RowOf['round_tick'];
export type RoundTickFields = FieldsOf['round_tick'];
export type KitRow = RowOf['kit'];
export type KitFields = FieldsOf['kit'];
export type LoanRow = RowOf['loan'];
export type LoanFields = FieldsOf['loan'];
export type PackTickRow = RowOf['pack_tick'];
export type WaitingPlaceRow = RowOf['waiting_place'];
export type WishRow = RowOf['wish'];
export type KeptViewFields = FieldsOf['kept_view'];
export type KeptViewRow = RowOf['kept_view'];
export type MedicineRow = RowOf['medicine'];
export type MedicineFields = FieldsOf['medicine'];
export type CareEntryRow = RowOf['care_entry'];
export type CareEntryFields = FieldsOf['care_entry'];
export type PillFillRow = RowOf['pill_fill'];
export type PillFillFields = FieldsOf['pill_fill'];
export type PhotoRow = RowOf['photo'];
export type PhotoFields = FieldsOf['photo'];
export type TourRow = RowOf['tour'];
export type { KitPart } from '../kits/kit.entity';
export { WAITS } from '../lending/waitingPlace.entity';
export { WISH_KINDS } from '../lending/wish.entity';
export {
  VIEW_COLUMNS,
  VIEW_COUNTED,
  VIEW_GROUPS,
  VIEW_ROWS,
  VIEW_SHOWN,
  type ViewColumn,
} from '../stock/keptView.entity';
export { PILL_TIMES, type PackageLimit, type PillsTyped, type PillTime } from '../care/medicine.entity';
export { BODY_TEMPERATURE } from '../care/careEntry.entity';
export { PHOTO_LONGEST_SIDE, PHOTO_MOMENTS, PHOTO_MOST_BYTES, PHOTO_MOST_READ_BYTES } from '../pictures/photo.entity';
export { ROUND_KINDS, RHYTHMS, type Rhythm, type RoundKind } from '../rounds/round.entity';
export type LabelRow = RowOf['label'];
export type AsItIsRow = RowOf['as_it_is'];
/** What a person needs in a day of a kind of things. */
export type RationRow = RowOf['ration'];
/** How an item was put in and used: see `use`. */
export type UseRow = RowOf['use'];
/** How much of a lot there is, and up to which event that is known. */
export type LotBalance = DerivedOf<Entities['lot']>;

export type NookKind = 'space' | 'shelf' | 'bin';
/** The kinds of rows that are labelled places, from the outside in. */
export const NOOK_KINDS: readonly NookKind[] = ['space', 'shelf', 'bin'];
export type Nook = { kind: 'space'; row: SpaceRow } | { kind: 'shelf'; row: ShelfRow } | { kind: 'bin'; row: BinRow };

export { BIN_LOOKS, HOW_OFTEN } from '../spaces/bin.entity';
export { CONTAINER_FORMS, type ContainerForm, MOST_SECTIONS } from '../containers/container.entity';
export { GROUPINGS, SPACE_KINDS } from '../spaces/space.entity';
export { SHELF_KINDS } from '../spaces/shelf.entity';
export { VERDICTS } from '../sort/clearOut.entity';
export { CONDITIONS, MADE_KINDS } from '../stock/lot.entity';
export type { Condition, MadeKind } from '../stock/lot.entity';
export type { BinLook, Handling, HowOften } from '../spaces/bin.entity';
export type { BuildObstacle, GroupBy, SpaceBuild, SpaceKind } from '../spaces/space.entity';
export type { ShelfAid, ShelfBuild, ShelfKind, ShelfPurpose } from '../spaces/shelf.entity';
export type { Verdict } from '../sort/clearOut.entity';
export { KEPT_HOW, MEALS, RESTOCK_WAYS } from '../stock/item.entity';
export type {
  Front,
  ItemBefore,
  ItemTraits,
  KeptHow,
  Meal,
  Pack,
  Restock,
  RestockWay,
  Textile,
  ThingShape,
} from '../stock/item.entity';
export type { PurchaseState } from '../restock/purchase.entity';
export type { DateKind, EventKey, PackSize } from '../stock/lot.entity';
export type { LooseThing, OnShelf, PlanGroup, PlannedBin } from '../plan/plan.entity';
export { PERSON_ROLES } from './person.entity';
