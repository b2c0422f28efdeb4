import type {
  BedStanding,
  CropProspect,
  FeedingPlan,
  PlannedDose,
  ProductDose,
  UnmetNeed,
  UnmetReason,
} from '../core/bed/index.ts';
import { type DayNumber, total } from '../core/ground/index.ts';
import type { Answer, BedNames } from './advice-words.ts';
import { aboutWhen, dateNear } from './dates.ts';
import { formatPercent } from './figures.ts';
import type { Measures } from './measures.ts';
import { eachPotWords } from './pot-words.ts';

/** A product the plan names, for one bed. */
export interface ChosenProduct {
  readonly name: string;
  readonly dose: (nitrogenGPerM2: number) => ProductDose | null;
}

/** What the sentences about feeding are made for. */
export interface FeedingWordsSetting {
  readonly areaM2: number;
  /** Null for a bed in the ground. */
  readonly potCount: number | null;
  readonly names: BedNames;
  readonly measures: Measures;
  readonly product: (materialId: string) => ChosenProduct;
}

/** Less than this, for a whole bed, is rounding, g. */
const WORTH_SAYING_G = 0.5;
/** Crops named one by one; more are counted as they come in the plan. */
const MOST_NAMED = 3;

/** One crop finds enough, several find it. */
const enoughSentence = (crops: string): string =>
  `${crops} ${crops.includes(' and ') ? 'find' : 'finds'} enough.`;

/** What a dose comes to in the product chosen. */
export function productWords(
  { massFreshKg, volumeL, waterL, parts }: ProductDose,
  name: string,
  measures: Measures,
): string {
  const water = waterL > 0 ? ` in ${measures.liquid(waterL)} of water` : '';
  const split = parts > 1 ? `, in ${parts} parts two weeks apart` : '';
  return `${measures.mass(massFreshKg)} or ${measures.smallVolume(volumeL)} of ${name}${water}${split}`;
}

/** Why a need stays unmet, after the name of the crop and what it misses. */
const REASON_WORDS: Readonly<Record<UnmetReason, (measures: Measures, capGPerM2: number) => string>> = {
  tooLate: () => 'so close to the harvest a dose no longer reaches it',
  afterMidsummer: () => 'after midsummer feeding makes soft shoots that frost takes',
  cap: (measures, capGPerM2) => `more than ${measures.rate(capGPerM2)} of nitrogen in a year is not advised`,
  atOnce: () => 'no more can be given at a time, two weeks apart',
  swallowed: () => 'what you spread would take up more nitrogen than the crop would get of it',
  littleEach: () => 'at no time is enough missing to be worth a walk',
  tooCold: () => 'it is missing while the soil is too cold to feed',
};

function unmetSentence(
  { cropId, missedG, demandG, reason }: UnmetNeed,
  { capG }: FeedingPlan,
  { names, measures }: FeedingWordsSetting,
): string {
  const crop = names.crops([cropId]);
  return `${crop} will still miss ${formatPercent(missedG / demandG)} of its need: ${REASON_WORDS[reason](measures, capG)}.`;
}

/** What happens to the crops that go short when nothing is done. */
function unfedSentences(
  prospects: readonly CropProspect[],
  { today }: BedStanding,
  { names }: FeedingWordsSetting,
): string[] {
  return prospects.map(({ id, shortG, demandG, shortWithoutMaterialsG, paleDays, firstPaleDay }) => {
    const since = firstPaleDay === null ? '' : ` from ${aboutWhen(firstPaleDay, today)}`;
    const pale = paleDays > 0 ? `, pale for ${paleDays} days${since}` : '';
    return `Unfed, ${names.crops([id]).toLowerCase()} gets ${formatPercent(1 - shortG / demandG)} of the nitrogen it needs (${formatPercent(1 - shortWithoutMaterialsG / demandG)} on bare soil)${pale}.`;
  });
}

/** One dose: how much, when, as what, and for which crop. */
function doseSentence(
  { day, nitrogenGPerM2, materialId, cropIds }: PlannedDose,
  today: DayNumber,
  { areaM2, potCount, names, measures, product }: FeedingWordsSetting,
): string {
  const { name, dose } = product(materialId);
  const amount = dose(nitrogenGPerM2);
  const as = amount ? `: ${productWords(amount, name, measures)}` : '';
  const nitrogenG = nitrogenGPerM2 * areaM2;
  const each = potCount === null ? '' : ` (${eachPotWords(nitrogenG, potCount, measures)})`;
  return `${measures.nitrogen(nitrogenG)}${each} on ${dateNear(day, today)} for ${names.crops(cropIds).toLowerCase()}${as}.`;
}

function priceSentence({ priceGPerM2 }: FeedingPlan, { areaM2, measures }: FeedingWordsSetting): string[] {
  const priceG = priceGPerM2 * areaM2;
  if (Math.abs(priceG) <= WORTH_SAYING_G) return [];
  return [
    priceG > 0
      ? `${measures.nitrogen(priceG)} of it is needed because of what you spread.`
      : `Bare soil would need ${measures.nitrogen(-priceG)} more.`,
  ];
}

/** More than this in a year is told with what it means, g/m2: 170 kg/ha, EU Nitrates Directive (from memory). */
const MUCH_IN_A_YEAR_G = 17;

const muchSentence = ({ yearG, capG }: FeedingPlan, measures: Measures): string[] =>
  yearG > MUCH_IN_A_YEAR_G
    ? [
        `That is ${measures.rate(yearG)} in one year, of ${measures.rate(capG)} at most: rain washes out what roots do not take at once, so keep to the parts and their days. A soil test and local nutrient rules come first.`,
      ]
    : [];

/** How much nitrogen to add, as what, and when. */
export function doseAnswer(standing: BedStanding, setting: FeedingWordsSetting): Answer {
  const { feeding, prospects, today } = standing;
  const { areaM2, names, measures } = setting;
  if (!feeding) {
    return {
      headline: 'Nothing to feed',
      details: ['Nothing that is fed grows here or is planned.'],
      isStop: false,
    };
  }
  const unfed = unfedSentences(
    prospects.filter(({ id, demandG }) => feeding.hungryIds.includes(id) && demandG > 0),
    standing,
    setting,
  );
  const unmet = feeding.unmet.map((need) => unmetSentence(need, feeding, setting));
  if (feeding.doses.length === 0) {
    return {
      headline: unmet.length > 0 ? 'No dose is worth its cost' : 'No feed needed',
      details:
        unmet.length > 0
          ? [...unmet, ...unfed]
          : [enoughSentence(names.crops(feeding.cropIds.slice(0, MOST_NAMED)))],
      isStop: false,
    };
  }
  const totalG = total(feeding.doses.map(({ nitrogenGPerM2 }) => nitrogenGPerM2)) * areaM2;
  const reserveG = total(feeding.doses.map(({ reserveGPerM2 }) => reserveGPerM2)) * areaM2;
  const count = feeding.doses.length;
  return {
    headline: `${measures.nitrogen(totalG)} nitrogen${count > 1 ? ` in ${count} doses` : ''}`,
    details: [
      ...feeding.doses.map((dose) => doseSentence(dose, today, setting)),
      ...priceSentence(feeding, setting),
      ...(reserveG > WORTH_SAYING_G ? [`${measures.nitrogen(reserveG)} of it is a cautious reserve.`] : []),
      ...muchSentence(feeding, measures),
      ...unmet,
      ...unfed,
    ],
    isStop: standing.status === 'short' || standing.status === 'pale',
  };
}
