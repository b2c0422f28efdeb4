import { CLIMATE_PATTERNS, dayNumberFromIso, findLibraryMaterial } from '../../core/ground/index.ts';
import {
  type Apply,
  type BedRun,
  type BedScenario,
  DEFAULT_STEPS_PER_DAY,
  SOIL_DEFAULTS,
  runTo,
  startRun,
} from '../../core/model/index.ts';

/** Days that are run before the thread looks whether somebody has asked for something. */
const SLICE_DAYS = 40;
const YEARS = 3;
/** From the second run on engines know that no run is the only one. */
const RUNS = 3;
const START = dayNumberFromIso('2020-10-01', []);

const lay = (after: number, materialId: string, dugDepthCm: number): Apply => ({
  type: 'apply',
  day: START + after,
  material: findLibraryMaterial(materialId)!,
  massFreshKgPerM2: 6,
  dugDepthCm,
  exposure: 'normal',
  isOnPath: false,
});

/** A bed nobody asked about, with something of everything that the daily loop meets. */
const bed = (): BedScenario => ({
  startDay: START,
  endDay: START + 365 * YEARS,
  climate: CLIMATE_PATTERNS[0]!,
  soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2 },
  events: [
    lay(10, 'straw_cereal', 15),
    lay(20, 'cattle_fym', 0),
    lay(30, 'compost_yard', 0),
    lay(40, 'chips_mixed', 0),
    lay(400, 'cardboard', 0),
    lay(410, 'leaves_mixed', 0),
    lay(420, 'biochar_raw', 15),
  ],
  crops: Array.from({ length: YEARS }, (_, year) => ({
    id: `crop ${year}`,
    plantDay: START + 60 + 365 * year,
    harvestDay: START + 200 + 365 * year,
    nitrogenDemandGPerM2: 12,
    rootDepthCm: 60,
    isLegume: false,
    isPerennial: false,
    deepShare: 0,
    residueShare: 0,
    residueDugDepthCm: 0,
  })),
  piles: [],
  depositionGPerM2Year: 1,
  stepsPerDay: DEFAULT_STEPS_PER_DAY,
});

/**
 * The bed stays: engines forget the shape of objects of which none is left, and with it all code they made for them, so
 * that a thread that had been quiet for a while would start again.
 */
const kept: BedRun[] = [];

/**
 * Engines run what they have not seen often some ten times slower than what they have. So a fresh thread runs a bed of
 * its own while it has nothing else to do, in slices that hold up no question; `later` decides when the next one comes.
 */
export function warmUp(later: (next: () => void) => void = (next) => setTimeout(next)): void {
  const slice = (): void => {
    let run = kept.at(-1);
    if (run === undefined || run.day === run.scenario.endDay) {
      if (kept.length === RUNS) return;
      run = startRun(bed());
      kept.push(run);
    }
    runTo(run, Math.min(run.day + SLICE_DAYS, run.scenario.endDay));
    later(slice);
  };
  later(slice);
}
