import { Postings } from '../../ledger/postings.ts';
import { describe, expect, it } from 'vitest';
import { crop, lay, material, START, weather } from '../../../../../tests/fixtures/bare-bed.ts';
import type { Material } from '../../../ground/materials/material.ts';
import {
  ammoniaProneShare,
  feedCarbonToNitrogen,
  openingFromFreshMass,
  thicknessPerGram,
} from '../cohort-opening.ts';
import { bedConstants, SubStep } from '../bed.ts';
import { POOL_NAMES, type Cohort } from '../cohort.ts';
import { applyDecay, weighPart } from '../nitrogen-limited-decay.ts';
import { defaultParameters } from '../parameters.ts';
import { openingFromPile, runPile } from '../pile.ts';
import { reportSoil } from '../soil-report.ts';
import { takeBookmark, returnTo, runTo, startRun, type BedRun } from '../run.ts';
import { SOIL_DEFAULTS, type ApplyMaterial, type BedScenario } from '../scenario.ts';
import { stackMulch } from './mulch-stack.ts';
import { decayFreely } from './unlimited-decay.ts';
import { washAndVolatilize } from './wash-in.ts';

// Rules of the model that bind only at the edge of what a garden is, each on a bed that reaches it.
const p = defaultParameters;
const soil = { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2 };

function started(change: Partial<BedScenario> & { readonly days: number }): BedRun {
  const { days, ...rest } = change;
  return startRun({
    startDay: START,
    endDay: START + days,
    climate: weather(15),
    soil,
    events: [],
    crops: [],
    piles: [],
    depositionGPerM2Year: 0,
    stepsPerDay: 1,
    ...rest,
  });
}

function finished(change: Partial<BedScenario> & { readonly days: number }): BedRun {
  const run = started(change);
  runTo(run, run.scenario.endDay);
  return run;
}

const postingsOf = (run: BedRun): Postings => Object.assign(new Postings(), run.bed.state.postings);
const cohorts = (run: BedRun): readonly Cohort[] => run.bed.state.cohorts;
const constantsFor = (change: Partial<BedScenario['soil']>) => bedConstants({ ...soil, ...change }, p, 1, 0);

