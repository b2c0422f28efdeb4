import type { EntryRecord } from '../records/entry.ts';
import { formatPercent, plainFigure } from './figures.ts';
import { SOIL_NITROGEN_WORDS, UNIT_WORDS, type Measures } from './measures.ts';
import { layName, type LayNames } from './record-names.ts';

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
      const amount = `${plainFigure(entry.amount)} ${UNIT_WORDS[entry.unit]}`;
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
  return [
    `Soil test: ${plainFigure(amount)} ${SOIL_NITROGEN_WORDS[unit]} mineral nitrogen, 0 to ${measures.thickness(sampledDepthCm)}`,
    ...(ph === null ? [] : [`pH ${plainFigure(ph)}`]),
    ...(organicMatterPct === null ? [] : [`${plainFigure(organicMatterPct)} % organic matter`]),
  ].join(', ');
}
