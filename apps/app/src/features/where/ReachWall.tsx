import { footOf, footOfBand, formatLength, REACH_BANDS, type Box, type Reacher } from '@ours/core';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { XStack, YStack } from 'tamagui';
import { Plate } from '@/kit/text/Plate';
import { BODY_FONT } from '@/kit/theme/tamagui.config';
import { usePalette } from '@/kit/theme/usePalette';
import { useHome } from '@/shared/useHome';
import { drawnWidth, OpenDoorView, useFronts, type Front } from '@/features/drawing';
import { BAND_WORDS } from './words';

/** A bin that is carried, and the shelf it goes to. */
export interface WallMove {
  number: number;
  binId: string;
  toShelfId: string;
  chosen: boolean;
}

/** Room at the left for the names of the bands and the person, in pixels. */
const LEFT = 106;
const GAP = 18;
const PLATE = 34;
/** What the drawing of a space adds around it. */
const FRAME = { left: 7, top: 6, width: 14, height: 15 };
const LEAST_TENTH_MM = 20_000;

/** Spaces on one floor, to one scale, with how far somebody reaches behind them. */
export function ReachWall({
  spaceIds,
  least,
  reacher,
  moves,
  width,
  maxHeight,
}: {
  /** Those of the chosen move first; as many are drawn as there is room for. */
  spaceIds: readonly string[];
  /** So many are drawn at least, smaller if need be. */
  least: number;
  reacher: Reacher;
  moves: readonly WallMove[];
  width: number;
  maxHeight: number;
}) {
  const palette = usePalette();
  const { unit } = useHome();
  const all = useFronts(spaceIds);
  if (all.length === 0) return null;
  const footTenth = (front: Front): number => footOf(front.space) * 10;
  const tallest = Math.max(
    LEAST_TENTH_MM,
    reacher.reachMm * 10 + 800,
    ...all.map((front) => footTenth(front) + front.view.outer.height),
  );
  const highest = (maxHeight - PLATE - 10) / tallest;
  const fronts: Front[] = [];
  let across = 0;
  for (const front of all) {
    const more = across + drawnWidth(front.view);
    if (fronts.length >= least && more * highest + LEFT + GAP * (fronts.length + 2) > width) break;
    fronts.push(front);
    across = more;
  }
  const scale = Math.min((width - LEFT - GAP * (fronts.length + 1)) / across, highest);
  const floor = PLATE + tallest * scale;
  const yOf = (mm: number): number => floor - mm * 10 * scale;
  let left = LEFT + GAP;
  const placed = fronts.map((front) => {
    const x = left;
    left += drawnWidth(front.view) * scale + GAP;
    return { front, x, y: floor - (footTenth(front) + front.view.outer.height) * scale };
  });
  const boxOf = (id: string): Box | null => {
    for (const { front, x, y } of placed)
      for (const { shelf, clear, bins } of [...front.view.shelves, ...front.view.doorShelves]) {
        const box = shelf.id === id ? clear : bins.find(({ bin }) => bin.id === id)?.box;
        if (box)
          return { x: x + box.x * scale, y: y + box.y * scale, width: box.width * scale, height: box.height * scale };
      }
    return null;
  };
  const drawn = moves.flatMap((move) => {
    const from = boxOf(move.binId);
    const to = boxOf(move.toShelfId);
    return from ? [{ ...move, from, to }] : [];
  });
  const chosen = drawn.find((move) => move.chosen);
  return (
    <YStack width={width} height={floor + 8} position="relative" testID="reach-wall">
      <Svg width={width} height={floor + 8} style={{ position: 'absolute' }} aria-hidden>
        {REACH_BANDS.map((band, at) => {
          const top = at === 0 ? 0 : yOf(footOfBand(reacher.reachMm, REACH_BANDS[at - 1]!));
          const foot = band === 'floor' ? floor : yOf(footOfBand(reacher.reachMm, band));
          const middle = at === 0 ? foot - 26 : (top + foot) / 2;
          return (
            <G key={band}>
              {band === 'easy' ? (
                <Rect x={0} y={top} width={width} height={foot - top} fill={palette.greenTint} />
              ) : null}
              <Line
                x1={0}
                x2={width}
                y1={foot}
                y2={foot}
                stroke={band === 'step' ? palette.ink : palette.rule}
                strokeWidth={band === 'step' ? 1.5 : 1}
                {...(band === 'step' ? { strokeDasharray: '7 5' } : {})}
              />
              <SvgText
                x={10}
                y={middle + 5}
                fontSize={14}
                fontFamily={BODY_FONT}
                fontWeight={band === 'easy' ? '700' : '400'}
                fill={band === 'easy' ? palette.green : palette.second}
              >
                {BAND_WORDS[band]}
              </SvgText>
            </G>
          );
        })}
        <SvgText x={10} y={yOf(reacher.reachMm) - 6} fontSize={13} fontFamily={BODY_FONT} fill={palette.ink}>
          {formatLength(reacher.reachMm * 10, unit)}
        </SvgText>
        <Person
          x={84}
          floor={floor}
          scale={scale * 10}
          reachMm={reacher.reachMm}
          ink={palette.ink}
          sheet={palette.ground}
        />
        <Line x1={0} x2={width} y1={floor} y2={floor} stroke={palette.ink} strokeWidth={3} />
      </Svg>
      {placed.map(({ front, x, y }) => (
        <YStack key={front.space.id} position="absolute" left={x - FRAME.left} top={y - FRAME.top}>
          <OpenDoorView
            view={front.view}
            width={drawnWidth(front.view) * scale + FRAME.width}
            maxHeight={front.view.outer.height * scale + FRAME.height}
            summaryOf={front.summaryOf}
            names={false}
            selectedId={chosen?.binId ?? null}
          />
          <XStack position="absolute" left={FRAME.left} right={FRAME.left} top={-26} justifyContent="center">
            <Plate code={front.space.code} />
          </XStack>
        </YStack>
      ))}
      <Svg width={width} height={floor + 8} style={{ position: 'absolute', pointerEvents: 'none' }} aria-hidden>
        {chosen?.to ? <Arrow from={chosen.from} to={chosen.to} ink={palette.green} sheet={palette.sheet} /> : null}
        {drawn.map(({ number, binId, from, chosen: isChosen }) => (
          <G key={binId}>
            <Circle
              cx={from.x + 2}
              cy={from.y + 2}
              r={isChosen ? 13 : 11}
              fill={palette.green}
              stroke={palette.sheet}
              strokeWidth={2}
            />
            <SvgText
              x={from.x + 2}
              y={from.y + 7}
              fontSize={14}
              fontWeight="700"
              fontFamily={BODY_FONT}
              textAnchor="middle"
              fill={palette.sheet}
            >
              {number}
            </SvgText>
          </G>
        ))}
      </Svg>
    </YStack>
  );
}

