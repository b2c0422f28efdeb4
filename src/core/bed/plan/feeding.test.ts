import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD, plantingOf, southern } from '../../../../tests/fixtures/books.ts';
import { gardenOf, layOf } from '../../../../tests/fixtures/laid.ts';
import type { Entry } from '../../../records/entry.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import type { Planting } from '../../../records/planting.ts';
import {
  CLIMATE_PATTERNS,
  airTemperatureC,
  calendarDateOf,
  dayNumberFromIso,
  findLibraryMaterial,
  isoDateOf,
} from '../../ground/index.ts';
import { bedScenario } from '../books/bed-scenario.ts';
import type { GardenRecords } from '../books/garden-books.ts';
import { adviceSetting } from './advice-setting.ts';
import { projectForAdvice } from './bed-plan.ts';
import { LAST_DOSE_BEFORE_HARVEST_DAYS } from './feeding-limits.ts';
import type { FeedingPlan } from './feeding-plan.ts';
import { planFeeding } from './feeding.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);
const TODAY = '2026-05-01';
const POOR = { organicMatterPct: 1.2, areaM2: 8 };
const SAWDUST = layOf({
  id: 'sawdust',
  materialId: 'sawdust_hardwood',
  date: '2026-04-20',
  massFreshKg: 24,
  dugDepthCm: 15,
});

interface Case {
  readonly today?: string;
  readonly bed?: Parameters<typeof bedOf>[0];
  readonly entries?: readonly Entry[];
  readonly plantings: readonly Planting[];
  readonly climate?: ClimateNormals;
  readonly feedMaterialId?: string;
  readonly journal?: GardenRecords['journal'];
}

function planned({
  today = TODAY,
  bed = POOR,
  entries = [],
  plantings,
  climate = MILD,
  feedMaterialId = 'blood_meal',
  journal = [],
}: Case): FeedingPlan {
  const site = { climate, depositionGPerM2Year: 1 };
  const books = { site, bed: bedOf(bed), crops: [], entries, plantings };
  const scenario = bedScenario({
    books,
    findMaterial: findLibraryMaterial,
    today: day(today),
    endDay: day(today) + 900,
  });
  const records = gardenOf(entries, { garden: { ...GARDEN, ...site, feedMaterialId }, journal });
  const { feeding: rules } = adviceSetting({ records, books, today: day(today) });
  const { mornings } = projectForAdvice(scenario, day(today));
  const plan = planFeeding({ scenario, today: day(today), rules, mornings })!;
  // Going on from this morning is the same as running the years before again.
  expect(planFeeding({ scenario, today: day(today), rules, mornings: null })).toEqual(plan);
  return plan;
}

const grown = (cropId: string, plantedOn: string, clearedOn: string | null, change: Partial<Planting> = {}) =>
  plantingOf({
    id: cropId,
    cropId,
    plantedOn,
    clearedOn,
    nitrogenDemandGPerM2: 20,
    rootDepthCm: 60,
    ...change,
  });
const CABBAGE = grown('cabbage', '2026-04-25', '2026-09-20', { startsAs: 'transplant' });
const total = ({ doses }: FeedingPlan) => doses.reduce((sum, { nitrogenGPerM2 }) => sum + nitrogenGPerM2, 0);

