import { describe, expect, it } from 'vitest';
import { bedOf, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { quantileSorted, rankCorrelation } from '../../ground/numerics/ranks.ts';
import { seededStream, triangular } from '../../ground/numerics/seeded-stream.ts';
import { bedScenario } from '../books/bed-scenario.ts';
import { heldNitrogen, mineralNitrogen } from '../../model/simulation/report.ts';
import { runTo, startRun } from '../../model/simulation/run.ts';
import { drawScenario } from './draws.ts';
import { drawnInputs, drawOutcome, likelyRange, type RangePlan } from './likely-range.ts';
import { outlookDays } from '../../long-run/years/outlook-days.ts';
import { waterSavedMm } from './water-saved.ts';

const TODAY = dayNumberFromIso('2026-05-14', []);
const scenario = bedScenario({
  books: {
    site: { climate: MILD, depositionGPerM2Year: 1 },
    bed: bedOf(),
    entries: [
      {
        id: 'chips',
        type: 'lay',
        state: 'laid',
        date: '2026-05-01',
        materialId: 'chips_mixed',
        massFreshKg: 80,
        dugDepthCm: 15,
        seasonedMonths: 0,
      },
    ],
    crops: [],
    plantings: [plantingOf({ plantedOn: '2026-05-20', nitrogenDemandGPerM2: 12 })],
  },
  findMaterial: findLibraryMaterial,
  today: TODAY,
  endDay: TODAY + 800,
});
const plan: RangePlan = {
  seed: 1,
  today: TODAY,
  tideDays: [TODAY, TODAY + 60, TODAY + 120],
  yearDays: outlookDays(TODAY, 2),
  cropIds: ['planting'],
  points: [],
};
const inputs = drawnInputs(scenario, plan);
const drawn = (count: number, from = 0) =>
  Array.from({ length: count }, (_, i) =>
    drawOutcome({ scenario, plan, number: from + i, decade: scenario }),
  );

describe('a draw', () => {
  it('is the same again for the same seed and number, and another for another', () => {
    expect(drawOutcome({ scenario, plan, number: 3 })).toEqual(drawOutcome({ scenario, plan, number: 3 }));
    expect(drawOutcome({ scenario, plan, number: 3 })).not.toEqual(
      drawOutcome({ scenario, plan, number: 4 }),
    );
    expect(drawOutcome({ scenario, plan: { ...plan, seed: 2 }, number: 3 })).not.toEqual(
      drawOutcome({ scenario, plan, number: 3 }),
    );
  });
  it('is the same bed whether it is followed for a season or for years', () => {
    const { organicMatterPct, ...years } = drawOutcome({ scenario, plan, number: 5, decade: scenario });
    const { organicMatterPct: none, ...season } = drawOutcome({ scenario, plan, number: 5 });
    expect(organicMatterPct).toHaveLength(3);
    expect(none).toBeNull();
    expect({ ...season, missedShare: 0 }).toEqual({ ...years, missedShare: 0 });
  });
  it('keeps every input in its range and leaves the amounts alone', () => {
    for (let number = 0; number < 50; number++) {
      const draw = drawScenario(scenario, 1, number);
      for (const { place } of draw.inputs) {
        expect(place).toBeGreaterThanOrEqual(0);
        expect(place).toBeLessThanOrEqual(1);
      }
      const [event] = draw.scenario.events;
      if (event.type !== 'apply' || !('material' in event)) throw new Error('no material');
      const ratio = event.material.carbonFractionDryBasis / event.material.nitrogenFractionDryBasis;
      expect(ratio).toBeGreaterThanOrEqual(60);
      expect(ratio).toBeLessThanOrEqual(200);
      expect(event.massFreshKgPerM2).toBe(16);
    }
  });
  it('loses little by going a day at a time, measured against the width of a band', () => {
    const looked = (stepsPerDay: number) => {
      const run = startRun({ ...scenario, stepsPerDay });
      return [TODAY, TODAY + 60, TODAY + 120, TODAY + 400, TODAY + 700].flatMap((day) => {
        runTo(run, day);
        const { contactZoneG, rootZoneG } = mineralNitrogen(run.bed);
        const [, heldContact, heldRoot] = heldNitrogen(run.bed);
        return [contactZoneG + rootZoneG, heldContact + heldRoot, run.bed.state.crops[0]?.shortN ?? 0];
      });
    };
    const fine = looked(2);
    looked(1).forEach((coarse, i) => {
      // 2 % of it, or 0.05 g/m2 where nearly nothing is left.
      expect(Math.abs(coarse - fine[i])).toBeLessThan(Math.max(0.05, 0.02 * fine[i]));
    });
  });
});

describe('the likely range', () => {
  const range = likelyRange({ outcomes: drawn(40), inputs, plan, harmlessShare: 0.1 });
  it('lies in order around its middle, and holds the book itself', () => {
    range.availableG.low.forEach((low, i) => {
      expect(low).toBeLessThanOrEqual(range.availableG.middle[i]);
      expect(range.availableG.middle[i]).toBeLessThanOrEqual(range.availableG.high[i]);
    });
    expect(range.peakHeldG.low).toBeGreaterThan(1);
    expect(range.enoughShare).toBeGreaterThanOrEqual(0);
    expect(range.enoughShare).toBeLessThanOrEqual(1);
    expect(range.organicMatterPct!.low).toHaveLength(3);
  });
  it('settles: another forty draws tell nearly the same', () => {
    const other = likelyRange({ outcomes: drawn(40, 1000), inputs, plan, harmlessShare: 0.1 });
    const ratio = other.organicMatterPct!.middle[2] / range.organicMatterPct!.middle[2];
    expect(ratio).toBeGreaterThan(0.93);
    expect(ratio).toBeLessThan(1.07);
  });
  it('names what decides most', () => {
    expect(range.influences.length).toBeGreaterThan(0);
    range.influences.slice(1).forEach(({ correlation }, i) => {
      expect(Math.abs(correlation)).toBeLessThanOrEqual(Math.abs(range.influences[i].correlation));
    });
  });
  it('says nothing of shortage where no crop is concerned', () => {
    const bare = likelyRange({
      outcomes: drawn(8),
      inputs,
      plan: { cropIds: [], points: [] },
      harmlessShare: 0.1,
    });
    expect(bare.enoughShare).toBeNull();
  });
});

describe('water saved', () => {
  const p = { bareSoilEvaporation: 0.5, mulchEvaporationCut: 0.5, fullCoverMulchCm: 5 };
  const year = { fromDay: TODAY, untilDay: TODAY + 365 };
  it('is the cut of bare-soil evaporation, in full from 5 cm on, none without a layer', () => {
    const potential = MILD.evapotranspirationMm.reduce((sum, mm) => sum + mm, 0);
    expect(waterSavedMm(MILD, p, { ...year, mulchCm: 5 })).toBeCloseTo(potential * 0.25, 6);
    expect(waterSavedMm(MILD, p, { ...year, mulchCm: 20 })).toBeCloseTo(potential * 0.25, 6);
    expect(waterSavedMm(MILD, p, { ...year, mulchCm: 0 })).toBe(0);
  });
});

describe('the numerics of a range', () => {
  it('draw a triangle with its mean where it belongs', () => {
    const next = seededStream(5);
    const values = Array.from({ length: 4000 }, () => triangular(next(), 2, 3, 7));
    // Mean of a triangular distribution: (low + mode + high) / 3.
    expect(values.reduce((sum, value) => sum + value, 0) / 4000).toBeCloseTo(4, 1);
    expect(Math.min(...values)).toBeGreaterThanOrEqual(2);
    expect(Math.max(...values)).toBeLessThanOrEqual(7);
    expect(triangular(0.3, 4, 4, 4)).toBe(4);
  });
  it('read quantiles between neighbors', () => {
    expect(quantileSorted([1, 2, 3, 4, 5], 0.5)).toBe(3);
    expect(quantileSorted([0, 10], 0.25)).toBe(2.5);
    expect(quantileSorted([7], 0.9)).toBe(7);
  });
  it('correlate ranks: 1 for any rise, -1 for any fall, 0 for none; ties share', () => {
    expect(rankCorrelation([1, 2, 3], [1, 100, 101])).toBeCloseTo(1, 12);
    expect(rankCorrelation([1, 2, 3], [9, 4, 1])).toBeCloseTo(-1, 12);
    expect(rankCorrelation([1, 2, 3], [5, 5, 5])).toBe(0);
    // Spearman with ties by hand: ranks 0.5 0.5 2 against 0 1 2.
    expect(rankCorrelation([1, 1, 2], [1, 2, 3])).toBeCloseTo(1.5 / Math.sqrt(1.5 * 2), 12);
  });
});
