import { memo, useMemo } from 'react';
import { Area, CartesianGrid, ComposedChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { type OutlookYear, changesSoil } from '../../core/long-run/index.ts';
import { COLORS, FONTS } from '../theme/tokens.ts';
import { LikelyBand, Name } from './marks.tsx';

interface HumusYearsProps {
  readonly years: readonly OutlookYear[];
  /** Organic matter in 8 of 10 draws, % by year; null while nothing is drawn. */
  readonly band: { readonly low: readonly number[]; readonly high: readonly number[] } | null;
  readonly description: string;
}

const MARGIN = { top: 20, right: 14, bottom: 0, left: -14 };
const YEAR_TICK = { fill: COLORS.softInk, fontSize: 11.5 };
const SHARE_TICK = { ...YEAR_TICK, fontFamily: FONTS.figures };
const yearTick = (year: number) => (year === 0 ? 'now' : `${year} y`);
const STEPS = 4;

/** Whole percents around the shares, a whole number of even steps apart. */
const shareDomain = ([lowest, highest]: readonly [number, number]): [number, number] => {
  const low = Math.max(0, Math.floor(lowest - 0.5));
  const span = Math.ceil(highest + 0.3) - low;
  const step = Math.ceil(span / STEPS);
  return [low, low + step * Math.ceil(span / step)];
};

const Scales = memo(function Scales({ years }: { years: number }) {
  return (
    <>
      <CartesianGrid vertical={false} stroke={COLORS.rule} />
      <XAxis
        dataKey="yearsAhead"
        type="number"
        domain={[0, years]}
        tickCount={years + 1}
        tickFormatter={yearTick}
        tick={YEAR_TICK}
        stroke={COLORS.softInk}
      />
      <YAxis domain={shareDomain} allowDecimals={false} tick={SHARE_TICK} tickLine={false} axisLine={false} />
    </>
  );
});

/** Areas without a fill: see the tide. */
const OrganicMatter = memo(function OrganicMatter() {
  return (
    <>
      <Area
        dataKey="bareOrganicMatterPct"
        stroke={COLORS.softInk}
        strokeDasharray="4 4"
        strokeWidth={1.4}
        fill="none"
        isAnimationActive={false}
      />
      <Area
        dataKey="organicMatterPct"
        stroke={COLORS.carbon}
        strokeWidth={2.4}
        fill="none"
        isAnimationActive={false}
      />
    </>
  );
});

/** Soil organic matter over the coming years, beside the same bed without what you spread on it. */
export const HumusYears = memo(function HumusYears({ years, band, description }: HumusYearsProps) {
  const points = useMemo(
    () =>
      years.map((year, i) => ({
        ...year,
        likely: band ? [band.low[i] ?? null, band.high[i] ?? null] : null,
      })),
    [years, band],
  );
  const last = years.at(-1);
  if (!last) return null;
  const labeled = years[Math.floor(years.length * 0.6)]!;
  const isAbove = labeled.organicMatterPct >= labeled.bareOrganicMatterPct;
  return (
    <figure className="tide" role="group" aria-label={description}>
      <ResponsiveContainer width="100%" height={190}>
        <ComposedChart data={points} margin={MARGIN} accessibilityLayer={false}>
          <Scales years={last.yearsAhead} />
          {band !== null && <LikelyBand color={COLORS.carbon} />}
          <OrganicMatter />
          <Name
            x={labeled.yearsAhead}
            y={labeled.organicMatterPct}
            place={isAbove ? 'above' : 'below'}
            name="as recorded and planned"
            color={COLORS.carbon}
          />
          {changesSoil(years) && (
            <Name
              x={labeled.yearsAhead}
              y={labeled.bareOrganicMatterPct}
              place={isAbove ? 'below' : 'above'}
              name="if you had spread nothing"
              color={COLORS.softInk}
              isLight
            />
          )}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="soft">
        Organic matter in the soil, % of its weight, if you spread nothing beyond the plan and grow last
        year’s crops again
        {band !== null && '; 8 times out of 10 it falls in the shaded band'}
      </figcaption>
    </figure>
  );
});
