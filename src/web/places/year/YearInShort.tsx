import { Button } from 'antd';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { YearBrief } from '../../../core/season/index.ts';
import type { BedRecord } from '../../../records/bed.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { plainFigure } from '../../../words/figures.ts';
import { observedInWords, verdictWords } from '../../../words/journal-words.ts';
import { learntSentences } from '../../../words/learnt-words.ts';
import { briefSentences, changeOfMatter } from '../../../words/year-brief-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { datedNames } from '../../ui/garden/naming.ts';
import { observationsOf } from '../../ui/log/observations-of.ts';
import { useLikelyRange } from '../../ui/planning/use-likely-range.ts';
import type { BedQuestion } from '../../worker/bed-books.ts';
import { briefsQuery } from '../../worker/questions.ts';
import { ProofLink } from '../../ui/proof/ProofLink.tsx';

/** How many years stand beside each other. */
const MOST_COMPARED = 5;

interface InShortProps {
  readonly bed: BedRecord;
  readonly question: BedQuestion;
  /** Newest first. */
  readonly years: readonly number[];
  readonly year: number;
}

/** The year of a bed as one reads it in a minute, and beside the years before it. */
export function YearInShort({ bed, question, years, year }: InShortProps) {
  const books = useBooks();
  const measures = useMeasures();
  const observations = useMemo(() => observationsOf(books.journal, bed.id), [books.journal, bed.id]);
  const compared = useMemo(
    () =>
      years
        .filter((one) => one <= year)
        .slice(0, MOST_COMPARED)
        .toReversed(),
    [years, year],
  );
  const asked = useMemo(() => ({ observations, years: compared }), [observations, compared]);
  const { data } = useQuery(briefsQuery(question, asked, 0));
  const briefs = data?.ok ? data.result : [];
  const brief = briefs.at(-1);
  if (brief?.year !== year) return null;
  const before = briefs.at(-2);
  const setting = { names: books, measures };
  return (
    <>
      <section aria-label="The year in short" className="year-short">
        <h2>In short</h2>
        <ul>
          {briefSentences(brief, before && !before.isEmpty ? before : null, setting).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
        {brief.unexpected.length > 0 && (
          <ul className="unexpected">
            {brief.unexpected.map(({ observation, expectation }) => (
              <li key={observation.id}>
                {fullDate(dayOf(observation.date))}: {observedInWords(observation.observed, measures)},{' '}
                {verdictWords(expectation!).mark} {verdictWords(expectation!).word}
                {observation.note !== '' && <span className="soft"> {observation.note}</span>}
              </li>
            ))}
          </ul>
        )}
      </section>
      {briefs.length > 1 && <Compared briefs={briefs} />}
    </>
  );
}

interface Row {
  readonly name: string;
  readonly read: (brief: YearBrief) => string;
}

/** The years beside each other, the newest last. */
function Compared({ briefs }: { readonly briefs: readonly YearBrief[] }) {
  const measures = useMeasures();
  const rows: readonly Row[] = [
    { name: 'harvested', read: ({ yieldKg }) => (yieldKg > 0 ? measures.mass(yieldKg) : '–') },
    { name: 'hours of work', read: ({ hours }) => (hours > 0 ? plainFigure(hours, 3) : '–') },
    { name: 'carbon spread', read: ({ carbonInKg }) => measures.mass(carbonInKg) },
    { name: 'nitrogen spread', read: ({ nitrogenInG }) => measures.nitrogen(nitrogenInG) },
    { name: 'nitrogen fed', read: ({ fedNitrogenG }) => measures.nitrogen(fedNitrogenG) },
    { name: 'nitrogen washed out', read: ({ washedOutG }) => measures.nitrogen(Math.max(0, washedOutG)) },
    {
      name: 'organic matter',
      read: (one) => changeOfMatter(one.closingOrganicMatterPct - one.openingOrganicMatterPct),
    },
    { name: 'most pale days of a crop', read: ({ paleDays }) => String(paleDays) },
    { name: 'seen and not expected', read: ({ unexpected }) => String(unexpected.length) },
  ];
  return (
    <section aria-label="Beside earlier years" className="year-compared">
      <h2>Beside earlier years</h2>
      <div className="table-scroll" role="region" aria-label="Figures of the years" tabIndex={0}>
        <table className="ledger">
          <thead>
            <tr>
              <th className="words">year</th>
              {briefs.map(({ year, isOver }) => (
                <th key={year}>{isOver ? year : `${year} so far`}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, read }) => (
              <tr key={name}>
                <td className="words">{name}</td>
                {briefs.map((brief) => (
                  <td key={brief.year}>{read(brief)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** What the log of the bed has taught the model, drawn while one reads; on a device that is spared, when asked for. */
export function YearLearnt({ bed, question }: Pick<InShortProps, 'bed' | 'question'>) {
  const books = useBooks();
  const observations = useMemo(
    () => (bed.learnsFromLog ? observationsOf(books.journal, bed.id) : null),
    [books.journal, bed.id, bed.learnsFromLog],
  );
  const { shown, isStopped, goOn } = useLikelyRange({
    question,
    isWanted: bed.learnsFromLog,
    drawnQuestion: question,
    observations,
  });
  const isDrawn = shown?.isDone === true;
  const learnt = isDrawn ? shown.range.learnt : null;
  return (
    <section aria-label="What the model learnt" className="year-learnt">
      <h2>What the model learnt</h2>
      {!bed.learnsFromLog && (
        <p className="soft">On the page of this bed it was told not to learn from the log.</p>
      )}
      {bed.learnsFromLog && isStopped && (
        <p className="soft not-printed">
          Not worked out on this device, since it was stopped here.{' '}
          <Button size="small" onClick={goOn}>
            Work it out
          </Button>
        </p>
      )}
      {bed.learnsFromLog && !isStopped && !isDrawn && (
        <p className="soft">Trying likely soils, materials and weather …</p>
      )}
      {isDrawn && !learnt && (
        <p className="soft">
          Nothing yet: measure how much of a layer is left, look at the leaves, or have the soil tested.
        </p>
      )}
      {learnt && <ProofLink groups={['lock-up', 'supply', 'losses', 'carbon']} bedId={bed.id} />}
      {learnt && (
        <ul>
          {learntSentences(learnt, datedNames(books)).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
