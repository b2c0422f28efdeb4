import { describe, expect, it } from 'vitest';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { runTo, startRun } from '../../model/simulation/run.ts';
import { SOIL_DEFAULTS, type BedScenario } from '../../model/simulation/scenario.ts';
import { leastDoses } from './least-doses.ts';
import { firstSeasonAvailability, productMassFreshKg } from './product.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);
const DAYS = [day('2021-05-01'), day('2021-06-01'), day('2021-07-01')];

/** A hungry crop on a poor loam into which fresh sawdust was dug. */
const scenario: BedScenario = {
  startDay: day('2020-10-01'),
  endDay: day('2021-08-20'),
  climate: CLIMATE_PATTERNS[0],
  soil: { ...SOIL_DEFAULTS, organicMatterPct: 3, bulkDensityGPerCm3: 1.3 },
  events: [
    {
      type: 'apply',
      day: day('2021-04-01'),
      material: findLibraryMaterial('sawdust_softwood')!,
      massFreshKgPerM2: 1,
      dugDepthCm: 15,
      exposure: 'normal',
      isOnPath: false,
    },
  ],
  crops: [
    {
      id: 'crop',
      plantDay: DAYS[0],
      harvestDay: day('2021-08-20'),
      nitrogenDemandGPerM2: 10,
      rootDepthCm: 40,
      isLegume: false,
      isPerennial: false,
      deepShare: 0,
      residueShare: 0,
      residueDugDepthCm: 0,
    },
  ],
  piles: [],
  depositionGPerM2Year: 1,
  stepsPerDay: 1,
};
const plan = { days: DAYS, cropIds: 'all' as const, availability: 1 };

/** Crop nitrogen missed in the first interval with a dose on its first day, by a run of its own. */
function missedInFirstInterval(doseG: number): number {
  const run = startRun(scenario);
  run.doses.set(DAYS[0], doseG);
  runTo(run, DAYS[1]);
  const [crop] = run.bed.state.crops;
  return crop.shortN + crop.backlogN;
}

