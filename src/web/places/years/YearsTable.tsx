import { useMeasures } from '../../app/garden-context.ts';
import { FEWEST_DRAWS } from '../../../core/bed/index.ts';
import { type YearMeasure, bandOfYears, isOfAYear, readMeasure } from '../../../core/long-run/index.ts';
import { formatPercent } from '../../../words/figures.ts';
import type { Measures } from '../../../words/measures.ts';
import { measureCell, measureUnit, YEAR_MEASURE_WORDS } from '../../../words/years-words.ts';
import { LineKey } from './HabitList.tsx';
import { SAMPLED_DEPTH_CM, type ViewedBed, type ViewedLine, type YearsView } from './view.ts';

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
        matter that wakes old humus (priming) is not counted.
      </p>
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
          {bed.name}: {YEAR_MEASURE_WORDS[measure].name.toLowerCase()}, {measureUnit(measure, measures)}
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

function likely({ draws }: ViewedLine, measure: YearMeasure, measures: Measures): string {
  if (draws.length < FEWEST_DRAWS) return '…';
  const { low, high } = bandOfYears(draws, measure);
  return `${measureCell(low.at(-1)!, measure, measures)} to ${measureCell(high.at(-1)!, measure, measures)}`;
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
