/** A home as handling computes with it: what stands where, who takes how often from it, what may stand where. Data only. */
import type { ContainerForm } from '../household';
import type { Purpose } from './kindOf';
import type { Reacher } from './reach';
import type { RowBody, RowShelf } from './shelfRow';

export type Climate = 'room' | 'cool' | 'freezer';

export interface HandlingUnit {
  binId: string;
  name: string;
  body: RowBody;
  lid: boolean;
  form?: ContainerForm | null;
  /** A place that is kept free: it costs nothing and stays. */
  keptFree: boolean;
  grams: number;
  /** Takings a month. */
  uses: number;
  usesFrom: 'said' | 'taken' | 'guess';
  /** Who takes from it: places among the reachers, shares that add up to 1. */
  who: readonly { at: number; share: number }[];
  /** Where its things are used. */
  roomId: string;
  purpose: Purpose;
  /** Of most of its things; empty: none. */
  tag: string;
  chemical: boolean;
  food: boolean;
  medicine: boolean;
  guarded: boolean;
  /** Places among the shelves. */
  origin: number;
  allowed: readonly number[];
  /** Once, when it is carried elsewhere. */
  moveMinutes: number;
  /** Why it stays: nothing else is tried. */
  stays: 'unmeasured' | 'cold' | 'vehicle' | 'kept_free' | 'not_chosen' | null;
}

export interface HandlingShelf {
  shelfId: string;
  spaceId: string;
  roomId: string;
  /** Of its surface over the floor, mm. */
  footMm: number;
  row: RowShelf;
  /** What it holds by width: as measured, or as much as stands on it now, where the two disagree. */
  capMm: number;
  loadGrams: number | null;
  climate: Climate;
  locked: boolean;
  purpose: Purpose;
}

/** A lot that lies away from the rest of its kind, or where it should not be. */
export interface Stray {
  lotId: string;
  name: string;
  /** Places among the units; null: it lies on a shelf, or where nothing is measured. */
  fromUnit: number | null;
  toUnit: number | null;
  fromNookId: string;
  toNookId: string;
  uses: number;
  /** A child may get at it where it is, and may not where it goes. */
  safety: boolean;
}

export interface HandlingHome {
  reachers: readonly Reacher[];
  units: readonly HandlingUnit[];
  shelves: readonly HandlingShelf[];
  /** Paces one way, by the ids of two rooms, the lower one first, with a blank between. */
  paces: Readonly<Record<string, number>>;
  strays: readonly Stray[];
  /** Guarded bins that stand where a child gets at them: their ids. */
  unguarded: readonly string[];
  /** Shelves that are not measured, and bins of which a side is not. */
  unmeasured: { shelves: number; bins: number };
}

/** Between two rooms, where nobody counted. Own defaults. */
export const PACES_WITHIN = 3;
export const PACES_UNKNOWN = 20;
export const wayKey = (a: string, b: string): string => (a < b ? `${a} ${b}` : `${b} ${a}`);
export const pacesBetween = ({ paces }: Pick<HandlingHome, 'paces'>, a: string, b: string): number =>
  a === b ? PACES_WITHIN : (paces[wayKey(a, b)] ?? PACES_UNKNOWN);