describe('limits of the arithmetic', () => {
  it('no more than 0.6 of what rich matter sets free on top goes as ammonia', () => {
    const run = finished({
      days: 3,
      climate: weather(35),
      events: [lay('grass_clippings', 20)],
      soil: { ...soil, ph: 8.5 },
    });
    expect(cohorts(run)[0].upperAmmonia).toBe(0.6);
    // The part in touch with the soil is covered by the rest.
    expect(cohorts(run)[0].contactAmmonia).toBeLessThan(0.6);
  });
  it('no more than 0.7 of dying biomass becomes humus', () => {
    const rich = { ...material('leaf_mould'), humificationFactor: 5 };
    const [cohort] = cohorts(finished({ days: 1, events: [lay(rich, 5, { dugDepthCm: 10 })] }));
    expect(cohort.biomassHumified).toBe(0.7);
    expect(cohort.woodyHumified).toBeCloseTo(5 * p.woodyHumifiedShare * constantsFor({}).clayFactor, 12);
  });
  it('a factor on humification makes more humus of the same material', () => {
    const humus = (humificationFactor: number) => {
      const of = { ...material('chips_branch'), humificationFactor };
      return cohorts(finished({ days: 300, events: [lay(of, 5, { dugDepthCm: 10 })] }))[0].humusC;
    };
    expect(humus(1.5) / humus(1)).toBeGreaterThan(1.3);
  });
  it('minerals fill no more than 0.9 of a fresh layer', () => {
    const opening = openingFromFreshMass(material('wood_ash'), 2, p);
    const { carbonCm, ashCm } = thicknessPerGram(opening, p);
    const freshCm = (opening.dryMassG / 1000 / opening.dryDensityKgPerM3) * 100;
    expect(carbonCm).toBe(0);
    // 2 kg at 1.2 g/cm3 would take less than nine tenths of its loose volume.
    expect(ashCm * opening.ashG).toBeCloseTo(opening.ashG / (1.2 * 10_000), 12);
    const dense = { ...opening, dryDensityKgPerM3: 3000 };
    expect(thicknessPerGram(dense, p).ashCm * opening.ashG).toBeCloseTo(
      0.9 * (opening.dryMassG / 1000 / 3000) * 100,
      12,
    );
    expect(freshCm).toBeGreaterThan(0);
  });
  it('soil pH changes ammonia loss between 0.3 and 3 times', () => {
    expect(constantsFor({ ph: 6.8 }).ammoniaPhFactor).toBe(1);
    expect(constantsFor({ ph: 7.8 }).ammoniaPhFactor).toBeCloseTo(Math.exp(0.5), 12);
    expect(constantsFor({ ph: 3 }).ammoniaPhFactor).toBe(0.3);
    expect(constantsFor({ ph: 11 }).ammoniaPhFactor).toBe(3);
  });
  it('the mineral part of a soil weighs from 0.8 to 2 g/cm3', () => {
    const density = (organicMatterPct: number, bulkDensityGPerCm3: number) =>
      constantsFor({ organicMatterPct, bulkDensityGPerCm3 }).mineralDensityGPerCm3;
    expect(density(4, 1.2)).toBeCloseTo(0.96 / (1 / 1.2 - 0.04 / 0.244), 12);
    expect(density(1, 0.3)).toBe(0.8);
    expect(density(0, 2.4)).toBe(2);
    // All volume is taken by organic matter.
    expect(density(60, 1)).toBe(2);
  });
  it('cover beyond 15 cm insulates no more', () => {
    const followed = (massKg: number) => {
      const run = started({ days: 2, events: [lay('chips_mixed', massKg)] });
      runTo(run, START + 1);
      stackMulch(run.bed, run.step);
      return run.step.insulationCm;
    };
    expect(followed(28)).toBeLessThan(11);
    expect(followed(60)).toBe(15);
    expect(followed(100)).toBe(15);
  });
  it('history decides the active share: least of it in a soil long bare', () => {
    const active = (history: BedScenario['soil']['history']) => {
      const { activeHumusC, slowHumusC } = started({ days: 1, soil: { ...soil, history } }).bed.state;
      return activeHumusC / (activeHumusC + slowHumusC);
    };
    expect(active('fallow')).toBeCloseTo(0.05, 12);
    expect(active('arable')).toBeCloseTo(0.12, 12);
    expect(active('garden')).toBeCloseTo(0.15, 12);
    expect(active('grass')).toBeCloseTo(0.28, 12);
  });
});

