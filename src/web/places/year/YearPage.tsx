import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { calendarDateOf } from '../../../core/ground/index.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { counted } from '../../../words/counted.ts';
import { BED_KIND_WORDS } from '../../../words/words.ts';
import { questionAbout, yearQuery } from '../../worker/questions.ts';
import { observationsOf } from '../../ui/log/observations-of.ts';
import { Choices } from './Choices.tsx';
import { CloseYear } from './CloseYear.tsx';
import { GardenYear } from './GardenYear.tsx';
import { LiftBand } from './LiftBand.tsx';
import { Retest } from './Retest.tsx';
import { SheetBody } from './SheetBody.tsx';
import { YearInShort, YearLearnt } from './YearInShort.tsx';
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

/** Years in which something stands in the books of some beds, newest first. */
function yearsOf(books: GardenBooks, beds: readonly BedRecord[]): number[] {
  const today = calendarDateOf(dayOf(books.today)).year;
  const ids = new Set(beds.map(({ id }) => id));
  const dates = [
    ...books.entries.filter(({ bedId }) => ids.has(bedId)).map(({ date }) => date),
    ...books.plantings.filter(({ bedId }) => ids.has(bedId)).map(({ plantedOn }) => plantedOn),
  ];
  const first = dates.reduce((least, date) => Math.min(least, Number(date.slice(0, 4))), today);
  return Array.from({ length: today - first + 1 }, (_, i) => today - i);
}

const WHOLE_GARDEN = 'all';

function OpenYear() {
  const books = useBooks();
  const [query, setQuery] = useSearchParams();
  const bed = books.beds.find(({ id }) => id === query.get('bed'));
  const years = yearsOf(books, bed ? [bed] : books.beds);
  const year = years.find((one) => String(one) === query.get('year')) ?? years[0]!;
  const go = (bedId: string, of: number) =>
    setQuery(
      { ...(bedId === WHOLE_GARDEN ? {} : { bed: bedId }), ...(of === years[0] ? {} : { year: String(of) }) },
      { replace: true },
    );
  const place = bed?.id ?? WHOLE_GARDEN;
  return (
    <div className="page year-sheet">
      <header className="page-head">
        <div>
          <PageHeading>
            {bed?.name ?? books.garden.name}, {year}
          </PageHeading>
          {!bed && <p className="soft">The whole garden: {counted(books.beds.length, 'bed')}.</p>}
        </div>
        <div className="actions not-printed">
          <Select
            aria-label="Bed"
            value={place}
            onChange={(id: string) => go(id, year)}
            popupMatchSelectWidth={false}
            style={{ width: 150 }}
            options={[
              { value: WHOLE_GARDEN, label: 'Whole garden' },
              ...books.beds.map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
          <Select
            aria-label="Year"
            value={year}
            onChange={(chosen: number) => go(place, chosen)}
            options={years.map((one) => ({ value: one, label: String(one) }))}
          />
          <Button onClick={() => window.print()}>Print</Button>
        </div>
      </header>
      {bed ? <BedYear bed={bed} years={years} year={year} /> : <GardenYear year={year} />}
    </div>
  );
}

interface BedYearProps {
  readonly bed: BedRecord;
  readonly years: readonly number[];
  readonly year: number;
}

function BedYear({ bed, years, year }: BedYearProps) {
  const books = useBooks();
  const measures = useMeasures();
  const question = useMemo(() => questionAbout(books, bed.id, books.today), [books, bed.id]);
  const observations = useMemo(() => observationsOf(books.journal, bed.id), [books.journal, bed.id]);
  const { data } = useQuery(yearQuery(question, observations, year));
  const sheet = data?.ok ? data.result : undefined;
  if (data && !data.ok) {
    return (
      <p className="trouble" role="alert">
        {data.sentence}
      </p>
    );
  }
  if (sheet?.year !== year) return <p className="soft">Adding up the year …</p>;
  const isThisYear = year === years[0];
  return (
    <>
      <p className="soft">
        {BED_KIND_WORDS[bed.kind]}, {measures.area(bed.areaM2)}; from {fullDate(sheet.fromDay)} to{' '}
        {fullDate(sheet.untilDay - 1)}
      </p>
      <YearInShort {...{ bed, question, years, year }} />
      {isThisYear && <YearLearnt key={bed.id} bed={bed} question={question} />}
      {isThisYear && bed.kind !== 'path' && (
        <div className="not-printed">
          <Choices question={question} bed={bed} year={year} sheet={sheet} />
        </div>
      )}
      <SheetBody sheet={sheet} bed={bed} />
      <div className="not-printed">
        {isThisYear && <Retest bed={bed} />}
        {isThisYear && <LiftBand key={bed.id} bed={bed} />}
        <CloseYear key={`${bed.id} ${year}`} sheet={sheet} bed={bed} />
      </div>
    </>
  );
}
