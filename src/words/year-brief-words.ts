import { findCrop } from '../core/ground/index.ts';
import type { GardenYear, YearBrief } from '../core/season/index.ts';
import { counted } from './counted.ts';
import { formatFixed, plainFigure } from './figures.ts';
import type { Measures } from './measures.ts';
import type { CropNames } from './record-names.ts';

type Yields = GardenYear['yields'];

interface BriefSetting {
  readonly names: Pick<CropNames, 'crops'>;
  readonly measures: Measures;
}

const cropOf = (cropId: string | null, { crops }: Pick<CropNames, 'crops'>): string =>
  cropId === null ? 'something' : (findCrop(cropId, crops)?.name ?? cropId).toLowerCase();

/** "8 kg of tomato, 4 kg of pea". */
export const yieldsInWords = (yields: Yields, { names, measures }: BriefSetting): string =>
  yields.map(({ cropId, massKg }) => `${measures.mass(massKg)} of ${cropOf(cropId, names)}`).join(', ');

/** "1 hour", "2.5 hours". */
export const hoursInWords = (hours: number): string =>
  `${plainFigure(hours, 3)} ${hours === 1 ? 'hour' : 'hours'}`;

/** Shares of a percent that are no change to speak of. */
const SAME_PCT = 0.005;

/** "+0.12 %", "no change". */
export const changeOfMatter = (pct: number): string =>
  Math.abs(pct) < SAME_PCT ? 'no change' : `${pct > 0 ? '+' : '−'}${formatFixed(Math.abs(pct), 2)} %`;

/** A year of a bed in a few sentences; `before` is the year before it, null where there was none. */
export function briefSentences(brief: YearBrief, before: YearBrief | null, setting: BriefSetting): string[] {
  const { measures } = setting;
  const { yieldKg, yields, hours, carbonInKg, nitrogenInG, fedNitrogenG } = brief;
  const than = before && before.yieldKg > 0 ? `; ${measures.mass(before.yieldKg)} the year before` : '';
  const single = yields.length === 1 ? ` of ${cropOf(yields[0]!.cropId, setting.names)}` : '';
  const several = yields.length > 1 ? `: ${yieldsInWords(yields, setting)}` : '';
  return [
    yieldKg > 0
      ? `Harvested ${measures.mass(yieldKg)}${single}${several}${than}.`
      : 'No harvest was written down.',
    ...(hours > 0 ? [`The work took ${hoursInWords(hours)}.`] : []),
    carbonInKg > 0
      ? `${measures.mass(carbonInKg)} of carbon and ${measures.nitrogen(nitrogenInG)} of nitrogen were spread${fedNitrogenG > 0 ? `, and ${measures.nitrogen(fedNitrogenG)} fed` : ''}.`
      : `Nothing was spread${fedNitrogenG > 0 ? `; ${measures.nitrogen(fedNitrogenG)} of nitrogen were fed` : ''}.`,
    `Organic matter went from ${formatFixed(brief.openingOrganicMatterPct, 2)} to ${formatFixed(brief.closingOrganicMatterPct, 2)} %.`,
    `By the model ${measures.nitrogen(Math.max(0, brief.washedOutG))} of nitrogen were washed out.`,
    ...(brief.paleDays > 0
      ? [`The crop that was worst off stood pale for ${counted(brief.paleDays, 'day')}.`]
      : []),
    brief.unexpected.length === 0
      ? 'Nothing was seen that the model did not expect.'
      : `${counted(brief.unexpected.length, 'thing')} not as expected:`,
  ];
}