describe('layers on layers', () => {
  const stack = (run: BedRun) => {
    runTo(run, START + 1);
    stackMulch(run.bed, run.step);
    return cohorts(run);
  };
  it('touch the soil in the order they lie, down to 2.5 cm', () => {
    const [compost, char] = stack(
      started({ days: 2, events: [lay('compost_yard', 10), lay('biochar_raw', 3)] }),
    );
    expect(compost.contactShare).toBe(1);
    expect(char.contactShare).toBeCloseTo((2.5 - compost.thicknessCm) / char.thicknessCm, 12);
    expect(char.contactShare).toBeGreaterThan(0);
    expect(char.contactShare).toBeLessThan(1);
  });
  it('of char touch sites only as far as they touch', () => {
    const held = (under: ApplyMaterial[]) => {
      const run = finished({
        days: 30,
        events: [...under, lay('biochar_raw', 2)],
        soil: { ...soil, mineralNGPerM2: [20, 20] },
      });
      return cohorts(run).at(-1)!.charHeldN;
    };
    expect(held([])).toBeGreaterThan(0);
    // Ten centimetres of chips lie between.
    expect(held([lay('chips_mixed', 28)])).toBe(0);
  });
  it('a liquid poured on compost soaks into the soil at once, on chips into the chips', () => {
    const soaked = (below: string) => {
      const run = started({ days: 1, events: [lay(below, 10), lay('urine', 1)] });
      runTo(run, START + 1);
      return run.bed.state.postings;
    };
    const laid = openingFromFreshMass(material('urine'), 1, p).ammoniumG;
    expect(soaked('compost_yard').ammoniumToContactZone).toBeGreaterThan(0.7 * laid);
    expect(soaked('chips_mixed').ammoniumToLayers).toBeGreaterThan(0.7 * laid);
    expect(soaked('chips_mixed').ammoniumToContactZone).toBe(0);
  });
  it('draw on the layer beneath by a capped lift, whatever their kind, and pass over what is too thin', () => {
    const drawn = (below: ApplyMaterial[], change: Partial<Material> = {}) => {
      const top = { ...material('sawdust_hardwood'), kind: 'none' as const, ...change };
      const run = finished({
        days: 20,
        climate: weather(20),
        events: [...below, lay(top, 20)],
        soil: { ...soil, mineralNGPerM2: [0, 0], organicMatterPct: 0.001 },
      });
      return cohorts(run).at(-1)!.drawnFromLayersN;
    };
    const rich = { ...material('layer_manure'), ammoniaExposure: 0 };
    const lifted = drawn([lay(rich, 10)]);
    // At most 0.006 g a day at the reference state, and some 2.8 of it at 20 C.
    expect(lifted).toBeGreaterThan(0.1);
    expect(lifted).toBeLessThan(20 * 0.006 * 3);
    // A film of a tenth of a millimetre is passed over: the layer then lies on soil alone.
    expect(drawn([lay({ ...rich, bulkDensityKgPerM3: 900 }, 0.02)])).toBeLessThan(0.02);
  });
  it('keep kinds that lie in the soil free of the cap where they touch it', () => {
    const drawn = (kind: Material['kind']) => {
      const run = finished({
        days: 20,
        climate: weather(20),
        events: [lay({ ...material('sawdust_hardwood'), kind }, 1)],
        soil: { ...soil, mineralNGPerM2: [20, 0] },
      });
      return cohorts(run)[0].drawnFromContactZoneN;
    };
    expect(drawn('wood')).toBeLessThan(0.4);
    expect(drawn('green')).toBeGreaterThan(4 * drawn('wood'));
  });
});

describe('ammonia', () => {
  it('of a spread heap escapes by its own exposure', () => {
    const heap = runPile(
      {
        id: 'heap',
        startDay: START - 60,
        endDay: START,
        mix: [{ material: material('layer_manure'), massFreshKg: 100 }],
        isTurned: false,
        isHot: false,
        moistureFactor: 1,
        stepsPerDay: 2,
      },
      weather(15),
      p,
    );
    const opening = openingFromPile(heap, 5, p);
    expect(opening.ammoniaExposure).toBe(0.3);
    // By how rich what is left of the feed is: nothing from 25:1 on, all of it below 13:1.
    const feedCn = feedCarbonToNitrogen(opening);
    expect(feedCn).toBeGreaterThan(13);
    expect(ammoniaProneShare(opening, p)).toBeCloseTo((0.3 * (25 - feedCn)) / 12, 12);
  });
  it('is the same share of a day however the day is cut', () => {
    const lost = (stepsPerDay: number) =>
      finished({ days: 10, stepsPerDay, events: [lay('layer_manure', 2)] }).bed.state.postings
        .ammoniumVolatilized;
    expect(lost(2) / lost(1)).toBeGreaterThan(0.97);
    expect(lost(2) / lost(1)).toBeLessThan(1.03);
    const shares = (stepsPerDay: number) => {
      const run = started({ days: 1, stepsPerDay, events: [lay('grass_clippings', 3)] });
      runTo(run, START + 1);
      const step = Object.assign(new SubStep(), run.step);
      stackMulch(run.bed, step);
      washAndVolatilize(run.bed, step);
      return cohorts(run)[0].upperAmmonia;
    };
    expect(shares(2)).toBeCloseTo(shares(1), 12);
  });
});

