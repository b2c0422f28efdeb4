import { amountOnArea } from './amount-words.ts';
import type { OwnCrop } from '../records/crop.ts';
import type { MaterialRecord } from '../records/material.ts';
import type { HabitAct } from '../records/habit.ts';
import { findCrop } from '../core/ground/index.ts';
import type { OpinionId } from '../core/model/index.ts';
import {
  type AmountAnswer,
  type AmountWithin,
  type HabitTemplateId,
  type Target,
  type YearMeasure,
  ownMonth,
} from '../core/long-run/index.ts';
import { MONTH_NAMES } from './dates.ts';
import { formatFixed, plainFigure } from './figures.ts';
import { type Measures } from './measures.ts';
import { materialName } from './record-names.ts';

export const TEMPLATE_WORDS: Record<HabitTemplateId, { readonly name: string; readonly what: string }> = {
  nothing: { name: 'Nothing spread', what: 'The crops go on, and nothing is brought.' },
  chipsOnly: { name: 'Chips only', what: 'Branch chips every autumn.' },
  compostYearly: { name: 'Compost yearly', what: 'Compost on top every spring.' },
  compostAndChar: {
    name: 'Compost and char',
    what: 'Compost every spring, and a little charged char dug in with it for ten years.',
  },
  manureUnderCard: {
    name: 'Manure under card',
    what: 'Manure, card and straw every third autumn.',
  },
  pathFactory: {
    name: 'Path factory',
    what: 'Every second spring what a path has made of its chips.',
  },
  coverCrops: {
    name: 'Three cover crops a year',
    what: 'Phacelia, lupin, then vetch and rye, each cut and left; nothing else grows.',
  },
  thinFeeding: {
    name: 'Thin feeding mulch',
    what: 'A little compost, then clippings and leaves in thin layers all year.',
  },
  wholeProgram: {
    name: 'Whole program',
    what: 'Manure under card, char, a cover crop, path crumbs, castings and leaves together.',
  },
  stack: { name: 'Stack', what: 'Chips every autumn, never taken off.' },
  pullYearly: {
    name: 'Pull and bring back',
    what: 'Chips every autumn; pulled a year later, rotted elsewhere and brought back.',
  },
  rotate: { name: 'Rotate', what: 'Two years under chips, the third under clover with nothing spread.' },
};

interface MeasureWords {
  readonly name: string;
  /** After a figure, in a sentence. */
  readonly inSentence: string;
  /** What stands under the chart; `depth` is that of the sampled soil. */
  readonly caption: (depth: string) => string;
}

export const YEAR_MEASURE_WORDS: Record<YearMeasure, MeasureWords> = {
  organicMatterPct: {
    name: 'Organic matter',
    inSentence: 'organic matter',
    caption: (depth) =>
      `Organic matter of the top ${depth} beneath all layers, as a laboratory finds it, % of the soil’s weight`,
  },
  humusCarbonG: {
    name: 'Humus',
    inSentence: 'of carbon in humus',
    caption: () => 'Carbon in humus, what the soil had included',
  },
  charCarbonG: { name: 'Char', inSentence: 'of carbon in char', caption: () => 'Carbon in char' },
  freshCarbonG: {
    name: 'Fresh',
    inSentence: 'of carbon in fresh matter',
    caption: () => 'Carbon in what can still be recognized',
  },
  mulchCm: {
    name: 'Layer',
    inSentence: 'of layer',
    caption: () => 'Height of everything that lies on the soil',
  },
  riseCm: {
    name: 'Height',
    inSentence: 'above the first surface',
    caption: () => 'Height of the bed above its first surface: what lies on it and what has become soil',
  },
  nitrogenGivenG: {
    name: 'N given',
    inSentence: 'of nitrogen given',
    caption: () =>
      'Nitrogen set free for roots in the year before, less what decomposers took back (net mineralization)',
  },
  nitrogenBankG: {
    name: 'N bank',
    inSentence: 'of nitrogen bound',
    caption: () => 'Nitrogen bound in humus, layers, decomposers and char: what the soil can still give',
  },
  nitrogenWantedG: {
    name: 'N to buy',
    inSentence: 'of nitrogen to buy',
    caption: () => 'Bought nitrogen of the year before, with what crops missed for want of more',
  },
  nitrogenLostG: {
    name: 'N lost',
    inSentence: 'of nitrogen lost for good',
    caption: () => 'Nitrogen of the year before that went to the air or below all roots',
  },
  nitrogenWashedOutG: {
    name: 'N washed out',
    inSentence: 'of nitrogen washed out',
    caption: () => 'Nitrogen washed out of the depth of the bed in the year before, and not fetched back',
  },
  nitrogenSurplusG: {
    name: 'N surplus',
    inSentence: 'of nitrogen surplus',
    caption: () =>
      'Nitrogen that came in the year before (spread, fed, from the air) less what harvests and lifting took away: it stays bound in the bed or is lost',
  },
  phosphorusG: {
    name: 'Phosphorus',
    inSentence: 'of phosphorus spread',
    caption: () => 'Phosphorus in what was spread in the year before, from tables',
  },
  potassiumG: {
    name: 'Potassium',
    inSentence: 'of potassium spread',
    caption: () => 'Potassium in what was spread in the year before, from tables',
  },
  carbonToAirG: {
    name: 'To the air',
    inSentence: 'of carbon to the air',
    caption: () => 'Carbon breathed out in the year before',
  },
};

