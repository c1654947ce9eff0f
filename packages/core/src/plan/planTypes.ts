import type { ContainerForm, LooseThing, PlannedBin, PlanGroup, ThingShape } from '../household';
import type { Compartment, HolePattern, InsideSize, ShelfFrame } from '../fit';

/** A container type that may be used, with how many are free and what another one costs. */
export interface PlanContainer {
  containerId: string;
  widthTenthMm: number;
  depthTenthMm: number;
  heightTenthMm: number;
  footShare: number;
  stackPitchTenthMm: number | null;
  volumeMl: number;
  /** Where it is narrowest; left out: its outside. */
  inside?: InsideSize;
  lid?: boolean;
  /** Air comes in: open, woven or slatted. */
  airy?: boolean;
  weightGrams: number;
  maxLoadGrams: number | null;
  /** Of the pool: not in use elsewhere. */
  free: number;
  /** Null: not for sale, only what is there. */
  priceMinor: number | null;
  family: string;
  /** What is not simply set down and lifted out; `bare` is a part of a shelf, without a container. */
  form?: ContainerForm | 'bare';
  /** Alike sections it is divided into. */
  sections?: number;
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
/** How a group of things is handled. */
export interface GroupUse {
  /** Takings a month. */
  uses: number;
  usesFrom: 'said' | 'taken' | 'guess';
  /** Who takes from it; shares that add up to 1. */
  who: readonly { reachMm: number; steps: boolean; share: number }[];
  /** Its largest thing whose volume is known; 0: none is. */
  largestMl: number;
  /** Of one, where all are alike and that is known. */
  pieceMl: number | null;
  /** Things that are known by their sides; each has to go in. */
  shapes?: readonly ThingShape[];
  /** Nothing stands on a bin without a lid that holds them. */
  fragile?: boolean;
  /** Only where air comes in. */
  air?: boolean;
  /** Its smallest thing whose volume is known; left out: none is. */
  smallestMl?: number;
  /** Cloth that is folded and stacked. */
  folded?: boolean;
  /** What its things take up on a floor beside each other, square millimetres for each millilitre of them. */
  floorMm2PerMl?: number;
  /** What most of its things are tagged with, or their kind: those alike are kin. Empty: nothing. */
  kin?: string;
  /** Only groups alike in this share a bin: food, medicines, what a child may not get at, chemicals. */
  apart?: string;
  /** The bins that hold it now: what stays of them is not carried. Left out: nothing is set up yet, and moving is not counted. */
  now?: readonly { containerId: string; shelfId: string }[];
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
  /** Shelves on which a group may not stand, by the group's id: they are for something else. */
  forbidden?: Readonly<Record<string, readonly string[]>>;
  /** Things that go into no container; those on a shelf take up its room. */
  loose?: readonly LooseThing[];
  budgetMinor: number | null;
  family: string | null;
  moveShelves: boolean;
  seed: number;
  /** How the groups are handled, by their ids; left out: a monthly taking each. */
  handling?: {
    /** The foot of the space over the floor, mm. */
    footMm: number;
    groups: Readonly<Record<string, GroupUse>>;
  };
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
  /** With groups: what it costs to live with. */
  price: PlanPrice | null;
  /** With groups: no plan costs less than this, minutes a month; null: not known. */
  boundMinutes: number | null;
}

/** Minutes a month of one group in a plan, and what they come from. */
export interface GroupPrice {
  group: string;
  /** Its bins, by their places among the priced ones. */
  bins: number[];
  /** Of those, shared with others. */
  shared: number;
  /** No fewer bins hold it, of all that may be used; 0: nothing does. */
  fewest: number;
  shelves: number;
  leftMl: number;
  /** Of what is housed. */
  minutes: number;
  /** What its height costs at each taking, seconds, over who takes and from where. */
  reachSeconds: number;
  /** Bins that are carried, labelled and found anew; 0 as well where moving is not counted. */
  moved: number;
  /** The heaviest of its bins, filled. */
  heaviestGrams: number;
}
/** Minutes a month of a plan, by what they are spent on. */
export interface PlanPrice {
  /** Taking and putting back, and the paces within the room: the same in every plan. */
  taking: number;
  reaching: number;
  /** Lids, pulling out, lifting away what is in front or on top, digging for what lies below, looking past what shares the bin. */
  opening: number;
  lifting: number;
  /** Bins kept in order, groups over more bins than need be, over several shelves, and air. */
  keeping: number;
  /** Money, moved shelves and moved bins, spread over a year. */
  once: number;
  /** What found no room. */
  left: number;
  sum: number;
  groups: GroupPrice[];
}
/** Where each shelf's surface lies. */
export type Setting = PlanAnswer['shelves'];
export interface PlanSearch {
  /** Tries some more ways; answers whether it is worth going on. The bound is there from the first step on. */
  step(tries: number): boolean;
  best(): PlanAnswer;
  /** Grows with each better answer. */
  version(): number;
}
