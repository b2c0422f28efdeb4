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
import { monthTick } from '../../words/dates.ts';
import type { Measures } from '../../words/measures.ts';
import { COLORS, FONTS } from '../theme/tokens.ts';
import { LikelyBand, Name, Rule, ZeroLine } from './marks.tsx';

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

/** What takes up less of the height than this has no room for a name beside it. */
const NAMED_FROM_SHARE = 0.08;

const MARGIN = { top: 24, right: 12, bottom: 0, left: -14 };
const DAY_TICK = { fill: COLORS.softInk, fontSize: 11.5 };
const RATE_TICK = { ...DAY_TICK, fontFamily: FONTS.figures };
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
        tick={DAY_TICK}
        interval="preserveStartEnd"
        stroke={COLORS.softInk}
      />
      <YAxis tick={RATE_TICK} tickFormatter={withoutSign} tickLine={false} axisLine={false} />
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
          margin={MARGIN}
          accessibilityLayer={false}
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
          {doses.map(({ day, label }) => (
            <Rule key={day} x={day} stroke={COLORS.nitrogen} head={label} />
          ))}
          {reachPeak && reachPeak.root + reachPeak.contact > namedFrom && (
            <Name
              x={reachPeak.day}
              y={reachPeak.root + reachPeak.contact}
              place="above"
              name="available to roots"
              color={COLORS.nitrogen}
            />
          )}
          {wantedBy !== null && wantPeak && wantPeak.want > namedFrom && (
            <Name
              x={wantPeak.day}
              y={wantPeak.want}
              place="below"
              name={`what ${wantedBy} will want in 4 weeks`}
              color={COLORS.ink}
              isLight
            />
          )}
          {heldPeak && -heldPeak.heldContact - heldPeak.heldRoot > namedFrom && (
            <Name
              x={heldPeak.day}
              y={(heldPeak.heldContact + heldPeak.heldRoot) / 2}
              place="at"
              name={heldLabel(heldPeak, `top ${measures.thickness(CONTACT_ZONE_CM)}`)}
              color={COLORS.stop}
            />
          )}
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption className="soft">
        Nitrogen in {measures.rateUnit}, month by month
        {band !== null && '; 8 times out of 10 it falls in the shaded band'}
      </figcaption>
    </figure>
  );
});

function heldLabel({ heldContact, heldRoot }: Point, top: string): string {
  const total = heldContact + heldRoot;
  if (heldRoot / total < 0.1) return `locked up by microbes, ${top}`;
  if (heldContact / total < 0.1) return 'locked up by microbes, root zone';
  return `locked up by microbes, ${top} and root zone`;
}
