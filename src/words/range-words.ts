import type { Influence, LikelyRange, Spread } from '../core/bed/index.ts';
import { PARAMETER_TABLE } from '../core/model/index.ts';
import type { BedNames } from './advice-words.ts';
import { lowered } from './capitalized.ts';
import { formatPercent } from './figures.ts';
import type { Measures } from './measures.ts';

const tenths = (share: number): string => `${Math.round(share * 10)} times out of 10`;

/** From the low to the high end of a spread, the unit said once by `say`. */
export const rangeInWords = (
  { low, high }: Spread,
  figure: (value: number) => string,
  unit: string,
): string =>
  figure(low) === figure(high) ? `${figure(low)} ${unit}` : `${figure(low)} to ${figure(high)} ${unit}`;

/** How sure the forecast is, in sentences. */
export function rangeSentences({
  range,
  crop,
  names,
  measures,
}: {
  readonly range: LikelyRange;
  readonly crop: string;
  readonly names: BedNames;
  readonly measures: Measures;
}): string[] {
  const rate = (value: number) => measures.rateFigure(value).toFixed(measures.rateDecimals);
  const { enoughShare, missedShare, peakHeldG, waterSavedMm, influences } = range;
  const years = range.organicMatterPct;
  return [
    ...(enoughShare === null
      ? []
      : [
          `${tenths(enoughShare)}: no shortage for ${crop}.${
            enoughShare < 0.95
              ? ` Unfed it gets ${formatPercent(1 - missedShare.high)} to ${formatPercent(1 - missedShare.low)} of the nitrogen it needs.`
              : ''
          }`,
        ]),
    ...(Number(rate(peakHeldG.high)) > 0
      ? [`Locked up at most in the coming year: ${rangeInWords(peakHeldG, rate, measures.rateUnit)}.`]
      : []),
    ...(years
      ? [
          `Organic matter in ten years: ${years.low.at(-1)!.toFixed(1)} to ${years.high.at(-1)!.toFixed(1)} %.`,
        ]
      : []),
    ...(waterSavedMm.high >= 1
      ? [
          `Under the layers ${measures.water(waterSavedMm.low)} to ${measures.water(waterSavedMm.high)} of water a year stay in the soil that would evaporate from bare ground.`,
        ]
      : []),
    ...measureFirst(influences, names),
  ];
}

/** What decides most, and what a gardener could measure of it. */
function measureFirst(influences: readonly Influence[], names: BedNames): string[] {
  const measurable = influences.find(({ input }) => !isParameter(input));
  const strongest = influences[0];
  if (!strongest) return [];
  const words = [`It depends most on ${inputWords(strongest.input, names)}.`];
  if (measurable && measurable !== strongest) {
    words.push(`Of what you can measure: ${inputWords(measurable.input, names)}.`);
  }
  return words;
}

/** What was drawn of a soil, a crop and the weather, in words; of these a gardener can measure all but two. */
const DRAWN_WORDS: Readonly<Record<string, string>> = {
  'soil:organicMatter': 'the organic matter of the soil (a laboratory can tell)',
  'soil:bulkDensity': 'how dense the soil is (dry and weigh a tin of known volume)',
  'crop:demand': 'how much nitrogen the crop takes up (weigh a harvest)',
  'soil:lability': 'what nobody can measure in a garden: how readily this soil gives up its nitrogen',
  rainGapDays: 'what nobody can know ahead: how many days lie between rains',
  exposure: 'how damp the layers lie',
};

const MATERIAL_WORDS: Readonly<Record<string, (name: string) => string>> = {
  ratio: (name) => `the C:N of the ${name} (a lab test, or a closer look at its parts)`,
  moisture: (name) => `the moisture of the ${name} (weigh and dry a handful)`,
  ammonium: (name) => `how much of the nitrogen of the ${name} is ammonium (a lab test)`,
  makeup: (name) => `how much of the ${name} is soft and quick to rot (a closer look at its parts)`,
  rate: (name) => `how fast the ${name} rots (measure its thickness now and then)`,
};

const NOT_MEASURABLE = new Set(['soil:lability', 'rainGapDays', 'exposure']);
const isParameter = (input: string): boolean => input in PARAMETER_TABLE || NOT_MEASURABLE.has(input);

export function inputWords(input: string, names: BedNames): string {
  const drawn = DRAWN_WORDS[input];
  if (drawn !== undefined) return drawn;
  const [, layerId = '', figure = ''] = input.split(':');
  const ofMaterial = MATERIAL_WORDS[figure];
  if (ofMaterial !== undefined) return ofMaterial(lowered(names.layer(layerId)));
  const row = PARAMETER_TABLE[input as keyof typeof PARAMETER_TABLE];
  return `what nobody can measure in a garden: ${row.meaning}`;
}
