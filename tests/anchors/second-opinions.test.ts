import { describe, expect, it } from 'vitest';
import type { ClimateNormals } from '../../src/records/garden.ts';
import { CLIMATE_PATTERNS } from '../../src/core/ground/climate/patterns.ts';
import { byMonth } from '../../src/core/model/opinions/carbon-feed.ts';
import {
  BIOMASS_OF_KEPT,
  CROP_SHARES,
  decayFivePools,
  FIVE_POOL_RATES_PER_YEAR,
  fivePoolOpinion,
  keptShare,
  MANURE_SHARES,
  monthlyRateModifiers,
  WOODY_SHARES,
  type FivePools,
} from '../../src/core/model/opinions/five-pools.ts';
import {
  HUMUS_LOSS_PER_YEAR_RANGE,
  humusAfter,
  humusLossPerYear,
  isohumicCoefficient,
  ISOHUMIC_RANGES,
} from '../../src/core/model/opinions/isohumic.ts';
import {
  afterYears,
  CENTRAL_SWEDEN,
  climateFactor,
  steadyState,
  youngAndOldOpinion,
} from '../../src/core/model/opinions/young-and-old.ts';
import { ROTHAMSTED } from './trials.ts';

/** Published models of soil carbon against their own published values, all from memory. */
const twelve = (value: number) => Array<number>(12).fill(value);
const setting = {
  climate: ROTHAMSTED,
  clayPct: 23.4,
  openingCarbonG: 5000,
  inertCarbonG: 400,
  startDay: 738000,
  inputs: [],
  plantedMonths: new Set<number>(),
  lookDays: [738000, 738000 + 3650],
};

describe('the five-pool model (Coleman and Jenkinson 1996, RothC-26.3)', () => {
  it('temperature modifier near 1 at 9.25 C in moist soil', () => {
    const moist = { temperatureC: twelve(9.25), rainMm: twelve(60), evapotranspirationMm: twelve(20) };
    for (const modifier of monthlyRateModifiers(moist, 23.4)) expect(modifier).toBeCloseTo(1, 1);
  });
  it('a month drier than the topsoil can hold slows to a fifth', () => {
    const dry = { temperatureC: twelve(9.25), rainMm: twelve(0), evapotranspirationMm: twelve(80) };
    expect(monthlyRateModifiers(dry, 23.4)[6]).toBeCloseTo(0.2 * 0.9944, 3);
    // Bare soil never gets so dry: (1 - 1 / 1.8) / (1 - 0.444) of the way.
    const bare = monthlyRateModifiers(dry, 23.4, new Set())[6];
    expect(bare).toBeCloseTo((0.2 + (0.8 * (1 - 1 / 1.8)) / 0.556) * 0.9944, 3);
  });
  it('about 22 % kept at 23.4 % clay, more at more clay', () => {
    expect(keptShare(23.4)).toBeCloseTo(0.22, 2);
    expect(keptShare(50)).toBeGreaterThan(keptShare(5));
    expect(BIOMASS_OF_KEPT).toBe(0.46);
  });
  it('plant matter by what it comes from: DPM to RPM 1.44 for crops, 0.25 for wood, 49/49/2 for manure', () => {
    expect(CROP_SHARES[0] / CROP_SHARES[1]).toBeCloseTo(1.44, 2);
    expect(WOODY_SHARES[0] / WOODY_SHARES[1]).toBeCloseTo(0.25, 9);
    expect(MANURE_SHARES).toEqual([0.49, 0.49, 0.02]);
  });
  it('pools decay by their published rates: a tenth of a year of DPM leaves 1/e', () => {
    const { dpm } = decayFivePools({
      pools: { dpm: 100, rpm: 0, bio: 0, hum: 0 },
      rateModifier: 1,
      years: 0.1,
      clayPct: 23.4,
    });
    expect(dpm).toBeCloseTo(100 / Math.E, 9);
  });
  it('an even feed run for ever comes to the steady state solved by hand', () => {
    const fed = { dpm: 59, rpm: 41 };
    let pools: FivePools = { dpm: 0, rpm: 0, bio: 0, hum: 0 };
    const step = 1 / 12;
    for (let month = 0; month < 12 * 3000; month++) {
      pools = decayFivePools({
        pools: { ...pools, dpm: pools.dpm + fed.dpm * step, rpm: pools.rpm + fed.rpm * step },
        rateModifier: 1,
        years: step,
        clayPct: 23.4,
      });
    }
    // Per year all 100 are decayed; kept k, of which 46 % is biomass: bio = 0.46 k D / 0.66, with D = 100 / (1 - k).
    const kept = keptShare(23.4);
    const decayedPerYear = 100 / (1 - kept);
    const { bio, hum } = FIVE_POOL_RATES_PER_YEAR;
    expect(pools.hum / ((0.54 * kept * decayedPerYear) / hum)).toBeCloseTo(1, 2);
    // Monthly steps let biomass feed on itself a month late: within 3 %.
    expect(Math.abs(pools.bio / ((0.46 * kept * decayedPerYear) / bio) - 1)).toBeLessThan(0.03);
  });
  it('labeled plant carbon at Rothamsted: about a third left after one year and a fifth after five (Jenkinson, on fallow; bands ours)', () => {
    const modifiers = monthlyRateModifiers(ROTHAMSTED, 23.4, new Set());
    const left = (years: number) => {
      let pools: FivePools = { dpm: 59, rpm: 41, bio: 0, hum: 0 };
      for (let m = 0; m < 12 * years; m++)
        pools = decayFivePools({ pools, rateModifier: modifiers[m % 12], years: 1 / 12, clayPct: 23.4 });
      return pools.dpm + pools.rpm + pools.bio + pools.hum;
    };
    expect(left(1)).toBeGreaterThan(33);
    expect(left(1)).toBeLessThan(45);
    expect(left(5)).toBeGreaterThan(16);
    expect(left(5)).toBeLessThan(30);
  });
  it('inert carbon stays and the rest dwindles on bare soil', () => {
    const [first, later] = fivePoolOpinion(setting);
    expect(first).toBeCloseTo(5000, 6);
    expect(later).toBeLessThan(first);
    expect(later).toBeGreaterThan(400);
  });
});