/** From a bin in an arc to the shelf it goes to. */
function Arrow({ from, to, ink, sheet }: { from: Box; to: Box; ink: string; sheet: string }) {
  const start = { x: from.x + 4, y: from.y + from.height / 2 };
  const end = { x: to.x + Math.min(to.width, from.width) / 2, y: to.y + to.height - 8 };
  const bend = Math.max(26, Math.abs(end.x - start.x) / 3);
  const path = `M${start.x} ${start.y}C${start.x - bend} ${start.y} ${end.x - bend} ${end.y} ${end.x - 4} ${end.y}`;
  return (
    <G>
      <Path d={path} stroke={sheet} strokeWidth={6} fill="none" />
      <Path d={path} stroke={ink} strokeWidth={3} fill="none" />
      <Path d={`M${end.x} ${end.y}l-10 -6v12Z`} fill={ink} stroke={sheet} strokeWidth={1} />
    </G>
  );
}

/** Somebody who reaches so high, to scale: a hand is raised to about 1.25 of one's height (common practice, no source). */
function Person({
  x,
  floor,
  scale,
  reachMm,
  ink,
  sheet,
}: {
  x: number;
  floor: number;
  /** Pixels a millimetre. */
  scale: number;
  reachMm: number;
  ink: string;
  sheet: string;
}) {
  const height = (reachMm / 1.25) * scale;
  const head = height * 0.075;
  const neck = floor - height + 2 * head;
  const hip = floor - height * 0.47;
  const shoulder = neck + head * 0.7;
  const stroke = { stroke: ink, strokeWidth: 2.5, strokeLinecap: 'round' as const, fill: 'none' };
  return (
    <G>
      <Circle cx={x} cy={neck - head} r={head} stroke={ink} strokeWidth={2.5} fill={sheet} />
      <Path d={`M${x} ${neck}V${hip}L${x - head} ${floor}M${x} ${hip}L${x + head} ${floor}`} {...stroke} />
      <Path d={`M${x} ${shoulder}L${x + head * 1.4} ${neck - head}V${floor - reachMm * scale}`} {...stroke} />
      <Path d={`M${x} ${shoulder}L${x - head * 1.2} ${hip}`} {...stroke} />
    </G>
  );
}
