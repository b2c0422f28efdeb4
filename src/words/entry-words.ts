import { mineralNitrogenGPerM2 } from '../core/ground/index.ts';
import type { EntryRecord } from '../records/entry.ts';
import type { SoilNitrogenUnit } from '../records/vocabulary.ts';
import type { UnitSystem } from '../refusals/refusal.ts';
import { formatPercent, plainFigure } from './figures.ts';
import { amountInWords } from './amount-words.ts';
import { SOIL_NITROGEN_WORDS, type Measures } from './measures.ts';
import { layName, type LayNames } from './record-names.ts';
import { soilFigureLine } from './soil-words.ts';

/** What was done, in a line. */
export function entryWords({
  entry,
  entries,
  books,
  measures,
}: {
  readonly entry: EntryRecord;
  readonly entries: readonly EntryRecord[];
  readonly books: LayNames;
  readonly measures: Measures;
}): string {
  const layerName = (layerId: string) => {
    const layer = entries.find(({ id }) => id === layerId);
    return layer?.type === 'lay' ? layName(layer, books) : 'a layer';
  };
  switch (entry.type) {
    case 'lay': {
      const amount = amountInWords(entry, measures);
      const age = entry.seasonedMonths > 0 ? `, ${entry.seasonedMonths} months old` : '';
      const place = entry.dugDepthCm > 0 ? `, dug in ${measures.thickness(entry.dugDepthCm)} deep` : '';
      return `${layName(entry, books)}: ${amount} (${measures.mass(entry.massFreshKg)})${age}${place}`;
    }
    case 'dig': {
      const what = entry.layerId === null ? 'Everything on top' : layerName(entry.layerId);
      return `${what} dug in ${measures.thickness(entry.dugDepthCm)} deep`;
    }
    case 'takeOff':
      return `${layerName(entry.layerId)}: ${formatPercent(entry.shareTakenOff)} taken off`;
    case 'feed':
      return `Fed ${measures.nitrogen(entry.nitrogenG)} nitrogen`;
    case 'soilTest':
      return soilTestWords(entry, measures);
    case 'water':
      return `Watered, ${measures.water(entry.waterMm)}`;
  }
}

function soilTestWords(entry: Extract<EntryRecord, { type: 'soilTest' }>, measures: Measures): string {
  const { amount, unit, sampledDepthCm, ph, organicMatterPct } = entry;
  const depth = `down to ${measures.thickness(sampledDepthCm)}`;
  return [
    amount == null || !unit
      ? `Soil test ${depth}`
      : `Soil test: ${soilNitrogenWords(amount, unit, measures)} mineral nitrogen, ${depth}`,
    ...(ph === null ? [] : [`pH ${plainFigure(ph)}`]),
    ...(organicMatterPct === null ? [] : [`${plainFigure(organicMatterPct)} % organic matter`]),
    ...soilFigureLine(entry),
  ].join(', ');
}

const SYSTEM_OF: Readonly<Partial<Record<SoilNitrogenUnit, UnitSystem>>> = {
  gPerM2: 'metric',
  kgPerHa: 'metric',
  lbPerAcre: 'customary',
};

/** As the laboratory reported it, or in the units of the garden where those are others. */
function soilNitrogenWords(amount: number, unit: SoilNitrogenUnit, measures: Measures): string {
  const system = SYSTEM_OF[unit] ?? measures.system;
  if (system === measures.system) return `${plainFigure(amount)} ${SOIL_NITROGEN_WORDS[unit]}`;
  return measures.rate(mineralNitrogenGPerM2(amount, unit, ANY_SOIL));
}
/** Only shares of the soil depend on it, and those are of no system. */
const ANY_SOIL = { sampledDepthCm: 30, bulkDensityGPerCm3: 1.3 };
