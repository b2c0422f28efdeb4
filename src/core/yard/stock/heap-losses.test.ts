import { describe, expect, it } from 'vitest';
import type { Treatment } from '../../../records/lot.ts';
import { findLibraryMaterial } from '../../ground/index.ts';
import { MILD } from '../../../../tests/fixtures/books.ts';
import { defaultParameters } from '../../model/simulation/parameters.ts';
import { ageLot } from './age-lot.ts';
import { ammoniaFreedom } from './heap-ammonia.ts';
import { mayTakeFire } from './heap-fire.ts';
import { heapRipeness } from './heap-ripeness.ts';
import {
  alkaliShare,
  atMoisture,
  carbonG,
  contentsOfMaterial,
  mixContents,
  nitrogenG,
  type LotContents,
} from './lot-contents.ts';
import { materialOfContents } from './lot-figures.ts';
import { whatOf } from './lot-what.ts';
import { nearestMaterialId } from './nearest-material.ts';

const APRIL = 20_565;
const HOT: Treatment = { keeping: 'watered', isTurned: true, isHot: true };
const COLD: Treatment = { ...HOT, isTurned: false, isHot: false };

type Mix = readonly (readonly [materialId: string, dryKg: number])[];
const heapOf = (mix: Mix, moisture = 0.58): LotContents =>
  atMoisture(
    mixContents(
      mix.map(([materialId, dryKg]) =>
        contentsOfMaterial({
          materialId,
          material: findLibraryMaterial(materialId)!,
          dryG: dryKg * 1000,
          p: defaultParameters,
        }),
      ),
    ),
    moisture,
  );

/** Percent of its carbon and nitrogen that a heap loses in so many days. */
function lossesOf(start: LotContents, treatment: Treatment, days: number) {
  const { contents, respiredCarbonG, ammoniaG } = ageLot({
    start,
    fromDay: APRIL,
    untilDay: APRIL + days,
    setting: {
      climate: MILD,
      treatment,
      heatingFrom: APRIL,
      readings: [],
      parameters: defaultParameters,
    },
  });
  return {
    contents,
    carbonPct: (100 * respiredCarbonG) / carbonG(start),
    nitrogenPct: (100 * ammoniaG) / nitrogenG(start),
  };
}

const HORSE_AND_GRASS: Mix = [
  ['horse_bedding', 100],
  ['grass_clippings', 60],
];
const HOT_HEAPS: readonly (readonly [name: string, mix: Mix, leastN: number, mostN: number])[] = [
  // NRAES-54: 40 to 68 % of the carbon, 5 to 35 % of the nitrogen; rich heaps lose 30 to 70 % (Kirchmann and Witter 1989).
  ['horse manure and grass, C:N 20', HORSE_AND_GRASS, 5, 35],
  [
    'grass and leaves, C:N 25',
    [
      ['grass_clippings', 60],
      ['leaves_mixed', 100],
    ],
    5,
    35,
  ],
  [
    'grass and chips, C:N 27',
    [
      ['grass_clippings', 100],
      ['chips_mixed', 130],
    ],
    5,
    35,
  ],
  [
    'kitchen waste and chips, C:N 24',
    [
      ['veg_waste', 100],
      ['chips_mixed', 60],
    ],
    5,
    35,
  ],
  [
    'hen manure and straw, C:N 11',
    [
      ['layer_manure', 100],
      ['straw_cereal', 70],
    ],
    30,
    70,
  ],
  ['bedded horse manure alone, C:N 31', [['horse_bedding', 100]], 1, 15],
];

describe('a hot, turned heap in half a year', () => {
  it.each(HOT_HEAPS)('of %s loses what handbooks say', (_, mix, leastN, mostN) => {
    const { carbonPct, nitrogenPct } = lossesOf(heapOf(mix), HOT, 180);
    expect(carbonPct).toBeGreaterThan(40);
    expect(carbonPct).toBeLessThan(68);
    expect(nitrogenPct).toBeGreaterThan(leastN);
    expect(nitrogenPct).toBeLessThan(mostN);
  });

  it('loses most of that nitrogen in its hot phase: horse manure and grass 5 to 35 % in four weeks', () => {
    const { nitrogenPct } = lossesOf(heapOf(HORSE_AND_GRASS), HOT, 28);
    expect(nitrogenPct).toBeGreaterThan(5);
    expect(nitrogenPct).toBeLessThan(35);
    expect(nitrogenPct).toBeGreaterThan(0.5 * lossesOf(heapOf(HORSE_AND_GRASS), HOT, 180).nitrogenPct);
  });

  it('loses the less nitrogen the more carbon there is to each gram of it', () => {
    const withChips = (dryKg: number) =>
      lossesOf(
        heapOf([
          ['grass_clippings', 100],
          ['chips_mixed', dryKg],
        ]),
        HOT,
        180,
      ).nitrogenPct;
    expect(withChips(200)).toBeLessThan(withChips(100));
    expect(withChips(100)).toBeLessThan(withChips(30));
  });

  it('goes through heat and curing to compost, and says what is still wanting', () => {
    const after = (days: number, warmthC: number) =>
      heapRipeness(lossesOf(heapOf(HORSE_AND_GRASS), HOT, days).contents, warmthC, 12)!;
    const unmet = (days: number, warmthC: number) =>
      after(days, warmthC).signs.flatMap(({ sign, isMet }) => (isMet ? [] : [sign]));
    expect(after(7, 60).stage).toBe('hot');
    expect(unmet(7, 60)).toEqual(['gentle', 'unrecognizable', 'littleAmmonium', 'cured', 'cooledDown']);
    expect(after(50, 30).stage).toBe('cooling');
    expect(after(80, 15).stage).toBe('curing');
    expect(after(200, 15)).toEqual({
      stage: 'finished',
      signs: ['narrow', 'gentle', 'unrecognizable', 'littleAmmonium', 'cured', 'cooledDown'].map((sign) => ({
        sign,
        isMet: true,
      })),
    });
    expect(heapRipeness(heapOf([['chips_mixed', 10]]), 12, 12)).toBeNull();
  });
});

