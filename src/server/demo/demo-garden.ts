import { bedDraft } from '../../records/bed.ts';
import type { ClimateNormals } from '../../records/garden.ts';
import { FEED_FROM_STOCK } from '../../records/vocabulary.ts';
import { CLIMATE_PATTERNS, findLibraryCrop, massFreshKgFromAmount } from '../../core/ground/index.ts';
import { materialFinder } from '../../core/bed/index.ts';
import { requireSoundBooks } from '../kept-books.ts';
import type { Stores } from '../stores.ts';
import { journalDemoGarden } from './demo-journal.ts';
import { stockDemoGarden } from './demo-stock.ts';
import { SOUTHERN_BEDS, SOUTHERN_CLIMATE } from './demo-south.ts';
import { DEMO_HABITS } from './demo-habits.ts';
import { DEMO_BEDS, DEMO_CROPS, DEMO_MATERIALS, type DemoBed, type DemoDay } from './demo-beds.ts';

export const DEMO_GARDEN_ID = 'ternhollow';
/** A small garden in another climate, made and reset with it. */
export const SOUTHERN_GARDEN_ID = 'ternhollow-south';
export const DEMO_GARDEN_IDS = [DEMO_GARDEN_ID, SOUTHERN_GARDEN_ID];

/** Where and when the demo stands. */
interface Setting {
  readonly stores: Stores;
  readonly gardenId: string;
  readonly today: string;
}

function dateOf([yearsFromNow, monthDay]: DemoDay, today: string): string {
  return `${Number(today.slice(0, 4)) + yearsFromNow}-${monthDay}`;
}

/** Fills empty stores with two invented gardens in two climates: history before `today`, and a plan. */
export const plantDemoGardens = (stores: Stores, today: string): void =>
  stores.atomically(() => {
    plantTernhollow(stores, today);
    plantSouth(stores, today);
  });

/** The same where they may stand already: they are made afresh, and gardens of somebody's own stay. */
export function replantDemoGardens(stores: Stores, today: string): void {
  for (const gardenId of DEMO_GARDEN_IDS) stores.erase(gardenId);
  plantDemoGardens(stores, today);
}

const writtenOnce = ({ temperatureC, rainMm, evapotranspirationMm }: ClimateNormals) => ({
  temperatureC: [...temperatureC],
  rainMm: [...rainMm],
  evapotranspirationMm: [...evapotranspirationMm],
});

const USUAL = {
  depositionGPerM2Year: 1,
  measures: 'metric',
  school: 'byDepth',
  location: null,
  feedMaterialId: FEED_FROM_STOCK,
  prices: null,
} as const;

function plantSouth(stores: Stores, today: string): void {
  stores.gardens.insert({
    ...USUAL,
    id: SOUTHERN_GARDEN_ID,
    name: 'Lanternfield',
    place: 'On Maravel, far south of Ossrey: hot wet summers, no frost. All of it is invented.',
    climate: writtenOnce(SOUTHERN_CLIMATE),
  });
  for (const demoBed of SOUTHERN_BEDS) plantBed({ stores, gardenId: SOUTHERN_GARDEN_ID, today }, demoBed);
}

/** Two years of history before `today`, and a plan. */
function plantTernhollow(stores: Stores, today: string): void {
  const climate = CLIMATE_PATTERNS.find(({ id }) => id === 'mild_maritime')!;
  stores.gardens.insert({
    ...USUAL,
    id: DEMO_GARDEN_ID,
    name: 'Ternhollow',
    place: 'On the island of Ossrey: mild winters, dry summers. All of it is invented.',
    climate: writtenOnce(climate),
  });
  for (const material of DEMO_MATERIALS) stores.materials.insert({ ...material, gardenId: DEMO_GARDEN_ID });
  for (const crop of DEMO_CROPS) stores.crops.insert({ ...crop, gardenId: DEMO_GARDEN_ID });
  stockDemoGarden(stores, DEMO_GARDEN_ID, today);
  for (const habit of DEMO_HABITS) {
    stores.habits.insert({ ...habit, acts: [...habit.acts], gardenId: DEMO_GARDEN_ID });
  }
  for (const demoBed of DEMO_BEDS) plantBed({ stores, gardenId: DEMO_GARDEN_ID, today }, demoBed);
  journalDemoGarden(stores, DEMO_GARDEN_ID, today);
}

