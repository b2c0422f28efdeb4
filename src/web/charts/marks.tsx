import { memo } from 'react';
import { Area, DefaultZIndexes, usePlotArea, useXAxisScale, useYAxisScale, ZIndexLayer } from 'recharts';
import { COLORS, FONTS, LETTER_PX } from '../theme/tokens.ts';
import { placeWords, type Spot } from './place-words.ts';

/**
 * What charts have in common. Lines and names read the scales and report nothing back, unlike the library's own reference
 * elements, each of which makes the whole chart lay itself out again whenever it changes.
 */

const GAP = 6;
/** Letters of axes and other figures of a chart. */
export const TICK = { fill: COLORS.softInk, fontSize: LETTER_PX };
export const FIGURE_TICK = { ...TICK, fontFamily: FONTS.figures };

interface RuleProps {
  /** Day or year the line stands at. */
  readonly x: number;
  readonly stroke: string;
  readonly strokeDasharray?: string;
  /** Words beside its foot. */
  readonly foot?: string;
}

/** A line across the whole height of the plot. */
export function Rule({ x, stroke, strokeDasharray, foot }: RuleProps) {
  const at = useXAxisScale()?.(x);
  const plot = usePlotArea();
  if (at === undefined || !plot) return null;
  const bottom = plot.y + plot.height;
  return (
    <ZIndexLayer zIndex={DefaultZIndexes.line}>
      <line x1={at} x2={at} y1={plot.y} y2={bottom} {...{ stroke, strokeDasharray }} />
      {foot !== undefined && (
        <text x={at + GAP} y={bottom - GAP} fill={COLORS.softInk} fontSize={LETTER_PX}>
          {foot}
        </text>
      )}
    </ZIndexLayer>
  );
}

/** Rows of words over the plot; what finds room in none of them is told by pointing, and by the table. */
const HEAD_ROWS = 2;
/** Height of a row of words, px. */
export const HEAD_ROW_PX = 16;

interface HeadsProps {
  readonly heads: readonly { readonly x: number; readonly words: string; readonly color: string }[];
}

/** Words over lines of the plot, at the days or years they stand at; none over another. */
export function Heads({ heads }: HeadsProps) {
  const across = useXAxisScale();
  const plot = usePlotArea();
  if (!across || !plot) return null;
  const wordings = heads.map(({ x, words }) => ({
    words,
    spots: Array.from({ length: HEAD_ROWS }, (_, row) => ({
      x: across(x) ?? 0,
      y: plot.y - GAP - row * HEAD_ROW_PX,
    })),
  }));
  const spots = placeWords(wordings, { left: 0, right: plot.x + plot.width });
  return (
    <ZIndexLayer zIndex={DefaultZIndexes.label}>
      {heads.map(
        ({ x, words, color }, i) => spots[i] && <Words key={x} at={spots[i]} words={words} color={color} />,
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

const BASELINES = { above: -GAP, at: LETTER_PX * 0.35, below: GAP + LETTER_PX * 0.71 } as const;

/** The name of a series, beside one of its points; of the places, the first that is free. */
export interface SeriesName {
  readonly x: number;
  readonly y: number;
  readonly places: readonly (keyof typeof BASELINES)[];
  readonly name: string;
  readonly color: string;
  readonly isLight?: boolean;
}

/** Names of series, the most important first; none over another, none cut off. */
export function Names({ names }: { names: readonly SeriesName[] }) {
  const across = useXAxisScale();
  const up = useYAxisScale();
  const plot = usePlotArea();
  if (!across || !up || !plot) return null;
  const wordings = names.map(({ x, y, places, name }) => ({
    words: name,
    spots: places.map((place) => ({ x: across(x) ?? 0, y: (up(y) ?? 0) + BASELINES[place] })),
  }));
  const spots = placeWords(wordings, { left: plot.x, right: plot.x + plot.width });
  return (
    <ZIndexLayer zIndex={DefaultZIndexes.label}>
      {names.map(
        ({ name, color, isLight = false }, i) =>
          spots[i] && <Words key={name} at={spots[i]} words={name} color={color} isLight={isLight} />,
      )}
    </ZIndexLayer>
  );
}

interface WordsProps {
  readonly at: Spot;
  readonly words: string;
  readonly color: string;
  readonly isLight?: boolean;
}

const Words = ({ at, words, color, isLight = false }: WordsProps) => (
  <text
    className="on-drawing"
    x={at.x}
    y={at.y}
    textAnchor="middle"
    fill={color}
    fontFamily={FONTS.text}
    fontSize={LETTER_PX}
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
            fontSize={LETTER_PX}
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
