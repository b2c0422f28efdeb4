import { useMeasures } from '../app/garden-context.ts';
import { memo, useCallback, useMemo } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  DefaultZIndexes,
  ResponsiveContainer,
  XAxis,
  YAxis,
  type MouseHandlerDataParam,
} from 'recharts';
import type { DayNumber } from '../../core/ground/index.ts';
import type { BedSample } from '../../core/bed/index.ts';
import { HATCH_ID } from '../drawing/grains.tsx';
import { monthTick } from '../../words/dates.ts';
import { COLORS } from '../theme/tokens.ts';
import { FIGURE_TICK, HEAD_ROW_PX, Heads, LikelyBand, Names, Rule, TICK, ZeroLine } from './marks.tsx';
import { monthStarts, seriesNames, type TideBand, tidePoints, tideValues } from './tide-points.ts';
import { ValuesTable, valuesTip } from './values.tsx';

/** A dose as the chart names it, for the whole bed. */
export interface TideDose {
  readonly day: DayNumber;
  readonly label: string;
}

interface NitrogenTideProps {
  readonly samples: readonly BedSample[];
  readonly fromDay: DayNumber;
  readonly untilDay: DayNumber;
  readonly today: DayNumber;
  readonly selectedDay: DayNumber;
  readonly doses: readonly TideDose[];
  /** Between these lies what is available to roots in 8 of 10 draws, g/m2; null while nothing is drawn. */
  readonly band: TideBand | null;
  /** Who wants the nitrogen; null when nothing grows in the window. */
  readonly wantedBy: string | null;
  readonly onSelect: (day: DayNumber) => void;
  readonly description: string;
}

const MARGIN = { top: 24, right: 12, bottom: 0, left: -10 };
const MARGIN_OF_DOSES = { ...MARGIN, top: 24 + HEAD_ROW_PX };
const withoutSign = (value: number) => String(Math.abs(value));

// What does not change with the samples is kept apart: the chart lays itself out again for every part that is redrawn.

interface ScalesProps {
  readonly fromDay: DayNumber;
  readonly untilDay: DayNumber;
}

const Scales = memo(function Scales({ fromDay, untilDay }: ScalesProps) {
  return (
    <>
      <CartesianGrid vertical={false} stroke={COLORS.rule} />
      <XAxis
        dataKey="day"
        type="number"
        domain={[fromDay, untilDay]}
        ticks={monthStarts(fromDay, untilDay)}
        tickFormatter={monthTick}
        tick={TICK}
        interval="preserveStartEnd"
        stroke={COLORS.softInk}
      />
      <YAxis tick={FIGURE_TICK} tickFormatter={withoutSign} tickLine={false} axisLine={false} />
    </>
  );
});

const Available = memo(function Available() {
  return (
    <>
      <Area
        dataKey="root"
        stackId="n"
        stroke="none"
        fill={COLORS.nitrogenWash}
        fillOpacity={1}
        isAnimationActive={false}
      />
      <Area
        dataKey="contact"
        stackId="n"
        stroke={COLORS.nitrogen}
        strokeWidth={2}
        fill={COLORS.nitrogenDeepWash}
        fillOpacity={1}
        isAnimationActive={false}
      />
    </>
  );
});

const Held = memo(function Held() {
  return (
    <>
      <Area
        dataKey="heldContact"
        stackId="held"
        stroke={COLORS.stop}
        strokeWidth={1}
        fill={`url(#${HATCH_ID})`}
        fillOpacity={0.85}
        isAnimationActive={false}
      />
      <Area
        dataKey="heldRoot"
        stackId="held"
        stroke={COLORS.stop}
        strokeWidth={1}
        strokeDasharray="2 2"
        fill={`url(#${HATCH_ID})`}
        fillOpacity={0.4}
        isAnimationActive={false}
      />
    </>
  );
});

/** An area without a fill: a line of the library measures its own length at every change, which holds up the page. */
const Want = memo(function Want() {
  return (
    <Area
      dataKey="want"
      stroke={COLORS.ink}
      strokeDasharray="5 4"
      strokeWidth={1.6}
      fill="none"
      isAnimationActive={false}
      zIndex={DefaultZIndexes.line}
    />
  );
});

/** Redrawn only when what it shows changes. Nitrogen available to roots against what the crop needs, and below the line what decomposers hold. */
export const NitrogenTide = memo(function NitrogenTide(props: NitrogenTideProps) {
  const measures = useMeasures();
  const { samples, fromDay, untilDay, today, selectedDay, doses, band, wantedBy, onSelect, description } =
    props;
  const points = useMemo(
    () =>
      tidePoints(
        samples.filter(({ day }) => day >= fromDay && day <= untilDay),
        band,
        measures,
      ),
    [samples, fromDay, untilDay, band, measures],
  );
  const selectDay = useCallback(
    ({ activeLabel }: MouseHandlerDataParam) => {
      if (activeLabel !== undefined) onSelect(Number(activeLabel));
    },
    [onSelect],
  );
  const values = useMemo(() => tideValues(measures, wantedBy), [measures, wantedBy]);
  const heads = useMemo(
    () => doses.map(({ day, label }) => ({ x: day, words: label, color: COLORS.nitrogen })),
    [doses],
  );
  const names = useMemo(
    () => seriesNames({ points, fromDay, untilDay, wantedBy, measures }),
    [points, fromDay, untilDay, wantedBy, measures],
  );
  const tip = useMemo(() => valuesTip(values), [values]);
  return (
    <figure className="tide" role="group" aria-label={description}>
      <ResponsiveContainer width="100%" height={258}>
        <ComposedChart
          data={points}
          stackOffset="sign"
          margin={doses.length > 1 ? MARGIN_OF_DOSES : MARGIN}
          aria-label="Nitrogen day by day; the arrow keys tell the values"
          onClick={selectDay}
        >
          <Scales fromDay={fromDay} untilDay={untilDay} />
          <Available />
          {band !== null && <LikelyBand color={COLORS.nitrogen} />}
          <Held />
          {wantedBy !== null && <Want />}
          <ZeroLine />
          <Rule x={today} stroke={COLORS.softInk} strokeDasharray="1 3" foot="today" />
          {selectedDay !== today && <Rule x={selectedDay} stroke={COLORS.ink} />}
          {doses.map(({ day }) => (
            <Rule key={day} x={day} stroke={COLORS.nitrogen} />
          ))}
          <Heads heads={heads} />
          <Names names={names} />
          {tip}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="soft">
        Nitrogen in {measures.rateUnit}, month by month
        {band !== null && '; 8 times out of 10 it falls in the shaded band'}
      </figcaption>
      <ValuesTable title={description} rows={points} values={values} />
    </figure>
  );
});
