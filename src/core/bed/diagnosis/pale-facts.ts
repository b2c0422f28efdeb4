import { lastRated } from '../advice/soil-nutrients.ts';
import { phOn } from '../books/soil-tests.ts';
import {
  type DayNumber,
  type FindMaterial,
  HEAVY_CLAY_FROM_PCT,
  type MaterialKind,
  dayNumberFromIso,
  findCrop,
  isWetMonth,
  total,
} from '../../ground/index.ts';
import { atEndOf, type BedProjection, type CropState } from '../projection/bed-projection.ts';
import type { BedBooks } from '../books/bed-books.ts';
import type { Entry, LayEntry } from '../../../records/entry.ts';
import { CONTACT_ZONE_CM } from '../../model/index.ts';
import { ashOnBed, ashTakenG } from '../../yard/index.ts';
import type { PaleFacts } from './causes.ts';

export interface PaleSetting {
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  readonly projection: BedProjection;
  readonly today: DayNumber;
  /** The planting that is pale; null for all that stands there. */
  readonly plantingId: string | null;
  /** The plan of the bed has a dose due, or sees it pale. */
  readonly isShortByPlan: boolean;
  /** When it began; null when nobody saw it begin. */
  readonly beganDay: DayNumber | null;
}

const YEAR_DAYS = 365;
const FED_DAYS = 21;
const BINDS: ReadonlySet<MaterialKind> = new Set(['wood', 'residue', 'leaf', 'paper']);
const RAW: ReadonlySet<MaterialKind> = new Set(['manure', 'fertiliser', 'green']);
const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);

const isLaying = (entry: Entry): entry is LayEntry => entry.type === 'lay';

/** What books and model know of a bed whose leaves are pale. */
export function paleFacts(setting: PaleSetting): PaleFacts {
  const { books, findMaterial, projection, today } = setting;
  const { site, bed } = books;
  const sample = atEndOf(projection, today);
  const crop = cropConcerned(setting, sample.crops);
  const reachesDeep = !crop || crop.rootDepthCm > CONTACT_ZONE_CM * 2;
  const done = books.entries.filter(({ date }) => dayOf(date) <= today);
  const layings = done.filter(isLaying);
  const kindOf = ({ materialId }: LayEntry) => findMaterial(materialId);
  const binding = layings.filter((entry) => BINDS.has(kindOf(entry)?.kind ?? 'none'));
  const rawChar = layings.filter(
    (entry) => kindOf(entry)?.kind === 'char' && kindOf(entry)?.isCharged === false,
  );
  const planting = books.plantings.find(({ id }) => id === setting.plantingId);
  const planted = planting && dayOf(planting.plantedOn);
  return {
    paleness: crop ? crop.paleness : null,
    heldInRootsReachG: sample.heldContactG + (reachesDeep ? sample.heldRootG : 0),
    availableInReachG: sample.availableContactG + (reachesDeep ? sample.availableRootG : 0),
    isLegume: planting ? (findCrop(planting.cropId, books.crops)?.isLegume ?? false) : false,
    isSown: planting?.startsAs === 'seed',
    isShortByPlan: setting.isShortByPlan,
    daysSincePlanting: planted === undefined ? null : today - planted,
    daysFromMulchToSigns: daysFromMulch(binding, setting.beganDay ?? today),
    isWoodDugIn: binding.some(({ dugDepthCm, date }) => dugDepthCm > 0 && dayOf(date) > today - YEAR_DAYS),
    temperatureC: sample.soilC[1],
    topsoilDryness: sample.topsoilDryness,
    isWetMonth: isWetMonth(site.climate, today),
    isHeavyClay: bed.clayPct >= HEAVY_CLAY_FROM_PCT,
    ph: phOn(books, today),
    magnesiumRating: lastRated(books, 'magnesium', today)?.rating ?? null,
    ashLastYearGPerM2: total(
      ashOnBed({ entries: layings, areaM2: bed.areaM2 }, ashTakenG(books.taken), findMaterial)
        .filter(({ day }) => day > today - YEAR_DAYS)
        .map(({ gPerM2 }) => gPerM2),
    ),
    rawCharWithinDays:
      rawChar.length === 0 ? null : Math.min(...rawChar.map(({ date }) => today - dayOf(date))),
    fedRecentlyG: fedRecently(done, findMaterial, today) / bed.areaM2,
  };
}

function cropConcerned({ plantingId }: PaleSetting, crops: readonly CropState[]): CropState | undefined {
  const own = crops.filter(
    ({ id }) => plantingId === null || id === plantingId || id.startsWith(`${plantingId}:`),
  );
  return own.toSorted((a, b) => b.paleness - a.paleness).at(0);
}

/** From the last layer that binds, or from the first when all came after the signs. */
function daysFromMulch(binding: readonly LayEntry[], signsDay: DayNumber): number | null {
  const days = binding.map(({ date }) => signsDay - dayOf(date)).filter((days) => days <= YEAR_DAYS);
  if (days.length === 0) return null;
  const before = days.filter((one) => one >= 0);
  return before.length > 0 ? Math.min(...before) : Math.max(...days);
}

/** Quick nitrogen in what was given, g for the whole bed. */
function fedRecently(done: readonly Entry[], findMaterial: FindMaterial, today: DayNumber): number {
  return done
    .filter(({ date }) => dayOf(date) > today - FED_DAYS)
    .reduce((sum, entry) => {
      if (entry.type === 'feed') return sum + entry.nitrogenG;
      if (entry.type !== 'lay') return sum;
      const material = findMaterial(entry.materialId);
      if (!material || !RAW.has(material.kind)) return sum;
      const dryG = entry.massFreshKg * 1000 * (1 - material.moistureFractionWetBasis);
      return sum + dryG * material.nitrogenFractionDryBasis * Math.max(material.ammoniumShareOfNitrogen, 0.2);
    }, 0);
}
