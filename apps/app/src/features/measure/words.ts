import {
  formatLength,
  formatMass,
  type Contradiction,
  type LengthUnit,
  type MeasureQuestion,
  type RunningHeights,
} from '@ours/core';
import { counted } from '@/kit/text/counted';

const SPACE_WORDS: Readonly<Record<string, [ask: string, short: string]>> = {
  width: ['How wide is it, outside?', 'Width'],
  height: ['How high is it?', 'Height'],
  depth: ['How deep, to the closed door?', 'Depth'],
  post_width: ['How wide is each post or side wall?', 'Post or wall, width'],
  post_depth: ['How deep is each post, front to back?', 'Post, front to back'],
  opening_width: ['How wide is the way in, inside the door frame?', 'Way in, width'],
  opening_height: ['How high is the way in?', 'Way in, height'],
  hinge: ['On which side does the door hang?', 'Door hangs'],
  hole_pitch: ['From hole to hole?', 'Hole to hole'],
  first_hole: ['From the foot to the lowest hole?', 'Lowest hole'],
  board: ['How thick is a shelf?', 'Shelf thickness'],
  load: ['What may it carry in all?', 'Load in all'],
};
const SHELF_WORDS: Readonly<Record<string, [ask: string, short: string]>> = {
  width: ['How wide, clear between the posts?', 'Clear width'],
  depth: ['How deep, to the closed door?', 'Depth'],
  height: ['How high, to what is above?', 'Clear height'],
  bottom: ['How high is its surface above the foot?', 'Surface above the foot'],
  lip: ['How high is the rim at the front?', 'Rim at the front'],
  adjustable: ['Can it be moved to other holes?', 'Movable'],
  surface: ['Is it solid, or wire?', 'Surface'],
  load: ['What may it carry?', 'Load'],
};

export const questionWords = (question: MeasureQuestion): { ask: string; short: string } => {
  const [ask, short] = (question.of === 'space' ? SPACE_WORDS : SHELF_WORDS)[question.key]!;
  return { ask, short };
};

/** What is known, in the home's units; an empty text where nothing is. */
export function answerWords(question: MeasureQuestion, unit: LengthUnit): string {
  const { value } = question;
  if (value === null) return '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return value;
  if (value === 0) return '0';
  return question.answer === 'mass' ? formatMass(value, unit) : formatLength(value, unit);
}

export const PATTERN_WORDS: Readonly<Record<string, string>> = {
  rack_five: 'Rack, five shelves, posts',
  closet_six: 'Closet, six shelves',
  chest_step: 'Chest freezer, two baskets, step',
  refrigerator: 'Refrigerator, drawers, door racks',
  drawers: 'Drawer unit',
  under_sink: 'Under the sink, with a pipe',
};

const SIDE = { width: 'wide', depth: 'deep', height: 'high' } as const;

/** What does not go together, with its figures. `nameOf` names a shelf or bin. */
export function contradictionWords(one: Contradiction, unit: LengthUnit, nameOf: (id: string) => string): string {
  const length = (value: number): string => formatLength(value, unit);
  switch (one.kind) {
    case 'inner_over_outer':
      return `${nameOf(one.shelfId)} is ${length(one.inner)} ${SIDE[one.side]}, but inside the space there are only ${length(one.outer)}.`;
    case 'shelves_over_space':
      return `The shelves’ heights come to ${length(one.sum)}, but the space is ${length(one.outer)} high.`;
    case 'surface_over_top':
      return `${nameOf(one.shelfId)} lies at ${length(one.bottom)}, but the space is ${length(one.outer)} high.`;
    case 'reaches_next':
      return `${nameOf(one.shelfId)} is ${length(one.over)} higher than what is free below the next one up.`;
    case 'bin_over_shelf':
      return `The bin ${nameOf(one.binId)} is ${length(one.bin)} ${SIDE[one.side]}, but ${nameOf(one.shelfId)} has ${length(one.shelf)}.`;
    case 'opening_over_space':
      return `The way in is ${length(one.opening)} ${SIDE[one.side]}, but the space only ${length(one.outer)}.`;
    case 'narrow_opening':
      return `The way in is only ${length(one.opening)} ${SIDE[one.side]}, the space ${length(one.outer)}. Is that right?`;
    case 'thick_board':
      return `A shelf ${length(one.value)} thick is hardly one. Is the unit right?`;
    case 'unlikely':
      return `${length(one.value)} ${SIDE[one.side]} is more than a cupboard at home has. Is the unit right?`;
  }
}

/** What is known of a figure already, and what an empty field means. */
export const knownWords = (known: string, isGuess: boolean): string =>
  isGuess ? `From the pattern: ${known}. Empty keeps it.` : `Known: ${known}. Measure it twice; empty keeps it.`;

const SPACE_TAPE: Readonly<Record<string, string>> = {
  width: 'From the outside of the left wall to the outside of the right one.',
  height: 'From the floor it stands on to its top edge, at the front.',
  depth: 'From the back wall to the inside of the closed door, or to the front edge.',
  post_width: 'Across one post or side wall, from outside to inside.',
  post_depth: 'Along one post, from front to back.',
  opening_width: 'Between the insides of the door frame, at the narrowest.',
  opening_height: 'From the sill to the lintel, inside the frame.',
  hole_pitch: 'From the middle of one hole to the middle of the next.',
  first_hole: 'From the foot to the middle of the lowest hole.',
  board: 'Across the front edge of a shelf.',
};
const SHELF_TAPE: Readonly<Record<string, string>> = {
  width: 'From wall to wall or post to post, at the front.',
  depth: 'From the back wall to the inside of the closed door, or to its front edge.',
  height: 'From the top of this shelf to the lowest of what is above, at the front.',
  bottom: 'From the foot of the space to the top of this shelf.',
  lip: 'From the top of the shelf to the top of its rim.',
};
/** Where to hold the tape for a question; null where there is none to hold. */
export const tapeWords = (question: MeasureQuestion): string | null =>
  (question.of === 'space' ? SPACE_TAPE : SHELF_TAPE)[question.key] ?? null;

/** `3 more and it can be planned`. @param someCan some of it can be planned already */
export const openWords = (answers: number, someCan: boolean): string =>
  answers === 0
    ? 'It can be planned.'
    : `${counted(answers, { one: '# more', other: '# more' })} and ${someCan ? 'all of it' : 'it'} can be planned`;

/** What the figures that are not needed matter for. */
export const MORE_FIGURES = 'What follows matters only if a shelf moves, a door is in the way or a load is heavy.';

/** Why a list of heights was not taken. */
export function heightsProblem(read: Exclude<RunningHeights, { kind: 'read' }>): string {
  switch (read.kind) {
    case 'unreadable':
      return `“${read.part}” is not a length. Write each height as a number, with commas between.`;
    case 'count':
      return `${counted(read.found, { one: '# height was read', other: '# heights were read' })}; there are ${read.wanted} shelves.`;
    case 'order':
      return `${read.after} comes after ${read.before} and is not higher. Begin with the lowest shelf.`;
    case 'too_high':
      return `${read.part} is higher than the space.`;
  }
}

/** `2, 37, 72`: heights that could be. */
export const heightsExample = (count: number, unit: LengthUnit): string =>
  Array.from({ length: Math.min(count, 3) }, (_, at) => (unit === 'metric' ? 2 + 35 * at : 1 + 14 * at))
    .join(', ')
    .concat(count > 3 ? ', …' : '');
