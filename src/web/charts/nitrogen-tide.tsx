import { memo } from 'react';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { calendarDateOf, dayNumberOf, type DayNumber } from '../../core/climate/calendar.ts';
import type { BedSample } from '../../core/projection/bed-projection.ts';
import { CONTACT_ZONE_CM } from '../../core/simulation/scenario.ts';
import { HATCH_ID } from '../drawing/grains.tsx';
import { monthTick } from '../format/dates.ts';
import type { Measures } from '../format/measures.ts';
import { COLORS, FONTS } from '../theme/tokens.ts';

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
  /** Between these lies what is within reach in 8 of 10 draws, g/m2; null while nothing is drawn. */
  readonly band: TideBand | null;
  /** Who wants the nitrogen; null when nothing grows in the window. */
  readonly wantedBy: string | null;
  readonly measures: Measures;
  readonly onSelect: (day: DayNumber) => void;
  readonly description: string;
}

interface Point {
  readonly day: DayNumber;
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

const labelStyle = {
  fontFamily: FONTS.text,
  fontSize: 12,
  fontWeight: 650,
  className: 'on-drawing',
} as const;
/** What takes up less of the height than this has no room for a name beside it. */
const NAMED_FROM_SHARE = 0.08;

/** Drawn anew only when what it shows changes. Nitrogen within reach against what the crop will want, and below the line what decomposers hold. */
export const NitrogenTide = memo(function NitrogenTide(props: NitrogenTideProps) {
  const {
    samples,
    fromDay,
    untilDay,
    today,
    selectedDay,
    doses,
    band,
    wantedBy,
    measures,
    onSelect,
    description,
  } = props;
  const points = pointsOf(
    samples.filter(({ day }) => day >= fromDay && day <= untilDay),
    band,
    measures,
  );
  const span = untilDay - fromDay;
  const inner = points.filter(({ day }) => day > fromDay + span * 0.22 && day < fromDay + span * 0.72);
  const reachPeak = peakOf(inner, ({ root, contact }) => root + contact);
  const wantPeak = peakOf(inner, ({ want }) => want);
  const heldPeak = peakOf(inner, ({ heldContact, heldRoot }) => -heldContact - heldRoot);
  const highest = Math.max(
    0,
    ...points.map(({ root, contact, want, likely }) => Math.max(root + contact, want, likely?.[1] ?? 0)),
  );
  const deepest = Math.max(0, ...points.map(({ heldContact, heldRoot }) => -heldContact - heldRoot));
  const namedFrom = NAMED_FROM_SHARE * (highest + deepest);
  return (
    <figure className="tide" role="group" aria-label={description}>
      <ResponsiveContainer width="100%" height={258}>
        <ComposedChart
          data={points}
          stackOffset="sign"
          margin={{ top: 24, right: 12, bottom: 0, left: -14 }}
          accessibilityLayer={false}
          onClick={({ activeLabel }) => {
            if (activeLabel !== undefined) onSelect(Number(activeLabel));
          }}
        >
          <CartesianGrid vertical={false} stroke={COLORS.rule} />
          <XAxis
            dataKey="day"
            type="number"
            domain={[fromDay, untilDay]}
            ticks={monthStarts(fromDay, untilDay)}
            tickFormatter={monthTick}
            tick={{ fill: COLORS.softInk, fontSize: 11.5 }}
            interval="preserveStartEnd"
            stroke={COLORS.softInk}
          />
          <YAxis
            tick={{ fill: COLORS.softInk, fontSize: 11.5, fontFamily: FONTS.figures }}
            tickFormatter={(value: number) => String(Math.abs(value))}
            tickLine={false}
            axisLine={false}
          />
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
          {band !== null && (
            <Area
              dataKey="likely"
              stroke={COLORS.nitrogen}
              strokeWidth={0.8}
              strokeDasharray="2 3"
              fill={COLORS.nitrogen}
              fillOpacity={0.12}
              connectNulls={false}
              isAnimationActive={false}
            />
          )}
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
          {wantedBy !== null && (
            <Line
              dataKey="want"
              stroke={COLORS.ink}
              strokeDasharray="5 4"
              strokeWidth={1.6}
              dot={false}
              isAnimationActive={false}
            />
          )}
          <ReferenceLine y={0} stroke={COLORS.ink} />
          <ReferenceLine
            x={today}
            stroke={COLORS.softInk}
            strokeDasharray="1 3"
            label={{ value: 'today', position: 'insideBottomLeft', fill: COLORS.softInk, fontSize: 11.5 }}
          />
          {selectedDay !== today && <ReferenceLine x={selectedDay} stroke={COLORS.ink} />}
          {doses.map(({ day, label }) => (
            <ReferenceLine
              key={day}
              x={day}
              stroke={COLORS.nitrogen}
              label={{ value: label, position: 'top', fill: COLORS.nitrogen, ...labelStyle }}
            />
          ))}
          {reachPeak && reachPeak.root + reachPeak.contact > namedFrom && (
            <ReferenceDot
              x={reachPeak.day}
              y={reachPeak.root + reachPeak.contact}
              r={0}
              label={{
                value: 'within reach of roots',
                position: 'top',
                fill: COLORS.nitrogen,
                ...labelStyle,
              }}
            />
          )}
          {wantedBy !== null && wantPeak && wantPeak.want > namedFrom && (
            <ReferenceDot
              x={wantPeak.day}
              y={wantPeak.want}
              r={0}
              label={{
                value: `what ${wantedBy} will want in 4 weeks`,
                position: 'bottom',
                fill: COLORS.ink,
                ...labelStyle,
                fontWeight: 400,
              }}
            />
          )}
          {heldPeak && -heldPeak.heldContact - heldPeak.heldRoot > namedFrom && (
            <ReferenceDot
              x={heldPeak.day}
              y={(heldPeak.heldContact + heldPeak.heldRoot) / 2}
              r={0}
              label={{
                value: heldLabel(heldPeak, `top ${measures.thickness(CONTACT_ZONE_CM)}`),
                position: 'center',
                fill: COLORS.stop,
                ...labelStyle,
              }}
            />
          )}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="soft">
        Nitrogen in {measures.rateUnit}, month by month{band !== null && '; dotted: 8 in 10 likely'}
      </figcaption>
    </figure>
  );
});

function heldLabel({ heldContact, heldRoot }: Point, top: string): string {
  const total = heldContact + heldRoot;
  if (heldRoot / total < 0.1) return `held by microbes, ${top}`;
  if (heldContact / total < 0.1) return 'held by microbes, root zone';
  return `held by microbes, ${top} and root zone`;
}
