import { dayNumberFromIso } from '../../src/core/ground/climate/calendar.ts';
import { CLIMATE_PATTERNS } from '../../src/core/ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../src/core/ground/materials/library.ts';
import {
  DEFAULT_STEPS_PER_DAY,
  SOIL_DEFAULTS,
  type BedScenario,
} from '../../src/core/model/simulation/scenario.ts';

export const START = dayNumberFromIso('2021-01-01', []);
export const YEARS = 10;
export const MATERIALS = [
  'chips_mixed',
  'compost_yard',
  'cattle_fym',
  'straw_cereal',
  'leaves_mixed',
  'grass_clippings',
];

/** Ten years of a bed with a batch laid every ten months, dug in every third time, and a crop every summer. */
export function tenYears(batches: number, seed = 0): BedScenario {
  return {
    startDay: START,
    endDay: START + Math.round(YEARS * 365.25),
    climate: CLIMATE_PATTERNS[(seed % 2) as 0 | 1],
    soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2 },
    events: Array.from({ length: batches }, (_, i) => ({
      type: 'apply' as const,
      day: START + 60 + Math.round((i * YEARS * 365) / batches),
      material: findLibraryMaterial(MATERIALS[(i + seed) % MATERIALS.length])!,
      massFreshKgPerM2: 5 + (i % 4),
      dugDepthCm: i % 3 === 2 ? 15 : 0,
      exposure: 'normal' as const,
      isOnPath: false,
    })),
    crops: Array.from({ length: YEARS }, (_, i) => ({
      id: `crop ${i}`,
      plantDay: START + 120 + Math.round(i * 365.25),
      harvestDay: START + 255 + Math.round(i * 365.25),
      nitrogenDemandGPerM2: 12,
      rootDepthCm: 40,
      isLegume: false,
      isPerennial: false,
      deepShare: 0,
      residueShare: 0,
      residueDugDepthCm: 0,
    })),
    piles: [],
    depositionGPerM2Year: 1,
    stepsPerDay: DEFAULT_STEPS_PER_DAY,
  };
}
