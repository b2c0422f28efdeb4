import { counted } from '../../../words/counted.ts';
import { useBooks } from '../../app/garden-context.ts';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { readStation, useReadRows, useUndoImport } from '../../api/data.ts';
import { sentencesOf } from '../../api/failures.ts';
import { instrumentsQuery } from '../../api/instruments.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { unreadSpan } from './weather-span.ts';

const LISTED = 6;

/** Weather as it was: it takes the place of the monthly normals on the days that were measured. */
export function WeatherBand() {
  const books = useBooks();
  const { weather, garden, today } = books;
  const { data: connected } = useQuery(instrumentsQuery());
  const span = unreadSpan(weather, today);
  const yesterday = span.until;
  const [from, setFrom] = useState(span.from);
  const keep = useReadRows(garden.id);
  const undo = useUndoImport();
  const offerUndo = useUndo();
  const read = useMutation({
    mutationFn: async () => {
      const reading = await readStation(from, yesterday);
      if (reading.days.length > 0) {
        const request = {
          collection: 'weather' as const,
          summary: `weather of ${reading.days.length} days, from the station`,
          rows: [...reading.days],
        };
        const { importId } = await keep.mutateAsync({ request, isDryRun: false });
        if (importId !== null)
          offerUndo(`Weather of ${reading.days.length} days is saved.`, () => undo.mutateAsync(importId));
      }
      return reading;
    },
  });
  const leftOut = read.data?.leftOut ?? [];
  return (
    <section aria-label="Weather">
      <div className="section-head">
        <h2>Weather</h2>
      </div>
      <p>
        {weather.length === 0
          ? 'The beds live under the twelve monthly normals of the garden. Days that were measured take their place: read them off a station, or import a table of them.'
          : `${weather.length} days were measured, the last on ${fullDate(dayOf(weather.at(-1)!.date))}. On all others the normals of the garden stand.`}
      </p>
      {connected?.weather ? (
        <div className="band-fields">
          <DateField name="From" value={from} onChange={setFrom} />
          <div className="field">
            <span className="field-name">&nbsp;</span>
            <Button
              loading={read.isPending}
              disabled={from === '' || from > yesterday}
              onClick={() => read.mutate()}
            >
              Read the station until yesterday
            </Button>
          </div>
        </div>
      ) : (
        <p className="soft">
          No weather station is connected. One that answers over HTTP is named when Vine Ledger starts.
        </p>
      )}
      {read.isSuccess && leftOut.length > 0 && (
        <div role="status">
          <p>{counted(leftOut.length, 'day was', 'days were')} left out; the normals stand for them:</p>
          <ul className="plain-list">
            {leftOut.slice(0, LISTED).map(({ date, sentence }, i) => (
              <li key={`${date} ${i}`} className="soft">
                {date}: {sentence}
              </li>
            ))}
            {leftOut.length > LISTED && <li className="soft">and {leftOut.length - LISTED} more</li>}
          </ul>
        </div>
      )}
      {Object.values(sentencesOf(read.error)).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </section>
  );
}
