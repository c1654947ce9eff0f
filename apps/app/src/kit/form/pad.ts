/** What the keys beside a figure's field do to what stands in it. Pure: the field stays one that can be typed in. */

/** Units on the keys, with what is written after a figure. */
export const PAD_UNITS = {
  length: { cm: ' cm', mm: ' mm', inch: ' in' },
  mass: { kg: ' kg', g: ' g', lb: ' lb' },
} as const;
export type PadKind = keyof typeof PAD_UNITS;
export type PadUnit = keyof (typeof PAD_UNITS)['length'] | keyof (typeof PAD_UNITS)['mass'];
export type PadKey = { digit: string } | { unit: PadUnit } | 'point' | 'back' | 'eighth' | 'comma';

const AFTER: Readonly<Record<PadUnit, string>> = { ...PAD_UNITS.length, ...PAD_UNITS.mass };
const EIGHTHS = ['', ' 1/8', ' 1/4', ' 3/8', ' 1/2', ' 5/8', ' 3/4', ' 7/8'];

/** A figure and the unit behind it. */
function parted(text: string): { figure: string; unit: PadUnit | null } {
  for (const unit of Object.keys(AFTER) as PadUnit[]) {
    const after = AFTER[unit];
    if (text.endsWith(after)) return { figure: text.slice(0, -after.length), unit };
  }
  return { figure: text, unit: null };
}

/** In which unit a text is: the one behind it, else the home's. */
export const padUnit = (text: string, home: PadUnit): PadUnit => parted(text).unit ?? home;

/**
 * The text after a key.
 * @param home the unit of a bare figure: it is not written
 * @example pressPad('30 mm', { digit: '2' }, 'cm') //=> '302 mm'
 */
export function pressPad(text: string, key: PadKey, home: PadUnit): string {
  const { figure, unit } = parted(text);
  const written = (next: string, of = unit): string => `${next}${of === null || of === home ? '' : AFTER[of]}`;
  if (key === 'comma') return figure.trim() === '' ? text : `${figure.replace(/[,\s]+$/, '')}, `;
  if (key === 'back') {
    if (figure === '') return '';
    const fraction = EIGHTHS.find((one) => one !== '' && figure.endsWith(one));
    return written(fraction ? figure.slice(0, -fraction.length) : figure.replace(/\s*\S$/, ''));
  }
  if (key === 'eighth') {
    const now = EIGHTHS.findIndex((one) => one !== '' && figure.endsWith(one));
    const whole = now < 0 ? figure.replace(/\.\d*$/, '') : figure.slice(0, -EIGHTHS[now]!.length);
    return written(`${whole}${EIGHTHS[(Math.max(0, now) + 1) % EIGHTHS.length]!}`.trimStart(), 'inch');
  }
  if (key === 'point') return /\.\d*$/.test(figure) ? text : written(`${/\d$/.test(figure) ? figure : `${figure}0`}.`);
  if ('unit' in key) return written(figure, key.unit);
  return written(`${figure}${key.digit}`);
}
