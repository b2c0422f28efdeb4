import { describe, expect, it } from 'vitest';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { projectBed, sampleOn } from '../../bed/projection/bed-projection.ts';
import { SOIL_DEFAULTS } from '../simulation/scenario.ts';
import { FLOW, FLOW_NAMES } from './flows.ts';
import { carbonStatement, nitrogenStatement } from './statement.ts';

const START = 738_000;
const projection = projectBed(
  {
    startDay: START,
    endDay: START + 400,
    climate: CLIMATE_PATTERNS[1],
    soil: { ...SOIL_DEFAULTS, organicMatterPct: 4, bulkDensityGPerCm3: 1.2 },
    events: ['cattle_fym', 'chips_branch', 'biochar_raw'].map((id, i) => ({
      type: 'apply' as const,
      day: START + 20 * i,
      material: findLibraryMaterial(id)!,
      massFreshKgPerM2: 5,
      dugDepthCm: 0,
      exposure: 'normal' as const,
      isOnPath: false,
    })),
    crops: [],
    piles: [],
    depositionGPerM2Year: 1,
    stepsPerDay: 2,
  },
  10,
);
const [early, middle, late] = [0, 200, 400].map((days) => sampleOn(projection, START + days));

describe('statements', () => {
  it.each([
    ['carbon', carbonStatement],
    ['nitrogen', nitrogenStatement],
  ])('%s: an account closes with what it opened with, plus in, minus out', (_, statementOf) => {
    for (const { account, openingG, inG, outG, closingG } of statementOf(early, late).assets) {
      expect(Math.abs(openingG + inG - outG - closingG), account).toBeLessThan(1e-8);
    }
  });

  it('two periods add up to the whole', () => {
    const whole = nitrogenStatement(early, late);
    const first = nitrogenStatement(early, middle);
    const second = nitrogenStatement(middle, late);
    whole.assets.forEach(({ inG, outG }, i) => {
      expect(first.assets[i].inG + second.assets[i].inG).toBeCloseTo(inG, 9);
      expect(first.assets[i].outG + second.assets[i].outG).toBeCloseTo(outG, 9);
    });
    expect(first.assets.map(({ closingG }) => closingG)).toEqual(
      second.assets.map(({ openingG }) => openingG),
    );
  });

  it('debit equals credit, and what was laid is among the sources', () => {
    const { debitG, creditG, outside } = carbonStatement(early, late);
    expect(Math.abs(debitG - creditG) / debitG).toBeLessThan(1e-12);
    expect(outside.find(({ account }) => account === 'materials')!.amountG).toBeGreaterThan(1000);
  });

  it('every posting stands at the place its name says', () => {
    FLOW_NAMES.forEach((name, index) => expect(FLOW[name]).toBe(index));
  });
});
