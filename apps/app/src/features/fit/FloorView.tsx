import { floorBox, type Compartment, type StandingBody } from '@ours/core';
import Svg, { G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { YStack } from 'tamagui';
import type { Palette } from '@/kit/theme/palette';
import { MONO, BODY_FONT } from '@/kit/theme/tamagui.config';
import { usePalette } from '@/kit/theme/usePalette';
import { smallLength } from './words';

export interface FloorBin {
  key: string;
  body: StandingBody;
  tag: string;
  name?: string;
  locked?: boolean;
  bought?: boolean;
}

export interface FloorViewProps {
  room: Compartment;
  bins: readonly FloorBin[];
  width: number;
  maxHeight: number;
  unit: 'metric' | 'inch';
  selectedKey?: string | null;
  /** Writes the clear width under the drawing. */
  measured?: boolean;
}

/** How a floor is scaled into its frame; the front edge is drawn at the foot. */
export function floorScale(room: Compartment, width: number, maxHeight: number, measured: boolean) {
  const foot = measured ? 40 : 8;
  const scale = Math.min((width - 24) / room.width, (maxHeight - foot - 8) / room.depth);
  return { scale, left: (width - room.width * scale) / 2, top: 6, height: room.depth * scale + foot + 6 };
}

/** A shelf from above, to scale: posts and pipes, the bins as they stand, turned ones turned. The front is at the foot. */
export function FloorView({ room, bins, width, maxHeight, unit, selectedKey = null, measured = true }: FloorViewProps) {
  const palette = usePalette();
  const { scale, left, top, height } = floorScale(room, width, maxHeight, measured);
  const x = (value: number): number => left + value * scale;
  const y = (value: number): number => top + (room.depth - value) * scale;
  const foot = y(0);
  return (
    <YStack width={width} height={height} role="img" aria-label={`From above: ${bins.length} standing`}>
      <Svg width={width} height={height} aria-hidden>
        <Rect
          x={x(0)}
          y={y(room.depth)}
          width={room.width * scale}
          height={room.depth * scale}
          fill={palette.sheet}
          stroke={palette.ink}
          strokeWidth={2}
        />
        {room.obstacles.map((one, at) => (
          <Rect
            key={at}
            x={x(one.x)}
            y={y(one.y + one.depth)}
            width={Math.max(2, one.width * scale)}
            height={Math.max(2, one.depth * scale)}
            fill={one.kind === 'post' ? palette.ink : palette.rule}
            stroke={palette.ink}
            strokeWidth={one.kind === 'post' ? 0 : 1}
            {...(one.z > 0 ? { strokeDasharray: '4 3' } : {})}
          />
        ))}
        {[...bins]
          .sort((a, b) => a.body.z - b.body.z)
          .map((bin) => (
            <OneBin
              key={bin.key}
              bin={bin}
              x={x}
              y={y}
              scale={scale}
              palette={palette}
              selected={bin.key === selectedKey}
            />
          ))}
        {measured ? (
          <G>
            {[room.openingLeft, room.openingLeft + room.openingWidth].map((end) => (
              <Line
                key={end}
                x1={x(end)}
                x2={x(end)}
                y1={foot + 6}
                y2={foot + 18}
                stroke={palette.ink}
                strokeWidth={1}
              />
            ))}
            <Line
              x1={x(room.openingLeft)}
              x2={x(room.openingLeft + room.openingWidth)}
              y1={foot + 12}
              y2={foot + 12}
              stroke={palette.ink}
              strokeWidth={1}
            />
            <SvgText
              x={x(room.width / 2)}
              y={foot + 32}
              fontSize={13}
              fontFamily={`${MONO}_400Regular, monospace`}
              textAnchor="middle"
              fill={palette.second}
            >
              {`${smallLength(room.openingWidth, unit)} ${room.obstacles.some(({ kind }) => kind === 'post') ? 'between posts' : 'way in'}`}
            </SvgText>
          </G>
        ) : null}
      </Svg>
    </YStack>
  );
}

function OneBin({
  bin,
  x,
  y,
  scale,
  palette,
  selected,
}: {
  bin: FloorBin;
  x: (value: number) => number;
  y: (value: number) => number;
  scale: number;
  palette: Palette;
  selected: boolean;
}) {
  const { body } = bin;
  const [w, d] = [body.width * scale, body.depth * scale];
  const [cx, cy] = [x(body.cx), y(body.cy)];
  const box = floorBox(body);
  const wide = body.degrees === 90 ? box.width * scale : w;
  const tagWidth = bin.tag.length * 8.2 + 10;
  const turn = body.degrees === 90 ? 0 : -body.degrees;
  const shown = wide > tagWidth && Math.min(w, d) > 18;
  const name = bin.name && wide > 46 && Math.min(box.depth * scale, d + w) > 44 ? clipped(bin.name, wide) : '';
  return (
    <G>
      <G transform={`rotate(${-body.degrees} ${cx} ${cy})`}>
        <Rect
          x={cx - w / 2}
          y={cy - d / 2}
          width={w}
          height={d}
          rx={2}
          fill={bin.bought ? palette.sheet : palette.greenTint}
          stroke={palette.green}
          strokeWidth={selected ? 4 : 1.6}
          {...(bin.bought ? { strokeDasharray: '6 4' } : {})}
        />
      </G>
      {shown ? (
        <G transform={turn === 0 ? '' : `rotate(${turn} ${cx} ${cy})`}>
          <Rect
            x={cx - tagWidth / 2}
            y={cy - (name === '' ? 10 : 18)}
            width={tagWidth}
            height={20}
            rx={4}
            fill={palette.sheet}
            stroke={palette.ink}
            strokeWidth={1.2}
          />
          <SvgText
            x={cx}
            y={cy + (name === '' ? 4.5 : -3.5)}
            fontSize={13}
            fontFamily={`${MONO}_700Bold, monospace`}
            textAnchor="middle"
            fill={palette.ink}
          >
            {bin.tag}
          </SvgText>
          {name === '' ? null : (
            <SvgText x={cx} y={cy + 17} fontSize={13} fontFamily={BODY_FONT} textAnchor="middle" fill={palette.ink}>
              {name}
            </SvgText>
          )}
        </G>
      ) : null}
      {bin.locked ? (
        <Rect
          x={cx + wide / 2 - 11}
          y={cy - (body.degrees === 90 ? w : d) / 2 + 4}
          width={7}
          height={7}
          fill={palette.ink}
        />
      ) : null}
    </G>
  );
}

const clipped = (text: string, width: number): string => {
  const most = Math.floor((width - 6) / 6.5);
  return text.length <= most ? text : most < 4 ? '' : `${text.slice(0, most - 1).trimEnd()}…`;
};
