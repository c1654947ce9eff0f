import { codeTail, type Box, type DrawnShelf, type FrontView, type NookSummary } from '@ours/core';
import { memo } from 'react';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { YStack } from 'tamagui';
import type { Palette } from '@/kit/theme/palette';
import { BODY_FONT } from '@/kit/theme/tamagui.config';
import { arrowFocus } from '@/kit/press/arrowFocus';
import { usePalette } from '@/kit/theme/usePalette';
import { AskedMeasure, type Asked } from './AskedMeasure';
import { BinShape, type BinMood } from './BinShape';
import { BinLabel, HereFlag, LowNotch, Measures, NAME_SIZE, ShelfTag, type Place } from './DrawingLabels';
import { NookButtons } from './NookButtons';

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
  /** The side that is being measured. */
  asked?: Asked | null;
  /** A small picture: no writing, thin lines. */
  thumbnail?: boolean;
  /** Only these shelves are drawn strong; the layers of a chest. */
  layer?: (shelf: DrawnShelf) => boolean;
}

const MEASURE_ROOM = 44;

/** How wide a space is drawn, with its open door, in tenths of a millimetre. */
export const drawnWidth = (view: FrontView): number =>
  view.doorOuter ? view.doorOuter.x + view.doorOuter.width : view.outer.width;

/** How a view is scaled and set into its frame: shared by the drawing and by what is laid over it. */
export function drawingScale(view: FrontView, width: number, maxHeight: number, measured: boolean) {
  const margin = measured ? MEASURE_ROOM : 6;
  const drawn = drawnWidth(view);
  const scale = Math.min((width - margin - 8) / drawn, (maxHeight - margin / 2 - 12) / view.outer.height);
  const left = Math.max(measured ? margin : 4, (width - drawn * scale) / 2);
  const top = measured ? 26 : 6;
  return { scale, left, top, height: top + view.outer.height * scale + 12 };
}

/**
 * A space as a person sees it with the doors open: its front to scale, shelves as thick lines, bins where they stand.
 * Every nook is a button over the drawing, so that keyboard and screen reader get what the finger gets.
 */
export const OpenDoorView = memo(function OpenDoorView(props: OpenDoorViewProps) {
  const { view, width, maxHeight, measures = null, onPressNook } = props;
  const palette = usePalette();
  const { scale, left, top, height } = drawingScale(view, width, maxHeight, measures !== null);
  const place = (box: Box): Box => ({
    x: left + box.x * scale,
    y: top + box.y * scale,
    width: box.width * scale,
    height: box.height * scale,
  });
  const shelves = [...view.shelves, ...view.doorShelves];
  const lit = shelves.flatMap(({ bins }) => bins).find(({ bin }) => bin.id === props.hereId);
  return (
    <YStack
      width={width}
      height={height}
      position="relative"
      testID="open-door"
      {...(onPressNook ? { onKeyDown: arrowFocus as never } : {})}
    >
      <Svg width={width} height={height} aria-hidden>
        <Body view={view} place={place} palette={palette} thumbnail={props.thumbnail ?? false} />
        {shelves.map((one) => (
          <Shelf key={one.shelf.id} drawn={one} place={place} palette={palette} {...props} />
        ))}
        {props.asked ? <AskedMeasure asked={props.asked} view={view} place={place} palette={palette} /> : null}
        {measures ? <Measures view={view} place={place} unit={measures} palette={palette} /> : null}
        {lit && props.names !== false ? (
          <HereFlag
            box={place(lit.box)}
            tag={codeTail(lit.bin.code)}
            name={lit.bin.name}
            hasLid={lit.bin.hasLid}
            within={{ width, height }}
            palette={palette}
          />
        ) : null}
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
});

function Body({
  view,
  place,
  palette,
  thumbnail,
}: {
  view: FrontView;
  place: Place;
  palette: Palette;
  thumbnail: boolean;
}) {
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
          {!thumbnail && step.width > 50 && step.height > 24 ? (
            <SvgText
              x={step.x + step.width / 2}
              y={step.y + step.height / 2 + 5}
              fontSize={NAME_SIZE}
              fontFamily={BODY_FONT}
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
          strokeWidth={thumbnail ? 1.5 : 3}
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
  thumbnail = false,
  layer,
}: { drawn: DrawnShelf; place: Place; palette: Palette } & OpenDoorViewProps) {
  const faded = layer !== undefined && !layer(drawn);
  const board = place(drawn.board);
  const clear = place(drawn.clear);
  const isHere = drawn.shelf.id === hereId;
  const isChosen = drawn.shelf.id === selectedId;
  const thickness = thumbnail ? 2 : Math.max(4, Math.min(7, board.height));
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
              level={bin.level?.percent ?? null}
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
            {thumbnail ? null : (
              <BinLabel
                box={pixels}
                tag={codeTail(bin.code)}
                name={bin.name}
                mood={mood}
                names={names}
                palette={palette}
                hasLid={bin.hasLid}
              />
            )}
            {summary.low > 0 && mood !== 'quiet' && !thumbnail ? (
              <LowNotch box={pixels} count={summary.low} palette={palette} hasLid={bin.hasLid} />
            ) : null}
          </G>
        );
      })}
      {drawn.bins.length === 0 && !thumbnail ? (
        <ShelfTag
          clear={clear}
          drawn={drawn}
          summary={summaryOf(drawn.shelf.id)}
          palette={palette}
          quiet={hereId !== null && !isHere}
        />
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
