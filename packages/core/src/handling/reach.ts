/** How far somebody reaches, and what a height costs them. */
import type { ContainerForm } from '../household';
import type { PersonRow } from '../household';
import { HANDLING } from './weights';

/** A person as handling computes with them. Millimetres. */
export interface Reacher {
  personId: string;
  name: string;
  reachMm: number;
  steps: boolean;
  /** The reach is a default, not written down. */
  guessed: boolean;
}

/** From the highest to the lowest. */
export const REACH_BANDS = ['step', 'stretch', 'easy', 'bend', 'floor'] as const;
export type ReachBand = (typeof REACH_BANDS)[number];

/** Shares of the reach at which the bands begin; own defaults. */
const STRETCH = 0.7;
const EASY = 0.44;
const BEND = 0.2;
/** Own defaults for who was not measured. */
const ADULT_MM = 1900;
/** Somebody of whom nothing is known. */
export const UNKNOWN_REACHER = { reachMm: ADULT_MM, steps: true } as const;
const CHILD_MM = 600;
const CHILD_MM_A_YEAR = 100;
const UNKNOWN_CHILD_YEARS = 6;

/**
 * Who reaches how far. A reach nobody wrote down: 1.9 m, of children 60 cm and 10 cm for each year. Grown people take a step unless it is
 * said that they do not; children do not unless it is said that they do.
 */
export function reacherOf({ id, name, role, ageYears, reachTenthMm, takesSteps }: PersonRow): Reacher {
  const child = CHILD_MM + CHILD_MM_A_YEAR * Math.min(16, ageYears ?? UNKNOWN_CHILD_YEARS);
  return {
    personId: id,
    name,
    reachMm: reachTenthMm === null ? (role === 'child' ? Math.min(child, ADULT_MM) : ADULT_MM) : reachTenthMm / 10,
    steps: takesSteps ?? role !== 'child',
    guessed: reachTenthMm === null,
  };
}

/**
 * In which band a height lies for a reach, both in mm.
 * @example bandAt(2050, 902) //=> 'easy'
 * @example bandAt(2050, 901) //=> 'bend'
 */
export function bandAt(reachMm: number, gripMm: number): ReachBand {
  if (gripMm > reachMm) return 'step';
  if (gripMm > STRETCH * reachMm) return 'stretch';
  if (gripMm >= EASY * reachMm) return 'easy';
  return gripMm >= BEND * reachMm ? 'bend' : 'floor';
}

/** Where a band begins, mm over the floor. */
export const footOfBand = (reachMm: number, band: ReachBand): number =>
  ({ step: 1, stretch: STRETCH, easy: EASY, bend: BEND, floor: 0 })[band] * reachMm;

/**
 * Seconds that a height costs somebody each time.
 * @example reachSeconds({ reachMm: 1700, steps: false }, 1701) //=> 30
 */
export function reachSeconds({ reachMm, steps }: Pick<Reacher, 'reachMm' | 'steps'>, gripMm: number): number {
  switch (bandAt(reachMm, gripMm)) {
    case 'step':
      return steps ? HANDLING.stepSeconds : HANDLING.askSeconds;
    case 'stretch':
      return HANDLING.stretchSeconds;
    case 'easy':
      return 0;
    case 'bend':
      return HANDLING.bendSeconds;
    case 'floor':
      return HANDLING.floorSeconds;
  }
}

/**
 * What a weight costs at a height, minutes a month.
 * @example liftMinutes(4, 1900) //=> 0.076
 */
export const liftMinutes = (kg: number, gripMm: number): number =>
  HANDLING.liftMinutes * kg * (gripMm / 1000) +
  HANDLING.heavyMinutes * Math.max(0, kg - HANDLING.heavyFromKg) * Math.max(0, gripMm / 1000 - HANDLING.heavyFromM);

/** What a thing is taken from: a container that is set down, one of another form, or the shelf itself. */
export type TakenFrom = ContainerForm | 'bare' | null;

/** Seconds of getting at what is in a bin each time: its lid, pulling it out, lifting away what is in front or on top. */
export function openingSeconds({
  lid,
  form,
  fromAbove,
  headroomMm,
  inFront,
}: {
  lid: boolean;
  form?: TakenFrom;
  /** Drawers, baskets and chests: nothing is pulled out. */
  fromAbove: boolean;
  headroomMm: number;
  /** Bins to be lifted away first. */
  inFront: number;
}): number {
  const away = HANDLING.inFrontSeconds * inFront;
  if (form === 'bare') return HANDLING.bareSeconds + away;
  if (form === 'turntable') return away;
  if (form) return HANDLING.pullSeconds + away;
  const pulled = !fromAbove && (lid || headroomMm < HANDLING.headroomMm);
  return (lid ? HANDLING.lidSeconds : 0) + (pulled ? HANDLING.pullSeconds : 0) + away;
}

/** What the weight of a bin costs at a height, minutes a month; what runs out on a rail is not lifted. */
export const weightMinutes = (form: TakenFrom | undefined, kg: number, gripMm: number): number =>
  form === 'pull_out' ? 0 : liftMinutes(kg, gripMm);

/** Once, minutes, for a bin that goes elsewhere: carried, labelled, found anew by each who takes from it often enough. */
export const carryingMinutes = (who: readonly { share: number }[]): number =>
  HANDLING.carryMinutes +
  HANDLING.labelMinutes +
  HANDLING.findAnewMinutes * Math.max(1, who.filter(({ share }) => share >= HANDLING.findAnewShare).length);
