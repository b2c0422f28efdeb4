import { describe, expect, it } from 'vitest';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { missedByTrialCrop, runTo, startRun } from './run.ts';
import { DEFAULT_STEPS_PER_DAY, SOIL_DEFAULTS, type BedScenario, type CropPlan } from './scenario.ts';

const START = 738_000;
const cropOf = (id: string, plantDay: number, harvestDay: number, isPerennial = false): CropPlan => ({
  id,
  plantDay,
  harvestDay,
  nitrogenDemandGPerM2: 10,
  rootDepthCm: 40,
  isLegume: false,
  isPerennial,
  deepShare: 0,
  residueShare: 0,
  residueDugDepthCm: 0,
});
const scenarioOf = (crops: readonly CropPlan[]): BedScenario => ({
  startDay: START,
  endDay: START + 400,
  climate: CLIMATE_PATTERNS[0],
  soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2 },
  events: [],
  crops: [...crops],
  piles: [],
  depositionGPerM2Year: 1,
  stepsPerDay: DEFAULT_STEPS_PER_DAY,
});

describe('the proof of the books', () => {
  it.each(['slowHumusC', 'activeHumusN'] as const)(
    'finds a gram of %s that no posting tells of within a month, and at the end of any stretch',
    (pool) => {
      const far = startRun(scenarioOf([]));
      runTo(far, START + 43);
      far.bed.state[pool] -= 1;
      expect(() => runTo(far, START + 300)).toThrow(/no longer balance/);
      expect(far.day).toBeLessThanOrEqual(START + 43 + 30);

      const near = startRun(scenarioOf([]));
      runTo(near, START + 43);
      near.bed.state[pool] -= 1;
      expect(() => runTo(near, START + 44)).toThrow(/no longer balance/);
    },
  );
});

describe('crops that are gone', () => {
  const demanded = (crops: readonly CropPlan[], id: string) => {
    const run = startRun(scenarioOf(crops));
    runTo(run, run.scenario.endDay);
    return run.bed.state.crops.find(({ plan }) => plan.id === id)!.demandedN;
  };
  const annual = cropOf('annual', START + 20, START + 120);

  it('are passed over, and what was planted before or comes after them grows on', () => {
    const shrub = cropOf('shrub', START + 10, START + 380, true);
    const later = cropOf('later', START + 150, START + 250);
    const together = [shrub, annual, cropOf('short', START + 21, START + 60), later];
    for (const one of [shrub, annual, later]) {
      expect(demanded(together, one.id), one.id).toBeCloseTo(demanded([one], one.id), 9);
      expect(demanded(together, one.id)).toBeGreaterThan(9);
    }
  });
  it('a crop set in for a trial leaves the run as it was, before and after a harvest', () => {
    const next = cropOf('next', START + 140, START + 240);
    const plain = startRun(scenarioOf([annual, next]));
    runTo(plain, plain.scenario.endDay);

    const tried = startRun(scenarioOf([annual, next]));
    for (const day of [START + 60, START + 130, START + 200]) {
      runTo(tried, day);
      missedByTrialCrop(tried, cropOf('trial', day, day + 90));
    }
    runTo(tried, tried.scenario.endDay);
    expect(tried.bed.state.postings).toEqual(plain.bed.state.postings);
    expect(tried.bed.state.crops).toEqual(plain.bed.state.crops);
  });
});