describe('what rotted here is named as what it has become', () => {
  const agedYears = (mix: Mix) => lossesOf(heapOf(mix), { ...COLD, keeping: 'watered' }, 3 * 365).contents;
  it('leaves as leaf mould, mixes as compost, castings as castings', () => {
    expect(nearestMaterialId(agedYears([['leaves_mixed', 10]]))).toBe('leaf_mould');
    expect(
      nearestMaterialId(
        agedYears([
          ['grass_clippings', 10],
          ['leaves_mixed', 10],
        ]),
      ),
    ).toBe('compost_garden');
    expect(nearestMaterialId(heapOf([['worm_castings', 10]]))).toBe('worm_castings');
    expect(nearestMaterialId(heapOf([['leaves_mixed', 10]]))).toBe('leaves_mixed');
    const material = (materialId: string) => ({ what: { code: 'material', materialId }, hasChar: false });
    const kind = (of: string) => ({ what: { code: 'kind', kind: of }, hasChar: false });
    expect(whatOf(agedYears([['leaves_mixed', 10]]))).toEqual(material('leaf_mould'));
    expect(whatOf(heapOf([['worm_castings', 10]]))).toEqual(material('worm_castings'));
    expect(whatOf(heapOf([['wood_ash', 10]]))).toEqual(material('wood_ash'));
    expect(whatOf(heapOf([['compost_garden', 10]]))).toEqual(material('compost_garden'));
    expect(whatOf(heapOf([['leaves_mixed', 10]]))).toEqual(kind('leaf'));
    expect(whatOf(heapOf([['biochar_raw', 10]]))).toEqual(kind('char'));
    expect(whatOf(heapOf(HORSE_AND_GRASS)).what).toEqual({ code: 'mix' });
    const charred = [
      ['grass_clippings', 10],
      ['leaves_mixed', 10],
      ['biochar_raw', 0.5],
    ] as const;
    expect(whatOf(agedYears(charred))).toEqual({ what: { code: 'finishedCompost' }, hasChar: true });
  });
  it('part-mature compost is finished once it has cured here', () => {
    const cured = (days: number) =>
      lossesOf(heapOf([['compost_garden', 10]]), { ...COLD, keeping: 'covered' }, days).contents;
    expect(whatOf(cured(10)).what).toMatchObject({ code: 'material' });
    expect(whatOf(cured(160)).what).toEqual({ code: 'finishedCompost' });
    expect(materialOfContents(cured(10)).traits).toEqual([]);
    expect(materialOfContents(cured(160)).traits).toEqual(['isMature']);
  });
  it('and a pile of chips or straw large enough to take fire is told from others', () => {
    expect(mayTakeFire('wood', 15_000)).toBe(true);
    expect(mayTakeFire('residue', 20_000)).toBe(true);
    expect(mayTakeFire('wood', 14_999)).toBe(false);
    expect(mayTakeFire('compost', 50_000)).toBe(false);
  });
});

describe('ammonia leaves a heap', () => {
  const lost = (treatment: Treatment, moisture = 0.58, extra: Mix = []) =>
    lossesOf(heapOf([...HORSE_AND_GRASS, ...extra], moisture), treatment, 28).nitrogenPct;
  it('the more, the hotter, drier, airier and more alkaline it is', () => {
    const shut: Treatment = { ...HOT, keeping: 'shut', isTurned: false };
    const still: Treatment = { ...HOT, isTurned: false };
    expect(lost(HOT)).toBeGreaterThan(lost(still));
    expect(lost(still)).toBeGreaterThan(lost(shut));
    expect(lost(still)).toBeGreaterThan(lost(COLD));
    expect(lost(HOT, 0.58, [['wood_ash', 5]])).toBeGreaterThan(1.1 * lost(HOT));
    expect(ammoniaFreedom(HOT, 0.45, 0)).toBeGreaterThan(ammoniaFreedom(HOT, 0.7, 0));
    expect(ammoniaFreedom(HOT, 0.58, 0)).toBeCloseTo(1.5, 12);
  });
  it('with ash and lime told apart from what is only without carbon', () => {
    expect(
      alkaliShare(
        heapOf([
          ['wood_ash', 1],
          ['straw_cereal', 3],
        ]),
      ),
    ).toBeCloseTo(0.25, 12);
    expect(
      alkaliShare(
        heapOf([
          ['garden_lime', 1],
          ['straw_cereal', 1],
        ]),
      ),
    ).toBeCloseTo(0.5, 12);
    expect(alkaliShare(heapOf([['straw_cereal', 1]]))).toBe(0);
  });
});
