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
import { type DayNumber, calendarDateOf, dayNumberOf } from '../../core/ground/index.ts';
import type { BedSample } from '../../core/bed/index.ts';
import { CONTACT_ZONE_CM } from '../../core/model/index.ts';
import { HATCH_ID } from '../drawing/grains.tsx';
import { formatFixed } from '../../words/figures.ts';
import { fullDate, monthTick } from '../../words/dates.ts';
import type { Measures } from '../../words/measures.ts';
import { COLORS } from '../theme/tokens.ts';
import {
  FIGURE_TICK,
  HEAD_ROW_PX,
  Heads,
  LikelyBand,
  Names,
  Rule,
  type SeriesName,
  TICK,
  ZeroLine,
} from './marks.tsx';
import { type ChartValues, ValuesTable, valuesTip } from './values.tsx';

/** A dose as the chart names it, for the whole bed. */
export interface TideDose {
  readonly day: DayNumber;
  readonly label: string;
}

export interface TideBand {
  readonly days: readonly DayNumber[];
  readonly low: readonly number[];
  readonly high: readonly number[];
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

interface Point {
  readonly day: DayNumber;
  readonly sample: BedSample;
  readonly root: number;
  readonly contact: number;
  readonly heldContact: number;
  readonly heldRoot: number;
  readonly want: number;
  readonly likely: readonly [low: number, high: number] | null;
}

/** A band read off at a day between its own; null outside them. */
function bandAt({ days, low, high }: TideBand, day: DayNumber): readonly [number, number] | null {
  const after = days.findIndex((one) => one >= day);
  if (after < 0 || day < days[0]!) return null;
  if (after === 0) return [low[0]!, high[0]!];
  const share = (day - days[after - 1]!) / (days[after]! - days[after - 1]!);
  const between = (values: readonly number[]) =>
    values[after - 1]! + (values[after]! - values[after - 1]!) * share;
  return [between(low), between(high)];
}

function pointsOf(samples: readonly BedSample[], band: TideBand | null, { rateFigure }: Measures): Point[] {
  return samples.map((sample) => ({
    day: sample.day,
    sample,
    root: rateFigure(sample.availableRootG),
    contact: rateFigure(sample.availableContactG),
    heldContact: -rateFigure(sample.heldContactG),
    heldRoot: -rateFigure(sample.heldRootG),
    want: rateFigure(sample.cropWantG),
    likely: likelyAt(band, sample.day, rateFigure),
  }));
}

function likelyAt(
  band: TideBand | null,
  day: DayNumber,
  rateFigure: Measures['rateFigure'],
): Point['likely'] {
  const at = band && bandAt(band, day);
  return at && [rateFigure(at[0]), rateFigure(at[1])];
}

function monthStarts(fromDay: DayNumber, untilDay: DayNumber): DayNumber[] {
  const starts: DayNumber[] = [];
  const { year, month } = calendarDateOf(fromDay);
  for (let i = 1; ; i++) {
    const day = dayNumberOf({
      year: year + Math.floor((month - 1 + i) / 12),
      month: ((month - 1 + i) % 12) + 1,
      day: 1,
    });
    if (day > untilDay) return starts;
    starts.push(day);
  }
}

/** The point at which a series stands out most, for its name to sit by. */
const peakOf = (points: readonly Point[], height: (point: Point) => number): Point | undefined =>
  points.reduce<Point | undefined>(
    (best, point) => (best === undefined || height(point) > height(best) ? point : best),
    undefined,
  );

/** What takes up less of the height than this has no room for a name beside it. */
const NAMED_FROM_SHARE = 0.08;

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

const WithinReach = memo(function WithinReach() {
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
      pointsOf(
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
          <WithinReach />
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

interface Named {
  readonly points: readonly Point[];
  readonly fromDay: DayNumber;
  readonly untilDay: DayNumber;
  readonly wantedBy: string | null;
  readonly measures: Measures;
}

const wantName = (wantedBy: string): string => `what ${wantedBy} will want in 4 weeks`;

/** Each series is named where it stands out most, away from both ends; what is too low for its name goes without. */
function seriesNames({ points, fromDay, untilDay, wantedBy, measures }: Named): SeriesName[] {
  const span = untilDay - fromDay;
  const inner = points.filter(({ day }) => day > fromDay + span * 0.22 && day < fromDay + span * 0.72);
  const available = ({ root, contact }: Point) => root + contact;
  const held = ({ heldContact, heldRoot }: Point) => -heldContact - heldRoot;
  const highest = Math.max(
    0,
    ...points.map((point) => Math.max(available(point), point.want, point.likely?.[1] ?? 0)),
  );
  const namedFrom = NAMED_FROM_SHARE * (highest + Math.max(0, ...points.map(held)));
  const named = (height: (point: Point) => number, name: (peak: Point) => SeriesName): SeriesName[] => {
    const peak = peakOf(inner, height);
    return peak && height(peak) > namedFrom ? [name(peak)] : [];
  };
  return [
    ...named(available, (peak) => ({
      x: peak.day,
      y: available(peak),
      places: ['above', 'at'],
      name: 'available to roots',
      color: COLORS.nitrogen,
    })),
    ...named(held, (peak) => ({
      x: peak.day,
      y: -held(peak) / 2,
      places: ['at', 'below'],
      name: heldLabel(peak, `top ${measures.thickness(CONTACT_ZONE_CM)}`),
      color: COLORS.stop,
    })),
    ...(wantedBy === null
      ? []
      : named(
          ({ want }) => want,
          (peak) => ({
            x: peak.day,
            y: peak.want,
            places: ['below', 'above', 'at'],
            name: wantName(wantedBy),
            color: COLORS.ink,
            isLight: true,
          }),
        )),
  ];
}

/** The samples of the tide in words. */
function tideValues(measures: Measures, wantedBy: string | null): ChartValues<Point> {
  const top = `top ${measures.thickness(CONTACT_ZONE_CM)}`;
  const { rate, rateDecimals, rateUnit } = measures;
  const all: ChartValues<Point>['columns'] = [
    {
      name: 'Available to roots',
      read: ({ sample }) => rate(sample.availableRootG + sample.availableContactG),
    },
    {
      name: '8 times out of 10',
      read: ({ likely }) =>
        likely &&
        `${formatFixed(likely[0], rateDecimals)} to ${formatFixed(likely[1], rateDecimals)} ${rateUnit}`,
    },
    { name: `Locked up, ${top}`, read: ({ sample }) => rate(sample.heldContactG) },
    { name: 'Locked up, root zone', read: ({ sample }) => rate(sample.heldRootG) },
  ];
  const want = {
    name: wantedBy === null ? '' : wantName(wantedBy),
    read: ({ sample }: Point) => rate(sample.cropWantG),
  };
  return { along: 'Day', at: ({ day }) => fullDate(day), columns: wantedBy === null ? all : [...all, want] };
}

function heldLabel({ heldContact, heldRoot }: Point, top: string): string {
  const total = heldContact + heldRoot;
  if (heldRoot / total < 0.1) return `locked up by microbes, ${top}`;
  if (heldContact / total < 0.1) return 'locked up by microbes, root zone';
  return `locked up by microbes, ${top} and root zone`;
}
