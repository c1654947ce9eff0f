import {
  bareOf,
  boundingBox,
  layOutFront,
  looseBox,
  withLoose,
  modelSpace,
  roomsAfter,
  namesTogether,
  planGroupId,
  type PlanContainer,
  standingIn,
  standingOf,
  planContainer,
  planShelves,
  type BinRow,
  type Compartment,
  type FrontView,
  type HouseholdState,
  type LooseThing,
  type PlanFields,
  type PlanGroup,
  type PlannedBin,
  type SpaceRow,
  type StandingBody,
} from '@ours/core';

export interface PlanView {
  front: FrontView;
  /** The room over each shelf once the shelves are moved. */
  rooms: Map<string, Compartment>;
  bodyOf: (bin: PlannedBin) => StandingBody | null;
  /** What a planned bin is called: its group's name, else its container's. */
  nameOf: (bin: PlannedBin) => string;
  /** What is written on a planned bin: its shelf's letter and a number. */
  tagOf: (key: string) => string;
}

type Drawn = Pick<PlanFields, 'placed' | 'shelves' | 'loose' | 'onShelf'> & { groups: readonly PlanGroup[] };

/** What a planned bin is: a container of the home, or a part of a shelf; null: it is no longer there. */
export function typeOfPlanned(
  state: HouseholdState,
  { containerId }: Pick<PlannedBin, 'containerId'>,
  spaceId: string,
): PlanContainer | null {
  const container = state.get('container', containerId);
  return container ? planContainer(state, container, spaceId) : bareOf(containerId);
}

/** A plan as the drawings need it: the front as it would look, and the rooms from above. */
export function viewPlan(state: HouseholdState, space: SpaceRow, plan: Drawn): PlanView {
  const rows = state.shelvesOf(space.id);
  const model = modelSpace(space, rows);
  const setting = model.shelves.map(({ shelf, bottomTenthMm }) => {
    const planned = plan.shelves.find(({ shelfId }) => shelfId === shelf.id)?.bottomTenthMm;
    return { shelfId: shelf.id, bottomTenthMm: planned ?? bottomTenthMm, movedHoles: 0 };
  });
  const loose = plan.loose ?? [];
  const placed = standingIn(plan);
  const rooms = roomsAfter(
    withLoose({ shelves: planShelves(model), holes: model.holes, heightTenthMm: model.heightTenthMm }, loose),
    setting,
  );
  const tags = new Map<string, string>();
  for (const shelf of rows) {
    const letter = shelf.code.split('-')[1]?.slice(0, -1) ?? '';
    placed.filter(({ shelfId }) => shelfId === shelf.id).forEach((bin, at) => tags.set(bin.key, `${letter}${at + 1}`));
  }
  const names = new Map(plan.groups.map((group) => [planGroupId(group), group.name]));
  const nameOf = ({ group, also, containerId }: PlannedBin): string =>
    group === null
      ? (state.get('container', containerId)?.name ?? '')
      : namesTogether([group, ...(also ?? [])].map((id) => ({ name: names.get(id) ?? id })));
  const bodyOf = (bin: PlannedBin): StandingBody | null => {
    const type = typeOfPlanned(state, bin, space.id);
    return type ? standingOf(bin, type) : null;
  };
  const shelves = rows.map((shelf) => {
    const moved = setting.find(({ shelfId }) => shelfId === shelf.id);
    if (!moved) return shelf;
    // Beside the drawing stands the clear height as it will be.
    return { ...shelf, bottomTenthMm: moved.bottomTenthMm, heightTenthMm: rooms.get(shelf.id)?.height ?? null };
  });
  const binsOf = (shelfId: string): BinRow[] => {
    const bay = model.shelves.find(({ shelf }) => shelf.id === shelfId)?.bayTenthMm ?? 0;
    return [
      ...placed
        .filter((bin) => bin.shelfId === shelfId)
        .flatMap((bin, sort) => plannedRow(state, bin, { tag: tags.get(bin.key) ?? '', name: nameOf(bin) }, bay, sort)),
      ...loose.flatMap((thing, at) => (thing.shelfId === shelfId ? looseRow(state, thing, bay, at) : [])),
    ];
  };
  return { front: layOutFront(space, shelves, binsOf), rooms, bodyOf, nameOf, tagOf: (key) => tags.get(key) ?? '' };
}

/** A thing that stands without a bin, drawn dashed as what is no bin. */
function looseRow(state: HouseholdState, thing: LooseThing, bay: number, at: number): BinRow[] {
  if (thing.how !== 'stands' && thing.how !== 'leans') return [];
  const box = looseBox(thing);
  return [
    {
      id: `loose-${at}`,
      seq: 0,
      retired: false,
      shelfId: thing.shelfId!,
      parentBinId: null,
      name: state.get('item', thing.itemId)?.name ?? '',
      look: 'kept_free',
      hasLid: false,
      code: 'P-0',
      sort: 1000 + at,
      leftTenthMm: Math.max(0, Math.round(box.x - bay)),
      widthTenthMm: Math.round(box.width),
      heightTenthMm: Math.round(thing.heightTenthMm),
      depthTenthMm: Math.round(box.depth),
      tags: [],
      standing: { frontTenthMm: Math.max(0, Math.round(box.y)), liftTenthMm: 0, degrees: 0 },
    },
  ];
}

/** A planned bin as the drawing of the front takes bins. */
function plannedRow(
  state: HouseholdState,
  bin: PlannedBin,
  { tag, name }: { tag: string; name: string },
  bay: number,
  sort: number,
): BinRow[] {
  const container = state.get('container', bin.containerId);
  const part = bareOf(bin.containerId);
  const sides =
    part ??
    (container && { ...container, widthTenthMm: container.topWidthTenthMm, depthTenthMm: container.topDepthTenthMm });
  if (!sides) return [];
  const box = boundingBox(sides.widthTenthMm, sides.depthTenthMm, bin.degrees);
  return [
    {
      id: bin.key,
      seq: 0,
      retired: false,
      shelfId: bin.shelfId,
      parentBinId: null,
      name,
      // What stands on the shelf itself is drawn dashed: there is no bin.
      look: container?.look ?? 'kept_free',
      hasLid: container?.hasLid ?? false,
      // The drawing takes the check character off a code.
      code: `P-${tag}0`,
      sort,
      leftTenthMm: Math.max(0, Math.round(bin.cxTenthMm - box.width / 2 - bay)),
      widthTenthMm: Math.round(box.width),
      heightTenthMm: sides.heightTenthMm,
      depthTenthMm: Math.round(box.depth),
      tags: [],
      standing: {
        frontTenthMm: Math.round(bin.cyTenthMm - box.depth / 2),
        liftTenthMm: bin.liftTenthMm,
        degrees: bin.degrees,
      },
    },
  ];
}
