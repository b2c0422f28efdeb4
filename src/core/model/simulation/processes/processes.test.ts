import { describe, expect, it } from 'vitest';
import { crop, lay, material, START, weather } from '../../../../../tests/fixtures/bare-bed.ts';
import type { ClimateNormals } from '../../../../records/garden.ts';
import type { FlowName } from '../../ledger/flows.ts';
import { reportCohort, reportCrop } from '../report.ts';
import { runTo, startRun, type BedRun } from '../run.ts';
import { SOIL_DEFAULTS, type BedScenario, type CropPlan } from '../scenario.ts';
import { rootDepthCm } from '../crop-growth.ts';
import { defaultParameters } from '../parameters.ts';

// What each process does on a bed arranged so that little else happens.

interface Arrangement {
  readonly days: number;
  readonly climate?: ClimateNormals;
  readonly soil?: Partial<BedScenario['soil']>;
  readonly events?: BedScenario['events'];
  readonly crops?: readonly CropPlan[];
  readonly depositionGPerM2Year?: number;
}

/** A bed with hardly any humus of its own, run to the end. */
function finished({ days, climate = weather(15, 0, 0), soil = {}, ...rest }: Arrangement): BedRun {
  const run = startRun({
    startDay: START,
    endDay: START + days,
    climate,
    soil: {
      ...SOIL_DEFAULTS,
      organicMatterPct: 0.001,
      bulkDensityGPerCm3: 1.2,
      mineralNGPerM2: [2, 6],
      ...soil,
    },
    events: [],
    crops: [],
    piles: [],
    depositionGPerM2Year: 0,
    stepsPerDay: 1,
    ...rest,
  });
  runTo(run, run.scenario.endDay);
  return run;
}

const flow = ({ bed }: BedRun, ...names: FlowName[]): number =>
  names.reduce((sum, name) => sum + bed.state.postings[name], 0);
const cohort = ({ bed }: BedRun, i = 0) => reportCohort(bed, bed.state.cohorts[i]);
const grownCrop = ({ bed }: BedRun, k = 0) => reportCrop(bed.state.crops[k]);

describe('deposition', () => {
  it('brings a year of it in a year, into the contact zone', () => {
    const run = finished({ days: 365, depositionGPerM2Year: 3, climate: weather(-10, 0, 0) });
    expect(flow(run, 'deposited')).toBeCloseTo(3, 9);
    expect(run.bed.state.contactZone.nitrogenG).toBeCloseTo(5, 4);
  });
});

describe('water', () => {
  it('is kept: rain is evaporation, drainage and what fills the deficit', () => {
    const run = finished({ days: 200, climate: weather(15, 60, 30), soil: { deficitMm: [3, 10] } });
    const rainMm = run.weather.rainMm.reduce((sum, mm) => sum + mm, 0);
    const evaporatedMm = run.weather.evapotranspirationMm.reduce((sum, mm) => sum + 0.75 * mm, 0);
    const filledMm = 13 - run.bed.state.contactDeficitMm - run.bed.state.rootDeficitMm;
    expect(rainMm).toBeCloseTo(evaporatedMm + run.bed.state.drainedMm + filledMm, 6);
  });
  it('never dries a zone beyond its largest deficit', () => {
    const { bed } = finished({ days: 300, climate: weather(25, 0, 150) });
    expect(bed.state.contactDeficitMm).toBeCloseTo(bed.constants.contactMaximumDeficitMm, 9);
    // Bare soil dries less deep than soil under a crop.
    expect(bed.state.rootDeficitMm).toBeCloseTo(0.556 * bed.constants.rootMaximumDeficitMm, 9);
  });
  it('evaporates less under mulch', () => {
    const dry = weather(15, 0, 25);
    const bare = finished({ days: 30, climate: dry }).bed.state;
    const mulched = finished({ days: 30, climate: dry, events: [lay('chips_mixed', 20)] }).bed.state;
    expect(mulched.contactDeficitMm + mulched.rootDeficitMm).toBeLessThan(
      0.75 * (bare.contactDeficitMm + bare.rootDeficitMm),
    );
  });
});

