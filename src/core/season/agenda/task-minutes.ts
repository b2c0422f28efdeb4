import type { FindMaterial } from '../../ground/index.ts';
import { effortFor, effortOf } from '../../bed/index.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Task } from './tasks.ts';

/** Minutes for a square meter, and for what takes as long on any bed (common practice, no source). */
const PER_M2 = {
  sow: 4,
  plant: 6,
  clear: 5,
  feed: 0.5,
  water: 1,
  dig: 6,
  takeOff: 4,
  lift: 12,
  cover: 2,
} as const;
const FETCHING = 5;
const LOOKING = 5;
const SAMPLING = 20;
const TURNING = 30;
const AT_THE_YARD = 15;
const LITRES_PER_CUBIC_METRE = 1000;

/** What takes as long wherever it is. */
const SAME_EVERYWHERE: Readonly<Partial<Record<Task['what']['code'], number>>> = {
  check: LOOKING,
  coldCheck: LOOKING,
  closeYear: LOOKING,
  measureChar: LOOKING,
  stirCharge: LOOKING,
  brewStep: LOOKING,
  brewUseBy: LOOKING,
  retest: SAMPLING,
  turnHeap: TURNING,
  movement: AT_THE_YARD,
};

interface Ground {
  /** 0 for what is no bed. */
  readonly areaM2: number;
  readonly findMaterial: FindMaterial;
}

/** About how long a task takes, minutes; null for what is only to be known. */
export function taskMinutes({ what }: Pick<Task, 'what'>, { areaM2, findMaterial }: Ground): number | null {
  switch (what.code) {
    case 'entry':
      return entryMinutes(what.entry, { areaM2, findMaterial });
    case 'plant':
      return FETCHING + areaM2 * (what.isSown ? PER_M2.sow : PER_M2.plant);
    case 'clear':
      return FETCHING + areaM2 * PER_M2.clear;
    case 'dose':
      return FETCHING + areaM2 * PER_M2.feed;
    case 'topUp': {
      const material = findMaterial(what.materialId);
      const layer = { thicknessCm: what.addCm, dugDepthCm: 0 };
      return material ? effortOf(material, layer, areaM2).hours * 60 : null;
    }
    case 'liftPath':
      return what.isCrumbs ? areaM2 * PER_M2.lift : LOOKING;
    case 'firstFrost':
    case 'lateFrost':
    case 'heat':
      return areaM2 * PER_M2.cover;
    default:
      return SAME_EVERYWHERE[what.code] ?? null;
  }
}

function entryMinutes(entry: Entry, { areaM2, findMaterial }: Ground): number | null {
  switch (entry.type) {
    case 'lay': {
      const { massFreshKg, dugDepthCm, materialId } = entry;
      const material = findMaterial(materialId);
      if (!material) return null;
      const volumeL = (massFreshKg / material.bulkDensityKgPerM3) * LITRES_PER_CUBIC_METRE;
      return effortFor({ massFreshKg, volumeL, dugDepthCm }, areaM2).hours * 60;
    }
    case 'dig':
      return areaM2 * PER_M2.dig;
    case 'takeOff':
      return areaM2 * PER_M2.takeOff * entry.shareTakenOff;
    case 'feed':
      return FETCHING + areaM2 * PER_M2.feed;
    case 'water':
      return FETCHING + areaM2 * PER_M2.water;
    case 'soilTest':
      return SAMPLING;
  }
}
