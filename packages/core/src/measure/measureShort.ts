/** Measuring made short: what a plan needs of a space, in one go where one can, and as the neighbour has it. */
import { type LengthUnit, readLength } from '../base';
import { BOARD_TENTH_MM } from '../fit';
import type { Op, ShelfRow, SpaceRow } from '../household';
import type { MeasureQuestion } from './measureQuestions';

/** Surfaces that lie above each other in the body: a height from the foot says all. */
const isSurface = ({ kind }: Pick<ShelfRow, 'kind'>): boolean => kind === 'shelf' || kind === 'floor';

/**
 * The questions without which nothing can be planned: the outline, and of each shelf what does not follow from its neighbours. A shelf of
 * the body is as wide and as deep as the space, and as high as the next one lets it be; baskets, drawers and door racks have their own sides.
 */
export function neededQuestions(
  questions: readonly MeasureQuestion[],
  space: Pick<SpaceRow, 'kind'>,
  shelves: readonly ShelfRow[],
): MeasureQuestion[] {
  const kinds = new Map(shelves.map((shelf) => [shelf.id, shelf]));
  return questions.filter((question) => {
    if (question.of === 'space') return ['width', 'height', 'depth'].includes(question.key);
    const shelf = kinds.get(question.id);
    if (!shelf) return false;
    const inBody = isSurface(shelf) && space.kind !== 'chest_freezer';
    if (!inBody) return ['width', 'depth', 'height'].includes(question.key);
    // Who has measured the clear height already is not asked for the surface as well.
    return question.key === 'bottom' && (shelf.bottomTenthMm !== null || shelf.heightTenthMm === null);
  });
}

/** The surfaces whose heights can be read off one tape, the lowest first. */
export const surfacesOf = (space: Pick<SpaceRow, 'kind'>, shelves: readonly ShelfRow[]): ShelfRow[] =>
  space.kind === 'chest_freezer' ? [] : shelves.filter(isSurface).sort((a, b) => b.sort - a.sort);

/** Heights read off one tape; or why not. */
export type RunningHeights =
  | { kind: 'read'; heights: number[] }
  | { kind: 'unreadable'; part: string }
  | { kind: 'count'; found: number; wanted: number }
  | { kind: 'order'; before: string; after: string }
  | { kind: 'too_high'; part: string };

/**
 * Reads heights of surfaces above the foot as one list, the lowest first: `2, 44, 76, 108`. A semicolon or a blank may stand for the comma
 * where figures have decimals with a comma.
 * @param wanted how many surfaces there are
 * @param topTenthMm of the space; null: not known
 * @returns tenths of a millimetre
 * @example readHeights('0 44 76', 'metric', 3, null) //=> { kind: 'read', heights: [0, 4400, 7600] }
 */
export function readHeights(text: string, unit: LengthUnit, wanted: number, topTenthMm: number | null): RunningHeights {
  const parts = partsOf(text);
  const heights: number[] = [];
  for (const part of parts) {
    const zero = /^0+([.,]0+)?$/.test(part);
    const read = zero ? null : readLength(part, unit);
    if (read && !read.ok) return { kind: 'unreadable', part };
    heights.push(read ? read.tenthMm : 0);
  }
  if (heights.length !== wanted) return { kind: 'count', found: heights.length, wanted };
  for (let at = 0; at < heights.length; at++) {
    if (at > 0 && heights[at]! <= heights[at - 1]!) return { kind: 'order', before: parts[at - 1]!, after: parts[at]! };
    if (topTenthMm !== null && heights[at]! >= topTenthMm) return { kind: 'too_high', part: parts[at]! };
  }
  return { kind: 'read', heights };
}

/** With semicolons these part; else a comma before a blank, or one that cannot be a decimal's; else blanks. */
function partsOf(text: string): string[] {
  const tidy = text.trim().replace(/,?\s+and\s+/gi, ', ');
  const parts = /;/.test(tidy)
    ? tidy.split(';')
    : /,\s/.test(tidy)
      ? tidy.split(/,\s+/)
      : /[a-z"'″′”]/i.test(tidy)
        ? tidy.split(',')
        : tidy.split(/\s+/).length > 1
          ? tidy.split(/\s+/)
          : tidy.split(',');
  return parts.map((part) => part.replace(/^[\s,]+|[\s,]+$/g, '')).filter((part) => part !== '');
}

/** Writes the heights down, and the clear heights that follow from them. @param surfaces the lowest first */
export function opsForHeights(
  space: Pick<SpaceRow, 'heightTenthMm' | 'build'>,
  surfaces: readonly ShelfRow[],
  heights: readonly number[],
): Op[] {
  const board = space.build?.boardTenthMm ?? BOARD_TENTH_MM;
  return surfaces.map((shelf, at): Op => {
    const bottom = heights[at]!;
    const above = heights[at + 1];
    const top = above === undefined ? space.heightTenthMm : above - board;
    return {
      op: 'change',
      entity: 'shelf',
      id: shelf.id,
      fields: { bottomTenthMm: bottom, heightTenthMm: top === null ? null : Math.max(1, top - bottom) },
    };
  });
}

/** The same figure of the shelf above, for a question that it answers; null: there is none, or it is not measured. */
export function asShelfAbove(
  question: MeasureQuestion,
  shelves: readonly ShelfRow[],
): { shelf: ShelfRow; tenthMm: number } | null {
  if (question.of !== 'shelf') return null;
  const field = ({ width: 'widthTenthMm', depth: 'depthTenthMm', height: 'heightTenthMm' } as const)[
    question.key as 'width' | 'depth' | 'height'
  ];
  const own = shelves.find(({ id }) => id === question.id);
  if (field === undefined || !own) return null;
  const above = shelves
    .filter(({ kind, sort }) => kind === own.kind && sort < own.sort)
    .sort((a, b) => b.sort - a.sort)[0];
  const tenthMm = above?.[field] ?? null;
  return above && tenthMm !== null ? { shelf: above, tenthMm } : null;
}

/**
 * Once a space's width or depth is measured, shelves whose own was only guessed have none of their own: they follow the space.
 * @param guessed shelves whose figure nobody has measured
 */
export function opsForFollowing(question: MeasureQuestion, guessed: readonly ShelfRow[]): Op[] {
  if (question.of !== 'space' || (question.key !== 'width' && question.key !== 'depth')) return [];
  const field = question.key === 'width' ? 'widthTenthMm' : 'depthTenthMm';
  return guessed
    .filter((shelf) => shelf[field] !== null)
    .map(({ id }): Op => ({ op: 'change', entity: 'shelf', id, fields: { [field]: null } }));
}
