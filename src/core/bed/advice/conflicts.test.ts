import { describe, expect, it } from 'vitest';
import { bedOf, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { dayNumberFromIso, isoDateOf } from '../../ground/climate/calendar.ts';
import { findLibraryMaterial } from '../../ground/materials/library.ts';
import { projectBed, telltaleDays } from '../projection/bed-projection.ts';
import type { BedBooks } from '../books/bed-books.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import { bedScenario } from '../books/bed-scenario.ts';
import { phOn } from '../books/soil-tests.ts';
import { conflictsIn, type Conflict } from './conflicts.ts';
import { harvestWaits } from './waits.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);
const TODAY = day('2026-05-14');
const lay = (id: string, materialId: string, date: string, massFreshKg = 5, dugDepthCm = 0): Entry => ({
  id,
  type: 'lay',
  state: 'laid',
  date,
  materialId,
  massFreshKg,
  dugDepthCm,
  seasonedMonths: 0,
});
const feed = (date: string): Entry => ({
  id: 'feed',
  type: 'feed',
  state: 'planned',
  date,
  nitrogenG: 10,
});

function clashes(
  entries: Entry[],
  bed: Partial<BedBooks['bed']> = {},
  plantings: Planting[] = [],
): Conflict[] {
  const books = {
    site: { climate: MILD, depositionGPerM2Year: 1 },
    bed: bedOf(bed),
    crops: [],
    entries,
    plantings,
  };
  const scenario = bedScenario({
    books,
    findMaterial: findLibraryMaterial,
    today: TODAY,
    endDay: TODAY + 400,
  });
  const projection = projectBed(scenario, 7, telltaleDays(scenario, TODAY));
  return conflictsIn({ books, findMaterial: findLibraryMaterial, projection, since: TODAY - 30 });
}
const codes = (...args: Parameters<typeof clashes>) => clashes(...args).map(({ code }) => code);

describe('what does not go together', () => {
  it('is ash or lime within two weeks of ammonium, and not a month apart', () => {
    expect(codes([lay('ash', 'wood_ash', '2026-05-01', 0.3), feed('2026-05-10')])).toContain(
      'limeWithAmmonium',
    );
    expect(
      codes([lay('lime', 'garden_lime', '2026-05-01', 1), lay('fresh', 'layer_manure', '2026-05-12')]),
    ).toContain('limeWithAmmonium');
    expect(codes([lay('ash', 'wood_ash', '2026-05-01', 0.3), feed('2026-06-01')])).not.toContain(
      'limeWithAmmonium',
    );
    expect(
      codes([lay('ash', 'wood_ash', '2026-05-01', 0.3), lay('done', 'compost_yard', '2026-05-03')]),
    ).not.toContain('limeWithAmmonium');
  });
  it('is ash on a high pH, by the last test before it, and more than the yearly cap', () => {
    const test: Entry = {
      id: 'test',
      type: 'soilTest',
      state: 'laid',
      date: '2026-04-28',
      amount: 2,
      unit: 'gPerM2',
      sampledDepthCm: 30,
      ph: 7.8,
      organicMatterPct: null,
    };
    const ash = lay('ash', 'wood_ash', '2026-05-01', 0.45);
    expect(codes([ash], { ph: 6.4 })).toEqual([]);
    expect(codes([test, ash], { ph: 6.4 })).toEqual(['ashOnHighPh']);
    expect(codes([ash, lay('more', 'wood_ash', '2026-05-20', 0.2)], { ph: 6 })).toEqual(['muchAsh']);
    expect(phOn({ bed: bedOf({ ph: 6.4 }), entries: [test] }, day('2026-04-01'))).toBe(6.4);
  });
  it('is mulch on a trunk, raw char before a crop, wood and spade in wet clay', () => {
    expect(codes([lay('chips', 'chips_mixed', '2026-05-01')], { kind: 'treeRing' })).toEqual([
      'mulchOnTrunk',
    ]);
    const crop = plantingOf({ plantedOn: '2026-06-01' });
    expect(codes([lay('char', 'biochar_raw', '2026-05-10', 5, 15)], {}, [crop])).toEqual([
      'rawCharBeforeCrop',
    ]);
    expect(codes([lay('char', 'biochar_charged', '2026-05-10', 5, 15)], {}, [crop])).toEqual([]);
    const winter = [lay('wood', 'chips_mixed', '2027-01-10', 5, 20)];
    expect(codes(winter, { clayPct: 45 })).toEqual(['woodDugIntoClay', 'wetClayWorked']);
    expect(codes([lay('wood', 'chips_mixed', '2026-07-10', 5, 20)], { clayPct: 45 })).toEqual([
      'woodDugIntoClay',
    ]);
  });
  it('is a seed under more cover than it comes through, but not one sown into compost', () => {
    const small = plantingOf({
      cropId: 'turnip',
      startsAs: 'seed',
      plantedOn: '2026-06-01',
      clearedOn: '2026-08-20',
    });
    const chips = lay('chips', 'chips_mixed', '2026-05-01', 60);
    expect(codes([chips], {}, [small])).toEqual(['coverOverSeed']);
    const intoCompost = [chips, lay('compost', 'compost_garden', '2026-05-02', 60)];
    expect(codes(intoCompost, {}, [small]).filter((code) => code === 'coverOverSeed')).toEqual([]);
    expect(codes([chips], {}, [{ ...small, startsAs: 'transplant' }])).toEqual([]);
  });
});

describe('waits before harvest', () => {
  const manure = lay('manure', 'cattle_fym', '2026-05-01');
  const waits = (entries: Entry[], plantings: Planting[]) =>
    harvestWaits({ entries, crops: [], plantings, findMaterial: findLibraryMaterial, today: TODAY });
  it('are 120 days where the crop touches the soil and 90 otherwise, and say when the plan is too early', () => {
    const potato = plantingOf({ id: 'potato', cropId: 'potato', clearedOn: '2026-08-01' });
    const tomato = plantingOf({ id: 'tomato', cropId: 'tomato', clearedOn: '2026-10-01' });
    const [early, late] = waits([manure], [potato, tomato]);
    expect(early).toMatchObject({ plantingId: 'potato', days: 120, isTooEarly: true });
    expect(isoDateOf(early.earliestDay)).toBe('2026-08-29');
    expect(late).toMatchObject({ plantingId: 'tomato', days: 90, isTooEarly: false });
    expect(isoDateOf(late.earliestDay)).toBe('2026-07-30');
  });
  it('are a month after urine, and none for compost, cover crops and crops long gone', () => {
    const leek = plantingOf({ clearedOn: '2026-05-20' });
    expect(waits([lay('urine', 'urine', '2026-05-10')], [leek])).toMatchObject([
      { days: 30, isTooEarly: true },
    ]);
    expect(waits([lay('done', 'compost_manure', '2026-05-10')], [leek])).toEqual([]);
    expect(waits([manure], [plantingOf({ cropId: 'phacelia' })])).toEqual([]);
    expect(waits([manure], [plantingOf({ clearedOn: '2026-04-25' })])).toEqual([]);
    expect(waits([manure], [plantingOf({ plantedOn: '2026-10-01', clearedOn: '2027-05-01' })])).toEqual([]);
  });
});