describe('heaps', () => {
  const heapOf = (of: Material, days = 400) =>
    runPile(
      {
        id: 'heap',
        startDay: START,
        endDay: START + days,
        mix: [{ material: of, massFreshKg: 100 }],
        isTurned: true,
        isHot: true,
        moistureFactor: 1,
        stepsPerDay: 2,
      },
      weather(15),
      p,
    );
  it('weigh what their carbon does at least, and bring no more minerals than they weigh', () => {
    // Rich in carbon: organic matter at half carbon would weigh more than all that went in.
    const dense = { ...material('chips_mixed'), carbonFractionDryBasis: 0.6, ashFractionDryBasis: 0.5 };
    const heap = heapOf(dense);
    expect(heap.dryMassG).toBe(2 * heap.carbonLeftG);
    expect(heap.ashInG).toBeCloseTo(0.5 * 55_000, 6);
    expect(openingFromPile(heap, 100, p).ashG).toBe(Math.min(heap.dryMassG, heap.ashInG));
    const usual = heapOf(material('chips_mixed'));
    expect(usual.dryMassG - 2 * usual.carbonLeftG).toBeCloseTo(55_000 - 2 * usual.carbonInG, 6);
  });
  it('count as compost below 20:1, mineral nitrogen included', () => {
    const heap = heapOf(material('grass_clippings'), 30);
    expect(heap.carbonToNitrogen).toBeLessThan(20);
    expect(heap.kind).toBe('compost');
    expect(heapOf(material('straw_cereal'), 30).kind).toBe('residue');
  });
});

describe('crops at the edge', () => {
  it('grow by days where the normals never warm them', () => {
    const cold = finished({ days: 30, climate: weather(2), crops: [crop()] }).bed.state.crops[0];
    expect(cold.isGrownByWarmth).toBe(false);
    expect(cold.progress).toBeCloseTo(0.5, 9);
    const warm = finished({ days: 30, climate: weather(14), crops: [crop()] }).bed.state.crops[0];
    expect([warm.isGrownByWarmth, warm.growthNeeded]).toEqual([true, 600]);
    expect(warm.progress).toBeCloseTo(0.5, 9);
  });
  it('root only as deep as the bed in a thin one, and below it in the subsoil', () => {
    const run = started({
      days: 61,
      soil: { ...soil, rootZoneCm: 10, mineralNGPerM2: [0, 0, 3, 3] },
      crops: [crop({ rootDepthCm: 60, nitrogenDemandGPerM2: 10 })],
    });
    runTo(run, START + 59);
    const { crops, roots, postings } = run.bed.state;
    expect(crops[0].rootZoneReach).toBe(1);
    expect(crops[0].upperSubsoilReach).toBeCloseTo(50 / 55, 9);
    expect(crops[0].lowerSubsoilReach).toBe(0);
    expect(postings.upperSubsoilToCrops).toBeGreaterThan(1);
    // Root litter of 20 cm has room for 10.
    expect([roots!.dugDepthCm, roots!.shareInContactZone]).toEqual([10, 0.5]);
  });
  it('give their roots no more nitrogen at harvest than stands in them', () => {
    const run = started({ days: 61, crops: [crop()] });
    runTo(run, START + 60);
    const [grown] = run.bed.state.crops;
    grown.waitingRootN = grown.standingN + 1;
    const standingG = grown.standingN;
    const before = run.bed.state.postings.rootNitrogenToFresh;
    runTo(run, START + 61);
    expect(run.bed.state.postings.rootNitrogenToFresh - before).toBeCloseTo(standingG, 12);
    expect(grown.standingN).toBe(0);
    expect(run.bed.state.postings.harvested).toBeCloseTo(0, 12);
  });
});

