import { memo, useMemo } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  DefaultZIndexes,
  Line,
  ReferenceArea,
  ResponsiveContainer,
  usePlotArea,
  useXAxisScale,
  useYAxisScale,
  XAxis,
  YAxis,
  ZIndexLayer,
} from 'recharts';
import { stackLabels } from '../drawing/label-stack.ts';
import { COLORS, FONTS, LETTER_PX } from '../theme/tokens.ts';
import { FIGURE_TICK, Level, TICK } from './marks.tsx';
import { type ChartValues, ValuesTable, valuesTip } from './values.tsx';
import { yearTick, yearTicks, yearWords } from './year-ticks.ts';
import type { LineMark } from './line-marks.ts';

export interface YearLine {
  readonly id: string;
  readonly name: string;
  readonly mark: LineMark;
  /** By years ahead; null where there is nothing to tell. */
  readonly values: readonly (number | null)[];
  readonly isThin?: boolean;
}

interface YearLinesProps {
  readonly lines: readonly YearLine[];
  readonly years: number;
  /** Of one of the lines: 8 of 10 draws lie between. */
  readonly band: {
    readonly color: string;
    readonly low: readonly number[];
    readonly high: readonly number[];
  } | null;
  /** Figures along the height, ascending; charts beside each other share them. */
  readonly scale: readonly number[];
  readonly level: { readonly value: number; readonly words: string } | null;
  /** What is not to be passed: everything above is tinted. */
  readonly limit: { readonly value: number; readonly words: string } | null;
  readonly description: string;
  readonly caption: string;
  /** A figure with its unit. */
  readonly format: (figure: number) => string;
}

interface Point {
  readonly year: number;
  readonly likely: readonly (number | null)[] | null;
  readonly figures: readonly (number | null)[];
}

const MARGIN = { top: 14, right: 128, bottom: 0, left: -8 };
const NAME_HEIGHT = 15;
const NAME_GAP = 8;
const MOST_LETTERS = 19;

/** Names at the ends of the lines, none over another. */
function EndNames({ lines, years }: { lines: readonly YearLine[]; years: number }) {
  const x = useXAxisScale();
  const y = useYAxisScale();
  const plot = usePlotArea();
  if (!x || !y || !plot) return null;
  const ends = lines
    .flatMap((line) => {
      const last = line.values[years];
      const at = last === null || last === undefined ? undefined : y(last);
      return at === undefined ? [] : [{ line, at }];
    })
    .toSorted((a, b) => a.at - b.at);
  const tops = stackLabels(
    ends.map(({ at }) => ({ targetY: at, height: NAME_HEIGHT })),
    plot.y - NAME_GAP,
    plot.y + plot.height + NAME_GAP,
  );
  const edge = plot.x + plot.width;
  return (
    <ZIndexLayer zIndex={DefaultZIndexes.label}>
      {ends.map(({ line, at }, i) => {
        const middle = tops[i]! + NAME_HEIGHT / 2;
        return (
          <g key={line.id}>
            <path
              d={`M ${edge} ${at} L ${edge + NAME_GAP} ${middle}`}
              stroke={line.mark.color}
              strokeWidth={1}
              fill="none"
            />
            <text
              x={edge + NAME_GAP + 3}
              y={middle + 4}
              fill={line.mark.color}
              fontFamily={FONTS.text}
              fontSize={LETTER_PX}
              fontWeight={line.isThin ? 400 : 650}
              fontStyle={line.isThin ? 'italic' : 'normal'}
            >
              {line.name.length > MOST_LETTERS ? `${line.name.slice(0, MOST_LETTERS - 1)}…` : line.name}
            </text>
          </g>
        );
      })}
    </ZIndexLayer>
  );
}

const Scales = memo(function Scales({ years, scale }: { years: number; scale: readonly number[] }) {
  return (
    <>
      <CartesianGrid vertical={false} stroke={COLORS.rule} />
      <XAxis
        dataKey="year"
        type="number"
        domain={[0, years]}
        ticks={yearTicks(years)}
        tickFormatter={yearTick}
        tick={TICK}
        stroke={COLORS.softInk}
      />
      <YAxis
        domain={[scale[0]!, scale.at(-1)!]}
        ticks={[...scale]}
        tick={FIGURE_TICK}
        tickLine={false}
        axisLine={false}
      />
    </>
  );
});

function lineValues(
  lines: readonly YearLine[],
  hasBand: boolean,
  format: (figure: number) => string,
): ChartValues<Point> {
  const own = lines.map(({ name }, place) => ({
    name,
    read: ({ figures }: Point) => {
      const figure = figures[place];
      return figure === null || figure === undefined ? null : format(figure);
    },
  }));
  const range = {
    name: '8 times out of 10',
    read: ({ likely }: Point) => {
      const [low, high] = likely ?? [];
      return Number.isFinite(low) && Number.isFinite(high) ? `${format(low!)} to ${format(high!)}` : null;
    },
  };
  return { along: 'Year', at: ({ year }) => yearWords(year), columns: hasBand ? [...own, range] : own };
}

/** One figure of several habits over the years, each named at its end. */
export const YearLines = memo(function YearLines({
  lines,
  years,
  band,
  scale,
  level,
  limit,
  description,
  caption,
  format,
}: YearLinesProps) {
  const points = useMemo(
    () =>
      Array.from({ length: years + 1 }, (_, year): Point => ({
        year,
        likely: band ? [band.low[year] ?? null, band.high[year] ?? null] : null,
        figures: lines.map(({ values }) => values[year] ?? null),
      })),
    [lines, years, band],
  );
  const values = useMemo(() => lineValues(lines, band !== null, format), [lines, band, format]);
  return (
    <figure className="tide year-lines" role="group" aria-label={description}>
      <ResponsiveContainer width="100%" height={280}>
        <ComposedChart
          data={points}
          margin={MARGIN}
          aria-label={`${caption}, year by year; the arrow keys tell the values`}
        >
          <Scales years={years} scale={scale} />
          {limit && (
            <ReferenceArea
              y1={limit.value}
              y2={scale.at(-1)!}
              fill={COLORS.stop}
              fillOpacity={0.09}
              ifOverflow="hidden"
            />
          )}
          {limit && <Level y={limit.value} stroke={COLORS.stop} words={limit.words} isAtStart />}
          {band && (
            <Area
              dataKey="likely"
              stroke={band.color}
              strokeWidth={0.8}
              strokeDasharray="2 3"
              fill={band.color}
              fillOpacity={0.12}
              isAnimationActive={false}
            />
          )}
          {lines.map(({ id, mark, isThin = false }, place) => (
            <Line
              key={id}
              dataKey={({ figures }: Point) => figures[place]}
              stroke={mark.color}
              strokeWidth={isThin ? 1 : 2.2}
              {...(mark.dash === undefined ? {} : { strokeDasharray: mark.dash })}
              dot={false}
              isAnimationActive={false}
              type="monotone"
            />
          ))}
          {level && <Level y={level.value} stroke={COLORS.stop} words={level.words} isAtStart />}
          <EndNames lines={lines} years={years} />
          {valuesTip(values)}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="soft">{caption}</figcaption>
      <ValuesTable title={description} rows={points} values={values} />
    </figure>
  );
});