describe('the two-pool model (Andren and Katterer 1997, ICBM)', () => {
  const straw = { carbonGPerYear: 200, humified: 0.125, climateFactor: 1 };
  it('steady state: Y = i / (k1 r), O = h i / (k2 r)', () => {
    const steady = steadyState(straw);
    expect(steady.young).toBeCloseTo(250, 9);
    expect(steady.old).toBeCloseTo((0.125 * 200) / 0.00605, 9);
    const kept = afterYears(steady, straw, 500);
    expect(kept.young).toBeCloseTo(steady.young, 9);
    expect(kept.old).toBeCloseTo(steady.old, 9);
  });
  it('the closed form agrees with its equations stepped by hand', () => {
    let [young, old] = [0, 4000];
    const dt = 1e-4;
    for (let t = 0; t < 10 / dt; t++) {
      const rotted = 0.8 * young;
      [young, old] = [young + dt * (200 - rotted), old + dt * (0.125 * rotted - 0.00605 * old)];
    }
    const closed = afterYears({ young: 0, old: 4000 }, straw, 10);
    expect(closed.young).toBeCloseTo(young, 1);
    expect(closed.old).toBeCloseTo(old, 1);
  });
  it('the run on a bed fed every month comes to the steady state of the closed form', () => {
    const years = 4000;
    const inputs = Array.from({ length: years * 12 }, (_, m) => ({
      day: Math.round(738000 + (m * 365.25) / 12),
      kind: 'residue' as const,
      carbonG: 200 / 12,
    }));
    const climateFree = climateFactor(ROTHAMSTED, 23.4);
    const [old] = youngAndOldOpinion({ ...setting, inputs, lookDays: [738000 + Math.round(years * 365.25)] });
    const steady = steadyState({ ...straw, climateFactor: climateFree });
    expect(old / steady.old).toBeCloseTo(1, 2);
  });
  it('is 1 in central Sweden and more where it is warmer', () => {
    expect(climateFactor(CENTRAL_SWEDEN, 36)).toBeCloseTo(1, 9);
    expect(climateFactor(ROTHAMSTED, 36)).toBeGreaterThan(1);
  });
});

describe('the one-pool model (Henin and Dupuis 1945)', () => {
  it('closed form: the steady state is K1 m / K2, half way there after ln 2 / K2', () => {
    expect(humusAfter({ humus: 0, madePerYear: 30, lossPerYear: 0.02, years: 5000 })).toBeCloseTo(1500, 6);
    expect(humusAfter({ humus: 0, madePerYear: 30, lossPerYear: 0.02, years: Math.LN2 / 0.02 })).toBeCloseTo(
      750,
      6,
    );
    expect(humusAfter({ humus: 1500, madePerYear: 30, lossPerYear: 0.02, years: 40 })).toBeCloseTo(1500, 9);
  });
  it('coefficients lie in their published ranges', () => {
    const within = (value: number, [low, high]: readonly [number, number]) => value >= low && value <= high;
    expect(within(isohumicCoefficient('residue'), ISOHUMIC_RANGES.straw)).toBe(true);
    expect(within(isohumicCoefficient('manure'), ISOHUMIC_RANGES.farmyardManure)).toBe(true);
    expect(within(isohumicCoefficient('compost'), ISOHUMIC_RANGES.matureCompost)).toBe(true);
  });
  it('humus goes slower in clay and cold, never outside 1 to 3 % a year', () => {
    const loss = (climate: ClimateNormals, clayPct: number) => humusLossPerYear({ climate, clayPct });
    expect(loss(ROTHAMSTED, 50)).toBeLessThan(loss(ROTHAMSTED, 8));
    expect(loss(CENTRAL_SWEDEN, 20)).toBeLessThan(loss(ROTHAMSTED, 20));
    for (const climate of CLIMATE_PATTERNS) {
      expect(loss(climate, 0)).toBeLessThanOrEqual(HUMUS_LOSS_PER_YEAR_RANGE[1]);
      expect(loss(climate, 80)).toBeGreaterThanOrEqual(HUMUS_LOSS_PER_YEAR_RANGE[0]);
    }
  });
});

describe('carbon by month', () => {
  it('every input falls into one month, whatever day the run starts on', () => {
    const inputs = [0, 16, 17, 40, 364].map((after) => ({ day: 738010 + after }));
    const months = byMonth(738010, 738010 + 365, inputs);
    expect(months.flatMap((month) => month.inputs)).toHaveLength(5);
    expect(months.at(-1)!.untilDay).toBe(738010 + 365);
  });
});
