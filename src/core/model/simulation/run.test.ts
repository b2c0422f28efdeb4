import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../../../refusals/input-error.ts';
import { SEEDED_WEATHER_DEFAULTS } from '../../ground/climate/seeded-weather.ts';
import { MATERIAL_LIBRARY } from '../../ground/materials/library.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { FLOW_COUNT } from '../ledger/flows.ts';
import { readPostings } from '../ledger/postings.ts';
import { ashStatement, carbonStatement, nitrogenStatement, type BalanceSample } from '../ledger/statement.ts';
import { BALANCE_COUNT, readBalances } from './books.ts';
import type { Cohort } from './cohort.ts';
import { SOIL_HISTORIES } from './parameters.ts';
import { mineralNitrogen } from './report.ts';
import { runTo, startRun, type BedRun } from './run.ts';
import {
  DEFAULT_STEPS_PER_DAY,
  SOIL_DEFAULTS,
  type BedEvent,
  type BedScenario,
  type CropPlan,
} from './scenario.ts';

const START = 738_000;

const share = fc.double({ min: 0, max: 1, noNaN: true });
const amount = (max: number) => fc.double({ min: 0.001, max, noNaN: true });
const exposure = fc.constantFrom('damp', 'normal', 'dry' as const);

/** Layers, digging, feeding, taking off, testing and watering, in any order over two years. */
const events = (days: number): fc.Arbitrary<BedEvent[]> => {
  const day = fc.integer({ min: START, max: START + days - 1 });
  const apply = fc.record({
    type: fc.constant('apply' as const),
    day,
    material: fc.constantFrom(...MATERIAL_LIBRARY),
    massFreshKgPerM2: amount(25),
    dugDepthCm: fc.oneof(fc.constant(0), fc.double({ min: 1, max: 40, noNaN: true })),
    exposure,
    isOnPath: fc.boolean(),
  });
  const other = fc.oneof(
    fc.record({
      type: fc.constant('dig' as const),
      day,
      depthCm: fc.double({ min: 1, max: 40, noNaN: true }),
      cohortIds: fc.constant('all' as const),
    }),
    fc.record({
      type: fc.constant('feed' as const),
      day,
      nitrogenGPerM2: amount(15),
      depthCm: fc.double({ min: 0, max: 40, noNaN: true }),
    }),
    fc.record({
      type: fc.constant('soilTest' as const),
      day,
      mineralNGPerM2: fc.oneof(
        fc.tuple(amount(8), amount(20)),
        fc.tuple(amount(8), amount(20), amount(9), amount(9)),
      ),
    }),
    fc.record({
      type: fc.constant('irrigate' as const),
      day,
      waterMm: fc.double({ min: 0, max: 60, noNaN: true }),
    }),
  );
  return fc
    .tuple(
      fc.array(apply, { maxLength: 8 }),
      fc.array(other, { maxLength: 5 }),
      fc.array(share, { maxLength: 2 }),
    )
    .map(([layers, others, shares]) => {
      const named = layers.map((layer, i) => ({ ...layer, id: `layer ${i}` }));
      const removals = shares.flatMap((part, i) =>
        named[i] ? [{ type: 'remove' as const, day: named[i].day, cohortId: named[i].id, share: part }] : [],
      );
      return [...named, ...removals, ...others];
    });
};

const crop = (days: number): fc.Arbitrary<Omit<CropPlan, 'id'>> =>
  fc.record({
    plantDay: fc.integer({ min: START, max: START + days - 1 }),
    harvestDay: fc.integer({ min: START + days, max: START + days + 200 }),
    nitrogenDemandGPerM2: fc.double({ min: 0, max: 40, noNaN: true }),
    rootDepthCm: fc.double({ min: 5, max: 150, noNaN: true }),
    isLegume: fc.boolean(),
    isPerennial: fc.boolean(),
    deepShare: share,
    rootCarbonGPerM2: fc.double({ min: 0, max: 300, noNaN: true }),
    residueShare: share,
    residueMaterial: fc.constantFrom(...MATERIAL_LIBRARY.filter(({ nitrogenFractionDryBasis: n }) => n > 0)),
    residueDugDepthCm: fc.constantFrom(0, 10),
  });

