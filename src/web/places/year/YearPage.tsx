import { useBooks } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { calendarDateOf } from '../../../core/ground/index.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { measuresOf } from '../../../words/measures.ts';
import { BED_KIND_WORDS } from '../../../words/words.ts';
import { questionAbout, yearQuery } from '../../worker/questions.ts';
import { observationsOf } from '../../ui/log/observations-of.ts';
import { Choices } from './Choices.tsx';
import { CloseYear } from './CloseYear.tsx';
import { LiftBand } from './LiftBand.tsx';
import { Retest } from './Retest.tsx';
import { SheetBody } from './SheetBody.tsx';
import './year.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

/** A bed's year on one sheet: what went in, what the books say, what was expected and what was found; and what next. */
export function YearPage() {
  const books = useBooks();
  if (books.beds.length === 0) {
    return (
      <div className="page">
        <PageHeading>Year sheet</PageHeading>
        <div className="empty">
          <h2>No bed yet</h2>
          <p>
            A year sheet says what a bed was given, what the books made of it and what was found.{' '}
            <Link to={`/garden/${books.garden.id}`}>Make a bed first</Link>.
          </p>
        </div>
      </div>
    );
  }
  return <OpenYear />;
}

/** Years in which something stands in the book of a bed, newest first. */
function yearsOf(books: GardenBooks, bed: BedRecord): number[] {
  const today = calendarDateOf(dayOf(books.today)).year;
  const dates = [
    ...books.entries.filter(({ bedId }) => bedId === bed.id).map(({ date }) => date),
    ...books.plantings.filter(({ bedId }) => bedId === bed.id).map(({ plantedOn }) => plantedOn),
  ];
  const first = Math.min(today, ...dates.map((date) => Number(date.slice(0, 4))));
  return Array.from({ length: today - first + 1 }, (_, i) => today - i);
}

function OpenYear() {
  const books = useBooks();
  const [query, setQuery] = useSearchParams();
  const bed = books.beds.find(({ id }) => id === query.get('bed')) ?? books.beds[0]!;
  const years = yearsOf(books, bed);
  const year = years.find((one) => String(one) === query.get('year')) ?? years[0]!;
  const measures = measuresOf(books.garden);
  const question = useMemo(() => questionAbout(books, bed.id, books.today), [books, bed.id]);
  const observations = useMemo(() => observationsOf(books.journal, bed.id), [books.journal, bed.id]);
  const { data } = useQuery(yearQuery(question, observations, year));
  const sheet = data?.ok ? data.result : undefined;
  const isThisYear = year === years[0];
  return (
    <div className="page year-sheet">
      <header className="page-head">
        <div>
          <PageHeading>
            {bed.name}, {year}
          </PageHeading>
          <p className="soft">
            {BED_KIND_WORDS[bed.kind]}, {measures.area(bed.areaM2)}
            {sheet && `; from ${fullDate(sheet.fromDay)} to ${fullDate(sheet.untilDay - 1)}`}
          </p>
        </div>
        <div className="actions not-printed">
          <Select
            aria-label="Bed"
            value={bed.id}
            onChange={(id: string) => setQuery({ bed: id }, { replace: true })}
            popupMatchSelectWidth={false}
            style={{ width: 150 }}
            options={books.beds.map(({ id, name }) => ({ value: id, label: name }))}
          />
          <Select
            aria-label="Year"
            value={year}
            onChange={(chosen: number) => setQuery({ bed: bed.id, year: String(chosen) }, { replace: true })}
            options={years.map((one) => ({ value: one, label: String(one) }))}
          />
          <Button onClick={() => window.print()}>Print</Button>
        </div>
      </header>
      {data && !data.ok && (
        <p className="trouble" role="alert">
          {data.sentence}
        </p>
      )}
      {!data && <p className="soft">Adding up the year …</p>}
      {sheet?.year === year && <SheetBody sheet={sheet} bed={bed} />}
      {sheet?.year === year && (
        <div className="not-printed">
          {isThisYear && (
            <>
              <Retest bed={bed} />
              {bed.kind === 'path' && <LiftBand key={bed.id} bed={bed} />}
              {bed.kind !== 'path' && <Choices question={question} bed={bed} year={year} sheet={sheet} />}
            </>
          )}
          <CloseYear key={`${bed.id} ${year}`} sheet={sheet} bed={bed} />
        </div>
      )}
    </div>
  );
}
