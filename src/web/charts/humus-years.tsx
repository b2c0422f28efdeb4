import { memo } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceDot,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import type { OutlookYear } from '../../core/projection/outlook.ts';
import { COLORS, FONTS } from '../theme/tokens.ts';

interface HumusYearsProps {
  readonly years: readonly OutlookYear[];
  /** Organic matter in 8 of 10 draws, % by year; null while nothing is drawn. */
  readonly band: { readonly low: readonly number[]; readonly high: readonly number[] } | null;
  readonly description: string;
}

const labelStyle = { fontFamily: FONTS.text, fontSize: 12, fontWeight: 650 } as const;

/** Soil organic matter over the coming years, beside the same bed without what was laid on it. */
export const HumusYears = memo(function HumusYears({ years, band, description }: HumusYearsProps) {
  const last = years.at(-1);
  if (!last) return null;
  const labeled = years[Math.floor(years.length * 0.6)]!;
  const isAbove = labeled.organicMatterPct >= labeled.bareOrganicMatterPct;
  return (
    <figure className="tide" role="group" aria-label={description}>
      <ResponsiveContainer width="100%" height={190}>
        <ComposedChart
          data={years.map((year, i) => ({
            ...year,
            likely: band ? [band.low[i] ?? null, band.high[i] ?? null] : null,
          }))}
          margin={{ top: 20, right: 14, bottom: 0, left: -14 }}
          accessibilityLayer={false}
        >
          <CartesianGrid vertical={false} stroke={COLORS.rule} />
          <XAxis
            dataKey="yearsAhead"
            type="number"
            domain={[0, last.yearsAhead]}
            tickCount={last.yearsAhead + 1}
            tickFormatter={(year: number) => (year === 0 ? 'now' : `${year} y`)}
            tick={{ fill: COLORS.softInk, fontSize: 11.5 }}
            stroke={COLORS.softInk}
          />
          <YAxis
            domain={[
              (low: number) => Math.max(0, Math.floor(low - 0.5)),
              (high: number) => Math.ceil(high + 0.3),
            ]}
            allowDecimals={false}
            tick={{ fill: COLORS.softInk, fontSize: 11.5, fontFamily: FONTS.figures }}
            tickLine={false}
            axisLine={false}
          />
          {band !== null && (
            <Area
              dataKey="likely"
              stroke={COLORS.carbon}
              strokeWidth={0.8}
              strokeDasharray="2 3"
              fill={COLORS.carbon}
              fillOpacity={0.12}
              isAnimationActive={false}
            />
          )}
          <Line
            dataKey="bareOrganicMatterPct"
            stroke={COLORS.softInk}
            strokeDasharray="4 4"
            strokeWidth={1.4}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            dataKey="organicMatterPct"
            stroke={COLORS.carbon}
            strokeWidth={2.4}
            dot={false}
            isAnimationActive={false}
          />
          <ReferenceDot
            x={labeled.yearsAhead}
            y={labeled.organicMatterPct}
            r={0}
            label={{
              value: 'as the books stand',
              position: isAbove ? 'top' : 'bottom',
              fill: COLORS.carbon,
              ...labelStyle,
            }}
          />
          <ReferenceDot
            x={labeled.yearsAhead}
            y={labeled.bareOrganicMatterPct}
            r={0}
            label={{
              value: 'had nothing been laid',
              position: isAbove ? 'bottom' : 'top',
              fill: COLORS.softInk,
              ...labelStyle,
              fontWeight: 400,
            }}
          />
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="soft">
        Organic matter in the soil, % of its weight, were nothing added beyond the plan
        {band !== null && '; dotted: 8 in 10 likely'}
      </figcaption>
    </figure>
  );
});