const scenario: fc.Arbitrary<BedScenario> = fc.integer({ min: 60, max: 500 }).chain((days) =>
  fc.record({
    startDay: fc.constant(START),
    endDay: fc.constant(START + days),
    climate: fc.constantFrom(...CLIMATE_PATTERNS),
    soil: fc.record({
      ...Object.fromEntries(Object.entries(SOIL_DEFAULTS).map(([name, value]) => [name, fc.constant(value)])),
      organicMatterPct: fc.double({ min: 0, max: 20, noNaN: true }),
      bulkDensityGPerCm3: fc.double({ min: 0.3, max: 1.8, noNaN: true }),
      clayPct: fc.double({ min: 0, max: 80, noNaN: true }),
      rootZoneCm: fc.double({ min: 10, max: 100, noNaN: true }),
      ph: fc.double({ min: 3, max: 11, noNaN: true }),
      history: fc.constantFrom(...SOIL_HISTORIES),
    }) as fc.Arbitrary<BedScenario['soil']>,
    events: events(days),
    crops: fc.array(crop(days), { maxLength: 3 }).map((crops) =>
      crops.map((one, i) => ({
        ...one,
        id: `crop ${i}`,
        deepShare: one.isPerennial ? one.deepShare : 0,
        harvestDay: Math.min(one.harvestDay, one.plantDay + 150 + i),
      })),
    ),
    piles: fc.constant([]),
    depositionGPerM2Year: fc.double({ min: 0, max: 5, noNaN: true }),
    stepsPerDay: fc.constantFrom(DEFAULT_STEPS_PER_DAY, 2, 4),
    seededWeather: fc
      .integer({ min: 0, max: 2_147_483_647 })
      .map((seed) => ({ seed, ...SEEDED_WEATHER_DEFAULTS })),
  }),
);

const look = ({ bed }: BedRun): BalanceSample => {
  const balances = new Float64Array(BALANCE_COUNT);
  readBalances(bed, balances);
  const flows = new Float64Array(FLOW_COUNT);
  readPostings(bed.state.postings, flows);
  return { balances, flows };
};

const plain: BedScenario = {
  startDay: START,
  endDay: START + 30,
  climate: CLIMATE_PATTERNS[0],
  soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2 },
  events: [],
  crops: [],
  piles: [],
  depositionGPerM2Year: 1,
  stepsPerDay: 2,
};

const NEGLIGIBLE_G = 1e-12;

/** Places and shares of a cohort that may not leave 0 to 1. */
const SHARES = ['onTopShare', 'unsettledShare', 'decayLimit', 'shareInContactZone'] as const;

/** Whether every figure of a cohort is a number, no pool is below nothing and no share above one. */
function isPossible(cohort: Cohort): boolean {
  const figures = Object.entries(cohort).filter(([, value]) => typeof value === 'number');
  const isPool = (name: string) =>
    /^(quick|structural|woody|microbial|humus|labileChar|stableChar)[CN]$/.test(name);
  return (
    figures.every(([name, value]) => Number.isFinite(value) && (!isPool(name) || value >= -NEGLIGIBLE_G)) &&
    cohort.layer.nitrogenG >= -NEGLIGIBLE_G &&
    SHARES.every((name) => cohort[name] >= 0 && cohort[name] <= 1 + 1e-12)
  );
}

