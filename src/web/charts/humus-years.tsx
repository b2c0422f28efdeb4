import { memo, useMemo } from 'react';
import { Area, CartesianGrid, ComposedChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { type OutlookYear, changesSoil } from '../../core/long-run/index.ts';
import { formatFixed } from '../../words/figures.ts';
import { COLORS } from '../theme/tokens.ts';
import { FIGURE_TICK, LikelyBand, Names, type SeriesName, TICK } from './marks.tsx';
import { type ChartValues, ValuesTable, valuesTip } from './values.tsx';
import { yearTick, yearWords } from './year-ticks.ts';

interface HumusYearsProps {
  readonly years: readonly OutlookYear[];
  /** Organic matter in 8 of 10 draws, % by year; null while nothing is drawn. */
  readonly band: { readonly low: readonly number[]; readonly high: readonly number[] } | null;
  readonly description: string;
}

const MARGIN = { top: 20, right: 14, bottom: 0, left: -10 };
const STEPS = 4;

const PLANNED = 'as recorded and planned';
const BARE = 'if you had spread nothing';
const percent = (share: number): string => `${formatFixed(share, 1)} %`;

interface Point extends OutlookYear {
  readonly likely: readonly [low: number, high: number] | null;
}

const VALUES: ChartValues<Point> = {
  along: 'Year',
  at: ({ yearsAhead }) => yearWords(yearsAhead),
  columns: [
    { name: PLANNED, read: ({ organicMatterPct }) => percent(organicMatterPct) },
    {
      name: '8 times out of 10',
      read: ({ likely }) => likely && `${formatFixed(likely[0], 1)} to ${percent(likely[1])}`,
    },
    { name: BARE, read: ({ bareOrganicMatterPct }) => percent(bareOrganicMatterPct) },
  ],
};
const TIP = valuesTip(VALUES);

/** Both lines named beside a point past the middle, each on its own side. */
function lineNames(years: readonly OutlookYear[]): SeriesName[] {
  const at = years[Math.floor(years.length * 0.6)]!;
  const isAbove = at.organicMatterPct >= at.bareOrganicMatterPct;
  const planned: SeriesName = {
    x: at.yearsAhead,
    y: at.organicMatterPct,
    places: isAbove ? ['above', 'below'] : ['below', 'above'],
    name: PLANNED,
    color: COLORS.carbon,
  };
  const bare: SeriesName = {
    x: at.yearsAhead,
    y: at.bareOrganicMatterPct,
    places: isAbove ? ['below', 'above'] : ['above', 'below'],
    name: BARE,
    color: COLORS.softInk,
    isLight: true,
  };
  return changesSoil(years) ? [planned, bare] : [planned];
}

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
        tick={TICK}
        stroke={COLORS.softInk}
      />
      <YAxis
        domain={shareDomain}
        allowDecimals={false}
        tick={FIGURE_TICK}
        tickLine={false}
        axisLine={false}
      />
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
      years.map((year, i): Point => {
        const [low, high] = [band?.low[i], band?.high[i]];
        return { ...year, likely: low === undefined || high === undefined ? null : [low, high] };
      }),
    [years, band],
  );
  const last = years.at(-1);
  if (!last) return null;
  return (
    <figure className="tide" role="group" aria-label={description}>
      <ResponsiveContainer width="100%" height={190}>
        <ComposedChart
          data={points}
          margin={MARGIN}
          aria-label="Organic matter year by year; the arrow keys tell the values"
        >
          <Scales years={last.yearsAhead} />
          {band !== null && <LikelyBand color={COLORS.carbon} />}
          <OrganicMatter />
          <Names names={lineNames(years)} />
          {TIP}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="soft">
        Organic matter in the soil, % of its weight, if you spread nothing beyond the plan and grow last
        year’s crops again
        {band !== null && '; 8 times out of 10 it falls in the shaded band'}
      </figcaption>
      <ValuesTable title={description} rows={points} values={VALUES} />
    </figure>
  );
});
