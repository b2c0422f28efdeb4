import type { GardenRecords } from '../core/bed/index.ts';
import type { GardenFile } from './garden-file.ts';

/** The records of a garden file, as far as the model reads them. */
export const recordsOfFile = (file: GardenFile): GardenRecords => ({
  garden: file.garden,
  beds: file.beds,
  entries: file.entries,
  plantings: file.plantings,
  materials: file.materials,
  crops: file.crops,
  labResults: file.labResults,
  lots: file.lots,
  movements: file.movements.map((movement) => ({ ...movement, gardenId: file.garden.id })),
  weather: file.weather,
  journal: file.journal,
});
