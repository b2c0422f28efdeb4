import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { InputError } from '../input-error.ts';
import { MATERIAL_LIBRARY } from '../materials/library.ts';
import { CLIMATE_PATTERNS } from '../climate/patterns.ts';
import { carbonStatement, nitrogenStatement, type BalanceSample } from '../ledger/statement.ts';
import { BALANCE_COUNT, readBalances } from './books.ts';
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
      mineralNGPerM2: fc.tuple(amount(8), amount(20)),
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
    }) as fc.Arbitrary<BedScenario['soil']>,
    events: events(days),
    crops: fc.array(crop(days), { maxLength: 3 }).map((crops) =>
      crops.map((one, i) => ({
        ...one,
        id: `crop ${i}`,
        harvestDay: Math.min(one.harvestDay, one.plantDay + 150 + i),
      })),
    ),
    piles: fc.constant([]),
    depositionGPerM2Year: fc.double({ min: 0, max: 5, noNaN: true }),
    stepsPerDay: fc.constantFrom(1, DEFAULT_STEPS_PER_DAY, 4),
  }),
);

const look = ({ bed }: BedRun): BalanceSample => {
  const balances = new Float64Array(BALANCE_COUNT);
  readBalances(bed, balances);
  return { balances, flows: bed.state.flows.slice() };
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

describe('a run of any bed', () => {
  it('balances carbon and nitrogen to 1e-9 every day, account by account, with nothing negative', () => {
    fc.assert(
      fc.property(scenario, (one) => {
        const run = startRun(one);
        const opening = look(run);
        let isSound = true;
        const { state } = run.bed;
        while (run.day < one.endDay) {
          runTo(run, run.day + 1);
          isSound &&= state.cohorts.values.every(Number.isFinite);
          isSound &&= state.mineralN.every((value) => value >= -NEGLIGIBLE_G);
        }
        expect(isSound).toBe(true);
        const closing = look(run);
        expect(run.largestRelativeError).toBeLessThan(1e-9);
        expect(Math.min(...closing.balances)).toBeGreaterThanOrEqual(-NEGLIGIBLE_G);
        for (const { assets, debitG, creditG } of [
          carbonStatement(opening, closing),
          nitrogenStatement(opening, closing),
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
      return run.bed.state.crops.shortN[0];
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
      const [, contact, root] = [0, run.bed.state.mineralN[0], run.bed.state.mineralN[1]];
      return run.bed.state.cohorts.humusC[0] + contact + root;
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
    ['soil.organicMatterPct', { soil: { ...plain.soil, organicMatterPct: 101 } }],
    ['stepsPerDay', { stepsPerDay: 1.5 }],
    ['parameters.nonsense', { parameters: { nonsense: 1 } as object }],
  ])('%s', (path, change) => {
    expect(refused({ ...plain, ...change })).toBe(path);
  });
});
