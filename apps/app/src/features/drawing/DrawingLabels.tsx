import {
  codeTail,
  formatCentimetres,
  formatLength,
  type Box,
  type DrawnShelf,
  type FrontView,
  type NookSummary,
} from '@ours/core';
import { G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { counted } from '@/kit/text/counted';
import { LIGHT, type Palette } from '@/kit/theme/palette';
import { MONO, BODY_FONT } from '@/kit/theme/tamagui.config';
import { EndsHatch, type BinMood } from './BinShape';

export type Place = (box: Box) => Box;

export const NAME_SIZE = 13;
const TAG_SIZE = 13;
/** From one line of a name to the next. */
const LINE = NAME_SIZE + 4;

/** This typeface is about half an em wide on the average; a little more, so that nothing is cut. */
const letterWidth = (size: number): number => size * 0.53;

/**
 * A text in at most so many lines of a width, broken between words. Empty when it does not fit: a name that does not fit
 * is left out, never cut.
 */
export function linesThatFit(text: string, width: number, size: number, mostLines: number): string[] {
  const most = Math.floor(width / letterWidth(size));
  const lines: string[] = [];
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= most) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines.length <= mostLines && lines.every((line) => line.length <= most) ? lines : [];
}

const tagWidthOf = (tag: string): number => tag.length * TAG_SIZE * 0.62 + 10;
const tagHeightOf = (size: number): number => size + 7;

/** The end of a code on a small plate, as it stands on the label. */
export function TagPlate({
  tag,
  middle,
  top,
  width = tagWidthOf(tag),
  size = TAG_SIZE,
  fill,
  stroke,
  ink,
}: {
  tag: string;
  middle: number;
  top: number;
  width?: number;
  size?: number;
  fill: string;
  stroke: string;
  ink: string;
}) {
  const height = tagHeightOf(size);
  return (
    <G>
      <Rect
        x={middle - width / 2}
        y={top}
        width={width}
        height={height}
        rx={4}
        fill={fill}
        stroke={stroke}
        strokeWidth={1.2}
      />
      <SvgText
        x={middle}
        y={top + height / 2 + size * 0.35}
        fontSize={size}
        fontFamily={`${MONO}_700Bold, monospace`}
        textAnchor="middle"
        fill={ink}
      >
        {tag}
      </SvgText>
    </G>
  );
}

/** Where a bin's plate and its name stand in its drawn box; no lines when the name does not fit. */
function labelOf(box: Box, tag: string, name: string, hasLid: boolean) {
  const tagWidth = tagWidthOf(tag);
  const narrow = box.width < tagWidth + 2;
  const size = narrow ? Math.max(9, TAG_SIZE * (box.width / (tagWidth + 4))) : TAG_SIZE;
  const tagHeight = tagHeightOf(size);
  const lid = hasLid ? 6 : 0;
  const room = box.height - lid;
  const mostLines = Math.max(0, Math.min(2, Math.floor((room - tagHeight - 4) / LINE)));
  const lines = mostLines === 0 ? [] : linesThatFit(name, box.width - 6, NAME_SIZE, mostLines);
  const block = tagHeight + lines.length * LINE;
  const top = box.y + lid + Math.max(1, (room - block) / 2);
  return { size, tagWidth: narrow ? box.width - 2 : tagWidth, tagHeight, room, lines, top };
}

export function BinLabel({
  box,
  tag,
  name,
  mood,
  names,
  palette,
  hasLid,
}: {
  box: Box;
  tag: string;
  name: string;
  mood: BinMood;
  names: boolean;
  palette: Palette;
  hasLid: boolean;
}) {
  const { size, tagWidth, tagHeight, room, lines, top } = labelOf(
    box,
    tag,
    names && mood !== 'quiet' ? name : '',
    hasLid,
  );
  if (mood !== 'here' && room < tagHeight + 2) return null;
  const middle = box.x + box.width / 2;
  const ink = mood === 'quiet' ? palette.second : mood === 'here' ? palette.onHere : palette.ink;
  return (
    <G>
      {tag === '' ? null : (
        <TagPlate
          tag={tag}
          middle={middle}
          top={top}
          width={tagWidth}
          size={size}
          fill={mood === 'here' ? LIGHT.sheet : palette.sheet}
          stroke={mood === 'quiet' ? palette.quiet : ink}
          ink={ink}
        />
      )}
      {lines.map((line, at) => (
        <NameLine
          key={at}
          text={line}
          middle={middle}
          foot={top + tagHeight + (at + 1) * LINE}
          ink={ink}
          backing={mood === 'here' ? null : palette.sheet}
        />
      ))}
    </G>
  );
}

function NameLine({
  text,
  middle,
  foot,
  ink,
  backing,
}: {
  text: string;
  middle: number;
  foot: number;
  ink: string;
  backing: string | null;
}) {
  const width = text.length * letterWidth(NAME_SIZE) + 4;
  return (
    <G>
      {backing === null ? null : (
        <Rect
          x={middle - width / 2}
          y={foot - NAME_SIZE - 1}
          width={width}
          height={LINE}
          fill={backing}
          opacity={0.8}
          rx={3}
        />
      )}
      <SvgText x={middle} y={foot - 2} fontSize={NAME_SIZE} fontFamily={BODY_FONT} textAnchor="middle" fill={ink}>
        {text}
      </SvgText>
    </G>
  );
}

/**
 * The whole name of the lit bin, when it does not fit into the bin: on a flag over its neighbours, inside the drawing.
 * Drawn after everything else.
 */
