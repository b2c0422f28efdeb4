import { describe, expect, it } from 'vitest';
import { bedOf, MILD, plantingOf } from '../../../../tests/fixtures/books.ts';
import { layOf } from '../../../../tests/fixtures/laid.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import { dayNumberFromIso, isoDateOf } from '../../ground/index.ts';
import type { GardenRecords } from '../books/garden-books.ts';
import type { ComingCrop } from './coming-crops.ts';
import { planOfBed } from './plan-of-bed.ts';

const TODAY = '2026-05-14';
const day = (iso: string) => dayNumberFromIso(iso, []);

function planned(
  plantings: readonly Planting[],
  entries: readonly Entry[] = [],
  bed: Parameters<typeof bedOf>[0] = {},
) {
  const records = {
    garden: { climate: MILD, depositionGPerM2Year: 1, school: 'byDepth', feedMaterialId: 'blood_meal' },
    beds: [bedOf(bed)],
    entries: entries.map((entry) => ({ ...entry, bedId: 'bed' })),
    plantings: plantings.map((planting) => ({ ...planting, bedId: 'bed' })),
    materials: [],
    crops: [],
    labResults: [],
    lots: [],
    movements: [],
    journal: [],
  } satisfies GardenRecords;
  return planOfBed({ records, bedId: 'bed', todayIso: TODAY })!.plan;
}

const coming = (cropId: string, plantedOn: string, clearedOn: string, change: Partial<Planting> = {}) =>
  plantingOf({ id: cropId, cropId, state: 'planned', plantedOn, clearedOn, startsAs: 'seed', ...change });
const codes = ({ objections }: ComingCrop) => objections.map(({ code }) => code);
const lay = (materialId: string, massFreshKg: number, change: Parameters<typeof layOf>[0] | object = {}) =>
  layOf({ id: materialId, date: '2026-05-01', materialId, massFreshKg, dugDepthCm: 0, ...change });

