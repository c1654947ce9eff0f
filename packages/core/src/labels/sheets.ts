/** Label sheets as plain measures, and where each label lies on them. Millimetres from the top left corner of the page. */

export type Paper = 'A4' | 'Letter';
/** ISO 216 A4; ANSI Y14.1 size A. */
export const PAPERS: Readonly<Record<Paper, { width: number; height: number }>> = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
};

/**
 * What a label is for: `plain` on a bin, `round` on a lid, `spine` on the back of a file, read upwards, `clip` a card on plain paper
 * that is cut out and clipped on.
 */
export type LabelForm = 'plain' | 'round' | 'spine' | 'clip';

export interface LabelSheet {
  id: string;
  paper: Paper;
  columns: number;
  rows: number;
  /** Of one label. */
  width: number;
  height: number;
  /** Of the first label. */
  left: number;
  top: number;
  /** From one label to the next. */
  pitchX: number;
  pitchY: number;
  form: LabelForm;
}

/** A sheet whose labels lie in the middle of the page. */
function sheet(
  paper: Paper,
  [columns, rows]: [number, number],
  [width, height]: [number, number],
  gap = 0,
  { form = 'plain', gapY = 0 }: { form?: LabelForm; gapY?: number } = {},
): LabelSheet {
  const pitchX = width + gap;
  const pitchY = height + gapY;
  return {
    id: `${paper} ${form === 'plain' ? '' : `${form} `}${columns}x${rows}`,
    paper,
    columns,
    rows,
    width,
    height,
    left: (PAPERS[paper].width - (columns - 1) * pitchX - width) / 2,
    top: (PAPERS[paper].height - (rows - 1) * pitchY - height) / 2,
    pitchX,
    pitchY,
    form,
  };
}

/** Usual sheets by their measures; gaps between columns are from memory, and the printer shift takes up what differs. */
export const LABEL_SHEETS: readonly LabelSheet[] = [
  sheet('A4', [3, 8], [70, 37]),
  sheet('A4', [3, 7], [63.5, 38.1], 2.5),
  sheet('A4', [2, 7], [99.1, 38.1], 2.5),
  sheet('A4', [2, 4], [99.1, 67.7], 2.5),
  sheet('A4', [2, 2], [105, 148.5]),
  sheet('Letter', [3, 10], [66.7, 25.4], 3.15),
  sheet('Letter', [2, 5], [101.6, 50.8], 4.8),
  sheet('Letter', [2, 2], [107.95, 139.7]),
  // Own measures from here on: round ones for lids, spines of lever-arch files (192 mm high, from memory), cards to be cut out.
  sheet('A4', [4, 6], [40, 40], 8, { form: 'round', gapY: 6 }),
  sheet('A4', [3, 4], [60, 60], 5, { form: 'round', gapY: 8 }),
  sheet('Letter', [3, 4], [63.5, 63.5], 4, { form: 'round', gapY: 4 }),
  sheet('A4', [3, 1], [61, 192], 2, { form: 'spine' }),
  sheet('A4', [5, 1], [38, 192], 1, { form: 'spine' }),
  sheet('Letter', [4, 1], [50.8, 190.5], 1, { form: 'spine' }),
  sheet('A4', [2, 5], [90, 52], 6, { form: 'clip', gapY: 2 }),
  sheet('Letter', [2, 4], [95, 58], 6, { form: 'clip', gapY: 4 }),
];

/** Where a label lies. */
export interface LabelPlace {
  /** From 0. */
  page: number;
  x: number;
  y: number;
}

export const labelsOnPage = ({ columns, rows }: Pick<LabelSheet, 'columns' | 'rows'>): number => columns * rows;

/**
 * Where so many labels go, row by row.
 * @param begin labels of the first page that are used up already
 * @param shift what the printer is off, mm to the right and down
 */
export function labelPlaces(
  of: LabelSheet,
  count: number,
  begin = 0,
  shift: { right: number; down: number } = { right: 0, down: 0 },
): LabelPlace[] {
  const each = labelsOnPage(of);
  return Array.from({ length: count }, (_, nth) => {
    const at = begin + nth;
    const onPage = at % each;
    return {
      page: Math.floor(at / each),
      x: of.left + (onPage % of.columns) * of.pitchX + shift.right,
      y: of.top + Math.floor(onPage / of.columns) * of.pitchY + shift.down,
    };
  });
}