export function HereFlag({
  box,
  tag,
  name,
  hasLid,
  within,
  palette,
}: {
  box: Box;
  tag: string;
  name: string;
  hasLid: boolean;
  /** The drawing's width and height. */
  within: { width: number; height: number };
  palette: Palette;
}) {
  const { lines, top, tagHeight } = labelOf(box, tag, name, hasLid);
  if (lines.length > 0 || name === '') return null;
  const shown = [1, 2, 3]
    .map((most) => linesThatFit(name, within.width - 24, NAME_SIZE, most))
    .find((one) => one.length > 0);
  if (!shown) return null;
  const width = Math.max(...shown.map((line) => line.length)) * letterWidth(NAME_SIZE) + 14;
  const height = shown.length * LINE + 8;
  const middle = Math.max(width / 2 + 3, Math.min(within.width - width / 2 - 3, box.x + box.width / 2));
  const below = top + tagHeight + 3;
  const y = below + height + 2 <= within.height ? below : Math.max(2, top - height - 3);
  return (
    <G>
      <Rect
        x={middle - width / 2}
        y={y}
        width={width}
        height={height}
        rx={4}
        fill={palette.here}
        stroke={palette.ink}
        strokeWidth={1.5}
      />
      {shown.map((line, at) => (
        <NameLine
          key={at}
          text={line}
          middle={middle}
          foot={y + 3 + (at + 1) * LINE}
          ink={palette.onHere}
          backing={null}
        />
      ))}
    </G>
  );
}

/** A notch in the upper right corner with how many kinds of things run low. */
export function LowNotch({
  box,
  count,
  palette,
  hasLid,
}: {
  box: Box;
  count: number;
  palette: Palette;
  hasLid: boolean;
}) {
  const size = Math.min(20, box.width / 2, box.height / 2);
  const [x, y] = [box.x + box.width, box.y + (hasLid ? 6 : 0)];
  return (
    <G>
      <Path d={`M${x - size} ${y}H${x}V${y + size}Z`} fill={palette.ink} />
      <SvgText
        x={x - size * 0.32}
        y={y + size * 0.5}
        fontSize={Math.max(8, size * 0.55)}
        fontFamily={`${MONO}_700Bold, monospace`}
        textAnchor="middle"
        fill={palette.sheet}
      >
        {count}
      </SvgText>
    </G>
  );
}

/** A shelf without bins: its letter on a plate, and how much lies on it. */
export function ShelfTag({
  clear,
  drawn,
  summary,
  palette,
  quiet,
}: {
  clear: Box;
  drawn: DrawnShelf;
  summary: NookSummary;
  palette: Palette;
  quiet: boolean;
}) {
  if (clear.height < 20) return null;
  const ending = summary.late + summary.soon;
  const words = summary.lots === 0 ? 'empty' : counted(summary.lots, { one: '# thing', other: '# things' });
  // What fits best is said: the name and how many, how many, or the bare number.
  const text =
    [drawn.shelf.name === '' ? '' : `${drawn.shelf.name}: ${words}`, words, String(summary.lots)].find(
      (one) => linesThatFit(one, clear.width - 6, NAME_SIZE, 1).length > 0,
    ) ?? '';
  const ink = quiet ? palette.quiet : palette.ink;
  const middle = clear.x + clear.width / 2;
  const foot = clear.y + clear.height;
  const hatch = ending > 0 && !quiet ? 11 : 0;
  const withWords = clear.height > 40 && text !== '';
  const top = withWords
    ? foot - Math.min(clear.height - 2, 44 + hatch)
    : clear.y + Math.max(0, (clear.height - tagHeightOf(TAG_SIZE)) / 2);
  const tag = codeTail(drawn.shelf.code);
  return (
    <G>
      {ending > 0 && !quiet ? (
        <EndsHatch
          inner={{ left: clear.x + 2, right: clear.x + clear.width - 2, top: clear.y, bottom: foot - 1 }}
          palette={palette}
          late={summary.late > 0}
        />
      ) : null}
      <TagPlate tag={tag} middle={middle} top={top} fill={palette.sheet} stroke={ink} ink={ink} />
      {withWords ? (
        <SvgText
          x={middle}
          y={top + TAG_SIZE + 19}
          fontSize={NAME_SIZE}
          fontFamily={BODY_FONT}
          textAnchor="middle"
          fill={quiet ? palette.quiet : palette.second}
        >
          {text}
        </SvgText>
      ) : null}
    </G>
  );
}

/** The width over the drawing and the clear heights beside it. */
export function Measures({
  view,
  place,
  unit,
  palette,
}: {
  view: FrontView;
  place: Place;
  unit: 'metric' | 'inch';
  palette: Palette;
}) {
  const outer = place(view.outer);
  const text = (tenthMm: number): string =>
    unit === 'metric' ? formatCentimetres(Math.round(tenthMm / 100) * 100) : formatLength(tenthMm, 'inch');
  return (
    <G>
      <SvgText
        x={outer.x + outer.width / 2}
        y={outer.y - 9}
        fontSize={13}
        fontFamily={`${MONO}_400Regular, monospace`}
        textAnchor="middle"
        fill={palette.second}
      >
        {formatLength(view.outer.width, unit)}
      </SvgText>
      {view.shelves
        .filter((one) => one.shelf.kind !== 'hanging_basket')
        .map((one) => {
          const clear = place(one.clear);
          if (clear.height < 14 || clear.x > outer.x + outer.width / 3) return null;
          return (
            <SvgText
              key={one.shelf.id}
              x={outer.x - 7}
              y={clear.y + clear.height / 2 + 5}
              fontSize={13}
              fontFamily={`${MONO}_400Regular, monospace`}
              textAnchor="end"
              fill={palette.second}
            >
              {text(one.shelf.heightTenthMm ?? one.clear.height)}
            </SvgText>
          );
        })}
    </G>
  );
}
