import type { PlannedBin, PlanGroup } from '../household';
import type { Compartment, HolePattern, ShelfFrame } from '../fit';

/** A container type that may be used, with how many are free and what another one costs. */
export interface PlanContainer {
  containerId: string;
  widthTenthMm: number;
  depthTenthMm: number;
  heightTenthMm: number;
  footShare: number;
  stackPitchTenthMm: number | null;
  volumeMl: number;
  weightGrams: number;
  maxLoadGrams: number | null;
  /** Of the pool: not in use elsewhere. */
  free: number;
  /** Null: not for sale, only what is there. */
  priceMinor: number | null;
  family: string;
}
export interface PlanShelf {
  shelfId: string;
  bottomTenthMm: number;
  room: Compartment;
  /** What the room is made of, for when the shelf is moved; without it the room itself is taken apart. */
  frame?: ShelfFrame;
  loadGrams: number | null;
  adjustable: boolean;
  /** One of the shelves that lie above each other in the body: their neighbours limit its height. */
  inBody: boolean;
}
/** What a plan is to be found for: shelves, groups, containers and wishes. */
export interface PlanProblem {
  shelves: readonly PlanShelf[];
  holes: HolePattern | null;
  holeCount: number;
  /** Inner height of the space. */
  heightTenthMm: number;
  containers: readonly PlanContainer[];
  /** Empty: as many containers as possible are to stand, free ones first, biggest first, then bought ones. */
  groups: readonly PlanGroup[];
  locked: readonly PlannedBin[];
  budgetMinor: number | null;
  family: string | null;
  moveShelves: boolean;
  seed: number;
}
/** A plan that was found, what it leaves over and costs, and whether it is proven to be the best. */
export interface PlanAnswer {
  placed: PlannedBin[];
  shelves: { shelfId: string; bottomTenthMm: number; movedHoles: number }[];
  /** Groups with volume that found no container, and containers that found no place. */
  left: { group: string; volumeMl: number }[];
  outside: { containerId: string; count: number }[];
  costMinor: number;
  bought: number;
  stacked: number;
  freeMl: number;
  /** Proven that nothing can be better, by all that a plan is judged by. */
  provenBest: boolean;
}
/** Where each shelf's surface lies. */
export type Setting = PlanAnswer['shelves'];
