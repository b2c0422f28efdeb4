import {
  type DayNumber,
  type FindMaterial,
  dayNumberFromIso,
  type Crop,
  findCrop,
  hasTrait,
} from '../../ground/index.ts';
import type { OwnCrop } from '../../../records/crop.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import { MANURE_TO_HARVEST_DAYS, URINE_TO_HARVEST_DAYS } from './cautions.ts';

/** The first day on which a crop may be harvested after something raw was put on its bed. */
export interface HarvestWait {
  readonly code: 'manure' | 'urine';
  readonly entryId: string;
  readonly plantingId: string;
  readonly laidDay: DayNumber;
  readonly days: number;
  readonly earliestDay: DayNumber;
  /** When the books mean to clear it; null for a perennial that stays. */
  readonly plannedDay: DayNumber | null;
  readonly isTooEarly: boolean;
}

/** A perennial is picked in its season; its wait is shown for a year after the material was spread (set here). */
const PERENNIAL_TOLD_DAYS = 365;

/**
 * Waits between raw manure or urine and harvest: 120 days where what is eaten touches the soil, 90 otherwise
 * (US organic rule 7 CFR 205.203, from memory); a month after urine (WHO 2006, from memory). Only for crops that
 * somebody eats and that stand, or are sown, within the wait. Local food-safety rules prevail.
 */
export function harvestWaits({
  entries,
  plantings,
  crops,
  findMaterial,
  today,
}: {
  readonly entries: readonly Entry[];
  readonly plantings: readonly Planting[];
  readonly crops: readonly OwnCrop[];
  readonly findMaterial: FindMaterial;
  readonly today: DayNumber;
}): HarvestWait[] {
  const waits: HarvestWait[] = [];
  for (const entry of entries) {
    if (entry.type !== 'lay') continue;
    const material = findMaterial(entry.materialId);
    const isUrine = hasTrait(material, 'isUrine');
    if (!isUrine && material?.kind !== 'manure') continue;
    for (const planting of plantings) {
      const crop = findCrop(planting.cropId, crops);
      const wait = crop && !crop.isCoverCrop ? waitFor(entry, { planting, crop }, isUrine) : null;
      if (wait && wait.earliestDay >= today) waits.push(wait);
    }
  }
  return waits.sort((a, b) => Number(b.isTooEarly) - Number(a.isTooEarly) || b.earliestDay - a.earliestDay);
}

function waitFor(
  entry: Entry,
  { planting, crop }: { readonly planting: Planting; readonly crop: Crop },
  isUrine: boolean,
): HarvestWait | null {
  const laidDay = dayNumberFromIso(entry.date, ['date']);
  const plantDay = dayNumberFromIso(planting.plantedOn, ['plantedOn']);
  const { ediblePartTouchesSoil, otherwise } = MANURE_TO_HARVEST_DAYS;
  const days = isUrine ? URINE_TO_HARVEST_DAYS : crop.isEatenFromSoil ? ediblePartTouchesSoil : otherwise;
  const earliestDay = laidDay + days;
  const plannedDay = planting.clearedOn === null ? null : dayNumberFromIso(planting.clearedOn, ['clearedOn']);
  const isOver = plannedDay !== null ? plannedDay <= laidDay : laidDay + PERENNIAL_TOLD_DAYS < plantDay;
  if (isOver || plantDay >= earliestDay) return null;
  return {
    code: isUrine ? 'urine' : 'manure',
    entryId: entry.id,
    plantingId: planting.id,
    laidDay,
    days,
    earliestDay,
    plannedDay,
    isTooEarly: plannedDay !== null && plannedDay < earliestDay,
  };
}
