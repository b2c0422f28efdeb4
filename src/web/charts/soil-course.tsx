import { memo } from 'react';
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { DayNumber } from '../../core/ground/index.ts';
import { fullDate } from '../../words/dates.ts';
import { COLORS } from '../theme/tokens.ts';
import { FIGURE_TICK, Level, TICK } from './marks.tsx';
import { ValuesTable, valuesTip } from './values.tsx';

export interface SoilPoint {
  readonly day: DayNumber;
  readonly value: number;
}

interface SoilCourseProps {
  /** What is shown, with its unit. */
  readonly name: string;
  readonly points: readonly SoilPoint[];
  /** From which figure a class begins, with its name; only those within sight are drawn. */
  readonly classes: readonly { readonly from: number; readonly words: string }[];
  readonly format: (value: number) => string;
}

const MARGIN = { top: 14, right: 16, bottom: 0, left: 0 };
const ROOM = 1.15;
const YEAR_DAYS = 365;

/** One figure of the soil tests through the years, with the classes of the laboratory's way of extraction. */
export const SoilCourse = memo(function SoilCourse({ name, points, classes, format }: SoilCourseProps) {
  const highest = Math.max(...points.map(({ value }) => value)) * ROOM;
  const [first, last] = [points[0]!.day, points.at(-1)!.day];
  const margin = Math.max(30, (last - first) / 20);
  const inSight = classes.filter(({ from }) => from <= highest * ROOM);
  const top = Math.max(highest, ...inSight.map(({ from }) => from * ROOM));
  const values = {
    along: 'Day',
    at: ({ day }: SoilPoint) => fullDate(day),
    columns: [{ name, read: ({ value }: SoilPoint) => format(value) }],
  };
  return (
    <figure className="tide" role="group" aria-label={`${name}, test by test`}>
      <ResponsiveContainer width="100%" height={190}>
        <ComposedChart
          data={[...points]}
          margin={MARGIN}
          aria-label={`${name}, test by test; the arrow keys tell the values`}
        >
          <CartesianGrid vertical={false} stroke={COLORS.rule} />
          <XAxis
            dataKey="day"
            type="number"
            domain={[first - margin, last + margin]}
            ticks={points
              .map(({ day }) => day)
              .filter((day, i, all) => i === 0 || day - all[i - 1]! > YEAR_DAYS / 4)}
            tickFormatter={fullDate}
            tick={TICK}
            stroke={COLORS.softInk}
          />
          <YAxis
            domain={[0, top]}
            width={78}
            tickCount={5}
            tickFormatter={format}
            tick={FIGURE_TICK}
            tickLine={false}
            axisLine={false}
          />
          {inSight.map(({ from, words }) => (
            <Level key={words} y={from} stroke={COLORS.softInk} words={words} isAtStart />
          ))}
          <Line
            dataKey="value"
            stroke={COLORS.carbon}
            strokeWidth={1.8}
            dot={{ r: 4, fill: COLORS.carbon }}
            isAnimationActive={false}
          />
          {valuesTip(values)}
        </ComposedChart>
      </ResponsiveContainer>
      <ValuesTable title={name} rows={points} values={values} />
    </figure>
  );
});
