import { refusalOf } from '../../../../tests/fixtures/refused.ts';
import { describe, expect, it } from 'vitest';
import { bedOf, plantingOf } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso, isoDateOf } from '../../ground/climate/calendar.ts';
import { CLIMATE_PATTERNS } from '../../ground/climate/patterns.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { reportCohort } from '../../model/simulation/report.ts';
import { runTo, startRun } from '../../model/simulation/run.ts';
import type { SoilNitrogenUnit } from '../../../records/vocabulary.ts';
import type { BedBooks } from './bed-books.ts';
import type { Entry, LayEntry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import { bedScenario, openingDay } from './bed-scenario.ts';
import { checkBooks } from './check-books.ts';

const climate = (id: string) => CLIMATE_PATTERNS.find((one) => one.id === id)!;
const day = (iso: string) => dayNumberFromIso(iso, []);

const chips: LayEntry = {
  id: 'chips',
  type: 'lay',
  state: 'laid',
  date: '2026-05-14',
  materialId: 'chips_branch',
  massFreshKg: 100,
  dugDepthCm: 0,
  seasonedMonths: 0,
};

const currant: Planting = plantingOf({
  id: 'currant',
  cropId: 'currant',
  plantedOn: '2024-06-01',
  clearedOn: null,
  nitrogenDemandGPerM2: 8,
  rootDepthCm: 80,
});

const books = (change: Partial<BedBooks> = {}): BedBooks => ({
  site: { climate: climate('mild_maritime'), depositionGPerM2Year: 1 },
  bed: bedOf(),
  entries: [chips],
  crops: [],
  plantings: [],
  ...change,
});

const TODAY = day('2026-05-20');

describe('the scenario of a bed', () => {
  it('starts on 1 October before the first record, 1 April in the south', () => {
    expect(isoDateOf(openingDay(books(), TODAY))).toBe('2025-10-01');
    expect(isoDateOf(openingDay(books({ entries: [], plantings: [currant] }), TODAY))).toBe('2023-10-01');
    const south = { climate: climate('southern_temperate'), depositionGPerM2Year: 1 };
    expect(isoDateOf(openingDay(books({ site: south }), TODAY))).toBe('2026-04-01');
  });

  it('spreads the mass over the area and waters in the warm half of the year', () => {
    const scenario = bedScenario({
      books: books(),
      findMaterial: findLibraryMaterial,
      today: TODAY,
      endDay: TODAY + 10,
    });
    expect(scenario.events[0]).toMatchObject({ type: 'apply', massFreshKgPerM2: 20, day: day('2026-05-14') });
    expect(scenario.irrigation?.months).toEqual([5, 6, 7, 8, 9]);
  });

  it('lays seasoned wood as thick as the same mass of fresh wood, but with less in it to lock', () => {
    const opened = (seasonedMonths: number) => {
      const scenario = bedScenario({
        books: books({ entries: [{ ...chips, seasonedMonths }] }),
        findMaterial: findLibraryMaterial,
        today: TODAY,
        endDay: TODAY + 10,
      });
      const run = startRun(scenario);
      runTo(run, day('2026-05-15'));
      return reportCohort(run.bed, run.bed.state.cohorts[0]);
    };
    expect(Math.abs(opened(10).thicknessCm / opened(0).thicknessCm - 1)).toBeLessThan(0.05);
    expect(opened(10).carbonG.quick).toBeLessThan(0.5 * opened(0).carbonG.quick);
  });

  it('lets a perennial grow every year while in leaf', () => {
    const { crops } = bedScenario({
      books: books({ plantings: [currant] }),
      findMaterial: findLibraryMaterial,
      today: TODAY,
      endDay: day('2027-01-01'),
    });
    expect(crops.map(({ id, plantDay }) => `${id} ${isoDateOf(plantDay)}`)).toEqual([
      'currant:1 2024-06-01',
      'currant:2 2025-03-15',
      'currant:3 2026-03-15',
    ]);
  });

  it('names the record and the field that cannot be', () => {
    const refusal = (change: Partial<BedBooks>): string => {
      try {
        checkBooks(books(change), findLibraryMaterial, TODAY);
      } catch (error) {
        if (error instanceof InputError) return error.path.join('.');
        throw error;
      }
      return 'accepted';
    };
    expect(refusal({})).toBe('accepted');
    expect(refusal({ entries: [chips, { ...chips, id: 'b', massFreshKg: 1e9 }] })).toBe(
      'entries.1.massFreshKg',
    );
    expect(refusal({ entries: [{ ...chips, materialId: 'moon dust' }] })).toBe('entries.0.materialId');
    // The later record stands first in the list: the index is that of the list, not of time.
    const early = {
      id: 'off',
      type: 'takeOff' as const,
      state: 'laid' as const,
      date: '2026-05-01',
      layerId: 'chips',
      shareTakenOff: 1,
    };
    expect(refusal({ entries: [chips, early] })).toBe('entries.1.layerId');
    expect(refusal({ plantings: [{ ...currant, cropId: 'leek' }] })).toBe('plantings.0.clearedOn');
    expect(refusal({ plantings: [{ ...currant, cropId: 'moon weed' }] })).toBe('plantings.0.cropId');
  });

  it('takes a soil test into both zones, whatever unit it was reported in', () => {
    const test = (amount: number, unit: SoilNitrogenUnit): Entry => ({
      id: 'test',
      type: 'soilTest',
      state: 'laid',
      date: '2026-04-01',
      amount,
      unit,
      sampledDepthCm: 30,
      ph: null,
      organicMatterPct: null,
    });
    const zones = (entry: Entry) => {
      const scenario = bedScenario({
        books: books({ entries: [entry] }),
        findMaterial: findLibraryMaterial,
        today: TODAY,
        endDay: TODAY + 1,
      });
      const [event] = scenario.events;
      return event.type === 'soilTest' ? event.mineralNGPerM2 : undefined;
    };
    expect(zones(test(60, 'kgPerHa'))).toEqual([1, 5]);
    expect(zones(test(6, 'gPerM2'))).toEqual([1, 5]);
    // 1.2 g/cm3 over 30 cm is 360 kg of soil on a square metre: 10 mg/kg is 3.6 g.
    expect(zones(test(10, 'mgPerKg'))![0]).toBeCloseTo(0.6, 12);
    expect(zones(test(10, 'lbPerAcre'))![1]).toBeCloseTo((10 * 453.59237 * 25) / 4046.8564224 / 30, 12);
  });
  it('refuses what lies before the bed was made, by its field', () => {
    const made = bedOf({ startedOn: '2026-06-01' });
    expect(refusalOf(() => checkBooks(books({ bed: made }), findLibraryMaterial, TODAY))).toMatch(
      /entries.0.date lies before the bed was made on 2026-06-01/,
    );
  });
  it('lets a crop want only for the part of the bed it stands on', () => {
    const half = plantingOf({ nitrogenDemandGPerM2: 12, areaShare: 0.5 });
    const { crops } = bedScenario({
      books: books({ plantings: [half] }),
      findMaterial: findLibraryMaterial,
      today: TODAY,
      endDay: TODAY + 1,
    });
    expect(crops[0]?.nitrogenDemandGPerM2).toBe(6);
  });
});
