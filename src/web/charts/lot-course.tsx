import { memo, useMemo } from 'react';
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { DayNumber } from '../../core/ground/index.ts';
import { fullDate, monthTick } from '../../words/dates.ts';
import { COLORS } from '../theme/tokens.ts';
import { FIGURE_TICK, Heads, Rule, TICK } from './marks.tsx';
import { type ChartValues, ValuesTable, valuesTip } from './values.tsx';

export interface CoursePoint {
  readonly day: DayNumber;
  readonly value: number;
}

interface LotCourseProps {
  readonly title: string;
  readonly points: readonly CoursePoint[];
  readonly today: DayNumber;
  readonly color: string;
  readonly format: (value: number) => string;
  /** A day to mark. */
  readonly mark?: DayNumber | undefined;
}

const MARGIN = { top: 18, right: 10, bottom: 0, left: -6 };

/** One figure of a lot through time: drawn where it has been, dashed where it is going. */
export const LotCourseChart = memo(function LotCourseChart({
  title,
  points,
  today,
  color,
  format,
  mark,
}: LotCourseProps) {
  const rows = points.map(({ day, value }) => ({
    day,
    value,
    past: day <= today + STEP ? value : null,
    ahead: day >= today ? value : null,
  }));
  const values = useMemo(
    (): ChartValues<CoursePoint> => ({
      along: 'Day',
      at: ({ day }) => fullDate(day),
      columns: [{ name: title, read: ({ value }) => format(value) }],
    }),
    [title, format],
  );
  const first = points[0]?.day ?? today;
  const last = points.at(-1)?.day ?? today;
  return (
    <figure className="course" aria-label={title}>
      <figcaption>{title}</figcaption>
      <ResponsiveContainer width="100%" height={132}>
        <ComposedChart
          data={rows}
          margin={MARGIN}
          aria-label={`${title} day by day; the arrow keys tell the values`}
        >
          <CartesianGrid vertical={false} stroke={COLORS.rule} />
          <XAxis
            dataKey="day"
            type="number"
            domain={[first, last]}
            tickCount={5}
            tickFormatter={monthTick}
            tick={TICK}
            stroke={COLORS.softInk}
          />
          <YAxis
            width={52}
            tickFormatter={format}
            tick={FIGURE_TICK}
            tickLine={false}
            axisLine={false}
            tickCount={4}
          />
          <Line dataKey="past" stroke={color} strokeWidth={2} dot={false} isAnimationActive={false} />
          <Line
            dataKey="ahead"
            stroke={color}
            strokeWidth={1.6}
            strokeDasharray="4 4"
            dot={false}
            isAnimationActive={false}
          />
          <Rule x={today} stroke={COLORS.ink} />
          <Heads heads={[{ x: today, words: 'today', color: COLORS.ink }]} />
          {mark !== undefined && <Rule x={mark} stroke={COLORS.nitrogen} strokeDasharray="2 3" />}
          {valuesTip(values)}
        </ComposedChart>
      </ResponsiveContainer>
      <ValuesTable title={title} rows={points} values={values} />
    </figure>
  );
});

/** Looks are a week apart, kept contents four: the drawn line reaches into the dashed one. */
const STEP = 14;
