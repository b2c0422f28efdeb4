import type { GardenBooks } from '../../../contract/garden-books.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import type { Band } from '../../../core/bed/index.ts';
import { OPINION_IDS } from '../../../core/model/index.ts';
import { type YearMeasure, guideOf, isOfAYear, readMeasure } from '../../../core/long-run/index.ts';
import { plainFigure } from '../../../words/figures.ts';
import type { Measures } from '../../../words/measures.ts';
import {
  figureInWords,
  measureCaption,
  measureFigure,
  measureUnit,
  OPINION_WORDS,
  STACK_WORDS,
  measureTitle,
} from '../../../words/years-words.ts';
import { evenScale } from '../../charts/even-scale.ts';
import { markOf } from '../../charts/line-marks.ts';
import { YearLines, type YearLine } from '../../charts/year-lines.tsx';
import { YearStack, type StackYear } from '../../charts/year-stack.tsx';
import { COLORS } from '../../theme/tokens.ts';
import { Pictured } from '../../drawing/Pictured.tsx';
import {
  likelyBand,
  limitSetting,
  lineAt,
  SAMPLED_DEPTH_CM,
  type ViewedBed,
  type ViewedLine,
  type YearsView,
} from './view.ts';

interface YearsChartsProps {
  readonly view: YearsView;
  readonly measure: YearMeasure;
  readonly isStacked: boolean;
  /** Place of the line whose range is shown. */
  readonly focus: number;
  readonly hasOpinions: boolean;
  /** Organic matter that is aimed at, %. */
  readonly aimPct: number | null;
}

/** What the charts show, in the measures they show it in. */
type Charted = YearsChartsProps & { readonly measures: Measures; readonly books: GardenBooks };

/** One chart a bed, all on one scale. */
export function YearsCharts(props: YearsChartsProps) {
  const { view, isStacked } = props;
  const charted = { ...props, measures: useMeasures(), books: useBooks() };
  const scale = isStacked ? stackScale(charted) : scaleOf(charted);
  return (
    <div className={view.beds.length > 1 ? 'years-charts side-by-side' : 'years-charts'}>
      {view.beds.map((bed) => (
        <BedChart key={bed.id} {...props} bed={bed} scale={scale} />
      ))}
    </div>
  );
}

const OPINION_MARKS = ['1 3', '6 2 1 2', '3 3'];

const valuesOf = (line: ViewedLine, measure: YearMeasure, measures: Measures): (number | null)[] =>
  line.points.map((point) =>
    isOfAYear(measure) && point.yearsAhead === 0
      ? null
      : measureFigure(readMeasure(point, measure), measure, measures),
  );

function linesOf(bed: ViewedBed, { measure, measures, hasOpinions, focus }: Charted): YearLine[] {
  const own = bed.lines.map((one): YearLine => ({
    id: one.line.id,
    name: one.line.name,
    mark: markOf(one.place),
    values: valuesOf(one, measure, measures),
  }));
  const opinions = hasOpinions ? lineAt(bed, focus)?.opinions : undefined;
  if (!opinions) return own;
  return [
    ...own,
    ...OPINION_IDS.map((id, i): YearLine => ({
      id: `opinion ${id}`,
      name: OPINION_WORDS[id].short,
      mark: { color: COLORS.softInk, dash: OPINION_MARKS[i] },
      values: opinions[id].map((g) => measureFigure(g, measure, measures)),
      isThin: true,
    })),
  ];
}

function bandOf(bed: ViewedBed, { measure, measures, focus }: Charted): Band | null {
  const line = lineAt(bed, focus);
  const band = line && likelyBand(line, measure);
  if (!band) return null;
  const from = isOfAYear(measure) ? 1 : 0;
  const shown = (values: readonly number[]) =>
    values.map((value, i) => (i < from ? Number.NaN : measureFigure(value, measure, measures)));
  return { low: shown(band.low), middle: shown(band.middle), high: shown(band.high) };
}

