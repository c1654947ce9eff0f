import {
  codeTail,
  formatCentimetres,
  formatLength,
  type Box,
  type DrawnShelf,
  type FrontView,
  type NookSummary,
} from '@ours/core';
import { Pressable } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { YStack } from 'tamagui';
import { MONO, SANS } from '@/ui/tamagui.config';
import { usePalette } from '@/ui/usePalette';
import type { Palette } from '@/ui/palette';
import { BinShape, type BinMood } from './BinShape';
import { binWords } from './words';

export interface OpenDoorViewProps {
  view: FrontView;
  /** The most room there is, in pixels. */
  width: number;
  maxHeight: number;
  /** The bin or shelf that is the answer: lit, the rest quiet. */
  hereId?: string | null;
  selectedId?: string | null;
  summaryOf: (nookId: string) => NookSummary;
  onPressNook?: (nookId: string) => void;
  /** Writes the measures along the edges, in the home's unit. */
  measures?: 'metric' | 'inch' | null;
  names?: boolean;
  /** Only these shelves are drawn strong; the layers of a chest. */
  layer?: (shelf: DrawnShelf) => boolean;
}

const MEASURE_ROOM = 44;
const NAME_SIZE = 13;
const TAG_SIZE = 13;

/**
 * A space as a person sees it with the doors open: its front to scale, shelves as thick lines, bins where they stand.
 * Every nook is a button over the drawing, so that keyboard and screen reader get what the finger gets.
 */
export function OpenDoorView(props: OpenDoorViewProps) {
  const { view, width, maxHeight, measures = null, onPressNook } = props;
  const palette = usePalette();
  const margin = measures ? MEASURE_ROOM : 6;
  const drawn = view.doorOuter ? view.doorOuter.x + view.doorOuter.width : view.outer.width;
  const scale = Math.min((width - margin - 8) / drawn, (maxHeight - margin / 2 - 12) / view.outer.height);
  const left = margin + Math.max(0, (width - margin - 8 - drawn * scale) / 2);
  const top = measures ? 26 : 6;
  const place = (box: Box): Box => ({
    x: left + box.x * scale,
    y: top + box.y * scale,
    width: box.width * scale,
    height: box.height * scale,
  });
  const height = top + view.outer.height * scale + 12;
  const shelves = [...view.shelves, ...view.doorShelves];
  return (
    <YStack width={width} height={height} position="relative" testID="open-door">
      <Svg width={width} height={height} aria-hidden>
        <Body view={view} place={place} palette={palette} />
        {shelves.map((one) => (
          <Shelf key={one.shelf.id} drawn={one} place={place} palette={palette} {...props} />
        ))}
        {measures ? <Measures view={view} place={place} unit={measures} palette={palette} /> : null}
      </Svg>
      {onPressNook
        ? shelves.map((one) => (
            <NookButtons
              key={one.shelf.id}
              drawn={one}
              place={place}
              onPressNook={onPressNook}
              summaryOf={props.summaryOf}
            />
          ))
        : null}
    </YStack>
  );
}

type Place = (box: Box) => Box;

function Body({ view, place, palette }: { view: FrontView; place: Place; palette: Palette }) {
  const outer = place(view.outer);
  const inner = place(view.inner);
  const door = view.doorOuter && place(view.doorOuter);
  const step = view.step && place(view.step);
  return (
    <G>
      <Path d={`M${outer.x} ${outer.y}h${outer.width}v${outer.height}h${-outer.width}Z`} fill={palette.ink} />
      <Rect x={inner.x} y={inner.y} width={inner.width} height={inner.height} fill={palette.sheet} />
      {view.hasLid ? (
        <Line
          x1={outer.x - 2}
          x2={outer.x + outer.width + 2}
          y1={outer.y}
          y2={outer.y}
          stroke={palette.ink}
          strokeWidth={6}
          strokeLinecap="round"
        />
      ) : null}
      {step ? (
        <G>
          <Rect x={step.x} y={step.y} width={step.width} height={step.height} fill={palette.rule} />
          {step.width > 50 && step.height > 24 ? (
            <SvgText
              x={step.x + step.width / 2}
              y={step.y + step.height / 2 + 5}
              fontSize={NAME_SIZE}
              fontFamily={`${SANS}_400Regular`}
              textAnchor="middle"
              fill={palette.ink}
            >
              step
            </SvgText>
          ) : null}
        </G>
      ) : null}
      {door ? (
        <Rect
          x={door.x}
          y={door.y}
          width={door.width}
          height={door.height}
          rx={3}
          fill={palette.sheet}
          stroke={palette.ink}
          strokeWidth={3}
        />
      ) : null}
    </G>
  );
}

