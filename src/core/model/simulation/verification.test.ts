import { describe, expect, it } from 'vitest';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { woodChipMaterial } from '../../ground/materials/wood-chips.ts';
import { clayFactor } from '../../ground/climate/modifiers.ts';
import { openingFromFreshMass } from './cohort-opening.ts';
import { defaultParameters } from './parameters.ts';
import { drawnNitrogen, releasedNitrogen } from './cohort.ts';
import { reportSoil } from './soil-report.ts';
import { runTo, startRun } from './run.ts';
import { SOIL_DEFAULTS, type BedScenario } from './scenario.ts';

/** Values worked out by an independent program from the same equations, to ten digits (docs/method.md). */
const close = (actual: number, expected: number, within = 1e-8): void => {
  expect(Math.abs(actual / expected - 1)).toBeLessThan(within);
};

const scenario = (start: string, days: number, events: BedScenario['events']): BedScenario => ({
  startDay: dayNumberFromIso(start, []),
  endDay: dayNumberFromIso(start, []) + days,
  climate: CLIMATE_PATTERNS.find(({ id }) => id === 'cool_temperate')!,
  soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2, mineralNGPerM2: [1, 4] },
  events,
  crops: [],
  piles: [],
  depositionGPerM2Year: 0,
  stepsPerDay: 1,
});

const lay = (day: string, materialId: string, massFreshKgPerM2: number, dugDepthCm = 0) => ({
  type: 'apply' as const,
  day: dayNumberFromIso(day, []),
  material: findLibraryMaterial(materialId)!,
  massFreshKgPerM2,
  dugDepthCm,
  exposure: 'normal' as const,
  isOnPath: false,
});

const nearly = (actual: number, expected: number): void => {
  expect(Math.abs(actual - expected)).toBeLessThanOrEqual(Math.max(1e-9, 1e-8 * Math.abs(expected)));
};

