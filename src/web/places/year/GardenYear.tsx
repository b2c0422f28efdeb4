import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { gardenYear, type YearBrief } from '../../../core/season/index.ts';
import type { BedRecord } from '../../../records/bed.ts';
import { counted } from '../../../words/counted.ts';
import { plainFigure } from '../../../words/figures.ts';
import { observedInWords, verdictWords } from '../../../words/journal-words.ts';
import type { Measures } from '../../../words/measures.ts';
import { changeOfMatter, hoursInWords, yieldsInWords } from '../../../words/year-brief-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { observationsOf } from '../../ui/log/observations-of.ts';
import { briefsQuery, questionAbout } from '../../worker/questions.ts';

interface GardenYearProps {
  readonly year: number;
}

interface BedYear {
  readonly bed: BedRecord;
  readonly brief: YearBrief;
  readonly before: YearBrief;
}

/** What is told of each bed. */
const COLUMNS: readonly {
  readonly name: string;
  readonly figure: (brief: YearBrief, measures: Measures) => string;
}[] = [
  { name: 'harvested', figure: ({ yieldKg }, { mass }) => (yieldKg > 0 ? mass(yieldKg) : '–') },
  { name: 'hours', figure: ({ hours }) => (hours > 0 ? plainFigure(hours, 3) : '–') },
  { name: 'carbon spread', figure: ({ carbonInKg }, { mass }) => mass(carbonInKg) },
  {
    name: 'nitrogen spread and fed',
    figure: ({ nitrogenInG, fedNitrogenG }, { nitrogen }) => nitrogen(nitrogenInG + fedNitrogenG),
  },
  { name: 'washed out', figure: ({ washedOutG }, { nitrogen }) => nitrogen(Math.max(0, washedOutG)) },
  {
    name: 'organic matter',
    figure: (brief) => changeOfMatter(brief.closingOrganicMatterPct - brief.openingOrganicMatterPct),
  },
  { name: 'most pale days', figure: ({ paleDays }) => String(paleDays) },
  { name: 'not expected', figure: ({ unexpected }) => String(unexpected.length) },
];

/** What all beds together were given, gave and taught in a year, bed by bed and against the year before. */
export function GardenYear({ year }: GardenYearProps) {
  const books = useBooks();
  const measures = useMeasures();
  const asked = useMemo(
    () =>
      books.beds.map((bed) => ({
        question: questionAbout(books, bed.id, books.today),
        asked: { observations: observationsOf(books.journal, bed.id), years: [year - 1, year] },
      })),
    [books, year],
  );
  const answers = useQueries({
    queries: asked.map((one, i) => briefsQuery(one.question, one.asked, i)),
  });
  const beds = books.beds.flatMap((bed, i): BedYear[] => {
    const data = answers[i]?.data;
    if (!data?.ok) return [];
    const [before, brief] = data.result;
    return before && brief ? [{ bed, brief, before }] : [];
  });
  const waiting = answers.filter(({ data }) => data === undefined).length;
  const refused = answers.flatMap(({ data }) => (data && !data.ok ? [data.sentence] : []));
  const totalOf = (read: (one: BedYear) => YearBrief) =>
    gardenYear(beds.map((one) => ({ brief: read(one), areaM2: one.bed.areaM2 })));
  const [now, before] = [totalOf(({ brief }) => brief), totalOf((one) => one.before)];
  const setting = { names: books, measures };
  const ofBefore = (figure: number, words: string): string =>
    figure > 0 ? ` (${words} in ${year - 1})` : '';
  const unexpected = beds.flatMap(({ bed, brief }) => brief.unexpected.map((seen) => ({ bed, ...seen })));
  return (
    <>
      {refused.map((sentence) => (
        <p key={sentence} className="trouble" role="alert">
          {sentence}
        </p>
      ))}
      {waiting > 0 && (
        <p className="soft" role="status">
          Adding up {counted(waiting, 'more bed')} …
        </p>
      )}
      <section aria-label="The year in short" className="year-short">
        <h2>In short</h2>
        <ul>
          <li>
            {now.yieldKg > 0
              ? `Harvested ${measures.mass(now.yieldKg)}${ofBefore(before.yieldKg, measures.mass(before.yieldKg))}: ${yieldsInWords(now.yields, setting)}.`
              : 'No harvest was written down.'}
          </li>
          {now.hours > 0 && (
            <li>
              The work took {hoursInWords(now.hours)}
              {ofBefore(before.hours, plainFigure(before.hours, 3))}.
            </li>
          )}
          <li>
            {measures.mass(now.carbonInKg)} of carbon and {measures.nitrogen(now.nitrogenInG)} of nitrogen
            were spread{ofBefore(before.carbonInKg, `${measures.mass(before.carbonInKg)} of carbon`)}, and{' '}
            {measures.nitrogen(now.fedNitrogenG)} of nitrogen fed.
          </li>
          <li>
            By the model {measures.nitrogen(Math.max(0, now.washedOutG))} of nitrogen were washed out
            {ofBefore(before.washedOutG, measures.nitrogen(before.washedOutG))}.
          </li>
          <li>Organic matter of the ground: {changeOfMatter(now.organicMatterChangePct)} on average.</li>
        </ul>
      </section>
      <section aria-label="Bed by bed" className="year-compared">
        <h2>Bed by bed</h2>
        <div className="table-scroll" role="region" aria-label="Figures of the beds" tabIndex={0}>
          <table className="ledger year-beds">
            <thead>
              <tr>
                <th className="words">bed</th>
                {COLUMNS.map(({ name }) => (
                  <th key={name}>{name}</th>
                ))}
              </tr>
            </thead>
            <tbody>
              {beds.map(({ bed, brief }) => (
                <tr key={bed.id}>
                  <td className="words">
                    <Link to={`?bed=${bed.id}&year=${year}`}>{bed.name}</Link>
                  </td>
                  {COLUMNS.map(({ name, figure }) => (
                    <td key={name} data-name={name}>
                      {figure(brief, measures)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <section aria-label="Not as expected" className="year-compared">
        <h2>Not as expected</h2>
        {unexpected.length === 0 ? (
          <p className="soft">{waiting > 0 ? '…' : 'Nothing was seen that the model did not expect.'}</p>
        ) : (
          <ul className="unexpected">
            {unexpected.map(({ bed, observation, expectation }) => (
              <li key={observation.id}>
                <Link to={`/garden/${books.garden.id}/bed/${bed.id}`}>{bed.name}</Link>:{' '}
                {observedInWords(observation.observed, measures)}: {verdictWords(expectation!).mark}{' '}
                {verdictWords(expectation!).word}
                {observation.note !== '' && <span className="soft"> {observation.note}</span>}
              </li>
            ))}
          </ul>
        )}
        <p className="soft">
          What to do next is chosen bed by bed: open a bed above for the three choices, and close its books
          there.
        </p>
      </section>
    </>
  );
}
