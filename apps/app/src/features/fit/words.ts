import {
  formatLength,
  formatMass,
  formatSize,
  type Clearances,
  type ContainerFields,
  type ContainerFit,
  type FitNote,
  type FitReason,
  type HouseholdState,
  type LengthUnit,
  type Remedy,
  type spaceLoad,
} from '@ours/core';
import { shelfWords } from '@/shared/placeWords';
import { counted } from '@/kit/text/counted';

type SpaceLoad = NonNullable<ReturnType<typeof spaceLoad>>;

const WHAT: Readonly<Record<string, string>> = {
  post: 'a post',
  pipe: 'the pipe',
  hump: 'the hump',
  hinge: 'the hinge',
  half_shelf: 'the half-shelf',
  hooks: 'the hooks',
  riser: 'the riser',
  thing: 'what stands there without a bin',
};

/** Small lengths in millimetres, as one says them: `12 mm`. */
export const smallLength = (tenthMm: number, unit: LengthUnit): string =>
  unit === 'metric' && tenthMm < 1000 ? `${Math.round(tenthMm / 10)} mm` : formatLength(tenthMm, unit);

/** Why it does not stand straight, without a full stop. */
export function reasonWords(reason: FitReason, unit: LengthUnit): string {
  switch (reason.kind) {
    case 'too_wide':
      return `${smallLength(reason.overTenthMm, unit)} too wide between the ${reason.between}`;
    case 'too_deep':
      return `${smallLength(reason.overTenthMm, unit)} too deep`;
    case 'too_high':
      return `${smallLength(reason.overTenthMm, unit)} too high`;
    case 'in_the_way':
      return `${WHAT[reason.what] ?? 'something'} is in the way`;
    case 'way_in_too_narrow':
      return `the way in is ${smallLength(reason.overTenthMm, unit)} too narrow`;
    case 'way_in_too_low':
      return `${smallLength(reason.overTenthMm, unit)} too high for the way in`;
    case 'too_small':
      return 'written down with a side or a stacking step under 5 mm, which cannot be; measure it again';
  }
}

export function noteWords(note: FitNote, unit: LengthUnit): string {
  switch (note.kind) {
    case 'lid_shut_to_slide_in':
      return `Slides in with its lid shut; the lid opens once it is out (${smallLength(note.missingTenthMm, unit)} short above).`;
    case 'little_hand_room':
      return `${smallLength(note.leftTenthMm, unit)} above it; a hand wants ${smallLength(note.wantedTenthMm, unit)}. Pull it out to reach in.`;
    case 'lifted_over_lip':
      return `Lifted in over a rim of ${smallLength(note.lipTenthMm, unit)}.`;
  }
}

const NUMBERS = ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
export const numberWord = (count: number): string => NUMBERS[count] ?? String(count);
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The answer in one line: `Straight, none fits. Turned 19°, two do.` */
export function fitHeadline(fit: ContainerFit, wanted: number | null): string {
  if (fit.count === 0) return 'None fits here.';
  const of = wanted !== null && wanted > fit.count ? ` of ${numberWord(wanted)}` : '';
  if (fit.how === 'slant') {
    const verb = fit.count === 1 ? 'does' : 'do';
    return `Straight, none fits. Turned ${fit.degrees}°, ${numberWord(fit.count)}${of} ${verb}.`;
  }
  const fits = fit.count === 1 ? 'fits' : 'fit';
  const how = [
    fit.sideBySide > 1 ? `${fit.sideBySide} side by side` : '',
    fit.inDepth > 1 ? `${fit.inDepth} in depth` : '',
    fit.stacked > 1 ? `${fit.stacked} high` : '',
    fit.turned ? 'turned' : '',
  ].filter(Boolean);
  return `${capital(numberWord(fit.count))}${of} ${fits}${how.length > 0 ? `: ${how.join(', ')}` : ''}.`;
}

/** How sure that is. */
export const sureWords = (fit: ContainerFit): string =>
  fit.count === 0
    ? ''
    : fit.provenBest
      ? 'The most possible.'
      : fit.provenStraight
        ? 'No more stand straight; at a slant was not ruled out.'
        : 'The best found; perhaps not the most.';

