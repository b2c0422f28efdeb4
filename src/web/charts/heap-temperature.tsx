import { memo } from 'react';
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { DayNumber } from '../../core/ground/index.ts';
import { HOT_FROM_C, type TemperatureReading } from '../../core/yard/index.ts';
import { dateNear } from '../../words/dates.ts';
import { COLORS, FONTS } from '../theme/tokens.ts';
import { Level } from './marks.tsx';

interface HeapTemperatureProps {
  readonly readings: readonly TemperatureReading[];
  readonly turnings: readonly DayNumber[];
  readonly today: DayNumber;
  /** Degrees C as the garden says them. */
  readonly format: (celsius: number) => string;
}

const MARGIN = { top: 12, right: 12, bottom: 0, left: -6 };
const TICK = { fill: COLORS.softInk, fontSize: 11 };
const FIGURE_TICK = { ...TICK, fontFamily: FONTS.figures };
const TICKS = [0, 20, 40, 60, 80];

/** What the probe said, day by day, against the line of the rules; a tick under the axis for each turning. */
export const HeapTemperature = memo(function HeapTemperature({
  readings,
  turnings,
  today,
  format,
}: HeapTemperatureProps) {
  const first = Math.min(today - 14, ...readings.map(({ day }) => day), ...turnings);
  const rows = readings.map(({ day, temperatureC }) => ({ day, temperatureC }));
  return (
    <ResponsiveContainer width="100%" height={150}>
      <ComposedChart data={rows} margin={MARGIN}>
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
      </ComposedChart>
    </ResponsiveContainer>
  );
});
