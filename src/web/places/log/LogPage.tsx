import { useBooks } from '../../app/garden-context.ts';
import { Button, Select } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { PlantingRecord } from '../../../records/planting.ts';
import { findCrop } from '../../../core/ground/index.ts';
import { LOG_TILES, LogIcon, type LogTile } from '../../drawing/log-icons.tsx';
import { fullDate, dayOf } from '../../../words/dates.ts';
import { OBSERVED_WORDS } from '../../../words/journal-words.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { isPastDay, pastDayTrouble } from '../../ui/forms/past-day.ts';
import { LogList } from './LogList.tsx';
import { TilePanel } from '../../ui/log/TilePanel.tsx';
import { useLogBook, type LogSubject } from '../../ui/log/use-log-book.ts';
import { WaitingList } from './WaitingList.tsx';
import '../../ui/log/log.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

const ReportBand = lazy(async () => ({ default: (await import('./ReportBand.tsx')).ReportBand }));
const PhotoWall = lazy(async () => ({ default: (await import('./PhotoWall.tsx')).PhotoWall }));
const SoilHistory = lazy(async () => ({ default: (await import('./SoilHistory.tsx')).SoilHistory }));

const TILE_WORDS: Record<LogTile, string> = {
  ...OBSERVED_WORDS,
  watering: 'Watered',
  soilTest: 'Soil test',
};

/** What stands on a bed on a day. */
function standing(plantings: readonly PlantingRecord[], bedId: string, date: string): PlantingRecord[] {
  return plantings.filter(
    (one) =>
      one.bedId === bedId && one.plantedOn <= date && (one.clearedOn === null || one.clearedOn >= date),
  );
}

/** What is seen, measured and done, in two taps; and what the model expected there. */
export function LogPage() {
  const books = useBooks();
  const [query, setQuery] = useSearchParams();
  const bedId = books.beds.find(({ id }) => id === query.get('bed'))?.id ?? books.beds[0]?.id;
  const [date, setDate] = useState(books.today);
  const [chosenPlanting, setChosenPlanting] = useState<string | null>(null);
  const [tile, setTile] = useState<LogTile | null>(null);
  const [isReporting, setReporting] = useState(false);
  const book = useLogBook(books);
  if (bedId === undefined) {
    return (
      <div className="page">
        <PageHeading>Logbook</PageHeading>
        <div className="empty">
          <h2>No bed to look at yet</h2>
          <p>
            The logbook ties what you see to a bed, its layers and what grows there.{' '}
            <Link to={`/garden/${books.garden.id}`}>Make a bed first</Link>.
          </p>
        </div>
      </div>
    );
  }
  const isPast = isPastDay(date, books.today);
  const crops = standing(books.plantings, bedId, isPast ? date : books.today);
  const plantingId = crops.find(({ id }) => id === chosenPlanting)?.id ?? crops.at(-1)?.id ?? null;
  const subject: LogSubject = { bedId, plantingId, date };
  return (
    <div className="page log-page">
      <header className="page-head">
        <div>
          <PageHeading>Logbook</PageHeading>
          <p className="soft">
            {fullDate(dayOf(books.today))}. Choose the bed, tap what you see, tap how it is.
          </p>
        </div>
        <div className="actions">
          <Button onClick={() => setReporting(!isReporting)}>Laboratory’s table</Button>
          <Link className="button-link" to={`/garden/${books.garden.id}/labels`}>
            Labels
          </Link>
          <Link className="button-link" to={`/garden/${books.garden.id}/pale?bed=${bedId}`}>
            Why is it pale?
          </Link>
        </div>
      </header>
      <WaitingList outbox={book.outbox} />
      {isReporting && (
        <Suspense fallback={<p className="soft">Opening …</p>}>
          <ReportBand onClose={() => setReporting(false)} />
        </Suspense>
      )}
      <div className="log-columns">
        <section aria-label="Write down">
          <div className="log-subject">
            <div className="bed-chips" role="radiogroup" aria-label="Bed">
              {books.beds.map(({ id, name }) => (
                <button
                  key={id}
                  type="button"
                  role="radio"
                  aria-checked={id === bedId}
                  className="chip"
                  onClick={() => setQuery({ bed: id }, { replace: true })}
                >
                  {name}
                </button>
              ))}
            </div>
            <div className="band-fields">
              {crops.length > 0 && (
                <div className="field">
                  <span className="field-name">Growing there</span>
                  <Select
                    aria-label="Growing there"
                    value={plantingId}
                    onChange={setChosenPlanting}
                    style={{ width: 150 }}
                    options={crops.map(({ id, cropId }) => ({
                      value: id,
                      label: findCrop(cropId, books.crops)?.name ?? cropId,
                    }))}
                  />
                </div>
              )}
              <DateField
                name="Seen on"
                value={date}
                onChange={setDate}
                trouble={pastDayTrouble(date, books.today)}
              />
            </div>
          </div>
          {tile !== null && isPast && (
            <TilePanel
              key={`${tile} ${bedId}`}
              tile={tile}
              subject={subject}
              book={book}
              onDone={() => setTile(null)}
            />
          )}
          <div className="log-tiles">
            {LOG_TILES.map((one) => (
              <button
                key={one}
                type="button"
                className="log-tile"
                aria-pressed={tile === one}
                onClick={() => setTile(tile === one ? null : one)}
              >
                <LogIcon tile={one} />
                {TILE_WORDS[one]}
              </button>
            ))}
          </div>
          <p className="log-said" role="status">
            {book.said}
          </p>
        </section>
        <div>
          <LogList bedId={bedId} />
          <Suspense fallback={null}>
            <SoilHistory bedId={bedId} />
            <PhotoWall key={bedId} bedId={bedId} />
          </Suspense>
        </div>
      </div>
    </div>
  );
}
