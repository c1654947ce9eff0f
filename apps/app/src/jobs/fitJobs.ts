import {
  findRemedies,
  fitContainer,
  type Compartment,
  type ContainerFit,
  type ContainerRow,
  type Remedy,
  type ShelfModel,
  type SpaceModel,
} from '@ours/core';
import { inSlices } from './job';

export interface FitsInput {
  /** The floor, then those of half-shelves and risers above it. */
  room: Compartment;
  upper: readonly Compartment[];
  /** In the order in which they are tried. */
  containers: readonly ContainerRow[];
}
export interface FitNews {
  containerId: string;
  fit: ContainerFit;
  /** How many more stand on each of the upper floors. */
  upper: number[];
}

/** Tries one container after the other. */
export const fitsJob = inSlices<FitsInput, FitNews>(({ room, upper, containers }, news) => {
  let at = 0;
  return () => {
    const container = containers[at++];
    if (!container) return false;
    const more = upper.map((floor) => fitContainer(container, floor).count);
    news({ containerId: container.id, fit: fitContainer(container, room), upper: more });
    return at < containers.length;
  };
});

export interface RemediesInput {
  kinds: readonly { container: ContainerRow; free: number }[];
  model: SpaceModel;
  at: ShelfModel;
  container: ContainerRow;
  fit: ContainerFit;
}

/** What else could be done for one container. */
export const remediesJob = inSlices<RemediesInput, Remedy[]>(({ kinds, model, at, container, fit }, news) => () => {
  news(findRemedies(kinds, model, at, container, fit));
  return false;
});
