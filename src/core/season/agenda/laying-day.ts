import {
  type Caution,
  type Effort,
  type GardenRecords,
  effortFor,
  layingCautions,
  totalEffort,
} from '../../bed/index.ts';
import {
  type DayNumber,
  type FindMaterial,
  LITRES_PER_CUBIC_METRE,
  dayNumberFromIso,
} from '../../ground/index.ts';
import type { LayEntry } from '../../../records/entry.ts';
import { type TakenForBed, volumeL } from '../../yard/index.ts';

/** One thing to carry: from where, onto which bed, in how many trips. */
export interface LayingLine {
  readonly entry: LayEntry & { readonly bedId: string };
  readonly effort: Effort;
  readonly cautions: readonly Caution[];
}

export interface LayingDay {
  /** Bed after bed, on each from the soil upwards. */
  readonly lines: readonly LayingLine[];
  readonly total: Effort;
}

/** Everything planned to be laid up to the end of a day, as one list to carry. `taken`: what the stock will give. */
export function layingDay({
  records,
  findMaterial,
  taken,
  untilDay,
}: {
  readonly records: GardenRecords;
  readonly findMaterial: FindMaterial;
  readonly taken: ReadonlyMap<string, TakenForBed>;
  readonly untilDay: DayNumber;
}): LayingDay {
  const beds = records.beds.map(({ id }) => id);
  const lines = records.entries
    .filter(
      (entry): entry is LayEntry & { bedId: string } => entry.type === 'lay' && entry.state === 'planned',
    )
    .filter(({ date }) => dayNumberFromIso(date, ['date']) <= untilDay)
    .toSorted((a, b) => beds.indexOf(a.bedId) - beds.indexOf(b.bedId) || a.date.localeCompare(b.date))
    .flatMap((entry) => lineOf({ entry, records, findMaterial, taken }) ?? []);
  return { lines, total: totalEffort(lines.map(({ effort }) => effort)) };
}

function lineOf({
  entry,
  records: { beds },
  findMaterial,
  taken,
}: {
  readonly entry: LayEntry & { readonly bedId: string };
  readonly records: GardenRecords;
  readonly findMaterial: FindMaterial;
  readonly taken: ReadonlyMap<string, TakenForBed>;
}): LayingLine | null {
  const bed = beds.find(({ id }) => id === entry.bedId);
  const material = findMaterial(entry.materialId);
  if (!bed || !material) return null;
  const given = taken.get(entry.id);
  const massFreshKg = given?.massFreshKg ?? entry.massFreshKg;
  const litres = given
    ? volumeL(given.contents)
    : (massFreshKg / material.bulkDensityKgPerM3) * LITRES_PER_CUBIC_METRE;
  const thicknessCm = litres / 10 / bed.areaM2;
  return {
    entry,
    effort: effortFor({ massFreshKg, volumeL: litres, dugDepthCm: entry.dugDepthCm }, bed.areaM2),
    cautions: layingCautions({ date: entry.date, material, dugDepthCm: entry.dugDepthCm, thicknessCm }, bed),
  };
}
