/** How labels are printed, kept on this device: it is this device's printer and this drawer's sheets. */
export interface LabelWishes {
  sheetId: string | null;
  distanceMm: number | null;
  /** Without them: the code and the plate alone. */
  words: boolean;
  contents: boolean;
  code: boolean;
  /** What the printer is off, mm. */
  right: number;
  down: number;
}
const KEY = 'nook.labels';
const PLAIN: LabelWishes = {
  sheetId: null,
  distanceMm: null,
  words: true,
  contents: true,
  code: true,
  right: 0,
  down: 0,
};
/** More than this is another sheet. */
export const MOST_SHIFT = 10;

const isShift = (value: unknown): value is number => typeof value === 'number' && Math.abs(value) <= MOST_SHIFT;

export function labelWishes(): LabelWishes {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Record<keyof LabelWishes, unknown>>;
    return {
      sheetId: typeof kept.sheetId === 'string' ? kept.sheetId : PLAIN.sheetId,
      distanceMm: typeof kept.distanceMm === 'number' ? kept.distanceMm : PLAIN.distanceMm,
      words: kept.words !== false,
      contents: kept.contents !== false,
      code: kept.code !== false,
      right: isShift(kept.right) ? kept.right : 0,
      down: isShift(kept.down) ? kept.down : 0,
    };
  } catch {
    return PLAIN;
  }
}

export const keepLabelWishes = (wishes: LabelWishes): void => localStorage.setItem(KEY, JSON.stringify(wishes));
