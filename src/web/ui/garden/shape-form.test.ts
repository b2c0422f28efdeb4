import { describe, expect, it } from 'vitest';
import { bedOf } from '../../../../tests/fixtures/books.ts';
import { typedFrom, retyped, type Reader } from '../forms/typed-quantity.ts';
import { fieldsOf, figuresOf, namesAlike, newBed, readFields, withKind } from './bed-form.ts';
import { blankShape, readShape, shapeOfPots, type ShapeForm } from './shape-form.ts';

const METRIC: Reader = { system: 'metric', style: { decimal: '.', group: ',' } };
const CUSTOMARY: Reader = { ...METRIC, system: 'customary' };
const typed = (text: string) => retyped(typedFrom(null, 'length', METRIC), text);
const shape = (change: Partial<ShapeForm>): ShapeForm => ({
  ...blankShape('rectangle', METRIC),
  ...change,
});

describe('the size of a bed by its shape', () => {
  it.each<[string, Partial<ShapeForm>, number]>([
    ['a rectangle in cm and m', { length: typed('4 m'), width: typed('120') }, 4.8],
    ['a circle', { type: 'circle', diameter: typed('200') }, Math.PI],
    ['a ring', { type: 'ring', diameter: typed('2 m'), clear: typed('100') }, Math.PI * 0.75],
    [
      'uneven',
      { type: 'uneven', length: typed('2 m'), widths: [typed('100'), typed('2 m'), typed('100')] },
      3,
    ],
  ])('%s', (_, change, areaM2) => {
    const read = readShape(shape(change), 30, METRIC);
    expect(read.areaM2).toBeCloseTo(areaM2, 9);
    expect(read).toMatchObject({ potCount: null, troubles: {} });
  });
  it('of pots follows from how deep they are filled', () => {
    expect(readShape(shapeOfPots(12, 15, METRIC), 30, METRIC)).toMatchObject({
      areaM2: 0.6,
      potCount: 12,
      troubles: {},
    });
    expect(readShape(shapeOfPots(12, 18.927, CUSTOMARY), 30, CUSTOMARY).areaM2).toBeCloseTo(0.757, 3);
  });
  it.each<[string, Partial<ShapeForm>, string, RegExp]>([
    ['nothing measured', {}, 'length', /length/i],
    [
      'a trunk too wide',
      { type: 'ring', diameter: typed('50'), clear: typed('60') },
      'clear',
      /smaller than/,
    ],
    ['no pots', { ...shapeOfPots(1, 5, METRIC), count: '' }, 'count', /must be/],
  ])('is not known with %s, and says which field', (_, change, field, sentence) => {
    const read = readShape(shape(change), 30, METRIC);
    expect(read.areaM2).toBeNull();
    expect(read.troubles[field]).toMatch(sentence);
  });
});

describe('a bed being written', () => {
  const read = (fields: ReturnType<typeof newBed>, changing: ReturnType<typeof bedOf> | null = null) =>
    readFields({ fields, id: 'bed', figures: figuresOf(fields, METRIC), changing });
  const named = { ...newBed(METRIC), name: 'Row', area: typed('6') };

  it('is one, or several by number; pots are counted as pots', () => {
    expect(namesAlike(named)).toEqual(['Row']);
    expect(namesAlike({ ...named, alike: '3' })).toEqual(['Row 1', 'Row 2', 'Row 3']);
    expect(namesAlike({ ...named, alike: '3', shape: shapeOfPots(5, 10, METRIC) })).toEqual(['Row']);
    for (const alike of ['0', '51', '1.5', 'many']) expect(namesAlike({ ...named, alike })).toBeNull();
  });
  it('is asked for its pots or its ring by its kind, and forgets pots when it is none', () => {
    const pots = { ...named, ...withKind(named, 'container', METRIC) };
    expect(pots.shape?.type).toBe('pots');
    expect(withKind(pots, 'annual', METRIC).shape).toBeNull();
    expect(withKind(named, 'treeRing', METRIC).shape?.type).toBe('ring');
    const circle = { ...named, shape: blankShape('circle', METRIC) };
    expect(withKind(circle, 'raised', METRIC).shape?.type).toBe('circle');
  });
  it('has the density of its clay, or of the mix it was filled with', () => {
    const own = read({ ...named, bulkDensityGPerCm3: 0.61 });
    expect(own.data?.bulkDensityGPerCm3).toBe(0.61);
    expect(read(named).data?.bulkDensityGPerCm3).toBeGreaterThan(1);
  });
  it('comes back as it was kept, its pots too', () => {
    const bed = bedOf({ kind: 'container', areaM2: 0.6, rootZoneCm: 30, potCount: 12 });
    const fields = fieldsOf(bed, METRIC);
    expect(fields.shape).toMatchObject({ type: 'pots', count: '12', volume: { text: '15' } });
    const again = read(fields, bed);
    expect(again.data).toMatchObject({ potCount: 12, areaM2: 0.6 });
  });
  it('names the area where the shape does not give one', () => {
    const parsed = read({ ...named, shape: blankShape('circle', METRIC) });
    expect(parsed.error?.issues.map(({ path }) => path[0])).toEqual(['areaM2']);
  });
});
