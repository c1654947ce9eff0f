import type { ContainerFields } from '../household';

/** What a hand needs over an open bin to take things out of it, tenths of a millimetre. Common practice, no source. */
export const HAND_ROOM_TENTH_MM = 300;
/** Below this a box is no container and a stack has no steps: a slip of the pen, of which millions would stand. Own default. */
export const LEAST_SIDE_TENTH_MM = 50;
/** Share of a container's inner volume that things fill in use; the rest is air between them. Own default. */
export const FILL_SHARE = 0.8;
/** No more than this many stand on each other in a plan: the one at the bottom is lifted out past the others. Own default. */
export const MOST_STACKED = 2;
/** Walls and floor of a container whose inside was not measured take about this. Own default. */
const WALL_TENTH_MM = 25;
/** What a container weighs when nobody weighed it: a guess from its volume, 60 g a litre. Own estimate. */
const GRAMS_PER_LITRE = 60;

type Measures = Pick<
  ContainerFields,
  | 'topWidthTenthMm'
  | 'topDepthTenthMm'
  | 'baseWidthTenthMm'
  | 'baseDepthTenthMm'
  | 'heightTenthMm'
  | 'innerVolumeMl'
  | 'insideWidthTenthMm'
  | 'insideDepthTenthMm'
  | 'insideHeightTenthMm'
>;

/** The foot as a share of the top, by the narrower of the two directions; 1 when the foot was not measured. */
export function footShare({
  topWidthTenthMm,
  topDepthTenthMm,
  baseWidthTenthMm,
  baseDepthTenthMm,
}: Pick<Measures, 'topWidthTenthMm' | 'topDepthTenthMm' | 'baseWidthTenthMm' | 'baseDepthTenthMm'>): number {
  return Math.min(
    1,
    Math.max(
      (baseWidthTenthMm ?? topWidthTenthMm) / topWidthTenthMm,
      (baseDepthTenthMm ?? topDepthTenthMm) / topDepthTenthMm,
    ),
  );
}

/**
 * What a container holds, millilitres: as written on it, else from its inside measures, else from outside ones less the
 * walls, as a frustum of a pyramid: h/3·(A + a + √(A·a)) (Euclid XII; any table of solids).
 * For example 40 × 30 at the top, 36 × 26 at the foot, 20 high, walls off: about 20,000.
 */
export function innerVolumeMl(container: Measures): number {
  if (container.innerVolumeMl !== null) return container.innerVolumeMl;
  const { insideWidthTenthMm, insideDepthTenthMm, insideHeightTenthMm } = container;
  if (insideWidthTenthMm !== null && insideDepthTenthMm !== null && insideHeightTenthMm !== null)
    return Math.round((insideWidthTenthMm * insideDepthTenthMm * insideHeightTenthMm) / 1e6);
  const inner = (outside: number): number => Math.max(1, outside - 2 * WALL_TENTH_MM);
  const top = inner(container.topWidthTenthMm) * inner(container.topDepthTenthMm);
  const foot =
    inner(container.baseWidthTenthMm ?? container.topWidthTenthMm) *
    inner(container.baseDepthTenthMm ?? container.topDepthTenthMm);
  const height = Math.max(1, container.heightTenthMm - WALL_TENTH_MM);
  return Math.round(((height / 3) * (top + foot + Math.sqrt(top * foot))) / 1e6);
}

/** What a type of container weighs empty: as written down, or estimated from its size. */
export const containerGrams = (container: Measures & Pick<ContainerFields, 'weightGrams'>): number =>
  container.weightGrams ?? Math.round((innerVolumeMl(container) / 1000) * GRAMS_PER_LITRE);

/** The inside where it is narrowest: as measured, else the outside at the foot less the walls. */
export function insideOf(container: Measures): { widthTenthMm: number; depthTenthMm: number; heightTenthMm: number } {
  const inner = (measured: number | null, outside: number, walls: number): number =>
    measured ?? Math.max(1, outside - walls * WALL_TENTH_MM);
  return {
    widthTenthMm: inner(container.insideWidthTenthMm, container.baseWidthTenthMm ?? container.topWidthTenthMm, 2),
    depthTenthMm: inner(container.insideDepthTenthMm, container.baseDepthTenthMm ?? container.topDepthTenthMm, 2),
    heightTenthMm: inner(container.insideHeightTenthMm, container.heightTenthMm, 1),
  };
}

/**
 * How many stand on each other: `1 + ⌊(room − h)/Δ⌋`, Δ the stacking pitch. Without a pitch they are not stacked.
 * @returns at least 1, also for a pitch of nothing; whether one fits at all is another question
 */
export function stackCount(
  container: Pick<ContainerFields, 'heightTenthMm' | 'stackPitchTenthMm'>,
  roomTenthMm: number,
): number {
  const pitch = container.stackPitchTenthMm;
  if (pitch === null || pitch < 1 || roomTenthMm < container.heightTenthMm) return 1;
  return 1 + Math.floor((roomTenthMm - container.heightTenthMm) / pitch);
}

/** How high n of them nested into each other stand, for keeping empty ones. */
export function nestedHeight(
  container: Pick<ContainerFields, 'heightTenthMm' | 'nestPitchTenthMm'>,
  count: number,
): number {
  return container.heightTenthMm + (count - 1) * (container.nestPitchTenthMm ?? container.heightTenthMm);
}
