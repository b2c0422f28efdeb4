import {
  type Crop,
  type DayNumber,
  type FindMaterial,
  calendarDateOf,
  dayNumberFromIso,
  dayNumberOf,
  findCrop,
  isSouthern,
} from '../../ground/index.ts';
import { InputError, type FieldPath } from '../../../refusals/input-error.ts';
import { type CropPlan, defaultParameters, hungriestBetween } from '../../model/index.ts';
import type { Planting } from '../../../records/planting.ts';
import type { BedBooks } from './bed-books.ts';

/** Months and days between which a perennial is in leaf (set here), north and half a year later south. */
const IN_LEAF_NORTH = { from: { month: 3, day: 15 }, until: { month: 11, day: 1 } };
const IN_LEAF_SOUTH = { from: { month: 9, day: 15 }, until: { month: 5, day: 1 } };

const TWO_YEARS_DAYS = 730;

/** A planting as the model grows it: an annual once, a perennial each year it is in leaf. Throws InputError under `path`. */
export function cropPlans({
  planting,
  path,
  books,
  findMaterial,
  endDay,
}: {
  readonly planting: Planting;
  readonly path: FieldPath;
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  readonly endDay: DayNumber;
}): CropPlan[] {
  const crop = findCrop(planting.cropId, books.crops);
  if (!crop) {
    throw new InputError([...path, 'cropId'], 'namesNone', { what: 'crop', got: planting.cropId });
  }
  const residue = crop.residueMaterialId === null ? undefined : findMaterial(crop.residueMaterialId);
  return growingTimes({ planting, path, crop, site: books.site, endDay }).map(
    ({ plantDay, harvestDay }, season) => ({
      id: crop.isPerennial ? `${planting.id}:${season + 1}` : planting.id,
      plantDay,
      harvestDay,
      nitrogenDemandGPerM2: planting.nitrogenDemandGPerM2 * planting.areaShare,
      rootDepthCm: planting.rootDepthCm,
      isLegume: crop.isLegume,
      isPerennial: crop.isPerennial,
      deepShare: 0,
      residueShare: residue ? crop.residueShare : 0,
      ...(residue ? { residueMaterial: residue } : {}),
      residueDugDepthCm: 0,
    }),
  );
}

/** When a planting is hungriest in its first season: the mornings between which it wants half of its nitrogen. */
export function hungriestTime(
  planting: Pick<Planting, 'plantedOn' | 'clearedOn'>,
  crop: Crop,
  site: BedBooks['site'],
): readonly [from: DayNumber, until: DayNumber] | null {
  const endDay = dayNumberFromIso(planting.plantedOn, ['plantedOn']) + TWO_YEARS_DAYS;
  const first = growingTimes({ planting, path: [], crop, site, endDay }).at(0);
  return first ? hungriestBetween(first, site.climate, defaultParameters) : null;
}

interface GrowingTime {
  readonly plantDay: DayNumber;
  readonly harvestDay: DayNumber;
}

/** An annual grows once; a perennial every year while it is in leaf, shedding its leaves at the end. */
function growingTimes({
  planting,
  path,
  crop,
  site,
  endDay,
}: {
  readonly planting: Pick<Planting, 'plantedOn' | 'clearedOn'>;
  readonly path: FieldPath;
  readonly crop: Crop;
  readonly site: BedBooks['site'];
  readonly endDay: DayNumber;
}): GrowingTime[] {
  const plantDay = dayNumberFromIso(planting.plantedOn, [...path, 'plantedOn']);
  const clearedDay =
    planting.clearedOn === null ? null : dayNumberFromIso(planting.clearedOn, [...path, 'clearedOn']);
  if (clearedDay !== null && clearedDay <= plantDay) {
    throw new InputError([...path, 'clearedOn'], 'notAfterPlanting', { isByDate: true });
  }
  if (plantDay >= endDay) return [];
  if (!crop.isPerennial) {
    if (clearedDay === null) {
      throw new InputError([...path, 'clearedOn'], 'missing', { hint: 'annualIsCleared' });
    }
    return [{ plantDay, harvestDay: clearedDay }];
  }
  const inLeaf = isSouthern(site.climate) ? IN_LEAF_SOUTH : IN_LEAF_NORTH;
  const lastDay = Math.min(clearedDay ?? endDay, endDay);
  const times: GrowingTime[] = [];
  for (let year = calendarDateOf(plantDay).year - 1; year <= calendarDateOf(lastDay).year; year++) {
    const budDay = dayNumberOf({ year, ...inLeaf.from });
    const fallYear = inLeaf.until.month > inLeaf.from.month ? year : year + 1;
    const fallDay = dayNumberOf({ year: fallYear, ...inLeaf.until });
    const from = Math.max(budDay, plantDay);
    const until = clearedDay === null ? fallDay : Math.min(fallDay, clearedDay);
    if (from < until && from < lastDay) times.push({ plantDay: from, harvestDay: until });
  }
  return times;
}
