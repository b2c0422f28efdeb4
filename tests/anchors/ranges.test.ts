import { describe, expect, it } from 'vitest';
import { quantileSorted } from '../../src/core/ground/numerics/ranks.ts';
import {
  drawScenario,
  firstSeasonErrorOf,
  shareWithError,
  type Draw,
} from '../../src/core/bed/projection/draws.ts';
import { livingCarbon } from '../../src/core/model/simulation/cohort.ts';
import type { BedScenario } from '../../src/core/model/simulation/scenario.ts';
import {
  AMPLE,
  apply,
  bed,
  cohort,
  constantClimate,
  crop,
  day,
  finished,
  fromThickness,
  garden,
  grown,
  material,
  ROTHAMSTED,
} from './trials.ts';

/**
 * How much of the published spread of a quantity (about 8 in 10, from memory) the 8 in 10 of the draws cover. Not a
 * proof: the spreads were widened until most rows covered about 70 %. Each row is held to what it
 * covers now, less a tenth of the published width.
 */
const DRAWS = 100;

interface Row {
  readonly quantity: string;
  readonly scenario: BedScenario;
  readonly read: (draw: Draw) => number;
  readonly published: readonly [low: number, high: number];
  /** What docs/method.md says it covers at least. */
  readonly covers: number;
}

/** Of a material in its first season: constant 17 C, moist, dug 15 cm, nitrogen to spare. */
function seasonOf(id: string, days = 150, temperatureC = 17): BedScenario {
  return bed('2021-01-01', days, {
    climate: constantClimate(temperatureC),
    soil: AMPLE,
    events: [apply('2021-01-01', material(id), 1, { dugDepthCm: 15 })],
  });
}

/** The trials stand in constant moist warmth: years do not differ there. */
const steady = ({ scenario }: Draw): BedScenario => {
  const { seededWeather: _, ...rest } = scenario;
  return rest;
};

const firstSeasonPct =
  (id: string) =>
  (draw: Draw): number => {
    const { releasedG, drawnG, openingNitrogenG } = cohort(finished(steady(draw)));
    const share = (releasedG - drawnG) / openingNitrogenG;
    return 100 * (share + firstSeasonErrorOf(draw.modelError, material(id).kind));
  };

const peakLock = (draw: Draw): number => {
  const scenario = steady(draw);
  const [event] = scenario.events;
  if (event.type !== 'apply' || !('material' in event)) throw new Error('nothing laid');
  const dryKg = event.massFreshKgPerM2 * (1 - event.material.moistureFractionWetBasis);
  return (cohort(finished(scenario)).peakLockedG / dryKg) * draw.modelError.lockFactor;
};

const bareLoam = bed('2020-10-01', 365, { climate: ROTHAMSTED });
const october = (nitrogenGPerM2: number): BedScenario =>
  bed('2020-10-01', 182, {
    climate: ROTHAMSTED,
    events: [{ type: 'feed', day: day('2020-10-01'), nitrogenGPerM2, depthCm: 30, ammoniumShare: 0 }],
  });

const ROWS: readonly Row[] = [
  {
    quantity: 'nitrogen a loam of 4 % sets free in a year, g/m2',
    scenario: bareLoam,
    read: (draw) => {
      const { postings } = finished(draw.scenario).bed.state;
      const freed = postings.nativeHumusToContactZone + postings.nativeHumusToRootZone;
      return freed * draw.modelError.supplyFactor;
    },
    published: [4, 14],
    covers: 0.72,
  },
  {
    quantity: 'yard compost, first season, % of N',
    scenario: seasonOf('compost_yard'),
    read: firstSeasonPct('compost_yard'),
    published: [-5, 15],
    covers: 0.7,
  },
  {
    quantity: 'cattle manure, first season, % of N',
    scenario: seasonOf('cattle_fym'),
    read: firstSeasonPct('cattle_fym'),
    published: [0, 35],
    covers: 0.74,
  },
  {
    quantity: 'broiler litter, first season, % of N',
    scenario: seasonOf('broiler_litter'),
    read: firstSeasonPct('broiler_litter'),
    published: [30, 70],
    covers: 0.64,
  },
  {
    quantity: 'horse manure with bedding, % of N',
    scenario: seasonOf('horse_bedding'),
    read: firstSeasonPct('horse_bedding'),
    published: [-20, 25],
    covers: 0.85,
  },
  {
    quantity: 'straw, peak lock, g/kg dry',
    scenario: seasonOf('straw_cereal'),
    read: peakLock,
    published: [4, 14],
    covers: 0.48,
  },
  {
    quantity: 'hardwood sawdust, peak lock, g/kg dry',
    scenario: seasonOf('sawdust_hardwood'),
    read: peakLock,
    published: [6, 14],
    covers: 0.6,
  },
  {
    quantity: 'nitrate of October washed out by April, % of 10 g',
    scenario: october(10),
    read: (draw) => {
      const washed = (scenario: BedScenario) => finished(scenario).bed.state.postings.rootZoneToSubsoil;
      const without = { ...draw.scenario, events: [] };
      return 100 * shareWithError((washed(draw.scenario) - washed(without)) / 10, draw.modelError);
    },
    published: [50, 100],
    covers: 0.12,
  },
  {
    quantity: '8 cm of chips, carbon lost in 2 years, %',
    scenario: bed('2020-10-01', 731, {
      climate: ROTHAMSTED,
      events: [apply('2020-10-01', 'chips_mixed', fromThickness('chips_mixed', 8))],
    }),
    read: (draw) => {
      const [laid] = finished(draw.scenario).bed.state.cohorts;
      return 100 * shareWithError(1 - livingCarbon(laid) / laid.openingC, draw.modelError);
    },
    published: [20, 65],
    covers: 0.73,
  },
  {
    quantity: 'unfed crop of 12 g on a loam of 4 %: nitrogen it takes, g/m2',
    scenario: garden(365, { climate: ROTHAMSTED, crops: [crop('2021-05-01', '2021-09-15', 12)] }),
    read: (draw) => grown(finished(draw.scenario)).takenG * draw.modelError.supplyFactor,
    published: [3.5, 12],
    covers: 0.48,
  },
];

describe('the 8 in 10 of the draws', () => {
  it.each(ROWS.map((row) => [row.quantity, row] as const))(
    '%s',
    (_, { scenario, read, published: [low, high], covers }) => {
      const values = Float64Array.from({ length: DRAWS }, (__, i) =>
        read(drawScenario(scenario, 11, i)),
      ).sort();
      const [from, until] = [0.1, 0.9].map((share) => quantileSorted(values, share));
      const covered = Math.max(0, Math.min(until, high) - Math.max(from, low)) / (high - low);
      expect(
        covered,
        `${from.toFixed(2)} to ${until.toFixed(2)}, middle ${quantileSorted(values, 0.5).toFixed(2)}`,
      ).toBeGreaterThanOrEqual(covers);
    },
    60_000,
  );
});