describe('a crop to come', () => {
  it('is told apart from others, and nothing speaks against it on good ground', () => {
    const plan = planned([
      coming('beetroot', '2026-05-28', '2026-09-10', { areaShare: 0.5 }),
      coming('spinach', '2026-06-04', '2026-07-30', { areaShare: 0.5 }),
    ]);
    expect(plan.coming.map(({ plantingId }) => plantingId)).toEqual(['beetroot', 'spinach']);
    for (const crop of plan.coming) {
      expect(codes(crop)).toEqual([]);
      expect(crop.missedShare).toBeLessThanOrEqual(0.1);
      expect([crop.goodBefore, crop.goodAfter]).toEqual([null, null]);
    }
  });

  it('planned into the cold is moved to a warm week, of its own warmth', () => {
    const [pumpkin] = planned([coming('pumpkin', '2026-12-03', '2027-04-01')]).coming;
    expect(codes(pumpkin)).toEqual(['cold']);
    expect(pumpkin.goodBefore).toBeLessThan(pumpkin.day);
    expect(pumpkin.goodAfter === null || pumpkin.goodAfter > day('2027-03-01')).toBe(true);
    const [garlic] = planned([coming('garlic', '2026-10-15', '2027-07-10', { startsAs: 'set' })]).coming;
    expect(codes(garlic)).toEqual([]);
  });

  it('on a bed that is locked up beyond feeding is warned of, though another one is fed', () => {
    const sawdust = lay('sawdust_softwood', 90, { dugDepthCm: 20, date: '2026-07-25' });
    const broccoli = coming('broccoli', '2026-08-01', '2026-11-20', {
      startsAs: 'transplant',
      nitrogenDemandGPerM2: 24,
      rootDepthCm: 60,
    });
    const spinach = coming('spinach', '2026-05-20', '2026-07-10');
    const plan = planned([spinach, broccoli], [sawdust]);
    const later = plan.coming.find(({ plantingId }) => plantingId === 'broccoli')!;
    expect(codes(later)).toContain('lockedUp');
    expect(later.missedShare).toBeGreaterThan(0.1);
    expect(plan.feeding!.hungryIds).toContain('broccoli');
  });

  it('sown under more cover than its seed comes through says so', () => {
    const chips = lay('chips_mixed', 60, { dugDepthCm: 0 });
    const [spinach] = planned([coming('spinach', '2026-05-28', '2026-07-30')], [chips]).coming;
    expect(codes(spinach)).toContain('cover');
    expect(spinach.objections.find(({ code }) => code === 'cover')).toMatchObject({ deepestCm: 3 });
  });

  it('in fresh laying-hen manure is burnt, longer than in cattle manure', () => {
    const soon = coming('spinach', '2026-05-21', '2026-11-30');
    const hens = lay('layer_manure', 80);
    const burnt = planned([soon], [hens]).coming[0];
    expect(codes(burnt)).toContain('burn');
    expect(burnt.objections.find(({ code }) => code === 'burn')).toMatchObject({
      untilDay: day('2026-06-12'),
    });
    const cattle = lay('cattle_fym', 20);
    expect(planned([soon], [cattle]).coming[0].objections).toContainEqual({
      code: 'burn',
      untilDay: day('2026-05-29'),
    });
  });

  it('waits for the build-up that lies there, and finds the first day after', () => {
    const built = lay('leaves_mixed', 20, { plantFrom: '2026-07-30' });
    const [kale] = planned(
      [coming('kale', '2026-06-11', '2026-12-20', { startsAs: 'transplant' })],
      [built],
    ).coming;
    expect(kale.objections).toContainEqual({ code: 'buildUp', untilDay: day('2026-07-30') });
    expect(kale.goodBefore).toBeNull();
    expect(kale.goodAfter).toBeGreaterThanOrEqual(day('2026-07-30'));
  });

  it('is not to stand where a build-up will be laid over it', () => {
    const built = lay('leaves_mixed', 20, { date: '2026-10-20', plantFrom: '2027-01-18' });
    const [kale] = planned(
      [coming('kale', '2026-11-20', '2027-04-20', { startsAs: 'transplant' })],
      [built],
    ).coming;
    expect(codes(kale)).toContain('buildUp');
    const inGround = day('2027-04-20') - day('2026-11-20');
    expect(kale.goodBefore! + inGround).toBeLessThanOrEqual(day('2026-10-20'));
    expect(kale.goodAfter === null || kale.goodAfter >= day('2027-01-18')).toBe(true);
  });

  it('is not weighed beyond the fifteen months of the plan, however far ahead it is written down', () => {
    const far = coming('broccoli', '2028-04-27', '2028-08-20', { startsAs: 'transplant' });
    const near = coming('broccoli', '2027-08-12', '2027-12-05', { startsAs: 'transplant', id: 'near' });
    expect(planned([near, far]).coming.map(({ plantingId }) => plantingId)).toEqual(['near']);
  });

  it('harvested too soon after raw manure is moved until it may be', () => {
    const manure = lay('sheep_manure', 4, { date: '2026-05-10' });
    const [turnip] = planned([coming('turnip', '2026-06-18', '2026-08-25')], [manure]).coming;
    expect(codes(turnip)).toContain('rawManure');
    expect(turnip.goodAfter).toBeGreaterThanOrEqual(day('2026-06-25'));
  });

  it('is good when run on each day that is offered', () => {
    const manure = lay('cattle_fym', 20);
    const soon = coming('beetroot', '2026-05-18', '2026-09-20');
    const [beetroot] = planned([soon], [manure]).coming;
    const offered = [beetroot.goodBefore, beetroot.goodAfter].flatMap((one) => one ?? []);
    expect(offered.length).toBeGreaterThan(0);
    for (const on of offered) {
      const moved = coming('beetroot', isoDateOf(on), isoDateOf(on + day('2026-09-20') - day('2026-05-18')));
      const [again] = planned([moved], [manure]).coming;
      expect(codes(again)).toEqual([]);
    }
  });
});

describe('crops in general', () => {
  const start = (which: 'seedlings' | 'transplants', entries: readonly Entry[]) =>
    planned([], entries).planting.find((one) => one.start === which)!;

  it('wait for a build-up after it is saved, not only while it is looked at', () => {
    const built = lay('leaves_mixed', 20, { plantFrom: '2026-07-30' });
    for (const which of ['seedlings', 'transplants'] as const) {
      expect(start(which, [built])).toMatchObject({ waitFor: 'buildUp' });
      expect(start(which, [built]).day).toBeGreaterThanOrEqual(day('2026-07-30'));
    }
  });

  it('are not to be sown now in 500 g of nitrogen a square meter of hen manure', () => {
    const { day: from, waitFor } = start('seedlings', [lay('layer_manure', 129)]);
    expect(waitFor).toBe('burn');
    expect(from === null || from > day(TODAY) + 28).toBe(true);
  });

  it('are never sown before young plants that would starve', () => {
    for (const massFreshKg of [20, 60, 120]) {
      const sawdust = lay('sawdust_softwood', massFreshKg, { dugDepthCm: 20 });
      const [seeds, plants] = [start('seedlings', [sawdust]), start('transplants', [sawdust])];
      expect(seeds.day ?? Infinity).toBeGreaterThanOrEqual(plants.day ?? Infinity);
    }
  });

  it('say how much cover lies over the seed', () => {
    expect(start('seedlings', [lay('chips_mixed', 60)]).coverCm).toBeGreaterThan(3);
    expect(start('seedlings', []).coverCm).toBeNull();
  });
});