/** The guide value a measure is held against, in the unit of the chart; null where there is none. */
function guideIn(bed: ViewedBed, { measure, measures, books }: Charted): number | null {
  const guide = guideOf(measure, limitSetting(books, bed));
  return guide === null ? null : measureFigure(guide, measure, measures);
}

/** Round figures, evenly apart, around everything that is drawn; the same for all beds. */
function scaleOf(props: Charted): readonly number[] {
  const values = props.view.beds.flatMap((bed) => {
    const band = bandOf(bed, props);
    return [
      ...linesOf(bed, props).flatMap((line) => line.values.filter((value) => value !== null)),
      ...(band ? [...band.low, ...band.high].filter(Number.isFinite) : []),
      ...(guideIn(bed, props) === null ? [] : [guideIn(bed, props)!]),
    ];
  });
  if (values.length === 0) return [0, 1];
  return evenScale(values, props.measure === 'organicMatterPct');
}

function stackOf({ points }: ViewedLine, measures: Measures): StackYear[] {
  const shown = (g: number) => measureFigure(g, 'humusCarbonG', measures);
  return points.map((point) => ({
    year: point.yearsAhead,
    humus: shown(point.humusCarbonG),
    char: shown(point.charCarbonG),
    fresh: shown(point.freshCarbonG + point.microbialCarbonG),
  }));
}

function stackScale({ view, measures, focus }: Charted): readonly number[] {
  const sums = view.beds.flatMap((bed) => {
    const line = lineAt(bed, focus);
    return line ? stackOf(line, measures).map(({ humus, char, fresh }) => humus + char + fresh) : [];
  });
  return evenScale([0, ...sums], false);
}

function BedChart(given: YearsChartsProps & { bed: ViewedBed; scale: readonly number[] }) {
  const measures = useMeasures();
  const props = { ...given, measures, books: useBooks() };
  const { bed, scale, measure, isStacked, focus, view } = props;
  const line = lineAt(bed, focus);
  if (!line) return null;
  const words = isStacked
    ? `All carbon of “${line.line.name}”, ${measureUnit('humusCarbonG', measures)}`
    : measureCaption(measure, SAMPLED_DEPTH_CM, measures);
  const band = isStacked ? null : bandOf(bed, props);
  const guide = isStacked ? null : guideIn(bed, props);
  return (
    <div className="years-chart">
      <div className="years-chart-head">
        <h2>{bed.name}</h2>
      </div>
      <Pictured title={`${bed.name} ${isStacked ? 'all carbon' : measureTitle(measure)}`}>
        {isStacked ? (
          <YearStack
            years={stackOf(line, measures)}
            names={{
              humus: STACK_WORDS.humusCarbonG,
              char: STACK_WORDS.charCarbonG,
              fresh: STACK_WORDS.freshCarbonG,
            }}
            scale={scale}
            description={`${bed.name}: ${words}`}
            caption={words}
            format={(figure) => figureInWords(figure, 'humusCarbonG', measures)}
          />
        ) : (
          <YearLines
            lines={linesOf(bed, props)}
            years={view.years}
            band={band && { color: markOf(line.place).color, low: band.low, high: band.high }}
            scale={scale}
            level={
              measure === 'organicMatterPct' &&
              props.aimPct !== null &&
              props.aimPct <= scale.at(-1)! &&
              props.aimPct >= scale[0]!
                ? { value: props.aimPct, words: `aim: ${plainFigure(props.aimPct)} %` }
                : null
            }
            limit={
              guide === null
                ? null
                : { value: guide, words: `guide value: ${figureInWords(guide, measure, measures)}` }
            }
            description={`${bed.name}: ${words}`}
            format={(figure) => figureInWords(figure, measure, measures)}
            caption={band ? `${words}; ${bandWords(line, measure)}` : words}
          />
        )}
      </Pictured>
    </div>
  );
}

const bandWords = ({ line, opinions }: ViewedLine, measure: YearMeasure): string =>
  opinions && (measure === 'humusCarbonG' || measure === 'organicMatterPct')
    ? `the shaded band holds “${line.name}” 8 times out of 10, and what three other models say of it`
    : `8 times out of 10 “${line.name}” falls in the shaded band`;
