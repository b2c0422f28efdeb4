import { memo } from 'react';
import { Area, DefaultZIndexes, usePlotArea, useXAxisScale, useYAxisScale, ZIndexLayer } from 'recharts';
import { COLORS, FONTS } from '../theme/tokens.ts';

/**
 * What charts have in common. Lines and names read the scales and report nothing back, unlike the library's own reference
 * elements, each of which makes the whole chart lay itself out again whenever it changes.
 */

const FONT_SIZE = 12;
const GAP = 6;

interface RuleProps {
  /** Day or year the line stands at. */
  readonly x: number;
  readonly stroke: string;
  readonly strokeDasharray?: string;
  /** Words over the line, in its color. */
  readonly head?: string;
  /** Words beside its foot. */
  readonly foot?: string;
}

/** A line across the whole height of the plot. */
export function Rule({ x, stroke, strokeDasharray, head, foot }: RuleProps) {
  const at = useXAxisScale()?.(x);
  const plot = usePlotArea();
  if (at === undefined || !plot) return null;
  const bottom = plot.y + plot.height;
  return (
    <ZIndexLayer zIndex={DefaultZIndexes.line}>
      <line x1={at} x2={at} y1={plot.y} y2={bottom} {...{ stroke, strokeDasharray }} />
      {head !== undefined && <Words x={at} y={plot.y - GAP} words={head} color={stroke} />}
      {foot !== undefined && (
        <text x={at + GAP} y={bottom - GAP} fill={COLORS.softInk} fontSize={11.5}>
          {foot}
        </text>
      )}
    </ZIndexLayer>
  );
}

/** The line at nothing, which parts what is there from what is held. */
export function ZeroLine() {
  const at = useYAxisScale()?.(0);
  const plot = usePlotArea();
  if (at === undefined || !plot) return null;
  return (
    <ZIndexLayer zIndex={DefaultZIndexes.line}>
      <line x1={plot.x} x2={plot.x + plot.width} y1={at} y2={at} stroke={COLORS.ink} />
    </ZIndexLayer>
  );
}

const BASELINES = { above: -GAP, at: FONT_SIZE * 0.35, below: GAP + FONT_SIZE * 0.71 } as const;

interface NameProps {
  readonly x: number;
  readonly y: number;
  readonly place: keyof typeof BASELINES;
  readonly name: string;
  readonly color: string;
  readonly isLight?: boolean;
}

/** The name of a series, beside one of its points. */
export function Name({ x, y, place, name, color, isLight = false }: NameProps) {
  const left = useXAxisScale()?.(x);
  const top = useYAxisScale()?.(y);
  if (left === undefined || top === undefined) return null;
  return (
    <ZIndexLayer zIndex={DefaultZIndexes.label}>
      <Words x={left} y={top + BASELINES[place]} words={name} color={color} isLight={isLight} />
    </ZIndexLayer>
  );
}

interface WordsProps {
  readonly x: number;
  readonly y: number;
  readonly words: string;
  readonly color: string;
  readonly isLight?: boolean;
}

const Words = ({ x, y, words, color, isLight = false }: WordsProps) => (
  <text
    className="on-drawing"
    x={x}
    y={y}
    textAnchor="middle"
    fill={color}
    fontFamily={FONTS.text}
    fontSize={FONT_SIZE}
    fontWeight={isLight ? 400 : 650}
  >
    {words}
  </text>
);

/** Between its dotted edges lies what is drawn in 8 of 10 beds like this one: the `likely` of each point. */
export const LikelyBand = memo(function LikelyBand({ color }: { color: string }) {
  return (
    <Area
      dataKey="likely"
      stroke={color}
      strokeWidth={0.8}
      strokeDasharray="2 3"
      fill={color}
      fillOpacity={0.12}
      connectNulls={false}
      isAnimationActive={false}
    />
  );
});

type LevelProps = {
  readonly stroke: string;
  readonly words: string;
  /** Words at its beginning, where lines crowd at the end. */
  readonly isAtStart?: boolean;
} & ({ readonly y: number; readonly x?: undefined } | { readonly x: number; readonly y?: undefined });

/** A level across the plot with its figure at the end, or a small sign on the axis at a day. */
export function Level({ x, y, stroke, words, isAtStart = false }: LevelProps) {
  const across = useYAxisScale()?.(y ?? 0);
  const along = useXAxisScale()?.(x ?? 0);
  const plot = usePlotArea();
  if (!plot) return null;
  const foot = plot.y + plot.height;
  return (
    <ZIndexLayer zIndex={DefaultZIndexes.line}>
      {y !== undefined && across !== undefined && (
        <>
          <line
            x1={plot.x}
            x2={plot.x + plot.width}
            y1={across}
            y2={across}
            stroke={stroke}
            strokeDasharray="4 3"
          />
          <text
            x={isAtStart ? plot.x + GAP : plot.x + plot.width - GAP}
            y={across - GAP}
            fill={stroke}
            fontSize={11.5}
            textAnchor={isAtStart ? 'start' : 'end'}
          >
            {words}
          </text>
        </>
      )}
      {x !== undefined && along !== undefined && (
        <text x={along} y={foot - GAP} fill={stroke} fontSize={14} textAnchor="middle">
          {words}
        </text>
      )}
    </ZIndexLayer>
  );
}