describe('a run of any bed', () => {
  it.each([
    ['carbon below nothing', (cohort: Cohort) => (cohort.woodyC = -1e-9)],
    ['nitrogen that is no number', (cohort: Cohort) => (cohort.humusN = NaN)],
    ['a share above one', (cohort: Cohort) => (cohort.onTopShare = 1.1)],
    ['a layer that owes nitrogen', (cohort: Cohort) => (cohort.layer.nitrogenG = -1)],
  ])('is not taken for possible with %s', (_, spoil) => {
    const material = MATERIAL_LIBRARY.find(({ id }) => id === 'sawdust_hardwood')!;
    const layer = {
      material,
      massFreshKgPerM2: 2,
      dugDepthCm: 0,
      exposure: 'normal',
      isOnPath: false,
    } as const;
    const run = startRun({ ...plain, events: [{ type: 'apply', day: START, ...layer }] });
    runTo(run, START + 10);
    const [cohort] = run.bed.state.cohorts;
    expect(isPossible(cohort)).toBe(true);
    spoil(cohort);
    expect(isPossible(cohort)).toBe(false);
  });

  it('balances carbon, nitrogen and ash to 1e-9 every day, account by account, with nothing negative', () => {
    fc.assert(
      fc.property(scenario, (one) => {
        const run = startRun(one);
        const opening = look(run);
        let isSound = true;
        const { state } = run.bed;
        while (run.day < one.endDay) {
          runTo(run, run.day + 1);
          isSound &&= state.cohorts.every(isPossible);
          isSound &&= Object.values(mineralNitrogen(run.bed)).every((value) => value >= -NEGLIGIBLE_G);
          isSound &&= state.contactAmmoniumShare >= 0 && state.contactAmmoniumShare <= 1;
          isSound &&= state.rootAmmoniumShare >= 0 && state.rootAmmoniumShare <= 1;
        }
        expect(isSound).toBe(true);
        const closing = look(run);
        expect(run.largestRelativeError).toBeLessThan(1e-9);
        expect(Math.min(...closing.balances)).toBeGreaterThanOrEqual(-NEGLIGIBLE_G);
        for (const { assets, debitG, creditG } of [
          carbonStatement(opening, closing),
          nitrogenStatement(opening, closing),
          ashStatement(opening, closing),
        ]) {
          const size = Math.max(1, debitG);
          expect(Math.abs(debitG - creditG) / size).toBeLessThan(1e-9);
          for (const { account, openingG, inG, outG, closingG } of assets) {
            expect(Math.abs(openingG + inG - outG - closingG) / size, account).toBeLessThan(1e-9);
          }
        }
      }),
      { numRuns: 60, seed: 20_260 },
    );
  });

  it('gives the same result whether a layer is dug in as one or as four', () => {
    const sawdust = MATERIAL_LIBRARY.find(({ id }) => id === 'sawdust_hardwood')!;
    const grow = (parts: number) => {
      const layer = {
        type: 'apply' as const,
        day: START,
        material: sawdust,
        massFreshKgPerM2: 2 / parts,
        dugDepthCm: 15,
        exposure: 'normal' as const,
        isOnPath: false,
      };
      const run = startRun({
        ...plain,
        endDay: START + 120,
        events: Array.from({ length: parts }, () => layer),
        crops: [
          {
            id: 'crop',
            plantDay: START + 10,
            harvestDay: START + 110,
            nitrogenDemandGPerM2: 12,
            rootDepthCm: 40,
            isLegume: false,
            isPerennial: false,
            deepShare: 0,
            residueShare: 0,
            residueDugDepthCm: 0,
          },
        ],
      });
      runTo(run, run.scenario.endDay);
      return run.bed.state.crops[0].shortN;
    };
    expect(grow(1)).toBeGreaterThan(0);
    expect(Math.abs(grow(4) / grow(1) - 1)).toBeLessThan(1e-9);
  });

  it('hardly changes when the step is halved', () => {
    const chips = MATERIAL_LIBRARY.find(({ id }) => id === 'chips_branch')!;
    const leached = (stepsPerDay: number) => {
      const run = startRun({
        ...plain,
        endDay: START + 365,
        stepsPerDay,
        events: [
          {
            type: 'apply',
            day: START,
            material: chips,
            massFreshKgPerM2: 10,
            dugDepthCm: 10,
            exposure: 'normal',
            isOnPath: false,
          },
        ],
      });
      runTo(run, run.scenario.endDay);
      const { contactZoneG, rootZoneG } = mineralNitrogen(run.bed);
      return run.bed.state.cohorts[0].humusC + contactZoneG + rootZoneG;
    };
    expect(Math.abs(leached(2) / leached(4) - 1)).toBeLessThan(0.01);
  });
});

