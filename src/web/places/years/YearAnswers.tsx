import { FEWEST_DRAWS } from '../../../core/projection/likely-range.ts';
import { bandOfYears, differenceOf } from '../../../core/years/years-range.ts';
import { fixed } from '../../../words/figures.ts';
import type { Measures } from '../../../words/measures.ts';
import { measureCell, signed } from '../../../words/years-words.ts';
import { markOf } from '../../charts/line-marks.ts';
import { lineAt, type ViewedBed, type ViewedLine, type YearsView } from './view.ts';

interface YearAnswersProps {
  readonly view: YearsView;
  readonly focus: number;
  readonly measures: Measures;
}

/** What it comes to in the last year, one sentence a bed: the habit in focus, and how much more than the first. */
export function YearAnswers({ view, focus, measures }: YearAnswersProps) {
  return (
    <div className="year-answers" role="status">
      {view.beds.map((bed) => {
        const line = lineAt(bed, focus);
        return line ? (
          <Answer
            key={bed.id}
            bed={bed}
            line={line}
            place={line.place}
            years={view.years}
            measures={measures}
          />
        ) : null;
      })}
    </div>
  );
}

interface AnswerProps {
  readonly bed: ViewedBed;
  readonly line: ViewedLine;
  readonly place: number;
  readonly years: number;
  readonly measures: Measures;
}

function Answer({ bed, line, place, years, measures }: AnswerProps) {
  const [now, last] = [line.points[0]!, line.points.at(-1)!];
  const range = line.draws.length >= FEWEST_DRAWS ? bandOfYears(line.draws, 'organicMatterPct') : null;
  const base = bed.lines.find((one) => one !== line);
  return (
    <p className="year-answer">
      <strong style={{ color: markOf(place).color }}>{line.line.name}</strong> on {bed.name}:{' '}
      <span className="figure">{fixed(now.organicMatterPct, 1)} %</span> organic matter now,{' '}
      <strong className="figure">{fixed(last.organicMatterPct, 1)} %</strong>
      {range && (
        <span className="soft">
          {' '}
          ({fixed(range.low.at(-1)!, 1)} to {fixed(range.high.at(-1)!, 1)})
        </span>
      )}{' '}
      in {years} {years === 1 ? 'year' : 'years'}
      {base && base !== line && <>; {differenceWords(line, base, years, measures)}</>}.
    </p>
  );
}

function differenceWords(line: ViewedLine, base: ViewedLine, years: number, measures: Measures): string {
  const own = line.points.at(-1)!.organicMatterPct - base.points.at(-1)!.organicMatterPct;
  const drawn = differenceOf(line.draws, base.draws, years, 'organicMatterPct');
  const told = (value: number) => signed(measureCell(value, 'organicMatterPct', measures));
  const range =
    drawn && line.draws.length >= FEWEST_DRAWS ? ` (${told(drawn.low)} to ${told(drawn.high)})` : '';
  return `${told(own)} points${range} against “${base.line.name}”`;
}