function plantBed(
  { stores, gardenId, today }: Setting,
  { bed, laid, fed = [], tested = [], watered = [], grown }: DemoBed,
): void {
  const bedId = `demo-${bed.name.toLowerCase().replaceAll(' ', '-')}`;
  const findMaterial = materialFinder({
    materials: stores.materials.listOf(gardenId),
    labResults: [],
  });
  const draft = bedDraft.parse({
    bulkDensityGPerCm3: 1.2,
    exposure: 'normal',
    ph: 6.5,
    croppingBefore: 'ordinary',
    note: '',
    ...bed,
  });
  stores.beds.insert({ ...draft, id: bedId, gardenId });
  const stateOn = (date: string) => (date <= today ? ('laid' as const) : ('planned' as const));
  laid.forEach(
    (
      { on, material: materialId, lot = null, amount, unit, dugDepthCm = 0, seasonedMonths = 0, note = '' },
      i,
    ) => {
      const date = dateOf(on, today);
      const { bulkDensityKgPerM3 } = findMaterial(materialId)!;
      stores.entries.insert({
        id: `${bedId}-layer-${i + 1}`,
        bedId,
        type: 'lay',
        state: stateOn(date),
        date,
        materialId,
        lotId: lot,
        amount,
        unit,
        massFreshKg: massFreshKgFromAmount({
          amount,
          unit,
          measured: { bulkDensityKgPerM3, areaM2: bed.areaM2 },
        }),
        dugDepthCm,
        seasonedMonths,
        note,
      });
    },
  );
  fed.forEach(({ on, nitrogenG, note = '' }, i) => {
    const date = dateOf(on, today);
    stores.entries.insert({
      id: `${bedId}-feed-${i + 1}`,
      bedId,
      type: 'feed',
      state: stateOn(date),
      date,
      nitrogenG,
      note,
    });
  });
  tested.forEach(({ on, kgPerHa, extraction, figures, ph, organicMatterPct, note }, i) => {
    const date = dateOf(on, today);
    stores.entries.insert({
      id: `${bedId}-test-${i + 1}`,
      bedId,
      type: 'soilTest',
      state: stateOn(date),
      date,
      amount: kgPerHa,
      unit: 'kgPerHa',
      sampledDepthCm: 30,
      ph,
      organicMatterPct,
      extraction,
      ...figures,
      note,
    });
  });
  watered.forEach(({ on, waterMm }, i) => {
    const date = dateOf(on, today);
    stores.entries.insert({
      id: `${bedId}-water-${i + 1}`,
      bedId,
      type: 'water',
      state: stateOn(date),
      date,
      waterMm,
      note: '',
    });
  });
  grown.forEach(({ crop: cropId, from, until }, i) => {
    const crop = findLibraryCrop(cropId)!;
    const plantedOn = dateOf(from, today);
    stores.plantings.insert({
      id: `${bedId}-crop-${i + 1}`,
      bedId,
      state: stateOn(plantedOn),
      cropId,
      plantedOn,
      clearedOn: until === null ? null : dateOf(until, today),
      nitrogenDemandGPerM2: crop.nitrogenDemandGPerM2,
      rootDepthCm: crop.rootDepthCm,
      startsAs: crop.startsAs,
      areaShare: 1,
      isUndersown: crop.isLivingMulch,
      note: '',
    });
  });
  requireSoundBooks({ stores, bedId, today, change: {} });
}