describe('feeding', () => {
  it('is spread before a crop begins to miss it, not weeks after', () => {
    const { doses } = planned({ plantings: [CABBAGE] });
    expect(doses.length).toBeGreaterThan(1);
    for (const dose of doses) {
      expect(dose.day).toBeLessThanOrEqual(Math.max(dose.neededDay, day(TODAY)));
    }
  });

  it('leaves a hungry crop nearly what it needs', () => {
    const { fed, unmet } = planned({ plantings: [CABBAGE] });
    expect(unmet).toEqual([]);
    expect(fed[0].missedG).toBeLessThan(0.1 * fed[0].demandG);
  });

  it('gives each part of what would be too much at once its own day, two weeks from the next', () => {
    const { doses } = planned({ plantings: [CABBAGE], entries: [SAWDUST], feedMaterialId: 'urea' });
    expect(doses.length).toBeGreaterThan(3);
    doses.forEach((dose, i) => {
      expect(dose.nitrogenGPerM2).toBeLessThanOrEqual(4);
      if (i > 0) expect(dose.day - doses[i - 1].day).toBeGreaterThanOrEqual(14);
    });
  });

  it('ends when a dose no longer becomes crop', () => {
    const { doses } = planned({ plantings: [CABBAGE], entries: [SAWDUST], feedMaterialId: 'urea' });
    const last = day('2026-09-20') - LAST_DOSE_BEFORE_HARVEST_DAYS;
    for (const dose of doses) expect(dose.day).toBeLessThanOrEqual(last);
  });

  it('starts seedlings with a little and gives them no more than they bear', () => {
    const spinach = grown('spinach', TODAY, '2026-07-10', {
      startsAs: 'seed',
      nitrogenDemandGPerM2: 14,
      rootDepthCm: 40,
    });
    const { doses } = planned({ plantings: [spinach], entries: [SAWDUST] });
    const young = doses.filter((dose) => dose.day < day(TODAY) + 21);
    expect(young.length).toBeGreaterThan(0);
    for (const { nitrogenGPerM2 } of young) expect(nitrogenGPerM2).toBeLessThanOrEqual(3);
  });

  it('is not named after a legume, nor given for one', () => {
    const pea = grown('pea', '2026-08-01', '2026-10-20');
    const { doses, cropIds } = planned({ plantings: [CABBAGE, pea] });
    expect(cropIds).toEqual(['cabbage']);
    expect(doses.flatMap((dose) => dose.cropIds)).not.toContain('pea');
  });

  it.each([
    ['north of the equator', MILD, 6, 30],
    ['south of it', southern(MILD), 12, 31],
  ] as const)('of woody plants ends at midsummer, %s', (_, climate, month, date) => {
    const currant = grown('currant', '2023-03-01', null, { nitrogenDemandGPerM2: 14, rootDepthCm: 80 });
    const { doses } = planned({ plantings: [currant], climate, bed: { ...POOR, organicMatterPct: 0.8 } });
    expect(doses.length).toBeGreaterThan(0);
    for (const dose of doses) {
      const { year } = calendarDateOf(dose.day);
      expect(dose.day).toBeLessThanOrEqual(day(`${year}-${month < 10 ? '0' : ''}${month}-${date}`));
      expect(airTemperatureC(climate, dose.day)).toBeGreaterThan(6);
    }
  });

  it('is nothing where a crop misses next to nothing', () => {
    const hazel = grown('hazel', '2023-03-01', null, { nitrogenDemandGPerM2: 3, rootDepthCm: 120 });
    expect(planned({ plantings: [hazel] })).toMatchObject({ doses: [], hungryIds: [], unmet: [] });
  });

  it('is at least a gram a square meter: less is not worth the walk', () => {
    const { doses } = planned({ plantings: [CABBAGE] });
    for (const { nitrogenGPerM2 } of doses) expect(nitrogenGPerM2).toBeGreaterThanOrEqual(1);
  });

  it('meets a near need with a quick product, and spreads a slow one three weeks ahead', () => {
    const late = grown('kale', '2026-08-01', '2027-02-15', { startsAs: 'transplant' });
    const { doses } = planned({ plantings: [CABBAGE, late], feedMaterialId: 'feather_meal' });
    for (const dose of doses) {
      expect(dose.materialId).toBe(dose.neededDay < day(TODAY) + 28 ? 'blood_meal' : 'feather_meal');
    }
    expect(
      doses.some(
        ({ materialId, day: on, neededDay }) => materialId === 'feather_meal' && neededDay - on >= 14,
      ),
    ).toBe(true);
  });

  it('stays under the cap of a year together with what was given, and says when that is why', () => {
    const fedAlready: Entry = {
      id: 'fed',
      type: 'feed',
      state: 'laid',
      date: '2026-04-28',
      nitrogenG: 8 * 24.5,
    };
    const poor = { ...POOR, organicMatterPct: 0.3 };
    const sawdust = { ...SAWDUST, massFreshKg: 80 } as Entry;
    const { doses, unmet, yearG, capG } = planned({
      plantings: [CABBAGE],
      entries: [fedAlready, sawdust],
      bed: poor,
    });
    expect(capG).toBe(25);
    expect(doses).toEqual([]);
    expect(yearG).toBeLessThanOrEqual(capG);
    expect(unmet).toMatchObject([{ cropId: 'cabbage', reason: 'cap' }]);
  });

  it('says what comes too late for a crop about to be cleared', () => {
    const soon = grown('spinach', '2026-03-25', '2026-05-15', { nitrogenDemandGPerM2: 14, rootDepthCm: 40 });
    const { doses, unmet } = planned({ plantings: [soon], entries: [SAWDUST] });
    expect(doses).toEqual([]);
    expect(unmet).toMatchObject([{ cropId: 'spinach', reason: 'tooLate' }]);
  });

  it('is planned anew around a dose that was postponed: its size, and those that follow', () => {
    const ask = { plantings: [CABBAGE] };
    const before = planned(ask);
    const first = before.doses[0];
    const until = isoDateOf(first.day + 25);
    const after = planned({
      ...ask,
      journal: [
        {
          id: 'm',
          kind: 'mark',
          date: TODAY,
          taskKey: 'dose:cabbage:1',
          dueOn: isoDateOf(first.day),
          state: 'snoozed',
          untilDate: until,
          note: '',
        },
      ],
    });
    expect(isoDateOf(after.doses[0].day)).toBe(until);
    expect(after.doses[1].day - after.doses[0].day).toBeGreaterThanOrEqual(14);
    expect(total(after)).toBeLessThanOrEqual(Math.max(25, total(before)) + 1e-9);
    expect(after.fed[0].missedG).toBeGreaterThan(before.fed[0].missedG);
    expect(before.waitingCostsGPerM2).toBeNull();
    expect(after.waitingCostsGPerM2).toBeCloseTo(after.fed[0].missedG - before.fed[0].missedG, 9);
  });
});

describe('the climates of the library', () => {
  it.each(CLIMATE_PATTERNS.map((climate) => [climate.name, climate] as const))(
    'are fed in: %s',
    (_, climate) => {
      const plan = planned({ plantings: [CABBAGE], climate });
      expect(plan.yearG).toBeLessThanOrEqual(plan.capG + 1e-9);
      expect(plan.fed).toHaveLength(1);
    },
  );
});
