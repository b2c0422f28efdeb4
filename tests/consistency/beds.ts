import fc from 'fast-check';
import { CLIMATE_PATTERNS, findLibraryCrop, isoDateOf } from '../../src/core/ground/index.ts';
import type { GardenRecords } from '../../src/core/bed/index.ts';
import type { Entry } from '../../src/records/entry.ts';
import { SCHOOLS } from '../../src/records/vocabulary.ts';
import { bedOf, plantingOf, southern } from '../fixtures/books.ts';

/** Gardens of one bed as somebody might keep them, drawn at random: soils, climates, crops, and layers of any age. */
export interface DrawnBed {
  readonly records: GardenRecords;
  readonly todayIso: string;
}

const MATERIALS = [
  'chips_mixed',
  'sawdust_hardwood',
  'straw_cereal',
  'cattle_fym',
  'layer_manure',
  'compost_garden',
  'grass_clippings',
  'leaves_mixed',
  'feather_meal',
  'biochar_raw',
] as const;
const ANNUALS = [
  'spinach',
  'kale',
  'potato',
  'pumpkin',
  'beetroot',
  'pea',
  'broccoli',
  'garlic',
  'onion',
] as const;
const PERENNIALS = ['currant', 'strawberry', 'hazel'] as const;
const FEEDS = ['feather_meal', 'blood_meal', 'urea', 'urine', 'fish_emulsion'] as const;
const FIRST_TODAY = 739_982;

const drawnClimate = fc
  .tuple(fc.constantFrom(...CLIMATE_PATTERNS), fc.boolean())
  .map(([climate, isSouth]) => (isSouth ? southern(climate) : climate));

const drawnLaying = fc.record({
  materialId: fc.constantFrom(...MATERIALS),
  ago: fc.integer({ min: -60, max: 250 }),
  kgPerM2: fc.integer({ min: 1, max: 12 }),
  isDug: fc.boolean(),
  waits: fc.option(fc.integer({ min: 20, max: 200 }), { freq: 5 }),
});

/** Annuals one after the other, each so many days after the one before, or one perennial. */
const drawnCrops: fc.Arbitrary<readonly (readonly [cropId: string, gap: number])[]> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.array(fc.tuple(fc.constantFrom(...ANNUALS), fc.integer({ min: 0, max: 90 })), {
      maxLength: 3,
    }),
  },
  { weight: 1, arbitrary: fc.tuple(fc.tuple(fc.constantFrom(...PERENNIALS), fc.constant(0))) },
);

export const drawnBed: fc.Arbitrary<DrawnBed> = fc
  .record({
    climate: drawnClimate,
    school: fc.constantFrom(...SCHOOLS),
    feedMaterialId: fc.constantFrom(...FEEDS),
    today: fc.integer({ min: FIRST_TODAY, max: FIRST_TODAY + 364 }),
    organicMatterPct: fc.integer({ min: 1, max: 8 }),
    clayPct: fc.integer({ min: 4, max: 50 }),
    layings: fc.array(drawnLaying, { maxLength: 4 }),
    crops: drawnCrops,
    firstPlantedAgo: fc.integer({ min: -120, max: 100 }),
    fedG: fc.option(fc.integer({ min: 5, max: 60 }), { freq: 4 }),
  })
  .map(
    ({
      climate,
      school,
      feedMaterialId,
      today,
      organicMatterPct,
      clayPct,
      layings,
      crops,
      firstPlantedAgo,
      fedG,
    }) => {
      const bedId = 'bed';
      const on = (day: number) => ({
        date: isoDateOf(day),
        state: day > today ? ('planned' as const) : ('laid' as const),
      });
      const entries: (Entry & { bedId: string })[] = layings.map(
        ({ materialId, ago, kgPerM2, isDug, waits }, i) => ({
          ...on(today - ago),
          id: `lay ${i}`,
          bedId,
          type: 'lay',
          materialId,
          massFreshKg: kgPerM2 * 5,
          dugDepthCm: isDug ? 15 : 0,
          seasonedMonths: 0,
          plantFrom: waits === null ? null : isoDateOf(today - ago + waits),
        }),
      );
      if (fedG !== null) entries.push({ ...on(today - 20), id: 'fed', bedId, type: 'feed', nitrogenG: fedG });
      let free = today - firstPlantedAgo;
      const plantings = crops.map(([cropId, gap], i) => {
        const crop = findLibraryCrop(cropId)!;
        const from = crop.isPerennial ? today - 500 : free + gap;
        free = from + crop.daysInGround;
        return {
          ...plantingOf({
            id: `crop ${i}`,
            cropId,
            state: from > today ? 'planned' : 'laid',
            plantedOn: isoDateOf(from),
            clearedOn: crop.isPerennial ? null : isoDateOf(free),
            nitrogenDemandGPerM2: crop.nitrogenDemandGPerM2,
            rootDepthCm: crop.rootDepthCm,
            startsAs: crop.startsAs,
          }),
          bedId,
        };
      });
      return {
        todayIso: isoDateOf(today),
        records: {
          garden: { climate, depositionGPerM2Year: 1, school, feedMaterialId },
          beds: [bedOf({ organicMatterPct, clayPct })],
          entries,
          plantings,
          materials: [],
          crops: [],
          labResults: [],
          lots: [],
          movements: [],
          journal: [],
        },
      };
    },
  );
