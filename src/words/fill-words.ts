import { findLibraryMaterial } from '../core/ground/index.ts';
import { type FILL_RECIPES, type FillPartId, type FillSoil, isMineralPart } from '../core/bed/index.ts';
import { formatFixed } from './figures.ts';

const MINERAL_NAMES = {
  topsoil: 'Topsoil, loam',
  sandyTopsoil: 'Topsoil, sandy',
  sand: 'Sand or grit',
  perlite: 'Perlite',
  vermiculite: 'Vermiculite',
  pumice: 'Pumice or lava',
} as const;

export const fillPartName = (id: FillPartId): string =>
  isMineralPart(id) ? MINERAL_NAMES[id] : findLibraryMaterial(id)!.name;

export const FILL_RECIPE_NAMES: Readonly<Record<(typeof FILL_RECIPES)[number]['id'], string>> = {
  soilAndCompost: 'Topsoil with a third of compost',
  halfAndHalf: 'Topsoil and compost, half and half',
  lightSoil: 'Light soil, compost and bark',
  loamMix: 'Loam, compost and sand',
  coirMix: 'Coir, compost and perlite',
  barkMix: 'Bark, compost and sand',
  leafMouldMix: 'Leaf mold, loam and sand',
};

/** Compost in a mix above which its salts and its settling are worth a word (common practice, no source). */
const MUCH_COMPOST_SHARE = 0.4;
const WORTH_TELLING_PCT = 2;

/** What a mix is as a soil, and what to mind of it. */
export function fillSentences({
  clayPct,
  organicMatterPct,
  laboratoryPct,
  compostShare,
}: FillSoil): string[] {
  const pct = (value: number) => `${formatFixed(value, value < 10 ? 1 : 0)} %`;
  return [
    `The mix begins with ${pct(organicMatterPct)} organic matter and ${pct(clayPct)} clay.`,
    ...(laboratoryPct - organicMatterPct > WORTH_TELLING_PCT
      ? [
          `A laboratory would find ${pct(laboratoryPct)}: peat, coir, bark and young compost hold less nitrogen than humus, and the books count them by their nitrogen.`,
        ]
      : []),
    ...(compostShare > MUCH_COMPOST_SHARE
      ? [
          'So much compost is salty at first and settles by a fifth or more in two years: water it through once before you sow, and top it up.',
        ]
      : []),
  ];
}