/** The name of a measure in the middle of a title: the sign of an element stays as it is. */
export const measureTitle = (measure: YearMeasure): string =>
  YEAR_MEASURE_WORDS[measure].name.replace(/^[A-Z](?=[a-z])/, (letter) => letter.toLowerCase());

/** The measures as people look for them. */
export const YEAR_MEASURE_GROUPS: readonly {
  readonly name: string;
  readonly measures: readonly YearMeasure[];
}[] = [
  { name: 'Soil', measures: ['organicMatterPct', 'humusCarbonG', 'charCarbonG', 'riseCm'] },
  { name: 'On top', measures: ['freshCarbonG', 'mulchCm', 'carbonToAirG'] },
  {
    name: 'Nitrogen',
    measures: [
      'nitrogenGivenG',
      'nitrogenWantedG',
      'nitrogenLostG',
      'nitrogenWashedOutG',
      'nitrogenSurplusG',
      'nitrogenBankG',
    ],
  },
  { name: 'Minerals', measures: ['phosphorusG', 'potassiumG'] },
];

/** What a chart of a measure is of, with its unit. */
export function measureCaption(measure: YearMeasure, sampledDepthCm: number, measures: Measures): string {
  const words = YEAR_MEASURE_WORDS[measure].caption(measures.rule('length', sampledDepthCm));
  return measure === 'organicMatterPct' ? words : `${words}, ${measureUnit(measure, measures)}`;
}

/** What parts a bed's carbon is stacked of, from the bottom up. */
export const STACK_WORDS = {
  humusCarbonG: 'humus',
  charCarbonG: 'char',
  freshCarbonG: 'fresh matter and decomposers',
} as const;

const isHeight = (measure: YearMeasure): boolean => measure === 'mulchCm' || measure === 'riseCm';

const isCarbon = (measure: YearMeasure): boolean =>
  measure.includes('Carbon') || measure.startsWith('carbon');

/** The unit figures of a measure are drawn in, per m2. */
export function measureUnit(measure: YearMeasure, measures: Measures): string {
  if (measure === 'organicMatterPct') return '%';
  if (isHeight(measure)) return measures.depthUnit;
  return isCarbon(measure) ? measures.areaMassUnit : measures.rateUnit;
}

/** A figure of a measure as a plain number in that unit. */
export function measureFigure(value: number, measure: YearMeasure, measures: Measures): number {
  if (measure === 'organicMatterPct') return value;
  if (isHeight(measure)) return measures.depthFigure(value);
  return isCarbon(measure) ? measures.areaMassFigure(value / 1000) : measures.rateFigure(value);
}

/** The same in words, with its unit. */
export function measureInWords(value: number, measure: YearMeasure, measures: Measures): string {
  return figureInWords(measureFigure(value, measure, measures), measure, measures);
}

/** The same for a column of figures. */
export function measureCell(value: number, measure: YearMeasure, measures: Measures): string {
  return figureCell(measureFigure(value, measure, measures), measure, measures);
}

function figureCell(figure: number, measure: YearMeasure, { rateDecimals }: Measures): string {
  if (measure === 'organicMatterPct' || isHeight(measure)) return formatFixed(figure, 1);
  return formatFixed(figure, isCarbon(measure) ? (Math.abs(figure) < 10 ? 2 : 1) : rateDecimals);
}

/** A plain number in the unit of a measure, in words with that unit. */
export const figureInWords = (figure: number, measure: YearMeasure, measures: Measures): string =>
  `${figureCell(figure, measure, measures)} ${measureUnit(measure, measures)}`;

/** A difference with its sign. */
export const signed = (words: string): string =>
  /^[-−]/.test(words) ? words.replace('-', '−') : `+${words}`;

const OFTEN = ['', 'every year', 'every second year', 'every third year'];
const often = (everyYears: number): string => OFTEN[everyYears] ?? `every ${everyYears} years`;

function span({ fromYear, untilYear }: HabitAct): string {
  if (untilYear !== null) return `, years ${fromYear} to ${untilYear}`;
  return fromYear > 1 ? `, from year ${fromYear}` : '';
}

