import { describe, expect, it } from 'vitest';
import { plantingOf } from '../../../../tests/fixtures/books.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import type { PlantingRecord } from '../../../records/planting.ts';
import { dayNumberFromIso } from '../../../core/ground/climate/calendar.ts';
import type { BedSample, LayerState } from '../../../core/bed/projection/bed-projection.ts';
import { growingWords, namedCrops, namedLayers } from './naming.ts';
import { cropNames, layName } from '../../../words/record-names.ts';

const day = (iso: string) => dayNumberFromIso(iso, []);
const planting = (id: string, cropId: string, plantedOn: string, clearedOn: string | null): PlantingRecord =>
  plantingOf({ id, cropId, plantedOn, clearedOn });
const stamp = { version: 1, createdAt: '', updatedAt: '', bedId: 'bed', note: '' };
const PLANTINGS = [
  planting('p1', 'currant', '2024-03-01', null),
  planting('p2', 'leek', '2026-04-20', '2026-10-01'),
  planting('p3', 'garlic', '2026-10-20', '2027-07-01'),
];
const layer = (id: string): LayerState => ({
  id,
  kind: 'wood',
  isOnTop: true,
  dugDepthCm: 0,
  thicknessCm: 3,
  freshCarbonG: 1,
  microbialCarbonG: 0,
  humusCarbonG: 0,
  charCarbonG: 0,
  mineralsG: 0,
  respiredCarbonG: 0,
  laidCarbonG: 1,
  laidNitrogenG: 0,
  boundNitrogenG: 0,
  humusNitrogenG: 0,
  drawnNitrogenG: 0,
  releasedNitrogenG: 0,
  ammoniaNitrogenG: 0,
  heldContactG: 0,
  heldRootG: 0,
  lockedNitrogenG: 0,
});
const lay = (id: string, materialId: string): EntryRecord => ({
  ...stamp,
  id,
  type: 'lay',
  state: 'laid',
  date: '2026-05-01',
  materialId,
  amount: 3,
  unit: 'cm',
  massFreshKg: 50,
  dugDepthCm: 0,
  seasonedMonths: 0,
});
/** A look at the bed on the morning after `iso`. */
const sample = (iso: string, layers: string[] = [], crops: string[] = []): BedSample =>
  ({
    day: day(iso) + 1,
    layers: layers.map(layer),
    crops: crops.map((id) => ({ id, progress: 0.2, rootDepthCm: 20, paleness: 0.3 })),
  }) as unknown as BedSample;

const GROWING = { plantings: PLANTINGS, crops: [] };

describe('names in a drawing', () => {
  it('layers are called by their material and age, remains by their crop, a draft is known', () => {
    const entries = [lay('a', 'compost_yard'), { ...lay('b', 'own'), version: 0 }];
    const own = [
      {
        ...stamp,
        gardenId: 'g',
        id: 'own',
        name: 'Own chips',
        basis: { type: 'chips' as const, branchDiameterCm: 5, leafShare: 0, coniferShare: 0 },
      },
    ];
    const named = namedLayers({
      sample: sample('2026-05-01', ['a', 'b', 'p2_residue', 'p1:3_residue']),
      entries,
      names: { ...GROWING, materials: own, lots: [] },
    });
    expect(named.map(({ name, age, isDraft }) => [name, age, isDraft])).toEqual([
      ['Finished yard-debris compost', 'today', false],
      ['Own chips', 'today', true],
      ['Leek remains', 'grown here', false],
      ['Currant remains', 'grown here', false],
    ]);
  });

  it('crops are called once, a perennial by its planting, and stands grown up', () => {
    expect(cropNames(['p1:1', 'p1:2', 'p2'], GROWING)).toBe('Currant and Leek');
    const [currant, leek] = namedCrops(sample('2026-05-01', [], ['p1:3', 'p2']), GROWING);
    expect(currant).toMatchObject({ name: 'Currant', form: 'shrub', progress: 1, isPale: true });
    expect(leek).toMatchObject({ name: 'Leek', progress: 0.2 });
  });

  it('what grows, what rests and what is next', () => {
    const annuals = { ...GROWING, plantings: PLANTINGS.slice(1) };
    expect(growingWords(sample('2026-05-01', [], ['p2']), annuals, day('2026-05-01'))).toBe('Leek');
    expect(growingWords(sample('2026-12-01'), GROWING, day('2026-12-01'))).toBe('Currant, dormant');
    expect(growingWords(sample('2026-10-10'), annuals, day('2026-10-10'))).toBe('Garlic next');
    expect(growingWords(sample('2028-01-01'), annuals, day('2028-01-01'))).toBe('Nothing grows here');
  });
});

describe('what you spread', () => {
  const lot = {
    id: 'l',
    version: 1,
    createdAt: '',
    updatedAt: '',
    gardenId: 'g',
    name: 'Chips by the gate',
    form: 'pile' as const,
    keeping: 'open' as const,
    isTurned: false,
    isHot: false,
    reserveL: 0,
    note: '',
  };
  it('is called by the lot it came from, or by its material once that lot is gone', () => {
    const entry = { lotId: 'l', materialId: 'straw_cereal' };
    expect(layName(entry, { materials: [], lots: [lot] })).toBe('Chips by the gate');
    expect(layName(entry, { materials: [], lots: [] })).toBe('Cereal straw');
  });
});
