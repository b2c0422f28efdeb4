import type { LayEntry, Entry } from '../../../records/entry.ts';
import type { StartsAs } from '../../../records/vocabulary.ts';
import {
  type ClimateObstacle,
  type Crop,
  DEEPEST_COVER_CM,
  type DayNumber,
  type FindMaterial,
  type YoungPlant,
  climateObstacle,
  dayNumberFromIso,
  hasTrait,
} from '../../ground/index.ts';
import { atEndOf, type BedProjection, type BedSample } from '../projection/bed-projection.ts';
import type { BedBooks } from '../books/bed-books.ts';

/** Why a day is a bad one to sow or plant, nitrogen apart. */
export type GroundObstacle =
  | ClimateObstacle
  | { readonly code: 'burn'; readonly untilDay: DayNumber | null }
  | { readonly code: 'buildUp'; readonly untilDay: DayNumber };

/** A bed as somebody finds it who means to sow or plant. */
export interface PlantingGround {
  readonly books: BedBooks;
  readonly findMaterial: FindMaterial;
  readonly projection: BedProjection;
}

/** Raw manure mellows so long before roots go into it, the salty ones of poultry longer (common practice, no source). */
const MELLOWS_DAYS = 28;
const SALTY_MELLOWS_DAYS = 42;
/** Meals and other strong feeds lie so long before seed comes into them (common practice, no source). */
const FEED_MELLOWS_DAYS = 14;
/** Less nitrogen than this in it does not burn, g/m2 (set here). */
const MANURE_BURNS_FROM_G = 5;
const FEED_BURNS_FROM_G = 10;
/** Mineral nitrogen in the top 5 cm that salt harms, g/m2: about 250 and 420 mg a kilogram of dry soil (set here). */
const SEEDLINGS_BEAR_G = 15;
const TRANSPLANTS_BEAR_G = 25;
const COUNTS_AS_COVER_FROM_CM = 0.3;

/** What stands in the way of a young plant on a day, nitrogen and cover apart; null when nothing does. */
export function groundObstacle(
  { books, findMaterial, projection }: PlantingGround,
  plant: YoungPlant,
  day: DayNumber,
): GroundObstacle | null {
  const waitUntil = buildUpReadyDay(books.entries, day);
  if (waitUntil !== null) return { code: 'buildUp', untilDay: waitUntil };
  const untilDay = mellowDay({ books, findMaterial, day });
  if (untilDay !== null) return { code: 'burn', untilDay };
  const climate = climateObstacle(books.site.climate, plant, day);
  if (climate !== null) return climate;
  const isSalty = isTooSalty(plant, atEndOf(projection, day).availableContactG);
  return isSalty ? { code: 'burn', untilDay: null } : null;
}

/** So much mineral nitrogen in the top 5 cm, g/m2, that its salt harms a young plant. */
export const isTooSalty = ({ isSown }: YoungPlant, availableContactG: number): boolean =>
  availableContactG > (isSown ? SEEDLINGS_BEAR_G : TRANSPLANTS_BEAR_G);

const laidBefore = (entries: readonly Entry[], day: DayNumber): LayEntry[] =>
  entries.filter(
    (entry): entry is LayEntry => entry.type === 'lay' && dayNumberFromIso(entry.date, ['date']) <= day,
  );

/** When a build-up that lies there may be planted; null when it may be on `day`. */
function buildUpReadyDay(entries: readonly Entry[], day: DayNumber): DayNumber | null {
  const ready = laidBefore(entries, day).flatMap(({ plantFrom }) =>
    plantFrom ? [dayNumberFromIso(plantFrom, ['plantFrom'])] : [],
  );
  const last = Math.max(day, ...ready);
  return last > day ? last : null;
}

/** When the last of what is fresh has mellowed; null when nothing burns on `day`. */
function mellowDay({
  books: { bed, entries },
  findMaterial,
  day,
}: Pick<PlantingGround, 'books' | 'findMaterial'> & { readonly day: DayNumber }): DayNumber | null {
  const days = laidBefore(entries, day).flatMap(({ materialId, massFreshKg, date }) => {
    const material = findMaterial(materialId);
    if (!material) return [];
    const nitrogenG =
      (massFreshKg * 1000 * (1 - material.moistureFractionWetBasis) * material.nitrogenFractionDryBasis) /
      bed.areaM2;
    const isFeed = material.kind === 'fertiliser';
    if (material.kind !== 'manure' && !isFeed) return [];
    if (nitrogenG < (isFeed ? FEED_BURNS_FROM_G : MANURE_BURNS_FROM_G)) return [];
    const rests = isFeed
      ? FEED_MELLOWS_DAYS
      : hasTrait(material, 'isSalty')
        ? SALTY_MELLOWS_DAYS
        : MELLOWS_DAYS;
    return [dayNumberFromIso(date, ['date']) + rests];
  });
  const last = Math.max(day, ...days);
  return last > day ? last : null;
}

/** What seed has to pass that is sown on a bed: all above the uppermost compost, cm. */
export function coverOverSeedCm({ layers }: BedSample): number {
  const onTop = layers.filter(
    ({ isOnTop, thicknessCm }) => isOnTop && thicknessCm >= COUNTS_AS_COVER_FROM_CM,
  );
  const bedOfCompost = onTop.findLastIndex(({ kind }) => kind === 'compost');
  return onTop.slice(bedOfCompost + 1).reduce((sum, { thicknessCm }) => sum + thicknessCm, 0);
}

/** Deepest cover that the seed of a crop comes through, cm; null when it is not sown. */
export const deepestCoverCm = ({ seedSize }: Crop, startsAs: StartsAs): number | null =>
  startsAs === 'seed' ? DEEPEST_COVER_CM[seedSize] : null;
