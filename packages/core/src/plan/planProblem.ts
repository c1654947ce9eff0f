import type { HouseholdState, ContainerRow, LotRow, PlannedBin, PlanGroup, SpaceRow } from '../household';
import { bareOf, bareParts } from './bareShelf';
import { containerGrams, footShare, innerVolumeMl, insideOf } from '../containers';
import { footOf, takesItem } from '../handling';
import type { GroupUse, PlanContainer, PlanProblem, PlanShelf } from './planTypes';
import { modelSpace, type SpaceModel } from '../fit';

/** Where a container type is in use: bins that are one of it. */
export function binsOfContainer(state: HouseholdState, containerId: string) {
  return state.all('bin').filter((bin) => bin.containerId === containerId);
}

/** How many of a type are free: owned, less those in use outside the given space. Not below 0. */
export function freeCount(state: HouseholdState, container: ContainerRow, spaceId: string | null): number {
  const used = binsOfContainer(state, container.id).filter(
    (bin) => state.get('shelf', bin.shelfId)?.spaceId !== spaceId || spaceId === null,
  ).length;
  return Math.max(0, container.owned - used);
}

/** A type of container as a plan computes with it: how many are free, what one more costs. */
export function planContainer(state: HouseholdState, container: ContainerRow, spaceId: string): PlanContainer {
  return {
    containerId: container.id,
    widthTenthMm: container.topWidthTenthMm,
    depthTenthMm: container.topDepthTenthMm,
    heightTenthMm: container.heightTenthMm,
    footShare: footShare(container),
    inside: insideOf(container),
    lid: container.hasLid,
    airy: !container.hasLid || container.look === 'woven' || container.look === 'slatted',
    stackPitchTenthMm: container.stackPitchTenthMm,
    // Of what is round, the circle.
    volumeMl: Math.round(innerVolumeMl(container) * (container.form === 'turntable' ? Math.PI / 4 : 1)),
    weightGrams: containerGrams(container),
    maxLoadGrams: container.maxLoadGrams,
    free: freeCount(state, container, spaceId),
    priceMinor: container.priceMinor,
    family: container.family,
    ...(container.form ? { form: container.form } : {}),
    ...(container.sections ? { sections: container.sections } : {}),
  };
}

/** Narrower than this inside, a hand does not get in: such ones are for poles and rolls and are used when asked for. Own default. */
const HAND_WIDTH_TENTH_MM = 900;

/** Whether a hand gets in. */
export const isForHands = (one: Pick<ContainerRow, 'topWidthTenthMm' | 'topDepthTenthMm'>): boolean =>
  Math.min(one.topWidthTenthMm, one.topDepthTenthMm) >= HAND_WIDTH_TENTH_MM;

/** On which shelves of a space each group may not stand, by its id: one of its things is not what the shelf is for. */
export function forbiddenShelves(
  state: HouseholdState,
  spaceId: string,
  groups: readonly { id: string; lots: readonly LotRow[] }[],
): Record<string, string[]> {
  const shelves = state
    .shelvesOf(spaceId)
    .flatMap((shelf) => (shelf.purpose ? [{ shelf, purpose: shelf.purpose }] : []));
  const entries = groups.flatMap(({ id, lots }): [string, string[]][] => {
    const items = lots.flatMap(({ itemId }) => state.get('item', itemId) ?? []);
    const not = shelves.filter(({ purpose }) => items.some((item) => !takesItem(purpose, item)));
    return not.length === 0 ? [] : [[id, not.map(({ shelf }) => shelf.id)]];
  });
  return Object.fromEntries(entries);
}

/** The parts of shelves a group may stand on, and those that are in the plan already, whatever they are like. */
function bareTypes(space: SpaceRow, shelves: readonly PlanShelf[], locked: readonly PlannedBin[]): PlanContainer[] {
  const parts = bareParts(space, shelves);
  const known = new Set(parts.map(({ containerId }) => containerId));
  for (const { containerId } of locked) {
    const part = known.has(containerId) ? null : bareOf(containerId);
    if (part) parts.push(part);
    known.add(containerId);
  }
  return parts;
}

export interface PlanWishes {
  /** Types to be used; empty: all that a hand gets into. */
  containerIds: readonly string[];
  groups: readonly PlanGroup[];
  locked: readonly PlannedBin[];
  budgetMinor: number | null;
  family: string | null;
  moveShelves: boolean;
  seed: number;
  /** How the groups are handled, by their ids (see `groupUses`); left out: a monthly taking each. */
  uses?: Readonly<Record<string, GroupUse>>;
  /** Shelves that are for something else, by a group's id (see `forbiddenShelves`); left out: none. */
  forbidden?: Readonly<Record<string, readonly string[]>>;
  /** Only this shelf is planned; the others stay as they are. */
  shelfId?: string | null;
}

/** The shelves of a space as plans compute with them. */
export const planShelves = ({ space, shelves }: SpaceModel): PlanShelf[] =>
  shelves.map(({ shelf, bottomTenthMm, room, frame, loadGrams, adjustable }) => ({
    shelfId: shelf.id,
    bottomTenthMm,
    room,
    frame,
    loadGrams,
    adjustable,
    inBody: space.kind !== 'chest_freezer' && shelf.kind !== 'door_rack',
  }));

/** The problem to be solved for a space, from what the household has written down. Data only: it goes to a worker. */
export function planProblem(
  state: HouseholdState,
  spaceId: string,
  wishes: PlanWishes,
): { problem: PlanProblem; model: SpaceModel } | null {
  const space = state.get('space', spaceId);
  if (!space) return null;
  const model = modelSpace(space, state.shelvesOf(spaceId));
  const containers = state
    .all('container')
    .filter((one) => (wishes.containerIds.length === 0 ? isForHands(one) : wishes.containerIds.includes(one.id)))
    .map((container) => planContainer(state, container, spaceId))
    // One that holds nothing houses nothing, however many there are.
    .filter(({ volumeMl }) => volumeMl > 0)
    .filter(
      (one) =>
        one.free > 0 || one.priceMinor !== null || wishes.locked.some((bin) => bin.containerId === one.containerId),
    );
  const shelves = planShelves(model).filter(({ shelfId }) => !wishes.shelfId || shelfId === wishes.shelfId);
  const problem: PlanProblem = {
    shelves,
    holes: model.holes,
    holeCount: model.holeCount,
    heightTenthMm: model.heightTenthMm,
    containers: wishes.groups.length === 0 ? containers : [...containers, ...bareTypes(space, shelves, wishes.locked)],
    groups: wishes.groups,
    locked: wishes.locked,
    budgetMinor: wishes.budgetMinor,
    family: wishes.family,
    moveShelves: wishes.moveShelves && !wishes.shelfId,
    seed: wishes.seed,
    handling: { footMm: footOf(space), groups: wishes.uses ?? {} },
    ...(wishes.forbidden ? { forbidden: wishes.forbidden } : {}),
  };
  return { problem, model };
}
