import { CaretRightOutlined, PauseOutlined } from '@ant-design/icons';
import { Button, Slider } from 'antd';
import { memo, useEffect, useState } from 'react';
import type { DayNumber } from '../../../core/ground/index.ts';
import { fullDate, monthTick } from '../../../words/dates.ts';

interface TimeSliderProps {
  readonly fromDay: DayNumber;
  readonly untilDay: DayNumber;
  readonly today: DayNumber;
  readonly day: DayNumber;
  readonly onDay: (day: DayNumber) => void;
}

const STEP_DAYS = 7;
const TICK_MS = 90;
/** Closer than this to the beginning, today has its place to itself. */
const NARROW_SHARE = 0.18;

/** Moves the drawing through time, by hand or by itself. */
export const TimeSlider = memo(function TimeSlider({
  fromDay,
  untilDay,
  today,
  day,
  onDay,
}: TimeSliderProps) {
  const [isPlaying, setIsPlaying] = useState(false);
  const isRunning = isPlaying && day < untilDay;
  useEffect(() => {
    if (!isRunning) return undefined;
    const timer = setTimeout(() => onDay(Math.min(untilDay, day + STEP_DAYS)), TICK_MS);
    return () => clearTimeout(timer);
  }, [isRunning, day, untilDay, onDay]);
  return (
    <div className="time-slider">
      <Button
        shape="circle"
        aria-label={isRunning ? 'Stop' : 'Let time run'}
        icon={isRunning ? <PauseOutlined /> : <CaretRightOutlined />}
        onClick={() => {
          if (!isRunning && day >= untilDay) onDay(today);
          setIsPlaying(!isRunning);
        }}
      />
      <Slider
        min={fromDay}
        max={untilDay}
        step={1}
        value={day}
        onChange={(value) => {
          setIsPlaying(false);
          onDay(value);
        }}
        marks={{
          ...(today - fromDay > NARROW_SHARE * (untilDay - fromDay) ? { [fromDay]: monthYear(fromDay) } : {}),
          [today]: 'today',
          [untilDay]: monthYear(untilDay),
        }}
        tooltip={{ open: false }}
        ariaLabelForHandle="Day shown in the drawing"
        ariaValueTextFormatterForHandle={(value) => fullDate(value)}
      />
      <div className="time-now">
        <strong className="figure">{fullDate(day)}</strong>
        {day !== today && (
          <Button size="small" type="link" onClick={() => onDay(today)}>
            back to today
          </Button>
        )}
      </div>
    </div>
  );
});

const monthYear = (day: DayNumber): string => {
  const tick = monthTick(day);
  return /\d/.test(tick) ? tick : `${tick} ${fullDate(day).slice(-2)}`;
};
