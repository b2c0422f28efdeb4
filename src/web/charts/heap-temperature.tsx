import { memo } from 'react';
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { DayNumber } from '../../core/ground/index.ts';
import { HOT_FROM_C, type TemperatureReading } from '../../core/yard/index.ts';
import { dateNear, fullDate } from '../../words/dates.ts';
import { COLORS } from '../theme/tokens.ts';
import { FIGURE_TICK, Level, TICK } from './marks.tsx';
import { type ChartValues, ValuesTable, valuesTip } from './values.tsx';

interface HeapTemperatureProps {
  /** What the probe said. */
  readonly readings: readonly TemperatureReading[];
  /** What the model expects without a probe. */
  readonly predicted: readonly TemperatureReading[];
  readonly turnings: readonly DayNumber[];
  readonly today: DayNumber;
  /** Degrees C as the garden says them. */
  readonly format: (celsius: number) => string;
}

const MARGIN = { top: 12, right: 12, bottom: 0, left: -6 };
const TICKS = [0, 20, 40, 60, 80];

const TITLE = 'Temperature inside the heap, day by day';

interface Row {
  readonly day: DayNumber;
  readonly measuredC?: number;
  readonly predictedC?: number;
}

function rowsOf({ readings, predicted }: Pick<HeapTemperatureProps, 'readings' | 'predicted'>): Row[] {
  const rows = new Map<DayNumber, Row>();
  for (const { day, temperatureC } of predicted) rows.set(day, { day, predictedC: temperatureC });
  for (const { day, temperatureC } of readings)
    rows.set(day, { ...rows.get(day), day, measuredC: temperatureC });
  return [...rows.values()].sort((a, b) => a.day - b.day);
}

const heapValues = (format: (celsius: number) => string): ChartValues<Row> => {
  const told = (celsius: number | undefined) => (celsius === undefined ? null : format(celsius));
  return {
    along: 'Day',
    at: ({ day }) => fullDate(day),
    columns: [
      { name: 'measured', read: ({ measuredC }) => told(measuredC) },
      { name: 'by the model', read: ({ predictedC }) => told(predictedC) },
    ],
  };
};

/**
 * What the probe said, day by day, against what the model expects and the line of the rules; a tick under the axis for
 * each turning.
 */
export const HeapTemperature = memo(function HeapTemperature({
  readings,
  predicted,
  turnings,
  today,
  format,
}: HeapTemperatureProps) {
  const rows = rowsOf({ readings, predicted });
  const first = Math.min(today - 14, ...rows.map(({ day }) => day), ...turnings);
  const last = Math.max(today, ...rows.map(({ day }) => day));
  const values = heapValues(format);
  return (
    <figure className="tide" role="group" aria-label={TITLE}>
      <ResponsiveContainer width="100%" height={150}>
        <ComposedChart data={rows} margin={MARGIN} aria-label={`${TITLE}; the arrow keys tell the values`}>
          <CartesianGrid vertical={false} stroke={COLORS.rule} />
          <XAxis
            dataKey="day"
            type="number"
            domain={[first, last]}
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
            dataKey="predictedC"
            stroke={COLORS.softInk}
            strokeDasharray="4 4"
            strokeWidth={1.4}
            dot={false}
            connectNulls
            isAnimationActive={false}
          />
          <Line
            dataKey="measuredC"
            connectNulls
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
      <ValuesTable title={TITLE} rows={rows} values={values} />
    </figure>
  );
});
