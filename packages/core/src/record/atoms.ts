/** The smallest pieces of a line that are still read: runs of letters, runs of digits, fraction signs, single other signs. */
export interface Atom {
  /** As read: lower case, with the signs a keyboard has. */
  text: string;
  /** Offsets in the line, `to` exclusive. */
  from: number;
  to: number;
  kind: 'word' | 'digits' | 'fraction' | 'sign';
  /** Whether a blank (or the edge of the line) lies before and after. */
  spaceBefore: boolean;
  spaceAfter: boolean;
}

/** Signs that mean the same as one on the keyboard. Each is one character, so that offsets stay those of the line. */
const SAME_SIGNS: ReadonlyMap<string, string> = new Map([
  ['×', 'x'],
  ['✕', 'x'],
  ['✖', 'x'],
  ['–', '-'],
  ['—', '-'],
  ['−', '-'],
  ['‐', '-'],
  ['’', "'"],
  ['‘', "'"],
  ['`', "'"],
  ['´', "'"],
  ['\u00a0', ' '],
  ['\u202f', ' '],
  ['\t', ' '],
]);
const ATOM = /(\p{L}[\p{L}\p{M}]*(?:['-]\p{L}[\p{L}\p{M}]*)*)|(\d+)|([½¼¾⅓⅔⅛⅜⅝⅞])|(\s+)|([^])/gu;

/** @returns the atoms in the order of the line; blanks are not among them. May be empty. */
export function atomsOf(line: string): Atom[] {
  const text = [...line].map((sign) => SAME_SIGNS.get(sign) ?? sign).join('');
  const atoms: Atom[] = [];
  let spaceBefore = true;
  for (const match of text.matchAll(ATOM)) {
    const at = match.index;
    if (match[4] !== undefined) {
      const last = atoms.at(-1);
      if (last) last.spaceAfter = true;
      spaceBefore = true;
      continue;
    }
    const kind = match[1] !== undefined ? 'word' : match[2] !== undefined ? 'digits' : match[3] ? 'fraction' : 'sign';
    atoms.push({
      text: match[0].toLowerCase(),
      from: at,
      to: at + match[0].length,
      kind,
      spaceBefore,
      spaceAfter: false,
    });
    spaceBefore = false;
  }
  const last = atoms.at(-1);
  if (last) last.spaceAfter = true;
  return atoms;
}
