import type { Aim, MixCaution, MixFix, MixMiss, Remedy } from '../core/yard/index.ts';
import type { MixPurpose } from '../records/vocabulary.ts';
import { formatPercent, plainFigure } from './figures.ts';
import type { Measures } from './measures.ts';
import { ratioFigure } from './stock-words.ts';

export const MIX_PURPOSE_WORDS: Record<MixPurpose, string> = {
  hotCompost: 'hot compost',
  fungalMulch: 'fungal mulch',
  sheetLayer: 'a layer of a sheet mulch',
  bedding: 'animal bedding',
  leafMould: 'leaf mould',
  pottingMix: 'potting mix',
  open: 'no target',
};

export function mixCautionWords(caution: MixCaution): string {
  switch (caution.code) {
    case 'ashWithAmmonium':
      return 'Ash or lime with ammonium in it: the ammonia is driven off at once. Leave one of them out; finished compost would be fine, its nitrogen is not ammonium.';
    case 'muchAsh':
      return `One part of ash to ${plainFigure(1 / caution.ashPerVolume, 2)} of the rest by volume: no recipe goes beyond one part to five. So much lime makes it caustic, and on a bed it counts against the ash of the year.`;
    case 'rawManure':
      return 'Fresh manure carries germs: gloves, wash hands, keep it off what is eaten raw. The US organic rule asks for 120 days to harvest where food touches the soil, 90 otherwise, unless it was hot-composted by the rules; local rules prevail.';
    case 'persistentWeedkiller':
      return 'Straw, hay, clippings and the manure of what ate them can carry weedkiller that outlives a compost heap: grow beans in a pot of it first.';
    case 'metals':
      return 'Something in it may hold heavy metals, and composting leaves them there: ask for its analysis, keep sewage products off food, and follow your local codes.';
    case 'plastic':
      return 'Something in it may hold glass and plastic: wear gloves and pick out what you see.';
    case 'richMix':
      return `C:N of ${ratioFigure(caution.carbonToNitrogen)}: below about 20 it smells, and nitrogen leaves as ammonia.`;
    case 'ammoniaLoss':
      return `${formatPercent(caution.ammoniumShare)} of the nitrogen is ammonium on the first day: cover it, and mix it in rather than layer it.`;
    case 'salty':
      return `${formatPercent(caution.share)} of the dry matter is poultry manure or a strong feed: its salts scorch seedlings. Let it rot through, or use it thinly.`;
    case 'tooWet':
      return `${formatPercent(caution.moisture)} water: it will turn sour for want of air. Add something dry.`;
    case 'tooDry':
      return `${formatPercent(caution.moisture)} water: too dry to rot. Water it as you build.`;
    case 'littleAir':
      return `About ${formatPercent(caution.freeAirShare)} air by volume (a rough guide): add something coarse, or turn it often.`;
  }
}

const remedyWords = (
  remedies: readonly Remedy[],
  nameOf: (id: string) => string,
  measures: Measures,
): string =>
  remedies
    .map(
      ({ materialId, massFreshKg, volumeL }) =>
        `${measures.mass(massFreshKg)} (${measures.volume(volumeL)}) of ${nameOf(materialId).toLowerCase()}`,
    )
    .join(', or ');

/** "25 to 30", or "30" where nothing is left open. */
function spanWords({ aim, tolerance }: Aim, figure: (value: number) => string): string {
  const [low, high] = [figure(aim - tolerance), figure(aim + tolerance)];
  return low === high ? low : `${low} to ${high}`;
}

export function missWords(miss: MixMiss, measures: Measures): string {
  switch (miss.what) {
    case 'carbonToNitrogen':
      return `The nearest it gets is C:N ${ratioFigure(miss.is)}, not ${spanWords(miss.aim, plainFigure)}.`;
    case 'moisture':
      return `It would be ${formatPercent(miss.is)} water, not ${spanWords(miss.aim, formatPercent)}.`;
    case 'bulkDensity':
      return `It would weigh ${measures.density(miss.is)}, not ${spanWords(miss.aim, measures.density)}.`;
    case 'cost':
      return `It would cost ${plainFigure(miss.is)}, not ${plainFigure(miss.most)} at most.`;
    case 'volume':
      return `It comes to ${measures.volume(miss.isL)}, not ${measures.volume(miss.wantedL)}.`;
  }
}

export function fixWords(fix: MixFix, nameOf: (id: string) => string, measures: Measures): string {
  switch (fix.code) {
    case 'addNitrogen':
      return `${measures.nitrogen(fix.nitrogenG)} of nitrogen would do it: ${remedyWords(fix.with, nameOf, measures)}.`;
    case 'addCarbon':
      return `More carbon would do it: ${remedyWords(fix.with, nameOf, measures)}.`;
    case 'addWater':
      return `${measures.liquid(fix.waterL)} of water would do it.`;
    case 'addDry':
      return `Something dry would do it: ${remedyWords(fix.with, nameOf, measures)}.`;
    case 'getMore':
      return fix.litres > 0
        ? `${measures.volume(fix.litres)} more of any of it would do.`
        : `${measures.volume(-fix.litres)} less of what is fixed would do.`;
  }
}