function Shelf({
  drawn,
  place,
  palette,
  hereId = null,
  selectedId = null,
  summaryOf,
  names = true,
  layer,
}: { drawn: DrawnShelf; place: Place; palette: Palette } & OpenDoorViewProps) {
  const faded = layer !== undefined && !layer(drawn);
  const board = place(drawn.board);
  const clear = place(drawn.clear);
  const isHere = drawn.shelf.id === hereId;
  const isChosen = drawn.shelf.id === selectedId;
  const thickness = Math.max(2.5, Math.min(7, board.height));
  const { kind } = drawn.shelf;
  return (
    <G opacity={faded ? 0.25 : 1}>
      {isHere || isChosen ? (
        <Rect
          x={clear.x}
          y={clear.y}
          width={clear.width}
          height={clear.height}
          fill={isHere ? palette.here : palette.greenTint}
          opacity={isHere ? 0.9 : 0.7}
        />
      ) : null}
      {kind === 'hanging_basket' ? (
        <Path
          d={`M${clear.x} ${clear.y}v${clear.height}h${clear.width}v${-clear.height}`}
          fill="none"
          stroke={palette.ink}
          strokeWidth={2}
        />
      ) : (
        <Rect
          x={board.x}
          y={board.y}
          width={board.width}
          height={thickness}
          fill={kind === 'hook_rail' ? palette.second : palette.ink}
        />
      )}
      {kind === 'drawer' ? (
        <Rect
          x={clear.x + 1}
          y={clear.y + 2}
          width={clear.width - 2}
          height={clear.height - 2}
          fill="none"
          stroke={palette.second}
          strokeWidth={1}
          rx={3}
        />
      ) : null}
      {kind === 'hook_rail' ? <Hooks clear={clear} palette={palette} /> : null}
      {drawn.bins.map(({ bin, box }) => {
        const summary = summaryOf(bin.id);
        const mood: BinMood = bin.id === hereId ? 'here' : hereId === null ? 'plain' : 'quiet';
        const pixels = place(box);
        return (
          <G key={bin.id}>
            <BinShape
              box={pixels}
              look={bin.look}
              hasLid={bin.hasLid}
              filled={summary.lots > 0}
              mood={mood}
              soon={summary.soon > 0}
              late={summary.late > 0}
              palette={palette}
            />
            {bin.id === selectedId ? (
              <Rect
                x={pixels.x - 3}
                y={pixels.y - 3}
                width={pixels.width + 6}
                height={pixels.height + 5}
                rx={4}
                fill="none"
                stroke={palette.green}
                strokeWidth={3}
              />
            ) : null}
            <BinLabel
              box={pixels}
              tag={codeTail(bin.code)}
              name={bin.name}
              mood={mood}
              names={names}
              palette={palette}
              hasLid={bin.hasLid}
            />
            {summary.low > 0 && mood !== 'quiet' ? (
              <LowNotch box={pixels} count={summary.low} palette={palette} hasLid={bin.hasLid} />
            ) : null}
          </G>
        );
      })}
      {drawn.bins.length === 0 ? (
        <ShelfTag clear={clear} drawn={drawn} palette={palette} quiet={hereId !== null && !isHere} />
      ) : null}
    </G>
  );
}

