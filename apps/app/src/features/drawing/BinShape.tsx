import type { BinLook, Box } from '@ours/core';
import { G, Line, Path, Rect } from 'react-native-svg';
import type { Palette } from '@/kit/theme/palette';

export type BinMood = 'plain' | 'here' | 'quiet';

/** Walls lean in towards the foot by this share of the width. */
const LEAN = 0.05;

/** One bin from the front: see-through, woven, slatted, closed, or a place kept free. */
export function BinShape({
  box,
  look,
  hasLid,
  filled,
  level = null,
  mood,
  soon,
  late,
  palette,
}: {
  box: Box;
  look: BinLook;
  hasLid: boolean;
  filled: boolean;
  /** How full it is, in percent, where somebody saw or weighed it; null: not known, and the drawing says only that something is in it. */
  level?: number | null;
  mood: BinMood;
  soon: boolean;
  late: boolean;
  palette: Palette;
}) {
  const { x, y, width: w, height: h } = box;
  const lid = hasLid ? Math.min(6, h * 0.12) : 0;
  const lean = Math.min(w * LEAN, 8);
  const top = y + lid;
  const body = `M${x} ${top} L${x + w} ${top} L${x + w - lean} ${y + h} L${x + lean} ${y + h} Z`;
  const stroke = mood === 'quiet' ? palette.quiet : palette.ink;
  const quiet = mood === 'quiet';
  const fill = mood === 'here' ? palette.here : fillOf(look, filled, palette, quiet);
  const inner = { left: x + lean, right: x + w - lean, top: top + 1, bottom: y + h - 1 };
  return (
    <G>
      <Path
        d={body}
        fill={fill}
        stroke={stroke}
        strokeWidth={mood === 'here' ? 3 : 1.5}
        strokeLinejoin="round"
        {...(look === 'kept_free' ? { strokeDasharray: '5 4' } : {})}
      />
      {mood === 'here' || look === 'kept_free' ? null : (
        <Texture
          look={look}
          filled={filled}
          level={level}
          inner={inner}
          color={quiet ? palette.rule : palette.second}
          green={quiet ? palette.rule : palette.green}
        />
      )}
      {(soon || late) && !quiet && mood !== 'here' ? <EndsHatch inner={inner} palette={palette} late={late} /> : null}
      {hasLid ? (
        <Rect
          x={x - 2}
          y={y}
          width={w + 4}
          height={lid}
          rx={2}
          fill={palette.sheet}
          stroke={stroke}
          strokeWidth={1.5}
        />
      ) : null}
    </G>
  );
}

function fillOf(look: BinLook, filled: boolean, palette: Palette, quiet: boolean): string {
  if (look === 'kept_free' || quiet) return palette.sheet;
  if (look === 'see_through') return palette.sheet;
  return filled ? palette.wood : palette.sheet;
}

interface Inner {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

function Texture({
  look,
  filled,
  level,
  inner,
  color,
  green,
}: {
  look: BinLook;
  filled: boolean;
  level: number | null;
  inner: Inner;
  color: string;
  green: string;
}) {
  const { left, right, top, bottom } = inner;
  if (look === 'slatted') {
    const count = Math.max(2, Math.floor((bottom - top) / 11));
    const gap = (bottom - top) / (count + 1);
    return (
      <G opacity={0.5}>
        {Array.from({ length: count }, (_, at) => (
          <Line
            key={at}
            x1={left - 1}
            x2={right + 1}
            y1={top + gap * (at + 1)}
            y2={top + gap * (at + 1)}
            stroke={color}
            strokeWidth={1}
          />
        ))}
      </G>
    );
  }
  if (look === 'woven') {
    const step = 9;
    let d = '';
    for (let py = top + 5, row = 0; py < bottom - 3; py += step, row++) {
      for (let px = left + (row % 2 === 0 ? 4 : 8.5); px < right - 4; px += step) d += `M${px} ${py}h4`;
    }
    return <Path d={d} stroke={color} strokeWidth={1.4} opacity={0.55} />;
  }
  if (level !== null) return <Level share={level / 100} inner={inner} green={green} />;
  if (look === 'see_through' && filled) {
    const surface = top + (bottom - top) * 0.3;
    return (
      <G>
        <Rect x={left} y={surface} width={right - left} height={bottom - surface} fill={green} opacity={0.16} />
        <Line x1={left - 1} x2={right + 1} y1={surface} y2={surface} stroke={green} strokeWidth={1} />
      </G>
    );
  }
  return null;
}

/** A level that is known: its surface is a strong line, with a mark at each quarter of the height. */
function Level({ share, inner, green }: { share: number; inner: Inner; green: string }) {
  const { left, right, top, bottom } = inner;
  const at = (part: number): number => bottom - (bottom - top) * part;
  return (
    <G>
      <Rect x={left} y={at(share)} width={right - left} height={bottom - at(share)} fill={green} opacity={0.22} />
      <Line x1={left - 1} x2={right + 1} y1={at(share)} y2={at(share)} stroke={green} strokeWidth={2} />
      {[0.25, 0.5, 0.75].map((part) => (
        <Line key={part} x1={right - 5} x2={right} y1={at(part)} y2={at(part)} stroke={green} strokeWidth={1} />
      ))}
    </G>
  );
}

/** A hatched strip along the foot: something in here ends soon. Too late gets a solid border under it as well. */
export function EndsHatch({ inner, palette, late }: { inner: Inner; palette: Palette; late: boolean }) {
  const height = Math.min(9, (inner.bottom - inner.top) * 0.25);
  const top = inner.bottom - height;
  const color = late ? palette.late : palette.soon;
  let d = '';
  for (let x = inner.left + 2; x < inner.right - 6; x += 7) d += `M${x} ${inner.bottom}l6 ${-height}`;
  return (
    <G>
      <Rect
        x={inner.left}
        y={top}
        width={inner.right - inner.left}
        height={height}
        fill={late ? palette.lateTint : palette.soonTint}
        {...(late ? { stroke: color, strokeWidth: 1.2 } : {})}
      />
      <Path d={d} stroke={color} strokeWidth={1.2} />
    </G>
  );
}
