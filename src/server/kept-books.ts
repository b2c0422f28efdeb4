import type { BedRecord } from '../records/bed.ts';
import type { CropRecord } from '../records/crop.ts';
import type { EntryRecord } from '../records/entry.ts';
import type { MaterialRecord } from '../records/material.ts';
import type { PlantingRecord } from '../records/planting.ts';
import { dayNumberFromIso } from '../core/ground/index.ts';
import { InputError } from '../refusals/input-error.ts';
import { type BedBooks, checkBooks, drawsOnStock, materialFinder, siteOf } from '../core/bed/index.ts';
import { recordTitle, type TitledRecords } from '../words/record-titles.ts';
import { keptForStock, measuredWeather, requireSoundStock } from './kept-stock.ts';
import { fromInputError, notFound, contradiction, type ProblemError } from './problems.ts';
import type { Stores } from './stores.ts';

/** What the books of a bed would be after a change. */
interface Change {
  readonly bed?: BedRecord;
  readonly entries?: (entries: readonly EntryRecord[]) => EntryRecord[];
  readonly plantings?: (plantings: readonly PlantingRecord[]) => PlantingRecord[];
  readonly materials?: (materials: readonly MaterialRecord[]) => MaterialRecord[];
  readonly crops?: (crops: readonly CropRecord[]) => CropRecord[];
  /** What the stock gives the beds after the change, where that has been proved already. */
  readonly taken?: BedBooks['taken'];
  /** Ids of the entries or plantings the change is about: a fault of them is named by its bare field. */
  readonly about?: readonly string[];
}

/** Throws a problem naming the field unless the model can run the bed's books as they would be. */
export function requireSoundBooks({
  stores,
  bedId,
  today,
  change,
}: {
  readonly stores: Stores;
  readonly bedId: string;
  readonly today: string;
  readonly change: Change;
}): void {
  const bed = change.bed ?? stores.beds.find(bedId);
  if (!bed) throw notFound('bed');
  const garden = stores.gardens.find(bed.gardenId);
  if (!garden) throw notFound('garden');
  const kept = {
    entries: stores.entries.listOf(bedId),
    plantings: stores.plantings.listOf(bedId),
    materials: stores.materials.listOf(garden.id),
  };
  const entries = change.entries?.(kept.entries) ?? kept.entries;
  const plantings = change.plantings?.(kept.plantings) ?? kept.plantings;
  const materials = change.materials?.(kept.materials) ?? kept.materials;
  const crops = change.crops?.(stores.crops.listOf(garden.id)) ?? stores.crops.listOf(garden.id);
  const drawsOn = change.taken === undefined && [...kept.entries, ...entries].some(drawsOnStock);
  const taken = drawsOn
    ? takenFromSoundStock({ stores, bed, setting: { entries, materials }, about: change.about ?? [] })
    : change.taken;
  try {
    checkBooks(
      {
        site: siteOf({ garden, weather: measuredWeather(stores, garden.id) }),
        bed,
        entries,
        plantings,
        crops,
        ...(taken ? { taken } : {}),
      },
      materialFinder({ materials, labResults: stores.labResults.listOf(garden.id) }),
      dayNumberFromIso(today, ['today']),
    );
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw problemAbout(error, change.about ?? [], {
      beds: [bed],
      entries,
      plantings,
      materials,
      crops,
      lots: stores.lots.listOf(garden.id),
    });
  }
}

/** Weighs the stock of the whole garden as it would be; what the bed gets out of it. */
function takenFromSoundStock({
  stores,
  bed,
  setting: { entries, materials },
  about,
}: {
  readonly stores: Stores;
  readonly bed: BedRecord;
  readonly setting: {
    readonly entries: readonly EntryRecord[];
    readonly materials: readonly MaterialRecord[];
  };
  readonly about: readonly string[];
}) {
  const kept = keptForStock(stores, bed.gardenId);
  const records = {
    ...kept,
    materials,
    beds: kept.beds.map((one) => (one.id === bed.id ? bed : one)),
    entries: [...kept.entries.filter(({ bedId }) => bedId !== bed.id), ...entries],
  };
  return requireSoundStock({ stores, gardenId: bed.gardenId, records, about });
}

/** A fault of the record itself by its field; a fault it causes elsewhere by a sentence about that record. */
function problemAbout(
  error: InputError,
  about: readonly string[],
  books: TitledRecords & {
    readonly entries: readonly EntryRecord[];
    readonly plantings: readonly PlantingRecord[];
  },
): ProblemError {
  const [list, index, ...rest] = error.path;
  if ((list !== 'entries' && list !== 'plantings') || typeof index !== 'number') return fromInputError(error);
  const culprit = books[list].at(index);
  if (!culprit || about.includes(culprit.id)) return fromInputError(error.at(rest));
  return contradiction(recordTitle(list, culprit.id, books), rest, error.refusal);
}