describe('verification values', () => {
  it('sawdust dug in, after one day', () => {
    const run = startRun(scenario('2021-05-01', 1, [lay('2021-05-01', 'sawdust_hardwood', 2, 15)]));
    runTo(run, run.scenario.endDay);
    const { state } = run.bed;
    const [sawdust] = state.cohorts;
    close(state.contactZone.nitrogenG, 0.9533511851);
    close(state.rootZone.nitrogenG, 3.912101994);
    close(state.contactAmmoniumShare, 0.181246674);
    close(state.rootAmmoniumShare, 0.1802974427);
    close(state.contactDeficitMm, 0.375);
    close(state.rootDeficitMm, 1.125);
    close(state.contactSoilC, 9.273333333);
    close(state.rootSoilC, 9.273333333);
    const figures = [
      [sawdust.quickC, 30.78021614],
      [sawdust.structuralC, 422.9578243],
      [sawdust.woodyC, 178.1553688],
      [sawdust.microbialC, 2.034359183],
      [sawdust.humusC, 0.02585683674],
      [sawdust.quickN, 0.2151416767],
      [sawdust.structuralN, 0.8695028906],
      [sawdust.woodyN, 0.3296213933],
      [sawdust.microbialN, 0.1695299319],
      [sawdust.humusN, 0.002350621522],
      [sawdust.drawnFromContactZoneN, 0.05204883798],
      [sawdust.drawnFromRootZoneN, 0.104097676],
      [state.postings.nativeHumusToContactZone + state.postings.nativeHumusToRootZone, 0.02159969262],
      [state.activeHumusC, 763.5802747],
      [state.slowHumusC, 4327.552149],
      [run.bed.constants.inertC, 477.0754555],
      [reportSoil(run.bed).organicMatterPct, 4.434551999],
      [reportSoil(run.bed).humusOfFirstSoilPct, 3.9998479],
    ];
    for (const [actual, expected] of figures) close(actual, expected);
    expect(releasedNitrogen(sawdust)).toBe(0);
  });

  it('manure, card and chips in a stack, after five days', () => {
    const day = '2021-04-01';
    const events = [lay(day, 'cattle_fym', 25), lay(day, 'cardboard', 0.8), lay(day, 'chips_mixed', 10)];
    const run = startRun(scenario(day, 5, events));
    runTo(run, run.scenario.endDay);
    const { state } = run.bed;
    const { postings } = state;
    const [manure, card, chips] = state.cohorts;
    const figures = [
      [state.contactZone.nitrogenG, 2.768680188],
      [state.rootZone.nitrogenG, 4.101522061],
      [state.upperSubsoilN, 0.03515767021],
      [state.contactAmmoniumShare, 0.532401851],
      [state.rootAmmoniumShare, 0.1430640936],
      [state.contactDeficitMm, 0.300625],
      [state.rootDeficitMm, 0.901875],
      [state.contactSoilC, 6.457315929],
      [state.rootSoilC, 6.420553735],
      [postings.rootZoneToSubsoil, 0.03515767021],
      [
        postings.ammoniumVolatilized + postings.layersVolatilized + postings.mineralizedVolatilized,
        0.2116300175,
      ],
      [postings.contactZoneDenitrified + postings.rootZoneDenitrified, 0.01018941633],
      [reportSoil(run.bed).organicMatterPct, 4.001751099],
      [reportSoil(run.bed).riseCm, 7.615553785],
      // Thickness and contact stand as the last sub-step found them.
      [manure.thicknessCm, 3.465425661],
      [manure.contactShare, 0.7214120991],
      [manure.quickC, 121.231986],
      [manure.structuralC, 1116.16249],
      [manure.woodyC, 901.5888799],
      [manure.microbialC, 16.45174723],
      [manure.humusC, 479.1292894],
      [manure.microbialN, 2.197167394],
      [manure.ammoniumN, 10.13034721],
      [manure.layer.nitrogenG, 4.627106917],
      [manure.ashG, 1680],
      [releasedNitrogen(manure), 6.483705591],
      [card.thicknessCm, 0.706360073],
      [card.structuralC, 252.9956073],
      [card.microbialC, 0.1968446244],
      [chips.thicknessCm, 3.4903955],
      [chips.quickC, 213.7842041],
      [chips.microbialC, 0.82547837],
    ];
    for (const [actual, expected] of figures) close(actual, expected);
    expect([card.contactShare, chips.contactShare, drawnNitrogen(manure)]).toEqual([0, 0, 0]);
  });

  it('deep roots over a wet winter, with root litter and the subsoil', () => {
    const run = startRun({
      ...scenario('2020-10-01', 304, [
        {
          type: 'feed',
          day: dayNumberFromIso('2020-10-01', []),
          nitrogenGPerM2: 10,
          depthCm: 30,
          ammoniumShare: 0,
        },
      ]),
      soil: { ...SOIL_DEFAULTS, organicMatterPct: 2.5, bulkDensityGPerCm3: 1.2, mineralNGPerM2: [1, 4] },
      crops: [
        {
          id: 'cabbage',
          plantDay: dayNumberFromIso('2021-05-01', []),
          harvestDay: dayNumberFromIso('2021-10-01', []),
          nitrogenDemandGPerM2: 25,
          rootDepthCm: 120,
          isLegume: false,
          isPerennial: false,
          deepShare: 0,
          residueShare: 0,
          residueDugDepthCm: 0,
        },
      ],
    });
    runTo(run, run.scenario.endDay);
    const { state } = run.bed;
    const { postings } = state;
    const [crop] = state.crops;
    const roots = state.roots!;
    const figures = [
      [state.contactZone.nitrogenG, 0.01616422549],
      [state.rootZone.nitrogenG, 0.0295673859],
      [state.upperSubsoilN, 0.004662984659],
      [state.lowerSubsoilN, 0.5572257623],
      [state.contactAmmoniumShare, 0.5130430908],
      [state.rootAmmoniumShare, 0.6261257439],
      [postings.rootZoneToSubsoil, 14.84505664],
      [postings.leached, 10.80433876],
      [postings.upperSubsoilToCrops + postings.lowerSubsoilToCrops, 3.478829137],
      [state.drainedMm, 369.7063536],
      [postings.rootCarbonToFresh, 17.54777876],
      [postings.rootNitrogenToFresh, 0.3915016318],
      [crop.growthNeeded, 1518.3],
      [crop.progress, 0.5776197063],
      [crop.demandedN, 15.38735675],
      [crop.takenN, 6.525027197],
      [crop.inCropN, 5.546273117],
      [crop.shortN, 6.487900669],
      [crop.backlogN, 2.374428885],
      [roots.quickC, 0.9978056697],
      [roots.structuralC, 4.493024525],
      [roots.woodyC, 6.594201481],
      [roots.microbialC, 1.915457873],
      [roots.humusC, 0.1935957749],
      [roots.microbialN, 0.2443186063],
      [drawnNitrogen(roots), 0.08544855655],
      [releasedNitrogen(roots), 0.007280978146],
    ];
    for (const [actual, expected] of figures) nearly(actual, expected);
  });

  it('ten kilograms of mixed chips as they are opened', () => {
    const { dryMassG, carbonG, nitrogenG, microbialCn, ashG } = openingFromFreshMass(
      findLibraryMaterial('chips_mixed')!,
      10,
      defaultParameters,
    );
    close(dryMassG, 5500);
    close(
      carbonG.reduce((sum, c) => sum + c, 0),
      2695,
    );
    close(nitrogenG[0], 6.313867356);
    close(nitrogenG[1], 14.15977606);
    close(nitrogenG[2], 6.476356589);
    close(ashG, 110);
    close(microbialCn, 9.64);
  });

  it('chips of 8 cm branches with some leaf and conifer', () => {
    const chips = woodChipMaterial({ branchDiameterCm: 8, leafShare: 0.1, coniferShare: 0.3 });
    close(chips.nitrogenFractionDryBasis * 100, 0.63923422);
    close(chips.pools.quick, 0.11152);
    close(chips.pools.woody, 0.3116);
    close(chips.decayFactor, 0.88);
  });

  it('the clay factor', () => {
    close(clayFactor(5, 23.4), 0.766001588);
    close(clayFactor(50, 23.4), 1.089859004);
  });
});
