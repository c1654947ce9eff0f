import { create } from 'qrcode';

/** A dark module of a scan code: its place from the top left corner, in modules. */
export interface Module {
  x: number;
  y: number;
  /** Neighbours to the right are drawn in one. */
  width: number;
}
export interface ScanCode {
  /** Modules of a side, with the quiet zone. */
  size: number;
  dark: Module[];
}
/** ISO/IEC 18004: four modules around the code stay light. */
const QUIET = 4;
const known = new Map<string, ScanCode>();

/** A text as a QR code, of the correction level M; capitals and figures take the least room. */
export function scanCode(text: string): ScanCode {
  const before = known.get(text);
  if (before) return before;
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const dark: Module[] = [];
  for (let y = 0; y < modules.size; y++)
    for (let x = 0; x < modules.size; x++) {
      if (!modules.get(y, x)) continue;
      const last = dark.at(-1);
      if (last && last.y === y + QUIET && last.x + last.width === x + QUIET) last.width += 1;
      else dark.push({ x: x + QUIET, y: y + QUIET, width: 1 });
    }
  const code = { size: modules.size + 2 * QUIET, dark };
  known.set(text, code);
  return code;
}
