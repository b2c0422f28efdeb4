import { memo } from 'react';
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { DayNumber } from '../../core/ground/index.ts';
import { HOT_FROM_C, type TemperatureReading } from '../../core/yard/index.ts';
import { dateNear, fullDate } from '../../words/dates.ts';
import { COLORS } from '../theme/tokens.ts';
import { FIGURE_TICK, Level, TICK } from './marks.tsx';
import { type ChartValues, ValuesTable, valuesTip } from './values.tsx';

interface HeapTemperatureProps {
  readonly readings: readonly TemperatureReading[];
  readonly turnings: readonly DayNumber[];
  readonly today: DayNumber;
  /** Degrees C as the garden says them. */
  readonly format: (celsius: number) => string;
}

const MARGIN = { top: 12, right: 12, bottom: 0, left: -6 };
const TICKS = [0, 20, 40, 60, 80];

const TITLE = 'Temperature inside the heap, day by day';

const heapValues = (format: (celsius: number) => string): ChartValues<TemperatureReading> => ({
  along: 'Day',
  at: ({ day }) => fullDate(day),
  columns: [{ name: 'inside', read: ({ temperatureC }) => format(temperatureC) }],
});

/** What the probe said, day by day, against the line of the rules; a tick under the axis for each turning. */
export const HeapTemperature = memo(function HeapTemperature({
  readings,
  turnings,
  today,
  format,
}: HeapTemperatureProps) {
  const first = Math.min(today - 14, ...readings.map(({ day }) => day), ...turnings);
  const values = heapValues(format);
  return (
    <figure className="tide" role="group" aria-label={TITLE}>
      <ResponsiveContainer width="100%" height={150}>
        <ComposedChart
          data={[...readings]}
          margin={MARGIN}
          aria-label={`${TITLE}; the arrow keys tell the values`}
        >
          <CartesianGrid vertical={false} stroke={COLORS.rule} />
          <XAxis
            dataKey="day"
            type="number"
            domain={[first, today]}
            tickCount={5}
            tickFormatter={(day: number) => dateNear(day, today)}
            tick={TICK}
            stroke={COLORS.softInk}
          />
          <YAxis
            domain={[0, 80]}
            ticks={TICKS}
            width={54}
            tickFormatter={format}
            tick={FIGURE_TICK}
            tickLine={false}
            axisLine={false}
          />
          <Level y={HOT_FROM_C} stroke={COLORS.stop} words={format(HOT_FROM_C)} />
          <Line
            dataKey="temperatureC"
            stroke={COLORS.carbon}
            strokeWidth={1.8}
            dot={{ r: 3, fill: COLORS.carbon }}
            isAnimationActive={false}
          />
          {turnings.map((day) => (
            <Level key={day} x={day} stroke={COLORS.ink} words="↻" />
          ))}
          {valuesTip(values)}
        </ComposedChart>
      </ResponsiveContainer>
      <ValuesTable title={TITLE} rows={readings} values={values} />
    </figure>
  );
});
