import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { gardenYear, type YearBrief } from '../../../core/season/index.ts';
import type { BedRecord } from '../../../records/bed.ts';
import { counted } from '../../../words/counted.ts';
import { plainFigure } from '../../../words/figures.ts';
import { observedInWords, verdictWords } from '../../../words/journal-words.ts';
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
          <table className="ledger">
            <thead>
              <tr>
                <th className="words">bed</th>
                <th>harvested</th>
                <th>hours</th>
                <th>carbon spread</th>
                <th>nitrogen spread and fed</th>
                <th>washed out</th>
                <th>organic matter</th>
                <th>most pale days</th>
                <th>not expected</th>
              </tr>
            </thead>
            <tbody>
              {beds.map(({ bed, brief }) => (
                <tr key={bed.id}>
                  <td className="words">
                    <Link to={`?bed=${bed.id}&year=${year}`}>{bed.name}</Link>
                  </td>
                  <td>{brief.yieldKg > 0 ? measures.mass(brief.yieldKg) : '–'}</td>
                  <td>{brief.hours > 0 ? plainFigure(brief.hours, 3) : '–'}</td>
                  <td>{measures.mass(brief.carbonInKg)}</td>
                  <td>{measures.nitrogen(brief.nitrogenInG + brief.fedNitrogenG)}</td>
                  <td>{measures.nitrogen(Math.max(0, brief.washedOutG))}</td>
                  <td>{changeOfMatter(brief.closingOrganicMatterPct - brief.openingOrganicMatterPct)}</td>
                  <td>{brief.paleDays}</td>
                  <td>{brief.unexpected.length}</td>
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
