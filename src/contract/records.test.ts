import { describe, expect, it } from 'vitest';
import { journalPosting } from './requests.ts';
import { bedDraft } from '../records/bed.ts';
import { entryDraft } from '../records/entry.ts';
import { gardenDraft } from '../records/garden.ts';
import { materialDraft } from '../records/material.ts';
import { plantingDraft } from '../records/planting.ts';
import { refusalSentence } from '../words/refusal-words.ts';
import { findingsOf } from './problem-fields.ts';

const twelve = Array<number>(12).fill(10);
const garden = {
  name: 'Plot',
  place: '',
  climate: { temperatureC: twelve, rainMm: twelve, evapotranspirationMm: twelve },
  depositionGPerM2Year: 1,
  measures: 'metric',
};
const bed = {
  name: 'Bed',
  kind: 'annual',
  areaM2: 5,
  organicMatterPct: 4,
  bulkDensityGPerCm3: 1.2,
  clayPct: 20,
  rootZoneCm: 30,
  exposure: 'normal',
  isWatered: true,
  note: '',
};
const lay = {
  type: 'lay',
  state: 'laid',
  date: '2026-05-01',
  note: '',
  materialId: 'chips',
  amount: 7,
  unit: 'cm',
  dugDepthCm: 0,
  seasonedMonths: 0,
};
const planting = {
  state: 'laid',
  cropId: 'leek',
  plantedOn: '2026-05-01',
  clearedOn: null,
  nitrogenDemandGPerM2: 10,
  rootDepthCm: 40,
  note: '',
};
const material = {
  name: 'Chips',
  note: '',
  basis: { type: 'chips', branchDiameterCm: 5, leafShare: 0, coniferShare: 0 },
};

const SCHEMAS = {
  garden: [gardenDraft, garden],
  bed: [bedDraft, bed],
  entry: [entryDraft, lay],
  planting: [plantingDraft, planting],
  material: [materialDraft, material],
} as const;

type What = keyof typeof SCHEMAS;

function sentences(what: What, change: object): string[] {
  const [schema, whole] = SCHEMAS[what];
  const result = schema.safeParse({ ...whole, ...change });
  return result.success
    ? []
    : findingsOf(result.error).map((found) => refusalSentence(found.at.field, found));
}

describe('drafts', () => {
  it('of a kind nobody knows are told the kinds there are', () => {
    const read = journalPosting.safeParse({ records: [{ id: 'a', kind: 'guess' }] });
    expect(findingsOf(read.error!)).toMatchObject([
      {
        code: 'notOneOf',
        facts: { allowed: ['observation', 'mark', 'brew', 'trial', 'plotReading', 'yearClose'] },
        at: { collection: null, id: null, field: 'records.0.kind' },
      },
    ]);
  });

  it.each(Object.keys(SCHEMAS) as What[])('a whole %s is taken', (what) =>
    expect(sentences(what, {})).toEqual([]),
  );

  it.each<[What, object, string]>([
    ['garden', { name: '' }, 'name must be at least 1 character long.'],
    ['garden', { measures: 'cubits' }, 'measures must be one of metric, customary.'],
    ['garden', { climate: { ...garden.climate, rainMm: [1] } }, 'climate.rainMm'],
    ['garden', { climate: undefined }, 'climate is missing; it must be an object.'],
    ['bed', { areaM2: 0 }, 'areaM2 must be greater than 0.'],
    ['bed', { areaM2: '5' }, 'areaM2 must be a finite number.'],
    ['bed', { areaM2: NaN }, 'areaM2 must be a finite number.'],
    ['bed', { areaM2: Infinity }, 'areaM2 must be a finite number.'],
    ['bed', { clayPct: 101 }, 'clayPct must be at most 100.'],
    ['bed', { isWatered: 'yes' }, 'isWatered must be true or false.'],
    ['bed', { colour: 'red' }, 'input has unknown fields: colour.'],
    ['entry', { date: '2026-02-30' }, 'date must be a day of the calendar; 2026-02-30 does not exist.'],
    ['entry', { date: '1066-10-14' }, 'date must lie between 1960-01-01 and 2100-12-31; got 1066-10-14.'],
    ['entry', { date: '1850-10-14' }, 'date must lie between 1960-01-01 and 2100-12-31; got 1850-10-14.'],
    ['entry', { unit: 'handfuls' }, 'unit must be one of cm'],
    ['entry', { id: 'two words' }, 'id must be 1 to 64 letters'],
    ['entry', { type: 'burn' }, 'type '],
    ['planting', { rootDepthCm: 1 }, 'rootDepthCm must be at least 5.'],
    ['material', { basis: { ...material.basis, leafShare: 40 } }, 'basis.leafShare must be at most 1.'],
  ])('%s with %j is refused in a sentence', (what, change, expected) => {
    expect(sentences(what, change).join(' ')).toContain(expected);
  });
});
