/**
 * What stands in the rows of a large table, of bare elements: a row is drawn in a fraction of the time that the interface library's own
 * views take, and scrolling past thousands of them stays smooth. They look as the kit's own do, by the same colours and typefaces; all of it
 * stands in one sheet of styles, for a style that is written to each element costs more than all else.
 */
import { memo, type CSSProperties, type ReactNode } from 'react';
import { BODY_FONT, MONO_BOLD_FONT, MONO_FONT, STRONG_FONT } from '@/kit/theme/tamagui.config';
import type { Palette } from '@/kit/theme/palette';
import { usePalette } from '@/kit/theme/usePalette';
import { hatched, markColors, type MarkKind } from '@/kit/text/Mark';
import { plateParts } from '@/kit/text/Plate';

const MARKS: readonly MarkKind[] = ['late', 'soon', 'low', 'plain'];
const ONE_LINE = 'white-space:nowrap;overflow:hidden;text-overflow:ellipsis';

function sheetOf(palette: Palette): string {
  const { ink, second, sheet, rule, green, greenTint, onGreen, soon } = palette;
  const marks = MARKS.map((kind) => {
    const { color, back, border } = markColors(kind, palette);
    const lines = kind === 'soon' ? `;background-image:${hatched(soon).backgroundImage}` : '';
    return `.pt-mark-${kind}{color:${color};background-color:${back};border-color:${border}${lines}}`;
  });
  return [
    // Each by itself: what changes in one row is not laid out anew in the others.
    '.pt-slot{position:absolute;left:0;right:0;contain:strict}',
    `.pt-row{display:flex;box-sizing:border-box;height:100%;color:${ink};background-color:${sheet};border-bottom:1px solid ${rule}}`,
    `.pt-row.pt-here,.pt-row[aria-selected=true]{background-color:${greenTint}}`,
    '.pt-cell{box-sizing:border-box;display:flex;align-items:center;gap:4px;height:100%;flex-shrink:0;padding-left:6px;overflow:hidden}',
    '.pt-wide{flex:1;min-width:0;padding-right:8px}',
    '.pt-right{justify-content:flex-end;padding-right:12px}',
    '.pt-middle{justify-content:center;padding-left:0}',
    `.pt-cell.pt-here{outline:2px solid ${green};outline-offset:-2px}`,
    `.pt-strong{${ONE_LINE};font:16px/22px ${STRONG_FONT}}`,
    `.pt-small{${ONE_LINE};font:14px/19px ${BODY_FONT};color:${second}}`,
    `.pt-ink{color:${ink}}`,
    `.pt-mono{font:13px/18px ${MONO_BOLD_FONT};white-space:nowrap}`,
    `.pt-plate{font:14px/19px ${MONO_BOLD_FONT};white-space:nowrap;border:1.5px solid ${ink};border-radius:5px;background-color:${sheet};padding:2px 7px;flex-shrink:0}`,
    `.pt-plate>span{font-family:${MONO_FONT};color:${second};margin-left:4px}`,
    `.pt-mark{font:14px/19px ${STRONG_FONT};white-space:nowrap;border:1px solid;border-radius:6px;padding:3px 8px;flex-shrink:0}`,
    ...marks,
    `.pt-check{box-sizing:border-box;width:26px;height:26px;border-radius:8px;border:2px solid ${ink};background-color:${sheet};color:${onGreen};font:18px/22px ${STRONG_FONT};text-align:center;cursor:pointer;user-select:none}`,
    `.pt-check[aria-checked=true]{border-color:${green};background-color:${green}}`,
  ].join('\n');
}

/** The styles of everything here; once in a table. */
export const PlainStyles = memo(function PlainStyles() {
  return <style>{sheetOf(usePalette())}</style>;
});

export const PlainStrong = ({ children }: { children: ReactNode }) => <span className="pt-strong">{children}</span>;
export const PlainMono = ({ children }: { children: ReactNode }) => <span className="pt-mono">{children}</span>;
/** In the second ink; where it is what the cell is about, in the first. */
export const PlainSmall = ({ ink = false, children }: { ink?: boolean; children: ReactNode }) => (
  <span className={ink ? 'pt-small pt-ink' : 'pt-small'}>{children}</span>
);

export function PlainPlate({ code }: { code: string }) {
  const [plate, check] = plateParts(code);
  return (
    <span role="img" aria-label={`code ${code}`} className="pt-plate">
      {plate}
      <span>{check}</span>
    </span>
  );
}

export const PlainMark = ({ kind, label, safety }: { kind: MarkKind; label: string; safety: boolean }) => (
  <span className={`pt-mark pt-mark-${kind}`}>{safety ? `! ${label}` : label}</span>
);

/** A box that is ticked with the mouse; with the keyboard its row is. */
export function PlainCheck({ label, ticked, onPress }: { label: string; ticked: boolean; onPress: () => void }) {
  return (
    <span
      role="checkbox"
      aria-checked={ticked}
      aria-label={label}
      tabIndex={-1}
      onClick={(event) => {
        event.stopPropagation();
        onPress();
      }}
      className="pt-check"
    >
      {ticked ? '✓' : ''}
    </span>
  );
}

/** A row, in the place that its table gives it. */
export function PlainRow({
  id,
  at,
  selected,
  here,
  onPress,
  children,
}: {
  id: string;
  /** Its number among all rows, the head being the first. */
  at: number;
  selected: boolean;
  /** It is the one that is looked at. */
  here: boolean;
  onPress: (extend: boolean) => void;
  children: ReactNode;
}) {
  return (
    <div
      role="row"
      aria-selected={selected}
      aria-rowindex={at}
      id={id}
      onClick={(event) => onPress(event.shiftKey)}
      className={here ? 'pt-row pt-here' : 'pt-row'}
    >
      {children}
    </div>
  );
}

const AT = { left: '', right: ' pt-right', middle: ' pt-middle' } as const;
const widths = new Map<number, CSSProperties>();
/** The same object for the same width: it is not written anew. */
function styleOf(width: number): CSSProperties {
  const known = widths.get(width);
  if (known) return known;
  const made = { width };
  widths.set(width, made);
  return made;
}

/** A cell of a row: as wide as its column, or as what the others leave. */
export function PlainCell({
  id,
  width,
  at = 'left',
  here = false,
  style,
  onPress,
  onTwice,
  children,
}: {
  id?: string;
  width: number | null;
  at?: 'left' | 'middle' | 'right';
  /** It is the one that is looked at. */
  here?: boolean;
  /** Its width, too, where something else is behind it. */
  style?: CSSProperties | undefined;
  onPress?: ((extend: boolean) => void) | undefined;
  onTwice?: (() => void) | undefined;
  children: ReactNode;
}) {
  return (
    <div
      role="gridcell"
      id={id}
      onClick={
        onPress
          ? (event) => {
              event.stopPropagation();
              onPress(event.shiftKey);
            }
          : undefined
      }
      onDoubleClick={onTwice}
      className={`pt-cell${width === null ? ' pt-wide' : ''}${AT[at]}${here ? ' pt-here' : ''}`}
      style={style ?? (width === null ? undefined : styleOf(width))}
    >
      {children}
    </div>
  );
}
