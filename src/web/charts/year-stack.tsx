import { memo, useMemo } from 'react';
import { Area, CartesianGrid, ComposedChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { COLORS } from '../theme/tokens.ts';
import { FIGURE_TICK, Names, type SeriesName, TICK } from './marks.tsx';
import { type ChartValues, ValuesTable, valuesTip } from './values.tsx';
import { yearTick, yearTicks, yearWords } from './year-ticks.ts';

export interface StackYear {
  readonly year: number;
  readonly humus: number;
  readonly char: number;
  readonly fresh: number;
}

interface YearStackProps {
  readonly years: readonly StackYear[];
  readonly names: { readonly humus: string; readonly char: string; readonly fresh: string };
  /** Figures along the height, ascending from 0. */
  readonly scale: readonly number[];
  readonly description: string;
  readonly caption: string;
  /** A figure with its unit. */
  readonly format: (figure: number) => string;
}

const MARGIN = { top: 14, right: 18, bottom: 0, left: -8 };
/** From the soil upwards; they differ in grain too. */
const PARTS = [
  { key: 'humus', fill: '#6B5240', stroke: COLORS.carbon },
  { key: 'char', fill: '#3B3733', stroke: COLORS.ink },
  { key: 'fresh', fill: '#CDAE83', stroke: '#8A6A3C' },
] as const;
/** Thinner than this share of the height there is no room for a name. */
const NAMED_FROM = 0.06;

/** Where a part is thickest, away from both ends: its middle; nothing where there is no room for a name. */
function namedAt(years: readonly StackYear[], part: number, most: number): { x: number; y: number }[] {
  const { key } = PARTS[part]!;
  const margin = Math.ceil(years.length / 8);
  const inner = years.slice(margin, -margin);
  const thickest = (inner.length > 0 ? inner : years).reduce((best, one) =>
    one[key] > best[key] ? one : best,
  );
  if (thickest[key] / most < NAMED_FROM) return [];
  const beneath = PARTS.slice(0, part).reduce((sum, one) => sum + thickest[one.key], 0);
  return [{ x: thickest.year, y: beneath + thickest[key] / 2 }];
}

/** What a bed's carbon is made of, one part on the other. */
export const YearStack = memo(function YearStack({
  years,
  names,
  scale,
  description,
  caption,
  format,
}: YearStackProps) {
  const values = useMemo(
    (): ChartValues<StackYear> => ({
      along: 'Year',
      at: ({ year }) => yearWords(year),
      columns: PARTS.map(({ key }) => ({ name: names[key], read: (row) => format(row[key]) })),
    }),
    [names, format],
  );
  const last = years.at(-1);
  const most = scale.at(-1);
  if (!last || most === undefined) return null;
  const labels = PARTS.flatMap(({ key }, i) =>
    namedAt(years, i, most).map((at): SeriesName => ({
      ...at,
      places: ['at'],
      name: names[key],
      color: key === 'fresh' ? COLORS.ink : COLORS.sheet,
    })),
  );
  return (
    <figure className="tide year-lines" role="group" aria-label={description}>
      <ResponsiveContainer width="100%" height={280}>
        <ComposedChart
          data={[...years]}
          margin={MARGIN}
          aria-label={`${caption}, year by year; the arrow keys tell the values`}
        >
          <CartesianGrid vertical={false} stroke={COLORS.rule} />
          <XAxis
            dataKey="year"
            type="number"
            domain={[0, last.year]}
            ticks={yearTicks(last.year)}
            tickFormatter={yearTick}
            tick={TICK}
            stroke={COLORS.softInk}
          />
          <YAxis domain={[0, most]} ticks={[...scale]} tick={FIGURE_TICK} tickLine={false} axisLine={false} />
          {PARTS.map(({ key, fill, stroke }) => (
            <Area
              key={key}
              dataKey={key}
              stackId="carbon"
              fill={fill}
              stroke={stroke}
              fillOpacity={1}
              isAnimationActive={false}
            />
          ))}
          <Names names={labels} />
          {valuesTip(values)}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="soft">{caption}</figcaption>
      <ValuesTable title={description} rows={years} values={values} />
    </figure>
  );
});
