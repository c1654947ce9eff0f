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
import type { Palette } from '@/kit/theme/palette';
import { MONO, BODY_FONT } from '@/kit/theme/tamagui.config';
import { EndsHatch, type BinMood } from './BinShape';

export type Place = (box: Box) => Box;

export const NAME_SIZE = 13;
const TAG_SIZE = 13;

/** The most letters of a size that fit a width; this typeface is about half an em wide on the average. */
export function fitText(text: string, width: number, size: number): string {
  const most = Math.floor(width / (size * 0.5));
  if (text.length <= most) return text;
  return most < 4 ? '' : `${text.slice(0, most - 1).trimEnd()}…`;
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
  const tagWidth = tag.length * TAG_SIZE * 0.62 + 10;
  const narrow = box.width < tagWidth + 2;
  const size = narrow ? Math.max(9, TAG_SIZE * (box.width / (tagWidth + 4))) : TAG_SIZE;
  const shownTagWidth = narrow ? box.width - 2 : tagWidth;
  const tagHeight = size + 7;
  const shown = names && mood !== 'quiet' ? fitText(name, box.width - 6, NAME_SIZE) : '';
  const room = box.height - (hasLid ? 6 : 0);
  if (mood !== 'here' && room < tagHeight + 2) return null;
  const withName = shown !== '' && room > tagHeight + NAME_SIZE + 10;
  const block = withName ? tagHeight + NAME_SIZE + 4 : tagHeight;
  const top = box.y + (hasLid ? 6 : 0) + Math.max(1, (room - block) / 2 - (withName ? 2 : 0));
  const middle = box.x + box.width / 2;
  const ink = mood === 'quiet' ? palette.second : mood === 'here' ? palette.onHere : palette.ink;
  const plate = mood === 'here' ? '#FFFEFA' : palette.sheet;
  const nameWidth = shown.length * NAME_SIZE * 0.5 + 6;
  return (
    <G>
      <Rect
        x={middle - shownTagWidth / 2}
        y={top}
        width={shownTagWidth}
        height={tagHeight}
        rx={4}
        fill={plate}
        stroke={mood === 'quiet' ? palette.quiet : ink}
        strokeWidth={1.2}
      />
      <SvgText
        x={middle}
        y={top + tagHeight / 2 + size * 0.35}
        fontSize={size}
        fontFamily={`${MONO}_700Bold, monospace`}
        textAnchor="middle"
        fill={ink}
      >
        {tag}
      </SvgText>
      {withName ? (
        <G>
          {mood === 'here' ? null : (
            <Rect
              x={middle - nameWidth / 2}
              y={top + tagHeight + 2}
              width={nameWidth}
              height={NAME_SIZE + 4}
              fill={palette.sheet}
              opacity={0.78}
              rx={3}
            />
          )}
          <SvgText
            x={middle}
            y={top + tagHeight + NAME_SIZE + 2}
            fontSize={NAME_SIZE}
            fontFamily={BODY_FONT}
            textAnchor="middle"
            fill={ink}
          >
            {shown}
          </SvgText>
        </G>
      ) : null}
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
  const words = summary.lots === 0 ? 'empty' : `${summary.lots} ${summary.lots === 1 ? 'thing' : 'things'}`;
  const text = fitText(
    clear.width < 56
      ? String(summary.lots)
      : clear.width > 130 && drawn.shelf.name !== ''
        ? `${drawn.shelf.name}: ${words}`
        : words,
    clear.width - 6,
    NAME_SIZE,
  );
  const ink = quiet ? palette.quiet : palette.ink;
  const middle = clear.x + clear.width / 2;
  const foot = clear.y + clear.height;
  const hatch = ending > 0 && !quiet ? 11 : 0;
  const top = foot - Math.min(clear.height - 2, 44 + hatch);
  const tag = codeTail(drawn.shelf.code);
  const tagWidth = tag.length * TAG_SIZE * 0.62 + 10;
  return (
    <G>
      {ending > 0 && !quiet ? (
        <EndsHatch
          inner={{ left: clear.x + 2, right: clear.x + clear.width - 2, top: clear.y, bottom: foot - 1 }}
          palette={palette}
          late={summary.late > 0}
        />
      ) : null}
      <Rect
        x={middle - tagWidth / 2}
        y={top}
        width={tagWidth}
        height={TAG_SIZE + 6}
        rx={4}
        fill={palette.sheet}
        stroke={ink}
        strokeWidth={1.2}
      />
      <SvgText
        x={middle}
        y={top + 14}
        fontSize={TAG_SIZE}
        fontFamily={`${MONO}_700Bold, monospace`}
        textAnchor="middle"
        fill={ink}
      >
        {tag}
      </SvgText>
      {clear.height > 40 && text !== '' ? (
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
