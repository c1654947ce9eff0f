import { useRef } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { usePalette } from '@/kit/theme/usePalette';
import { fullnessWords } from '@/features/spaces/words';

const WIDTH = 190;
const HEIGHT = 210;
const TOP = 14;
const FOOT = 12;
const STEP = 5;
const LEAN = 14;
const QUARTERS = [25, 50, 75, 100];

/** The drawing of a bin whose level follows the finger; by keyboard with the arrow keys. */
export function LevelGauge({ percent, onChange }: { percent: number; onChange: (percent: number) => void }) {
  const palette = usePalette();
  const box = useRef<View>(null);
  const held = useRef(false);
  const y = (of: number): number => TOP + (1 - of / 100) * (HEIGHT - TOP - FOOT);
  const set = (to: number): void => onChange(Math.max(0, Math.min(100, to)));
  const follow = (event: PointerEvent): void => {
    const { top } = (box.current as unknown as HTMLElement).getBoundingClientRect();
    const share = 1 - (event.clientY - top - TOP) / (HEIGHT - TOP - FOOT);
    // A finger means a quarter; between them it moves in steps of five.
    const raw = share * 100;
    const quarter = Math.round(raw / 25) * 25;
    set(Math.abs(raw - quarter) < 7 ? quarter : Math.round(raw / STEP) * STEP);
  };
  const hands = {
    onPointerDown: (event: PointerEvent) => {
      held.current = true;
      (event.currentTarget as HTMLElement | null)?.setPointerCapture?.(event.pointerId);
      follow(event);
    },
    onPointerMove: (event: PointerEvent) => {
      if (held.current) follow(event);
    },
    onPointerUp: () => {
      held.current = false;
    },
    onKeyDown: (event: KeyboardEvent) => {
      const by = { ArrowUp: STEP, ArrowRight: STEP, ArrowDown: -STEP, ArrowLeft: -STEP }[event.key];
      if (by === undefined) return;
      event.preventDefault();
      set(percent + by);
    },
  };
  return (
    <View
      ref={box}
      role="slider"
      tabIndex={0}
      aria-label="How full it is"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={percent}
      aria-valuetext={fullnessWords(percent)}
      style={{ width: WIDTH, height: HEIGHT, alignSelf: 'center', touchAction: 'none', cursor: 'ns-resize' } as never}
      {...(hands as object)}
    >
      <Svg width={WIDTH} height={HEIGHT} aria-hidden>
        <Path
          d={`M6 ${TOP}L${WIDTH - 6} ${TOP}L${WIDTH - 6 - LEAN} ${HEIGHT - FOOT}L${6 + LEAN} ${HEIGHT - FOOT}Z`}
          fill={palette.sheet}
          stroke={palette.ink}
          strokeWidth={2.4}
        />
        <Rect
          x={22}
          y={y(percent)}
          width={WIDTH - 44}
          height={Math.max(0, HEIGHT - FOOT - y(percent) - 1)}
          fill={palette.greenTint}
        />
        {QUARTERS.map((of) => (
          <Line
            key={of}
            x1={WIDTH - 44}
            x2={WIDTH - 22}
            y1={y(of)}
            y2={y(of)}
            stroke={palette.second}
            strokeWidth={1.4}
          />
        ))}
        <Line x1={14} x2={WIDTH - 14} y1={y(percent)} y2={y(percent)} stroke={palette.green} strokeWidth={5} />
      </Svg>
    </View>
  );
}