describe('input that cannot be', () => {
  const layer = {
    type: 'apply' as const,
    day: START,
    material: MATERIAL_LIBRARY[0],
    massFreshKgPerM2: 5,
    dugDepthCm: 0,
    exposure: 'normal' as const,
    isOnPath: false,
  };
  const annual: CropPlan = {
    id: 'crop',
    plantDay: START,
    harvestDay: START + 20,
    nitrogenDemandGPerM2: 5,
    rootDepthCm: 30,
    isLegume: false,
    isPerennial: false,
    deepShare: 0,
    residueShare: 0,
    residueDugDepthCm: 0,
  };
  const refused = (one: BedScenario): string => {
    try {
      startRun(one);
    } catch (error) {
      if (error instanceof InputError) return error.path.join('.');
      throw error;
    }
    return 'accepted';
  };

  it.each([NaN, Infinity, -Infinity])('%d is refused by name wherever a figure stands', (value) => {
    expect(refused({ ...plain, soil: { ...plain.soil, clayPct: value } })).toBe('soil.clayPct');
    expect(refused({ ...plain, soil: { ...plain.soil, mineralNGPerM2: [1, value] } })).toBe(
      'soil.mineralNGPerM2.1',
    );
    expect(refused({ ...plain, depositionGPerM2Year: value })).toBe('depositionGPerM2Year');
    expect(refused({ ...plain, climate: { ...plain.climate, rainMm: Array<number>(12).fill(value) } })).toBe(
      'climate.rainMm.0',
    );
    expect(refused({ ...plain, events: [{ ...layer, massFreshKgPerM2: value }] })).toBe(
      'events.0.massFreshKgPerM2',
    );
    expect(
      refused({
        ...plain,
        events: [{ ...layer, material: { ...layer.material, carbonFractionDryBasis: value } }],
      }),
    ).toBe('events.0.material.carbonFractionDryBasis');
    expect(refused({ ...plain, parameters: { growthEfficiency: value } })).toBe(
      'parameters.growthEfficiency',
    );
  });

  it.each<[string, Partial<BedScenario>]>([
    ['events.0.massFreshKgPerM2', { events: [{ ...layer, massFreshKgPerM2: 0 }] }],
    ['events.0.massFreshKgPerM2', { events: [{ ...layer, massFreshKgPerM2: 1e9 }] }],
    ['events.0.day', { events: [{ ...layer, day: START + 30 }] }],
    ['events.0.exposure', { events: [{ ...layer, exposure: 'soggy' as 'damp' }] }],
    [
      'events.1.id',
      {
        events: [
          { ...layer, id: 'a' },
          { ...layer, id: 'a' },
        ],
      },
    ],
    ['events.0.cohortId', { events: [{ type: 'remove', day: START, cohortId: 'nothing', share: 1 }] }],
    [
      'events.1.share',
      {
        events: [
          { ...layer, id: 'a' },
          { type: 'remove', day: START, cohortId: 'a', share: 1.5 },
        ],
      },
    ],
    ['events.0.depthCm', { events: [{ type: 'dig', day: START, depthCm: 0, cohortIds: 'all' }] }],
    [
      'events.0.pileId',
      {
        events: [
          {
            type: 'apply',
            day: START,
            pileId: 'none',
            massFreshKgPerM2: 1,
            dugDepthCm: 0,
            exposure: 'normal',
            isOnPath: false,
          },
        ],
      },
    ],
    ['endDay', { endDay: START }],
    ['soil.rootZoneCm', { soil: { ...plain.soil, rootZoneCm: 9 } }],
    ['soil.rootZoneCm', { soil: { ...plain.soil, rootZoneCm: 301 } }],
    ['soil.ph', { soil: { ...plain.soil, ph: 2.9 } }],
    ['soil.history', { soil: { ...plain.soil, history: 'marsh' as 'grass' } }],
    [
      'soil.mineralNGPerM2',
      { soil: { ...plain.soil, mineralNGPerM2: [1, 2, 3] as unknown as [number, number] } },
    ],
    ['seededWeather.seed', { seededWeather: { seed: 1.5, ...SEEDED_WEATHER_DEFAULTS } }],
    ['seededWeather.rainSd', { seededWeather: { seed: 1, ...SEEDED_WEATHER_DEFAULTS, rainSd: 2.1 } }],
    [
      'events.0.ammoniumShare',
      { events: [{ type: 'feed', day: START, nitrogenGPerM2: 1, depthCm: 5, ammoniumShare: 1.1 }] },
    ],
    ['crops.0.deepShare', { crops: [{ ...annual, deepShare: 0.2 }] }],
    ['crops.0.fixedShare', { crops: [{ ...annual, fixedShare: 0.5 }] }],
    ['crops.0.rootCarbonGPerM2', { crops: [{ ...annual, rootCarbonGPerM2: 2001 }] }],
    [
      'events.0.material.ashFractionDryBasis',
      { events: [{ ...layer, material: { ...layer.material, ashFractionDryBasis: 1.2 } }] },
    ],
    [
      'events.0.material.boundNitrogenShare',
      { events: [{ ...layer, material: { ...layer.material, boundNitrogenShare: -0.1 } }] },
    ],
    ['parameters.rootWoodyShare', { parameters: { rootWoodyShare: 0.9 } }],
    ['soil.organicMatterPct', { soil: { ...plain.soil, organicMatterPct: 101 } }],
    ['stepsPerDay', { stepsPerDay: 1.5 }],
    ['parameters.nonsense', { parameters: { nonsense: 1 } as object }],
  ])('%s', (path, change) => {
    expect(refused({ ...plain, ...change })).toBe(path);
  });
});
