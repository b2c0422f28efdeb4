import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { describe, expect, it } from 'vitest';
import type { EntryRecord } from '../../../records/entry.ts';
import { GRAMS_PER_OUNCE } from '../../../core/ground/units/mass.ts';
import { NOTHING_TYPED, readerOf, retyped } from '../../ui/forms/typed-quantity.ts';
import { describedAnew, readChips } from '../../ui/materials/chips-form.ts';
import { emptyForm, formOf, readForm, type PostingForm } from './posting-form.ts';

const METRIC = readerOf('metric');
const CUSTOMARY = readerOf('customary');
const blank = emptyForm('2026-05-14', 'cm', METRIC);
const typed = (text: string) => retyped(NOTHING_TYPED, text);
const stamp = {
  id: 'entry',
  bedId: 'bed',
  version: 3,
  createdAt: '',
  updatedAt: '',
  note: 'By hand.',
  date: '2026-04-01',
};

const RECORDS: EntryRecord[] = [
  {
    ...stamp,
    type: 'lay',
    state: 'laid',
    materialId: 'chips_mixed',
    amount: 7,
    unit: 'cm',
    massFreshKg: 100,
    dugDepthCm: 0,
    seasonedMonths: 6,
  },
  {
    ...stamp,
    type: 'lay',
    state: 'planned',
    materialId: 'chips_mixed',
    amount: 2.5,
    unit: 'barrow85L',
    massFreshKg: 100,
    dugDepthCm: 15.24,
    seasonedMonths: 0,
  },
  {
    ...stamp,
    type: 'lay',
    state: 'laid',
    materialId: 'compost_garden',
    lotId: 'heap',
    amount: 4,
    unit: 'bucket10L',
    massFreshKg: 20,
    dugDepthCm: 0,
    seasonedMonths: 0,
  },
  { ...stamp, type: 'dig', state: 'laid', layerId: null, dugDepthCm: 25.4 },
  { ...stamp, type: 'dig', state: 'laid', layerId: 'layer', dugDepthCm: 12.7 },
  { ...stamp, type: 'takeOff', state: 'laid', layerId: 'layer', shareTakenOff: 0.5 },
  { ...stamp, type: 'feed', state: 'planned', nitrogenG: GRAMS_PER_OUNCE * 2 },
];

const read = (change: Partial<PostingForm>, units = METRIC) => readForm({ ...blank, ...change }, units);

describe('a posting form', () => {
  it.each(
    RECORDS.flatMap((record) => [
      [record.type, record, METRIC] as const,
      [record.type, record, CUSTOMARY] as const,
    ]),
  )('holds a %s entry and gives it back unchanged', (_, record, units) => {
    const again = readForm(formOf(record, blank, units), units);
    const { bedId, version, createdAt, updatedAt, ...kept } = record;
    expect(again.ok).toBe(true);
    const { massFreshKg, ...expected } = kept as typeof kept & { massFreshKg?: number };
    if (!again.ok) return;
    for (const [field, value] of Object.entries(expected)) {
      const actual = (again.draft as unknown as Record<string, unknown>)[field];
      expect(actual).toEqual(value);
    }
  });

  it('takes lengths and masses in the units of the garden', () => {
    expect(read({ amount: '3', isDugIn: true, dugDepth: typed('8') }, CUSTOMARY)).toMatchObject({
      ok: true,
      draft: { dugDepthCm: 20.32 },
    });
    expect(read({ type: 'feed', nitrogen: typed('1') }, CUSTOMARY)).toMatchObject({
      ok: true,
      draft: { nitrogenG: GRAMS_PER_OUNCE },
    });
  });

  it('leaves the depth out of what lies on top', () => {
    expect(read({ amount: '3', isDugIn: false, dugDepth: typed('nonsense') })).toMatchObject({
      ok: true,
      draft: { dugDepthCm: 0 },
    });
  });

  it.each<[Partial<PostingForm>, string]>([
    [{ amount: '' }, 'amount'],
    [{ amount: 'seven' }, 'amount'],
    [{ amount: '0' }, 'amount'],
    [{ amount: '1e999' }, 'amount'],
    [{ amount: '3', date: '' }, 'date'],
    [{ amount: '3', seasonedMonths: '-1' }, 'seasonedMonths'],
    [{ amount: '3', isDugIn: true, dugDepth: typed('deep') }, 'dugDepthCm'],
    [{ type: 'takeOff', layerId: '' }, 'layerId'],
    [{ type: 'takeOff', layerId: 'layer', shareTakenOff: typed('150') }, 'shareTakenOff'],
    [{ type: 'feed', nitrogen: typed('0') }, 'nitrogenG'],
    [{ type: 'dig', dugDepth: typed('0') }, 'dugDepthCm'],
  ])('%j is refused at %s', (change, field) => {
    const result = read(change);
    expect(result.ok).toBe(false);
    if (!result.ok) expect(Object.keys(result.troubles)).toContain(field);
  });

  it('takes any unit, whatever the garden measures in', () => {
    expect(read({ type: 'water', water: typed('1/2 in') })).toMatchObject({ draft: { waterMm: 12.7 } });
    expect(read({ type: 'dig', dugDepth: typed('1 ft') })).toMatchObject({ draft: { dugDepthCm: 30.48 } });
    expect(read({ type: 'takeOff', layerId: 'layer', shareTakenOff: typed('50') })).toMatchObject({
      draft: { shareTakenOff: 0.5 },
    });
  });

  it('says what is wrong with chips as they are described, and names them by what is seen', () => {
    const described = (figures: Record<string, string>) => {
      const changed = Object.fromEntries(
        Object.entries(figures).map(([field, text]) => [field, typed(text)]),
      );
      const chips = describedAnew(blank.chips, { figures: { ...blank.chips.figures, ...changed } });
      return { chips, read: read({ materialId: SEEN_CHIPS, amount: '5', chips }) };
    };
    expect(described({ branchDiameterCm: 'thick' }).read).toMatchObject({
      troubles: { 'basis.branchDiameterCm': expect.stringContaining('30 cm') as string },
    });
    expect(described({ leafShare: '120' }).read).toMatchObject({
      troubles: { 'basis.leafShare': expect.stringContaining('120') as string },
    });
    const { chips, read: kept } = described({ branchDiameterCm: '8', leafShare: '10' });
    expect(kept).toMatchObject({ ok: true, draft: { materialId: chips.id } });
    expect(readChips(chips, METRIC).draft).toMatchObject({
      name: 'Chips of 8 cm branches, 10 % leaf',
      basis: { type: 'chips', branchDiameterCm: 8, leafShare: 0.1, coniferShare: 0 },
    });
  });
});
