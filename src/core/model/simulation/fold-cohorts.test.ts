import { describe, expect, it } from 'vitest';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { BALANCE_COUNT, readBalances } from './books.ts';
import { foldCohorts, type Folding } from './fold-cohorts.ts';
import { mulchHeightCm } from './report.ts';
import { organicMatterPct } from './soil-report.ts';
import { runTo, startRun, type BedRun } from './run.ts';
import { SOIL_DEFAULTS, type Apply } from './scenario.ts';

const START = dayNumberFromIso('2021-10-01', []);
const lay = (id: string, materialId: string, after: number, dugDepthCm = 0): Apply => ({
  type: 'apply',
  day: START + after,
  id,
  material: findLibraryMaterial(materialId)!,
  massFreshKgPerM2: 8,
  dugDepthCm,
  exposure: 'normal',
  isOnPath: false,
});

/** A run of three years on which these things were laid, looked at after 1000 days. */
function runWith(...events: Apply[]): BedRun {
  const run = startRun({
    startDay: START,
    endDay: START + 1100,
    climate: CLIMATE_PATTERNS[0],
    soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2 },
    events,
    crops: [],
    piles: [],
    depositionGPerM2Year: 1,
    stepsPerDay: 1,
  });
  runTo(run, START + 1000);
  return run;
}

const idsOf = ({ bed }: BedRun): string[] => bed.state.cohorts.map(({ traits }) => traits.id);

const ALL_OLD: Folding = { openedBefore: START + 900, openedOn: () => START, isNamedLater: () => false };
const balancesOf = ({ bed }: BedRun): number[] => {
  const balances = new Float64Array(BALANCE_COUNT);
  readBalances(bed, balances);
  return [...balances];
};

describe('old cohorts laid together', () => {
  it('two of a kind become one; books, height and organic matter stay as they were', () => {
    const run = runWith(
      lay('a', 'chips_branch', 1),
      lay('b', 'compost_yard', 200),
      lay('c', 'chips_branch', 400),
    );
    const before = { balances: balancesOf(run), cm: mulchHeightCm(run.bed), pct: organicMatterPct(run.bed) };
    foldCohorts(run.bed, ALL_OLD);
    expect(idsOf(run)).toEqual(['a', 'b']);
    balancesOf(run).forEach((g, i) => expect(g).toBeCloseTo(before.balances[i], 9));
    expect(mulchHeightCm(run.bed)).toBeCloseTo(before.cm, 6);
    expect(organicMatterPct(run.bed)).toBeCloseTo(before.pct, 9);
  });
  it('what is at another depth, or is of another make, stays apart', () => {
    const run = runWith(
      lay('on top', 'chips_branch', 1),
      lay('dug in', 'chips_branch', 2, 15),
      lay('straw', 'straw_cereal', 3),
    );
    foldCohorts(run.bed, ALL_OLD);
    expect(run.bed.state.cohorts.length).toBe(3);
  });
  it('what is young, or will still be dug or pulled, stays apart', () => {
    const run = runWith(
      lay('a', 'chips_branch', 1),
      lay('b', 'chips_branch', 2),
      lay('c', 'chips_branch', 3),
    );
    foldCohorts(run.bed, {
      ...ALL_OLD,
      isNamedLater: (id) => id === 'b',
      openedOn: (id) => (id === 'c' ? START + 950 : START),
    });
    expect(run.bed.state.cohorts.length).toBe(3);
  });
  it('the run goes on in balance, and what is laid next starts with an empty row', () => {
    const run = runWith(
      lay('a', 'biochar_charged', 1, 10),
      lay('b', 'biochar_charged', 2, 10),
      lay('c', 'compost_yard', 1050),
    );
    foldCohorts(run.bed, ALL_OLD);
    runTo(run, START + 1060);
    const { cohorts } = run.bed.state;
    expect(idsOf(run)).toEqual(['a', 'c']);
    expect(cohorts[1].dugDepthCm).toBe(0);
    expect(run.largestRelativeError).toBeLessThan(1e-9);
  });
  it('char of two firings keeps its carbon and the mean of its lasting', () => {
    const run = runWith(lay('a', 'biochar_charged', 1, 10), lay('b', 'biochar_charged', 2, 10));
    const { cohorts } = run.bed.state;
    const [one, other] = cohorts;
    const charC = one.stableCharC + other.stableCharC;
    other.stableCharResidenceDays = one.stableCharResidenceDays * 3;
    const residence = one.stableCharResidenceDays;
    foldCohorts(run.bed, ALL_OLD);
    expect(one.stableCharC).toBeCloseTo(charC, 9);
    expect(one.stableCharResidenceDays / residence).toBeCloseTo(2, 2);
  });
});
