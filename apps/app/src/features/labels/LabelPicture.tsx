import { LABEL_LINE_MM, type LabelFont, type LabelForm, type LabelLayout } from '@ours/core';
import Svg, { Circle, G, Line, Path, Polyline, Rect, Text as SvgText } from 'react-native-svg';
import { BOLD_FONT, BODY_FONT, MONO_BOLD_FONT } from '@/kit/theme/tamagui.config';
import { PRINTED } from '@/kit/theme/palette';
import { scanCode } from './scanCode';

const FONTS: Readonly<Record<LabelFont, string>> = { bold: BOLD_FONT, regular: BODY_FONT, mono: MONO_BOLD_FONT };
const { ink: INK, paper: PAPER, faint: FAINT } = PRINTED;
/** Room for the ruler below, mm. */
const RULER = 7;
const RULER_FIGURES = 3;

/** A label as it will be printed, with a ruler in millimetres below. */
export function LabelPicture({
  layout,
  width,
  height,
  pixels,
  form = 'plain',
  name,
}: {
  form?: LabelForm;
  layout: LabelLayout;
  /** Of the label, mm. */
  width: number;
  height: number;
  /** Wide on the screen. */
  pixels: number;
  /** For a screen reader. */
  name: string;
}) {
  return (
    <Svg
      width={pixels}
      height={(pixels * (height + RULER)) / width}
      viewBox={`0 0 ${width} ${height + RULER}`}
      role="img"
      aria-label={name}
    >
      {form === 'round' ? (
        <Circle cx={width / 2} cy={height / 2} r={width / 2 - 0.15} fill={PAPER} stroke={INK} strokeWidth={0.3} />
      ) : (
        <Rect
          x={0.15}
          y={0.15}
          width={width - 0.3}
          height={height - 0.3}
          rx={1.2}
          fill={PAPER}
          stroke={INK}
          strokeWidth={0.3}
        />
      )}
      <Marks layout={layout} />
      <G>
        {Array.from({ length: Math.floor((width - RULER_FIGURES) / 10) }, (_, at) => (at + 1) * 10).map((mm) => (
          <G key={mm}>
            <Line x1={mm} x2={mm} y1={height + 0.6} y2={height + 2.4} stroke={FAINT} strokeWidth={0.3} />
            <SvgText
              x={mm}
              y={height + 5.6}
              fontSize={RULER_FIGURES}
              fontFamily={MONO_BOLD_FONT}
              fill={FAINT}
              textAnchor="middle"
            >
              {mm}
            </SvgText>
          </G>
        ))}
      </G>
    </Svg>
  );
}

function Marks({ layout }: { layout: LabelLayout }) {
  return (
    <>
      {layout.marks.map((mark, at) => {
        switch (mark.kind) {
          case 'text':
            return (
              <SvgText
                key={at}
                x={mark.x}
                y={mark.y}
                fontSize={mark.size}
                fontFamily={FONTS[mark.font]}
                fill={INK}
                {...(mark.up ? { transform: `rotate(-90 ${mark.x} ${mark.y})` } : {})}
              >
                {mark.text}
              </SvgText>
            );
          case 'box':
            return (
              <Rect
                key={at}
                x={mark.x}
                y={mark.y}
                width={mark.width}
                height={mark.height}
                rx={0.8}
                fill="none"
                stroke={INK}
                strokeWidth={LABEL_LINE_MM}
              />
            );
          case 'ring':
            return (
              <Circle
                key={at}
                cx={mark.x}
                cy={mark.y}
                r={mark.radius}
                fill="none"
                stroke={INK}
                strokeWidth={LABEL_LINE_MM}
              />
            );
          case 'line':
            return (
              <Polyline
                key={at}
                points={mark.points.map((point) => point.join(',')).join(' ')}
                fill="none"
                stroke={INK}
                strokeWidth={LABEL_LINE_MM}
              />
            );
          case 'bar':
            return <Rect key={at} x={mark.x} y={mark.y} width={mark.width} height={mark.height} fill={INK} />;
          case 'code': {
            const { size, dark } = scanCode(mark.text);
            const module = mark.side / size;
            // One path, so that no light lines are seen between modules.
            const d = dark
              .map(
                ({ x, y, width }) =>
                  `M${mark.x + x * module} ${mark.y + y * module}h${width * module}v${module}h${-width * module}z`,
              )
              .join('');
            return <Path key={at} d={d} fill={INK} />;
          }
        }
      })}
    </>
  );
}
