import { counted } from '../../../words/counted.ts';
import { Fragment } from 'react';
import { limitInWords } from '../../../words/limit-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { FEWEST_DRAWS } from '../../../core/bed/index.ts';
import {
  type LimitSetting,
  type YearMeasure,
  differenceOf,
  isOfAYear,
  limitsOfYears,
  readMeasure,
} from '../../../core/long-run/index.ts';
import type { Measures } from '../../../words/measures.ts';
import { measureCell, measureInWords, signed, YEAR_MEASURE_WORDS } from '../../../words/years-words.ts';
import { markOf } from '../../charts/line-marks.ts';
import { likelyBand, limitSetting, lineAt, type ViewedBed, type ViewedLine, type YearsView } from './view.ts';

interface YearAnswersProps {
  readonly view: YearsView;
  readonly focus: number;
  readonly measure: YearMeasure;
}

/** What it comes to in the last year, one sentence a bed: the habit in focus, and how much more than another. */
export function YearAnswers({ view, focus, ...told }: YearAnswersProps) {
  const books = useBooks();
  return (
    <div className="year-answers" role="status">
      {view.beds.map((bed) => {
        const line = lineAt(bed, focus);
        if (!line) return null;
        return (
          <Fragment key={bed.id}>
            <Answer bed={bed} line={line} years={view.years} {...told} />
            <YearLimits line={line} setting={limitSetting(books, bed)} />
          </Fragment>
        );
      })}
    </div>
  );
}

/** What is more than a guide value allows, in the year in which it is most. */
function YearLimits({ line, setting }: Pick<AnswerProps, 'line'> & { readonly setting: LimitSetting }) {
  const measures = useMeasures();
  const limits = limitsOfYears(line.points, setting);
  if (limits.length === 0) return null;
  return (
    <ul className="trouble year-limits" aria-label="Limits that are passed">
      {limits.map(({ yearsAhead, limit }) => (
        <li key={limit.code}>
          ⚠ In year {yearsAhead}: {limitInWords(limit, measures, line.points[yearsAhead]!.day)}
        </li>
      ))}
    </ul>
  );
}

interface AnswerProps extends Omit<YearAnswersProps, 'view' | 'focus'> {
  readonly bed: ViewedBed;
  readonly line: ViewedLine;
  readonly years: number;
}

function Answer({ bed, line, years, measure }: AnswerProps) {
  const measures = useMeasures();
  const [now, last] = [line.points[0]!, line.points.at(-1)!];
  const words = (value: number) => measureInWords(value, measure, measures);
  const cell = (value: number) => measureCell(value, measure, measures);
  const range = likelyBand(line, measure);
  const base = bed.lines.find((one) => one !== line);
  const name = YEAR_MEASURE_WORDS[measure].inSentence;
  return (
    <p className="year-answer">
      <strong style={{ color: markOf(line.place).color }}>{line.line.name}</strong> on {bed.name}:{' '}
      {!isOfAYear(measure) && (
        <>
          <span className="figure">{words(readMeasure(now, measure))}</span> {name} now,{' '}
        </>
      )}
      <strong className="figure">{words(readMeasure(last, measure))}</strong>
      {isOfAYear(measure) && ` ${name}`}
      {range && (
        <span className="soft">
          {' '}
          ({cell(range.low.at(-1)!)} to {cell(range.high.at(-1)!)})
        </span>
      )}{' '}
      in {isOfAYear(measure) ? `year ${years}` : counted(years, 'year')}
      {base && <>; {differenceWords({ line, base, years, measure, measures })}</>}.
    </p>
  );
}

function differenceWords({
  line,
  base,
  years,
  measure,
  measures,
}: {
  readonly line: ViewedLine;
  readonly base: ViewedLine;
  readonly years: number;
  readonly measure: YearMeasure;
  readonly measures: Measures;
}): string {
  const at = ({ points }: ViewedLine) => readMeasure(points.at(-1)!, measure);
  const told = (value: number) => signed(measureCell(value, measure, measures));
  const drawn = differenceOf({ draws: line.draws, others: base.draws, yearsAhead: years, measure });
  const range =
    drawn && line.draws.length >= FEWEST_DRAWS ? ` (${told(drawn.low)} to ${told(drawn.high)})` : '';
  const points = measure === 'organicMatterPct' ? ' points' : '';
  return `${told(at(line) - at(base))}${points}${range} against “${base.line.name}”`;
}
