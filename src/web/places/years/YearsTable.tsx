import { useMeasures } from '../../app/garden-context.ts';
import { OPINION_IDS } from '../../../core/model/index.ts';
import { type YearMeasure, isDrawn, isOfAYear, readMeasure } from '../../../core/long-run/index.ts';
import { formatPercent } from '../../../words/figures.ts';
import type { Measures } from '../../../words/measures.ts';
import { measureCell, measureTitle, measureUnit } from '../../../words/years-words.ts';
import { LineKey } from './HabitList.tsx';
import { likelyBand, SAMPLED_DEPTH_CM, type ViewedBed, type ViewedLine, type YearsView } from './view.ts';
import { ProofLink } from '../../ui/proof/ProofLink.tsx';

interface YearsTableProps {
  readonly view: YearsView;
  readonly measure: YearMeasure;
}

const TOLD_YEARS = [1, 3, 5, 10, 20, 30];

const toldYears = (years: number): number[] => {
  const told = TOLD_YEARS.filter((year) => year <= years);
  return told.includes(years) ? told : [...told, years];
};

/** The figures behind the chart, and what a person can see of it beside what nobody can. */
export function YearsTable({ view, measure }: YearsTableProps) {
  const measures = useMeasures();
  return (
    <section aria-label="Figures" className="years-table">
      {view.beds.map((bed) => (
        <BedTable key={bed.id} bed={bed} years={view.years} measure={measure} />
      ))}
      <p className="soft hint">
        Organic matter is given for the top {measures.rule('length', SAMPLED_DEPTH_CM)} beneath all layers, as
        a laboratory would find it there. What lies on top counts as a layer until it has sunk in. Fresh
        matter that wakes old humus (priming) is not counted.{' '}
        <ProofLink groups={['carbon', 'char', 'supply', 'losses']} />
      </p>
      <details>
        <summary>Why a line levels off, and what the range takes in</summary>
        <p className="soft">
          Every year a share of what is there decays. So the more humus a bed holds, the more of it goes,
          until as much goes as a habit adds: there the line comes to rest, and a larger dose only moves that
          height. Clay keeps humus longer, but the model knows no ceiling beyond which it holds no more
          (Hassink 1997, from memory): ground that is rich already may gain less than shown. Crops send carbon
          into their roots and leave their residues; harvests carry nitrogen away. In the likely range a line
          falls 8 times out of 10, with materials and parameters as they vary. For humus and organic matter it
          is widened to what three published models find with the same inputs, because models differ by more
          than their figures do.
        </p>
      </details>
    </section>
  );
}

interface BedTableProps extends Omit<YearsTableProps, 'view'> {
  readonly bed: ViewedBed;
  readonly years: number;
}

function BedTable({ bed, years, measure }: BedTableProps) {
  const measures = useMeasures();
  const told = toldYears(years);
  return (
    <div className="table-scroll">
      <table className="figures-table">
        <caption>
          {bed.name}: {measureTitle(measure)}, {measureUnit(measure, measures)}
        </caption>
        <thead>
          <tr>
            <th scope="col">Habit</th>
            {!isOfAYear(measure) && <th scope="col">now</th>}
            {told.map((year) => (
              <th key={year} scope="col">
                {year} y
              </th>
            ))}
            <th scope="col">likely, {years} y</th>
            {measure === 'humusCarbonG' && <th scope="col">other models, {years} y</th>}
            <th scope="col" className="seen">
              to be seen, {years} y
            </th>
            <th scope="col">lasting char</th>
          </tr>
        </thead>
        <tbody>
          {bed.lines.map((line) => (
            <tr key={line.line.id}>
              <th scope="row">
                <LineKey place={line.place} /> {line.line.name}
              </th>
              {!isOfAYear(measure) && <td>{cell({ line, year: 0, measure, measures })}</td>}
              {told.map((year) => (
                <td key={year}>{cell({ line, year, measure, measures })}</td>
              ))}
              <td>{likely(line, measure, measures)}</td>
              {measure === 'humusCarbonG' && <td>{byOthers(line, measures)}</td>}
              <td className="seen">{seenInWords(line, measures)}</td>
              <td>{lasting(line, bed.areaM2, measures)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const cell = ({
  line: { points },
  year,
  measure,
  measures,
}: {
  readonly line: ViewedLine;
  readonly year: number;
  readonly measure: YearMeasure;
  readonly measures: Measures;
}): string => measureCell(readMeasure(points[year]!, measure), measure, measures);

function likely(line: ViewedLine, measure: YearMeasure, measures: Measures): string {
  if (!isDrawn(measure)) return '';
  const band = likelyBand(line, measure);
  if (!band) return '…';
  return `${measureCell(band.low.at(-1)!, measure, measures)} to ${measureCell(band.high.at(-1)!, measure, measures)}`;
}

/** What the three published models find in the last year, the least and the most of them. */
function byOthers({ opinions }: ViewedLine, measures: Measures): string {
  if (!opinions) return '…';
  const theirs = OPINION_IDS.map((id) => opinions[id].at(-1)!);
  const cellOf = (g: number) => measureCell(g, 'humusCarbonG', measures);
  return `${cellOf(Math.min(...theirs))} to ${cellOf(Math.max(...theirs))}`;
}

/** Thickness and wood: what stands before a person in that year. */
function seenInWords({ points }: ViewedLine, measures: Measures): string {
  const { mulchCm, woodLeftShare } = points.at(-1)!;
  const layer = mulchCm < 0.05 ? 'bare soil' : `${measures.thickness(mulchCm)} of layer`;
  return woodLeftShare === null ? layer : `${layer}; ${formatPercent(woodLeftShare)} of the wood`;
}

/** Char that outlasts a century, for the whole area. */
function lasting({ points }: ViewedLine, areaM2: number, measures: Measures): string {
  const [low, likelyG, high] = points.at(-1)!.lastingCharG;
  if (likelyG < 0.5) return 'none';
  const kg = (g: number) => measures.mass((g * areaM2) / 1000);
  return `${kg(likelyG)} (${kg(low)} to ${kg(high)})`;
}