function Hooks({ clear, palette }: { clear: Box; palette: Palette }) {
  const count = Math.max(3, Math.floor(clear.width / 40));
  const y = clear.y + 6;
  return (
    <G>
      <Line x1={clear.x + 4} x2={clear.x + clear.width - 4} y1={y} y2={y} stroke={palette.ink} strokeWidth={3} />
      {Array.from({ length: count }, (_, at) => {
        const x = clear.x + (clear.width / count) * (at + 0.5);
        return <Path key={at} d={`M${x} ${y}v9a4 4 0 0 0 7 0`} fill="none" stroke={palette.ink} strokeWidth={2} />;
      })}
    </G>
  );
}

/** The most letters of a size that fit a width; this typeface is about 0.54 em wide on the average. */
export function fitText(text: string, width: number, size: number): string {
  const most = Math.floor(width / (size * 0.54));
  if (text.length <= most) return text;
  return most < 4 ? '' : `${text.slice(0, most - 1).trimEnd()}…`;
}

function BinLabel({
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
  const withName = shown !== '' && room > tagHeight + NAME_SIZE + 10;
  const block = withName ? tagHeight + NAME_SIZE + 4 : tagHeight;
  const top = box.y + (hasLid ? 6 : 0) + Math.max(1, (room - block) / 2 - (withName ? 2 : 0));
  const middle = box.x + box.width / 2;
  const ink = mood === 'quiet' ? palette.second : mood === 'here' ? palette.onHere : palette.ink;
  const plate = mood === 'here' ? '#FFFEFA' : palette.sheet;
  const nameWidth = shown.length * NAME_SIZE * 0.54 + 6;
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
        fontFamily={`${MONO}_700Bold`}
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
            fontFamily={`${SANS}_400Regular`}
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
function LowNotch({ box, count, palette, hasLid }: { box: Box; count: number; palette: Palette; hasLid: boolean }) {
  const size = Math.min(20, box.width / 2, box.height / 2);
  const [x, y] = [box.x + box.width, box.y + (hasLid ? 6 : 0)];
  return (
    <G>
      <Path d={`M${x - size} ${y}H${x}V${y + size}Z`} fill={palette.ink} />
      <SvgText
        x={x - size * 0.32}
        y={y + size * 0.5}
        fontSize={Math.max(8, size * 0.55)}
        fontFamily={`${MONO}_700Bold`}
        textAnchor="middle"
        fill={palette.sheet}
      >
        {count}
      </SvgText>
    </G>
  );
}

function ShelfTag({
  clear,
  drawn,
  palette,
  quiet,
}: {
  clear: Box;
  drawn: DrawnShelf;
  palette: Palette;
  quiet: boolean;
}) {
  const text = fitText(drawn.shelf.name === '' ? 'empty' : drawn.shelf.name, clear.width - 10, NAME_SIZE);
  if (clear.height < 18 || text === '') return null;
  return (
    <SvgText
      x={clear.x + clear.width / 2}
      y={clear.y + clear.height / 2 + 5}
      fontSize={NAME_SIZE}
      fontFamily={`${SANS}_400Regular`}
      textAnchor="middle"
      fill={quiet ? palette.quiet : palette.second}
    >
      {text}
    </SvgText>
  );
}

function Measures({
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
        fontFamily={`${MONO}_400Regular`}
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
              fontFamily={`${MONO}_400Regular`}
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

function NookButtons({
  drawn,
  place,
  onPressNook,
  summaryOf,
}: {
  drawn: DrawnShelf;
  place: Place;
  onPressNook: (id: string) => void;
  summaryOf: (id: string) => NookSummary;
}) {
  const clear = place(drawn.clear);
  return (
    <>
      <Hit
        box={clear}
        label={`Shelf ${codeTail(drawn.shelf.code)}, ${drawn.shelf.name || drawn.shelf.kind.replace('_', ' ')}`}
        onPress={() => onPressNook(drawn.shelf.id)}
      />
      {drawn.bins.map(({ bin, box }) => (
        <Hit
          key={bin.id}
          box={place(box)}
          label={binWords(bin, summaryOf(bin.id))}
          onPress={() => onPressNook(bin.id)}
        />
      ))}
    </>
  );
}

function Hit({ box, label, onPress }: { box: Box; label: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      style={{ position: 'absolute', left: box.x, top: box.y, width: box.width, height: box.height }}
    />
  );
}
