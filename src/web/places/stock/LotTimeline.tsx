import type { TimelinePoint } from '../../../core/yard/index.ts';
import { useMeasures } from '../../app/garden-context.ts';
import { counted } from '../../../words/counted.ts';
import { shortDate } from '../../../words/dates.ts';
import { RIPENESS_WORDS, powerWords, ratioFigure, whatWords } from '../../../words/stock-words.ts';
import type { StockedLot } from '../../worker/stock-answers.ts';
import '../../ui/stock/stock.css';

interface LotTimelineProps {
  readonly points: readonly TimelinePoint[];
  readonly brief: StockedLot;
}

const whenWords = (months: number): string => (months === 0 ? 'today' : `in ${months} months`);

/** A pile today and over the next two years, in figures, and how far it lasts. */
export function LotTimeline({ points, brief }: LotTimelineProps) {
  const measures = useMeasures();
  if (points.every(({ there }) => there === null)) return null;
  const [aYear, twoYears] = brief.promises.rations;
  return (
    <section aria-label="Over the next two years">
      <div className="section-head">
        <h2>Over the next two years</h2>
        <span className="soft">
          with plans carried out
          {brief.promises.nextArrival !== null && ': what is delivered counts with what lies there'}
        </span>
      </div>
      <table className="ledger lot-rows">
        <thead>
          <tr>
            <th>when</th>
            <th className="words">what it is then</th>
            <th>volume</th>
            <th>weight</th>
            <th>C:N</th>
            <th>nitrogen</th>
            <th className="words">dug in, it</th>
          </tr>
        </thead>
        <tbody>
          {points.map(({ months, day, there }) => (
            <tr key={months}>
              <td>
                <strong>{whenWords(months)}</strong>, {shortDate(day)}
              </td>
              {there ? (
                <>
                  <td className="words">
                    {whatWords(there.what)}
                    {there.ripeness && `, ${RIPENESS_WORDS[there.ripeness]}`}
                  </td>
                  <td data-name="volume">{measures.volume(there.figures.volumeL)}</td>
                  <td data-name="weight">{measures.mass(there.figures.freshKg)}</td>
                  <td data-name="C:N">{ratioFigure(there.figures.carbonToNitrogen)}</td>
                  <td data-name="nitrogen">{measures.nitrogen(there.figures.nitrogenG)}</td>
                  <td className="words">{powerWords(there.power, measures)}</td>
                </>
              ) : (
                <td className="words soft" colSpan={6}>
                  nothing in it
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {aYear && twoYears && twoYears.eachL >= 1 && (
        <p className="soft">
          To make what is available last, take {measures.volume(aYear.eachL)} ({measures.barrows(aYear.eachL)}
          ) now and every three months for a year, {counted(aYear.quarters, 'time')}; or{' '}
          {measures.volume(twoYears.eachL)} ({measures.barrows(twoYears.eachL)}) for two years. It shrinks
          meanwhile; that is counted in.
        </p>
      )}
    </section>
  );
}
