import type { ContainerRow } from '../household';
import { fitContainer, type ContainerFit, roomOver, type ShelfModel, type SpaceModel } from '../fit';

/** What would let more fit: another container, or a shelf on other holes. */
export type Remedy =
  /** The shelf above goes up, or this one down, by so many holes; then so many fit. */
  | { kind: 'raise_above' | 'lower_this'; shelfId: string; holes: number; count: number }
  | { kind: 'other_container'; containerId: string; count: number; free: number };

const MOST_HOLES = 12;
const MOST_OTHERS = 3;

/**
 * What else could be done when a container does not fit, or to fit more: move a shelf on its holes as long as what is above or
 * below keeps some room, or take another container of the pool.
 * @param kinds the containers there are, with how many of each are free for this space
 */
export function findRemedies(
  kinds: readonly { container: ContainerRow; free: number }[],
  model: SpaceModel,
  at: ShelfModel,
  container: ContainerRow,
  fit: ContainerFit,
): Remedy[] {
  return [...shelfRemedies(model, at, container, fit), ...otherContainers(kinds, at, container, fit)];
}

function shelfRemedies(model: SpaceModel, at: ShelfModel, container: ContainerRow, fit: ContainerFit): Remedy[] {
  const { holes } = model;
  if (!holes) return [];
  const above = model.shelves
    .filter((one) => one.bottomTenthMm > at.bottomTenthMm && one.shelf.kind !== 'door_rack')
    .sort((a, b) => a.bottomTenthMm - b.bottomTenthMm)[0];
  const below = model.shelves
    .filter((one) => one.bottomTenthMm < at.bottomTenthMm && one.shelf.kind !== 'door_rack')
    .sort((a, b) => b.bottomTenthMm - a.bottomTenthMm)[0];
  const found: Remedy[] = [];
  const tryMove = (kind: 'raise_above' | 'lower_this', shelf: ShelfModel | undefined, room: number): void => {
    if (!shelf?.adjustable) return;
    for (let n = 1; n <= MOST_HOLES && n * holes.pitch < room; n++) {
      const by = n * holes.pitch;
      const bottom = kind === 'lower_this' ? at.bottomTenthMm - by : at.bottomTenthMm;
      if (bottom < 0) return;
      const { count, getsIn } = fitContainer(container, roomOver(at.frame, bottom, at.room.height + by));
      if (!getsIn) continue;
      if (count <= fit.count) continue;
      found.push({ kind, shelfId: shelf.shelf.id, holes: n, count });
      return;
    }
  };
  tryMove('raise_above', above, above?.room.height ?? 0);
  tryMove('lower_this', at, below?.room.height ?? 0);
  return found;
}

function otherContainers(
  kinds: readonly { container: ContainerRow; free: number }[],
  at: ShelfModel,
  container: ContainerRow,
  fit: ContainerFit,
): Remedy[] {
  return kinds
    .filter(({ container: { id }, free }) => id !== container.id && free > 0)
    .map(({ container: other, free }) => ({ other, free, found: fitContainer(other, at.room) }))
    .filter(({ found }) => found.getsIn)
    .map(({ other, free, found }) => ({
      kind: 'other_container' as const,
      containerId: other.id,
      count: found.count,
      free,
    }))
    .filter(({ count }) => count > 0 && (fit.count === 0 || count >= fit.count))
    .sort((a, b) => Math.min(b.count, b.free) - Math.min(a.count, a.free))
    .slice(0, MOST_OTHERS);
}