/** One act of a habit as a line to read. */
export function actWords({
  act,
  materials,
  crops,
  measures,
  isSouth,
}: {
  readonly act: HabitAct;
  readonly materials: readonly MaterialRecord[];
  readonly crops: readonly OwnCrop[];
  readonly measures: Measures;
  readonly isSouth: boolean;
}): string {
  const when = `${MONTH_NAMES[ownMonth(act.month, isSouth) - 1]!}, ${often(act.everyYears)}${span(act)}`;
  switch (act.type) {
    case 'lay': {
      const name = materialName(act.materialId, [...materials]);
      const much = amountOnArea(act, measures);
      const dug = act.dugDepthCm > 0 ? `, dug in to ${measures.thickness(act.dugDepthCm)}` : '';
      const old = act.seasonedMonths > 0 ? `, ${act.seasonedMonths} months old` : '';
      return `${name}, ${much}${old}${dug}: ${when}`;
    }
    case 'grow':
      return `${findCrop(act.cropId, crops)?.name ?? act.cropId}, sown and left where it grew: ${when}`;
    case 'feed':
      return `Bought nitrogen, ${measures.rate(act.nitrogenGPerM2)}: ${when}`;
    case 'pull':
      return `All mulch pulled off: ${when}`;
  }
}

export const OPINION_WORDS: Record<
  OpinionId,
  { readonly name: string; readonly short: string; readonly what: string }
> = {
  fivePools: {
    name: 'Coleman and Jenkinson 1996',
    short: 'Coleman & J. 1996',
    what: 'five pools, month by month; takes compost for farmyard manure and wood for shrubs, all of it in the soil',
  },
  youngAndOld: {
    name: 'Andrén and Kätterer 1997',
    short: 'Andrén & K. 1997',
    what: 'a young and an old pool at one yearly pace; 12.5 % of plant carbon and 31 % of manure and compost grows old',
  },
  isohumic: {
    name: 'Hénin and Dupuis 1945',
    short: 'Hénin & D. 1945',
    what: 'one pool; a fixed share of all that is spread becomes humus at once, and 1 to 3 % of humus is lost a year',
  },
};

export const WHY_OPINIONS_DIFFER =
  'They differ because they know nothing of nitrogen and little of wood: where ours slows a layer that lies dry on top or starves, they count everything as dug in and fed; and each divides fresh matter from humus at another point. Char is left out of theirs.';

export function targetWords(target: Target, measures: Measures): string {
  switch (target.type) {
    case 'organicMatter':
      return `${plainFigure(target.pct)} % organic matter`;
    case 'noBoughtNitrogen':
      return 'no bought nitrogen';
    case 'lastingCarbon':
      return `${measures.mass(target.massKg)} of lasting carbon`;
  }
}

/** What was found for an amount, with what draws make of it. */
export function amountWords({
  own,
  drawn,
  unit,
  perUnit,
  byYear,
}: {
  readonly own: AmountAnswer;
  readonly drawn: readonly AmountAnswer[];
  readonly unit: string;
  /** What one of the answers comes to in that unit. */
  readonly perUnit: number;
  readonly byYear: number;
}): string {
  const words = (amount: number, digits?: number) => plainFigure(amount * perUnit, digits);
  const withUnit = (amount: number) => `${words(amount)} ${unit}`;
  switch (own.status) {
    case 'notNeeded':
      return `The target is met in year ${byYear} without any of it.`;
    case 'infeasible':
      return `It cannot be done: even ${words(own.most)} ${unit} each time falls short in year ${byYear}. Take another material, give it more years, or lower the target.${withinWords(own.way.within, byYear, withUnit)}`;
    case 'solved': {
      const between = `between ${words(own.low)} and ${words(own.high)} with the model’s default figures`;
      const found = drawn.flatMap((one) =>
        one.status === 'solved' ? [one.amount] : one.status === 'notNeeded' ? [0] : [],
      );
      const sorted = found.toSorted((a, b) => a - b);
      const range =
        sorted.length >= 5
          ? ` 8 times out of 10 it takes ${words(sorted[Math.floor(sorted.length * 0.1)]!, 2)} to ${words(sorted[Math.ceil(sorted.length * 0.9) - 1]!, 2)}.`
          : '';
      const never = drawn.length - found.length;
      const not = never > 0 ? ` In ${never} of ${drawn.length} likely cases no amount gets there.` : '';
      return `${withUnit(own.amount)} each time (${between}).${range}${not}${withinWords(own.way.within, byYear, withUnit)}`;
    }
  }
}

/** The most that passes no limit, when the amount found does. */
function withinWords(
  within: AmountWithin | null,
  byYear: number,
  withUnit: (amount: number) => string,
): string {
  if (!within) return '';
  const { amount, point } = within;
  const reached = `${plainFigure(point.organicMatterPct, 2)} % organic matter`;
  return ` That passes a limit. The most that does not is ${withUnit(amount)} each time; by year ${byYear} it comes to ${reached}.`;
}