/** What stays free around them. */
export function gapWords(fit: ContainerFit, unit: LengthUnit): string {
  if (fit.count === 0) return '';
  const length = (value: number): string => smallLength(Math.max(0, value), unit);
  return `Free: ${length(fit.gapLeftTenthMm)} left, ${length(fit.gapRightTenthMm)} right, ${length(fit.gapBehindTenthMm)} behind, ${length(fit.gapAboveTenthMm)} above.`;
}

export function remedyWords(remedy: Remedy, state: HouseholdState): { title: string; detail: string } {
  const holes = (count: number): string => counted(count, { one: '# hole', other: '# holes' });
  if (remedy.kind === 'other_container') {
    const other = state.get('container', remedy.containerId);
    return { title: other?.name ?? '', detail: `${remedy.count} fit, ${remedy.free} free in the pool` };
  }
  const shelf = state.get('shelf', remedy.shelfId);
  const name = shelf ? shelfWords(state, shelf) : '';
  const fits = `then ${counted(remedy.count, { one: '# fits', other: '# fit' })}`;
  return remedy.kind === 'raise_above'
    ? { title: `${capital(name)} up ${holes(remedy.holes)}`, detail: fits }
    : { title: `This shelf down ${holes(remedy.holes)}`, detail: fits };
}

/** `40 × 46 × 34 cm` in the home's unit: width, depth, height. */
export const sizeWords = (
  container: Pick<ContainerFields, 'topWidthTenthMm' | 'topDepthTenthMm' | 'heightTenthMm'>,
  unit: LengthUnit,
): string => formatSize([container.topWidthTenthMm, container.topDepthTenthMm, container.heightTenthMm], unit);

export const loadWords = (
  bins: number,
  contents: number,
  rating: number | null,
  estimated: boolean,
  unit: LengthUnit,
): string =>
  `boxes ${formatMass(bins, unit)} + contents ${estimated ? 'about ' : ''}${formatMass(contents, unit)}${rating === null ? ', no rating noted' : ` of ${formatMass(rating, unit)}`}`;

export const LOAD_CAUTIONS = {
  anchor: 'Fix it to the wall’s structure. Load the low shelves first; the rating includes the bins.',
  step_stool: 'The top is out of reach. Use a step stool with a rail, never a chair; keep light things up there.',
  heavy_high: 'More weight stands high than low. Heavy things low, light ones high.',
} as const;

/** Why each of them does not stand straight, as a sentence; nothing when it does. */
export const reasonsWords = (reasons: readonly FitReason[], unit: LengthUnit): string =>
  reasons.length === 0 ? '' : `Each is ${reasons.map((one) => reasonWords(one, unit)).join(' and ')}.`;

/** What a half-shelf or riser on the shelf adds. */
export const upperWords = (more: number): string =>
  `On the half-shelf or riser: ${more === 0 ? 'none' : `${more} more`}.`;

/** How far trying all containers is. `known`: how many were tried; `fitting`: of these, how many fit. */
export function triedWords(all: number, known: number, fitting: number): string {
  if (all === 0) return 'none yet';
  return known < all ? `${known} of ${all} tried` : `${fitting} of ${all} kinds fit`;
}

/** Whether one is there to be used: `3 free`, `none free`, `to buy`. */
export const freeWords = (free: number, isSold: boolean): string =>
  free > 0 ? `${free} free` : isSold ? 'to buy' : 'none free';

export const emptyWeightWords = (count: number, grams: number, unit: LengthUnit): string =>
  `${counted(count, { one: '# of these weighs', other: '# of these weigh' })} ${formatMass(grams, unit)} empty.`;

/** What the whole space carries, beside what it may. */
export const wholeLoadWords = ({ grams, ratingGrams, state }: SpaceLoad, unit: LengthUnit): string =>
  `The whole space: ${formatMass(grams, unit)}${ratingGrams === null ? ', no rating noted' : ` of ${formatMass(ratingGrams, unit)}`}${state === 'over' ? ': too much' : ''}.`;

/** How much is free around a container: what a hand that moves it wants to know. */
export function clearanceWords(free: Clearances, unit: LengthUnit): string {
  const length = (value: number): string => smallLength(value, unit);
  return `Free: ${length(free.left)} left, ${length(free.right)} right, ${length(free.front)} in front, ${length(free.behind)} behind, ${length(free.above)} above.`;
}