describe('leaching', () => {
  const rainy = weather(-10, 120, 0);
  it('takes nothing without drainage', () => {
    expect(flow(finished({ days: 60, climate: weather(-10, 0, 0) }), 'rootZoneToSubsoil')).toBe(0);
  });
  it('leaves what is held and what is ammonium, and takes the rest in the end', () => {
    const frozen = finished({ days: 3000, climate: rainy }).bed;
    // A fifth was ammonium, and nothing nitrifies in the frost.
    const { contactHeldN, rootHeldN } = frozen.constants;
    expect(frozen.state.contactZone.nitrogenG).toBeGreaterThan(contactHeldN);
    expect(frozen.state.rootZone.nitrogenG).toBeGreaterThan(rootHeldN);
    const warm = finished({ days: 3000, climate: weather(10, 120, 0) }).bed;
    expect(warm.state.contactZone.nitrogenG).toBeCloseTo(contactHeldN, 2);
    expect(warm.state.rootZone.nitrogenG).toBeCloseTo(rootHeldN, 2);
  });
  it('lies below the bed for a while before it is lost', () => {
    const early = finished({ days: 60, climate: weather(10, 120, 0) });
    const washedG = flow(early, 'rootZoneToSubsoil');
    expect(washedG).toBeGreaterThan(2);
    expect(flow(early, 'leached')).toBeLessThan(0.5 * washedG);
    const { upperSubsoilN, lowerSubsoilN } = early.bed.state;
    expect(upperSubsoilN + lowerSubsoilN + flow(early, 'leached')).toBeCloseTo(washedG, 9);
    const late = finished({ days: 2000, climate: weather(10, 120, 0) });
    expect(flow(late, 'leached') / flow(late, 'rootZoneToSubsoil')).toBeGreaterThan(0.99);
  });
  it('is faster in sand than in clay', () => {
    const leached = (clayPct: number) =>
      flow(finished({ days: 40, climate: rainy, soil: { clayPct } }), 'rootZoneToSubsoil');
    expect(leached(3)).toBeGreaterThan(leached(45));
  });
  it('does not hang on the size of the sub-step', () => {
    const leached = (stepsPerDay: number) => {
      const run = startRun({ ...finished({ days: 80, climate: rainy }).scenario, stepsPerDay });
      runTo(run, run.scenario.endDay);
      return run.bed.state.postings.rootZoneToSubsoil;
    };
    expect(Math.abs(leached(8) / leached(2) - 1)).toBeLessThan(0.05);
  });
  it('turns a share to gas on wet clay alone, and only when it is warm enough', () => {
    const gas = (clayPct: number, airC: number) =>
      flow(
        finished({ days: 60, climate: weather(airC, 150, 0), soil: { clayPct } }),
        'contactZoneDenitrified',
        'rootZoneDenitrified',
      );
    expect(gas(50, 15)).toBeGreaterThan(0.05);
    expect(gas(8, 15)).toBe(0);
    expect(gas(50, -20)).toBe(0);
  });
});

describe('ammonia', () => {
  const manure = lay('layer_manure', 2);
  const lostWith = (events: BedScenario['events'], climate = weather(15, 0, 0)) =>
    flow(finished({ days: 7, climate, events }), 'ammoniumVolatilized');
  it('takes about half of a bare surface within three days', () => {
    const exposed = { ...material('layer_manure'), ammoniaExposure: 1 };
    const run = finished({ days: 3, events: [lay(exposed, 2)] });
    const laidG = flow(run, 'nitrogenLaidAsAmmonium');
    expect(flow(run, 'ammoniumVolatilized') / laidG).toBeGreaterThan(0.4);
    expect(flow(run, 'ammoniumVolatilized') / laidG).toBeLessThan(0.6);
  });
  it('is stopped by cover, by card and by digging in, and washed in by rain', () => {
    const bare = lostWith([manure]);
    expect(lostWith([manure, lay('chips_mixed', 15)])).toBeLessThan(0.2 * bare);
    expect(lostWith([manure, lay('cardboard', 0.8)])).toBeLessThan(0.3 * bare);
    expect(lostWith([lay('layer_manure', 2, { dugDepthCm: 10 })])).toBe(0);
    expect(lostWith([manure], weather(15, 200, 0))).toBeLessThan(0.8 * bare);
  });
  it('a liquid soaks in for the most part before it can escape', () => {
    const run = finished({ days: 1, events: [lay('urine', 1)] });
    expect(flow(run, 'ammoniumToContactZone') / flow(run, 'nitrogenLaidAsAmmonium')).toBeCloseTo(0.7, 9);
  });
});

describe('char', () => {
  it('fills from the soil it touches over weeks when raw, and not when charged', () => {
    const taken = (id: string) =>
      flow(
        finished({ days: 60, events: [lay(id, 3, { dugDepthCm: 15 })] }),
        'contactZoneToChar',
        'rootZoneToChar',
      );
    expect(taken('biochar_raw')).toBeGreaterThan(0.3);
    expect(taken('biochar_charged')).toBeLessThan(0.5 * taken('biochar_raw'));
  });
  it('hands it back as its sites close', () => {
    const held = (days: number) =>
      cohort(finished({ days, events: [lay('biochar_raw', 3, { dugDepthCm: 15 })] })).charHeldG;
    expect(held(1500)).toBeLessThan(0.5 * held(100));
  });
});

