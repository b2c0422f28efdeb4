import { describe, expect, it } from 'vitest';
import { runPile } from '../../src/core/model/simulation/pile.ts';
import { defaultParameters } from '../../src/core/model/simulation/parameters.ts';
import { openingFromPile } from '../../src/core/model/simulation/pile.ts';
import type { BedScenario, PilePlan } from '../../src/core/model/simulation/scenario.ts';
import {
  AMPLE,
  apply,
  bed,
  cohort,
  constantClimate,
  day,
  finished,
  fromDry,
  fromThickness,
  garden,
  material,
  MILD,
  ROTHAMSTED,
  WATERED,
  weeklyFeed,
} from './trials.ts';

/** Nitrogen lock-up against published figures. All sources are from memory; bands are theirs or said to be ours. */

/** Feed C:N at which a residue dug in neither gives nor takes nitrogen in 56 days. */
function criticalRatio(residueId: string, temperatureC: number): number {
  const residue = material(residueId);
  const netG = (ratio: number): number => {
    const fed = { ...residue, nitrogenFractionDryBasis: residue.carbonFractionDryBasis / ratio };
    const run = finished(
      bed('2021-01-01', 56, {
        climate: constantClimate(temperatureC),
        soil: AMPLE,
        events: [apply('2021-01-01', fed, 1, { dugDepthCm: 15 })],
      }),
    );
    return cohort(run).releasedG - cohort(run).drawnG;
  };
  let gives = 8;
  let takes = 60;
  expect(netG(gives)).toBeGreaterThan(0);
  expect(netG(takes)).toBeLessThan(0);
  for (let i = 0; i < 30; i++) {
    const middle = (gives + takes) / 2;
    if (netG(middle) > 0) gives = middle;
    else takes = middle;
  }
  return gives;
}

describe('critical C:N of fresh residue, textbooks 20 to 30 (Brady and Weil, from memory)', () => {
  it.each([
    ['cereal_residue_1N', 15],
    ['cereal_residue_1N', 20],
    ['rye_young', 17.5],
    ['straw_cereal', 20],
    ['ryegrass_jenkinson', 17.5],
  ])('%s at %d C', (residueId, temperatureC) => {
    const ratio = criticalRatio(residueId, temperatureC);
    expect(ratio).toBeGreaterThan(20);
    expect(ratio).toBeLessThan(30);
  });
});

/** Largest lock-up of sawdust dug in, % of its dry mass, 150 days at 20 C. */
function sawdustLockUpPct(id: string): number {
  const run = finished(
    bed('2021-01-01', 150, {
      climate: constantClimate(20),
      soil: AMPLE,
      events: [apply('2021-01-01', id, fromDry(id, 1), { dugDepthCm: 15 })],
    }),
  );
  return cohort(run).peakLockedG / 10;
}

describe('sawdust dug in, nitrogen locked in % of dry mass (Allison 1965, from memory)', () => {
  it.each(['sawdust_softwood', 'sawdust_hardwood'])('%s: 0.3 to 1.2', (id) => {
    expect(sawdustLockUpPct(id)).toBeGreaterThan(0.3);
    expect(sawdustLockUpPct(id)).toBeLessThan(1.2);
  });
  it('softwood: within 25 % (our band) of about 0.6', () => {
    expect(Math.abs(sawdustLockUpPct('sawdust_softwood') / 0.6 - 1)).toBeLessThan(0.25);
  });
  // A known miss, left standing: the model gives 0.76. docs/method.md says what was tried.
  it('hardwood: within 25 % (our band) of about 1.1', () => {
    expect(Math.abs(sawdustLockUpPct('sawdust_hardwood') / 1.1 - 1)).toBeLessThan(0.25);
  });
});

const mildGarden = (events: BedScenario['events']): BedScenario =>
  garden(365, { climate: MILD, irrigation: WATERED, events });

