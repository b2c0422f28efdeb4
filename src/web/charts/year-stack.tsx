import { memo } from 'react';
import { Area, CartesianGrid, ComposedChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { COLORS, FONTS } from '../theme/tokens.ts';
import { Name } from './marks.tsx';
import { yearTick, yearTicks } from './year-ticks.ts';

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
}

const MARGIN = { top: 14, right: 18, bottom: 0, left: -8 };
const TICK = { fill: COLORS.softInk, fontSize: 11.5 };
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
}: YearStackProps) {
  const last = years.at(-1);
  const most = scale.at(-1);
  if (!last || most === undefined) return null;
  const labels = PARTS.flatMap(({ key }, i) => namedAt(years, i, most).map((at) => ({ key, ...at })));
  return (
    <figure className="tide year-lines" role="group" aria-label={description}>
      <ResponsiveContainer width="100%" height={280}>
        <ComposedChart data={[...years]} margin={MARGIN} accessibilityLayer={false}>
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
          <YAxis
            domain={[0, most]}
            ticks={[...scale]}
            tick={{ ...TICK, fontFamily: FONTS.figures }}
            tickLine={false}
            axisLine={false}
          />
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
          {labels.map(({ key, x, y }) => (
            <Name
              key={key}
              x={x}
              y={y}
              place="at"
              name={names[key]}
              color={key === 'fresh' ? COLORS.ink : COLORS.sheet}
            />
          ))}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="soft">{caption}</figcaption>
    </figure>
  );
});