describe('a bookmark', () => {
  it('brings everything back: run on from it, all comes out the same to the last digit', () => {
    const run = started({
      days: 400,
      climate: weather(12, 60, 40),
      events: [
        lay('cattle_fym', 5),
        lay('cardboard', 0.8, { day: START + 5 }),
        lay('chips_mixed', 10, { day: START + 5 }),
        lay('biochar_raw', 2, { day: START + 60, dugDepthCm: 15 }),
        { type: 'dig', day: START + 150, depthCm: 20, cohortIds: 'all' },
      ],
      crops: [
        crop({ residueShare: 1, residueMaterial: material('veg_waste') }),
        crop({ id: 'b', plantDay: START + 90, harvestDay: START + 170 }),
      ],
    });
    runTo(run, START + 100);
    const mark = takeBookmark(run);
    runTo(run, START + 300);
    const there = structuredClone({ p: postingsOf(run), soil: reportSoil(run.bed) });
    returnTo(run, mark);
    expect(run.bed.state.cohorts).toHaveLength(5);
    runTo(run, START + 300);
    expect({ p: postingsOf(run), soil: reportSoil(run.bed) }).toEqual(there);
  });
});

describe('decay in one pass', () => {
  it.each([
    ['dug in', lay('clover_cover', 4, { dugDepthCm: 12 })],
    ['on top', lay('grass_clippings', 8)],
    ['compost on top', lay('mushroom_compost', 20)],
  ])('comes to the same as weighing and applying, %s', (_, event) => {
    const stood = () => {
      const run = started({ days: 60, climate: weather(14, 60, 40), events: [event] });
      runTo(run, START + 40);
      return run;
    };
    const [free, weighed] = [stood(), stood()];
    expect(decayFreely(free.bed, free.step, cohorts(free)[0])).toBe(true);

    const [cohort] = cohorts(weighed);
    const { postings } = weighed.bed.state;
    const share = cohort.dugDepthCm > 0 ? cohort.shareInContactZone : cohort.contactShare;
    weighPart(p, cohort, cohort.contact, cohort.contactDecay, share);
    weighPart(p, cohort, cohort.upper, cohort.upperDecay, 1 - share);
    const given = -cohort.contact.need - cohort.upper.need;
    const before = postingsOf(weighed);
    applyDecay(p, cohort, cohort.contact, postings);
    applyDecay(p, cohort, cohort.upper, postings);
    const close = (a: number, b: number) =>
      expect(Math.abs(a - b)).toBeLessThan(1e-12 * Math.max(1, Math.abs(b)));
    const [one] = cohorts(free);
    for (const name of POOL_NAMES) {
      close(one[`${name}C`], cohort[`${name}C`]);
      close(one[`${name}N`], cohort[`${name}N`]);
    }
    close(one.respiredC, cohort.respiredC);
    const freed = free.bed.state.postings;
    close(
      freed.mineralizedToContactZone +
        freed.mineralizedToRootZone +
        freed.mineralizedToLayers +
        freed.mineralizedVolatilized,
      given +
        before.mineralizedToContactZone +
        before.mineralizedToRootZone +
        before.mineralizedToLayers +
        before.mineralizedVolatilized,
    );
    for (const name of ['freshCarbonGrown', 'freshNitrogenTaken', 'microbialNitrogenHumified'] as const) {
      close(freed[name], postings[name]);
    }
  });
});

describe('humus alone', () => {
  it('is a part of the organic matter it stands beside, however much ash was laid', () => {
    const run = finished({
      days: 1500,
      events: Array.from({ length: 4 }, (_, year) =>
        lay('compost_manure', 60, { day: START + year * 365, dugDepthCm: 15 }),
      ),
    });
    const { humusPct, organicMatterPct, humusOfFirstSoilPct } = reportSoil(run.bed);
    expect(humusPct).toBeLessThan(organicMatterPct);
    // Against the soil of the start alone it would be more than all organic matter.
    expect(humusOfFirstSoilPct).toBeGreaterThan(organicMatterPct);
  });
});