describe('wood chips on the surface (gardeners and extension leaflets, from memory)', () => {
  const dryKgPerM2 = (id: string, cm: number) =>
    fromThickness(id, cm) * (1 - material(id).moistureFractionWetBasis);

  it.each(['chips_mixed', 'chips_hardwood_trunk'])(
    '8 cm of %s draw under 15 %% of what they draw dug in, and nothing below 5 cm',
    (id) => {
      const massKg = fromThickness(id, 8);
      const events = [apply('2020-10-01', id, massKg), ...weeklyFeed('2020-10-01', 52, 2)];
      const [, contactG, rootG] = cohort(finished(mildGarden(events))).drawnByZoneG;
      const dug = finished(
        bed('2021-01-01', 365, {
          climate: constantClimate(17),
          soil: AMPLE,
          events: [apply('2021-01-01', id, massKg, { dugDepthCm: 15 })],
        }),
      );
      expect(rootG).toBe(0);
      expect(contactG).toBeGreaterThan(0);
      expect(contactG / dryKgPerM2(id, 8)).toBeLessThan(0.15 * (cohort(dug).drawnG / dryKgPerM2(id, 8)));
    },
  );

  it.each([
    ['chips_mixed', 'cool', ROTHAMSTED, undefined],
    ['chips_mixed', 'mild', MILD, WATERED],
    ['chips_hardwood_trunk', 'cool', ROTHAMSTED, undefined],
    ['chips_hardwood_trunk', 'mild', MILD, WATERED],
  ])(
    '5 cm of %s, fed weekly, draw at most 5 g/m2 a year (%s; target chosen here)',
    (id, _, climate, irrigation) => {
      const events = [apply('2020-10-01', id, fromThickness(id, 5)), ...weeklyFeed('2020-10-01', 52, 2)];
      const scenario = garden(365, { climate, events, ...(irrigation ? { irrigation } : {}) });
      expect(cohort(finished(scenario)).drawnByZoneG[1]).toBeLessThan(5);
    },
  );
});

describe('seasoned wood (common practice, no source)', () => {
  const heap = (id: string, months: number, kg: number): PilePlan => ({
    id: 'heap',
    startDay: day('2021-01-01') - Math.round(months * 30.42),
    endDay: day('2021-01-01'),
    mix: [{ material: material(id), massFreshKg: kg }],
    isTurned: false,
    isHot: false,
    moistureFactor: 1,
    kind: 'wood',
    stepsPerDay: 2,
  });
  /** Largest lock-up dug in, per kg that was put in the heap. */
  function peakPerKg(id: string, months: number): number {
    const piles = months > 0 ? [heap(id, months, 4)] : [];
    const fresh = apply('2021-01-01', id, 4, { dugDepthCm: 15 });
    const { material: _material, ...placing } = fresh;
    const run = finished(
      bed('2021-01-01', 150, {
        climate: constantClimate(17),
        soil: AMPLE,
        piles,
        events: [months > 0 ? { ...placing, pileId: 'heap' } : fresh],
      }),
    );
    return cohort(run).peakLockedG / 4;
  }
  it.each(['chips_mixed', 'chips_hardwood_trunk'])('%s locks under 0.8 of fresh after 12 months', (id) => {
    expect(peakPerKg(id, 12)).toBeLessThan(0.8 * peakPerKg(id, 0));
  });
  it('mixed chips lock under a fifth of fresh after two years', () => {
    expect(peakPerKg('chips_mixed', 24)).toBeLessThan(0.2 * peakPerKg('chips_mixed', 0));
  });
  it('spreading a whole heap brings exactly what was left of it', () => {
    const pile = runPile(heap('chips_mixed', 12, 4), MILD, defaultParameters);
    const opening = openingFromPile(pile, 4, defaultParameters);
    const carbonG = opening.carbonG.reduce((sum, c) => sum + c, 0);
    const nitrogenG = opening.nitrogenG.reduce((sum, n) => sum + n, opening.ammoniumG);
    expect(carbonG).toBeCloseTo(pile.carbonLeftG, 9);
    expect(nitrogenG).toBeCloseTo(pile.nitrogenLeftG, 9);
  });
});