describe('layers', () => {
  it('settle by a quarter and touch the soil with their lowest part', () => {
    const run = finished({ days: 2, climate: weather(-10, 0, 0), events: [lay('chips_mixed', 28)] });
    expect(cohort(run).thicknessCm).toBeGreaterThan(9.8);
    expect(run.bed.state.cohorts[0].contactShare).toBeCloseTo(0.25, 1);
    const later = finished({ days: 400, climate: weather(-10, 0, 0), events: [lay('chips_mixed', 28)] });
    // Less the ash that has sifted down.
    expect(cohort(later).thicknessCm).toBeGreaterThan(7.3);
    expect(cohort(later).thicknessCm).toBeLessThan(7.5);
  });
  it('are taken off by a share, with everything that is in them', () => {
    const off = { type: 'remove' as const, day: START + 1, cohortId: 'c1', share: 0.4 };
    const run = finished({ days: 2, climate: weather(-20, 0, 0), events: [lay('chips_mixed', 10), off] });
    const left = cohort(run);
    expect(left.carbonG.structural / (0.6 * 2695 * 0.61)).toBeCloseTo(1, 9);
    expect(flow(run, 'freshCarbonTakenOff')).toBeCloseTo(0.4 * 2695, 6);
  });
  it('draw nothing from the soil as finished compost, however poor', () => {
    const run = finished({ days: 200, events: [lay('leaf_mould', 40)] });
    expect(cohort(run).drawnG).toBe(0);
  });
  it('freeze: nothing rots when the surface under the snow is five below zero', () => {
    const run = finished({
      days: 100,
      climate: weather(-17, 0, 0),
      events: [lay('grass_clippings', 10, { dugDepthCm: 10 })],
    });
    expect(flow(run, 'freshCarbonRespired')).toBe(0);
  });
});

describe('crops', () => {
  it('take no more than they want, and all of it from rich soil', () => {
    const run = finished({ days: 60, crops: [crop()], soil: { mineralNGPerM2: [20, 60] } });
    expect(grownCrop(run).takenG).toBeCloseTo(4, 6);
    expect(grownCrop(run).shortG).toBe(0);
  });
  it('go short on empty soil, first pale and then for good', () => {
    const report = grownCrop(finished({ days: 60, crops: [crop()], soil: { mineralNGPerM2: [0, 0] } }));
    expect(report.takenG).toBeLessThan(0.1);
    expect(report.paleDays).toBeGreaterThan(30);
    expect(report.shortG + report.backlogG).toBeCloseTo(4 - report.takenG, 6);
  });
  it('fix what they miss when they are legumes', () => {
    const report = grownCrop(
      finished({ days: 60, crops: [crop({ isLegume: true })], soil: { mineralNGPerM2: [0, 0] } }),
    );
    expect(report.fixedG).toBeGreaterThan(3.9);
    expect(report.shortG).toBe(0);
  });
  it('share evenly: two halves fare as one whole', () => {
    const one = finished({ days: 60, crops: [crop()] });
    const half = crop({ nitrogenDemandGPerM2: 2 });
    const two = finished({ days: 60, crops: [half, { ...half, id: 'other' }] });
    expect(grownCrop(two, 0).takenG + grownCrop(two, 1).takenG).toBeCloseTo(grownCrop(one).takenG, 9);
  });
  it('leave exactly their nitrogen behind as residue', () => {
    const grown = crop({ harvestDay: START + 40, residueShare: 0.5, residueMaterial: material('veg_waste') });
    const run = finished({
      days: 41,
      crops: [grown],
      climate: weather(-10, 0, 0),
      soil: { mineralNGPerM2: [10, 30] },
    });
    const harvested = flow(run, 'harvested');
    const left = flow(
      run,
      'residueNitrogenToFresh',
      'residueNitrogenToMicrobes',
      'residueNitrogenToHumus',
      'residueNitrogenToAmmonium',
    );
    expect(harvested).toBeCloseTo(left, 9);
    expect(run.bed.state.cohorts.map(({ traits }) => traits.id)).toEqual(['crop_residue']);
  });
  it('root deeper as they grow; a perennial stands at full depth at once', () => {
    expect([0, 0.3, 0.6, 1].map((progress) => rootDepthCm(45, progress, false, defaultParameters))).toEqual([
      5, 25, 45, 45,
    ]);
    expect(rootDepthCm(45, 0, true, defaultParameters)).toBe(45);
  });
});