describe('least doses', () => {
  it('take the cheapest of all doses, tried one by one', () => {
    const costs = Array.from({ length: 21 }, (_, i) => missedInFirstInterval(i * 0.5) + 0.15 * i * 0.5);
    const cheapest = costs.indexOf(Math.min(...costs)) * 0.5;
    const [first] = leastDoses(scenario, plan);
    expect(first.nitrogenGPerM2).toBe(cheapest);
    expect(first.unmetWithoutG).toBeCloseTo(missedInFirstInterval(0), 12);
    expect(first.unmetWithG).toBeCloseTo(missedInFirstInterval(cheapest), 12);
  });

  it('price the material against the same bed without it', () => {
    for (const dose of leastDoses(scenario, plan)) {
      expect(dose.priceGPerM2).toBe(dose.nitrogenGPerM2 - dose.twinNitrogenGPerM2);
    }
    const bare = leastDoses({ ...scenario, events: [] }, plan);
    expect(bare.every(({ priceGPerM2 }) => priceGPerM2 === 0)).toBe(true);
  });

  it('give nothing where nothing is missed', () => {
    const rich = { ...scenario, events: [], soil: { ...scenario.soil, organicMatterPct: 15 } };
    expect(leastDoses(rich, plan).map(({ nitrogenGPerM2, isMet }) => [nitrogenGPerM2, isMet])).toEqual(
      DAYS.map(() => [0, true]),
    );
  });

  it('stay within the largest dose allowed, and say when that does not do', () => {
    const doses = leastDoses(scenario, { ...plan, maximumDoseGPerM2: 1 });
    expect(Math.max(...doses.map(({ nitrogenGPerM2 }) => nitrogenGPerM2))).toBeLessThanOrEqual(1);
    expect(doses.some(({ isMet }) => !isMet)).toBe(true);
  });

  it('stay within a cap for each calendar year, which is no less than what its crops need', () => {
    const cropOf = (id: string, planted: string, cleared: string) => ({
      ...scenario.crops[0],
      id,
      plantDay: day(planted),
      harvestDay: day(cleared),
      nitrogenDemandGPerM2: 6,
    });
    const twoYears = (doseSeasonG: number) =>
      leastDoses(
        {
          ...scenario,
          startDay: day('2020-04-01'),
          soil: { ...scenario.soil, organicMatterPct: 0.2 },
          events: [],
          parameters: { doseSeasonG },
          crops: [cropOf('one', '2020-06-01', '2020-10-01'), cropOf('two', '2021-04-15', '2021-08-15')],
        },
        { ...plan, days: ['2020-06-01', '2020-07-15', '2021-04-15', '2021-06-01'].map(day) },
      ).map(({ nitrogenGPerM2 }) => nitrogenGPerM2);
    const [a, b, c, d] = twoYears(1);
    expect(a + b).toBeLessThanOrEqual(6);
    expect(c + d).toBeLessThanOrEqual(6);
    // The year begins with a clean sheet, and the cap of 1 g gives way to the need of the crop.
    expect(a + b).toBeGreaterThan(1);
    expect(a + b + c + d).toBeGreaterThan(6);
    const free = twoYears(25).reduce((sum, g) => sum + g, 0);
    expect(free).toBeGreaterThanOrEqual(a + b + c + d);
  });

  it('count as met what misses a hundredth of the demand of the interval, and no more', () => {
    const rich = leastDoses({ ...scenario, soil: { ...scenario.soil, organicMatterPct: 3.5 } }, plan);
    for (const { isMet, unmetWithG, unmetWithoutG } of rich) {
      if (unmetWithG > Math.max(0.1, 0.05 * unmetWithoutG)) expect(isMet).toBe(false);
      if (unmetWithG <= 0.02) expect(isMet).toBe(true);
    }
    const greedy = { ...scenario, crops: [{ ...scenario.crops[0], nitrogenDemandGPerM2: 300 }] };
    const doses = leastDoses(greedy, { ...plan, days: [DAYS[0]] });
    // A hundredth of 300 g would do, more than a twentieth of what is missed without.
    expect(doses[0].isMet).toBe(doses[0].unmetWithG <= Math.max(3, 0.05 * doses[0].unmetWithoutG));
  });

  it('ask for more of a product that gives only part of its nitrogen', () => {
    const [half] = leastDoses(scenario, { ...plan, availability: 0.5 });
    expect(half.productNitrogenGPerM2).toBe(2 * half.nitrogenGPerM2);
  });

  it.each([
    ['supplement.days.1', { ...plan, days: [DAYS[1], DAYS[0]] }],
    ['supplement.days.0', { ...plan, days: [day('2030-01-01')] }],
    ['supplement.cropIds.0', { ...plan, cropIds: ['nobody'] }],
    ['supplement.availability', { ...plan, availability: 0 }],
    ['supplement.maximumDoseGPerM2', { ...plan, maximumDoseGPerM2: NaN }],
  ])('%s is refused by name', (path, wrong) => {
    expect(() => leastDoses(scenario, wrong)).toThrow(new RegExp(`^${path} `));
  });
});

describe('products', () => {
  it('weigh what brings so much acting nitrogen', () => {
    const feather = findLibraryMaterial('feather_meal')!;
    const massKg = productMassFreshKg(30, feather, firstSeasonAvailability(feather));
    const nitrogenG =
      massKg * 1000 * (1 - feather.moistureFractionWetBasis) * feather.nitrogenFractionDryBasis;
    expect(nitrogenG * firstSeasonAvailability(feather)).toBeCloseTo(30, 9);
    expect(massKg).toBeGreaterThan(0.2);
    expect(massKg).toBeLessThan(0.5);
  });
  it('of wood take more than they give', () => {
    expect(firstSeasonAvailability(findLibraryMaterial('chips_branch')!)).toBeLessThan(0);
  });
});
