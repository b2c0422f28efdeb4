import { type Crop, type CropGroup, type DayNumber, startMonths } from '../core/ground/index.ts';
import type { Bed } from '../records/bed.ts';
import type { ClimateNormals } from '../records/garden.ts';
import type { StartsAs, Warmth } from '../records/vocabulary.ts';
import { MONTH_NAMES, dateNear } from './dates.ts';
import { formatFixed } from './figures.ts';
import type { Measures } from './measures.ts';

export const CROP_GROUP_NAMES: Readonly<Record<CropGroup, string>> = {
  leaf: 'Leaf vegetables',
  salad: 'Salads',
  brassica: 'Cabbages and their kin',
  root: 'Roots and tubers',
  fruit: 'Fruiting vegetables',
  allium: 'Onions and their kin',
  legume: 'Peas and beans',
  herb: 'Herbs and spices',
  berry: 'Berries',
  fruitTree: 'Fruit trees',
  citrus: 'Citrus',
  nutTree: 'Nuts',
  vine: 'Vines',
  staple: 'Staples of warm places',
  grain: 'Grains, oil and fiber',
  ornamental: 'Ornamentals and lawn',
  greenManure: 'Green manures',
};

export const WARMTH_WORDS: Readonly<Record<Warmth, string>> = {
  hardy: 'bears frost',
  cool: 'likes it cool',
  tender: 'frost kills it',
  heat: 'needs heat',
};

const LIST = new Intl.ListFormat('en', { type: 'conjunction' });

/** Months (1 to 12) in a row as spans, over the turn of the year too: "March to May, and September". */
export function monthSpans(months: readonly number[]): string {
  const all = new Set(months);
  const before = (month: number) => ((month + 10) % 12) + 1;
  const after = (month: number) => (month % 12) + 1;
  const name = (month: number) => MONTH_NAMES[month - 1]!;
  const spans = months
    .filter((month) => !all.has(before(month)))
    .map((first) => {
      let last = first;
      while (all.has(after(last)) && after(last) !== first) last = after(last);
      return first === last ? name(first) : `${name(first)} to ${name(last)}`;
    });
  return LIST.format(spans);
}

export const STARTED: Readonly<Record<StartsAs, string>> = {
  seed: 'sown',
  transplant: 'planted out',
  set: 'set',
};

function startSentence(crop: Crop, startsAs: StartsAs, climate: ClimateNormals): string {
  const months = startMonths(crop, startsAs, climate);
  if (months.length === 0) return `In this climate no month suits its start in the open.`;
  if (months.length === 12) return `Here it may be ${STARTED[startsAs]} all year.`;
  return `Here it is ${STARTED[startsAs]} in ${monthSpans(months)}.`.replace(/in (\w+) to /, 'from $1 to ');
}

/** What a usual harvest of a crop takes off a piece of ground; empty for what is not harvested. */
function harvestSentence({ yieldKgPerM2, harvest }: Crop, areaM2: number, measures: Measures): string[] {
  const kg = yieldKgPerM2 * areaM2;
  if (kg <= 0) return [];
  const grams = (gPerKg: number) => measures.nitrogen(gPerKg * kg);
  const { nitrogenGPerKg, phosphorusGPerKg, potassiumGPerKg } = harvest;
  return [
    `A usual harvest, ${measures.mass(kg)}, takes off ${grams(nitrogenGPerKg)} of nitrogen, ${grams(phosphorusGPerKg)} of phosphorus and ${grams(potassiumGPerKg)} of potassium.`,
  ];
}

/** What handbooks say of a crop where it is to grow. */
export function cropSentences(
  crop: Crop,
  { startsAs, areaM2, climate }: { startsAs: StartsAs; areaM2: number; climate: ClimateNormals },
  measures: Measures,
): string[] {
  const { rows, plants } = crop.spacingCm;
  const isStrewn = plants <= 1;
  return [
    startSentence(crop, startsAs, climate),
    ...(isStrewn
      ? []
      : [`Rows ${measures.thickness(rows)} apart, plants ${measures.thickness(plants)} apart.`]),
    ...harvestSentence(crop, areaM2, measures),
  ];
}

/** When most of the nitrogen has to be there. */
export const hungrySentence = ([from, until]: readonly [DayNumber, DayNumber], today: DayNumber): string =>
  `Half of its nitrogen it takes up between ${dateNear(from, today)} and ${dateNear(until, today)}.`;

/** That the ground is too sour or too sweet for a crop; null when it is not, or its pH is not known. */
export function phCaution({ name, phRange }: Crop, { ph }: Pick<Bed, 'ph'>): string | null {
  if (ph === null || (ph >= phRange.from && ph <= phRange.to)) return null;
  const figure = (value: number) => formatFixed(value, 1);
  return `${name} wants soil of pH ${figure(phRange.from)} to ${figure(phRange.to)} (from memory); this bed has ${figure(ph)}. Test again before you lime or acidify, or choose another bed.`;
}
