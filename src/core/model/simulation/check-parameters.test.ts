import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { checkParameters } from './check-parameters.ts';
import { PARAMETER_TABLE, type ParameterOverrides } from './parameters.ts';
import { mineralNitrogen } from './report.ts';
import { runTo, startRun } from './run.ts';
import { SOIL_DEFAULTS, type BedScenario } from './scenario.ts';

interface Row {
  readonly value: number;
  readonly low?: number;
  readonly high?: number;
  readonly source: string;
  readonly unit: string;
}
const ROWS = Object.entries(PARAMETER_TABLE) as [string, Row][];

const refusal = (overrides: object): string => refusalOf(() => checkParameters(overrides));

describe('parameters', () => {
  it.each(ROWS)('%s has a unit, a source and lies within its own range', (name, row) => {
    expect(row.unit).not.toBe('');
    expect(row.source).toMatch(/from memory|calibrated|set here/);
    expect(row.low ?? row.value).toBeLessThanOrEqual(row.value);
    expect(row.high ?? row.value).toBeGreaterThanOrEqual(row.value);
    expect(refusal({ [name]: row.value })).toBe('accepted');
    for (const end of [row.low, row.high]) {
      if (end !== undefined && name !== 'rainGapDays') expect(refusal({ [name]: end })).toBe('accepted');
    }
  });

  it.each(ROWS.map(([name]) => name))('%s is refused by name when it is no figure', (name) => {
    for (const value of [NaN, Infinity, -1000, '1', null]) {
      expect(refusal({ [name]: value })).toMatch(new RegExp(`^parameters\\.${name} `));
    }
  });

  it.each<[object, RegExp]>([
    [{ growthEfficiency: 1.2 }, /^parameters\.growthEfficiency .*1/],
    [{ backlogDays: 0 }, /^parameters\.backlogDays .*greater than 0/],
    [{ rainGapDays: 2.5 }, /^parameters\.rainGapDays must be a whole number of days; got 2\.5/],
    [{ contactExposure: 3 }, /^parameters\.contactExposure must be an object of classes/],
    [{ contactExposure: { soggy: 1 } }, /^parameters\.contactExposure\.soggy is not a class/],
    [{ charLeftAfter100Years: { high: 1 } }, /^parameters\.charLeftAfter100Years\.high /],
    [{ luck: 7 }, /^parameters\.luck is not a parameter of the model/],
  ])('%o: said what is wrong with it', (overrides, sentence) => {
    expect(refusal(overrides)).toMatch(sentence);
  });
});

const layer = (id: string, day: number, dugDepthCm: number) => ({
  type: 'apply' as const,
  day,
  material: findLibraryMaterial(id)!,
  massFreshKgPerM2: 6,
  dugDepthCm,
  exposure: 'normal' as const,
  isOnPath: false,
});

const START = 738_000;
const scenario = (parameters: ParameterOverrides): BedScenario => ({
  startDay: START,
  endDay: START + 300,
  climate: CLIMATE_PATTERNS[0],
  soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2 },
  events: [
    layer('chips_mixed', START, 0),
    layer('cattle_fym', START + 5, 15),
    layer('biochar_raw', START + 9, 0),
  ],
  crops: [],
  piles: [],
  depositionGPerM2Year: 1,
  stepsPerDay: 2,
  parameters,
});

const RANGED = ROWS.filter(
  ([name, { low, high }]) => low !== undefined && high !== undefined && name !== 'rainGapDays',
);

/** Every ranged parameter somewhere in its range at once, ends included. */
const anyWithinRange = fc
  .tuple(...RANGED.map(([, { low, high }]) => fc.double({ min: low!, max: high!, noNaN: true })))
  .map((values): ParameterOverrides => Object.fromEntries(RANGED.map(([name], i) => [name, values[i]])));

describe('a run with other parameters', () => {
  it('balances wherever in their ranges all of them lie', () => {
    fc.assert(
      fc.property(anyWithinRange, (parameters) => {
        const run = startRun(scenario(parameters));
        runTo(run, run.scenario.endDay);
        expect(run.largestRelativeError).toBeLessThan(1e-9);
        expect(Math.min(...(Object.values(mineralNitrogen(run.bed)) as number[]))).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 40 },
    );
  });
});
