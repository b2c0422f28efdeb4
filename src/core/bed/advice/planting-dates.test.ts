import { describe, expect, it } from 'vitest';
import { bedOf, MILD } from '../../../../tests/fixtures/books.ts';
import { calendarDateOf, dayNumberFromIso, type DayNumber } from '../../ground/climate/calendar.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import type { Entry } from '../../../records/entry.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { bedScenario } from '../books/bed-scenario.ts';
import { projectForAdvice } from '../plan/bed-plan.ts';
import { plantingDates, TRIAL_DAYS, type PlantingDate } from './planting-dates.ts';
import { SCHOOL_RULES, type SchoolRules } from './schools.ts';

const MAY = dayNumberFromIso('2026-05-14', []);
const DECEMBER = dayNumberFromIso('2026-12-10', []);

const sawdust = (dugDepthCm: number, date = '2026-05-14', massFreshKg = 60): Entry => ({
  id: 'sawdust',
  type: 'lay',
  state: 'laid',
  date,
  materialId: 'sawdust_softwood',
  massFreshKg,
  dugDepthCm,
  seasonedMonths: 0,
});

interface Ground {
  readonly entries?: readonly Entry[];
  readonly today?: DayNumber;
  readonly climate?: ClimateNormals;
  readonly rules?: SchoolRules;
  readonly organicMatterPct?: number;
}

function dates({
  entries = [],
  today = MAY,
  climate = MILD,
  rules = SCHOOL_RULES.byDepth,
  organicMatterPct = 4,
}: Ground) {
  const site = { climate, depositionGPerM2Year: 1 };
  const bed = bedOf({ organicMatterPct });
  const books = { site, bed, crops: [], entries, plantings: [] };
  const scenario = bedScenario({ books, findMaterial: findLibraryMaterial, today, endDay: today + 900 });
  const { projection, mornings } = projectForAdvice(scenario, today);
  const ground = { books, findMaterial: findLibraryMaterial, projection };
  const [seedlings, transplants] = plantingDates({ ground, scenario, today, rules, mornings });
  return { seedlings: seedlings, transplants: transplants };
}

const waited = ({ day }: PlantingDate, from: DayNumber): number => (day === null ? Infinity : day - from);

describe('when young plants are safe', () => {
  it('is today on bare ground in May', () => {
    const { seedlings, transplants } = dates({});
    expect([seedlings.day, seedlings.waitFor]).toEqual([MAY, null]);
    expect([transplants.day, transplants.waitFor]).toEqual([MAY, null]);
    expect(seedlings.missedShare).toBeLessThanOrEqual(SCHOOL_RULES.byDepth.harmlessShare);
  });

  it('is spring when it is asked in winter, for the cold', () => {
    const { seedlings, transplants } = dates({ today: DECEMBER });
    for (const { day, waitFor } of [seedlings, transplants]) {
      expect(waitFor).toBe('cold');
      expect([2, 3, 4]).toContain(calendarDateOf(day!).month);
    }
  });

  it('never comes where it is never warm enough', () => {
    const climate = { ...MILD, temperatureC: Array<number>(12).fill(4) };
    const { seedlings } = dates({ climate });
    expect([seedlings.day, seedlings.waitFor]).toEqual([null, 'cold']);
  });

  it('is delayed by sawdust dug in, more by more of it, and says why', () => {
    const little = dates({ entries: [sawdust(15, '2026-05-14', 5)] }).transplants;
    const much = dates({ entries: [sawdust(15)] }).transplants;
    expect(much.waitFor).toBe('lockedUp');
    expect(waited(much, MAY)).toBeGreaterThan(waited(little, MAY));
    expect(waited(much, MAY)).toBeGreaterThanOrEqual(TRIAL_DAYS / 2);
  });

  it('is delayed far less by the same sawdust on top, where few roots are', () => {
    const onTop = dates({ entries: [sawdust(0)] });
    const dugIn = dates({ entries: [sawdust(15)] });
    for (const start of ['seedlings', 'transplants'] as const) {
      expect(waited(onTop[start], MAY)).toBeLessThanOrEqual(14);
      expect(waited(dugIn[start], MAY)).toBeGreaterThan(14);
    }
  });

  it.each([0, 15])('comes no sooner by a stricter school, dug to %d cm', (dugDepthCm) => {
    const { cautious, byDepth, relaxed } = SCHOOL_RULES;
    const entries = [sawdust(dugDepthCm)];
    const waits = [relaxed, byDepth, cautious].map((rules) =>
      waited(dates({ entries, rules }).transplants, MAY),
    );
    expect([...waits].sort((a, b) => a - b)).toEqual(waits);
  });

  it('is not delayed where the bare bed starves young plants just as much: waiting would not help', () => {
    const { seedlings } = dates({ organicMatterPct: 0.2 });
    expect(seedlings.missedShareBare).toBeGreaterThan(SCHOOL_RULES.byDepth.harmlessShare);
    expect(seedlings.missedShare).toBe(seedlings.missedShareBare);
    expect([seedlings.day, seedlings.waitFor]).toEqual([MAY, null]);
  });
});
