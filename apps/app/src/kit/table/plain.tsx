/**
 * What stands in the rows of a large table, of bare elements: a row is drawn in a fraction of the time that the interface library's own
 * views take, and scrolling past thousands of them stays smooth. They look as the kit's own do, by the same colours and typefaces.
 */
import type { CSSProperties, ReactNode } from 'react';
import { BODY_FONT, MONO_BOLD_FONT, MONO_FONT, STRONG_FONT } from '@/kit/theme/tamagui.config';
import type { Palette } from '@/kit/theme/palette';
import { hatched, markColors, type MarkKind } from '@/kit/text/Mark';
import { plateParts } from '@/kit/text/Plate';

const oneLine: CSSProperties = { whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' };
const body: CSSProperties = { ...oneLine, fontFamily: BODY_FONT, fontSize: 14, lineHeight: '19px' };
const strong: CSSProperties = { ...oneLine, fontFamily: STRONG_FONT, fontSize: 16, lineHeight: '22px' };
const mono: CSSProperties = { fontFamily: MONO_BOLD_FONT, fontSize: 13, lineHeight: '18px', whiteSpace: 'nowrap' };

export const PlainStrong = ({ children }: { children: ReactNode }) => <span style={strong}>{children}</span>;
export const PlainMono = ({ children }: { children: ReactNode }) => <span style={mono}>{children}</span>;
export const PlainSmall = ({ color, children }: { color: string; children: ReactNode }) => (
  <span style={{ ...body, color }}>{children}</span>
);

export function PlainPlate({ code, palette }: { code: string; palette: Palette }) {
  const [plate, check] = plateParts(code);
  return (
    <span
      role="img"
      aria-label={`code ${code}`}
      style={{
        ...mono,
        fontSize: 14,
        lineHeight: '19px',
        border: `1.5px solid ${palette.ink}`,
        borderRadius: 5,
        backgroundColor: palette.sheet,
        padding: '2px 7px',
        flexShrink: 0,
      }}
    >
      {plate}
      <span style={{ fontFamily: MONO_FONT, color: palette.second, marginLeft: 4 }}>{check}</span>
    </span>
  );
}

export function PlainMark({
  kind,
  label,
  safety,
  palette,
}: {
  kind: MarkKind;
  label: string;
  safety: boolean;
  palette: Palette;
}) {
  const { color, back, border } = markColors(kind, palette);
  return (
    <span
      style={{
        fontFamily: STRONG_FONT,
        fontSize: 14,
        lineHeight: '19px',
        whiteSpace: 'nowrap',
        color,
        backgroundColor: back,
        border: `1px solid ${border}`,
        borderRadius: 6,
        padding: '3px 8px',
        flexShrink: 0,
        ...(kind === 'soon' ? hatched(palette.soon) : {}),
      }}
    >
      {safety ? `! ${label}` : label}
    </span>
  );
}

/** A box that is ticked with the mouse; with the keyboard its row is. */
export function PlainCheck({
  label,
  ticked,
  palette,
  onPress,
}: {
  label: string;
  ticked: boolean;
  palette: Palette;
  onPress: () => void;
}) {
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
      style={{
        boxSizing: 'border-box',
        width: 26,
        height: 26,
        borderRadius: 8,
        border: `2px solid ${ticked ? palette.green : palette.ink}`,
        backgroundColor: ticked ? palette.green : palette.sheet,
        color: palette.onGreen,
        fontFamily: STRONG_FONT,
        fontSize: 18,
        lineHeight: '22px',
        textAlign: 'center',
        cursor: 'pointer',
        userSelect: 'none',
      }}
    >
      {ticked ? '✓' : ''}
    </span>
  );
}

/** A cell of a row: as wide as its column, or as what the others leave. */
export function PlainCell({
  id,
  width,
  height,
  at = 'left',
  outline,
  background,
  onPress,
  onTwice,
  children,
}: {
  id?: string;
  width: number | null;
  height: number;
  at?: 'left' | 'middle' | 'right';
  /** Its colour; missing: it is not the one that is looked at. */
  outline?: string | undefined;
  background?: CSSProperties | undefined;
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
      style={{
        boxSizing: 'border-box',
        display: 'flex',
        alignItems: 'center',
        gap: 4,
        height,
        ...(width === null ? { flex: 1, minWidth: 0, paddingRight: 8 } : { width, flexShrink: 0 }),
        ...(at === 'right' ? { justifyContent: 'flex-end', paddingRight: 12 } : {}),
        ...(at === 'middle' ? { justifyContent: 'center' } : { paddingLeft: 6 }),
        overflow: 'hidden',
        ...(outline === undefined ? {} : { outline: `2px solid ${outline}`, outlineOffset: -2 }),
        ...background,
      }}
    >
      {children}
    </div>
  );
}
